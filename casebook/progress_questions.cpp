#include "casebook/progress_questions.h"

#include "casebook/sets.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <tuple>

namespace riflesso {

std::vector<TimedRep> timedReps(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                const std::string& measure) {
    struct Measured {
        const Rep* rep;
        const MeasureValue* value;
        const Take* take;
    };
    std::vector<Measured> seen;
    for (const auto& [id, measured] : analysis.measured) {
        const auto rep = data.reps.find(id);
        if (rep == data.reps.end())
            continue;
        const Take& take = data.takes.at(rep->second.take);
        if (take.performer != Performer::athlete || !take.captureRate)
            continue;
        for (const auto& v : measured.values)
            if (v.measure == measure && !v.refused)
                seen.push_back({&rep->second, &v, &take});
    }
    std::sort(seen.begin(), seen.end(), [](const Measured& a, const Measured& b) {
        return std::tuple(a.take->day, a.take->id, a.rep->number) < std::tuple(b.take->day, b.take->id, b.rep->number);
    });
    const PositionId *first = nullptr, *last = nullptr;
    for (const auto& p : blueprint.positions)
        if (std::all_of(seen.begin(), seen.end(), [&](const Measured& s) { return s.rep->positions.contains(p.id); })) {
            first = first ? first : &p.id;
            last = &p.id;
        }
    std::vector<TimedRep> out;
    if (!first || first == last)
        return out;
    for (const auto& s : seen) {
        const Timebase time = timebaseOf(*s.take);
        const FrameIndex a = s.rep->positions.at(*first).frame, b = s.rep->positions.at(*last).frame;
        const double duration = time.real(b).value - time.real(a).value;
        if (duration > 0.0)
            out.push_back({std::to_string(s.rep->id), duration, std::hypot(time.instantError(a), time.instantError(b)),
                           s.value->value, s.value->u});
    }
    return out;
}

std::vector<RepBehind> repsBehind(const CaseData& data, const Analysis& analysis, const std::string& measure,
                                  std::optional<Stage> stage, std::optional<Day> day) {
    std::vector<RepBehind> out;
    for (const auto& [id, measured] : analysis.measured) {
        const auto rep = data.reps.find(id);
        if (rep == data.reps.end() || (stage && stageOf(data, rep->second) != *stage))
            continue;
        const Take& take = data.takes.at(rep->second.take);
        if (take.performer != Performer::athlete || (day && take.day != *day))
            continue;
        for (const auto& v : measured.values)
            if (v.measure == measure && !v.refused && !v.frames.empty())
                out.push_back({id, take.day, v.value, v.u, v.frames.front()});
    }
    std::stable_sort(out.begin(), out.end(), [&](const RepBehind& a, const RepBehind& b) {
        return std::tuple(a.day, data.reps.at(a.rep).take, data.reps.at(a.rep).number) <
               std::tuple(b.day, data.reps.at(b.rep).take, data.reps.at(b.rep).number);
    });
    return out;
}

std::vector<RepBehind> newestByDay(const CaseData& data, const Analysis& analysis, const std::string& measure) {
    std::vector<RepBehind> out;
    for (const auto& r : repsBehind(data, analysis, measure)) {
        if (out.empty() || out.back().day != r.day)
            out.push_back(r);
        out.back() = r; // a later one of the same day takes its place
    }
    return out;
}

CueTrial cueTrial(const CaseData& data, const Blueprint& blueprint) {
    std::map<std::pair<std::string, Stage>, std::map<std::string, CueReps>> all;
    const auto cueOf = [&](const Block& block) {
        const Drill* drill = blueprint.drill(block.drill);
        return !block.cue.empty() ? block.cue : drill ? drill->cue : std::string();
    };
    for (const auto& [id, block] : data.blocks) {
        if (!block.film.empty())
            continue; // nothing was practised
        const std::string cue = cueOf(block);
        if (cue.empty())
            continue;
        auto& reps = all[{block.drill, block.stage}][cue];
        reps.cue = cue;
        for (const auto& r : block.reps)
            ++(r.good() ? reps.good : reps.bad);
    }
    CueTrial best;
    std::pair<std::size_t, int> most{0, 0};
    for (const auto& [where, cues] : all) {
        int reps = 0;
        for (const auto& [cue, c] : cues)
            reps += c.good + c.bad;
        if (std::pair(cues.size(), reps) <= most)
            continue;
        most = {cues.size(), reps};
        best = {where.first, where.second, {}, {}};
        for (const auto& [cue, c] : cues)
            best.cues.push_back(c);
    }
    std::map<std::pair<std::string, Day>, std::pair<int, int>> days; // good and all
    for (const auto& [id, block] : data.blocks)
        if (block.film.empty() && block.drill == best.drill && block.stage == best.stage && !cueOf(block).empty())
            for (const auto& r : block.reps) {
                auto& [good, n] = days[{cueOf(block), block.day}];
                good += r.good();
                ++n;
            }
    for (const auto& [which, counts] : days)
        best.days[which.first].push_back({which.second, counts.first, counts.second});
    return best;
}

void giveGuesses(Brief& brief, std::vector<Guess> given) {
    const auto of = [](auto& all, const std::string& measure) {
        return std::find_if(all.begin(), all.end(), [&](const Guess& g) { return g.measure == measure; });
    };
    for (auto& now : given)
        if (const auto old = of(brief.guesses, now.measure); old != brief.guesses.end() && old->value == now.value)
            now.day = old->day; // nothing new was said
    for (const auto& old : brief.guesses) {
        const auto now = of(given, old.measure);
        if (old.day == Day{} || (now != given.end() && now->day == old.day))
            continue; // of no known day, the same as now, or said anew on the same day
        brief.pastGuesses.push_back(old);
    }
    brief.guesses = std::move(given);
}

std::vector<DatedPerception> feltOverTime(const CaseData& data, const Analysis& analysis, const std::string& measure) {
    constexpr int kNear = 21; // days
    std::map<Day, std::vector<MeasuredRep>> filmed;
    for (const auto& [id, rep] : analysis.measured) {
        const Take& take = data.takes.at(data.reps.at(id).take);
        if (take.performer == Performer::athlete)
            filmed[take.day].push_back(rep);
    }
    std::map<Day, double> said;
    for (const auto* all : {&data.brief.pastGuesses, &data.brief.guesses})
        for (const auto& g : *all)
            if (g.measure == measure && g.day != Day{})
                said[g.day] = g.value;
    std::vector<DatedPerception> out;
    for (const auto& [day, value] : said) {
        int nearest = kNear + 1;
        MeasuredValue film;
        for (const auto& [when, reps] : filmed)
            if (const int away = std::abs(static_cast<int>((when - day).count())); away < nearest)
                if (const auto v = gather(measure, reps); v.reps > 0) {
                    nearest = away;
                    film = v;
                }
        if (nearest <= kNear)
            out.push_back({day, {value, film.mean, film.u}});
    }
    return out;
}

} // namespace riflesso
