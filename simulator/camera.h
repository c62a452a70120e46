#pragma once
/// \file
/// The simulated camera: a pinhole without distortion.

#include "core/motion/units.h"

#include <Eigen/Core>

namespace riflesso {

struct SimulatedCamera {
    Eigen::Vector3d position{0.9, 1.0, -6.0};
    Eigen::Vector3d target{0.9, 0.92, 0.0};
    double focal = 1920.0; ///< px
    int width = 1280;
    int height = 720;
    double captureRate = 120.0; ///< Hz
    double exposure = 0.004;    ///< s: how long each picture gathers light
    double noise = 2.0;         ///< grey levels, standard deviation

    /// Rows: right, down, into the picture.
    [[nodiscard]] Eigen::Matrix3d axes() const;
    [[nodiscard]] Pixel project(const Eigen::Vector3d& world) const;

    static SimulatedCamera side();
    static SimulatedCamera front();
};

} // namespace riflesso
