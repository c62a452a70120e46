#include "core/measure/kinds/smoothness.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include "core/measure/kinds/chain.h"

#include "core/motion/smoothing.h"

#include <Eigen/Core>
#include <unsupported/Eigen/FFT>

#include <algorithm>
#include <cmath>
#include <complex>
#include <numbers>
#include <random>

namespace riflesso {
namespace {

constexpr double kHighest = 10.0; // Hz
constexpr int kFine = 4;          // zero padding, powers of two, as published
constexpr int kCoarse = 2;        // enough for how far noise moves it
constexpr int kDraws = 32;
constexpr double kNoisePower = 2.0;    // of the mean power of noise is taken off: it swings about its mean
constexpr double kPutBack = 0.4;       // of what smoothing took off; found on simulated films
constexpr double kLoudestNoise = 0.04; // of the greatest amplitude

using Spectrum = std::vector<std::complex<double>>;
using Amplitudes = std::vector<double>;

// How long a series is after padding with zeros, and how many of its frequencies lie from 0 Hz to the highest.
struct Bins {
    std::size_t size = 1, count = 0;
    Bins(std::size_t samples, double rate, int padding) {
        while (size < samples)
            size *= 2;
        size <<= padding;
        count = std::min(size / 2, static_cast<std::size_t>(kHighest / (rate / static_cast<double>(size)))) + 1;
    }
};

Spectrum spectrumOf(std::span<const double> speeds, double rate, int padding = kFine) {
    const Bins bins(speeds.size(), rate, padding);
    std::vector<double> padded(bins.size, 0.0);
    std::copy(speeds.begin(), speeds.end(), padded.begin());
    Spectrum out;
    Eigen::FFT<double>().fwd(out, padded);
    out.resize(bins.count);
    return out;
}

// The coarse spectra of many series, one a column. Of short ones so few bins are wanted that a product of matrices is
// faster than so many transforms; for long ones the matrices would grow with the square of their length.
Eigen::MatrixXcd spectraOf(const Eigen::MatrixXd& series, double rate) {
    constexpr Eigen::Index kLong = 512;
    const Bins bins(static_cast<std::size_t>(series.rows()), rate, kCoarse);
    if (series.rows() > kLong) {
        Eigen::MatrixXcd out(bins.count, series.cols());
        for (Eigen::Index i = 0; i < series.cols(); ++i) {
            const Spectrum one =
                spectrumOf({series.col(i).data(), static_cast<std::size_t>(series.rows())}, rate, kCoarse);
            std::copy(one.begin(), one.end(), out.col(i).begin());
        }
        return out;
    }
    std::vector<double> cosines(bins.size), sines(bins.size);
    for (std::size_t i = 0; i < bins.size; ++i) {
        const double at = -2.0 * std::numbers::pi * static_cast<double>(i) / static_cast<double>(bins.size);
        cosines[i] = std::cos(at);
        sines[i] = std::sin(at);
    }
    Eigen::MatrixXd real(bins.count, series.rows()), imaginary(bins.count, series.rows());
    for (Eigen::Index i = 0; i < series.rows(); ++i)
        for (Eigen::Index k = 0; k < real.rows(); ++k) {
            const std::size_t at = static_cast<std::size_t>(k * i) % bins.size;
            real(k, i) = cosines[at];
            imaginary(k, i) = sines[at];
        }
    Eigen::MatrixXcd out(real.rows(), series.cols());
    out.real() = real * series;
    out.imag() = imaginary * series;
    return out;
}

// What noise adds to a spectrum, and what smoothing takes off it.
struct Spoiled {
    std::vector<double> noise;   // powers, none: no noise
    std::size_t coarser = 1;     // how many bins have a power in common
    std::optional<Hertz> cutoff; // none: not smoothed
    double step = 0.0;           // Hz from bin to bin
};

// The amplitudes without what noise adds. What smoothing took off is put back, the less of it the less an amplitude
// stands out of the noise.
Amplitudes amplitudesOf(const Spectrum& spectrum, const Spoiled& by = {}) {
    Amplitudes out;
    for (std::size_t k = 0; k < spectrum.size(); ++k) {
        const double seen = std::norm(spectrum[k]);
        const double power =
            by.noise.empty() ? 0.0 : kNoisePower * by.noise[std::min(k / by.coarser, by.noise.size() - 1)];
        const double clear = std::max(0.0, seen - power);
        const double lost =
            by.cutoff ? (std::numbers::sqrt2 - 1.0) * std::pow(static_cast<double>(k) * by.step / by.cutoff->value, 4)
                      : 0.0;
        out.push_back(std::sqrt(clear) * (1.0 + (seen > 0.0 ? kPutBack * lost * clear / seen : 0.0)));
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
    for (auto a = first; a < last; ++a) { // far from where squares overflow: hypot() would take its time
        const double rise = (a[1] - a[0]) / top;
        length += std::sqrt(width * width + rise * rise);
    }
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

} // namespace

std::vector<double> speedNoise(std::size_t length, std::optional<Hertz> cutoff, double rate) {
    constexpr std::size_t kBeside = 20; // the filter settles
    const Hertz hz = cutoff.value_or(Hertz(rate));
    std::minstd_rand random{1};
    std::normal_distribution<double> normal{0.0, 1.0};
    std::vector<double> white(length + 2 * kBeside);
    for (double& w : white)
        w = normal(random);
    const auto smooth = zeroLag(white, hz, Hertz(rate));
    const double scale = 0.5 / std::sqrt(noiseGain(hz, Hertz(rate)).rate);
    std::vector<double> out(length);
    for (std::size_t i = 0; i < length; ++i)
        out[i] = scale * (smooth[i + kBeside + 1] - smooth[i + kBeside - 1]);
    return out;
}

double spectralArcLength(std::span<const double> speeds, double rate, double threshold) {
    return arcLength(amplitudesOf(spectrumOf(speeds, rate)), threshold);
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
        return refuse(
            d, say("measure", "this film is too slow: smoothness is read from what happens up to 10 times a second"));
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
    // The noise is drawn: what it does to a speed that has no sign, and to where the spectrum ends, has no formula.
    const auto cutoff = slowestCutoff(motion, d.points, setup);
    const auto noise = speedNoise(2 * kDraws * n, cutoff, rate);
    const auto rows = static_cast<Eigen::Index>(n);
    Eigen::MatrixXd series(rows, kDraws + 2);
    for (Eigen::Index i = 0; i < rows; ++i) {
        const auto at = static_cast<std::size_t>(i);
        series(i, 0) = speeds[at];
        series(i, 1) = without[at];
        for (std::size_t draw = 0; draw < kDraws; ++draw) {
            const double along = without[at] + errors[at] * noise[2 * draw * n + at],
                         across = point ? errors[at] * noise[(2 * draw + 1) * n + at] : 0.0;
            series(i, static_cast<Eigen::Index>(draw) + 2) = std::sqrt(along * along + across * across);
        }
    }
    const Eigen::MatrixXcd spectra = spectraOf(series, rate);
    const Spectrum seen(spectra.col(0).begin(), spectra.col(0).end());
    const Eigen::MatrixXcd draws = spectra.rightCols(kDraws).colwise() - spectra.col(1);
    const Eigen::VectorXd powers = draws.cwiseAbs2().rowwise().mean();
    const std::vector<double> power(powers.begin(), powers.end());
    double top = 0.0;
    for (const auto& s : seen)
        top = std::max(top, std::abs(s));
    // At the slow end noise only lifts what is large anyway.
    const double loudest =
        std::sqrt(*std::max_element(power.begin() + static_cast<std::ptrdiff_t>(power.size() / 2), power.end()));
    if (!(loudest < kLoudestNoise * top))
        return refuse(
            d, say("measure", "jerks cannot be told from errors of its marks: film it larger or mark it more closely"));
    MeasureValue v;
    v.measure = d.id;
    const auto value = [&](std::span<const double> of) {
        const Bins bins(of.size(), rate, kFine);
        return meanArcLength(amplitudesOf(
            spectrumOf(of, rate), {power, 1 << (kFine - kCoarse), cutoff, rate / static_cast<double>(bins.size)}));
    };
    v.value = value(speeds);
    // How far noise moves it: added to what of the spectrum stands out of the noise.
    const Amplitudes clear = amplitudesOf(seen, {power, 1, {}, 0.0});
    const double step = rate / static_cast<double>(Bins(n, rate, kCoarse).size);
    double sum = 0.0, squares = 0.0;
    for (int i = 0; i < kDraws; ++i) {
        Spectrum draw(draws.col(i).begin(), draws.col(i).end());
        for (std::size_t k = 0; k < seen.size(); ++k)
            draw[k] += clear[k] > 0.0 ? seen[k] * (clear[k] / std::abs(seen[k])) : 0.0;
        const double moved = meanArcLength(amplitudesOf(draw, {power, 1, cutoff, step}));
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

constinit const KindSpec kSmoothness = {
    .points = {1, 3},
    .ofSpan = true,
    .over =
        [](const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
            return evaluateSmoothness(in.definition, in.motion, from, until, in.setup);
        },
};

} // namespace riflesso
