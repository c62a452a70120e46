// riflesso-cli read: a first reading of a film by the machine alone.

#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "cli/commands.h"
#include "intake/intake.h"
#include "reading/read_take.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <unistd.h>

namespace riflesso::cli {

using nlohmann::json;

namespace {

json repsJson(const FirstReading& r) {
    const Timebase time = timebaseOf(r.data.takes.at(1));
    json list = json::array();
    for (const Rep* rep : repsOf(r.data, 1)) {
        json positions = json::object();
        for (const auto& [id, p] : rep->positions) {
            const double u = instantError(p, time) / time.realPeriod(p.frame);
            positions[id] = {
                {"frame", p.frame.value}, {"u_frames", std::round(100.0 * u) / 100.0}, {"unsure", u > 2.0}};
        }
        list.push_back({{"first", rep->first->value}, {"last", rep->last->value}, {"positions", positions}});
    }
    return list;
}

json measuresJson(const FirstReading& r, const Blueprint& blueprint) {
    json list = json::array();
    for (const auto& d : r.analysis.deviations) {
        const auto* m = blueprint.measure(d.measure);
        json one = {{"id", d.measure}, {"unit", m ? unitOf(m->definition) : std::string()}};
        if (d.value.reps > 0) {
            one["value"] = d.value.mean;
            one["u"] = d.value.u;
            one["decision"] = d.judged ? enumName(kDecisionNames, d.verdict.decision) : "undecided";
        } else {
            one["decision"] = "refused";
            one["why"] = d.value.refused.empty() ? d.reason : d.value.refused;
        }
        list.push_back(std::move(one));
    }
    return list;
}

// Into a library: the film as a take of this athlete, with what was read.
Status keep(const ReadArguments& a, const Blueprint& blueprint, const FirstReading& r, Day today) {
    std::error_code ec;
    auto opened = std::filesystem::exists(std::filesystem::path(a.library) / "library.sqlite", ec)
                      ? Library::open(a.library)
                      : Library::create(a.library);
    if (!opened)
        return opened.error();
    std::shared_ptr<Library> library(std::move(*opened));
    const auto athletes = library->athletes();
    if (!athletes)
        return athletes.error();
    Id athlete = 0, caseId = 0;
    for (const auto& s : *athletes)
        if (s.athlete.name == a.athlete) {
            athlete = s.id;
            for (const auto& c : s.cases)
                if (c.blueprintId == blueprint.id)
                    caseId = c.id;
        }
    Brief brief;
    brief.athlete = r.data.brief.athlete;
    brief.blueprintVersion = blueprint.version;
    if (caseId == 0) {
        const auto added = library->addCase(blueprint.id, brief, athlete);
        if (!added)
            return added.error();
        caseId = *added;
    }
    auto book = Casebook::open(library, caseId, blueprint, today);
    if (!book)
        return book.error();
    IntakeOptions options;
    options.today = today;
    if (const auto known = library->knownFilms())
        options.known = *known;
    for (const auto& [id, take] : (*book)->data().takes)
        if (!take.checksum.empty())
            options.inCase[take.checksum] = take.title;
    const auto in = takeIn(*library, a.film, options);
    if (!in)
        return in.error();
    const Take& read = r.data.takes.at(1);
    Take take = in->take;
    take.view = read.view;
    take.facing = read.facing;
    take.handedness = read.handedness;
    take.captureRate = read.captureRate;
    if (a.captureRate)
        take.captureFrom = "stated";
    std::string why = "nothing was kept";
    QObject::connect(book->get(), &Casebook::failed, [&](const QString& m) { why = m.toStdString(); });
    take.id = library->freshId();
    std::vector<Edit> edits{TakeEdit{take.id, std::nullopt, take}};
    for (const auto& [id, rep] : r.data.reps) {
        Rep mine = rep;
        mine.id = library->freshId();
        mine.take = take.id;
        edits.push_back(RepEdit{mine.id, std::nullopt, mine});
    }
    for (const auto& [landmark, track] : r.data.marks.at(1))
        for (const auto& [frame, mark] : track)
            edits.push_back(MarkEdit{{take.id, frame, landmark}, std::nullopt, mark});
    return (*book)->perform("read a film", std::move(edits)) ? Status(Done{}) : Status(Error{why, a.library, {}, {}});
}

} // namespace

Status read(const ReadArguments& a) {
    const auto blueprint = blueprintNamed(a.blueprint);
    if (!blueprint)
        return blueprint.error();
    const std::string text =
        a.today.empty() ? isoDate(std::chrono::floor<std::chrono::days>(std::chrono::system_clock::now())) : a.today;
    const auto today = dayFromIso(text);
    if (!today)
        return Error{"--today must be a date like 2026-11-23, not \"" + text + "\"", {}, {}, {}, ErrorKind::wrongUse};
    if (a.library.empty() != a.athlete.empty())
        return Error{"--library and --athlete belong together", {}, "nothing was read", {}, ErrorKind::wrongUse};
    if (a.captureRate && !(*a.captureRate > 0.0 && *a.captureRate < 1e5))
        return Error{
            "a capture rate is a positive number of Hz", "--capture-rate", "nothing was read", {}, ErrorKind::wrongUse};
    ReadOptions options;
    options.today = *today;
    options.keep = a.keep;
    options.athlete.name = a.athlete.empty() ? "athlete" : a.athlete;
    options.athlete.handedness = a.side == "left" ? Side::left : Side::right;
    options.take.title = std::filesystem::path(a.film).stem().string();
    options.take.day = *today;
    options.take.view = enumFromName<View>(kViewNames, a.view).value_or(View::side);
    options.take.handedness = options.athlete.handedness;
    options.take.captureRate = a.captureRate;
    options.take.facing = facingIn(options.take.view, a.facing == "left" ? Facing::left : Facing::right);
    if (facesAside(options.take.facing) && !a.facing.empty())
        options.facing = options.take.facing;
    const bool terminal = isatty(STDERR_FILENO) != 0;
    const auto r = readFilm(a.film, *blueprint, options, [&](const std::string& doing, double share) {
        if (terminal)
            std::fprintf(stderr, "\r\033[K%s %3.0f %%", doing.c_str(), 100.0 * share);
        return true;
    });
    if (terminal)
        std::fprintf(stderr, "\r\033[K");
    if (!r)
        return r.error();
    if (!a.library.empty())
        if (const auto s = keep(a, *blueprint, *r, *today); !s)
            return s;
    if (!a.json) {
        std::printf("%zu reps. %s\n", r->data.reps.size(), firstWords(r->analysis, r->looks).c_str());
        for (const auto& look : r->looks)
            std::printf("look at frame %d (counted from 0)\n", look.frame.value);
        std::printf("Drafts, not measurements: joints are often 2 to 4 %% of the body's height off.\n");
        return Done{};
    }
    json findings = json::array(), looks = json::array();
    for (const auto& f : r->analysis.judgement.findings)
        findings.push_back(f.fault);
    for (const auto& look : r->looks)
        looks.push_back(look.frame.value);
    std::printf("%s\n", json{{"reps", repsJson(*r)},
                             {"measures", measuresJson(*r, *blueprint)},
                             {"findings", findings},
                             {"looks", looks},
                             {"words", firstWords(r->analysis, r->looks)},
                             {"finder_s", std::round(1000.0 * r->finderSeconds) / 1000.0},
                             {"wall_s", std::round(1000.0 * r->wallSeconds) / 1000.0}}
                            .dump(1)
                            .c_str());
    return Done{};
}

Status gate(const GateArguments& a) {
    if (a.reps.find_first_not_of("GBgb") != std::string::npos)
        return Error{"reps are G for good and B for bad, as GGBGG", "--reps", {}, {}, ErrorKind::wrongUse};
    const auto good =
        static_cast<int>(std::count_if(a.reps.begin(), a.reps.end(), [](char c) { return c == 'G' || c == 'g'; }));
    const Gate g = riflesso::gate(good, static_cast<int>(a.reps.size()) - good);
    static constexpr const char* names[] = {"up", "stay", "down", "more"};
    if (!a.json) {
        std::printf("%s\n", g.words.c_str());
        return Done{};
    }
    std::printf("%s\n", json{{"answer", names[static_cast<int>(g.answer)]},
                             {"p_poor", g.pPoor},
                             {"p_good", g.pGood},
                             {"p_easy", g.pEasy},
                             {"more", g.more},
                             {"words", g.words}}
                            .dump(1)
                            .c_str());
    return Done{};
}

} // namespace riflesso::cli
