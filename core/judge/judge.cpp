#include "core/judge/judge.h"
#include "core/words/say.h"

#include "core/statistics/numbers.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <map>

namespace riflesso {
namespace {

struct Suspect {
    const Fault* fault;
    double probability = 0.0;
    double severity = 0.0;
    std::vector<std::string> evidence;
};

Suspect suspect(const Fault& fault, const std::map<std::string, const Deviation*>& byMeasure) {
    Suspect s{&fault, 0.0, 0.0, {}};
    double innocent = 1.0;
    std::vector<std::pair<double, std::string>> evidence;
    for (const auto& indicator : fault.indicators) {
        const auto it = byMeasure.find(indicator.measure);
        if (it == byMeasure.end() || !it->second->judged)
            continue;
        const Verdict& v = it->second->verdict;
        const bool low = indicator.direction == Deviance::low;
        const double p = indicator.weight * (low ? v.pLow : v.pHigh);
        innocent *= 1.0 - p;
        const double own = low ? std::max(0.0, -v.severity) : std::max(0.0, v.severity);
        s.severity = std::max(s.severity, own);
        if (p > 0.05)
            evidence.emplace_back(p * (0.1 + own), indicator.measure);
    }
    s.probability = 1.0 - innocent;
    std::stable_sort(evidence.begin(), evidence.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
    for (auto& [weight, measure] : evidence)
        s.evidence.push_back(measure);
    return s;
}

} // namespace

double pathStrength(const Blueprint& blueprint, const std::string& cause, const std::string& consequence) {
    // Walk up from the consequence; blueprints are validated to have no loops, the depth guards the rest.
    struct Walker {
        const Blueprint& b;
        const std::string& target;
        double best(const std::string& at, int depth) const {
            if (at == target)
                return 1.0;
            const Fault* f = b.fault(at);
            double strongest = 0.0;
            if (!f || depth == 0)
                return strongest;
            for (const auto& c : f->causes)
                strongest = std::max(strongest, c.strength * best(c.fault, depth - 1));
            return strongest;
        }
    };
    return cause == consequence ? 0.0
                                : Walker{blueprint, cause}.best(consequence, static_cast<int>(blueprint.faults.size()));
}

namespace {

// What is known of a suspected fault, and its priority with the parts it is made of.
Finding findingOf(const Suspect& s, const std::vector<Suspect>& active, const Blueprint& blueprint,
                  const JudgeOptions& options) {
    Finding f;
    f.fault = s.fault->id;
    f.evidence = s.evidence;
    f.parts.ownSeverity = s.severity;
    f.parts.probability = s.probability;
    f.parts.trainability = s.fault->trainability;
    f.parts.safety = s.fault->safety ||
                     std::find(options.hurting.begin(), options.hurting.end(), s.fault->id) != options.hurting.end();
    const int last = static_cast<int>(blueprint.positions.size()) - 1;
    const int order = std::max(0, blueprint.positionOrder(s.fault->phase));
    f.parts.earliness = last > 0 ? 1.0 - (1.0 - options.latest) * order / last : 1.0;
    for (const auto& other : active) {
        const double strength = pathStrength(blueprint, f.fault, other.fault->id);
        if (strength <= 0.0)
            continue;
        const bool direct = std::any_of(other.fault->causes.begin(), other.fault->causes.end(),
                                        [&](const Cause& c) { return c.fault == f.fault; });
        f.downstream.push_back({other.fault->id, strength, direct});
        f.parts.consequences += options.lambda * other.severity * strength;
    }
    std::stable_sort(f.downstream.begin(), f.downstream.end(),
                     [](const auto& a, const auto& b) { return a.strength > b.strength; });
    const auto& p = f.parts;
    f.reason = (p.safety ? say("findings", "safety first; ") : std::string()) +
               fill(say("findings", "severity %1 + consequences %2, times certainty %3, trainability %4, "
                                    "earliness %5 = %6"),
                    {figure(p.ownSeverity, 2), figure(p.consequences, 2), figure(p.probability, 2),
                     figure(p.trainability, 2), figure(p.earliness, 2), figure(p.score(), 2)});
    return f;
}

bool isAside(const JudgeOptions& options, const std::string& fault) {
    return std::find(options.setAside.begin(), options.setAside.end(), fault) != options.setAside.end();
}

// One or two that are not upstream or downstream of one another, in order of priority or of a profile that fits.
void propose(Judgement& j, const Blueprint& blueprint, const JudgeOptions& options) {
    std::vector<const Finding*> order;
    for (const auto& f : j.findings)
        if (!isAside(options, f.fault))
            order.push_back(&f);
    if (const auto match = profileOf(blueprint, j); match && !order.empty() && !order.front()->parts.safety) {
        const auto profile = std::find_if(blueprint.profiles.begin(), blueprint.profiles.end(),
                                          [&](const Profile& p) { return p.id == match->profile; });
        const auto place = [&](const Finding* f) {
            return std::find(profile->faults.begin(), profile->faults.end(), f->fault);
        };
        std::stable_sort(order.begin(), order.end(),
                         [&](const Finding* x, const Finding* y) { return place(x) < place(y); });
        if (place(order.front()) != profile->faults.end())
            j.profile = match->profile;
    }
    for (const Finding* f : order) {
        const bool related = std::any_of(j.proposed.begin(), j.proposed.end(), [&](const std::string& taken) {
            return pathStrength(blueprint, taken, f->fault) > 0.0 || pathStrength(blueprint, f->fault, taken) > 0.0;
        });
        if (!related && j.proposed.size() < 2)
            j.proposed.push_back(f->fault);
    }
}

void follow(Judgement& j, const Blueprint& blueprint, const JudgeOptions& options) {
    j.focus = options.takenUp.empty() ? j.proposed : options.takenUp;
    if (j.focus.size() > 2)
        j.focus.resize(2);
    for (const auto& f : j.findings)
        if (std::find(j.focus.begin(), j.focus.end(), f.fault) == j.focus.end() && !isAside(options, f.fault) &&
            std::any_of(j.focus.begin(), j.focus.end(),
                        [&](const std::string& cause) { return pathStrength(blueprint, cause, f.fault) > 0.0; }))
            j.expectedToFollow.push_back(f.fault);
}

void praise(Judgement& j, const Blueprint& blueprint, const std::vector<Deviation>& deviations,
            const JudgeOptions& options) {
    for (const auto& d : deviations) {
        if (!d.judged)
            continue;
        if (d.verdict.decision == Decision::undecided)
            j.undecided.push_back(d.measure);
        else if (d.verdict.decision == Decision::inside)
            if (const double m = margin(d.value.mean, d.band); m >= options.strengthMargin)
                j.strengths.push_back({d.measure, m});
    }
    // Early positions first: what carries the rest is praised first.
    std::stable_sort(j.strengths.begin(), j.strengths.end(), [&](const Strength& a, const Strength& b) {
        return blueprint.positionOrder(blueprint.measure(a.measure)->definition.at) <
               blueprint.positionOrder(blueprint.measure(b.measure)->definition.at);
    });
    if (j.strengths.size() > options.mostStrengths)
        j.strengths.resize(options.mostStrengths);
}

} // namespace

Judgement judge(const Blueprint& blueprint, const std::vector<Deviation>& deviations, const JudgeOptions& options) {
    std::map<std::string, const Deviation*> byMeasure;
    for (const auto& d : deviations)
        byMeasure[d.measure] = &d;

    std::vector<Suspect> active, doubtful;
    for (const auto& fault : blueprint.faults) {
        Suspect s = suspect(fault, byMeasure);
        if (s.probability >= options.findingFrom)
            active.push_back(std::move(s));
        else if (s.probability >= options.possibleFrom)
            doubtful.push_back(std::move(s));
    }
    Judgement j;
    for (const auto& s : active)
        j.findings.push_back(findingOf(s, active, blueprint, options));
    for (const auto& s : doubtful)
        j.possible.push_back(findingOf(s, active, blueprint, options));
    const auto byPriority = [](const Finding& a, const Finding& b) {
        if (a.parts.safety != b.parts.safety)
            return a.parts.safety;
        return a.parts.score() > b.parts.score();
    };
    std::stable_sort(j.findings.begin(), j.findings.end(), byPriority);
    std::stable_sort(j.possible.begin(), j.possible.end(), byPriority);
    propose(j, blueprint, options);
    follow(j, blueprint, options);
    praise(j, blueprint, deviations, options);
    return j;
}

std::optional<ProfileMatch> profileOf(const Blueprint& blueprint, const Judgement& judgement) {
    std::optional<ProfileMatch> best;
    for (const auto& p : blueprint.profiles) {
        ProfileMatch m{p.id, 0, static_cast<int>(p.faults.size())};
        for (const auto& fault : p.faults)
            m.active += std::any_of(judgement.findings.begin(), judgement.findings.end(),
                                    [&](const Finding& f) { return f.fault == fault; });
        if (m.active >= 2 && 3 * m.active >= 2 * m.of && (!best || m.active * best->of > best->active * m.of))
            best = m;
    }
    return best;
}

} // namespace riflesso
