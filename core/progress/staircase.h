#pragma once
/// \file
/// How large must a fault be until somebody sees it? An adaptive test of a coach's eye.

#include "core/statistics/distributions.h"

#include <optional>
#include <vector>

namespace riflesso {

/// One look: the fault was there at this size (0 = it was not), and the coach said so or not.
struct FaultLook {
    double size = 0.0;
    bool said = false;
    std::optional<double> guessed{}; ///< how large the coach took it to be, in the same unit; only of what was seen
};

/// How large somebody takes a fault to be against what it is: the geometric mean of guess / size over the looks at
/// which it was there and was sized, with its 95 % interval (Student's, of the logarithms). 1 = right on average.
struct SizeBias {
    double ratio = 1.0;
    Interval interval{0.0, 0.0};
    int looks = 0;
    [[nodiscard]] bool over() const { return interval.lo > 1.0; }
    [[nodiscard]] bool under() const { return interval.hi < 1.0; }
};
/// Null from fewer than five such looks.
std::optional<SizeBias> sizeBias(const std::vector<FaultLook>& looks);

/// Sizes to choose from when somebody says how large it was: from the smallest to the largest in equal ratios, > 0.
std::vector<double> sizeChoices(double smallest, double largest, int choices = 5);

/// The chance of saying "it is there" at a size: false alarms + (1 − false alarms − lapses) · Φ((ln size − ln
/// threshold) / spread + z), with z so that at the threshold, false alarms apart, three in four are seen. Posterior on
/// a grid of thresholds, spreads and false alarms with flat priors in the logarithm (after A. B. Watson & D. G. Pelli
/// 1983, "QUEST: a Bayesian adaptive psychometric method", Percept. Psychophys. 33:113-120; here with the spread and
/// the false alarms unknown too, as L. L. Kontsevich & C. W. Tyler 1999, Vision Res. 39:2729-2737).
class Staircase {
public:
    /// Sizes that can be shown, > 0, smallest to largest.
    Staircase(double smallest, double largest);

    void add(const FaultLook& look);
    /// The size to show next: the one of which the answer is expected to tell most of the threshold. Every fourth look
    /// is without the fault, so that false alarms are known, too: 0.
    [[nodiscard]] double next() const;

    /// From which size three in four are seen, with its 95 % interval.
    [[nodiscard]] double threshold() const;
    [[nodiscard]] Interval interval() const;
    [[nodiscard]] double falseAlarms() const; ///< posterior mean share
    [[nodiscard]] int looks() const { return static_cast<int>(m_looks.size()); }
    [[nodiscard]] const std::vector<FaultLook>& history() const { return m_looks; }
    /// Never reliably, as far as could be shown: the threshold lies above the largest size with 80 %.
    [[nodiscard]] bool blind() const;

private:
    struct Cell {
        double threshold, spread, alarms, p;
    };
    static double chance(const Cell& cell, double size);
    [[nodiscard]] std::vector<std::pair<double, double>> marginal() const; ///< threshold and probability, ascending

    struct Shown {
        double size;
        std::vector<double> p, entropy; ///< of "it is there", by cell; of that answer
    };
    double m_smallest, m_largest;
    std::vector<Shown> m_shown; ///< sizes among which next() chooses
    std::vector<Cell> m_cells;
    std::vector<FaultLook> m_looks;
};

} // namespace riflesso
