#pragma once
/// \file
/// The gate of a stage: step up, stay, step down, or count more reps.

#include "core/programme/calendar.h"
#include "core/technique/blueprint.h"

#include <string>
#include <vector>

namespace riflesso {

/// One learns where about three in four are good: a zone, not a threshold to beat.
struct GateOptions {
    double poorRate = 0.5;  ///< half or fewer: make it easier (common practice, no source)
    double goodRate = 0.75; ///< the upper part of the zone (common practice, no source)
    double easyRate = 0.85; ///< above it nothing is learnt any more (common practice, no source)
    double stepAt = 0.8;    ///< probability needed for a step
    int fewest = 8;         ///< never from fewer reps
    int mostMore = 40;      ///< how far ahead "count n more" looks
    double halfLife = 7.0;  ///< days after which a rep counts half
};

enum class GateAnswer { stepUp, stay, stepDown, countMore };

struct Gate {
    GateAnswer answer = GateAnswer::countMore;
    double pGood = 0.0; ///< P(success rate ≥ goodRate)
    double pPoor = 0.0; ///< P(success rate ≤ poorRate)
    double pEasy = 0.0; ///< P(success rate > easyRate)
    int more = 0;       ///< countMore: reps that would decide at the rate seen so far
    std::string words;
};

/// A blueprint's zones as options.
GateOptions gateOptions(const GateZones& zones);

/// Reps of one drill on one day.
struct GateBlock {
    Day day{};
    int good = 0, bad = 0; ///< ≥ 0
};

/// Posterior Beta(1 + good, 1 + bad) of the success rate, where a rep of d days before \p today counts 2^(−d /
/// halfLife). Down when P(rate ≤ poorRate) ≥ stepAt. Up when P(rate > easyRate) ≥ stepAt, or when two blocks on two
/// days have goodRate or more each and P(rate ≥ goodRate) ≥ stepAt. Else stay, or count more when at most \p mostMore
/// reps at the rate seen would decide.
Gate gate(const std::vector<GateBlock>& blocks, Day today, const GateOptions& options = {});

/// Of one block, today.
Gate gate(int good, int bad, const GateOptions& options = {});

} // namespace riflesso
