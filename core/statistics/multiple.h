#pragma once
/// \file
/// Many questions at once: false alarms held down over a table, and shares that can only fall. Pure functions.

#include <span>
#include <vector>

namespace riflesso {

/// p-values adjusted so that those at or below q hold the share of false discoveries at q; in the order given, each
/// 0..1. NaN stays NaN and is not counted among the questions.
/// Source: Y. Benjamini & Y. Hochberg 1995, J. R. Stat. Soc. B 57:289-300.
std::vector<double> falseDiscoveryAdjusted(std::span<const double> p);

/// The sequence nearest to \p values (least squares with \p weights > 0, of the same length) that never rises: pool
/// adjacent violators. \p blocks, when given, gets for each place the first place of the block it was pooled into.
/// Source: R. E. Barlow et al. 1972, Statistical Inference under Order Restrictions, ch. 1 (from memory).
std::vector<double> neverRising(std::span<const double> values, std::span<const double> weights,
                                std::vector<std::size_t>* blocks = nullptr);

} // namespace riflesso
