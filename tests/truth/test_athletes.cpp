// Five hundred simulated athletes of each of two techniques, with deviations of known size and marks with known noise:
// how often a decision is wrong, what undecided is used for, how honest the stated u is, kind by kind.
//
// The truth of a measure is what the same definition gives on the exact joints, at the exact instants, filmed by the
// same camera without noise. Bands: around the perfect athlete of the same stature, as wide as the blueprint's floor.

#include "casebook/shipped.h"
#include "core/mirror/reference.h"
#include "simulator/film_maker.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

struct Filmed {
    Motion motion;
    Positions positions;
};

// A rep's marks. Without noise: every place and instant as it is.
Filmed filmOf(const FilmRecipe& recipe, double noise, unsigned seed) {
    const auto take = SimulatedTake::make(recipe);
    const double rate = recipe.camera.captureRate;
    const auto& rep = take->reps().back(); // the first of several may begin with the film
    const int first = std::max(0, static_cast<int>(rep.start * rate) - 3);
    const int last = std::min(static_cast<int>(take->duration() * rate) - 1, static_cast<int>(rep.end * rate));
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0.0, 1.0);
    TrackSet tracks;
    for (int f = first; f <= last; ++f)
        for (const auto& [name, at] : take->bodyAt(f / rate).at) {
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
        const double frame = t * rate - first;
        const int nearest = static_cast<int>(std::lround(frame));
        out.positions[id] = {FrameIndex(nearest), {}, noise > 0.0 ? 0.0 : (frame - nearest) / rate};
    }
    return out;
}

// The value at the instant itself, between two frames.
std::optional<double> truthOf(const MeasureDefinition& d, const Filmed& f, const ViewSetup& setup) {
    const auto v = evaluate(d, f.motion, f.positions, setup);
    if (v.refused)
        return std::nullopt;
    const bool onFrame = !needsUntil(d) && !isDerived(d.kind);
    return onFrame ? v.value + v.rate * f.positions.at(d.at).shift : v.value;
}

// "path straightness", "speed max", "lean".
std::string kindOf(const MeasureDefinition& d) {
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

double distance(const MeasureDefinition& d, double a, double b) {
    return isAngle(d) ? std::abs(std::remainder(a - b, 360.0)) : std::abs(a - b);
}

double percent(int part, int of) {
    return of > 0 ? 100.0 * part / of : 0.0;
}

void say(const std::map<std::string, Tally>& kinds) {
    for (const auto& [kind, t] : kinds)
        qInfo("  %-24s %5d: %.0f %% within u, %.0f %% within 1.96 u", kind.c_str(), t.n, percent(t.within1, t.n),
              percent(t.within2, t.n));
}

} // namespace

class TestAthletes : public QObject {
    Q_OBJECT
private slots:
    void decisions_data() {
        QTest::addColumn<QString>("technique");
        QTest::newRow("fencing lunge") << "fencing-lunge";
        QTest::newRow("rowing") << "rowing-ergometer";
    }
    void decisions() {
        QFETCH(QString, technique);
        const Blueprint blueprint = *shippedBlueprint(technique.toStdString());
        const ViewSetup setup{View::side, Facing::left, Side::right, nullptr};
        std::mt19937 random(2026);
        std::uniform_real_distribution<double> uniform(0.0, 1.0);
        int wrongInside = 0, wrongOutside = 0, decided = 0, undecided = 0, undecidedNear = 0;
        std::map<std::string, Tally> kinds;
        for (int i = 0; i < 500; ++i) {
            FilmRecipe recipe;
            recipe.technique = technique.toStdString();
            recipe.camera = cameraFor(recipe.technique, false);
            recipe.stature = 1.62 + 0.3 * uniform(random);
            recipe.variation = 0.0;
            recipe.reps = technique == "fencing-lunge" ? 1 : 2;
            recipe.seed = static_cast<unsigned>(i) + 1;
            const Filmed perfect = filmOf(recipe, 0.0, 1);
            // One deviation of half a tolerance to three, on top of an ordinary athlete's variation.
            recipe.variation = 1.0;
            const double size = 0.5 + 2.5 * uniform(random);
            const int which = static_cast<int>(5 * uniform(random));
            if (technique == "fencing-lunge") {
                recipe.faults.handLate = which == 0 ? 0.05 * size : 0.0;
                recipe.faults.rearKneeBent = which == 1 ? 0.008 * size : 0.0;
                recipe.faults.trunkFalls = which == 2 ? 6.0 * size : 0.0;
                recipe.faults.guardNarrow = which == 3 ? 0.05 * size : 0.0;
                recipe.faults.slowRecovery = which == 4 ? 0.1 * size : 0.0;
            } else {
                static const std::pair<const char*, double> faults[] = {{"lies_back", 5.0},
                                                                        {"over_reach", 5.0},
                                                                        {"early_arms", 0.06},
                                                                        {"rushed", 0.04},
                                                                        {"handle_hill", 0.04}};
                recipe.sizes[faults[which].first] = faults[which].second * size;
            }
            const Filmed exact = filmOf(recipe, 0.0, 1), seen = filmOf(recipe, 1.5, recipe.seed);
            for (const auto& m : blueprint.measures) {
                const auto& d = m.definition;
                if (d.view != View::side || isAcrossReps(d.kind) || isNoted(d.kind))
                    continue;
                const auto truth = truthOf(d, exact, setup), model = truthOf(d, perfect, setup);
                const auto value = evaluate(d, seen.motion, seen.positions, setup);
                if (!truth || !model || value.refused)
                    continue;
                for (const std::string& kind : {kindOf(d), std::string("all")})
                    kinds[kind].add(distance(d, value.value, *truth), value.u);
                const Target& target = m.targets.front();
                const Band band = target.source == TargetSource::model
                                      ? Band{*model - target.floor, *model + target.floor, target.floor}
                                      : *bandOf(m, target, {});
                const auto verdict = decide(value.value, value.u, band);
                const bool in = *truth >= band.lo && *truth <= band.hi;
                const double edge = std::min(std::abs(*truth - band.lo), std::abs(*truth - band.hi));
                if (verdict.decision == Decision::undecided) {
                    ++undecided;
                    undecidedNear += edge <= 2.0 * value.u;
                } else {
                    ++decided;
                    wrongInside += verdict.decision == Decision::inside && !in;
                    wrongOutside += verdict.decision == Decision::outside && in;
                }
            }
        }
        qInfo("%s: %d decided, called inside wrongly %.2f %%, outside wrongly %.2f %%; %d undecided, %.1f %% of them "
              "within 2u of an edge",
              qPrintable(technique), decided, percent(wrongInside, decided), percent(wrongOutside, decided), undecided,
              percent(undecidedNear, undecided));
        say(kinds);
        QVERIFY(decided > 4000 && undecided > 50);
        QVERIFY(percent(wrongInside, decided) < 5.0 && percent(wrongOutside, decided) < 5.0);
        // With a threshold of 0.95 a value is left undecided up to 1.645 u from an edge; with an honest u the truth is
        // then within 2u of the edge in 85 of 100 uses (the mean of Φ(2 − x) − Φ(−2 − x) over x from −1.645 to 1.645).
        // More than that would mean a u that is stated too wide.
        QVERIFY(percent(undecidedNear, undecided) >= 78.0);
        for (const auto& [kind, t] : kinds) // never promising more than is kept
            QVERIFY2(percent(t.within2, t.n) >= 89.0 && percent(t.within1, t.n) >= 57.0, kind.c_str());
    }
    // The kinds that the two do not have: a hundred ordinary athletes of each of the other four, from the side and from
    // the front. Counts and orders, which are whole numbers, are left out.
    void otherKinds() {
        std::map<std::string, Tally> kinds;
        std::mt19937 random(7);
        std::uniform_real_distribution<double> uniform(0.0, 1.0);
        for (const char* technique : {"race-walking", "archery-shot", "volleyball-spike", "handball-marking"}) {
            const Blueprint blueprint = *shippedBlueprint(technique);
            for (int i = 0; i < 100; ++i) {
                FilmRecipe recipe;
                recipe.technique = technique;
                const bool front = i % 4 == 3;
                recipe.camera = cameraFor(recipe.technique, front);
                recipe.stature = 1.62 + 0.3 * uniform(random);
                recipe.reps = 2;
                recipe.seed = static_cast<unsigned>(i) + 1;
                const ViewSetup setup{front ? View::front : View::side, front ? Facing::camera : Facing::left,
                                      Side::right, nullptr};
                const Filmed exact = filmOf(recipe, 0.0, 1), seen = filmOf(recipe, 1.5, recipe.seed);
                for (const auto& m : blueprint.measures) {
                    const auto& d = m.definition;
                    const bool whole = d.kind == MeasureKind::contacts && d.aspect != Aspect::first;
                    if (d.view != setup.view || isAcrossReps(d.kind) || isNoted(d.kind) || whole ||
                        d.aspect == Aspect::sequence || d.aspect == Aspect::detours)
                        continue;
                    const auto truth = truthOf(d, exact, setup);
                    const auto value = evaluate(d, seen.motion, seen.positions, setup);
                    if (truth && !value.refused)
                        kinds[kindOf(d)].add(distance(d, value.value, *truth), value.u);
                }
            }
        }
        say(kinds);
        for (const auto& [kind, t] : kinds)
            QVERIFY2(t.n < 50 || percent(t.within2, t.n) >= 85.0, kind.c_str());
    }
};
QTEST_GUILESS_MAIN(TestAthletes)
#include "test_athletes.moc"
