#pragma once
/// \file
/// Checks of the capture rate by things whose timing is known: a stopwatch in the picture, a falling ball.

#include "core/motion/result.h"
#include "core/motion/units.h"

#include <string>
#include <vector>

namespace riflesso {

/// Standard acceleration of free fall, m/s² (ISO 80000-3; on the ground it differs by at most 0.3 %).
inline constexpr double kFreeFall = 9.80665;

/// The capture rate that a check gives, with its standard error.
struct RateCheck {
    Hertz rate;
    double u = 0.0;
    double g = 0.0; ///< falling ball: what free fall comes out at with the stated rate, m/s²; else 0
    double uG = 0.0;
    /// Whether a stated rate lies within two standard errors.
    [[nodiscard]] bool agrees(Hertz stated) const;
};

/// Two readings of a running stopwatch \p frames apart. \p resolution: its last digit, s.
/// Errors: no time or no frames between.
Result<RateCheck> stopwatchCheck(int frames, double seconds, double resolution);

/// A ball let go from \p height m that lands \p frames later, without air drag: t = √(2h/g). Both instants are sure to
/// one frame/√12, the height to \p uHeight m. \p stated: the rate in which g is expressed.
Result<RateCheck> fallCheck(double height, double uHeight, double frames, Hertz stated);

/// A ball in the picture during free fall: downward places (m) at instants (s of real time by the stated rate), three
/// and more. Least squares with y = y0 + v t + ½ g t².
struct FallSample {
    double time = 0.0;
    double down = 0.0;
};
struct FallFit {
    double g = 0.0, u = 0.0;
};
Result<FallFit> fitFall(const std::vector<FallSample>& samples, double sigma);

} // namespace riflesso
