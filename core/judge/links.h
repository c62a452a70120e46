#pragma once
/// \file
/// Causes put to the test: does the consequence really go when its cause goes?

#include "core/judge/judge.h"

#include <string>
#include <vector>

namespace riflesso {

/// A fault's leading measure at one time.
struct FaultReading {
    std::string fault;
    double value = 0.0;
    double u = 0.0;
    Band band;
    Decision decision = Decision::undecided;
};

/// One re-measurement of a link: the cause moved towards its band by more than could be chance.
struct LinkCheck {
    std::string cause, consequence;
    bool followed = false; ///< the consequence moved towards its band by more than its smallest believable change
};

/// Every check that two looks at one athlete allow. A check is informative when the cause moved towards its band by
/// more than its MDC95 = 1.96 √(u₁² + u₂²), and the consequence was outside before and is decided now.
std::vector<LinkCheck> checksBetween(const Blueprint& blueprint, const std::vector<FaultReading>& before,
                                     const std::vector<FaultReading>& after);

/// What is believed of a link for this athlete: Beta(4s, 4(1 − s)) for the blueprint's strength s, and the checks.
struct LinkBelief {
    std::string cause, consequence;
    double prior = 0.0;     ///< the blueprint's strength
    double posterior = 0.0; ///< mean
    int checks = 0, followed = 0;
};

/// Every link of the blueprint, with the checks that it had.
std::vector<LinkBelief> beliefsOf(const Blueprint& blueprint, const std::vector<LinkCheck>& checks);

/// Of several athletes in one, each re-measurement counted alike: a proposal to the blueprint's owner. The lists are of
/// one blueprint (what a list lacks had no check there); strengths are those of the first list.
std::vector<LinkBelief> pooledBeliefs(const std::vector<std::vector<LinkBelief>>& athletes);

/// The blueprint with what is believed in place of its own strengths.
Blueprint withBeliefs(Blueprint blueprint, const std::vector<LinkBelief>& beliefs);

} // namespace riflesso
