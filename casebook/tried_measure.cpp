#include "casebook/tried_measure.h"

#include <map>
#include <string>

namespace riflesso {

std::vector<TriedValue> tryMeasure(const Blueprint& blueprint, const MeasureDefinition& d, const CaseData& data,
                                   const Analysis& analysis) {
    std::vector<TriedValue> out;
    std::map<Id, ViewSetup> setups; // a calibration is solved once a take
    for (const auto& [id, take] : data.takes)
        setups[id] = setupOf(take);
    std::map<bool, std::vector<MeasuredRep>> reps; // by model or not, for what is read over reps
    for (const auto& [id, rep] : data.reps) {
        const auto take = data.takes.find(rep.take);
        const auto motion = analysis.motions.find(rep.take);
        if (take == data.takes.end() || motion == analysis.motions.end() || rep.positions.empty())
            continue;
        const bool model = take->second.performer == Performer::model;
        const MeasureDefinition& one = isAcrossReps(d.kind) && !d.base.empty() ? *d.base.front() : d;
        if (!isNoted(one.kind) && !serves(take->second.view, one.view))
            continue;
        TriedValue v{id, model,
                     evaluate(one, *motion->second, rep.positions, setups.at(rep.take), factsOf(blueprint, rep))};
        if (isAcrossReps(d.kind)) {
            MeasuredRep m;
            m.rep = std::to_string(id);
            m.values = {v.value};
            m.when = static_cast<double>(reps[model].size());
            reps[model].push_back(std::move(m));
        } else {
            out.push_back(std::move(v));
        }
    }
    for (const auto& [model, list] : reps) {
        const auto all = gather(d, list);
        TriedValue v{0, model, {}};
        v.value.refused = all.reps == 0;
        v.value.reason = all.refused;
        v.value.value = all.mean;
        v.value.u = all.u;
        out.push_back(std::move(v));
    }
    return out;
}

} // namespace riflesso
