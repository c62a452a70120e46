#pragma once
/// \file
/// The guide of a technique: what a blueprint says, for the bag and the assistant coach.

#include "core/motion/mark.h"
#include "core/technique/blueprint.h"
#include "footage/picture.h"
#include "handover/paper.h"

#include <map>

namespace riflesso {

/// A square still round the body, with its figure. \p points: px of the picture.
QImage positionStill(Picture picture, const std::map<LandmarkName, Pixel>& points);

/// \p pictures: of key positions, cropped; those without one show the blueprint's own, or words alone.
PaperContent techniqueGuide(const Blueprint& blueprint, const std::map<PositionId, QImage>& pictures);

} // namespace riflesso
