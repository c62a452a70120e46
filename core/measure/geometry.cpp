#include "core/measure/geometry.h"

#include <cmath>

namespace riflesso {

std::optional<Eigen::Vector2d> inPicture(Direction direction, const ViewSetup& setup) {
    const bool plan = setup.view == View::above || setup.view == View::below;
    const double ahead = setup.facing == Facing::left ? -1.0 : 1.0, lead = setup.handedness == Side::right ? 1.0 : -1.0;
    switch (direction) {
    case Direction::up:
        return plan ? std::nullopt : std::optional(Eigen::Vector2d(0, -1));
    case Direction::forward:
        if (setup.view != View::side && !plan)
            return std::nullopt;
        return Eigen::Vector2d(ahead, 0);
    case Direction::across:
        if (setup.view == View::side)
            return std::nullopt;
        if (plan)
            return Eigen::Vector2d(0, (setup.view == View::above ? 1.0 : -1.0) * ahead * lead);
        return Eigen::Vector2d(setup.view == View::front ? -lead : lead, 0);
    }
    return std::nullopt;
}

Degrees includedAngle(Eigen::Vector2d a, Eigen::Vector2d vertex, Eigen::Vector2d c) {
    const Eigen::Vector2d u = a - vertex;
    const Eigen::Vector2d v = c - vertex;
    if (u.squaredNorm() == 0.0 || v.squaredNorm() == 0.0)
        return Degrees(std::nan(""));
    const double cross = u.x() * v.y() - u.y() * v.x();
    return toDegrees(Radians(std::atan2(std::abs(cross), u.dot(v))));
}

Degrees leanFromVertical(Eigen::Vector2d low, Eigen::Vector2d high, Eigen::Vector2d towards) {
    const Eigen::Vector2d d = high - low;
    if (d.squaredNorm() == 0.0)
        return Degrees(std::nan(""));
    return toDegrees(Radians(std::atan2(d.dot(towards), -d.y())));
}

Degrees turnedFrom(Eigen::Vector2d first, Eigen::Vector2d second, Eigen::Vector2d towards) {
    if (first.squaredNorm() == 0.0 || second.squaredNorm() == 0.0)
        return Degrees(std::nan(""));
    // In the athlete's own axes: forward and up.
    const Eigen::Vector2d a(first.dot(towards), -first.y()), b(second.dot(towards), -second.y());
    return toDegrees(Radians(std::atan2(a.x() * b.y() - a.y() * b.x(), a.dot(b))));
}

double along(Eigen::Vector2d of, Eigen::Vector2d from, Eigen::Vector2d direction) {
    return (of - from).dot(direction);
}

} // namespace riflesso
