#include "core/motion/carrying.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestCarryingArithmetic : public QObject {
    Q_OBJECT
private slots:
    void theWayAddsUp() {
        CarryError e{2.25, 0.0, 0.0};
        double before = e.variance();
        for (int i = 0; i < 50; ++i) {
            e.step({0.05, 3.0, 0.95});
            QVERIFY(e.variance() > before); // never surer by going on
            before = e.variance();
        }
        CarryError bad{2.25, 0.0, 0.0};
        bad.step({2.0, 3.0, 0.5});
        CarryError good{2.25, 0.0, 0.0};
        good.step({0.05, 3.0, 0.95});
        QVERIFY(bad.variance() > good.variance() + 1.0);
    }
    void aLookTakesBackTheWayButNotTheStart() {
        CarryError e{2.25, 9.0, 0.0};
        const double share = e.look(1.0);
        QVERIFY(std::abs(share - 0.9) < 1e-12);
        QVERIFY(std::abs(e.way - 0.9) < 1e-12);
        QVERIFY(std::abs(e.variance() - 3.15) < 1e-12);
        for (int i = 0; i < 100; ++i)
            e.look(0.5);
        QVERIFY(e.variance() >= 2.25); // the error of the first mark stays in it
    }
    void blendIsTheWeightedMean() {
        const auto b = blend({{10, 0}, 1.0}, {{14, 0}, 3.0});
        QVERIFY(std::abs(b.at.x - 11.0) < 1e-12);
        // (14 − 10)²/2 = 8 against 1 + 3: an excess of 4 counts.
        QVERIFY(std::abs(b.variance - (0.75 + 0.75 * 0.25 * 4.0)) < 1e-12);
        const auto near = blend({{10, 0}, 1.0}, {{11, 0}, 3.0});
        QVERIFY(std::abs(near.variance - 0.75) < 1e-12);
    }
    // Monte Carlo: the blend of two honest directions is honest.
    void blendIsHonest() {
        std::mt19937 random(3);
        std::normal_distribution<double> n(0.0, 1.0);
        double z = 0.0;
        constexpr int kDraws = 20000;
        for (int i = 0; i < kDraws; ++i) {
            const Carried f{{2.0 * n(random), 2.0 * n(random)}, 4.0}, b{{3.0 * n(random), 3.0 * n(random)}, 9.0};
            const auto c = blend(f, b);
            z += (c.at.x * c.at.x + c.at.y * c.at.y) / (2.0 * c.variance * kDraws);
        }
        QVERIFY2(std::sqrt(z) > 0.75 && std::sqrt(z) < 1.02, qPrintable(QString::number(std::sqrt(z))));
    }
    void aWayThatMissesItsEndIsDoubtedFromWhereItLookedWorst() {
        std::map<int, CarriedPlace> ways;
        for (int f = 0; f <= 20; ++f)
            ways[f] = {{{100.0 + f, 50.0}, 2.0}, f == 12 ? 0.4 : 0.9};
        std::map<int, Arrival> arrivals;
        arrivals[20] = {{{120.0, 50.0}, 3.0}, {{150.0, 50.0}, 1.5, How::hand}};
        closeWays(ways, arrivals, 1);
        QVERIFY(ways.at(13).place.variance > 400.0 && ways.at(12).place.variance > 400.0);
        QVERIFY(ways.at(11).place.variance < 30.0 && ways.at(11).place.variance > 2.0);
        QCOMPARE(ways.at(20).place.variance, 2.0); // there the mark itself stands
        // A small miss is what errors are for.
        std::map<int, CarriedPlace> fine = {{5, {{{1, 1}, 2.0}, 0.9}}};
        arrivals[20].mark.at = {121.0, 50.0};
        closeWays(fine, arrivals, 1);
        QCOMPARE(fine.at(5).place.variance, 2.0);
    }
    void bonesAsSeen() {
        TrackSet t;
        t["left_hip"][FrameIndex(0)] = {{0, 0}, 1.5, How::hand};
        t["left_knee"][FrameIndex(0)] = {{0, 100}, 1.5, How::hand};
        t["left_hip"][FrameIndex(9)] = {{0, 0}, 1.5, How::hand};
        t["left_knee"][FrameIndex(9)] = {{0, 80}, 1.5, How::hand};
        t["left_hip"][FrameIndex(5)] = {{0, 0}, 1.5, How::tracked};
        t["left_knee"][FrameIndex(5)] = {{0, 500}, 1.5, How::tracked}; // carried: nobody has seen it
        const BoneSpread bones(t, standardBones());
        QCOMPARE(*bones.longest("left_knee", "left_hip"), 100.0);
        QCOMPARE(bones.beyond("left_hip", "left_knee", 110.0), 0.0);
        QCOMPARE(bones.beyond("left_hip", "left_knee", 60.0), 0.0); // it may turn towards the camera
        QVERIFY(bones.beyond("left_hip", "left_knee", 140.0) > 0.15);
        QVERIFY(bones.beyond("left_hip", "left_knee", 20.0) > 0.15);
        QCOMPARE(bones.beyond("left_knee", "left_ankle", 999.0), 0.0); // never seen
        QCOMPARE(bones.usual(), 100.0);
    }
    void implementsHangOnTheNearestHand() {
        TrackSet t;
        t["right_hand"][FrameIndex(0)] = {{50, 50}, 1.5, How::hand};
        t["left_hand"][FrameIndex(0)] = {{300, 50}, 1.5, How::hand};
        t["foil_tip"][FrameIndex(0)] = {{150, 50}, 1.5, How::hand};
        const auto bones = bonesFor(t);
        QVERIFY(std::find(bones.begin(), bones.end(),
                          std::pair<LandmarkName, LandmarkName>("right_hand", "foil_tip")) != bones.end());
        const BoneSpread spread(t, bones);
        QVERIFY(spread.beyond("right_hand", "foil_tip", 112.0) > 0.0); // steel does not stretch
        QVERIFY(acrossTrunk("left_hip", "right_hip") && !acrossTrunk("left_hip", "left_knee"));
    }
    void bodiesDoNotJump() {
        QVERIFY(believableStep({5, 0}, {7, 1}, 100));
        QVERIFY(!believableStep({5, 0}, {-20, 0}, 100));
        QVERIFY(believableStep({20, 0}, {5, 0}, 100)); // a strike may stop it
    }
};
QTEST_APPLESS_MAIN(TestCarryingArithmetic)
#include "test_carrying.moc"
