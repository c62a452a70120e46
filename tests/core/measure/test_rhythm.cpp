// Cadence, overlap, contacts, chain, smoothness, recovery, symmetry, gap, facing, spread, drift, what is noted: values
// by hand and against NumPy and SciPy, and how honest u is over drawn films.

#include "core/measure/kinds/chain.h"
#include "core/measure/kinds/cyclic.h"
#include "core/measure/kinds/derived.h"
#include "core/measure/kinds/smoothness.h"
#include "core/statistics/correlation.h"
#include "core/statistics/summary.h"
#include "tests/support/drawn_film.h"
#include "tests/support/python.h"

#include <QTest>

#include <numbers>

using namespace riflesso;
using namespace riflesso::test;

namespace {

constexpr double kRate = 120.0;
constexpr double kPi = std::numbers::pi;
const ViewSetup kSide{View::side, Facing::right, Side::right};
const Positions kPhase = {{"here", {FrameIndex(20), {}}}, {"there", {FrameIndex(180), {}}}};

std::vector<PointSpec> points(std::initializer_list<const char*> names) {
    std::vector<PointSpec> out;
    for (const char* n : names)
        out.push_back(*pointFromText(n));
    return out;
}

MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> names, Aspect aspect = Aspect::length) {
    MeasureDefinition d;
    d.id = d.name = "m";
    d.kind = kind;
    d.at = "here";
    d.until = "there";
    d.points = points(names);
    d.aspect = aspect;
    return d;
}

std::function<Eigen::Vector2d(double)> still(double x, double y) {
    return [=](double) { return Eigen::Vector2d(x, y); };
}

// 0 to 1, minimum jerk, from `start` for `length` seconds.
double step(double t, double start, double length) {
    const double u = std::clamp((t - start) / length, 0.0, 1.0);
    return u * u * u * (10 - 15 * u + 6 * u * u);
}

// An arm of three segments of 200 px, each turning 60° further by a minimum-jerk step; fastest at the given instants.
Ways arm(double shoulder, double elbow, double wrist, double length = 0.4) {
    Ways w;
    const auto angle = [=](double t, int joints) {
        double a = 0.0;
        const double peaks[] = {shoulder, elbow, wrist};
        for (int i = 0; i < joints; ++i)
            a += kPi / 3 * step(t, peaks[i] - length / 2, length);
        return a;
    };
    const auto at = [=](double t, int joints) {
        Eigen::Vector2d p(400, 300);
        for (int i = 1; i <= joints; ++i)
            p += 200 * Eigen::Vector2d(std::cos(angle(t, i)), -std::sin(angle(t, i)));
        return p;
    };
    w["right_shoulder"] = still(400, 300);
    w["right_elbow"] = [=](double t) { return at(t, 1); };
    w["right_wrist"] = [=](double t) { return at(t, 2); };
    w["right_hand"] = [=](double t) { return at(t, 3); };
    w["right_hip"] = still(300, 300);
    return w;
}

MeasureDefinition armChain(Aspect aspect) {
    auto d = of(MeasureKind::chain, {}, aspect);
    d.links = {{"upper arm", points({"right_shoulder", "right_elbow"})},
               {"elbow", points({"right_shoulder", "right_elbow", "right_wrist"})},
               {"wrist", points({"right_elbow", "right_wrist", "right_hand"})}};
    return d;
}

// Feet that stand for the share `duty` of a cycle of one second and swing for the rest; 200 px a cycle.
std::function<Eigen::Vector2d(double)> foot(double begins, double duty) {
    return [=](double t) {
        const double cycles = std::floor(t - begins), u = t - begins - cycles;
        const double swing = step(u, duty, 1 - duty);
        const double lift = u > duty ? 40 * std::sin(kPi * (u - duty) / (1 - duty)) : 0.0;
        return Eigen::Vector2d(200 * (cycles + swing), 600 - lift);
    };
}

} // namespace

class TestRhythm : public QObject {
    Q_OBJECT
private slots:
    void againstSciPy() {
        QJsonObject in;
        QJsonArray speeds, xs, ys;
        std::vector<double> v, x, y;
        for (int i = 0; i < 150; ++i) { // a reach with a second, smaller one on top
            const double t = i / 100.0;
            v.push_back(30 * std::pow(std::clamp(t * (1 - t), 0.0, 1.0), 2) * 16 +
                        9 * std::pow(std::max(0.0, std::sin(kPi * (t - 0.6) / 0.5)), 2));
            speeds.append(v.back());
        }
        for (int i = 0; i < 17; ++i) {
            x.push_back(i * 1.3);
            y.push_back(std::round(4 + 0.35 * i + 2.5 * std::sin(i * 1.9)));
            xs.append(x.back());
            ys.append(y.back());
        }
        in["speeds"] = speeds;
        in["rate"] = 100.0;
        in["x"] = xs;
        in["y"] = ys;
        const auto out = runReference("rhythm.py", QJsonDocument(in).toJson());
        QVERIFY(!out.isEmpty());
        const double arc = spectralArcLength(v, 100.0);
        QVERIFY2(std::abs(arc - out["arc"].toDouble()) < 1e-9, qPrintable(QString::number(arc, 'g', 12)));
        QVERIFY(std::abs(kendallTau(x, y) - out["tau"].toDouble()) < 1e-12);
        const auto line = fitLine(x, y);
        QVERIFY(line && std::abs(line->slope - out["slope"].toDouble()) < 1e-12);
        QVERIFY(std::abs(line->intercept - out["intercept"].toDouble()) < 1e-10);
        QVERIFY(std::abs(line->uSlope - out["stderr"].toDouble()) < 1e-12);
        const auto drift = driftOf(x, y);
        QVERIFY(drift && std::abs(drift->interval.lo - out["lo"].toDouble() * 16 * 1.3) < 1e-9);
        QVERIFY(std::abs(drift->interval.hi - out["hi"].toDouble() * 16 * 1.3) < 1e-9);
        QVERIFY(!fitLine(std::vector{1.0, 1.0}, std::vector{1.0, 2.0}) && !driftOf(std::vector{1.0}, std::vector{1.0}));
        QCOMPARE(kendallTau(std::vector{1.0, 2.0, 3.0}, std::vector{5.0, 5.0, 5.0}), 0.0);
    }
    void cadence() { // rate 45 a minute, 210 px a cycle
        const Ways ways = {{"right_hip", [](double t) { return Eigen::Vector2d(100 + 157.5 * t, 300); }},
                           {"right_knee", [](double t) { return Eigen::Vector2d(100 + 157.5 * t, 400); }}};
        const Positions cycle = {{"here", {FrameIndex(20), {}}}, {"there", {FrameIndex(180), {}}}};
        auto d = of(MeasureKind::cadence, {}, Aspect::rate);
        const auto rate = evaluate(d, drawn(ways), cycle, kSide);
        QVERIFY2(std::abs(rate.value - 45.0) < 1e-9, rate.reason.c_str());
        QCOMPARE(unitOf(d), std::string("/min"));
        QVERIFY(std::abs(rate.u - 45.0 * std::sqrt(2.0 / 12.0) / 160.0) < 1e-9);
        d.cycles = 2.0;
        QVERIFY(std::abs(evaluate(d, drawn(ways), cycle, kSide).value - 90.0) < 1e-9);
        d = of(MeasureKind::cadence, {"right_hip"}, Aspect::length);
        d.direction = Direction::forward;
        d.per = points({"right_hip", "right_knee"});
        d.perName = "thighs";
        QVERIFY(std::abs(evaluate(d, drawn(ways), cycle, kSide).value - 2.1) < 1e-9);
        const auto lengths = coverage(d, ways, cycle, kSide, 2.1);
        QVERIFY2(lengths.honest(), lengths.text().c_str());
        d.aspect = Aspect::speed;
        QCOMPARE(unitOf(d), std::string("thighs/s"));
        const auto speeds = coverage(d, ways, cycle, kSide, 1.575);
        QVERIFY2(speeds.honest(), speeds.text().c_str());
        // Speed = rate × length (common practice, no source); the parts of a change add up to it.
        const CadenceValue before{0.75, 0.002, 2.1, 0.02}, after{0.80, 0.002, 2.0, 0.02};
        const auto change = speedChange(before, after);
        QVERIFY(std::abs(change.byRate + change.byLength - (0.80 * 2.0 - 0.75 * 2.1)) < 1e-12);
        QVERIFY(change.byRate > 0.0 && change.byLength < 0.0);
        std::mt19937 random(3); // its u by draws (JCGM 101:2008)
        std::normal_distribution<double> normal(0.0, 1.0);
        double square = 0.0;
        for (int i = 0; i < 20000; ++i) {
            auto b = before, a = after;
            for (auto* c : {&b, &a}) {
                c->rate += c->uRate * normal(random);
                c->length += c->uLength * normal(random);
            }
            square += std::pow(speedChange(b, a).byRate - change.byRate, 2) / 20000;
        }
        QVERIFY2(std::abs(std::sqrt(square) / change.uRate - 1.0) < 0.03, qPrintable(QString::number(square)));
    }
    void overlaps() {
        auto d = of(MeasureKind::overlap, {}, Aspect::together);
        d.events = {"here", "off1", "on2", "off2"};
        Positions p = {{"here", {FrameIndex(20), {}}},
                       {"on2", {FrameIndex(80), {}}},
                       {"off1", {FrameIndex(86), {}}},
                       {"off2", {FrameIndex(152), {}}},
                       {"there", {FrameIndex(140), {}}}};
        const Motion none = drawn({{"head", still(0, 0)}});
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        const auto walk = evaluate(d, none, p, kSide); // stands 66 of 120 and 72 of 120: both less neither is 18 of 120
        QVERIFY2(std::abs(walk.value - 18.0 / 120) < 1e-9, walk.reason.c_str());
        d.aspect = Aspect::phase;
        QVERIFY(std::abs(evaluate(d, none, p, kSide).value - 0.5) < 1e-9);
        d.aspect = Aspect::duty;
        QVERIFY(std::abs(evaluate(d, none, p, kSide).value - 0.55) < 1e-9);
        // World Athletics Technical Rules, rule 54.2 (race walking): no visible loss of contact. As figures: a walk has
        // both feet down more often than neither, a run does not. (Rule from memory.)
        p["off1"] = {FrameIndex(60), {}};
        p["off2"] = {FrameIndex(122), {}};
        d.aspect = Aspect::together;
        QVERIFY(evaluate(d, none, p, kSide).value < 0.0);
        std::mt19937 random(5); // u against draws of all instants, the first of which is an end of the cycle too
        std::normal_distribution<double> normal(0.0, 1.0);
        const auto usual = evaluate(d, none, p, kSide);
        double square = 0.0;
        for (int i = 0; i < 4000; ++i) {
            auto q = p;
            for (auto& [id, placed] : q)
                placed.shift = normal(random) / kRate / std::sqrt(12.0);
            square += std::pow(evaluate(d, none, q, kSide).value - usual.value, 2) / 4000;
        }
        QVERIFY2(std::abs(std::sqrt(square) / usual.u - 1.0) < 0.05,
                 qPrintable(QString::number(std::sqrt(square) / usual.u)));
        p.erase("off2");
        QVERIFY(evaluate(d, none, p, kSide).reason.find("off2") != std::string::npos);
        // Hands that meet in front, 40 px apart at the nearest; behind they are nearer still, which does not count.
        const Ways hands = {
            {"right_hand", [](double t) { return Eigen::Vector2d(300 + 150 * std::cos(2 * kPi * t), 300); }},
            {"left_hand", [](double t) { return Eigen::Vector2d(300 + 150 * std::cos(2 * kPi * t + 0.7), 340); }},
            {"head", still(340, 250)}};
        auto n = of(MeasureKind::overlap, {"right_hand", "left_hand", "head"}, Aspect::nearest);
        n.direction = Direction::forward;
        const auto nearest = coverage(n, hands, kPhase, kSide, 40.0, 100);
        QVERIFY2(nearest.honest(0.8), nearest.text().c_str());
        n.direction = Direction::up;
        QVERIFY(evaluate(n, drawn(hands), kPhase, kSide).reason.find("never in front") != std::string::npos);
    }
    void contacts() {
        const Ways walk = {{"right_heel", foot(0.25, 0.6)}, {"left_heel", foot(0.75, 0.6)}};
        auto d = of(MeasureKind::contacts, {"right_heel", "left_heel"}, Aspect::count);
        d.level = 100.0;
        d.height = 12.0;
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        Positions p = {{"here", {FrameIndex(12), {}}}, {"there", {FrameIndex(192), {}}}}; // 0.1 s to 1.6 s
        const auto counted = evaluate(d, drawn(walk), p, kSide);
        QVERIFY2(!counted.refused, counted.reason.c_str());
        QCOMPARE(counted.value, 3.0);
        int right = 0;
        for (unsigned i = 0; i < 60; ++i)
            right += evaluate(d, drawn(walk, {200, kRate, 1.5, i}), p, kSide).value == 3.0;
        QVERIFY2(right >= 57, qPrintable(QString::number(right)));
        d.aspect = Aspect::first;
        QVERIFY(isTime(d));
        const auto first = coverage(d, walk, p, kSide, 0.5, 100);
        QVERIFY2(first.honest(), first.text().c_str());
        d.aspect = Aspect::feet;
        for (const auto& [frame, feet] : {std::pair{60, 1}, {98, 2}, {150, 1}}) { // right stands 30..102, left 90..162
            p["here"] = {FrameIndex(frame), {}};
            p["there"] = {FrameIndex(195), {}};
            QCOMPARE(evaluate(d, drawn(walk), p, kSide).value, static_cast<double>(feet));
        }
        d.height = 0.0;
        QVERIFY(!problemOf(d).empty());
    }
    // A heel is let down, the toe later: each stands when it is below 12 px.
    void landingByHeight() {
        const auto sinks = [](double x, double from, double start) {
            return [=](double t) { return Eigen::Vector2d(x, 600 - from * (1 - step(t, start, 0.4))); };
        };
        const Ways rolls = {{"right_heel", sinks(300, 40, 0.1)}, {"right_toe", sinks(360, 60, 0.5)}};
        auto d = of(MeasureKind::contacts, {"right_heel", "right_toe"}, Aspect::first);
        d.level = 600.0;
        d.height = 12.0;
        const Positions p = {{"here", {FrameIndex(12), {}}}, {"there", {FrameIndex(150), {}}}};
        const auto passes = [&](const char* point) {
            double t = 0.1;
            while (rolls.at(point)(t).y() < 588)
                t += 1e-4;
            return t;
        };
        const auto c = coverage(d, rolls, p, kSide, passes("right_toe") - passes("right_heel"), 100);
        QVERIFY2(c.honest(0.88), c.text().c_str());
    }
    void chains() {
        const Ways ground = arm(0.70, 0.78, 0.86);
        for (const auto& [aspect, value] : {std::pair{Aspect::sequence, 1.0},
                                            {Aspect::lag, 0.08},
                                            {Aspect::shortestLag, 0.08},
                                            {Aspect::inversions, 0.0}}) {
            const auto d = armChain(aspect);
            const auto v = evaluate(d, drawn(ground), kPhase, kSide);
            QVERIFY2(!v.refused && std::abs(v.value - value) < 0.003, (v.reason + std::to_string(v.value)).c_str());
            const auto c = coverage(d, ground, kPhase, kSide, value, 100);
            QVERIFY2(c.honest(), (enumName(kAspectNames, aspect) + ": " + c.text()).c_str());
        }
        // Braking: when the next is fastest, a minimum-jerk step that peaked 80 ms of 400 before has 70.6 % left... the
        // peak's own shape says it: 30 u²(1 − u)² / 1.875 at u = 0.7.
        const double left = 30 * 0.49 * 0.09 / 1.875;
        const auto braking = coverage(armChain(Aspect::braking), ground, kPhase, kSide, 1 - left, 100);
        QVERIFY2(braking.honest(), braking.text().c_str());
        const Ways wrong = arm(0.70, 0.86, 0.78); // the wrist before the elbow
        QCOMPARE(evaluate(armChain(Aspect::inversions), drawn(wrong), kPhase, kSide).value, 1.0);
        QVERIFY(std::abs(evaluate(armChain(Aspect::shortestLag), drawn(wrong), kPhase, kSide).value + 0.08) < 0.003);
        QVERIFY(std::abs(evaluate(armChain(Aspect::sequence), drawn(wrong), kPhase, kSide).value - 1.0 / 3) < 1e-9);
        auto d = armChain(Aspect::lag); // linear speeds: the hand is carried by all of them
        d.links = {{"elbow", points({"right_elbow"})}, {"hand", points({"right_hand"})}};
        QVERIFY(evaluate(d, drawn(ground), kPhase, kSide).value > 0.02);
        d.links[0].points = points({"right_hip"});
        QVERIFY(evaluate(d, drawn(ground, {200, kRate, 1.5, 4}), kPhase, kSide).reason.find("does not move") !=
                std::string::npos);
        d.links.pop_back();
        QVERIFY(!problemOf(d).empty());
    }
    void smoothness() {
        auto d = of(MeasureKind::smoothness, {"right_wrist"});
        const Ways reach = {
            {"right_wrist", [](double t) { return Eigen::Vector2d(300 + 400 * step(t, 0.35, 0.9), 300); }}};
        const Ways halting = {{"right_wrist", [](double t) {
                                   return Eigen::Vector2d(300 + 200 * step(t, 0.35, 0.45) + 200 * step(t, 0.8, 0.45),
                                                          300);
                               }}};
        const double one = evaluate(d, drawn(reach), kPhase, kSide).value,
                     two = evaluate(d, drawn(halting), kPhase, kSide).value;
        QVERIFY2(one > two + 0.5, qPrintable(QString("%1 %2").arg(one).arg(two)));
        std::vector<double> speeds; // as they truly are
        for (int f = 20; f <= 180; ++f)
            speeds.push_back(
                (reach.at("right_wrist")((f + 0.5) / kRate) - reach.at("right_wrist")((f - 0.5) / kRate)).norm());
        double truth = 0.0;
        for (int i = 0; i < 10; ++i)
            truth += spectralArcLength(speeds, kRate, 0.03 * std::pow(4.0, i / 9.0)) / 10.0;
        const auto c = coverage(d, reach, kPhase, kSide, truth, 100);
        QVERIFY2(c.honest(), c.text().c_str());
        d.points = points({"right_wrist", "right_elbow"});
        QVERIFY(evaluate(d, drawn(reach), kPhase, kSide).refused);
    }
    // Drawn noise must not make a value anew each time, and not be promised away where there is too much of it.
    void smoothnessAndItsNoise() {
        const auto d = of(MeasureKind::smoothness, {"right_wrist"});
        const auto reaching = [](double px) {
            return Ways{
                {"right_wrist", [px](double t) { return Eigen::Vector2d(300 + px * step(t, 0.35, 0.9), 300); }}};
        };
        const Motion film = drawn(reaching(400), {200, kRate, 1.5, 3});
        const auto once = evaluate(d, film, kPhase, kSide), twice = evaluate(d, film, kPhase, kSide);
        QVERIFY(!once.refused && once.value == twice.value && once.u == twice.u);
        // Noisier marks: less sure, but on average no jerkier.
        double clean = 0.0, noisy = 0.0, uClean = 0.0, uNoisy = 0.0;
        for (unsigned seed = 1; seed <= 40; ++seed) {
            const auto a = evaluate(d, drawn(reaching(400), {200, kRate, 0.3, seed}), kPhase, kSide),
                       b = evaluate(d, drawn(reaching(400), {200, kRate, 2.0, seed}), kPhase, kSide);
            QVERIFY2(!a.refused && !b.refused, (a.reason + b.reason).c_str());
            clean += a.value / 40;
            noisy += b.value / 40;
            uClean += a.u / 40;
            uNoisy += b.u / 40;
        }
        QVERIFY2(std::abs(noisy - clean) < 0.08, qPrintable(QString("%1 %2").arg(clean).arg(noisy)));
        QVERIFY2(uNoisy > 2.0 * uClean, qPrintable(QString("%1 %2").arg(uClean).arg(uNoisy)));
        // A phase of half a minute is read by other means than a short one, and in the same way.
        const Ways slowly = {
            {"right_wrist", [](double t) { return Eigen::Vector2d(300 + 200 * std::sin(kPi * t / 1.6), 300); }}};
        const auto longOne = [&](int frames, unsigned seed) {
            const Positions phase = {{"here", {FrameIndex(5), {}}}, {"there", {FrameIndex(5 + frames), {}}}};
            return evaluate(d, drawn(slowly, {4000, kRate, 0.5, seed}), phase, kSide);
        };
        double uShort = 0.0, uLong = 0.0; // of six films: one draw by itself leaves u unsure
        for (unsigned seed = 1; seed <= 6; ++seed) {
            const auto justShort = longOne(511, seed), justLong = longOne(513, seed);
            QVERIFY(std::abs(justShort.value - justLong.value) < 0.15);
            uShort += justShort.u;
            uLong += justLong.u;
        }
        QVERIFY2(std::abs(uShort / uLong - 1.0) < 0.5, qPrintable(QString("%1 %2").arg(uShort).arg(uLong)));
        QVERIFY(!longOne(3900, 3).refused);
        const auto small = evaluate(d, drawn(reaching(30), {200, kRate, 1.5, 3}), kPhase, kSide);
        QVERIFY2(small.refused && small.reason.find("cannot be told from errors") != std::string::npos,
                 small.reason.c_str());
        const Positions whole = {{"here", {FrameIndex(2), {}}}, {"there", {FrameIndex(28), {}}}};
        const auto slow = evaluate(d, drawn(reaching(400), {30, 15.0, 0.0, 1}), whole, kSide);
        QVERIFY2(slow.refused && slow.reason.find("too slow") != std::string::npos, slow.reason.c_str());
    }
    // Of a joint: its angle's speed, which has no plane to err in.
    void smoothnessOfAJoint() {
        const auto d = of(MeasureKind::smoothness, {"right_shoulder", "right_elbow", "right_wrist"});
        const auto angle = [](double t) { return (40.0 + 90.0 * step(t, 0.35, 0.9)) * kPi / 180.0; };
        const Ways bends = {{"right_shoulder", still(300, 200)},
                            {"right_elbow", still(300, 400)},
                            {"right_wrist", [angle](double t) {
                                 return Eigen::Vector2d(300 + 200 * std::sin(angle(t)), 400 - 200 * std::cos(angle(t)));
                             }}};
        std::vector<double> speeds;
        for (int f = 20; f <= 180; ++f)
            speeds.push_back(angle((f + 0.5) / kRate) - angle((f - 0.5) / kRate));
        double truth = 0.0;
        for (int i = 0; i < 10; ++i)
            truth += spectralArcLength(speeds, kRate, 0.03 * std::pow(4.0, i / 9.0)) / 10.0;
        const auto exact = evaluate(d, drawn(bends), kPhase, kSide);
        QVERIFY2(std::abs(exact.value - truth) < 0.01, qPrintable(QString("%1 %2").arg(exact.value).arg(truth)));
        const auto c = coverage(d, bends, kPhase, kSide, truth, 100);
        QVERIFY2(c.honest(0.88), c.text().c_str());
    }
    // A lobe of the spectrum that just reaches the threshold comes in as a whole; over ten thresholds bit by bit.
    void smoothnessGoesUpBitByBit() {
        const auto d = of(MeasureKind::smoothness, {"right_wrist"});
        double largest = 0.0, atOne = 0.0, before = 0.0, beforeAtOne = 0.0;
        for (int i = 0; i <= 60; ++i) { // a hesitation that grows
            const double depth = i / 200.0;
            const Ways way = {{"right_wrist", [depth](double t) {
                                   const double u = std::clamp((t - 0.35) / 0.9, 0.0, 1.0);
                                   return Eigen::Vector2d(
                                       300 + 400 * step(u - depth / (6 * kPi) * std::sin(6 * kPi * u), 0.0, 1.0), 300);
                               }}};
            std::vector<double> speeds;
            for (int f = 20; f <= 180; ++f)
                speeds.push_back(
                    (way.at("right_wrist")((f + 0.5) / kRate) - way.at("right_wrist")((f - 0.5) / kRate)).norm());
            const double one = spectralArcLength(speeds, kRate), mean = evaluate(d, drawn(way), kPhase, kSide).value;
            if (i > 0) {
                largest = std::max(largest, std::abs(mean - before));
                atOne = std::max(atOne, std::abs(one - beforeAtOne));
            }
            before = mean;
            beforeAtOne = one;
        }
        QVERIFY2(largest < 0.5 * atOne, qPrintable(QString("%1 %2").arg(largest).arg(atOne)));
    }
    void recoveryAndSymmetry() {
        const Ways sway = {{"right_hip", still(300, 500)},
                           {"neck", [](double t) {
                                const double lean = 25 * kPi / 180 * std::exp(-std::max(0.0, t - 0.25) / 0.3);
                                return Eigen::Vector2d(300 + 200 * std::sin(lean), 500 - 200 * std::cos(lean));
                            }}};
        auto lean = of(MeasureKind::lean, {"right_hip", "neck"});
        lean.direction = Direction::forward;
        lean.id = "lean";
        auto d = of(MeasureKind::recovery, {}, Aspect::time);
        d.of = {"lean"};
        d.base = {std::make_shared<const MeasureDefinition>(lean)};
        d.lo = -5;
        d.hi = 5;
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        const Positions p = {{"here", {FrameIndex(30), {}}}, {"there", {FrameIndex(190), {}}}};
        const double truth = 0.3 * std::log(25.0 / 5.0);
        QVERIFY(std::abs(evaluate(d, drawn(sway), p, kSide).value - truth) < 0.003);
        const auto c = coverage(d, sway, p, kSide, truth, 100);
        QVERIFY2(c.honest(0.85), c.text().c_str());
        d.hi = 0.05;
        d.lo = -0.05;
        QVERIFY(evaluate(d, drawn(sway), p, kSide).reason.find("not back") != std::string::npos);
        // Steps: the landings until then.
        Ways stumble = sway;
        stumble["right_heel"] = foot(0.35, 0.6);
        stumble["left_heel"] = foot(0.55, 0.6);
        d.hi = 5;
        d.lo = -5;
        d.aspect = Aspect::steps;
        d.points = points({"right_heel", "left_heel"});
        d.level = 100;
        d.height = 12;
        QCOMPARE(evaluate(d, drawn(stumble), p, kSide).value, 2.0);
        // Symmetry against the right side.
        const Ways knees = {{"right_hip", still(300, 300)},   {"right_knee", still(300, 400)},
                            {"right_ankle", still(380, 460)}, {"left_hip", still(500, 300)},
                            {"left_knee", still(500, 400)},   {"left_ankle", still(560, 480)}};
        auto right = of(MeasureKind::angle, {"right_hip", "right_knee", "right_ankle"}), other = right;
        other.points = points({"left_hip", "left_knee", "left_ankle"});
        auto s = of(MeasureKind::symmetry, {}, Aspect::difference);
        s.of = {"right", "left"};
        s.base = {std::make_shared<const MeasureDefinition>(right), std::make_shared<const MeasureDefinition>(other)};
        const double a = 90 + std::atan2(60, 80) * 180 / kPi, b = 90 + std::atan2(80, 60) * 180 / kPi;
        const auto diff = evaluate(s, drawn(knees), kPhase, kSide);
        QVERIFY2(std::abs(diff.value - (b - a)) < 1e-6, diff.reason.c_str());
        QCOMPARE(unitOf(s), std::string("°"));
        s.aspect = Aspect::share;
        QVERIFY(std::abs(evaluate(s, drawn(knees), kPhase, kSide).value - 100 * (b - a) / a) < 1e-6);
        QCOMPARE(unitOf(s), std::string("%"));
        const auto cover = coverage(s, knees, kPhase, kSide, 100 * (b - a) / a, 200);
        QVERIFY2(cover.honest(), cover.text().c_str());
    }
    void twoPeople() {
        const Ways pair = {{"right_shoulder", still(300, 300)}, {"left_shoulder", still(340, 300)},
                           {"neck", still(320, 290)},           {"other_neck", still(620, 290)},
                           {"right_toe", still(350, 600)},      {"right_heel", still(310, 600)},
                           {"right_hip", still(310, 450)}};
        auto g = of(MeasureKind::gap, {"neck", "other_neck"});
        QCOMPARE(evaluate(g, drawn(pair), kPhase, kSide).value, 300.0);
        g.per = points({"neck", "right_hip"});
        QVERIFY(std::abs(evaluate(g, drawn(pair), kPhase, kSide).value - 300.0 / std::hypot(10, 160)) < 1e-9);
        auto d = of(MeasureKind::facing, {"right_shoulder", "left_shoulder", "neck", "other_neck"});
        d.per = points({"neck", "right_hip"});
        d.fullWidth = 0.5;
        d.fullWidthSigma = 0.02;
        const double full = 0.5 * std::hypot(10, 160), truth = std::asin(40 / full) * 180 / kPi;
        const auto v = evaluate(d, drawn(pair), kPhase, kSide);
        QVERIFY2(std::abs(v.value - truth) < 1e-6, v.reason.c_str());
        d.points = points({"right_shoulder", "left_shoulder", "neck", "other_neck", "right_toe", "right_heel"});
        QVERIFY(std::abs(evaluate(d, drawn(pair), kPhase, kSide).value - truth) < 1e-6);
        d.points = points({"right_shoulder", "left_shoulder", "neck", "other_neck", "right_heel", "right_toe"});
        QVERIFY(std::abs(evaluate(d, drawn(pair), kPhase, kSide).value - (180 - truth)) < 1e-6);
        Ways behind = pair;
        behind["other_neck"] = still(330, 290);
        QVERIFY(evaluate(d, drawn(behind), kPhase, kSide).reason.find("behind the other") != std::string::npos);
    }
    void overReps() {
        // s² holds what the athlete varies and what marking adds: 5 and 3 make √34.
        std::mt19937 random(9);
        std::normal_distribution<double> normal(0.0, 1.0);
        int within = 0, driftWithin = 0;
        for (int i = 0; i < 400; ++i) {
            std::vector<double> values, errors, when;
            for (int k = 0; k < 12; ++k) {
                values.push_back(100 + 5 * normal(random) + 3 * normal(random) - 0.8 * k * (i % 2));
                errors.push_back(3.0);
                when.push_back(10.0 * k);
            }
            if (i % 2) {
                const auto d = driftOf(when, values);
                driftWithin += d->interval.contains(-0.8 * 11);
                QVERIFY(std::abs(d->interval.hi - d->change - 1.96 * d->u) < 1e-9); // also of few reps
            } else {
                const auto s = spreadOf(values, errors);
                within += std::abs(s->athlete - 5.0) <= 1.96 * s->u;
                QVERIFY(std::abs(s->marking - 3.0) < 1e-12);
            }
        }
        QVERIFY2(within >= 180 && driftWithin >= 182, qPrintable(QString("%1 %2").arg(within).arg(driftWithin)));
        QVERIFY(!spreadOf(std::vector{1.0, 2.0}, std::vector{1.0, 1.0}));
        const auto none =
            spreadOf(std::vector{1.0, 1.1, 0.9}, std::vector{1.0, 1.0, 1.0}); // the marks explain all of it
        QCOMPARE(none->athlete, 0.0);
        QVERIFY(none->u > 0.0);
    }
    // From three reps on, whether the athlete varies or hardly.
    void spreadOfFewReps_data() {
        QTest::addColumn<int>("reps");
        QTest::addColumn<double>("marking"); // of the athlete's 1
        for (const int reps : {3, 4, 6, 12, 30})
            for (const double marking : {0.0, 0.5, 1.0})
                QTest::addRow("%d reps, marks %.1f", reps, marking) << reps << marking;
    }
    void spreadOfFewReps() {
        QFETCH(int, reps);
        QFETCH(double, marking);
        std::mt19937 random(3);
        std::normal_distribution<double> normal(0.0, std::hypot(1.0, marking));
        const std::vector<double> errors(static_cast<std::size_t>(reps), marking);
        constexpr int kDraws = 4000;
        int one = 0, two = 0;
        double mean = 0.0;
        for (int i = 0; i < kDraws; ++i) {
            std::vector<double> values(errors.size());
            for (double& v : values)
                v = normal(random);
            const auto s = spreadOf(values, errors);
            one += std::abs(s->athlete - 1.0) <= s->u;
            two += std::abs(s->athlete - 1.0) <= 1.96 * s->u;
            mean += s->athlete / kDraws;
        }
        const QString said = QString("%1 %2 %3").arg(100.0 * one / kDraws).arg(100.0 * two / kDraws).arg(mean);
        QVERIFY2(one >= 0.64 * kDraws && one <= 0.78 * kDraws && two >= (reps < 6 ? 0.85 : 0.90) * kDraws,
                 qPrintable(said));
        QVERIFY2(marking > 0.0 || std::abs(mean - 1.0) < 0.025, qPrintable(said));
    }
    void noted() {
        const Motion any = drawn({{"head", still(0, 0)}});
        auto d = of(MeasureKind::seen, {});
        QVERIFY(!problemOf(d).empty());
        d.checkpoint = "eyes";
        QVERIFY(evaluate(d, any, kPhase, kSide).refused);
        QCOMPARE(evaluate(d, any, kPhase, kSide, {{{"eyes", 0.5}}, {}, {}, {}}).value, 0.5);
        d = of(MeasureKind::effect, {}, Aspect::worked);
        QVERIFY(evaluate(d, any, kPhase, kSide).refused);
        QCOMPARE(evaluate(d, any, kPhase, kSide, {{}, 1.0, {}, {}}).value, 1.0);
        d = of(MeasureKind::choice, {});
        QCOMPARE(evaluate(d, any, kPhase, {View::front, Facing::camera, Side::right, nullptr}, {{}, {}, {}, 0.0}).value,
                 0.0);
        QVERIFY(evaluate(of(MeasureKind::spread, {}), any, kPhase, kSide).refused);
    }
};

QTEST_GUILESS_MAIN(TestRhythm)
#include "test_rhythm.moc"
