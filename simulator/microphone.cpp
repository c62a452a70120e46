#include "simulator/microphone.h"

#include <algorithm>
#include <cmath>
#include <numbers>
#include <random>

namespace riflesso {

Sound hear(const SimulatedMicrophone& m, const std::vector<double>& strikes, double begin, double end) {
    Sound s;
    s.rate = m.rate;
    s.samples.resize(static_cast<std::size_t>(std::max(0.0, end - begin) * m.rate));
    std::mt19937 random(m.seed * 31u + 5u);
    std::normal_distribution<double> rush(0.0, m.noise);
    for (std::size_t i = 0; i < s.samples.size(); ++i)
        s.samples[i] = static_cast<float>(
            rush(random) +
            1.5 * m.noise * std::sin(2.0 * std::numbers::pi * 50.0 * static_cast<double>(i) / m.rate + m.seed));
    struct Knock {
        double at, loudness;
    };
    std::vector<Knock> knocks;
    for (double t : strikes)
        knocks.push_back({t, m.loudness});
    if (m.hall != 0) {
        // Others train too: quieter, at any time.
        std::mt19937 elsewhere(m.hall);
        std::uniform_real_distribution<double> pause(0.15, 0.9), quiet(0.08, 0.22);
        for (double t = 0.1; t < end; t += pause(elsewhere))
            knocks.push_back({t, m.loudness * quiet(elsewhere)});
    }
    for (std::size_t k = 0; k < knocks.size(); ++k)
        for (double late : {0.0, m.echo + 0.003 * m.seed})
            for (int i = 0; i < static_cast<int>(0.12 * m.rate); ++i) {
                const double t = i / m.rate;
                const auto at = static_cast<std::ptrdiff_t>((knocks[k].at - begin + late) * m.rate) + i;
                if (at < 0 || at >= static_cast<std::ptrdiff_t>(s.samples.size()))
                    continue;
                // A shoe on a wooden floor: a short thud with a rattle, each one a little different.
                const double ring = std::sin(2 * std::numbers::pi * (900.0 + 60.0 * static_cast<double>(k % 5)) * t) +
                                    0.6 * std::sin(2 * std::numbers::pi * 2300.0 * t);
                s.samples[static_cast<std::size_t>(at)] +=
                    static_cast<float>(knocks[k].loudness * (late > 0.0 ? 0.35 : 1.0) * std::exp(-t / 0.012) * ring);
            }
    for (float& v : s.samples)
        v = std::clamp(v, -1.0f, 1.0f);
    return s;
}

} // namespace riflesso
