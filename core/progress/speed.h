#pragma once
/// \file
/// At which speed does a skill leave its band?

#include "core/mirror/decision.h"
#include "core/statistics/line.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// A rep: how long its movement took, and what a measure was. Errors are standard uncertainties, s and the measure's.
struct TimedRep {
    std::string rep;       ///< id, for tracing back
    double duration = 0.0; ///< s of real time, > 0
    double uDuration = 0.0;
    double value = 0.0, u = 0.0;
    std::optional<double> effort{}; ///< as it was stated, share of the utmost, 0 to 1
};

/// What a rep is held against: its own measured speed, or the effort that the athlete stated.
enum class SpeedBy : unsigned char { speed, effort };

enum class SpeedVerdict {
    tooFew,      ///< fewer than five reps, or all of one speed
    unmoved,     ///< the measure does not change with the speed by more than could be chance
    staysInside, ///< it changes, and stays in its band as far as these reps go
    outAtAll,    ///< outside at every speed of these reps
    leavesAt     ///< inside below a speed, outside above it
};

struct SpeedAnswer {
    SpeedVerdict verdict = SpeedVerdict::tooFew;
    SpeedBy by = SpeedBy::speed;
    std::vector<PointWithErrors> points; ///< x: share of the fastest rep's speed, or of the
                                         ///< utmost effort, per cent; in the order of the reps
    std::optional<LineInBoth> line;
    std::optional<Crossing> leaves; ///< per cent; of the end of the band that the line leaves
    double practiseAt = 0.0;        ///< per cent: where it is inside for sure; 0 = not known
};

/// A rep's speed is the inverse of its duration. Straight line with errors in both, its crossing with the band's end.
/// Nothing is said beyond 10 per cent outside the speeds that were seen. An effort that somebody states is taken to be
/// good to 5 per cent of the utmost (assumed, no source). Reps without a duration, or without an effort, are left out.
/// Pure.
SpeedAnswer whereItFallsApart(const std::vector<TimedRep>& reps, const Band& band, SpeedBy by = SpeedBy::speed);

} // namespace riflesso
