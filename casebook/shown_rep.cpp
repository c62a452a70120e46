#include "casebook/shown_rep.h"

#include <algorithm>

namespace riflesso {

std::vector<ShownRep> shownReps(const CaseData& data, const Blueprint& blueprint, const Analysis& a,
                                const std::string& measure, bool model) {
    std::vector<ShownRep> out;
    const BlueprintMeasure* m = blueprint.measure(measure);
    if (!m)
        return out;
    std::vector<Id> ids = model ? a.modelReps : a.athleteReps;
    if (model && a.below) // another set of the athlete's stands in the model's place
        if (const RepSet* set = findSet(a.sets, *a.below))
            ids = set->reps;
    for (const Id id : ids) {
        const auto rep = data.reps.find(id);
        if (rep == data.reps.end() || !serves(data.takes.at(rep->second.take).view, m->definition.view))
            continue;
        ShownRep s{id, nullptr, {}};
        bool placed = false;
        if (const auto it = rep->second.positions.find(m->definition.at); it != rep->second.positions.end()) {
            s.frame = it->second.frame;
            placed = true;
        }
        if (const auto measured = a.measured.find(id); measured != a.measured.end())
            for (const auto& v : measured->second.values)
                if (v.measure == measure && !v.refused) {
                    s.value = &v;
                    if (!v.frames.empty()) {
                        s.frame = v.frames.front();
                        placed = true;
                    }
                }
        if (placed)
            out.push_back(s);
    }
    return out;
}

std::size_t farthestOff(const Analysis& a, const std::string& measure, const std::vector<ShownRep>& reps) {
    std::size_t at = 0;
    double worst = -1.0;
    const Deviation* d = a.deviation(measure);
    for (std::size_t i = 0; i < reps.size() && d && d->judged; ++i) {
        if (!reps[i].value)
            continue;
        const double off = std::max({0.0, d->band.lo - reps[i].value->value, reps[i].value->value - d->band.hi});
        if (off > worst) {
            worst = off;
            at = i;
        }
    }
    return at;
}

} // namespace riflesso
