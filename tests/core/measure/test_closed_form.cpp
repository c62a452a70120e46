// Every kind of measure on a movement whose value is known by formula, through the whole chain: marks with noise, a
// camera that leans and is calibrated by drawn lines with errors of their own, smoothing, instants between frames.

#include "core/measure/evaluate.h"
#include "core/measure/kinds/derived.h"
#include "core/measure/kinds/smoothness.h"
#include "core/measure/kinds/swing.h"
#include "core/measure/phase.h"
#include "core/measure/reading.h"

#include <QTest>

#include <cmath>
#include <functional>
#include <numbers>
#include <random>
#include <set>

using namespace riflesso;

namespace {

constexpr double kRate = 200.0, kPi = std::numbers::pi, kTilt = 2.0 * kPi / 180.0, kScale = 300.0; // Hz, rad, px/m
constexpr double kMark = 0.8, kDrawn = 1.0;                                                        // px
constexpr int kFrames = 400;
using Place = Eigen::Vector2d; // m, x forward, y up
using Way = std::function<Place(double)>;
using Body = std::map<LandmarkName, Way>;

double rad(double degrees) {
    return degrees * kPi / 180.0;
}
Place polar(double length, double degreesFromUp) { // leaning forward is positive
    return {length * std::sin(rad(degreesFromUp)), length * std::cos(rad(degreesFromUp))};
}
Way still(double x, double y) {
    return [=](double) { return Place(x, y); };
}
double jerk(double u) { // minimum jerk from 0 to 1
    u = std::clamp(u, 0.0, 1.0);
    return u * u * u * (10 - 15 * u + 6 * u * u);
}

struct Case {
    std::string name;
    MeasureDefinition d;
    Body body;
    std::map<PositionId, double> at; // s
    double truth = 0.0;
    double least = 0.0; // an error that no mark makes: of the method, in the unit of the measure
    View view = View::side;
};

MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> points, Aspect aspect = Aspect::length) {
    MeasureDefinition d;
    d.id = d.name = enumName(kMeasureKindNames, kind);
    d.kind = kind;
    d.at = "here";
    d.until = "there";
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    if (const auto ways = aspectsOf(kind); !ways.empty())
        d.aspect = std::find(ways.begin(), ways.end(), aspect) != ways.end() ? aspect : ways.front();
    return d;
}
MeasureDefinition metres(MeasureDefinition d) {
    d.metres = true;
    return d;
}
MeasureDefinition along(MeasureDefinition d, Direction direction) {
    d.direction = direction;
    d.view = direction == Direction::across ? View::front : View::side;
    return d;
}

// What is drawn to calibrate, and what is marked, each with its error.
struct Filmed {
    Motion motion;
    ViewSetup setup;
    Positions positions;
};
Filmed film(const Case& c, unsigned draw) {
    std::mt19937 random(draw);
    std::normal_distribution<double> normal(0.0, 1.0);
    const auto pixel = [](const Place& p) {
        const Place turned(p.x() * std::cos(kTilt) + p.y() * std::sin(kTilt),
                           p.y() * std::cos(kTilt) - p.x() * std::sin(kTilt));
        return Pixel{200.0 + kScale * turned.x(), 900.0 - kScale * turned.y()};
    };
    const auto drawn = [&](double x, double y) {
        const Pixel p = pixel({x, y});
        return Pixel{p.x + kDrawn * normal(random), p.y + kDrawn * normal(random)};
    };
    CalibrationInput in;
    in.sigma = kDrawn;
    in.plumb = DrawnLine{drawn(0, 0), drawn(0, 2.5)};
    in.lengths = {{{drawn(0, 0.1), drawn(3, 0.1)}, 3.0}};
    Filmed out;
    out.setup = {c.view, facingIn(c.view, Facing::right), Side::right,
                 std::make_shared<const Calibration>(*Calibration::make(in, 1920, 1080))};
    TrackSet tracks;
    for (const auto& [name, way] : c.body)
        for (int f = 0; f < kFrames; ++f) {
            const Pixel p = pixel(way(f / kRate));
            tracks[name][FrameIndex(f)] = {
                {p.x + kMark * normal(random), p.y + kMark * normal(random)}, kMark, How::hand};
        }
    out.motion = toMotion(tracks, Timebase::constant(kFrames, Hertz(kRate)));
    constexpr double kInstant = 0.001; // s
    for (const auto& [id, t] : c.at) {
        const double placed = t + kInstant * normal(random);
        const int frame = static_cast<int>(std::lround(placed * kRate));
        out.positions[id] = {FrameIndex(frame), kInstant, placed - frame / kRate};
    }
    return out;
}

std::vector<Case> everyCase() {
    const std::map<PositionId, double> phase = {{"here", 0.4521}, {"there", 1.5483}};
    const auto swung = [](double t) { return 60.0 + 25.0 * std::sin(2 * kPi * 0.8 * t); }; // degrees, slow enough
    const double here = swung(phase.at("here"));
    const Way hip = still(1, 1), circle = [](double t) {
        return Place(1.5 + 0.3 * std::cos(2 * kPi * t), 1.2 + 0.3 * std::sin(2 * kPi * t));
    };
    const auto limb = [&](double length) -> Way {
        return [=](double t) -> Place { return hip(t) + polar(length, swung(t)); };
    };
    const Way strike = [](double t) { return Place(0.8 + jerk((t - 0.6) / 0.6), 1.4); };
    std::vector<Case> all;
    all.push_back({"angle",
                   of(MeasureKind::angle, {"left_knee", "left_hip", "neck"}),
                   {{"left_hip", hip}, {"neck", still(1, 1.6)}, {"left_knee", limb(0.5)}},
                   phase,
                   here,
                   0});
    all.push_back({"lean",
                   along(of(MeasureKind::lean, {"left_hip", "neck"}), Direction::forward),
                   {{"left_hip", hip}, {"neck", limb(0.6)}},
                   phase,
                   here,
                   0});
    {
        auto d = of(MeasureKind::between, {"left_hip", "neck", "left_knee", "left_ankle"});
        d.reading = AngleReading::turned; // from the trunk to the shin; forward to up counts, so a lean is below zero
        all.push_back({"between",
                       d,
                       {{"left_hip", hip},
                        {"neck", still(1, 1.6)},
                        {"left_knee", still(1, 0.5)},
                        {"left_ankle", [=](double t) -> Place { return Place(1, 0.5) + polar(0.5, swung(t)); }}},
                       phase,
                       -here,
                       0});
    }
    all.push_back({"clock",
                   of(MeasureKind::clock, {"left_hip", "neck"}),
                   {{"left_hip", hip}, {"neck", limb(0.6)}},
                   phase,
                   here / 30.0,
                   0});
    all.push_back({"roll",
                   of(MeasureKind::roll, {"left_hip", "neck"}),
                   {{"left_hip", hip}, {"neck", limb(0.6)}},
                   phase,
                   90.0 - here,
                   0});
    all.push_back({"ratio",
                   of(MeasureKind::ratio, {"left_hip", "neck", "left_hip", "left_knee"}),
                   {{"left_hip", hip},
                    {"neck", [=](double t) -> Place { return hip(t) + polar(0.4 + 0.1 * std::sin(kPi * t), 20); }},
                    {"left_knee", still(1, 0.5)}},
                   phase,
                   (0.4 + 0.1 * std::sin(kPi * phase.at("here"))) / 0.5,
                   0});
    all.push_back({"offset",
                   metres(along(of(MeasureKind::offset, {"left_wrist", "left_hip"}), Direction::forward)),
                   {{"left_wrist", circle}, {"left_hip", hip}},
                   phase,
                   circle(phase.at("here")).x() - 1.0,
                   0});
    all.push_back({"order",
                   metres(along(of(MeasureKind::order, {"left_wrist", "left_hip"}), Direction::up)),
                   {{"left_wrist", circle}, {"left_hip", hip}},
                   phase,
                   circle(phase.at("here")).y() - 1.0,
                   0});
    all.push_back({"gap",
                   metres(of(MeasureKind::gap, {"left_wrist", "left_hip"})),
                   {{"left_wrist", circle}, {"left_hip", hip}},
                   phase,
                   (circle(phase.at("here")) - Place(1, 1)).norm(),
                   0});
    all.push_back({"stack",
                   metres(of(MeasureKind::stack, {"left_ankle", "left_hip", "neck"})),
                   {{"left_ankle", still(1, 0.1)}, {"left_hip", still(1.1, 1)}, {"neck", limb(0.6)}},
                   phase,
                   0.6 * std::sin(rad(here)),
                   0});
    {
        auto d = along(of(MeasureKind::turn, {"left_shoulder", "right_shoulder"}), Direction::across);
        d.per = {*pointFromText("left_hip"), *pointFromText("neck")};
        d.fullWidth = 0.8;
        d.fullWidthSigma = 0.0;
        const auto turned = [=](double sign) {
            return [=](double t) { return Place(1 + sign * 0.2 * std::cos(rad(swung(t))), 1.5); };
        };
        const Body body = {{"left_shoulder", turned(1)},
                           {"right_shoulder", turned(-1)},
                           {"left_hip", still(1, 1)},
                           {"neck", still(1, 1.5)}};
        all.push_back({"turn", d, body, phase, here, 0, View::front});
        d.kind = MeasureKind::facing;
        d.id = "facing";
        d.view = View::side;
        d.direction.reset();
        d.points.push_back(*pointFromText("neck"));
        d.points.push_back(*pointFromText("opponent_neck"));
        Body two = body;
        two["opponent_neck"] = still(3, 1.5);
        all.push_back({"facing", d, two, phase, 90.0 - here, 0});
    }
    all.push_back({"speed",
                   metres(of(MeasureKind::speed, {"left_wrist"})),
                   {{"left_wrist", circle}},
                   phase,
                   0.3 * 2 * kPi,
                   0.01});
    {
        auto d = metres(of(MeasureKind::speed, {"left_wrist"}));
        d.reduction = Reduction::max; // of a minimum jerk: 15/8 of the mean speed
        all.push_back({"speed max", d, {{"left_wrist", strike}}, phase, 15.0 / 8.0 / 0.6, 0.02});
        d.reduction = Reduction::timeOfMax;
        d.metres = false;
        all.push_back({"speed time of max", d, {{"left_wrist", strike}}, phase, 0.9 - phase.at("here"), 0.001});
        auto mean = of(MeasureKind::angle, {"left_knee", "left_hip", "neck"});
        mean.reduction = Reduction::mean;
        const double w = 2 * kPi * 0.8, a = phase.at("here"), b = phase.at("there");
        all.push_back({"angle mean",
                       mean,
                       {{"left_hip", hip}, {"neck", still(1, 1.6)}, {"left_knee", limb(0.5)}},
                       phase,
                       60.0 + 25.0 * (std::cos(w * a) - std::cos(w * b)) / (w * (b - a)),
                       0.02});
        mean.reduction = Reduction::range; // the peak of the first swing and the trough after it lie in the phase
        all.push_back({"angle range",
                       mean,
                       {{"left_hip", hip}, {"neck", still(1, 1.6)}, {"left_knee", limb(0.5)}},
                       {{"here", 0.2}, {"there", 1.2}},
                       50.0,
                       0.1});
    }
    const double span = phase.at("there") - phase.at("here");
    all.push_back({"path",
                   metres(of(MeasureKind::path, {"left_wrist"})),
                   {{"left_wrist", circle}},
                   phase,
                   0.3 * 2 * kPi * span,
                   0.005});
    all.push_back({"path straightness",
                   of(MeasureKind::path, {"left_wrist"}, Aspect::straightness),
                   {{"left_wrist", circle}},
                   {{"here", 0.4}, {"there", 0.9}},
                   2.0 / kPi,
                   0.003}); // half a circle
    all.push_back({"stillness",
                   metres(of(MeasureKind::stillness, {"left_wrist"})),
                   {{"left_wrist", circle}},
                   {{"here", 0.4}, {"there", 1.4}},
                   0.3,
                   0.003});
    {
        auto d = metres(of(MeasureKind::dwell, {"left_wrist"}));
        d.level = 0.6; // of a sine of 0.3 m once a second: below it for 2/π asin(level / greatest) of the time
        all.push_back({"dwell",
                       d,
                       {{"left_wrist", [](double t) { return Place(1.5 + 0.3 * std::sin(2 * kPi * t), 1.2); }}},
                       {{"here", 0.5}, {"there", 1.5}},
                       2 / kPi * std::asin(0.6 / (0.6 * kPi)),
                       0.01});
    }
    all.push_back({"interval", of(MeasureKind::interval, {}, Aspect::time), {{"neck", hip}}, phase, span, 0});
    {
        auto d = metres(along(of(MeasureKind::cadence, {"left_wrist"}, Aspect::length), Direction::forward));
        d.cycles = 2;
        const Way walk = [](double t) { return Place(0.2 + 1.4 * t + 0.1 * std::sin(2 * kPi * 2 * t), 1); };
        const std::map<PositionId, double> cycles = {{"here", 0.3}, {"there", 1.3}};
        all.push_back({"cadence length", d, {{"left_wrist", walk}}, cycles, 0.7, 0.001});
        d.aspect = Aspect::speed;
        all.push_back({"cadence speed", d, {{"left_wrist", walk}}, cycles, 1.4, 0.002});
        auto rate = of(MeasureKind::cadence, {}, Aspect::rate);
        rate.cycles = 2;
        all.push_back({"cadence rate", rate, {{"neck", hip}}, cycles, 120, 0});
        auto phases = of(MeasureKind::overlap, {}, Aspect::phase);
        phases.events = {"on", "off", "on2", "off2"};
        all.push_back({"overlap",
                       phases,
                       {{"neck", hip}},
                       {{"here", 0.3}, {"there", 1.3}, {"on", 0.35}, {"off", 0.9}, {"on2", 0.85}, {"off2", 1.25}},
                       0.5,
                       0});
    }
    {
        auto d = of(MeasureKind::chain, {}, Aspect::lag);
        d.links = {{"hips", {*pointFromText("left_hip")}}, {"hand", {*pointFromText("left_wrist")}}};
        all.push_back({"chain",
                       d,
                       {{"left_hip", [](double t) { return Place(1 + 0.4 * jerk((t - 0.55) / 0.5), 1); }},
                        {"left_wrist", [](double t) { return Place(1 + jerk((t - 0.67) / 0.5), 1.4); }}},
                       phase,
                       0.12,
                       0.002});
        auto smooth = of(MeasureKind::smoothness, {"left_wrist"});
        std::vector<double> speeds;
        for (int f = 80; f <= 320; ++f) {
            const double u = std::clamp((f / kRate - 0.6) / 0.6, 0.0, 1.0);
            speeds.push_back(30 * u * u * (1 - u) * (1 - u) / 0.6);
        }
        double arc = 0.0;
        for (int i = 0; i < 10; ++i)
            arc += spectralArcLength(speeds, kRate, 0.03 * std::pow(4.0, i / 9.0)) / 10.0;
        all.push_back({"smoothness", smooth, {{"left_wrist", strike}}, {{"here", 0.4}, {"there", 1.6}}, arc, 0.03});
    }
    {
        auto d = metres(of(MeasureKind::contacts, {"left_toe", "right_toe"}, Aspect::first));
        d.level = 0.4;
        d.height = 0.03;
        const auto foot = [](double down) { // comes down at a steady metre a second, then stands
            return [=](double t) { return Place(1, 0.05 + 1.0 * std::max(0.0, down - t)); };
        };
        all.push_back({"contacts", d, {{"left_toe", foot(0.9)}, {"right_toe", foot(1.15)}}, phase, 0.25, 0.004});
    }
    {
        auto back =
            std::make_shared<MeasureDefinition>(along(of(MeasureKind::lean, {"left_hip", "neck"}), Direction::forward));
        auto d = of(MeasureKind::recovery, {}, Aspect::time);
        d.of = {"lean"};
        d.base = {back};
        d.lo = -10;
        d.hi = 10; // 40 degrees that fall by e in 0.4 s are 10 after 0.4 ln 4
        all.push_back(
            {"recovery",
             d,
             {{"left_hip", hip},
              {"neck",
               [=](double t) -> Place { return hip(t) + polar(0.6, 40 * std::exp(-std::max(0.0, t - 0.5) / 0.4)); }}},
             {{"here", 0.5}, {"there", 1.8}},
             0.4 * std::log(4.0),
             0.004});
        auto one = std::make_shared<MeasureDefinition>(of(MeasureKind::angle, {"left_knee", "left_hip", "neck"}));
        auto other = std::make_shared<MeasureDefinition>(of(MeasureKind::angle, {"right_knee", "left_hip", "neck"}));
        auto sides = of(MeasureKind::symmetry, {}, Aspect::share);
        sides.of = {"one", "other"};
        sides.base = {one, other};
        all.push_back({"symmetry",
                       sides,
                       {{"left_hip", hip},
                        {"neck", still(1, 1.6)},
                        {"left_knee", limb(0.5)},
                        {"right_knee", [=](double t) -> Place { return hip(t) + polar(0.5, 1.2 * swung(t)); }}},
                       phase,
                       20.0,
                       0});
    }
    {
        // A trunk that leans from 0 to 20 degrees while the arm goes round from 30 to 390 before it.
        const auto lean = [](double t) { return 20.0 * jerk((t - 0.4) / 1.2); };
        const Way neck = [=](double t) -> Place { return hip(t) + polar(0.6, lean(t)); };
        const auto arm = [=](double t) { return 30.0 + 360.0 * jerk((t - 0.4) / 1.2); };
        const Body body = {{"left_hip", hip},
                           {"neck", neck},
                           {"left_shoulder", neck},
                           {"left_wrist", [=](double t) -> Place { return neck(t) + polar(0.5, lean(t) + arm(t)); }}};
        const std::map<PositionId, double> whole = {{"here", 0.403}, {"there", 1.598}};
        // Turned forward and down: below zero, as a turn from forward to up is above it.
        all.push_back({"swing share",
                       of(MeasureKind::swing, {"left_wrist", "left_shoulder", "left_hip", "neck"}, Aspect::share), body,
                       whole, -1.0, 0.001});
        all.push_back({"swing", metres(of(MeasureKind::swing, {"left_wrist", "left_shoulder", "left_hip", "neck"})),
                       body, whole, kPi, 0.01});
    }
    {
        // A shoulder that turns about the trunk: off it by r sin φ, as far as a camera square to the trunk sees.
        constexpr double kReach = 0.25, kTrunk = 0.6;
        const auto phi = [](double t) { return 40.0 * std::sin(2 * kPi * 0.8 * t); };
        const auto faster = [](double t) { return 40.0 * 2 * kPi * 0.8 * std::cos(2 * kPi * 0.8 * t); };
        const Way shoulder = [=](double t) { return Place(1.0 + kReach * std::sin(rad(phi(t))), 1.4); };
        const Way other = [=](double t) { return Place(1.0 - kReach * std::sin(rad(phi(t))), 1.4); };
        const Body body = {
            {"left_hip", hip}, {"neck", still(1, 1 + kTrunk)}, {"left_shoulder", shoulder}, {"right_shoulder", other}};
        const auto twist = [&](std::initializer_list<const char*> points, Aspect aspect, double width) {
            MeasureDefinition d = of(MeasureKind::twist, points, aspect);
            d.per = {*pointFromText("left_hip"), *pointFromText("neck")};
            d.fullWidth = width / kTrunk;
            d.fullWidthSigma = 0.01;
            return d;
        };
        all.push_back({"twist", twist({"left_hip", "neck", "left_shoulder"}, Aspect::turned, kReach), body, phase,
                       phi(phase.at("here")), 0.2});
        all.push_back({"twist of two edges",
                       twist({"left_hip", "neck", "left_shoulder", "right_shoulder"}, Aspect::turned, 2 * kReach), body,
                       phase, phi(phase.at("here")), 0.2});
        all.push_back({"twist rate", twist({"left_hip", "neck", "left_shoulder"}, Aspect::rate, kReach), body, phase,
                       faster(phase.at("here")), 2.0});
        MeasureDefinition most =
            twist({"left_hip", "neck", "left_shoulder", "right_shoulder"}, Aspect::rate, 2 * kReach);
        most.reduction = Reduction::max;
        all.push_back({"twist rate max", most, body, phase, faster(1.25), 4.0});
    }
    const Body two = {{"left_wrist", circle}, {"left_hip", still(0.5, 1)}, {"right_hip", still(2.5, 1)}};
    const Place there = circle(phase.at("here"));
    all.push_back({"amid", of(MeasureKind::amid, {"left_wrist", "left_hip", "right_hip"}, Aspect::share), two, phase,
                   (there.x() - 0.5) / 2.0, 0.0005});
    all.push_back(
        {"amid off",
         metres(along(of(MeasureKind::amid, {"left_wrist", "left_hip", "right_hip"}, Aspect::off), Direction::up)), two,
         phase, there.y() - 1.0, 0.001});
    return all;
}

} // namespace

class TestClosedForm : public QObject {
    Q_OBJECT
private slots:
    void everyKindThroughTheWholeChain() {
        constexpr int kDraws = 40;
        std::set<MeasureKind> seen;
        for (const Case& c : everyCase()) {
            QVERIFY2(problemOf(c.d).empty(), (c.name + ": " + problemOf(c.d)).c_str());
            seen.insert(c.d.kind);
            int within = 0;
            double off = 0.0, meanU = 0.0;
            for (unsigned draw = 0; draw < kDraws; ++draw) {
                const Filmed f = film(c, 100 + draw);
                const auto v = evaluate(c.d, f.motion, f.positions, f.setup);
                QVERIFY2(!v.refused, (c.name + ": " + v.reason).c_str());
                QVERIFY2(v.uShared <= v.u + 1e-12, c.name.c_str());
                within += std::abs(v.value - c.truth) <= 1.96 * v.u + c.least;
                off += (v.value - c.truth) / kDraws;
                meanU += v.u / kDraws;
            }
            const QString said = QString("%1: truth %2, mean off %3, u %4, %5 of %6 within")
                                     .arg(QString::fromStdString(c.name))
                                     .arg(c.truth)
                                     .arg(off)
                                     .arg(meanU)
                                     .arg(within)
                                     .arg(kDraws);
            qInfo("%s", qPrintable(said));
            QVERIFY2(within >= 34, qPrintable(said)); // 95 % of 40 by chance: 34 and more in 98 of 100
            QVERIFY2(std::abs(off) <= 0.7 * meanU + c.least, qPrintable(said));
        }
        // What is read over reps or noted by eye has its own tests below.
        for (std::size_t i = 0; i < kMeasureKindNames.size(); ++i) {
            const auto kind = static_cast<MeasureKind>(i);
            QVERIFY2(seen.contains(kind) || isAcrossReps(kind) || isNoted(kind), kMeasureKindNames[i].data());
        }
    }
    void overReps() {
        // 400 sets of twelve reps: an athlete who varies by 3 and drifts by 4 over them, marked with an error of 2.
        std::mt19937 random(5);
        std::normal_distribution<double> normal(0.0, 1.0);
        double spread = 0.0, drift = 0.0;
        for (int set = 0; set < 400; ++set) {
            std::vector<double> values, drifting, when;
            for (int i = 0; i < 12; ++i) {
                values.push_back(50 + 3 * normal(random) + 2 * normal(random));
                drifting.push_back(50 + 4.0 * i / 11 + 2 * normal(random));
                when.push_back(i);
            }
            spread += spreadOf(values, std::vector<double>(12, 2.0))->athlete / 400;
            drift += driftOf(when, drifting)->change / 400;
        }
        QVERIFY2(std::abs(spread - 3) < 0.15, qPrintable(QString::number(spread)));
        QVERIFY2(std::abs(drift - 4) < 0.3, qPrintable(QString::number(drift)));
        RepFacts facts;
        facts.seen["heel"] = 0.5;
        facts.effect = 1.0;
        facts.choice = 0.0;
        auto d = of(MeasureKind::seen, {});
        d.checkpoint = "heel";
        const auto noted = [&](MeasureKind kind) {
            d.kind = kind;
            d.aspect = Aspect::worked;
            return evaluate(d, Motion(), {}, ViewSetup(), facts).value;
        };
        QVERIFY(noted(MeasureKind::seen) == 0.5 && noted(MeasureKind::effect) == 1.0 &&
                noted(MeasureKind::choice) == 0.0);
    }
};

QTEST_APPLESS_MAIN(TestClosedForm)
#include "test_closed_form.moc"
