#pragma once
/// \file
/// A technique that begins with a question: what was clicked on a frame becomes the first measure of a new blueprint.

#include "core/measure/question.h"
#include "core/technique/blueprint.h"

#include <optional>

namespace riflesso {

/// A blueprint with a beginning, an end and one measure at the beginning. \p landmarks: what each clicked point is, in
/// order; \p handedness turns sides into roles, \p facing a lean into one forwards. The target is a band of the coach
/// round the value that was read, two of its errors to each side. Nothing when the answer is not one that a measure
/// gives (a lean of two points, a length of four as a ratio, an angle of three, the angle of two lines), was refused,
/// or a point is no landmark.
std::optional<Blueprint> blueprintFrom(const Answer& answer, const std::vector<LandmarkName>& landmarks,
                                       Side handedness, Facing facing, const std::string& name);

} // namespace riflesso
