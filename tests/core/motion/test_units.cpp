#include "core/motion/units.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

// Mixing does not compile: each of these is what the compiler says about the expression.
template <typename A, typename B>
concept Adds = requires(A a, B b) {
    a + b;
};
template <typename A, typename B>
concept Subtracts = requires(A a, B b) {
    a - b;
};
template <typename A, typename B>
concept Compares = requires(A a, B b) {
    a < b;
};
template <typename A, typename B>
concept Assigns = requires(A a, B b) {
    a = b;
};

static_assert(Adds<Degrees, Degrees>);
static_assert(!Adds<Degrees, Radians>);
static_assert(!Adds<MediaTime, RealTime>);
static_assert(!Subtracts<MediaTime, RealTime>);
static_assert(!Compares<MediaTime, RealTime>);
static_assert(!Assigns<Degrees, Radians>);
static_assert(!Assigns<RealTime, double>);
static_assert(!Assigns<FrameIndex, int>);
static_assert(!Adds<FrameIndex, FrameIndex>);
static_assert(!Adds<FrameIndex, MediaTime>);
static_assert(!Compares<FrameIndex, int>);
static_assert(Adds<FrameIndex, int>);
static_assert(!Assigns<Pixel, Eigen::Vector2d>);

class TestUnits : public QObject {
    Q_OBJECT
private slots:
    void degreesAndRadians() {
        QVERIFY(std::abs(toRadians(Degrees(180)).value - std::numbers::pi) < 1e-15);
        QVERIFY(std::abs(toDegrees(toRadians(Degrees(37.5))).value - 37.5) < 1e-12);
    }
    void arithmeticKeepsTheUnit() {
        QCOMPARE((RealTime(2) - RealTime(0.5) + 2.0 * RealTime(1)).value, 3.5);
        QCOMPARE((RealTime(3) / 2.0).value, 1.5);
        QVERIFY(Hertz(30) < Hertz(60));
    }
    void framesCountSteps() {
        QCOMPARE(FrameIndex(7) - FrameIndex(4), 3);
        QCOMPARE((FrameIndex(7) + 2).value, 9);
        QCOMPARE((FrameIndex(7) - 2).value, 5);
    }
    void pixelsAreVectors() { QCOMPARE((Pixel{3, 4}).vector().norm(), 5.0); }
};
QTEST_GUILESS_MAIN(TestUnits)
#include "test_units.moc"
