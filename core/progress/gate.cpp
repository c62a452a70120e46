#include "core/progress/gate.h"
#include "core/words/say.h"

#include "core/statistics/distributions.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {
namespace {

struct Posterior {
    double good, poor, easy;
};

Posterior posterior(double good, double bad, const GateOptions& o) {
    return {1.0 - betaCdf(o.goodRate, 1.0 + good, 1.0 + bad), betaCdf(o.poorRate, 1.0 + good, 1.0 + bad),
            1.0 - betaCdf(o.easyRate, 1.0 + good, 1.0 + bad)};
}

// Days on which the upper part of the zone was reached, each by itself.
int goodDays(const std::vector<GateBlock>& blocks, const GateOptions& o) {
    std::set<Day> days;
    for (const auto& b : blocks)
        if (const int n = b.good + b.bad; n > 0 && b.good >= o.goodRate * n)
            days.insert(b.day);
    return static_cast<int>(days.size());
}

} // namespace

Gate gate(const std::vector<GateBlock>& blocks, Day today, const GateOptions& o) {
    Gate g;
    double good = 0.0, bad = 0.0;
    int counted = 0, hits = 0;
    for (const auto& b : blocks) {
        const double weight = std::exp2(-std::max(0.0, static_cast<double>((today - b.day).count())) / o.halfLife);
        good += weight * b.good;
        bad += weight * b.bad;
        counted += b.good + b.bad;
        hits += b.good;
    }
    const bool twoDays = goodDays(blocks, o) >= 2;
    const auto up = [&](const Posterior& p) { return p.easy >= o.stepAt || (twoDays && p.good >= o.stepAt); };
    const Posterior now = posterior(good, bad, o);
    g.pGood = now.good;
    g.pPoor = now.poor;
    g.pEasy = now.easy;
    const std::string count = fill(say("progress", "%1 good of %2"), {std::to_string(hits), std::to_string(counted)});
    if (counted < o.fewest) {
        g.more = o.fewest - counted;
        g.words = counted == 0
                      ? fill(say("gate", "Count %1 reps first."), {std::to_string(g.more)})
                      : fill(say("gate", "%1: count %2 more before deciding."), {count, std::to_string(g.more)});
        return g;
    }
    if (up(now)) {
        g.answer = GateAnswer::stepUp;
        g.words = fill(say("gate", "%1: step up."), {count});
        return g;
    }
    if (now.poor >= o.stepAt) {
        g.answer = GateAnswer::stepDown;
        g.words = fill(say("gate", "%1: make it easier, one stage down."), {count});
        return g;
    }
    // Surely within the zone: this is where it is learnt.
    const auto within = [&](const Posterior& p) { return 1.0 - p.easy - p.poor >= o.stepAt; };
    g.answer = GateAnswer::stay;
    g.words = fill(say("gate", "%1: stay, this is where it is learnt."), {count});
    if (within(now))
        return g;
    // Undecided with enough reps: would more of the same decide it soon?
    const double rate = static_cast<double>(hits) / counted;
    for (int more = 1; more <= o.mostMore; ++more) {
        const Posterior later = posterior(good + more * rate, bad + more * (1.0 - rate), o);
        if (up(later) || later.poor >= o.stepAt) {
            g.answer = GateAnswer::countMore;
            g.more = more;
            g.words = fill(up(later) ? say("gate", "%1: count %2 more before stepping up.")
                                     : say("gate", "%1: count %2 more before stepping down."),
                           {count, std::to_string(more)});
            return g;
        }
        if (within(later))
            break;
    }
    return g;
}

GateOptions gateOptions(const GateZones& zones) {
    GateOptions o;
    o.poorRate = zones.poor;
    o.goodRate = zones.good;
    o.easyRate = zones.easy;
    o.fewest = zones.fewest;
    return o;
}

Gate gate(int good, int bad, const GateOptions& o) {
    return gate({{Day{}, good, bad}}, Day{}, o);
}

} // namespace riflesso
