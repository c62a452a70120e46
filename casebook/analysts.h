#pragma once
/// \file
/// Two analysts, one athlete: what one of them reads more than the other is known from frames that both have marked,
/// and taken off; where it is not known their numbers are not compared.

#include "casebook/analysis.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// From repeat markings, in either direction, of takes whose marks have a name. Empty with fewer than three frames, and
/// for measures that have no value on a frame.
std::optional<AnalystDifference> differenceOf(const CaseData& data, const Blueprint& blueprint,
                                              const std::string& measure, const std::string& first,
                                              const std::string& second);

/// One measure of a rep of another analyst's as it would have been read by whom \p difference is against: it is taken
/// off, and its error, which all reps of that analyst share, is added.
MeasuredRep asReadBy(const AnalystDifference& difference, const std::string& measure, MeasuredRep rep);

} // namespace riflesso
