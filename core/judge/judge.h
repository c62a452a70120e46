#pragma once
/// \file
/// From deviations to findings: which fault, how sure, what it causes, what to work on first and why.

#include "core/mirror/reference.h"
#include "core/technique/blueprint.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

struct JudgeOptions {
    double findingFrom = 0.5;     ///< P(fault) from which it is a finding
    double possibleFrom = 0.2;    ///< below that it is not mentioned
    double lambda = 0.5;          ///< how much the severity of consequences counts for their cause
    double latest = 0.5;          ///< earliness of the last key position; the first has 1
    double strengthMargin = 0.25; ///< share of the tolerance that a strength keeps to the edge
    std::size_t mostStrengths = 4;
    std::vector<std::string> takenUp{};  ///< faults that a person has decided to work on, first first
    std::vector<std::string> setAside{}; ///< parked, or not for this athlete: never proposed
    std::vector<std::string> hurting{};  ///< faults that load what hurts: they go first, as those of safety do
};

/// The parts of a priority, so that a person can say why this one is first.
struct PriorityParts {
    double ownSeverity = 0.0;
    double consequences = 0.0; ///< λ Σ severity × strongest path strength over active downstream faults
    double probability = 0.0;
    double trainability = 0.0;
    double earliness = 0.0;
    bool safety = false;
    [[nodiscard]] double score() const { return (ownSeverity + consequences) * probability * trainability * earliness; }
};

/// A consequence that is active too.
struct Downstream {
    std::string fault;
    double strength = 0.0; ///< of the strongest path: product of its links
    bool direct = false;
};

struct Finding {
    std::string fault;
    PriorityParts parts;
    std::vector<std::string> evidence; ///< measures that are out in the fault's direction, strongest first
    std::vector<Downstream> downstream;
    std::string reason; ///< the priority in one sentence with its numbers
};

struct Strength {
    std::string measure;
    double margin = 0.0;
};

struct Judgement {
    std::vector<Strength> strengths;
    std::vector<Finding> findings;             ///< by priority, first first
    std::vector<Finding> possible;             ///< P below the limit; listed apart, never worked on
    std::vector<std::string> undecided;        ///< measures
    std::vector<std::string> focus;            ///< one fault, at most two: what was taken up, else what is proposed
    std::vector<std::string> proposed;         ///< what this film alone would propose, set-aside faults left out
    std::string profile;                       ///< whose order of repair set the proposal; empty = none
    std::vector<std::string> expectedToFollow; ///< faults that should go with the focus
};

/// What is taken up is the focus, in this film or not; without it the proposal is: the first finding, or when a profile
/// is matched the first of its order that is a finding, and one more that is no cause or consequence of it.
/// P(fault) = 1 − Π(1 − weight × P(out in the indicator's direction)) (noisy-or), over judged indicators.
Judgement judge(const Blueprint& blueprint, const std::vector<Deviation>& deviations, const JudgeOptions& options = {});

/// A profile that the findings look like.
struct ProfileMatch {
    std::string profile;
    int active = 0, of = 0; ///< how many of its faults are findings, of how many
};
/// The blueprint's profile of which most faults are findings: two at least and two thirds of it; the fuller one when
/// there are several, the first when they are alike.
std::optional<ProfileMatch> profileOf(const Blueprint& blueprint, const Judgement& judgement);

/// Strength of the strongest path cause → … → consequence (product of links); 0 when there is none.
double pathStrength(const Blueprint& blueprint, const std::string& cause, const std::string& consequence);

} // namespace riflesso
