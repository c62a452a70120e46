#pragma once
/// \file
/// One value out of the frames of a phase, or of those before a contact.

#include "core/measure/evaluate.h"

namespace riflesso {

/// The definition's reduction over all frames from one key position to another. Never fails: see evaluate().
MeasureValue evaluateOver(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                          const PlacedPosition& until, const ViewSetup& setup);

/// The value that a movement had reached when a contact cut it off (Reduction::justBefore). Never fails: see
/// evaluate().
MeasureValue evaluateJustBefore(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& at,
                                const ViewSetup& setup);

} // namespace riflesso
