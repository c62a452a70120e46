#include "core/measure/extreme.h"

#include <Eigen/Cholesky>

#include <algorithm>
#include <cmath>

namespace riflesso {

Extreme extremeOf(std::span<const Sample> samples, bool largest, const Timebase& time, double uFirst, double uLast) {
    std::size_t best = 0;
    for (std::size_t i = 1; i < samples.size(); ++i)
        if (largest ? samples[i].value > samples[best].value : samples[i].value < samples[best].value)
            best = i;
    const Sample& s = samples[best];
    Extreme e{best, s.time, s.value, s.u, 0.0, 0.0};
    // The neighbourhood that noise could make the extreme: two frames at least, as far as the value stays near it.
    const auto [lowest, highest] = std::minmax_element(
        samples.begin(), samples.end(), [](const Sample& a, const Sample& b) { return a.value < b.value; });
    const double near = std::max(3.0 * s.u, 0.05 * (highest->value - lowest->value));
    const std::size_t room = std::min(best, samples.size() - 1 - best);
    std::size_t reach = std::min<std::size_t>(2, room);
    while (reach < room && std::abs(samples[best - reach - 1].value - s.value) < near &&
           std::abs(samples[best + reach + 1].value - s.value) < near)
        ++reach;
    const double period = time.realPeriod(s.frame);
    e.uInstant = period / std::sqrt(12.0);
    if (reach == 0) { // at the edge of the phase: where that lies decides
        if (samples.size() < 2)
            return e;
        const Sample& next = samples[best == 0 ? 1 : best - 1];
        const double rate = (next.value - s.value) / (next.time - s.time);
        e.uInstant = best == 0 ? uFirst : uLast;
        e.uTime = std::abs(rate) * e.uInstant;
        return e;
    }
    // Least squares of a + b t + c t² over 2 reach + 1 samples.
    Eigen::Matrix3d m = Eigen::Matrix3d::Zero();
    Eigen::Vector3d y = Eigen::Vector3d::Zero();
    for (std::size_t i = best - reach; i <= best + reach; ++i) {
        const double t = samples[i].time - s.time;
        const Eigen::Vector3d row(1.0, t, t * t);
        m += row * row.transpose();
        y += row * samples[i].value;
    }
    const Eigen::Vector3d p = m.ldlt().solve(y);
    if (largest ? p[2] < 0.0 : p[2] > 0.0) {
        const double furthest = static_cast<double>(reach) * period;
        const double shift = std::clamp(-p[1] / (2.0 * p[2]), -furthest, furthest);
        e.time += shift;
        e.value = p[0] + p[1] * shift + p[2] * shift * shift;
        // The slope's error over the curvature. Smoothed neighbours err alike: at the slowest cut-off that smoothing
        // chooses by itself, 9 Hz, for 1/18 s.
        const double alike = std::min(1.0 + 1.0 / (18.0 * period), 2.0 * static_cast<double>(reach) + 1.0);
        const double uSlope = s.u * std::sqrt(alike / std::max(1e-12, m(1, 1)));
        e.uInstant = std::min(uSlope / (2.0 * std::abs(p[2])), samples.back().time - samples.front().time);
    }
    return e;
}

} // namespace riflesso
