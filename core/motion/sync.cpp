#include "core/motion/sync.h"

#include "core/statistics/correlation.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>
#include <deque>
#include <numeric>

namespace riflesso {

double ViewLock::errorAt(double a) const {
    return std::hypot(uOffset, uRate * (a - centre));
}

Result<ViewLock> lockViews(std::span<const SharedInstant> in) {
    if (in.empty())
        return Error{"no instant is shared yet", {}, {}, "show the same instant in both films"};
    ViewLock lock;
    const auto variance = [&](const SharedInstant& s) {
        return std::max(1e-12, s.uA * s.uA * lock.rate * lock.rate + s.uB * s.uB);
    };
    if (in.size() == 1) {
        lock.offset = in[0].b - in[0].a;
        lock.uOffset = std::sqrt(variance(in[0]));
        lock.centre = in[0].a;
        lock.residuals = {0.0};
        return lock;
    }
    // The weights depend on the rate a little: twice is enough.
    for (int round = 0; round < 3; ++round) {
        double w = 0, ma = 0, mb = 0;
        for (const auto& s : in) {
            w += 1.0 / variance(s);
            ma += s.a / variance(s);
            mb += s.b / variance(s);
        }
        ma /= w;
        mb /= w;
        double saa = 0, sab = 0;
        for (const auto& s : in) {
            saa += (s.a - ma) * (s.a - ma) / variance(s);
            sab += (s.a - ma) * (s.b - mb) / variance(s);
        }
        if (saa < 1e-9)
            return Error{"the shared instants are the same one", {}, {}, "take instants that lie apart"};
        lock.rate = sab / saa;
        if (!(lock.rate > 1.0 / 64 && lock.rate < 64.0))
            return Error{
                "no camera runs so differently", {}, {}, "do the pairs show the same instants, in the same order?"};
        lock.offset = mb - lock.rate * ma;
        lock.centre = ma;
        lock.uOffset = 1.0 / std::sqrt(w);
        lock.uRate = 1.0 / std::sqrt(saa);
    }
    double chi = 0.0, sum = 0.0;
    lock.residuals.clear();
    for (const auto& s : in) {
        const double r = s.b - lock.toB(s.a);
        lock.residuals.push_back(r);
        chi += r * r / variance(s);
        sum += r * r;
    }
    if (in.size() > 2) {
        const auto free = static_cast<double>(in.size() - 2);
        lock.rms = std::sqrt(sum / free);
        const double worse = std::sqrt(std::max(1.0, chi / free)); // Birge ratio
        lock.uOffset *= worse;
        lock.uRate *= worse;
    }
    return lock;
}

std::vector<double> energies(const Sound& sound, double step) {
    if (!(sound.rate > 0.0) || !(step > 0.0))
        return {};
    const auto n = static_cast<std::size_t>(static_cast<double>(sound.samples.size()) / sound.rate / step);
    std::vector<double> level(n);
    double before = 0.0; // a difference filter: strikes are sharp, hall hum and voices are not
    std::size_t at = 0;
    for (std::size_t i = 0; i < n; ++i) {
        const auto end =
            std::min(sound.samples.size(), static_cast<std::size_t>(static_cast<double>(i + 1) * step * sound.rate));
        double energy = 0.0;
        for (; at < end; ++at) {
            const double d = sound.samples[at] - before;
            before = sound.samples[at];
            energy += d * d;
        }
        level[i] = energy;
    }
    return level;
}

std::vector<double> onsets(const Sound& sound, double step) {
    std::vector<double> level = energies(sound, step);
    const std::size_t n = level.size();
    std::vector<double> out(n, 0.0);
    const double loudest = n > 0 ? *std::max_element(level.begin(), level.end()) : 0.0;
    if (!(loudest > 0.0))
        return out;
    for (double& l : level)
        l = std::log10(l / loudest + 1e-6);
    // Above all of the last 40 ms: a strike rises once, its ring and the hall's answer do not.
    const auto past = std::max<std::size_t>(2, static_cast<std::size_t>(0.04 / step));
    std::deque<std::size_t> highest; // indices of falling level within the past
    for (std::size_t i = 1; i < n; ++i) {
        // The step just before is left out: a strike that begins in its middle would halve its own rise.
        if (i >= 2) {
            while (!highest.empty() && level[highest.back()] <= level[i - 2])
                highest.pop_back();
            highest.push_back(i - 2);
        }
        while (!highest.empty() && highest.front() + past < i)
            highest.pop_front();
        if (!highest.empty())
            out[i] = std::max(0.0, level[i] - level[highest.front()]);
    }
    return out;
}

Result<SoundMatch> matchSounds(const Sound& a, const Sound& b) {
    constexpr double step = 0.001;
    // Two microphones hear the same rise a little differently: each onset stands for the milliseconds around it.
    const auto widened = [](const std::vector<double>& v) {
        constexpr std::ptrdiff_t reach = 4;
        std::vector<double> w(v.size());
        for (std::ptrdiff_t i = 0; i < static_cast<std::ptrdiff_t>(v.size()); ++i)
            for (std::ptrdiff_t k = -reach; k <= reach; ++k)
                if (i + k >= 0 && i + k < static_cast<std::ptrdiff_t>(v.size()))
                    w[static_cast<std::size_t>(i)] +=
                        v[static_cast<std::size_t>(i + k)] * (1.0 - std::abs(static_cast<double>(k)) / (reach + 1.0));
        return w;
    };
    const auto x = widened(onsets(a, step)), y = widened(onsets(b, step));
    const auto silent = [](const std::vector<double>& v) {
        return v.size() < 100 || std::accumulate(v.begin(), v.end(), 0.0) <= 0.0;
    };
    if (silent(x) || silent(y))
        return Error{"one of the films has no sound to go by", {}, {}, "show a shared instant in both instead"};
    const auto c = crossCorrelation(x, y);
    const auto best = std::max_element(c.values.begin(), c.values.end());
    const auto k = best - c.values.begin();
    // The next best at another place: 60 ms away at least, further than one strike sounds on.
    const std::ptrdiff_t apart = 60;
    double second = 0.0;
    for (std::ptrdiff_t i = 0; i < static_cast<std::ptrdiff_t>(c.values.size()); ++i)
        if (std::abs(i - k) > apart)
            second = std::max(second, c.values[static_cast<std::size_t>(i)]);
    SoundMatch m;
    m.peak = *best;
    m.quality = second > 0.0 ? *best / second : 10.0;
    double shift = static_cast<double>(c.firstLag + k);
    if (k > 0 && k + 1 < static_cast<std::ptrdiff_t>(c.values.size())) { // a parabola through the top
        const double l = best[-1], r = best[1], bottom = l - 2.0 * *best + r;
        if (bottom < 0.0)
            shift += 0.5 * (l - r) / bottom;
    }
    m.offset = shift * step + b.start - a.start;
    // Sound takes 3 ms a metre and onsets rise over some: one grid step, and more when the peak is low.
    m.u = step * std::clamp(1.0 / std::max(0.05, m.peak), 1.0, 10.0);
    if (m.quality < kClearMatch || m.peak < 0.08)
        return Error{fill(say("error", "the sound tracks do not clearly fit at one place (%1 % better than the next)"),
                          {std::to_string(std::lround(100.0 * (m.quality - 1.0)))}),
                     {},
                     "nothing was locked",
                     "show a shared instant in both instead"};
    return m;
}

} // namespace riflesso
