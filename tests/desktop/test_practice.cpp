// A practice through the real window: reps by one key each, a camera beside it, its cue and tempo, a day on one's own.

#include "casebook/diary.h"
#include "casebook/planner.h"
#include "desktop/practice/practice_page.h"
#include "footage/camera.h"
#include "simulator/eye_trial.h"
#include "tests/support/modal.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QProgressBar>
#include <QPushButton>
#include <QSignalSpy>
#include <QSpinBox>
#include <QTest>

#include <algorithm>
#include <chrono>
#include <filesystem>
#include <memory>
#include <thread>

using namespace riflesso;

namespace {

// Stillness, one rep as it comes, stillness: as a camera on a tripod sees it.
class OneRep : public Camera {
public:
    explicit OneRep(const EyeTrial& trial) : m_rate(trial.rate) {
        for (const auto& p : trial.frames)
            m_frames.push_back(std::make_shared<const Picture>(p));
    }
    std::string name() const override { return "One rep"; }
    Status start() override {
        m_began = std::chrono::steady_clock::now();
        return Done{};
    }
    Result<LivePicture> next() override {
        constexpr int kStill = 60; // pictures of rest before the rep
        const double t = m_next / m_rate;
        std::this_thread::sleep_until(
            m_began + std::chrono::duration_cast<std::chrono::nanoseconds>(std::chrono::duration<double>(t)));
        const int last = static_cast<int>(m_frames.size()) - 1;
        return LivePicture{t, m_frames[static_cast<std::size_t>(std::clamp(m_next++ - kStill, 0, last))]};
    }
    void stop() override {}
    Hertz rate() const override { return Hertz(m_rate); }

private:
    std::vector<std::shared_ptr<const Picture>> m_frames;
    double m_rate;
    int m_next = 0;
    std::chrono::steady_clock::time_point m_began;
};

} // namespace

class TestPractice : public test::WindowTest {
    Q_OBJECT
private slots:
    void initTestCase() {
        prepare("RiflessoTestPractice");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void aPractice() {
        go(Workspace::practice);
        auto* page = static_cast<PracticePage*>(view()->page(Workspace::practice));
        page->setFocus();
        QTest::keyClick(page, Qt::Key_N);
        const std::size_t before = data().blocks.size();
        for (int i = 0; i < 30; ++i)
            QTest::keyClick(page, i % 4 == 3 ? Qt::Key_B : Qt::Key_G);
        QCOMPARE(data().blocks.size(), before + 1);
        const Block& block = data().blocks.rbegin()->second;
        QCOMPARE(block.reps.size(), std::size_t(30));
        QCOMPARE(std::count_if(block.reps.begin(), block.reps.end(), [](const auto& r) { return r.good(); }),
                 std::ptrdiff_t(23));
        QTest::keyClick(page, Qt::Key_R);
        auto* bar = page->findChild<QProgressBar*>();
        QVERIFY(settle(*m_window) && bar->isVisible());
        QTest::keyClick(page, Qt::Key_R);
        QVERIFY(!bar->isVisible());
        auto* note = child<QLineEdit>("practiceNote");
        note->setFocus();
        QTest::keyClicks(note, "calm hands");
        QTest::keyClick(note, Qt::Key_Return);
        QCOMPARE(data().blocks.rbegin()->second.note, std::string("calm hands"));
        // It was said of this block, not of the next one.
        page->setFocus();
        QTest::keyClick(page, Qt::Key_N);
        QVERIFY2(note->text().isEmpty(), qPrintable(note->text()));
        QTest::keyClick(page, Qt::Key_G);
        QCOMPARE(data().blocks.size(), before + 2);
        QVERIFY(data().blocks.rbegin()->second.note.empty());
        for (int i = 0; i < 33; ++i) // 30 reps, the note, a rep, and one too many for this page
            if (data().blocks.size() > before)
                book().undo();
        QCOMPARE(data().blocks.size(), before);
        go(Workspace::programme);
        planned();
    }
    void aCameraBesidePractice() {
        go(Workspace::practice);
        auto* page = static_cast<PracticePage*>(view()->page(Workspace::practice));
        auto* screen = page->findChild<RepScreen*>();
        const std::size_t before = data().blocks.size();
        auto* which = page->findChild<QComboBox*>("practiceCamera");
        which->setCurrentIndex(which->count() - 1); // the simulated one
        page->setFocus();
        QTest::keyClick(page, Qt::Key_N);
        QTest::keyClick(page, Qt::Key_C);
        QVERIFY(screen->running() && screen->isVisible() && !page->findChild<RightAndWrong*>()->isVisible());
        QSignalSpy seen(screen, &RepScreen::repSeen);
        QTRY_VERIFY(!seen.isEmpty());
        QVERIFY(screen->playing()); // once more, by itself
        QTest::qWait(300);
        picture("practice-camera");
        QTest::keyClick(page, Qt::Key_G); // the verdict takes the rep's film
        const auto block = [&]() -> const Block& { return data().blocks.rbegin()->second; };
        const std::string clip = block().reps.back().clip;
        QVERIFY(!clip.empty());
        const auto film = book().library().practiceClips(1) / clip;
        QTRY_VERIFY(std::filesystem::exists(film));
        QTRY_VERIFY(screen->words().contains("Rep 1 kept"));
        // What the focus measure says of the last rep: a draft beside the coach's verdict, or why there is none.
        QSignalSpy measured(screen, &RepScreen::read);
        QTest::keyClick(page, Qt::Key_M);
        QVERIFY(screen->reading());
        QTRY_VERIFY(!screen->reading());
        if (measured.isEmpty()) {
            qInfo("%s", qPrintable(screen->words()));
            QVERIFY2(screen->words().contains("could not be measured"), qPrintable(screen->words()));
        } else {
            picture("practice-measured");
            const auto of = measured[0][0].value<std::string>();
            const auto& reps = block().reps;
            const auto rep = std::find_if(reps.begin(), reps.end(), [&](const auto& r) { return r.clip == of; });
            if (rep != reps.end()) // it was judged
                QCOMPARE(rep->machine, std::optional(measured[0][1].toBool()));
        }
        QVERIFY(block().reps[0].coach == true); // the verdict stays the coach's
        QTest::keyClick(page, Qt::Key_C);
        QVERIFY(!screen->running() && !screen->isVisible());
        QTest::keyClick(page, Qt::Key_B); // without a camera: no film
        QVERIFY(block().reps.size() == 2 && block().reps.back().clip.empty());
        // The dot of the first rep brings its film back; the second has none.
        auto* dots = page->findChild<RepDots*>();
        const double step = std::min(46.0, dots->width() / 10.0);
        const auto dot = [&](int i) {
            return QPoint(static_cast<int>((dots->width() - 10 * step) / 2 + (i + 0.5) * step), dots->height() / 2);
        };
        QTest::mouseClick(dots, Qt::LeftButton, {}, dot(1));
        QVERIFY(!screen->isVisible());
        QTest::mouseClick(dots, Qt::LeftButton, {}, dot(0));
        QTRY_VERIFY(screen->playing() && screen->isVisible());
        QTRY_VERIFY(!screen->playing() && !screen->isVisible());
        QTest::keyClick(page, Qt::Key_Left); // the same by key: the second rep has no film and is passed over
        QTRY_VERIFY(screen->playing() && screen->isVisible());
        QTRY_VERIFY(!screen->playing() && !screen->isVisible());
        std::filesystem::remove(film);
        QTest::mouseClick(dots, Qt::LeftButton, {}, dot(0));
        QTRY_VERIFY(screen->words().contains("not there any more"));
        QTest::keyClick(page, Qt::Key_C);
        QVERIFY(screen->running());
        go(Workspace::programme); // nobody is filmed unseen
        QVERIFY(!screen->running());
        while (data().blocks.size() > before && book().undo())
            ;
        QCOMPARE(data().blocks.size(), before);
        planned();
    }
    // What M comes to where the film can be read: a draft in words, and a verdict beside the coach's on that rep's dot.
    void aRepIsReadFromItsFilm() {
        const auto trial = eyeTrial("fencing-lunge", "trunk_falls_deg", 20.0, 5, 720);
        QVERIFY(trial.ok());
        RepScreen screen(view()->bench(), {{"one rep", [&trial] { return std::make_unique<OneRep>(*trial); }}});
        screen.resize(640, 400);
        screen.show();
        screen.start();
        QSignalSpy seen(&screen, &RepScreen::repSeen);
        QTRY_VERIFY(!seen.isEmpty());
        QTRY_VERIFY(screen.words().contains("kept"));
        screen.stop();
        // Wide: the number itself is checked against the simulated fault in test_reading.
        const Band upright{-90.0, 90.0, 1.0};
        QSignalSpy measured(&screen, &RepScreen::read);
        screen.readLast({{"land_trunk", upright}});
        QVERIFY(screen.reading());
        QTRY_VERIFY(!screen.reading());
        QVERIFY2(measured.size() == 1, qPrintable(screen.words()));
        QVERIFY2(screen.words().contains("A draft: it counts for nothing"), qPrintable(screen.words()));
        QVERIFY(measured[0][1].toBool());
        picture("practice-measured", &screen);
        // The page puts it beside the verdict on the rep of that film, and on no other.
        const std::string clip = measured[0][0].value<std::string>();
        go(Workspace::practice);
        auto* page = static_cast<PracticePage*>(view()->page(Workspace::practice));
        const std::size_t before = data().blocks.size();
        QTest::keyClick(page, Qt::Key_N);
        QTest::keyClick(page, Qt::Key_B);
        QTest::keyClick(page, Qt::Key_G);
        Block block = data().blocks.rbegin()->second;
        block.reps[0].clip = clip;
        QVERIFY(book().setBlock(block));
        emit page->findChild<RepScreen*>()->read(clip, true);
        const auto& reps = data().blocks.rbegin()->second.reps;
        QVERIFY(reps[0].machine == true && reps[0].coach == false && !reps[1].machine);
        while (data().blocks.size() > before && book().undo())
            ;
    }
    // Cut by sound: the simulated microphone hears a strike a second; whatever the camera sees, each is a rep.
    void aRepIsCutBySound() {
        const auto trial = eyeTrial("fencing-lunge", "trunk_falls_deg", 0.0, 5, 72);
        QVERIFY(trial.ok());
        RepScreen screen(view()->bench(), {{"one rep", [&trial] { return std::make_unique<OneRep>(*trial); }}});
        screen.resize(640, 400);
        screen.show();
        screen.start();
        auto* cut = screen.findChild<QComboBox*>("practiceCut");
        QVERIFY(cut);
        QSignalSpy seen(&screen, &RepScreen::repSeen);
        cut->setFocus();
        QTest::keyClick(cut, Qt::Key_Down);
        QCOMPARE(cut->currentIndex(), 1);
        QTRY_VERIFY(seen.size() >= 2);
        QTRY_VERIFY(screen.words().contains("kept"));
        const auto clip = screen.takeUnjudged();
        QVERIFY(!clip.empty() && screen.takeUnjudged().empty());
        screen.stop();
        const auto before = seen.size();
        QTest::qWait(1500);
        QCOMPARE(seen.size(), before); // nobody listens any more
    }
    // A note that is spoken: with the microphone that ships, since there is none here; kept beside the block, heard
    // again.
    void aSpokenNote() {
        go(Workspace::practice);
        auto* page = view()->page(Workspace::practice);
        auto* note = page->findChild<SpokenNote*>();
        const std::size_t before = data().blocks.size();
        page->setFocus();
        QTest::keyClick(page, Qt::Key_N);
        QTest::keyClick(page, Qt::Key_V); // no block yet: nothing that it could belong to
        QVERIFY(!note->recording());
        QTest::keyClick(page, Qt::Key_G);
        QTest::keyClick(page, Qt::Key_V);
        QVERIFY(note->recording());
        QVERIFY(child<QPushButton>("speakNote")->text().startsWith("Stop"));
        QTest::qWait(400);
        picture("practice-speaking");
        QTest::keyClick(page, Qt::Key_V);
        QVERIFY(!note->recording() && note->seconds() > 0.2);
        const auto file = book().library().practiceClips(data().id) /
                          ("note-" + std::to_string(data().blocks.rbegin()->first) + ".wav");
        QVERIFY(std::filesystem::exists(file));
        QVERIFY(child<QPushButton>("hearNote"));
        QTest::keyClick(page, Qt::Key_G); // the keys of practice go on
        QCOMPARE(data().blocks.rbegin()->second.reps.size(), std::size_t(2));
        // Another block has none of its own; leaving the page ends what is being spoken.
        QTest::keyClick(page, Qt::Key_N);
        QTest::keyClick(page, Qt::Key_B);
        QCOMPARE(note->seconds(), 0.0);
        QTest::keyClick(page, Qt::Key_V);
        QTest::qWait(200);
        go(Workspace::programme);
        QVERIFY(!note->recording());
        while (data().blocks.size() > before && book().undo())
            ;
    }
    void theCueOfABlockAndTheTempo() {
        go(Workspace::practice);
        auto* page = view()->page(Workspace::practice);
        auto* cues = child<QComboBox>("practiceCues");
        QVERIFY(cues && cues->count() >= 1);
        cues->lineEdit()->setText("Like a door that opens");
        QTest::keyClick(cues->lineEdit(), Qt::Key_Return);
        page->setFocus();
        QTest::keyClick(page, Qt::Key_G);
        QTest::keyClick(page, Qt::Key_B);
        QVERIFY(settle(*m_window));
        const Block* newest = nullptr;
        for (const auto& [id, b] : data().blocks)
            if (!newest || b.id > newest->id)
                newest = &b;
        QVERIFY(newest && newest->cue == "Like a door that opens" && newest->reps.size() == 2);
        QVERIFY(child<QLabel>("practiceCue")->text().contains("door"));
        // The tempo runs with or without a sound device, and a key makes it faster.
        QTest::keyClick(page, Qt::Key_T);
        QVERIFY(child<QPushButton>("tempo")->isChecked());
        const int beats = child<QSpinBox>("tempoBeats")->value();
        QTest::keyClick(page, Qt::Key_Plus);
        QCOMPARE(child<QSpinBox>("tempoBeats")->value(), beats + 1);
        picture("practice-cue");
        // The picture can be the cue.
        cues->setCurrentIndex(cues->findText("the picture"));
        emit cues->activated(cues->currentIndex());
        page->setFocus();
        QTest::keyClick(page, Qt::Key_G);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().blocks.rbegin()->second.cue, std::string("[picture]"));
        QVERIFY(child<QLabel>("practiceCue")->text().contains("picture"));
        QTest::keyClick(page, Qt::Key_T);
        QVERIFY(!child<QPushButton>("tempo")->isChecked());
    }
    // From where it is fed: chosen, in turn, mixed; told with each rep and counted.
    void inWhichWayItIsFed() {
        go(Workspace::practice);
        auto* page = view()->page(Workspace::practice);
        auto* drills = child<QComboBox>("practiceDrill");
        drills->setCurrentIndex(drills->findData("glove_call"));
        emit drills->activated(drills->currentIndex());
        auto* ways = child<QComboBox>("practiceWays");
        QVERIFY(ways && ways->count() >= 4);
        auto* feed = child<QComboBox>("practiceFeed");
        feed->setCurrentIndex(1); // in turn
        emit feed->activated(1);
        page->setFocus();
        const QString first = ways->currentText();
        QVERIFY(child<QLabel>("practiceWay")->text().contains(first));
        QTest::keyClick(page, Qt::Key_G);
        QVERIFY(ways->currentText() != first);
        QTest::keyClick(page, Qt::Key_B);
        picture("practice-ways");
        QVERIFY(settle(*m_window));
        const auto newest = [&]() -> const Block& {
            return std::max_element(data().blocks.begin(), data().blocks.end(),
                                    [](const auto& a, const auto& b) { return a.second.id < b.second.id; })
                ->second;
        };
        QCOMPARE(newest().reps.size(), std::size_t(2));
        QCOMPARE(newest().reps[0].variation, first.toStdString());
        QVERIFY(!newest().reps[1].variation.empty() && newest().reps[1].variation != newest().reps[0].variation);
        // Taken back, the rep is fed once more as it was; D takes another way.
        const QString second = QString::fromStdString(newest().reps[1].variation);
        QTest::keyClick(page, Qt::Key_Backspace);
        QCOMPARE(ways->currentText(), second);
        QTest::keyClick(page, Qt::Key_D);
        QVERIFY(ways->currentText() != second);
        // One's own words count as well.
        ways->lineEdit()->setText("off the wall");
        QTest::keyClick(ways->lineEdit(), Qt::Key_Return);
        QTest::keyClick(page, Qt::Key_G);
        QVERIFY(settle(*m_window));
        QCOMPARE(newest().reps.back().variation, std::string("off the wall"));
        QVERIFY(child<QLabel>("practiceWay")->text().contains("off the wall 1 of 1"));
        feed->setCurrentIndex(0);
        emit feed->activated(0);
    }
    // Between two reps: a drill that stands on no ladder yet.
    void anotherDrill() {
        go(Workspace::practice);
        auto* drills = child<QComboBox>("practiceDrill");
        drills->setCurrentIndex(drills->count() - 1);
        emit drills->activated(drills->count() - 1);
        auto* dialog = m_window->findChild<QDialog*>("ownDrill");
        QVERIFY(dialog && dialog->isVisible());
        dialog->findChild<QLineEdit*>("drillName")->setText("Catch the falling ball");
        dialog->findChild<QLineEdit*>("drillCue")->setText("Hand to the ball");
        dialog->findChild<QLineEdit*>("drillVariations")->setText("left, right");
        picture("own-drill", dialog);
        dialog->accept();
        QVERIFY(settle(*m_window));
        QTRY_VERIFY(drills->currentText().contains("Catch the falling ball"));
        auto* page = view()->page(Workspace::practice);
        page->setFocus();
        QTest::keyClick(page, Qt::Key_G);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().blocks.rbegin()->second.reps[0].variation, std::string("left"));
        QVERIFY(child<QLabel>("practiceSet")->text().contains("rep 2"));
    }
    // The sheet comes back with its ticks.
    void whatWasDoneAtHome() {
        PlannedBlock home;
        home.id = 91001;
        home.drill = "wall_point";
        home.fault = "hand_late";
        home.kind = BlockKind::home;
        home.minutes = 4;
        home.day = m_today - std::chrono::days(3);
        PlannedBlock later = home;
        later.id = 91002;
        later.day = m_today - std::chrono::days(1);
        QVERIFY(book().perform("home work",
                               {PlanEdit{home.id, std::nullopt, home}, PlanEdit{later.id, std::nullopt, later}}));
        go(Workspace::practice);
        test::whenModal(m_window.get(), [this](QWidget* dialog) {
            QCOMPARE(dialog->objectName(), QString("homeDialog"));
            auto* list = dialog->findChild<QListWidget*>("homeList");
            QVERIFY(list->count() >= 2);
            int row = 0; // three days ago, whatever else is open
            while (row < list->count() && !list->item(row)->text().startsWith(
                                              QString::fromStdString(dayWords(m_today - std::chrono::days(3)))))
                ++row;
            list->setCurrentRow(row);
            QTest::keyClick(list, Qt::Key_Space);
            picture("home-done", dialog);
            QTest::keyClick(dialog, Qt::Key_Return);
        });
        auto* page = view()->page(Workspace::practice);
        page->setFocus();
        QTest::keyClick(page, Qt::Key_H);
        QVERIFY(data().planned.at(home.id).state == BlockState::done);
        QVERIFY(data().planned.at(later.id).state == BlockState::planned);
        QVERIFY(book().undo()); // one step
        QVERIFY(data().planned.at(home.id).state == BlockState::planned);
    }
    void aDayOnOnesOwn() {
        const std::size_t before = data().blocks.size();
        const QString gate = child<QLabel>("gate")->text();
        test::whenModal(m_window.get(), [this](QWidget* own) {
            auto* dialog = qobject_cast<QDialog*>(own);
            QVERIFY(dialog && dialog->objectName() == "ownDayDialog");
            dialog->findChild<QSpinBox*>("ownMinutes")->setValue(25);
            dialog->findChild<QSpinBox*>("ownHits")->setValue(14);
            dialog->findChild<QLineEdit*>("ownNoticed")->setText("calmer after ten");
            picture("own-day", dialog);
            dialog->accept();
        });
        press("ownDay");
        QCOMPARE(data().blocks.size(), before + 1);
        const Block& b = data().blocks.rbegin()->second;
        QVERIFY(b.own && b.own->minutes == 25 && b.own->hits == 14 && b.own->noticed == "calmer after ten");
        QCOMPARE(child<QLabel>("gate")->text(), gate); // nobody counted: the block before still says it
        // It is said again before the next block of that drill.
        QVERIFY(child<QLabel>("lastSaid")->isVisible());
        QVERIFY2(child<QLabel>("lastSaid")->text().contains("calmer after ten"),
                 qPrintable(child<QLabel>("lastSaid")->text()));
    }
    void theDiaryKeepsWhatWasSaid() {
        const Id newest = data().blocks.rbegin()->first; // of the test before
        auto* page = view()->page(Workspace::practice);
        page->setFocus();
        QTest::keyClick(page, Qt::Key_Y);
        auto* diary = m_window->findChild<QDialog*>("diary");
        QVERIFY(diary && diary->isVisible());
        auto* list = diary->findChild<QListWidget*>("diaryDays");
        QVERIFY(list->count() >= 1);
        const auto says = [&](const QString& words) {
            for (const auto* label : diary->findChildren<QLabel*>())
                if (label->isVisible() && label->text().contains(words))
                    return true;
            return false;
        };
        QVERIFY(says("Noticed: calmer after ten"));
        picture("diary", diary);
        // A note in place; Return does not press a button.
        const auto inNewest = static_cast<qsizetype>(diaryOf(data()).front().blocks.size()) - 1; // the day's last block
        auto* note = diary->findChildren<QLineEdit*>("diaryNote").at(inNewest);
        QTest::keyClicks(note, "written later");
        QTest::keyClick(note, Qt::Key_Return);
        QCOMPARE(data().blocks.at(newest).note, std::string("written later"));
        QVERIFY(diary->isVisible());
        QTest::qWait(0);
        // Taken away, and back.
        QTest::mouseClick(diary->findChildren<QPushButton*>("diaryTakeAway").at(inNewest), Qt::LeftButton);
        QVERIFY(!data().blocks.contains(newest));
        QTRY_VERIFY(!says("Noticed: calmer after ten"));
        QTest::keyClick(diary, Qt::Key_Escape);
        QTRY_VERIFY(!m_window->findChild<QDialog*>("diary"));
        QVERIFY(book().undo());
        QCOMPARE(data().blocks.at(newest).note, std::string("written later"));
    }
};

QTEST_MAIN(TestPractice)
#include "test_practice.moc"
