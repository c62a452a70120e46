#include "core/judge/links.h"
#include "core/technique/own_target.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

Blueprint oneLink(double strength) {
    Blueprint b;
    Fault cause, consequence;
    cause.id = "cause";
    consequence.id = "consequence";
    consequence.causes = {{"cause", strength}};
    b.faults = {cause, consequence};
    return b;
}

FaultReading reading(const std::string& fault, double value, double u = 1.0) {
    FaultReading r{fault, value, u, {0, 10, 5}, Decision::undecided};
    r.decision = decide(value, u, r.band).decision;
    return r;
}

} // namespace

class TestLinks : public QObject {
    Q_OBJECT
private slots:
    void whatIsInformative() {
        const Blueprint b = oneLink(0.5);
        const auto checks = [&](double causeWas, double causeIs, double was, double is) {
            return checksBetween(b, {reading("cause", causeWas), reading("consequence", was)},
                                 {reading("cause", causeIs), reading("consequence", is)});
        };
        QCOMPARE(checks(30, 12, 25, 5).size(), std::size_t(1));
        QVERIFY(checks(30, 12, 25, 5)[0].followed);
        QVERIFY(!checks(30, 12, 25, 25)[0].followed);
        QVERIFY(checks(30, 28.5, 25, 5).empty());  // the cause's move may be chance
        QVERIFY(checks(12, 30, 25, 5).empty());    // it moved away
        QVERIFY(checks(30, 12, 5, 5).empty());     // the consequence was not there before
        QVERIFY(checks(30, 12, 25, 10.5).empty()); // it cannot be decided now
        QVERIFY(checksBetween(b, {reading("cause", 30)}, {reading("cause", 12)}).empty());
    }
    void thePosteriorByHand() {
        // Beta(4·0.7, 4·0.3) and two of three that followed: (2.8 + 2) / 7.
        const auto beliefs = beliefsOf(oneLink(0.7), {{"cause", "consequence", true},
                                                      {"cause", "consequence", true},
                                                      {"cause", "consequence", false},
                                                      {"other", "consequence", true}});
        QCOMPARE(beliefs.size(), std::size_t(1));
        QVERIFY(std::abs(beliefs[0].posterior - 4.8 / 7.0) < 1e-12);
        QCOMPARE(beliefs[0].checks, 3);
        QCOMPARE(withBeliefs(oneLink(0.7), beliefs).faults[1].causes[0].strength, beliefs[0].posterior);
        QCOMPARE(beliefsOf(oneLink(0.7), {})[0].posterior, 0.7);
        // With a second athlete, who had one that followed: (2.8 + 3) / 8; a third who had none changes nothing.
        const auto second = beliefsOf(oneLink(0.7), {{"cause", "consequence", true}});
        const auto all = pooledBeliefs({beliefs, second, beliefsOf(oneLink(0.7), {}), {}});
        QCOMPARE(all.size(), std::size_t(1));
        QCOMPARE(all[0].checks, 4);
        QCOMPARE(all[0].followed, 3);
        QVERIFY(std::abs(all[0].posterior - 5.8 / 8.0) < 1e-12);
        QVERIFY(pooledBeliefs({}).empty());
    }
    // Simulated athletes whose true link is known: after six informative re-measurements the belief is on the right
    // side.
    void athletesWithKnownLinks() {
        std::mt19937 random(9);
        std::normal_distribution<double> noise(0.0, 1.0);
        std::uniform_real_distribution<double> chance(0.0, 1.0);
        int right = 0, all = 0;
        for (const double prior : {0.4, 0.5, 0.6})
            for (const double truth : {0.1, 0.9})
                for (int athlete = 0; athlete < 300; ++athlete) {
                    const Blueprint b = oneLink(prior);
                    std::vector<LinkCheck> checks;
                    while (checks.size() < 6) {
                        const bool follows = chance(random) < truth;
                        const auto found = checksBetween(
                            b, {reading("cause", 30 + noise(random)), reading("consequence", 25 + noise(random))},
                            {reading("cause", 8 + noise(random)),
                             reading("consequence", (follows ? 5 : 25) + noise(random))});
                        checks.insert(checks.end(), found.begin(), found.end());
                    }
                    ++all;
                    right += (beliefsOf(b, checks)[0].posterior > 0.5) == (truth > 0.5);
                }
        QVERIFY2(right >= 0.9 * all, qPrintable(QString("%1 of %2").arg(right).arg(all)));
    }
    void ownTargets() {
        Blueprint b;
        BlueprintMeasure m;
        m.definition.id = "knee";
        Target common;
        common.lo = 100;
        common.hi = 120;
        common.floor = 3;
        m.targets = {common};
        b.measures = {m};
        OwnTarget own;
        own.measure = "knee";
        own.hi = 130;
        own.reason = "long shins";
        const auto mine = withOwnTargets(b, {own});
        QCOMPARE(mine.measures[0].targets.size(), std::size_t(1));
        const Target& t = mine.measures[0].targets[0];
        QVERIFY(std::isinf(t.lo) && t.hi == 130 && t.floor == 3 && t.source == TargetSource::coach);
        QCOMPARE(t.note, std::string("own target: long shins"));
        own.off = true;
        QVERIFY(withOwnTargets(b, {own}).measures[0].targets.empty());
        OwnTarget nonsense;
        nonsense.measure = "knee";
        QCOMPARE(withOwnTargets(b, {nonsense}).measures[0].targets[0].lo, 100.0); // no end at all
        nonsense.lo = 5;
        nonsense.hi = 1;
        QCOMPARE(withOwnTargets(b, {nonsense}).measures[0].targets[0].lo, 100.0);
        nonsense.measure = "elbow";
        QCOMPARE(withOwnTargets(b, {nonsense}).measures.size(), std::size_t(1));
    }
};

QTEST_APPLESS_MAIN(TestLinks)
#include "test_links.moc"
