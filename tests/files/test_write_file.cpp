#include "files/write_file.h"
#include "tests/support/full_disk.h"

#include <QTemporaryDir>
#include <QTest>

#include <filesystem>
#include <fstream>
#include <sys/stat.h>

using namespace riflesso;
namespace fs = std::filesystem;

class TestWriteFile : public QObject {
    Q_OBJECT
    std::unique_ptr<QTemporaryDir> m_dir;
    fs::path at(const char* name) const { return fs::path(m_dir->path().toStdString()) / name; }
private slots:
    void aFolderIsNamedWhenItIsWhole() {
        QTemporaryDir dir;
        const fs::path whole = dir.filePath("folder").toStdString();
        QVERIFY(reserveHalf(whole, true));
        QVERIFY(writeFile(halfOf(whole) / "a", "x"));
        QVERIFY(!fs::exists(whole));
        QVERIFY(finishHalf(whole));
        QVERIFY(fs::exists(whole / "a") && !fs::exists(halfOf(whole)));
        QVERIFY(!finishHalf(whole)); // there is no half one any more
    }
    void init() { m_dir = std::make_unique<QTemporaryDir>(); }

    void whatIsWrittenIsRead() {
        const std::string bytes("a\0b\n\xff", 5);
        QVERIFY(writeFile(at("a"), bytes));
        QCOMPARE(*readFile(at("a")), bytes);
        QVERIFY(writeFile(at("a"), ""));
        QCOMPARE(*readFile(at("a")), std::string());
        struct stat about {};
        QCOMPARE(::stat(at("a").c_str(), &about), 0);
        QCOMPARE(about.st_mode & 0777u, 0600u);
        QVERIFY(!fs::exists(halfOf(at("a"))));
    }
    // A limit on file sizes is the nearest thing to a full disk that needs no rights: write() fails in the middle.
    void aFullDiskLeavesTheOldFile() {
        QVERIFY(writeFile(at("a"), "old"));
        const auto s = [&] {
            const test::FullDisk full(1000);
            return writeFile(at("a"), std::string(5000, 'x'));
        }();
        QVERIFY(!s);
        QVERIFY(s.error().text().find("could not be written") != std::string::npos);
        QCOMPARE(*readFile(at("a")), std::string("old"));
        QVERIFY(!fs::exists(halfOf(at("a"))));
    }
    void aNameThatIsTakenIsNotReserved() {
        QVERIFY(writeFile(at("film"), "somebody's"));
        const auto taken = reserveHalf(at("film"));
        QVERIFY(!taken && taken.error().kind == ErrorKind::conflict);
        QVERIFY(!fs::exists(halfOf(at("film"))));
        fs::create_directory(at("folder"));
        QVERIFY(reserveHalf(at("folder"), true)); // an empty one may be replaced
        fs::remove(halfOf(at("folder")));
        QVERIFY(writeFile(fs::path(at("folder")) / "a", "x"));
        QVERIFY(!reserveHalf(at("folder"), true) && !fs::exists(halfOf(at("folder"))));
        fs::create_symlink(at("nowhere"), at("link"));
        QVERIFY(!reserveHalf(at("link")));
    }
    void aLinkInTheWayIsNotFollowed() {
        QVERIFY(writeFile(at("precious"), "precious"));
        fs::create_symlink(at("precious"), halfOf(at("a")));
        QVERIFY(writeFile(at("a"), "new"));
        QCOMPARE(*readFile(at("precious")), std::string("precious"));
        QCOMPARE(*readFile(at("a")), std::string("new"));
    }
    void whereThereIsNoFolderNothingIsWritten() {
        const auto s = writeFile(at("no/a"), "x");
        QVERIFY(!s && !s.error().advice.empty());
    }
    void onlyOrdinaryFilesAreRead() {
        QCOMPARE(::mkfifo(at("pipe").c_str(), 0600), 0);
        QVERIFY(!readFile(at("pipe"))); // does not wait for its other end
        QVERIFY(!readFile(m_dir->path().toStdString()));
        QVERIFY(!readFile("/dev/zero"));
        QVERIFY(!readFile(at("none")));
        QVERIFY(writeFile(at("long"), std::string(2000, 'x')));
        QVERIFY(!readFile(at("long"), 1999) && readFile(at("long"), 2000));
    }
    void halfNames() {
        QCOMPARE(halfOf("a/b.mp4"), fs::path("a/b.mp4.part"));
        QVERIFY(isHalf("a/b.mp4.part") && !isHalf("a/b.mp4") && !isHalf("part"));
    }
};

QTEST_GUILESS_MAIN(TestWriteFile)
#include "test_write_file.moc"
