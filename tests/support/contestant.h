#pragma once
/// \file
/// Simulated athletes with one deviation of known size each, filmed and marked with known noise, and the truth of what
/// is measured of them.

#include "core/measure/evaluate.h"
#include "core/statistics/distributions.h"
#include "simulator/film_maker.h"

#include <QByteArray>

#include <cmath>
#include <random>
#include <set>

namespace riflesso::test {

struct Filmed {
    Motion motion;
    Positions positions;
    std::map<PositionId, Motion> instants; // one frame each: the body at the very instant
};

/// Of two who meet: the other one comes from so far ahead, looking back.
struct Opponent {
    FilmRecipe recipe;
    double ahead = 0.0; ///< m
};

/// How a rep is filmed and marked.
struct Filming {
    double noise = 0.0; ///< px of x and of y; 0: every place as it is, not smoothed
    double phase =
        0.0; ///< share of a frame by which the shutter opens later; nobody starts it in step with the athlete
    double finer = 1.0; ///< the film is so many times as fast, so that instants are nearly as they are
    const Opponent* opponent = nullptr;
    const std::set<LandmarkName>* only = nullptr; ///< mark nothing else
};

/// The last rep of a recipe, marked.
inline Filmed filmOf(const FilmRecipe& recipe, const Filming& how) {
    const auto take = SimulatedTake::make(recipe);
    const auto other = how.opponent ? SimulatedTake::make(how.opponent->recipe) : take;
    const double noise = how.noise, phase = how.phase;
    const auto bodyAt = [&](double t) {
        auto body = take->bodyAt(t).at;
        if (how.opponent)
            for (const auto& [name, at] : other->bodyAt(t).at)
                body["other_" + name] = {how.opponent->ahead - at.x(), at.y(), -at.z()};
        if (how.only)
            std::erase_if(body, [&](const auto& joint) { return !how.only->contains(joint.first); });
        return body;
    };
    const double rate = recipe.camera.captureRate * how.finer;
    const auto& rep = take->reps().back(); // the first of several may begin with the film
    // The spike's athlete is set back between reps; the others go on.
    const int before = recipe.technique == "volleyball-spike" ? -1 : 3;
    const int first = std::max(0, static_cast<int>(rep.start * rate) - before);
    const int last = std::min(static_cast<int>(take->duration() * rate) - 1, static_cast<int>(rep.end * rate));
    std::mt19937 random(recipe.seed);
    std::normal_distribution<double> normal(0.0, 1.0);
    TrackSet tracks;
    for (int f = first; f <= last; ++f)
        for (const auto& [name, at] : bodyAt((f + phase) / rate)) {
            Pixel p = recipe.camera.project(at);
            if (noise > 0.0) {
                p.x += noise * normal(random);
                p.y += noise * normal(random);
            }
            tracks[name][FrameIndex(f - first)] = {p, noise > 0.0 ? noise : 1e-3, How::hand};
        }
    Filmed out;
    MotionOptions options;
    if (noise == 0.0)
        options.cutoff = CutoffNone{};
    out.motion = toMotion(tracks, Timebase::constant(last - first + 1, Hertz(rate)), options);
    for (const auto& [id, t] : rep.keys) {
        const double frame = t * rate - first - phase;
        const int nearest = static_cast<int>(std::lround(frame));
        out.positions[id] = {FrameIndex(nearest), {}, noise > 0.0 ? 0.0 : (frame - nearest) / rate};
        if (noise > 0.0)
            continue;
        TrackSet there;
        for (const auto& [name, at] : bodyAt(t))
            there[name][FrameIndex(0)] = {recipe.camera.project(at), 1e-3, How::hand};
        out.instants[id] = toMotion(there, Timebase::constant(1, Hertz(rate)), options);
    }
    return out;
}

/// The value at the instant itself, between two frames. \p width: by how many of its standard errors the full width of
/// this athlete's shoulders or hips differs from what the measure takes it for.
inline std::optional<double> truthOf(MeasureDefinition d, const Filmed& f, const ViewSetup& setup, double width = 0.0) {
    if (d.kind == MeasureKind::symmetry) {
        const auto reference = truthOf(*d.base[0], f, setup, width), second = truthOf(*d.base[1], f, setup, width);
        if (!reference || !second)
            return std::nullopt;
        return (*second - *reference) * (d.aspect == Aspect::difference ? 1.0 : 100.0 / std::abs(*reference));
    }
    d.fullWidth += width * d.fullWidthSigma;
    const bool onFrame = !needsUntil(d) && !isDerived(d.kind);
    if (onFrame && d.kind != MeasureKind::speed && f.instants.contains(d.at)) {
        const auto r = readAt(d, f.instants.at(d.at), FrameIndex(0), setup);
        return r ? std::optional(r->value) : std::nullopt;
    }
    const auto v = evaluate(d, f.motion, f.positions, setup);
    return v.refused ? std::nullopt : std::optional(v.value);
}

// "path straightness", "speed max", "lean".
inline std::string kindOf(const MeasureDefinition& d) {
    std::string out = enumName(kMeasureKindNames, d.kind);
    if (!aspectsOf(d.kind).empty())
        out += " " + enumName(kAspectNames, d.aspect);
    if (d.reduction != Reduction::at)
        out += " " + enumName(kReductionNames, d.reduction);
    return out;
}

struct Tally {
    int n = 0, within1 = 0, within2 = 0;
    void add(double off, double u) {
        ++n;
        within1 += off <= u;
        within2 += off <= 1.96 * u;
    }
};

inline double distance(const MeasureDefinition& d, double a, double b) {
    return isAngle(d) ? std::abs(std::remainder(a - b, 360.0)) : std::abs(a - b);
}

inline double percent(int part, int of) {
    return of > 0 ? 100.0 * part / of : 0.0;
}

// For a closer look: RIFLESSO_DUMP names a file that gets a line a value.
inline void dump(const std::string& technique, const MeasureDefinition& d, const MeasureValue& v, double truth) {
    static std::FILE* const out =
        qEnvironmentVariableIsSet("RIFLESSO_DUMP") ? std::fopen(qgetenv("RIFLESSO_DUMP").constData(), "w") : nullptr;
    if (out)
        std::fprintf(out, "%s,%s,%s,%.9g,%.9g,%.9g,%.9g,%.9g\n", technique.c_str(), d.id.c_str(), kindOf(d).c_str(),
                     v.value, truth, v.u, v.uMarks, v.uTime);
}

inline void say(const std::map<std::string, Tally>& kinds) {
    for (const auto& [kind, t] : kinds)
        qInfo("  %-24s %5d: %.0f %% within u, %.0f %% within 1.96 u", kind.c_str(), t.n, percent(t.within1, t.n),
              percent(t.within2, t.n));
}

inline const char* said(MeasureKind kind, const Tally& t) {
    static std::string text;
    text = enumName(kMeasureKindNames, kind) + ": " + std::to_string(percent(t.within1, t.n)) + " and " +
           std::to_string(percent(t.within2, t.n));
    return text.c_str();
}

// What a deviation of one tolerance is in the simulator, about.
inline const std::map<std::string, std::vector<std::pair<const char*, double>>> kFaults = {
    {"rowing-ergometer",
     {{"lies_back", 5.0}, {"over_reach", 5.0}, {"early_arms", 0.06}, {"rushed", 0.04}, {"handle_hill", 0.04}}},
    {"race-walking",
     {{"overstride", 0.1},
      {"bent_contact", 0.006},
      {"knee_gives", 0.01},
      {"flight", 0.02},
      {"trunk_bent", 3.0},
      {"hands_high", 0.08},
      {"long_arms", 0.3},
      {"stiff_hips", 3.0}}},
    {"archery-shot",
     {{"lean_back", 2.0},
      {"bow_shoulder_up", 0.02},
      {"elbow_low", 0.2},
      {"restless", 1.0},
      {"creeping", 0.015},
      {"bow_falls", 0.05},
      {"head_moves", 0.02},
      {"jerky", 0.03}}},
    {"volleyball-spike",
     {{"slow_feet", 0.05},
      {"no_depth", 0.04},
      {"low_jump", 0.07},
      {"late_ball", 0.03},
      {"low_elbow", 0.3},
      {"bent_arm", 0.2},
      {"no_arm_swing", 15.0},
      {"flies_forward", 0.1},
      {"one_foot", 0.03}}},
    {"handball-marking",
     {{"late_start", 0.05},
      {"narrow", 0.04},
      {"stiff_knees", 0.03},
      {"stands_up", 0.02},
      {"turned_away", 15.0},
      {"high_hands", 0.08},
      {"pushed_back", 0.1},
      {"watches", 0.2}}}};

// One athlete before one camera, with an ordinary athlete's variation and on top of it one deviation of half a
// tolerance to three. Phase and tempo are spread evenly (Roberts' sequence, the generalised golden ratio) so that
// chance leaves less to be unsure about; the rest is drawn.
struct Contestant {
    FilmRecipe recipe;
    ViewSetup setup;
    double phase, width; // of the shutter, frames; of shoulders and hips, standard errors
    Contestant(const std::string& technique, int i, std::mt19937& random, bool both = true) {
        std::uniform_real_distribution<double> uniform(0.0, 1.0);
        const auto even = [&](double step) { return std::fmod(0.5 + step * (i + 1), 1.0); };
        const bool two = technique == "fencing-lunge" || technique == "rowing-ergometer";
        const bool front = both && !two && i % 4 == 3;
        setup = {front ? View::front : View::side, front ? Facing::camera : Facing::left, Side::right, nullptr};
        recipe.technique = technique;
        recipe.camera = cameraFor(technique, front);
        recipe.stature = 1.62 + 0.3 * uniform(random);
        recipe.reps = technique == "fencing-lunge" ? 1 : 2;
        recipe.seed = static_cast<unsigned>(i) + 1;
        recipe.camera.captureRate *= 0.92 + 0.16 * even(0.6710436067); // as if each had a tempo of their own
        phase = even(0.8191725134) - 0.5;
        width = studentQuantile(even(0.5497004779), 1e6);
        const double size = 0.5 + 2.5 * uniform(random), which = uniform(random);
        if (technique == "fencing-lunge") {
            double LungeFaults::*const faults[] = {&LungeFaults::handLate, &LungeFaults::rearKneeBent,
                                                   &LungeFaults::trunkFalls, &LungeFaults::guardNarrow,
                                                   &LungeFaults::slowRecovery};
            static constexpr double units[] = {0.05, 0.008, 6.0, 0.05, 0.1};
            const auto k = static_cast<std::size_t>(5 * which);
            recipe.faults.*faults[k] = units[k] * size;
        } else {
            const auto& faults = kFaults.at(technique);
            const auto& [name, unit] = faults[static_cast<std::size_t>(which * static_cast<double>(faults.size()))];
            recipe.sizes[name] = unit * size;
        }
        // A few things nobody does perfectly: beside a natural limit there is nothing to be wrong about.
        if (technique == "rowing-ergometer") {
            recipe.sizes["halting"] = 0.4 * uniform(random);
        } else if (technique == "archery-shot") {
            recipe.sizes["lean_back"] += 3.0 * uniform(random);
            recipe.sizes["restless"] += 0.3 * uniform(random);
        }
    }
    [[nodiscard]] FilmRecipe perfect() const {
        FilmRecipe out = recipe;
        out.sizes = {};
        out.faults = {};
        out.variation = 0.0;
        return out;
    }
};

// The truth of everything: nearly at the instants themselves. But where a chain's joints lie almost straight their
// angles change in spikes that no film of the usual rate shows: those are taken from the exact film of that rate.
class Exact {
public:
    /// \p how: as the rep is filmed, without the noise.
    Exact(const FilmRecipe& recipe, Filming how) : m_usual(filmOf(recipe, how)) {
        how.finer = 4.0;
        m_fine = filmOf(recipe, how);
    }
    [[nodiscard]] std::optional<double> of(const MeasureDefinition& d, const ViewSetup& setup,
                                           double width = 0.0) const {
        return truthOf(d, d.kind == MeasureKind::chain ? m_usual : m_fine, setup, width);
    }

private:
    Filmed m_fine, m_usual;
};

} // namespace riflesso::test
