#include "core/statistics/distributions.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

class TestDistributions : public QObject {
    Q_OBJECT
private slots:
    void normalAgreesWithTables() {
        // Standard normal table, e.g. Abramowitz & Stegun 1964, table 26.1.
        QVERIFY(std::abs(normalCdf(0.0) - 0.5) < 1e-12);
        QVERIFY(std::abs(normalCdf(1.0) - 0.841344746) < 1e-8);
        QVERIFY(std::abs(normalCdf(-1.96) - 0.024997895) < 1e-8);
        QVERIFY(std::abs(normalCdf(12.0, 10.0, 2.0) - normalCdf(1.0)) < 1e-12);
    }
    void aSureValueIsAStep() {
        QCOMPARE(normalCdf(1.0, 2.0, 0.0), 0.0);
        QCOMPARE(normalCdf(2.0, 2.0, 0.0), 0.5);
        QCOMPARE(normalCdf(3.0, 2.0, 0.0), 1.0);
    }
    void studentAgreesWithTables() {
        // Student's t, two-sided 95 %: 12.706 (1), 4.303 (2), 2.776 (4), 2.228 (10); any statistics handbook.
        QVERIFY(std::abs(studentQuantile(0.975, 1) - 12.706) < 1e-3);
        QVERIFY(std::abs(studentQuantile(0.975, 2) - 4.303) < 1e-3);
        QVERIFY(std::abs(studentQuantile(0.975, 4) - 2.776) < 1e-3);
        QVERIFY(std::abs(studentQuantile(0.975, 10) - 2.228) < 1e-3);
    }
    void betaIsTheBinomialTail() {
        // P(X <= x) of Beta(a, b) with whole a, b equals P(at least a successes of a+b-1 at rate x).
        const double x = 0.75;
        double tail = 0;
        for (int k = 7; k <= 10; ++k)
            tail +=
                std::tgamma(11) / std::tgamma(k + 1) / std::tgamma(11 - k) * std::pow(x, k) * std::pow(1 - x, 10 - k);
        QVERIFY(std::abs(betaCdf(x, 7, 4) - tail) < 1e-12);
        QCOMPARE(betaCdf(0.5, 1, 1), 0.5);
    }
    void wilsonAgreesWithAWorkedExample() {
        // R. G. Newcombe 1998, Stat. Med. 17:857-872, table I: 81 of 263 gives 0.2553 to 0.3662; 0 of 20: 0 to 0.1611.
        const Interval a = wilson(81, 263);
        QVERIFY(std::abs(a.lo - 0.2553) < 5e-5);
        QVERIFY(std::abs(a.hi - 0.3662) < 5e-5);
        const Interval b = wilson(0, 20);
        QVERIFY(std::abs(b.lo) < 1e-12);
        QVERIFY(std::abs(b.hi - 0.1611) < 5e-5);
    }
    void nonsenseGivesNotANumber() {
        QVERIFY(std::isnan(normalCdf(0, 0, -1)));
        QVERIFY(std::isnan(normalCdf(std::nan(""), 0, 1)));
        QVERIFY(std::isnan(studentQuantile(1.0, 3)));
        QVERIFY(std::isnan(studentQuantile(0.5, 0)));
        QVERIFY(std::isnan(betaCdf(0.5, 0, 1)));
        QVERIFY(std::isnan(betaCdf(1.5, 1, 1)));
        QVERIFY(std::isnan(wilson(3, 0).lo));
        QVERIFY(std::isnan(wilson(5, 4).hi));
    }
    void intervalKnowsWhatItHolds() {
        const Interval i{1, 3};
        QVERIFY(i.contains(1) && i.contains(3) && !i.contains(3.01));
        QCOMPARE(i.halfWidth(), 1.0);
    }
};
QTEST_GUILESS_MAIN(TestDistributions)
#include "test_distributions.moc"
