#pragma once
/// \file
/// How smoothly a point or a segment moves.

#include "core/measure/evaluate.h"

#include <span>

namespace riflesso {

/// Spectral arc length of a speed profile, dimensionless, below 0; nearer 0 is smoother. Zero padding by 2⁴, highest
/// frequency 10 Hz. Source: S. Balasubramanian, A. Melendez-Calderon, A. Roby-Brami, E. Burdet 2015, J.
/// NeuroEngineering and Rehabilitation 12:112. \p speeds: at even steps, three or more, not all 0; \p rate: Hz; \p
/// threshold: share of the greatest amplitude below which the ends of the spectrum are cut off, as published.
double spectralArcLength(std::span<const double> speeds, double rate, double threshold = 0.05);

/// Kind smoothness: the mean of the spectral arc lengths at ten thresholds from 0.03 to 0.12. With one threshold the
/// value jumps by a quarter when a lobe of the spectrum just reaches it, and noise alone decides whether it does. Never
/// fails: see evaluate().
MeasureValue evaluateSmoothness(const MeasureDefinition& definition, const Motion& motion, const PlacedPosition& from,
                                const PlacedPosition& until, const ViewSetup& setup);

/// Noise as a smoothed track's speed has it, of unit variance; always the same one, so that a value stays what it is.
std::vector<double> speedNoise(std::size_t length, std::optional<Hertz> cutoff, double rate);

} // namespace riflesso
