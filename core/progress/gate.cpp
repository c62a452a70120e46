#include "core/progress/gate.h"

#include "core/statistics/distributions.h"

#include <cmath>

namespace riflesso {
namespace {

struct Posterior {
    double good, poor;
};

Posterior posterior(double good, double bad, const GateOptions& o) {
    return {1.0 - betaCdf(o.goodRate, 1.0 + good, 1.0 + bad), betaCdf(o.poorRate, 1.0 + good, 1.0 + bad)};
}

} // namespace

Gate gate(int good, int bad, const GateOptions& o) {
    Gate g;
    const int n = good + bad;
    const Posterior now = posterior(good, bad, o);
    g.pGood = now.good;
    g.pPoor = now.poor;
    const std::string count = std::to_string(good) + " good of " + std::to_string(n);
    if (n >= o.fewest) {
        if (now.good >= o.stepAt) {
            g.answer = GateAnswer::stepUp;
            g.words = count + ": step up.";
            return g;
        }
        if (now.poor >= o.stepAt) {
            g.answer = GateAnswer::stepDown;
            g.words = count + ": make it easier, one stage down.";
            return g;
        }
        // Surely between the two limits: this is the stage to work on.
        if (1.0 - now.good - now.poor >= o.stepAt) {
            g.answer = GateAnswer::stay;
            g.words = count + ": the right level. Stay on this stage.";
            return g;
        }
    } else {
        g.more = o.fewest - n;
        g.words = n == 0 ? "Count " + std::to_string(g.more) + " reps first."
                         : count + ": count " + std::to_string(g.more) + " more before deciding.";
        return g;
    }
    // Undecided with enough reps: would more of the same decide it soon?
    const double rate = static_cast<double>(good) / n;
    for (int more = 1; more <= o.mostMore; ++more) {
        const Posterior later = posterior(good + more * rate, bad + more * (1.0 - rate), o);
        if (later.good >= o.stepAt || later.poor >= o.stepAt) {
            g.more = more;
            g.words = count + ": count " + std::to_string(more) + " more before stepping " +
                      (later.good >= o.stepAt ? "up." : "down.");
            return g;
        }
        if (1.0 - later.good - later.poor >= o.stepAt)
            break;
    }
    g.answer = GateAnswer::stay;
    g.words = count + ": about the right level. Stay on this stage.";
    return g;
}

} // namespace riflesso
