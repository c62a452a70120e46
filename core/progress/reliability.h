#pragma once
/// \file
/// How good are these marks? Agreement of repeated readings, of one analyst or of several.

#include "core/motion/mark.h"
#include "core/motion/result.h"
#include "core/statistics/distributions.h"

#include <map>
#include <span>
#include <vector>

namespace riflesso {

/// An intraclass correlation with its 95 % interval.
struct Icc {
    double value = 0.0;
    Interval interval;
};

/// Readings of the same things by several raters, or by one at several times.
///
/// P. E. Shrout & J. L. Fleiss 1979, Psychol. Bull. 86:420-428: ICC(2,1) for raters who stand for all others (absolute
/// agreement), ICC(3,1) for just these raters (consistency); intervals as there. SEM = √(error mean square) and MDC95 =
/// 1.96 √2 SEM: J. P. Weir 2005, J. Strength Cond. Res. 19:231-240.
struct Reliability {
    int subjects = 0, raters = 0;
    Icc icc21, icc31;
    double sem = 0.0;
    double mdc95 = 0.0;
};

/// \p ratings[subject][rater]; all rows of one length. Errors: fewer than 2 subjects or raters; uneven rows; readings
/// that do not differ at all.
Result<Reliability> reliabilityOf(const std::vector<std::vector<double>>& ratings);

/// Two series of readings of the same things.
/// J. M. Bland & D. G. Altman 1986, Lancet 327:307-310: limits = mean difference ± 1.96 SD of the differences; their
/// standard errors SD/√n and √3 SD/√n.
struct BlandAltman {
    struct Point {
        double mean = 0.0, difference = 0.0; ///< b − a
    };
    std::vector<Point> points;
    double bias = 0.0, sd = 0.0;
    Interval limits;
    Interval biasInterval;        ///< 95 %, by Student's t
    double limitsHalfWidth = 0.0; ///< of the 95 % interval of each limit
};
/// Errors: fewer than 3 pairs; lengths that differ.
Result<BlandAltman> blandAltman(std::span<const double> a, std::span<const double> b);

/// A landmark's standard error of x and y, each, from the same frames marked twice: √(Σ(Δx² + Δy²)/4n).
/// (Dahlberg's method error: G. Dahlberg 1940, from memory.)
struct MarkError {
    int n = 0;
    double sigma = 0.0;        ///< px
    double dx = 0.0, dy = 0.0; ///< mean difference, second minus first, px
};
/// Landmarks and frames that both have, marked by hand in both. The entry with the empty name is all of them together.
std::map<LandmarkName, MarkError> markErrors(const TrackSet& first, const TrackSet& again);

} // namespace riflesso
