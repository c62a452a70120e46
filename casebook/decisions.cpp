#include "casebook/decisions.h"

#include "core/words/say.h"

#include "casebook/analysis.h"

#include <algorithm>

namespace riflesso {

FaultState stateOf(const Blueprint& blueprint, const Analysis& analysis, const std::string& id) {
    if (analysis.finding(id))
        return FaultState::there;
    const Fault* fault = blueprint.fault(id);
    bool judged = false, inside = true;
    if (fault)
        for (const auto& indicator : fault->indicators)
            if (const Deviation* d = analysis.deviation(indicator.measure); d && d->judged) {
                judged = true;
                // What is out on the other side is another fault's business.
                const double out = indicator.direction == Deviance::low ? d->verdict.pLow : d->verdict.pHigh;
                inside = inside && out <= 0.05;
            }
    return !judged ? FaultState::notShown : inside ? FaultState::held : FaultState::undecided;
}

std::vector<FindingDecision> openDecisions(const CaseData& data) {
    std::vector<FindingDecision> out;
    for (const auto& [id, d] : data.decisions)
        if (!d.closed)
            out.push_back(d);
    std::stable_sort(out.begin(), out.end(),
                     [](const auto& a, const auto& b) { return std::pair(a.day, a.id) < std::pair(b.day, b.id); });
    return out;
}

const FindingDecision* decisionOn(const CaseData& data, const std::string& fault) {
    for (const auto& [id, d] : data.decisions)
        if (!d.closed && !fault.empty() && d.fault == fault)
            return &d;
    return nullptr;
}

bool rebuildAgreed(const CaseData& data) {
    bool asked = false, agreed = true;
    for (const auto& [id, d] : data.decisions)
        if (!d.closed && d.kind == DecisionKind::takenUp && d.consent != Consent::notAsked) {
            asked = true;
            agreed = agreed && d.consent == Consent::yes;
        }
    return asked ? agreed : data.brief.wantsRebuild;
}

std::vector<DecidedFault> decidedFaults(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis) {
    std::vector<DecidedFault> out;
    for (const auto& d : openDecisions(data)) {
        DecidedFault f{d, stateOf(blueprint, analysis, d.fault), {}};
        switch (f.state) {
        case FaultState::there:
            f.words = d.kind == DecisionKind::takenUp ? say("findings", "still there in this film")
                                                      : say("findings", "in this film too");
            break;
        case FaultState::held:
            f.words = fill(say("findings", "held: look again on %1"),
                           {dateWords(analysis.judgedDay.value_or(d.day) + std::chrono::days(kLookAgainDays))});
            break;
        case FaultState::undecided:
            f.words = say("findings", "this film cannot decide it");
            break;
        case FaultState::notShown:
            f.words = d.fault.empty() ? say("findings", "seen by eye") : say("findings", "this film does not show it");
            break;
        }
        out.push_back(std::move(f));
    }
    return out;
}

std::vector<FaultReading> readingsOf(const Blueprint& blueprint, const std::vector<Deviation>& deviations) {
    std::vector<FaultReading> out;
    for (const auto& fault : blueprint.faults) {
        const Deviation* best = nullptr;
        double weight = 0.0;
        for (const auto& indicator : fault.indicators)
            for (const auto& d : deviations)
                if (d.judged && d.measure == indicator.measure && indicator.weight > weight) {
                    best = &d;
                    weight = indicator.weight;
                }
        if (best)
            out.push_back({fault.id, best->value.mean, best->value.u, best->band, best->verdict.decision});
    }
    return out;
}

} // namespace riflesso
