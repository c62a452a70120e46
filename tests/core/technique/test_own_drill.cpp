// Drills of the coach's own in a blueprint.

#include "core/technique/own_drill.h"

#include <QTest>

using namespace riflesso;

class TestOwnDrill : public QObject {
    Q_OBJECT
private slots:
    void standsAmongTheOthers() {
        Blueprint b;
        b.id = "walk";
        Fault heel, knee;
        heel.id = "heel";
        knee.id = "knee";
        knee.drills = {"old"};
        b.faults = {heel, knee};
        Drill old;
        old.id = "old";
        b.drills = {old};
        OwnDrill own{"walk", {"knee", "heel"}, {}};
        own.drill.id = freshDrillId({});
        own.drill.name = "Along the line";
        OwnDrill other = own;
        other.technique = "row";
        other.drill.id = freshDrillId({own});
        OwnDrill lost = own;
        lost.faults = {"gone"};
        lost.drill.id = freshDrillId({own, other});
        QCOMPARE(own.drill.id, std::string("own-1"));
        QCOMPARE(lost.drill.id, std::string("own-3"));
        QVERIFY(isOwnDrill(own.drill.id) && !isOwnDrill("old"));
        const Blueprint with = withOwnDrills(b, {own, other, lost});
        QCOMPARE(with.drills.size(), std::size_t(2));
        QCOMPARE(with.fault("knee")->drills, (std::vector<std::string>{"old", "own-1"}));
        QCOMPARE(with.fault("heel")->drills, std::vector<std::string>{"own-1"});
        // Taken in once more it is not there twice.
        QCOMPARE(withOwnDrills(with, {own}).fault("knee")->drills.size(), std::size_t(2));
    }
};

QTEST_APPLESS_MAIN(TestOwnDrill)
#include "test_own_drill.moc"
