#include "cli/commands.h"

#include "casebook/casebook.h"
#include "casebook/landings.h"
#include "casebook/next_step.h"
#include "casebook/shipped.h"
#include "core/progress/sets.h"
#include "core/statistics/numbers.h"
#include "demo/demo_library.h"
#include "files/write_file.h"
#include "handover/report.h"
#include "handover/words.h"
#include "library/blueprint_json.h"
#include "library/tracks_csv.h"

#include <nlohmann/json.hpp>

#include <QDate>
#include <QStandardPaths>

#include <cmath>
#include <cstdio>
#include <functional>
#include <sstream>
#include <tuple>

namespace riflesso::cli {
using nlohmann::json;

Result<Day> todayOf(const CaseArguments& a) {
    const std::string text = a.today.empty() ? QDate::currentDate().toString(Qt::ISODate).toStdString() : a.today;
    const auto day = dayFromIso(text);
    if (!day)
        return Error{"--today must be a date like 2026-11-23, not \"" + text + "\"", {}, {}, {}};
    return *day;
}

Result<std::unique_ptr<Casebook>> openCase(const CaseArguments& a) {
    const auto today = todayOf(a);
    if (!today)
        return today.error();
    auto library = Library::open(a.library);
    if (!library)
        return library.error();
    const auto cases = (*library)->cases();
    if (!cases)
        return cases.error();
    if (cases->empty())
        return Error{"the library has no case yet", a.library, {}, {}};
    const CaseSummary* found = nullptr;
    for (const auto& c : *cases)
        if (!found && (a.caseId == 0 || c.id == a.caseId))
            found = &c;
    if (!found)
        return Error{"there is no case " + std::to_string(a.caseId) + " in this library", a.library, {}, {}};
    auto blueprint = blueprintForCase(a.library, found->blueprintId);
    if (!blueprint)
        return blueprint.error();
    return Casebook::open(std::shared_ptr<Library>(std::move(*library)), found->id, std::move(*blueprint), *today);
}

Status saved(Casebook& book, const std::function<bool(Casebook&)>& command) {
    std::string why = "nothing was changed";
    const auto listening =
        QObject::connect(&book, &Casebook::failed, [&](const QString& text) { why = text.toStdString(); });
    const bool done = command(book);
    QObject::disconnect(listening);
    return done ? Status(Done{}) : Status(Error{why, {}, {}, {}});
}

namespace {

json noteJson(const CaseData& data, Id id) {
    const auto it = data.notes.find(id);
    if (it == data.notes.end())
        return nullptr;
    const FrameNote& n = it->second;
    json out = {{"take", n.take}, {"frame", n.frame.value}, {"words", n.words}};
    if (!n.kind.empty())
        out.update({{"kind", n.kind}, {"value", rounded(n.value)}, {"u", rounded(n.u)}, {"unit", n.unit}});
    return out;
}

// The case with the sets chosen that the arguments name.
Result<std::unique_ptr<Casebook>> openChosen(const CaseArguments& a) {
    auto book = openCase(a);
    if (!book)
        return book;
    const auto sets = setsOf((*book)->data());
    SetChoice choice;
    for (const auto& [text, option, chosen] :
         {std::tuple{a.above, "--above", &choice.above}, {a.below, "--below", &choice.below}}) {
        if (text.empty() || (text == "model" && chosen == &choice.below))
            continue;
        const RepSet* set = findSet(sets, text);
        if (!set)
            return Error{"there is no set \"" + text + "\"; the command sets lists them", option, {}, {}};
        *chosen = set->key;
    }
    choice.situation = a.situation;
    choice.model = a.model;
    (*book)->setView(choice);
    return book;
}

json keyJson(const std::optional<SetKey>& key) {
    return key ? json(textOf(*key)) : json(nullptr);
}

// A number or null: JSON knows no infinity.
json finite(double v) {
    return std::isfinite(v) ? json(rounded(v)) : json(nullptr);
}

json deviationJson(const Casebook& book, const Deviation& d) {
    const auto& m = *book.blueprint().measure(d.measure);
    json j = {{"measure", d.measure}, {"name", m.definition.name}, {"unit", unitOf(m.definition)}};
    if (d.value.reps > 0) {
        j["value"] = rounded(d.value.mean);
        j["u"] = rounded(d.value.u);
        j["reps"] = d.value.reps;
        if (d.value.drafts > 0)
            j["reps_read_from_drafts"] = d.value.drafts;
    }
    if (!d.judged) {
        j["state"] = "not judged";
        j["reason"] = d.reason;
        if (!d.adviceText.empty())
            j["advice"] = d.adviceText;
        return j;
    }
    j["state"] = kDecisionNames[static_cast<std::size_t>(d.verdict.decision)];
    j["band"] = {finite(d.band.lo), finite(d.band.hi)};
    j["source"] = kTargetSourceNames[static_cast<std::size_t>(d.source)];
    j["severity"] = rounded(d.verdict.severity);
    j["p_low"] = rounded(d.verdict.pLow);
    j["p_in"] = rounded(d.verdict.pIn);
    j["p_high"] = rounded(d.verdict.pHigh);
    j["reps_outside"] = d.repsOutside;
    if (d.value.interval)
        j["interval95"] = {rounded(d.value.interval->lo), rounded(d.value.interval->hi)};
    if (!d.adviceText.empty())
        j["advice"] = d.adviceText;
    return j;
}

json findingJson(const Finding& f) {
    json downstream = json::array();
    for (const auto& d : f.downstream)
        downstream.push_back({{"fault", d.fault}, {"strength", rounded(d.strength)}});
    const auto& p = f.parts;
    return {{"fault", f.fault},
            {"score", rounded(p.score())},
            {"parts",
             {{"own_severity", rounded(p.ownSeverity)},
              {"consequences", rounded(p.consequences)},
              {"probability", rounded(p.probability)},
              {"trainability", rounded(p.trainability)},
              {"earliness", rounded(p.earliness)},
              {"safety", p.safety}}},
            {"evidence", f.evidence},
            {"downstream", downstream}};
}

} // namespace

Status demo(const CaseArguments& a) {
    const auto today = todayOf(a);
    if (!today)
        return today.error();
    DemoOptions options;
    options.today = *today;
    options.films = a.films.empty()
                        ? std::filesystem::path(
                              QStandardPaths::writableLocation(QStandardPaths::GenericCacheLocation).toStdString()) /
                              "riflesso" / "films"
                        : std::filesystem::path(a.films);
    int lastPercent = -1;
    options.progress = [&](const std::string& what, double share) {
        const int percent = static_cast<int>(share * 100);
        if (percent / 5 != lastPercent / 5) {
            std::fprintf(stderr, "%3d %%  %s\n", percent, what.c_str());
            lastPercent = percent;
        }
        return true;
    };
    if (!a.restOnly)
        if (const auto s = makeDemoLibrary(a.library, options); !s)
            return s;
    if (!a.firstOnly)
        if (const auto s = fillDemoLibrary(a.library, options); !s)
            return s;
    std::printf("The demo library is ready: %s\n", a.library.c_str());
    return Done{};
}

json valueJson(const MeasureDefinition& definition, const MeasureValue& v) {
    json j = {{"measure", v.measure}, {"unit", unitOf(definition)}, {"state", v.refused ? "refused" : "measured"}};
    if (v.refused) {
        j["reason"] = v.reason;
        return j;
    }
    json frames = json::array();
    for (FrameIndex f : v.frames)
        frames.push_back(f.value);
    j["value"] = rounded(v.value);
    j["u"] = rounded(v.u);
    if (v.draft)
        j["draft"] = true;
    j["u_marks"] = rounded(v.uMarks);
    j["u_time"] = rounded(v.uTime);
    j["u_shared"] = rounded(v.uShared);
    j["frames"] = frames;
    if (!v.reason.empty())
        j["caution"] = v.reason;
    return j;
}

Status measure(const CaseArguments& a) {
    if (a.library.empty())
        return Error{"say what to measure: --library or --tracks", {}, {}, {}};
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const Analysis& result = (*book)->analysisNow();
    json list = json::array();
    for (const auto& [id, rep] : result.measured) {
        const Rep& r = (*book)->data().reps.at(id);
        const Take& take = (*book)->data().takes.at(r.take);
        if (!a.json)
            std::printf("%s, rep %d\n", take.title.c_str(), r.number);
        for (const auto& v : rep.values) {
            const auto& definition = (*book)->blueprint().measure(v.measure)->definition;
            if (!serves(take.view, definition.view))
                continue;
            json j = {{"take", take.title},
                      {"performer", kPerformerNames[static_cast<std::size_t>(take.performer)]},
                      {"rep", r.number}};
            j.update(valueJson(definition, v));
            if (!a.json)
                std::printf("  %-46s %s\n", definition.name.c_str(),
                            v.refused ? ("refused: " + v.reason).c_str()
                                      : valueWords(definition, v.value, v.u).c_str());
            list.push_back(std::move(j));
        }
    }
    if (a.json)
        std::printf("%s\n", json{{"values", list}}.dump(1).c_str());
    return Done{};
}

Status compare(const CaseArguments& a) {
    const auto book = openChosen(a);
    if (!book)
        return book.error();
    const Analysis& result = (*book)->analysisNow();
    json list = json::array(), changes = json::object();
    for (const auto& d : result.deviations) {
        list.push_back(deviationJson(**book, d));
        if (!a.json)
            std::printf("%s\n", deviationWords((*book)->blueprint(), d).c_str());
    }
    if (const RepSet* below = result.below ? findSet(result.sets, *result.below) : nullptr) {
        const auto change = compareSets(setValues((*book)->data(), result.measured, below->reps),
                                        setValues((*book)->data(), result.measured, result.athleteReps));
        for (const auto& c : change)
            changes[c.measure] = changeJson(c);
        if (!a.json)
            std::printf("%s\n", inWords(change).c_str());
    }
    if (a.json)
        std::printf("%s\n", json{{"judged_day", result.judgedDay ? json(isoDate(*result.judgedDay)) : json(nullptr)},
                                 {"above", keyJson(result.above)},
                                 {"below", result.below ? keyJson(result.below) : json("model")},
                                 {"situation", result.situation},
                                 {"changes", changes},
                                 {"deviations", list}}
                                .dump(1)
                                .c_str());
    return Done{};
}

Status sets(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    if (a.put.empty() != a.reps.empty())
        return Error{"a set is made of a name and reps: --put NAME --reps 4,5,6", {}, {}, {}, ErrorKind::wrongUse};
    if (!a.put.empty()) {
        std::vector<Id> reps;
        std::stringstream list(a.reps);
        for (std::string word; std::getline(list, word, ',');) {
            const auto id = numberFrom(word);
            if (!id || !(*book)->data().reps.contains(static_cast<Id>(*id)))
                return Error{"there is no rep \"" + word + "\" in this case", "--reps", "nothing was changed", {}};
            reps.push_back(static_cast<Id>(*id));
        }
        if (auto s = saved(**book, [&](Casebook& b) { return b.putInSet(reps, a.put); }); !s)
            return s;
    }
    json out = json::array();
    for (const auto& s : setsOf((*book)->data())) {
        out.push_back({{"set", textOf(s.key)},
                       {"day", isoDate(s.key.day)},
                       {"name", s.key.name},
                       {"stage", kStageNames[static_cast<std::size_t>(s.stage)]},
                       {"by_hand", s.byHand},
                       {"reps", s.reps}});
        if (!a.json)
            std::printf("%-32s %zu reps\n", textOf(s.key).c_str(), s.reps.size());
    }
    if (a.json)
        std::printf("%s\n", json{{"sets", out}}.dump(1).c_str());
    return Done{};
}

Status tally(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    json out = json::array();
    for (const auto& t : tallyByPlayer((*book)->data())) {
        const auto share = wilson(t.no, t.all());
        const std::string who = t.who.empty() ? (*book)->data().brief.athlete.name : t.who;
        out.push_back({{"player", who},
                       {"athlete", t.who.empty()},
                       {"checkpoint", t.checkpoint},
                       {"yes", t.yes},
                       {"partly", t.partly},
                       {"no", t.no},
                       {"no_share", json::array({share.lo, share.hi})}});
        if (!a.json)
            std::printf("%-20s %-28s no in %d of %d\n", who.c_str(), t.checkpoint.c_str(), t.no, t.all());
    }
    if (a.json)
        std::printf("%s\n", json{{"tally", out}}.dump(1).c_str());
    return Done{};
}

Status decide(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    if (!(*book)->blueprint().fault(a.fault))
        return Error{"the blueprint has no fault \"" + a.fault + "\"", {}, "nothing was changed", {}};
    Status s = Done{};
    if (a.verdict == "close") {
        const FindingDecision* open = decisionOn((*book)->data(), a.fault);
        if (!open)
            return Error{"nothing is decided on \"" + a.fault + "\"", {}, "nothing was changed", {}};
        s = saved(**book, [&, id = open->id](Casebook& b) { return b.closeDecision(id); });
    } else {
        FindingDecision d;
        d.fault = a.fault;
        d.reason = a.reason;
        d.kind = a.verdict == "take"   ? DecisionKind::takenUp
                 : a.verdict == "park" ? DecisionKind::parked
                                       : DecisionKind::rejected;
        s = saved(**book, [&](Casebook& b) { return b.decide(d); });
    }
    if (!s)
        return s;
    const Analysis& result = (*book)->analysisNow();
    json list = json::array();
    for (const auto& d : result.decided) {
        const auto kind = kDecisionKindNames[static_cast<std::size_t>(d.decision.kind)];
        list.push_back({{"fault", d.decision.fault},
                        {"words", d.decision.words},
                        {"kind", kind},
                        {"reason", d.decision.reason},
                        {"day", isoDate(d.decision.day)},
                        {"now", d.words}});
        if (!a.json)
            std::printf("%s: %s, %s\n", (d.decision.fault.empty() ? d.decision.words : d.decision.fault).c_str(),
                        std::string(kind).c_str(), d.words.c_str());
    }
    if (a.json)
        std::printf("%s\n", json{{"decisions", list}, {"focus", result.judgement.focus}}.dump(1).c_str());
    return Done{};
}

Status findings(const CaseArguments& a) {
    const auto book = openChosen(a);
    if (!book)
        return book.error();
    const Analysis& result = (*book)->analysisNow();
    if (!a.json) {
        std::printf("%s", findingsWords(**book).c_str());
        return Done{};
    }
    const auto& j = result.judgement;
    json strengths = json::array(), found = json::array(), possible = json::array(), undecided = json::array(),
         guesses = json::array();
    for (const auto& s : j.strengths)
        strengths.push_back({{"measure", s.measure}, {"margin", rounded(s.margin)}});
    for (const auto& f : j.findings)
        found.push_back(findingJson(f));
    for (const auto& f : j.possible)
        possible.push_back(findingJson(f));
    for (const auto& m : j.undecided)
        undecided.push_back({{"measure", m}, {"advice", result.deviation(m)->adviceText}});
    for (const auto& g : result.guesses) {
        json one = {{"measure", g.guess.measure}, {"guess", g.guess.value}};
        if (g.perception) {
            one["measured"] = rounded(g.perception->measured);
            one["gap"] = rounded(g.perception->gap());
        }
        guesses.push_back(std::move(one));
    }
    json decided = json::array(), links = json::array(), choices = json::array();
    for (const auto& d : result.decided)
        decided.push_back({{"fault", d.decision.fault},
                           {"words", d.decision.words},
                           {"note", noteJson((*book)->data(), d.decision.note)},
                           {"kind", kDecisionKindNames[static_cast<std::size_t>(d.decision.kind)]},
                           {"reason", d.decision.reason},
                           {"now", d.words}});
    for (const auto& l : result.beliefs)
        links.push_back({{"cause", l.cause},
                         {"consequence", l.consequence},
                         {"prior", rounded(l.prior)},
                         {"posterior", rounded(l.posterior)},
                         {"checks", l.checks},
                         {"followed", l.followed}});
    for (const auto& c : result.choices) {
        json one = {
            {"situation", c.situation}, {"choice", c.choice}, {"n", c.n}, {"worked", c.worked}, {"known", c.known}};
        if (c.success)
            one["interval95"] = {rounded(c.success->lo), rounded(c.success->hi)};
        if (c.advised)
            one["advised"] = *c.advised;
        if (c.share)
            one["advised_share"] = *c.share;
        choices.push_back(std::move(one));
    }
    json stayed = json::array(), conflicts = json::array();
    for (const auto& c : result.stayed)
        stayed.push_back({{"cause", c.cause}, {"consequence", c.consequence}});
    for (const auto& c : result.conflicts)
        conflicts.push_back(
            {{"fault", c.fault}, {"seen", c.seen}, {"measure", c.measure}, {"eye_says_fault", c.eyeSaysFault}});
    const Landings landed = landingsOf((*book)->data(), (*book)->blueprint(), result);
    json where = {{"n", landed.all.reps.size()}, {"inside", landed.all.inside}, {"unit", landed.metric ? "m" : "px"}};
    if (landed.all.ellipse)
        where["ellipse"] = {{"major", rounded(landed.all.ellipse->major)},
                            {"minor", rounded(landed.all.ellipse->minor)},
                            {"angle", rounded(landed.all.ellipse->angle)}};
    if (!landed.all.reps.empty())
        where["bias"] = {rounded(landed.all.bias.x()), rounded(landed.all.bias.y())};
    std::printf("%s\n", json{{"set", keyJson(result.above)},
                             {"against", result.below ? keyJson(result.below) : json("model")},
                             {"situation", result.situation},
                             {"proposed", j.proposed},
                             {"profile", j.profile},
                             {"decisions", decided},
                             {"links", links},
                             {"stayed", stayed},
                             {"conflicts", conflicts},
                             {"landings", where},
                             {"models", result.models},
                             {"model", result.model},
                             {"choices", choices},
                             {"strengths", strengths},
                             {"findings", found},
                             {"possible", possible},
                             {"undecided", undecided},
                             {"focus", j.focus},
                             {"expected_to_follow", j.expectedToFollow},
                             {"guesses", guesses},
                             {"next", nextWords(result.next)}}
                            .dump(1)
                            .c_str());
    return Done{};
}

Status tracks(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    const CaseData& data = (*book)->data();
    if (a.take == 0) {
        for (const auto& [id, take] : data.takes)
            std::printf("%lld  %s, %s, %zu frames\n", static_cast<long long>(id), take.title.c_str(),
                        isoDate(take.day).c_str(), take.times.size());
        return Done{};
    }
    const auto take = data.takes.find(a.take);
    if (take == data.takes.end())
        return Error{"there is no take " + std::to_string(a.take) + " in this case", a.library, {}, {}};
    const auto marks = data.marks.find(a.take);
    if (!a.out.empty()) {
        if (marks == data.marks.end())
            return Error{"this take has no marks", take->second.title, "no file was written", {}};
        return writeFile(a.out, tracksToCsv(marks->second, take->second.times));
    }
    if (a.in.empty())
        return Error{"say --out FILE or --in FILE", {}, {}, {}};
    const auto text = readFile(a.in);
    if (!text)
        return text.error();
    const auto read = tracksFromCsv(*text, a.in);
    if (!read)
        return read.error();
    std::vector<Edit> edits;
    for (const auto& [landmark, track] : read->tracks)
        for (const auto& [frame, mark] : track) {
            if (frame.value >= static_cast<int>(take->second.times.size()))
                return Error{"frame " + std::to_string(frame.value) + " lies behind the end of the film",
                             a.in,
                             "nothing was taken over",
                             {}};
            // Frames are counted; a file of another frame rate would put every mark on the wrong picture.
            const auto f = static_cast<std::size_t>(frame.value);
            if (const double said = read->times[f], is = take->second.times[f]; std::abs(said - is) > 0.02 + 0.01 * is)
                return Error{"frame " + std::to_string(frame.value) + " is at " + std::to_string(said) +
                                 " s in the file and at " + std::to_string(is) + " s in the film",
                             a.in, "nothing was taken over", "were these tracks made at another frame rate?"};
            std::optional<Mark> before;
            if (marks != data.marks.end() && marks->second.contains(landmark))
                if (const auto m = marks->second.at(landmark).find(frame); m != marks->second.at(landmark).end())
                    before = m->second;
            edits.push_back(MarkEdit{{a.take, frame, landmark}, before, mark});
        }
    std::string why = "nothing was taken over";
    QObject::connect(book->get(), &Casebook::failed, [&](const QString& m) { why = m.toStdString(); });
    if (!(*book)->perform("read tracks", std::move(edits)))
        return Error{why, a.in, {}, {}};
    return Done{};
}

Status report(const CaseArguments& a) {
    const auto book = openCase(a);
    if (!book)
        return book.error();
    (*book)->analysisNow();
    const auto content = gatherReport(**book);
    if (const auto s = writePaper(content, {}, a.out, "report"); !s)
        return s;
    std::printf("report.pdf and report.html are in %s\n", a.out.c_str());
    return Done{};
}

} // namespace riflesso::cli
