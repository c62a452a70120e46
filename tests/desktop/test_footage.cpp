// The Footage workspace through the real window: three films by drop, two locked, calibrated, reps found, a camera.

#include "casebook/sets.h"
#include "core/motion/calibration.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "simulator/live_camera.h"
#include "tests/support/coded_films.h"
#include "tests/support/drop.h"
#include "tests/support/patience.h"

#include <QApplication>
#include <QDoubleSpinBox>
#include <QLineEdit>
#include <QSettings>
#include <QSlider>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestFootage : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    QString m_demo = QString(RIFLESSO_DEMO_DIR) + "/media/";

    CaseView* view() const { return m_window->caseView(); }
    Workbench& bench() const { return view()->bench(); }
    const CaseData& data() const { return bench().data(); }
    FootagePage* page() const { return view()->footage(); }
    StageView* stage() const { return page()->stage(); }
    template <typename T> T* child(const char* name) const {
        T* w = m_window->findChild<T*>(name);
        if (!w)
            qFatal("no %s", name);
        return w;
    }
    void click(const char* name) const { QTest::mouseClick(child<QPushButton>(name), Qt::LeftButton); }
    QString words(const char* name) const { return child<QLabel>(name)->text(); }
    void key(Qt::Key k, Qt::KeyboardModifiers m = {}) const { QTest::keyClick(page(), k, m); }
    void shot(const char* name) const { // pictures of each state, for looking at
        if (const QString folder = qEnvironmentVariable("RIFLESSO_SHOTS"); !folder.isEmpty()) {
            QApplication::processEvents();
            m_window->grab().save(folder + "/" + name + ".png");
        }
    }
    void open() {
        m_window = std::make_unique<MainWindow>(*dayFromIso("2026-11-23"));
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->newLibrary(m_dir.path() + "/library"));
        QVERIFY(m_window->openCase(m_window->shelf()->addAthlete(Athlete{}, "fencing-lunge")));
        Brief brief;
        brief.athlete.name = "Lio Farn";
        QVERIFY(bench().book().setBrief(brief));
        view()->show(Workspace::footage);
        QVERIFY(settle(*m_window));
    }
    void drop(const QStringList& files) const { QVERIFY(test::drop(m_window.get(), files)); }
    Id take(const char* title) const {
        for (const auto& [id, t] : data().takes)
            if (t.title == title)
                return id;
        return 0;
    }
    // A drag on the picture, from and to picture pixels.
    void drag(QPointF from, QPointF to) const {
        const auto at = [&](QPointF p) { return stage()->toView().map(p).toPoint(); };
        QTest::mousePress(stage(), Qt::LeftButton, {}, at(from));
        QTest::mouseMove(stage(), at((from + to) / 2));
        QTest::mouseMove(stage(), at(to));
        QTest::mouseRelease(stage(), Qt::LeftButton, {}, at(to));
    }
    bool readable(const QString& text) const {
        for (const QLabel* l : m_window->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains(text))
                return true;
        return false;
    }
    void select(const char* title) const {
        bench().selectTake(take(title));
        QVERIFY(settle(*m_window));
    }
    QString film(const char* name) const { return m_dir.filePath(name); }
    QString demoFilm(const char* from, const char* to) const {
        // The same pictures in another file, so that it is not known already.
        if (!runFfmpeg({"-i", m_demo + from, "-c", "copy", "-metadata", "comment=again", film(to)}))
            qFatal("ffmpeg");
        return film(to);
    }
    void setRate(double hz) const {
        auto* rate = child<QDoubleSpinBox>("captureRate");
        rate->setValue(hz);
        rate->setFocus();
        QTest::keyClick(rate, Qt::Key_Return);
    }
private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestFootage");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        open();
    }
    void cleanupTestCase() { m_window.reset(); }

    void emptySaysWhatToDo() {
        QVERIFY(stage()->message().contains("Drop films"));
        shot("empty");
    }
    void threeFilmsByDrop() {
        drop({demoFilm("athlete-side.mp4", "side.mp4"), demoFilm("athlete-front.mp4", "front.mp4"),
              demoFilm("model-side.mp4", "model.mp4")});
        QApplication::processEvents();
        shot("busy");
        QVERIFY(page()->busy());
        QTRY_COMPARE(data().takes.size(), std::size_t(3));
        QVERIFY(settle(*m_window));
        QVERIFY(!page()->busy());
        for (const char* title : {"side", "front", "model"}) {
            QVERIFY(take(title));
            const Take& t = data().takes.at(take(title));
            QVERIFY(!t.captureRate && t.checksum.size() == 64); // nothing assumed
            QVERIFY(QFile::exists(m_dir.path() + "/library/media/" + QString::fromStdString(t.film)));
        }
        QVERIFY(child<QDoubleSpinBox>("captureRate")->isVisible()); // asked for
        for (const char* title : {"side", "front", "model"}) {
            select(title);
            setRate(120);
        }
        QCOMPARE(*data().takes.at(take("side")).captureRate, 120.0);
        QVERIFY(words("where").contains("decides from 6.7 ms"));
    }
    void aBrokenFilmIsSaidAndCancelWorks() {
        QFile bad(film("broken.mp4"));
        QVERIFY(bad.open(QIODevice::WriteOnly));
        bad.write("no film");
        bad.close();
        drop({bad.fileName()});
        QTRY_VERIFY(view()->shownError().contains("broken.mp4"));
        shot("failed");
        for (auto* b : m_window->findChildren<QPushButton*>())
            if (b->isVisible() && b->text() == "Understood")
                QTest::mouseClick(b, Qt::LeftButton);
        QVERIFY(view()->shownError().isEmpty());
        // Cancelled while waiting: it is never begun.
        drop({makeCoded(film("a.mp4"), 60), makeCoded(film("b.mp4"), 60)});
        const auto rows = page()->findChildren<JobRow*>();
        QCOMPARE(rows.size(), 2);
        QTest::mouseClick(rows[1]->findChild<QPushButton*>(), Qt::LeftButton);
        QTRY_VERIFY(!page()->busy());
        QVERIFY(settle(*m_window));
        QVERIFY(!take("b"));
        if (take("a"))
            bench().book().undo();
        QCOMPARE(data().takes.size(), std::size_t(3));
    }
    void everyStepIsExact() {
        select("side");
        key(Qt::Key_Home);
        for (int i = 0; i < 25; ++i)
            key(Qt::Key_Right);
        QCOMPARE(bench().frame(), 25);
        key(Qt::Key_End);
        QCOMPARE(bench().frame(), static_cast<int>(bench().take()->times.size()) - 1);
        key(Qt::Key_Left, Qt::ShiftModifier);
        QCOMPARE(bench().frame(), static_cast<int>(bench().take()->times.size()) - 11);
        QVERIFY(settle(*m_window));
        QCOMPARE(stage()->picture().size(), QSize(1280, 720));
    }
    void playsBothWaysAndRound() {
        select("side");
        key(Qt::Key_Home);
        key(Qt::Key_Space);
        QTRY_VERIFY(bench().frame() > 30); // 1/4 speed of 120 Hz: 30 frames a second
        key(Qt::Key_Space);
        const int stopped = bench().frame();
        QTest::qWait(60);
        QCOMPARE(bench().frame(), stopped);
        key(Qt::Key_B);
        QTRY_VERIFY(bench().frame() < stopped - 15);
        key(Qt::Key_B);
        key(Qt::Key_Comma); // slower
        QCOMPARE(child<QComboBox>("speed")->currentIndex(), 1);
        key(Qt::Key_Period);
        QVERIFY(settle(*m_window));
        shot("full");
    }
    void calibratesOnTheFrame() {
        select("side");
        page()->showPanel(2);
        // The striped pole stands upright and is 2 m high.
        click("toolPlumb");
        shot("calibrate-tool");
        drag({231, 580}, {231, 86});
        QVERIFY(bench().take()->calibration.plumb);
        QVERIFY(words("calibrationAnswer").contains("vertical"));
        child<QDoubleSpinBox>("knownLength")->setValue(2.0);
        click("toolLength");
        drag({231, 582}, {231, 86});
        QCOMPARE(bench().take()->calibration.lengths.size(), std::size_t(1));
        QVERIFY(words("calibrationAnswer").contains("metres"));
        click("toolCheck"); // half of it: 1 m
        drag({231, 582}, {231, 334});
        shot("calibrated");
        const auto c = calibrationOf(*bench().take());
        const auto l = (*c)->length({231, 582}, {231, 334}, 1.5);
        QVERIFY(std::abs(l.value - 1.0) < 0.01 && l.u > 0.002);
        QVERIFY(setupOf(*bench().take()).calibration->metric());
        // An end is dragged; undo brings it back; Esc puts a tool away.
        const auto before = bench().take()->calibration;
        drag({231, 86}, {251, 86});
        QVERIFY(!(bench().take()->calibration == before));
        bench().book().undo();
        QVERIFY(bench().take()->calibration == before);
        click("toolRectangle");
        QVERIFY(stage()->tool() == StageTool::rectangle);
        QTest::keyClick(stage(), Qt::Key_Escape);
        QVERIFY(stage()->tool() == StageTool::none);
    }
    void theCameraStandsStill() {
        select("model");
        page()->showPanel(2);
        click("cameraPath");
        QVERIFY(page()->busy());
        QTRY_VERIFY(!bench().take()->camera.empty());
        QVERIFY2(words("calibrationAnswer").contains("stands still"), qPrintable(words("calibrationAnswer")));
    }
    void locksTwoAnglesBySound() {
        select("side");
        page()->showPanel(4);
        auto* beside = child<QComboBox>("beside");
        beside->setCurrentIndex(beside->findText("front"));
        emit beside->activated(beside->currentIndex());
        QVERIFY(settle(*m_window));
        QVERIFY(words("lockAnswer").contains("Not locked"));
        click("bySound");
        QTRY_COMPARE(data().links.size(), std::size_t(1));
        const auto lock = lockOf(data(), data().links.begin()->second);
        // The front camera was switched on 0.31 s later; half a frame at 120 Hz is 4 ms.
        QVERIFY2(std::abs(lock->offset + 0.31) < 0.0042, qPrintable(QString::number(lock->offset)));
        bench().setFrame(150);
        QVERIFY(settle(*m_window));
        shot("locked");
        const auto there = lockedFrames(data(), take("side"), FrameIndex(150));
        QCOMPARE(there.at(take("front")).frame.value, 150 - 37);
        // A key position is set once.
        const Id rep = bench().book().addRep(take("side"));
        QVERIFY(bench().book().placePosition(rep, "heel_lands", FrameIndex(150)));
        const auto reps = repsOf(data(), take("front"));
        QCOMPARE(reps.size(), std::size_t(1));
        QCOMPARE(reps[0]->positions.at("heel_lands").frame.value, 113);
        QVERIFY(*reps[0]->positions.at("heel_lands").sigma > 0.002);
        bench().book().undo();
        bench().book().undo();
        QVERIFY(repsOf(data(), take("front")).empty());
        // And by shared instants, as undoable as all else.
        bench().book().undo();
        QVERIFY(data().links.empty());
        bench().setFrame(100);
        key(Qt::Key_Right, Qt::ControlModifier);
        click("share");
        QCOMPARE(data().links.size(), std::size_t(1));
        QVERIFY(words("lockAnswer").contains("Locked"));
        click("unlock");
        QVERIFY(data().links.empty());
    }
    void findsRepsAndTakesThemByKeys() {
        select("side");
        page()->showPanel(3);
        click("findSound");
        QTRY_COMPARE(page()->strip()->proposals().size(), std::size_t(5));
        QVERIFY(settle(*m_window));
        shot("proposed");
        key(Qt::Key_Home);
        key(Qt::Key_A);
        QCOMPARE(repsOf(data(), take("side")).size(), std::size_t(1));
        key(Qt::Key_A, Qt::ShiftModifier);
        QCOMPARE(repsOf(data(), take("side")).size(), std::size_t(5));
        const Rep first = *repsOf(data(), take("side"))[0];
        bench().setFrame((first.first->value + first.last->value) / 2);
        key(Qt::Key_S);
        QCOMPARE(repsOf(data(), take("side")).size(), std::size_t(6));
        bench().setFrame(first.first->value + 2);
        key(Qt::Key_M); // and together again
        QCOMPARE(repsOf(data(), take("side")).size(), std::size_t(5));
        bench().setFrame(first.first->value + 8);
        key(Qt::Key_BracketLeft);
        QCOMPARE(data().reps.at(first.id).first->value, first.first->value + 8);
        bench().selectRep(first.id);
        child<QComboBox>("worked")->setCurrentIndex(1);
        emit child<QComboBox>("worked")->activated(1);
        auto* effort = child<QComboBox>("effort");
        effort->setCurrentIndex(effort->findData(80));
        emit effort->activated(effort->currentIndex());
        auto* situation = child<QLineEdit>("situation");
        situation->setFocus();
        QTest::keyClicks(situation, "slow parry");
        QTest::keyClick(situation, Qt::Key_Return);
        QCOMPARE(data().reps.at(first.id).situation, std::string("slow parry"));
        QVERIFY(*data().reps.at(first.id).worked);
        QCOMPARE(data().reps.at(first.id).effort, std::optional(0.8));
        auto* score = child<QLineEdit>("score");
        score->setFocus();
        QTest::keyClicks(score, "8,5");
        QTest::keyClick(score, Qt::Key_Return);
        QCOMPARE(data().reps.at(first.id).score.value_or(0.0), 8.5);
        score->selectAll();
        QTest::keyClicks(score, "many"); // no figure: nothing is kept of it
        QTest::keyClick(score, Qt::Key_Return);
        QVERIFY(data().reps.at(first.id).score == 8.5 && score->text() == "8.5");
        shot("reps");
        // It is in the library, not only on the screen.
        const auto again = bench().book().library().load(data().id);
        QVERIFY(again.ok() && *again == data());
        key(Qt::Key_PageDown);
        QVERIFY(bench().frame() > first.last->value);
        key(Qt::Key_Delete);
        QCOMPARE(repsOf(data(), take("side")).size(), std::size_t(4));
    }
    void aFallingBallChecksTheRate() {
        select("side");
        page()->showPanel(1);
        child<QComboBox>("rateCheck")->setCurrentIndex(1);
        bench().setFrame(10);
        click("checkA");
        bench().setFrame(10 + 54); // 1 m: 0.4516 s, 54.2 frames at 120 Hz
        click("checkB");
        child<QDoubleSpinBox>("checkFirst")->setValue(1.0);
        QVERIFY2(words("rateAnswer").contains("agrees"), qPrintable(words("rateAnswer")));
        shot("time");
        setRate(60);
        QVERIFY(words("rateAnswer").contains("does not agree"));
        click("useRate");
        QVERIFY(std::abs(*bench().take()->captureRate - 120) < 1);
        QCOMPARE(bench().take()->captureFrom, std::string("a falling ball"));
        bench().book().undo();
        bench().book().undo();
    }
    void aFilmReplacedByAShorterOneIsSaidAndTaken() {
        page()->showPanel(0);
        const Id id = take("model");
        const Take before = data().takes.at(id);
        const Mark mark{{100, 100}, 1.5, How::hand};
        const FrameIndex beyond(static_cast<int>(before.times.size()) - 2);
        QVERIFY(bench().book().setMark({id, beyond, "neck"}, mark));
        const QString path = bench().filmPath(before);
        QVERIFY(runFfmpeg({"-y", "-i", m_demo + "model-side.mp4", "-frames:v", "60", "-c:v", "libx264", "-preset",
                           "ultrafast", film("short.mp4")}));
        QVERIFY(QFile::remove(path) && QFile::copy(film("short.mp4"), path));
        bench().frames().forget(path);
        select("front");
        select("model");
        auto* anew = child<QPushButton>("filmAnew");
        QVERIFY(QTest::qWaitFor([&] { return anew->isVisible(); }, test::kPatience));
        QVERIFY(readable("has 60 frames, that one had"));
        shot("replaced");
        QTest::mouseClick(anew, Qt::LeftButton);
        QVERIFY(QTest::qWaitFor([&] { return data().takes.at(id).times.size() == 60; }, test::kPatience));
        QVERIFY(data().takes.at(id).checksum != before.checksum);
        QCOMPARE(data().marks.at(id).at("neck").at(beyond), mark); // kept, though no frame shows it now
        QVERIFY(settle(*m_window));
        QVERIFY(!anew->isVisible());
        bench().book().undo(); // and back
        QCOMPARE(data().takes.at(id), before);
        bench().book().redo();
        QVERIFY(settle(*m_window));
    }
    void picturesCanBeSwappedAndCropped() {
        select("side");
        page()->showPanel(5);
        const QPointF nose(300, 200);
        const QPointF before = stage()->toView().map(nose);
        QTest::mouseClick(child<QCheckBox>("swap"), Qt::LeftButton, {},
                          QPoint(8, child<QCheckBox>("swap")->height() / 2));
        QVERIFY(bench().take()->picture.swapped);
        const QPointF after = stage()->toView().map(nose);
        QVERIFY(std::abs((before.x() + after.x()) / 2 - stage()->width() / 2.0) < 1.0);
        click("crop");
        drag({500, 100}, {1100, 600});
        QVERIFY(std::abs(bench().take()->picture.crop[2] - 600) < 6);
        const QRgb pixel = stage()->picture().pixel(640, 300);
        child<QSlider>("brightness")->setValue(30);
        QVERIFY(settle(*m_window));
        QVERIFY(qGray(stage()->picture().pixel(640, 300)) > qGray(pixel) + 40);
        shot("picture");
        for (int i = 0; i < 3; ++i)
            bench().book().undo();
        QVERIFY(bench().take()->picture == PictureSettings());
    }
    void filmsNowWithADelayedMirror() {
        const auto before = data().takes.size();
        click("filmNow");
        auto* camera = m_window->findChild<CameraPanel*>();
        auto* which = child<QComboBox>("camera");
        which->setCurrentIndex(which->count() - 1); // the simulated one
        child<QDoubleSpinBox>("delay")->setValue(0.5);
        click("startCamera");
        QTRY_VERIFY(!camera->findChildren<PictureView*>()[1]->picture().isNull());
        click("record");
        QTest::qWait(1200);
        shot("camera");
        click("record");
        QTRY_COMPARE(data().takes.size(), before + 1);
        QTest::keyClick(camera, Qt::Key_Escape);
        QVERIFY(!camera->running());
        QVERIFY(settle(*m_window));
        const Take& t = data().takes.rbegin()->second;
        // A slow machine films fewer pictures, and says so.
        QVERIFY(t.captureRate && t.times.size() >= 2);
        const double rate = (static_cast<double>(t.times.size()) - 1.0) / (t.times.back() - t.times.front());
        QVERIFY2(std::abs(*t.captureRate / rate - 1.0) < 0.5,
                 qPrintable(QString("%1 Hz, %2").arg(*t.captureRate).arg(rate)));
        QVERIFY(t.set.empty());
    }
    void setsArePartedWhileFilming() {
        const auto before = data().takes.size();
        click("filmNow");
        auto* camera = m_window->findChild<CameraPanel*>();
        auto* which = child<QComboBox>("camera");
        which->setCurrentIndex(which->count() - 1);
        click("startCamera");
        QTest::qWait(300);
        QTest::keyClick(camera, Qt::Key_S); // nothing is recorded: nothing to part
        QTest::keyClick(camera, Qt::Key_R);
        QTest::qWait(900);
        QTest::keyClick(camera, Qt::Key_S);
        QTest::qWait(900);
        QTest::keyClick(camera, Qt::Key_R);
        QTRY_COMPARE(data().takes.size(), before + 2);
        QTest::keyClick(camera, Qt::Key_Escape);
        QVERIFY(settle(*m_window));
        const auto last = data().takes.rbegin();
        QCOMPARE(std::next(last)->second.set, std::string("set 1"));
        QCOMPARE(last->second.set, std::string("set 2"));
        QVERIFY(std::next(last)->second.film != last->second.film);
        // Their reps are of these sets until somebody says otherwise.
        CaseData some = data();
        some.reps.clear();
        for (const Id take : {std::next(last)->first, last->first}) {
            Rep rep;
            rep.id = take * 1000;
            rep.take = take;
            rep.number = 1;
            some.reps[rep.id] = rep;
        }
        const auto sets = setsOf(some);
        QCOMPARE(sets.size(), std::size_t(2));
        QVERIFY(sets[0].byHand && sets[0].key.name != sets[1].key.name);
        some.reps.begin()->second.set = "set 2";
        QCOMPARE(setsOf(some).size(), std::size_t(1));
    }
    void aBusyCameraIsSaid() {
        LiveCameraOptions o;
        o.busy = "the camera is in use by another program";
        CameraPanel panel(m_dir.path(), {{"busy", [o] { return simulatedCamera(o); }}});
        panel.show();
        panel.start();
        QTRY_VERIFY(!panel.running());
        QVERIFY(panel.findChildren<PictureView*>()[0]->message().contains("in use"));
        CameraPanel absent(m_dir.path(), {{"absent", [] { return deviceCamera("/dev/video-that-is-not-there"); }}});
        absent.start();
        QTRY_VERIFY(!absent.running());
        QVERIFY2(absent.findChildren<PictureView*>()[0]->message().contains("not there"),
                 qPrintable(absent.findChildren<PictureView*>()[0]->message()));
    }
};
QTEST_MAIN(TestFootage)
#include "test_footage.moc"
