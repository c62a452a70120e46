#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>
#include <numeric>
#include <vector>

namespace riflesso {

std::optional<Summary> summarise(std::span<const double> values) {
    if (values.empty())
        return std::nullopt;
    Summary s;
    s.n = static_cast<int>(values.size());
    s.mean = std::accumulate(values.begin(), values.end(), 0.0) / s.n;
    if (s.n > 1) {
        double ss = 0.0;
        for (double v : values)
            ss += (v - s.mean) * (v - s.mean);
        s.sd = std::sqrt(ss / (s.n - 1));
    }
    return s;
}

std::optional<Interval> meanInterval(const Summary& summary, double confidence) {
    if (summary.n < 2)
        return std::nullopt;
    const double half =
        studentQuantile(0.5 + confidence / 2.0, summary.n - 1) * summary.sd / std::sqrt(static_cast<double>(summary.n));
    return Interval{summary.mean - half, summary.mean + half};
}

std::optional<LineFit> fitLine(std::span<const double> x, std::span<const double> y) {
    const auto mx = summarise(x), my = summarise(y);
    if (!mx || mx->n < 2 || x.size() != y.size())
        return std::nullopt;
    double xx = 0.0, xy = 0.0;
    for (std::size_t i = 0; i < x.size(); ++i) {
        xx += (x[i] - mx->mean) * (x[i] - mx->mean);
        xy += (x[i] - mx->mean) * (y[i] - my->mean);
    }
    if (!(xx > 0.0))
        return std::nullopt;
    LineFit line;
    line.slope = xy / xx;
    line.intercept = my->mean - line.slope * mx->mean;
    double rest = 0.0;
    for (std::size_t i = 0; i < x.size(); ++i)
        rest += std::pow(y[i] - line.intercept - line.slope * x[i], 2);
    if (mx->n > 2)
        line.uSlope = std::sqrt(rest / (mx->n - 2) / xx);
    return line;
}

std::optional<double> median(std::span<const double> values) {
    if (values.empty())
        return std::nullopt;
    std::vector<double> sorted(values.begin(), values.end());
    const auto middle = sorted.begin() + static_cast<std::ptrdiff_t>(sorted.size() / 2);
    std::nth_element(sorted.begin(), middle, sorted.end());
    if (sorted.size() % 2 == 1)
        return *middle;
    return (*middle + *std::max_element(sorted.begin(), middle)) / 2.0;
}

} // namespace riflesso
