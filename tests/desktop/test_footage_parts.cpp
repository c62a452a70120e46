// The parts of the Footage workspace, each on its own, by real events.

#include "casebook/shipped.h"
#include "desktop/footage/rep_strip.h"
#include "desktop/footage/stage_view.h"
#include "desktop/footage/transport.h"
#include "desktop/parts/job_row.h"
#include "desktop/theme/theme.h"
#include "tests/support/patience.h"

#include <QApplication>
#include <QPushButton>
#include <QSignalSpy>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>
#include <QThread>

using namespace riflesso;

class TestFootageParts : public QObject {
    Q_OBJECT
    std::unique_ptr<QTemporaryDir> m_dir;
    std::unique_ptr<Workbench> m_bench;
    Id m_take = 0;
    Jobs m_jobs;

    std::vector<const Rep*> reps() const { return repsOf(m_bench->data(), m_take); }
    static RepSpan span(int first, int last) { return {FrameIndex(first), FrameIndex(last), 1.0}; }
    static void drag(QWidget* w, QPoint from, QPoint to) {
        QTest::mousePress(w, Qt::LeftButton, {}, from);
        QTest::mouseMove(w, (from + to) / 2);
        QTest::mouseMove(w, to);
        QTest::mouseRelease(w, Qt::LeftButton, {}, to);
    }
    struct Stage {
        StageView view;
        Stage() {
            view.resize(640, 360);
            view.show();
            QImage picture(1280, 720, QImage::Format_RGB32);
            picture.fill(Qt::gray);
            view.setPicture(picture);
        }
        [[nodiscard]] QPoint at(double x, double y) const { return view.toView().map(QPointF(x, y)).toPoint(); }
    };
private slots:
    void initTestCase() {
        qRegisterMetaType<StageTool>();
        qRegisterMetaType<DrawnLine>();
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestParts");
        QVERIFY(loadFonts());
        useTheme(Theme::light());
    }
    void init() {
        m_dir = std::make_unique<QTemporaryDir>();
        std::shared_ptr<Library> library(std::move(*Library::create((m_dir->path() + "/lib").toStdString())));
        const Id id = *library->addCase("fencing-lunge", Brief{});
        m_bench = std::make_unique<Workbench>(
            std::move(*Casebook::open(library, id, *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23"))));
        Take t;
        t.title = "take";
        t.film = "none.mp4";
        t.width = 1280;
        t.height = 720;
        t.captureRate = 120;
        for (int i = 0; i < 401; ++i)
            t.times.push_back(i / 30.0);
        m_take = m_bench->book().addTake(t);
        QVERIFY(m_take);
        m_bench->selectTake(m_take);
    }
    void cleanup() { m_bench.reset(); }

    // Reps on the strip ----------------------------------------------------------------------------------------------
    void proposalsAreAcceptedOneByOneFromThePlayhead() {
        RepStrip strip(*m_bench);
        strip.setProposals({span(10, 60), span(100, 160), span(200, 260)}, {}, {});
        m_bench->setFrame(120);
        QVERIFY(strip.acceptHere()); // the one under the playhead, not the first
        QCOMPARE(reps().size(), std::size_t(1));
        QCOMPARE(reps()[0]->first->value, 100);
        QCOMPARE(m_bench->frame(), 200); // on to the next
        QVERIFY(strip.acceptAll());
        QCOMPARE(reps().size(), std::size_t(3));
        for (std::size_t i = 0; i < 3; ++i)
            QCOMPARE(reps()[i]->number, static_cast<int>(i) + 1);
        QCOMPARE(reps()[0]->first->value, 10);
        QVERIFY(!strip.acceptHere() && !strip.acceptAll());
    }
    void proposalsAreSplitMergedMovedAndDropped() {
        RepStrip strip(*m_bench);
        QSignalSpy changed(&strip, &RepStrip::proposalsChanged);
        strip.setProposals({span(10, 60), span(100, 160)}, {}, {});
        m_bench->setFrame(40);
        QVERIFY(strip.splitHere());
        QCOMPARE(strip.proposals().size(), std::size_t(3));
        QCOMPARE(strip.proposals()[0].last.value, 39);
        QCOMPARE(strip.proposals()[1].first.value, 40);
        m_bench->setFrame(20);
        QVERIFY(strip.mergeNext());
        QCOMPARE(strip.proposals().size(), std::size_t(2));
        QCOMPARE(strip.proposals()[0].last.value, 60);
        m_bench->setFrame(15);
        QVERIFY(strip.setFirst());
        QCOMPARE(strip.proposals()[0].first.value, 15);
        m_bench->setFrame(75);
        QVERIFY(strip.setLast());
        QCOMPARE(strip.proposals()[0].last.value, 75);
        QVERIFY(!strip.removeHere() || strip.proposals().size() == 1);
        QVERIFY(changed.count() >= 3);
        QVERIFY(reps().empty()); // proposals are no data
        m_bench->setFrame(300);
        QVERIFY(!strip.splitHere() && !strip.mergeNext() && !strip.removeHere());
    }
    void anEndIsDraggedAsOneStep() {
        RepStrip strip(*m_bench);
        strip.resize(828, 92); // 400 frames on 800 px: two a frame
        strip.show();
        strip.setProposals({span(100, 200)}, {}, {});
        QVERIFY(strip.acceptAll());
        const int before = m_bench->book().undoStack().index();
        drag(&strip, QPoint(14 + 400, 40), QPoint(14 + 500, 40));
        QCOMPARE(reps()[0]->last->value, 250);
        QCOMPARE(reps()[0]->first->value, 100);
        QCOMPARE(m_bench->book().undoStack().index(), before + 1);
        m_bench->book().undo();
        QCOMPARE(reps()[0]->last->value, 200);
        // An end cannot be drawn past the other one.
        drag(&strip, QPoint(14 + 200, 40), QPoint(14 + 600, 40));
        QVERIFY(*reps()[0]->first < *reps()[0]->last);
    }
    void aClickGoesThereAndChooses() {
        RepStrip strip(*m_bench);
        strip.resize(828, 92);
        strip.show();
        strip.setProposals({span(50, 100), span(150, 250)}, {}, {});
        QVERIFY(strip.acceptAll());
        QTest::mouseClick(&strip, Qt::LeftButton, {}, QPoint(14 + 400, 40));
        QCOMPARE(m_bench->frame(), 200);
        QCOMPARE(m_bench->rep()->number, 2);
        QVERIFY(strip.go(-1));
        QVERIFY(strip.go(-1));
        QCOMPARE(m_bench->rep()->number, 1);
        QVERIFY(!strip.go(-1));
        QVERIFY(!strip.grab().isNull());
    }
    void proposalsBelongToTheirTake() {
        RepStrip strip(*m_bench);
        strip.setProposals({span(50, 100)}, std::vector<double>(401, 1.0), {3.0});
        Take other = *m_bench->take();
        other.title = "other";
        m_bench->selectTake(m_bench->book().addTake(other));
        QVERIFY(strip.proposals().empty());
    }
    // Playing
    // ----------------------------------------------------------------------------------------------------------
    void speedIsTheAthletes() {
        Transport transport(*m_bench);
        QCOMPARE(transport.speed(), 0.25);
        transport.faster(1);
        QCOMPARE(transport.speed(), 0.5);
        transport.faster(-9);
        QCOMPARE(transport.speed(), 1.0 / 16);
        transport.faster(9);
        QCOMPARE(transport.speed(), 2.0);
        // 401 frames at 120 Hz are 3.3 s: at twice the speed they are through in 1.7 s.
        transport.play(1);
        QTest::qWait(500);
        const int at = m_bench->frame();
        QVERIFY2(at > 60 && at < 300, qPrintable(QString::number(at)));
        QTRY_VERIFY(transport.playing() == 0); // it stops at the end by itself
        QCOMPARE(m_bench->frame(), 400);
        transport.play(-1);
        QTRY_VERIFY(m_bench->frame() < 300);
        transport.play(0);
        QCOMPARE(transport.playing(), 0);
    }
    void aRepGoesRound() {
        RepStrip strip(*m_bench);
        strip.setProposals({span(100, 130)}, {}, {});
        QVERIFY(strip.acceptAll());
        m_bench->selectRep(reps()[0]->id);
        Transport transport(*m_bench);
        transport.toggleLoop();
        transport.faster(9);
        m_bench->setFrame(100);
        transport.play(1);
        int rounds = 0, last = 100;
        const auto watch = connect(m_bench.get(), &Workbench::frameChanged, this, [&] {
            rounds += m_bench->frame() < last;
            last = m_bench->frame();
        });
        QTRY_VERIFY(rounds >= 3);
        QVERIFY(last >= 100 && last <= 130);
        transport.play(1);
        QCOMPARE(transport.playing(), 0);
        disconnect(watch);
    }
    // Drawing on the frame --------------------------------------------------------------------------------------------
    void toolsGiveLinesInPicturePixels() {
        Stage s;
        QSignalSpy lines(&s.view, &StageView::lineDrawn);
        s.view.setTool(StageTool::length);
        QVERIFY(StageView::prompt(StageTool::length, 0).contains("known length"));
        drag(&s.view, s.at(200, 600), s.at(1000, 600));
        QCOMPARE(lines.count(), 1);
        const auto line = lines[0][1].value<DrawnLine>();
        QVERIFY(std::abs(line.a.x - 200) < 2 && std::abs(line.b.x - 1000) < 2 && std::abs(line.b.y - 600) < 2);
        drag(&s.view, s.at(300, 300), s.at(301, 300)); // a slip of the hand is no line
        QCOMPARE(lines.count(), 1);
        // Swapped left and right on the screen, the line is in the picture's own pixels all the same.
        s.view.setMirrored(true);
        QVERIFY(s.at(200, 600).x() > s.at(1000, 600).x());
        drag(&s.view, s.at(200, 600), s.at(1000, 600));
        QVERIFY(std::abs(lines[1][1].value<DrawnLine>().a.x - 200) < 2);
    }
    void cornersAreAskedForInOrder() {
        Stage s;
        QSignalSpy points(&s.view, &StageView::pointsClicked);
        s.view.setTool(StageTool::rectangle);
        QVERIFY(StageView::prompt(StageTool::rectangle, 0).contains("lower left"));
        QVERIFY(StageView::prompt(StageTool::rectangle, 2).contains("upper right"));
        for (auto [x, y] : {std::pair{100, 600}, {900, 600}, {900, 200}, {100, 200}})
            QTest::mouseClick(&s.view, Qt::LeftButton, {}, s.at(x, y));
        QCOMPARE(points.count(), 1);
        QCOMPARE(points[0][1].value<std::vector<Pixel>>().size(), std::size_t(4));
        // An edge has as many points as it needs; Enter ends it, and not before three.
        s.view.setTool(StageTool::edge);
        for (int x : {100, 500})
            QTest::mouseClick(&s.view, Qt::LeftButton, {}, s.at(x, 50));
        QTest::keyClick(&s.view, Qt::Key_Return);
        QCOMPARE(points.count(), 1);
        QTest::mouseClick(&s.view, Qt::LeftButton, {}, s.at(900, 52));
        QTest::keyClick(&s.view, Qt::Key_Return);
        QCOMPARE(points.count(), 2);
        QSignalSpy away(&s.view, &StageView::toolPutAway);
        QTest::keyClick(&s.view, Qt::Key_Escape);
        QCOMPARE(away.count(), 1);
        QVERIFY(s.view.tool() == StageTool::none);
    }
    void anEndIsTakenHoldOf() {
        Stage s;
        CalibrationInput drawn;
        drawn.plumb = {{400, 600}, {400, 100}};
        s.view.setDrawn(drawn);
        QSignalSpy edited(&s.view, &StageView::edited);
        drag(&s.view, s.at(700, 300), s.at(800, 300)); // nothing there
        QCOMPARE(edited.count(), 0);
        drag(&s.view, s.at(400, 100), s.at(430, 110));
        QCOMPARE(edited.count(), 1);
        const auto after = edited[0][0].value<CalibrationInput>();
        QVERIFY(std::abs(after.plumb->b.x - 430) < 2 && after.plumb->a == drawn.plumb->a);
    }
    void aCropFillsTheView() {
        Stage s;
        QSignalSpy crops(&s.view, &StageView::cropDrawn);
        s.view.setTool(StageTool::crop);
        drag(&s.view, s.at(640, 180), s.at(1280, 540));
        QCOMPARE(crops.count(), 1);
        const QRect crop = crops[0][0].toRect();
        QVERIFY(std::abs(crop.width() - 640) < 6);
        s.view.setCrop(crop);
        QVERIFY(std::abs(s.at(960, 360).x() - 320) < 4); // its middle is the view's
        QVERIFY(std::abs(s.at(640, 360).x()) < 6);       // its edge the view's edge
        s.view.setCrop({});
        QVERIFY(std::abs(s.at(640, 360).x() - 320) < 2);
    }
    // Work in the background
    // --------------------------------------------------------------------------------------------
    void aJobSaysWhatItDoesAndEnds() {
        auto* row = new JobRow("Counting", m_jobs);
        row->show();
        QSignalSpy finished(row, &JobRow::finished);
        bool after = false;
        row->start([&](const JobProgress& progress) -> std::function<void()> {
            for (int i = 0; i <= 20; ++i) {
                progress("sheep", i / 20.0);
                QThread::msleep(20);
            }
            return [&] { after = true; };
        });
        QTRY_VERIFY(finished.count() > 0 || [&] {
            const auto labels = row->findChildren<QLabel*>();
            return std::any_of(labels.begin(), labels.end(), [](QLabel* l) { return l->text().contains("sheep"); });
        }());
        QCOMPARE(finished.count(), 0); // it was said while it went on
        QTRY_COMPARE(finished.count(), 1);
        QVERIFY(after && !finished[0][0].toBool());
    }
    void cancelReachesTheWork() {
        auto* row = new JobRow("Endless", m_jobs);
        row->show();
        QSignalSpy finished(row, &JobRow::finished);
        row->start([](const JobProgress& progress) -> std::function<void()> {
            while (progress("on and on", 0.1))
                QThread::msleep(5);
            return {};
        });
        QTest::qWait(50);
        QTest::mouseClick(row->findChild<QPushButton*>(), Qt::LeftButton);
        QTRY_COMPARE(finished.count(), 1);
        QVERIFY(finished[0][0].toBool());
        // Before it was begun it is simply gone.
        auto* waiting = new JobRow("Waiting", m_jobs);
        QSignalSpy gone(waiting, &JobRow::finished);
        waiting->cancel();
        QCOMPARE(gone.count(), 1);
        QVERIFY(!waiting->started());
    }
};
QTEST_MAIN(TestFootageParts)
#include "test_footage_parts.moc"
