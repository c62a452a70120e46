#include "core/measure/extreme.h"

#include <Eigen/Cholesky>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {

Extreme extremeOf(std::span<const Sample> samples, bool largest, const Timebase& time, double uFirst, double uLast,
                  Hertz cutoff) {
    std::size_t best = 0;
    for (std::size_t i = 1; i < samples.size(); ++i)
        if (largest ? samples[i].value > samples[best].value : samples[i].value < samples[best].value)
            best = i;
    const Sample& s = samples[best];
    Extreme e{best, s.time, s.value, s.u, 0.0, 0.0};
    // The neighbourhood that noise could make the extreme: two frames at least, as far as the value stays near it.
    const auto [lowest, highest] = std::minmax_element(
        samples.begin(), samples.end(), [](const Sample& a, const Sample& b) { return a.value < b.value; });
    const double nearness = std::max(3.0 * s.u, 0.05 * (highest->value - lowest->value));
    const auto isNear = [&](std::size_t i) { return std::abs(samples[i].value - s.value) < nearness; };
    const std::size_t room = std::min(best, samples.size() - 1 - best);
    std::size_t reach = std::min<std::size_t>(2, room);
    while (reach < room && isNear(best - reach - 1) && isNear(best + reach + 1))
        ++reach;
    // Where the phase ends on one side the other goes on by itself: of a flat stretch any frame can be the extreme one.
    std::size_t first = best - reach, last = best + reach;
    if (first == 0 && reach == room)
        while (last + 1 < samples.size() && isNear(last + 1))
            ++last;
    else if (reach == room)
        while (first > 0 && isNear(first - 1))
            --first;
    const double period = time.realPeriod(s.frame);
    e.uInstant = period / std::sqrt(12.0);
    if (last - first < 4) { // at the edge of the phase: where that lies decides
        if (reach == 0 && samples.size() > 1) {
            const Sample& next = samples[best == 0 ? 1 : best - 1];
            const double rate = (next.value - s.value) / (next.time - s.time);
            e.uInstant = best == 0 ? uFirst : uLast;
            e.uTime = std::abs(rate) * e.uInstant;
        }
        return e;
    }
    // Least squares of a + b t + c t² from one sample to another.
    struct Parabola {
        Eigen::Vector3d p;
        double tt = 0.0; // Σ (t − mean t)²
        double from = 0.0, to = 0.0;
        [[nodiscard]] double at(double t) const { return p[0] + p[1] * t + p[2] * t * t; }
        [[nodiscard]] double vertex() const { return std::clamp(-p[1] / (2.0 * p[2]), from, to); }
    };
    const auto fit = [&](std::size_t i0, std::size_t i1) {
        Eigen::Matrix3d m = Eigen::Matrix3d::Zero();
        Eigen::Vector3d y = Eigen::Vector3d::Zero();
        for (std::size_t i = i0; i <= i1; ++i) {
            const double t = samples[i].time - s.time;
            const Eigen::Vector3d row(1.0, t, t * t);
            m += row * row.transpose();
            y += row * samples[i].value;
        }
        return Parabola{m.ldlt().solve(y), m(1, 1) - m(0, 1) * m(0, 1) / m(0, 0), samples[i0].time - s.time,
                        samples[i1].time - s.time};
    };
    const Parabola curve = fit(first, last);
    const auto peaks = [&](const Parabola& q) { return largest ? q.p[2] < 0.0 : q.p[2] > 0.0; };
    // Smoothed neighbours err alike, for half a period of the cut-off.
    const auto n = static_cast<double>(last - first + 1);
    const double alike = std::min(1.0 + 1.0 / (2.0 * cutoff.value * period), n);
    if (peaks(curve)) {
        const double shift = curve.vertex();
        e.time += shift;
        e.value = curve.at(shift);
        // The slope's error over the curvature.
        const double uSlope = s.u * std::sqrt(alike / std::max(1e-12, curve.tt));
        // What smoothing takes off changes about as fast as it lets anything change.
        const double uBias = 2.0 * std::numbers::pi * cutoff.value * s.bias;
        e.uInstant = std::hypot(uSlope, uBias) / (2.0 * std::abs(curve.p[2]));
        // A peak that rises otherwise than it falls has its vertex elsewhere when looked at more closely.
        if (reach >= 4)
            if (const Parabola closer = fit(best - reach / 2, best + reach / 2); peaks(closer))
                e.uInstant = std::hypot(e.uInstant, shift - closer.vertex());
        e.uInstant = std::min(e.uInstant, samples.back().time - samples.front().time);
    } else if (last - best != best - first) { // flat or hollow towards an end of the phase: one of its ends
        const double a = curve.at(curve.from), b = curve.at(curve.to);
        const bool begins = largest ? a > b : a < b;
        e.value = begins ? a : b;
        e.time += begins ? curve.from : curve.to;
        e.at = begins ? first : last;
        e.uInstant = std::max(e.uInstant, (curve.to - curve.from) / std::sqrt(12.0));
    }
    // Still rising where the phase ends: where it ends decides, as above.
    const double place = e.time - s.time;
    const bool atFirst = first == 0 && place <= curve.from, atLast = last + 1 == samples.size() && place >= curve.to;
    if (atFirst || atLast) {
        const double edge = atFirst ? uFirst : uLast;
        e.uTime = std::abs(curve.p[1] + 2.0 * curve.p[2] * place) * edge;
        e.uInstant = std::max(e.uInstant, edge);
    }
    // Where other stretches come as near, noise chose among them: the largest of n independent errors lies about
    // 0.85 √(2 ln n) of them above the rest (for n of 5 to 100). That is taken off, and half of it stays unsure.
    std::size_t near = 0;
    double weights = 0.0, spread = 0.0; // of the frames by how near they come
    for (std::size_t i = 0; i < samples.size(); ++i) {
        near += isNear(i) && (i < first || i > last);
        const double w = s.u > 0.0 ? std::exp(-0.5 * std::pow((samples[i].value - s.value) / s.u, 2)) : 0.0;
        weights += w;
        spread += w * std::pow(samples[i].time - e.time, 2);
    }
    const double rivals = 1.0 + static_cast<double>(near) / std::max(alike, n);
    const double excess = 0.85 * std::sqrt(2.0 * std::log(rivals)) * s.u;
    e.value -= largest ? excess : -excess;
    // Of many the largest varies less than one alone (0.5 of its spread for 30).
    const double many = 1.0 + 0.4 * std::log(std::max(1.0, rivals / 3.0));
    e.u = std::hypot(e.u, excess / 2.0) / many;
    if (rivals > 2.0)
        e.uInstant = std::max(e.uInstant, std::sqrt(spread / weights));
    return e;
}

} // namespace riflesso
