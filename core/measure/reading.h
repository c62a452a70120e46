#pragma once
/// \file
/// What one frame says: readAt() (evaluate.h) and how two readings differ.

#include "core/measure/evaluate.h"

namespace riflesso {

/// \p a less \p b in the measure's unit; what goes round (leans, signed angles, dials) the short way.
double difference(const MeasureDefinition& definition, double a, double b);

/// A point of a definition by the places of its landmarks: one, or the middle of two. \p of: indices of \p base.
Eigen::Vector2d pointOf(const std::vector<std::size_t>& of, const std::vector<Eigen::Vector2d>& base);

/// The turn about a long axis of which \p share (± \p u) is the sine.
struct AxisTurn {
    double degrees = 0.0;
    double u = 0.0; ///< degrees; what one standard error of the share makes, to the side on which it makes more
};
AxisTurn axisTurn(double share, double u);

/// Standard error from which on a turn about a long axis is no reading, degrees. Our own choice.
inline constexpr double kMostTwistError = 30.0;

} // namespace riflesso
