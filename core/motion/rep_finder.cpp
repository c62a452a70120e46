#include "core/motion/rep_finder.h"

#include "core/statistics/correlation.h"
#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// Mean over a window of `width` s around each frame.
std::vector<double> smoothed(std::span<const double> v, std::span<const double> t, double width) {
    std::vector<double> out(v.size());
    std::size_t a = 0, b = 0;
    double sum = 0.0;
    for (std::size_t i = 0; i < v.size(); ++i) {
        while (b < v.size() && t[b] <= t[i] + width / 2)
            sum += v[b++];
        while (t[a] < t[i] - width / 2)
            sum -= v[a++];
        out[i] = std::max(0.0, sum / static_cast<double>(b - a));
    }
    return out;
}

// The value that parts a sample best into two classes (Otsu, IEEE Trans. SMC 9(1), 1979), and how well: the share of
// the variance that lies between them.
struct Parting {
    double at = 0.0;
    double share = 0.0;
};
Parting part(std::vector<double> v) {
    std::sort(v.begin(), v.end());
    double total = 0.0, squares = 0.0;
    for (double x : v) {
        total += x;
        squares += x * x;
    }
    const auto n = static_cast<double>(v.size());
    const double variance = squares / n - total * total / (n * n);
    Parting p;
    double sum = 0.0;
    for (std::size_t i = 0; i + 1 < v.size(); ++i) {
        sum += v[i];
        const double n0 = static_cast<double>(i + 1), n1 = n - n0;
        const double d = sum / n0 - (total - sum) / n1;
        const double between = n0 * n1 / (n * n) * d * d;
        if (variance > 0.0 && between / variance > p.share) {
            p.share = between / variance;
            p.at = (v[i] + v[i + 1]) / 2.0;
        }
    }
    return p;
}

FrameIndex frameAt(std::span<const double> times, double t) {
    const auto it = std::lower_bound(times.begin(), times.end(), t);
    return FrameIndex(
        static_cast<int>(std::min<std::ptrdiff_t>(it - times.begin(), static_cast<std::ptrdiff_t>(times.size()) - 1)));
}

} // namespace

std::vector<RepSpan> repsFromMotion(std::span<const double> energy, std::span<const double> times,
                                    const RepFinderOptions& o) {
    std::vector<RepSpan> out;
    const std::size_t n = std::min(energy.size(), times.size());
    if (n < 8)
        return out;
    const auto e = smoothed(energy.first(n), times.first(n), 0.15);
    std::vector<double> logs;
    const double top = *std::max_element(e.begin(), e.end());
    if (!(top > 0.0))
        return out;
    for (double v : e)
        logs.push_back(std::log(v / top + 1e-4));
    const Parting p = part(logs);
    // Resting and moving must differ by more than noise does: at least by half as much again.
    double rest = 0.0, move = 0.0;
    int nRest = 0, nMove = 0;
    for (double l : logs) {
        (l < p.at ? rest : move) += l;
        ++(l < p.at ? nRest : nMove);
    }
    if (nRest == 0 || nMove == 0 || p.share < 0.5 || move / nMove - rest / nRest < std::log(1.5))
        return out;
    std::size_t i = 0;
    std::vector<std::pair<std::size_t, std::size_t>> runs;
    while (i < n) {
        if (logs[i] < p.at) {
            ++i;
            continue;
        }
        std::size_t j = i;
        while (j + 1 < n && logs[j + 1] >= p.at)
            ++j;
        if (!runs.empty() && times[i] - times[runs.back().second] < o.pause)
            runs.back().second = j;
        else
            runs.emplace_back(i, j);
        i = j + 1;
    }
    for (const auto& [a, b] : runs) {
        if (times[b] - times[a] < o.shortest)
            continue;
        double peak = p.at;
        for (std::size_t k = a; k <= b; ++k)
            peak = std::max(peak, logs[k]);
        const FrameIndex first = frameAt(times.first(n), times[a] - o.air),
                         last = frameAt(times.first(n), times[b] + o.air);
        out.push_back({first, last, std::clamp((peak - p.at) / std::max(1e-9, -p.at), 0.0, 1.0)});
        if (out.size() > 1 && out[out.size() - 2].last >= first)
            out[out.size() - 2].last = first - 1;
    }
    return out;
}

std::vector<double> strikes(const Sound& sound, double apart) {
    constexpr double step = 0.002;
    const auto rise = onsets(sound, step);
    const auto level = energies(sound, step);
    std::vector<double> loudness;
    std::vector<double> out;
    const auto middle = median(rise);
    if (!middle)
        return out;
    std::vector<double> off;
    for (double r : rise)
        off.push_back(std::abs(r - *middle));
    const double spread = 1.4826 * median(off).value_or(0.0); // of a normal one, from the median deviation
    const double top = *std::max_element(rise.begin(), rise.end());
    // Five times the energy of just before, at least: pure noise hardly ever rises by three.
    const double least = std::max(*middle + 8.0 * spread, 0.7);
    const double threshold = std::max(least, 0.45 * top);
    for (std::size_t i = 1; i + 1 < rise.size(); ++i) {
        if (rise[i] < threshold || rise[i] < rise[i - 1] || rise[i] < rise[i + 1])
            continue;
        const double t = sound.start + (static_cast<double>(i) + 0.5) * step;
        if (!out.empty() && t - out.back() < apart)
            continue; // the first rise is the strike; what follows is its echo
        double energy = 0.0;
        for (std::size_t k = i; k < std::min(i + 15, level.size()); ++k)
            energy += level[k];
        out.push_back(t);
        loudness.push_back(energy);
    }
    // Knocks from elsewhere in the hall are quieter than those before the camera.
    std::vector<double> sorted = loudness;
    std::sort(sorted.begin(), sorted.end());
    const double usual = sorted.empty() ? 0.0 : sorted[sorted.size() * 9 / 10];
    std::vector<double> loud;
    for (std::size_t i = 0; i < out.size(); ++i)
        if (loudness[i] >= 0.15 * usual)
            loud.push_back(out[i]);
    return loud;
}

std::vector<RepSpan> repsFromStrikes(std::span<const double> hits, std::span<const double> times,
                                     const RepFinderOptions& o) {
    std::vector<RepSpan> out;
    if (times.empty())
        return out;
    for (std::size_t i = 0; i < hits.size(); ++i) {
        double a = hits[i] - o.before, b = hits[i] + o.after;
        if (i > 0)
            a = std::max(a, (hits[i - 1] + hits[i]) / 2);
        if (i + 1 < hits.size())
            b = std::min(b, (hits[i] + hits[i + 1]) / 2);
        RepSpan r{frameAt(times, a), frameAt(times, b), 1.0};
        if (!out.empty() && r.first <= out.back().last)
            r.first = out.back().last + 1;
        if (r.last > r.first)
            out.push_back(r);
    }
    return out;
}

std::optional<double> periodOf(std::span<const double> energy, std::span<const double> times) {
    const std::size_t n = std::min(energy.size(), times.size());
    if (n < 32)
        return std::nullopt;
    const double step = (times[n - 1] - times[0]) / static_cast<double>(n - 1);
    const auto e = smoothed(energy.first(n), times.first(n), 0.06);
    const auto r = autocorrelation(e, n / 2);
    // The highest top after the first descent below zero or half.
    std::size_t k = 1;
    while (k < r.size() && r[k] > 0.3)
        ++k;
    std::size_t best = 0;
    for (; k + 1 < r.size(); ++k)
        if (r[k] > r[k - 1] && r[k] >= r[k + 1] && (best == 0 || r[k] > r[best] + 0.08))
            best = k;
    if (best == 0 || r[best] < 0.3)
        return std::nullopt;
    return static_cast<double>(best) * step;
}

std::vector<RepSpan> repsFromCycles(std::span<const double> energy, std::span<const double> times) {
    std::vector<RepSpan> out;
    const auto period = periodOf(energy, times);
    if (!period)
        return out;
    const std::size_t n = std::min(energy.size(), times.size());
    const auto e = smoothed(energy.first(n), times.first(n), std::min(0.1, *period / 8));
    const double step = (times[n - 1] - times[0]) / static_cast<double>(n - 1);
    const auto samples = std::max<std::size_t>(4, static_cast<std::size_t>(std::lround(*period / step)));
    // The phase whose moments are quietest over all cycles, then each cut moves to its own quietest moment near by.
    std::size_t phase = 0;
    double least = 1e300;
    for (std::size_t p = 0; p < samples; ++p) {
        double sum = 0.0;
        int count = 0;
        for (std::size_t i = p; i < n; i += samples, ++count)
            sum += e[i];
        if (count > 0 && sum / count < least) {
            least = sum / count;
            phase = p;
        }
    }
    std::vector<std::size_t> cuts;
    double at = static_cast<double>(phase);
    while (at < static_cast<double>(n)) {
        const auto reach = static_cast<double>(samples) / 5.0;
        const auto a = static_cast<std::size_t>(std::max(0.0, at - reach));
        const auto b = std::min(n - 1, static_cast<std::size_t>(at + reach));
        const auto cut = static_cast<std::size_t>(std::min_element(e.begin() + static_cast<std::ptrdiff_t>(a),
                                                                   e.begin() + static_cast<std::ptrdiff_t>(b) + 1) -
                                                  e.begin());
        cuts.push_back(cut);
        at = static_cast<double>(cut) + static_cast<double>(samples); // the tempo may drift
    }
    const double top = *std::max_element(e.begin(), e.end());
    for (std::size_t i = 0; i + 1 < cuts.size(); ++i) {
        const double peak = *std::max_element(e.begin() + static_cast<std::ptrdiff_t>(cuts[i]),
                                              e.begin() + static_cast<std::ptrdiff_t>(cuts[i + 1]));
        if (peak < 0.2 * top) // a cycle of rest is none
            continue;
        out.push_back(
            {FrameIndex(static_cast<int>(cuts[i])), FrameIndex(static_cast<int>(cuts[i + 1]) - 1), peak / top});
    }
    return out;
}

} // namespace riflesso
