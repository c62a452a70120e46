// Extremes under noise: place and size by hand, and over many draws.

#include "core/measure/extreme.h"

#include <QTest>

#include <cmath>
#include <random>
#include <vector>

using namespace riflesso;

class TestExtreme : public QObject {
    Q_OBJECT
    static constexpr double kRate = 120.0;

    // A bump of height 10 at `top` seconds, 60 samples.
    static std::vector<Sample> bump(double top, double noise = 0.0, unsigned seed = 1, double sign = 1.0) {
        std::mt19937 random(seed);
        std::normal_distribution<double> normal(0.0, 1.0);
        std::vector<Sample> out;
        for (int i = 0; i < 60; ++i) {
            const double t = i / kRate;
            out.push_back({FrameIndex(i), t,
                           sign * 10.0 * std::exp(-std::pow((t - top) / 0.08, 2)) + noise * normal(random),
                           noise > 0.0 ? noise : 0.01});
        }
        return out;
    }
private slots:
    void betweenFrames() {
        const Timebase time = Timebase::constant(60, Hertz(kRate));
        for (const double top : {0.2, 0.2031, 0.2074}) { // on a frame and beside it
            const Extreme e = extremeOf(bump(top), true, time, 0.002, 0.002);
            QVERIFY2(std::abs(e.time - top) < 1e-3, qPrintable(QString::number(e.time)));
            QVERIFY(std::abs(e.value - 10.0) < 0.06);
            QVERIFY(e.uTime == 0.0 && e.uInstant > 0.0);
            const Extreme low = extremeOf(bump(top, 0.0, 1, -1.0), false, time, 0.002, 0.002);
            QVERIFY(std::abs(low.time - e.time) < 1e-12 && std::abs(low.value + e.value) < 1e-12);
        }
    }
    void atTheEdge() {
        const Timebase time = Timebase::constant(60, Hertz(kRate));
        std::vector<Sample> rising;
        for (int i = 0; i < 20; ++i)
            rising.push_back({FrameIndex(i), i / kRate, 3.0 * i, 0.1});
        const Extreme e = extremeOf(rising, true, time, 0.001, 0.004);
        QCOMPARE(e.at, std::size_t(19));
        QCOMPARE(e.value, 57.0);
        QVERIFY(std::abs(e.uTime - 3.0 * kRate * 0.004) < 1e-9); // where it is cut off decides
        QCOMPARE(e.uInstant, 0.004);
        const Extreme first = extremeOf(rising, false, time, 0.001, 0.004);
        QVERIFY(first.at == 0 && std::abs(first.uTime - 3.0 * kRate * 0.001) < 1e-9);
        const Extreme one = extremeOf(std::span(rising).first(1), true, time, 0.001, 0.004);
        QVERIFY(one.at == 0 && one.value == 0.0 && one.uTime == 0.0);
    }
    // Slower than its errors: many samples could be the extreme, and the phase's end still decides.
    void slowlyToTheEdge() {
        const Timebase time = Timebase::constant(60, Hertz(kRate));
        std::vector<Sample> rising;
        for (int i = 0; i < 20; ++i)
            rising.push_back({FrameIndex(i), i / kRate, 0.3 * i, 1.0});
        const Extreme e = extremeOf(rising, true, time, 0.001, 0.02);
        QVERIFY(std::abs(e.value - 5.7) < 1e-6);
        QVERIFY2(std::abs(e.uTime - 0.3 * kRate * 0.02) < 0.01, qPrintable(QString::number(e.uTime)));
        QVERIFY(e.uInstant >= 0.02);
    }
    void honestUnderNoise() {
        // White noise here; smoothed noise hangs together, which the stated u allows for: it may be too large, never
        // too small.
        const Timebase time = Timebase::constant(60, Hertz(kRate));
        int value = 0, instant = 0;
        double bias = 0.0;
        for (unsigned i = 0; i < 400; ++i) {
            const Extreme e = extremeOf(bump(0.23, 0.5, i + 1), true, time, 0.002, 0.002);
            value += std::abs(e.value - 10.0) <= 1.96 * e.u;
            instant += std::abs(e.time - 0.23) <= 1.96 * e.uInstant;
            bias += (e.value - 10.0) / 400;
        }
        QVERIFY2(value >= 372 && instant >= 352, qPrintable(QString("%1 %2").arg(value).arg(instant)));
        // The largest of many noisy samples would be too large by about 0.4.
        QVERIFY2(std::abs(bias) < 0.2, qPrintable(QString::number(bias)));
    }
};
QTEST_GUILESS_MAIN(TestExtreme)
#include "test_extreme.moc"
