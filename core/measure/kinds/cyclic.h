#pragma once
/// \file
/// Measures of movements that come round: cadence, overlap of left and right, contacts of the feet.

#include "core/measure/kinds/movement.h"

namespace riflesso {

/// Kind cadence. Never fails: see evaluate().
MeasureValue evaluateCadence(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                             const PlacedPosition& until, const ViewSetup& setup);

/// Kind overlap. Never fails: see evaluate().
MeasureValue evaluateOverlap(const MeasureDefinition& definition, const Motion& motion, const Positions& positions,
                             const ViewSetup& setup);

/// Kind contacts. Never fails: see evaluate().
MeasureValue evaluateContacts(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                              const PlacedPosition& until, const ViewSetup& setup);

/// What is missing by which feet on the ground are told, in words; empty when nothing is.
std::string problemOfFeet(const MeasureDefinition& definition);

/// A stretch of frames for which a foot stands on the ground.
struct Contact {
    std::size_t first = 0, last = 0; ///< indices into the points
    bool begins = false;             ///< the landing itself is among the points
};
/// The lowest place of a point, in its unit, y down, without what noise makes of the lowest of many. Not without
/// points.
/// \p independent: see independentRate().
double lowestOf(const std::vector<MovingPoint>& points, double independent);
/// Where a foot stands: lower than \p height above the lowest place it has among \p points, slower than \p level (let
/// go of at 1.5 times that). Lengths in the unit of the points. Gaps of one or two frames are closed, contacts of one
/// frame left out.
std::vector<Contact> contactsOf(const std::vector<MovingPoint>& points, double level, double height,
                                double independent);

/// A change of speed taken apart: speed = rate × length, so Δspeed = Δrate × mean length + Δlength × mean rate,
/// exactly.
struct SpeedChange {
    double byRate = 0.0, byLength = 0.0; ///< in the unit of speed; they add up to the change
    double uRate = 0.0, uLength = 0.0;   ///< standard uncertainties
};
struct CadenceValue {
    double rate = 0.0, uRate = 0.0;     ///< cycles a second
    double length = 0.0, uLength = 0.0; ///< distance a cycle
};
/// Which of the two made the change. Errors are taken as independent.
SpeedChange speedChange(const CadenceValue& before, const CadenceValue& after);

} // namespace riflesso
