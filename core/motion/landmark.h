#pragma once
/// \file
/// Landmarks: the grammar of their names, their mirror partners, the bones between them.

#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace riflesso {

/// Landmarks are named: `head`, `neck`, `left_`/`right_` + `shoulder elbow wrist hand hip knee ankle heel toe`, in
/// detail `thumb index little big_toe little_toe` too. `other_` before such a name is the same place on a second
/// person, `other2_` on a third, up to `other8_`. `ball` and `ball_…` are balls, `scene_…` are fixed points of the scene. Any other lower-case name belongs to
/// an implement: `foil_tip`; `bar_tail` with `bar_tip` is a line; `…_centre` is its middle.
using LandmarkName = std::string;

enum class PointKind { body, hand, foot, implement, ball, scene };

/// What a name stands for; other people's points are of the same kinds as the first one's. Pure, from the name
/// alone.
PointKind kindOf(std::string_view name);

/// True for what is on a person: body, hand or foot.
bool onBody(std::string_view name);

/// Whose point it is: 0 the athlete's, 1 the second person's (`other_`), 2 the third's (`other2_`) … up to
/// kMostOthers.
int personOf(std::string_view name);
inline constexpr int kMostOthers = 8;

/// What stands before the names of a person's points: nothing for 0, then "other_", "other2_" …
std::string personPrefix(int person);

/// The same place on the athlete: "other2_left_knee" -> "left_knee"; the athlete's own names stay.
std::string_view withoutPerson(std::string_view name);

/// True for points of anybody but the athlete.
bool ofOther(std::string_view name);

/// The twenty standard names, head to toe.
const std::vector<LandmarkName>& standardLandmarks();

/// True for a name of a body's point or a well-formed free one (lower-case letter first, then letters, digits,
/// underscores) that does not pretend to be a body's (`left_nose`, `other_tail` are no landmarks).
bool isLandmarkName(std::string_view name);

/// `left_knee` <-> `right_knee`, `other_left_knee` <-> `other_right_knee`; every other name is its own partner.
LandmarkName mirrored(const LandmarkName& name);

/// Which hand holds the implement; the same side's leg is in front.
enum class Side { left, right };

/// Blueprints name limbs by their duty: `lead_` is the side of the weapon hand, `rear_` the other one. This gives the
/// body's name: role "lead_knee" of a right-handed athlete is "right_knee". Other names stay.
LandmarkName resolveRole(std::string_view role, Side handedness);

/// Bones of one person, hand and foot detail last, as pairs of landmark names.
const std::vector<std::pair<LandmarkName, LandmarkName>>& standardBones();

/// Pairs to draw a line between and to look along, among the given names: bones of the athlete and of each other
/// person, lines of implements (`bar_tail` to `bar_tip`).
std::vector<std::pair<LandmarkName, LandmarkName>> linesAmong(const std::vector<LandmarkName>& names);

/// True for an implement's end that hangs on the hand that holds it: not a centre, not one of two ends that are there.
bool hangsOnHand(const LandmarkName& name, const std::vector<LandmarkName>& among);

/// "left_knee" -> "left knee", "other_left_knee" -> "other's left knee", "other2_left_knee" ->
/// "person 3's left knee", "scene_line" -> "line", for screens.
std::string spoken(std::string_view landmark);

} // namespace riflesso
