#include "simulator/film_maker.h"

#include "core/statistics/numbers.h"
#include "files/write_file.h"
#include "footage/film_writer.h"
#include "simulator/microphone.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <atomic>
#include <condition_variable>
#include <cstdio>
#include <fstream>
#include <map>
#include <mutex>
#include <random>
#include <thread>

namespace riflesso {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

// Grows when the renderer changes, so that old films are not taken for new ones.
constexpr int kRendererVersion = 3;
constexpr int kMovementVersion = 1; // grows when movements other than the lunge change

json describe(const FilmRecipe& r) {
    const auto& f = r.faults;
    const auto& c = r.camera;
    const auto v3 = [](const auto& v) { return json::array({v[0], v[1], v[2]}); };
    json d = {
        {"renderer", kRendererVersion},
        {"stature", r.stature},
        {"outfit",
         {v3(r.outfit.jacket), v3(r.outfit.trousers), v3(r.outfit.hair), v3(r.outfit.skin), v3(r.outfit.shoe),
          r.outfit.longHair}},
        {"faults",
         {f.handLate, f.rearKneeBent, f.trunkFalls, f.guardNarrow, f.kneeBeyondToe, f.slowRecovery, f.tipDrops}},
        {"variation", r.variation},
        {"reps", r.reps},
        {"seed", r.seed},
        {"camera", {v3(c.position), v3(c.target), c.focal, c.width, c.height, c.captureRate, c.exposure, c.noise}},
        {"storedRate", r.storedRate},
        {"begins", r.begins},
        {"sound", r.sound},
        {"posts", r.posts},
        {"markNoise", r.markNoise}};
    if (r.technique != "fencing-lunge") { // films of the lunge keep their names
        d["technique"] = r.technique;
        d["sizes"] = r.sizes;
        d["movement"] = kMovementVersion;
    }
    return d;
}

std::string fingerprint(const FilmRecipe& r) {
    std::uint64_t h = 1469598103934665603ull; // FNV-1a
    for (unsigned char c : describe(r).dump())
        h = (h ^ c) * 1099511628211ull;
    char buffer[17];
    std::snprintf(buffer, sizeof buffer, "%016llx", static_cast<unsigned long long>(h));
    return buffer;
}

Status writeSideFiles(const FilmRecipe& recipe, const SimulatedTake& take, int frames, const SimulatedFilm& f) {
    const double rate = recipe.camera.captureRate;
    json landmarks = json::object();
    std::string csv = "time_s,frame,landmark,x_px,y_px,sigma_px,how\n";
    std::mt19937 random(recipe.seed * 7919u + 17u);
    std::normal_distribution<double> error(0.0, recipe.markNoise);
    for (int i = 0; i < frames; ++i) {
        // A picture shows the middle of its exposure.
        const Joints body = take.bodyAt(recipe.begins + i / rate + recipe.camera.exposure / 2);
        for (const auto& [name, at] : body.at) {
            const Pixel p = recipe.camera.project(at);
            landmarks[name].push_back({p.x, p.y});
            // Two draws in this order: the films' marks stay what they were.
            const double y = p.y + error(random), x = p.x + error(random);
            csv += fixed(i / recipe.storedRate, 6) + ',' + std::to_string(i) + ',' + name + ',' + fixed(x, 2) + ',' +
                   fixed(y, 2) + ',' + fixed(recipe.markNoise, 2) + ",hand\n";
        }
    }
    json truthReps = json::array(), pegReps = json::array();
    for (const auto& r : take.reps()) {
        json instants = json::object(), pegs = json::object();
        for (const auto& [id, t] : r.keys) {
            const double frame = (t - recipe.begins - recipe.camera.exposure / 2) * rate;
            instants[id] = {{"time_s", t - recipe.begins}, {"frame", frame}};
            pegs[id] = static_cast<int>(std::lround(frame));
        }
        truthReps.push_back({{"start_s", r.start - recipe.begins}, {"positions", instants}});
        pegReps.push_back({{"first", std::max(0, static_cast<int>(std::ceil((r.start - recipe.begins) * rate)))},
                           {"last", std::min(frames, static_cast<int>((r.end - recipe.begins) * rate)) - 1},
                           {"positions", pegs}});
    }
    const json truth = {{"capture_rate_hz", rate}, {"frames", frames}, {"landmarks", landmarks}, {"reps", truthReps}};
    if (auto s = writeFile(f.truth, truth.dump()); !s)
        return s;
    if (auto s = writeFile(f.pegs, json{{"reps", pegReps}}.dump(1)); !s)
        return s;
    return writeFile(f.marks, csv);
}

// \p rate: of the microphone, Hz of real time.
Status addSound(const FilmRecipe& recipe, const SimulatedTake& take, int frames, double rate, FilmWriter& writer) {
    SimulatedMicrophone microphone;
    microphone.rate = rate;
    microphone.seed = 1 + static_cast<unsigned>(1000.0 * recipe.begins) % 7;
    microphone.hall = recipe.seed;
    const Sound heard =
        hear(microphone, take.strikes(), recipe.begins, recipe.begins + frames / recipe.camera.captureRate);
    return writer.addSound(heard.samples);
}

// Workers draw frames in turn; this thread writes them in order. At most a few wait.
std::optional<Error> filmFrames(const FilmRecipe& recipe, const SimulatedTake& take, int frames, FilmWriter& writer,
                                const FilmProgress& progress) {
    const Renderer renderer(recipe.camera, recipe.outfit, recipe.posts);
    const auto bodyAt = [&](double t) { return take.bodyAt(t); };

    const int workers = static_cast<int>(std::max(1u, std::thread::hardware_concurrency()));
    std::mutex mutex; // protects: ready, written, stop
    std::condition_variable changed;
    std::map<int, Picture> ready;
    int written = 0;
    bool stop = false;
    std::atomic<int> nextFrame{0};
    std::vector<std::thread> threads;
    for (int k = 0; k < workers; ++k)
        threads.emplace_back([&] {
            while (true) {
                const int i = nextFrame++;
                if (i >= frames)
                    return;
                {
                    std::unique_lock lock(mutex);
                    changed.wait(lock, [&] { return stop || i < written + 4 * workers; });
                    if (stop)
                        return;
                }
                Picture p = renderer.frame(recipe.begins + i / recipe.camera.captureRate, bodyAt,
                                           recipe.seed * 100003u + static_cast<unsigned>(i));
                std::lock_guard lock(mutex);
                ready.emplace(i, std::move(p));
                changed.notify_all();
            }
        });
    std::optional<Error> error;
    for (int i = 0; i < frames && !error; ++i) {
        Picture p;
        {
            std::unique_lock lock(mutex);
            changed.wait(lock, [&] { return ready.contains(i); });
            p = std::move(ready.at(i));
            ready.erase(i);
            written = i + 1;
            changed.notify_all();
        }
        if (auto s = writer.add(p); !s)
            error = s.error();
        if (!error && progress && !progress(i + 1, frames))
            error = Error{"filming was cancelled", recipe.name, "nothing was changed", {}, ErrorKind::cancelled};
    }
    {
        std::lock_guard lock(mutex);
        stop = true;
        changed.notify_all();
    }
    for (auto& t : threads)
        t.join();
    return error;
}

} // namespace

LungeTake::LungeTake(const FilmRecipe& recipe) : m_athlete(recipe.stature) {
    for (int i = 0; i < recipe.reps; ++i) {
        LungeRep rep(m_athlete, recipe.faults, recipe.variation, recipe.seed * 101u + static_cast<unsigned>(i));
        const double length = rep.duration();
        m_reps.push_back({m_duration, std::move(rep)});
        m_duration += length;
    }
}

std::vector<double> LungeTake::strikes() const {
    std::vector<double> out;
    for (const auto& r : m_reps)
        out.push_back(r.start + r.rep.keyTimes().at("heel_lands"));
    return out;
}

Joints LungeTake::bodyAt(double t) const {
    const Rep* rep = &m_reps.front();
    for (const auto& r : m_reps)
        if (t >= r.start)
            rep = &r;
    const double local = t - rep->start;
    Pose p = rep->rep.pose(local);
    // Reps differ a little in their guard; glide from one to the next while standing still.
    constexpr double kGlide = 0.14;
    if (rep != &m_reps.front() && local < kGlide) {
        const double u = local / kGlide;
        const double s = u * u * (3 - 2 * u);
        const Rep& before = *(rep - 1);
        const Pose q = before.rep.pose(before.rep.duration());
        const auto mix = [s](auto a, auto b) { return a + (b - a) * s; };
        p.leadAnkle = q.leadAnkle + (p.leadAnkle - q.leadAnkle) * s;
        p.rearHipHeight = mix(q.rearHipHeight, p.rearHipHeight);
        p.rearLegReach = mix(q.rearLegReach, p.rearLegReach);
        p.trunkLean = mix(q.trunkLean, p.trunkLean);
    }
    return m_athlete.joints(p);
}

Result<SimulatedTake> SimulatedTake::make(const FilmRecipe& recipe) {
    SimulatedTake take;
    if (recipe.technique == "fencing-lunge") {
        take.m_lunge = std::make_shared<const LungeTake>(recipe);
        for (const auto& r : take.m_lunge->reps()) {
            SimulatedMovement::Rep rep{r.start, r.start + r.rep.duration(), {}};
            for (const auto& [id, t] : r.rep.keyTimes())
                rep.keys[id] = r.start + t;
            take.m_reps.push_back(std::move(rep));
        }
        return take;
    }
    take.m_movement = makeMovement(recipe.technique, SimulatedAthlete(recipe.stature), recipe.sizes, recipe.variation,
                                   recipe.reps, recipe.seed);
    if (!take.m_movement)
        return Error{"the simulated athlete does not know this technique or one of these faults",
                     recipe.technique,
                     "no film was made",
                     {}};
    take.m_reps = take.m_movement->reps();
    return take;
}

Status setFaults(FilmRecipe& recipe, const Faults& faults) {
    const auto known = faultsOf(recipe.technique);
    for (const auto& [name, size] : faults)
        if (!known.contains(name))
            return Error{"there is no fault \"" + name + "\" here", recipe.technique, {}, {}};
    if (recipe.technique != "fencing-lunge") {
        recipe.sizes = faults;
        return Done{};
    }
    const auto size = [&](const char* name) {
        const auto it = faults.find(name);
        return it == faults.end() ? 0.0 : it->second;
    };
    recipe.faults = {size("hand_late_s"),    size("rear_knee_bent"),    size("trunk_falls_deg"),
                     size("guard_narrow_m"), size("knee_beyond_toe_m"), size("slow_recovery_s"),
                     size("tip_drops_deg")};
    return Done{};
}

std::vector<double> SimulatedTake::strikes() const {
    if (m_lunge)
        return m_lunge->strikes();
    std::vector<double> out;
    for (const auto& r : m_reps)
        for (const char* id : {"contact", "rear_contact", "long_step", "plant", "landing", "steps_out"})
            if (const auto it = r.keys.find(id); it != r.keys.end())
                out.push_back(it->second);
    std::sort(out.begin(), out.end());
    return out;
}

SimulatedCamera cameraFor(const std::string& technique, bool front) {
    SimulatedCamera c = front ? SimulatedCamera::front() : SimulatedCamera::side();
    if (technique == "fencing-lunge")
        return c;
    if (front) {
        c.position = {technique == "race-walking" ? 14.0 : 8.0, 1.3, 0.0};
        c.target = {0.0, 0.95, 0.0};
        if (technique == "volleyball-spike") { // who runs up comes nearer, and jumps
            c.position.x() = 11.0;
            c.target.y() = 1.3;
        } else if (technique == "rowing-ergometer") { // from above the wheel
            c.position = {7.0, 2.1, 0.0};
            c.target = {-0.4, 0.65, 0.0};
        } else if (technique == "handball-marking") { // past the opponent, who would hide the athlete
            c.position = {7.2, 2.3, -5.0};
            c.target = {0.9, 0.95, 0.0};
        }
        return c;
    }
    const double middle = technique == "race-walking"       ? 2.6
                          : technique == "rowing-ergometer" ? -0.3
                          : technique == "handball-marking" ? 0.9
                          : technique == "volleyball-spike" ? -0.4
                                                            : 0.1;
    const double high = technique == "volleyball-spike"   ? 1.28
                        : technique == "archery-shot"     ? 1.05
                        : technique == "rowing-ergometer" ? 0.7
                                                          : 0.95;
    c.position = {middle, high + 0.05,
                  technique == "race-walking"       ? -10.0
                  : technique == "volleyball-spike" ? -7.0
                  : technique == "archery-shot"     ? -6.5
                                                    : -5.6};
    c.target = {middle, high, 0.0};
    return c;
}

Result<SimulatedFilm> makeFilm(const FilmRecipe& recipe, const fs::path& folder, const FilmProgress& progress) {
    std::error_code ec;
    fs::create_directories(folder, ec);
    if (ec)
        return Error{"the folder for films cannot be made (" + ec.message() + ")",
                     folder.filename().string(),
                     "nothing was changed",
                     {}};
    const fs::path base = folder / (recipe.name + "-" + fingerprint(recipe));
    const auto beside = [&](const char* ending) {
        fs::path p = base;
        p += ending;
        return p;
    };
    SimulatedFilm out{beside(".mp4"), beside(".truth.json"), beside(".marks.csv"), beside(".pegs.json"), true};
    if (fs::exists(out.film) && fs::exists(out.truth) && fs::exists(out.marks) && fs::exists(out.pegs))
        return out;
    out.fromCache = false;

    const auto made = SimulatedTake::make(recipe);
    if (!made)
        return made.error();
    const SimulatedTake& take = *made;
    const int frames = static_cast<int>((take.duration() - recipe.begins) * recipe.camera.captureRate);
    if (auto s = writeSideFiles(recipe, take, frames, out); !s)
        return s.error();

    FilmWriterOptions options;
    options.width = recipe.camera.width;
    options.height = recipe.camera.height;
    options.rate = Hertz(recipe.storedRate);
    options.quality = 24;
    // Slow motion stretches the sound with the picture.
    const double slow = recipe.camera.captureRate / recipe.storedRate;
    constexpr double kStoredSound = 48000.0;
    if (recipe.sound)
        options.soundRate = kStoredSound;
    auto writer = FilmWriter::create(out.film, options);
    if (!writer)
        return writer.error();
    if (recipe.sound)
        if (auto s = addSound(recipe, take, frames, kStoredSound * slow, **writer); !s)
            return s.error();
    const std::optional<Error> error = filmFrames(recipe, take, frames, **writer, progress);
    if (error)
        return *error;
    if (auto s = (*writer)->finish(); !s)
        return s.error();
    return out;
}

} // namespace riflesso
