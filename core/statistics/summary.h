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

/// Median; empty for an empty sample. The mean of the middle two for an even count.
std::optional<double> median(std::span<const double> values);

} // namespace riflesso
