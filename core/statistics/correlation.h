#pragma once
/// \file
/// Correlation of series with themselves and with one another.

#include <cstddef>
#include <span>
#include <vector>

namespace riflesso {

/// Correlation by lag. `values[i]` belongs to lag `firstLag + i`, in samples: y shifted by it looks like x.
struct CrossCorrelation {
    std::vector<double> values;
    std::ptrdiff_t firstLag = 0;
};

/// Pearson-like correlation of x(t) with y(t + lag) over all lags at which at least a quarter of the shorter overlaps;
/// means and norms are of the whole series, so that short overlaps cannot win by chance. By FFT.
CrossCorrelation crossCorrelation(std::span<const double> x, std::span<const double> y);

/// Autocorrelation of a series, lags 0 to \p longest; 1 at lag 0. Zeros for a constant one. Each lag is scaled for its
/// overlap, so that a period is as high at twice its length.
std::vector<double> autocorrelation(std::span<const double> x, std::size_t longest);

/// Kendall's τ-b of two series of the same length: 1 = the same order, −1 = reversed; 0 when one is constant. Source:
/// M. G. Kendall 1945, Biometrika 33:239-251.
double kendallTau(std::span<const double> x, std::span<const double> y);

} // namespace riflesso
