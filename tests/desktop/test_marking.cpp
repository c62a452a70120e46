// Marking through the real window, off screen, by key and mouse events: a rep marked from nothing, carried, corrected
// where it asks, its pegs accepted; marked again and compared. With RIFLESSO_PICTURES=DIR it leaves a picture of each
// state.

#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "tests/support/coded_films.h"
#include "tests/support/demo_copy.h"

#include <QApplication>
#include <QComboBox>
#include <QDoubleSpinBox>
#include <QElapsedTimer>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPushButton>
#include <QSettings>
#include <QStandardPaths>
#include <QTableWidget>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>
#include <QToolButton>

#include <cmath>
#include <random>
#include <utility>

using namespace riflesso;

class TestMarking : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    QMap<QString, test::Eye> m_eyes; // by key position of the first rep
    Id m_rep = 0;

    CaseView* view() const { return m_window->caseView(); }
    MarkingPage* page() const { return view()->marking(); }
    MarkCanvas* canvas() const { return page()->canvas(); }
    Workbench& bench() const { return view()->bench(); }
    const CaseData& data() const { return bench().data(); }
    const Rep& rep() const { return data().reps.at(m_rep); }
    Id take() const {
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-side.mp4")
                return id;
        return 0;
    }
    bool readable(const QString& text) const {
        for (const QLabel* l : m_window->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains(text))
                return true;
        return false;
    }
    template <typename T> T* child(const char* name) const {
        T* w = m_window->findChild<T*>(name);
        if (!w)
            qWarning("no %s", name);
        return w;
    }
    void key(Qt::Key k, Qt::KeyboardModifiers m = {}) {
        // Off screen nobody gives the window back its place when a menu of a busy machine closes late.
        if (QApplication::activeWindow() != m_window.get() || !QApplication::focusWidget()) {
            QApplication::setActiveWindow(m_window.get());
            canvas()->setFocus();
        }
        QTest::keyClick(canvas(), k, m);
    }
    void stepTo(int frame) {
        key(Qt::Key_Home);
        for (int i = 0; i < 200 && bench().frame() + 10 <= frame; ++i)
            key(Qt::Key_Right, Qt::ShiftModifier);
        for (int i = 0; i < 10 && bench().frame() < frame; ++i)
            key(Qt::Key_Right);
        settle(*m_window);
    }
    void clickAt(QPointF inPicture) {
        QTest::mouseClick(canvas(), Qt::LeftButton, {}, canvas()->toView().map(inPicture).toPoint());
    }
    // Clicks whatever the guide asks for, where the eye sees it on this frame, until nothing is open there.
    int clickAll(const QString& position) {
        const auto& eye = m_eyes[position].at;
        int clicks = 0;
        for (; clicks < 30; ++clicks) {
            const QString asked = QString::fromStdString(canvas()->landmark());
            const auto m = data().marks.find(take());
            const bool there = m != data().marks.end() && m->second.contains(asked.toStdString()) &&
                               m->second.at(asked.toStdString()).contains(FrameIndex(bench().frame()));
            if (there || !eye.contains(asked))
                break;
            clickAt(eye[asked]);
        }
        return clicks;
    }
    bool carried() {
        return QTest::qWaitFor([&] { return !page()->carrier()->busy(); }, 120000) && settle(*m_window);
    }
    // Opens the menu of points and chooses by keys, in its submenu when \p sub is given.
    void choosePoint(const QString& action, const QString& sub = {}) {
        auto* menu = child<QMenu>("pointsMenu");
        const auto choose = [](QMenu* m, const QString& words, Qt::Key how) {
            for (int i = 0; i < 20 && !(m->activeAction() && m->activeAction()->text() == words); ++i)
                QTest::keyClick(m, Qt::Key_Down);
            QAction* a = m->activeAction();
            if (!a || a->text() != words) {
                qWarning("no %s", qPrintable(words));
                return static_cast<QMenu*>(nullptr);
            }
            QTest::keyClick(m, how);
            return a->menu();
        };
        // On a busy machine a submenu may come too late for its key: then the whole is done again, as one would.
        bool chosen = false;
        const auto heard = connect(menu, &QMenu::triggered, this, [&] { chosen = true; });
        for (int attempt = 0; attempt < 4 && !chosen; ++attempt) {
            int ticks = 0;
            QTimer tick; // the menu runs its own loop inside the click
            connect(&tick, &QTimer::timeout, this, [&] {
                if (!menu->isVisible())
                    return;
                if (ticks++ > 0) {
                    while (QWidget* open = QApplication::activePopupWidget()) // whatever went wrong
                        if (!open->close())
                            break;
                    return;
                }
                QMenu* more = choose(menu, action, sub.isEmpty() ? Qt::Key_Return : Qt::Key_Right);
                if (!sub.isEmpty() && more && QTest::qWaitFor([&] { return more->isVisible(); }, 3000))
                    choose(more, sub, Qt::Key_Return);
            });
            tick.start(50);
            QTest::mouseClick(child<QToolButton>("points"), Qt::LeftButton);
        }
        disconnect(heard);
        QVERIFY2(chosen, qPrintable(action));
        QVERIFY(!QApplication::activePopupWidget());
        QVERIFY(settle(*m_window));
    }
    void picture(const char* name) {
        const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
        if (!dir.isEmpty()) {
            settle(*m_window);
            m_window->grab().save(dir + "/" + name + ".png");
        }
    }
private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestMarking");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        qApp->setStyleSheet(theme().styleSheet());
        for (const char* p : {"on_guard", "foot_leaves", "heel_lands", "lunge_held", "back_on_guard"}) {
            m_eyes[p] = test::lookAt("athlete-side", p);
            QVERIFY(m_eyes[p].at.size() == 21);
        }
        QVERIFY(test::copyDemo(m_dir.filePath("library")));
        m_window = std::make_unique<MainWindow>(*dayFromIso("2026-11-23"));
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(m_dir.filePath("library"), 1));
        QVERIFY(settle(*m_window));
        // Nothing of the take is marked; it is only known where its first two reps are.
        std::vector<Edit> edits;
        for (const auto& [landmark, track] : data().marks.at(take()))
            for (const auto& [frame, mark] : track)
                edits.push_back(MarkEdit{{take(), frame, landmark}, mark, std::nullopt});
        for (const Rep* r : repsOf(data(), take())) {
            Rep after = *r;
            after.positions.clear();
            edits.push_back(RepEdit{r->id, *r, r->number <= 2 ? std::optional(after) : std::nullopt});
            if (r->number == 1)
                m_rep = r->id;
        }
        for (const auto& [id, t] : data().takes)
            if (!t.captureRate) {
                Take known = t;
                known.captureRate = 120.0;
                edits.push_back(TakeEdit{id, t, known});
            }
        QVERIFY(bench().book().perform("clear", edits));
        QVERIFY(rep().first && rep().last);
        view()->show(Workspace::marking);
        bench().selectRep(m_rep);
        QVERIFY(settle(*m_window));
        canvas()->setFocus();
    }
    void nothingToCarryIsSaid() {
        key(Qt::Key_C);
        QVERIFY(carried());
        QVERIFY(readable("no hand mark to carry from"));
        QVERIFY(!data().marks.contains(take()));
        key(Qt::Key_P);
        QVERIFY(readable("Carry the rep's marks first"));
        picture("marking-empty");
        for (QPushButton* b : m_window->findChildren<QPushButton*>())
            if (b->isVisible() && b->text() == "Understood")
                QTest::mouseClick(b, Qt::LeftButton);
    }
    void aRepFromTwoFramesByHand() {
        int hand = 0;
        for (const char* p : {"on_guard", "lunge_held"}) {
            stepTo(m_eyes[p].positions[p]);
            QVERIFY2(readable("Step to"), "the guide says what comes next");
            hand += clickAll(p);
            // What the guide does not ask for by itself is reached with the full stop.
            for (int i = 0; i < 16; ++i) {
                key(Qt::Key_Period);
                hand += clickAll(p);
            }
        }
        const int asked = static_cast<int>(bench().blueprint().rolesFor(View::side).size());
        QCOMPARE(hand, 2 * asked);
        std::size_t marks = 0;
        for (const auto& [landmark, track] : data().marks.at(take()))
            marks += track.size();
        QCOMPARE(marks, static_cast<std::size_t>(2 * asked));
        // Carried in the background.
        QTest::mouseClick(child<QPushButton>("carry"), Qt::LeftButton);
        QVERIFY(page()->carrier()->busy());
        picture("marking-carrying");
        QVERIFY(carried());
        marks = 0;
        int tracked = 0;
        for (const auto& [landmark, track] : data().marks.at(take()))
            for (const auto& [frame, mark] : track) {
                ++marks;
                tracked += mark.how == How::tracked;
            }
        const int frames = *rep().last - *rep().first + 1;
        QVERIFY2(tracked > 10 * frames, qPrintable(QString("%1 marks on %2 frames").arg(tracked).arg(frames)));
        QVERIFY2(tracked > 40 * hand, qPrintable(QString("%1 from %2").arg(tracked).arg(hand)));
        key(Qt::Key_Z, Qt::ControlModifier); // one step back takes all of it away, one forward brings it
        QCOMPARE(data().marks.at(take()).at("neck").size(), std::size_t(2));
        key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QVERIFY(data().marks.at(take()).at("neck").size() > 100);
        QVERIFY(settle(*m_window));
        picture("marking-carried");
    }
    void pegsAreProposedAndAccepted() {
        key(Qt::Key_P);
        QVERIFY(settle(*m_window));
        QCOMPARE(rep().positions.size(), bench().blueprint().positions.size());
        for (const auto& [id, p] : rep().positions) {
            QVERIFY(p.proposed && p.sigma && *p.sigma > 0.0);
            if (*p.sigma > 2.0 / 120.0)
                continue; // never far off without being shown as unsure
            const auto truth = m_eyes["on_guard"].positions[QString::fromStdString(id)];
            QVERIFY2(
                std::abs(p.frame.value - truth) <= 5,
                qPrintable(QString("%1: %2, truly %3").arg(QString::fromStdString(id)).arg(p.frame.value).arg(truth)));
        }
        QVERIFY(readable("is proposed here"));
        QVERIFY(bench().analysis().next.words.find("Accept or correct 7 key positions") == 0);
        picture("marking-pegs");
        key(Qt::Key_Return); // the first is right
        QVERIFY(!rep().positions.at("on_guard").proposed);
        QCOMPARE(bench().frame(), rep().positions.at("arm_starts").frame.value);
        const int before = bench().frame();
        key(Qt::Key_Right, Qt::ControlModifier); // the second belongs a frame later
        QCOMPARE(rep().positions.at("arm_starts").frame.value, before + 1);
        QVERIFY(!rep().positions.at("arm_starts").proposed);
        key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(rep().positions.at("arm_starts").proposed);
        for (int i = 0; i < 12; ++i)
            key(Qt::Key_Return);
        for (const auto& [id, p] : rep().positions)
            QVERIFY2(!p.proposed, id.c_str());
        QVERIFY(settle(*m_window));
    }
    void worstFirstUntilItIsContent() {
        const auto& attention = bench().analysis().attention.at(m_rep);
        const auto asks = attention.asks.size();
        QVERIFY2(asks >= 1 && asks <= 7, qPrintable(QString::number(asks)));
        QVERIFY(readable("until every measure can be decided"));
        key(Qt::Key_W);
        QVERIFY(settle(*m_window));
        QVERIFY(readable("Worth a look") || readable("is not marked here"));
        picture("marking-worst");
        // The analyst looks at each asked point: drags it to where it is, or says that it is right.
        int corrections = 0;
        QMap<int, QString> known;
        for (auto it = m_eyes.begin(); it != m_eyes.end(); ++it)
            known[it->positions[it.key()]] = it.key();
        for (int round = 0; round < 60; ++round) {
            const auto& now = bench().analysis().attention.at(m_rep).asks;
            if (now.empty())
                break;
            const auto& asked = now.front().landmarks;
            if (bench().frame() != now.front().frame.value ||
                std::find(asked.begin(), asked.end(), canvas()->landmark()) == asked.end())
                key(Qt::Key_W);
            const auto name = canvas()->landmark();
            const auto& track = data().marks.at(take()).at(name);
            const FrameIndex here(bench().frame());
            const auto marked = track.find(here);
            const QString seen = QString::fromStdString(name);
            const auto eye =
                known.contains(bench().frame()) ? m_eyes[known[bench().frame()]].at : QMap<QString, QPointF>();
            if (marked == track.end()) { // it was covered: placed where the eye knows it, else not to be seen
                if (eye.contains(seen)) {
                    clickAt(eye[seen]);
                } else {
                    key(Qt::Key_X);
                    QCOMPARE(track.at(here).how, How::hidden);
                    ++corrections;
                    QVERIFY(carried());
                    continue;
                }
            } else if (const Mark mark = marked->second;
                       eye.contains(seen) && std::hypot(eye[seen].x() - mark.at.x, eye[seen].y() - mark.at.y) > 3.0) {
                const QPoint from = canvas()->toView().map(QPointF(mark.at.x, mark.at.y)).toPoint();
                QTest::mousePress(canvas(), Qt::LeftButton, {}, from);
                QTest::mouseMove(canvas(), from + QPoint(2, 2));
                QTest::mouseRelease(canvas(), Qt::LeftButton, {}, canvas()->toView().map(eye[seen]).toPoint());
            } else {
                key(Qt::Key_Return);
            }
            QCOMPARE(data().marks.at(take()).at(name).at(here).how, How::hand);
            ++corrections;
            QVERIFY(carried());
        }
        QVERIFY(bench().analysis().attention.at(m_rep).asks.empty());
        qInfo("content after %d points looked at on %d frames", corrections, int(asks));
        key(Qt::Key_W);
        picture("marking-content");
    }
    void aCorrectionCarriesItsNeighbourhoodAnew() {
        const int frame = rep().positions.at("foot_leaves").frame.value + 8;
        bench().setFrame(frame);
        canvas()->setLandmark("right_elbow");
        QVERIFY(settle(*m_window));
        const auto at = [&](int f) { return data().marks.at(take()).at("right_elbow").at(FrameIndex(f)); };
        const Mark before = at(frame), near = at(frame + 2), far = at(rep().first->value + 2);
        QCOMPARE(before.how, How::tracked);
        const QPoint from = canvas()->toView().map(QPointF(before.at.x, before.at.y)).toPoint();
        QTest::mousePress(canvas(), Qt::LeftButton, {}, from);
        QTest::mouseMove(canvas(), from + QPoint(4, 3));
        QTest::mouseRelease(canvas(), Qt::LeftButton, {}, from + QPoint(4, 3));
        QCOMPARE(at(frame).how, How::hand);
        QVERIFY(carried());
        QCOMPARE(at(frame + 2).how, How::tracked);
        QVERIFY(at(frame + 2) != near);
        QCOMPARE(at(rep().first->value + 2), far); // beyond the next hand mark nothing changes
    }
    void hiddenCopiedSwapped() {
        const int frame = rep().positions.at("lunge_held").frame.value + 5;
        bench().setFrame(frame);
        canvas()->setLandmark("left_heel");
        key(Qt::Key_X);
        const auto of = [&](const char* name, int f) { return data().marks.at(take()).at(name).at(FrameIndex(f)); };
        QCOMPARE(of("left_heel", frame).how, How::hidden);
        QVERIFY(carried());
        key(Qt::Key_Z, Qt::ControlModifier);
        const Mark left = of("left_knee", frame), right = of("right_knee", frame), before = of("left_knee", frame - 1);
        key(Qt::Key_S);
        QCOMPARE(of("left_knee", frame), right);
        QCOMPARE(of("right_knee", frame), left);
        QCOMPARE(of("left_knee", frame - 1), before); // from here on, not before
        key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(of("left_knee", frame), left);
        // Copied marks say that nobody has looked yet.
        const int outside = rep().last->value + 1;
        bench().setFrame(outside);
        QVERIFY(!data().marks.at(take()).at("neck").contains(FrameIndex(outside)));
        key(Qt::Key_V);
        QCOMPARE(of("neck", outside).how, How::interpolated);
        QCOMPARE(of("neck", outside).at, of("neck", outside - 1).at);
        key(Qt::Key_Z, Qt::ControlModifier);
        key(Qt::Key_V, Qt::ShiftModifier);
        QCOMPARE(of("left_knee", outside).at, of("right_knee", outside - 1).at);
        key(Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(!data().marks.at(take()).at("neck").contains(FrameIndex(outside)));
    }
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
    void theNextRepStartsFromThisOne() {
        page()->tabs()->setCurrentIndex(0);
        const auto reps = repsOf(data(), take());
        QCOMPARE(reps.size(), std::size_t(2));
        const Id second = reps[1]->id;
        bench().selectRep(second);
        canvas()->setFocus();
        key(Qt::Key_G);
        QVERIFY(carried());
        const auto [first, last] = spanOf(data(), data().reps.at(second));
        int there = 0;
        for (const auto& [landmark, track] : data().marks.at(take()))
            for (auto m = track.lower_bound(first); m != track.end() && m->first <= last; ++m)
                there += m->second.how == How::tracked;
        QVERIFY2(there > 10 * (last - first), qPrintable(QString::number(there)));
        key(Qt::Key_P);
        QVERIFY(settle(*m_window));
        QVERIFY(data().reps.at(second).positions.size() >= 6);
        picture("marking-second-rep");
        bench().selectRep(m_rep);
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
QTEST_MAIN(TestMarking)
#include "test_marking.moc"
