#include "core/technique/difference.h"

#include "core/statistics/numbers.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <map>

namespace riflesso {
namespace {

// A thing as its fields, in the order in which they are told.
using Fields = std::vector<std::pair<std::string, std::string>>;

std::string number(double v) {
    return std::isfinite(v) ? general(v, 6) : "open";
}

std::string truth(bool v) {
    return v ? "yes" : "no";
}

std::string joined(const std::vector<std::string>& words) {
    std::string out;
    for (const auto& w : words)
        out += (out.empty() ? "" : ", ") + w;
    return out;
}

std::string pointsText(const std::vector<PointSpec>& points) {
    std::vector<std::string> words;
    for (const auto& p : points)
        words.push_back(textOf(p));
    return joined(words);
}

Fields fieldsOf(const KeyPosition& p) {
    Fields f{{"words", p.words},
             {"picture", p.picture.empty() ? "" : "of " + std::to_string(p.picture.size()) + " bytes"}};
    if (p.rule) {
        const auto& r = *p.rule;
        f.emplace_back("rule", enumName(kRuleKindNames, r.kind));
        f.emplace_back("rule, of", enumName(kSeriesKindNames, r.series.kind) + " of " + pointsText(r.series.points));
        f.emplace_back("rule, direction",
                       r.series.direction ? enumName(kDirectionNames, *r.series.direction) : std::string());
        f.emplace_back("rule, falling", truth(r.falling));
        f.emplace_back("rule, level", number(r.level));
        f.emplace_back("rule, after", r.after);
        f.emplace_back("rule, before", r.before);
        f.emplace_back("rule, frames", std::to_string(r.frames));
    }
    return f;
}

Fields fieldsOf(const BlueprintMeasure& m) {
    const auto& d = m.definition;
    Fields f{{"sentence", d.sentence},
             {"kind", enumName(kMeasureKindNames, d.kind)},
             {"points", pointsText(d.points)},
             {"reading", enumName(kAngleReadingNames, d.reading)},
             {"direction", d.direction ? enumName(kDirectionNames, *d.direction) : std::string()},
             {"per", pointsText(d.per)},
             {"unit", unitOf(d)},
             {"view", enumName(kViewNames, d.view)},
             {"at", d.at},
             {"until", d.until},
             {"reduction", enumName(kReductionNames, d.reduction)},
             {"against its own line", truth(d.ownLine)},
             {"root mean square", truth(d.rms)},
             {"aspect", enumName(kAspectNames, d.aspect)},
             {"level", number(d.level)},
             {"events", joined(d.events)},
             {"read of", joined(d.of)},
             {"band to come back to", number(d.lo) + " to " + number(d.hi)},
             {"height", number(d.height)},
             {"cycles", number(d.cycles)},
             {"checkpoint", d.checkpoint},
             {"full width", number(d.fullWidth) + " ± " + number(d.fullWidthSigma)},
             {"too low", m.tooLow},
             {"too high", m.tooHigh}};
    for (const auto& link : d.links)
        f.emplace_back("link " + link.name, pointsText(link.points));
    for (const auto& t : m.targets) {
        const std::string of = (t.school.empty() ? "target" : "target of school " + t.school) +
                               (t.situation.empty() ? "" : " in situation " + t.situation);
        f.emplace_back(of + ", source", enumName(kTargetSourceNames, t.source));
        f.emplace_back(of + ", from", number(t.lo));
        f.emplace_back(of + ", to", number(t.hi));
        f.emplace_back(of + ", k", number(t.k));
        f.emplace_back(of + ", floor", number(t.floor));
        f.emplace_back(of + ", note", t.note);
    }
    return f;
}

Fields fieldsOf(const Fault& x) {
    Fields f{{"why", x.why},
             {"phase", x.phase},
             {"safety", truth(x.safety)},
             {"trainability", number(x.trainability)},
             {"caution", x.caution},
             {"cue", x.cue},
             {"drills", joined(x.drills)}};
    for (const auto& i : x.indicators)
        f.emplace_back("seen in " + i.measure + ", " + enumName(kDevianceNames, i.direction),
                       "weight " + number(i.weight));
    for (const auto& c : x.causes)
        f.emplace_back("caused by " + c.fault, number(c.strength));
    return f;
}

Fields fieldsOf(const Drill& d) {
    return {{"how", d.how},
            {"stage", enumName(kStageNames, d.stage)},
            {"dose", std::to_string(d.dose.sets) + " sets of " + std::to_string(d.dose.reps) + ", " +
                         number(d.dose.minutes) + " min"},
            {"cue", d.cue},
            {"contrast", d.contrast},
            {"caution", d.caution},
            {"equipment", joined(d.equipment)},
            {"partner", truth(d.partner)},
            {"at home", truth(d.home)},
            {"speed", d.speed},
            {"variations", joined(d.variations)}};
}

Fields fieldsOf(const School& s) {
    return {{"words", s.words}};
}

Fields fieldsOf(const Situation& s) {
    std::vector<std::string> limits;
    for (const auto& l : s.decline)
        limits.push_back(l.measure + (l.beyond == Deviance::high ? " above " : " below ") + number(l.bound));
    return {{"words", s.words}, {"right choices", joined(s.choices)}, {"declined beyond", joined(limits)}};
}

Fields fieldsOf(const Profile& p) {
    return {{"words", p.words}, {"faults", joined(p.faults)}};
}

Fields fieldsOf(const Checkpoint& c) {
    return {{"question", c.question}, {"at", c.at}};
}

void compareFields(const std::string& place, const Fields& before, const Fields& after,
                   std::vector<BlueprintChange>& out) {
    std::map<std::string, std::string> old(before.begin(), before.end()), fresh(after.begin(), after.end());
    const auto shown = [](const std::string& text) { return text.empty() ? std::string("nothing") : "“" + text + "”"; };
    for (const auto& [name, value] : after) {
        const auto it = old.find(name);
        const std::string was = it == old.end() ? std::string() : it->second;
        if (was != value)
            out.push_back({place, name + ": " + shown(was) + " → " + shown(value)});
    }
    for (const auto& [name, value] : before)
        if (!fresh.contains(name) && !value.empty())
            out.push_back({place, name + ": " + shown(value) + " → nothing"});
}

template <typename T, typename Id, typename Name>
void compareLists(const std::string& kind, const std::vector<T>& before, const std::vector<T>& after, Id id, Name name,
                  std::vector<BlueprintChange>& out) {
    const auto place = [&](const T& x) { return kind + " “" + name(x) + "” (" + id(x) + ")"; };
    const auto find = [&](const std::vector<T>& list, const std::string& wanted) {
        return std::find_if(list.begin(), list.end(), [&](const T& x) { return id(x) == wanted; });
    };
    for (const T& x : after) {
        const auto old = find(before, id(x));
        if (old == before.end()) {
            out.push_back({place(x), "is new"});
            continue;
        }
        if (name(*old) != name(x))
            out.push_back({place(x), "name: “" + name(*old) + "” → “" + name(x) + "”"});
        compareFields(place(x), fieldsOf(*old), fieldsOf(x), out);
    }
    std::vector<std::string> kept[2]; // ids that both have, in either order
    for (const T& x : before) {
        if (find(after, id(x)) == after.end())
            out.push_back({place(x), "is gone"});
        else
            kept[0].push_back(id(x));
    }
    for (const T& x : after)
        if (find(before, id(x)) != before.end())
            kept[1].push_back(id(x));
    if (kept[0] != kept[1])
        out.push_back({kind + " list", "order: " + joined(kept[0]) + " → " + joined(kept[1])});
}

} // namespace

std::vector<BlueprintChange> differences(const Blueprint& a, const Blueprint& b) {
    std::vector<BlueprintChange> out;
    const auto id = [](const auto& x) { return x.id; };
    const auto name = [](const auto& x) { return x.name; };
    compareFields(
        "blueprint",
        {{"id", a.id}, {"name", a.name}, {"cautions", joined(a.cautions)}, {"landmarks", joined(a.landmarks)}},
        {{"id", b.id}, {"name", b.name}, {"cautions", joined(b.cautions)}, {"landmarks", joined(b.landmarks)}}, out);
    compareLists("key position", a.positions, b.positions, id, name, out);
    compareLists(
        "measure", a.measures, b.measures, [](const auto& m) { return m.definition.id; },
        [](const auto& m) { return m.definition.name; }, out);
    compareLists("fault", a.faults, b.faults, id, name, out);
    compareLists("drill", a.drills, b.drills, id, name, out);
    compareLists("school", a.schools, b.schools, id, name, out);
    compareLists("situation", a.situations, b.situations, id, name, out);
    compareLists("profile", a.profiles, b.profiles, id, name, out);
    compareLists("checkpoint", a.checkpoints, b.checkpoints, id, name, out);
    const auto proxies = [](const Blueprint& x) {
        Fields f;
        for (const auto& p : x.proxies)
            f.emplace_back("hidden " + p.landmark, "from " + p.from + " and " + p.to);
        return f;
    };
    compareFields("blueprint", proxies(a), proxies(b), out);
    return out;
}

} // namespace riflesso
