#pragma once
/// \file
/// A measure tried on the reps that a case has, while it is being made.

#include "casebook/analysis.h"

#include <vector>

namespace riflesso {

struct TriedValue {
    Id rep = 0; ///< 0 = over all reps of one performer, for what is read over reps
    bool model = false;
    MeasureValue value;
};
/// On each rep whose view shows it and that has key positions and marks; refused values among them, with their reason.
std::vector<TriedValue> tryMeasure(const Blueprint& blueprint, const MeasureDefinition& definition,
                                   const CaseData& data, const Analysis& analysis);

} // namespace riflesso
