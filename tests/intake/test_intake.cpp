#include "intake/intake.h"
#include "tests/support/coded_films.h"
#include "tests/support/full_disk.h"

#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;
namespace fs = std::filesystem;

class TestIntake : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<Library> m_library;
    QString m_film;
    IntakeOptions m_options;
    fs::path at(const char* name) const { return fs::path(m_dir.path().toStdString()) / name; }
    int filesInMedia() const {
        return static_cast<int>(std::distance(fs::directory_iterator(m_library->media()), fs::directory_iterator()));
    }
private slots:
    void initTestCase() {
        auto made = Library::create(at("library"));
        QVERIFY(made.ok());
        m_library = std::move(*made);
        m_film = makeCoded(m_dir.filePath("film.mp4"), 40);
    }
    void copiesAndSaysWhatItDoes() {
        std::vector<std::string> said;
        double last = 0;
        const auto in =
            takeIn(*m_library, m_film.toStdString(), m_options, [&](const std::string& doing, double share) {
                if (said.empty() || said.back() != doing)
                    said.push_back(doing);
                last = std::max(last, share);
                return true;
            });
        QVERIFY2(in.ok(), in ? "" : in.error().text().c_str());
        QVERIFY(said == (std::vector<std::string>{"checking", "reading", "copying"}));
        QVERIFY(last > 0.9 && last <= 1.0);
        QVERIFY(fs::exists(m_library->filmOf(in->take)));
        QCOMPARE(in->take.times.size(), std::size_t(40));
        QVERIFY(!in->take.captureRate);
        // SHA-256 as any tool computes it.
        QProcess p;
        p.start("sha256sum", {m_film});
        QVERIFY(p.waitForFinished() && p.readAllStandardOutput().startsWith(in->take.checksum.c_str()));
        // The table of frames was kept and serves the copy too.
        QVERIFY(!fs::is_empty(m_library->indexFolder()));
        m_options.inCase[in->take.checksum] = "First";
    }
    void theSameFilmIsNotTakenTwice() {
        const int before = filesInMedia();
        QVERIFY(QFile::copy(m_film, m_dir.filePath("other-name.mp4")));
        const auto again = takeIn(*m_library, at("other-name.mp4"), m_options);
        QVERIFY(!again && again.error().what.find("First") != std::string::npos);
        // Another case of the library has it: it is shared, not copied.
        IntakeOptions other;
        other.known[m_options.inCase.begin()->first] = "film.mp4";
        const auto shared = takeIn(*m_library, at("other-name.mp4"), other);
        QVERIFY(shared.ok() && shared->wasThere && shared->take.film == "film.mp4");
        QCOMPARE(filesInMedia(), before);
    }
    void cancelLeavesNothingBehind() {
        const int before = filesInMedia();
        const QString film = makeCoded(m_dir.filePath("cancelled.mp4"), 30);
        for (const char* stage : {"checking", "reading", "copying"}) {
            const auto in = takeIn(*m_library, film.toStdString(), m_options,
                                   [&](const std::string& doing, double) { return doing != stage; });
            QVERIFY2(!in && in.error().what.find("cancelled") != std::string::npos, stage);
        }
        QCOMPARE(filesInMedia(), before);
    }
    void refersInPlaceAndFindsWhatWasMoved() {
        const QString film = makeCoded(m_dir.filePath("outside.mp4"), 25);
        IntakeOptions o;
        o.copy = false;
        const auto in = takeIn(*m_library, film.toStdString(), o);
        QVERIFY(in.ok() && fs::path(in->take.film).is_absolute());
        QVERIFY(QDir(m_dir.path()).mkpath("archive/2026"));
        QVERIFY(QFile::copy(m_film, m_dir.filePath("archive/outside.mp4"))); // the name alone is no proof
        QVERIFY(QFile::rename(film, m_dir.filePath("archive/2026/renamed.mp4")));
        const auto found = m_library->findMoved(in->take, at("archive"));
        QVERIFY(found && found->filename() == "renamed.mp4");
        QVERIFY(!m_library->findMoved(in->take, at("library")));
    }
    void tagsAreBelievedNothingElseIs() {
        FilmWriterOptions o;
        o.width = 320;
        o.height = 192;
        o.captureRateTag = Hertz(240);
        const auto in = takeIn(*m_library, makeCoded(m_dir.filePath("slow.mp4"), 20, {}, o).toStdString(), {});
        QVERIFY(in && in->take.captureRate && *in->take.captureRate == 240);
        QVERIFY(in->take.captureFrom.find("com.android.capture.fps") != std::string::npos);
    }
    void foldersOfFilmsAndOfPictures() {
        QVERIFY(QDir(m_dir.path()).mkpath("day/deeper"));
        QVERIFY(QFile::copy(m_film, m_dir.filePath("day/b.MP4")));
        QVERIFY(QFile::copy(m_film, m_dir.filePath("day/deeper/a.mov")));
        QFile note(m_dir.filePath("day/note.txt"));
        QVERIFY(note.open(QIODevice::WriteOnly));
        QCOMPARE(filmsIn(at("day")).size(), std::size_t(2));
        QVERIFY(QDir(m_dir.path()).mkpath("shots"));
        for (int i = 0; i < 3; ++i)
            QVERIFY(runFfmpeg({"-f", "lavfi", "-i", QString("color=red:size=%1x32").arg(32), "-frames:v", "1",
                               m_dir.filePath(QString("shots/%1.png").arg(i))}));
        QVERIFY(filmsIn(at("shots")) == std::vector<fs::path>{at("shots")});
        const auto in = takeIn(*m_library, at("shots"), {});
        QVERIFY2(in.ok(), in ? "" : in.error().text().c_str());
        QVERIFY(fs::is_directory(m_library->filmOf(in->take)) && in->info.timesInvented);
        QVERIFY(QDir(m_dir.path()).mkpath("empty") && filmsIn(at("empty")).empty());
    }
    void aFullDiskIsSaid() {
        const int before = filesInMedia();
        const QString film = makeCoded(m_dir.filePath("blocked.mp4"), 10);
        const auto in = [&] {
            const test::FullDisk full(1000);
            return takeIn(*m_library, film.toStdString(), {});
        }();
        QVERIFY(!in && in.error().what.find("cannot be copied") != std::string::npos);
        QCOMPARE(filesInMedia(), before);
    }
    void badFilmsAreSaid() {
        QVERIFY(takeIn(*m_library, at("none.mp4"), {}).error().where == "none.mp4");
        QFile bad(m_dir.filePath("bad.mp4"));
        QVERIFY(bad.open(QIODevice::WriteOnly));
        bad.write("words");
        bad.close();
        QVERIFY(takeIn(*m_library, at("bad.mp4"), {}).error().what.find("not a film") != std::string::npos);
    }
};
QTEST_GUILESS_MAIN(TestIntake)
#include "test_intake.moc"
