// Errors that all reps of a camera set-up share: twelve reps marked on one calibrated film.

#include "core/mirror/reference.h"
#include "core/mirror/variation.h"
#include "core/progress/trend.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

constexpr int kReps = 12;
constexpr double kMark = 1.0, kDrawn = 2.0, kScale = 200.0; // px, px, px/m

// Twelve reps of one athlete whose hand reaches `reach` metres ahead; the known length is drawn once, with an error.
std::vector<MeasuredRep> filmed(double reach, std::mt19937& calibrating, std::mt19937& marking, double varies = 0.0) {
    std::normal_distribution<double> normal(0.0, 1.0);
    const auto drawn = [&](double x) {
        return Pixel{x + kDrawn * normal(calibrating), 600 + kDrawn * normal(calibrating)};
    };
    CalibrationInput in;
    in.sigma = kDrawn;
    in.lengths = {{{drawn(300), drawn(400)}, 0.5}};
    const ViewSetup setup{View::side, Facing::right, Side::right,
                          std::make_shared<const Calibration>(*Calibration::make(in, 1280, 720))};
    Blueprint b;
    BlueprintMeasure m;
    m.definition.id = m.definition.name = "reach";
    m.definition.kind = MeasureKind::offset;
    m.definition.points = {*pointFromText("left_wrist"), *pointFromText("left_hip")};
    m.definition.direction = Direction::forward;
    m.definition.metres = true;
    m.definition.at = "here";
    b.measures = {m};
    std::vector<MeasuredRep> out;
    for (int i = 0; i < kReps; ++i) {
        TrackSet tracks;
        const double to = 300 + kScale * (reach + varies * normal(marking));
        tracks["left_wrist"][FrameIndex(0)] = {{to + kMark * normal(marking), 300}, kMark, How::hand};
        tracks["left_hip"][FrameIndex(0)] = {{300 + kMark * normal(marking), 400}, kMark, How::hand};
        out.push_back(
            measureRep(b, toMotion(tracks, Timebase::constant(1, Hertz(50))), {{"here", {FrameIndex(0), {}}}}, setup));
        out.back().rep = std::to_string(i);
    }
    return out;
}

} // namespace

class TestSharedErrors : public QObject {
    Q_OBJECT
private slots:
    void aMeanKeepsTheCalibrationsError() {
        std::mt19937 calibrating(1), marking(2);
        int within = 0;
        double u = 0.0, chanceOnly = 0.0;
        constexpr int kFilms = 400;
        for (int film = 0; film < kFilms; ++film) {
            const auto v = gather("reach", filmed(1.0, calibrating, marking));
            within += std::abs(v.mean - 1.0) <= 1.96 * v.u;
            u += v.u / kFilms;
            chanceOnly += v.sd / std::sqrt(kReps) / kFilms;
        }
        QVERIFY2(within >= 0.92 * kFilms && within <= 0.98 * kFilms, qPrintable(QString::number(within)));
        QVERIFY2(u > 8.0 * chanceOnly, "twelve reps do not make a calibration surer");
    }
    void aDifferenceUnderOneSetUpDoesNotContainIt() {
        std::mt19937 marking(3);
        int alike = 0, apart = 0;
        constexpr int kFilms = 400;
        double same = 0.0;
        for (int film = 0; film < kFilms; ++film) {
            std::mt19937 once(10 + film), again(10 + film), other(5000 + film);
            const auto point = [](const std::vector<MeasuredRep>& reps, const char* setup) {
                const auto v = gather("reach", reps);
                return TrendPoint{{}, v.mean, v.u, v.reps, Stage::slow, v.uShared, setup};
            };
            const auto a = point(filmed(1.0, once, marking), "A"), b = point(filmed(1.0, again, marking), "A"),
                       c = point(filmed(1.0, other, marking), "B");
            const Band band{0.9, 0.95, 0.03};
            const auto within = changeBetween(a, b, band), between = changeBetween(a, c, band);
            alike += within.movement == Movement::withinError;
            apart += between.movement == Movement::withinError;
            same += within.mdc / between.mdc / kFilms;
        }
        QVERIFY2(alike >= 0.92 * kFilms && apart >= 0.92 * kFilms, qPrintable(QString("%1 %2").arg(alike).arg(apart)));
        QVERIFY2(same < 0.2, qPrintable(QString::number(same)));
    }
    void nothingOfItIsTakenOffASpread() {
        std::mt19937 calibrating(7), marking(8);
        Blueprint b;
        BlueprintMeasure m;
        m.definition.id = "reach";
        b.measures = {m};
        double athlete = 0.0;
        for (int film = 0; film < 200; ++film)
            athlete += variationsOf(b, filmed(1.0, calibrating, marking, 0.01)).front().spread.athlete / 200;
        QVERIFY2(std::abs(athlete - 0.01) < 0.001, qPrintable(QString::number(athlete)));
    }
};

QTEST_APPLESS_MAIN(TestSharedErrors)
#include "test_shared_errors.moc"
