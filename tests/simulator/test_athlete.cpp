#include "simulator/athlete.h"
#include "simulator/camera.h"
#include "simulator/lunge.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {
double distance(const Joints& j, const char* a, const char* b) {
    return (j.at.at(a) - j.at.at(b)).norm();
}
double angle3(const Joints& j, const char* a, const char* v, const char* c) {
    const Eigen::Vector3d p = (j.at.at(a) - j.at.at(v)).normalized(), q = (j.at.at(c) - j.at.at(v)).normalized();
    return std::acos(std::clamp(p.dot(q), -1.0, 1.0)) * 180 / M_PI;
}
} // namespace

class TestAthlete : public QObject {
    Q_OBJECT
    const SimulatedAthlete m_athlete{1.80};
private slots:
    void segmentsFollowTheTable() {
        // Drillis & Contini 1966, as tabled in Winter 4th ed. fig. 4.1; figures from memory: shank 0.246, thigh 0.245,
        // upper arm 0.186, forearm 0.146 of stature. They must hold in every pose.
        const LungeRep rep(m_athlete, {}, 1.0, 7);
        for (double t = 0; t < rep.duration(); t += 0.037) {
            const Joints j = m_athlete.joints(rep.pose(t));
            for (const char* side : {"left_", "right_"}) {
                const std::string s = side;
                QVERIFY(std::abs(distance(j, (s + "knee").c_str(), (s + "ankle").c_str()) - 0.246 * 1.8) < 1e-6);
                QVERIFY(std::abs(distance(j, (s + "hip").c_str(), (s + "knee").c_str()) - 0.245 * 1.8) < 1e-6);
                QVERIFY(std::abs(distance(j, (s + "shoulder").c_str(), (s + "elbow").c_str()) - 0.186 * 1.8) < 1e-6);
                QVERIFY(std::abs(distance(j, (s + "elbow").c_str(), (s + "wrist").c_str()) - 0.146 * 1.8) < 1e-6);
            }
            QVERIFY(std::abs(distance(j, "neck", "left_hip") - distance(j, "neck", "right_hip")) < 0.09);
            QCOMPARE(j.at.size(), std::size_t(21)); // twenty and the foil's tip
        }
    }
    void feetStayOnOrAboveTheFloor() {
        const LungeRep rep(m_athlete, {}, 1.0, 3);
        for (double t = 0; t < rep.duration(); t += 0.02) {
            const Joints j = m_athlete.joints(rep.pose(t));
            for (const char* p : {"left_heel", "right_heel", "left_toe", "right_toe"})
                QVERIFY2(j.at.at(p).y() > -0.03, p);
        }
    }
    void curvesAreSmooth() {
        const LungeRep rep(m_athlete, {}, 1.0, 5);
        const double dt = 1.0 / 480;
        for (double t = dt; t < rep.duration() - dt; t += dt) {
            const auto a = m_athlete.joints(rep.pose(t - dt)), b = m_athlete.joints(rep.pose(t)),
                       c = m_athlete.joints(rep.pose(t + dt));
            for (const char* p : {"right_hand", "right_knee", "neck", "left_hip"}) {
                QVERIFY((b.at.at(p) - a.at.at(p)).norm() / dt < 9.0); // m/s: nobody is quicker
                QVERIFY((a.at.at(p) - 2 * b.at.at(p) + c.at.at(p)).norm() / dt / dt < 400);
            }
        }
    }
    void keyPositionsCarryTheirWords() {
        const LungeRep rep(m_athlete, {}, 0.0, 1);
        const auto at = [&](const char* id) { return m_athlete.joints(rep.pose(rep.keyTimes().at(id))); };
        QVERIFY(angle3(at("on_guard"), "right_shoulder", "right_elbow", "right_wrist") < 125);
        QVERIFY(angle3(at("arm_straight"), "right_shoulder", "right_elbow", "right_wrist") > 170);
        QVERIFY(angle3(at("heel_lands"), "left_hip", "left_knee", "left_ankle") > 165);
        // The heel is down at the landing and in the air just before.
        QVERIFY(at("heel_lands").at.at("right_heel").y() < 0.03);
        QVERIFY(m_athlete.joints(rep.pose(rep.keyTimes().at("heel_lands") - 0.1)).at.at("right_heel").y() > 0.04);
    }
    void faultsDoWhatTheySay() {
        const auto pose = [&](const LungeFaults& f, const char* id) {
            const LungeRep rep(m_athlete, f, 0.0, 1);
            return m_athlete.joints(rep.pose(rep.keyTimes().at(id)));
        };
        const auto keys = [&](const LungeFaults& f) { return LungeRep(m_athlete, f, 0.0, 1).keyTimes(); };
        const LungeFaults none;
        LungeFaults f;
        f.handLate = 0.2;
        QVERIFY(std::abs(keys(f).at("arm_straight") - keys(none).at("arm_straight") - 0.2) < 1e-9);
        QCOMPARE(keys(f).at("foot_leaves"), keys(none).at("foot_leaves"));
        f = {};
        f.rearKneeBent = 0.05;
        QVERIFY(angle3(pose(none, "heel_lands"), "left_hip", "left_knee", "left_ankle") -
                    angle3(pose(f, "heel_lands"), "left_hip", "left_knee", "left_ankle") >
                12);
        f = {};
        f.trunkFalls = 15;
        const auto leanOf = [](const Joints& j) {
            const Eigen::Vector3d t = j.at.at("neck") - (j.at.at("left_hip") + j.at.at("right_hip")) / 2;
            return std::atan2(t.x(), t.y()) * 180 / M_PI;
        };
        QVERIFY(std::abs(leanOf(pose(f, "lunge_held")) - leanOf(pose(none, "lunge_held")) - 15) < 0.5);
        QVERIFY(std::abs(leanOf(pose(f, "on_guard")) - leanOf(pose(none, "on_guard"))) <
                0.01); // only where it is injected
        f = {};
        f.guardNarrow = 0.15;
        QVERIFY(pose(none, "on_guard").at.at("right_ankle").x() - pose(f, "on_guard").at.at("right_ankle").x() > 0.14);
        f = {};
        f.kneeBeyondToe = 0.25;
        QVERIFY(pose(f, "lunge_held").at.at("right_knee").x() - pose(f, "lunge_held").at.at("right_toe").x() >
                pose(none, "lunge_held").at.at("right_knee").x() - pose(none, "lunge_held").at.at("right_toe").x() +
                    0.1);
        f = {};
        f.slowRecovery = 0.3;
        QVERIFY(std::abs(keys(f).at("back_on_guard") - keys(none).at("back_on_guard") - 0.3) < 1e-9);
        f = {};
        f.tipDrops = 10;
        QVERIFY(pose(none, "heel_lands").at.at("foil_tip").y() - pose(f, "heel_lands").at.at("foil_tip").y() > 0.1);
    }
    void repsDifferALittleAndSeedsRepeat() {
        const LungeRep a(m_athlete, {}, 1.0, 1), again(m_athlete, {}, 1.0, 1), b(m_athlete, {}, 1.0, 2);
        QCOMPARE(a.keyTimes().at("heel_lands"), again.keyTimes().at("heel_lands"));
        QVERIFY(a.keyTimes().at("heel_lands") != b.keyTimes().at("heel_lands"));
        QVERIFY(std::abs(a.keyTimes().at("heel_lands") - b.keyTimes().at("heel_lands")) < 0.08);
    }
    void theCameraIsAPinhole() {
        const auto c = SimulatedCamera::side();
        const Pixel middle = c.project(c.target);
        QVERIFY(std::abs(middle.x - 640) < 1e-6 && std::abs(middle.y - 360) < 1e-6);
        // One metre in the plane at 6 m with 1920 px of focal length: 320 px. Forward goes to the left, up goes up.
        const Pixel a = c.project({0.9, 1.0, 0}), b = c.project({1.9, 1.0, 0}), up = c.project({0.9, 1.5, 0});
        QVERIFY(std::abs(a.x - b.x - 320) < 0.2);
        QVERIFY(up.y < a.y);
        // Nearer is larger.
        QVERIFY(std::abs(c.project({1.9, 1.0, -1}).x - c.project({0.9, 1.0, -1}).x) > 320);
        const auto f = SimulatedCamera::front();
        QVERIFY(f.project({0, 1, 0.5}).x < f.project({0, 1, -0.5}).x); // the right-hander's right is on the left
    }
};
QTEST_GUILESS_MAIN(TestAthlete)
#include "test_athlete.moc"
