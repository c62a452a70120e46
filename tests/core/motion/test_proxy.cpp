#include "core/motion/epipolar.h"
#include "core/motion/proxy.h"
#include "core/motion/spikes.h"

#include <Eigen/Geometry>

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestProxy : public QObject {
    Q_OBJECT
private slots:
    // A hand that holds a staff: always a third along it and a tenth to the side, however the staff turns.
    void aRigidGeometryIsLearntAndUsed() {
        TrackSet t;
        const auto place = [](double angle, double along, double across) {
            const Eigen::Vector2d a(300, 200), axis = 200 * Eigen::Vector2d(std::cos(angle), std::sin(angle));
            const Eigen::Vector2d p = a + along * axis + across * Eigen::Vector2d(-axis.y(), axis.x());
            return Pixel{p.x(), p.y()};
        };
        for (int f = 0; f < 12; ++f) {
            t["elbow_end"][FrameIndex(f)] = {place(0.1 * f, 0, 0), 1.0, How::hand};
            t["tip"][FrameIndex(f)] = {place(0.1 * f, 1, 0), 1.0, How::tracked};
            if (f < 8)
                t["grip"][FrameIndex(f)] = {place(0.1 * f, 0.33, 0.1), 1.0, How::hand};
        }
        const auto g = learnProxy(t, "grip", "elbow_end", "tip");
        QVERIFY(g && g->frames == 8);
        QVERIFY(std::abs(g->along - 0.33) < 1e-9 && std::abs(g->across - 0.1) < 1e-9 && g->spread < 1e-9);
        const Mark m = proxyMark(*g, t["elbow_end"][FrameIndex(11)], t["tip"][FrameIndex(11)]);
        QCOMPARE(m.how, How::proxy);
        const Pixel truth = place(1.1, 0.33, 0.1);
        QVERIFY(std::hypot(m.at.x - truth.x, m.at.y - truth.y) < 1e-9);
        // √((0.67² + 0.1²) + (0.33² + 0.1²)) px from two ends of 1 px.
        QVERIFY(std::abs(m.sigma - std::sqrt(0.67 * 0.67 + 0.01 + 0.33 * 0.33 + 0.01)) < 1e-9);
        QVERIFY(!learnProxy(t, "grip", "elbow_end", "nobody"));
        t["grip"].erase(FrameIndex(0));
        for (int f = 1; f < 7; ++f)
            t["grip"][FrameIndex(f)].how = How::hidden;
        QVERIFY(!learnProxy(t, "grip", "elbow_end", "tip")); // one frame is no geometry
    }
    void itsErrorIsHonest() {
        std::mt19937 random(11);
        std::normal_distribution<double> e(0.0, 1.0);
        double z = 0.0;
        int n = 0;
        for (int round = 0; round < 200; ++round) {
            TrackSet t;
            for (int f = 0; f < 13; ++f) {
                const double turn = 0.2 * f;
                const Eigen::Vector2d axis = 150 * Eigen::Vector2d(std::cos(turn), std::sin(turn));
                const Eigen::Vector2d p = 0.4 * axis;
                t["a_end"][FrameIndex(f)] = {{e(random), e(random)}, 1.0, How::hand};
                t["b_end"][FrameIndex(f)] = {{axis.x() + e(random), axis.y() + e(random)}, 1.0, How::hand};
                t["mid"][FrameIndex(f)] = {{p.x() + e(random), p.y() + e(random)}, 1.0, How::hand};
            }
            t["mid"].erase(FrameIndex(12));
            const auto g = learnProxy(t, "mid", "a_end", "b_end");
            QVERIFY(g.has_value());
            const Mark m = proxyMark(*g, t["a_end"][FrameIndex(12)], t["b_end"][FrameIndex(12)]);
            const Eigen::Vector2d truth = 0.4 * 150 * Eigen::Vector2d(std::cos(2.4), std::sin(2.4));
            z += (std::pow(m.at.x - truth.x(), 2) + std::pow(m.at.y - truth.y(), 2)) / (2 * m.sigma * m.sigma);
            ++n;
        }
        // The spread it learnt holds the error of the marks it learnt from: a little too careful.
        QVERIFY2(std::sqrt(z / n) > 0.4 && std::sqrt(z / n) < 1.1, qPrintable(QString::number(std::sqrt(z / n))));
    }

    // Two cameras with known places: pairs obey b' F a = 0, others do not.
    void twoViewsThatAgree() {
        const auto shoot = [](const Eigen::Vector3d& w, bool second) {
            Eigen::Vector3d c = w;
            if (second) {
                c = Eigen::AngleAxisd(-1.2, Eigen::Vector3d::UnitY()) * (w - Eigen::Vector3d(0, 0, 5)) +
                    Eigen::Vector3d(0.2, 0.1, 5.5);
            }
            return Pixel{640 + 1200 * c.x() / c.z(), 360 + 1200 * c.y() / c.z()};
        };
        std::mt19937 random(2);
        std::uniform_real_distribution<double> u(-0.8, 0.8);
        std::normal_distribution<double> e(0.0, 0.7);
        std::vector<ViewPair> pairs, noisy;
        for (int i = 0; i < 24; ++i) {
            const Eigen::Vector3d w(u(random), u(random), 5 + u(random));
            pairs.push_back({shoot(w, false), shoot(w, true), 0.7, 0.7});
            ViewPair p = pairs.back();
            for (Pixel* q : {&p.a, &p.b}) {
                q->x += e(random);
                q->y += e(random);
            }
            noisy.push_back(p);
        }
        const auto f = fundamentalOf(pairs);
        QVERIFY2(f.ok(), f ? "" : f.error().text().c_str());
        for (const auto& p : pairs)
            QVERIFY(epipolarDistance(*f, p.a, p.b) < 1e-6);
        ViewPair wrong = pairs[3];
        wrong.b.y += 25;
        QVERIFY(epipolarDistance(*f, wrong.a, wrong.b) > 5.0);
        const auto g = fundamentalOf(noisy);
        QVERIFY(g.ok());
        int far = 0;
        for (const auto& p : noisy)
            far += epipolarMisfit(*g, p) > 3.0;
        QVERIFY(far <= 1);
        QVERIFY(epipolarMisfit(*g, {wrong.a, wrong.b, 0.7, 0.7}) > 3.0);
        // A third of the pairs are slips of 30 px and more: told apart all the same, and the same way each time.
        std::vector<ViewPair> slips = noisy;
        for (std::size_t i = 0; i < slips.size(); i += 3) {
            slips[i].b.x += 40;
            slips[i].b.y += i % 2 ? 35 : -30;
        }
        const auto r = robustFundamental(slips);
        QVERIFY(r.ok());
        QVERIFY(*r == *robustFundamental(slips));
        for (std::size_t i = 0; i < slips.size(); ++i)
            QVERIFY2((epipolarMisfit(*r, slips[i]) > 4.0) == (i % 3 == 0),
                     qPrintable(QString("%1: %2").arg(i).arg(epipolarMisfit(*r, slips[i]))));
        const auto line = epipolarLine(*r, noisy[1].a);
        QVERIFY(line && std::abs(line->x() * noisy[1].b.x + line->y() * noisy[1].b.y + line->z()) < 4.0);
        QVERIFY(!robustFundamental({noisy.begin(), noisy.begin() + 11}));
        pairs.resize(7);
        QVERIFY(!fundamentalOf(pairs));
        // All in one plane: any of a family of cameras would do.
        std::vector<ViewPair> flat;
        for (int i = 0; i < 16; ++i) {
            const Eigen::Vector3d w(u(random), u(random), 5.0);
            flat.push_back({shoot(w, false), shoot(w, true)});
        }
        QVERIFY(!fundamentalOf(flat));
    }

    void spikesAreFoundAndCurvesAreNot() {
        Track track;
        for (int f = 0; f < 80; ++f)
            track[FrameIndex(f)] = {{100 + 60 * std::sin(f * 0.15), 50 + 0.02 * f * f}, 1.0, How::tracked};
        const Timebase time = Timebase::constant(100, Hertz(120));
        QVERIFY(spikesIn(track, time).empty());
        track[FrameIndex(30)].at.x += 9;
        track[FrameIndex(55)].at.y -= 15;
        const auto spikes = spikesIn(track, time);
        QCOMPARE(spikes.size(), std::size_t(2));
        QCOMPARE(spikes[0].frame.value, 55);
        QCOMPARE(spikes[1].frame.value, 30);
        QVERIFY(std::abs(spikes[0].jump - 15) < 1.0);
        track[FrameIndex(55)].how = How::hidden;
        QCOMPARE(spikesIn(track, time).size(), std::size_t(1));
        QVERIFY(spikesIn({}, time).empty());
    }
};
QTEST_APPLESS_MAIN(TestProxy)
#include "test_proxy.moc"
