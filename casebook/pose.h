#pragma once
/// \file
/// How a technique's figure stands at a key position: from the case's own model.

#include "casebook/analysis.h"

#include <QPointF>

#include <map>

namespace riflesso {

/// Landmarks (body names of \p take's athlete) in a box of 1 x 1, y down, from the model rep of the same view with most
/// points at the position; turned to face as the take does, a left-hander's sides changed. Empty when no model shows
/// six points of a body there.
std::map<LandmarkName, QPointF> poseAt(const CaseData& data, const Analysis& analysis, const Take& take,
                                       const PositionId& position);

} // namespace riflesso
