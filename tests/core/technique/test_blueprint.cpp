#include "core/technique/validate.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {

MeasureDefinition angle(const char* id, const char* at) {
    MeasureDefinition d;
    d.id = d.name = id;
    d.at = at;
    for (const char* p : {"lead_hip", "lead_knee", "lead_ankle"})
        d.points.push_back(*pointFromText(p));
    return d;
}

Fault fault(const char* id, const char* measure, std::vector<Cause> causes = {}) {
    Fault f;
    f.id = f.name = id;
    f.phase = "ready";
    f.indicators = {{measure, Deviance::high, 1.0}};
    f.causes = std::move(causes);
    f.drills = {"drill"};
    return f;
}

// The smallest sound blueprint.
Blueprint sound() {
    Blueprint b;
    b.id = "b";
    b.positions = {{"ready", "Ready", ""}, {"strike", "Strike", ""}};
    b.landmarks = {"lead_knee", "lead_hip", "lead_ankle"};
    Target t;
    t.floor = 5;
    b.measures = {{angle("knee", "ready"), {t}, "", ""}};
    b.faults = {fault("a", "knee"), fault("b", "knee", {{"a", 0.5}})};
    Drill d;
    d.id = "drill";
    b.drills = {d};
    b.schools = {{"one", "One", ""}};
    return b;
}

bool says(const Blueprint& b, const std::string& place, const std::string& what) {
    for (const auto& p : problemsOf(b))
        if (p.place.find(place) != std::string::npos && p.what.find(what) != std::string::npos)
            return true;
    for (const auto& p : problemsOf(b))
        qWarning() << p.place.c_str() << p.what.c_str();
    return false;
}

} // namespace

class TestBlueprint : public QObject {
    Q_OBJECT
private slots:
    void aSoundOneHasNoProblem() { QVERIFY(problemsOf(sound()).empty()); }
    void measuresOfMeasures() {
        Blueprint b = sound();
        BlueprintMeasure other = b.measures[0], even = other, fades = other;
        other.definition.id = "other";
        even.definition = {};
        even.definition.id = "even";
        even.definition.kind = MeasureKind::symmetry;
        even.definition.aspect = Aspect::difference;
        even.definition.of = {"knee", "other"};
        fades.definition = {};
        fades.definition.id = "fades";
        fades.definition.kind = MeasureKind::drift;
        fades.definition.of = {"even"};
        b.measures.insert(b.measures.end(), {fades, even, other});
        linkMeasures(b.measures);
        QVERIFY(problemsOf(b).empty());
        QCOMPARE(b.measure("even")->definition.at, std::string("ready")); // taken from the first of them
        QCOMPARE(unitOf(b.measure("fades")->definition), std::string("°"));
        b.measures[1].definition.of = {"ghost"};
        linkMeasures(b.measures);
        QVERIFY(says(b, "measures[1].of", "ghost"));
        b.measures[1].definition.of = {"fades"};
        linkMeasures(b.measures);
        QVERIFY(says(b, "measures[1].of", "no other measure"));
    }
    void targetsBySchoolAndSituation() {
        Blueprint b = sound();
        b.situations = {{"far", "Far", "", {"step"}}};
        Target school = b.measures[0].targets[0], situation = school, both = school;
        school.school = both.school = "one";
        situation.situation = both.situation = "far";
        auto& t = b.measures[0].targets;
        t.insert(t.end(), {school, situation});
        const auto chosen = [&](const char* s, const char* where) {
            return targetFor(b.measures[0], s, where) - t.data();
        };
        QCOMPARE(chosen("", ""), 0);
        QCOMPARE(chosen("one", ""), 1);
        QCOMPARE(chosen("", "far"), 2);
        QCOMPARE(chosen("one", "far"), 1);
        t.push_back(both);
        QCOMPARE(chosen("one", "far"), 3);
        QVERIFY(problemsOf(b).empty());
        b.situations[0].choices.clear();
        QVERIFY(says(b, "situations[0]", "right choice"));
        b.profiles = {{"p", "P", "", {"a", "ghost"}}};
        QVERIFY(says(b, "profiles[0]", "ghost"));
    }
    void loopsAreNamed() {
        auto b = sound();
        b.faults[0].causes = {{"b", 0.4}};
        QVERIFY(says(b, "faults", "circle"));
        QVERIFY(says(b, "faults", "a → b → a"));
        b.faults[0].causes = {{"a", 0.4}};
        QVERIFY(says(b, "faults", "a → a"));
    }
    void danglingReferencesAreFound() {
        auto b = sound();
        b.faults[1].causes[0].fault = "ghost";
        QVERIFY(says(b, "faults[1].causes[0]", "ghost"));
        b = sound();
        b.faults[0].drills = {"nothing"};
        QVERIFY(says(b, "faults[0].drills[0]", "nothing"));
        b = sound();
        b.faults[0].indicators[0].measure = "elbow";
        QVERIFY(says(b, "faults[0].indicators[0]", "elbow"));
        b = sound();
        b.faults[0].phase = "nowhere";
        QVERIFY(says(b, "faults[0].phase", "nowhere"));
        b = sound();
        b.measures[0].definition.at = "nowhere";
        QVERIFY(says(b, "measures[0].at", "nowhere"));
        b = sound();
        b.measures[0].targets[0].school = "two";
        QVERIFY(says(b, "measures[0].targets[0].school", "two"));
        b = sound();
        b.landmarks.pop_back();
        QVERIFY(says(b, "measures[0]", "lead_ankle"));
    }
    void rangesAreChecked() {
        auto b = sound();
        b.faults[0].trainability = 0;
        b.faults[0].indicators[0].weight = 1.5;
        b.faults[1].causes[0].strength = -1;
        b.measures[0].targets[0].lo = 5;
        b.measures[0].targets[0].hi = 5;
        b.measures[0].targets[0].floor = 0;
        b.drills[0].dose.reps = 0;
        for (const char* place : {"trainability", "weight", "strength", "floor", "dose"})
            QVERIFY2(says(b, place, ""), place);
        QVERIFY(says(b, "targets[0]", "below hi"));
    }
    void doublesAreFound() {
        auto b = sound();
        b.faults.push_back(b.faults[0]);
        b.measures.push_back(b.measures[0]);
        b.positions.push_back(b.positions[0]);
        QVERIFY(says(b, "faults[2].id", "twice"));
        QVERIFY(says(b, "measures[1].id", "twice"));
        QVERIFY(says(b, "positions[2].id", "twice"));
    }
    void emptinessIsFound() {
        auto b = sound();
        b.faults[0].indicators.clear();
        b.faults[0].drills.clear();
        b.measures[0].targets.clear();
        QVERIFY(says(b, "faults[0].indicators", "never"));
        QVERIFY(says(b, "faults[0].drills", "drill"));
        QVERIFY(says(b, "measures[0].targets", "judged"));
        b = sound();
        b.positions.pop_back();
        QVERIFY(says(b, "positions", "2 to 10"));
    }
    void lookups() {
        const auto b = sound();
        QVERIFY(b.fault("a") && !b.fault("z"));
        QVERIFY(b.measure("knee") && !b.measure(""));
        QVERIFY(b.drill("drill") && b.position("strike"));
        QCOMPARE(b.positionOrder("strike"), 1);
        QCOMPARE(b.positionOrder("z"), -1);
    }
    void rolesComeInTheOrderOfTheEye() {
        const auto b = sound();
        QVERIFY((b.rolesAt("ready", View::side) == std::vector<std::string>{"lead_knee", "lead_hip", "lead_ankle"}));
        QVERIFY(b.rolesAt("strike", View::side).empty());
        QVERIFY(b.rolesFor(View::front).empty());
    }
    void schoolsChooseTheirTarget() {
        auto b = sound();
        Target own = b.measures[0].targets[0];
        own.school = "one";
        own.floor = 9;
        b.measures[0].targets.push_back(own);
        QCOMPARE(targetFor(b.measures[0], "one")->floor, 9.0);
        QCOMPARE(targetFor(b.measures[0], "")->floor, 5.0);
        QCOMPARE(targetFor(b.measures[0], "other")->floor, 5.0);
        b.measures[0].targets = {own};
        QVERIFY(!targetFor(b.measures[0], ""));
    }
};
QTEST_GUILESS_MAIN(TestBlueprint)
#include "test_blueprint.moc"
