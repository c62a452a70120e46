// The turn about a long axis: its sign by view and side, what it refuses, and its error against draws.

#include "core/measure/evaluate.h"

#include <QTest>

#include <cmath>
#include <numbers>
#include <random>

using namespace riflesso;

namespace {

constexpr double kDegree = std::numbers::pi / 180.0, kReach = 40.0, kLong = 100.0; // px

MeasureDefinition of(MeasureKind kind, Aspect aspect, std::initializer_list<const char*> points) {
    MeasureDefinition d;
    d.id = "measured";
    d.kind = kind;
    d.aspect = aspect;
    d.at = "here";
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    return d;
}

MeasureDefinition twist() {
    auto d = of(MeasureKind::twist, Aspect::turned, {"left_elbow", "left_wrist", "left_thumb"});
    d.per = {d.points[0], d.points[1]};
    d.fullWidth = kReach / kLong;
    return d;
}

// A forearm that points so many degrees off the upright, forward, and is turned about itself.
Motion forearm(double lean, double turned, bool mirrored = false, double noise = 0.0, unsigned seed = 1,
               double sigma = 0.1) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0.0, 1.0);
    const double side = mirrored ? -1.0 : 1.0;
    const Eigen::Vector2d axis(std::sin(lean * kDegree) * side, -std::cos(lean * kDegree)),
        aside(std::cos(lean * kDegree) * side, std::sin(lean * kDegree));
    TrackSet tracks;
    const auto mark = [&](const char* name, Eigen::Vector2d at) {
        tracks[name][FrameIndex(0)] = {
            {at.x() + noise * normal(random), at.y() + noise * normal(random)}, noise > 0.0 ? noise : sigma, How::hand};
    };
    const Eigen::Vector2d elbow(300, 300);
    mark("left_elbow", elbow);
    mark("left_wrist", elbow + kLong * axis);
    mark("left_thumb", elbow + 0.9 * kLong * axis + kReach * std::sin(turned * kDegree) * aside);
    MotionOptions none;
    none.cutoff = CutoffNone{};
    return toMotion(tracks, Timebase::constant(1, Hertz(100)), none);
}
const Positions kHere = {{"here", {FrameIndex(0), 0.0}}};

} // namespace

class TestTwist : public QObject {
    Q_OBJECT
private slots:
    void whateverWayTheAxisPoints() {
        for (const double lean : {0.0, 35.0, 120.0, -80.0})
            for (const double turned : {-50.0, 0.0, 30.0}) {
                const auto right = evaluate(twist(), forearm(lean, turned), kHere, {View::side, Facing::right});
                QVERIFY2(!right.refused, right.reason.c_str());
                QVERIFY(std::abs(right.value - turned) < 1e-6);
                // The same athlete facing left is the picture mirrored.
                const auto left = evaluate(twist(), forearm(lean, turned, true), kHere, {View::side, Facing::left});
                QVERIFY(std::abs(left.value - turned) < 1e-6);
            }
        QCOMPARE(QString::fromStdString(unitOf(twist())), QString("°"));
        auto rate = twist();
        rate.aspect = Aspect::rate;
        QVERIFY(unitOf(rate) == "°/s" && !isAngle(rate));
    }
    void whatCannotBeSeenIsRefused() {
        const auto why = [](const MeasureDefinition& d, const Motion& m) {
            return evaluate(d, m, kHere, {View::side, Facing::right}).reason;
        };
        // Straight to the side the share hardly changes with the turn, and each reading errs by a tenth of it.
        const std::string unseen = why(twist(), forearm(20.0, 90.0, false, 0.0, 1, 8.0));
        QVERIFY2(unseen.find("cannot be seen") != std::string::npos, unseen.c_str());
        auto narrow = twist();
        narrow.fullWidth = 0.5 * kReach / kLong;
        QVERIFY(why(narrow, forearm(20.0, 80.0)).find("further off the axis") != std::string::npos);
        auto rate = twist();
        rate.aspect = Aspect::rate;
        QVERIFY(why(rate, forearm(20.0, 30.0)).find("speed cannot be read") != std::string::npos);
        auto before = rate;
        before.reduction = Reduction::justBefore;
        QVERIFY(!problemOf(before).empty());
        auto bare = twist();
        bare.fullWidth = 0.0;
        QVERIFY(problemOf(bare).find("full_width") != std::string::npos);
        auto two = twist();
        two.points.pop_back();
        QVERIFY(!problemOf(two).empty());
    }
    // Share within u and 1.96 u of 1,000 draws, nearly edge-on and far from it, with the full width off as well.
    void itsErrorAgainstDraws() {
        for (const double turned : {0.0, 40.0, 65.0}) {
            int one = 0, two = 0;
            std::mt19937 random(9);
            std::normal_distribution<double> normal(0.0, 1.0);
            constexpr int kDraws = 1000;
            for (unsigned i = 0; i < kDraws; ++i) {
                auto d = twist();
                d.fullWidthSigma = 0.01;
                d.fullWidth += d.fullWidthSigma * normal(random);
                const auto v =
                    evaluate(d, forearm(30.0, turned, false, 1.5, 100 + i), kHere, {View::side, Facing::right});
                QVERIFY2(!v.refused, v.reason.c_str());
                QVERIFY(v.uShared <= v.u);
                one += std::abs(v.value - turned) <= v.u;
                two += std::abs(v.value - turned) <= 1.96 * v.u;
            }
            qInfo("%g degrees: %d and %d of %d", turned, one, two, kDraws);
            QVERIFY(one > 640 && one < 780 && two > 925);
        }
    }
    void betweenTwoOthers() {
        auto d = of(MeasureKind::amid, Aspect::off, {"left_hip", "ball", "other_right_hip"});
        QVERIFY(problemOf(d).find("direction") != std::string::npos);
        d.direction = Direction::across;
        d.view = View::above;
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        TrackSet tracks;
        tracks["left_hip"][FrameIndex(0)] = {{250, 330}, 1.0, How::hand};
        tracks["ball"][FrameIndex(0)] = {{100, 300}, 1.0, How::hand};
        tracks["other_right_hip"][FrameIndex(0)] = {{500, 300}, 1.0, How::hand};
        MotionOptions none;
        none.cutoff = CutoffNone{};
        const Motion m = toMotion(tracks, Timebase::constant(1, Hertz(100)), none);
        // From above, facing right, the lead side of a right-hander lies downwards in the picture.
        const auto right = evaluate(d, m, kHere, {View::above, Facing::right, Side::right});
        QVERIFY2(!right.refused, right.reason.c_str());
        QCOMPARE(right.value, 30.0);
        QCOMPARE(evaluate(d, m, kHere, {View::above, Facing::left, Side::right}).value, -30.0);
        d.aspect = Aspect::share;
        const auto share = evaluate(d, m, kHere, {View::above, Facing::right, Side::right});
        QCOMPARE(share.value, 150.0 / 400.0);
        QVERIFY(share.u > 0.0 && unitOf(d).empty());
        tracks["other_right_hip"][FrameIndex(0)] = {{100, 300}, 1.0, How::hand}; // both on one spot
        QVERIFY(evaluate(d, toMotion(tracks, Timebase::constant(1, Hertz(100)), none), kHere,
                         {View::above, Facing::right, Side::right})
                    .refused);
    }
};

QTEST_GUILESS_MAIN(TestTwist)
#include "test_twist.moc"
