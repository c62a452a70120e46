#pragma once
/// \file
/// How far an end swings round a pivot, seen from the body.

#include "core/measure/kinds/movement.h"

namespace riflesso {

/// Kind swing: points are the end, the pivot that it travels round, and the low and the high end of the body's long
/// axis. Aspect `length`: the end's way against the pivot in axes that turn with the body, in the unit of length.
/// Aspect `share`: net turn of pivot→end against low→high as a share of a full turn, signed as an angle is, not
/// wrapped: a whole turn is 1. Never fails: see evaluate().
MeasureValue evaluateSwing(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                           const PlacedPosition& until, const ViewSetup& setup);

} // namespace riflesso
