#include "core/technique/difference.h"

#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <map>

namespace riflesso {
namespace {

// A thing as its fields, in the order in which they are told.
using Fields = std::vector<std::pair<std::string, std::string>>;

std::string number(double v) {
    return std::isfinite(v) ? general(v, 6) : say("difference", "open");
}

std::string truth(bool v) {
    return v ? say("difference", "yes") : say("difference", "no");
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
    Fields f{{say("difference", "words"), p.words},
             {say("difference", "picture"),
              p.picture.empty() ? std::string()
                                : fill(say("difference", "of %1 bytes"), {std::to_string(p.picture.size())})}};
    if (p.rule) {
        const auto& r = *p.rule;
        f.emplace_back(say("difference", "rule"), enumName(kRuleKindNames, r.kind));
        f.emplace_back(say("difference", "rule, of"),
                       fill(say("difference", "%1 of %2"),
                            {enumName(kSeriesKindNames, r.series.kind), pointsText(r.series.points)}));
        f.emplace_back(say("difference", "rule, direction"),
                       r.series.direction ? enumName(kDirectionNames, *r.series.direction) : std::string());
        f.emplace_back(say("difference", "rule, falling"), truth(r.falling));
        f.emplace_back(say("difference", "rule, level"), number(r.level));
        f.emplace_back(say("difference", "rule, after"), r.after);
        f.emplace_back(say("difference", "rule, before"), r.before);
        f.emplace_back(say("difference", "rule, frames"), std::to_string(r.frames));
    }
    return f;
}

Fields fieldsOf(const BlueprintMeasure& m) {
    const auto& d = m.definition;
    Fields f{
        {say("difference", "sentence"), d.sentence},
        {say("difference", "kind"), enumName(kMeasureKindNames, d.kind)},
        {say("difference", "points"), pointsText(d.points)},
        {say("difference", "reading"), enumName(kAngleReadingNames, d.reading)},
        {say("difference", "direction"), d.direction ? enumName(kDirectionNames, *d.direction) : std::string()},
        {say("difference", "per"), pointsText(d.per)},
        {say("difference", "unit"), unitOf(d)},
        {say("difference", "view"), enumName(kViewNames, d.view)},
        {say("difference", "at"), d.at},
        {say("difference", "until"), d.until},
        {say("difference", "reduction"), enumName(kReductionNames, d.reduction)},
        {say("difference", "against its own line"), truth(d.ownLine)},
        {say("difference", "root mean square"), truth(d.rms)},
        {say("difference", "aspect"), enumName(kAspectNames, d.aspect)},
        {say("difference", "level"), number(d.level)},
        {say("difference", "events"), joined(d.events)},
        {say("difference", "read of"), joined(d.of)},
        {say("difference", "band to come back to"), fill(say("difference", "%1 to %2"), {number(d.lo), number(d.hi)})},
        {say("difference", "height"), number(d.height)},
        {say("difference", "cycles"), number(d.cycles)},
        {say("difference", "checkpoint"), d.checkpoint},
        {say("difference", "full width"), number(d.fullWidth) + " ± " + number(d.fullWidthSigma)},
        {say("difference", "too low"), m.tooLow},
        {say("difference", "too high"), m.tooHigh}};
    for (const auto& link : d.links)
        f.emplace_back(fill(say("difference", "link %1"), {link.name}), pointsText(link.points));
    for (const auto& t : m.targets) {
        const std::string all =
            t.school.empty() ? say("difference", "target") : fill(say("difference", "target of school %1"), {t.school});
        const std::string of =
            t.situation.empty() ? all : fill(say("difference", "%1 in situation %2"), {all, t.situation});
        f.emplace_back(of + ", " + say("difference", "source"), enumName(kTargetSourceNames, t.source));
        f.emplace_back(of + ", " + say("difference", "from"), number(t.lo));
        f.emplace_back(of + ", " + say("difference", "to"), number(t.hi));
        f.emplace_back(of + ", " + say("difference", "k"), number(t.k));
        f.emplace_back(of + ", " + say("difference", "floor"), number(t.floor));
        f.emplace_back(of + ", " + say("difference", "note"), t.note);
    }
    return f;
}

Fields fieldsOf(const Fault& x) {
    Fields f{{say("difference", "why"), x.why},
             {say("difference", "phase"), x.phase},
             {say("difference", "safety"), truth(x.safety)},
             {say("difference", "trainability"), number(x.trainability)},
             {say("difference", "caution"), x.caution},
             {say("difference", "cue"), x.cue},
             {say("difference", "drills"), joined(x.drills)}};
    for (const auto& i : x.indicators)
        f.emplace_back(
            fill(say("difference", "seen in %1, %2"), {i.measure, word(enumName(kDevianceNames, i.direction))}),
            fill(say("difference", "weight %1"), {number(i.weight)}));
    for (const auto& c : x.causes)
        f.emplace_back(fill(say("difference", "caused by %1"), {c.fault}), number(c.strength));
    return f;
}

Fields fieldsOf(const Drill& d) {
    return {{say("difference", "how"), d.how},
            {say("difference", "stage"), enumName(kStageNames, d.stage)},
            {say("difference", "dose"), fill(sayCount("difference", "%n sets of %1, %2 min", "%n set of %1, %2 min",
                                                      static_cast<std::size_t>(std::max(0, d.dose.sets))),
                                             {std::to_string(d.dose.reps), number(d.dose.minutes)})},
            {say("difference", "cue"), d.cue},
            {say("difference", "contrast"), d.contrast},
            {say("difference", "caution"), d.caution},
            {say("difference", "equipment"), joined(d.equipment)},
            {say("difference", "partner"), truth(d.partner)},
            {say("difference", "at home"), truth(d.home)},
            {say("difference", "speed"), d.speed},
            {say("difference", "variations"), joined(d.variations)}};
}

Fields fieldsOf(const School& s) {
    return {{say("difference", "words"), s.words}};
}

Fields fieldsOf(const Situation& s) {
    std::vector<std::string> limits;
    for (const auto& l : s.decline)
        limits.push_back(
            fill(l.beyond == Deviance::high ? say("difference", "%1 above %2") : say("difference", "%1 below %2"),
                 {l.measure, number(l.bound)}));
    return {{say("difference", "words"), s.words},
            {say("difference", "right choices"), joined(s.choices)},
            {say("difference", "declined beyond"), joined(limits)}};
}

Fields fieldsOf(const Profile& p) {
    return {{say("difference", "words"), p.words}, {say("difference", "faults"), joined(p.faults)}};
}

Fields fieldsOf(const Checkpoint& c) {
    return {{say("difference", "question"), c.question}, {say("difference", "at"), c.at}};
}

// What belongs to the technique as a whole.
Fields ownFields(const Blueprint& b) {
    return {{say("difference", "id"), b.id},
            {say("difference", "name"), b.name},
            {say("difference", "cautions"), joined(b.cautions)},
            {say("difference", "landmarks"), joined(b.landmarks)}};
}

void compareFields(const std::string& place, const Fields& before, const Fields& after,
                   std::vector<BlueprintChange>& out) {
    std::map<std::string, std::string> old(before.begin(), before.end()), fresh(after.begin(), after.end());
    const auto shown = [](const std::string& text) {
        return text.empty() ? say("difference", "nothing") : "“" + text + "”";
    };
    for (const auto& [name, value] : after) {
        const auto it = old.find(name);
        const std::string was = it == old.end() ? std::string() : it->second;
        if (was != value)
            out.push_back({place, name + ": " + shown(was) + " → " + shown(value)});
    }
    for (const auto& [name, value] : before)
        if (!fresh.contains(name) && !value.empty())
            out.push_back({place, name + ": " + shown(value) + " → " + shown({})});
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
            out.push_back({place(x), say("difference", "is new")});
            continue;
        }
        if (name(*old) != name(x))
            out.push_back({place(x), fill(say("difference", "name: “%1” → “%2”"), {name(*old), name(x)})});
        compareFields(place(x), fieldsOf(*old), fieldsOf(x), out);
    }
    std::vector<std::string> kept[2]; // ids that both have, in either order
    for (const T& x : before) {
        if (find(after, id(x)) == after.end())
            out.push_back({place(x), say("difference", "is gone")});
        else
            kept[0].push_back(id(x));
    }
    for (const T& x : after)
        if (find(before, id(x)) != before.end())
            kept[1].push_back(id(x));
    if (kept[0] != kept[1])
        out.push_back({fill(say("difference", "%1 list"), {kind}),
                       fill(say("difference", "order: %1 → %2"), {joined(kept[0]), joined(kept[1])})});
}

} // namespace

std::vector<BlueprintChange> differences(const Blueprint& a, const Blueprint& b) {
    std::vector<BlueprintChange> out;
    const auto id = [](const auto& x) { return x.id; };
    const auto name = [](const auto& x) { return x.name; };
    compareFields(say("difference", "blueprint"), ownFields(a), ownFields(b), out);
    compareLists(say("difference", "key position"), a.positions, b.positions, id, name, out);
    compareLists(
        say("difference", "measure"), a.measures, b.measures, [](const auto& m) { return m.definition.id; },
        [](const auto& m) { return m.definition.name; }, out);
    compareLists(say("difference", "fault"), a.faults, b.faults, id, name, out);
    compareLists(say("difference", "drill"), a.drills, b.drills, id, name, out);
    compareLists(say("difference", "school"), a.schools, b.schools, id, name, out);
    compareLists(say("difference", "situation"), a.situations, b.situations, id, name, out);
    compareLists(say("difference", "profile"), a.profiles, b.profiles, id, name, out);
    compareLists(say("difference", "checkpoint"), a.checkpoints, b.checkpoints, id, name, out);
    const auto proxies = [](const Blueprint& x) {
        Fields f;
        for (const auto& p : x.proxies)
            f.emplace_back(fill(say("difference", "hidden %1"), {p.landmark}),
                           fill(say("difference", "from %1 and %2"), {p.from, p.to}));
        return f;
    };
    compareFields(say("difference", "blueprint"), proxies(a), proxies(b), out);
    return out;
}

} // namespace riflesso
