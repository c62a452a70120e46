// The blueprint workshop through the real window, off screen, by key and mouse events: a technique is built from what
// is there, a measure by pointing at the figure, a target by dragging its band, causes by drawing them, tried on the
// loaded films, kept as a version, carried over to the case. With RIFLESSO_PICTURES=DIR it leaves a picture of each
// state.

#include "casebook/measure_drawing.h"
#include "casebook/shipped.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "desktop/workshop/workshop.h"
#include "library/blueprint_json.h"
#include "tests/support/demo_copy.h"
#include "tests/support/patience.h"

#include <QApplication>
#include <QDialogButtonBox>
#include <QFileDialog>
#include <QLineEdit>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

using namespace riflesso;
using Room = Workshop::Room;

class TestWorkshop : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    Workshop* m_shop = nullptr;

    const Blueprint& value() const { return m_shop->document().value(); }
    template <typename T> T* find(const char* name) const {
        for (T* w : m_shop->findChildren<T*>(name))
            if (w->isVisibleTo(m_shop))
                return w;
        return nullptr;
    }
    void press(const char* name) { QTest::mouseClick(find<QPushButton>(name), Qt::LeftButton); }
    void pick(const char* role, Qt::KeyboardModifiers with = {}) {
        auto* p = m_shop->measureEditor()->picker();
        QTest::mouseClick(p, Qt::LeftButton, with, p->placeOf(role).toPoint());
    }
    QString problems() const {
        QString all;
        auto* list = m_shop->findChild<QListWidget*>("problems");
        for (int i = 0; i < list->count(); ++i)
            all += list->item(i)->text() + "\n";
        return all;
    }
    void picture(const char* name, QWidget* of = nullptr) {
        const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
        if (!dir.isEmpty()) {
            QTest::qWait(80);
            (of ? of : m_shop)->grab().save(dir + "/" + name + ".png");
        }
    }
    // Presses a button that opens a file dialog, and types a path there.
    void inDialog(const char* button, const QString& path) {
        bool done = false;
        QTimer::singleShot(0, this, [&] {
            auto* dialog = qobject_cast<QFileDialog*>(QApplication::activeModalWidget());
            auto* name = dialog ? dialog->findChild<QLineEdit*>("fileNameEdit") : nullptr;
            if (name && QTest::qWaitForWindowExposed(dialog)) {
                name->selectAll();
                QTest::keyClicks(name, path);
                const auto* box = dialog->findChild<QDialogButtonBox*>();
                for (const auto kind : {QDialogButtonBox::Save, QDialogButtonBox::Open})
                    if (QPushButton* accept = box->button(kind))
                        QTest::mouseClick(accept, Qt::LeftButton);
            }
            done = name && QTest::qWaitFor([&] { return !dialog->isVisible(); }, test::kPatience);
            if (dialog && !done)
                dialog->reject(); // a test that fails must not wait for ever
        });
        press(button);
        QVERIFY(done);
    }
private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestWorkshop");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        QVERIFY(m_dir.isValid() && test::copyDemo(m_dir.filePath("lib")));
        m_window = std::make_unique<MainWindow>(Day(std::chrono::year(2026) / 11 / 23));
        m_window->resize(1280, 800);
        QVERIFY(m_window->openLibrary(m_dir.filePath("lib"), 1));
        m_window->show();
        QVERIFY(settle(*m_window));
        QTest::keyClick(m_window.get(), Qt::Key_B, Qt::ControlModifier);
        m_shop = m_window->workshop();
        QVERIFY(m_shop && QTest::qWaitForWindowExposed(m_shop));
        QVERIFY(problems().contains("Sound"));
    }
    void everyBlueprintOpens() {
        for (const auto& id : shippedBlueprintIds()) {
            m_shop->document().open(*shippedBlueprint(id));
            for (const Room room :
                 {Room::technique, Room::positions, Room::measures, Room::faults, Room::causes, Room::drills}) {
                m_shop->show(room);
                QVERIFY(problems().contains("Sound"));
                if (room == Room::causes) {
                    // No node outside, no two on one another; few crossings.
                    const auto& faults = value().faults;
                    for (std::size_t i = 0; i < faults.size(); ++i) {
                        const QRectF a = m_shop->graph()->boxOf(faults[i].id);
                        QVERIFY2(QRectF(m_shop->graph()->rect()).contains(a), faults[i].id.c_str());
                        for (std::size_t k = i + 1; k < faults.size(); ++k)
                            QVERIFY2(!a.intersects(m_shop->graph()->boxOf(faults[k].id)), faults[i].id.c_str());
                    }
                    QVERIFY2(m_shop->graph()->crossings() <= 6,
                             qPrintable(
                                 QString("%1: %2").arg(QString::fromStdString(id)).arg(m_shop->graph()->crossings())));
                    picture(("causes-" + id).c_str());
                }
            }
            m_shop->show(Room::measures);
            picture(("measures-" + id).c_str());
        }
        m_shop->document().open(*shippedBlueprint("fencing-lunge"));
    }
    void kinds() {
        // Every kind can be drawn, and its example is sound but for what only a blueprint can give.
        for (int i = 0; i < static_cast<int>(kMeasureKindNames.size()); ++i) {
            const auto d = exampleOf(static_cast<MeasureKind>(i));
            QImage image(160, 120, QImage::Format_RGB32);
            image.fill(Qt::white);
            QPainter p(&image);
            drawMeasure(p, QRectF(0, 0, 160, 120), d, {Qt::gray, Qt::red, Qt::black, Qt::white, typeface(Type::small)});
            p.end();
            int red = 0;
            for (int y = 0; y < 120; ++y)
                for (int x = 0; x < 160; ++x)
                    red += qRed(image.pixel(x, y)) > qGreen(image.pixel(x, y)) + 80;
            QVERIFY2(red > 12, std::string(kMeasureKindNames[static_cast<std::size_t>(i)]).c_str());
            QVERIFY(!kindTitle(d.kind).isEmpty() && !kindWords(d.kind).isEmpty());
        }
        KindSheet sheet(MeasureKind::angle);
        sheet.show();
        picture("kinds", &sheet);
    }
    void aMeasureByPointing() {
        m_shop->show(Room::measures);
        press("add");
        const int index = m_shop->document().count(Part::measures) - 1;
        QTest::keyClicks(find<QLineEdit>("itemName"), "Rear elbow at the landing");
        QCOMPARE(value().measures.back().definition.name, std::string("Rear elbow at the landing"));
        QCOMPARE(value().measures.back().definition.id, std::string("rear_elbow_at_the_landing"));
        pick("rear_shoulder"); // three points were there from the example: the first click begins anew
        pick("rear_elbow");
        QVERIFY(problems().contains("needs 3 points"));
        pick("rear_wrist");
        const auto& d = value().measures[static_cast<std::size_t>(index)].definition;
        QCOMPARE(d.points.size(), 3u);
        QCOMPARE(textOf(d.points[1]), std::string("rear_elbow"));
        // Tried at once on each loaded rep; a kind of view that no take shows would be said here.
        QVERIFY2(find<QLabel>("results")->text().contains("Yesterday, side, rep 1: "),
                 qPrintable(find<QLabel>("results")->text()));
        pick("lead_shoulder");
        pick("lead_elbow");
        pick("lead_wrist");
        QVERIFY2(find<QLabel>("results")->text().contains("°"), qPrintable(find<QLabel>("results")->text()));
        picture("measure-by-pointing");
        // The middle of two, with Shift.
        pick("lead_hip");
        pick("rear_hip", Qt::ShiftModifier);
        QCOMPARE(textOf(value().measures.back().definition.points.at(0)), std::string("lead_hip+rear_hip"));
        // Another kind from the sheet; one step of undo takes it back.
        QTimer::singleShot(0, [] {
            auto* sheet = qApp->activeModalWidget();
            QTest::mouseClick(sheet->findChild<QPushButton*>("kind_lean"), Qt::LeftButton);
        });
        press("kindButton");
        QCOMPARE(value().measures.back().definition.kind, MeasureKind::lean);
        press("undo");
        QCOMPARE(value().measures.back().definition.kind, MeasureKind::angle);
        pick("lead_knee");
        pick("lead_ankle");
    }
    void aTargetByDragging() {
        const int lean = [&] {
            for (std::size_t i = 0; i < value().measures.size(); ++i)
                if (value().measures[i].definition.id == "guard_width")
                    return static_cast<int>(i);
            return -1;
        }();
        m_shop->show(Room::measures, lean);
        auto* plot = m_shop->measureEditor()->plot();
        const double was = value().measures[static_cast<std::size_t>(lean)].targets[0].hi;
        QCOMPARE(plot->band().hi, was);
        const QPoint from(static_cast<int>(plot->xOf(was)), 40), to(static_cast<int>(plot->xOf(was)) + 60, 40);
        QTest::mousePress(plot, Qt::LeftButton, {}, from);
        for (int x = from.x(); x <= to.x(); x += 15)
            QTest::mouseMove(plot, QPoint(x, 40));
        QTest::mouseRelease(plot, Qt::LeftButton, {}, to);
        const double now = value().measures[static_cast<std::size_t>(lean)].targets[0].hi;
        QVERIFY2(now > was && value().measures[static_cast<std::size_t>(lean)].targets[0].lo == 1.0,
                 qPrintable(QString("%1 %2").arg(was).arg(now)));
        picture("target-by-dragging");
        // An end that is left open is called so.
        for (std::size_t k = 0; k < value().measures.size(); ++k)
            if (value().measures[k].definition.id == "knee_over_toe") {
                m_shop->show(Room::measures, static_cast<int>(k));
                QCOMPARE(find<QDoubleSpinBox>("targetLo")->text(), QString("open"));
                auto* hi = find<QDoubleSpinBox>("targetHi");
                QCOMPARE(hi->value(), 0.0);
                hi->setFocus();
                hi->selectAll();
                QTest::keyClicks(hi, "open");
                QTest::keyClick(hi, Qt::Key_Return);
                QVERIFY(std::isinf(value().measures[k].targets[0].hi));
                m_shop->document().undoStack().undo();
                QCOMPARE(value().measures[k].targets[0].hi, 0.0);
            }
        m_shop->document().undoStack().undo(); // the whole drag is one step
        QCOMPARE(value().measures[static_cast<std::size_t>(lean)].targets[0].hi, was);
    }
    void causesAreDrawn() {
        m_shop->show(Room::faults);
        press("add");
        QTest::keyClicks(find<QLineEdit>("itemName"), "Slack elbow");
        QVERIFY(problems().contains("“Slack elbow”"));
        picture("half-built");
        m_shop->show(Room::causes);
        auto* g = m_shop->graph();
        const auto drag = [&](const char* a, const char* b) {
            QTest::mousePress(g, Qt::LeftButton, {}, g->boxOf(a).center().toPoint());
            QTest::mouseMove(g, g->boxOf(b).center().toPoint());
            QTest::mouseRelease(g, Qt::LeftButton, {}, g->boxOf(b).center().toPoint());
        };
        drag("slack_elbow", "hand_late");
        QCOMPARE(value().fault("hand_late")->causes.back().fault, std::string("slack_elbow"));
        QTest::keyClick(g, Qt::Key_Plus);
        QVERIFY(std::abs(value().fault("hand_late")->causes.back().strength - 0.6) < 1e-9);
        // A loop is refused, and named.
        const auto before = value().fault("slack_elbow")->causes.size();
        drag("trunk_falls", "slack_elbow"); // hand_late makes the trunk fall
        QCOMPARE(value().fault("slack_elbow")->causes.size(), before);
        const QString said = find<QLabel>("message")->text();
        QVERIFY2(said.contains("circle") && said.contains("“Hand later than foot” → “Trunk falls forward”") &&
                     said.contains("“Slack elbow”"),
                 qPrintable(said));
        picture("loop-refused");
        QTest::keyClick(g, Qt::Key_Delete);
        QVERIFY(value().fault("hand_late")->causes.empty());
        m_shop->document().undoStack().undo();
        QCOMPARE(value().fault("hand_late")->causes.size(), 1u);
    }
    void problemsLeadThere() {
        auto* list = m_shop->findChild<QListWidget*>("problems");
        QVERIFY(list->count() >= 2);
        QVERIFY(!find<QPushButton>("keep")->isEnabled());
        int row = -1;
        for (int i = 0; i < list->count(); ++i)
            if (list->item(i)->text().contains("indicator"))
                row = i;
        QVERIFY(row >= 0);
        QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualItemRect(list->item(row)).center());
        QCOMPARE(find<QLineEdit>("itemName")->text(), QString("Slack elbow"));
        // Mended: an indicator and a drill.
        auto* measure = find<QWidget>("indicators")->findChildren<QComboBox*>().front();
        const int i = measure->findText("Rear elbow at the landing");
        QVERIFY(i > 0);
        measure->setCurrentIndex(i);
        emit measure->activated(i);
        QCoreApplication::processEvents();
        QCOMPARE(value().fault("slack_elbow")->indicators.size(), 1u);
        m_shop->document().change("drill", [](Blueprint& b) { b.faults.back().drills = {b.drills.front().id}; });
        QVERIFY2(problems().contains("Sound"), qPrintable(problems()));
    }
    void positionsAreTried() {
        m_shop->show(Room::positions, 3);
        QVERIFY2(find<QLabel>("ruleResult")->text().contains("frame"), qPrintable(find<QLabel>("ruleResult")->text()));
        m_window->caseView()->show(Workspace::marking);
        QVERIFY(settle(*m_window));
        press("takePicture");
        QTRY_VERIFY((press("takePicture"), !value().positions[3].picture.empty()));
        picture("positions");
    }
    void keptAndCarriedOver() {
        press("keep");
        QCOMPARE(value().version, 2);
        const auto folder = std::filesystem::path(m_dir.filePath("lib").toStdString());
        QVERIFY(std::filesystem::exists(folder / "blueprints" / "fencing-lunge.v2.json"));
        QCOMPARE(blueprintFor(folder, "fencing-lunge")->measures.size(), value().measures.size());
        // A position is renamed in the next version: the pegs of the case are found again under its new id.
        m_shop->document().change("id", [](Blueprint& b) {
            for (auto& m : b.measures)
                for (auto* id : {&m.definition.at, &m.definition.until})
                    *id = *id == "heel_lands" ? "front_heel_lands" : *id;
            for (auto& f : b.faults)
                f.phase = f.phase == "heel_lands" ? "front_heel_lands" : f.phase;
            for (auto& c : b.checkpoints)
                c.at = c.at == "heel_lands" ? "front_heel_lands" : c.at;
            for (auto& p : b.positions)
                p.id = p.id == "heel_lands" ? "front_heel_lands" : p.id;
        });
        QVERIFY2(problems().contains("Sound"), qPrintable(problems()));
        m_shop->show(Room::changes);
        QVERIFY2(find<QTextBrowser>("changes")->toPlainText().contains("front_heel_lands"),
                 qPrintable(find<QTextBrowser>("changes")->toPlainText().left(400)));
        picture("changes");
        press("keep");
        QCOMPARE(value().version, 3);
        QVERIFY(m_window->openLibrary(m_dir.filePath("lib"), 1));
        QVERIFY(settle(*m_window));
        const CaseData& data = m_window->caseView()->bench().data();
        QCOMPARE(data.brief.blueprintVersion, 3);
        int moved = 0;
        for (const auto& [id, rep] : data.reps) {
            QVERIFY(!rep.positions.contains("heel_lands"));
            moved += rep.positions.contains("front_heel_lands");
        }
        QVERIFY(moved >= 8);
        QVERIFY(!m_window->caseView()->bench().analysis().judgement.findings.empty());
    }
    void smallAndDark() {
        // The smallest window, in the other theme: everything is there and nothing is cut off.
        m_shop = m_window->workshop();
        static_cast<QWidget*>(m_shop)->show();
        useTheme(Theme::night());
        m_shop->resize(1024, 700);
        for (const Room room :
             {Room::technique, Room::positions, Room::measures, Room::faults, Room::causes, Room::drills,
              Room::profiles, Room::schools, Room::situations, Room::checkpoints, Room::changes}) {
            m_shop->show(room);
            QCoreApplication::processEvents();
            for (QPushButton* b : m_shop->findChildren<QPushButton*>())
                if (b->isVisible()) {
                    const QRect at(b->mapTo(m_shop, QPoint(0, 0)), b->size());
                    QVERIFY2(at.left() >= 0 && at.right() <= m_shop->width(), qPrintable(b->text()));
                    QVERIFY2(b->width() + 2 >= b->fontMetrics().horizontalAdvance(b->text()), qPrintable(b->text()));
                }
        }
        m_shop->show(Room::measures);
        QCoreApplication::processEvents();
        for (const char* name : {"itemName", "points", "targetLo", "targetHi"})
            QVERIFY2(find<QWidget>(name)->width() >= 60, name);
        QVERIFY(find<QLineEdit>("itemName")->width() >= 120);
        picture("small-and-dark");
        useTheme(Theme::light());
        m_shop->resize(1280, 800);
    }
    void importAndExport() {
        m_shop = m_window->workshop();
        static_cast<QWidget*>(m_shop)->show();
        const QString file = m_dir.filePath("mine.json");
        QVERIFY(m_shop->exportFile(file));
        const auto again = readBlueprint(file.toStdString());
        QVERIFY2(again.ok(), again ? "" : again.error().text().c_str());
        QVERIFY(differences(*again, value()).empty());
        QFile broken(m_dir.filePath("broken.json"));
        QVERIFY(broken.open(QIODevice::WriteOnly) && broken.write("{\"format\": 1,") > 0);
        broken.close();
        QVERIFY(!m_shop->importFile(broken.fileName()));
        QVERIFY(find<QLabel>("message")->text().contains("broken.json"));
        QVERIFY(m_shop->importFile(file));
        // The same by hand, through the dialogs.
        const QString other = m_dir.filePath("by-hand.json");
        inDialog("export", other);
        QVERIFY2(QFile::exists(other), qPrintable(find<QLabel>("message")->text()));
        QVERIFY(differences(*readBlueprint(other.toStdString()), value()).empty());
        press("fresh");
        QVERIFY(value().measures.size() < 2);
        inDialog("import", other);
        QVERIFY(differences(*readBlueprint(other.toStdString()), value()).empty());
        QVERIFY(find<QLabel>("message")->text().contains("Imported"));
        QVERIFY(m_shop->close());
    }
};

QTEST_MAIN(TestWorkshop)
#include "test_workshop.moc"
