// Kinds read on a frame and what is reduced over a phase: values by hand, uncertainties against draws (JCGM 101:2008).

#include "core/measure/evaluate.h"

#include <QTest>

#include <cmath>
#include <numbers>
#include <random>

using namespace riflesso;

namespace {

using Places = std::map<std::string, Pixel>;
constexpr double kDegree = std::numbers::pi / 180.0;

MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> points) {
    MeasureDefinition d;
    d.id = "m";
    d.kind = kind;
    if (const auto ways = aspectsOf(kind); !ways.empty())
        d.aspect = ways.front();
    d.at = "here";
    d.until = "there";
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    return d;
}

Motion still(const Places& places, double sigma) {
    TrackSet tracks;
    for (const auto& [name, p] : places)
        tracks[name][FrameIndex(0)] = {p, sigma, How::hand};
    return toMotion(tracks, Timebase::constant(2, Hertz(120)));
}

// A left-hander seen from the side, facing right; shoulders 200 px of a trunk of 240 px when face-on.
const Places kBody = {{"left_hip", {300, 400}},   {"neck", {330, 165}},           {"left_shoulder", {360, 180}},
                      {"left_elbow", {440, 210}}, {"left_wrist", {500, 150}},     {"left_knee", {340, 510}},
                      {"left_ankle", {310, 620}}, {"right_shoulder", {310, 170}}, {"head", {345, 120}},
                      {"left_toe", {360, 640}},   {"right_hip", {290, 402}}};
const ViewSetup kSide{View::side, Facing::right, Side::left};

MeasureDefinition turnOfShoulders() {
    auto d = of(MeasureKind::turn, {"left_shoulder", "right_shoulder"});
    d.per = {*pointFromText("left_hip"), *pointFromText("neck")};
    d.fullWidth = 0.8;
    d.fullWidthSigma = 0.03;
    return d;
}

std::vector<std::pair<const char*, MeasureDefinition>> kinds() {
    auto open = of(MeasureKind::between, {"left_hip", "neck", "left_shoulder", "left_elbow"});
    auto turned = open;
    turned.reading = AngleReading::turned;
    auto elbow = of(MeasureKind::angle, {"left_shoulder", "left_elbow", "left_wrist"});
    elbow.reading = AngleReading::turned;
    auto lengths = of(MeasureKind::stack, {"left_ankle", "left_knee", "left_hip", "neck"});
    lengths.per = {*pointFromText("left_hip"), *pointFromText("neck")};
    auto rms = of(MeasureKind::stack, {"left_ankle", "left_knee", "left_hip", "neck", "head"});
    rms.rms = true;
    auto own = of(MeasureKind::stack, {"left_ankle", "left_knee", "left_hip", "neck"});
    own.ownLine = true;
    return {{"between", open},
            {"between, signed", turned},
            {"angle, signed", elbow},
            {"clock", of(MeasureKind::clock, {"left_elbow", "left_wrist"})},
            {"stack in trunks", lengths},
            {"stack, RMS", rms},
            {"stack, own line", own},
            {"roll", of(MeasureKind::roll, {"right_shoulder", "left_shoulder"})},
            {"turn", turnOfShoulders()}};
}

// A line of 100 px that swings about its lower end: 20 + 30 sin(2π t) degrees off the vertical.
TrackSet swing(double noise, unsigned seed, double sigma) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0.0, noise);
    TrackSet tracks;
    for (int f = 0; f < 140; ++f) {
        const double a = (20.0 + 30.0 * std::sin(2.0 * std::numbers::pi * f / 120.0)) * kDegree;
        const auto e = [&] { return noise > 0.0 ? normal(random) : 0.0; };
        tracks["left_hip"][FrameIndex(f)] = {{300 + e(), 400 + e()}, sigma, How::hand};
        tracks["neck"][FrameIndex(f)] = {
            {300 + 100 * std::sin(a) + e(), 400 - 100 * std::cos(a) + e()}, sigma, How::hand};
    }
    return tracks;
}

MeasureDefinition leanOver(Reduction r) {
    auto d = of(MeasureKind::lean, {"left_hip", "neck"});
    d.direction = Direction::forward;
    d.reduction = r;
    return d;
}
const Positions kSwing = {{"here", {FrameIndex(10), {}}}, {"there", {FrameIndex(115), {}}}};

// The truth on the frames 10 to 115: highest at 30, lowest at 90.
double truthOf(Reduction r) {
    switch (r) {
    case Reduction::min:
        return -10.0;
    case Reduction::max:
        return 50.0;
    case Reduction::range:
        return 60.0;
    case Reduction::shareOfMax:
        return (20.0 + 30.0 * std::sin(2.0 * std::numbers::pi * 115 / 120)) / 50.0;
    case Reduction::timeOfMax:
        return 20.0 / 120.0;
    case Reduction::timeOfMin:
        return 80.0 / 120.0;
    case Reduction::justBefore: // at 10, as if something stopped it there
        return 20.0 + 30.0 * std::sin(2.0 * std::numbers::pi * 10 / 120);
    default: { // ∫ over the span
        const double a = 2.0 * std::numbers::pi * 10 / 120, b = 2.0 * std::numbers::pi * 115 / 120;
        return 20.0 + 30.0 * (std::cos(a) - std::cos(b)) / (b - a);
    }
    }
}

} // namespace

class TestKinds : public QObject {
    Q_OBJECT
private slots:
    // Four joints one over the other: marks' errors put them off to either side, and the largest of three further. The
    // same without taking that off would read 1.3 px on average.
    void aStackThatIsStraightReadsAsStraight() {
        std::mt19937 random(4);
        std::normal_distribution<double> normal(0.0, 1.0);
        double mean = 0.0;
        int within = 0;
        for (int i = 0; i < 1000; ++i) {
            Places p;
            int y = 600;
            for (const char* n : {"left_ankle", "left_knee", "left_hip", "neck"})
                p[n] = {300 + normal(random), (y -= 100) + normal(random)};
            const auto r = readAt(of(MeasureKind::stack, {"left_ankle", "left_knee", "left_hip", "neck"}),
                                  still(p, 1.0), FrameIndex(0), kSide);
            QVERIFY(r.ok());
            mean += r->value / 1000.0;
            within += r->value <= 1.96 * r->u;
        }
        QVERIFY2(mean < 0.8, qPrintable(QString::number(mean)));
        QVERIFY(within >= 940);
    }
    // Still before a contact, fast after it: how far the instant can be off counts on both sides.
    void theSlopesBeforeAndAfterAContact() {
        TrackSet tracks;
        for (int f = 0; f < 40; ++f) {
            const double a = std::max(0, f - 20) * 0.01; // rad
            tracks["left_hip"][FrameIndex(f)] = {{300, 400}, 0.5, How::hand};
            tracks["neck"][FrameIndex(f)] = {{300 + 100 * std::sin(a), 400 - 100 * std::cos(a)}, 0.5, How::hand};
        }
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const Motion m = toMotion(tracks, Timebase::constant(40, Hertz(100)), raw);
        const auto v = evaluate(leanOver(Reduction::at), m, {{"here", {FrameIndex(20), 0.01}}}, kSide);
        const double after = 1.0 / kDegree; // degrees a second
        QVERIFY(std::abs(v.rate - after / 2.0) < 1e-6);
        QVERIFY(std::abs(v.uTime - std::sqrt(0.5) * after * 0.01) < 1e-6);
    }
    void valuesByHand() {
        const Motion m = still(kBody, 1.0);
        const auto at = [&](const MeasureDefinition& d, const ViewSetup& s = kSide) {
            const auto r = readAt(d, m, FrameIndex(0), s);
            return r ? r->value : std::nan("");
        };
        const double trunk = std::atan2(235, 30) / kDegree, arm = std::atan2(-30, 80) / kDegree; // from forward to up
        auto open = of(MeasureKind::between, {"left_hip", "neck", "left_shoulder", "left_elbow"});
        QVERIFY(std::abs(at(open) - (trunk - arm)) < 1e-9);
        open.reading = AngleReading::flexion;
        QVERIFY(std::abs(at(open) - (180 - trunk + arm)) < 1e-9);
        open.reading = AngleReading::turned;
        QVERIFY(std::abs(at(open) - (arm - trunk)) < 1e-9); // from the trunk down to the arm
        // Facing the other way the same picture is read from the other side.
        QVERIFY(std::abs(at(open, {View::side, Facing::left, Side::left}) + arm - trunk) < 1e-9);
        auto elbow = of(MeasureKind::angle, {"left_shoulder", "left_elbow", "left_wrist"});
        const double included = at(elbow);
        elbow.reading = AngleReading::turned;
        QVERIFY(std::abs(std::abs(at(elbow)) - included) < 1e-9);
        // The forearm points up and forward by 45°: 1.5 on the dial.
        QVERIFY(std::abs(at(of(MeasureKind::clock, {"left_elbow", "left_wrist"})) - 1.5) < 1e-9);
        QVERIFY(std::abs(at(of(MeasureKind::clock, {"left_hip", "left_ankle"})) -
                         6.0 / std::numbers::pi * std::atan2(10, -220)) < 1e-9); // a little before six
        auto stack = of(MeasureKind::stack, {"left_ankle", "left_knee", "left_hip", "neck"});
        QCOMPARE(at(stack), 30.0);
        stack.rms = true;
        QVERIFY(std::abs(at(stack) - std::sqrt((900.0 + 100.0 + 400.0) / 3.0)) < 1e-9);
        auto own = of(MeasureKind::stack, {"left_ankle", "left_knee", "left_hip"});
        own.ownLine = true;
        QVERIFY(std::abs(at(own) - (30 * 220 + 110 * 10) / std::hypot(10, 220)) < 1e-9);
        QVERIFY(std::abs(at(of(MeasureKind::roll, {"right_shoulder", "left_shoulder"})) +
                         std::atan2(10, 50) / kDegree) < 1e-9);
        auto turn = turnOfShoulders();
        const double full = 0.8 * std::hypot(30, 235);
        QVERIFY(std::abs(at(turn) - std::acos(50 / full) / kDegree) < 1e-9);
        turn.points.push_back(*pointFromText("right_shoulder"));
        turn.points.push_back(*pointFromText("left_shoulder"));
        QVERIFY(!problemOf(turn).empty()); // the cue needs a direction
        turn.direction = Direction::forward;
        QVERIFY(std::abs(at(turn) + std::acos(50 / full) / kDegree) < 1e-9); // the right shoulder is behind
    }
    void uncertaintyAgreesWithDraws_data() {
        QTest::addColumn<int>("which");
        for (std::size_t i = 0; i < kinds().size(); ++i)
            QTest::newRow(kinds()[i].first) << static_cast<int>(i);
    }
    void uncertaintyAgreesWithDraws() {
        QFETCH(int, which);
        const auto d = kinds()[static_cast<std::size_t>(which)].second;
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        constexpr double kSigma = 1.5;
        const auto stated = readAt(d, still(kBody, kSigma), FrameIndex(0), kSide);
        QVERIFY2(stated.ok(), stated ? "" : stated.error().text().c_str());
        std::mt19937 random(7);
        std::normal_distribution<double> normal(0.0, 1.0);
        double sum = 0.0, square = 0.0;
        constexpr int kDraws = 10000;
        for (int i = 0; i < kDraws; ++i) {
            Places moved;
            for (const auto& [name, p] : kBody)
                moved[name] = {p.x + kSigma * normal(random), p.y + kSigma * normal(random)};
            auto drawn = d;
            drawn.fullWidth += d.fullWidthSigma * normal(random);
            const double v = readAt(drawn, still(moved, kSigma), FrameIndex(0), kSide)->value;
            sum += v / kDraws;
            square += v * v / kDraws;
        }
        const double sd = std::sqrt(square - sum * sum);
        QVERIFY2(std::abs(stated->u / sd - 1) < 0.05, qPrintable(QString("%1, drawn %2").arg(stated->u).arg(sd)));
    }
    // The turn's error grows towards face-on, and a line wider than it can be is refused.
    void turnNearFaceOn() {
        double before = 0.0;
        for (const double degrees : {70.0, 45.0, 25.0, 10.0}) {
            Places body = kBody;
            const double full = 0.8 * std::hypot(30, 235);
            body["right_shoulder"] = {body["left_shoulder"].x - full * std::cos(degrees * kDegree), 170};
            const auto r = readAt(turnOfShoulders(), still(body, 1.5), FrameIndex(0), kSide);
            QVERIFY(r && std::abs(r->value - degrees) < 1e-6);
            QVERIFY2(r->u > 1.2 * before, qPrintable(QString::number(r->u)));
            before = r->u;
        }
        QVERIFY(before > 5.0);
        Places wide = kBody;
        wide["right_shoulder"] = {wide["left_shoulder"].x - 260, 170};
        const auto r = readAt(turnOfShoulders(), still(wide, 1.5), FrameIndex(0), kSide);
        QVERIFY(!r && r.error().text().find("wider") != std::string::npos);
    }
    void reducedOverAPhase() {
        MotionOptions none;
        none.cutoff = CutoffNone{};
        const Motion m = toMotion(swing(0.0, 1, 0.5), Timebase::constant(140, Hertz(120)), none);
        for (const auto r : {Reduction::min, Reduction::max, Reduction::range, Reduction::mean, Reduction::timeOfMin,
                             Reduction::timeOfMax}) {
            const auto v = evaluate(leanOver(r), m, kSwing, kSide);
            QVERIFY2(!v.refused, v.reason.c_str());
            const bool time = r == Reduction::timeOfMin || r == Reduction::timeOfMax;
            QVERIFY2(std::abs(v.value - truthOf(r)) < (time ? 1e-4 : 0.05),
                     qPrintable(QString("%1: %2").arg(int(r)).arg(v.value)));
            QVERIFY(v.u > 0.0 && !v.frames.empty());
        }
        QCOMPARE(evaluate(leanOver(Reduction::max), m, kSwing, kSide).frames.front().value, 30);
        // At the edge of the phase the edge's own instant counts.
        const Positions rising = {{"here", {FrameIndex(0), 0.004}}, {"there", {FrameIndex(20), 0.004}}};
        const auto edge = evaluate(leanOver(Reduction::max), m, rising, kSide);
        const double rate = 30.0 * 2.0 * std::numbers::pi * std::cos(2.0 * std::numbers::pi * 20 / 120);
        QVERIFY(std::abs(edge.uTime - 0.004 * rate) < 0.03);
        // What is not there is said.
        const auto why = [&](const Positions& p) { return evaluate(leanOver(Reduction::max), m, p, kSide).reason; };
        QVERIFY(why({{"here", {FrameIndex(9), {}}}}).find("not placed") != std::string::npos);
        QVERIFY(why({{"here", {FrameIndex(9), {}}}, {"there", {FrameIndex(5), {}}}}).find("does not lie after") !=
                std::string::npos);
        TrackSet gap = swing(0.0, 1, 0.5);
        for (int f = 40; f < 70; ++f)
            gap["neck"].erase(FrameIndex(f));
        const auto v =
            evaluate(leanOver(Reduction::max), toMotion(gap, Timebase::constant(140, Hertz(120)), none), kSwing, kSide);
        QVERIFY(v.refused && v.reason.find("only 76 of 106 frames") != std::string::npos);
        auto time = leanOver(Reduction::timeOfMax);
        QVERIFY(isTime(time) && !isAngle(time) && needsUntil(time) && unitOf(time) == "s");
        std::vector<double> times;
        for (int i = 0; i < 140; ++i)
            times.push_back(i / 30.0);
        const Motion unknown = toMotion(swing(0.0, 1, 0.5), *Timebase::make(times, std::nullopt), none);
        QVERIFY(evaluate(time, unknown, kSwing, kSide).reason.find("capture rate") != std::string::npos);
    }
    // A dial that passes six does not jump.
    void roundTheDial() {
        TrackSet tracks;
        for (int f = 0; f < 20; ++f) {
            const double a = (150.0 + 4.0 * f) * kDegree; // from 12 clockwise: past 180°
            tracks["left_elbow"][FrameIndex(f)] = {{300, 300}, 0.5, How::hand};
            tracks["left_wrist"][FrameIndex(f)] = {{300 + 80 * std::sin(a), 300 - 80 * std::cos(a)}, 0.5, How::hand};
        }
        MotionOptions none;
        none.cutoff = CutoffNone{};
        auto d = of(MeasureKind::clock, {"left_elbow", "left_wrist"});
        d.reduction = Reduction::range;
        const auto v = evaluate(d, toMotion(tracks, Timebase::constant(20, Hertz(120)), none),
                                {{"here", {FrameIndex(0), {}}}, {"there", {FrameIndex(19), {}}}}, kSide);
        QVERIFY(std::abs(v.value - 19 * 4.0 / 30.0) < 5e-3);
    }
    // 400 films marked by hand: how often the truth lies within u and 2u.
    void reductionsAreHonest_data() {
        QTest::addColumn<int>("reduction");
        for (std::size_t i = 1; i < kReductionNames.size(); ++i)
            QTest::newRow(std::string(kReductionNames[i]).c_str()) << static_cast<int>(i);
    }
    void reductionsAreHonest() {
        QFETCH(int, reduction);
        const auto r = static_cast<Reduction>(reduction);
        int one = 0, two = 0;
        constexpr int kFilms = 400;
        for (int i = 0; i < kFilms; ++i) {
            const Motion m =
                toMotion(swing(1.5, 100 + static_cast<unsigned>(i), 1.5), Timebase::constant(140, Hertz(120)));
            const auto v = evaluate(leanOver(r), m, kSwing, kSide);
            QVERIFY(!v.refused);
            const double off = std::abs(v.value - truthOf(r));
            one += off <= v.u;
            two += off <= 1.96 * v.u;
        }
        qInfo("%.0f %% within u, %.0f %% within 1.96 u", 100.0 * one / kFilms, 100.0 * two / kFilms);
        QVERIFY2(two >= 0.91 * kFilms, qPrintable(QString::number(two)));
    }
    void shapesThatAreWrong() {
        QVERIFY(!problemOf(of(MeasureKind::between, {"neck", "head"})).empty());
        QVERIFY(!problemOf(of(MeasureKind::stack, {"neck"})).empty());
        auto own = of(MeasureKind::stack, {"neck", "head"});
        own.ownLine = true;
        QVERIFY(!problemOf(own).empty());
        QVERIFY(!problemOf(of(MeasureKind::turn, {"left_hip", "right_hip"})).empty()); // no full width
        auto interval = of(MeasureKind::interval, {});
        interval.reduction = Reduction::max;
        QVERIFY(!problemOf(interval).empty());
        auto lean = leanOver(Reduction::at);
        lean.reading = AngleReading::turned;
        QVERIFY(!problemOf(lean).empty());
        QCOMPARE(unitOf(of(MeasureKind::clock, {"neck", "head"})), std::string("h"));
        QCOMPARE(unitOf(of(MeasureKind::roll, {"neck", "head"})), std::string("°"));
    }
};
QTEST_GUILESS_MAIN(TestKinds)
#include "test_kinds.moc"
