#include "core/progress/gate.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

class TestGate : public QObject {
    Q_OBJECT
private slots:
    void tradeRules() {
        // Right level about three in four; half or fewer, make it easier (common practice, no source).
        QVERIFY(gate(19, 1).answer == GateAnswer::stepUp);
        QVERIFY(gate(4, 12).answer == GateAnswer::stepDown);
        QVERIFY(gate(26, 14).answer == GateAnswer::stay);
    }
    void neverFromTooFew() {
        for (int n = 0; n < 8; ++n)
            for (int good = 0; good <= n; ++good) {
                QVERIFY(gate(good, n - good).answer == GateAnswer::countMore);
                QCOMPARE(gate(good, n - good).more, 8 - n);
            }
        QVERIFY(gate(0, 0).words.find("Count 8 reps first") != std::string::npos);
    }
    void theProbabilitiesAreThePosteriors() {
        // Beta(1 + 9, 1 + 1): P(≥ 0.75) = 1 − I_0.75(10, 2) = 1 − (11·0.75^10 − 10·0.75^11) = 0.80290
        const auto g = gate(9, 1);
        QVERIFY(std::abs(g.pGood - (1 - (11 * std::pow(0.75, 10) - 10 * std::pow(0.75, 11)))) < 1e-9);
    }
    void moreGoodNeverStepsDown() {
        for (int n = 8; n <= 30; ++n) {
            double before = -1;
            for (int good = 0; good <= n; ++good) {
                const auto g = gate(good, n - good);
                QVERIFY(g.pGood >= before);
                before = g.pGood;
                QVERIFY(!g.words.empty());
            }
            QVERIFY(gate(n, 0).answer == GateAnswer::stepUp);
            QVERIFY(gate(0, n).answer == GateAnswer::stepDown);
        }
    }
    void countMoreReallyDecides() {
        // When it says "count k more", k more at the same rate do decide.
        for (int n = 8; n <= 20; ++n)
            for (int good = 0; good <= n; ++good) {
                const auto g = gate(good, n - good);
                if (g.answer != GateAnswer::countMore)
                    continue;
                QVERIFY(g.more > 0 && g.more <= 40);
                const double rate = double(good) / n;
                const int later = static_cast<int>(std::lround(rate * (n + g.more)));
                const auto after = gate(later, n + g.more - later);
                // Rounding to whole reps may miss it by one.
                const auto rounded = gate(std::min(later + 1, n + g.more), std::max(0, n + g.more - later - 1));
                const auto down = gate(std::max(0, later - 1), n + g.more - std::max(0, later - 1));
                QVERIFY(after.answer != GateAnswer::countMore || rounded.answer != GateAnswer::countMore ||
                        down.answer != GateAnswer::countMore);
            }
    }
};
QTEST_GUILESS_MAIN(TestGate)
#include "test_gate.moc"
