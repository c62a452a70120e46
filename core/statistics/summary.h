#pragma once
/// \file
/// Mean, spread and the interval of a mean for small samples of repetitions.

#include "core/statistics/distributions.h"

#include <optional>
#include <span>

namespace riflesso {

/// Mean and sample standard deviation (n - 1) of a sample.
struct Summary {
    int n = 0;
    double mean = 0.0;
    double sd = 0.0; ///< 0 when n < 2: the spread of one value is not known, callers must look at n
};

/// Empty for an empty sample.
std::optional<Summary> summarise(std::span<const double> values);

/// Two-sided t interval of the mean. Empty when n < 2.
std::optional<Interval> meanInterval(const Summary& summary, double confidence = 0.95);

/// A straight line by least squares.
struct LineFit {
    double slope = 0.0, intercept = 0.0;
    double uSlope = 0.0; ///< standard error of the slope from the residuals; 0 with two points
};
/// Empty with fewer than two points, or all at one x.
std::optional<LineFit> fitLine(std::span<const double> x, std::span<const double> y);

/// Median; empty for an empty sample. The mean of the middle two for an even count.
std::optional<double> median(std::span<const double> values);

} // namespace riflesso
