#pragma once
/// \file
/// A measure over its dates: what Progress shows of each focus, and of any other measure that is asked for.

#include "casebook/analysis.h"

#include <string>
#include <vector>

namespace riflesso {

/// The athlete's reps of a measure by day and stage, read by one analyst and one camera as far as the others'
/// difference is known. \p fault: what it is followed for; may be empty. No points for a measure that there is not.
/// Pure.
FocusTrend trendOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, const std::string& fault,
                   const std::string& measure);

/// Measures that have a band and a value in some rep, in the blueprint's order.
std::vector<std::string> followedMeasures(const Blueprint& blueprint, const Analysis& analysis);

} // namespace riflesso
