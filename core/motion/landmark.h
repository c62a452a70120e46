#pragma once
/// \file
/// The standard figure: the names of its landmarks, their mirror partners, the bones between them.

#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace riflesso {

/// Landmarks are named: `head`, `neck`, `left_`/`right_` + `shoulder elbow wrist hand hip knee ankle heel toe`.
/// Any other lower-case name is an implement end, as `foil_tip`.
using LandmarkName = std::string;

/// The twenty standard names, head to toe.
const std::vector<LandmarkName>& standardLandmarks();

/// True for a standard name or a well-formed free one (lower-case letter first, then letters, digits, underscores) that
/// does not pretend to be a body side (`left_nose` is not a landmark).
bool isLandmarkName(std::string_view name);

/// `left_knee` <-> `right_knee`; every other name is its own partner.
LandmarkName mirrored(const LandmarkName& name);

/// Which hand holds the implement; the same side's leg is in front.
enum class Side { left, right };

/// Blueprints name limbs by their duty: `lead_` is the side of the weapon hand, `rear_` the other one. This gives the
/// body's name: role "lead_knee" of a right-handed athlete is "right_knee". Other names stay.
LandmarkName resolveRole(std::string_view role, Side handedness);

/// Bones to draw, as pairs of landmark names, far to near.
const std::vector<std::pair<LandmarkName, LandmarkName>>& standardBones();

/// "left_knee" -> "left knee", for screens.
std::string spoken(std::string_view landmark);

} // namespace riflesso
