#include "core/statistics/correlation.h"

#include <unsupported/Eigen/FFT>

#include <algorithm>
#include <cmath>
#include <complex>
#include <numeric>

namespace riflesso {
namespace {

std::vector<double> centred(std::span<const double> x) {
    const double mean = x.empty() ? 0.0 : std::accumulate(x.begin(), x.end(), 0.0) / static_cast<double>(x.size());
    std::vector<double> out(x.begin(), x.end());
    for (double& v : out)
        v -= mean;
    return out;
}

double norm(const std::vector<double>& x) {
    return std::sqrt(std::inner_product(x.begin(), x.end(), x.begin(), 0.0));
}

// Σ x(t) y(t + lag), circular over a length that leaves room for all lags.
std::vector<double> products(std::vector<double> x, std::vector<double> y) {
    std::size_t n = 1;
    while (n < x.size() + y.size())
        n *= 2;
    x.resize(n);
    y.resize(n);
    Eigen::FFT<double> fft;
    std::vector<std::complex<double>> fx, fy;
    fft.fwd(fx, x);
    fft.fwd(fy, y);
    for (std::size_t i = 0; i < fx.size(); ++i)
        fx[i] = std::conj(fx[i]) * fy[i];
    std::vector<double> out;
    fft.inv(out, fx);
    return out;
}

} // namespace

CrossCorrelation crossCorrelation(std::span<const double> x, std::span<const double> y) {
    CrossCorrelation c;
    if (x.empty() || y.empty())
        return c;
    const auto a = centred(x), b = centred(y);
    const double scale = norm(a) * norm(b);
    const auto p = products(a, b);
    const auto n = static_cast<std::ptrdiff_t>(p.size());
    const auto nx = static_cast<std::ptrdiff_t>(x.size()), ny = static_cast<std::ptrdiff_t>(y.size());
    const std::ptrdiff_t least = std::max<std::ptrdiff_t>(1, std::min(nx, ny) / 4);
    c.firstLag = least - nx;
    for (std::ptrdiff_t lag = c.firstLag; lag <= ny - least; ++lag)
        c.values.push_back(scale > 0.0 ? p[static_cast<std::size_t>((lag + n) % n)] / scale : 0.0);
    return c;
}

std::vector<double> autocorrelation(std::span<const double> x, std::size_t longest) {
    const auto a = centred(x);
    std::vector<double> out(longest + 1, 0.0);
    if (a.empty())
        return out;
    const auto p = products(a, a);
    for (std::size_t lag = 0; lag <= longest && lag < a.size(); ++lag) {
        const double overlap = static_cast<double>(a.size() - lag) / static_cast<double>(a.size());
        out[lag] = p[0] > 0.0 ? p[lag] / p[0] / overlap : 0.0;
    }
    return out;
}

double kendallTau(std::span<const double> x, std::span<const double> y) {
    double agree = 0.0, tiedX = 0.0, tiedY = 0.0, pairs = 0.0;
    for (std::size_t i = 0; i < x.size(); ++i)
        for (std::size_t j = i + 1; j < x.size(); ++j) {
            const auto sign = [](double a, double b) { return a < b ? 1.0 : a > b ? -1.0 : 0.0; };
            const double a = sign(x[i], x[j]), b = sign(y[i], y[j]);
            agree += a * b;
            tiedX += a == 0.0;
            tiedY += b == 0.0;
            pairs += 1.0;
        }
    const double scale = std::sqrt((pairs - tiedX) * (pairs - tiedY));
    return scale > 0.0 ? agree / scale : 0.0;
}

} // namespace riflesso
