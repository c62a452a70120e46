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
        // Beta(1 + 9, 1 + 1): P(≥ x) = 1 − I_x(10, 2) = 1 − (11·x^10 − 10·x^11)
        const auto g = gate(9, 1);
        const auto above = [](double x) { return 1 - (11 * std::pow(x, 10) - 10 * std::pow(x, 11)); };
        QVERIFY(std::abs(g.pGood - above(0.75)) < 1e-9);
        QVERIFY(std::abs(g.pEasy - above(0.85)) < 1e-9);
        QVERIFY(std::abs(g.pPoor - (1 - above(0.5))) < 1e-9);
    }
    void aZoneNotAThreshold() {
        // Three in four, day after day on one day only: one learns there, nothing is beaten.
        QVERIFY(gate(75, 25).answer == GateAnswer::stay);
        // On two days at three in four and more each, surely: up, though it is not yet too easy.
        const Day today = *dayFromIso("2026-11-23"), before = today - std::chrono::days(2);
        QVERIFY(gate(33, 7).answer != GateAnswer::stepUp);
        QVERIFY(gate({{today, 17, 3}, {before, 16, 4}}, today).answer == GateAnswer::stepUp);
        QVERIFY(gate({{today, 17, 3}, {today, 16, 4}}, today).answer != GateAnswer::stepUp); // one day twice is one day
        QVERIFY(gate({{today, 20, 0}, {before, 13, 7}}, today).answer != GateAnswer::stepUp);
    }
    void olderRepsFade() {
        const Day today = *dayFromIso("2026-11-23");
        // A week ago counts half: 8 and 4 then are as 4 and 2 now.
        const auto old = gate({{today - std::chrono::days(7), 8, 4}}, today), half = gate(4, 2);
        QVERIFY(std::abs(old.pGood - half.pGood) < 1e-12 && std::abs(old.pPoor - half.pPoor) < 1e-12);
        QVERIFY(gate({{today, 12, 0}}, today).answer == GateAnswer::stepUp);
        QVERIFY(gate({{today - std::chrono::days(60), 12, 0}}, today).answer != GateAnswer::stepUp);
    }
    // An athlete whose rate stays in the zone is hardly ever moved: all outcomes of 20 reps by their binomial
    // probability.
    void wrongStepsAreRare() {
        for (const double rate : {0.6, 0.7, 0.75, 0.8}) {
            double wrong = 0.0;
            for (int good = 0; good <= 20; ++good) {
                const double p = std::exp(std::lgamma(21) - std::lgamma(good + 1) - std::lgamma(21 - good) +
                                          good * std::log(rate) + (20 - good) * std::log(1 - rate));
                const auto answer = gate(good, 20 - good).answer;
                wrong += answer == GateAnswer::stepUp || answer == GateAnswer::stepDown ? p : 0.0;
            }
            QVERIFY2(wrong <= 0.10, qPrintable(QString("%1: %2").arg(rate).arg(wrong)));
        }
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
            QVERIFY(n < 9 || gate(n, 0).answer == GateAnswer::stepUp); // 1 − 0.85^(n + 1) ≥ 0.8
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
