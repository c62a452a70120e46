// Drafts by the body model against known truth: how far off, and how honest σ is, on the simulated athlete and on the
// film of the motion file 01_01.bvh.

#include "casebook/shipped.h"
#include "intake/find_body.h"
#include "tests/support/film_truth.h"
#include "tests/support/walk_film.h"

#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestDrafting : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;

    // For fitting: one row a point, to the file RIFLESSO_DUMP.
    static void dump(const QString& film, const FoundFrames& found, const test::FilmTruth& truth) {
        if (!qEnvironmentVariableIsSet("RIFLESSO_DUMP"))
            return;
        QFile out(qEnvironmentVariable("RIFLESSO_DUMP"));
        if (!out.open(QIODevice::Append))
            return;
        for (const auto& [frame, f] : untangled(found))
            for (const auto& [name, p] : f.points) {
                const Pixel t = truth.places.at(name)[static_cast<std::size_t>(frame.value)];
                out.write(QString("%1,%2,%3,%4,%5,%6,%7,%8,%9\n")
                              .arg(film)
                              .arg(frame.value)
                              .arg(QString::fromStdString(name))
                              .arg(p.at.x - t.x)
                              .arg(p.at.y - t.y)
                              .arg(f.height)
                              .arg(p.visibility)
                              .arg(p.mirrorMiss())
                              .arg(p.flowMiss)
                              .toUtf8());
            }
    }
private slots:
    void collect() {
        for (const char* name : {"athlete-side", "athlete-front", "model-side", "walk"}) {
            QString film = test::demoFilm(name);
            test::FilmTruth truth;
            if (QString(name) == "walk") {
                film = m_dir.filePath("walk.mp4");
                truth = test::filmWalk(film.toStdString());
            } else if (!film.isEmpty()) {
                truth = test::readTruth(QString(film).replace(".mp4", ".truth.json")).front().truth;
            } else {
                qInfo("no %s", name);
                continue;
            }
            FindBodyOptions o;
            o.model = *modelFile("full");
            o.detector = *modelFile("person");
            o.frame = FrameIndex(20);
            double l = 1e9, r = -1e9, t = 1e9, b = -1e9;
            for (const auto& n : standardLandmarks()) {
                const Pixel p = truth.places.at(n)[20];
                l = std::min(l, p.x), r = std::max(r, p.x), t = std::min(t, p.y), b = std::max(b, p.y);
            }
            o.box = {l - 20, t - 40, r - l + 40, b - t + 60};
            if (qEnvironmentVariableIsSet("RIFLESSO_DUMP"))
                o.keep = (qEnvironmentVariable("RIFLESSO_DUMP") + "-" + name + ".found").toStdString();
            QElapsedTimer clock;
            clock.start();
            const auto found = findBody(film.toStdString(), o);
            QVERIFY2(found.ok(), found ? "" : found.error().text().c_str());
            qInfo("%s: %zu frames of %d, nobody on %zu, %.1f ms each", name, found->frames.size(), truth.frames,
                  found->nobody.size(), static_cast<double>(clock.elapsed()) / found->looked);
            dump(name, found->frames, truth);
        }
    }
};
QTEST_GUILESS_MAIN(TestDrafting)
#include "test_drafting.moc"
