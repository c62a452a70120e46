#include "core/technique/blueprint.h"

#include "core/measure/evaluate.h"
#include "core/statistics/distributions.h"

#include <algorithm>
#include <cctype>
#include <map>
#include <set>

namespace riflesso {
namespace {
template <typename T> const T* byId(const std::vector<T>& items, std::string_view id) {
    const auto it = std::find_if(items.begin(), items.end(), [&](const T& item) { return item.id == id; });
    return it == items.end() ? nullptr : &*it;
}

template <typename Wanted> std::vector<std::string> rolesWhere(const Blueprint& b, Wanted wanted) {
    std::set<std::string> used;
    for (const auto& m : b.measures) {
        if (!wanted(m.definition))
            continue;
        for (const auto& spec : pointsOf(m.definition))
            used.insert(spec.landmarks.begin(), spec.landmarks.end());
    }
    std::vector<std::string> ordered;
    for (const auto& role : b.landmarks)
        if (used.contains(role))
            ordered.push_back(role);
    return ordered;
}
} // namespace

const BlueprintMeasure* Blueprint::measure(std::string_view wanted) const {
    const auto it =
        std::find_if(measures.begin(), measures.end(), [&](const auto& m) { return m.definition.id == wanted; });
    return it == measures.end() ? nullptr : &*it;
}
const Fault* Blueprint::fault(std::string_view wanted) const {
    return byId(faults, wanted);
}
const Drill* Blueprint::drill(std::string_view wanted) const {
    return byId(drills, wanted);
}
const KeyPosition* Blueprint::position(std::string_view wanted) const {
    return byId(positions, wanted);
}

int Blueprint::positionOrder(std::string_view wanted) const {
    const auto* p = position(wanted);
    return p ? static_cast<int>(p - positions.data()) : -1;
}

std::vector<std::string> Blueprint::rolesAt(std::string_view position, View view) const {
    return rolesWhere(*this, [&](const MeasureDefinition& d) { return serves(view, d.view) && d.at == position; });
}

std::vector<std::string> Blueprint::rolesFor(View view) const {
    return rolesWhere(*this, [&](const MeasureDefinition& d) { return serves(view, d.view); });
}

bool isBlueprintId(std::string_view id) {
    return !id.empty() && id.size() <= 80 && std::all_of(id.begin(), id.end(), [](unsigned char c) {
        return (c >= 'a' && c <= 'z') || (c >= 'A' && c <= 'Z') || (c >= '0' && c <= '9') || c == '-' || c == '_';
    });
}

void linkMeasures(std::vector<BlueprintMeasure>& measures) {
    std::map<std::string, std::shared_ptr<const MeasureDefinition>, std::less<>> plain;
    for (const auto& m : measures)
        if (m.definition.of.empty())
            plain.emplace(m.definition.id, std::make_shared<const MeasureDefinition>(m.definition));
    const auto link = [&](bool acrossReps) {
        for (auto& m : measures) {
            auto& d = m.definition;
            if (d.of.empty() || isAcrossReps(d.kind) != acrossReps)
                continue;
            d.base.clear();
            for (const auto& id : d.of)
                if (const auto it = plain.find(id); it != plain.end())
                    d.base.push_back(it->second);
            if (d.base.empty())
                continue;
            d.view = d.base.front()->view;
            if (d.at.empty())
                d.at = d.base.front()->at;
            plain.emplace(d.id, std::make_shared<const MeasureDefinition>(d));
        }
    };
    link(false); // what is read over reps may be read of these
    link(true);
}

namespace {
bool same(std::string_view a, std::string_view b) {
    return std::equal(a.begin(), a.end(), b.begin(), b.end(),
                      [](unsigned char x, unsigned char y) { return std::tolower(x) == std::tolower(y); });
}
} // namespace

const Situation* situationNamed(const Blueprint& blueprint, std::string_view name) {
    const auto it = std::find_if(blueprint.situations.begin(), blueprint.situations.end(),
                                 [&](const Situation& s) { return same(s.id, name) || same(s.name, name); });
    return it == blueprint.situations.end() ? nullptr : &*it;
}

std::optional<double> choiceIsRight(const Blueprint& blueprint, std::string_view situation, std::string_view choice) {
    if (situation.empty() || choice.empty())
        return std::nullopt;
    const Situation* s = situationNamed(blueprint, situation);
    if (!s)
        return std::nullopt;
    return std::any_of(s->choices.begin(), s->choices.end(), [&](const auto& c) { return same(c, choice); }) ? 1.0
                                                                                                             : 0.0;
}

namespace {
// P(the measure lies beyond the limit); empty without a value.
std::optional<double> beyond(const DeclineLimit& limit, std::span<const MeasureValue> values) {
    const auto v = std::find_if(values.begin(), values.end(),
                                [&](const auto& one) { return one.measure == limit.measure && !one.refused; });
    if (v == values.end())
        return std::nullopt;
    const double below = normalCdf(limit.bound, v->value, v->u);
    return limit.beyond == Deviance::high ? 1.0 - below : below;
}
} // namespace

const DeclineLimit* limitPassed(const Situation& situation, std::span<const MeasureValue> values, double sure) {
    for (const auto& limit : situation.decline)
        if (beyond(limit, values).value_or(0.0) >= sure)
            return &limit;
    return nullptr;
}

std::optional<double> choiceIsRight(const Blueprint& blueprint, std::string_view situation, std::string_view choice,
                                    std::span<const MeasureValue> values, double sure) {
    const Situation* s = situationNamed(blueprint, situation);
    const bool declined = same(choice, kDecline);
    if (!s || choice.empty() || (s->decline.empty() && !declined))
        return choiceIsRight(blueprint, situation, choice);
    if (limitPassed(*s, values, sure))
        return declined ? 1.0 : 0.0;
    if (!declined)
        return choiceIsRight(blueprint, situation, choice);
    if (std::any_of(s->choices.begin(), s->choices.end(), [](const auto& c) { return same(c, kDecline); }))
        return 1.0; // the blueprint says so without a limit
    const bool inside = !s->decline.empty() && std::all_of(s->decline.begin(), s->decline.end(), [&](const auto& l) {
        return beyond(l, values).value_or(1.0) <= 1.0 - sure;
    });
    return inside ? std::optional(0.0) : std::nullopt;
}

const Target* targetFor(const BlueprintMeasure& measure, std::string_view school, std::string_view situation) {
    const Target* best = nullptr;
    int bestFit = -1;
    for (const auto& t : measure.targets) {
        if ((!t.school.empty() && t.school != school) || (!t.situation.empty() && t.situation != situation))
            continue;
        const int fit = (t.school.empty() ? 0 : 2) + (t.situation.empty() ? 0 : 1);
        if (fit > bestFit) {
            best = &t;
            bestFit = fit;
        }
    }
    return best;
}

} // namespace riflesso
