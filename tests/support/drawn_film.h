#pragma once
/// \file
/// Films by formula: landmarks on ways given by time, seen with noise, made into a motion. And how often a measure with
/// its u meets the truth over many such films.

#include "core/measure/evaluate.h"

#include <cmath>
#include <functional>
#include <map>
#include <random>
#include <string>

namespace riflesso::test {

/// Places in px (y down) by time in s.
using Ways = std::map<std::string, std::function<Eigen::Vector2d(double)>>;

struct Drawing {
    int frames = 200;
    double rate = 120.0;
    double noise = 0.0; ///< px; 0 = marks with 0.3 px of stated error and none made
    unsigned seed = 1;
};

inline Motion drawn(const Ways& ways, const Drawing& how = {}) {
    std::mt19937 random(how.seed);
    std::normal_distribution<double> normal(0.0, 1.0);
    TrackSet tracks;
    for (int f = 0; f < how.frames; ++f)
        for (const auto& [name, way] : ways) {
            const Eigen::Vector2d p = way(f / how.rate);
            const double ex = how.noise * normal(random), ey = how.noise * normal(random);
            tracks[name][FrameIndex(f)] = {{p.x() + ex, p.y() + ey}, how.noise > 0.0 ? how.noise : 0.3, How::hand};
        }
    MotionOptions options;
    if (how.noise == 0.0)
        options.cutoff = CutoffNone{};
    return toMotion(tracks, Timebase::constant(how.frames, Hertz(how.rate)), options);
}

struct Coverage {
    int within1 = 0, within2 = 0, of = 0; ///< truth within u, within 1.96 u
    double meanError = 0.0, meanU = 0.0;
    std::string refused{};
    [[nodiscard]] bool honest(double least = 0.90) const { return of > 0 && refused.empty() && within2 >= least * of; }
    [[nodiscard]] std::string text() const {
        return std::to_string(within1) + " and " + std::to_string(within2) + " of " + std::to_string(of) + ", error " +
               std::to_string(meanError) + ", u " + std::to_string(meanU) + " " + refused;
    }
};

inline Coverage coverage(const MeasureDefinition& d, const Ways& ways, const Positions& positions,
                         const ViewSetup& setup, double truth, int draws = 200, Drawing how = {}) {
    Coverage c;
    how.noise = how.noise > 0.0 ? how.noise : 1.5;
    for (int i = 0; i < draws; ++i) {
        how.seed = 100 + static_cast<unsigned>(i);
        const auto v = evaluate(d, drawn(ways, how), positions, setup);
        if (v.refused) {
            c.refused = v.reason;
            return c;
        }
        ++c.of;
        c.within1 += std::abs(v.value - truth) <= v.u;
        c.within2 += std::abs(v.value - truth) <= 1.96 * v.u + 1e-9;
        c.meanError += (v.value - truth) / draws;
        c.meanU += v.u / draws;
    }
    return c;
}

} // namespace riflesso::test
