#pragma once
/// \file
/// The plane geometry of measures. Points are pixels, x right, y DOWN.

#include "core/measure/definition.h"
#include "core/motion/calibration.h"
#include "core/motion/units.h"

#include <memory>
#include <optional>

namespace riflesso {

/// How a take shows the athlete.
struct ViewSetup {
    View view = View::side;
    Facing facing = Facing::right;
    Side handedness = Side::right;
    /// Upright picture, metres and perspective; null = the picture as it is.
    std::shared_ptr<const Calibration> calibration = nullptr;
};

/// Unit vector of an athlete's direction in the picture (x right, y DOWN); empty when this view cannot show it. For a
/// right-hander, whose lead side is the right one; a left-hander's `across` points the other way:
///
/// | view  | forward                   | up     | across (to the lead side)            |
/// |-------|---------------------------|--------|--------------------------------------|
/// | side  | as faced: +x right, −x left | −y   | none: it points at the camera        |
/// | front | none                      | −y     | −x: a front view mirrors             |
/// | rear  | none                      | −y     | +x                                   |
/// | above | as faced                  | none   | +y facing right, −y facing left      |
/// | below | as faced                  | none   | −y facing right, +y facing left      |
std::optional<Eigen::Vector2d> inPicture(Direction direction, const ViewSetup& setup);

/// Angle at \p vertex, 0..180°. NaN when a leg has no length.
Degrees includedAngle(Eigen::Vector2d a, Eigen::Vector2d vertex, Eigen::Vector2d c);

/// Lean of low→high from the vertical, −180..180°, positive towards \p towards (a horizontal unit vector).
Degrees leanFromVertical(Eigen::Vector2d low, Eigen::Vector2d high, Eigen::Vector2d towards);

/// Turn from one direction to another, −180..180°, + = from \p towards (a horizontal unit vector) to up. NaN when one
/// has no length.
Degrees turnedFrom(Eigen::Vector2d first, Eigen::Vector2d second, Eigen::Vector2d towards);

/// Component of (of − from) along a unit vector, px.
double along(Eigen::Vector2d of, Eigen::Vector2d from, Eigen::Vector2d direction);

} // namespace riflesso
