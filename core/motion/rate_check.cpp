#include "core/motion/rate_check.h"

#include <Eigen/Dense>

#include <cmath>

namespace riflesso {

bool RateCheck::agrees(Hertz stated) const {
    return std::abs(stated.value - rate.value) <= 2.0 * u;
}

Result<RateCheck> stopwatchCheck(int frames, double seconds, double resolution) {
    if (frames < 1 || !(seconds > 0.0) || !std::isfinite(seconds))
        return Error{"the second reading must be later than the first", {}, {}, "take two frames that lie apart"};
    RateCheck c;
    c.rate = Hertz(frames / seconds);
    // Both readings are cut to the last digit, and each frame shows the watch at any moment of its period.
    const double uTime = std::max(0.0, resolution) / std::sqrt(6.0);
    const double uFrames = 1.0 / std::sqrt(6.0);
    c.u = c.rate.value * std::hypot(uTime / seconds, uFrames / frames);
    return c;
}

Result<RateCheck> fallCheck(double height, double uHeight, double frames, Hertz stated) {
    if (!(height > 0.0) || !(frames >= 1.0) || !(stated.value > 0.0))
        return Error{"a fall needs a height, frames between and a stated rate", {}, {}, {}};
    const double t = std::sqrt(2.0 * height / kFreeFall);
    const double relative = std::hypot(1.0 / std::sqrt(6.0) / frames, 0.5 * uHeight / height);
    RateCheck c;
    c.rate = Hertz(frames / t);
    c.u = c.rate.value * relative;
    const double seen = frames / stated.value;
    c.g = 2.0 * height / (seen * seen);
    c.uG = c.g * std::hypot(2.0 / std::sqrt(6.0) / frames, uHeight / height);
    return c;
}

Result<FallFit> fitFall(const std::vector<FallSample>& samples, double sigma) {
    if (samples.size() < 3)
        return Error{"a fall needs at least three places", {}, {}, {}};
    Eigen::MatrixXd a(static_cast<Eigen::Index>(samples.size()), 3);
    Eigen::VectorXd y(static_cast<Eigen::Index>(samples.size()));
    for (std::size_t i = 0; i < samples.size(); ++i) {
        const double t = samples[i].time - samples.front().time;
        a.row(static_cast<Eigen::Index>(i)) << 1.0, t, 0.5 * t * t;
        y(static_cast<Eigen::Index>(i)) = samples[i].down;
    }
    const Eigen::Matrix3d normal = a.transpose() * a;
    const Eigen::FullPivLU<Eigen::Matrix3d> lu(normal);
    if (!lu.isInvertible())
        return Error{"the places of the fall lie at too few instants", {}, {}, {}};
    const Eigen::Vector3d x = lu.solve(a.transpose() * y);
    return FallFit{x(2), sigma * std::sqrt(lu.inverse()(2, 2))};
}

} // namespace riflesso
