#include "handover/progress_words.h"

#include "casebook/film_verdicts.h"
#include "casebook/planner.h"
#include "core/statistics/numbers.h"
#include "handover/words.h"

#include <algorithm>
#include <cmath>
#include <map>

namespace riflesso {

std::vector<TrendPoint> comparable(const FocusTrend& trend) {
    // The stage filmed last of those that were filmed twice: others are of another thing.
    for (auto newest = trend.points.rbegin(); newest != trend.points.rend(); ++newest) {
        std::vector<TrendPoint> out;
        for (const auto& p : trend.points)
            if (p.stage == newest->stage)
                out.push_back(p);
        if (out.size() > 1)
            return out;
    }
    return trend.points.empty() ? trend.points : std::vector{trend.points.back()};
}

History historyOf(const FocusTrend& trend) {
    std::vector<HistoryPoint> points;
    for (const auto& p : comparable(trend))
        points.push_back({p.day, p.value, p.u});
    return historyOf(std::move(points));
}

std::string movedWords(const Blueprint& blueprint, const FocusTrend& trend) {
    const auto points = comparable(trend);
    if (points.size() < 2)
        return "One film under this stress so far. Film again like that, and the change stands here.";
    const auto& d = blueprint.measure(trend.measure)->definition;
    const Change c = changeBetween(points.front(), points.back(), trend.band);
    const double left = distanceOutside(points.back().value, trend.band);
    const std::string by = (c.change > 0 ? "+" : "") + numberWords(d, c.change, c.mdc / 2);
    std::string out;
    if (points.back().stage != trend.points.back().stage)
        out = "At " + std::string(kStageNames[static_cast<std::size_t>(points.back().stage)]) + ": ";
    if (c.movement == Movement::withinError)
        out += "Not by more than could be chance: " + by + ", and " + numberWords(d, c.mdc, c.mdc / 2) +
               " would be needed.";
    else
        out += (distanceOutside(points.front().value, trend.band) == 0.0 && left == 0.0 ? "Yes, inside the band: "
                : c.movement == Movement::towards                                       ? "Yes: "
                                                                                        : "Yes, the wrong way: ") +
               by + ", " + general(std::abs(c.change) / c.mdc, 2) + " times what could be chance.";
    out += left > 0.0 ? " Still " + numberWords(d, left, points.back().u) + " outside the band."
                      : " It is inside the band now.";
    const History h = historyOf(trend);
    if (h.kind == HistoryKind::step)
        out += " It came at once, by " + dayWords(*h.day) + ".";
    else if (h.kind == HistoryKind::drift)
        out += " It came little by little.";
    return out;
}

std::string keptWords(const CaseData& data, const Blueprint& blueprint, const FocusTrend& trend) {
    constexpr int kPause = 14; // days
    const auto points = comparable(trend);
    for (std::size_t i = points.size(); i-- > 1;) {
        const TrendPoint &before = points[i - 1], &after = points[i];
        if ((after.day - before.day).count() < kPause)
            continue;
        const auto between = [&](Day day) { return day > before.day && day < after.day; };
        const bool worked =
            std::any_of(data.blocks.begin(), data.blocks.end(), [&](const auto& b) { return between(b.second.day); }) ||
            std::any_of(trend.points.begin(), trend.points.end(), [&](const TrendPoint& p) { return between(p.day); });
        if (worked)
            continue;
        const auto& d = blueprint.measure(trend.measure)->definition;
        const Change c = changeBetween(before, after, trend.band);
        const std::string by = (c.change > 0 ? "+" : "") + numberWords(d, c.change, c.mdc / 2);
        const std::string pause = std::to_string((after.day - before.day).count()) + " days without it";
        return c.movement == Movement::away      ? "Not kept over " + pause + ": " + by + "."
               : c.movement == Movement::towards ? "More than kept over " + pause + ": " + by + "."
                                                 : "Kept over " + pause + ": " + by + ", not more than chance.";
    }
    return {};
}

std::string transferredWords(const FocusTrend& trend) {
    std::map<Stage, std::optional<Day>> since; // first inside, by stage
    for (const auto& p : trend.points) {
        auto& day = since[p.stage];
        if (!day && distanceOutside(p.value, trend.band) == 0.0)
            day = p.day;
    }
    if (since.size() < 2)
        return {};
    std::string inside, not_yet;
    for (const auto& [stage, day] : since) {
        const std::string name = "at " + std::string(kStageNames[static_cast<std::size_t>(stage)]);
        if (day)
            inside += (inside.empty() ? "" : ", ") + name + " since " + dayWords(*day);
        else
            not_yet += (not_yet.empty() ? "" : ", ") + name;
    }
    if (inside.empty())
        return "Not inside the band under any stress yet.";
    return "Inside the band " + inside + (not_yet.empty() ? "" : "; not yet " + not_yet) + ".";
}

std::string againstBestWords(const Blueprint& blueprint, const FocusTrend& trend) {
    const auto points = comparable(trend);
    if (points.size() < 3)
        return {};
    const double middle = (trend.band.lo + trend.band.hi) / 2.0;
    const auto worse = [&](const TrendPoint& p) {
        return std::pair(distanceOutside(p.value, trend.band),
                         std::isfinite(middle) ? std::abs(p.value - middle) : 0.0);
    };
    const auto best = std::min_element(points.begin(), points.end(),
                                       [&](const TrendPoint& a, const TrendPoint& b) { return worse(a) < worse(b); });
    if (best + 1 == points.end())
        return "The best so far under this stress.";
    const auto& d = blueprint.measure(trend.measure)->definition;
    const Change c = changeBetween(*best, points.back(), trend.band);
    return "Against the best (" + dayWords(best->day) + "): " + (c.change > 0 ? "+" : "") +
           numberWords(d, c.change, c.mdc / 2) +
           (c.movement == Movement::withinError ? ", not more than chance." : ".");
}

std::string goalWords(const Blueprint& blueprint, const std::optional<Goal>& aim, const FocusTrend& trend) {
    if (!aim || aim->measure != trend.measure || trend.points.empty())
        return {};
    const auto& d = blueprint.measure(trend.measure)->definition;
    const TrendPoint& now = trend.points.back();
    const double sign = aim->to >= aim->from ? 1.0 : -1.0;
    const double beyond = sign * (now.value - aim->to), moved = sign * (now.value - aim->from);
    const double unsure = 1.96 * now.u, mdc = 1.96 * std::sqrt(2.0) * now.u;
    const char* state = beyond >= unsure            ? "reached"
                        : std::abs(beyond) < unsure ? "cannot be told yet, it is that near"
                        : moved > mdc               ? "partly"
                                                    : "not yet";
    return "Goal " + numberWords(d, aim->to) + (aim->by ? " by " + dayWords(*aim->by) : "") + ": " + state + ".";
}

BreakPoint breakOf(const CaseData& data, const Analysis& analysis, const FocusTrend& trend) {
    return whereItBreaks(insideByStage(data, analysis.measured, trend.measure, trend.band));
}

std::optional<Agreement> verdictsAgree(const CaseData& data) {
    std::vector<std::pair<std::string, std::string>> pairs;
    for (const auto& [id, block] : data.blocks)
        for (const auto& r : block.reps)
            if (r.athlete && r.coach)
                pairs.emplace_back(*r.athlete ? "good" : "not", *r.coach ? "good" : "not");
    return agreementOf(pairs);
}

std::string feelingWords(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis) {
    std::string out;
    for (const auto& g : analysis.guesses)
        out += guessWords(blueprint, g) + ". ";
    if (const auto a = verdictsAgree(data))
        out += "On practised reps athlete and coach agree on " + fixed(100.0 * a->observed, 0) + " % of " +
               std::to_string(a->n) + "; beyond chance: kappa " + fixed(a->kappa, 2) + " (" + fixed(a->interval.lo, 2) +
               " to " + fixed(a->interval.hi, 2) + ").";
    if (const auto film = filmAgreement(data); film.reps > 0) {
        const auto share = [](const std::optional<Agreement>& a) {
            return a ? fixed(100.0 * a->observed, 0) + " % (kappa " + fixed(a->kappa, 2) + ", " +
                           fixed(a->interval.lo, 2) + " to " + fixed(a->interval.hi, 2) + ")"
                     : std::string("too few to tell");
        };
        out += std::string(out.empty() ? "" : " ") + "On " + std::to_string(film.reps) +
               " reps of films the athlete agrees with the measure on " + share(film.athleteFilm) + ", the coach on " +
               share(film.coachFilm) + ".";
        if (film.bad > 0)
            out += " Of " + std::to_string(film.bad) + " that were not good the athlete missed " +
                   std::to_string(film.missedByAthlete) + ", the coach " + std::to_string(film.missedByCoach) + ".";
    }
    return out.empty() ? "Ask for a guess in the Brief, and have both judge in Practice." : out;
}

std::string speedWords(const Blueprint& blueprint, const std::string& measure, const SpeedAnswer& a) {
    const BlueprintMeasure* m = blueprint.measure(measure);
    if (!m)
        return {};
    const auto percent = [](double v) { return fixed(v, 0) + " %"; };
    const std::string each =
        a.line ? numberWords(m->definition, 10.0 * a.line->slope, 10.0 * a.line->uSlope) : std::string();
    switch (a.verdict) {
    case SpeedVerdict::tooFew:
        return a.points.size() < 5
                   ? "Five reps at different speeds are needed, with the capture rate stated: " +
                         std::to_string(a.points.size()) + " so far."
                   : "All reps are of about one speed: film some at walking speed, some at half, some at full.";
    case SpeedVerdict::unmoved:
        return "It does not change with the speed by more than could be chance.";
    case SpeedVerdict::staysInside:
        return "It changes by " + each + " for 10 % more speed, and stays inside its band.";
    case SpeedVerdict::outAtAll:
        return "Outside its band at every speed of these reps: slower still.";
    case SpeedVerdict::leavesAt:
        break;
    }
    std::string out = "It falls apart from " + percent(a.leaves->x) + " of the fastest on";
    if (a.leaves->interval)
        out += " (" + fixed(a.leaves->interval->lo, 0) + " to " + fixed(a.leaves->interval->hi, 0) + ")";
    out += a.practiseAt > 0.0 ? ". Practise it at " + percent(a.practiseAt) + "." : ".";
    return out;
}

std::string cueWords(const Blueprint& blueprint, const CueTrial& trial, const std::vector<CueStanding>& s) {
    if (s.empty())
        return "Nothing is practised yet. Choose a cue before a block, and it is counted here.";
    const Drill* drill = blueprint.drill(trial.drill);
    const auto counts = [](const CueStanding& c) { return std::to_string(c.good) + " good of " + std::to_string(c.n); };
    const std::string where = (drill ? drill->name : trial.drill) + ", " +
                              std::string(kStageNames[static_cast<std::size_t>(trial.stage)]) + ": ";
    if (s.size() < 2)
        return where + "one cue so far, \"" + s.front().cue + "\", " + counts(s.front()) +
               ". Try another at the same drill, and they can be compared.";
    if (const CueStanding* best = clearlyBest(s))
        return where + "\"" + best->cue + "\" works better than the rest (" + fixed(best->pBest, 2) + "), " +
               counts(*best) + ".";
    std::string more;
    for (const auto& c : s)
        if (c.more > 0)
            more += (more.empty() ? "" : ", ") + std::to_string(c.more) + " more with \"" + c.cue + "\"";
    if (!more.empty())
        return where + "not enough yet, " + more + ".";
    return where + "no cue is clearly better yet; \"" + s.front().cue + "\" leads (" + fixed(s.front().pBest, 2) + ").";
}

std::string practisedWords(const CaseData& data, Day today) {
    const auto a = adherenceOf(data, today);
    int reps = 0, good = 0, blocks = 0;
    double alone = 0.0; // minutes
    for (const auto& [id, block] : data.blocks)
        if (block.film.empty() && block.day > today - std::chrono::days(28) && block.day <= today) {
            ++blocks;
            alone += block.own ? block.own->minutes : 0.0;
            for (const auto& r : block.reps) {
                ++reps;
                good += r.good();
            }
        }
    std::string out = blocks == 0 ? "Nothing was practised in the last four weeks."
                                  : std::to_string(blocks) + (blocks == 1 ? " block" : " blocks") +
                                        " in the last four weeks, " + std::to_string(good) + " good of " +
                                        std::to_string(reps) + " reps.";
    if (alone > 0.0)
        out += " " + fixed(alone, 0) + " minutes of it alone.";
    if (a.done + a.missed > 0)
        out += " Of what was planned " + fixed(100.0 * a.done / (a.done + a.missed), 0) + " % was done (" +
               std::to_string(a.done) + " of " + std::to_string(a.done + a.missed) + ").";
    return out;
}

} // namespace riflesso
