#pragma once
/// \file
/// Chains of segments: who is fastest when. And how smoothly one of them moves.

#include "core/measure/extreme.h"
#include "core/measure/movement.h"

#include <span>

namespace riflesso {

/// Speed of a point (one), angular speed of a segment (two) or of a joint (three) on every frame of a span, without
/// sign; px/s, lengths/s or degrees/s. Error: what is not marked.
Result<std::vector<Sample>> speedsOf(const MeasureDefinition& definition, const std::vector<PointSpec>& points,
                                     const Motion& motion, FrameIndex first, FrameIndex last, const ViewSetup& setup);

/// Kinds chain and smoothness. Never fail: see evaluate().
MeasureValue evaluateChain(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                           const PlacedPosition& until, const ViewSetup& setup);
MeasureValue evaluateSmoothness(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                                const PlacedPosition& until, const ViewSetup& setup);

inline constexpr double kArcThreshold = 0.05;

/// Spectral arc length of a speed profile, dimensionless, below 0; nearer 0 is smoother. Zero padding by 2⁴, highest
/// frequency 10 Hz. Source: S. Balasubramanian, A. Melendez-Calderon, A. Roby-Brami, E. Burdet 2015, J.
/// NeuroEngineering and Rehabilitation 12:112. \p speeds: at even steps, three or more, not all 0; \p rate: Hz. \p
/// slopes, when given, becomes d value / d speed of each sample.
double spectralArcLength(std::span<const double> speeds, double rate, std::vector<double>* slopes = nullptr,
                         double threshold = kArcThreshold);

} // namespace riflesso
