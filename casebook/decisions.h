#pragma once
/// \file
/// What a person decided of findings, beside what the film that is judged says.

#include "core/judge/links.h"
#include "library/case_data.h"

#include <string>
#include <vector>

namespace riflesso {

struct Analysis;

/// What the judged film says of a fault.
enum class FaultState {
    there, ///< a finding
    held,  ///< all its measures that could be judged are inside
    undecided,
    notShown ///< none of its measures could be judged
};

struct DecidedFault {
    FindingDecision decision;
    FaultState state = FaultState::notShown;
    std::string words; ///< "held: look again on 2026-12-13"
};

/// After how many days a fault that is held is looked at again (common practice, no source).
inline constexpr int kLookAgainDays = 21;

FaultState stateOf(const Blueprint& blueprint, const Analysis& analysis, const std::string& fault);

/// Open decisions in the order in which they were taken.
std::vector<FindingDecision> openDecisions(const CaseData& data);
/// The open decision on a fault; null when there is none.
const FindingDecision* decisionOn(const CaseData& data, const std::string& fault);
/// Does every focus that was taken up have the athlete's yes, or nobody was asked and the brief says so?
bool rebuildAgreed(const CaseData& data);

std::vector<DecidedFault> decidedFaults(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis);

/// The measure that shows a fault best: of its indicators that could be judged the weightiest.
std::vector<FaultReading> readingsOf(const Blueprint& blueprint, const std::vector<Deviation>& deviations);

} // namespace riflesso
