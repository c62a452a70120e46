// The window is killed without warning fifty times in the midst of marking and carrying, and thirty times in a block of
// practice. After each time the library opens, every gesture that had come back is there, and at most the last one is
// missing.

#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "library/library.h"
#include "tests/support/demo_copy.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QProcess>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

#include <csignal>
#include <cstdio>
#include <random>
#include <set>

using namespace riflesso;

namespace {

void names() {
    QStandardPaths::setTestModeEnabled(true);
    QCoreApplication::setOrganizationName("RiflessoTest");
    QCoreApplication::setApplicationName("RiflessoTestKilled");
}

Id frontTake(const CaseData& data) {
    for (const auto& [id, t] : data.takes)
        if (t.film == "athlete-front.mp4")
            return id;
    return 0;
}

// Marks and carries until it is killed. Says each gesture before it begins and once it is done.
int child(const QString& library, int from) {
    MainWindow window(*dayFromIso("2026-11-23"));
    window.resize(1100, 720);
    window.show();
    if (!window.openLibrary(library, 1) || !settle(window))
        return 1;
    CaseView* view = window.caseView();
    Workbench& bench = view->bench();
    view->show(Workspace::marking);
    bench.selectTake(frontTake(bench.data()));
    MarkCanvas* canvas = view->marking()->canvas();
    settle(window);
    for (int i = from;; ++i) {
        bench.setFrame((7 * i) % 300);
        canvas->setLandmark(i % 2 ? "neck" : "left_knee");
        QTest::qWait(1);
        if (canvas->picture().isNull())
            settle(window);
        std::printf("begins %d %s\n", bench.frame(), canvas->landmark().c_str());
        std::fflush(stdout);
        QTest::mouseClick(canvas, Qt::LeftButton, {},
                          canvas->toView().map(QPointF(500 + i % 200, 200 + i % 90)).toPoint());
        std::printf("done %d %s\n", bench.frame(), canvas->landmark().c_str());
        std::fflush(stdout);
        if (i % 6 == 0)
            QTest::keyClick(canvas, Qt::Key_C);
    }
}

// Practises until it is killed.
int practise(const QString& library) {
    MainWindow window(*dayFromIso("2026-11-23"));
    window.resize(1100, 720);
    window.show();
    if (!window.openLibrary(library, 1) || !settle(window))
        return 1;
    CaseView* view = window.caseView();
    view->show(Workspace::practice);
    settle(window);
    QWidget* page = view->page(Workspace::practice);
    page->setFocus();
    std::mt19937 random(std::random_device{}());
    for (;;) {
        const bool good = random() % 2 == 0;
        std::printf("begins %c\n", good ? 'G' : 'B');
        std::fflush(stdout);
        QTest::keyClick(page, good ? Qt::Key_G : Qt::Key_B);
        std::printf("done %c\n", good ? 'G' : 'B');
        std::fflush(stdout);
        QTest::qWait(1);
    }
}

// Starts this program as a child, kills it some time after its first word, and gives what it had said, line by line.
QList<QByteArray> saidUntilKilled(const QStringList& arguments, int milliseconds) {
    QProcess p;
    p.start(QCoreApplication::applicationFilePath(), arguments);
    if (!p.waitForStarted() || !p.waitForReadyRead(180000)) {
        qWarning("%s", p.readAllStandardError().constData());
        return {};
    }
    QTest::qSleep(static_cast<unsigned>(milliseconds));
    ::kill(static_cast<pid_t>(p.processId()), SIGKILL);
    p.waitForFinished();
    return p.readAllStandardOutput().split('\n');
}

} // namespace

class TestKilled : public QObject {
    Q_OBJECT
private slots:
    void fiftyTimes() {
        QTemporaryDir dir;
        const QString library = dir.filePath("library");
        QVERIFY(test::copyDemo(library));
        std::mt19937 random(1);
        std::uniform_int_distribution<int> instant(0, 900);
        std::set<std::pair<int, std::string>> done;
        int gestures = 0, midst = 0;
        for (int round = 0; round < 50; ++round) {
            const auto said = saidUntilKilled({"--child", library, QString::number(1 + gestures)}, instant(random));
            QVERIFY(!said.isEmpty());
            std::pair<int, std::string> last{-1, ""};
            for (const QByteArray& line : said) {
                const auto words = line.split(' ');
                if (words.size() < 3)
                    continue; // cut off in the middle of a line
                const std::pair<int, std::string> what{words[1].toInt(), words[2].toStdString()};
                if (words[0] == "begins")
                    last = what;
                if (words[0] == "done") {
                    done.insert(what);
                    last = {-1, ""};
                    ++gestures;
                }
            }
            midst += last.first >= 0;
            auto l = Library::open(library.toStdString());
            QVERIFY2(l.ok(), l ? "" : l.error().text().c_str());
            const auto data = (*l)->load(1);
            QVERIFY2(data.ok(), data ? "" : data.error().text().c_str());
            const Id take = frontTake(*data);
            const auto tracks = data->marks.find(take);
            if (done.empty())
                continue;
            QVERIFY(tracks != data->marks.end());
            int hands = 0;
            for (const auto& [name, track] : tracks->second)
                for (const auto& [frame, mark] : track) {
                    hands += mark.how == How::hand;
                    QVERIFY(mark.sigma >= 0.0 && frame.value >= 0);
                    // What a hand made is one of the gestures that were said.
                    if (mark.how == How::hand)
                        QVERIFY(done.contains({frame.value, name}) || std::pair(frame.value, name) == last);
                }
            for (const auto& [frame, name] : done) {
                const auto track = tracks->second.find(name);
                QVERIFY2(track != tracks->second.end() && track->second.contains(FrameIndex(frame)) &&
                             track->second.at(FrameIndex(frame)).how == How::hand,
                         qPrintable(QString("frame %1 of round %2").arg(frame).arg(round)));
            }
            QVERIFY(hands == static_cast<int>(done.size()) || hands == static_cast<int>(done.size()) + 1);
            if (hands > static_cast<int>(done.size()))
                done.insert(last); // it was kept before it could be said
        }
        qInfo("%d gestures, killed %d times in the midst of one", gestures, midst);
        QVERIFY(gestures > 100);
    }
    void thirtyTimesInABlock() {
        QTemporaryDir dir;
        const QString library = dir.filePath("library");
        QVERIFY(test::copyDemo(library));
        std::mt19937 random(2);
        std::uniform_int_distribution<int> instant(0, 600);
        Id last = 0; // the newest block before the round
        const auto newer = [&](const CaseData& data) {
            std::string all;
            for (const auto& [id, block] : data.blocks)
                for (const auto& rep : block.reps)
                    all += id > last ? (rep.good() ? "G" : "B") : "";
            return all;
        };
        std::size_t reps = 0;
        int beyond = 0;
        for (int round = 0; round < 30; ++round) {
            {
                const auto l = Library::open(library.toStdString());
                QVERIFY(l.ok());
                const auto data = (*l)->load(1);
                QVERIFY(data.ok());
                last = data->blocks.empty() ? 0 : data->blocks.rbegin()->first;
            }
            std::string done, begun;
            const auto said = saidUntilKilled({"--practise", library}, instant(random));
            QVERIFY(!said.isEmpty());
            for (const QByteArray& line : said) {
                if (line.startsWith("begins ") && line.size() == 8)
                    begun = line.back();
                if (line.startsWith("done ") && line.size() == 6) {
                    done += line.back();
                    begun.clear();
                }
            }
            const auto l = Library::open(library.toStdString());
            QVERIFY2(l.ok(), l ? "" : l.error().text().c_str());
            const auto data = (*l)->load(1);
            QVERIFY2(data.ok(), data ? "" : data.error().text().c_str());
            const std::string there = newer(*data);
            QVERIFY2(there == done || there == done + begun,
                     qPrintable(QString("said %1, kept %2").arg(done.c_str(), there.c_str())));
            beyond += there.size() > done.size();
            reps += there.size();
        }
        qInfo("%zu reps; %d times the last key was kept before it could be said", reps, beyond);
        QVERIFY(reps > 60);
    }
};

int main(int argc, char** argv) {
    QApplication application(argc, argv);
    names();
    loadFonts();
    useTheme(Theme::light());
    if (argc == 4 && QString(argv[1]) == "--child")
        return child(argv[2], QString(argv[3]).toInt());
    if (argc == 3 && QString(argv[1]) == "--practise")
        return practise(argv[2]);
    TestKilled test;
    return QTest::qExec(&test, argc, argv);
}
#include "test_killed.moc"
