#include "core/technique/own_target.h"

#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

Blueprint withOwnTargets(Blueprint blueprint, const std::vector<OwnTarget>& targets) {
    for (const auto& own : targets) {
        const auto it = std::find_if(blueprint.measures.begin(), blueprint.measures.end(),
                                     [&](const auto& m) { return m.definition.id == own.measure; });
        if (it == blueprint.measures.end())
            continue;
        if (own.off) {
            it->targets.clear();
            continue;
        }
        if (!(own.lo <= own.hi) || (std::isinf(own.lo) && std::isinf(own.hi)))
            continue;
        Target t;
        // The unit of severity of a band with one end stays what it was.
        t.floor = it->targets.empty() ? 0.0 : it->targets.front().floor;
        t.source = TargetSource::coach;
        t.note =
            own.reason.empty() ? say("findings", "own target") : fill(say("findings", "own target: %1"), {own.reason});
        t.lo = own.lo;
        t.hi = own.hi;
        it->targets = {t};
    }
    return blueprint;
}

} // namespace riflesso
