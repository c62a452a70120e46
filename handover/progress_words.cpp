#include "handover/progress_words.h"

#include "casebook/film_verdicts.h"
#include "casebook/planner.h"
#include "casebook/progress_questions.h"
#include "casebook/trends.h"
#include "core/progress/drill_help.h"
#include "core/statistics/numbers.h"
#include "core/words/say.h"
#include "handover/words.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <map>
#include <numeric>

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
        return say("progress", "One film under this stress so far. Film again like that, and the change stands here.");
    const auto& d = blueprint.measure(trend.measure)->definition;
    const Change c = changeBetween(points.front(), points.back(), trend.band);
    const double left = distanceOutside(points.back().value, trend.band);
    const std::string by = (c.change > 0 ? "+" : "") + numberWords(d, c.change, c.mdc / 2);
    std::string out;
    if (points.back().stage != trend.points.back().stage)
        out = fill(say("progress", "At %1: "), {word(kStageNames[static_cast<std::size_t>(points.back().stage)])});
    if (c.movement == Movement::withinError)
        out += fill(say("progress", "Not by more than could be chance: %1, and %2 would be needed."),
                    {by, numberWords(d, c.mdc, c.mdc / 2)});
    else
        out += fill(distanceOutside(points.front().value, trend.band) == 0.0 && left == 0.0
                        ? say("progress", "Yes, inside the band: %1, %2 times what could be chance.")
                    : c.movement == Movement::towards
                        ? say("progress", "Yes: %1, %2 times what could be chance.")
                        : say("progress", "Yes, the wrong way: %1, %2 times what could be chance."),
                    {by, general(std::abs(c.change) / c.mdc, 2)});
    out += left > 0.0 ? fill(say("progress", " Still %1 outside the band."), {numberWords(d, left, points.back().u)})
                      : say("progress", " It is inside the band now.");
    const History h = historyOf(trend);
    if (h.kind == HistoryKind::step)
        out += fill(say("progress", " It came at once, by %1."), {dayWords(*h.day)});
    else if (h.kind == HistoryKind::drift)
        out += say("progress", " It came little by little.");
    return out;
}

std::string productWords(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                         const FocusTrend& trend) {
    const auto aspectOf = [](const BlueprintMeasure& m) {
        return m.definition.kind == MeasureKind::cadence ? std::optional(m.definition.aspect) : std::nullopt;
    };
    const BlueprintMeasure* m = blueprint.measure(trend.measure);
    const auto speed = std::find_if(blueprint.measures.begin(), blueprint.measures.end(),
                                    [&](const auto& other) { return aspectOf(other) == Aspect::speed; });
    const auto films = comparable(trend);
    if (!m || !aspectOf(*m) || *aspectOf(*m) == Aspect::speed || speed == blueprint.measures.end() || films.size() < 2)
        return {};
    const auto whole = trendOf(data, blueprint, analysis, {}, speed->definition.id);
    const auto on = [&](const TrendPoint& film) {
        return std::find_if(whole.points.begin(), whole.points.end(),
                            [&](const auto& p) { return p.day == film.day && p.stage == film.stage; });
    };
    const auto before = on(films.front()), after = on(films.back());
    if (before == whole.points.end() || after == whole.points.end())
        return {};
    const Change c = changeBetween(*before, *after, whole.band);
    const std::string by = (c.change > 0 ? "+" : "") + numberWords(speed->definition, c.change, c.mdc / 2);
    if (std::abs(c.change) <= c.mdc)
        return fill(say("progress",
                        "The speed itself, rate times distance, moved by no more than could be chance (%1): "
                        "more of one alone proves nothing."),
                    {by});
    return fill(c.change > 0
                    ? say("progress", "The speed itself, rate times distance, went up with it: %1.")
                    : say("progress", "The speed itself, rate times distance, went down: %1. More of one alone "
                                      "proves nothing."),
                {by});
}

std::string sourceWords(const Blueprint& blueprint, const FocusTrend& trend) {
    const auto& d = blueprint.measure(trend.measure)->definition;
    std::string out;
    for (const auto& [name, difference] : trend.analysts.corrected)
        out += (out.empty() ? "" : " ") +
               fill(say("progress", "%1 reads %2 more than %3 (%4 frames that both marked): taken off."),
                    {name, valueWords(d, difference.more, difference.u), trend.analysts.name,
                     std::to_string(difference.n)});
    for (const auto& name : trend.analysts.notCompared)
        out += (out.empty() ? "" : " ") +
               fill(say("progress", "What %1 marked is left out: how %1 reads against %2 is not known. Let one mark "
                                    "frames of the other's again (Marking, “Again”)."),
                    {name, trend.analysts.name});
    for (const auto& [name, difference] : trend.cameras.corrected)
        out += (out.empty() ? "" : " ") +
               fill(say("progress", "The camera “%1” reads %2 more than “%3” (%4 reps that both filmed): taken off."),
                    {name, valueWords(d, difference.more, difference.u), trend.cameras.name,
                     std::to_string(difference.n)});
    for (const auto& name : trend.cameras.notCompared)
        out += (out.empty() ? "" : " ") +
               fill(say("progress", "What the camera “%1” filmed is left out: how it reads against “%2” is not known. "
                                    "Film three reps with both, from the same side, and lock the two films."),
                    {name, trend.cameras.name});
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
        return fill(c.movement == Movement::away ? say("progress", "Not kept over %1 days without it: %2.")
                    : c.movement == Movement::towards
                        ? say("progress", "More than kept over %1 days without it: %2.")
                        : say("progress", "Kept over %1 days without it: %2, not more than chance."),
                    {std::to_string((after.day - before.day).count()), by});
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
        const std::string name = word(kStageNames[static_cast<std::size_t>(stage)]);
        if (day)
            inside += (inside.empty() ? "" : ", ") + fill(say("progress", "at %1 since %2"), {name, dayWords(*day)});
        else
            not_yet += (not_yet.empty() ? "" : ", ") + fill(say("progress", "at %1"), {name});
    }
    if (inside.empty())
        return say("progress", "Not inside the band under any stress yet.");
    return not_yet.empty() ? fill(say("progress", "Inside the band %1."), {inside})
                           : fill(say("progress", "Inside the band %1; not yet %2."), {inside, not_yet});
}

std::string againstLastWords(const Blueprint& blueprint, const FocusTrend& trend) {
    const auto points = comparable(trend);
    if (points.size() < 3)
        return {};
    const TrendPoint& last = points[points.size() - 2];
    const Change c = changeBetween(last, points.back(), trend.band);
    return fill(
        c.movement == Movement::withinError ? say("progress", "Since %1: %2, not more than chance.")
                                            : say("progress", "Since %1: %2."),
        {dayWords(last.day),
         (c.change > 0 ? "+" : "") + numberWords(blueprint.measure(trend.measure)->definition, c.change, c.mdc / 2)});
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
        return say("progress", "The best so far under this stress.");
    const auto& d = blueprint.measure(trend.measure)->definition;
    const Change c = changeBetween(*best, points.back(), trend.band);
    return fill(c.movement == Movement::withinError
                    ? say("progress", "Against the best (%1): %2, not more than chance.")
                    : say("progress", "Against the best (%1): %2."),
                {dayWords(best->day), (c.change > 0 ? "+" : "") + numberWords(d, c.change, c.mdc / 2)});
}

std::string goalWords(const Blueprint& blueprint, const std::optional<Goal>& aim, const FocusTrend& trend) {
    if (!aim || aim->measure != trend.measure || trend.points.empty())
        return {};
    const auto& d = blueprint.measure(trend.measure)->definition;
    const TrendPoint& now = trend.points.back();
    const double sign = aim->to >= aim->from ? 1.0 : -1.0;
    const double beyond = sign * (now.value - aim->to), moved = sign * (now.value - aim->from);
    const double unsure = 1.96 * now.u, mdc = 1.96 * std::sqrt(2.0) * now.u;
    const std::string state = beyond >= unsure            ? say("progress", "reached")
                              : std::abs(beyond) < unsure ? say("progress", "cannot be told yet, it is that near")
                              : moved > mdc               ? say("progress", "partly")
                                                          : say("progress", "not yet");
    return aim->by ? fill(say("progress", "Goal %1 by %2: %3."), {numberWords(d, aim->to), dayWords(*aim->by), state})
                   : fill(say("progress", "Goal %1: %2."), {numberWords(d, aim->to), state});
}

ThenAndNow breakOf(const CaseData& data, const Analysis& analysis, const FocusTrend& trend) {
    constexpr std::chrono::days kNow{28};
    ThenAndNow out;
    const auto counted = [&](std::optional<Day> from, std::optional<Day> before) {
        return whereItBreaks(insideByStage(data, analysis.measured, trend.measure, trend.band, from, before));
    };
    const auto said = [](const BreakPoint& at) {
        return at.owned && at.breaks
                   ? at.words + say("progress", " An old habit comes back under stress. That is normal: "
                                                "it shows the stage that is not owned yet.")
                   : at.words;
    };
    out.now = counted({}, {});
    out.words = said(out.now);
    std::optional<Day> newest;
    for (const auto& p : trend.points)
        newest = std::max(newest.value_or(p.day), p.day);
    if (!newest)
        return out;
    const Day since = *newest - kNow + std::chrono::days(1);
    const BreakPoint then = counted({}, since);
    if (then.stages.empty())
        return out;
    out.now = counted(since, {});
    out.then = then;
    out.since = since;
    const std::string before = then.owned && then.breaks ? fill(say("progress", "owned up to %1, broke at %2"),
                                                                {word(*then.owned), word(*then.breaks)})
                               : then.owned              ? fill(say("progress", "owned up to %1"), {word(*then.owned)})
                               : then.breaks             ? fill(say("progress", "broke at %1"), {word(*then.breaks)})
                                                         : say("progress", "neither owned nor broken for sure");
    out.words = said(out.now) + fill(say("progress", " Before %1: %2."), {dayWords(since), before});
    return out;
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
    for (const auto& g : data.brief.guesses) {
        const auto over = feltOverTime(data, analysis, g.measure);
        const BlueprintMeasure* m = blueprint.measure(g.measure);
        if (over.size() < 2 || !m)
            continue;
        const auto gap = [&](const DatedPerception& p) {
            return numberWords(m->definition, std::abs(p.felt.gap()), p.felt.u);
        };
        const GapStory story = gapStory(over);
        out +=
            fill(story == GapStory::shrinks ? say("progress", "%1 apart on %2, %3 apart on %4: feeling comes nearer to "
                                                              "the film. ")
                 : story == GapStory::grows ? say("progress", "%1 apart on %2, %3 apart on %4: feeling moves away from "
                                                              "the film. ")
                                            : say("progress", "%1 apart on %2, %3 apart on %4: not more than chance. "),
                 {gap(over.front()), dayWords(over.front().day), gap(over.back()), dayWords(over.back().day)});
    }
    if (const auto a = verdictsAgree(data))
        out += fill(say("progress",
                        "On practised reps athlete and coach agree on %1 % of %2; beyond chance: kappa %3 (%4 to %5)."),
                    {figure(100.0 * a->observed, 0), std::to_string(a->n), figure(a->kappa, 2),
                     figure(a->interval.lo, 2), figure(a->interval.hi, 2)});
    if (const auto film = filmAgreement(data); film.reps > 0) {
        const auto share = [](const std::optional<Agreement>& a) {
            return a ? fill(say("progress", "%1 % (kappa %2, %3 to %4)"),
                            {figure(100.0 * a->observed, 0), figure(a->kappa, 2), figure(a->interval.lo, 2),
                             figure(a->interval.hi, 2)})
                     : say("progress", "too few to tell");
        };
        out += (out.empty() ? "" : " ") +
               fill(say("progress", "On %1 reps of films the athlete agrees with the measure on %2, the coach on %3."),
                    {std::to_string(film.reps), share(film.athleteFilm), share(film.coachFilm)});
        if (film.bad > 0)
            out += fill(
                say("progress", " Of %1 that were not good the athlete missed %2, the coach %3."),
                {std::to_string(film.bad), std::to_string(film.missedByAthlete), std::to_string(film.missedByCoach)});
    }
    return out.empty() ? say("progress", "Ask for a guess in the Brief, and have both judge in Practice.") : out;
}

std::string practiseAtWords(const SpeedAnswer& a) {
    if (a.verdict != SpeedVerdict::leavesAt || a.practiseAt <= 0.0)
        return {};
    return fill(a.by == SpeedBy::effort ? say("progress", "no harder than %1 of the utmost effort")
                                        : say("progress", "no faster than %1 of the fastest"),
                {figure(a.practiseAt, 0) + " %"});
}

std::string speedWords(const Blueprint& blueprint, const std::string& measure, const SpeedAnswer& a) {
    const BlueprintMeasure* m = blueprint.measure(measure);
    if (!m)
        return {};
    const auto percent = [](double v) { return figure(v, 0) + " %"; };
    const std::string each =
        a.line ? numberWords(m->definition, 10.0 * a.line->slope, 10.0 * a.line->uSlope) : std::string();
    const bool stated = a.by == SpeedBy::effort;
    switch (a.verdict) {
    case SpeedVerdict::tooFew:
        if (stated)
            return a.points.size() < 5
                       ? fill(say("progress", "Five reps with different stated efforts are needed: %1 so far."),
                              {std::to_string(a.points.size())})
                       : say("progress", "All reps are of about one effort: film some at half, some at full.");
        return a.points.size() < 5
                   ? fill(say("progress",
                              "Five reps at different speeds are needed, with the capture rate stated: %1 so far."),
                          {std::to_string(a.points.size())})
                   : say("progress",
                         "All reps are of about one speed: film some at walking speed, some at half, some at full.");
    case SpeedVerdict::unmoved:
        return stated ? say("progress", "It does not change with the effort by more than could be chance.")
                      : say("progress", "It does not change with the speed by more than could be chance.");
    case SpeedVerdict::staysInside:
        return fill(stated ? say("progress", "It changes by %1 for 10 % more effort, and stays inside its band.")
                           : say("progress", "It changes by %1 for 10 % more speed, and stays inside its band."),
                    {each});
    case SpeedVerdict::outAtAll:
        return stated ? say("progress", "Outside its band at every effort of these reps: easier still.")
                      : say("progress", "Outside its band at every speed of these reps: slower still.");
    case SpeedVerdict::leavesAt:
        break;
    }
    const std::string about = a.leaves->interval
                                  ? fill(say("progress", " (%1 to %2)"),
                                         {figure(a.leaves->interval->lo, 0), figure(a.leaves->interval->hi, 0)})
                                  : std::string();
    const std::string falls = fill(stated ? say("progress", "It falls apart from %1 of the utmost effort on%2.")
                                          : say("progress", "It falls apart from %1 of the fastest on%2."),
                                   {percent(a.leaves->x), about});
    return a.practiseAt > 0.0 ? falls + fill(say("progress", " Practise it at %1."), {percent(a.practiseAt)}) : falls;
}

std::string cueWords(const Blueprint& blueprint, const CueTrial& trial, const std::vector<CueStanding>& s) {
    if (s.empty())
        return say("progress", "Nothing is practised yet. Choose a cue before a block, and it is counted here.");
    const Drill* drill = blueprint.drill(trial.drill);
    const auto counts = [](const CueStanding& c) {
        return fill(say("progress", "%1 good of %2"), {std::to_string(c.good), std::to_string(c.n)});
    };
    const std::string where =
        (drill ? drill->name : trial.drill) + ", " + word(kStageNames[static_cast<std::size_t>(trial.stage)]) + ": ";
    if (s.size() < 2)
        return where + fill(say("progress", "one cue so far, “%1”, %2. Try another at the same drill, and they can "
                                            "be compared."),
                            {cueName(s.front().cue), counts(s.front())});
    if (const CueStanding* best = clearlyBest(s))
        return where + fill(say("progress", "“%1” works better than the rest (%2), %3."),
                            {cueName(best->cue), figure(best->pBest, 2), counts(*best)});
    std::string more;
    for (const auto& c : s)
        if (c.more > 0)
            more += (more.empty() ? "" : ", ") +
                    fill(say("progress", "%1 more with “%2”"), {std::to_string(c.more), cueName(c.cue)});
    if (!more.empty())
        return where + fill(say("progress", "not enough yet, %1."), {more});
    return where + fill(say("progress", "no cue is clearly better yet; “%1” leads (%2)."),
                        {cueName(s.front().cue), figure(s.front().pBest, 2)});
}

std::string fatigueWords(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                         const std::string& measure) {
    const BlueprintMeasure* m = blueprint.measure(measure);
    const auto found = m ? driftOverTake(data, analysis, measure) : std::nullopt;
    if (!found)
        return {};
    const Take& take = data.takes.at(found->take);
    const std::string minutes = figure(found->minutes, found->minutes < 10.0 ? 1 : 0);
    if (!found->sure())
        return fill(
            say("progress", "Over the %1 minutes of %2 (%3 reps) it does not drift by more than could be chance."),
            {minutes, take.title, std::to_string(found->reps)});
    return fill(
        say("progress", "Over the %1 minutes of %2 (%3 reps) it drifts by %4: does it tire?"),
        {minutes, take.title, std::to_string(found->reps),
         (found->drift.change > 0.0 ? "+" : "") + numberWords(m->definition, found->drift.change, found->drift.u)});
}

std::string variationWords(const CaseData& data, const Blueprint& blueprint) {
    constexpr double kSure = 0.9; // as for cues
    const auto all = [](const std::vector<CueReps>& ways) {
        return std::accumulate(ways.begin(), ways.end(), 0, [](int n, const CueReps& c) { return n + c.good + c.bad; });
    };
    const Drill* most = nullptr;
    std::vector<CueReps> ways;
    for (const auto& d : blueprint.drills)
        if (auto tried = repsByVariation(data, blueprint, d); tried.size() > 1 && all(tried) > all(ways)) {
            most = &d;
            ways = std::move(tried);
        }
    if (!most)
        return {};
    const auto worst = likelyWorst(ways);
    const auto at = static_cast<std::size_t>(std::max_element(worst.begin(), worst.end()) - worst.begin());
    const bool enough =
        std::all_of(ways.begin(), ways.end(), [](const CueReps& c) { return c.good + c.bad >= kCueReps; });
    const bool sure = enough && worst[at] >= kSure;
    if (sure)
        std::rotate(ways.begin(), ways.begin() + static_cast<std::ptrdiff_t>(at),
                    ways.begin() + static_cast<std::ptrdiff_t>(at) + 1); // the weaker one first
    std::string counts;
    for (const auto& c : ways)
        counts += (counts.empty() ? "" : ", ") + fill(say("progress", "%1 %2 good of %3"),
                                                      {c.cue, std::to_string(c.good), std::to_string(c.good + c.bad)});
    if (sure)
        return fill(say("progress", "%1: %2 is the weaker way (%3); %4."),
                    {most->name, ways.front().cue, figure(worst[at], 2), counts});
    return fill(enough ? say("progress", "%1: no way is clearly weaker; %2.")
                       : say("progress", "%1: not enough yet to tell the ways apart; %2."),
                {most->name, counts});
}

namespace {

DrillHelp drillHelp(const CaseData& data, const FocusTrend& trend, const std::string& drill) {
    std::vector<DrillDay> done;
    for (const auto& [id, b] : data.blocks)
        if (b.drill == drill && b.film.empty())
            done.push_back({b.day, static_cast<int>(b.reps.size()), b.own ? b.own->minutes : 0.0});
    return helpOf(done, comparable(trend), trend.band);
}

} // namespace

std::string drillHelpWords(const CaseData& data, const Blueprint& blueprint, const FocusTrend& trend,
                           const std::string& drill, bool named) {
    const BlueprintMeasure* m = blueprint.measure(trend.measure);
    const Drill* d = blueprint.drill(drill);
    const DrillHelp help = m && d ? drillHelp(data, trend, drill) : DrillHelp{};
    if (help.effect == DrillEffect::tooSoon)
        return {};
    const auto days = static_cast<std::size_t>(help.days), reps = static_cast<std::size_t>(help.reps);
    std::string work = reps > 0 ? sayCount("progress", "%n reps", "%n rep", reps) : std::string();
    if (help.minutes > 0.0)
        work += (work.empty() ? "" : ", ") + fill(say("progress", "%1 minutes alone"), {figure(help.minutes, 0)});
    const std::string done = fill(sayCount("progress", "%1 on %n days", "%1 on %n day", days), {work});
    const std::string by =
        (help.change.change > 0 ? "+" : "") + numberWords(m->definition, help.change.change, help.change.mdc / 2);
    const auto said = [&](std::string words) { // a sentence of its own, or what is said of the named one
        if (!named && !words.empty())
            words[0] = static_cast<char>(std::toupper(static_cast<unsigned char>(words[0])));
        return named ? "“" + d->name + "”: " + words : words;
    };
    switch (help.effect) {
    case DrillEffect::moved:
        return said(fill(say("progress", "while it was practised (%1) it moved by %2, towards the band."), {done, by}));
    case DrillEffect::awry:
        return said(
            fill(say("progress", "while it was practised (%1) it moved by %2, the wrong way: leave it, and look "
                                 "again."),
                 {done, by}));
    case DrillEffect::inside:
        return said(fill(say("progress", "practised (%1), and inside the band: the next stage, or leave it."), {done}));
    case DrillEffect::notYet:
        return said(fill(say("progress", "practised (%1), and not moved yet by more than could be chance (%2). A deep "
                                         "habit gives way late, and then at once: go on, and film again."),
                         {done, by}));
    case DrillEffect::stuck:
        return said(fill(say("progress", "practised (%1), and it has not moved by more than could be chance (%2): "
                                         "another cue, another stage, another drill."),
                         {done, by}));
    case DrillEffect::tooSoon:
        break;
    }
    return {};
}

std::string uselessDrillWords(const CaseData& data, const Blueprint& blueprint, const FocusTrend& trend) {
    std::string out;
    if (const Fault* fault = blueprint.fault(trend.fault))
        for (const auto& drill : fault->drills) {
            const auto effect = drillHelp(data, trend, drill).effect;
            if (effect == DrillEffect::stuck || effect == DrillEffect::awry)
                out += (out.empty() ? "" : " ") + drillHelpWords(data, blueprint, trend, drill, true);
        }
    return out;
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
    const auto done = static_cast<std::size_t>(blocks);
    std::string out = blocks == 0 ? say("progress", "Nothing was practised in the last four weeks.")
                                  : fill(sayCount("progress", "%n blocks in the last four weeks, %1 good of %2 reps.",
                                                  "%n block in the last four weeks, %1 good of %2 reps.", done),
                                         {std::to_string(good), std::to_string(reps)});
    if (alone > 0.0)
        out += fill(say("progress", " %1 minutes of it alone."), {figure(alone, 0)});
    if (a.done + a.missed > 0)
        out += fill(say("progress", " Of what was planned %1 % was done (%2 of %3)."),
                    {figure(100.0 * a.done / (a.done + a.missed), 0), std::to_string(a.done),
                     std::to_string(a.done + a.missed)});
    return out;
}

} // namespace riflesso
