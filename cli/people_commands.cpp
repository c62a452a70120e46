// People: one person over all techniques, a squad, and bundles of either.

#include "cli/commands.h"

#include "casebook/card.h"
#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "core/progress/squad.h"
#include "core/statistics/numbers.h"
#include "library/bundle.h"
#include "library/eye_scores.h"
#include "simulator/eye_trial.h"

#include <QStandardPaths>

#include <CLI/CLI.hpp>

#include <algorithm>
#include <cstdio>
#include <map>
#include <set>

namespace riflesso::cli {
namespace {

using nlohmann::json;

json intervalJson(const Interval& i) {
    return {rounded(i.lo), rounded(i.hi)};
}

// A case's standing, analysed anew.
struct Looked {
    CaseSummary summary;
    Blueprint blueprint;
    CardDetail detail;
    Day today{};
    std::vector<LinkBelief> beliefs;
};

Result<Looked> look(const PeopleArguments& a, const CaseSummary& summary) {
    CaseArguments c;
    c.library = a.library;
    c.caseId = summary.id;
    c.today = a.today;
    const auto today = todayOf(c);
    if (!today)
        return today.error();
    const auto book = openCase(c);
    if (!book)
        return book.error();
    const Analysis& analysis = (*book)->analysisNow();
    return Looked{summary, (*book)->blueprint(), detailOf((*book)->data(), (*book)->blueprint(), analysis, *today),
                  *today, analysis.beliefs};
}

json faultsJson(const CardDetail& detail) {
    json out = json::array();
    for (const auto& f : detail.faults)
        out.push_back({{"fault", f.fault},
                       {"standing", kStandingNames[static_cast<std::size_t>(f.standing)]},
                       {"priority", rounded(f.priority)},
                       {"parts", f.parts}});
    return out;
}

Result<std::vector<AthleteSummary>> peopleOf(Library& library, const PeopleArguments& a) {
    auto all = library.athletes();
    if (!all)
        return all.error();
    std::erase_if(*all, [&](const AthleteSummary& p) {
        return (!a.squad.empty() && p.athlete.squad != a.squad) || (!a.name.empty() && p.athlete.name != a.name);
    });
    if (all->empty())
        return Error{"nobody here is called so", a.squad.empty() ? a.name : a.squad, {}, {}, ErrorKind::missing};
    return all;
}

// Everybody who is meant, with all cases analysed.
Status eachPerson(const PeopleArguments& a,
                  const std::function<void(const AthleteSummary&, const std::vector<Looked>&)>& work) {
    const auto library = Library::open(a.library);
    if (!library)
        return library.error();
    const auto people = peopleOf(**library, a);
    if (!people)
        return people.error();
    for (const auto& p : *people) {
        std::vector<Looked> cases;
        for (const auto& summary : p.cases) {
            auto seen = look(a, summary);
            if (!seen)
                return seen.error();
            cases.push_back(std::move(*seen));
        }
        work(p, cases);
    }
    return Done{};
}

} // namespace

Status person(const PeopleArguments& a) {
    return eachPerson(a, [&](const AthleteSummary& p, const std::vector<Looked>& looked) {
        json cases = json::array(), shared = json::object();
        std::vector<std::vector<FaultStanding>> standings;
        std::size_t foci = 0;
        for (const auto& seen : looked) {
            foci += seen.detail.focus.size();
            standings.push_back(seen.detail.faults);
            json week = json::object();
            for (const auto& [day, minutes] : seen.detail.week)
                week[day] = minutes;
            cases.push_back({{"case", seen.summary.id},
                             {"technique", seen.blueprint.name},
                             {"focus", seen.detail.focus},
                             {"faults", faultsJson(seen.detail)},
                             {"week", week},
                             {"injuries", seen.detail.injuries}});
        }
        for (const auto& part : sharedParts(standings))
            shared[part.part] = part.techniques;
        if (a.json) {
            std::printf("%s\n", json{{"name", p.athlete.name},
                                     {"squad", p.athlete.squad},
                                     {"focus_over_all", foci},
                                     {"shared_parts", shared},
                                     {"cases", cases}}
                                    .dump(1)
                                    .c_str());
            return;
        }
        std::printf("%s\n", p.athlete.name.c_str());
        for (const auto& c : cases)
            std::printf("  %s: works on %s\n", c["technique"].get<std::string>().c_str(), c["focus"].dump().c_str());
        for (const auto& [part, n] : shared.items())
            std::printf("  the %s show up in %s techniques\n", part.c_str(), n.dump().c_str());
        if (foci > kFociAtOnce)
            std::printf("  %zu things at once: two at most stay in one head\n", foci);
    });
}

Status squad(const PeopleArguments& a) {
    std::map<std::string, std::pair<Blueprint, std::vector<SquadMember>>> techniques;
    const auto looked = eachPerson(a, [&](const AthleteSummary& p, const std::vector<Looked>& cases) {
        for (const auto& seen : cases) {
            auto& [blueprint, members] = techniques[seen.summary.blueprintId];
            blueprint = seen.blueprint;
            members.push_back(memberOf(seen.summary.id, p.athlete.name, seen.detail, seen.today));
        }
    });
    if (!looked)
        return looked;
    json out = json::array();
    for (const auto& [id, what] : techniques) {
        const auto& [blueprint, members] = what;
        json faults = json::array(), rows = json::array(), pairs = json::array();
        for (const auto& f : squadFaults(members)) {
            faults.push_back({{"fault", f.fault},
                              {"have", f.have},
                              {"known", f.known},
                              {"share95", intervalJson(f.share)},
                              {"priority", rounded(f.priority)}});
            if (!a.json && f.have > 0)
                std::printf("%s, %s: %d of %d\n", blueprint.name.c_str(), blueprint.fault(f.fault)->name.c_str(),
                            f.have, f.known);
        }
        for (const auto& m : members) {
            json standing = json::object();
            for (const auto& f : m.faults)
                standing[f.fault] = kStandingNames[static_cast<std::size_t>(f.standing)];
            rows.push_back({{"case", m.id}, {"name", m.name}, {"faults", standing}});
        }
        const auto session = sessionForAll(members, 3);
        for (const auto& pair : session.pairs) {
            const auto partner = pair.owner ? pair.owner : pair.second;
            pairs.push_back({{"learner", members[pair.learner].name},
                             {"with", partner ? json(members[*partner].name) : json(nullptr)},
                             {"owner", pair.owner.has_value()}});
        }
        out.push_back({{"technique", id},
                       {"athletes", rows},
                       {"faults", faults},
                       {"session", {{"fault", session.fault}, {"pairs", pairs}, {"rotation", session.rotation}}}});
    }
    if (a.json)
        std::printf("%s\n", json{{"squad", a.squad}, {"techniques", out}}.dump(1).c_str());
    return Done{};
}

Status links(const PeopleArguments& a) {
    struct Technique {
        Blueprint blueprint;
        std::vector<std::vector<LinkBelief>> beliefs; // an athlete's each
    };
    std::map<std::string, Technique> techniques;
    const auto looked = eachPerson(a, [&](const AthleteSummary&, const std::vector<Looked>& cases) {
        for (const auto& seen : cases) {
            auto& t = techniques[seen.summary.blueprintId];
            t.blueprint = seen.blueprint;
            t.beliefs.push_back(seen.beliefs);
        }
    });
    if (!looked)
        return looked;
    constexpr int kEnough = 6; // checks before a strength is proposed
    json out = json::array();
    for (const auto& [id, technique] : techniques)
        for (const auto& b : pooledBeliefs(technique.beliefs)) {
            if (b.checks == 0)
                continue;
            const auto athletes = std::count_if(
                technique.beliefs.begin(), technique.beliefs.end(), [&](const std::vector<LinkBelief>& list) {
                    return std::any_of(list.begin(), list.end(), [&](const LinkBelief& l) {
                        return l.cause == b.cause && l.consequence == b.consequence && l.checks > 0;
                    });
                });
            out.push_back({{"technique", id},
                           {"cause", b.cause},
                           {"consequence", b.consequence},
                           {"prior", rounded(b.prior)},
                           {"now", rounded(b.posterior)},
                           {"checks", b.checks},
                           {"followed", b.followed},
                           {"athletes", athletes},
                           {"propose", b.checks >= kEnough}});
            if (!a.json)
                std::printf("%s: %s, then %s: %.2f, now %.2f after %d check%s of %td athlete%s%s\n",
                            technique.blueprint.name.c_str(), technique.blueprint.fault(b.cause)->name.c_str(),
                            technique.blueprint.fault(b.consequence)->name.c_str(), b.prior, b.posterior, b.checks,
                            b.checks == 1 ? "" : "s", athletes, athletes == 1 ? "" : "s",
                            b.checks >= kEnough ? "" : " (too few to change the technique)");
        }
    if (a.json)
        std::printf("%s\n", json{{"links", out}}.dump(1).c_str());
    return Done{};
}

Status bundleOut(const PeopleArguments& a) {
    const auto library = Library::open(a.library);
    if (!library)
        return library.error();
    std::vector<Id> cases;
    if (a.caseId != 0) {
        cases.push_back(a.caseId);
    } else {
        const auto people = peopleOf(**library, a);
        if (!people)
            return people.error();
        for (const auto& p : *people)
            for (const auto& c : p.cases)
                cases.push_back(c.id);
    }
    BundleOptions options;
    options.films = !a.noFilms;
    auto blueprints = blueprintsOf(**library, cases);
    if (!blueprints)
        return blueprints.error();
    options.blueprints = std::move(*blueprints);
    if (auto s = writeBundle(**library, cases, a.file, options); !s)
        return s;
    std::printf("%zu cases in %s\n", cases.size(), std::filesystem::path(a.file).filename().string().c_str());
    return Done{};
}

Status bundleIn(const PeopleArguments& a) {
    const auto library = Library::open(a.library);
    if (!library)
        return library.error();
    const auto contents = lookIntoBundle(**library, a.file);
    if (!contents)
        return contents.error();
    const auto blueprints = arrivingBlueprints((*library)->folder(), contents->blueprints);
    if (!blueprints)
        return blueprints.error();
    json list = json::array();
    std::vector<BundleChoice> arrivals;
    for (const auto& c : contents->cases) {
        list.push_back({{"athlete", c.athlete},
                        {"technique", c.blueprintId},
                        {"takes", c.takes},
                        {"reps", c.reps},
                        {"films", c.films},
                        {"newest", c.newest},
                        {"here", c.sameCase != 0 ? json(c.sameCase) : json(nullptr)},
                        {"identical", c.identical},
                        {"difference", c.difference},
                        {"described_otherwise", blueprints->described.contains(c.blueprintId)}});
        if (!c.identical)
            arrivals.push_back({c.index, c.sameAthlete});
    }
    json made = json::array();
    if (!a.look) {
        for (const auto& blueprint : blueprints->fresh)
            if (const auto kept = keepBlueprint((*library)->folder(), blueprint); !kept)
                return kept.error();
        const auto in = takeInBundle(**library, a.file, arrivals);
        if (!in)
            return in.error();
        made = *in;
    }
    if (a.json)
        std::printf("%s\n", json{{"cases", list}, {"made", made}}.dump(1).c_str());
    else
        for (const auto& c : list)
            std::printf(
                "%s, %s: %s%s\n", c["athlete"].get<std::string>().c_str(), c["technique"].get<std::string>().c_str(),
                c["identical"].get<bool>() ? "here already"
                : c["here"].is_null()      ? "new"
                                           : c["difference"].get<std::string>().c_str(),
                c["described_otherwise"].get<bool>() ? "; the technique is described otherwise here, figures may differ"
                                                     : "");
    return Done{};
}

Status eye(const PeopleArguments& a) {
    const std::filesystem::path file =
        a.file.empty() ? std::filesystem::path(
                             QStandardPaths::writableLocation(QStandardPaths::GenericDataLocation).toStdString()) /
                             "Riflesso" / "Riflesso" / "eye.json"
                       : std::filesystem::path(a.file);
    const auto sessions = readEyeSessions(file);
    if (!sessions)
        return sessions.error();
    std::set<std::pair<std::string, std::string>> trained;
    for (const auto& s : *sessions)
        if (a.name.empty() || s.technique == a.name)
            trained.insert({s.technique, s.fault});
    json list = json::array();
    for (const auto& [technique, fault] : trained) {
        const Staircase s = staircaseOf(*sessions, technique, fault);
        const auto range = rangeOf(technique, fault);
        list.push_back({{"technique", technique},
                        {"fault", fault},
                        {"unit", range ? json(range->unit) : json(nullptr)},
                        {"looks", s.looks()},
                        {"threshold", rounded(s.threshold(), 5)},
                        {"interval95", {rounded(s.interval().lo, 5), rounded(s.interval().hi, 5)}},
                        {"false_alarms", rounded(s.falseAlarms())},
                        {"blind", s.blind()},
                        {"size_bias", nullptr}});
        if (const auto bias = sizeBias(s.history()))
            list.back()["size_bias"] = {{"ratio", rounded(bias->ratio)},
                                        {"interval95", {rounded(bias->interval.lo), rounded(bias->interval.hi)}},
                                        {"looks", bias->looks}};
        if (!a.json)
            std::printf(
                "%s, %s: %s\n", technique.c_str(), fault.c_str(),
                s.blind() ? "hardly ever seen"
                          : ("seen from " + general(s.threshold(), 2) + " on, " + std::to_string(s.looks()) + " looks")
                                .c_str());
    }
    if (a.json)
        std::printf("%s\n", json{{"scores", list}}.dump(1).c_str());
    return Done{};
}

void addPeople(CLI::App& app, PeopleArguments& a, std::function<Status()>& chosen) {
    const auto common = [&](CLI::App* sub) {
        sub->add_option("--library", a.library, "the library's folder")->required();
        sub->add_option("--today", a.today, "the day that counts as today (2026-11-23)");
        sub->add_flag("--json", a.json, "as JSON");
    };
    const auto run = [&](CLI::App* sub, Status (*command)(const PeopleArguments&)) {
        sub->callback([&chosen, &a, command] { chosen = [&a, command] { return command(a); }; });
    };
    auto* one = app.add_subcommand("person", "One athlete over all techniques");
    one->add_option("NAME", a.name, "as on the shelf")->required();
    common(one);
    run(one, person);
    auto* many = app.add_subcommand("squad", "Who has what, and one session for all");
    many->add_option("NAME", a.squad, "the squad's name (everybody when left out)");
    common(many);
    run(many, squad);
    auto* tested = app.add_subcommand("links", "Causes put to the test over all athletes");
    tested->add_option("--squad", a.squad, "only this squad");
    common(tested);
    run(tested, links);
    auto* scores = app.add_subcommand("eye", "From which size a coach sees simulated faults");
    scores->add_option("--technique", a.name, "only this one");
    scores->add_option("--scores", a.file, "another file than the window's own");
    scores->add_flag("--json", a.json, "as JSON");
    run(scores, eye);
    auto* bundle = app.add_subcommand("bundle", "Cases as one file, from one library to another");
    bundle->require_subcommand(1);
    auto* out = bundle->add_subcommand("out", "Write a bundle");
    out->add_option("FILE", a.file, "the file to write, NAME.riflesso")->required();
    out->add_option("--case", a.caseId, "only this case");
    out->add_option("--athlete", a.name, "only this person");
    out->add_option("--squad", a.squad, "only this squad");
    out->add_flag("--no-films", a.noFilms, "figures and stills alone");
    common(out);
    run(out, bundleOut);
    auto* in = bundle->add_subcommand("in", "Take a bundle in; what is here already to the last mark is left out");
    in->add_option("FILE", a.file, "the bundle")->required();
    in->add_flag("--look", a.look, "only say what it holds");
    common(in);
    run(in, bundleIn);
}

} // namespace riflesso::cli
