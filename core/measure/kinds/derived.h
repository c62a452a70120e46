#pragma once
/// \file
/// Measures that are read from other measures, or from what was noted about a rep.

#include "core/measure/evaluate.h"
#include "core/statistics/distributions.h"

#include <span>

namespace riflesso {

/// Kinds symmetry and recovery, by way of `base`. Never fail: see evaluate().
MeasureValue evaluateSymmetry(const MeasureDefinition& definition, const Motion& motion, const Positions& positions,
                              const ViewSetup& setup);
MeasureValue evaluateRecovery(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                              const PlacedPosition& until, const ViewSetup& setup);

/// Kinds seen, effect, choice. Refused while nothing was noted.
MeasureValue evaluateNoted(const MeasureDefinition& definition, const Positions& positions, const RepFacts& facts);

/// Spread from rep to rep: s² of the values is what the athlete varies plus what marking adds, √(mean u²).
struct Spread {
    double athlete = 0.0; ///< √(s² − mean u²) without its bias, 0 when the marks explain all of it
    double marking = 0.0; ///< √(mean u²)
    double u = 0.0;       ///< standard uncertainty of `athlete`
    double all = 0.0;     ///< s
};
/// Empty with fewer than three values. \p errors: standard uncertainty of each by chance, without what all share.
std::optional<Spread> spreadOf(std::span<const double> values, std::span<const double> errors);

/// Change from the first rep to the last by least squares over \p times.
struct Drift {
    double change = 0.0;
    double u = 0.0;    ///< half the interval / 1.96
    Interval interval; ///< 95 % t interval of the change
};
/// Empty with fewer than three values or all at one time.
std::optional<Drift> driftOf(std::span<const double> times, std::span<const double> values);

} // namespace riflesso
