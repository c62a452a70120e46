// Drafts by the body model against known truth: how far off, and how honest σ is, on the simulated athlete and on the
// film of the motion file 01_01.bvh.

#include "casebook/shipped.h"
#include "intake/find_body.h"
#include "simulator/film_maker.h"
#include "tests/support/draws.h"
#include "tests/support/film_truth.h"
#include "tests/support/walk_film.h"

#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestDrafting : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;

    // For fitting: one row a point, to the file RIFLESSO_DUMP, as riflesso-bench LIBRARY drafts FILE writes them.
    static void dump(const QString& film, const FoundFrames& found, const test::FilmTruth& truth) {
        if (!qEnvironmentVariableIsSet("RIFLESSO_DUMP"))
            return;
        QFile out(qEnvironmentVariable("RIFLESSO_DUMP"));
        if (!out.open(QIODevice::Append))
            return;
        for (const auto& [frame, f] : untangled(found))
            for (const auto& [name, p] : f.points) {
                const Pixel t = truth.places.at(name)[static_cast<std::size_t>(frame.value)];
                out.write(QString("%1,%2,%3,%4,%5,%6,%7,%8,%9,%10,%11\n")
                              .arg(film)
                              .arg(frame.value)
                              .arg(QString::fromStdString(name))
                              .arg(p.at.x)
                              .arg(p.at.y)
                              .arg(p.at.x - t.x)
                              .arg(p.at.y - t.y)
                              .arg(f.height)
                              .arg(p.visibility)
                              .arg(p.mirrorMiss())
                              .arg(p.flowMiss)
                              .toUtf8());
            }
    }
    struct Film {
        QString path;
        test::FilmTruth truth;
        FoundFrames found;
        TrackSet drafts;
        double height = 0.0;
    };
    std::map<QString, Film> m_films;

    struct Errors {
        double median = 0.0, p90 = 0.0, normalised = 0.0; // shares of the body's height; error / sigma
        std::size_t n = 0;
    };
    static Errors errorsOf(const TrackSet& marks, const Film& film, const TrackSet& without = {}) {
        std::vector<double> off;
        double z = 0.0;
        for (const auto& [name, track] : marks)
            for (const auto& [frame, m] : track) {
                if (const auto w = without.find(name); w != without.end() && w->second.contains(frame))
                    continue;
                const Pixel t = film.truth.places.at(name)[static_cast<std::size_t>(frame.value)];
                const double dx = m.at.x - t.x, dy = m.at.y - t.y;
                off.push_back(std::hypot(dx, dy) / film.height);
                z += (dx * dx + dy * dy) / (2.0 * m.sigma * m.sigma);
            }
        std::sort(off.begin(), off.end());
        return {off[off.size() / 2], off[off.size() * 9 / 10], std::sqrt(z / static_cast<double>(off.size())),
                off.size()};
    }

private slots:
    // The box as somebody would draw it round what is seen on frame 20. Two people meet on a film of their own.
    void init() {
        if (!m_films.empty() || QByteArray(QTest::currentTestFunction()) == "twoPeopleMeet")
            return;
        // The suite looks at two films and the first two reps of the long one.
        for (const char* name : test::drawn<std::vector<const char*>>(
                 {"athlete-side", "athlete-front", "model-side", "walk"}, {"athlete-side", "walk"})) {
            Film film;
            if (QString(name) == "walk") {
                film.path = m_dir.filePath("walk.mp4");
                film.truth = test::filmWalk(film.path.toStdString());
                QVERIFY2(film.truth.frames > 0, "package assimp-testmodels");
            } else {
                film.path = test::demoFilm(name);
                QVERIFY2(!film.path.isEmpty(), name);
                film.truth = test::readTruth(QString(film.path).replace(".mp4", ".truth.json")).front().truth;
            }
            FindBodyOptions o;
            o.model = *modelFile("full");
            o.detector = *modelFile("person");
            o.frame = FrameIndex(20);
            if (QString(name) != "athlete-side")
                o.last = FrameIndex(249); // one rep
            else if (!test::wholeDraw())
                o.last = FrameIndex(test::readTruth(QString(film.path).replace(".mp4", ".truth.json")).at(1).last);
            double l = 1e9, r = -1e9, t = 1e9, b = -1e9;
            for (const auto& n : standardLandmarks()) {
                const Pixel p = film.truth.places.at(n)[20];
                l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
            }
            o.box = {l - 20, t - 40, r - l + 40, b - t + 60};
            if (qEnvironmentVariableIsSet("RIFLESSO_DUMP")) {
                o.keep = (qEnvironmentVariable("RIFLESSO_DUMP") + "-" + name + ".found").toStdString();
                o.last = FrameIndex(1 << 30);
            }
            QElapsedTimer clock;
            clock.start();
            const auto found = findBody(film.path.toStdString(), o);
            QVERIFY2(found.ok(), found ? "" : found.error().text().c_str());
            const int all = std::min(film.truth.frames, o.last.value + 1);
            qInfo("%s: the body on %zu frames of %d; %.1f ms a frame, decoding and the mirrored pass included", name,
                  found->frames.size(), all, static_cast<double>(clock.elapsed()) / std::max(1, found->looked));
            QVERIFY2(found->frames.size() >= static_cast<std::size_t>(std::ceil(0.98 * all)), name);
            film.found = found->frames;
            film.drafts = draftMarks(film.found);
            film.height = film.found.at(FrameIndex(20)).height;
            dump(name, film.found, film.truth);
            m_films[name] = std::move(film);
        }
    }
    // What a draft is worth by itself, and whether its sigma says so.
    void asFound() {
        double z = 0.0;
        for (const auto& [name, film] : m_films) {
            const Errors e = errorsOf(film.drafts, film);
            qInfo("%s: median %.1f %%, 90 of 100 %.1f %% of the body's height, normalised error %.2f (%zu marks)",
                  qPrintable(name), 100 * e.median, 100 * e.p90, e.normalised, e.n);
            QVERIFY2(e.median < 0.04 && e.p90 < 0.10, qPrintable(name));
            QVERIFY2(e.normalised > 0.65 && e.normalised < 1.35, qPrintable(name));
            QVERIFY(e.n >= 0.95 * 20.0 * static_cast<double>(film.found.size()));
            z += e.normalised * e.normalised / static_cast<double>(m_films.size());
        }
        QVERIFY2(std::sqrt(z) >= 0.8 && std::sqrt(z) <= 1.25, qPrintable(QString::number(std::sqrt(z))));
    }
    // Angles of the technique at the true key positions, without any hand mark: as they are, and whether u says so.
    void anglesAsFound() {
        const Film& film = m_films.at("athlete-side");
        const auto blueprint = *shippedBlueprint("fencing-lunge");
        ViewSetup setup;
        setup.facing = Facing::left;
        const Timebase time = Timebase::constant(film.truth.frames, Hertz(film.truth.rate));
        TrackSet truth;
        for (const auto& [name, places] : film.truth.places)
            for (int f = 0; f < film.truth.frames; ++f)
                truth[name][FrameIndex(f)] = {places[static_cast<std::size_t>(f)], 0.01, How::hand};
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const Motion real = toMotion(truth, time, raw), motion = toMotion(film.drafts, time);
        double squares = 0.0, z = 0.0;
        int n = 0, missing = 0;
        for (const auto& rep : test::readTruth(QString(film.path).replace(".mp4", ".truth.json")))
            for (const auto& m : blueprint.measures) {
                const auto& d = m.definition;
                if ((d.kind != MeasureKind::angle && d.kind != MeasureKind::lean) || d.view != View::side)
                    continue;
                const FrameIndex at(static_cast<int>(std::lround(rep.truth.positions.at(d.at))));
                const auto found = readAt(d, motion, at, setup), wanted = readAt(d, real, at, setup);
                if (!found || !wanted) {
                    ++missing;
                    continue;
                }
                QVERIFY(found->draft && !wanted->draft);
                squares += std::pow(found->value - wanted->value, 2);
                z += std::pow((found->value - wanted->value) / found->u, 2);
                ++n;
            }
        qInfo("%d angles from drafts alone: RMSE %.1f degrees, error/u %.2f; %d could not be read", n,
              std::sqrt(squares / n), std::sqrt(z / n), missing);
        QVERIFY(n >= test::drawn(20, 12));
        QVERIFY2(std::sqrt(z / n) < 1.25, qPrintable(QString::number(std::sqrt(z / n))));
    }
    // Three frames marked by hand teach the rest of the take.
    void taughtByHands() {
        double z = 0.0;
        for (const auto& [name, film] : m_films) {
            std::mt19937 random(5);
            std::normal_distribution<double> noise(0.0, 1.5);
            TrackSet hands;
            for (int f : {10, 60, 110})
                for (const auto& n : standardLandmarks()) {
                    const Pixel p = film.truth.places.at(n)[static_cast<std::size_t>(f)];
                    hands[n][FrameIndex(f)] = {{p.x + noise(random), p.y + noise(random)}, 1.5, How::hand};
                }
            const Errors before = errorsOf(film.drafts, film, hands);
            const Errors e = errorsOf(joined(film.drafts, {}, hands, 1.0 / film.truth.rate), film, hands);
            qInfo("%s: median %.1f %% instead of %.1f %%, 90 of 100 %.1f %% instead of %.1f %%, normalised error %.2f",
                  qPrintable(name), 100 * e.median, 100 * before.median, 100 * e.p90, 100 * before.p90, e.normalised);
            QVERIFY2(e.median < 0.75 * before.median, qPrintable(name));
            z += e.normalised * e.normalised / static_cast<double>(m_films.size());
        }
        QVERIFY2(std::sqrt(z) >= 0.8 && std::sqrt(z) <= 1.25, qPrintable(QString::number(std::sqrt(z))));
    }
    // A defender meets an attacker and pushes: bodies overlap. Whatever is kept is the defender; where it could be the
    // other one, nothing is kept and that is said.
    void twoPeopleMeet() {
        FilmRecipe recipe;
        recipe.technique = recipe.name = "handball-marking";
        recipe.camera = cameraFor(recipe.technique, false);
        const auto film = makeFilm(recipe, m_dir.path().toStdString());
        QVERIFY2(film.ok(), film ? "" : film.error().text().c_str());
        const auto truth = test::readTruth(QString::fromStdString(film->truth.string())).front().truth;
        FindBodyOptions o;
        o.model = *modelFile("full");
        o.detector = *modelFile("person");
        o.frame = FrameIndex(10);
        double l = 1e9, r = -1e9, t = 1e9, b = -1e9;
        for (const auto& n : standardLandmarks()) {
            const Pixel p = truth.places.at(n)[10];
            l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
        }
        o.box = {l - 20, t - 40, r - l + 40, b - t + 60};
        const auto found = findBody(film->film, o);
        QVERIFY2(found.ok(), found ? "" : found.error().text().c_str());
        QVERIFY(found->frames.size() > 200 && found->frames.rbegin()->first.value == truth.frames - 1);
        int other = 0;
        for (const auto& [frame, f] : found->frames) {
            std::vector<double> off;
            for (const auto& [name, p] : f.points) {
                const Pixel at = truth.places.at(name)[static_cast<std::size_t>(frame.value)];
                off.push_back(std::hypot(p.at.x - at.x, p.at.y - at.y) / f.height);
            }
            std::nth_element(off.begin(), off.begin() + static_cast<std::ptrdiff_t>(off.size() / 2), off.end());
            other += off[off.size() / 2] > 0.15;
        }
        QString taken;
        for (const Taken& x : found->somebodyElse)
            taken += QString("somebody else on %1 to %2%3; ")
                         .arg(x.first.value)
                         .arg(x.last.value)
                         .arg(x.back ? "" : ", to the end");
        qInfo("the defender on %zu of %d frames, another body on %d; %s", found->frames.size(), truth.frames, other,
              qPrintable(taken.isEmpty() ? QString("nobody else is said") : taken));
        QVERIFY2(other * 50 <= static_cast<int>(found->frames.size()), qPrintable(QString::number(other)));
        const bool whole = found->frames.size() >= static_cast<std::size_t>(0.98 * truth.frames);
        QVERIFY(whole || !found->somebodyElse.empty() || !found->nobody.empty());
    }
    // A whole take from its draft: the analyst corrects what "worst first" asks for, rep after rep.
    void leverage() {
        const Film& film = m_films.at("athlete-side");
        const auto blueprint = *shippedBlueprint("fencing-lunge");
        ViewSetup setup;
        setup.facing = Facing::left; // the simulated side camera stands so
        const auto reps = test::readTruth(QString(film.path).replace(".mp4", ".truth.json"));
        test::Leverage before;
        int hand = 0, read = 0;
        double angles = 0.0;
        const std::size_t count = test::drawn<std::size_t>(reps.size(), 2);
        for (std::size_t i = 0; i < count; ++i) {
            test::Script s;
            s.film = film.path.toStdString();
            s.truth = reps[i].truth;
            for (const auto& role : blueprint.rolesFor(View::side))
                s.landmarks.push_back(resolveRole(role, Side::right));
            s.first = reps[i].first;
            s.last = reps[i].last;
            for (const char* at : {"on_guard", "lunge_held", "back_on_guard"})
                s.startFrames.push_back(static_cast<int>(std::lround(reps[i].truth.positions.at(at))));
            s.seed = 40 + static_cast<unsigned>(i);
            s.drafts = film.drafts;
            if (i > 0) {
                s.guide = before.marks;
                s.guideFirst = reps[0].first;
                s.guideLast = reps[0].last;
            }
            const auto r = test::markByScript(s, blueprint, setup);
            qInfo(
                "rep %zu: %d by hand (%d corrections in %d rounds), %d by the machine; median %.2f px, 95 of 100 %.2f "
                "px; normalised %.2f; %d angles RMSE %.2f degrees; %d of %d key positions within a frame, %d unsure%s",
                i + 1, r.hand, r.corrections, r.rounds, r.carried, r.median, r.p95, r.normalised, r.angleCount,
                r.angles, r.pegsNear, r.pegs, r.pegsUnsure, r.offPegs.empty() ? "" : (";" + r.offPegs).c_str());
            hand += r.hand;
            read += r.carried;
            angles += r.angles * r.angles / static_cast<double>(count);
            before = r;
        }
        std::size_t all = 0;
        for (const auto& [name, track] : before.marks)
            for (const auto& [frame, m] : track)
                all += m.how == How::found || m.how == How::tracked;
        for (const auto& [name, track] : film.drafts) // of landmarks that this technique does not read
            all += before.marks.contains(name) ? 0 : track.size();
        qInfo("%d by hand, %.0f marks for each (%.0f of landmarks that the technique reads, within the reps); angles "
              "RMSE "
              "%.2f degrees",
              hand, double(all) / hand, double(read) / hand, std::sqrt(angles));
        QVERIFY2(std::sqrt(angles) <= 2.5, qPrintable(QString::number(std::sqrt(angles))));
        QVERIFY(all >= static_cast<std::size_t>(test::drawn(120, 60) * hand));
    }
};
QTEST_GUILESS_MAIN(TestDrafting)
#include "test_drafting.moc"
