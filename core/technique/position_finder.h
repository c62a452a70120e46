#pragma once
/// \file
/// Key positions proposed: each rule of a blueprint evaluated on the motion of a rep, with a standard error.

#include "core/measure/evaluate.h"
#include "core/technique/blueprint.h"

#include <map>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace riflesso {

/// One value a frame; unmarked frames are left out.
struct RuleSample {
    FrameIndex frame;
    double time = 0.0; ///< real time, s
    double value = 0.0;
    double sigma = 0.0; ///< standard error of the value
    bool draft = false; ///< a body model's draft took part
};

/// The series of a rule on the frames \p first to \p last. Error: which landmark is not marked, or what the view cannot
/// show. Up and forward are positive.
Result<std::vector<RuleSample>> ruleSeries(const SeriesSpec& spec, const Motion& motion, const ViewSetup& setup,
                                           FrameIndex first, FrameIndex last);

/// A key position as the rule sees it.
struct PositionProposal {
    FrameIndex frame;
    double time = 0.0; ///< s of real time, finer than a frame where the curve allows
    /// Standard error, s: of the fit, and of what the rule misjudged in other reps; at least three frames when unsure.
    double sigma = 0.0;
    bool sure = true; ///< false: the curve does not show it clearly; `why` says what is wrong
    std::string why;
};

/// An instant on a series. All times in s of real time.
struct FoundInstant {
    double time = 0.0, sigma = 0.0;
    bool sure = true;
    std::string why;
};

/// Where the series does what the rule says. Pure; the samples must be in order of time.
///
/// begins, ends: people start and stop limbs smoothly; a minimum-jerk curve (Flash & Hogan 1985, J. Neurosci.
/// 5:1688-1703) is fitted to the part near the instant and extrapolated, since the first visible change comes late.
/// leaves, lands: a broken line, whose bend is the instant. highest, lowest: the vertex of a parabola. crosses: between
/// two samples. Error: too few samples, or nothing of the kind happens.
Result<FoundInstant> findInstant(const PositionRule& rule, std::span<const RuleSample> samples,
                                 std::span<const double> strikes = {});

/// What accepted and corrected pegs of other reps teach: by how much the rule is usually off, s, and its spread.
struct PositionLesson {
    double bias = 0.0;
    double spread = 0.0;
    int reps = 0;
};
using PositionLessons = std::map<PositionId, PositionLesson>;

/// Compares what was placed by hand on a rep with what the rules say there. Rules that see nothing are left out.
std::map<PositionId, double> missesOf(const Positions& placed, const std::map<PositionId, PositionProposal>& proposed,
                                      const Timebase& time);
PositionLessons lessonsFrom(const std::vector<std::map<PositionId, double>>& misses);

/// All key positions of a blueprint that have a rule, on frames \p first to \p last. Positions that cannot be found are
/// left out of the result and named in \p reasons when that is given. \p motion should hold the marks unsmoothed. \p
/// strikes: instants heard, s of real time.
std::map<PositionId, PositionProposal> proposePositions(const Blueprint& blueprint, const Motion& motion,
                                                        const ViewSetup& setup, FrameIndex first, FrameIndex last,
                                                        std::span<const double> strikes = {},
                                                        const PositionLessons& lessons = {},
                                                        std::map<PositionId, std::string>* reasons = nullptr);

} // namespace riflesso
