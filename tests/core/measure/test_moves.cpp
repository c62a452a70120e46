// Speed, path, stillness, dwell: values by hand, how honest u is over drawn films, refusals.

#include "core/measure/evaluate.h"
#include "core/measure/kinds/movement.h"

#include <QTest>

#include <cmath>
#include <functional>
#include <numbers>
#include <random>

using namespace riflesso;

namespace {

constexpr double kRate = 120.0;
constexpr double kPi = std::numbers::pi;
const ViewSetup kSide{View::side, Facing::right, Side::left};
const Positions kPhase = {{"here", {FrameIndex(20), {}}}, {"there", {FrameIndex(100), {}}}};

MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> points) {
    MeasureDefinition d;
    d.id = "m";
    d.kind = kind;
    d.at = "here";
    d.until = "there";
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    return d;
}

// A wrist on a way given by time, a hip that stands still, a shin of 100 px.
Motion film(const std::function<Eigen::Vector2d(double)>& way, double noise = 0.0, unsigned seed = 1,
            bool smooth = false) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0.0, 1.0);
    const auto e = [&] { return noise > 0.0 ? noise * normal(random) : 0.0; };
    const double sigma = noise > 0.0 ? noise : 0.3;
    TrackSet tracks;
    for (int f = 0; f < 130; ++f) {
        const Eigen::Vector2d p = way(f / kRate);
        tracks["left_wrist"][FrameIndex(f)] = {{p.x() + e(), p.y() + e()}, sigma, How::hand};
        tracks["left_hip"][FrameIndex(f)] = {{300 + e(), 400 + e()}, sigma, How::hand};
        tracks["left_knee"][FrameIndex(f)] = {{300 + e(), 500 + e()}, sigma, How::hand};
        tracks["left_ankle"][FrameIndex(f)] = {{300 + e(), 600 + e()}, sigma, How::hand};
    }
    MotionOptions options;
    if (!smooth)
        options.cutoff = CutoffNone{};
    return toMotion(tracks, Timebase::constant(130, Hertz(kRate)), options);
}

Eigen::Vector2d circle(double t) { // 80 px about (400, 300), one round a second
    return {400 + 80 * std::cos(2 * kPi * t), 300 + 80 * std::sin(2 * kPi * t)};
}
// A strike of 300 px in half a second from frame 30 on, minimum jerk; its highest speed is 1.875 · 300 / 0.5.
Eigen::Vector2d strike(double t) {
    const double u = std::clamp((t - 0.25) / 0.5, 0.0, 1.0);
    return {300 + 300 * (10 * u * u * u - 15 * u * u * u * u + 6 * u * u * u * u * u), 200};
}

} // namespace

class TestMoves : public QObject {
    Q_OBJECT
private slots:
    void speeds() {
        const Motion round = film(circle);
        auto d = of(MeasureKind::speed, {"left_wrist"});
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        QCOMPARE(unitOf(d), std::string("px/s"));
        const double usual = 80 * std::sin(2 * kPi / kRate) * kRate; // the chord over two frames
        QVERIFY(std::abs(readAt(d, round, FrameIndex(40), kSide)->value - usual) < 1e-9);
        QVERIFY(std::abs(usual - 80 * 2 * kPi) < 0.3);
        d.direction = Direction::up; // at a quarter of the round it moves to the left, at none of it down
        QVERIFY(std::abs(readAt(d, round, FrameIndex(30), kSide)->value) < 1e-9);
        QVERIFY(std::abs(readAt(d, round, FrameIndex(60), kSide)->value - usual) < 1e-9);
        d.direction = Direction::forward;
        QVERIFY(std::abs(readAt(d, round, FrameIndex(30), {View::side, Facing::left, Side::left})->value - usual) <
                1e-9);
        d = of(MeasureKind::speed, {"left_wrist", "left_hip"});
        d.per = {*pointFromText("left_knee"), *pointFromText("left_ankle")};
        d.perName = "shins";
        QCOMPARE(unitOf(d), std::string("shins/s"));
        QVERIFY(std::abs(readAt(d, round, FrameIndex(40), kSide)->value - usual / 100) < 1e-9);
        // Metres: 200 px a metre.
        d = of(MeasureKind::speed, {"left_wrist"});
        d.metres = true;
        QVERIFY(!readAt(d, round, FrameIndex(40), kSide));
        CalibrationInput in;
        in.lengths = {{{{100, 600}, {600, 600}}, 2.5}};
        ViewSetup metric = kSide;
        metric.calibration = std::make_shared<const Calibration>(*Calibration::make(in, 1280, 720));
        const auto r = readAt(d, round, FrameIndex(40), metric);
        QVERIFY(r && std::abs(r->value - usual / 200) < 1e-6 && unitOf(d) == "m/s");
        QVERIFY(r->u > 1.5 * std::sqrt(2.0) / 500 * r->value); // the scale's error counts
        // Reductions over a strike: the peak, when it is, and how much of it is left at the end of the phase.
        const Motion hit = film(strike);
        d = of(MeasureKind::speed, {"left_wrist"});
        d.reduction = Reduction::max;
        const Positions phase = {{"here", {FrameIndex(25), {}}}, {"there", {FrameIndex(75), {}}}};
        QVERIFY(std::abs(evaluate(d, hit, phase, kSide).value / 1125.0 - 1) < 0.002);
        QCOMPARE(evaluate(d, hit, phase, kSide).frames.front().value, 60);
        d.reduction = Reduction::timeOfMax;
        QVERIFY(std::abs(evaluate(d, hit, phase, kSide).value - 35 / kRate) < 1e-3);
        d.reduction = Reduction::shareOfMax;
        const double u = (75.0 / kRate - 0.25) / 0.5, share = 30 * u * u * (1 - u) * (1 - u) / 1.875;
        QVERIFY(std::abs(evaluate(d, hit, phase, kSide).value - share) < 0.01);
        QCOMPARE(unitOf(d), std::string());
    }
    void paths() {
        const Motion round = film(circle);
        auto d = of(MeasureKind::path, {"left_wrist"}); // two thirds of a round
        const auto length = evaluate(d, round, kPhase, kSide);
        QVERIFY2(!length.refused, length.reason.c_str());
        QVERIFY(std::abs(length.value - 80 * 2 * kPi * 2 / 3) < 1.2); // what noise could have added is taken off
        d.aspect = Aspect::straightness;
        QVERIFY(std::abs(evaluate(d, round, kPhase, kSide).value -
                         std::sin(kPi * 2 / 3) * 160 / (80 * 2 * kPi * 2 / 3)) < 0.002);
        QVERIFY(std::abs(evaluate(d, film(strike), kPhase, kSide).value - 1) < 1e-6);
        d.aspect = Aspect::detours;
        QCOMPARE(evaluate(d, film(strike), kPhase, kSide).value, 0.0);
        const auto zigzag = [](double t) { // out 60, back 20, out 60
            const double f = t * kRate - 20;
            return Eigen::Vector2d(300 + (f < 30 ? 2 * f : f < 50 ? 60 - (f - 30) : 40 + 2 * (f - 50)), 200);
        };
        QCOMPARE(evaluate(d, film(zigzag), kPhase, kSide).value, 2.0); // back, and out again
        // The same under noise; noise alone is no detour.
        int right = 0, none = 0;
        for (unsigned i = 0; i < 100; ++i) {
            right += evaluate(d, film(zigzag, 1.5, 10 + i, true), kPhase, kSide).value == 2.0;
            none += evaluate(d, film(strike, 1.5, 10 + i, true), kPhase, kSide).value == 0.0;
        }
        QVERIFY2(right >= 95 && none >= 95, qPrintable(QString("%1 %2").arg(right).arg(none)));
        auto still = of(MeasureKind::path, {"left_hip"});
        still.aspect = Aspect::straightness;
        QVERIFY(evaluate(still, film(strike, 1.5), kPhase, kSide).reason.find("does not move") != std::string::npos);
    }
    void stillnessAndDwell() {
        const auto sway = [](double t) { return Eigen::Vector2d(400 + 12 * std::sin(2 * kPi * 3 * t), 300); };
        auto d = of(MeasureKind::stillness, {"left_wrist"});
        // Four turns come as far: of marks with more noise than this, what it makes of the furthest is taken off.
        QVERIFY(std::abs(evaluate(d, film(sway, 1e-3), kPhase, kSide).value - 12) < 0.3);
        d.rms = true;
        QVERIFY(std::abs(evaluate(d, film(sway), kPhase, kSide).value - 12 / std::sqrt(2.0)) < 0.15);
        // Still for half a second, then a strike: the time below 100 px/s.
        auto dwell = of(MeasureKind::dwell, {"left_wrist"});
        QVERIFY(!problemOf(dwell).empty());
        dwell.level = 100;
        QVERIFY(isTime(dwell));
        // 30 u²(1−u)² · 600 = 100 px/s at u = 0.0803 and 0.9197 of the half second from 0.25 s on.
        const auto v = evaluate(dwell, film(strike), kPhase, kSide);
        double u = 0.0;
        while (30 * u * u * (1 - u) * (1 - u) * 600 < 100)
            u += 1e-5;
        const double truth = (0.25 + u * 0.5 - 20 / kRate) + (100 / kRate - 0.75 + u * 0.5);
        QVERIFY2(std::abs(v.value - truth) < 0.003, qPrintable(QString("%1 %2").arg(v.value).arg(truth)));
        QVERIFY(v.u > 0.002 && v.u < 0.02);
    }
    // A phase that ends later makes a moving point less still: what an end's instant is unsure of counts.
    void stillnessDependsOnTheEnds() {
        const Motion moving = film([](double t) { return Eigen::Vector2d(300 + 300 * t, 200); });
        auto d = of(MeasureKind::stillness, {"left_wrist"});
        for (const bool rms : {false, true}) {
            d.rms = rms;
            const auto until = [&](int frame) {
                return evaluate(d, moving, {{"here", {FrameIndex(20), 0.0}}, {"there", {FrameIndex(frame), 0.01}}},
                                kSide);
            };
            const double perSecond = (until(101).value - until(99).value) / 2.0 * kRate;
            QVERIFY2(std::abs(until(100).uTime / (0.01 * perSecond) - 1.0) < 0.05,
                     qPrintable(QString("%1 %2").arg(until(100).uTime).arg(0.01 * perSecond)));
        }
    }
    // 400 films marked by hand with 1.5 px and smoothed: the truth within 1.96 u.
    void honest_data() {
        QTest::addColumn<QString>("what");
        for (const char* w : {"speed at", "speed max", "path", "straightness", "stillness", "stillness rms", "dwell"})
            QTest::newRow(w) << w;
    }
    void honest() {
        QFETCH(QString, what);
        MeasureDefinition d;
        std::function<Eigen::Vector2d(double)> way = circle;
        double truth = 0.0;
        Positions phase = {{"here", {FrameIndex(20), 0.0}}, {"there", {FrameIndex(100), 0.0}}}; // exact instants
        if (what.startsWith("speed")) {
            d = of(MeasureKind::speed, {"left_wrist"});
            way = strike;
            phase = {{"here", {FrameIndex(what == "speed at" ? 50 : 25), 0.0}}, {"there", {FrameIndex(95), 0.0}}};
            const double u = (50 / kRate - 0.25) / 0.5;
            truth = what == "speed at" ? 600 * 30 * u * u * (1 - u) * (1 - u) : 1125.0;
            d.reduction = what == "speed at" ? Reduction::at : Reduction::max;
        } else if (what == "path") {
            d = of(MeasureKind::path, {"left_wrist"});
            truth = 80 * 2 * kPi * 2 / 3;
        } else if (what == "straightness") {
            d = of(MeasureKind::path, {"left_wrist"});
            d.aspect = Aspect::straightness;
            truth = std::sin(kPi * 2 / 3) * 160 / (80 * 2 * kPi * 2 / 3);
        } else if (what == "dwell") {
            d = of(MeasureKind::dwell, {"left_wrist"});
            d.level = 400;
            way = strike;
            double u = 0.0;
            while (30 * u * u * (1 - u) * (1 - u) * 600 < 400)
                u += 1e-5;
            truth = (0.25 + u * 0.5 - 20 / kRate) + (100 / kRate - 0.75 + u * 0.5);
        } else {
            d = of(MeasureKind::stillness, {"left_wrist"});
            d.rms = what == "stillness rms";
            way = [](double t) { return Eigen::Vector2d(400 + 12 * std::sin(2 * kPi * 1.5 * t), 300); };
            double mean = 0, square = 0, most = 0;
            for (int f = 20; f <= 100; ++f)
                mean += way(f / kRate).x() / 81;
            for (int f = 20; f <= 100; ++f) {
                square += std::pow(way(f / kRate).x() - mean, 2) / 81;
                most = std::max(most, std::abs(way(f / kRate).x() - mean));
            }
            truth = d.rms ? std::sqrt(square) : most;
        }
        int one = 0, two = 0;
        double off = 0.0, u = 0.0;
        constexpr int kFilms = 400;
        for (unsigned i = 0; i < kFilms; ++i) {
            const auto v = evaluate(d, film(way, 1.5, 1000 + i, true), phase, kSide);
            QVERIFY2(!v.refused, v.reason.c_str());
            one += std::abs(v.value - truth) <= v.u;
            two += std::abs(v.value - truth) <= 1.96 * v.u;
            off += (v.value - truth) / kFilms;
            u += v.u / kFilms;
        }
        qInfo("truth %.3f, off by %.3f on average, u %.3f: %.0f %% within u, %.0f %% within 1.96 u", truth, off, u,
              100.0 * one / kFilms, 100.0 * two / kFilms);
        QVERIFY2(two >= 0.91 * kFilms, qPrintable(QString::number(two)));
    }
    void refusalsSayWhy() {
        const Motion m = film(circle);
        const auto why = [&](const MeasureDefinition& d, const Positions& p) {
            return evaluate(d, m, p, kSide).reason;
        };
        auto path = of(MeasureKind::path, {"left_wrist"});
        QVERIFY(why(path, {{"here", {FrameIndex(9), {}}}}).find("not placed") != std::string::npos);
        QVERIFY(why(path, {{"here", {FrameIndex(9), {}}}, {"there", {FrameIndex(9), {}}}}).find("does not lie after") !=
                std::string::npos);
        QVERIFY(why(of(MeasureKind::path, {"left_elbow"}), kPhase).find("left elbow is not marked") !=
                std::string::npos);
        path.reduction = Reduction::max;
        QVERIFY(!problemOf(path).empty());
        QVERIFY(!problemOf(of(MeasureKind::speed, {"left_hip", "left_knee", "left_ankle"})).empty());
        std::vector<double> times;
        for (int i = 0; i < 130; ++i)
            times.push_back(i / 30.0);
        TrackSet tracks;
        for (int f = 0; f < 130; ++f)
            tracks["left_wrist"][FrameIndex(f)] = {{300.0 + f, 200}, 1.0, How::hand};
        const Motion unknown = toMotion(tracks, *Timebase::make(times, std::nullopt));
        QVERIFY(evaluate(of(MeasureKind::speed, {"left_wrist"}), unknown, kPhase, kSide).reason.find("capture rate") !=
                std::string::npos);
        TrackSet alone;
        alone["left_wrist"][FrameIndex(20)] = {{300, 200}, 1.0, How::hand};
        QVERIFY(evaluate(of(MeasureKind::speed, {"left_wrist"}), toMotion(alone, Timebase::constant(130, Hertz(120))),
                         kPhase, kSide)
                    .reason.find("beside it") != std::string::npos);
        QVERIFY(series(path, m, kSide).empty());
        QVERIFY(!series(of(MeasureKind::speed, {"left_wrist"}), m, kSide).empty());
    }
};
QTEST_GUILESS_MAIN(TestMoves)
#include "test_moves.moc"
