#include "demo/demo_library.h"

#include "casebook/shipped.h"
#include "core/statistics/numbers.h"
#include "files/write_file.h"
#include "footage/film.h"
#include "library/blueprint_json.h"
#include "library/json_reader.h"
#include "library/library.h"
#include "library/tracks_csv.h"
#include "simulator/film_maker.h"

#include <QFile>

#include <cerrno>
#include <csignal>
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
                 a["minor"].truth()};
    b.goal = j["goal"].text();
    b.thinks = j["thinks"].text();
    b.told = j["told"].text();
    b.injuries = j["injuries"].text();
    const auto minutes = j["minutes"].items();
    for (std::size_t i = 0; i < 7; ++i)
        b.minutes[i] = minutes.at(i).integer();
    b.competitions = {today + days(j["competition_in_days"].integer())};
    for (const auto& g : j["guesses"].items())
        b.guesses.push_back({g["measure"].text(), g["value"].number()});
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
    int number = 1;
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
                if (frame.value >= first && frame.value <= last)
                    edits.push_back(MarkEdit{{take.id, frame, landmark}, std::nullopt, mark});
    }
    return std::nullopt;
}

Status build(const JsonReader& recipe, Library& library, const DemoOptions& options) {
    const auto id = library.addCase(recipe["case"].text(), briefOf(recipe, options.today));
    if (!id)
        return id.error();
    const auto blueprint = shippedBlueprint(recipe["case"].text());
    if (!blueprint)
        return blueprint.error();
    const auto films = recipe["films"].items();
    double total = 0, done = 0;
    for (const auto& f : films)
        total += f["reps"].integer();
    for (const auto& f : films) {
        const FilmRecipe filmRecipe = recipeOf(f);
        const std::string title = f["title"].text();
        const auto film = makeFilm(filmRecipe, options.films, [&](int frame, int frames) {
            return !options.progress ||
                   options.progress("filming " + title,
                                    (done + filmRecipe.reps * static_cast<double>(frame) / frames) / total);
        });
        if (!film)
            return film.error();
        done += filmRecipe.reps;
        const auto opened = Film::open(film->film);
        if (!opened)
            return opened.error();
        Take take;
        take.id = library.freshId();
        take.title = title;
        take.performer = f["performer"].word<Performer>(kPerformerNames);
        take.who = f.textOr("who");
        take.view = f["view"].word<View>(kViewNames);
        take.facing = take.view == View::front ? Facing::camera : Facing::left;
        take.stage = f["stage"].word<Stage>(kStageNames);
        take.day = options.today - days(f["days_ago"].integer());
        if (f["capture_rate_known"].truth())
            take.captureRate = filmRecipe.camera.captureRate;
        take.width = (*opened)->info().width;
        take.height = (*opened)->info().height;
        take.times = (*opened)->times();
        const auto sum = checksumOf(film->film);
        if (!sum)
            return sum.error();
        take.checksum = *sum;
        // In the library films have plain names, not their recipe's fingerprint.
        const fs::path plain = library.media() / (filmRecipe.name + ".mp4");
        std::error_code ec;
        fs::copy_file(film->film, plain, fs::copy_options::overwrite_existing, ec);
        if (ec)
            return Error{"the film cannot be copied (" + ec.message() + ")", plain.filename().string(), {}, {}};
        take.film = plain.filename().string();
        std::vector<Edit> edits = {TakeEdit{take.id, std::nullopt, take}};
        if (f["marked"].truth())
            if (auto e = addMarks(*film, take, library, edits))
                return *e;
        if (auto s = library.apply(*id, edits); !s)
            return s;
    }
    std::vector<Edit> practice;
    for (const auto& p : recipe["practice"].items()) {
        const Drill* drill = blueprint->drill(p["drill"].text());
        if (!drill)
            p.fail("no such drill");
        Block b{library.freshId(), options.today - days(p["days_ago"].integer()), drill->id, drill->stage, {}, {}};
        // Two letters a rep: the athlete's verdict, then the coach's.
        const std::string verdicts = p["verdicts"].text();
        for (std::size_t i = 0; i + 1 < verdicts.size(); i += 3)
            b.reps.push_back({verdicts[i] == 'g', verdicts[i + 1] == 'g', {}});
        practice.push_back(BlockEdit{b.id, std::nullopt, b});
    }
    return library.apply(*id, practice);
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
        s = library ? build(recipe, **library, options) : Status(library.error());
    }
    if (s && ::rename(aside.c_str(), target.c_str()) != 0)
        s = taken;
    if (!s)
        fs::remove_all(aside, ec);
    return s;
}

} // namespace

Status makeDemoLibrary(const fs::path& folder, const DemoOptions& options) {
    initDemoRecipe();
    QFile file(":/demo/recipe.json");
    if (!file.open(QIODevice::ReadOnly))
        return Error{"the demo's recipe is missing from the program", {}, {}, {}};
    try {
        const auto json = nlohmann::json::parse(file.readAll().toStdString());
        return makeAside(folder, JsonReader(json, ""), options);
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, "demo/recipe.json", {}, {}};
    } catch (const nlohmann::json::exception& e) {
        return Error{e.what(), "demo/recipe.json", {}, {}};
    }
}

} // namespace riflesso
