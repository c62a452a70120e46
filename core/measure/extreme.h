#pragma once
/// \file
/// Extremes of a series under noise: where it is greatest or least, how sure value and instant are.

#include "core/motion/motion.h"

#include <span>

namespace riflesso {

struct Sample {
    FrameIndex frame;
    double time = 0.0; ///< real time, s
    double value = 0.0;
    double u = 0.0;    ///< standard uncertainty of the value
    double bias = 0.0; ///< the part of that which smoothing took off the movement
};

struct Extreme {
    std::size_t at = 0; ///< the extreme sample
    double time = 0.0;  ///< of the vertex, real time, s
    double value = 0.0;
    double u = 0.0;        ///< of the value, from the marks
    double uTime = 0.0;    ///< of the value, from where the series is cut off when the extreme is at its end
    double uInstant = 0.0; ///< of the time, s
};

/// The vertex of a parabola by least squares through the samples that noise could make the extreme, which noise moves
/// less than the extreme sample. \p samples: one or more, in order of time. \p uFirst, \p uLast: standard errors of the
/// instants at which the series begins and ends, s; they count when the extreme is there.
/// \p cutoff: what the samples were smoothed with; their errors hang together for half its period.
Extreme extremeOf(std::span<const Sample> samples, bool largest, const Timebase& time, double uFirst, double uLast,
                  Hertz cutoff = MotionOptions{}.slowest);

} // namespace riflesso
