#include "casebook/progress_questions.h"

#include "core/technique/texts.h"
#include "core/words/say.h"

#include "casebook/sets.h"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>
#include <tuple>

namespace riflesso {

namespace {

struct Measured {
    const Rep* rep;
    const MeasureValue* value;
    const Take* take;
};

// The athlete's reps in which a measure could be taken, by day and number.
std::vector<Measured> measuredReps(const CaseData& data, const Analysis& analysis, const std::string& measure) {
    std::vector<Measured> seen;
    for (const auto& [id, measured] : analysis.measured) {
        const auto rep = data.reps.find(id);
        if (rep == data.reps.end())
            continue;
        const Take& take = data.takes.at(rep->second.take);
        if (take.performer != Performer::athlete)
            continue;
        for (const auto& v : measured.values)
            if (v.measure == measure && !v.refused)
                seen.push_back({&rep->second, &v, &take});
    }
    std::sort(seen.begin(), seen.end(), [](const Measured& a, const Measured& b) {
        return std::tuple(a.take->day, a.take->id, a.rep->number) < std::tuple(b.take->day, b.take->id, b.rep->number);
    });
    return seen;
}

} // namespace

std::vector<TimedRep> statedReps(const CaseData& data, const Analysis& analysis, const std::string& measure) {
    std::vector<TimedRep> out;
    for (const auto& s : measuredReps(data, analysis, measure))
        if (s.rep->effort)
            out.push_back({std::to_string(s.rep->id), 0.0, 0.0, s.value->value, s.value->u, s.rep->effort});
    return out;
}

std::vector<TimedRep> timedReps(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                const std::string& measure) {
    auto seen = measuredReps(data, analysis, measure);
    std::erase_if(seen, [](const Measured& s) { return !s.take->captureRate; });
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
                           s.value->value, s.value->u, s.rep->effort});
    }
    return out;
}

SpeedAnswer speedLimitOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                         const std::string& fault) {
    SpeedAnswer out;
    for (const auto& t : analysis.trends) {
        if (t.fault != fault || out.verdict == SpeedVerdict::leavesAt)
            continue;
        out = whereItFallsApart(timedReps(data, blueprint, analysis, t.measure), t.band);
        if (out.verdict != SpeedVerdict::leavesAt)
            out = whereItFallsApart(statedReps(data, analysis, t.measure), t.band, SpeedBy::effort);
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

std::string cueName(const std::string& cue) {
    return cue == kPictureCue ? say("progress", "the picture") : cue;
}

std::vector<PractisedWeek> practisedWeeks(const CaseData& data, const Blueprint& blueprint, Day today,
                                          std::size_t most) {
    using std::chrono::days;
    const auto mondayOf = [](Day day) { return day - (std::chrono::weekday(day) - std::chrono::Monday); };
    std::map<Day, PractisedWeek> weeks;
    const auto week = [&](Day day) -> PractisedWeek& {
        PractisedWeek& w = weeks[mondayOf(day)];
        w.monday = mondayOf(day);
        return w;
    };
    std::set<std::pair<Day, std::string>> ticked; // done as planned, by day and drill
    for (const auto& [id, b] : data.planned) {
        if (b.state == BlockState::dropped)
            continue;
        PractisedWeek& w = week(b.day);
        w.planned += b.minutes;
        if (b.state == BlockState::done) {
            w.done += b.minutes;
            ticked.insert({b.day, b.drill});
        }
    }
    for (const auto& [id, b] : data.blocks) {
        if (!b.film.empty() || b.day > today)
            continue;
        PractisedWeek& w = week(b.day);
        for (const auto& r : b.reps)
            w.good += r.good();
        w.reps[b.stage] += static_cast<int>(b.reps.size());
        const Drill* drill = blueprint.drill(b.drill);
        if (b.own) {
            w.alone += b.own->minutes;
            w.done += b.own->minutes;
        } else if (drill && !ticked.contains({b.day, b.drill})) {
            w.done += drill->dose.minutes * static_cast<double>(b.reps.size()) /
                      std::max(1, drill->dose.sets * drill->dose.reps);
        }
    }
    std::vector<PractisedWeek> out;
    if (weeks.empty())
        return out;
    const Day last = std::min(weeks.rbegin()->first, mondayOf(today) + days(7));
    for (Day monday = std::min(weeks.begin()->first, last); monday <= last; monday += days(7))
        out.push_back(week(monday));
    if (out.size() > most)
        out.erase(out.begin(), out.end() - static_cast<std::ptrdiff_t>(most));
    return out;
}

std::optional<TakeDrift> driftOverTake(const CaseData& data, const Analysis& analysis, const std::string& measure) {
    constexpr std::size_t kFewest = 6;                                                       // reps
    std::map<std::pair<Day, Id>, std::pair<std::vector<double>, std::vector<double>>> takes; // times, s, and values
    for (const auto& r : repsBehind(data, analysis, measure)) {
        const Take& take = data.takes.at(data.reps.at(r.rep).take);
        if (!take.captureRate)
            continue;
        auto& [times, values] = takes[{take.day, take.id}];
        times.push_back(timebaseOf(take).real(r.frame).value);
        values.push_back(r.value);
    }
    for (auto it = takes.rbegin(); it != takes.rend(); ++it) {
        const auto& [times, values] = it->second;
        if (times.size() < kFewest)
            continue;
        const auto drift = driftOf(times, values);
        if (!drift)
            continue;
        const auto [first, last] = std::minmax_element(times.begin(), times.end());
        return TakeDrift{it->first.second, (*last - *first) / 60.0, static_cast<int>(times.size()), *drift};
    }
    return std::nullopt;
}

std::vector<CueReps> repsByVariation(const std::vector<const Block*>& blocks, const Blueprint& blueprint,
                                     const Drill& drill) {
    std::vector<CueReps> told; // as it was told; few texts stand for many reps
    for (const Block* block : blocks)
        for (const auto& r : block->reps) {
            if (r.variation.empty())
                continue;
            auto of = std::find_if(told.begin(), told.end(), [&](const CueReps& c) { return c.cue == r.variation; });
            if (of == told.end())
                of = told.insert(of, {r.variation, 0, 0});
            ++(r.good() ? of->good : of->bad);
        }
    std::vector<CueReps> out;
    for (const auto& v : drill.variations)
        out.push_back({v, 0, 0});
    for (const auto& t : told) {
        auto of = std::find_if(out.begin(), out.end(),
                               [&](const CueReps& c) { return saysTheSame(blueprint, c.cue, t.cue); });
        if (of == out.end())
            of = out.insert(of, {t.cue, 0, 0});
        of->good += t.good;
        of->bad += t.bad;
    }
    std::erase_if(out, [](const CueReps& c) { return c.good + c.bad == 0; });
    return out;
}

std::vector<CueReps> repsByVariation(const CaseData& data, const Blueprint& blueprint, const Drill& drill) {
    std::vector<const Block*> blocks;
    for (const auto& [id, block] : data.blocks)
        if (block.film.empty() && block.drill == drill.id)
            blocks.push_back(&block);
    return repsByVariation(blocks, blueprint, drill);
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
