// In motion and taken home, through the real window: both films locked and played, a ghost, a trace, a clip, a review
// recorded with the simulated microphone, the folder; the athlete's page, the squad sheet, and a bundle out and in.

#include "desktop/handover/handover_page.h"
#include "desktop/mirror/export_dialog.h"
#include "desktop/mirror/mirror_page.h"
#include "desktop/progress/progress_page.h"
#include "desktop/shelf/arrival_dialog.h"
#include "desktop/shelf/athlete_page.h"
#include "desktop/shelf/squad_sheet.h"
#include "desktop/shell/guide_window.h"
#include "desktop/shell/strips.h"
#include "desktop/shell/tour.h"
#include "files/write_file.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QApplication>
#include <QComboBox>
#include <QHelpEvent>
#include <QLabel>
#include <QLineEdit>
#include <QRegularExpression>
#include <QSignalSpy>
#include <QSpinBox>
#include <QToolTip>

#include <algorithm>
#include <cmath>

using namespace riflesso;

class TestTakingHome : public test::WindowTest {
    Q_OBJECT
    MirrorPage* mirror() const { return static_cast<MirrorPage*>(view()->page(Workspace::mirror)); }
    HandoverPage* handover() const { return view()->handover(); }
    ReviewPanel* review() const { return handover()->review(); }
    ShelfPage* shelf() const { return m_window->shelf(); }
    void key(QWidget* to, Qt::Key k) {
        QTest::keyClick(to, k);
        QVERIFY(settle(*m_window));
    }
    void atShelf() {
        m_window->showShelf();
        QVERIFY(settle(*m_window));
        QVERIFY(shelf());
    }
private slots:
    void initTestCase() {
        prepare("RiflessoTestTakingHome");
        openWindow();
    }
    void loopsPlaysBackwardsAndShowsAngles() {
        go(Workspace::mirror);
        key(mirror(), Qt::Key_M);
        auto* moving = mirror()->moving();
        const Rep& rep = *view()->bench().rep();
        // Only the phase under the playhead is played.
        const auto [first, last] = moving->stretch();
        view()->bench().setFrame(
            (rep.positions.at("foot_leaves").frame.value + rep.positions.at("heel_lands").frame.value) / 2);
        key(mirror(), Qt::Key_L);
        QVERIFY(moving->loops());
        QVERIFY(first < moving->stretch().first && moving->stretch().second < last);
        key(mirror(), Qt::Key_B);
        QVERIFY(moving->speed() < 0.0);
        QTest::keyClick(mirror(), Qt::Key_Space);
        std::vector<int> seen;
        QTRY_VERIFY((seen.push_back(view()->bench().frame()), seen.size() > 25));
        QTest::keyClick(mirror(), Qt::Key_Space);
        int back = 0;
        for (std::size_t i = 1; i < seen.size(); ++i) {
            QVERIFY(seen[i] >= moving->stretch().first.value && seen[i] <= moving->stretch().second.value);
            back += seen[i] < seen[i - 1];
        }
        QVERIFY(back > 0);
        key(mirror(), Qt::Key_B);
        key(mirror(), Qt::Key_L);
        QVERIFY(!moving->loops() && moving->speed() > 0.0);
        const QImage bare = moving->grab().toImage();
        key(mirror(), Qt::Key_G);
        const QImage full = moving->grab().toImage();
        key(mirror(), Qt::Key_G);
        const QImage faint = moving->grab().toImage();
        QVERIFY(bare != full && full != faint && faint != bare);
        picture("ghost");
        key(mirror(), Qt::Key_G);
        QCOMPARE(moving->ghost(), 0.0);
    }
    void theOtherAngleStandsBesideEachFilm() {
        auto* moving = mirror()->moving();
        QVERIFY(!moving->hasAngles()); // nothing is locked to it yet
        const Rep own = *view()->bench().rep();
        Id front = 0;
        for (const auto& [id, take] : data().takes)
            if (take.performer == Performer::athlete && take.view == View::front)
                front = id;
        QVERIFY(front != 0);
        Link link;
        link.id = m_window->library()->freshId();
        link.a = own.take;
        link.b = front;
        link.shared = {{FrameIndex(40), FrameIndex(3)}, {FrameIndex(140), FrameIndex(103)}};
        Rep other;
        other.id = m_window->library()->freshId();
        other.take = front;
        other.number = own.number;
        other.first = FrameIndex(0);
        other.last = FrameIndex(150);
        QVERIFY(book().perform("lock", {LinkEdit{link.id, {}, link}, RepEdit{other.id, {}, other}}));
        QVERIFY(settle(*m_window));
        moving->setReps(own.id, moving->modelRep());
        QVERIFY(moving->hasAngles());
        const QImage one = moving->grab().toImage();
        key(mirror(), Qt::Key_A);
        QVERIFY(moving->angles());
        QVERIFY(settle(*m_window));
        const QImage both = moving->grab().toImage();
        QVERIFY(both != one);
        picture("angles");
        // The one beside it is the other film: it shows its locked frame, and goes with the playhead.
        view()->bench().setFrame(view()->bench().frame() + 25);
        QVERIFY(settle(*m_window));
        const QRect right(moving->width() * 5 / 8, 40, moving->width() / 4, moving->height() / 2 - 80);
        QVERIFY(moving->grab(right).toImage() !=
                both.copy(QRect(right.topLeft() * both.devicePixelRatio(), right.size() * both.devicePixelRatio())));
        key(mirror(), Qt::Key_A);
        QVERIFY(!moving->angles());
        QVERIFY(book().undo());
    }
    void aPhaseOnOnePicture() {
        key(mirror(), Qt::Key_T);
        auto* trace = mirror()->trace();
        QTRY_VERIFY(!trace->busy() && !trace->picture().isNull());
        picture("trace");
        const QImage seven = trace->picture();
        child<QSpinBox>("traceExposures")->setValue(3);
        QTRY_VERIFY(!trace->busy() && trace->picture() != seven);
        key(mirror(), Qt::Key_T);
        QVERIFY(mirror()->moving()->isHidden() || !trace->isVisible());
    }
    void whatIsSeenBecomesAClip() {
        key(mirror(), Qt::Key_M);
        auto* dialog = mirror()->exportClip();
        QVERIFY(dialog);
        QVERIFY(settle(*m_window));
        picture("export", dialog);
        dialog->findChild<QComboBox*>("exportSize")->setCurrentIndex(2);
        dialog->findChild<QComboBox*>("exportSlow")->setCurrentIndex(0);
        const QString file = m_dir.filePath("clip.mp4");
        dialog->writeTo(file);
        QVERIFY(dialog->busy());
        QTRY_VERIFY(!dialog->busy());
        const auto clip = Film::open(file.toStdString());
        QVERIFY(clip.ok());
        QCOMPARE((*clip)->info().width, 1280);
        dialog->close();
    }
    void theReviewIsRecordedSceneByScene() {
        go(Workspace::handover);
        press("handoverReview");
        QTRY_VERIFY(!review()->review().scenes.empty());
        const auto scenes = review()->review().scenes;
        QVERIFY(scenes.size() >= 4);
        auto* microphone = child<QComboBox>("reviewMicrophone");
        microphone->setCurrentIndex(microphone->count() - 1); // the simulated one
        auto* stage = child<SceneStage>("sceneStage");
        QTRY_VERIFY(!stage->picture().isNull());
        picture("review");
        review()->choose(0);
        for (int i = 0; i < 3; ++i) {
            QCOMPARE(review()->chosen(), i);
            press("sceneRecord");
            QVERIFY(review()->recording());
            const QPoint middle = stage->pictureRect().center().toPoint();
            QTest::mouseMove(stage, middle);
            QTest::mouseMove(stage, middle + QPoint(30, 10));
            QTest::mousePress(stage, Qt::LeftButton, {}, middle);
            QTest::mouseMove(stage, middle + QPoint(60, 40));
            QTest::mouseRelease(stage, Qt::LeftButton, {}, middle + QPoint(60, 40));
            QTest::qWait(500);
            if (i == 1)
                picture("recording");
            press("sceneRecord"); // done; the next scene is there
            QVERIFY(!review()->recording());
        }
        const auto kept = readReview(review()->folder());
        QVERIFY(kept.ok() && *kept && **kept == review()->review());
        for (int i = 0; i < 3; ++i) {
            const Scene& s = review()->review().scenes[static_cast<std::size_t>(i)];
            QVERIFY(s.spoken && s.pointer.size() >= 2);
            const auto voice = soundOf(voiceFile(review()->folder(), s), 48000.0);
            QVERIFY(voice.ok());
            QVERIFY(static_cast<double>(voice->samples.size()) / voice->rate > 0.3);
            QVERIFY(s.pointer.back().at < 30.0);
        }
        QVERIFY(std::any_of(review()->review().scenes[0].pointer.begin(), review()->review().scenes[0].pointer.end(),
                            [](const PointerSample& p) { return p.drawing; }));
        // The last one is taken back; one goes later; one is left out; one is added; words are changed.
        review()->choose(2);
        press("sceneTakeBack");
        QVERIFY(!review()->review().scenes[2].spoken);
        QVERIFY(!std::filesystem::exists(voiceFile(review()->folder(), review()->review().scenes[2])));
        review()->choose(0);
        const int moved = review()->review().scenes[0].id;
        press("sceneDown");
        QCOMPARE(review()->review().scenes[1].id, moved);
        review()->choose(static_cast<int>(review()->review().scenes.size()) - 1);
        press("sceneDrop");
        QCOMPARE(review()->review().scenes.size(), scenes.size() - 1);
        press("sceneAdd");
        QCOMPARE(review()->review().scenes.size(), scenes.size());
        auto* words = child<QLineEdit>("sceneWords");
        words->setText("Look at the back foot");
        QTest::keyClick(words, Qt::Key_Return);
        QCOMPARE(review()->review().scenes.back().words, std::string("Look at the back foot"));
        press("scenePlay");
        QVERIFY(review()->playing());
        press("scenePlay");
    }
    void aDamagedReviewIsPutAside() {
        const auto folder = reviewFolder(m_window->library()->folder(), data().id);
        const auto whole = *readReview(folder);
        QVERIFY(whole);
        QVERIFY(writeFile(folder / "review.json", "{ cut"));
        m_window.reset();
        openWindow();
        go(Workspace::handover);
        press("handoverReview");
        QTRY_VERIFY(!review()->review().scenes.empty()); // made of the findings again
        QVERIFY(std::filesystem::exists(folder / "review.damaged.json"));
        QVERIFY(!view()->shownError().isEmpty());
        QVERIFY(keepReview(folder, *whole).ok());
        m_window.reset();
        openWindow();
        go(Workspace::handover);
        press("handoverReview");
        QVERIFY(review()->review() == *whole);
    }
    void theFolderIsMadeOfAllOfIt() {
        handover()->showReview(false);
        QVERIFY(settle(*m_window));
        picture("handover");
        // Long scenes would make a long film here.
        Review shorter = review()->review();
        shorter.scenes.resize(3);
        for (auto& s : shorter.scenes)
            s.seconds = 1.0;
        QVERIFY(keepReview(review()->folder(), shorter).ok());
        m_window.reset();
        openWindow(); // and it is still there on another day
        go(Workspace::handover);
        const QString folder = m_dir.filePath("home");
        handover()->writeTo(folder);
        QTRY_VERIFY(!handover()->busy());
        for (const char* name : {"README.txt", "review.mp4", "review.vtt", "movement.mp4", "report.pdf", "report.html"})
            QVERIFY2(QFile::exists(folder + "/" + name), name);
        QVERIFY(soundOf((folder + "/review.mp4").toStdString(), 16000.0).ok()); // with the voice
    }
    // Any two days beside one another, and all of them as a strip: a third day is filmed for it.
    void oneMomentOverAllDays() {
        const std::string measure = view()->bench().analysis().trends.front().measure;
        std::vector<Edit> edits;
        Id side = 0;
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-before.mp4")
                side = id;
        Take third = data().takes.at(side);
        third.id = 70001;
        third.day += std::chrono::days(6);
        edits.push_back(TakeEdit{third.id, std::nullopt, third});
        for (const auto& [name, track] : data().marks.at(side))
            for (const auto& [frame, mark] : track)
                edits.push_back(MarkEdit{{third.id, frame, name}, std::nullopt, mark});
        for (const auto& [id, r] : data().reps)
            if (r.take == side) {
                Rep copy = r;
                copy.id = 70000 + id;
                copy.take = third.id;
                edits.push_back(RepEdit{copy.id, std::nullopt, copy});
            }
        QVERIFY(book().perform("a third day", edits));
        QVERIFY(settle(*m_window));
        go(Workspace::progress);
        press("question1");
        auto* stills = view()->findChild<BeforeAfter*>();
        QVERIFY(stills && stills->isVisible() && !stills->strip());
        const auto all = newestByDay(data(), view()->bench().analysis(), measure);
        QCOMPARE(all.size(), std::size_t(3));
        QCOMPARE(stills->days(), (std::vector<Day>{all[0].day, all[2].day}));
        QTest::mouseClick(stills, Qt::LeftButton, {}, stills->placeOf(0).center().toPoint());
        QVERIFY(stills->strip());
        QCOMPARE(stills->days().size(), std::size_t(3));
        stills->grab();
        QVERIFY(settle(*m_window));
        QTest::qWait(800);
        picture("dates-strip");
        QTest::mouseClick(stills, Qt::LeftButton, {}, stills->placeOf(2).center().toPoint());
        QTest::mouseClick(stills, Qt::LeftButton, {}, stills->placeOf(1).center().toPoint());
        QVERIFY(!stills->strip());
        QCOMPARE(stills->days(), (std::vector<Day>{all[1].day, all[2].day}));
        // By keys alone.
        stills->setFocus();
        QTest::keyClick(stills, Qt::Key_Left);
        QCOMPARE(stills->days(), (std::vector<Day>{all[0].day, all[2].day}));
        QTest::keyClick(stills, Qt::Key_Left, Qt::ShiftModifier);
        QCOMPARE(stills->days(), (std::vector<Day>{all[0].day, all[1].day}));
        QTest::keyClick(stills, Qt::Key_Space);
        QVERIFY(stills->strip());
        // It goes into the coach's report.
        QVERIFY(gatherReport(book()).pictures.contains("dates"));
        QVERIFY(book().undo());
        QVERIFY(settle(*m_window));
        QVERIFY(!gatherReport(book()).pictures.contains("dates"));
        // Of what was seen on one day there is no after.
        edits.clear();
        for (const auto& [id, r] : data().reps)
            if (data().takes.at(r.take).day == all[0].day && data().takes.at(r.take).performer == Performer::athlete)
                edits.push_back(RepEdit{id, r, std::nullopt});
        QVERIFY(book().perform("without the first day", edits));
        QVERIFY(settle(*m_window));
        stills->show(measure);
        QCOMPARE(newestByDay(data(), view()->bench().analysis(), measure).size(), std::size_t(1));
        QCOMPARE(stills->days().size(), std::size_t(1));
        QCOMPARE(stills->placeOf(0).width(), static_cast<double>(stills->width()));
        QVERIFY(book().undo());
        QVERIFY(settle(*m_window));
    }
    void progressAnswersSixQuestions() {
        go(Workspace::progress);
        for (int i = 1; i <= 6; ++i) {
            press(qPrintable(QString("question%1").arg(i)));
            const auto* answer = child<QLabel>("progressAnswer");
            QVERIFY(answer && answer->text().size() > 15);
            picture(qPrintable(QString("question%1").arg(i)));
        }
        press("question1"); // a point says which reps are behind it, and leads to one of them
        auto* trend = view()->findChild<TrendChart*>();
        QVERIFY(trend && trend->isVisible());
        trend->grab(); // points are put down while it is painted
        QVERIFY2(trend->count() >= 1, qPrintable(QString::number(trend->count())));
        const FocusTrend& shown = view()->bench().analysis().trends.front();
        const QImage before = trend->grab().toImage();
        QTest::mouseMove(trend, trend->placeOf(0).toPoint());
        QTRY_VERIFY(trend->grab().toImage() != before);
        picture("question1-hover");
        QHelpEvent help(QEvent::ToolTip, trend->placeOf(0).toPoint(), trend->mapToGlobal(QPoint(5, 5)));
        QCoreApplication::sendEvent(trend, &help);
        QCOMPARE(QToolTip::text().count("\n") + 1, shown.points.front().reps);
        QToolTip::hideText();
        QTest::mouseClick(trend, Qt::LeftButton, {}, trend->placeOf(0).toPoint());
        QVERIFY(settle(*m_window));
        QVERIFY(view()->current() == Workspace::marking);
        QCOMPARE(view()->bench().take()->day, shown.points.front().day);
        go(Workspace::progress);
        press("question2");
        auto* breaks = view()->findChild<BreakChart*>();
        QVERIFY(breaks->count() >= 1);
        QTest::mouseClick(breaks, Qt::LeftButton, {}, breaks->placeOf(0).toPoint());
        QVERIFY(settle(*m_window));
        QVERIFY(view()->current() == Workspace::marking);
        go(Workspace::progress);
        press("question3");
        auto* chart = child<SpeedChart>("speedChart");
        QVERIFY(chart);
        QVERIFY(chart->count() >= 5);
        QTest::mouseClick(chart, Qt::LeftButton, {}, chart->placeOf(0).toPoint()); // leads to its frame
        QVERIFY(settle(*m_window));
        QVERIFY(view()->current() == Workspace::marking);
        // Week by week, what was planned and what was done; the weeks first, then the measure.
        go(Workspace::progress);
        press("question6");
        auto* dose = child<DoseChart>("doseChart");
        dose->grab();
        QVERIFY(dose->count() >= 2);
        QVERIFY2(dose->accessibleDescription().contains("planned minutes"), qPrintable(dose->accessibleDescription()));
        QTest::mouseClick(dose, Qt::LeftButton, {}, dose->placeOf(0).toPoint());
        QVERIFY(settle(*m_window));
        QVERIFY(view()->current() == Workspace::practice);
        auto* diary = m_window->findChild<QDialog*>("diary"); // the days of that week
        QVERIFY(diary && diary->isVisible());
        diary->reject();
        m_window->activateWindow(); // off screen no window manager does it
        QTRY_VERIFY(m_window->isActiveWindow());
    }
    // How hard it was, as the athlete says, instead of how fast it was.
    void measuresAgainstStatedEffort() {
        go(Workspace::progress);
        // Any other measure has its dates, too.
        auto* which = child<QComboBox>("progressMeasure");
        QVERIFY(which->count() > 8);
        which->setCurrentIndex(which->findData("rear_knee"));
        emit which->activated(which->currentIndex());
        press("question1");
        QVERIFY(which->currentData().toString() == "rear_knee");
        QVERIFY(child<QLabel>("progressAnswer")->text().size() > 15);
        which->setCurrentIndex(0);
        emit which->activated(0);
        press("question3");
        auto* by = view()->findChild<QComboBox*>("speedBy");
        QVERIFY(by && !by->isVisible()); // nobody said
        std::vector<Edit> edits;
        for (const Id id : view()->bench().analysis().athleteReps) {
            const Rep before = data().reps.at(id);
            Rep after = before;
            after.effort = 0.6 + 0.2 * static_cast<double>(edits.size() % 3);
            edits.push_back(RepEdit{id, before, after});
        }
        QVERIFY(edits.size() >= 3);
        QVERIFY(book().perform("efforts", edits));
        QVERIFY(settle(*m_window));
        QVERIFY(by->isVisible());
        by->setFocus();
        QTest::keyClick(by, Qt::Key_Down);
        const QString words = child<QLabel>("progressAnswer")->text();
        QVERIFY2(words.contains("effort"), qPrintable(words));
        picture("question3-effort");
        QTest::keyClick(by, Qt::Key_Up);
        QVERIFY(book().undo());
        QVERIFY(settle(*m_window));
        QVERIFY(!by->isVisible());
    }
    void aTourOfFiveStepsIsLeftByOneKey() {
        go(Workspace::brief);
        QPointer<Tour> tour = m_window->startTour();
        QVERIFY(tour);
        QTRY_VERIFY(view()->current() == Workspace::findings);
        QVERIFY(settle(*m_window));
        picture("tour");
        press("tourNext");
        QTRY_VERIFY(view()->current() == Workspace::mirror);
        QTest::keyClick(m_window.get(), Qt::Key_Escape);
        QTRY_VERIFY(!tour);
        tour = m_window->startTour();
        for (int i = 0; i < Tour::kSteps; ++i)
            press("tourNext");
        QTRY_VERIFY(!tour);
        QVERIFY(view()->current() == Workspace::handover);
    }
    void theGuideOpensOnWhatIsSeen() {
        const QStringList pages = GuideWindow::pages();
        for (const auto& id : pages) {
            const QString text = GuideWindow::pageText(id);
            QVERIFY2(text.size() > 300, qPrintable(id));
            // Each link leads somewhere.
            const QRegularExpression links("\\]\\(([^)]+)\\)");
            for (auto it = links.globalMatch(text); it.hasNext();) {
                const auto link = it.next();
                QVERIFY2(pages.contains(link.captured(1).remove(".md")), qPrintable(link.captured(1)));
            }
        }
        for (int i = 0; i < kWorkspaces; ++i)
            QVERIFY(pages.contains(workspaceName(static_cast<Workspace>(i)).toLower()));
        go(Workspace::findings);
        QTest::keyClick(m_window.get(), Qt::Key_F1);
        auto* guide = m_window->findChild<GuideWindow*>("guide");
        QVERIFY(guide && guide->isVisible());
        QCOMPARE(guide->page(), QString("findings"));
        QVERIFY(guide->shownText().contains("take it up", Qt::CaseInsensitive));
        picture("guide", guide);
        QTest::keyClicks(guide->searchField(), "consent guardian");
        QStringList left;
        for (int i = 0; i < guide->list()->count(); ++i)
            if (!guide->list()->item(i)->isHidden())
                left << guide->list()->item(i)->data(Qt::UserRole).toString();
        QVERIFY(left.contains("cautions") && !left.contains("programme"));
        QTest::keyClick(guide->searchField(), Qt::Key_Return);
        QCOMPARE(guide->page(), left.front());
        guide->close();
    }
    void theAthletesPageAndTheSquad() {
        atShelf();
        const Id person = shelf()->model().people().front().id;
        Athlete young = shelf()->model().people().front().athlete;
        const Athlete before = young;
        young.growth = {{m_today - std::chrono::days(400), 156},
                        {m_today - std::chrono::days(180), 159},
                        {m_today - std::chrono::days(6), 163}};
        young.body = {{"left knee", "sore after jumping", m_today - std::chrono::days(20), true}};
        QVERIFY(m_window->library()->setAthlete(person, young));
        shelf()->refresh();
        auto* page = shelf()->showAthlete(person);
        QVERIFY(page);
        QVERIFY(settle(*m_window));
        QVERIFY(!page->findChildren<QPushButton*>("openTechnique").isEmpty());
        auto* growth = page->findChild<QWidget*>("stature");
        QVERIFY(growth && growth->isVisible());
        const auto said = page->findChildren<QLabel*>();
        const auto says = [&](const char* words) {
            return std::any_of(said.begin(), said.end(), [&](const QLabel* l) { return l->text().contains(words); });
        };
        QVERIFY(says("Grown 4 cm") && says("sore after jumping"));
        picture("athlete", page);
        page->close();
        QVERIFY(m_window->library()->setAthlete(person, before));
        shelf()->refresh();
        auto* sheet = shelf()->showSquad();
        QVERIFY(sheet);
        QVERIFY(settle(*m_window));
        picture("squad", sheet);
        QVERIFY(!sheet->sessionHtml().isEmpty());
        sheet->close();
    }
    void somebodyOnceMore() {
        atShelf();
        const auto first = shelf()->model().people().front();
        const std::size_t before = shelf()->model().people().size(), films = m_window->library()->knownFilms()->size();
        shelf()->duplicate(first.id);
        QTRY_VERIFY(!shelf()->busy());
        QCOMPARE(shelf()->model().people().size(), before + 1);
        const auto people = shelf()->model().people();
        const auto copy = std::find_if(people.begin(), people.end(),
                                       [&](const ShelfAthlete& a) { return a.name() == first.name() + " (copy)"; });
        QVERIFY(copy != people.end());
        QCOMPARE(copy->cases.size(), first.cases.size());
        QCOMPARE(m_window->library()->knownFilms()->size(), films); // the same ones
        const auto mine = m_window->library()->load(first.cases.front().id),
                   theirs = m_window->library()->load(copy->cases.front().id);
        QVERIFY(mine.ok() && theirs.ok());
        QCOMPARE(theirs->takes.size(), mine->takes.size());
        QCOMPARE(theirs->blocks.size(), mine->blocks.size());
        QVERIFY(std::all_of(theirs->takes.begin(), theirs->takes.end(), [&](const auto& t) {
            return std::any_of(mine->takes.begin(), mine->takes.end(),
                               [&](const auto& m) { return m.second.film == t.second.film; });
        }));
        // The copy goes wholly; the first one's films stay.
        shelf()->eraseWholly(copy->id, true);
        QVERIFY(!shelf()->model().athlete(copy->id));
        QCOMPARE(m_window->library()->knownFilms()->size(), films);
    }
    void aBundleOutAndIn() {
        atShelf();
        const auto people = shelf()->model().people();
        const QString file = m_dir.filePath("one.riflesso");
        shelf()->handOver({people.front().id}, file);
        QTRY_VERIFY(!shelf()->busy());
        QVERIFY(QFile::exists(file));
        const std::size_t before = m_window->library()->cases()->size();
        const auto arrival = [&] { return m_window->findChild<ArrivalDialog*>("arrivalDialog"); };
        shelf()->takeIn(file);
        QTRY_VERIFY(arrival());
        QVERIFY(settle(*m_window));
        picture("arrival", arrival());
        QCOMPARE(arrival()->choice(0)->currentIndex(), 0); // here already: left out unless asked for
        arrival()->choice(0)->setCurrentIndex(1);
        QTest::mouseClick(arrival()->findChild<QPushButton*>("arrivalTake"), Qt::LeftButton);
        QTRY_VERIFY(!arrival());
        QVERIFY(settle(*m_window));
        QVERIFY(m_window->library()->cases()->size() > before);
        QSignalSpy failed(shelf(), &ShelfPage::failed);
        shelf()->takeIn(m_dir.filePath("clip.mp4")); // no bundle: words, and nothing happens
        QTRY_COMPARE(failed.size(), 1);
        QVERIFY(!arrival());
        // Two entries of one person become one again.
        Id second = 0;
        for (const auto& a : shelf()->model().people())
            if (a.id != people.front().id && a.athlete.name == people.front().athlete.name)
                second = a.id;
        QVERIFY(second != 0);
        shelf()->merge(people.front().id, second);
        QVERIFY(!shelf()->model().athlete(second));
        const auto films = m_window->library()->knownFilms()->size();
        QVERIFY(films > 0);
        shelf()->eraseWholly(people.front().id, true);
        QVERIFY(!shelf()->model().athlete(people.front().id));
        QVERIFY(m_window->library()->knownFilms()->size() < films);
    }
};
QTEST_MAIN(TestTakingHome)
#include "test_taking_home.moc"
