#include "bench/drafts.h"

#include "casebook/shipped.h"
#include "core/measure/evaluate.h"
#include "intake/find_body.h"
#include "simulator/film_maker.h"

#include <QDir>

#include <algorithm>
#include <cmath>
#include <cstdio>

namespace riflesso {
namespace {

// The exact marks of a take on the frames of its film, and its key positions.
struct Exact {
    TrackSet marks;
    std::vector<Positions> reps;
    int frames = 0;
};
Exact exactOf(const FilmRecipe& recipe) {
    Exact out;
    const auto take = SimulatedTake::make(recipe);
    const double rate = recipe.camera.captureRate;
    out.frames = static_cast<int>(take->duration() * rate);
    for (int f = 0; f < out.frames; ++f)
        for (const auto& [name, at] : take->bodyAt(recipe.begins + f / rate).at)
            out.marks[name][FrameIndex(f)] = {recipe.camera.project(at), 1e-3, How::hand};
    for (const auto& rep : take->reps()) {
        Positions p;
        for (const auto& [id, t] : rep.keys)
            if (const int f = static_cast<int>(std::lround((t - recipe.begins) * rate)); f >= 0 && f < out.frames)
                p[id] = {FrameIndex(f), 0.0};
        out.reps.push_back(p);
    }
    return out;
}

// One row a point: film, frame, landmark, place, its error in x and y, the body's height, visibility, both misses.
void dump(std::FILE* out, const std::string& film, const FoundFrames& found, const Exact& exact) {
    for (const auto& [frame, f] : untangled(found))
        for (const auto& [name, p] : f.points) {
            const Pixel t = exact.marks.at(name).at(frame).at;
            std::fprintf(out, "%s,%d,%s,%.3f,%.3f,%.3f,%.3f,%.2f,%.4f,%.3f,%.3f\n", film.c_str(), frame.value,
                         name.c_str(), p.at.x, p.at.y, p.at.x - t.x, p.at.y - t.y, f.height, p.visibility,
                         p.mirrorMiss(), p.flowMiss);
        }
}

void drafts(const std::string& technique, bool front, const std::filesystem::path& folder, std::FILE* points) {
    FilmRecipe recipe;
    recipe.technique = technique;
    recipe.name = technique + (front ? " front" : " side");
    recipe.camera = cameraFor(technique, front);
    recipe.reps = 2;
    const auto film = makeFilm(recipe, folder);
    if (!film) {
        std::printf("  %-24s %s\n", recipe.name.c_str(), film.error().text().c_str());
        return;
    }
    const Exact exact = exactOf(recipe);
    FindBodyOptions o;
    o.model = *modelFile("full");
    o.detector = *modelFile("person");
    o.frame = FrameIndex(10);
    double l = 1e9, r = -1e9, t = 1e9, b = -1e9; // as somebody would draw it round the athlete
    for (const auto& name : standardLandmarks()) {
        const Pixel p = exact.marks.at(name).at(o.frame).at;
        l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
    }
    o.box = {l - 20, t - 40, r - l + 40, b - t + 60};
    const auto found = findBody(film->film, o);
    if (!found) {
        std::printf("  %-24s %s\n", recipe.name.c_str(), found.error().text().c_str());
        return;
    }
    if (points)
        dump(points, recipe.name, found->frames, exact);
    const TrackSet marks = draftMarks(found->frames);
    std::vector<double> off;
    double honest = 0.0;
    for (const auto& [name, track] : marks)
        if (const auto real = exact.marks.find(name); real != exact.marks.end())
            for (const auto& [frame, m] : track)
                if (const auto at = real->second.find(frame); at != real->second.end()) {
                    const double dx = m.at.x - at->second.at.x, dy = m.at.y - at->second.at.y;
                    off.push_back(std::hypot(dx, dy));
                    honest += (dx * dx + dy * dy) / (2.0 * m.sigma * m.sigma);
                }
    std::sort(off.begin(), off.end());
    const Timebase time = Timebase::constant(exact.frames, Hertz(recipe.camera.captureRate));
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const Motion real = toMotion(exact.marks, time, raw), drafted = toMotion(marks, time);
    const ViewSetup setup{front ? View::front : View::side, front ? Facing::camera : Facing::left, Side::right,
                          nullptr};
    const Blueprint blueprint = *shippedBlueprint(technique);
    double squares = 0.0, z = 0.0;
    int n = 0, missing = 0;
    for (const auto& rep : exact.reps)
        for (const auto& m : blueprint.measures) {
            const auto& d = m.definition;
            if (!isAngle(d) || !serves(setup.view, d.view) || isDerived(d.kind) || d.kind == MeasureKind::facing)
                continue;
            const auto value = evaluate(d, drafted, rep, setup), truth = evaluate(d, real, rep, setup);
            if (truth.refused)
                continue;
            if (value.refused) {
                ++missing;
                continue;
            }
            const double e = std::remainder(value.value - truth.value, 360.0);
            squares += e * e;
            z += std::pow(e / value.u, 2);
            ++n;
        }
    const double height = found->frames.empty() ? 1.0 : found->frames.begin()->second.height;
    std::printf(
        "  %-24s body on %4zu of %4d frames; points: median %.1f %% of its height, error/sigma %.2f; %d angles: "
        "RMSE %.1f degrees, error/u %.2f, %d not to be read\n",
        recipe.name.c_str(), found->frames.size(), exact.frames,
        off.empty() ? 0.0 : 100.0 * off[off.size() / 2] / height,
        off.empty() ? 0.0 : std::sqrt(honest / static_cast<double>(off.size())), n,
        n > 0 ? std::sqrt(squares / n) : 0.0, n > 0 ? std::sqrt(z / n) : 0.0, missing);
    std::fflush(stdout);
}

} // namespace

void draftFigures(const char* pointsFile, const std::string& only) {
    std::printf("first drafts without a hand mark, two reps, 1280x720, 120 Hz\n");
    std::FILE* const points = pointsFile ? std::fopen(pointsFile, "w") : nullptr;
    const auto folder = std::filesystem::path(QDir::tempPath().toStdString()) / "riflesso-bench-drafts";
    for (const char* t :
         {"fencing-lunge", "race-walking", "archery-shot", "volleyball-spike", "rowing-ergometer", "handball-marking"})
        for (const bool front : {false, true})
            if (only.empty() || only == t)
                drafts(t, front, folder, points);
    if (points)
        std::fclose(points);
    std::filesystem::remove_all(folder);
}

} // namespace riflesso
