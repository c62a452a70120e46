// Two versions of a blueprint side by side.

#include "core/technique/difference.h"

#include <QTest>

using namespace riflesso;

namespace {

Blueprint example() {
    Blueprint b;
    b.id = "step";
    b.name = "A step";
    b.positions = {{"lift", "Lift", "The foot leaves."}, {"land", "Land", "The heel touches."}};
    b.landmarks = {"lead_hip", "lead_knee", "lead_ankle"};
    BlueprintMeasure m;
    m.definition.id = "knee";
    m.definition.name = "Knee at the landing";
    m.definition.at = "land";
    for (const char* p : {"lead_hip", "lead_knee", "lead_ankle"})
        m.definition.points.push_back(*pointFromText(p));
    Target t;
    t.floor = 8;
    m.targets = {t};
    b.measures = {m};
    Fault f;
    f.id = "stiff";
    f.name = "Stiff knee";
    f.phase = "land";
    f.indicators = {{"knee", Deviance::high, 1.0}};
    b.faults = {f};
    Drill d;
    d.id = "hop";
    d.name = "Hop and hold";
    b.drills = {d};
    return b;
}

bool says(const std::vector<BlueprintChange>& changes, const std::string& place, const std::string& what) {
    for (const auto& c : changes)
        if (c.place.find(place) != std::string::npos && c.what.find(what) != std::string::npos)
            return true;
    for (const auto& c : changes)
        qWarning("%s %s", c.place.c_str(), c.what.c_str());
    return false;
}

} // namespace

class TestDifference : public QObject {
    Q_OBJECT
private slots:
    void nothing() {
        Blueprint later = example();
        later.version = 2;
        QVERIFY(differences(example(), later).empty());
    }
    void whatChanged() {
        Blueprint later = example();
        later.measures[0].targets[0].floor = 6;
        later.measures[0].definition.name = "Knee on landing";
        later.faults[0].indicators[0].weight = 0.5;
        later.faults[0].causes = {{"hurry", 0.4}};
        later.drills[0].dose.minutes = 3;
        later.positions[1].rule = PositionRule{};
        later.cautions = {"Warm up."};
        const auto changes = differences(example(), later);
        QVERIFY(says(changes, "measure “Knee on landing” (knee)", "name: “Knee at the landing” → “Knee on landing”"));
        QVERIFY(says(changes, "(knee)", "target, floor: “8” → “6”"));
        QVERIFY(says(changes, "fault “Stiff knee”", "seen in knee, high: “weight 1” → “weight 0.5”"));
        QVERIFY(says(changes, "fault", "caused by hurry: nothing → “0.4”"));
        QVERIFY(says(changes, "drill “Hop and hold”", "5 min” → “1 set of 10, 3 min”"));
        QVERIFY(says(changes, "key position “Land”", "rule: nothing → “highest”"));
        QVERIFY(says(changes, "blueprint", "cautions: nothing → “Warm up.”"));
        // And back: what is gone is said.
        const auto back = differences(later, example());
        QVERIFY(says(back, "fault", "caused by hurry: “0.4” → nothing"));
        QVERIFY(says(back, "key position", "rule: “highest” → nothing"));
    }
    void newGoneAndMoved() {
        Blueprint later = example();
        std::swap(later.positions[0], later.positions[1]);
        later.drills[0].id = "jump";
        const auto changes = differences(example(), later);
        QVERIFY(says(changes, "key position list", "order: lift, land → land, lift"));
        QVERIFY(says(changes, "(jump)", "is new"));
        QVERIFY(says(changes, "(hop)", "is gone"));
        QCOMPARE(changes.size(), std::size_t(3));
    }
};
QTEST_GUILESS_MAIN(TestDifference)
#include "test_difference.moc"
