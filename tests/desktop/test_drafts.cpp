// A first draft by the machine through the real window, off screen, by key and mouse events: a box, a draft,
// corrections that teach it, what the other workspaces say of it. With RIFLESSO_PICTURES=DIR it leaves a picture of
// each state.

#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "handover/report.h"
#include "handover/words.h"
#include "intake/found_file.h"
#include "tests/support/demo_copy.h"
#include "tests/support/film_truth.h"
#include "tests/support/patience.h"

#include <QApplication>
#include <QComboBox>
#include <QPushButton>
#include <QSettings>
#include <QStandardPaths>
#include <QStatusBar>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestDrafts : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    test::FilmTruth m_truth;
    Id m_rep = 0;

    CaseView* view() const { return m_window->caseView(); }
    MarkingPage* page() const { return view()->marking(); }
    MarkCanvas* canvas() const { return page()->canvas(); }
    Workbench& bench() const { return view()->bench(); }
    const CaseData& data() const { return bench().data(); }
    const Rep& rep() const { return data().reps.at(m_rep); }
    Id take() const { return rep().take; }
    int frames() const { return *rep().last - *rep().first + 1; }
    bool readable(const QString& text) const {
        for (const QLabel* l : m_window->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains(text))
                return true;
        return m_window->statusBar()->currentMessage().contains(text);
    }
    void key(Qt::Key k, Qt::KeyboardModifiers m = {}) { QTest::keyClick(canvas(), k, m); }
    bool done() {
        return QTest::qWaitFor([&] { return !page()->carrier()->busy(); }, test::kPatience) && settle(*m_window);
    }
    void dragBox(const QRectF& box) {
        const QTransform t = canvas()->toView();
        QTest::mousePress(canvas(), Qt::LeftButton, {}, t.map(box.topLeft()).toPoint());
        QTest::mouseMove(canvas(), t.map(box.center()).toPoint());
        QTest::mouseMove(canvas(), t.map(box.bottomRight()).toPoint());
        QTest::mouseRelease(canvas(), Qt::LeftButton, {}, t.map(box.bottomRight()).toPoint());
    }
    std::map<How, int> kinds() const {
        std::map<How, int> out;
        if (const auto tracks = data().marks.find(take()); tracks != data().marks.end())
            for (const auto& [name, track] : tracks->second)
                for (const auto& [frame, m] : track)
                    ++out[m.how];
        return out;
    }
    void picture(const char* name) {
        const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
        if (!dir.isEmpty()) {
            settle(*m_window);
            m_window->grab().save(dir + "/" + name + ".png");
        }
    }
    void aBoxIsOfferedAndDrawn() {
        bench().setFrame(rep().first->value + 10);
        QVERIFY(settle(*m_window));
        key(Qt::Key_B);
        QVERIFY(page()->draft()->asking());
        QVERIFY(QTest::qWaitFor([&] { return !canvas()->box().isEmpty(); }, test::kPatience));
        QVERIFY(readable("Draft the body in this box?"));
        const Pixel hip = m_truth.places.at("left_hip")[static_cast<std::size_t>(bench().frame())];
        QVERIFY(canvas()->box().contains(QPointF(hip.x, hip.y))); // the person who is there
        picture("marking-draft-box");
        const auto before = kinds();
        dragBox({20, 20, 60, 60}); // the wall
        QVERIFY(std::abs(canvas()->box().width() - 60) < 4);
        QCOMPARE(kinds(), before); // a drag draws a box and moves no mark
        key(Qt::Key_Return);
        QVERIFY(!page()->draft()->asking());
        QVERIFY(done());
        QVERIFY(readable("nobody is found there"));
        QVERIFY(kinds()[How::found] == 0);
        for (QPushButton* b : m_window->findChildren<QPushButton*>())
            if (b->isVisible() && b->text() == "Understood")
                QTest::mouseClick(b, Qt::LeftButton);
        key(Qt::Key_B);
        key(Qt::Key_Escape);
        QVERIFY(!page()->draft()->asking() && !page()->carrier()->busy());
    }
    void theRepIsDrafted() {
        key(Qt::Key_B);
        dragBox({600, 60, 420, 620});
        QTest::mouseClick(m_window->findChild<QPushButton*>("draftGo"), Qt::LeftButton);
        QVERIFY(page()->carrier()->busy());
        QVERIFY(done());
        QVERIFY(readable("Drafts, not measurements"));
        const int found = kinds()[How::found];
        QVERIFY2(found > 0.93 * 20 * frames(), qPrintable(QString("%1 on %2 frames").arg(found).arg(frames())));
        picture("marking-draft");
        key(Qt::Key_Z, Qt::ControlModifier);
        QCOMPARE(kinds()[How::found], 0);
        key(Qt::Key_Z, Qt::ControlModifier | Qt::ShiftModifier);
        QCOMPARE(kinds()[How::found], found);
        QVERIFY(settle(*m_window));
    }
    void numbersFromDraftsAreCalledDrafts() {
        const auto& measured = bench().analysis().measured.at(m_rep);
        int drafts = 0;
        for (const auto& v : measured.values)
            drafts += !v.refused && v.draft;
        QVERIFY2(drafts >= 8, qPrintable(QString::number(drafts)));
        QVERIFY(marksWords(data(), bench().analysis()).find("drafted by the machine") != std::string::npos);
        view()->show(Workspace::mirror);
        picture("mirror-draft");
        view()->show(Workspace::findings);
        QVERIFY(settle(*m_window));
        QVERIFY(readable("(draft)") || bench().analysis().judgement.findings.empty());
        picture("findings-draft");
        const auto report = gatherReport(bench().book());
        QVERIFY(report.html.contains("drafted by the machine") && report.html.contains("(draft)"));
        // Nothing is called outside that its uncertainty does not allow.
        for (const auto& d : bench().analysis().deviations)
            if (d.judged && d.value.drafts > 0 && d.verdict.decision == Decision::outside)
                QVERIFY(d.verdict.pLow + d.verdict.pHigh > 0.95);
        view()->show(Workspace::marking);
        QVERIFY(settle(*m_window));
    }
    // Corrections where it asks: the hand wins on its frame, the rest is taught, the measures grow surer.
    void correctionsTeach() {
        const double doubtBefore = bench().analysis().attention.at(m_rep).doubt;
        QVERIFY(doubtBefore > 0.0);
        const TrackSet before = data().marks.at(take());
        std::set<std::pair<LandmarkName, int>> corrected;
        for (int i = 0; i < 12; ++i) {
            const auto& asks = bench().analysis().attention.at(m_rep).asks;
            if (asks.empty())
                break;
            if (bench().frame() != asks.front().frame.value)
                key(Qt::Key_W);
            QVERIFY(settle(*m_window));
            if (i == 0)
                picture("marking-draft-worst");
            const LandmarkName name = canvas()->landmark();
            const int frame = bench().frame();
            const Pixel p = m_truth.places.at(name)[static_cast<std::size_t>(frame)];
            const auto& marks = data().marks.at(take());
            const Track track = marks.contains(name) ? marks.at(name) : Track(); // no draft has the tip of a blade
            if (const auto m = track.find(FrameIndex(frame)); m != track.end()) {
                const QPoint from = canvas()->toView().map(QPointF(m->second.at.x, m->second.at.y)).toPoint(),
                             to = canvas()->toView().map(QPointF(p.x, p.y)).toPoint();
                QTest::mousePress(canvas(), Qt::LeftButton, {}, from);
                QTest::mouseMove(canvas(), (from + to) / 2 + QPoint(3, 3));
                QTest::mouseMove(canvas(), to);
                QTest::mouseRelease(canvas(), Qt::LeftButton, {}, to);
            } else {
                QTest::mouseClick(canvas(), Qt::LeftButton, {}, canvas()->toView().map(QPointF(p.x, p.y)).toPoint());
            }
            if (data().marks.at(take()).at(name).at(FrameIndex(frame)).how != How::hand)
                key(Qt::Key_Return); // dropped where it was
            QCOMPARE(data().marks.at(take()).at(name).at(FrameIndex(frame)).how, How::hand);
            if (!track.empty())
                corrected.insert({name, frame});
            QVERIFY(done());
            QCOMPARE(data().marks.at(take()).at(name).at(FrameIndex(frame)).how, How::hand);
        }
        QVERIFY2(corrected.size() >= 4, qPrintable(QString::number(corrected.size())));
        const double doubtAfter = bench().analysis().attention.at(m_rep).doubt;
        qInfo("unsure by %.0f %% of a band, after %zu corrections %.0f %%", 100 * doubtBefore, corrected.size(),
              100 * doubtAfter);
        QVERIFY2(doubtAfter < 0.9 * doubtBefore, qPrintable(QString("%1 %2").arg(doubtBefore).arg(doubtAfter)));
        QVERIFY(readable(" decided"));
        // Taught far away from the correction too.
        int taught = 0;
        for (const auto& [name, frame] : corrected)
            for (const int far : {rep().first->value, rep().last->value})
                if (const auto& track = data().marks.at(take()).at(name); std::abs(far - frame) > 40)
                    if (const auto m = track.find(FrameIndex(far)), old = before.at(name).find(FrameIndex(far));
                        m != track.end() && old != before.at(name).end())
                        taught += m->second.sigma < old->second.sigma;
        QVERIFY(taught >= 2);
        picture("marking-draft-fused");
    }

private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestDrafts");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        qApp->setStyleSheet(theme().styleSheet());
        m_truth = test::readTruth(test::demoFilm("athlete-side").replace(".mp4", ".truth.json")).front().truth;
        QVERIFY(test::copyDemo(m_dir.filePath("library")));
        m_window = std::make_unique<MainWindow>(*dayFromIso("2026-11-23"));
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(m_dir.filePath("library"), 1));
        QVERIFY(settle(*m_window));
        // Of the take only the first rep and its key positions are known; nothing is marked.
        std::vector<Edit> edits;
        for (const auto& [id, t] : data().takes) {
            if (t.film != "athlete-side.mp4")
                continue;
            for (const auto& [landmark, track] : data().marks.at(id))
                for (const auto& [frame, mark] : track)
                    edits.push_back(MarkEdit{{id, frame, landmark}, mark, std::nullopt});
            for (const Rep* r : repsOf(data(), id)) {
                if (r->number == 1)
                    m_rep = r->id;
                else
                    edits.push_back(RepEdit{r->id, *r, std::nullopt});
            }
        }
        QVERIFY(bench().book().perform("clear", edits));
        QVERIFY(rep().first && rep().last);
        view()->show(Workspace::marking);
        bench().selectRep(m_rep);
        QVERIFY(settle(*m_window));
        canvas()->setFocus();
    }
    // One story: a box, a draft, its numbers, corrections where it asks.
    void fromABoxToSurerNumbers() {
        using Step = void (TestDrafts::*)();
        for (const Step step : {&TestDrafts::aBoxIsOfferedAndDrawn, &TestDrafts::theRepIsDrafted,
                                &TestDrafts::numbersFromDraftsAreCalledDrafts, &TestDrafts::correctionsTeach}) {
            (this->*step)();
            if (QTest::currentTestFailed())
                return;
        }
    }
    // The whole take, stopped on the way and gone on with; what was found is not looked for again.
    void stoppedAndGoneOnWith() {
        const auto file =
            bench().book().library().indexFolder() / (data().takes.at(take()).checksum.substr(0, 32) + ".found");
        const std::size_t first = FoundFile::read(file).size();
        bench().setFrame(rep().first->value + 10);
        QVERIFY(settle(*m_window));
        const auto whole = [&] {
            key(Qt::Key_B);
            dragBox({600, 60, 420, 620});
            auto* scope = m_window->findChild<QComboBox*>("draftScope");
            scope->setCurrentIndex(scope->findData("take"));
            key(Qt::Key_Return);
        };
        whole();
        QVERIFY(QTest::qWaitFor([&] { return FoundFile::read(file).size() > first + 20; }, test::kPatience));
        key(Qt::Key_Escape);
        QVERIFY(done());
        QVERIFY(readable("then stopped"));
        const std::size_t second = FoundFile::read(file).size();
        const int take992 = static_cast<int>(data().takes.at(take()).times.size());
        QVERIFY(second > first && second < static_cast<std::size_t>(take992));
        // What an older draft put where the new one holds nothing goes; what a hand put stays.
        TrackSet old;
        old["left_thumb"][FrameIndex(30)] = {{700, 300}, 9.0, How::found};
        old["left_thumb"][FrameIndex(31)] = {{700, 300}, 1.5, How::hand};
        QVERIFY(bench().book().putMarks(take(), old, "an older draft"));
        whole();
        QVERIFY(done());
        QVERIFY(!data().marks.at(take()).at("left_thumb").contains(FrameIndex(30)));
        QVERIFY(data().marks.at(take()).at("left_thumb").contains(FrameIndex(31)));
        QVERIFY(FoundFile::read(file).size() >= static_cast<std::size_t>(0.98 * take992));
        QVERIFY(kinds()[How::found] > 0.9 * 20 * take992);
    }
    // All takes of the day: the other one starts from its most prominent person.
    void allTakesOfTheDay() {
        Id front = 0;
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-front.mp4")
                front = id;
        QVERIFY(front && !data().marks.contains(front));
        bench().setFrame(rep().first->value + 10);
        QVERIFY(settle(*m_window));
        key(Qt::Key_B);
        dragBox({600, 60, 420, 620});
        auto* scope = m_window->findChild<QComboBox*>("draftScope");
        QVERIFY(scope->findData("day") >= 0);
        scope->setCurrentIndex(scope->findData("day"));
        key(Qt::Key_Return);
        QVERIFY(done());
        const int frames = static_cast<int>(data().takes.at(front).times.size());
        int found = 0;
        for (const auto& [name, track] : data().marks.at(front))
            for (const auto& [frame, m] : track)
                found += m.how == How::found;
        QVERIFY2(found > 0.9 * 20 * frames, qPrintable(QString("%1 on %2 frames").arg(found).arg(frames)));
    }
    void missingModelIsSaid() {
        qputenv("RIFLESSO_MODELS", m_dir.path().toLocal8Bit());
        key(Qt::Key_B);
        QVERIFY(!page()->draft()->asking());
        QVERIFY(QTest::qWaitFor([&] { return readable("the body model is missing"); }, test::kPatience));
        qunsetenv("RIFLESSO_MODELS");
    }
};
QTEST_MAIN(TestDrafts)
#include "test_drafts.moc"
