#include "casebook/choosing.h"

#include "core/words/say.h"

#include <algorithm>
#include <cmath>
#include <iterator>

namespace riflesso {
namespace {

bool hasValue(const MeasuredRep& rep) {
    return std::any_of(rep.values.begin(), rep.values.end(), [](const MeasureValue& v) { return !v.refused; });
}

} // namespace

std::vector<MeasuredRep> pick(const Analysis& a, const std::vector<Id>& reps) {
    std::vector<MeasuredRep> out;
    for (Id id : reps)
        out.push_back(a.measured.at(id));
    return out;
}

void chooseReps(const CaseData& data, const SetChoice& choice, Analysis& a) {
    a.sets = setsOf(data);
    for (const auto& [id, rep] : a.measured)
        if (data.takes.at(data.reps.at(id).take).performer == Performer::model)
            a.modelReps.push_back(id);
    const auto measured = [&](const RepSet& set) {
        return std::any_of(set.reps.begin(), set.reps.end(),
                           [&](Id id) { return a.measured.contains(id) && hasValue(a.measured.at(id)); });
    };
    const RepSet* judged = choice.above ? findSet(a.sets, *choice.above) : nullptr;
    if (!judged)
        for (const auto& set : a.sets)
            if (!judged && measured(set))
                judged = &set;
    if (!judged)
        return;
    a.above = judged->key;
    a.judgedDay = judged->key.day;
    for (const Id id : judged->reps)
        if (a.measured.contains(id))
            a.athleteReps.push_back(id);
    if (const RepSet* set = choice.below ? findSet(a.sets, *choice.below) : nullptr; set && measured(*set))
        a.below = set->key;
}

std::optional<ModelPerformance> modelToKeep(const CaseData& data, const Analysis& analysis, const std::string& name) {
    ModelPerformance out{name, data.blueprintId, {}, data.brief.school, pick(analysis, analysis.modelReps)};
    std::erase_if(out.reps, [](const MeasuredRep& r) { return !hasValue(r); });
    if (out.reps.empty())
        return std::nullopt;
    out.source = sayCount("landings", "%n reps of films", "%n rep of films", out.reps.size());
    return out;
}

void countChoices(const CaseData& data, const Blueprint& blueprint, Analysis& a) {
    std::map<std::string, int> often;
    for (const Id id : a.athleteReps) {
        const Rep& rep = data.reps.at(id);
        if (rep.situation.empty())
            continue;
        ++often[rep.situation];
        auto it = std::find_if(a.choices.begin(), a.choices.end(), [&](const ChoiceCount& c) {
            return c.situation == rep.situation && c.choice == rep.choice;
        });
        if (it == a.choices.end()) {
            ChoiceCount fresh{rep.situation, rep.choice, 0, 0, 0, {}, {}};
            const auto right = choiceIsRight(blueprint, rep.situation, rep.choice);
            if (right &&
                (rep.choice != kDecline || *right > 0.5)) // whether declining is right the limits say, rep by rep
                fresh.advised = *right > 0.5;
            if (const Situation* s = situationNamed(blueprint, rep.situation))
                if (const auto share = s->shares.find(rep.choice); share != s->shares.end())
                    fresh.share = share->second;
            it = a.choices.insert(a.choices.end(), fresh);
        }
        ++it->n;
        const Situation* s = situationNamed(blueprint, rep.situation);
        const auto measured = a.measured.find(id);
        if (s && measured != a.measured.end())
            if (const auto* limit = limitPassed(*s, measured->second.values)) {
                ++it->declinable;
                it->limit = limit->measure;
            }
        if (rep.worked) {
            ++it->known;
            it->worked += *rep.worked;
        }
    }
    for (auto& c : a.choices)
        if (c.known > 0)
            c.success = wilson(c.worked, c.known);
    for (const auto& [situation, n] : often)
        a.situations.push_back(situation);
    std::stable_sort(a.situations.begin(), a.situations.end(),
                     [&](const auto& x, const auto& y) { return often[x] > often[y]; });
}

void testLinks(const CaseData& data, const Blueprint& blueprint, const CompareOptions& options, Analysis& a) {
    std::map<Day, std::vector<MeasuredRep>> byDay;
    for (const auto& [id, rep] : a.measured) {
        const Take& take = data.takes.at(data.reps.at(id).take);
        if (take.performer == Performer::athlete && hasValue(rep))
            byDay[take.day].push_back(rep);
    }
    std::vector<LinkCheck> checks;
    std::optional<std::vector<FaultReading>> before;
    for (const auto& [day, reps] : byDay) {
        auto now = readingsOf(blueprint, compare(blueprint, reps, a.reference, options));
        if (before) {
            const auto found = checksBetween(blueprint, *before, now);
            checks.insert(checks.end(), found.begin(), found.end());
            a.stayed.clear();
            std::copy_if(found.begin(), found.end(), std::back_inserter(a.stayed),
                         [](const LinkCheck& c) { return !c.followed; });
        }
        before = std::move(now);
    }
    a.beliefs = beliefsOf(blueprint, checks);
}

void compareEyes(const Blueprint& blueprint, Analysis& a) {
    for (const auto& fault : blueprint.faults) {
        const Indicator *eye = nullptr, *measured = nullptr;
        bool eyeSees = false, measureSees = false;
        for (const auto& i : fault.indicators) {
            const BlueprintMeasure* m = blueprint.measure(i.measure);
            const Deviation* d = a.deviation(i.measure);
            if (!m || !d || !d->judged)
                continue;
            const bool noted = m->definition.kind == MeasureKind::seen;
            const bool low = d->value.mean<d->band.lo, high = d->value.mean> d->band.hi;
            const bool out = i.direction == Deviance::low ? low : high;
            // An eye gives no error: its word counts when it said so more often than not.
            if (noted && (!eye || i.weight > eye->weight)) {
                eye = &i;
                eyeSees = out;
            } else if (!noted && d->verdict.decision != Decision::undecided &&
                       (!measured || i.weight > measured->weight)) {
                measured = &i;
                measureSees = out;
            }
        }
        if (eye && measured && eyeSees != measureSees)
            a.conflicts.push_back({fault.id, eye->measure, measured->measure, eyeSees});
    }
}

namespace {

// The model's reps; sets which model that is, and whose pictures stand below the line.
std::vector<MeasuredRep> chooseModel(const CaseData& data, const SetChoice& choice, Analysis& a) {
    // Models by name, films first. Several people are not one model unless somebody wants them together.
    std::vector<std::pair<std::string, std::vector<MeasuredRep>>> all;
    const auto named = [&](const std::string& name) -> std::vector<MeasuredRep>& {
        const auto it = std::find_if(all.begin(), all.end(), [&](const auto& m) { return m.first == name; });
        return (it == all.end() ? all.insert(all.end(), {name, {}}) : it)->second;
    };
    for (const Id id : a.modelReps)
        named(data.takes.at(data.reps.at(id).take).who).push_back(a.measured.at(id));
    for (const auto& m : data.brief.models)
        if (m.blueprint == data.blueprintId && (m.school.empty() || m.school == data.brief.school)) {
            auto& reps = named(m.name);
            reps.insert(reps.end(), m.reps.begin(), m.reps.end());
        }
    for (const auto& [name, reps] : all)
        a.models.push_back(name);
    std::vector<MeasuredRep> models;
    const auto most = std::max_element(all.begin(), all.end(),
                                       [](const auto& x, const auto& y) { return x.second.size() < y.second.size(); });
    auto wanted = choice.model
                      ? std::find_if(all.begin(), all.end(), [&](const auto& m) { return m.first == *choice.model; })
                      : most;
    if (wanted == all.end() && choice.model && !choice.model->empty())
        wanted = most; // it is gone
    if (wanted != all.end()) {
        models = wanted->second;
        a.model = all.size() > 1 ? wanted->first : std::string();
        // Its own pictures stand below the line; a model that came measured has none and leaves those there are.
        std::vector<Id> own;
        for (const Id id : a.modelReps)
            if (data.takes.at(data.reps.at(id).take).who == wanted->first)
                own.push_back(id);
        if (!own.empty())
            a.modelReps = own;
    } else {
        for (const auto& [name, reps] : all)
            models.insert(models.end(), reps.begin(), reps.end());
    }
    return models;
}

// A measured rep of the athlete. "Today" below is the day that is judged.
struct Own {
    Id id;
    Day day;
    Stage stage;
    bool worked;
};

std::vector<Own> ownReps(const CaseData& data, const Analysis& a) {
    std::vector<Own> own;
    for (const auto& [id, rep] : a.measured) {
        const Rep& r = data.reps.at(id);
        const Take& take = data.takes.at(r.take);
        if (take.performer == Performer::athlete && hasValue(rep))
            own.push_back({id, take.day, stageOf(data, r), r.worked.value_or(true)});
    }
    return own;
}

std::vector<Id> ownLast(const std::vector<Own>& own, Day today) {
    std::vector<Id> chosen;
    std::optional<Day> last;
    for (const auto& o : own)
        if (o.day < today && (!last || o.day > *last))
            last = o.day;
    for (const auto& o : own)
        if (last && o.day == *last)
            chosen.push_back(o.id);
    return chosen;
}

// Less stress than in any of the reps that are judged: they are not their own model.
std::vector<Id> ownCalm(const std::vector<Own>& own, Day today) {
    std::vector<Id> chosen;
    std::optional<Stage> now, calm;
    for (const auto& o : own)
        if (o.day >= today && (!now || o.stage < *now))
            now = o.stage;
    for (const auto& o : own)
        if (o.day < today && now && o.stage < *now && (!calm || o.stage < *calm))
            calm = o.stage;
    for (const auto& o : own)
        if (o.day < today && calm && o.stage == *calm)
            chosen.push_back(o.id);
    return chosen;
}

// A third of those that worked, by their mean severity against the models.
std::vector<Id> ownBest(const std::vector<Own>& own, Day today, const Blueprint& blueprint, const Analysis& a) {
    std::vector<Id> chosen;
    std::vector<std::pair<double, Id>> ranked;
    for (const auto& o : own) {
        if (o.day >= today || !o.worked)
            continue;
        double severity = 0.0;
        int judged = 0;
        for (const auto& d : compare(blueprint, {a.measured.at(o.id)}, a.reference, {})) {
            severity += d.judged ? std::abs(d.verdict.severity) : 0.0;
            judged += d.judged;
        }
        if (judged > 0)
            ranked.emplace_back(severity / judged, o.id);
    }
    std::sort(ranked.begin(), ranked.end());
    for (std::size_t i = 0; i < (ranked.size() + 2) / 3; ++i)
        chosen.push_back(ranked[i].second);
    return chosen;
}

} // namespace

void chooseReference(const CaseData& data, const Blueprint& blueprint, const SetChoice& choice, Analysis& a) {
    a.reference = chooseModel(data, choice, a);
    a.referenceKind = ReferenceKind::model;
    if (a.below) {
        std::vector<Id> reps;
        for (const Id id : findSet(a.sets, *a.below)->reps)
            if (a.measured.contains(id))
                reps.push_back(id);
        a.reference = pick(a, reps);
        a.referenceKind = ReferenceKind::ownLast;
        return;
    }
    if (data.brief.reference == ReferenceKind::model || !a.judgedDay)
        return;
    const std::vector<Own> own = ownReps(data, a);
    const Day judged = *a.judgedDay;
    const std::vector<Id> chosen = data.brief.reference == ReferenceKind::ownLast ? ownLast(own, judged)
                                   : data.brief.reference == ReferenceKind::ownCalm
                                       ? ownCalm(own, judged)
                                       : ownBest(own, judged, blueprint, a);
    if (chosen.empty())
        return; // nothing of the kind yet: the models
    a.reference = pick(a, chosen);
    a.referenceKind = data.brief.reference;
}

} // namespace riflesso
