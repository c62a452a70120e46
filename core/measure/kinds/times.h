#pragma once
/// \file
/// Measures of time alone: intervals, and ratios of them.

#include "core/measure/evaluate.h"

#include <functional>

namespace riflesso {

/// The instants of the key positions that a measure reads, s of real time.
struct Instants {
    std::map<PositionId, double> at;
    std::map<PositionId, double> errors; ///< standard errors, s
    std::vector<FrameIndex> frames;      ///< of the positions, in order, each once
};
/// Error: which key position is not placed.
Result<Instants> instantsOf(const MeasureDefinition& definition, const Positions& positions, const Timebase& time);

/// Standard error of a figure made of instants, from the errors of each one by itself (central differences).
/// \p turn: the figure goes round after that much; 0 = it does not.
double errorOf(const Instants& instants, const std::function<double(const std::map<PositionId, double>&)>& figure,
               double turn = 0.0);

/// Kind interval. Never fails: see evaluate(). A ratio of times needs no capture rate: slow motion stretches both.
MeasureValue evaluateInterval(const MeasureDefinition& definition, const Positions& positions, const Timebase& time);

} // namespace riflesso
