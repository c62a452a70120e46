#include "core/motion/calibration.h"

#include <QTest>

#include <cmath>
#include <numbers>
#include <random>

using namespace riflesso;
using Eigen::Vector2d;

namespace {

constexpr double kDegree = std::numbers::pi / 180;

// A pinhole camera that looks at the plane z = 0 (m, y up) from `distance`, turned by yaw and roll.
struct Pinhole {
    double yaw = 0, roll = 0, distance = 6, focal = 1200, k = 0;
    [[nodiscard]] Pixel see(double x, double y, double z = 0) const {
        const double c = std::cos(yaw), s = std::sin(yaw);
        const double cx = c * x + s * z, cz = -s * x + c * z + distance;
        double u = focal * cx / cz, v = -focal * (y - 1.0) / cz;
        const double ur = std::cos(roll) * u - std::sin(roll) * v, vr = std::sin(roll) * u + std::cos(roll) * v;
        u = ur;
        v = vr;
        if (k != 0.0) { // the picture r of a straight ray R solves R = r (1 + k r²/D²)
            const double rr = std::hypot(u, v), d2 = 640.0 * 640 + 360.0 * 360;
            double r = rr;
            for (int i = 0; i < 60; ++i)
                r = rr / (1 + k * r * r / d2);
            u *= r / rr;
            v *= r / rr;
        }
        return {640 + u, 360 + v};
    }
};

CalibrationInput corners(const Pinhole& camera) {
    CalibrationInput in;
    for (auto [x, y] : {std::pair{-1.5, 0.0}, {1.5, 0.0}, {1.5, 2.0}, {-1.5, 2.0}})
        in.points.push_back({camera.see(x, y), x, y});
    return in;
}

} // namespace

class TestCalibration : public QObject {
    Q_OBJECT
private slots:
    void nothingDrawnChangesNothing() {
        const auto c = Calibration::make({}, 1280, 720);
        QVERIFY(c.ok() && !c->metric() && !c->tilt() && c->variations() == 0 && c->warnings().empty());
        QVERIFY((c->upright({123, 456}) - Vector2d(123, 456)).norm() < 1e-9);
    }
    void aTiltedCameraIsSetUpright() {
        const Pinhole camera{.roll = 4 * kDegree};
        CalibrationInput in;
        in.plumb = {camera.see(0.3, 0.1), camera.see(0.3, 2.0)};
        const auto c = Calibration::make(in, 1280, 720);
        QVERIFY(std::abs(c->tilt()->value - 4) < 1e-9);
        const Vector2d up = c->upright(camera.see(-1, 1.6).vector()) - c->upright(camera.see(-1, 0.2).vector());
        QVERIFY(std::abs(up.x()) < 1e-9 && up.y() < 0);
        // σ√2 over the length of the line.
        const double length = (in.plumb->a.vector() - in.plumb->b.vector()).norm();
        QVERIFY(std::abs(c->tiltError().value - 1.5 * std::numbers::sqrt2 / length / kDegree) < 1e-9);
        QCOMPARE(c->warnings().size(), std::size_t(1));
        QVERIFY(c->warnings()[0].find("4.0°") != std::string::npos);
        // Drawn the other way round, and as a horizon, it says the same.
        std::swap(in.plumb->a, in.plumb->b);
        QVERIFY(std::abs(Calibration::make(in, 1280, 720)->tilt()->value - 4) < 1e-9);
        in.horizon = {camera.see(1.2, 0.5), camera.see(-1.3, 0.5)};
        in.plumb.reset();
        QVERIFY(std::abs(Calibration::make(in, 1280, 720)->tilt()->value - 4) < 1e-9);
    }
    void aKnownLengthGivesMetres() {
        const Pinhole camera;
        CalibrationInput in;
        in.lengths = {{{camera.see(-1, 0), camera.see(1, 0)}, 2.0}};
        const auto c = Calibration::make(in, 1280, 720);
        QVERIFY(c->metric());
        const auto second = c->length(camera.see(0.5, 0.2), camera.see(0.5, 1.5), 1.5); // the check tool
        QVERIFY(std::abs(second.value - 1.3) < 1e-9);
        // 1.5 px √2 of 260 px by the marks, of 400 px by the scale.
        QVERIFY(std::abs(second.u / 1.3 - 1.5 * std::numbers::sqrt2 * std::hypot(1 / 260.0, 1 / 400.0)) < 1e-4);
        in.lengths.push_back({{camera.see(-1, 0), camera.see(-1, 1)}, 1.1}); // a tenth off
        const auto bad = Calibration::make(in, 1280, 720);
        QVERIFY(!bad->warnings().empty() && bad->warnings()[0].find("%") != std::string::npos);
    }
    void fourCornersUndoPerspective() {
        const Pinhole camera{.yaw = 25 * kDegree, .roll = 2 * kDegree};
        const auto c = Calibration::make(corners(camera), 1280, 720);
        QVERIFY(c->metric());
        for (auto [x, y] : {std::pair{0.0, 0.0}, {1.0, 1.0}, {-1.4, 1.9}}) {
            QVERIFY((c->upright(camera.see(x, y).vector()) - Vector2d(x, -y)).norm() < 1e-8);
            const Pixel back = c->picture({x, -y});
            QVERIFY((back.vector() - camera.see(x, y).vector()).norm() < 1e-6);
        }
        QVERIFY(std::abs(c->oblique()->value - 25) < 4); // weak perspective
        QVERIFY(!c->warnings().empty());
        QVERIFY(!c->reprojection()); // four points fit always: nothing is checked
    }
    void moreThanFourPointsAreChecked() {
        const Pinhole camera{.yaw = 15 * kDegree};
        auto in = corners(camera);
        in.points.push_back({camera.see(0, 1), 0, 1});
        QVERIFY(*Calibration::make(in, 1280, 720)->reprojection() < 1e-6);
        in.points.back().at.x += 30;
        const auto bad = Calibration::make(in, 1280, 720);
        QVERIFY(*bad->reprojection() > 4.5);
        QVERIFY(bad->warnings().back().find("one plane") != std::string::npos);
    }
    // First order against Monte Carlo (JCGM 101:2008): corners clicked again and again with error.
    void errorOfALengthAgainstMonteCarlo() {
        const Pinhole camera{.yaw = 20 * kDegree};
        auto in = corners(camera);
        const Pixel a = camera.see(-0.8, 0.3), b = camera.see(0.9, 1.7);
        const double said = Calibration::make(in, 1280, 720)->length(a, b, 1.5).u;
        std::mt19937 random(5);
        std::normal_distribution<double> error(0, 1.5);
        const auto shake = [&](Pixel p) { return Pixel{p.x + error(random), p.y + error(random)}; };
        double sum = 0, squares = 0;
        const int n = 4000;
        for (int i = 0; i < n; ++i) {
            auto trial = in;
            for (auto& p : trial.points)
                p.at = shake(p.at);
            const auto c = Calibration::make(trial, 1280, 720);
            const double l = c->length(shake(a), shake(b), 0).value;
            sum += l;
            squares += l * l;
        }
        const double sd = std::sqrt(squares / n - sum * sum / n / n);
        QVERIFY2(std::abs(said / sd - 1) < 0.06, qPrintable(QString("%1 against %2").arg(said).arg(sd)));
    }
    void aBentLensIsStraightened() {
        for (double k : {0.12, -0.08}) {
            const Pinhole camera{.k = k};
            CalibrationInput in;
            for (double y : {0.0, 2.4}) {
                in.straight.emplace_back();
                for (double x = -2.5; x <= 2.5; x += 0.5)
                    in.straight.back().push_back(camera.see(x, y));
            }
            in.lengths = {{{camera.see(-0.5, 1), camera.see(0.5, 1)}, 1.0}};
            const auto c = Calibration::make(in, 1280, 720);
            QVERIFY2(std::abs(c->radial() - k) < 1e-3, qPrintable(QString::number(c->radial())));
            const auto l = c->length(camera.see(-2.4, 0.1), camera.see(2.4, 0.1), 1);
            QVERIFY2(std::abs(l.value - 4.8) < 0.03, qPrintable(QString::number(l.value)));
            const auto p = camera.see(1.5, 0.4);
            QVERIFY((c->picture(c->upright(p.vector())).vector() - p.vector()).norm() < 1e-3);
        }
    }
    // |θ − atan(tan θ cos ψ)| at its worst, by trying all θ.
    void leavingThePlaneIsSizedRight() {
        for (double psi : {5.0, 15.0, 30.0, 50.0}) {
            double worst = 0;
            for (double t = 0; t < 90; t += 0.01)
                worst = std::max(worst, t - std::atan(std::tan(t * kDegree) * std::cos(psi * kDegree)) / kDegree);
            QVERIFY(std::abs(obliquePlane(Degrees(psi)).degrees - worst) < 1e-3);
        }
        const auto e = leavingThePlane(0.5, 5, 2);
        QVERIFY(std::abs(e.perCent - 10) < 1e-9); // nearer by a tenth
        CalibrationInput in;
        in.lengths = {{{{100, 300}, {500, 300}}, 2.0}};
        in.cameraDistance = 5;
        in.depth = 0.5;
        const auto c = Calibration::make(in, 1280, 720);
        QVERIFY(c->warnings().size() == 1 && c->warnings()[0].find("10.0 %") != std::string::npos);
    }
    void aMovingCameraIsSized() {
        CameraPath path(3, Eigen::Matrix3d::Identity());
        path[2](0, 2) = 40;
        QVERIFY(std::abs(motionOf(path, 1280, 720).shift - 40) < 1e-9);
        path[1] << std::cos(0.05), -std::sin(0.05), 0, std::sin(0.05), std::cos(0.05), 0, 0, 0, 1;
        QVERIFY(std::abs(motionOf(path, 1280, 720).turn.value - 0.05 / kDegree) < 1e-6);
    }
    void mistakesAreSaid() {
        CalibrationInput in;
        in.plumb = {{10, 10}, {11, 12}};
        QVERIFY(Calibration::make(in, 1280, 720).error().what.find("short") != std::string::npos);
        in = {};
        in.lengths = {{{{0, 0}, {100, 0}}, 0.0}};
        QVERIFY(!Calibration::make(in, 1280, 720));
        in = {};
        in.points = {{{0, 0}, 0, 0}, {{10, 0}, 1, 0}, {{20, 0}, 2, 0}};
        QVERIFY(Calibration::make(in, 1280, 720).error().what.find("four") != std::string::npos);
        in.points.push_back({{30, 10}, 3, 1});
        QVERIFY(Calibration::make(in, 1280, 720).error().what.find("line") != std::string::npos);
    }
};
QTEST_GUILESS_MAIN(TestCalibration)
#include "test_calibration.moc"
