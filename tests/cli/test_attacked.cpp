// The command line against what goes wrong: many programs at once, full disks, killed programs, files that want out.

#include "library/copies.h"
#include "library/library.h"
#include "tests/support/coded_films.h"

#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include <csignal>
#include <sys/resource.h>
#include <sys/stat.h>

using namespace riflesso;
namespace fs = std::filesystem;

class TestAttacked : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    const QString m_cli = QString(RIFLESSO_BIN_DIR) + "/riflesso-cli";

    int run(const QStringList& arguments, QByteArray* said = nullptr, const QString& program = {}) const {
        QProcess p;
        p.start(program.isEmpty() ? m_cli : program, arguments);
        if (!p.waitForFinished(120000))
            return -1;
        if (said)
            *said = p.readAllStandardError() + p.readAllStandardOutput();
        return p.exitCode();
    }
    QString write(const QString& name, const QByteArray& bytes) const {
        QFile f(m_dir.filePath(name));
        if (!f.open(QIODevice::WriteOnly))
            qFatal("write");
        f.write(bytes);
        return f.fileName();
    }
    fs::path path(const char* name) const { return fs::path(m_dir.path().toStdString()) / name; }
private slots:
    // As it was tried: many imports at once said success and left one take.
    void manyImportsAtOnce() {
        const fs::path lib = path("many");
        { QVERIFY((*Library::create(lib))->addCase("fencing-lunge", Brief{}).ok()); }
        constexpr int n = 8;
        std::vector<std::unique_ptr<QProcess>> all;
        for (int i = 0; i < n; ++i) {
            const QString film = makeCoded(m_dir.filePath(QString("film%1.mp4").arg(i)), 20 + i);
            all.push_back(std::make_unique<QProcess>());
            all.back()->start(m_cli, {"import", "--library", QString::fromStdString(lib.string()), film});
        }
        int succeeded = 0;
        for (auto& p : all) {
            QVERIFY(p->state() == QProcess::NotRunning || p->waitForFinished(240000));
            succeeded += p->exitCode() == 0;
        }
        const auto data = (*Library::open(lib))->load(1);
        QCOMPARE(static_cast<int>(data->takes.size()), succeeded);
        QCOMPARE(succeeded, n);
        QVERIFY(checkLibrary(lib));
    }
    void aFullDiskLeavesTheOldFile() {
        const QString film = makeCoded(m_dir.filePath("old.mp4"), 20);
        const QString out = m_dir.filePath("frame.png");
        QCOMPARE(run({"frame", film, "0", out}), 0);
        QFile before(out);
        QVERIFY(before.open(QIODevice::ReadOnly));
        const QByteArray old = before.readAll();
        // The shell's limit on file sizes: as on a full disk the write fails in the middle.
        const QString limited = QString("trap '' XFSZ; ulimit -f 1; exec %1 frame %2 5 %3").arg(m_cli, film, out);
        QByteArray said;
        QVERIFY(run({"-c", limited}, &said, "bash") != 0);
        QVERIFY2(said.contains("could not be written"), said.constData());
        before.seek(0);
        QFile after(out);
        QVERIFY(after.open(QIODevice::ReadOnly));
        QCOMPARE(after.readAll(), old);
        QVERIFY(!QFile::exists(out + ".part"));
    }
    // A demo that is killed leaves nothing that looks like a library, and can be made again.
    void aKilledDemoCanBeMadeAgain() {
        const QString folder = m_dir.filePath("demo"), films = QString(RIFLESSO_SOURCE_DIR) + "/build/demo-films";
        for (const int wait : {30, 150, 400}) {
            QProcess p;
            p.start(m_cli, {"demo", folder, "--first-only", "--films", films, "--today", "2026-11-23"});
            QVERIFY(p.waitForStarted());
            p.waitForFinished(wait);
            p.kill();
            p.waitForFinished();
            if (QFile::exists(folder + "/library.sqlite")) // it was quick: then it is whole
                QVERIFY((*Library::open(folder.toStdString()))->load(1).ok());
        }
        if (!QFile::exists(folder + "/library.sqlite"))
            QCOMPARE(run({"demo", folder, "--first-only", "--films", films, "--today", "2026-11-23"}), 0);
        QVERIFY((*Library::open(folder.toStdString()))->load(1)->takes.size() > 3);
        QVERIFY(QDir(m_dir.path()).entryList({".demo.making-*"}, QDir::Dirs | QDir::Hidden).isEmpty());
        QVERIFY(run({"demo", folder, "--films", films}) != 0); // and it is not written over
    }
    // Names that FFmpeg takes for addresses, lists of things to fetch, and what is no ordinary file.
    void nothingIsFetched() {
        if (run({"-V"}, nullptr, "strace") != 0)
            QFAIL("strace is missing: packaging/debian-test-packages.txt");
        QTemporaryDir here;
        const QString playlist = here.filePath("list.mp4");
        {
            QFile f(playlist);
            QVERIFY(f.open(QIODevice::WriteOnly));
            f.write("#EXTM3U\n#EXT-X-TARGETDURATION:1\n#EXTINF:1,\nhttp://127.0.0.1:9/a.ts\n#EXTINF:1,\n/etc/"
                    "hostname\n#EXT-X-ENDLIST\n");
        }
        const QString log = here.filePath("log");
        const auto traced = [&](const QString& film) {
            run({"-f", "-qq", "-e", "trace=connect,socket,openat", "-o", log, m_cli, "probe", film}, nullptr, "strace");
            QFile f(log);
            return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray();
        };
        for (const QString& film :
             {QString("http:127.0.0.1"), QString("tcp://127.0.0.1:9"), playlist, QString("concat:/etc/hostname")}) {
            const QByteArray calls = traced(film);
            QVERIFY(calls.contains("openat(")); // or this test could not fail
            QVERIFY2(!calls.contains("AF_INET"), qPrintable(film));
            QVERIFY2(!calls.contains("/etc/hostname"), qPrintable(film));
        }
        const QString pipe = here.filePath("pipe.mp4");
        QCOMPARE(::mkfifo(pipe.toUtf8().constData(), 0600), 0);
        QElapsedTimer clock;
        clock.start();
        QVERIFY(run({"probe", pipe}) == 1);
        QVERIFY(run({"probe", "/dev/zero"}) == 1);
        QVERIFY(run({"series", "--tracks", pipe, "--measure", "{}"}) == 1);
    }
    // Files that promise more than they hold are refused before memory is taken: 400 MB must do.
    void promisesAreNotBelieved() {
        QByteArray c3d(1024, '\0');
        c3d[0] = 2;
        c3d[1] = 0x50;
        c3d[2] = '\xff';
        c3d[3] = '\xff';
        c3d[6] = 1;
        c3d[8] = '\xff';
        c3d[9] = '\xff';
        c3d[16] = 0; // its points in its head
        const QString bvh =
            "HIERARCHY\nROOT a\n{\nOFFSET 0 0 0\nCHANNELS 0\n}\nMOTION\nFrames: 500000000\nFrame Time: 0.01\n";
        const QString files[] = {
            write("a.c3d", c3d), write("a.bvh", bvh.toUtf8()),
            write("far.csv", "time_s,frame,landmark,x_px,y_px,sigma_px,how\n0,0,neck,1e150,1,1,hand\n"),
            write("cut.csv", "time_s,frame,landmark,x_px,y_px\n0,0,neck,10,10\n0.1,1,neck,10,1"),
            write("frame.csv", "time_s,frame,landmark,x_px,y_px\n0,1999999999,neck,10,10\n")};
        for (const QString& file : files) {
            QByteArray said;
            const QString limited =
                QString("ulimit -v 2000000; exec %1 convert %2 %3").arg(m_cli, file, m_dir.filePath("out.csv"));
            QCOMPARE(run({"-c", limited}, &said, "bash"), 1);
            QVERIFY2(said.count('\n') == 1 && said.startsWith("riflesso-cli: "), said.constData());
            QVERIFY(!QFile::exists(m_dir.filePath("out.csv")));
        }
    }
    void theGate() {
        QByteArray said;
        QCOMPARE(run({"gate", "--reps", "GGGGGGGGGGGG", "--json"}, &said), 0);
        QCOMPARE(QJsonDocument::fromJson(said).object()["answer"].toString(), QString("up"));
        QCOMPARE(run({"gate", "--reps", "GGBB", "--json"}, &said), 0);
        QCOMPARE(QJsonDocument::fromJson(said).object()["answer"].toString(), QString("more"));
        QCOMPARE(QJsonDocument::fromJson(said).object()["more"].toInt(), 4);
        QCOMPARE(run({"gate", "--reps", "GGX"}, &said), 1);
    }
    // A first reading without a library keeps nothing; a wrong use says so.
    void readSaysWhatIsWrong() {
        QByteArray said;
        QCOMPARE(run({"read", m_dir.filePath("none.mp4")}, &said), 1);
        QVERIFY(said.contains("no such file"));
        QCOMPARE(run({"read", m_dir.filePath("old.mp4"), "--library", m_dir.filePath("x")}, &said), 1);
        QVERIFY(said.contains("--athlete"));
        QCOMPARE(run({"read", m_dir.filePath("old.mp4"), "--capture-rate", "-5"}, &said), 1);
        QCOMPARE(run({"read", m_dir.filePath("old.mp4"), "--json"}, &said), 1); // no person is in it
        QVERIFY(!QFile::exists(m_dir.filePath("x")));
    }
};

QTEST_GUILESS_MAIN(TestAttacked)
#include "test_attacked.moc"
