#include "simulator/camera.h"

#include <Eigen/Geometry>

namespace riflesso {

Eigen::Matrix3d SimulatedCamera::axes() const {
    const Eigen::Vector3d into = (target - position).normalized();
    const Eigen::Vector3d right = into.cross(Eigen::Vector3d::UnitY()).normalized();
    const Eigen::Vector3d down = into.cross(right);
    Eigen::Matrix3d m;
    m.row(0) = right;
    m.row(1) = down;
    m.row(2) = into;
    return m;
}

Pixel SimulatedCamera::project(const Eigen::Vector3d& world) const {
    const Eigen::Vector3d c = axes() * (world - position);
    return {width / 2.0 + focal * c.x() / c.z(), height / 2.0 + focal * c.y() / c.z()};
}

SimulatedCamera SimulatedCamera::side() {
    return {};
}

SimulatedCamera SimulatedCamera::front() {
    SimulatedCamera c;
    c.position = {8.6, 1.25, -0.55};
    c.target = {0.6, 0.92, -0.02};
    c.focal = 2350.0;
    return c;
}

} // namespace riflesso
