#include "core/measure/extreme.h"

#include <Eigen/Cholesky>

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {
namespace {

// Least squares of a + b t + c t² from one sample to another.
struct Parabola {
    Eigen::Vector3d p;
    double tt = 0.0; // Σ (t − mean t)²
    double from = 0.0, to = 0.0;
    [[nodiscard]] double at(double t) const { return p[0] + p[1] * t + p[2] * t * t; }
    [[nodiscard]] double vertex() const { return std::clamp(-p[1] / (2.0 * p[2]), from, to); }
    [[nodiscard]] bool peaks(bool largest) const { return largest ? p[2] < 0.0 : p[2] > 0.0; }
};

Parabola parabolaOf(std::span<const Sample> samples, double zero) {
    Eigen::Matrix3d m = Eigen::Matrix3d::Zero();
    Eigen::Vector3d y = Eigen::Vector3d::Zero();
    for (const Sample& s : samples) {
        const double t = s.time - zero;
        const Eigen::Vector3d row(1.0, t, t * t);
        m += row * row.transpose();
        y += row * s.value;
    }
    return {m.ldlt().solve(y), m(1, 1) - m(0, 1) * m(0, 1) / m(0, 0), samples.front().time - zero,
            samples.back().time - zero};
}

// The samples that noise could make the extreme.
struct Neighbourhood {
    std::size_t best = 0;
    std::size_t reach = 0;           // to both sides alike
    std::size_t first = 0, last = 0; // with what lies on the one side that goes on
    double nearness = 0.0;           // of a value to the extreme one
};

// Two frames at least, as far as the value stays near the extreme one.
Neighbourhood neighbourhoodOf(std::span<const Sample> samples, std::size_t best) {
    const Sample& s = samples[best];
    const auto [lowest, highest] = std::minmax_element(
        samples.begin(), samples.end(), [](const Sample& a, const Sample& b) { return a.value < b.value; });
    Neighbourhood n;
    n.best = best;
    n.nearness = std::max(3.0 * s.u, 0.05 * (highest->value - lowest->value));
    const auto isNear = [&](std::size_t i) { return std::abs(samples[i].value - s.value) < n.nearness; };
    const std::size_t room = std::min(best, samples.size() - 1 - best);
    n.reach = std::min<std::size_t>(2, room);
    while (n.reach < room && isNear(best - n.reach - 1) && isNear(best + n.reach + 1))
        ++n.reach;
    // Where the phase ends on one side the other goes on by itself: of a flat stretch any frame can be the extreme one.
    n.first = best - n.reach;
    n.last = best + n.reach;
    if (n.first == 0 && n.reach == room)
        while (n.last + 1 < samples.size() && isNear(n.last + 1))
            ++n.last;
    else if (n.reach == room)
        while (n.first > 0 && isNear(n.first - 1))
            --n.first;
    return n;
}

// Where other stretches come as near, noise chose among them: the largest of n independent errors lies about
// 0.85 √(2 ln n) of them above the rest (for n of 5 to 100). That is taken off, and half of it stays unsure.
// \p independent: frames that hold one independent error.
void takeOffChoice(Extreme& e, std::span<const Sample> samples, const Neighbourhood& n, bool largest,
                   double independent) {
    const Sample& s = samples[n.best];
    std::size_t near = 0;
    double weights = 0.0, spread = 0.0; // of the frames by how near they come
    for (std::size_t i = 0; i < samples.size(); ++i) {
        near += std::abs(samples[i].value - s.value) < n.nearness && (i < n.first || i > n.last);
        const double w = s.u > 0.0 ? std::exp(-0.5 * std::pow((samples[i].value - s.value) / s.u, 2)) : 0.0;
        weights += w;
        spread += w * std::pow(samples[i].time - e.time, 2);
    }
    const double rivals = 1.0 + static_cast<double>(near) / independent;
    const double excess = 0.85 * std::sqrt(2.0 * std::log(rivals)) * s.u;
    e.value -= largest ? excess : -excess;
    // Of many the largest varies less than one alone (0.5 of its spread for 30).
    const double many = 1.0 + 0.4 * std::log(std::max(1.0, rivals / 3.0));
    e.u = std::hypot(e.u, excess / 2.0) / many;
    if (rivals > 2.0)
        e.uInstant = std::max(e.uInstant, std::sqrt(spread / weights));
}

} // namespace

Extreme extremeOf(std::span<const Sample> samples, bool largest, const Timebase& time, double uFirst, double uLast,
                  Hertz cutoff) {
    std::size_t best = 0;
    for (std::size_t i = 1; i < samples.size(); ++i)
        if (largest ? samples[i].value > samples[best].value : samples[i].value < samples[best].value)
            best = i;
    const Sample& s = samples[best];
    Extreme e{best, s.time, s.value, s.u, 0.0, 0.0};
    const Neighbourhood n = neighbourhoodOf(samples, best);
    const auto [first, last] = std::pair(n.first, n.last);
    const double period = time.realPeriod(s.frame);
    e.uInstant = period / std::sqrt(12.0);
    if (last - first < 4) { // at the edge of the phase: where that lies decides
        if (n.reach == 0 && samples.size() > 1) {
            const Sample& next = samples[best == 0 ? 1 : best - 1];
            const double rate = (next.value - s.value) / (next.time - s.time);
            e.uInstant = best == 0 ? uFirst : uLast;
            e.uTime = std::abs(rate) * e.uInstant;
        }
        return e;
    }
    const Parabola curve = parabolaOf(samples.subspan(first, last - first + 1), s.time);
    // Smoothed neighbours err alike, for half a period of the cut-off.
    const auto frames = static_cast<double>(last - first + 1);
    const double alike = std::min(1.0 + 1.0 / (2.0 * cutoff.value * period), frames);
    if (curve.peaks(largest)) {
        const double shift = curve.vertex();
        e.time += shift;
        e.value = curve.at(shift);
        // The slope's error over the curvature.
        const double uSlope = s.u * std::sqrt(alike / std::max(1e-12, curve.tt));
        // What smoothing takes off changes about as fast as it lets anything change.
        const double uBias = 2.0 * std::numbers::pi * cutoff.value * s.bias;
        e.uInstant = std::hypot(uSlope, uBias) / (2.0 * std::abs(curve.p[2]));
        // A peak that rises otherwise than it falls has its vertex elsewhere when looked at more closely.
        if (n.reach >= 4) {
            const std::size_t half = n.reach / 2;
            if (const Parabola closer = parabolaOf(samples.subspan(best - half, 2 * half + 1), s.time);
                closer.peaks(largest))
                e.uInstant = std::hypot(e.uInstant, shift - closer.vertex());
        }
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
    takeOffChoice(e, samples, n, largest, std::max(alike, frames));
    return e;
}

} // namespace riflesso
