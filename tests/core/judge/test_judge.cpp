#include "core/judge/judge.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {

MeasureDefinition measure(const std::string& id, const std::string& at) {
    MeasureDefinition d;
    d.id = d.name = id;
    d.at = at;
    return d;
}

Fault fault(const std::string& id, const std::string& phase, std::vector<Indicator> indicators,
            std::vector<Cause> causes = {}) {
    Fault f;
    f.id = f.name = id;
    f.phase = phase;
    f.indicators = std::move(indicators);
    f.causes = std::move(causes);
    f.trainability = 0.8;
    return f;
}

// late turn → blocked arm → short ball; and a lonely one.
Blueprint chain() {
    Blueprint b;
    b.positions = {{"p0", "", ""}, {"p1", "", ""}, {"p2", "", ""}};
    b.measures = {{measure("turn", "p0"), {}, "", ""},
                  {measure("arm", "p1"), {}, "", ""},
                  {measure("ball", "p2"), {}, "", ""},
                  {measure("grip", "p0"), {}, "", ""}};
    b.faults = {fault("late_turn", "p0", {{"turn", Deviance::low, 1.0}}),
                fault("blocked_arm", "p1", {{"arm", Deviance::high, 0.9}}, {{"late_turn", 0.8}}),
                fault("short_ball", "p2", {{"ball", Deviance::low, 1.0}}, {{"blocked_arm", 0.5}, {"late_turn", 0.1}}),
                fault("loose_grip", "p0", {{"grip", Deviance::high, 1.0}})};
    return b;
}

Deviation deviation(const std::string& id, double severity, double pOut = 0.99) {
    Deviation d;
    d.measure = id;
    d.judged = true;
    d.band = {0, 10, 5};
    d.value.reps = 3;
    d.value.mean = severity < 0 ? 5 * severity : severity > 0 ? 10 + 5 * severity : 5;
    d.verdict.severity = severity;
    d.verdict.pLow = severity < 0 ? pOut : 0.005;
    d.verdict.pHigh = severity > 0 ? pOut : 0.005;
    d.verdict.pIn = std::max(0.0, 1 - d.verdict.pLow - d.verdict.pHigh);
    d.verdict.decision = severity == 0 ? Decision::inside : pOut >= 0.95 ? Decision::outside : Decision::undecided;
    return d;
}

const Finding* find(const Judgement& j, const std::string& id) {
    for (const auto& f : j.findings)
        if (f.fault == id)
            return &f;
    return nullptr;
}

} // namespace

class TestJudge : public QObject {
    Q_OBJECT
private slots:
    void theCauseComesBeforeItsConsequence() {
        // The consequence is the more severe of the two, and still not what to work on.
        const auto j = judge(
            chain(), {deviation("turn", -1.2), deviation("arm", 1.5), deviation("ball", 0), deviation("grip", 0)});
        QCOMPARE(j.findings.size(), std::size_t(2));
        QCOMPARE(j.findings[0].fault, std::string("late_turn"));
        QVERIFY((j.focus == std::vector<std::string>{"late_turn"}));
        QVERIFY((j.expectedToFollow == std::vector<std::string>{"blocked_arm"}));
    }
    void strongestPathCounts() {
        const auto b = chain();
        QVERIFY(std::abs(pathStrength(b, "late_turn", "short_ball") - 0.4) < 1e-12); // 0.8 · 0.5, not the direct 0.1
        QCOMPARE(pathStrength(b, "short_ball", "late_turn"), 0.0);
        QCOMPARE(pathStrength(b, "late_turn", "late_turn"), 0.0);
        QCOMPARE(pathStrength(b, "loose_grip", "short_ball"), 0.0);
    }
    void thePartsMakeTheScore() {
        const auto j =
            judge(chain(), {deviation("turn", -2), deviation("arm", 1), deviation("ball", -3), deviation("grip", 0)});
        const Finding* f = find(j, "late_turn");
        QVERIFY(f);
        QCOMPARE(f->parts.ownSeverity, 2.0);
        QVERIFY(std::abs(f->parts.consequences - 0.5 * (1 * 0.8 + 3 * 0.4)) < 1e-12); // λ Σ severity × path
        QVERIFY(std::abs(f->parts.probability - 0.99) < 1e-12);
        QCOMPARE(f->parts.earliness, 1.0);
        QVERIFY(std::abs(f->parts.score() - (2 + 1.0) * 0.99 * 0.8 * 1.0) < 1e-9);
        QCOMPARE(find(j, "short_ball")->parts.earliness, 0.5);
        QVERIFY(f->reason.find("2.00") != std::string::npos);
        QCOMPARE(f->downstream.front().fault, std::string("blocked_arm"));
        QVERIFY(f->downstream.front().direct);
    }
    void noisyOr() {
        auto b = chain();
        b.faults[0].indicators = {{"turn", Deviance::low, 0.6}, {"grip", Deviance::high, 0.5}};
        const auto j = judge(b, {deviation("turn", -1, 0.9), deviation("grip", 1, 0.8)});
        // 1 − (1 − 0.6·0.9)(1 − 0.5·0.8) = 0.724
        QVERIFY(find(j, "late_turn"));
        QVERIFY(std::abs(find(j, "late_turn")->parts.probability - 0.724) < 1e-12);
    }
    void directionMatters() {
        const auto j = judge(chain(), {deviation("turn", +2)}); // too much turn is not the late turn
        QVERIFY(!find(j, "late_turn"));
        QVERIFY(j.focus.empty());
    }
    void doubtIsListedApart() {
        const auto j = judge(chain(), {deviation("turn", -0.5, 0.35)});
        QVERIFY(j.findings.empty());
        QCOMPARE(j.possible.size(), std::size_t(1));
        QVERIFY((j.undecided == std::vector<std::string>{"turn"}));
        QVERIFY(judge(chain(), {deviation("turn", -0.5, 0.1)}).possible.empty());
    }
    void safetyGoesFirst() {
        auto b = chain();
        b.faults[3].safety = true;
        const auto j = judge(b, {deviation("turn", -3), deviation("arm", 3), deviation("grip", 0.3)});
        QCOMPARE(j.findings[0].fault, std::string("loose_grip"));
        QVERIFY(j.findings[0].reason.find("safety") != std::string::npos);
    }
    void atMostTwoUnrelatedThings() {
        const auto j =
            judge(chain(), {deviation("turn", -3), deviation("arm", 2), deviation("ball", -2), deviation("grip", 1)});
        QVERIFY((j.focus == std::vector<std::string>{"late_turn", "loose_grip"}));
        QVERIFY(std::find(j.expectedToFollow.begin(), j.expectedToFollow.end(), "short_ball") !=
                j.expectedToFollow.end());
    }
    void strengthsEarlyFirstAndWithMargin() {
        auto edge = deviation("grip", 0);
        edge.value.mean = 9.5; // inside, but close to the edge
        const auto j = judge(chain(), {deviation("ball", 0), deviation("arm", 0), deviation("turn", 0), edge});
        QCOMPARE(j.strengths.size(), std::size_t(3));
        QCOMPARE(j.strengths[0].measure, std::string("turn"));
        QCOMPARE(j.strengths[2].measure, std::string("ball"));
    }
    void nothingMeasuredNothingSaid() {
        Deviation missing;
        missing.measure = "turn";
        const auto j = judge(chain(), {missing});
        QVERIFY(j.findings.empty() && j.possible.empty() && j.focus.empty() && j.strengths.empty() &&
                j.undecided.empty());
    }
    void profiles() {
        Blueprint b;
        b.profiles = {{"two", "Two", "", {"a", "b"}}, {"four", "Four", "", {"a", "b", "c", "d"}}};
        Judgement j;
        const auto finding = [](const char* fault) {
            Finding f;
            f.fault = fault;
            return f;
        };
        j.findings = {finding("a")};
        QVERIFY(!profileOf(b, j));
        j.findings.push_back(finding("b"));
        QCOMPARE(profileOf(b, j)->profile, std::string("two"));
        b.profiles.erase(b.profiles.begin());
        QVERIFY(!profileOf(b, j)); // half of it
        j.findings.push_back(finding("d"));
        QVERIFY(profileOf(b, j)->active == 3 && profileOf(b, j)->of == 4);
    }
};
QTEST_GUILESS_MAIN(TestJudge)
#include "test_judge.moc"
