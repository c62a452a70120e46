#include "core/motion/timebase.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

class TestTimebase : public QObject {
    Q_OBJECT
private slots:
    void slowMotionIsUnstretched() {
        // Captured at 120, stored at 30: four seconds of file are one second of life.
        std::vector<double> times;
        for (int i = 0; i < 121; ++i)
            times.push_back(i / 30.0);
        const auto t = Timebase::make(times, Hertz(120));
        QVERIFY(t);
        QVERIFY(std::abs(t->fileRate().value - 30) < 1e-9);
        QVERIFY(std::abs(t->media(FrameIndex(120)).value - 4.0) < 1e-12);
        QVERIFY(std::abs(t->real(FrameIndex(120)).value - 1.0) < 1e-12);
        QVERIFY(std::abs(t->realPeriod(FrameIndex(50)) - 1.0 / 120) < 1e-12);
    }
    void unknownCaptureRateIsKnownToBeUnknown() {
        const auto t = Timebase::make({0, 0.1, 0.2}, std::nullopt);
        QVERIFY(t && !t->captureKnown());
        QVERIFY(std::abs(t->real(FrameIndex(2)).value - 0.2) < 1e-12);
    }
    void variableRateIsNotMultiplied() {
        const auto t = Timebase::make({0, 0.04, 0.08, 0.20, 0.24}, std::nullopt);
        QVERIFY(t);
        QCOMPARE(t->media(FrameIndex(3)).value, 0.20);
        QVERIFY(std::abs(t->realPeriod(FrameIndex(3)) - 0.08) < 1e-12); // (0.24 − 0.08) / 2
        QVERIFY(std::abs(t->realPeriod(FrameIndex(0)) - 0.04) < 1e-12);
        QCOMPARE(t->nearest(MediaTime(0.13)).value, 2);
        QCOMPARE(t->nearest(MediaTime(0.15)).value, 3);
        QCOMPARE(t->nearest(MediaTime(-5)).value, 0);
        QCOMPARE(t->nearest(MediaTime(9)).value, 4);
    }
    void anInstantIsUncertainByItsFrame() {
        // Uniform over one period: period/√12 (GUM 4.3.7). 60 Hz: 4.81 ms; at 1500 °/s that is 7.2°.
        const auto t = Timebase::constant(100, Hertz(60));
        QVERIFY(std::abs(t.instantError(FrameIndex(50)) - 1.0 / 60 / std::sqrt(12.0)) < 1e-12);
        QVERIFY(std::abs(1500 * t.instantError(FrameIndex(50)) - 7.2) < 0.05);
    }
    void framesOutsideAreClamped() {
        const auto t = Timebase::constant(10, Hertz(10));
        QCOMPARE(t.media(FrameIndex(-3)).value, 0.0);
        QVERIFY(std::abs(t.media(FrameIndex(99)).value - 0.9) < 1e-12);
    }
    void badTimesAreRefused() {
        QVERIFY(!Timebase::make({0, 0.1, 0.1}, std::nullopt));
        QVERIFY(!Timebase::make({0, 0.2, 0.1}, std::nullopt));
        QVERIFY(!Timebase::make({0, std::nan("")}, std::nullopt));
        QVERIFY(!Timebase::make({0, 0.1}, Hertz(0)));
        QVERIFY(!Timebase::make({0, 0.1}, Hertz(-30)));
        QCOMPARE(Timebase::make({0, 0.1, 0.1}, std::nullopt).error().where, std::string("frame 2"));
    }
    void emptyAndSingle() {
        QCOMPARE(Timebase().frames(), 0);
        QCOMPARE(Timebase().media(FrameIndex(3)).value, 0.0);
        const auto one = Timebase::make({0}, std::nullopt);
        QVERIFY(one);
        QCOMPARE(one->realPeriod(FrameIndex(0)), 0.0);
        QCOMPARE(one->fileRate().value, 0.0);
    }
    void theSmallestIntervalThatDecides() {
        // 240 Hz: 1.96 √2 / (240 √12) s = 3.33 ms.
        QVERIFY(std::abs(Timebase::constant(100, Hertz(240)).smallestInterval(FrameIndex(50)) - 0.0033343) < 1e-6);
        QVERIFY(Timebase::constant(1, Hertz(240)).smallestInterval(FrameIndex(0)) == 0.0);
    }
};
QTEST_GUILESS_MAIN(TestTimebase)
#include "test_timebase.moc"
