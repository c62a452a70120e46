#include "core/technique/position_finder.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestPositionFinder : public QObject {
    Q_OBJECT
    static constexpr double kRate = 120.0;
    // value(t) with noise, a sample a frame.
    template <typename F>
    static std::vector<RuleSample> sampled(F value, double noise, unsigned seed, int frames = 180) {
        std::mt19937 random(seed);
        std::normal_distribution<double> n(0.0, noise);
        std::vector<RuleSample> out;
        for (int f = 0; f < frames; ++f)
            out.push_back({FrameIndex(f), f / kRate, value(f / kRate) + (noise > 0 ? n(random) : 0.0), noise});
        return out;
    }
    static double jerk(double t, double from, double to) {
        const double u = std::clamp((t - from) / (to - from), 0.0, 1.0);
        return u * u * u * (10 - 15 * u + 6 * u * u);
    }
    static PositionRule rule(RuleKind kind, bool falling = false) {
        PositionRule r;
        r.kind = kind;
        r.falling = falling;
        return r;
    }
    // Within a frame in nine of ten draws, and within three of its own standard errors nearly always.
    template <typename F> void finds(const PositionRule& r, double truth, F value, double noise) {
        int near = 0, honest = 0;
        constexpr int kDraws = 40;
        for (unsigned seed = 1; seed <= kDraws; ++seed) {
            const auto found = findInstant(r, sampled(value, noise, seed));
            QVERIFY2(found.ok(), found ? "" : found.error().what.c_str());
            const double off = std::abs(found->time - truth);
            near += off <= 1.0 / kRate;
            honest += off <= 3.0 * found->sigma || !found->sure;
        }
        QVERIFY2(near >= 36, qPrintable(QString::number(near)));
        QVERIFY2(honest >= 36, qPrintable(QString::number(honest)));
    }
private slots:
    void smoothBeginningAndEnd() {
        const auto reach = [](double t) { return 40 + 120 * jerk(t, 0.513, 0.87); };
        finds(rule(RuleKind::begins), 0.513, reach, 0.5);
        finds(rule(RuleKind::ends), 0.87, reach, 0.5);
        const auto back = [](double t) { return 160 - 120 * jerk(t, 0.513, 0.87); };
        finds(rule(RuleKind::begins, true), 0.513, back, 0.5);
        finds(rule(RuleKind::ends, true), 0.87, back, 0.5);
    }
    void breakingAwayAndStopping() {
        const auto lift = [](double t) {
            return t < 0.604 ? 10.0 : 10.0 + 260 * (t - 0.604) - 300 * (t - 0.604) * (t - 0.604);
        };
        finds(rule(RuleKind::leaves), 0.604, lift, 0.4);
        const auto fall = [](double t) { return t < 0.741 ? 8 + 300 * (0.741 - t) : 8.0; };
        finds(rule(RuleKind::lands, true), 0.741, fall, 0.4);
    }
    void tops() {
        const auto hump = [](double t) { return 100 - 900 * (t - 0.6321) * (t - 0.6321); };
        finds(rule(RuleKind::highest), 0.6321, hump, 0.3);
        finds(
            rule(RuleKind::lowest), 0.6321, [&](double t) { return -hump(t); }, 0.3);
    }
    void levels() {
        PositionRule r = rule(RuleKind::crosses);
        r.level = 0.25;
        const auto ramp = [](double t) { return t < 0.5 ? 0.0 : t > 1.0 ? 200.0 : 400 * (t - 0.5); };
        finds(r, 0.625, ramp, 0.3);
    }
    void strikesAreHeardWhereTheyAreSeen() {
        const auto hump = [](double t) { return 100 * std::exp(-200 * (t - 0.7) * (t - 0.7)); };
        const std::vector<double> heard = {0.2, 0.688, 1.2};
        const auto found = findInstant(rule(RuleKind::strike), sampled(hump, 0.2, 1), heard);
        QVERIFY(found && found->sure);
        QCOMPARE(found->time, 0.688);
        const auto far = findInstant(rule(RuleKind::strike), sampled(hump, 0.2, 1), std::vector<double>{1.2});
        QVERIFY(far && !far->sure && !far->why.empty());
        QVERIFY(!findInstant(rule(RuleKind::strike), sampled(hump, 0.2, 1)));
    }
    void whatIsNotThereIsNotFound() {
        const auto still = [](double) { return 50.0; };
        QVERIFY(!findInstant(rule(RuleKind::begins), sampled(still, 0.5, 3)));
        const auto few = sampled(still, 0.5, 3, 5);
        QVERIFY(!findInstant(rule(RuleKind::leaves), few));
        QVERIFY(!findInstant(rule(RuleKind::highest), {}));
    }
    // What is hidden at the very place is not seen; a smooth edge is read off the flank that is.
    void gapsMakeUnsure() {
        const auto reach = [](double t) { return 40 + 120 * jerk(t, 0.5, 0.9); };
        const auto without = [](std::vector<RuleSample> s, double from, double to) {
            std::erase_if(s, [=](const RuleSample& x) { return x.time > from && x.time < to; });
            return s;
        };
        for (unsigned seed = 1; seed <= 20; ++seed) {
            const auto edge = findInstant(rule(RuleKind::begins), without(sampled(reach, 0.3, seed), 0.47, 0.56));
            QVERIFY(edge && edge->sure);
            QVERIFY2(std::abs(edge->time - 0.5) < 3.0 * edge->sigma, qPrintable(QString::number(edge->time)));
        }
        const auto flank = findInstant(rule(RuleKind::begins), without(sampled(reach, 0.3, 4), 0.54, 0.70));
        QVERIFY(!flank || !flank->sure);
        const auto lift = [](double t) { return t < 0.604 ? 10.0 : 10.0 + 260 * (t - 0.604); };
        const auto bend = findInstant(rule(RuleKind::leaves), without(sampled(lift, 0.4, 4), 0.57, 0.64));
        QVERIFY(!bend || !bend->sure);
        const auto beside = findInstant(rule(RuleKind::leaves), without(sampled(lift, 0.4, 4), 0.64, 0.69));
        QVERIFY(beside && beside->sure && std::abs(beside->time - 0.604) < 1.0 / kRate);
        const auto tiny =
            findInstant(rule(RuleKind::begins), sampled([](double t) { return 4 * jerk(t, 0.5, 0.9); }, 0.4, 4));
        QVERIFY(!tiny || !tiny->sure);
    }
    void correctionsTeach() {
        // The analyst sets a peg 3 frames after the rule, rep after rep.
        Positions placed;
        placed["hit"] = {FrameIndex(63), {}};
        placed["guess"] = {FrameIndex(10), {}, 0.0, true};
        const Timebase time = Timebase::constant(200, Hertz(kRate));
        std::map<PositionId, PositionProposal> proposed;
        proposed["hit"] = {FrameIndex(60), 60 / kRate, 0.002, true, {}};
        proposed["guess"] = {FrameIndex(11), 11 / kRate, 0.002, true, {}};
        const auto misses = missesOf(placed, proposed, time);
        QCOMPARE(misses.size(), std::size_t(1)); // a hollow peg teaches nothing
        QVERIFY(std::abs(misses.at("hit") - 3 / kRate) < 1e-12);
        const auto lessons = lessonsFrom({misses, misses, misses});
        QCOMPARE(lessons.at("hit").reps, 3);
        QVERIFY(std::abs(lessons.at("hit").bias - 3 / kRate) < 1e-12);
        QVERIFY(lessons.at("hit").spread < 1e-12);
    }
    // Rules that lean on one another, on a motion with a few landmarks.
    void wholeBlueprint() {
        Blueprint b;
        b.landmarks = {"lead_wrist", "lead_heel"};
        const auto position = [&](const char* id, RuleKind kind, const char* point, Direction d, bool falling,
                                  const char* after) {
            PositionRule r = rule(kind, falling);
            r.series = {SeriesKind::place, {{{point}}}, d};
            r.after = after;
            b.positions.push_back({id, id, "", r});
        };
        position("lands", RuleKind::lands, "lead_heel", Direction::up, true, "leaves"); // named before what it leans on
        position("leaves", RuleKind::leaves, "lead_heel", Direction::up, false, "");
        position("reach", RuleKind::begins, "lead_wrist", Direction::forward, false, "");
        b.positions.push_back({"byEye", "by eye", "", {}});
        TrackSet t;
        for (int f = 0; f < 160; ++f) {
            const double s = f / kRate;
            const double flight = std::clamp((s - 0.5) / 0.3, 0.0, 1.0);
            t["right_wrist"][FrameIndex(f)] = {{200 + 90 * jerk(s, 0.25, 0.6), 300}, 1.0, How::tracked};
            t["right_heel"][FrameIndex(f)] = {{150, 600 - 40 * std::sin(M_PI * flight)}, 1.0, How::tracked};
        }
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const Motion m = toMotion(t, Timebase::constant(160, Hertz(kRate)), raw);
        std::map<PositionId, std::string> reasons;
        auto found = proposePositions(b, m, {}, FrameIndex(0), FrameIndex(159), {}, {}, &reasons);
        QCOMPARE(found.size(), std::size_t(3));
        QCOMPARE(found.at("leaves").frame.value, 60);
        QCOMPARE(found.at("lands").frame.value, 96);
        QVERIFY(std::abs(found.at("reach").frame.value - 30) <= 1);
        QVERIFY(reasons.empty());
        // With a lesson of two frames from many reps it moves by two frames.
        const auto taught =
            proposePositions(b, m, {}, FrameIndex(0), FrameIndex(159), {}, {{"leaves", {2 / kRate, 0.1 / kRate, 8}}});
        QCOMPARE(taught.at("leaves").frame.value, 62);
        // Without the heel's marks both positions are named, with the reason.
        t.erase("right_heel");
        found = proposePositions(b, toMotion(t, Timebase::constant(160, Hertz(kRate)), raw), {}, FrameIndex(0),
                                 FrameIndex(159), {}, {}, &reasons);
        QCOMPARE(found.size(), std::size_t(1));
        QVERIFY(reasons.at("leaves").find("right heel is not marked") != std::string::npos);
        QVERIFY(reasons.contains("lands"));
    }
};
QTEST_APPLESS_MAIN(TestPositionFinder)
#include "test_position_finder.moc"
