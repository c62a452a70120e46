#include "core/motion/smoothing.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {
namespace {

constexpr std::size_t kPad = 9; // SciPy's default: 3 × the number of taps

// Direct form II transposed, with the state that a constant input of x[0] would have left behind.
void runPass(const Biquad& q, std::vector<double>& x) {
    const double gain = (q.b[0] + q.b[1] + q.b[2]) / (1.0 + q.a[1] + q.a[2]);
    double z1 = (q.b[1] + q.b[2] - (q.a[1] + q.a[2]) * gain) * x.front();
    double z2 = (q.b[2] - q.a[2] * gain) * x.front();
    for (double& v : x) {
        const double in = v;
        const double out = q.b[0] * in + z1;
        z1 = q.b[1] * in - q.a[1] * out + z2;
        z2 = q.b[2] * in - q.a[2] * out;
        v = out;
    }
}

} // namespace

Biquad butterworthPass(Hertz effectiveCutoff, Hertz rate) {
    const double correction = std::pow(std::numbers::sqrt2 - 1.0, 0.25);
    const double w = std::tan(std::numbers::pi * effectiveCutoff.value / rate.value) / correction;
    const double k1 = std::numbers::sqrt2 * w;
    const double k2 = w * w;
    const double a0 = 1.0 + k1 + k2;
    return {{k2 / a0, 2.0 * k2 / a0, k2 / a0}, {1.0, 2.0 * (k2 - 1.0) / a0, (1.0 - k1 + k2) / a0}};
}

std::vector<double> zeroLag(std::span<const double> samples, Hertz effectiveCutoff, Hertz rate) {
    const std::size_t n = samples.size();
    std::vector<double> out(samples.begin(), samples.end());
    if (n < 4 || effectiveCutoff.value >= rate.value / 2.0 || !(effectiveCutoff.value > 0.0))
        return out;
    const std::size_t pad = std::min(kPad, n - 1);
    std::vector<double> x;
    x.reserve(n + 2 * pad);
    for (std::size_t i = pad; i > 0; --i)
        x.push_back(2.0 * samples.front() - samples[i]);
    x.insert(x.end(), samples.begin(), samples.end());
    for (std::size_t i = 1; i <= pad; ++i)
        x.push_back(2.0 * samples.back() - samples[n - 1 - i]);
    const Biquad pass = butterworthPass(effectiveCutoff, rate);
    runPass(pass, x);
    std::reverse(x.begin(), x.end());
    runPass(pass, x);
    std::reverse(x.begin(), x.end());
    std::copy_n(x.begin() + static_cast<std::ptrdiff_t>(pad), n, out.begin());
    return out;
}

NoiseGain noiseGain(Hertz effectiveCutoff, Hertz rate) {
    if (effectiveCutoff.value >= rate.value / 2.0 || !(effectiveCutoff.value > 0.0))
        return {};
    // Long enough for the response of the slowest filter to die away: a few periods of the cut-off.
    const auto half = static_cast<std::size_t>(std::ceil(4.0 * rate.value / effectiveCutoff.value)) + 8;
    std::vector<double> impulse(2 * half + 1, 0.0);
    impulse[half] = 1.0;
    const std::vector<double> h = zeroLag(impulse, effectiveCutoff, rate);
    const std::vector<double> again = zeroLag(h, effectiveCutoff, rate);
    NoiseGain g{0.0, 1.0 - 2.0 * h[half], 0.0, 0.0};
    const std::vector<double> thrice = zeroLag(again, effectiveCutoff, rate);
    for (std::size_t i = 0; i < h.size(); ++i)
        g.twice += std::pow(2.0 * h[i] - 3.0 * again[i] + thrice[i], 2);
    for (double v : h)
        g.passed += v * v;
    for (std::size_t i = 1; i + 1 < h.size(); ++i)
        g.rate += (h[i + 1] - h[i - 1]) * (h[i + 1] - h[i - 1]) / 4.0;
    g.residual += g.passed;
    return g;
}

std::vector<double> derivative(std::span<const double> samples, Hertz rate) {
    const std::size_t n = samples.size();
    std::vector<double> d(n, 0.0);
    if (n < 2)
        return d;
    d.front() = (samples[1] - samples[0]) * rate.value;
    d.back() = (samples[n - 1] - samples[n - 2]) * rate.value;
    for (std::size_t i = 1; i + 1 < n; ++i)
        d[i] = (samples[i + 1] - samples[i - 1]) * rate.value / 2.0;
    return d;
}

std::optional<ResidualAnalysis> residualAnalysis(const std::vector<std::vector<double>>& samples, Hertz rate) {
    if (samples.empty() || samples.front().size() < 20)
        return std::nullopt;
    ResidualAnalysis r;
    constexpr double kSlowest = 1.0; // Hz; no human movement of interest is slower
    constexpr int kSteps = 40;
    const double fastest = rate.value * 0.45;
    for (int i = 0; i <= kSteps; ++i) {
        const double fc = kSlowest + (fastest - kSlowest) * i / kSteps;
        double sum = 0.0;
        std::size_t count = 0;
        for (const auto& series : samples) {
            const auto smooth = zeroLag(series, Hertz(fc), rate);
            for (std::size_t k = 0; k < series.size(); ++k)
                sum += (series[k] - smooth[k]) * (series[k] - smooth[k]);
            count += series.size();
        }
        r.cutoffs.push_back(fc);
        r.residuals.push_back(std::sqrt(sum / static_cast<double>(count)));
    }
    // The right-hand part is straight where only noise is left: fit a line to the cut-offs above half the fastest.
    double sx = 0, sy = 0, sxx = 0, sxy = 0, m = 0;
    for (std::size_t i = 0; i < r.cutoffs.size(); ++i) {
        if (r.cutoffs[i] < fastest * 0.5)
            continue;
        sx += r.cutoffs[i];
        sy += r.residuals[i];
        sxx += r.cutoffs[i] * r.cutoffs[i];
        sxy += r.cutoffs[i] * r.residuals[i];
        m += 1;
    }
    const double slope = (m * sxy - sx * sy) / (m * sxx - sx * sx);
    r.noise = (sy - slope * sx) / m;
    r.chosen = Hertz(r.cutoffs.back());
    for (std::size_t i = 0; i < r.cutoffs.size(); ++i) {
        if (r.residuals[i] > r.noise)
            continue;
        if (i == 0) {
            r.chosen = Hertz(r.cutoffs.front());
        } else {
            const double t = (r.residuals[i - 1] - r.noise) / (r.residuals[i - 1] - r.residuals[i]);
            r.chosen = Hertz(r.cutoffs[i - 1] + t * (r.cutoffs[i] - r.cutoffs[i - 1]));
        }
        break;
    }
    return r;
}

} // namespace riflesso
