#include "core/statistics/summary.h"

#include <QTest>

#include <cmath>
#include <vector>

using namespace riflesso;

class TestSummary : public QObject {
    Q_OBJECT
private slots:
    void meanAndSpread() {
        const auto s = summarise(std::vector<double>{2, 4, 4, 4, 5, 5, 7, 9});
        QVERIFY(s);
        QCOMPARE(s->n, 8);
        QCOMPARE(s->mean, 5.0);
        QVERIFY(std::abs(s->sd - std::sqrt(32.0 / 7.0)) < 1e-12);
    }
    void nothingHasNoMean() { QVERIFY(!summarise(std::vector<double>{})); }
    void oneValueHasNoInterval() {
        const auto s = summarise(std::vector<double>{3});
        QVERIFY(s && s->sd == 0.0 && s->n == 1);
        QVERIFY(!meanInterval(*s));
    }
    void intervalOfTheMean() {
        // 10, 12, 14: mean 12, sd 2, t(2) = 4.303, half-width 4.303·2/√3 = 4.968.
        const auto i = meanInterval(*summarise(std::vector<double>{10, 12, 14}));
        QVERIFY(i);
        QVERIFY(std::abs(i->lo - (12 - 4.968)) < 1e-3);
        QVERIFY(std::abs(i->hi - (12 + 4.968)) < 1e-3);
    }
    void medians() {
        QCOMPARE(*median(std::vector<double>{3, 1, 2}), 2.0);
        QCOMPARE(*median(std::vector<double>{4, 1, 3, 2}), 2.5);
        QCOMPARE(*median(std::vector<double>{7}), 7.0);
        QVERIFY(!median(std::vector<double>{}));
    }
};
QTEST_GUILESS_MAIN(TestSummary)
#include "test_summary.moc"
