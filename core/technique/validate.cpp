#include "core/technique/validate.h"

#include <algorithm>
#include <functional>
#include <map>
#include <set>

namespace riflesso {
namespace {

class Checker {
public:
    explicit Checker(const Blueprint& b) : m_b(b) {}

    std::vector<BlueprintProblem> run() {
        if (m_b.id.empty())
            tell("id", "is empty");
        else if (!isBlueprintId(m_b.id))
            tell("id", "may hold letters, digits, - and _ only");
        unique("positions", m_b.positions, [](const auto& p) { return p.id; });
        unique("measures", m_b.measures, [](const auto& m) { return m.definition.id; });
        unique("faults", m_b.faults, [](const auto& f) { return f.id; });
        unique("drills", m_b.drills, [](const auto& d) { return d.id; });
        unique("schools", m_b.schools, [](const auto& s) { return s.id; });
        if (m_b.positions.size() < 2 || m_b.positions.size() > 10)
            tell("positions", "a technique has 2 to 10 key positions");
        for (std::size_t i = 0; i < m_b.measures.size(); ++i)
            measure(at("measures", i), m_b.measures[i]);
        for (std::size_t i = 0; i < m_b.faults.size(); ++i)
            fault(at("faults", i), m_b.faults[i]);
        for (std::size_t i = 0; i < m_b.drills.size(); ++i)
            if (const auto& d = m_b.drills[i].dose; d.sets < 1 || d.reps < 1 || !(d.minutes > 0))
                tell(at("drills", i) + ".dose", "sets, reps and minutes must be positive");
        for (std::size_t i = 0; i < m_b.positions.size(); ++i)
            if (m_b.positions[i].rule)
                rule(at("positions", i) + ".rule", m_b.positions[i]);
        unique("checkpoints", m_b.checkpoints, [](const auto& c) { return c.id; });
        for (std::size_t i = 0; i < m_b.checkpoints.size(); ++i)
            if (!m_b.position(m_b.checkpoints[i].at))
                tell(at("checkpoints", i) + ".at", "no key position \"" + m_b.checkpoints[i].at + "\"");
        for (std::size_t i = 0; i < m_b.proxies.size(); ++i) {
            const auto& p = m_b.proxies[i];
            for (const auto& role : {p.landmark, p.from, p.to})
                landmark(at("proxies", i), role);
            if (p.from == p.to || p.landmark == p.from || p.landmark == p.to)
                tell(at("proxies", i), "needs three different landmarks");
        }
        unique("situations", m_b.situations, [](const auto& s) { return s.id; });
        for (std::size_t i = 0; i < m_b.situations.size(); ++i) {
            const auto& situation = m_b.situations[i];
            if (situation.choices.empty())
                tell(at("situations", i) + ".choices", "a situation without a right choice cannot be judged");
            for (std::size_t k = 0; k < situation.decline.size(); ++k) {
                const auto& limit = situation.decline[k];
                const auto* m = m_b.measure(limit.measure);
                if (!m)
                    tell(at(at("situations", i) + ".decline", k), "no measure \"" + limit.measure + "\"");
                else if (isAcrossReps(m->definition.kind) || m->definition.kind == MeasureKind::choice)
                    tell(at(at("situations", i) + ".decline", k), "a limit is read from a measure of one rep");
            }
        }
        unique("profiles", m_b.profiles, [](const auto& p) { return p.id; });
        for (std::size_t i = 0; i < m_b.profiles.size(); ++i) {
            const auto& faults = m_b.profiles[i].faults;
            if (faults.size() < 2)
                tell(at("profiles", i) + ".faults", "a profile is made of two faults or more");
            for (std::size_t k = 0; k < faults.size(); ++k)
                if (!m_b.fault(faults[k]))
                    tell(at(at("profiles", i) + ".faults", k), "no fault \"" + faults[k] + "\"");
        }
        loops();
        return std::move(m_problems);
    }

private:
    static std::string at(const std::string& list, std::size_t i) { return list + "[" + std::to_string(i) + "]"; }
    void tell(std::string place, std::string what) { m_problems.push_back({std::move(place), std::move(what)}); }

    template <typename T, typename Id> void unique(const std::string& list, const std::vector<T>& items, Id id) {
        std::set<std::string> seen;
        for (std::size_t i = 0; i < items.size(); ++i)
            if (!seen.insert(id(items[i])).second)
                tell(at(list, i) + ".id", "\"" + id(items[i]) + "\" is used twice");
    }

    void landmark(const std::string& place, const std::string& role) {
        if (std::find(m_b.landmarks.begin(), m_b.landmarks.end(), role) == m_b.landmarks.end())
            tell(place, "landmark \"" + role + "\" is not in the list of landmarks");
    }

    void rule(const std::string& place, const KeyPosition& position) {
        const auto& r = *position.rule;
        const std::size_t wanted = r.series.kind == SeriesKind::angle      ? 3
                                   : r.series.kind == SeriesKind::distance ? 2
                                                                           : 1;
        const bool against = r.series.points.size() == 2 && wanted == 1; // place or speed against another point
        if (r.series.points.size() != wanted && !against)
            tell(place + ".of.points", "this series needs " + std::to_string(wanted));
        if (r.series.kind == SeriesKind::place && !r.series.direction)
            tell(place + ".of.direction", "a place needs a direction");
        for (const auto& spec : r.series.points)
            for (const auto& role : spec.landmarks)
                landmark(place + ".of", role);
        for (const auto& other : {r.after, r.before})
            if (!other.empty() && (!m_b.position(other) || other == position.id))
                tell(place, "no other key position \"" + other + "\"");
        if (!(r.level > 0.0 && r.level < 1.0))
            tell(place + ".level", "must be between 0 and 1");
    }

    void measure(const std::string& place, const BlueprintMeasure& m) {
        const auto& d = m.definition;
        if (const auto p = problemOf(d); !p.empty())
            tell(place, p);
        if (!m_b.position(d.at))
            tell(place + ".at", "no key position \"" + d.at + "\"");
        if (needsUntil(d) && !m_b.position(d.until))
            tell(place + ".until", "no key position \"" + d.until + "\"");
        for (const auto& spec : pointsOf(d))
            for (const auto& role : spec.landmarks)
                landmark(place, role);
        for (std::size_t i = 0; i < d.events.size(); ++i)
            if (!m_b.position(d.events[i]))
                tell(at(place + ".events", i), "no key position \"" + d.events[i] + "\"");
        for (std::size_t i = 0; i < d.of.size(); ++i)
            if (!m_b.measure(d.of[i]) || d.of[i] == d.id)
                tell(at(place + ".of", i), "no other measure \"" + d.of[i] + "\"");
        if (!d.checkpoint.empty() && std::none_of(m_b.checkpoints.begin(), m_b.checkpoints.end(),
                                                  [&](const Checkpoint& c) { return c.id == d.checkpoint; }))
            tell(place + ".checkpoint", "no checkpoint \"" + d.checkpoint + "\"");
        if (m.targets.empty())
            tell(place + ".targets", "a measure without a target cannot be judged");
        for (std::size_t i = 0; i < m.targets.size(); ++i) {
            const auto& t = m.targets[i];
            const std::string where = at(place + ".targets", i);
            if (!(t.lo < t.hi))
                tell(where, "lo must be below hi");
            if (!(t.floor > 0.0))
                tell(where + ".floor", "must be positive");
            if (!(t.k > 0.0))
                tell(where + ".k", "must be positive");
            if (!t.school.empty() &&
                std::none_of(m_b.schools.begin(), m_b.schools.end(), [&](const School& s) { return s.id == t.school; }))
                tell(where + ".school", "no school \"" + t.school + "\"");
            if (!t.situation.empty() && std::none_of(m_b.situations.begin(), m_b.situations.end(),
                                                     [&](const Situation& s) { return s.id == t.situation; }))
                tell(where + ".situation", "no situation \"" + t.situation + "\"");
        }
    }

    void fault(const std::string& place, const Fault& f) {
        if (!m_b.position(f.phase))
            tell(place + ".phase", "no key position \"" + f.phase + "\"");
        if (f.indicators.empty())
            tell(place + ".indicators", "a fault without an indicator can never be found");
        if (!(f.trainability > 0.0 && f.trainability <= 1.0))
            tell(place + ".trainability", "must be above 0 and at most 1");
        for (std::size_t i = 0; i < f.indicators.size(); ++i) {
            if (!m_b.measure(f.indicators[i].measure))
                tell(at(place + ".indicators", i), "no measure \"" + f.indicators[i].measure + "\"");
            if (!(f.indicators[i].weight > 0.0 && f.indicators[i].weight <= 1.0))
                tell(at(place + ".indicators", i) + ".weight", "must be above 0 and at most 1");
        }
        for (std::size_t i = 0; i < f.causes.size(); ++i) {
            if (!m_b.fault(f.causes[i].fault))
                tell(at(place + ".causes", i), "no fault \"" + f.causes[i].fault + "\"");
            if (!(f.causes[i].strength > 0.0 && f.causes[i].strength <= 1.0))
                tell(at(place + ".causes", i) + ".strength", "must be above 0 and at most 1");
        }
        if (f.drills.empty())
            tell(place + ".drills", "a fault without a drill cannot be worked on");
        for (std::size_t i = 0; i < f.drills.size(); ++i)
            if (!m_b.drill(f.drills[i]))
                tell(at(place + ".drills", i), "no drill \"" + f.drills[i] + "\"");
    }

    // Depth-first over cause → fault; a fault met again on the way up closes a loop.
    void loops() {
        std::map<std::string, int> state; // 1 on the way, 2 done
        std::vector<std::string> path;
        bool found = false;
        std::function<void(const Fault&)> visit = [&](const Fault& f) {
            if (found)
                return;
            state[f.id] = 1;
            path.push_back(f.id);
            for (const auto& cause : f.causes) {
                const auto* next = m_b.fault(cause.fault);
                if (!next || found)
                    continue;
                if (state[next->id] == 1) {
                    std::string loop = next->id;
                    for (auto it = path.rbegin(); it != path.rend(); ++it) {
                        loop += " → " + *it;
                        if (*it == next->id)
                            break;
                    }
                    tell("faults", "causes run in a circle: " + loop);
                    found = true;
                } else if (state[next->id] == 0) {
                    visit(*next);
                }
            }
            path.pop_back();
            state[f.id] = 2;
        };
        for (const auto& f : m_b.faults)
            if (state[f.id] == 0)
                visit(f);
    }

    const Blueprint& m_b;
    std::vector<BlueprintProblem> m_problems;
};

} // namespace

std::vector<BlueprintProblem> problemsOf(const Blueprint& blueprint) {
    return Checker(blueprint).run();
}

} // namespace riflesso
