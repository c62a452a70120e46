#include "core/technique/rep_cutter.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {

constexpr double kRate = 120.0;

SeriesSpec along(const char* point, Direction direction) {
    SeriesSpec s;
    s.points = {*pointFromText(point)};
    s.direction = direction;
    return s;
}

PositionRule rule(RuleKind kind, SeriesSpec series, const char* after = "", const char* before = "",
                  bool falling = false) {
    PositionRule r;
    r.kind = kind;
    r.series = std::move(series);
    r.after = after;
    r.before = before;
    r.falling = falling;
    return r;
}

// A foot that swings to and fro: out at its foremost, back at its hindmost.
Blueprint swinging() {
    Blueprint b;
    const auto foot = along("lead_ankle", Direction::forward);
    b.positions = {{"front", "Front", "", rule(RuleKind::highest, foot, "", "back")},
                   {"back", "Back", "", rule(RuleKind::lowest, foot)},
                   {"next", "Next", "", rule(RuleKind::highest, foot, "back")}};
    return b;
}

// A hand that goes forward, holds, and comes back.
Blueprint reaching() {
    Blueprint b;
    const auto hand = along("lead_wrist", Direction::forward);
    b.positions = {{"starts", "Starts", "", rule(RuleKind::begins, hand)},
                   {"there", "There", "", rule(RuleKind::ends, hand, "starts")},
                   {"home", "Home", "", rule(RuleKind::ends, hand, "there", "", true)}};
    return b;
}

Motion motionOf(const char* landmark, int frames, double (*x)(double)) {
    TrackSet tracks;
    for (int f = 0; f < frames; ++f)
        tracks[landmark][FrameIndex(f)] = {{300.0 + x(f / kRate), 200.0 + 0.3 * std::sin(1.7 * f)}, 0.5, How::hand};
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    return toMotion(tracks, Timebase::constant(frames, Hertz(kRate)), raw);
}

double minimumJerk(double u) {
    u = std::clamp(u, 0.0, 1.0);
    return u * u * u * (10.0 - 15.0 * u + 6.0 * u * u);
}

} // namespace

class TestRepCutter : public QObject {
    Q_OBJECT
private slots:
    void whatComesRoundIsCyclic() {
        QVERIFY(isCyclic(swinging()));
        Blueprint b = reaching();
        QVERIFY(isCyclic(b)); // its last position is read off the same curve
        b.positions.back().rule->series = along("lead_hip", Direction::forward);
        QVERIFY(!isCyclic(b));
        QVERIFY(!isCyclic(Blueprint{}));
    }
    // cos with a period of 1 s: fronts at 0, 1, 2 … s, backs between.
    void cyclesBeginWhereTheCurveTurns() {
        const auto reps = cutReps(
            swinging(), motionOf("right_ankle", 720, [](double t) { return 100.0 * std::cos(2 * M_PI * t); }), {});
        QVERIFY2(reps.size() >= 4 && reps.size() <= 5, qPrintable(QString::number(reps.size())));
        for (const auto& r : reps) {
            QVERIFY(std::abs((r.last - r.first) - 120) <= 2);
            QCOMPARE(r.positions.size(), std::size_t(3));
            QVERIFY(std::abs(r.first.value % 120 - (r.first.value % 120 > 60 ? 120 : 0)) <= 2);
            QVERIFY(std::abs(r.positions.at("back").time - r.positions.at("front").time - 0.5) < 0.01);
            QVERIFY(std::abs(r.positions.at("next").time - r.positions.at("front").time - 1.0) < 0.01);
        }
    }
    void aPauseIsNoCycle() {
        const auto reps =
            cutReps(swinging(),
                    motionOf("right_ankle", 960,
                             [](double t) {
                                 return 100.0 * std::cos(2 * M_PI * (t < 3.0 ? t : t < 5.0 ? 3.0 : t - 2.0));
                             }),
                    {});
        QVERIFY(reps.size() >= 3);
        for (const auto& r : reps)
            QVERIFY2(r.last - r.first < 150, "a cycle with the pause in it was not left out");
    }
    // Two reaches of 0.5 s, held for 0.6 s, with rests of 1.5 s between: each one rep, the hold included.
    void whatIsHeldInTheMiddleIsOneRep() {
        Blueprint b = reaching();
        b.positions.back().rule->series = along("lead_elbow", Direction::forward);
        TrackSet tracks;
        for (int f = 0; f < 840; ++f) {
            double x = 0.0;
            for (const double start : {1.0, 4.1})
                x += minimumJerk((f / kRate - start) / 0.5) - minimumJerk((f / kRate - start - 1.1) / 0.5);
            for (const char* name : {"right_wrist", "right_elbow"})
                tracks[name][FrameIndex(f)] = {{300.0 + 150.0 * x, 200.0 + 0.3 * std::sin(1.7 * f)}, 0.5, How::hand};
        }
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const auto reps = cutReps(b, toMotion(tracks, Timebase::constant(840, Hertz(kRate)), raw), {});
        QCOMPARE(reps.size(), std::size_t(2));
        const double starts[] = {1.0, 4.1};
        for (int i = 0; i < 2; ++i) {
            const auto& r = reps[static_cast<std::size_t>(i)];
            QVERIFY(std::abs(r.positions.at("starts").time - starts[i]) < 2.5 / kRate);
            QVERIFY(std::abs(r.positions.at("there").time - starts[i] - 0.5) < 2.5 / kRate);
            QVERIFY(std::abs(r.positions.at("home").time - starts[i] - 1.6) < 2.5 / kRate);
            QVERIFY(r.first.value <= starts[i] * kRate && r.last.value >= (starts[i] + 1.6) * kRate);
        }
    }
    void nothingMovesNothingIsCut() {
        QVERIFY(cutReps(swinging(), motionOf("right_ankle", 400, [](double) { return 0.0; }), {}).empty());
        QVERIFY(cutReps(swinging(), motionOf("left_toe", 400, [](double t) { return 50.0 * t; }), {}).empty());
        QVERIFY(cutReps(Blueprint{}, motionOf("right_ankle", 400, [](double t) { return 50.0 * t; }), {}).empty());
    }
};

QTEST_GUILESS_MAIN(TestRepCutter)
#include "test_rep_cutter.moc"
