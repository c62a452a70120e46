// Every kind of measure over six hundred simulated athletes of each of two techniques: how honest is the stated u?
// test_athletes asks it of what the blueprints measure; here are the kinds that those of fencing and rowing do not
// need.
//
// Truth as in test_athletes. What is read over reps has its truth from the recipes: how much an athlete varies and
// changes is injected.

#include "casebook/shipped.h"
#include "core/measure/kinds/derived.h"
#include "core/statistics/summary.h"
#include "library/measure_json.h"
#include "tests/support/contestant.h"
#include "tests/support/draws.h"

#include <QTest>

#include <fstream>
#include <numeric>

using namespace riflesso;
using namespace riflesso::test;

const int kAthletes = drawn(600, 100); // of each technique
const int kSeries = drawn(520, 90);    // athletes with twelve reps each

// In the blueprint's own form.
std::vector<MeasureDefinition> measuresOf(const std::string& technique) {
    std::vector<BlueprintMeasure> measures;
    std::ifstream file(RIFLESSO_SOURCE_DIR "/tests/references/every_kind.json");
    auto all = nlohmann::json::parse(file);
    for (auto& one : all.at(technique)) {
        one["name"] = one["id"];
        measures.push_back({readMeasure(JsonReader(one, ""), false), {}, {}, {}});
    }
    linkMeasures(measures);
    std::vector<MeasureDefinition> out;
    for (const auto& m : measures)
        out.push_back(m.definition);
    return out;
}

std::set<LandmarkName> pointsOf(const std::vector<MeasureDefinition>& measures) {
    std::set<LandmarkName> out;
    const auto add = [&](const MeasureDefinition& d) {
        const auto names = landmarksOf(d, Side::right);
        out.insert(names.begin(), names.end());
    };
    for (const auto& d : measures) {
        add(d);
        for (const auto& base : d.base)
            add(*base);
    }
    return out;
}

class TestEveryKind : public QObject {
    Q_OBJECT
    std::map<MeasureKind, Tally> m_kinds;
    std::map<MeasureKind, std::map<std::string, int>> m_techniques; // most values of one measure
private slots:
    void ofARep_data() {
        QTest::addColumn<QString>("technique");
        for (const char* technique : {"fencing-lunge", "rowing-ergometer", "handball-marking", "volleyball-spike"})
            QTest::newRow(technique) << technique;
    }
    void ofARep() {
        QFETCH(QString, technique);
        const std::string name = technique.toStdString();
        const auto measures = measuresOf(name);
        const auto points = pointsOf(measures);
        std::mt19937 random(11);
        std::map<std::string, Tally> each;
        for (int i = 0; i < kAthletes; ++i) {
            const Contestant athlete(name, i, random, false);
            Opponent opponent{athlete.recipe, 2.6 + 0.6 * std::uniform_real_distribution<double>()(random)};
            opponent.recipe.seed += 5000;
            Filming how{
                .phase = athlete.phase, .opponent = name == "fencing-lunge" ? &opponent : nullptr, .only = &points};
            const Exact exact(athlete.recipe, how);
            how.noise = 1.5;
            const Filmed seen = filmOf(athlete.recipe, how);
            for (const auto& d : measures) {
                const auto truth = exact.of(d, athlete.setup, athlete.width);
                const auto value = evaluate(d, seen.motion, seen.positions, athlete.setup);
                if (!truth || value.refused)
                    continue;
                dump(name, d, value, *truth);
                for (Tally* tally : {&each[enumName(kMeasureKindNames, d.kind) + " " + d.id], &m_kinds[d.kind]})
                    tally->add(distance(d, value.value, *truth), value.u);
                int& most = m_techniques[d.kind][name];
                most = std::max(most, each[enumName(kMeasureKindNames, d.kind) + " " + d.id].n);
            }
        }
        say(each);
    }
    // What is read over reps: twelve of each athlete, who varies half as much to three times as much as usual and in
    // whom one deviation grows from nothing to half a tolerance to three.
    void overReps_data() {
        QTest::addColumn<QString>("technique");
        for (const char* technique : {"fencing-lunge", "rowing-ergometer"})
            QTest::newRow(technique) << technique;
    }
    void overReps() {
        QFETCH(QString, technique);
        const std::string name = technique.toStdString();
        constexpr int kReps = 12, kExact = 100; // athletes whose every rep is measured without error too
        const std::set<MeasureKind> kinds = {MeasureKind::angle,  MeasureKind::lean,     MeasureKind::ratio,
                                             MeasureKind::offset, MeasureKind::interval, MeasureKind::cadence};
        std::vector<MeasureDefinition> measures;
        std::vector<double> tolerances;
        const Blueprint blueprint = *shippedBlueprint(name);
        for (const auto& m : blueprint.measures)
            if (kinds.contains(m.definition.kind) && m.definition.view == View::side &&
                m.definition.reduction == Reduction::at) {
                measures.push_back(m.definition);
                tolerances.push_back(m.targets.front().floor);
            }
        const auto points = pointsOf(measures);
        struct Series {
            std::size_t measure;
            double variation, change; // how much the athlete varies, in usual ones; what the deviation adds in the end
            std::vector<double> values, errors;
        };
        std::vector<Series> all;
        std::vector<std::vector<double>> variances(measures.size()); // of the usual athlete, without error
        std::mt19937 random(5);
        std::uniform_real_distribution<double> uniform(0.0, 1.0);
        for (int i = 0; i < kSeries; ++i) {
            const Contestant athlete(name, i, random, false);
            const double variation = 0.5 + 2.5 * uniform(random);
            const auto ofRep = [&](int rep, double with) {
                FilmRecipe r = athlete.recipe;
                const double grown = static_cast<double>(rep) / (kReps - 1);
                r.variation = with;
                r.seed = static_cast<unsigned>(1000 + i * kReps + rep);
                for (auto& [fault, size] : r.sizes)
                    size *= grown;
                for (auto* size : {&r.faults.handLate, &r.faults.rearKneeBent, &r.faults.trunkFalls,
                                   &r.faults.guardNarrow, &r.faults.slowRecovery})
                    *size *= grown;
                return r;
            };
            const Filmed before = filmOf(ofRep(0, 0.0), {.only = &points}),
                         after = filmOf(ofRep(kReps - 1, 0.0), {.only = &points});
            std::vector<Series> mine;
            for (std::size_t m = 0; m < measures.size(); ++m)
                mine.push_back(
                    {m,
                     variation,
                     *truthOf(measures[m], after, athlete.setup) - *truthOf(measures[m], before, athlete.setup),
                     {},
                     {}});
            std::vector<std::vector<double>> exact(measures.size());
            for (int rep = 0; rep < kReps; ++rep) {
                const FilmRecipe recipe = ofRep(rep, variation);
                Filming how{.phase = uniform(random) - 0.5, .only = &points};
                if (i < kExact) {
                    const Filmed truth = filmOf(recipe, how);
                    for (std::size_t m = 0; m < measures.size(); ++m)
                        exact[m].push_back(*truthOf(measures[m], truth, athlete.setup));
                }
                how.noise = 1.5;
                const Filmed seen = filmOf(recipe, how);
                for (auto& s : mine) {
                    const auto v = evaluate(measures[s.measure], seen.motion, seen.positions, athlete.setup);
                    QVERIFY2(!v.refused, v.reason.c_str());
                    s.values.push_back(v.value);
                    s.errors.push_back(v.u);
                }
            }
            for (std::size_t m = 0; i < kExact && m < measures.size(); ++m)
                if (std::abs(mine[m].change) < 0.02 * tolerances[m])
                    variances[m].push_back(std::pow(summarise(exact[m])->sd / variation, 2));
            all.insert(all.end(), mine.begin(), mine.end());
        }
        std::map<std::string, Tally> each;
        std::vector<double> when(kReps);
        std::iota(when.begin(), when.end(), 0.0);
        for (const auto& s : all) {
            const auto add = [&](MeasureKind kind, double off, double u) {
                Tally& tally = each[enumName(kMeasureKindNames, kind) + " " + measures[s.measure].id];
                tally.add(off, u);
                m_kinds[kind].add(off, u);
                m_techniques[kind][name] = std::max(m_techniques[kind][name], tally.n);
            };
            const auto drift = driftOf(when, s.values);
            add(MeasureKind::drift, std::abs(drift->change - s.change), drift->u);
            // Of the measures that the deviation leaves alone, and in which anybody varies at all.
            const double usual = s.variation * std::sqrt(summarise(variances[s.measure])->mean);
            if (usual < 0.01 * tolerances[s.measure] || std::abs(s.change) > 0.2 * usual)
                continue;
            const auto spread = spreadOf(s.values, s.errors);
            add(MeasureKind::spread, std::abs(spread->athlete - usual), spread->u);
        }
        say(each);
    }
    void everyKindIsHonest() {
        for (std::size_t k = 0; k < kMeasureKindNames.size(); ++k) {
            const auto kind = static_cast<MeasureKind>(k);
            if (isNoted(kind)) // has no error
                continue;
            const Tally& t = m_kinds[kind];
            qInfo("%s", said(kind, t));
            QVERIFY2(std::abs(percent(t.within1, t.n) - 68.0) <= mayBeOff(68.0, t.n) &&
                         std::abs(percent(t.within2, t.n) - 95.0) <= mayBeOff(95.0, t.n),
                     said(kind, t));
            const auto& techniques = m_techniques[kind];
            QVERIFY2(std::count_if(techniques.begin(), techniques.end(),
                                   [](const auto& n) { return n.second >= drawn(500, 80); }) >= 2,
                     said(kind, t));
        }
    }
};
QTEST_GUILESS_MAIN(TestEveryKind)
#include "test_every_kind.moc"
