#include "core/measure/definition.h"

#include <QTest>

using namespace riflesso;

namespace {
MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> points) {
    MeasureDefinition d;
    d.id = "m";
    d.kind = kind;
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    return d;
}
} // namespace

class TestDefinition : public QObject {
    Q_OBJECT
private slots:
    void pointsAreNamesOrMiddles() {
        QVERIFY((pointFromText("lead_hip")->landmarks == std::vector<std::string>{"lead_hip"}));
        QVERIFY((pointFromText("lead_hip+rear_hip")->landmarks == std::vector<std::string>{"lead_hip", "rear_hip"}));
        QVERIFY(pointFromText("foil_tip"));
        QVERIFY(!pointFromText(""));
        QVERIFY(!pointFromText("lead_nose"));
        QVERIFY(!pointFromText("head+"));
        QVERIFY(!pointFromText("head+neck+foil_tip"));
        QVERIFY(!pointFromText("Head"));
    }
    void eachKindNeedsItsPoints() {
        QVERIFY(problemOf(of(MeasureKind::angle, {"left_hip", "left_knee", "left_ankle"})).empty());
        QVERIFY(!problemOf(of(MeasureKind::angle, {"left_hip", "left_knee"})).empty());
        QVERIFY(problemOf(of(MeasureKind::ratio, {"head", "neck", "left_hip", "left_knee"})).empty());
        QVERIFY(!problemOf(of(MeasureKind::ratio, {"head"})).empty());
        QVERIFY(problemOf(of(MeasureKind::interval, {})).empty());
        QVERIFY(!problemOf(of(MeasureKind::interval, {"head"})).empty());
    }
    void directionsBelongToViews() {
        auto lean = of(MeasureKind::lean, {"left_hip", "neck"});
        QVERIFY(!problemOf(lean).empty()); // no direction
        lean.direction = Direction::forward;
        QVERIFY(problemOf(lean).empty());
        lean.view = View::front;
        QVERIFY(problemOf(lean).find("side") != std::string::npos);
        lean.direction = Direction::across;
        QVERIFY(problemOf(lean).empty());
        lean.view = View::side;
        QVERIFY(problemOf(lean).find("front") != std::string::npos);
        lean.direction = Direction::up;
        QVERIFY(!problemOf(lean).empty());
        auto offset = of(MeasureKind::offset, {"head", "neck"});
        offset.direction = Direction::up;
        QVERIFY(problemOf(offset).empty());
        offset.per.push_back(*pointFromText("left_knee"));
        QVERIFY(problemOf(offset).find("per") != std::string::npos);
    }
    void units() {
        QCOMPARE(unitOf(of(MeasureKind::angle, {})), std::string("°"));
        QCOMPARE(unitOf(of(MeasureKind::interval, {})), std::string("s"));
        QCOMPARE(unitOf(of(MeasureKind::ratio, {})), std::string());
        auto offset = of(MeasureKind::offset, {"head", "neck"});
        QCOMPARE(unitOf(offset), std::string("px"));
        offset.per = {*pointFromText("left_knee"), *pointFromText("left_ankle")};
        offset.perName = "shins";
        QCOMPARE(unitOf(offset), std::string("shins"));
    }
    void namesGoBothWays() {
        for (auto n : kMeasureKindNames)
            QCOMPARE(enumName(kMeasureKindNames, *enumFromName<MeasureKind>(kMeasureKindNames, n)), std::string(n));
        QVERIFY(!enumFromName<View>(kViewNames, "below"));
    }
};
QTEST_GUILESS_MAIN(TestDefinition)
#include "test_definition.moc"
