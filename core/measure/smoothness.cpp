#include "core/measure/smoothness.h"

#include "core/measure/chain.h"

#include "core/motion/smoothing.h"

#include <unsupported/Eigen/FFT>

#include <algorithm>
#include <cmath>
#include <complex>
#include <random>

namespace riflesso {
namespace {

constexpr double kHighest = 10.0; // Hz
constexpr int kFine = 4;          // zero padding, powers of two, as published
constexpr int kCoarse = 2;        // enough for how far noise moves it
constexpr int kDraws = 32;
constexpr double kNoisePower = 2.0;    // of the mean power of noise is taken off: it swings about its mean
constexpr double kLoudestNoise = 0.04; // of the greatest amplitude

using Spectrum = std::vector<std::complex<double>>;
using Amplitudes = std::vector<double>;

// From 0 Hz up to the highest frequency.
class Transform {
public:
    Spectrum of(std::span<const double> speeds, double rate, int padding) {
        std::size_t size = 1;
        while (size < speeds.size())
            size *= 2;
        size <<= padding;
        m_padded.assign(size, 0.0);
        std::copy(speeds.begin(), speeds.end(), m_padded.begin());
        Spectrum out;
        m_fft.fwd(out, m_padded);
        const auto highest = static_cast<std::size_t>(kHighest / (rate / static_cast<double>(size)));
        out.resize(std::min(size / 2, highest) + 1);
        return out;
    }

private:
    Eigen::FFT<double> m_fft;
    std::vector<double> m_padded;
};

// The amplitudes without what noise of these powers adds. \p coarser: how many bins have a power in common.
Amplitudes amplitudesOf(const Spectrum& spectrum, const std::vector<double>& noise = {}, std::size_t coarser = 1) {
    Amplitudes out;
    for (std::size_t k = 0; k < spectrum.size(); ++k) {
        const double power = noise.empty() ? 0.0 : kNoisePower * noise[std::min(k / coarser, noise.size() - 1)];
        out.push_back(std::sqrt(std::max(0.0, std::norm(spectrum[k]) - power)));
    }
    return out;
}

double arcLength(const Amplitudes& amplitudes, double threshold) {
    const double top = *std::max_element(amplitudes.begin(), amplitudes.end());
    const auto counts = [&](double a) { return a >= threshold * top; };
    if (!(top > 0.0))
        return 0.0;
    const auto first = std::find_if(amplitudes.begin(), amplitudes.end(), counts);
    const auto last = std::find_if(amplitudes.rbegin(), amplitudes.rend(), counts).base() - 1;
    const double width = 1.0 / static_cast<double>(last - first);
    double length = 0.0;
    for (auto a = first; a < last; ++a)
        length += std::hypot(width, (a[1] - a[0]) / top);
    return -length;
}

double meanArcLength(const Amplitudes& amplitudes) {
    constexpr int kThresholds = 10;
    constexpr double kLeast = 0.03, kMost = 0.12;
    double sum = 0.0;
    for (int i = 0; i < kThresholds; ++i)
        sum += arcLength(amplitudes, kLeast * std::pow(kMost / kLeast, i / (kThresholds - 1.0)));
    return sum / kThresholds;
}

// Noise as a smoothed track's speed has it, of unit variance; always the same one, so that a value stays what it is.
class SpeedNoise {
public:
    SpeedNoise(std::size_t length, std::optional<Hertz> cutoff, double rate)
        : m_length(length), m_cutoff(cutoff.value_or(Hertz(rate))), m_rate(rate),
          m_scale(0.5 / std::sqrt(noiseGain(m_cutoff, Hertz(rate)).rate)) {}
    std::vector<double> next() {
        constexpr std::size_t kBeside = 20; // the filter settles
        std::vector<double> white(m_length + 2 * kBeside);
        for (double& w : white)
            w = m_normal(m_random);
        const auto smooth = zeroLag(white, m_cutoff, Hertz(m_rate));
        std::vector<double> out(m_length);
        for (std::size_t i = 0; i < m_length; ++i)
            out[i] = m_scale * (smooth[i + kBeside + 1] - smooth[i + kBeside - 1]);
        return out;
    }

private:
    std::size_t m_length;
    Hertz m_cutoff;
    double m_rate, m_scale;
    std::minstd_rand m_random{1};
    std::normal_distribution<double> m_normal{0.0, 1.0};
};

} // namespace

double spectralArcLength(std::span<const double> speeds, double rate, double threshold) {
    return arcLength(amplitudesOf(Transform().of(speeds, rate, kFine)), threshold);
}

MeasureValue evaluateSmoothness(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                                const PlacedPosition& until, const ViewSetup& setup) {
    const auto samples = speedsOf(d, d.points, motion, from.frame, until.frame, setup);
    if (!samples)
        return refuse(d, samples.error().text());
    const double start = samples->front().time, span = samples->back().time - start;
    const std::size_t n = samples->size();
    const double rate = static_cast<double>(n - 1) / span;
    if (rate < 20.0)
        return refuse(d, "this film is too slow: smoothness is read from what happens up to 10 times a second");
    // At even steps: the film's own need not be.
    std::vector<double> speeds, errors, without; // what is left of a speed when its noise is taken off
    const bool point = d.points.size() == 1;     // moves in a plane, a segment only turns
    for (std::size_t i = 0; i < n; ++i) {
        const auto [speed, u] = speedAt(*samples, start + static_cast<double>(i) / rate);
        speeds.push_back(speed);
        errors.push_back(u);
        const double noise = (point ? 2.0 : 1.0) * u * u;
        without.push_back(speed * speed > noise ? speed - noise / speed : 0.0);
    }
    Transform transform;
    // The noise is drawn: what it does to a speed that has no sign, and to where the spectrum ends, has no formula.
    const Spectrum calm = transform.of(without, rate, kCoarse);
    SpeedNoise noise(n, slowestCutoff(motion, d.points, setup), rate);
    std::vector<Spectrum> draws;
    std::vector<double> power(calm.size(), 0.0);
    for (int draw = 0; draw < kDraws; ++draw) {
        const auto along = noise.next(), across = point ? noise.next() : std::vector<double>(n, 0.0);
        std::vector<double> noisy(n);
        for (std::size_t i = 0; i < n; ++i)
            noisy[i] = std::hypot(without[i] + errors[i] * along[i], errors[i] * across[i]);
        draws.push_back(transform.of(noisy, rate, kCoarse));
        for (std::size_t k = 0; k < calm.size(); ++k) {
            draws.back()[k] -= calm[k];
            power[k] += std::norm(draws.back()[k]) / kDraws;
        }
    }
    const Spectrum seen = transform.of(speeds, rate, kCoarse);
    double top = 0.0;
    for (const auto& s : seen)
        top = std::max(top, std::abs(s));
    // At the slow end noise only lifts what is large anyway.
    const double loudest =
        std::sqrt(*std::max_element(power.begin() + static_cast<std::ptrdiff_t>(power.size() / 2), power.end()));
    if (!(loudest < kLoudestNoise * top))
        return refuse(d, "it does not move clearly more than its marks are unsure");
    MeasureValue v;
    v.measure = d.id;
    const auto value = [&](std::span<const double> s) {
        return meanArcLength(amplitudesOf(transform.of(s, rate, kFine), power, 1 << (kFine - kCoarse)));
    };
    v.value = value(speeds);
    // How far noise moves it: added to what of the spectrum stands out of the noise.
    const Amplitudes clear = amplitudesOf(seen, power);
    double sum = 0.0, squares = 0.0;
    for (Spectrum& draw : draws) {
        for (std::size_t k = 0; k < seen.size(); ++k)
            draw[k] += clear[k] > 0.0 ? seen[k] * (clear[k] / std::abs(seen[k])) : 0.0;
        const double moved = meanArcLength(amplitudesOf(draw, power));
        sum += moved / kDraws;
        squares += moved * moved / kDraws;
    }
    v.uMarks = std::sqrt(std::max(0.0, squares - sum * sum));
    // What a frame more or less at an end makes.
    const std::span<const double> all(speeds);
    v.uTime = rate * std::hypot((v.value - value(all.subspan(1))) * instantError(from, motion.time()),
                                (v.value - value(all.first(n - 1))) * instantError(until, motion.time()));
    v.u = std::hypot(v.uMarks, v.uTime);
    v.frames = {samples->front().frame, samples->back().frame};
    return v;
}

} // namespace riflesso
