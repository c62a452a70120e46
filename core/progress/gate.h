#pragma once
/// \file
/// The gate of a stage: step up, stay, step down, or count more reps.

#include "core/technique/blueprint.h"

#include <string>

namespace riflesso {

struct GateOptions {
    double goodRate = 0.75; ///< right level of a drill (common practice, no source)
    double poorRate = 0.5;  ///< half or fewer: make it easier (common practice, no source)
    double stepAt = 0.8;    ///< probability needed for a step
    int fewest = 8;         ///< never from fewer reps
    int mostMore = 40;      ///< how far ahead "count n more" looks
};

enum class GateAnswer { stepUp, stay, stepDown, countMore };

struct Gate {
    GateAnswer answer = GateAnswer::countMore;
    double pGood = 0.0; ///< P(success rate ≥ goodRate)
    double pPoor = 0.0; ///< P(success rate ≤ poorRate)
    int more = 0;       ///< countMore: reps that would decide at the rate seen so far
    std::string words;
};

/// From the coach's verdicts of the newest block(s) of one drill. Posterior Beta(1 + good, 1 + bad).
/// Precondition: good, bad ≥ 0.
Gate gate(int good, int bad, const GateOptions& options = {});

} // namespace riflesso
