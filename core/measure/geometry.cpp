#include "core/measure/geometry.h"

#include <cmath>

namespace riflesso {

std::optional<Eigen::Vector2d> inPicture(Direction direction, const ViewSetup& setup) {
    switch (direction) {
    case Direction::up:
        return Eigen::Vector2d(0, -1);
    case Direction::forward:
        if (setup.facing == Facing::camera)
            return std::nullopt;
        return Eigen::Vector2d(setup.facing == Facing::right ? 1 : -1, 0);
    case Direction::across:
        if (setup.facing != Facing::camera)
            return std::nullopt;
        return Eigen::Vector2d(setup.handedness == Side::right ? -1 : 1, 0);
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
