#include "core/statistics/scatter.h"

#include <Eigen/Eigenvalues>

#include <cmath>
#include <numbers>

namespace riflesso {

std::optional<SpreadEllipse> spreadEllipse(std::span<const Eigen::Vector2d> points, double share) {
    if (points.size() < 3 || !(share > 0.0 && share < 1.0))
        return std::nullopt;
    SpreadEllipse out;
    out.n = static_cast<int>(points.size());
    for (const auto& p : points)
        out.centre += p / out.n;
    Eigen::Matrix2d c = Eigen::Matrix2d::Zero();
    for (const auto& p : points)
        c += (p - out.centre) * (p - out.centre).transpose() / (out.n - 1);
    const Eigen::SelfAdjointEigenSolver<Eigen::Matrix2d> axes(c);
    // Of chi-squared with two degrees of freedom the quantile is closed.
    const double k = std::sqrt(-2.0 * std::log(1.0 - share));
    out.major = k * std::sqrt(std::max(0.0, axes.eigenvalues()[1]));
    out.minor = k * std::sqrt(std::max(0.0, axes.eigenvalues()[0]));
    const Eigen::Vector2d along = axes.eigenvectors().col(1);
    out.angle = std::atan2(along.y(), along.x()) * 180.0 / std::numbers::pi;
    if (out.angle > 90.0)
        out.angle -= 180.0;
    if (out.angle <= -90.0)
        out.angle += 180.0;
    return out;
}

} // namespace riflesso
