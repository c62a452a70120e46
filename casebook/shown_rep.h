#pragma once
/// \file
/// Which reps show a measure, and on which frame.

#include "casebook/analysis.h"

#include <cstddef>
#include <string>
#include <vector>

namespace riflesso {

/// A rep as the picture of a measure. `value` points into the analysis.
struct ShownRep {
    Id rep = 0;
    const MeasureValue* value = nullptr; ///< null when it could not be read
    FrameIndex frame;
};

/// The judged reps of the measure's view, or those they are compared with when \p model: a model's, or the own set that
/// stands in its place. Those on which neither the measure nor its key position lies are left out.
std::vector<ShownRep> shownReps(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                const std::string& measure, bool model);

/// The place among \p reps of the one that is farthest outside the measure's band; 0 when none is, or none is judged.
std::size_t farthestOff(const Analysis& analysis, const std::string& measure, const std::vector<ShownRep>& reps);

} // namespace riflesso
