#include "core/technique/blueprint.h"

#include <algorithm>
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
        for (const auto* specs : {&m.definition.points, &m.definition.per})
            for (const auto& spec : *specs)
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
    return rolesWhere(*this, [&](const MeasureDefinition& d) { return d.view == view && d.at == position; });
}

std::vector<std::string> Blueprint::rolesFor(View view) const {
    return rolesWhere(*this, [&](const MeasureDefinition& d) { return d.view == view; });
}

const Target* targetFor(const BlueprintMeasure& measure, std::string_view school) {
    const Target* common = nullptr;
    for (const auto& t : measure.targets) {
        if (!school.empty() && t.school == school)
            return &t;
        if (t.school.empty() && !common)
            common = &t;
    }
    return common;
}

} // namespace riflesso
