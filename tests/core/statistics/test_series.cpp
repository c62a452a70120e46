// Lags and periods of series, and the t interval, against SciPy.

#include "core/statistics/correlation.h"
#include "core/statistics/summary.h"
#include "tests/support/python.h"

#include <QTest>

#include <algorithm>
#include <cmath>
#include <random>

using namespace riflesso;

class TestSeries : public QObject {
    Q_OBJECT
    std::vector<double> m_x, m_y, m_sample;
    QJsonObject m_reference;

    static QJsonArray array(const std::vector<double>& values) {
        QJsonArray out;
        for (const double v : values)
            out.append(v);
        return out;
    }
private slots:
    void initTestCase() {
        // A movement that comes round every 37 samples, seen by two cameras, the second 23 samples later.
        std::mt19937 random(8);
        std::normal_distribution<double> noise(0.0, 0.3);
        const auto at = [](double t) {
            return std::sin(2 * M_PI * t / 37.0) + 2.5 * std::exp(-std::pow((t - 140) / 9, 2));
        };
        for (int i = 0; i < 300; ++i) {
            m_x.push_back(at(i) + noise(random));
            m_y.push_back(at(i - 23) + noise(random));
        }
        for (int i = 0; i < 9; ++i)
            m_sample.push_back(170 + 4 * noise(random));
        const QJsonObject in{{"x", array(m_x)}, {"y", array(m_y)}, {"sample", array(m_sample)}};
        m_reference = test::runReference("series.py", QJsonDocument(in).toJson());
        QVERIFY(!m_reference.isEmpty());
    }
    void lagsAgainstSciPy() {
        const auto c = crossCorrelation(m_x, m_y);
        const auto lags = test::numbers(m_reference["lags"]), values = test::numbers(m_reference["correlation"]);
        int compared = 0;
        for (std::size_t i = 0; i < lags.size(); ++i) {
            const auto k = static_cast<std::ptrdiff_t>(lags[i]) - c.firstLag;
            if (k < 0 || k >= static_cast<std::ptrdiff_t>(c.values.size()))
                continue; // too short an overlap
            ++compared;
            QVERIFY2(std::abs(c.values[static_cast<std::size_t>(k)] - values[i]) < 1e-9,
                     qPrintable(QString::number(lags[i])));
        }
        QVERIFY(compared > 400);
        const auto best = std::max_element(c.values.begin(), c.values.end());
        // Noise may move the top by a sample.
        QVERIFY(std::abs(static_cast<int>(best - c.values.begin() + c.firstLag) - 23) <= 1);
        QVERIFY(crossCorrelation({}, m_y).values.empty());
    }
    void periodsAgainstSciPy() {
        const auto own = autocorrelation(m_x, 119);
        const auto expected = test::numbers(m_reference["own"]);
        QCOMPARE(own.size(), expected.size());
        for (std::size_t lag = 0; lag < own.size(); ++lag)
            QVERIFY2(std::abs(own[lag] - expected[lag]) < 1e-9, qPrintable(QString::number(lag)));
        // The period: the highest after the first fall.
        const auto period = std::max_element(own.begin() + 20, own.begin() + 55) - own.begin();
        QVERIFY2(std::abs(static_cast<int>(period) - 37) <= 1, qPrintable(QString::number(period)));
        const std::vector<double> flat(20, 3.0);
        for (const double v : autocorrelation(flat, 5))
            QCOMPARE(v, 0.0);
    }
    void intervalAgainstSciPy() {
        const auto s = summarise(m_sample);
        const auto i = meanInterval(*s);
        QVERIFY(i && std::abs(i->lo - m_reference["lo"].toDouble()) < 1e-9 &&
                std::abs(i->hi - m_reference["hi"].toDouble()) < 1e-9);
        QVERIFY(!meanInterval(*summarise(std::vector{1.0})));
    }
    void lines() {
        const auto two = fitLine(std::vector{1.0, 3.0}, std::vector{5.0, 9.0});
        QVERIFY(two && std::abs(two->slope - 2.0) < 1e-12 && std::abs(two->intercept - 3.0) < 1e-12 &&
                two->uSlope == 0.0);
        QVERIFY(!fitLine(std::vector{1.0}, std::vector{5.0}));
        QVERIFY(!fitLine(std::vector{1.0, 2.0}, std::vector{5.0}));
        QVERIFY(!fitLine(std::vector{2.0, 2.0, 2.0}, std::vector{1.0, 2.0, 3.0}));
    }
    void orders() {
        const std::vector<double> x{1, 2, 3, 4};
        QCOMPARE(kendallTau(x, std::vector<double>{4, 3, 2, 1}), -1.0);
        QCOMPARE(kendallTau(x, x), 1.0);
        // By hand: five pairs agree, one does not.
        QVERIFY(std::abs(kendallTau(x, std::vector<double>{1, 2, 4, 3}) - 4.0 / 6.0) < 1e-12);
        QCOMPARE(kendallTau(std::vector<double>{}, std::vector<double>{}), 0.0);
    }
};
QTEST_GUILESS_MAIN(TestSeries)
#include "test_series.moc"
