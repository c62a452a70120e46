#pragma once
/// \file
/// What is noted of an athlete's body, and what it means for faults and drills.

#include "core/programme/support.h"
#include "library/case_data.h"

#include <set>
#include <string>
#include <vector>

namespace riflesso {

/// Parts with their sides that a fault's measures read: "left knee".
std::set<std::string> partsOfFault(const Blueprint& blueprint, const Fault& fault, Side handedness);
/// Faults that load a place which hurts now: their findings go first, and are left to qualified people.
std::vector<std::string> hurtingFaults(const Blueprint& blueprint, const Athlete& athlete);
/// What is noted of the places that a drill works on.
std::vector<BodyNote> notesForDrill(const Blueprint& blueprint, const std::string& drill, const Athlete& athlete);
/// "Grown 4 cm since 2026-05-01: films from before show another body; lengths in its own segments still hold." Empty
/// when there is one figure or none, or less than 2 cm between the first of the last year and now.
std::string growthWords(const Athlete& athlete);
/// How long a segment of the athlete was seen on a day.
struct SegmentLength {
    Day day{};
    std::string segment; ///< "thigh", "shank", "upper arm", "forearm"
    double metres = 0.0; ///< what one frame in twenty exceeds: what points at the camera is seen shorter than it is
    int frames = 0;      ///< on which both ends are marked
};
/// Thigh, shank, upper arm and forearm from the athlete's takes with a known length, of both sides together; by day.
/// Ten frames at least.
std::vector<SegmentLength> segmentLengths(const CaseData& data);

/// Sets the stature of a day, cm; 0 takes it away.
void setStature(Athlete& athlete, Day day, double stature);
/// "left knee: jumper's knee, since 2026-03-01, hurts now"
std::string bodyWords(const BodyNote& note);

} // namespace riflesso
