// The window is killed without warning in the midst of marking and carrying, in a block of practice, while a scene is
// spoken over, and while a clip is written; twenty times and ten times each here, 250 times each by `make kills`. After
// each time the library opens, every gesture that had come back is there, and at most the last one is missing.

#include "casebook/analysis.h"
#include "casebook/shipped.h"
#include "desktop/handover/handover_page.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "footage/film.h"
#include "footage/sound.h"
#include "handover/clip.h"
#include "handover/review.h"
#include "library/library.h"
#include "tests/support/demo_copy.h"

#include <QApplication>
#include <QComboBox>
#include <QDir>
#include <QElapsedTimer>
#include <QProcess>
#include <QPushButton>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

#include <chrono>
#include <csignal>
#include <cstdint>
#include <cstdio>
#include <random>
#include <set>
#include <thread>

using namespace riflesso;

namespace {

// How often: a slot's usual number, or RIFLESSO_KILLS (make kills: 250 each, a thousand in all).
int kills(int usual) {
    const int asked = qEnvironmentVariableIntValue("RIFLESSO_KILLS");
    return asked > 0 ? asked : usual;
}

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

// Speaks over one scene after the other until it is killed.
int record(const QString& library) {
    MainWindow window(*dayFromIso("2026-11-23"));
    window.resize(1280, 800);
    window.show();
    if (!window.openLibrary(library, 1) || !settle(window))
        return 1;
    window.caseView()->show(Workspace::handover);
    settle(window);
    auto* handover = window.caseView()->handover();
    handover->showReview(true);
    settle(window);
    auto* microphone = window.findChild<QComboBox*>("reviewMicrophone");
    auto* button = window.findChild<QPushButton*>("sceneRecord");
    if (!microphone || !button)
        return 2;
    microphone->setCurrentIndex(microphone->count() - 1); // the simulated one
    for (int i = 1;; ++i) {
        button->click();
        std::printf("begins %d\n", i);
        std::fflush(stdout);
        QTest::qWait(120);
        button->click();
        std::printf("done %d\n", i);
        std::fflush(stdout);
    }
}

// Writes clips until it is killed.
int writeClips(const QString& library, const QString& folder) {
    const auto l = Library::open(library.toStdString());
    const auto data = l ? (*l)->load(1) : Result<CaseData>(l.error());
    const auto blueprint = data ? blueprintForCase((*l)->folder(), data->blueprintId) : Result<Blueprint>(Error{});
    if (!blueprint)
        return 1;
    const FilmedCase filmed{*data, *blueprint, analyse(*data, *blueprint, *dayFromIso("2026-11-23")), (*l)->media()};
    ClipOptions o;
    o.rep = data->reps.begin()->first;
    o.width = 320;
    o.height = 180;
    for (int i = 0;; ++i) {
        const QString file = folder + QString("/clip-%1.mp4").arg(i % 4);
        std::printf("begins %d\n", i);
        std::fflush(stdout);
        if (!writeClip(filmed, o, file.toStdString()))
            return 2;
        std::printf("done %d\n", i);
        std::fflush(stdout);
    }
}

// What a child had said, line by line, and how many lines it had to say before it was killed.
struct LastWords {
    QList<QByteArray> said; // empty: it did not come so far
    int asked = 0;
};

// Starts this program as a child and kills it after between one and `most` lines and some part of a further one. Lines
// and not milliseconds: a slow machine gets as far as a fast one.
LastWords saidUntilKilled(const QStringList& arguments, std::mt19937& random, int most) {
    const int asked = std::uniform_int_distribution<int>(1, most)(random);
    QProcess p;
    p.start(QCoreApplication::applicationFilePath(), arguments);
    QByteArray said;
    QElapsedTimer sinceFirst;
    while (said.count('\n') < asked) {
        if (!p.waitForReadyRead(180000)) {
            qWarning("%s", p.readAllStandardError().constData());
            return {};
        }
        if (said.isEmpty())
            sinceFirst.start();
        said += p.readAllStandardOutput();
    }
    const double aLine = static_cast<double>(sinceFirst.nsecsElapsed()) / static_cast<double>(said.count('\n'));
    std::this_thread::sleep_for(std::chrono::nanoseconds(
        static_cast<std::int64_t>(std::uniform_real_distribution<double>(0.0, 2.0 * aLine)(random))));
    ::kill(static_cast<pid_t>(p.processId()), SIGKILL);
    p.waitForFinished();
    return {(said + p.readAllStandardOutput()).split('\n'), asked};
}

} // namespace

class TestKilled : public QObject {
    Q_OBJECT
private slots:
    void whileMarking() {
        QTemporaryDir dir;
        const QString library = dir.filePath("library");
        QVERIFY(test::copyDemo(library));
        std::mt19937 random(1);
        std::set<std::pair<int, std::string>> done;
        int gestures = 0, midst = 0, asked = 0;
        for (int round = 0; round < kills(20); ++round) {
            const auto words = saidUntilKilled({"--child", library, QString::number(1 + gestures)}, random, 30);
            QVERIFY(!words.said.isEmpty());
            asked += words.asked / 2; // each gesture is said twice
            std::pair<int, std::string> last{-1, ""};
            for (const QByteArray& line : words.said) {
                const auto parts = line.split(' ');
                if (parts.size() < 3)
                    continue; // cut off in the middle of a line
                const std::pair<int, std::string> what{parts[1].toInt(), parts[2].toStdString()};
                if (parts[0] == "begins")
                    last = what;
                if (parts[0] == "done") {
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
        QVERIFY(gestures >= asked && asked > 0);
    }
    void inABlock() {
        QTemporaryDir dir;
        const QString library = dir.filePath("library");
        QVERIFY(test::copyDemo(library));
        std::mt19937 random(2);
        Id last = 0; // the newest block before the round
        const auto newer = [&](const CaseData& data) {
            std::string all;
            for (const auto& [id, block] : data.blocks)
                for (const auto& rep : block.reps)
                    all += id > last ? (rep.good() ? "G" : "B") : "";
            return all;
        };
        std::size_t reps = 0, asked = 0;
        int beyond = 0;
        for (int round = 0; round < kills(10); ++round) {
            {
                const auto l = Library::open(library.toStdString());
                QVERIFY(l.ok());
                const auto data = (*l)->load(1);
                QVERIFY(data.ok());
                last = data->blocks.empty() ? 0 : data->blocks.rbegin()->first;
            }
            std::string done, begun;
            const auto words = saidUntilKilled({"--practise", library}, random, 12);
            QVERIFY(!words.said.isEmpty());
            asked += static_cast<std::size_t>(words.asked / 2);
            for (const QByteArray& line : words.said) {
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
        QVERIFY(reps >= asked && asked > 0);
    }
    void whileASceneIsSpoken() {
        QTemporaryDir dir;
        const QString library = dir.filePath("library");
        QVERIFY(test::copyDemo(library));
        std::mt19937 random(3);
        const auto folder = reviewFolder(library.toStdString(), 1);
        int scenes = 0, asked = 0;
        for (int round = 0; round < kills(10); ++round) {
            std::error_code ec;
            std::filesystem::remove_all(folder, ec); // each round from the scenes as they are proposed
            const auto words = saidUntilKilled({"--record", library}, random, 7);
            QVERIFY(!words.said.isEmpty());
            const auto done = std::count_if(words.said.begin(), words.said.end(),
                                            [](const auto& l) { return l.startsWith("done "); });
            const auto review = readReview(folder);
            QVERIFY2(review.ok(), review ? "" : review.error().text().c_str());
            if (!*review) {
                QCOMPARE(done, 0);
                continue;
            }
            int spoken = 0;
            for (const auto& s : (*review)->scenes)
                if (s.spoken) {
                    ++spoken;
                    const auto voice = soundOf(voiceFile(folder, s), 48000);
                    QVERIFY2(voice.ok(), voice ? "" : voice.error().text().c_str());
                    QVERIFY(voice->samples.size() > 1000);
                }
            // Every scene that was done is there with its voice; scenes are as many as there are, then the last again.
            const int most = static_cast<int>((*review)->scenes.size());
            QVERIFY2(spoken >= std::min<int>(static_cast<int>(done), most) && spoken <= static_cast<int>(done) + 1,
                     qPrintable(QString("%1 spoken, %2 said").arg(spoken).arg(done)));
            scenes += spoken;
            asked += std::min(words.asked / 2, most);
        }
        qInfo("%d scenes were there after %d kills", scenes, kills(10));
        QVERIFY(scenes >= asked && asked > 0);
    }
    void whileAClipIsWritten() {
        QTemporaryDir dir;
        const QString library = dir.filePath("library"), clips = dir.filePath("clips");
        QVERIFY(test::copyDemo(library));
        QVERIFY(QDir().mkpath(clips));
        std::mt19937 random(4);
        int whole = 0;
        std::optional<std::size_t> frames;
        for (int round = 0; round < kills(10); ++round) {
            const auto words = saidUntilKilled({"--clips", library, clips}, random, 7);
            QVERIFY(!words.said.isEmpty());
            for (const QByteArray& line : words.said)
                if (line.startsWith("done "))
                    QVERIFY(QFile::exists(clips + QString("/clip-%1.mp4").arg(line.mid(5).toInt() % 4)));
            for (const auto& name : QDir(clips).entryList({"*.mp4"})) {
                const auto film = Film::open(QDir(clips).filePath(name).toStdString());
                QVERIFY2(film.ok(), qPrintable(name));
                frames = frames.value_or((*film)->times().size());
                QCOMPARE((*film)->times().size(), *frames); // never a part of one
                ++whole;
            }
            // Of a half one at most a hidden file, which the next takes over.
            QVERIFY(QDir(clips).entryList(QDir::Files | QDir::Hidden).size() <= 4 + 4);
        }
        qInfo("%d looks at whole clips after %d kills", whole, kills(10));
        QVERIFY(whole > 0);
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
    if (argc == 3 && QString(argv[1]) == "--record")
        return record(argv[2]);
    if (argc == 4 && QString(argv[1]) == "--clips")
        return writeClips(argv[2], argv[3]);
    TestKilled test;
    return QTest::qExec(&test, argc, argv);
}
#include "test_killed.moc"
