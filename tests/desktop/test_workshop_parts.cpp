// Parts of the workshop by themselves: the document, the graph of causes, the band on its reps, the figure.

#include "casebook/measure_drawing.h"
#include "casebook/shipped.h"
#include "desktop/theme/theme.h"
#include "desktop/workshop/band_plot.h"
#include "desktop/workshop/cause_graph.h"
#include "desktop/workshop/document.h"
#include "desktop/workshop/figure_picker.h"
#include "library/blueprint_json.h"

#include <QSignalSpy>
#include <QTest>

using namespace riflesso;

class TestWorkshopParts : public QObject {
    Q_OBJECT
private slots:
    void initTestCase() {
        QVERIFY(loadFonts());
        useTheme(Theme::light());
    }
    void idsFromNames() {
        QCOMPARE(idFrom("Rear knee at the landing", {}), std::string("rear_knee_at_the_landing"));
        QCOMPARE(idFrom("Élan", {}), std::string("elan"));
        QCOMPARE(idFrom("???", {}), std::string("item"));
        QCOMPARE(idFrom("Knee", {"knee", "knee_2"}), std::string("knee_3"));
    }
    void itemsAreAddedCopiedMovedRemoved_data() {
        QTest::addColumn<int>("part");
        for (int p = 0; p <= static_cast<int>(Part::checkpoints); ++p)
            QTest::newRow(QByteArray::number(p)) << p;
    }
    void itemsAreAddedCopiedMovedRemoved() {
        QFETCH(int, part);
        const auto p = static_cast<Part>(part);
        WorkshopDocument d(*shippedBlueprint("volleyball-spike"));
        const std::string before = blueprintToJson(d.value());
        const int n = d.count(p);
        QSignalSpy lists(&d, &WorkshopDocument::listsChanged);
        const int added = d.add(p);
        QVERIFY(added == n && d.count(p) == n + 1 && !lists.isEmpty());
        d.rename(p, added, "Something of our own");
        QCOMPARE(d.nameOf(p, added), QString("Something of our own"));
        d.copy(p, added);
        QVERIFY(d.count(p) == n + 2 && d.nameOf(p, added + 1) != d.nameOf(p, added));
        d.move(p, added + 1, -1);
        QCOMPARE(d.nameOf(p, added + 1), QString("Something of our own"));
        d.move(p, 0, -1); // nowhere to go
        d.remove(p, added + 1);
        d.remove(p, added);
        QCOMPARE(d.count(p), n);
        QCOMPARE(blueprintToJson(d.value()), before);
        while (d.undoStack().canUndo())
            d.undoStack().undo();
        QCOMPARE(blueprintToJson(d.value()), before);
        QVERIFY(!d.changedSinceSaved());
    }
    void newIdsAreFollowed() {
        WorkshopDocument d(*shippedBlueprint("archery-shot"));
        const int m = d.add(Part::measures);
        const std::string id = d.value().measures.back().definition.id;
        d.change("use it", [&](Blueprint& b) {
            b.faults[0].indicators.push_back({id, Deviance::low, 0.5});
            BlueprintMeasure drift;
            drift.definition.id = "fading";
            drift.definition.name = "Fading";
            drift.definition.kind = MeasureKind::drift;
            drift.definition.of = {id};
            drift.targets.push_back({});
            drift.targets[0].floor = 1;
            b.measures.push_back(drift);
        });
        d.rename(Part::measures, m, "Elbow at anchor");
        QCOMPARE(d.value().faults[0].indicators.back().measure, std::string("elbow_at_anchor"));
        QCOMPARE(d.value().measures.back().definition.of[0], std::string("elbow_at_anchor"));
        QVERIFY2(d.problems().empty(), d.problems().empty() ? "" : d.problems()[0].what.c_str());
        // A position that was there before keeps its id, whatever it is called: cases know it by that.
        d.rename(Part::positions, 0, "Bow is up");
        QCOMPARE(d.value().positions[0].id, std::string("raised"));
        d.markSaved(2);
        d.rename(Part::measures, m, "Elbow");
        QCOMPARE(d.value().measures[static_cast<std::size_t>(m)].definition.id, std::string("elbow_at_anchor"));
        QCOMPARE(d.value().version, 2);
    }
    void typingIsOneStep() {
        WorkshopDocument d(*shippedBlueprint("race-walking"));
        for (const char* text : {"S", "St", "Sti", "Still"})
            d.rename(Part::faults, 0, text);
        QCOMPARE(d.undoStack().count(), 1);
        d.rename(Part::faults, 1, "Other");
        QCOMPARE(d.undoStack().count(), 2);
        d.undoStack().undo();
        d.undoStack().undo();
        QCOMPARE(d.nameOf(Part::faults, 0), QString("Foot lands too far ahead"));
    }
    void problemsAreFoundAtOnce() {
        WorkshopDocument d(*shippedBlueprint("rowing-ergometer"));
        QVERIFY(d.problems().empty());
        d.remove(Part::positions, 2); // the finish
        QVERIFY(d.problems().size() > 5);
        d.undoStack().undo();
        QVERIFY(d.problems().empty());
    }
    void graphs() {
        Blueprint b;
        const auto fault = [](const char* id, std::vector<Cause> causes) {
            Fault f;
            f.id = id;
            f.name = id;
            f.causes = std::move(causes);
            return f;
        };
        // a → b → d, a → d (long), c alone.
        b.faults = {fault("a", {}), fault("b", {{"a", 0.5}}), fault("c", {}), fault("d", {{"b", 0.8}, {"a", 0.3}})};
        CauseGraph g;
        g.resize(800, 400);
        g.setBlueprint(b);
        g.show();
        QVERIFY(g.boxOf("a").right() < g.boxOf("b").left() && g.boxOf("b").right() < g.boxOf("d").left());
        QVERIFY(g.boxOf("ghost").isNull());
        QCOMPARE(g.crossings(), 0);
        QSignalSpy wanted(&g, &CauseGraph::linkWanted), chosen(&g, &CauseGraph::linkChosen),
            strength(&g, &CauseGraph::strengthWanted), removal(&g, &CauseGraph::removalWanted);
        QTest::mousePress(&g, Qt::LeftButton, {}, g.boxOf("c").center().toPoint());
        QTest::mouseMove(&g, g.boxOf("b").center().toPoint());
        QTest::mouseRelease(&g, Qt::LeftButton, {}, g.boxOf("b").center().toPoint());
        QCOMPARE(wanted.size(), 1);
        QCOMPARE(wanted[0][0].toString() + wanted[0][1].toString(), QString("cb"));
        // On itself, or let go in the open: nothing.
        QTest::mouseClick(&g, Qt::LeftButton, {}, g.boxOf("c").center().toPoint());
        QTest::mousePress(&g, Qt::LeftButton, {}, g.boxOf("c").center().toPoint());
        QTest::mouseRelease(&g, Qt::LeftButton, {}, QPoint(2, 2));
        QCOMPARE(wanted.size(), 1);
        // A line is chosen by a click on it, or by the arrow keys.
        const QPointF middle = (QPointF(g.boxOf("b").right(), g.boxOf("b").center().y()) +
                                QPointF(g.boxOf("d").left(), g.boxOf("d").center().y())) /
                               2;
        QTest::mouseClick(&g, Qt::LeftButton, {}, middle.toPoint());
        QVERIFY(g.chosen() && g.chosen()->cause == "b" && g.chosen()->fault == "d");
        QTest::keyClick(&g, Qt::Key_Right);
        QVERIFY(g.chosen() && !(g.chosen()->cause == "b" && g.chosen()->fault == "d"));
        QTest::keyClick(&g, Qt::Key_Minus);
        QTest::keyClick(&g, Qt::Key_Delete);
        QVERIFY(strength.size() == 1 && removal.size() == 1 && chosen.size() >= 2);
        // A choice that is gone from the blueprint is gone here too.
        b.faults[3].causes.clear();
        b.faults[1].causes.clear();
        g.setBlueprint(b);
        QVERIFY(!g.chosen());
        g.setBlueprint({});
        QCOMPARE(g.crossings(), 0);
        QVERIFY(!g.grab().isNull()); // the empty one says what to do
    }
    void everyShippedGraphIsTidy() {
        int most = 0;
        for (const auto& id : shippedBlueprintIds()) {
            CauseGraph g;
            g.resize(1080, 560);
            g.setBlueprint(*shippedBlueprint(id));
            most = std::max(most, g.crossings());
        }
        QVERIFY2(most <= 2, qPrintable(QString::number(most)));
    }
    void bands() {
        BandPlot plot;
        plot.resize(400, 118);
        plot.show({{100, 2, false, "one"}, {120, 2, true, "two"}}, {95, 110, 7.5}, 1.0, "°");
        plot.QWidget::show();
        QVERIFY(plot.xOf(95) < plot.xOf(100) && plot.xOf(100) < plot.xOf(110));
        QSignalSpy dragged(&plot, &BandPlot::bandDragged);
        const auto drag = [&](double from, double to) {
            dragged.clear();
            QTest::mousePress(&plot, Qt::LeftButton, {}, QPoint(static_cast<int>(plot.xOf(from)), 50));
            QTest::mouseMove(&plot, QPoint(static_cast<int>(plot.xOf(to)), 50));
            QTest::mouseRelease(&plot, Qt::LeftButton, {}, QPoint(static_cast<int>(plot.xOf(to)), 50));
        };
        drag(110, 116);
        QVERIFY(!dragged.isEmpty() && dragged.last()[0].toDouble() == 95 &&
                std::abs(dragged.last()[1].toDouble() - 116) < 0.5);
        drag(95, 99);
        QVERIFY(!dragged.isEmpty() && std::abs(dragged.last()[0].toDouble() - 99) < 0.5 &&
                dragged.last()[1].toDouble() == 110);
        drag(95, 130); // never beyond the other edge
        QVERIFY(!dragged.isEmpty() && dragged.last()[0].toDouble() < 110);
        drag(103, 108); // not an edge
        QVERIFY(dragged.isEmpty());
        // An open end has no handle; nothing at all is drawn and said.
        plot.show({}, {-std::numeric_limits<double>::infinity(), 110, 5}, 1.0, "°");
        drag(80, 90);
        QVERIFY(dragged.isEmpty());
        QVERIFY(!plot.grab().isNull());
        plot.show({{0.2, 0.01, false, "x"}}, {0.1, 0.3, 0.1}, 1000.0, "ms");
        QVERIFY(!plot.grab().isNull());
    }
    void pointing() {
        FigurePicker p;
        p.resize(320, 340);
        p.QWidget::show();
        auto d = exampleOf(MeasureKind::angle);
        d.points.clear();
        p.setDefinition(d, {"foil_tip"}, false);
        QSignalSpy chosen(&p, &FigurePicker::pointsChosen);
        connect(&p, &FigurePicker::pointsChosen, &p, [&](const std::vector<PointSpec>& points) {
            d.points = points;
            p.setDefinition(d, {"foil_tip"}, false);
        });
        const auto click = [&](const char* role, Qt::KeyboardModifiers with = {},
                               Qt::MouseButton button = Qt::LeftButton) {
            QTest::mouseClick(&p, button, with, p.placeOf(role).toPoint());
        };
        for (const char* role : {"lead_hip", "lead_knee", "lead_ankle"})
            click(role);
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        click("foil_tip"); // all were set: begins anew, with an implement
        QCOMPARE(d.points.size(), 1u);
        QCOMPARE(textOf(d.points[0]), std::string("foil_tip"));
        click("lead_hand", Qt::ShiftModifier);
        QCOMPARE(textOf(d.points[0]), std::string("foil_tip+lead_hand"));
        click("lead_knee", {}, Qt::RightButton);
        QVERIFY(d.points.empty());
        QTest::mouseClick(&p, Qt::LeftButton, {}, QPoint(3, 3)); // beside the figure
        QVERIFY(d.points.empty());
        p.setPickable(false);
        click("lead_knee");
        QVERIFY(d.points.empty());
        // A second person is there when it is asked for.
        QVERIFY(p.placeOf("other_neck").x() < 0);
        p.setPickable(true);
        p.setDefinition(exampleOf(MeasureKind::gap), {}, true);
        QVERIFY(p.placeOf("other_neck").x() > 0 && p.placeOf("other_neck").x() < p.placeOf("neck").x());
        QVERIFY(!p.grab().isNull());
    }
    void figuresKnowEveryPoint() {
        const auto points = figureIn(QRectF(0, 0, 200, 200),
                                     {"foil_tip", "bow_tail", "bow_tip", "ball", "scene_line", "left_knee"}, true);
        for (const auto& [name, at] : points)
            QVERIFY2(QRectF(-150, -20, 500, 240).contains(at), name.c_str());
        QCOMPARE(points.at("left_knee"), points.at("lead_knee"));
        QVERIFY(points.at("other_lead_knee").x() < points.at("lead_knee").x());
    }
};
QTEST_MAIN(TestWorkshopParts)
#include "test_workshop_parts.moc"
