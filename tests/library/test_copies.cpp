#include "library/copies.h"

#include "library/library.h"

#include <QFile>
#include <QTemporaryDir>
#include <QTest>

#include <sys/stat.h>

using namespace riflesso;
namespace fs = std::filesystem;

class TestCopies : public QObject {
    Q_OBJECT
    std::unique_ptr<QTemporaryDir> m_dir;
    fs::path folder() const { return fs::path(m_dir->path().toStdString()) / "lib"; }
private slots:
    void init() { m_dir = std::make_unique<QTemporaryDir>(); }

    void sevenDaysAreKept() {
        (void)Library::create(folder());
        const Day first = *dayFromIso("2026-11-01");
        for (int d = 0; d < 10; ++d)
            QVERIFY(keepDailyCopy(folder(), first + std::chrono::days(d)));
        const auto copies = copiesOf(folder());
        QCOMPARE(copies.size(), std::size_t(7));
        QCOMPARE(copies.front().name, std::string("2026-11-10"));
        QCOMPARE(copies.back().name, std::string("2026-11-04"));
    }
    void aCopyIsRestored() {
        {
            auto l = std::move(*Library::create(folder()));
            QVERIFY(l->addCase("first", Brief{}).ok());
            QVERIFY(keepDailyCopy(folder(), *dayFromIso("2026-11-01")));
            QVERIFY(l->addCase("second", Brief{}).ok());
        }
        QVERIFY(restoreCopy(folder(), copiesOf(folder()).front()));
        auto l = std::move(*Library::open(folder()));
        const auto cases = *l->cases();
        QCOMPARE(cases.size(), std::size_t(1));
        QCOMPARE(cases.front().blueprintId, std::string("first"));
        QVERIFY(fs::exists(folder() / "copies/replaced-1.sqlite")); // and what was there is not lost
    }
    // Another program that still has the old file open must not write into what nobody will ever read.
    void whoStillHasTheOldFileWritesNoMore() {
        auto l = std::move(*Library::create(folder()));
        QVERIFY(keepDailyCopy(folder(), *dayFromIso("2026-11-01")));
        QVERIFY(restoreCopy(folder(), copiesOf(folder()).front()));
        const auto made = l->addCase("x", Brief{});
        QVERIFY(!made);
        QVERIFY(made.error().kind == ErrorKind::conflict);
    }
    void whatIsNoCopyIsRefused() {
        auto l = std::move(*Library::create(folder()));
        QVERIFY(l->addCase("x", Brief{}).ok());
        l.reset();
        fs::create_directories(folder() / "copies");
        QFile bad(QString::fromStdString((folder() / "copies/day-2026-11-02.sqlite").string()));
        QVERIFY(bad.open(QIODevice::WriteOnly));
        bad.write("garbage");
        bad.close();
        QVERIFY(!restoreCopy(folder(), copiesOf(folder()).front()));
        QCOMPARE((*Library::open(folder()))->cases()->size(), std::size_t(1));
    }
    void aLibraryMovesWhole() {
        const fs::path to = fs::path(m_dir->path().toStdString()) / "elsewhere" / "films";
        const auto fill = [&](const fs::path& at) {
            auto l = std::move(*Library::create(at));
            QVERIFY(l->addCase("x", Brief{}).ok());
            fs::create_directories(at / "media");
            QFile film(QString::fromStdString((at / "media/film.mp4").string()));
            QVERIFY(film.open(QIODevice::WriteOnly));
            film.write(QByteArray(300000, 'f'));
        };
        const auto whole = [](const fs::path& at) {
            const auto l = Library::open(at);
            return l && (*l)->cases() && (*l)->cases()->size() == 1 && fs::file_size(at / "media/film.mp4") == 300000;
        };
        fill(folder());
        // Nothing is moved into itself, nor onto what is there.
        QVERIFY(!moveLibrary(folder(), folder() / "inside"));
        QVERIFY(!moveLibrary(folder(), m_dir->path().toStdString()));
        QVERIFY(!moveLibrary(to, folder()));
        QVERIFY(whole(folder()));
        QVERIFY(moveLibrary(folder(), to));
        QVERIFY(!fs::exists(folder()) && whole(to));
        // To another disc: copied, checked, and only then cleared.
        QTemporaryDir other("/dev/shm/riflesso-XXXXXX");
        struct ::stat here {
        }, there{};
        if (!other.isValid() || ::stat(m_dir->path().toUtf8().constData(), &here) != 0 ||
            ::stat(other.path().toUtf8().constData(), &there) != 0 || here.st_dev == there.st_dev)
            QSKIP("there is no second file system to move to");
        const fs::path far = fs::path(other.path().toStdString()) / "films";
        const auto stopped = moveLibrary(to, far, [](double) { return false; });
        QVERIFY(!stopped && stopped.error().kind == ErrorKind::cancelled);
        QVERIFY(whole(to) && !fs::exists(far));
        QVERIFY(fs::is_empty(other.path().toStdString())); // no half either
        double last = 0.0;
        QVERIFY(moveLibrary(to, far, [&](double share) {
            last = share;
            return true;
        }));
        QVERIFY(last > 0.99);
        QVERIFY(!fs::exists(to) && whole(far));
    }
    // Flipped bits anywhere in what a row holds are found, by SQLite's own check or by the row's sum.
    void flippedBytesAreFound() {
        {
            auto l = std::move(*Library::create(folder()));
            Brief b;
            b.goal = "GOALGOALGOAL";
            const Id c = *l->addCase("x", b);
            Take t;
            t.title = "TITLETITLE";
            t.times = {0.0, 0.1};
            const Id id = l->freshId();
            QVERIFY(l->apply(c, {TakeEdit{id, {}, t},
                                 MarkEdit{{id, FrameIndex(1), "left_shoulder"}, {}, Mark{{1.5, 2.5}, 1, How::hand}}}));
        }
        QVERIFY(checkLibrary(folder()));
        const auto path = QString::fromStdString((folder() / "library.sqlite").string());
        for (const char* text : {"GOALGOALGOAL", "TITLETITLE", "\x3f\xf8"}) { // 1.5 as SQLite keeps it begins so
            QFile file(path);
            QVERIFY(file.open(QIODevice::ReadWrite));
            QByteArray bytes = file.readAll();
            const auto at = bytes.indexOf(text);
            QVERIFY2(at > 0, text);
            bytes[at + 1] = static_cast<char>(bytes[at + 1] ^ 1);
            file.seek(0);
            file.write(bytes);
            file.close();
            const auto s = checkLibrary(folder());
            QVERIFY2(!s, text);
            QVERIFY(s.error().kind == ErrorKind::damaged);
            QVERIFY(!(*Library::open(folder()))->load(1).ok());
            QVERIFY(file.open(QIODevice::ReadWrite));
            bytes[at + 1] = static_cast<char>(bytes[at + 1] ^ 1);
            file.write(bytes);
            file.close();
            QVERIFY(checkLibrary(folder()));
        }
    }
};

QTEST_GUILESS_MAIN(TestCopies)
#include "test_copies.moc"
