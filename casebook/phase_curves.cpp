#include "casebook/phase_curves.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
std::vector<PositionId> orderOf(const Blueprint& blueprint) {
    std::vector<PositionId> order;
    for (const auto& p : blueprint.positions)
        order.push_back(p.id);
    return order;
}
} // namespace

std::vector<PhasePoint> phaseCurveOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                     const std::string& measure, const std::vector<Id>& reps) {
    const BlueprintMeasure* m = blueprint.measure(measure);
    if (!m)
        return {};
    const auto order = orderOf(blueprint);
    std::vector<std::vector<SeriesSample>> all;
    std::vector<PhaseMap> maps;
    std::map<Id, std::vector<SeriesSample>> ofTake;
    for (const Id id : reps) {
        const auto rep = data.reps.find(id);
        if (rep == data.reps.end() || !analysis.motions.contains(rep->second.take))
            continue;
        const Take& take = data.takes.at(rep->second.take);
        if (!serves(take.view, m->definition.view))
            continue;
        if (!ofTake.contains(take.id))
            ofTake[take.id] = series(m->definition, *analysis.motions.at(take.id), setupOf(take));
        all.push_back(ofTake[take.id]);
        maps.emplace_back(order, rep->second.positions);
    }
    return phaseCurve(all, maps, 0, static_cast<double>(order.size()) - 1, kPhaseSteps);
}

std::optional<double> phaseAt(const CaseData& data, const Blueprint& blueprint, Id rep, FrameIndex frame) {
    const auto it = data.reps.find(rep);
    if (it == data.reps.end())
        return std::nullopt;
    const PhaseMap map(orderOf(blueprint), it->second.positions);
    return map.usable() ? std::optional(map.phase(frame.value)) : std::nullopt;
}

std::vector<std::string> tellingCurves(const Blueprint& blueprint, const Analysis& analysis, View view) {
    std::vector<std::pair<double, std::string>> ranked;
    for (const auto& m : blueprint.measures) {
        const auto& d = m.definition;
        if (isOfSpan(d.kind) || isDerived(d.kind) || isNoted(d.kind) || !serves(view, d.view))
            continue;
        const Deviation* deviation = analysis.deviation(d.id);
        ranked.emplace_back(deviation && deviation->judged ? std::abs(deviation->verdict.severity) : -1.0, d.id);
    }
    std::stable_sort(ranked.begin(), ranked.end(), [](const auto& a, const auto& b) { return a.first > b.first; });
    // One quantity read at several positions is one curve.
    std::vector<std::string> out;
    for (const auto& [severity, id] : ranked) {
        const auto& d = blueprint.measure(id)->definition;
        const auto same = [&](const std::string& other) {
            const auto& o = blueprint.measure(other)->definition;
            return o.kind == d.kind && o.points == d.points && o.direction == d.direction && o.per == d.per &&
                   o.reading == d.reading && o.metres == d.metres;
        };
        if (std::none_of(out.begin(), out.end(), same))
            out.push_back(id);
    }
    return out;
}

} // namespace riflesso
