#include "core/motion/rate_check.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestRateCheck : public QObject {
    Q_OBJECT
private slots:
    void aStopwatchTellsTheRate() {
        const auto c = stopwatchCheck(480, 2.00, 0.01); // 480 frames while the watch ran from 3.10 to 5.10
        QVERIFY(std::abs(c->rate.value - 240) < 1e-9);
        QVERIFY(c->agrees(Hertz(240)) && !c->agrees(Hertz(120)));
        QVERIFY(c->u > 0.2 && c->u < 1);
        QVERIFY(!stopwatchCheck(0, 1, 0.01) && !stopwatchCheck(10, 0, 0.01));
    }
    // ISO 80000-3's g: a ball falls 1 m in 0.4516 s.
    void aFallingBallTellsTheRate() {
        const double t = std::sqrt(2.0 / kFreeFall);
        QVERIFY(std::abs(t - 0.45160) < 1e-5);
        for (double rate : {30.0, 120.0, 240.0}) {
            const int frames = static_cast<int>(std::lround(t * rate));
            const auto c = fallCheck(1.0, 0.005, frames, Hertz(rate));
            QVERIFY(c->agrees(Hertz(rate)));
            QVERIFY(!c->agrees(Hertz(2 * rate)));
            QVERIFY2(std::abs(c->g - kFreeFall) < 2 * c->uG, qPrintable(QString::number(c->g)));
            // The same frames stated at half the rate look like a quarter of g.
            QVERIFY(std::abs(fallCheck(1.0, 0.005, frames, Hertz(rate / 2))->g / c->g - 0.25) < 1e-9);
        }
        QVERIFY(!fallCheck(0, 0, 10, Hertz(60)) && !fallCheck(1, 0, 0, Hertz(60)));
    }
    void gFromASimulatedFallingBall() {
        std::mt19937 random(8);
        std::normal_distribution<double> error(0, 0.004);
        int inside = 0;
        for (int trial = 0; trial < 200; ++trial) {
            std::vector<FallSample> s;
            for (int i = 0; i < 50; ++i) {
                const double t = i / 120.0;
                s.push_back({t, 0.3 + 0.2 * t + 0.5 * kFreeFall * t * t + error(random)});
            }
            const auto f = fitFall(s, 0.004);
            QVERIFY(std::abs(f->g - kFreeFall) < 0.6);
            inside += std::abs(f->g - kFreeFall) <= 2 * f->u;
        }
        QVERIFY2(inside > 180, qPrintable(QString::number(inside)));
        QVERIFY(!fitFall({{0, 0}, {1, 1}}, 1));
        QVERIFY(!fitFall({{0, 0}, {0, 1}, {0, 2}}, 1));
    }
};
QTEST_GUILESS_MAIN(TestRateCheck)
#include "test_rate_check.moc"
