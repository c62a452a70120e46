#include "cli/commands.h"

#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "core/mirror/reference.h"
#include "core/technique/position_finder.h"
#include "files/write_file.h"
#include "handover/words.h"
#include "library/blueprint_json.h"
#include "library/model_json.h"
#include "library/motion_capture.h"
#include "library/tracks_csv.h"
#include "simulator/film_maker.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <cstdio>
#include <filesystem>

namespace riflesso::cli {
namespace {

namespace fs = std::filesystem;

std::string suffixOf(const std::string& file) {
    std::string s = fs::path(file).extension().string();
    std::transform(s.begin(), s.end(), s.begin(), [](unsigned char c) { return static_cast<char>(std::tolower(c)); });
    return s;
}

// Degrees round the athlete.
Result<double> azimuthOf(const std::string& view) {
    if (view == "side")
        return 90.0;
    if (view == "front")
        return 0.0;
    if (view == "rear")
        return 180.0;
    double v = 0.0;
    const auto r = std::from_chars(view.data(), view.data() + view.size(), v);
    if (r.ec != std::errc() || r.ptr != view.data() + view.size() || !std::isfinite(v))
        return Error{"--view must be side, front, rear or a number of degrees, not \"" + view + "\"", {}, {}, {}};
    return v;
}

Result<MotionCapture> captureFrom(const std::string& file, const std::string& text) {
    const std::string suffix = suffixOf(file), name = fs::path(file).filename().string();
    if (suffix == ".bvh")
        return captureFromBvh(text, name);
    if (suffix == ".trc")
        return captureFromTrc(text, name);
    if (suffix == ".c3d")
        return captureFromC3d(text, name);
    return Error{"the file's name must end in .csv, .trc, .c3d or .bvh", file, "nothing was read", {}};
}

// Any kind of file as tracks in pixels; motion capture is filmed from the view.
Result<TracksFile> tracksFrom(const std::string& file, const std::string& view) {
    const auto text = readFile(file);
    if (!text)
        return text.error();
    if (suffixOf(file) == ".csv")
        return tracksFromCsv(*text, file);
    const auto capture = captureFrom(file, *text);
    if (!capture)
        return capture.error();
    TracksFile out;
    for (int f = 0; f < capture->frames; ++f)
        out.times.push_back(f / capture->rate);
    if (isOfFilm(*capture)) {
        out.tracks = tracksOf(*capture, 1.0);
        return out;
    }
    const auto azimuth = azimuthOf(view);
    if (!azimuth)
        return azimuth.error();
    VirtualCamera camera;
    camera.azimuth = *azimuth;
    auto seen = filmed(*capture, camera);
    if (!seen)
        return seen.error();
    out.tracks = std::move(*seen);
    return out;
}

struct Measured {
    Blueprint blueprint;
    std::vector<MeasuredRep> reps;
};

Result<Measured> measureFile(const TracksArguments& a, const std::string& file) {
    auto blueprint = blueprintNamed(a.blueprint);
    if (!blueprint)
        return blueprint.error();
    const auto tracks = tracksFrom(file, a.view);
    if (!tracks)
        return tracks.error();
    std::optional<Hertz> rate;
    if (a.captureRate)
        rate = Hertz(*a.captureRate);
    auto time = Timebase::make(tracks->times, rate);
    if (time && !rate) // the file's own times are true
        time = Timebase::make(tracks->times, time->fileRate());
    if (!time)
        return time.error();
    const auto azimuth = azimuthOf(a.view);
    if (!azimuth)
        return azimuth.error();
    ViewSetup setup;
    const double round = std::abs(std::remainder(*azimuth, 360.0));
    setup.view = round < 45.0 ? View::front : round > 135.0 ? View::rear : View::side;
    setup.facing = facingIn(setup.view, a.facing == "left" ? Facing::left : Facing::right);
    setup.handedness = a.side == "left" ? Side::left : Side::right;
    const Motion motion = toMotion(tracks->tracks, *time);
    std::vector<PlacedRep> reps;
    if (!a.positions.empty()) {
        const auto text = readFile(a.positions);
        if (!text)
            return text.error();
        auto placed = placedRepsFromJson(*text, a.positions);
        if (!placed)
            return placed.error();
        reps = std::move(*placed);
        for (const auto& rep : reps)
            for (const auto& [id, p] : rep.positions)
                if (!blueprint->position(id))
                    return Error{"the blueprint has no key position \"" + id + "\"", a.positions, {}, {}};
                else if (p.frame.value < 0 || p.frame.value >= time->frames())
                    return Error{"\"" + id + "\" is on frame " + std::to_string(p.frame.value) +
                                     ", which the tracks do "
                                     "not have",
                                 a.positions,
                                 {},
                                 {}};
    } else {
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const auto found = proposePositions(*blueprint, toMotion(tracks->tracks, *time, raw), setup, FrameIndex(0),
                                            FrameIndex(time->frames() - 1));
        PlacedRep rep;
        for (const auto& [id, p] : found)
            rep.positions[id] = {p.frame, p.sigma, 0.0, true};
        if (rep.positions.empty())
            return Error{"no key position was found by the blueprint's rules", file, {}, "give them with --positions"};
        reps.push_back(std::move(rep));
    }
    Measured out;
    out.blueprint = std::move(*blueprint);
    for (std::size_t i = 0; i < reps.size(); ++i) {
        MeasuredRep m = measureRep(out.blueprint, motion, reps[i].positions, setup);
        m.rep = fs::path(file).filename().string() + " " + std::to_string(i + 1);
        m.situation = reps[i].situation;
        out.reps.push_back(std::move(m));
    }
    // What is read over reps, once for all of them.
    for (const auto& measure : out.blueprint.measures) {
        const auto& d = measure.definition;
        if (!isAcrossReps(d.kind) || !serves(setup.view, d.view))
            continue;
        const auto all = gather(d, out.reps);
        for (auto& rep : out.reps)
            for (auto& v : rep.values)
                if (v.measure == d.id && all.reps > 0) {
                    v = {};
                    v.measure = d.id;
                    v.value = all.mean;
                    v.u = v.uMarks = all.u;
                } else if (v.measure == d.id) {
                    v.reason = all.refused;
                }
    }
    return out;
}

} // namespace

Status measureTracks(const TracksArguments& a) {
    const auto measured = measureFile(a, a.tracks);
    if (!measured)
        return measured.error();
    nlohmann::json list = nlohmann::json::array();
    for (std::size_t i = 0; i < measured->reps.size(); ++i) {
        if (!a.json)
            std::printf("rep %zu\n", i + 1);
        for (const auto& v : measured->reps[i].values) {
            const auto& d = measured->blueprint.measure(v.measure)->definition;
            nlohmann::json j = {{"rep", i + 1}};
            j.update(valueJson(d, v));
            list.push_back(std::move(j));
            if (!a.json)
                std::printf("  %-46s %s\n", d.name.c_str(),
                            v.refused ? ("refused: " + v.reason).c_str() : valueWords(d, v.value, v.u).c_str());
        }
    }
    if (a.json)
        std::printf("%s\n", nlohmann::json{{"values", list}}.dump(1).c_str());
    return Done{};
}

Status modelFrom(const TracksArguments& a) {
    ModelPerformance model;
    model.school = a.school;
    std::error_code ec;
    std::string from;
    for (const auto& input : a.inputs) {
        std::vector<MeasuredRep> reps;
        std::string blueprint, words;
        if (fs::is_directory(input, ec)) {
            auto library = Library::open(input);
            if (!library)
                return library.error();
            const auto cases = (*library)->cases();
            if (!cases)
                return cases.error();
            const std::shared_ptr<Library> shared(std::move(*library));
            if (a.caseId != 0 &&
                std::none_of(cases->begin(), cases->end(), [&](const auto& summary) { return summary.id == a.caseId; }))
                return Error{
                    "there is no case " + std::to_string(a.caseId) + " in it", input, "no model was written", {}};
            for (const auto& summary : *cases) {
                if (a.caseId != 0 && summary.id != a.caseId)
                    continue;
                auto b = blueprintFor(input, summary.blueprintId);
                if (!b)
                    return b.error();
                if (!blueprint.empty() && blueprint != summary.blueprintId)
                    return Error{"its cases are of different techniques", input, "no model was written", {}};
                blueprint = summary.blueprintId;
                const auto book = Casebook::open(shared, summary.id, std::move(*b), Day{});
                if (!book)
                    return book.error();
                const auto& analysis = (*book)->analysisNow();
                if (analysis.modelReps.empty())
                    continue;
                for (const Id id : analysis.modelReps)
                    reps.push_back(analysis.measured.at(id));
                const Take& take = (*book)->data().takes.at((*book)->data().reps.at(analysis.modelReps.front()).take);
                model.name = model.name.empty() ? take.who : model.name;
            }
            words = "films";
        } else {
            auto measured = measureFile(a, input);
            if (!measured)
                return measured.error();
            reps = std::move(measured->reps);
            blueprint = measured->blueprint.id;
            words = suffixOf(input) == ".csv" ? "tracks" : "motion capture";
        }
        if (reps.empty())
            return Error{"there is no measured rep of a model in it", input, "no model was written", {}};
        if (!model.blueprint.empty() && model.blueprint != blueprint)
            return Error{"the inputs are of different techniques", input, "no model was written", {}};
        model.blueprint = blueprint;
        from += (from.empty() ? "" : "; ") + std::to_string(reps.size()) +
                (reps.size() == 1 ? " rep of " : " reps of ") + words;
        model.reps.insert(model.reps.end(), reps.begin(), reps.end());
    }
    if (!a.name.empty())
        model.name = a.name;
    if (model.name.empty())
        model.name = "Model";
    model.source = from;
    if (auto s = writeFile(a.out, modelToJson(model)); !s)
        return s;
    std::printf("%s: %s, by the blueprint %s\n", model.name.c_str(), from.c_str(), model.blueprint.c_str());
    return Done{};
}

Status convert(const TracksArguments& a) {
    const std::string to = suffixOf(a.out);
    if (to != ".csv" && to != ".trc" && to != ".c3d")
        return Error{"tracks can be written as .csv, .trc or .c3d", a.out, "nothing was written", {}};
    if (to == ".csv") {
        const auto tracks = tracksFrom(a.tracks, a.view);
        if (!tracks)
            return tracks.error();
        return writeFile(a.out, tracksToCsv(tracks->tracks, tracks->times));
    }
    const auto text = readFile(a.tracks);
    if (!text)
        return text.error();
    MotionCapture capture;
    if (suffixOf(a.tracks) == ".csv") {
        const auto tracks = tracksFromCsv(*text, a.tracks);
        if (!tracks)
            return tracks.error();
        const auto time = Timebase::make(tracks->times, std::nullopt);
        if (!time)
            return time.error();
        // These formats know one rate only.
        const double period = time->fileRate().value > 0.0 ? 1.0 / time->fileRate().value : 0.0;
        for (std::size_t i = 1; i < tracks->times.size(); ++i)
            if (std::abs(tracks->times[i] - tracks->times[i - 1] - period) > 0.1 * period)
                return Error{"its frames do not lie evenly in time, which " + to + " cannot say",
                             a.tracks,
                             "nothing was written",
                             {}};
        capture = captureOf(tracks->tracks, time->frames(), time->fileRate().value);
    } else {
        auto read = captureFrom(a.tracks, *text);
        if (!read)
            return read.error();
        capture = std::move(*read);
    }
    if (to == ".trc")
        return writeFile(a.out, captureToTrc(capture, fs::path(a.out).filename().string()));
    const auto bytes = captureToC3d(capture);
    if (!bytes)
        return bytes.error();
    return writeFile(a.out, *bytes);
}

Status simulate(const SimulateArguments& a) {
    const auto known = faultsOf(a.technique);
    if (a.list || a.out.empty()) {
        if (known.empty())
            return Error{"no faults of this technique can be set here", a.technique, {}, {}};
        for (const auto& [name, words] : known)
            std::printf("%-18s %s\n", name.c_str(), words.c_str());
        return Done{};
    }
    FilmRecipe r;
    r.name = a.technique + "-" + a.view;
    r.technique = a.technique;
    r.camera = cameraFor(a.technique, a.view == "front");
    int width = 0, height = 0;
    if (std::sscanf(a.size.c_str(), "%dx%d", &width, &height) != 2 || width < 64 || height < 64 || width > 4096 ||
        height > 4096 || width % 2 || height % 2)
        return Error{"--size must be two even numbers like 1280x720", {}, {}, {}};
    r.camera.focal *= static_cast<double>(width) / r.camera.width;
    r.camera.width = width;
    r.camera.height = height;
    r.camera.captureRate = a.rate;
    r.storedRate = a.stored;
    r.reps = a.reps;
    r.seed = a.seed;
    r.stature = a.stature;
    r.variation = a.variation;
    r.sound = true;
    Faults faults;
    for (const auto& f : a.faults) {
        const auto at = f.find('=');
        double size = 0.0;
        const char* begin = f.data() + (at == std::string::npos ? f.size() : at + 1);
        const auto read = std::from_chars(begin, f.data() + f.size(), size);
        if (at == std::string::npos || read.ec != std::errc() || read.ptr != f.data() + f.size())
            return Error{"--fault must be a name and a number, like knee_gives=0.02, not \"" + f + "\"", {}, {}, {}};
        faults[f.substr(0, at)] = size;
    }
    if (const auto set = setFaults(r, faults); !set)
        return Error{set.error().what, r.technique, "no film was made", "--list names them"};
    int last = -1;
    const auto film = makeFilm(r, a.out, [&](int done, int all) {
        if (const int percent = all > 0 ? 100 * done / all : 0; percent / 10 != last / 10) {
            std::fprintf(stderr, "%3d %%\n", percent);
            last = percent;
        }
        return true;
    });
    if (!film)
        return film.error();
    std::printf("%s\n%s\n%s\n", film->film.string().c_str(), film->marks.string().c_str(), film->pegs.string().c_str());
    return Done{};
}

} // namespace riflesso::cli
