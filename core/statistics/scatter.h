#pragma once
/// \file
/// Where things landed: middle, spread and share in a zone.

#include <Eigen/Core>

#include <optional>
#include <span>

namespace riflesso {

/// The ellipse that holds \p share of a bivariate normal with the sample's mean and covariance (n − 1). No correction
/// for few points: it describes these points.
struct SpreadEllipse {
    Eigen::Vector2d centre{0.0, 0.0};
    double major = 0.0, minor = 0.0; ///< half-axes, in the unit of the points
    double angle = 0.0;              ///< of the major axis from +x towards +y, degrees in (−90, 90]
    int n = 0;
};
/// Empty with fewer than three points or a share outside 0..1.
std::optional<SpreadEllipse> spreadEllipse(std::span<const Eigen::Vector2d> points, double share = 0.68);

} // namespace riflesso
