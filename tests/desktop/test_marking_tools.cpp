// What there is in Marking beside the marks of a rep, on a rep that is marked: more points, another angle, the loupe,
// smoothing, what is only seen, a second marking. Each stands alone. With RIFLESSO_PICTURES=DIR it leaves pictures.

#include "tests/support/marking_test.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QListWidget>
#include <QTableWidget>

#include <cmath>
#include <random>

using namespace riflesso;

class TestMarkingTools : public test::MarkingTest {
    Q_OBJECT
private slots:
    void initTestCase() { openMarking("RiflessoTestMarkingTools", true); }
    void moreThanTheStandardFigure() {
        bench().setFrame(m_eyes["lunge_held"].positions["lunge_held"] + 40);
        const auto& figure = data().takes.at(take()).figure;
        choosePoint("Whole figure");
        QVERIFY(figure.part == FigurePart::whole);
        QVERIFY(page()->trust()->landmarks().size() >= 21); // the figure and the point of the foil
        choosePoint("Fingers");
        QVERIFY(figure.hands && !figure.feet);
        const auto addThing = [&](int which, const QString& called) {
            choosePoint("Add an implement, a ball, a person, a fixed point");
            child<QComboBox>("thing")->setCurrentIndex(which);
            auto* name = child<QLineEdit>("called");
            QTest::keyClick(name, Qt::Key_A, Qt::ControlModifier);
            QTest::keyClicks(name, called);
            QTest::mouseClick(child<QPushButton>("addThing"), Qt::LeftButton);
            settle(*m_window);
        };
        addThing(static_cast<int>(Thing::tip), "foil"); // the blueprint asks for it already
        QVERIFY(readable("is asked for already"));
        QVERIFY(figure.extra.empty());
        addThing(static_cast<int>(Thing::tip), "left");
        QVERIFY(readable("not a part of the body"));
        addThing(static_cast<int>(Thing::scene), "piste end");
        addThing(static_cast<int>(Thing::ball), "");
        addThing(static_cast<int>(Thing::otherUpper), "");
        QCOMPARE(figure.extra.size(), std::size_t(2 + 12));
        // The guide has them: the fixed point is clicked there, marked once and stands on every frame.
        auto* guide = page()->findChild<FigureGuide*>();
        picture("marking-points");
        QTest::mouseClick(guide, Qt::LeftButton, {}, guide->placeOf("scene_piste_end").toPoint());
        QCOMPARE(canvas()->landmark(), std::string("scene_piste_end"));
        clickAt({640, 660});
        QCOMPARE(data().marks.at(take()).at("scene_piste_end").size(), std::size_t(1));
        bench().setFrame(bench().frame() + 25);
        QVERIFY(isMarked(data().marks.at(take()), "scene_piste_end", FrameIndex(bench().frame())));
        QTest::mouseClick(guide, Qt::LeftButton, {}, guide->placeOf("other_left_shoulder").toPoint());
        QCOMPARE(canvas()->landmark(), std::string("other_left_shoulder"));
        clickAt({900, 300});
        QVERIFY(carried());
        QVERIFY(data().marks.at(take()).contains("other_left_shoulder"));
        QVERIFY(settle(*m_window));
        const auto& motion = *bench().analysis().motions.at(take());
        QVERIFY(motion.at("scene_piste_end", FrameIndex(0)) &&
                motion.at("scene_piste_end", FrameIndex(bench().frame())));
        picture("marking-points-marked");
        choosePoint("No longer ask for", "second person");
        QCOMPARE(figure.extra.size(), std::size_t(2));
        QVERIFY(data().marks.at(take()).contains("other_left_shoulder")); // what is marked stays
        const auto steps = bench().book().undoStack().count();
        QVERIFY(steps > 0);
        for (int i = 0; i < steps && figure != BodySchema{}; ++i)
            key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(figure == BodySchema{});
        QVERIFY(!data().marks.at(take()).contains("other_left_shoulder"));
        QVERIFY(settle(*m_window));
    }
    // The front film of the same reps, locked to the side one: what is marked there must lie where the side sees it.
    void anotherAngleContradicts() {
        Id front = 0;
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-front.mp4")
                front = id;
        QVERIFY(front);
        TrackSet seen;
        QMap<QString, int> frames;
        for (const char* p : {"on_guard", "arm_straight", "foot_leaves", "heel_lands", "lunge_held", "back_on_guard"}) {
            const auto eye = test::lookAt("athlete-front", p);
            frames[p] = eye.positions[p];
            for (auto it = eye.at.begin(); it != eye.at.end(); ++it)
                seen[it.key().toStdString()][FrameIndex(frames[p])] = {
                    {it->x(), it->y()}, kAssumedHandSigma, How::hand};
        }
        QVERIFY(bench().book().putMarks(front, seen, "marks of the front view"));
        Link link;
        link.a = front;
        link.b = take();
        link.shared = {{FrameIndex(frames["heel_lands"]), FrameIndex(m_eyes["heel_lands"].positions["heel_lands"])}};
        QVERIFY(bench().book().addLink(link));
        bench().selectTake(front);
        bench().setFrame(frames["lunge_held"]);
        canvas()->setLandmark("right_knee");
        QVERIFY(settle(*m_window));
        QCOMPARE(bench().analysis().views.size(), std::size_t(1));
        QVERIFY2(bench().analysis().views[0].f, bench().analysis().views[0].why.c_str());
        QVERIFY(bench().analysis().views[0].typical < 2.0);
        const auto before = bench().analysis().views[0].off.size();
        QVERIFY(before <= 2);
        picture("marking-other-view");
        const auto at = data().marks.at(front).at("right_knee").at(FrameIndex(frames["lunge_held"])).at;
        const auto line = lineFromOtherView(bench().analysis().views[0], data(), bench().analysis().motions, front,
                                            FrameIndex(frames["lunge_held"]), "right_knee");
        QVERIFY(line);
        // Dragged 30 px away from the line: said at once.
        const QPointF wrong(at.x + 30 * line->x(), at.y + 30 * line->y());
        const QPoint from = canvas()->toView().map(QPointF(at.x, at.y)).toPoint();
        QTest::mousePress(canvas(), Qt::LeftButton, {}, from);
        QTest::mouseMove(canvas(), from + QPoint(3, 3));
        QTest::mouseMove(canvas(), canvas()->toView().map(wrong).toPoint());
        QTest::mouseRelease(canvas(), Qt::LeftButton, {}, canvas()->toView().map(wrong).toPoint());
        QVERIFY(carried());
        canvas()->setLandmark("right_knee");
        bench().setFrame(frames["lunge_held"] + 1);
        bench().setFrame(frames["lunge_held"]);
        QVERIFY(settle(*m_window));
        QCOMPARE(bench().analysis().views[0].off.size(), before + 1);
        QVERIFY(readable("The right knee disagrees with"));
        picture("marking-contradiction");
        for (int i = 0; i < 500 && (data().links.size() > 0 || data().marks.contains(front)); ++i)
            key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(data().links.empty() && !data().marks.contains(front));
        bench().selectTake(take());
        bench().selectRep(m_rep);
        QVERIFY(settle(*m_window));
    }
    void thePicturesAndTheLoupe() {
        bench().setFrame(m_eyes["lunge_held"].positions["lunge_held"]);
        canvas()->setLandmark("right_knee");
        for (int i = 0; i < 3; ++i)
            key(Qt::Key_Plus);
        key(Qt::Key_Z); // follow
        auto* follow = child<QToolButton>("follow");
        QVERIFY(follow->isChecked() && canvas()->zoom() > 2.0);
        const QPointF before = canvas()->toPicture(canvas()->rect().center());
        bench().setFrame(m_eyes["on_guard"].positions["on_guard"]);
        QVERIFY(settle(*m_window));
        const QPointF after = canvas()->toPicture(canvas()->rect().center());
        QVERIFY(std::abs(after.x() - before.x()) > 20); // the athlete has moved, the view with it
        auto* loupe = m_window->findChild<Loupe*>();
        const double power = loupe->power();
        key(Qt::Key_BracketRight);
        QVERIFY(loupe->power() > power);
        picture("marking-zoomed");
        key(Qt::Key_Z);
        key(Qt::Key_F);
        // The strip leads to the frame and the landmark.
        const int frame = rep().positions.at("heel_lands").frame.value;
        QTest::mouseClick(page()->trust(), Qt::LeftButton, {},
                          page()->trust()->placeOf("right_knee", frame + 6).toPoint());
        QVERIFY(std::abs(bench().frame() - frame - 6) <= 1);
        QCOMPARE(canvas()->landmark(), LandmarkName("right_knee"));
    }
    void smoothingInSight() {
        page()->tabs()->setCurrentIndex(1);
        QVERIFY(settle(*m_window));
        canvas()->setLandmark("right_wrist");
        bench().setFrame(bench().frame() + 1);
        QVERIFY(settle(*m_window));
        auto* cutoff = child<QDoubleSpinBox>("cutoff");
        QVERIFY(cutoff->isEnabled());
        const double automatic = cutoff->value();
        QVERIFY(automatic >= 9.0);
        picture("marking-curves");
        cutoff->setFocus();
        cutoff->selectAll();
        QTest::keyClicks(cutoff, "6");
        QTest::keyClick(cutoff, Qt::Key_Return);
        QCOMPARE(data().takes.at(take()).cutoffs.at("right_wrist"), 6.0);
        QVERIFY(settle(*m_window));
        QCOMPARE(bench().analysis().motions.at(take())->tracks().at("right_wrist").cutoffs.front().value, 6.0);
        QVERIFY(readable("Set by hand"));
        QTest::mouseClick(child<QPushButton>("automaticCutoff"), Qt::LeftButton);
        QVERIFY(!data().takes.at(take()).cutoffs.contains("right_wrist"));
        QVERIFY(settle(*m_window));
    }
    void onlyWhatIsSeen() {
        page()->tabs()->setCurrentIndex(2);
        auto* list = child<QListWidget>("checkpoints");
        QCOMPARE(list->count(), 3);
        list->setCurrentRow(1);
        QCOMPARE(bench().frame(), rep().positions.at("lunge_held").frame.value);
        QVERIFY(readable("Is the whole rear foot still on the floor"));
        QTest::mouseClick(child<QPushButton>("seenPartly"), Qt::LeftButton);
        auto* note = child<QLineEdit>("seenNote");
        note->setFocus();
        QTest::keyClicks(note, "heel up a little");
        QTest::keyClick(note, Qt::Key_Return);
        QTest::mouseClick(child<QPushButton>("pinNote"), Qt::LeftButton);
        clickAt({420, 560});
        const Seen& seen = rep().seen.at("rear_foot_flat");
        QCOMPARE(seen.verdict, SeenVerdict::partly);
        QCOMPARE(seen.note, std::string("heel up a little"));
        QVERIFY(seen.pin && std::hypot(seen.pin->x - 420, seen.pin->y - 560) < 2.5);
        picture("marking-by-eye");
        QTest::mouseClick(child<QPushButton>("clearSeen"), Qt::LeftButton);
        QVERIFY(rep().seen.empty());
        canvas()->setFocus();
        key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(rep().seen.size(), std::size_t(1));
    }
    void markedAgainAndCompared() {
        page()->tabs()->setCurrentIndex(3);
        auto* analyst = child<QLineEdit>("analyst");
        analyst->setFocus();
        QTest::keyClicks(analyst, "A. Nother");
        QTest::mouseClick(child<QPushButton>("beginRepeat"), Qt::LeftButton);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().repeats.size(), std::size_t(1));
        QVERIFY(readable("The first marks are not shown"));
        picture("marking-again");
        const Id id = data().repeats.begin()->first;
        const auto before = data().marks;
        // A second look: the first marks with an error of 2 px; strangers anywhere.
        std::mt19937 random(5);
        std::normal_distribution<double> error(0.0, 2.0);
        int clicks = 0;
        while (nextOpenFrame(data().repeats.at(id)) && clicks < 400) {
            const std::string name = canvas()->landmark();
            QPointF at(600, 300);
            const auto& track = data().marks.at(take()).at(name);
            if (const auto m = track.find(FrameIndex(bench().frame())); m != track.end())
                at = {m->second.at.x, m->second.at.y};
            QVERIFY(!readable("Worth a look"));
            clickAt(at + QPointF(error(random), error(random)));
            ++clicks;
        }
        QVERIFY(!nextOpenFrame(data().repeats.at(id)));
        QVERIFY(data().marks == before); // the first marks are as they were
        QVERIFY(settle(*m_window));
        const double sigma = handSigmaOf(bench().analysis().handErrors, {});
        // Differences of 2 px: the two markings share them, so each is good to 2/√2 px; a click is a screen pixel wide.
        QVERIFY2(sigma > 1.1 && sigma < 2.0, qPrintable(QString::number(sigma)));
        QVERIFY(readable("This replaces the assumed 1.5 px"));
        QVERIFY(child<QTableWidget>("agreement")->rowCount() >= 1);
        picture("marking-agreement");
        // Somebody else, who sees everything 3 px lower: the same frames, compared with the first one's second look.
        analyst->setFocus();
        QTest::keyClick(analyst, Qt::Key_A, Qt::ControlModifier);
        QTest::keyClicks(analyst, "B. Other");
        QTest::mouseClick(child<QPushButton>("beginRepeat"), Qt::LeftButton);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().repeats.size(), std::size_t(2));
        const Id other = data().repeats.rbegin()->first;
        QVERIFY(data().repeats.at(other).frames == data().repeats.at(id).frames);
        for (clicks = 0; nextOpenFrame(data().repeats.at(other)) && clicks < 400; ++clicks) {
            const std::string name = canvas()->landmark();
            QPointF at(600, 300);
            const auto& track = data().marks.at(take()).at(name);
            if (const auto m = track.find(FrameIndex(bench().frame())); m != track.end())
                at = {m->second.at.x, m->second.at.y};
            clickAt(at + QPointF(error(random), 3.0 + error(random)));
        }
        QVERIFY(settle(*m_window));
        auto* left = child<QComboBox>("repeatFirst");
        auto* right = child<QComboBox>("repeatSecond");
        left->setCurrentIndex(left->findData(QVariant::fromValue<qlonglong>(id)));
        right->setCurrentIndex(right->findData(QVariant::fromValue<qlonglong>(other)));
        emit left->activated(left->currentIndex());
        const auto between = markErrors(againOf(data().repeats.at(id)), againOf(data().repeats.at(other)));
        QVERIFY2(std::abs(between.at({}).dy - 3.0) < 0.8, qPrintable(QString::number(between.at({}).dy)));
        QVERIFY(readable("A mark is good to"));
        QVERIFY(child<QTableWidget>("agreement")->rowCount() >= 1);
        picture("marking-between");
        // One of them was a bad evening: it goes, and comes back.
        QTest::mouseClick(child<QPushButton>("forgetRepeat"), Qt::LeftButton);
        QVERIFY(data().repeats.contains(id) && !data().repeats.contains(other));
        QCOMPARE(right->count(), 1);
        QVERIFY(m_window->caseView()->bench().book().undo());
        QVERIFY(data().repeats.contains(other));
        page()->tabs()->setCurrentIndex(0);
    }
    void darkAndSmall() {
        useTheme(Theme::night());
        qApp->setStyleSheet(theme().styleSheet());
        m_window->resize(1024, 700);
        bench().setFrame(rep().positions.at("heel_lands").frame.value);
        QVERIFY(settle(*m_window));
        picture("marking-dark-small");
        QVERIFY(canvas()->height() >= 180);
        useTheme(Theme::light());
        qApp->setStyleSheet(theme().styleSheet());
    }
};
QTEST_MAIN(TestMarkingTools)
#include "test_marking_tools.moc"
