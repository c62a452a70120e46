#include "casebook/sets.h"

#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

std::vector<PlayerTally> tallyByPlayer(const CaseData& data) {
    std::map<std::pair<std::string, std::string>, PlayerTally> tallies;
    const auto count = [&](const std::string& who, const std::map<std::string, Seen>& seen) {
        for (const auto& [checkpoint, s] : seen) {
            auto& t = tallies[{who, checkpoint}];
            t.who = who;
            t.checkpoint = checkpoint;
            (s.verdict == SeenVerdict::yes ? t.yes : s.verdict == SeenVerdict::partly ? t.partly : t.no) += 1;
        }
    };
    for (const auto& [id, rep] : data.reps) {
        const auto take = data.takes.find(rep.take);
        if (take == data.takes.end() || take->second.performer != Performer::athlete)
            continue;
        count({}, rep.seen);
        for (const auto& [who, seen] : rep.seenOf)
            count(who, seen);
    }
    std::vector<PlayerTally> out;
    for (auto& [key, t] : tallies)
        out.push_back(std::move(t));
    return out;
}

Stage stageOf(const CaseData& data, const Rep& rep) {
    return rep.stage.value_or(data.takes.at(rep.take).stage);
}

std::string textOf(const SetKey& key) {
    return isoDate(key.day) + " " + word(key.name);
}

std::vector<RepSet> setsOf(const CaseData& data) {
    std::map<SetKey, RepSet> sets;
    std::map<SetKey, std::map<Stage, int>> stages;
    std::map<SetKey, Id> newest;
    for (const auto& [id, rep] : data.reps) {
        const auto take = data.takes.find(rep.take);
        if (take == data.takes.end() || take->second.performer != Performer::athlete)
            continue;
        const Stage stage = stageOf(data, rep);
        const std::string& named = rep.set.empty() ? take->second.set : rep.set;
        const SetKey key{take->second.day, named.empty() ? enumName(kStageNames, stage) : named};
        auto& set = sets[key];
        set.key = key;
        set.byHand |= !named.empty();
        set.reps.push_back(id);
        newest[key] = std::max(newest[key], id);
        const int count = ++stages[key][stage];
        if (count >= stages[key][set.stage])
            set.stage = stage;
    }
    std::vector<RepSet> out;
    for (auto& [key, set] : sets) {
        std::sort(set.reps.begin(), set.reps.end(), [&](Id a, Id b) {
            const Rep &x = data.reps.at(a), &y = data.reps.at(b);
            return std::pair(x.take, x.number) < std::pair(y.take, y.number);
        });
        out.push_back(std::move(set));
    }
    std::stable_sort(out.begin(), out.end(), [&](const RepSet& a, const RepSet& b) {
        return std::pair(a.key.day, newest[a.key]) > std::pair(b.key.day, newest[b.key]);
    });
    return out;
}

const RepSet* findSet(const std::vector<RepSet>& sets, const std::string& text) {
    for (const auto& s : sets)
        if (textOf(s.key) == text || s.key.name == text)
            return &s;
    return nullptr;
}

const RepSet* findSet(const std::vector<RepSet>& sets, const SetKey& key) {
    const auto it = std::find_if(sets.begin(), sets.end(), [&](const RepSet& s) { return s.key == key; });
    return it == sets.end() ? nullptr : &*it;
}

std::string setupName(const CaseData& data, const Take& take) {
    // Takes on which the same was drawn are calibrated alike: the first of them names the set-up.
    // Another analyst's habit and another camera are another set-up.
    for (const auto& [id, other] : data.takes)
        if (other.view == take.view && other.calibration == take.calibration && other.markedBy == take.markedBy &&
            other.filmedWith == take.filmedWith)
            return enumName(kViewNames, take.view) + (take.calibration.empty() ? "" : " " + std::to_string(id)) +
                   (take.markedBy.empty() ? "" : " by " + take.markedBy) +
                   (take.filmedWith.empty() ? "" : " with " + take.filmedWith);
    return {};
}

std::vector<SetValue> setValues(const CaseData& data, const std::map<Id, MeasuredRep>& measured,
                                const std::vector<Id>& reps) {
    std::vector<SetValue> out;
    for (const Id id : reps) {
        const auto it = measured.find(id);
        if (it == measured.end())
            continue;
        const Take& take = data.takes.at(data.reps.at(id).take);
        const std::string camera = setupName(data, take);
        for (const auto& v : it->second.values) {
            if (v.refused)
                continue;
            out.push_back({std::to_string(id), v.measure, v.value,
                           std::sqrt(std::max(0.0, v.u * v.u - v.uShared * v.uShared)), v.uShared, camera});
        }
    }
    return out;
}

std::vector<StageCount> insideByStage(const CaseData& data, const std::map<Id, MeasuredRep>& measured,
                                      const std::string& measure, const Band& band, std::optional<Day> from,
                                      std::optional<Day> before) {
    std::vector<StageCount> out;
    for (const auto name : kStageNames)
        out.push_back({std::string(name), 0, 0});
    for (const auto& [id, m] : measured) {
        const Rep& rep = data.reps.at(id);
        const Take& take = data.takes.at(rep.take);
        if (take.performer != Performer::athlete || (from && take.day < *from) || (before && take.day >= *before))
            continue;
        for (const auto& v : m.values)
            if (v.measure == measure && !v.refused) {
                auto& count = out[static_cast<std::size_t>(stageOf(data, rep))];
                ++count.n;
                count.inside += v.value >= band.lo && v.value <= band.hi;
            }
    }
    return out;
}

} // namespace riflesso
