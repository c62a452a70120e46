#include "core/mirror/decision.h"

#include <QTest>

#include <cmath>
#include <limits>

using namespace riflesso;

class TestDecision : public QObject {
    Q_OBJECT
    static constexpr double kInf = std::numeric_limits<double>::infinity();
private slots:
    void guardBandsOfTheStandard() {
        // ISO 14253-1 with one-sided 95 %: the guard band is 1.645 u (JCGM 106:2012, 8.3.2). Band far wider than u.
        const Band b{0, 100, 50};
        const double u = 2;
        QVERIFY(decide(0 + 1.66 * u, u, b).decision == Decision::inside);
        QVERIFY(decide(0 + 1.63 * u, u, b).decision == Decision::undecided);
        QVERIFY(decide(0 - 1.63 * u, u, b).decision == Decision::undecided);
        QVERIFY(decide(0 - 1.66 * u, u, b).decision == Decision::outside);
        QVERIFY(decide(100 + 1.66 * u, u, b).decision == Decision::outside);
        QVERIFY(decide(100 - 1.66 * u, u, b).decision == Decision::inside);
        QVERIFY(decide(0, u, b).decision == Decision::undecided);
        QVERIFY(std::abs(decide(0, u, b).pLow - 0.5) < 1e-12);
    }
    void probabilitiesAddUp() {
        for (double v : {-3.0, 0.0, 4.0, 9.9, 12.0}) {
            const auto d = decide(v, 1.7, {2, 10, 4});
            QVERIFY(std::abs(d.pLow + d.pIn + d.pHigh - 1) < 1e-12);
        }
    }
    void aBlurredValueIsUndecidedInANarrowBand() { QVERIFY(decide(5, 10, {4, 6, 1}).decision == Decision::undecided); }
    void certainValuesAreAlwaysDecided() {
        QVERIFY(decide(5, 0, {4, 6, 1}).decision == Decision::inside);
        QVERIFY(decide(3.999, 0, {4, 6, 1}).decision == Decision::outside);
    }
    void severityIsCappedAndSigned() {
        const Band b{10, 20, 5};
        QCOMPARE(decide(15, 1, b).severity, 0.0);
        QCOMPARE(decide(25, 1, b).severity, 1.0);
        QCOMPARE(decide(5, 1, b).severity, -1.0);
        QCOMPARE(decide(500, 1, b).severity, 3.0);
        QCOMPARE(decide(-500, 1, b).severity, -3.0);
    }
    void openBands() {
        const Band atMost{-kInf, 0, 0.1};
        QVERIFY(decide(-9, 0.02, atMost).decision == Decision::inside);
        QVERIFY(decide(0.05, 0.02, atMost).decision == Decision::outside);
        QVERIFY(std::abs(decide(0.05, 0.02, atMost).severity - 0.5) < 1e-12);
        QCOMPARE(decide(0.05, 0.02, atMost).pLow, 0.0);
        QVERIFY(std::abs(margin(-0.3, atMost) - 3) < 1e-12);
    }
    void confidenceIsSettable() {
        DecisionOptions strict;
        strict.confidence = 0.99;
        QVERIFY(decide(4, 2, {0, 100, 50}).decision == Decision::inside);
        QVERIFY(decide(4, 2, {0, 100, 50}, strict).decision == Decision::undecided);
    }
    void margins() {
        QCOMPARE(margin(15, {10, 20, 5}), 1.0);
        QCOMPARE(margin(20, {10, 20, 5}), 0.0);
        QCOMPARE(margin(22.5, {10, 20, 5}), -0.5);
    }
};
QTEST_GUILESS_MAIN(TestDecision)
#include "test_decision.moc"
