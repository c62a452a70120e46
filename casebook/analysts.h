#pragma once
/// \file
/// Two analysts or two cameras, one athlete: what one of them reads more than the other is known from frames that both
/// have marked, or from reps that both have filmed, and taken off; where it is not known their numbers are not
/// compared.

#include "casebook/analysis.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// From repeat markings, in either direction, of takes whose marks have a name. Empty with fewer than three frames, and
/// for measures that have no value on a frame.
std::optional<ReadingDifference> differenceOf(const CaseData& data, const Blueprint& blueprint,
                                              const std::string& measure, const std::string& first,
                                              const std::string& second);

/// From reps that both cameras filmed: of takes that are locked to one another, seen from the same side. Its error is
/// that of the mean of the pairs, by their spread or by the readings' own chance, whichever is larger. Empty with fewer
/// than three.
std::optional<ReadingDifference> cameraDifference(const CaseData& data, const std::map<Id, MeasuredRep>& measured,
                                                  const std::string& measure, const std::string& first,
                                                  const std::string& second);

/// Reps that two cameras filmed from the same side, the first one's first: one execution each.
std::vector<std::pair<Id, Id>> filmedTwice(const CaseData& data, const std::string& first, const std::string& second);

/// One measure of a rep of another analyst's or camera's as it would have been read by whom \p difference is against:
/// it is taken off, and its error, which all of the other's reps share, is added.
MeasuredRep asReadBy(const ReadingDifference& difference, const std::string& measure, MeasuredRep rep);

} // namespace riflesso
