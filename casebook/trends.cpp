#include "casebook/trends.h"

#include "casebook/analysts.h"
#include "casebook/sets.h"

#include <algorithm>
#include <functional>
#include <map>
#include <set>

namespace riflesso {
namespace {

// Who marked, or what filmed, the newest of the athlete's measured takes: the others' numbers are brought to this
// one's.
std::string newestOf(const CaseData& data, const Analysis& a, std::string Take::*which) {
    const Take* newest = nullptr;
    for (const auto& [id, rep] : a.measured) {
        const Take& take = data.takes.at(data.reps.at(id).take);
        if (take.performer == Performer::athlete && !(take.*which).empty() && (!newest || take.day >= newest->day))
            newest = &take;
    }
    return newest ? newest->*which : std::string();
}

// Brings a measure's readings to one analyst's or camera's; each difference is looked up once.
class BroughtTo {
public:
    using Known = std::function<std::optional<ReadingDifference>(const std::string&)>;
    BroughtTo(ReadingSource& source, Known known) : m_source(source), m_known(std::move(known)) {}
    // False: not known how it reads against the source. Readings without a name count as anybody's.
    bool bring(const std::string& by, const std::string& measure, MeasuredRep& rep) {
        if (by.empty() || by == m_source.name)
            return true;
        const auto known = m_found.try_emplace(by);
        if (known.second)
            known.first->second = m_known(by);
        if (!known.first->second) {
            m_source.notCompared.insert(by);
            return false;
        }
        m_source.corrected[by] = *known.first->second;
        rep = asReadBy(*known.first->second, measure, std::move(rep));
        return true;
    }

private:
    ReadingSource& m_source;
    Known m_known;
    std::map<std::string, std::optional<ReadingDifference>> m_found;
};

} // namespace

FocusTrend trendOf(const CaseData& data, const Blueprint& blueprint, const Analysis& a, const std::string& fault,
                   const std::string& measure) {
    FocusTrend t;
    t.fault = fault;
    t.measure = measure;
    const BlueprintMeasure* m = blueprint.measure(measure);
    if (!m)
        return t;
    if (const Deviation* d = a.deviation(t.measure))
        t.band = d->band;
    const std::string analyst = newestOf(data, a, &Take::markedBy), camera = newestOf(data, a, &Take::filmedWith);
    std::map<std::string, std::set<Id>> twice; // by camera: reps that the newest one filmed too, counted once
    for (const auto& [id, take] : data.takes)
        if (!take.filmedWith.empty() && take.filmedWith != camera && !twice.contains(take.filmedWith))
            for (const auto& [ours, theirs] : filmedTwice(data, camera, take.filmedWith))
                if (a.measured.contains(ours))
                    twice[take.filmedWith].insert(theirs);
    std::map<std::pair<Day, Stage>, std::vector<MeasuredRep>> byDay;
    std::map<std::pair<Day, Stage>, std::set<std::string>> setups;
    t.analysts.name = analyst;
    t.cameras.name = camera;
    BroughtTo oneAnalyst(t.analysts,
                         [&](const std::string& by) { return differenceOf(data, blueprint, t.measure, analyst, by); });
    BroughtTo oneCamera(t.cameras, [&](const std::string& with) {
        return cameraDifference(data, a.measured, t.measure, camera, with);
    });
    for (const auto& [id, rep] : a.measured) {
        const Take& take = data.takes.at(data.reps.at(id).take);
        if (take.performer != Performer::athlete || !serves(take.view, m->definition.view))
            continue;
        if (const auto also = twice.find(take.filmedWith); also != twice.end() && also->second.contains(id))
            continue;
        MeasuredRep read = rep;
        if (!oneAnalyst.bring(take.markedBy, t.measure, read) || !oneCamera.bring(take.filmedWith, t.measure, read))
            continue;
        setups[{take.day, stageOf(data, data.reps.at(id))}].insert(setupName(data, take));
        byDay[{take.day, stageOf(data, data.reps.at(id))}].push_back(std::move(read));
    }
    for (const auto& [when, reps] : byDay)
        if (const auto v = gather(t.measure, reps); v.reps > 0)
            t.points.push_back({when.first, v.mean, v.u, v.reps, when.second, v.uShared,
                                setups[when].size() == 1 ? *setups[when].begin() : std::string()});
    // Of the same stress only: under another it is another thing.
    if (!t.points.empty()) {
        const auto first = std::find_if(t.points.begin(), t.points.end(),
                                        [&](const TrendPoint& p) { return p.stage == t.points.back().stage; });
        if (&*first != &t.points.back())
            t.change = changeBetween(*first, t.points.back(), t.band);
    }
    return t;
}

std::vector<std::string> followedMeasures(const Blueprint& blueprint, const Analysis& a) {
    std::vector<std::string> out;
    for (const auto& m : blueprint.measures) {
        const std::string& id = m.definition.id;
        const Deviation* d = a.deviation(id);
        if (!d || !(d->band.lo < d->band.hi))
            continue;
        const bool seen = std::any_of(a.measured.begin(), a.measured.end(), [&](const auto& rep) {
            return std::any_of(rep.second.values.begin(), rep.second.values.end(),
                               [&](const MeasureValue& v) { return v.measure == id && !v.refused; });
        });
        if (seen)
            out.push_back(id);
    }
    return out;
}

} // namespace riflesso
