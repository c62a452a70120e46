// Marks carried through films whose truth is known: leverage, errors, how honest σ is, key positions, on the demo's
// film, on one with a post in front of the athlete, and on a film made from the motion file 01_01.bvh (Debian's
// assimp-testmodels), whose joints are those of a real walker.

#include "casebook/shipped.h"
#include "simulator/film_maker.h"
#include "tests/support/film_truth.h"
#include "tests/support/walk_film.h"

#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestCarrying : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    Blueprint m_blueprint;

    using Rep = test::RepTruth;
    static ViewSetup setup() {
        ViewSetup s;
        s.facing = Facing::left; // the simulated side camera stands so
        return s;
    }
    std::vector<LandmarkName> wanted() const {
        std::vector<LandmarkName> out;
        for (const auto& role : m_blueprint.rolesFor(View::side))
            out.push_back(resolveRole(role, Side::right));
        return out;
    }
    test::Leverage run(const std::filesystem::path& film, const Rep& rep, unsigned seed,
                       const test::Leverage* guide = nullptr, const Rep* guideRep = nullptr) const {
        test::Script s;
        s.film = film;
        s.truth = rep.truth;
        s.landmarks = wanted();
        s.first = rep.first;
        s.last = rep.last;
        // Before it begins, where it has gone farthest, when it is over.
        for (const char* at : {"on_guard", "lunge_held", "back_on_guard"})
            s.startFrames.push_back(static_cast<int>(std::lround(rep.truth.positions.at(at))));
        s.seed = seed;
        if (guide) {
            s.guide = guide->marks;
            s.guideFirst = guideRep->first;
            s.guideLast = guideRep->last;
        }
        const auto r = test::markByScript(s, m_blueprint, setup());
        qInfo(
            "%d marks by hand (%d of them corrections in %d rounds), %d carried, %.0f for each; error median %.2f px, "
            "95 of 100 %.2f px; normalised %.2f; %d angles RMSE %.2f degrees; %d of %d key positions within a frame, "
            "%d "
            "unsure%s",
            r.hand, r.corrections, r.rounds, r.carried, r.share(), r.median, r.p95, r.normalised, r.angleCount,
            r.angles, r.pegsNear, r.pegs, r.pegsUnsure, r.offPegs.empty() ? "" : (";" + r.offPegs).c_str());
        return r;
    }
private slots:
    void initTestCase() { m_blueprint = *shippedBlueprint("fencing-lunge"); }

    void theDemosLunges() {
        const QString film = test::demoFilm("athlete-side");
        QVERIFY(!film.isEmpty());
        const auto reps = test::readTruth(QString(film).replace(".mp4", ".truth.json"));
        QCOMPARE(reps.size(), std::size_t(5));
        double z = 0.0, angles = 0.0, median = 0.0, p95 = 0.0;
        int near = 0, pegs = 0, unsure = 0, far = 0;
        // Three reps by three analysts each: 21 key positions alone would say little of nine in ten.
        for (std::size_t k = 0; k < 9; ++k) {
            const auto r = run(film.toStdString(), reps[2 * (k % 3)], 1 + static_cast<unsigned>(k));
            QVERIFY2(r.share() >= 40.0, qPrintable(QString::number(r.share())));
            QVERIFY(r.median <= 2.5 && r.p95 <= 7.0);
            median += r.median / 9.0;
            p95 += r.p95 / 9.0;
            QVERIFY(r.angleCount >= 8);
            far += r.pegsFar;
            z += r.normalised * r.normalised / 9.0;
            angles += r.angles * r.angles / 9.0;
            near += r.pegsNear;
            pegs += r.pegs;
            unsure += r.pegsUnsure;
        }
        qInfo(
            "nine in all: error median %.2f px, 95 of 100 %.2f px; normalised %.2f; angles RMSE %.2f degrees; %d of %d "
            "key positions within a frame, %d unsure",
            median, p95, std::sqrt(z), std::sqrt(angles), near, pegs, unsure);
        QVERIFY(median <= 2.0 && p95 <= 6.0);
        QVERIFY2(std::sqrt(angles) <= 2.5, qPrintable(QString::number(std::sqrt(angles))));
        QVERIFY2(std::sqrt(z) >= 0.8 && std::sqrt(z) <= 1.25, qPrintable(QString::number(std::sqrt(z))));
        QVERIFY2(unsure <= 0.25 * pegs, qPrintable(QString("%1 of %2 unsure").arg(unsure).arg(pegs)));
        // Far off and not called unsure: one of 63 was seen, where a rounding of the film's colours moved a threshold.
        QVERIFY2(far <= 1, qPrintable(QString::number(far)));
        QVERIFY2(near >= 0.9 * pegs, qPrintable(QString("%1 of %2").arg(near).arg(pegs)));
    }
    // From one rep to all: what is left to do by hand once the first is marked.
    void theRestOfTheTake() {
        const QString film = test::demoFilm("athlete-side");
        const auto reps = test::readTruth(QString(film).replace(".mp4", ".truth.json"));
        auto before = run(film.toStdString(), reps[0], 21);
        const int first = before.hand;
        int rest = 0;
        double angles = 0.0;
        for (std::size_t i = 1; i < reps.size(); ++i) {
            const auto r = run(film.toStdString(), reps[i], 21 + static_cast<unsigned>(i), &before, &reps[0]);
            rest += r.hand;
            angles += r.angles * r.angles / static_cast<double>(reps.size() - 1);
            QVERIFY(r.median <= 2.5 && r.p95 <= 7.0);
        }
        qInfo("the first rep took %d marks by hand, the other four %d together; their angles RMSE %.2f degrees", first,
              rest, std::sqrt(angles));
        QVERIFY(rest <= first);
        QVERIFY(std::sqrt(angles) <= 2.5);
    }
    void aPostInFront() {
        FilmRecipe recipe;
        recipe.name = "post";
        recipe.stature = 1.79;
        recipe.faults.trunkFalls = 6.0;
        recipe.seed = 77;
        recipe.posts = {0.62};
        const auto film = makeFilm(recipe, std::string(RIFLESSO_SOURCE_DIR) + "/build/demo-films");
        QVERIFY(film.ok());
        const auto reps = test::readTruth(QString::fromStdString(film->truth.string()));
        const auto r = run(film->film, reps[0], 9);
        QVERIFY2(r.share() >= 40.0, qPrintable(QString::number(r.share())));
        QVERIFY(r.median <= 2.0);
        QVERIFY(r.p95 <= 6.0);
        QVERIFY2(r.angles <= 2.5, qPrintable(QString::number(r.angles)));
        QVERIFY2(r.normalised >= 0.8 && r.normalised <= 1.25, qPrintable(QString::number(r.normalised)));
        QCOMPARE(r.pegsFar, 0);
    }
    void aMotionFileFilmed() {
        Rep rep;
        const auto film = std::filesystem::path(m_dir.filePath("walk.mp4").toStdString());
        rep.truth = test::filmWalk(film);
        QVERIFY2(rep.truth.frames > 0, "package assimp-testmodels");
        rep.last = rep.truth.frames - 1;
        // A blueprint that measures three joints of either leg and arm at the middle of the walk.
        test::Script s;
        s.film = film;
        s.truth = rep.truth;
        s.last = rep.last;
        for (const char* n :
             {"neck", "left_shoulder", "left_elbow", "left_wrist", "right_shoulder", "left_hip", "left_knee",
              "left_ankle", "left_toe", "right_hip", "right_knee", "right_ankle", "right_toe"})
            s.landmarks.emplace_back(n);
        s.startFrames = {20, 70, 120};
        Blueprint walk;
        walk.positions = {{"early", "Early", ""}, {"late", "Late", ""}};
        for (const char* at : {"early", "late"})
            for (const auto& points :
                 std::vector<std::vector<std::string>>{{"left_hip", "left_knee", "left_ankle"},
                                                       {"right_hip", "right_knee", "right_ankle"},
                                                       {"left_shoulder", "left_elbow", "left_wrist"},
                                                       {"left_shoulder", "left_hip", "left_knee"}}) {
                BlueprintMeasure m;
                m.definition.id = points[1] + at;
                m.definition.at = at;
                for (const auto& p : points)
                    m.definition.points.push_back({{p}});
                Target target;
                target.floor = 4.0;
                m.targets.push_back(target);
                walk.measures.push_back(m);
            }
        s.truth.positions = {{"early", 37.0}, {"late", 103.0}};
        const auto r = test::markByScript(s, walk, setup());
        qInfo("%d by hand, %d carried, %.0f for each; median %.2f, 95 of 100 %.2f px; normalised %.2f; %d angles RMSE "
              "%.2f",
              r.hand, r.carried, r.share(), r.median, r.p95, r.normalised, r.angleCount, r.angles);
        QVERIFY(r.median <= 2.0);
        QVERIFY(r.p95 <= 6.0);
        QVERIFY2(r.share() >= 40.0, qPrintable(QString::number(r.share())));
        QVERIFY(r.angles <= 2.5 && r.angleCount == 8);
        QVERIFY(r.normalised >= 0.8 && r.normalised <= 1.25);
    }
};
QTEST_GUILESS_MAIN(TestCarrying)
#include "test_carrying.moc"
