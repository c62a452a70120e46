// The whole job through the real window, off screen, by key and mouse events.

#include "casebook/shipped.h"
#include "desktop/findings/chain_view.h"
#include "desktop/findings/finding_list.h"
#include "desktop/findings/still_pair.h"
#include "desktop/mirror/board.h"
#include "desktop/mirror/mirror_page.h"
#include "desktop/programme/ladder_view.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "tests/support/coded_films.h"
#include "tests/support/demo_copy.h"
#include "tests/support/drop.h"
#include "tests/support/modal.h"
#include "tests/support/patience.h"

#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QSettings>
#include <QSignalSpy>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestWindow : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString m_library;
    std::unique_ptr<MainWindow> m_window;
    const Day m_today = *dayFromIso("2026-11-23");

    CaseView* view() const { return m_window->caseView(); }
    const CaseData& data() const { return view()->bench().data(); }
    const Analysis& analysis() const { return view()->bench().analysis(); }
    template <typename T> T* child(const char* name) const {
        T* w = m_window->findChild<T*>(name);
        if (!w)
            qWarning("no %s", name);
        return w;
    }
    bool readable(const QString& text) const { // some label on the glass says it
        for (const QLabel* l : m_window->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains(text))
                return true;
        return false;
    }
    void key(Qt::Key k, Qt::KeyboardModifiers m = {}) {
        QTest::keyClick(m_window->focusWidget() ? m_window->focusWidget() : m_window.get(), k, m);
    }
    void stepTo(int frame) {
        key(Qt::Key_Home);
        while (view()->bench().frame() + 10 <= frame)
            key(Qt::Key_Right, Qt::ShiftModifier);
        while (view()->bench().frame() < frame)
            key(Qt::Key_Right);
        settle(*m_window);
    }
    Id frontTake() const {
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-front.mp4")
                return id;
        return 0;
    }
    void openWindow() {
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(m_library) && (m_window->caseView() || m_window->openCase(1)));
        QVERIFY(settle(*m_window));
    }
    void drop(const QStringList& files) { QVERIFY(test::drop(m_window.get(), files)); }
private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTest");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        m_library = m_dir.path() + "/library";
        QVERIFY(test::copyDemo(m_library));
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void opensOnTheFindings() {
        QVERIFY(view()->current() == Workspace::findings);
        QVERIFY(readable("Hand later than foot")); // the first finding, in large letters
        QVERIFY(readable("Why it stands where it stands"));
        auto* list = child<FindingList>("findingList");
        QCOMPARE(list->chosen()->fault, std::string("hand_late"));
        QVERIFY(list->items().front().group == FindingItem::Group::good);
        QVERIFY(child<StillPair>("stillPair")->rep() != 0);
    }
    void theNextThingLeadsToTheCaptureRate() {
        QPushButton* next = view()->strip()->nextButton();
        QVERIFY(next->text().contains("capture rate"));
        QTest::mouseClick(next, Qt::LeftButton);
        QVERIFY(view()->current() == Workspace::footage);
        QCOMPARE(view()->bench().take()->id, frontTake());
        auto* rate = child<QDoubleSpinBox>("captureRate");
        QVERIFY(rate->isVisible());
        QCOMPARE(rate->text(), QString("not set"));
        rate->setFocus();
        rate->selectAll();
        QTest::keyClicks(rate, "120");
        QTest::keyClick(rate, Qt::Key_Return);
        QCOMPARE(*data().takes.at(frontTake()).captureRate, 120.0);
        QVERIFY(settle(*m_window));
        QVERIFY(readable("sure to ± 2.4 ms"));
    }
    void marksARepOfTheUnmarkedTake() {
        const auto eye = test::lookAt("athlete-front", "lunge_held");
        QVERIFY(eye.at.size() == 21);
        QTest::mouseClick(view()->strip()->nextButton(), Qt::LeftButton); // "Place the key positions …"
        QVERIFY(view()->current() == Workspace::marking);
        QVERIFY(settle(*m_window));
        QVERIFY(readable("press 6")); // the screen says what to do
        stepTo(eye.positions["lunge_held"]);
        QCOMPARE(view()->bench().frame(), eye.positions["lunge_held"]);
        key(Qt::Key_6);
        const auto reps = repsOf(data(), frontTake());
        QCOMPARE(reps.size(), std::size_t(1));
        QCOMPARE(reps[0]->positions.at("lunge_held").frame.value, eye.positions["lunge_held"]);
        // Five clicks in the order in which the guide asks.
        MarkCanvas* canvas = view()->marking()->canvas();
        QVERIFY(!canvas->picture().isNull());
        for (int i = 0; i < 5; ++i) {
            const QString asked = QString::fromStdString(canvas->landmark());
            QVERIFY2(eye.at.contains(asked), qPrintable(asked));
            QVERIFY(readable(QString::fromStdString("click the " + spoken(asked.toStdString()))));
            QTest::mouseClick(canvas, Qt::LeftButton, {}, canvas->toView().map(eye.at[asked]).toPoint());
        }
        QCOMPARE(data().marks.at(frontTake()).size(), std::size_t(5));
        QVERIFY(missingAt(data(), view()->bench().blueprint(), *reps[0], "lunge_held").empty());
        for (const auto& [name, track] : data().marks.at(frontTake())) {
            const QPointF seen = eye.at[QString::fromStdString(name)];
            const Mark& m = track.begin()->second;
            QVERIFY(std::hypot(m.at.x - seen.x(), m.at.y - seen.y()) < 2.0); // a click is a screen pixel wide
        }
        QVERIFY(settle(*m_window));
        QVERIFY(readable("is marked"));
    }
    void undoAndRedoEverything() {
        const CaseData marked = data();
        for (int i = 0; i < 6; ++i)
            key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(!data().marks.contains(frontTake()));
        for (int i = 0; i < 6; ++i)
            key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QVERIFY(data() == marked);
    }
    void dragAndNudge() {
        MarkCanvas* canvas = view()->marking()->canvas();
        const auto place = [&] { return data().marks.at(frontTake()).at("neck").begin()->second.at; };
        const Pixel before = place();
        const QPoint from = canvas->toView().map(QPointF(before.x, before.y)).toPoint();
        const int steps = view()->bench().book().undoStack().index();
        QTest::mousePress(canvas, Qt::LeftButton, {}, from);
        for (int i = 1; i <= 8; ++i)
            QTest::mouseMove(canvas, from + QPoint(5 * i, 3 * i));
        QTest::mouseRelease(canvas, Qt::LeftButton, {}, from + QPoint(40, 24));
        QVERIFY(std::abs((place().x - before.x) * canvas->toView().m11() - 40) < 0.01);
        QCOMPARE(view()->bench().book().undoStack().index(), steps + 1); // a drag is one step
        key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(place(), before);
        canvas->setLandmark("neck");
        canvas->setFocus();
        key(Qt::Key_Right, Qt::AltModifier);
        QVERIFY(std::abs(place().x - before.x - 1) < 1e-9);
        key(Qt::Key_Up, Qt::AltModifier | Qt::ShiftModifier);
        QVERIFY(std::abs(place().y - before.y + 0.1) < 1e-9);
        key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(place(), before);
        key(Qt::Key_Delete);
        QVERIFY(!data().marks.at(frontTake()).contains("neck"));
        key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(place(), before);
    }
    void theDeviationAppearsOnTheMirror() {
        key(Qt::Key_4, Qt::ControlModifier);
        QVERIFY(view()->current() == Workspace::mirror);
        QVERIFY(settle(*m_window));
        const Deviation* d = analysis().deviation("side_lean");
        QVERIFY(d && d->judged && d->value.reps == 1);
        QVERIFY(analysis().deviation("knee_line")->judged);
        // On the glass: athlete's and model's stills of the one position, and words between them.
        auto* board = view()->page(Workspace::mirror)->findChild<MirrorBoard*>();
        const QImage with = board->grab().toImage();
        view()->bench().book().removeMark(
            {frontTake(), FrameIndex(repsOf(data(), frontTake())[0]->positions.at("lunge_held").frame), "neck"});
        QVERIFY(settle(*m_window));
        QVERIFY(!analysis().deviation("side_lean")->judged);
        QVERIFY(board->grab().toImage() != with); // the number is gone with its mark
        view()->bench().book().undo();
        QVERIFY(settle(*m_window));
        QVERIFY(board->grab().toImage() == with);
        // A click on the athlete's still leads to its frame.
        QTest::mouseClick(board, Qt::LeftButton, {}, QPoint(board->width() / 2, 60));
        QVERIFY(view()->current() == Workspace::marking);
        QCOMPARE(view()->bench().take()->id, frontTake());
    }
    void everyNumberLeadsToItsFrameByOneClick() {
        key(Qt::Key_5, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QLabel* linked = nullptr;
        for (QLabel* l : m_window->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains("href=\"frame:") && l->text().contains("Arm straight before"))
                linked = l;
        QVERIFY(linked);
        const QString html = linked->text();
        const QString href = html.mid(html.indexOf("href=\"frame:") + 6).section('"', 0, 0);
        emit linked->linkActivated(href);
        QVERIFY(view()->current() == Workspace::marking);
        QCOMPARE(view()->bench().frame(), href.section(':', 2, 2).toInt());
        QCOMPARE(view()->bench().rep()->id, Id(href.section(':', 1, 1).toLongLong()));
    }
    void choosingAFaultShowsItsReason() {
        key(Qt::Key_5, Qt::ControlModifier);
        auto* chain = view()->page(Workspace::findings)->findChild<ChainView*>();
        QTest::mouseClick(chain, Qt::LeftButton, {}, chain->boxOf("trunk_falls").center().toPoint());
        QCOMPARE(chain->chosen(), std::string("trunk_falls"));
        QVERIFY(settle(*m_window));
        QVERIFY(readable("felt 12.0°")); // the guess beside the truth
        QCOMPARE(child<FindingList>("findingList")->chosen()->fault, std::string("trunk_falls"));
        QTest::keyClick(chain, Qt::Key_Left);
        QCOMPARE(chain->chosen(), std::string("hand_late"));
    }
    void countsABlockByOneKeyARep() {
        key(Qt::Key_7, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        const std::size_t before = data().blocks.size();
        key(Qt::Key_G);
        QCOMPARE(data().blocks.size(), before + 1);
        for (int i = 0; i < 3; ++i) {
            key(Qt::Key_Up);
            key(Qt::Key_PageDown); // a presenter's forward key
        }
        key(Qt::Key_G);
        const auto block = [&] { return data().blocks.rbegin()->second; };
        QCOMPARE(block().drill, std::string("coin_drop"));
        QCOMPARE(block().reps.size(), std::size_t(8));
        QVERIFY(block().reps.back().coach == true && !block().reps.back().athlete);
        key(Qt::Key_B);
        key(Qt::Key_1); // why
        QVERIFY(block().reps.back().coach == false && !block().reps.back().reason.empty());
        QVERIFY(readable("Noted: "));
        key(Qt::Key_Backspace); // taken back
        QCOMPARE(block().reps.size(), std::size_t(8));
        auto* mode = child<QComboBox>("practiceMode");
        QTest::keyClick(mode, Qt::Key_End);
        QVERIFY(readable("Athlete: how was it?"));
        key(Qt::Key_B);
        QVERIFY(readable("Coach: was it good?"));
        QCOMPARE(block().reps.size(), std::size_t(8)); // one verdict is no rep yet
        key(Qt::Key_Escape);
        QVERIFY(readable("Athlete: how was it?"));
        QTest::mouseClick(child<QPushButton>("notGood"), Qt::LeftButton);
        QTest::mouseClick(child<QPushButton>("good"), Qt::LeftButton);
        QCOMPARE(block().reps.size(), std::size_t(9));
        QVERIFY(block().reps.back().athlete == false && block().reps.back().coach == true);
        QVERIFY(readable("9 of 9 good"));
        QLabel* gateLabel = child<QLabel>("gate");
        QVERIFY2(gateLabel->text().contains("11 good of 14"), qPrintable(gateLabel->text()));
        QTest::keyClick(mode, Qt::Key_Home);
    }
    void bothFilmsMove() {
        key(Qt::Key_4, Qt::ControlModifier);
        auto* mirror = static_cast<MirrorPage*>(view()->page(Workspace::mirror));
        QTest::mouseClick(child<QPushButton>("mirrorMoving"), Qt::LeftButton);
        QVERIFY(mirror->moving()->isVisible());
        // On a key position of the athlete's the model is on its own.
        const Rep& rep = *view()->bench().rep();
        const Id athlete = rep.id;
        Id model = 0;
        for (const auto& [id, r] : data().reps)
            if (data().takes.at(r.take).performer == Performer::model && data().takes.at(r.take).view == View::side &&
                !model)
                model = id;
        mirror->moving()->setReps(athlete, model);
        for (const char* position : {"on_guard", "heel_lands", "back_on_guard"}) {
            view()->bench().setFrame(rep.positions.at(position).frame.value);
            QCOMPARE(mirror->moving()->modelFrame().value_or(-1),
                     data().reps.at(model).positions.at(position).frame.value);
        }
        // By the clock the model is as far from its first position as the athlete is.
        QTest::keyClick(mirror, Qt::Key_C);
        QVERIFY(mirror->moving()->byClock());
        const int since = view()->bench().frame() - rep.positions.at("on_guard").frame.value;
        QVERIFY(std::abs(*mirror->moving()->modelFrame() - data().reps.at(model).positions.at("on_guard").frame.value -
                         since) <= 1);
        QTest::keyClick(mirror, Qt::Key_C);
        // It plays and goes round; the picture changes above and below the line.
        QVERIFY(settle(*m_window));
        const QImage before = mirror->moving()->grab().toImage();
        QTest::keyClick(mirror, Qt::Key_G);
        QVERIFY(mirror->moving()->ghost() > 0.0);
        QVERIFY(mirror->moving()->grab().toImage() != before);
        QTest::keyClick(mirror, Qt::Key_Period);
        QCOMPARE(mirror->moving()->speed(), 0.5);
        const int from = view()->bench().frame();
        QTest::keyClick(mirror, Qt::Key_Space);
        QVERIFY(mirror->moving()->playing());
        QTRY_VERIFY(view()->bench().frame() != from);
        QTest::keyClick(mirror, Qt::Key_Right);
        QVERIFY(!mirror->moving()->playing());
        mirror->showWay(MirrorPage::board);
        QVERIFY(settle(*m_window));
    }
    void writesTheBrief() {
        key(Qt::Key_1, Qt::ControlModifier);
        auto* name = child<QLineEdit>("athleteName");
        name->setFocus();
        name->selectAll();
        QTest::keyClicks(name, "Mira T.");
        QTest::keyClick(name, Qt::Key_Return);
        QCOMPARE(data().brief.athlete.name, std::string("Mira T."));
    }
    void makesTheReport() {
        key(Qt::Key_9, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QVERIFY(readable("The folder will hold"));
        Review one; // a whole review takes a minute to film
        Scene scene;
        scene.words = "Wait for the coin";
        scene.seconds = 1.0;
        addScene(one, scene);
        QVERIFY(keepReview(view()->handover()->review()->folder(), one).ok());
        view()->handover()->writeTo(m_dir.path() + "/folder");
        QTRY_VERIFY(!view()->handover()->busy());
        QVERIFY(QFile::exists(m_dir.path() + "/folder/report.pdf"));
        QVERIFY(QFile(m_dir.path() + "/folder/report.html").size() > 40000);
        view()->handover()->writeTo("/proc/none");
        QTRY_VERIFY(!view()->handover()->busy());
        QVERIFY2(view()->shownError().contains("none"), qPrintable(view()->shownError()));
    }
    void programmeAndProgressShowTheirCase() {
        key(Qt::Key_6, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QVERIFY(!child<LadderView>("ladder")->boxOf("coin_drop").isNull());
        QVERIFY(readable("Wait for the coin"));
        QVERIFY(readable("Caution:"));
        key(Qt::Key_8, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QVERIFY(readable("Yes: +101 ms"));
        QTest::mouseClick(child<QPushButton>("question2"), Qt::LeftButton);
        QVERIFY(readable("breaks at fixed feed"));
        QTest::mouseClick(child<QPushButton>("question4"), Qt::LeftButton);
        QVERIFY(readable("kappa"));
        QTest::mouseClick(child<QPushButton>("question1"), Qt::LeftButton);
    }
    void filmsAreDropped() {
        const std::size_t before = data().takes.size();
        drop({makeCoded(m_dir.path() + "/dropped.mp4", 120)});
        QVERIFY(view()->current() == Workspace::footage);
        QTRY_COMPARE(data().takes.size(), before + 1);
        const Take& t = data().takes.rbegin()->second;
        QCOMPARE(t.title, std::string("dropped"));
        QVERIFY(QFile::exists(m_library + "/media/" + QString::fromStdString(t.film)));
        QVERIFY(!t.captureRate && t.times.size() > 100);
        // A film that is none: said in words, nothing changed, the next one still comes in.
        QFile bad(m_dir.path() + "/bad.mp4");
        QVERIFY(bad.open(QIODevice::WriteOnly));
        bad.write("no film");
        bad.close();
        drop({bad.fileName(), makeCoded(m_dir.path() + "/next.mp4", 60)});
        QTRY_COMPARE(data().takes.size(), before + 2);
        QVERIFY(view()->shownError().contains("bad.mp4"));
        QVERIFY(view()->shownError().contains("not a film"));
        // The same film a second time is not taken.
        drop({m_library + "/media/model-front.mp4"});
        QTRY_VERIFY(view()->shownError().contains("in this case already"));
        QCOMPARE(data().takes.size(), before + 2);
        view()->bench().book().undo();
        view()->bench().book().undo();
        QCOMPARE(data().takes.size(), before);
        QVERIFY(settle(*m_window));
    }
    void aFilmThatWentMissingIsSaid() {
        m_window.reset(); // so that no decoder still holds the film open
        QVERIFY(QFile::rename(m_library + "/media/athlete-before.mp4", m_library + "/media/away.mp4"));
        openWindow();
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-before.mp4")
                view()->bench().selectTake(id);
        view()->show(Workspace::marking);
        QVERIFY(settle(*m_window));
        QVERIFY2(view()->marking()->canvas()->message().contains("no such file"),
                 qPrintable(view()->marking()->canvas()->message()));
        QVERIFY(analysis().trends.front().points.size() == 2); // its measures are still there
        m_window.reset();
        QVERIFY(QFile::rename(m_library + "/media/away.mp4", m_library + "/media/athlete-before.mp4"));
        openWindow();
    }
    void everythingIsThereAfterReopening() {
        const CaseData before = data();
        m_window.reset();
        openWindow();
        QVERIFY(data() == before);
        QCOMPARE(data().brief.athlete.name, std::string("Mira T."));
        QCOMPARE(*data().takes.at(frontTake()).captureRate, 120.0);
        QCOMPARE(data().marks.at(frontTake()).size(), std::size_t(5));
        QVERIFY(view()->bench().book().undoStack().count() == 0);
    }
    void smallWindowsAndTheDarkTheme() {
        m_window->setDark(true);
        m_window->resize(1024, 700);
        for (int w = 0; w < kWorkspaces; ++w) {
            view()->show(static_cast<Workspace>(w));
            QVERIFY(settle(*m_window));
            QVERIFY2(m_window->width() <= 1024 && m_window->height() <= 700,
                     qPrintable(workspaceName(static_cast<Workspace>(w)))); // nothing forces it wider
        }
        m_window->setDark(false);
    }
    void aNewCaseIsTheOneToComeBackTo() {
        const QString before = view()->bench().data().brief.athlete.name.c_str();
        test::whenModal(m_window.get(), [](QWidget* dialog) {
            QTest::keyClicks(dialog->findChild<QLineEdit*>("newAthlete"), "Second Athlete");
            QTest::keyClicks(dialog->findChild<QComboBox*>("newTechnique"), "race");
            QTest::keyClick(dialog, Qt::Key_Return);
        });
        key(Qt::Key_N, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QCOMPARE(view()->bench().data().brief.athlete.name, std::string("Second Athlete"));
        QCOMPARE(view()->bench().blueprint().id, std::string("race-walking"));
        QVERIFY(view()->current() == Workspace::brief);
        m_window.reset();
        openWindow();
        QCOMPARE(view()->bench().data().brief.athlete.name, std::string("Second Athlete"));
        m_window->showShelf();
        QVERIFY(settle(*m_window));
        auto& model = m_window->shelf()->model();
        QCOMPARE(model.rowCount(), 3); // and the place for a new one
        QTest::keyClicks(m_window->shelf()->searchField(), before.left(3));
        QCOMPARE(model.rowCount(), 1);
        QTest::keyClick(m_window->shelf()->searchField(), Qt::Key_Return);
        QTRY_VERIFY(m_window->caseView());
        QVERIFY(settle(*m_window));
        QCOMPARE(view()->bench().data().brief.athlete.name, before.toStdString());
    }
    void librariesThatCannotBeOpened() {
        QVERIFY(!m_window->openLibrary(m_dir.path() + "/nowhere"));
        QVERIFY(view()->shownError().contains("no library"));
        MainWindow fresh(m_today);
        fresh.show();
        QVERIFY(!fresh.openLibrary("/proc"));
        QVERIFY(fresh.welcomeError().contains("no library"));
        QVERIFY(!fresh.newLibrary("/proc/self/nothing"));
        QVERIFY(fresh.newLibrary(m_dir.path() + "/new"));
        QVERIFY(settle(fresh));
        QVERIFY(fresh.shelf() && !fresh.caseView()); // nobody is asked for nothing
        QVERIFY(fresh.openCase(fresh.shelf()->addAthlete(Athlete{}, "fencing-lunge")));
        QVERIFY(settle(fresh));
        QVERIFY(fresh.caseView()->current() == Workspace::brief); // empty: begin with asking
        for (int w = 0; w < kWorkspaces; ++w) {                   // every empty state can be looked at
            fresh.caseView()->show(static_cast<Workspace>(w));
            QVERIFY(settle(fresh));
        }
    }
};
QTEST_MAIN(TestWindow)
#include "test_window.moc"
