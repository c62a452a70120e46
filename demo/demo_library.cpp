#include "demo/demo_library.h"

#include "casebook/card.h"
#include "casebook/shipped.h"
#include "core/statistics/numbers.h"
#include "core/words/say.h"
#include "files/write_file.h"
#include "footage/film.h"
#include "library/blueprint_json.h"
#include "library/json_reader.h"
#include "library/library.h"
#include "library/tracks_csv.h"
#include "simulator/film_maker.h"

#include <QFile>

#include <algorithm>
#include <cerrno>
#include <csignal>
#include <functional>
#include <map>
#include <unistd.h>

static void initDemoRecipe() {
    Q_INIT_RESOURCE(demo_recipe);
}

namespace riflesso {
namespace {

namespace fs = std::filesystem;
using std::chrono::days;

Outfit outfitOf(const std::string& name) {
    Outfit o;
    if (name == "athlete") {
        o.jacket = {0.66f, 0.36f, 0.28f};
        o.trousers = {0.24f, 0.25f, 0.28f};
        o.hair = {0.34f, 0.18f, 0.09f};
        o.shoe = {0.20f, 0.36f, 0.52f};
        o.longHair = true;
    }
    return o;
}

FilmRecipe recipeOf(const JsonReader& j) {
    FilmRecipe r;
    r.name = j["name"].text();
    r.stature = j["stature"].number();
    r.outfit = outfitOf(j["outfit"].text());
    r.begins = j.numberOr("begins_s", 0.0);
    r.sound = true;
    r.reps = j["reps"].integer();
    r.seed = static_cast<unsigned>(j["seed"].integer());
    r.technique = j.textOr("technique", "fencing-lunge");
    r.camera = cameraFor(r.technique, j["view"].text() == "front");
    if (j.has("small")) { // quickly made: half as wide and high, at an ordinary rate
        r.camera.width /= 2;
        r.camera.height /= 2;
        r.camera.focal /= 2;
        r.camera.captureRate = r.storedRate = 60.0;
        r.markNoise /= 2;
    }
    Faults faults;
    for (const auto& [fault, size] : j["faults"].fields())
        faults[fault] = size.number();
    if (const auto set = setFaults(r, faults); !set)
        j["faults"].fail(set.error().what);
    return r;
}

Brief briefOf(const JsonReader& j, Day today) {
    Brief b;
    const auto a = j["athlete"];
    b.athlete = {a["name"].text(), a["handedness"].text() == "left" ? Side::left : Side::right, a["level"].text(),
                 a["minor"].truth(), a.textOr("squad")};
    b.goal = j["goal"].text();
    b.thinks = j["thinks"].text();
    b.told = j["told"].text();
    b.injuries = j["injuries"].text();
    for (const auto& n : a.itemsOr("body"))
        b.athlete.body.push_back({n["part"].text(), n["words"].text(), today - days(n["days_ago"].integer()), false});
    for (const auto& g : a.itemsOr("growth"))
        b.athlete.growth.push_back({today - days(g["days_ago"].integer()), g["stature_cm"].number()});
    const auto minutes = j["minutes"].items();
    for (std::size_t i = 0; i < 7; ++i)
        b.minutes[i] = minutes.at(i).integer();
    b.competitions = {today + days(j["competition_in_days"].integer())};
    // Of several on one measure the newest counts, the earlier ones are its past.
    std::vector<Guess> said;
    for (const auto& g : j["guesses"].items())
        said.push_back({g["measure"].text(), g["value"].number(),
                        g.has("days_ago") ? today - days(g["days_ago"].integer()) : Day{}});
    std::stable_sort(said.begin(), said.end(), [](const Guess& x, const Guess& y) { return x.day < y.day; });
    for (std::size_t i = 0; i < said.size(); ++i) {
        const bool newest = std::none_of(said.begin() + static_cast<std::ptrdiff_t>(i) + 1, said.end(),
                                         [&](const Guess& later) { return later.measure == said[i].measure; });
        (newest ? b.guesses : b.pastGuesses).push_back(said[i]);
    }
    return b;
}

// The simulated analyst's marks and pegs, as if placed by hand.
std::optional<Error> addMarks(const SimulatedFilm& film, const Take& take, Library& library, std::vector<Edit>& edits) {
    const auto csv = readFile(film.marks);
    if (!csv)
        return csv.error();
    const auto tracks = tracksFromCsv(*csv, film.marks.filename().string());
    if (!tracks)
        return tracks.error();
    const auto text = readFile(film.pegs);
    if (!text)
        return text.error();
    const auto json = nlohmann::json::parse(*text);
    int number = 1, marked = -1; // a cycle begins on the frame on which the one before ends
    for (const auto& r : JsonReader(json, "")["reps"].items()) {
        Rep rep;
        rep.id = library.freshId();
        rep.take = take.id;
        rep.number = number++;
        const int first = r["first"].integer(), last = r["last"].integer();
        for (const auto& [id, frame] : json["reps"][static_cast<std::size_t>(rep.number - 1)]["positions"].items())
            rep.positions[id] = {FrameIndex(frame.get<int>()), std::nullopt};
        rep.first = FrameIndex(first);
        rep.last = FrameIndex(last);
        edits.push_back(RepEdit{rep.id, std::nullopt, rep});
        for (const auto& [landmark, track] : tracks->tracks)
            for (const auto& [frame, mark] : track)
                if (frame.value >= std::max(first, marked + 1) && frame.value <= last)
                    edits.push_back(MarkEdit{{take.id, frame, landmark}, std::nullopt, mark});
        marked = std::max(marked, last);
    }
    return std::nullopt;
}

// The model's takes of another case: the same films and marks.
std::optional<Error> addModels(Library& library, Id from, std::vector<Edit>& edits) {
    const auto data = library.load(from);
    if (!data)
        return data.error();
    std::map<Id, Id> takes;
    for (const auto& [id, take] : data->takes) {
        if (take.performer != Performer::model)
            continue;
        Take copy = take;
        copy.id = takes[id] = library.freshId();
        edits.push_back(TakeEdit{copy.id, std::nullopt, copy});
        if (const auto marks = data->marks.find(id); marks != data->marks.end())
            for (const auto& [landmark, track] : marks->second)
                for (const auto& [frame, mark] : track)
                    edits.push_back(MarkEdit{{copy.id, frame, landmark}, std::nullopt, mark});
    }
    for (const auto& [id, rep] : data->reps)
        if (takes.contains(rep.take)) {
            Rep copy = rep;
            copy.id = library.freshId();
            copy.take = takes.at(rep.take);
            edits.push_back(RepEdit{copy.id, std::nullopt, copy});
        }
    return std::nullopt;
}

// A film's take with its marks; the film is copied into the library.
std::optional<Error> addFilm(const JsonReader& f, const FilmRecipe& recipe, const SimulatedFilm& film, Library& library,
                             Day today, std::vector<Edit>& edits) {
    const auto opened = Film::open(film.film);
    if (!opened)
        return opened.error();
    Take take;
    take.id = library.freshId();
    take.title = f["title"].text();
    take.performer = f["performer"].word<Performer>(kPerformerNames);
    take.who = f.textOr("who");
    take.view = f["view"].word<View>(kViewNames);
    take.facing = take.view == View::front ? Facing::camera : Facing::left;
    take.stage = f["stage"].word<Stage>(kStageNames);
    take.day = today - days(f["days_ago"].integer());
    if (f["capture_rate_known"].truth())
        take.captureRate = recipe.camera.captureRate;
    take.width = (*opened)->info().width;
    take.height = (*opened)->info().height;
    take.times = (*opened)->times();
    const auto sum = checksumOf(film.film);
    if (!sum)
        return sum.error();
    take.checksum = *sum;
    // In the library films have plain names, not their recipe's fingerprint.
    const fs::path plain = library.media() / (recipe.name + ".mp4");
    std::error_code ec;
    fs::copy_file(film.film, plain, fs::copy_options::overwrite_existing, ec);
    if (ec)
        return Error{
            fill(say("error", "the film cannot be copied (%1)"), {ec.message()}), plain.filename().string(), {}, {}};
    take.film = plain.filename().string();
    const std::string opponent = f.textOr("opponent");
    if (!opponent.empty()) {
        take.figure.extra = namesFor(Thing::other, {});
        take.figure.called[1] = opponent;
    }
    edits.push_back(TakeEdit{take.id, std::nullopt, take});
    if (!f["marked"].truth())
        return std::nullopt;
    const std::size_t before = edits.size();
    if (auto e = addMarks(film, take, library, edits))
        return e;
    // What the coach saw of each of the two, by rep and checkpoint.
    for (const auto& seen : f.itemsOr("seen"))
        for (std::size_t i = before; i < edits.size(); ++i)
            if (auto* rep = std::get_if<RepEdit>(&edits[i]); rep && rep->after->number == seen["rep"].integer()) {
                auto& of = seen["opponent"].truth() ? rep->after->seenOf[opponent] : rep->after->seen;
                for (const auto& [checkpoint, verdict] : seen["verdicts"].fields())
                    of[checkpoint] = {verdict.word<SeenVerdict>(kSeenVerdictNames), *rep->after->first, {}, {}};
            }
    const std::string set = f.textOr("set");
    for (std::size_t i = before; i < edits.size(); ++i)
        if (auto* rep = std::get_if<RepEdit>(&edits[i])) {
            rep->after->set = set;
            if (f.has("effort"))
                rep->after->effort = f["effort"].number();
        }
    return std::nullopt;
}

// What was practised and decided.
void addWork(const JsonReader& person, const Blueprint& blueprint, Library& library, Day today,
             std::vector<Edit>& edits) {
    for (const auto& p : person["practice"].items()) {
        const Drill* drill = blueprint.drill(p["drill"].text());
        if (!drill)
            p.fail("no such drill");
        Block b{library.freshId(), today - days(p["days_ago"].integer()), drill->id, drill->stage, {}, {},
                p.textOr("cue")};
        // Two letters a rep: the athlete's verdict, then the coach's.
        const std::string verdicts = p.textOr("verdicts");
        b.note = p.textOr("note");
        if (p.has("alone")) { // told afterwards, without a coach
            const auto a = p["alone"];
            b.own = SelfCoached{a["minutes"].number(), static_cast<int>(a.numberOr("hits", 0.0)),
                                a.textOr("where"),     a["feet"].integer(),
                                a["hands"].integer(),  a.textOr("noticed"),
                                a.textOr("next")};
        }
        const auto ways = p.itemsOr("variations"); // fed in turn
        for (std::size_t i = 0; i + 1 < verdicts.size(); i += 3) {
            b.reps.push_back({verdicts[i] == 'g', verdicts[i + 1] == 'g', {}});
            if (!b.reps.back().good())
                b.reps.back().reason = p.textOr("reason");
            if (!ways.empty())
                b.reps.back().variation = ways[i / 3 % ways.size()].text();
        }
        edits.push_back(BlockEdit{b.id, std::nullopt, b});
    }
    // What had been planned until today, and what became of it.
    for (const auto& p : person.itemsOr("planned")) {
        const Drill* drill = blueprint.drill(p["drill"].text());
        if (!drill)
            p.fail("no such drill");
        PlannedBlock b;
        b.id = library.freshId();
        b.day = today - days(p["days_ago"].integer());
        b.fault = p["fault"].text();
        b.drill = drill->id;
        b.stage = drill->stage;
        b.minutes = p["minutes"].number();
        b.state = p.truthOr("done", false) ? BlockState::done : BlockState::missed;
        edits.push_back(PlanEdit{b.id, std::nullopt, b});
    }
    if (!person.has("decisions"))
        return;
    for (const auto& d : person["decisions"].items()) {
        FindingDecision decision;
        decision.id = library.freshId();
        decision.fault = d["fault"].text();
        if (!blueprint.fault(decision.fault))
            d.fail("no such fault");
        decision.kind = d["kind"].word<DecisionKind>(kDecisionKindNames);
        decision.reason = d.textOr("reason");
        decision.day = today - days(d["days_ago"].integer());
        if (d.has("consent"))
            decision.consent = d["consent"].word<Consent>(kConsentNames);
        edits.push_back(DecisionEdit{decision.id, std::nullopt, decision});
    }
}

constexpr Id kNoCard = -1; // the first athlete: her card is written when she is opened

// Everything of one athlete; the library is touched once all films are there. \p models: a case whose model takes are
// this one's, too; 0 = none.
Status build(const JsonReader& person, Library& library, const DemoOptions& options, Id models) {
    const auto blueprint = shippedBlueprint(person["case"].text());
    if (!blueprint)
        return blueprint.error();
    const auto films = person["films"].items();
    std::vector<std::pair<FilmRecipe, SimulatedFilm>> made;
    double total = 0, done = 0;
    for (const auto& f : films)
        total += f["reps"].integer();
    for (const auto& f : films) {
        const FilmRecipe recipe = recipeOf(f);
        const std::string title = f["title"].text();
        auto film = makeFilm(recipe, options.films, [&](int frame, int frames) {
            return !options.progress ||
                   options.progress("filming " + title,
                                    (done + recipe.reps * static_cast<double>(frame) / frames) / total);
        });
        if (!film)
            return film.error();
        done += recipe.reps;
        made.emplace_back(recipe, std::move(*film));
    }
    std::vector<Edit> edits;
    if (models > 0)
        if (auto e = addModels(library, models, edits))
            return *e;
    for (std::size_t i = 0; i < made.size(); ++i)
        if (auto e = addFilm(films[i], made[i].first, made[i].second, library, options.today, edits))
            return *e;
    addWork(person, *blueprint, library, options.today, edits);
    const auto id = library.addCase(person["case"].text(), briefOf(person, options.today));
    if (!id)
        return id.error();
    const Status kept = library.apply(*id, edits);
    if (!kept) // half an athlete is of no use
        if (const auto all = library.cases())
            for (const auto& c : *all)
                if (c.id == *id)
                    (void)library.eraseAthlete(c.athleteId);
    if (!kept || models == kNoCard)
        return kept;
    // The shelf and the squad sheet know them without opening each.
    const auto data = library.load(*id);
    if (!data)
        return data.error();
    return library.setCard(*id,
                           toJson(cardOf(*data, *blueprint, analyse(*data, *blueprint, options.today), options.today)));
}

// Half a demo is of no use to anybody: it is made in a folder beside, which gets its name last. Two programs at once
// make one each, and the second is told that there is one.
Status makeAside(const fs::path& folder, const JsonReader& recipe, const DemoOptions& options) {
    std::error_code ec;
    const fs::path whole = fs::absolute(folder, ec).lexically_normal();
    const fs::path target = whole.has_filename() ? whole : whole.parent_path();
    const std::string beginning = "." + target.filename().string() + ".making-";
    const Error taken{"there is something in this folder already", target.filename().string(), "nothing was changed",
                      "choose an empty or a new folder"};
    if (fs::exists(target, ec) && !fs::is_empty(target, ec))
        return fs::exists(target / "library.sqlite", ec)
                   ? Error{"there is a library already", target.filename().string(), "nothing was changed",
                           "open it, or choose another folder"}
                   : taken;
    fs::create_directories(target.parent_path(), ec);
    // What killed programs have left.
    std::vector<fs::path> left;
    for (const auto& entry : fs::directory_iterator(target.parent_path(), ec))
        if (const std::string name = entry.path().filename().string(); name.starts_with(beginning)) {
            const auto process = numberFrom(name.substr(beginning.size()));
            if (process && ::kill(static_cast<pid_t>(*process), 0) != 0 && errno == ESRCH)
                left.push_back(entry.path());
        }
    for (const auto& path : left)
        fs::remove_all(path, ec);
    const fs::path aside = target.parent_path() / (beginning + std::to_string(::getpid()));
    fs::remove_all(aside, ec);
    Status s = Done{};
    {
        auto library = Library::create(aside);
        s = library ? build(recipe, **library, options, kNoCard) : Status(library.error());
    }
    if (s && ::rename(aside.c_str(), target.c_str()) != 0)
        s = taken;
    if (!s)
        fs::remove_all(aside, ec);
    return s;
}

} // namespace

namespace {

// Runs with the recipe as it ships inside the program.
Status withRecipe(const std::function<Status(const JsonReader&)>& work) {
    initDemoRecipe();
    QFile file(":/demo/recipe.json");
    if (!file.open(QIODevice::ReadOnly))
        return Error{"the demo's recipe is missing from the program", {}, {}, {}};
    try {
        const auto json = nlohmann::json::parse(file.readAll().toStdString());
        return work(JsonReader(json, ""));
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, "demo/recipe.json", {}, {}};
    } catch (const nlohmann::json::exception& e) {
        return Error{e.what(), "demo/recipe.json", {}, {}};
    }
}

} // namespace

Status makeDemoLibrary(const fs::path& folder, const DemoOptions& options) {
    return withRecipe([&](const JsonReader& recipe) { return makeAside(folder, recipe, options); });
}

Status fillDemoLibrary(const fs::path& folder, const DemoOptions& options) {
    return withRecipe([&](const JsonReader& recipe) -> Status {
        const auto library = Library::open(folder);
        if (!library)
            return library.error();
        const auto here = (*library)->athletes();
        if (!here)
            return here.error();
        const auto with = [&](const std::string& name) -> const AthleteSummary* {
            for (const auto& a : *here)
                if (a.athlete.name == name)
                    return &a;
            return nullptr;
        };
        const AthleteSummary* first = with(recipe["athlete"]["name"].text());
        const auto others = recipe["others"].items();
        const std::size_t n = others.size();
        for (std::size_t i = 0; i < n; ++i) {
            const std::string name = others[i]["athlete"]["name"].text();
            if (with(name) || (!options.only.empty() && name != options.only))
                continue;
            DemoOptions part = options;
            part.progress = [&](const std::string& what, double share) {
                return !options.progress ||
                       options.progress(name + ", " + what, (static_cast<double>(i) + share) / static_cast<double>(n));
            };
            const bool models = others[i].has("model_from_first") && first && !first->cases.empty();
            if (auto s = build(others[i], **library, part, models ? first->cases.front().id : 0); !s)
                return s;
        }
        return Done{};
    });
}

} // namespace riflesso
