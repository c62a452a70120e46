// Through the real window: a body map, a drill of the coach's own, a ban, where reps landed, curves under the films, a
// question kept with its frame, a model on the shelf.

#include "casebook/landings.h"
#include "casebook/shipped.h"
#include "desktop/asking/ask_dialog.h"
#include "desktop/brief/body_map.h"
#include "desktop/findings/finding_list.h"
#include "desktop/findings/landing_map.h"
#include "desktop/findings/still_pair.h"
#include "desktop/footage/rep_strip.h"
#include "desktop/footage/stage_view.h"
#include "desktop/mirror/mirror_page.h"
#include "desktop/practice/film_verdicts.h"
#include "desktop/programme/programme_page.h"
#include "desktop/workbench/own_drill_dialog.h"
#include "desktop/workbench/simulated_pair.h"
#include "desktop/workshop/workshop.h"
#include "handover/report.h"
#include "handover/review_film.h"
#include "library/shelves.h"
#include "simulator/movement.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QDialogButtonBox>
#include <QInputDialog>
#include <QLabel>
#include <QMenu>
#include <QRegularExpression>
#include <QTest>
#include <QTimer>

using namespace riflesso;

class TestOwnWays : public test::WindowTest {
    Q_OBJECT
    void typeInto(QWidget* w, const char* text) {
        w->setFocus();
        QTest::keyClicks(w, text);
    }
    void accept(QDialog* dialog) {
        QTest::mouseClick(dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok), Qt::LeftButton);
    }
private slots:
    void initTestCase() {
        prepare("RiflessoTestOwnWays");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void aPlaceOnTheBody() {
        go(Workspace::brief);
        auto* map = child<BodyMap>("bodyMap");
        const auto knee = map->placeOf("left knee");
        QVERIFY(knee && map->placeOf("lower back") && !map->placeOf("left neck"));
        QTest::mouseClick(map, Qt::LeftButton, {}, *knee);
        QDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>("bodyNote")) && dialog->isVisible());
        typeInto(dialog->findChild<QLineEdit*>("bodyWords"), "sore under load");
        accept(dialog);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().brief.athlete.body.size(), std::size_t(1));
        QCOMPARE(data().brief.athlete.body[0].part, std::string("left knee"));
        QVERIFY(map->accessibleDescription().contains("sore under load"));
        picture("body-map");
        // By keys alone: the next place is asked for, and left again.
        map->setFocus();
        QTest::keyClick(map, Qt::Key_Right);
        QTest::keyClick(map, Qt::Key_Return);
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>("bodyNote")) && dialog->isVisible() &&
                    dialog->windowTitle() != "left knee");
        QTest::keyClick(dialog, Qt::Key_Escape);
        QCOMPARE(data().brief.athlete.body.size(), std::size_t(1));
        QVERIFY(book().undo());
        QVERIFY(settle(*m_window));
        QVERIFY(data().brief.athlete.body.empty());
        QVERIFY(book().redo());
        QVERIFY(settle(*m_window));
        // Support work lies beside the technique now.
        go(Workspace::programme);
        planned();
        auto* calendar = programme()->calendar();
        QTRY_VERIFY(std::any_of(calendar->blocks().begin(), calendar->blocks().end(),
                                [](const PlannedBlock& b) { return b.drill == "support-knee"; }));
        picture("support");
    }
    void aDrillOfOnesOwn() {
        go(Workspace::programme);
        QTest::mouseClick(child<QPushButton>("ownDrillButton"), Qt::LeftButton);
        OwnDrillDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<OwnDrillDialog*>("ownDrill")) && dialog->isVisible());
        auto* ok = dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok);
        QVERIFY(!ok->isEnabled()); // nothing is typed yet
        typeInto(dialog->findChild<QLineEdit*>("drillName"), "Chalk line");
        typeInto(dialog->findChild<QLineEdit*>("drillCue"), "heel on chalk");
        QVERIFY(ok->isEnabled()); // what it is for comes from the focus
        if (const QString folder = qEnvironmentVariable("RIFLESSO_PICTURES"); !folder.isEmpty())
            dialog->grab().save(folder + "/own-drill.png");
        QTest::mouseClick(ok, Qt::LeftButton);
        QVERIFY(settle(*m_window));
        const Drill* made = view()->bench().blueprint().drill("own-1");
        QVERIFY(made && made->name == "Chalk line");
        const auto& focus = view()->bench().analysis().judgement.focus;
        QVERIFY(!focus.empty());
        const auto& drills = view()->bench().blueprint().fault(focus.front())->drills;
        QVERIFY(std::find(drills.begin(), drills.end(), "own-1") != drills.end());
        QCOMPARE(readOwnDrills(m_window->library()->folder())->size(), std::size_t(1));
        // Chosen on the ladder, banned there, allowed again by undo.
        auto* ladder = m_window->findChild<LadderView*>();
        const QRect box = ladder->boxOf("own-1");
        QVERIFY(!box.isNull());
        QTest::mouseClick(ladder, Qt::LeftButton, {}, box.center());
        QVERIFY(settle(*m_window));
        press("banDrill");
        QCOMPARE(data().brief.banned, std::vector<std::string>{"own-1"});
        QVERIFY(book().undo());
        QVERIFY(settle(*m_window));
        QVERIFY(data().brief.banned.empty());
        // Taken away again.
        QTest::mouseClick(ladder, Qt::LeftButton, {}, ladder->boxOf("own-1").center());
        QVERIFY(settle(*m_window));
        QTest::mouseClick(child<QPushButton>("editDrill"), Qt::LeftButton);
        QTRY_VERIFY((dialog = m_window->findChild<OwnDrillDialog*>("ownDrill")) && dialog->isVisible());
        QTest::mouseClick(dialog->findChild<QPushButton*>("drillGone"), Qt::LeftButton);
        QVERIFY(settle(*m_window));
        QVERIFY(!view()->bench().blueprint().drill("own-1"));
        QVERIFY(readOwnDrills(m_window->library()->folder())->empty());
    }
    void whereItLands() {
        go(Workspace::footage);
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-side.mp4")
                view()->bench().selectTake(id);
        QTest::mouseClick(child<QPushButton>("panel3"), Qt::LeftButton); // Reps
        QVERIFY(settle(*m_window));
        auto* stage = m_window->findChild<StageView*>();
        QTRY_VERIFY(!stage->picture().isNull());
        const auto click = [&](double x, double y) {
            QTest::mouseClick(stage, Qt::LeftButton, {}, stage->toView().map(QPointF(x, y)).toPoint());
        };
        QTest::mouseClick(child<QPushButton>("toolZone"), Qt::LeftButton);
        QVERIFY(stage->tool() == StageTool::zone);
        click(900, 300);
        click(960, 300);
        QVERIFY(stage->tool() == StageTool::none);
        const Id take = view()->bench().take()->id;
        QVERIFY(data().takes.at(take).zone);
        int n = 0;
        for (const Rep* r : repsOf(data(), take)) {
            view()->bench().selectRep(r->id);
            QTest::mouseClick(child<QPushButton>("toolLanded"), Qt::LeftButton);
            click(900 + 30 * n, 300);
            ++n;
        }
        QVERIFY(n > 0);
        for (const Rep* r : repsOf(data(), take))
            QVERIFY(r->landed);
        picture("footage-landing");
        // Three reps are dragged over and become a set.
        auto* strip = m_window->findChild<RepStrip*>();
        const auto all = repsOf(data(), take);
        QVERIFY(all.size() >= 3);
        const double share = 1.0 / static_cast<double>(all.size());
        const auto place = [&](double at) {
            return QPoint(static_cast<int>(at * strip->width()), strip->height() / 3);
        };
        QTest::mousePress(strip, Qt::LeftButton, Qt::ShiftModifier, place(0.5 * share));
        QTest::mouseMove(strip, place(1.5 * share));
        QTest::mouseMove(strip, place(2.5 * share));
        QTest::mouseRelease(strip, Qt::LeftButton, Qt::ShiftModifier, place(2.5 * share));
        QInputDialog* name = nullptr;
        QTRY_VERIFY((name = m_window->findChild<QInputDialog*>("setName")) && name->isVisible());
        auto* edit = name->findChild<QLineEdit*>();
        edit->selectAll();
        QTest::keyClicks(edit, "before the hint");
        QTest::keyClick(edit, Qt::Key_Return);
        QVERIFY(settle(*m_window));
        int inSet = 0;
        for (const Rep* r : repsOf(data(), take))
            inSet += r->set == "before the hint";
        QCOMPARE(inSet, 3);
        picture("footage-set");
        QVERIFY(book().undo()); // one step
        for (const Rep* r : repsOf(data(), take))
            QVERIFY(r->set.empty());
        go(Workspace::findings);
        QTest::mouseClick(child<QPushButton>("landingsWay"), Qt::LeftButton);
        auto* map = child<LandingPicture>("landingPicture");
        QVERIFY(map->isVisible() && !map->dots().empty());
        QVERIFY(map->accessibleDescription().contains("in the zone"));
        picture("landings");
        // A dot leads to its frame.
        QTest::mouseClick(map, Qt::LeftButton, {}, map->dots().front().toPoint());
        QVERIFY(view()->current() == Workspace::marking);
    }
    void curvesUnderTheFilms() {
        go(Workspace::mirror);
        auto* mirror = static_cast<MirrorPage*>(view()->page(Workspace::mirror));
        mirror->showWay(MirrorPage::inMotion);
        QTest::keyClick(mirror, Qt::Key_V);
        QVERIFY(settle(*m_window));
        auto* curves = mirror->curves();
        QVERIFY(curves->isVisible() && !curves->against());
        QCOMPARE(curves->measures().size(), std::size_t(3));
        picture("curves");
        const QImage before = curves->grab().toImage();
        QTest::mouseClick(curves, Qt::LeftButton, {}, QPoint(curves->width() * 2 / 3, curves->height() / 2));
        const int there = view()->bench().frame();
        QTest::keyClick(mirror, Qt::Key_Right, Qt::ShiftModifier);
        QVERIFY(view()->bench().frame() > there); // the playhead goes on from where it was put
        QVERIFY(curves->grab().toImage() != before);
        QTest::keyClick(mirror, Qt::Key_V);
        QVERIFY(curves->against());
        picture("against");
        QTest::keyClick(mirror, Qt::Key_V);
        QVERIFY(!curves->isVisible());
    }
    void aQuestionIsKeptWithItsFrame() {
        go(Workspace::marking);
        m_window->activateWindow();
        QTRY_VERIFY(m_window->isActiveWindow());
        QTest::keyClick(m_window->focusWidget() ? m_window->focusWidget() : m_window.get(), Qt::Key_Q);
        AskDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<AskDialog*>("askDialog")) && dialog->isVisible());
        AskView* ask = dialog->view();
        QTRY_VERIFY(!ask->picture().isNull());
        for (const auto& [x, y] : {std::pair(100.0, 100.0), {200.0, 100.0}, {200.0, 200.0}})
            QTest::mouseClick(ask, Qt::LeftButton, {}, ask->toView().map(QPointF(x, y)).toPoint());
        QTest::keyClick(dialog, Qt::Key_Return);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().notes.size(), std::size_t(1));
        const FrameNote& note = data().notes.begin()->second;
        QVERIFY(note.points.size() == 3 && note.kind == "angle" && std::abs(note.value - 90.0) < 3.0 && note.u > 0.0);
        // In Findings with its picture, in the report too, and a click leads to the frame.
        go(Workspace::findings);
        press("findingsWay");
        auto* list = child<FindingList>("findingList");
        const auto own = std::find_if(list->items().begin(), list->items().end(),
                                      [&](const FindingItem& i) { return i.frame == note.id; });
        QVERIFY(own != list->items().end());
        QVERIFY(list->choose(own->key()));
        QVERIFY(settle(*m_window));
        picture("finding-note");
        const PaperContent report = gatherReport(book());
        QVERIFY(report.html.contains("Seen on the film"));
        QVERIFY(std::any_of(report.pictures.begin(), report.pictures.end(),
                            [](const auto& p) { return p.first.startsWith("note"); }));
        // And in the review, as a scene with what was clicked.
        const Review review = proposedReview(data(), book().blueprint(), book().analysis());
        const auto scene =
            std::find_if(review.scenes.begin(), review.scenes.end(), [&](const Scene& s) { return s.note == note.id; });
        QVERIFY(scene != review.scenes.end() && scene->kind == SceneKind::own && !scene->words.empty());
        const FilmedCase filmed{data(), book().blueprint(), book().analysis(), book().library().media()};
        auto shown = ScenePictures::open(filmed, *scene, {});
        QVERIFY(shown);
        const auto still = (*shown)->at(0.0);
        QVERIFY(still && still->size() == QSize(1280, 720));
        Scene words = *scene;
        words.note = 0;
        auto alone = ScenePictures::open(filmed, words, {});
        QVERIFY(alone && *(*alone)->at(0.0) != *still); // not words alone
        auto* pair = m_window->findChild<StillPair*>();
        QTest::mouseClick(pair, Qt::LeftButton, {}, pair->rect().center());
        QVERIFY(view()->current() == Workspace::marking);
        QCOMPARE(view()->bench().frame(), note.frame.value);
        // One step: note and finding go together.
        QVERIFY(book().undo());
        QVERIFY(data().notes.empty());
    }
    void cyclesAreCountedAndATechniqueBegins() {
        go(Workspace::marking);
        const Take& take = *view()->bench().take();
        const auto ask = [&] {
            m_window->activateWindow();
            (void)QTest::qWaitForWindowActive(m_window.get());
            QTest::keyClick(m_window->focusWidget() ? m_window->focusWidget() : m_window.get(), Qt::Key_Q);
            AskDialog* dialog = nullptr;
            for (int i = 0; i < 200 && !(dialog && dialog->isVisible()); ++i) {
                QTest::qWait(20);
                dialog = m_window->findChild<AskDialog*>("askDialog");
            }
            return dialog;
        };
        auto* dialog = ask();
        QVERIFY(dialog);
        QTest::keyClick(dialog, Qt::Key_C);
        for (int cycle = 0; cycle < 2; ++cycle) {
            QTest::keyClick(dialog, Qt::Key_Right, Qt::ShiftModifier);
            QTest::keyClick(dialog, Qt::Key_C);
            QTest::keyClick(dialog, Qt::Key_C); // twice on one frame counts once
        }
        QTest::keyClick(dialog, Qt::Key_Right); // looking on does not count
        const double perMinute = 60.0 * 2 / (20.0 / take.captureRate.value_or(1.0));
        const auto number = QRegularExpression("cycles a minute ([0-9.]+)").match(dialog->answerWords()).captured(1);
        QVERIFY2(std::abs(number.toDouble() - perMinute) < 1.0, qPrintable(number));
        QTest::keyClick(dialog, Qt::Key_Escape);
        QTRY_VERIFY(!m_window->findChild<AskDialog*>("askDialog"));
        // Three marked points: the first measure of a technique of one's own.
        const auto& marks = data().marks.at(take.id);
        const std::vector<LandmarkName> leg = {"right_hip", "right_knee", "right_ankle"};
        std::optional<FrameIndex> all;
        for (const auto& [frame, mark] : marks.at(leg[0]))
            if (!all && marks.at(leg[1]).contains(frame) && marks.at(leg[2]).contains(frame))
                all = frame;
        QVERIFY(all);
        view()->bench().setFrame(all->value);
        dialog = ask();
        QVERIFY(dialog);
        QTRY_VERIFY(!dialog->view()->picture().isNull());
        for (const auto& name : leg) {
            const Pixel at = marks.at(name).at(*all).at;
            QTest::mouseClick(dialog->view(), Qt::LeftButton, {},
                              dialog->view()->toView().map(QPointF(at.x, at.y)).toPoint());
        }
        QVERIFY(dialog->findChild<QPushButton*>("askBegin")->isEnabled());
        QTest::keyClick(dialog, Qt::Key_W);
        auto* shop = m_window->workshop();
        QVERIFY(shop);
        const Blueprint& begun = shop->document().value();
        QCOMPARE(begun.measures.size(), std::size_t(1));
        QVERIFY(begun.measures[0].definition.kind == MeasureKind::angle);
        QCOMPARE(begun.landmarks.size(), std::size_t(3));
        QVERIFY(shop->isVisible() && begun.id != "fencing-lunge");
        shop->document().markSaved(1); // nothing to ask when it closes
        shop->close();
    }
    void rightAndWrongAreShownWithoutAFilm() {
        int pairs = 0, faults = 0;
        for (const auto& id : shippedBlueprintIds()) {
            const Blueprint b = *shippedBlueprint(id);
            std::string first;
            for (const auto& fault : b.faults) {
                ++faults;
                const std::string name = simulatedFault(id, fault.id);
                QVERIFY2(name.empty() || faultsOf(id).contains(name), name.c_str());
                pairs += !name.empty();
                if (first.empty() && !name.empty())
                    first = fault.id;
            }
            const SimulatedPair pair = simulatedPair(b, first);
            QVERIFY2(!pair.right.isNull() && !pair.wrong.isNull() && pair.right != pair.wrong, first.c_str());
        }
        qInfo("%d of %d faults have a simulated pair", pairs, faults);
        QVERIFY(pairs >= 48);
        QVERIFY(simulatedPair(*shippedBlueprint("fencing-lunge"), "no_such_fault") == SimulatedPair());
        Blueprint own = *shippedBlueprint("fencing-lunge");
        own.id = "my-own"; // nobody simulates that
        QVERIFY(simulatedPair(own, own.faults.front().id) == SimulatedPair());
    }
    void verdictsOnFilm() {
        go(Workspace::practice);
        QTest::mouseClick(child<QPushButton>("filmVerdictsButton"), Qt::LeftButton);
        FilmVerdictsDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<FilmVerdictsDialog*>("filmVerdicts")) && dialog->isVisible());
        const std::size_t blocks = data().blocks.size();
        auto* answer = dialog->findChild<QLabel*>("verdictAnswer");
        QVERIFY(dialog->question().contains("Athlete"));
        QTRY_VERIFY(dialog->findChild<LoopView*>()->hasPicture());
        QTest::keyClick(dialog, Qt::Key_G);
        QVERIFY(dialog->question().contains("Coach") && answer->text().isEmpty()); // hidden until both have said
        QTest::keyClick(dialog, Qt::Key_Space);
        QVERIFY(dialog->question().contains("Coach"));
        QTest::keyClick(dialog, Qt::Key_B);
        QVERIFY(answer->text().contains("good (") && answer->text().contains("Coach: not yet"));
        QCOMPARE(data().blocks.size(), blocks + 1); // kept at once
        QVERIFY(data().blocks.rbegin()->second.reps.front().machine.has_value());
        picture("film-verdicts", dialog);
        QTest::keyClick(dialog, Qt::Key_Space);
        QCOMPARE(dialog->judged(), 1);
        QTest::keyClick(dialog, Qt::Key_Escape);
        QVERIFY(settle(*m_window));
    }
    void aModelOnTheShelf() {
        go(Workspace::brief);
        auto* menu = child<QPushButton>("modelShelf")->menu();
        QTimer::singleShot(0, this, [&] {
            auto* name = m_window->findChild<QLineEdit*>({}, Qt::FindChildrenRecursively);
            for (auto* w : QApplication::topLevelWidgets())
                if (w->inherits("QInputDialog"))
                    name = w->findChild<QLineEdit*>();
            name->selectAll();
            QTest::keyClicks(name, "Our model");
            QTest::keyClick(name, Qt::Key_Return);
        });
        emit menu->aboutToShow();
        menu->actions().back()->trigger(); // put this case's model there
        const auto shelf = readModelShelf(m_window->library()->folder());
        QVERIFY(shelf && shelf->size() == 1 && shelf->front().model.name == "Our model");
        QVERIFY(!shelf->front().model.reps.empty());
        emit menu->aboutToShow();
        menu->actions().front()->trigger(); // and use it in this case
        QVERIFY(settle(*m_window));
        QCOMPARE(data().brief.models.size(), std::size_t(1));
        QCOMPARE(view()->bench().analysis().models.size(), std::size_t(2));
        QVERIFY(book().undo());
    }
};

QTEST_MAIN(TestOwnWays)
#include "test_own_ways.moc"
