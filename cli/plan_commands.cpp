// The plan and the practice of a case.

#include "cli/commands.h"

#include "casebook/casebook.h"
#include "casebook/diary.h"
#include "casebook/planner.h"
#include "casebook/trends.h"
#include "core/statistics/numbers.h"
#include "files/write_file.h"
#include "handover/progress_words.h"
#include "handover/words.h"
#include "library/calendar_file.h"

#include <algorithm>
#include <cstdio>
#include <ctime>
#include <sstream>

namespace riflesso::cli {
namespace {

using nlohmann::json;

json blockJson(const PlannedBlock& b) {
    return {{"id", b.id},
            {"day", isoDate(b.day)},
            {"drill", b.drill},
            {"fault", b.fault},
            {"minutes", b.minutes},
            {"kind", kBlockKindNames[static_cast<std::size_t>(b.kind)]},
            {"stage", kStageNames[static_cast<std::size_t>(b.stage)]},
            {"state", kBlockStateNames[static_cast<std::size_t>(b.state)]},
            {"locked", b.locked},
            {"forecast", b.forecast},
            {"accepted", b.accepted},
            {"why", b.why},
            {"by", b.by},
            {"rules", b.rules}};
}

json breachJson(const std::vector<PlannedBlock>& blocks, const Breach& b) {
    json drills = json::array();
    for (const auto i : b.blocks)
        drills.push_back(blocks[i].drill);
    return {{"rule", kRuleNames[static_cast<std::size_t>(b.rule)]},
            {"day", isoDate(b.day)},
            {"drills", drills},
            {"words", b.words}};
}

Result<PlanInput> inputOf(Casebook& book, const CaseArguments& a) {
    const auto today = todayOf(a);
    if (!today)
        return today.error();
    const auto taken = book.library().minutesElsewhere(book.data().id, *today);
    if (!taken)
        return taken.error();
    auto in = planInputOf(book.data(), book.blueprint(), book.analysisNow(), *today, 7 * a.weeks, *taken);
    if (!a.regime.empty())
        in.regime = a.regime;
    return in;
}

// What a change by hand breaks, said after it is kept.
void sayBreaches(const Blueprint& blueprint, const PlanInput& in, const std::vector<PlannedBlock>& blocks) {
    for (const auto& b : breachesOf(blueprint, in, blocks)) {
        if (b.accepted)
            continue;
        std::printf("breaks \"%s\": %s\n", std::string(kRuleNames[static_cast<std::size_t>(b.rule)]).c_str(),
                    smallestClash(blueprint, in, blocks, b).words.c_str());
        if (const auto way = wayOutOf(blueprint, in, blocks, b))
            std::printf("  way out: %s\n", way->words.c_str());
    }
}

} // namespace

Status plan(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    if (a.weeks < 1 || a.weeks > 12)
        return Error{"a plan is laid over 1 to 12 weeks", "--weeks", {}, {}, ErrorKind::wrongUse};
    const auto in = inputOf(**book, a);
    if (!in)
        return in.error();
    Plan plan = prescribe((*book)->blueprint(), *in);
    if (a.keep) {
        const Day last = in->from + std::chrono::days(in->days - 1);
        if (auto s =
                saved(**book, [&](Casebook& b) { return b.keepPlan(plan.blocks, in->from, last, "keep the plan"); });
            !s)
            return s;
        // With their numbers.
        PlanInput again = *in;
        again.standing = standingPlan((*book)->data());
        plan = replan((*book)->blueprint(), again, in->from, in->from - std::chrono::days(1));
    }
    const Analysis& result = (*book)->analysisNow();
    json blocks = json::array(), clash = json::array(), gates = json::array();
    for (const auto& b : plan.blocks)
        blocks.push_back(blockJson(b));
    for (const auto& b : plan.breaches)
        clash.push_back(breachJson(plan.blocks, b));
    for (const auto& g : result.gates)
        gates.push_back({{"drill", g.drill}, {"good", g.good}, {"bad", g.bad}, {"words", g.gate.words}});
    std::optional<WayOut> way;
    if (!plan.breaches.empty())
        way = wayOutOf((*book)->blueprint(), *in, plan.blocks, plan.breaches.front());
    if (a.json) {
        std::printf("%s\n", json{{"focus", result.judgement.focus},
                                 {"regime", regimeOf(in->regime).id},
                                 {"ladder", plan.ladder},
                                 {"blocks", blocks},
                                 {"clash", clash},
                                 {"way_out", way ? json(way->words) : json(nullptr)},
                                 {"notes", plan.notes},
                                 {"infeasible", plan.infeasible},
                                 {"proven", plan.proven},
                                 {"gates", gates}}
                                .dump(1)
                                .c_str());
        return Done{};
    }
    std::printf("%s", planWords(**book, plan).c_str());
    sayBreaches((*book)->blueprint(), *in, plan.blocks);
    return Done{};
}

Status planBlock(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const auto it = (*book)->data().planned.find(a.block);
    if (it == (*book)->data().planned.end())
        return Error{"there is no block " + std::to_string(a.block) + " in the kept plan; \"plan --keep\" keeps one",
                     a.library,
                     "nothing was changed",
                     {}};
    PlannedBlock b = it->second;
    if (a.verdict == "move") {
        const auto day = dayFromIso(a.day);
        if (!day)
            return Error{"a day is a date like 2026-12-04, not \"" + a.day + "\"", {}, "nothing was changed", {}};
        b.why = "moved from " + isoDate(b.day);
        b.day = *day;
        b.state = BlockState::moved;
        b.locked = true;
    } else if (a.verdict == "lock" || a.verdict == "unlock") {
        b.locked = a.verdict == "lock";
    } else if (a.verdict == "done") {
        b.state = BlockState::done;
    } else {
        b.state = BlockState::dropped;
    }
    b.why = a.reason.empty() ? b.why : a.reason;
    b.by = a.name;
    if (auto s = saved(**book, [&](Casebook& k) { return k.setPlanned(b, "change the plan") != 0; }); !s)
        return s;
    const auto in = inputOf(**book, a);
    if (!in)
        return in.error();
    std::printf("%s: %s on %s\n", a.verdict.c_str(), b.drill.c_str(), isoDate(b.day).c_str());
    const auto now = replan((*book)->blueprint(), *in, in->from, in->from - std::chrono::days(1));
    sayBreaches((*book)->blueprint(), *in, now.blocks);
    return Done{};
}

Status planCalendar(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const auto in = inputOf(**book, a);
    if (!in)
        return in.error();
    auto blocks = prescribe((*book)->blueprint(), *in).blocks;
    for (const auto& b : in->standing)
        if (b.state == BlockState::dropped && b.day >= in->from)
            blocks.push_back(b);
    CalendarFileOptions options{a.homeOnly, std::to_string((*book)->data().id), std::time(nullptr),
                                (*book)->data().brief.places};
    if (auto s = writeFile(a.out, planToCalendar((*book)->blueprint(), blocks, options)); !s)
        return s;
    std::printf("%s\n", std::filesystem::path(a.out).filename().string().c_str());
    return Done{};
}

Status planBusy(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const auto today = todayOf(a);
    if (!today)
        return today.error();
    const auto text = readFile(a.in, 11u << 20);
    if (!text)
        return text.error();
    const auto events = eventsFromCalendar(*text, std::filesystem::path(a.in).filename().string(), *today,
                                           *today + std::chrono::days(7 * 12));
    if (!events)
        return events.error();
    Brief brief = (*book)->data().brief;
    takeOverCalendar(brief, *events, a.reason);
    if (auto s = saved(**book, [&](Casebook& b) { return b.setBrief(brief); }); !s)
        return s;
    std::printf("%zu busy times, %zu competitions\n", brief.busy.size(), brief.competitions.size());
    return Done{};
}

// "high, low" as "high" and "low".
static std::vector<std::string> partsOf(const std::string& text) {
    std::vector<std::string> out;
    std::istringstream in(text);
    for (std::string part; std::getline(in, part, ',');) {
        const auto first = part.find_first_not_of(' ');
        if (first != std::string::npos)
            out.push_back(part.substr(first, part.find_last_not_of(' ') - first + 1));
    }
    return out;
}

Status logPractice(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const auto today = todayOf(a);
    if (!today)
        return today.error();
    const Drill* drill = (*book)->blueprint().drill(a.drill);
    if (!drill)
        return Error{"the blueprint has no drill \"" + a.drill + "\"", "--drill", "nothing was logged", {}};
    if (a.verdicts.empty() || a.verdicts.find_first_not_of("GBgb") != std::string::npos)
        return Error{
            "reps are G for good and B for bad, as GGBGG", "--reps", "nothing was logged", {}, ErrorKind::wrongUse};
    const auto ways = partsOf(a.variation);
    if (ways.size() > 1 && ways.size() != a.verdicts.size())
        return Error{"there are " + std::to_string(a.verdicts.size()) + " reps and " + std::to_string(ways.size()) +
                         " variations",
                     "--variation",
                     "nothing was logged",
                     {},
                     ErrorKind::wrongUse};
    Block block{0, *today, drill->id, drill->stage, {}, {}, {}};
    for (const char c : a.verdicts) {
        PractisedRep rep;
        rep.variation = ways.empty() ? std::string() : ways[std::min(block.reps.size(), ways.size() - 1)];
        rep.coach = c == 'G' || c == 'g';
        if (!*rep.coach)
            rep.reason = a.reason;
        block.reps.push_back(rep);
    }
    if (auto s = saved(**book, [&](Casebook& b) { return b.addBlock(block) != 0; }); !s)
        return s;
    for (const auto& g : (*book)->analysisNow().gates)
        if (g.drill == drill->id)
            std::printf("%s\n", g.gate.words.c_str());
    return Done{};
}

Status listPractice(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    std::vector<const Block*> blocks;
    for (const auto& [id, b] : (*book)->data().blocks)
        blocks.push_back(&b);
    std::stable_sort(blocks.begin(), blocks.end(), [](const Block* x, const Block* y) { return x->day < y->day; });
    json list = json::array();
    for (const Block* b : blocks) {
        std::string verdicts;
        int good = 0;
        for (const auto& r : b->reps) {
            verdicts += r.good() ? 'G' : 'B';
            good += r.good();
        }
        json variations = json::array(); // one a rep, or none at all
        for (const auto& r : b->reps)
            variations.push_back(r.variation);
        if (std::all_of(b->reps.begin(), b->reps.end(), [](const auto& r) { return r.variation.empty(); }))
            variations.clear();
        list.push_back({{"id", b->id},
                        {"day", isoDate(b->day)},
                        {"drill", b->drill},
                        {"stage", kStageNames[static_cast<std::size_t>(b->stage)]},
                        {"reps", verdicts},
                        {"variations", variations},
                        {"note", b->note}});
        if (!a.json)
            std::printf("%s  %-24s %d of %zu good  %s\n", isoDate(b->day).c_str(), b->drill.c_str(), good,
                        b->reps.size(), verdicts.c_str());
        if (b->own)
            list.back()["own"] = {{"minutes", b->own->minutes}, {"hits", b->own->hits},   {"where", b->own->where},
                                  {"feet", b->own->feet},       {"hands", b->own->hands}, {"noticed", b->own->noticed},
                                  {"next", b->own->next}};
        if (!a.json && b->own)
            std::printf("            alone: %s\n", ownWords(*b->own).c_str());
        if (const auto words = saidWords(*b); !a.json && !words.empty())
            std::printf("            %s\n", words.c_str());
    }
    if (a.json)
        std::printf("%s\n", json{{"blocks", list}}.dump(1).c_str());
    return Done{};
}

Status progress(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const Analysis& result = (*book)->analysisNow();
    const CaseData& data = (*book)->data();
    const Blueprint& blueprint = (*book)->blueprint();
    const auto today = todayOf(a);
    json list = json::array();
    std::vector<FocusTrend> trends = result.trends;
    if (!a.measure.empty()) {
        if (!blueprint.measure(a.measure))
            return Error{
                "the blueprint has no measure \"" + a.measure + "\"", "--measure", {}, {}, ErrorKind::wrongUse};
        std::erase_if(trends, [&](const FocusTrend& t) { return t.measure != a.measure; });
        const auto followed = followedMeasures(blueprint, result);
        if (trends.empty() && std::find(followed.begin(), followed.end(), a.measure) == followed.end())
            return Error{"\"" + a.measure + "\" has no band, or no value in any rep yet", "--measure", {}, {}};
        if (trends.empty()) // nobody works on it: it has its dates all the same
            trends.push_back(trendOf(data, blueprint, result, {}, a.measure));
    }
    for (const auto& t : trends) {
        json points = json::array();
        for (const auto& p : t.points)
            points.push_back({{"day", isoDate(p.day)},
                              {"stage", kStageNames[static_cast<std::size_t>(p.stage)]},
                              {"value", p.value},
                              {"u", p.u},
                              {"reps", p.reps}});
        const History h = historyOf(t);
        const auto broken = breakOf(data, result, t);
        const auto stageRows = [](const BreakPoint& at) {
            json rows = json::array();
            for (const auto& s : at.stages)
                rows.push_back({{"stage", s.stage}, {"n", s.n}, {"inside", s.inside}, {"isotonic", s.smoothed}});
            return rows;
        };
        std::string words = movedWords(blueprint, t);
        for (const auto& more :
             {productWords(data, blueprint, result, t), againstLastWords(blueprint, t), againstBestWords(blueprint, t),
              sourceWords(blueprint, t), keptWords(data, blueprint, t), transferredWords(t)})
            words += more.empty() ? "" : " " + more;
        const std::string goal = goalWords(blueprint, data.brief.aim, t);
        json one = {{"fault", t.fault},
                    {"measure", t.measure},
                    {"points", points},
                    {"kind", kHistoryKindNames[static_cast<std::size_t>(h.kind)]},
                    {"p", {{"nothing", h.pNothing}, {"step", h.pStep}, {"drift", h.pDrift}}},
                    {"day", h.kind == HistoryKind::step ? json(isoDate(*h.day)) : json(nullptr)},
                    {"words", words},
                    {"goal", goal},
                    {"stages", stageRows(broken.now)},
                    {"stages_before", stageRows(broken.then)},
                    {"now_since", broken.since ? json(isoDate(*broken.since)) : json(nullptr)},
                    {"breaks", broken.words}};
        const auto speed = whereItFallsApart(timedReps(data, blueprint, result, t.measure), t.band);
        const std::string fast = speedWords(blueprint, t.measure, speed);
        one["speed"] = {{"words", fast}, {"reps", speed.points.size()}};
        if (speed.leaves)
            one["speed"]["leaves_percent"] = rounded(speed.leaves->x);
        if (const auto stated = statedReps(data, result, t.measure); !stated.empty()) {
            const auto effort = whereItFallsApart(stated, t.band, SpeedBy::effort);
            one["effort"] = {{"words", speedWords(blueprint, t.measure, effort)}, {"reps", effort.points.size()}};
            if (effort.leaves)
                one["effort"]["leaves_percent"] = rounded(effort.leaves->x);
        }
        if (t.change) {
            one["change"] = t.change->change;
            one["mdc95"] = t.change->mdc;
        }
        list.push_back(std::move(one));
        if (!a.json)
            std::printf("%s: %s %s\n  %s\n", t.measure.c_str(), words.c_str(), goal.c_str(), broken.words.c_str());
    }
    const auto trial = cueTrial(data, blueprint);
    const auto cues = compareCues(trial.cues);
    const std::string cueSentence = cueWords(blueprint, trial, cues);
    const std::string ways = variationWords(data, blueprint);
    const std::string feeling = feelingWords(data, blueprint, result), practised = practisedWords(data, *today);
    if (!a.json) {
        std::printf("%s\n%s\n%s\n", feeling.c_str(), cueSentence.c_str(), practised.c_str());
        if (!ways.empty())
            std::printf("%s\n", ways.c_str());
        return Done{};
    }
    json standings = json::array();
    for (const auto& c : cues)
        standings.push_back(
            {{"cue", c.cue}, {"good", c.good}, {"n", c.n}, {"p_best", rounded(c.pBest)}, {"more", c.more}});
    json out = {{"measures", list},        {"feeling", feeling},     {"cues", standings},   {"cue_words", cueSentence},
                {"variation_words", ways}, {"practised", practised}, {"agreement", nullptr}};
    if (const auto agreement = verdictsAgree(data))
        out["agreement"] = {{"kappa", agreement->kappa},
                            {"u", agreement->u},
                            {"low", agreement->interval.lo},
                            {"high", agreement->interval.hi},
                            {"n", agreement->n}};
    std::printf("%s\n", out.dump(1).c_str());
    return Done{};
}

} // namespace riflesso::cli
