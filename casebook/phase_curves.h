#pragma once
/// \file
/// Curves of a measure against the phases of the movement, over reps of the case.

#include "casebook/analysis.h"
#include "core/mirror/registration.h"

#include <vector>

namespace riflesso {

/// Mean curve of some reps, 240 even steps from the first key position to the last; those whose film does not show the
/// measure are passed over. Empty when none does.
std::vector<PhasePoint> phaseCurveOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                     const std::string& measure, const std::vector<Id>& reps);
inline constexpr int kPhaseSteps = 240;

/// The phase of a rep at a frame, in places of the blueprint's key positions. Empty when fewer than two are placed.
std::optional<double> phaseAt(const CaseData& data, const Blueprint& blueprint, Id rep, FrameIndex frame);

/// Measures of a view that have a curve, those that deviate most first, each quantity once.
std::vector<std::string> tellingCurves(const Blueprint& blueprint, const Analysis& analysis, View view);

} // namespace riflesso
