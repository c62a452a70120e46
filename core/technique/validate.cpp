#include "core/technique/validate.h"

#include "core/words/say.h"

#include <algorithm>
#include <functional>
#include <map>
#include <numeric>
#include <set>

namespace riflesso {
namespace {

class Checker {
public:
    explicit Checker(const Blueprint& b) : m_b(b) {}

    std::vector<BlueprintProblem> run() {
        if (m_b.id.empty())
            tell("id", say("problem", "is empty"));
        else if (!isBlueprintId(m_b.id))
            tell("id", say("problem", "may hold letters, digits, - and _ only"));
        unique("positions", m_b.positions, [](const auto& p) { return p.id; });
        unique("measures", m_b.measures, [](const auto& m) { return m.definition.id; });
        unique("faults", m_b.faults, [](const auto& f) { return f.id; });
        unique("drills", m_b.drills, [](const auto& d) { return d.id; });
        unique("schools", m_b.schools, [](const auto& s) { return s.id; });
        if (m_b.positions.size() < 2 || m_b.positions.size() > 10)
            tell("positions", say("problem", "a technique has 2 to 10 key positions"));
        for (std::size_t i = 0; i < m_b.measures.size(); ++i)
            measure(at("measures", i), m_b.measures[i]);
        for (std::size_t i = 0; i < m_b.faults.size(); ++i)
            fault(at("faults", i), m_b.faults[i]);
        for (std::size_t i = 0; i < m_b.drills.size(); ++i)
            if (const auto& d = m_b.drills[i].dose; d.sets < 1 || d.reps < 1 || !(d.minutes > 0))
                tell(at("drills", i) + ".dose", say("problem", "sets, reps and minutes must be positive"));
        for (std::size_t i = 0; i < m_b.positions.size(); ++i)
            if (m_b.positions[i].rule)
                rule(at("positions", i) + ".rule", m_b.positions[i]);
        unique("checkpoints", m_b.checkpoints, [](const auto& c) { return c.id; });
        for (std::size_t i = 0; i < m_b.checkpoints.size(); ++i)
            if (!m_b.position(m_b.checkpoints[i].at))
                tell(at("checkpoints", i) + ".at",
                     fill(say("problem", "no key position “%1”"), {m_b.checkpoints[i].at}));
        for (std::size_t i = 0; i < m_b.proxies.size(); ++i) {
            const auto& p = m_b.proxies[i];
            for (const auto& role : {p.landmark, p.from, p.to})
                landmark(at("proxies", i), role);
            if (p.from == p.to || p.landmark == p.from || p.landmark == p.to)
                tell(at("proxies", i), say("problem", "needs three different landmarks"));
        }
        unique("situations", m_b.situations, [](const auto& s) { return s.id; });
        for (std::size_t i = 0; i < m_b.situations.size(); ++i) {
            const auto& situation = m_b.situations[i];
            if (situation.choices.empty())
                tell(at("situations", i) + ".choices",
                     say("problem", "a situation without a right choice cannot be judged"));
            for (std::size_t k = 0; k < situation.decline.size(); ++k) {
                const auto& limit = situation.decline[k];
                const auto* m = m_b.measure(limit.measure);
                if (!m)
                    tell(at(at("situations", i) + ".decline", k),
                         fill(say("problem", "no measure “%1”"), {limit.measure}));
                else if (isAcrossReps(m->definition.kind) || m->definition.kind == MeasureKind::choice)
                    tell(at(at("situations", i) + ".decline", k),
                         say("problem", "a limit is read from a measure of one rep"));
            }
        }
        unique("profiles", m_b.profiles, [](const auto& p) { return p.id; });
        for (std::size_t i = 0; i < m_b.profiles.size(); ++i) {
            const auto& faults = m_b.profiles[i].faults;
            if (faults.size() < 2)
                tell(at("profiles", i) + ".faults", say("problem", "a profile is made of two faults or more"));
            for (std::size_t k = 0; k < faults.size(); ++k)
                if (!m_b.fault(faults[k]))
                    tell(at(at("profiles", i) + ".faults", k), fill(say("problem", "no fault “%1”"), {faults[k]}));
        }
        loops();
        return std::move(m_problems);
    }

private:
    static std::string at(const std::string& list, std::size_t i) { return list + "[" + std::to_string(i) + "]"; }
    void tell(std::string place, std::string what) { m_problems.push_back({std::move(place), std::move(what), {}}); }

    template <typename T, typename Id> void unique(const std::string& list, const std::vector<T>& items, Id id) {
        std::set<std::string> seen;
        for (std::size_t i = 0; i < items.size(); ++i)
            if (!seen.insert(id(items[i])).second)
                tell(at(list, i) + ".id", fill(say("problem", "“%1” is used twice"), {id(items[i])}));
    }

    void landmark(const std::string& place, const std::string& role) {
        if (std::find(m_b.landmarks.begin(), m_b.landmarks.end(), role) == m_b.landmarks.end())
            tell(place, fill(say("problem", "landmark “%1” is not in the list of landmarks"), {role}));
    }

    void rule(const std::string& place, const KeyPosition& position) {
        const auto& r = *position.rule;
        const std::size_t wanted = r.series.kind == SeriesKind::angle      ? 3
                                   : r.series.kind == SeriesKind::distance ? 2
                                                                           : 1;
        const bool against = r.series.points.size() == 2 && wanted == 1; // place or speed against another point
        if (r.series.points.size() != wanted && !against)
            tell(place + ".of.points",
                 sayCount("problem", "this series needs %n points", "this series needs %n point", wanted));
        if (r.series.kind == SeriesKind::place && !r.series.direction)
            tell(place + ".of.direction", say("problem", "a place needs a direction"));
        for (const auto& spec : r.series.points)
            for (const auto& role : spec.landmarks)
                landmark(place + ".of", role);
        for (const auto& other : {r.after, r.before})
            if (!other.empty() && (!m_b.position(other) || other == position.id))
                tell(place, fill(say("problem", "no other key position “%1”"), {other}));
        if (!(r.level > 0.0 && r.level < 1.0))
            tell(place + ".level", say("problem", "must be between 0 and 1"));
    }

    void measure(const std::string& place, const BlueprintMeasure& m) {
        const auto& d = m.definition;
        if (const auto p = problemOf(d); !p.empty())
            tell(place, p);
        if (!m_b.position(d.at))
            tell(place + ".at", fill(say("problem", "no key position “%1”"), {d.at}));
        if (needsUntil(d) && !m_b.position(d.until))
            tell(place + ".until", fill(say("problem", "no key position “%1”"), {d.until}));
        for (const auto& spec : pointsOf(d))
            for (const auto& role : spec.landmarks)
                landmark(place, role);
        for (std::size_t i = 0; i < d.events.size(); ++i)
            if (!m_b.position(d.events[i]))
                tell(at(place + ".events", i), fill(say("problem", "no key position “%1”"), {d.events[i]}));
        for (std::size_t i = 0; i < d.of.size(); ++i)
            if (!m_b.measure(d.of[i]) || d.of[i] == d.id)
                tell(at(place + ".of", i), fill(say("problem", "no other measure “%1”"), {d.of[i]}));
        if (!d.checkpoint.empty() && std::none_of(m_b.checkpoints.begin(), m_b.checkpoints.end(),
                                                  [&](const Checkpoint& c) { return c.id == d.checkpoint; }))
            tell(place + ".checkpoint", fill(say("problem", "no checkpoint “%1”"), {d.checkpoint}));
        if (m.targets.empty())
            tell(place + ".targets", say("problem", "a measure without a target cannot be judged"));
        for (std::size_t i = 0; i < m.targets.size(); ++i) {
            const auto& t = m.targets[i];
            const std::string where = at(place + ".targets", i);
            if (!(t.lo < t.hi))
                tell(where, say("problem", "lo must be below hi"));
            if (!(t.floor > 0.0))
                tell(where + ".floor", say("problem", "must be positive"));
            if (!(t.k > 0.0))
                tell(where + ".k", say("problem", "must be positive"));
            if (!t.school.empty() &&
                std::none_of(m_b.schools.begin(), m_b.schools.end(), [&](const School& s) { return s.id == t.school; }))
                tell(where + ".school", fill(say("problem", "no school “%1”"), {t.school}));
            if (!t.situation.empty() && std::none_of(m_b.situations.begin(), m_b.situations.end(),
                                                     [&](const Situation& s) { return s.id == t.situation; }))
                tell(where + ".situation", fill(say("problem", "no situation “%1”"), {t.situation}));
        }
    }

    void fault(const std::string& place, const Fault& f) {
        if (!m_b.position(f.phase))
            tell(place + ".phase", fill(say("problem", "no key position “%1”"), {f.phase}));
        if (f.indicators.empty())
            tell(place + ".indicators", say("problem", "a fault without an indicator can never be found"));
        if (!(f.trainability > 0.0 && f.trainability <= 1.0))
            tell(place + ".trainability", say("problem", "must be above 0 and at most 1"));
        for (std::size_t i = 0; i < f.indicators.size(); ++i) {
            if (!m_b.measure(f.indicators[i].measure))
                tell(at(place + ".indicators", i), fill(say("problem", "no measure “%1”"), {f.indicators[i].measure}));
            if (!(f.indicators[i].weight > 0.0 && f.indicators[i].weight <= 1.0))
                tell(at(place + ".indicators", i) + ".weight", say("problem", "must be above 0 and at most 1"));
        }
        for (std::size_t i = 0; i < f.causes.size(); ++i) {
            if (!m_b.fault(f.causes[i].fault))
                tell(at(place + ".causes", i), fill(say("problem", "no fault “%1”"), {f.causes[i].fault}));
            if (!(f.causes[i].strength > 0.0 && f.causes[i].strength <= 1.0))
                tell(at(place + ".causes", i) + ".strength", say("problem", "must be above 0 and at most 1"));
        }
        if (f.drills.empty())
            tell(place + ".drills", say("problem", "a fault without a drill cannot be worked on"));
        for (std::size_t i = 0; i < f.drills.size(); ++i)
            if (!m_b.drill(f.drills[i]))
                tell(at(place + ".drills", i), fill(say("problem", "no drill “%1”"), {f.drills[i]}));
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
                    std::vector<std::string> circle{next->id};
                    for (auto it = path.rbegin(); it != path.rend(); ++it) {
                        circle.push_back(*it);
                        if (*it == next->id)
                            break;
                    }
                    const std::string loop =
                        std::accumulate(circle.begin() + 1, circle.end(), circle.front(),
                                        [](const std::string& a, const std::string& b) { return a + " → " + b; });
                    tell("faults", fill(say("problem", "causes run in a circle: %1"), {loop}));
                    m_problems.back().circle = std::move(circle);
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
