#pragma once
/// \file
/// Chains of segments: who is fastest when.

#include "core/measure/extreme.h"
#include "core/measure/kinds/movement.h"

#include <utility>

namespace riflesso {

/// Speed of a point (one), angular speed of a segment (two) or of a joint (three) on every frame of a span, without
/// sign; px/s, lengths/s or degrees/s. Error: what is not marked.
Result<std::vector<Sample>> speedsOf(const MeasureDefinition& definition, const std::vector<PointSpec>& points,
                                     const Motion& motion, FrameIndex first, FrameIndex last, const ViewSetup& setup);

/// The slowest cut-off that smoothed a landmark of these points; none when their marks are as they were made.
std::optional<Hertz> slowestCutoff(const Motion& motion, const std::vector<PointSpec>& points, const ViewSetup& setup);

/// The speed at an instant between two samples, and its standard uncertainty. \p samples: one or more, in order of
/// time.
std::pair<double, double> speedAt(const std::vector<Sample>& samples, double time);

/// Kind chain. Never fails: see evaluate().
MeasureValue evaluateChain(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                           const PlacedPosition& until, const ViewSetup& setup);

} // namespace riflesso
