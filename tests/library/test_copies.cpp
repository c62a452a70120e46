#include "library/copies.h"

#include "library/library.h"

#include <QFile>
#include <QTemporaryDir>
#include <QTest>

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
