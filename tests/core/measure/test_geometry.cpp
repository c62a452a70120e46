// The plane geometry of measures against angles and sides that can be told without it.

#include "core/measure/geometry.h"

#include <QTest>

#include <cmath>
#include <numbers>

using namespace riflesso;

namespace {

Eigen::Vector2d at(double degrees, double length = 1.0) { // counter-clockwise as seen; y down
    const double r = degrees * std::numbers::pi / 180.0;
    return {length * std::cos(r), -length * std::sin(r)};
}
bool near(Degrees a, double degrees) {
    return std::abs(a.value - degrees) < 1e-9;
}

} // namespace

class TestGeometry : public QObject {
    Q_OBJECT
private slots:
    void anglesAtAVertex() {
        for (const double turned : {0.0, 17.0, 93.0, 211.0}) // however the leg lies in the picture
            for (const double angle : {0.0, 1e-3, 45.0, 90.0, 135.0, 180.0}) {
                const Eigen::Vector2d vertex(640, 360);
                const Eigen::Vector2d a = vertex + at(turned, 80), c = vertex + at(turned + angle, 230);
                QVERIFY(std::abs(includedAngle(a, vertex, c).value - angle) < 1e-7);
                QVERIFY(std::abs(includedAngle(c, vertex, a).value - angle) < 1e-7); // no sides
            }
        QVERIFY(std::isnan(includedAngle({1, 1}, {1, 1}, {2, 2}).value));
        QVERIFY(std::isnan(includedAngle({0, 1}, {1, 1}, {1, 1}).value));
    }
    void leansKnowTheirSide() {
        const Eigen::Vector2d foot(100, 500), right(1, 0), left(-1, 0);
        QVERIFY(near(leanFromVertical(foot, foot + at(90, 50), right), 0.0));
        QVERIFY(near(leanFromVertical(foot, foot + at(60, 50), right), 30.0)); // its head to the right
        QVERIFY(near(leanFromVertical(foot, foot + at(60, 50), left), -30.0));
        QVERIFY(near(leanFromVertical(foot, foot + at(-30, 50), right), 120.0)); // the head below
        QVERIFY(std::isnan(leanFromVertical(foot, foot, right).value));
    }
    void turnsGoFromForwardsToUp() {
        const Eigen::Vector2d right(1, 0), left(-1, 0);
        QVERIFY(near(turnedFrom(at(10), at(70), right), 60.0));
        QVERIFY(near(turnedFrom(at(70), at(10), right), -60.0));
        QVERIFY(near(turnedFrom(at(170), at(110), left), 60.0));   // the same movement, seen from the other side
        QVERIFY(near(turnedFrom(at(170), at(-170), right), 20.0)); // the short way
        QVERIFY(std::isnan(turnedFrom({0, 0}, at(1), right).value));
    }
    void waysAlong() {
        QCOMPARE(along({5, 1}, {2, 9}, {1, 0}), 3.0);
        QCOMPARE(along({5, 1}, {2, 9}, {0, -1}), 8.0);
    }
    // Who is who by thought alone: a camera in front of a right-hander sees the right side on the picture's left.
    void everyViewKnowsItsDirections() {
        struct Row {
            View view;
            Facing facing;
            Side hand;
            std::optional<Eigen::Vector2d> forward, up, across;
        };
        const Eigen::Vector2d r(1, 0), l(-1, 0), u(0, -1), d(0, 1);
        const Row rows[] = {
            {View::side, Facing::right, Side::right, r, u, {}},   {View::side, Facing::left, Side::left, l, u, {}},
            {View::front, Facing::camera, Side::right, {}, u, l}, {View::front, Facing::camera, Side::left, {}, u, r},
            {View::rear, Facing::camera, Side::right, {}, u, r},  {View::rear, Facing::camera, Side::left, {}, u, l},
            {View::above, Facing::right, Side::right, r, {}, d},  {View::above, Facing::left, Side::right, l, {}, u},
            {View::below, Facing::right, Side::right, r, {}, u},  {View::below, Facing::left, Side::left, l, {}, u}};
        for (const auto& row : rows) {
            const ViewSetup setup{row.view, row.facing, row.hand};
            QVERIFY(inPicture(Direction::forward, setup) == row.forward);
            QVERIFY(inPicture(Direction::up, setup) == row.up);
            QVERIFY(inPicture(Direction::across, setup) == row.across);
        }
    }
};

QTEST_GUILESS_MAIN(TestGeometry)
#include "test_geometry.moc"
