// A rep marked from nothing through the real window, off screen, by key and mouse events: two frames by hand, carried,
// its pegs accepted, corrected where it asks, and the next rep from it. One story: each step goes on from the one
// before. With RIFLESSO_PICTURES=DIR it leaves a picture of each state.

#include "tests/support/marking_test.h"

#include <cmath>

using namespace riflesso;

class TestMarking : public test::MarkingTest {
    Q_OBJECT
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
        const auto asksNow = [&] { return bench().analysis().attention.at(m_rep).asks.size(); };
        if (asksNow() == 0) { // all was carried well: then a point that a measure needs is taken away
            const FrameIndex at(rep().positions.at("heel_lands").frame);
            const LandmarkName knee = resolveRole("rear_knee", data().takes.at(take()).handedness);
            std::vector<Edit> edits;
            for (int f = at.value - 20; f <= at.value + 20; ++f) // more than is filled
                if (const auto m = data().marks.at(take()).at(knee).find(FrameIndex(f));
                    m != data().marks.at(take()).at(knee).end())
                    edits.push_back(MarkEdit{{take(), FrameIndex(f), knee}, m->second, std::nullopt});
            QVERIFY(!edits.empty() && bench().book().perform("lose the knee", edits));
            QVERIFY(settle(*m_window));
        }
        const auto asks = asksNow();
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
private slots:
    void initTestCase() { openMarking("RiflessoTestMarking", false); }
    void aRepFromNothingAndTheNext() {
        using Step = void (TestMarking::*)();
        for (const Step step : {&TestMarking::nothingToCarryIsSaid, &TestMarking::aRepFromTwoFramesByHand,
                                &TestMarking::pegsAreProposedAndAccepted, &TestMarking::worstFirstUntilItIsContent,
                                &TestMarking::aCorrectionCarriesItsNeighbourhoodAnew, &TestMarking::hiddenCopiedSwapped,
                                &TestMarking::theNextRepStartsFromThisOne}) {
            (this->*step)();
            if (QTest::currentTestFailed())
                return;
        }
    }
};
QTEST_MAIN(TestMarking)
#include "test_marking.moc"
