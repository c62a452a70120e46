#include "core/measure/evaluate.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

MeasureDefinition of(MeasureKind kind, std::initializer_list<const char*> points,
                     std::optional<Direction> direction = {}) {
    MeasureDefinition d;
    d.id = "m";
    d.kind = kind;
    if (const auto ways = aspectsOf(kind); !ways.empty())
        d.aspect = ways.front();
    d.direction = direction;
    d.at = "here";
    d.until = "there";
    for (const char* p : points)
        d.points.push_back(*pointFromText(p));
    return d;
}

using Places = std::map<std::string, Pixel>;

Motion still(const Places& places, double sigma, int frame = 0, int frames = 60) {
    TrackSet tracks;
    for (const auto& [name, p] : places)
        tracks[name][FrameIndex(frame)] = {p, sigma, How::hand};
    return toMotion(tracks, Timebase::constant(frames, Hertz(120)));
}

const Places kLeg = {{"left_hip", {300, 200}},  {"left_knee", {340, 310}}, {"left_ankle", {300, 420}},
                     {"right_hip", {290, 205}}, {"neck", {330, 60}},       {"head", {335, 20}},
                     {"left_toe", {360, 435}}};

} // namespace

class TestEvaluate : public QObject {
    Q_OBJECT
private slots:
    void plainGeometry() {
        QVERIFY(std::abs(includedAngle({0, 1}, {0, 0}, {1, 0}).value - 90) < 1e-12);
        QVERIFY(std::abs(includedAngle({0, 1}, {0, 0}, {0, -3}).value - 180) < 1e-12);
        QVERIFY(std::abs(includedAngle({1, 0}, {0, 0}, {1, 1e-9}).value) < 1e-6); // no loss of sense near 0
        QVERIFY(std::isnan(includedAngle({0, 0}, {0, 0}, {1, 0}).value));
        // y down: up is negative. Leaning 30° towards +x.
        const Eigen::Vector2d top(std::sin(M_PI / 6), -std::cos(M_PI / 6));
        QVERIFY(std::abs(leanFromVertical({0, 0}, top, {1, 0}).value - 30) < 1e-12);
        QVERIFY(std::abs(leanFromVertical({0, 0}, top, {-1, 0}).value + 30) < 1e-12);
        QCOMPARE(along({5, 2}, {1, 2}, {1, 0}), 4.0);
    }
    void directionsInThePicture() {
        QCOMPARE(inPicture(Direction::forward, {View::side, Facing::left, Side::right})->x(), -1.0);
        QCOMPARE(inPicture(Direction::forward, {View::side, Facing::right, Side::right})->x(), 1.0);
        QVERIFY(!inPicture(Direction::forward, {View::front, Facing::camera, Side::right}));
        QVERIFY(!inPicture(Direction::across, {View::side, Facing::left, Side::right}));
        // A front view mirrors: the right-hander's lead side is on the left of the picture.
        QCOMPARE(inPicture(Direction::across, {View::front, Facing::camera, Side::right})->x(), -1.0);
        QCOMPARE(inPicture(Direction::across, {View::front, Facing::camera, Side::left})->x(), 1.0);
        QCOMPARE(inPicture(Direction::up, {View::front, Facing::camera, Side::left})->y(), -1.0);
    }
    void everyKindGivesItsValue() {
        const Motion m = still(kLeg, 1.0);
        const ViewSetup right{View::side, Facing::right, Side::left}; // a left-hander: lead = left
        const auto at = [&](const MeasureDefinition& d) { return readAt(d, m, FrameIndex(0), right)->value; };
        auto knee = of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"});
        QVERIFY(std::abs(at(knee) - 2 * std::atan2(110, 40) * 180 / M_PI) < 1e-9);
        const double included = at(knee);
        knee.reading = AngleReading::flexion;
        QVERIFY(std::abs(at(knee) + included - 180) < 1e-12);
        QVERIFY(std::abs(at(of(MeasureKind::lean, {"lead_hip", "neck"}, Direction::forward)) -
                         std::atan2(30, 140) * 180 / M_PI) < 1e-9);
        QVERIFY(std::abs(at(of(MeasureKind::ratio, {"lead_hip", "lead_knee", "lead_knee", "lead_ankle"})) - 1) < 1e-12);
        QCOMPARE(at(of(MeasureKind::offset, {"lead_toe", "lead_ankle"}, Direction::forward)), 60.0);
        QCOMPARE(at(of(MeasureKind::offset, {"neck", "lead_hip"}, Direction::up)), 140.0);
        auto order = of(MeasureKind::order, {"lead_knee", "lead_hip"}, Direction::forward);
        QCOMPARE(at(order), 40.0); // the knee leads
        order.per = {*pointFromText("lead_hip"), *pointFromText("lead_knee")};
        QVERIFY(std::abs(at(order) - 40 / std::hypot(40, 110)) < 1e-12);
        // The middle of two landmarks.
        QVERIFY(std::abs(at(of(MeasureKind::offset, {"lead_hip+rear_hip", "lead_ankle"}, Direction::forward)) + 5) <
                1e-12);
    }
    void leftHandersAreMirrored() {
        // The mirrored picture of a left-hander gives what the right-hander gives.
        Places other;
        for (const auto& [name, p] : kLeg)
            other[mirrored(name)] = {1280 - p.x, p.y};
        for (const auto& d : {of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"}),
                              of(MeasureKind::lean, {"lead_hip", "neck"}, Direction::forward),
                              of(MeasureKind::order, {"lead_knee", "lead_hip"}, Direction::forward)}) {
            const double a = readAt(d, still(kLeg, 1), FrameIndex(0), {View::side, Facing::right, Side::left})->value;
            const double b = readAt(d, still(other, 1), FrameIndex(0), {View::side, Facing::left, Side::right})->value;
            QVERIFY(std::abs(a - b) < 1e-9);
        }
    }
    void uncertaintyAgreesWithMonteCarlo_data() {
        QTest::addColumn<int>("which");
        for (int i = 0; i < 6; ++i)
            QTest::newRow(qPrintable(QString::number(i))) << i;
    }
    void uncertaintyAgreesWithMonteCarlo() {
        // JCGM 101:2008: 10,000 draws. First order is good here since σ is small against the segments; 4 % is three
        // standard errors of a standard deviation from 10,000 draws plus the second-order part.
        QFETCH(int, which);
        auto perOffset = of(MeasureKind::offset, {"lead_knee", "lead_toe"}, Direction::forward);
        perOffset.per = {*pointFromText("lead_knee"), *pointFromText("lead_ankle")};
        const MeasureDefinition all[] = {
            of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"}),
            of(MeasureKind::lean, {"lead_hip+rear_hip", "neck"}, Direction::forward),
            of(MeasureKind::ratio, {"head", "neck", "lead_knee", "lead_ankle"}),
            perOffset,
            of(MeasureKind::order, {"lead_knee", "lead_hip"}, Direction::forward),
            of(MeasureKind::ratio, {"lead_hip", "lead_ankle", "lead_hip", "lead_knee"})}; // a shared landmark
        const auto& d = all[which];
        const ViewSetup setup{View::side, Facing::right, Side::left};
        constexpr double kSigma = 1.5;
        const auto stated = readAt(d, still(kLeg, kSigma), FrameIndex(0), setup);
        QVERIFY(stated);
        std::mt19937 random(77);
        std::normal_distribution<double> normal(0, kSigma);
        double sum = 0, square = 0;
        constexpr int kDraws = 10000;
        for (int i = 0; i < kDraws; ++i) {
            Places moved;
            for (const auto& [name, p] : kLeg)
                moved[name] = {p.x + normal(random), p.y + normal(random)};
            const double v = readAt(d, still(moved, kSigma), FrameIndex(0), setup)->value;
            sum += v;
            square += v * v;
        }
        const double sd = std::sqrt(square / kDraws - sum / kDraws * sum / kDraws);
        QVERIFY2(std::abs(stated->u / sd - 1) < 0.04,
                 qPrintable(QString("stated %1, drawn %2").arg(stated->u).arg(sd)));
    }
    void theInstantCounts() {
        // The shank turns at a known rate: u holds rate × period/√12.
        TrackSet tracks;
        const double rate = 600; // °/s
        for (int f = 0; f < 60; ++f) {
            const double a = rate * (f - 30) / 120.0 * M_PI / 180;
            tracks["left_hip"][FrameIndex(f)] = {{300, 200}, 0.2, How::hand};
            tracks["left_knee"][FrameIndex(f)] = {{300, 320}, 0.2, How::hand};
            tracks["left_ankle"][FrameIndex(f)] = {
                {300 + 120 * std::sin(a + 1), 320 + 120 * std::cos(a + 1)}, 0.2, How::hand};
        }
        MotionOptions none;
        none.cutoff = CutoffNone{};
        const Motion m = toMotion(tracks, Timebase::constant(60, Hertz(120)), none);
        const auto v = evaluate(of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"}), m,
                                {{"here", {FrameIndex(30), {}}}}, {View::side, Facing::right, Side::left});
        QVERIFY(!v.refused);
        QVERIFY(std::abs(std::abs(v.rate) - rate) < 5);
        QVERIFY(std::abs(v.uTime - rate / 120 / std::sqrt(12.0)) < 0.05);
        QVERIFY(std::abs(v.u - std::hypot(v.uMarks, v.uTime)) < 1e-12);
        QCOMPARE(v.frames.front().value, 30);
        // A position that is surer, or less sure, than its frame says so.
        const auto sure = evaluate(of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"}), m,
                                   {{"here", {FrameIndex(30), 0.0001}}}, {View::side, Facing::right, Side::left});
        QVERIFY(std::abs(sure.uTime - rate * 0.0001) < 0.01);
    }
    void sparseMarksBoundTheRate() {
        // Only two positions are marked: the slope between them stands in, and is not taken for zero.
        TrackSet tracks;
        for (const auto& [f, x] : {std::pair{10, 300.0}, std::pair{40, 420.0}}) {
            tracks["left_hip"][FrameIndex(f)] = {{300, 200}, 1, How::hand};
            tracks["left_knee"][FrameIndex(f)] = {{300, 320}, 1, How::hand};
            tracks["left_ankle"][FrameIndex(f)] = {{x, 400}, 1, How::hand};
        }
        const Motion m = toMotion(tracks, Timebase::constant(60, Hertz(120)));
        const auto knee = of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"});
        const ViewSetup setup{View::side, Facing::right, Side::left};
        const Positions both = {{"here", {FrameIndex(10), {}}}, {"there", {FrameIndex(40), {}}}};
        QVERIFY(evaluate(knee, m, both, setup).uTime > 0);
        const auto alone = evaluate(knee, m, {{"here", {FrameIndex(10), {}}}}, setup);
        QVERIFY(!alone.refused && alone.uTime == 0.0);
        QVERIFY(alone.reason.find("not counted") != std::string::npos); // and it says so
    }
    void intervals() {
        std::vector<double> times;
        for (int i = 0; i < 100; ++i)
            times.push_back(i / 30.0);
        const Positions p = {{"here", {FrameIndex(20), {}}}, {"there", {FrameIndex(44), {}}}};
        const auto d = of(MeasureKind::interval, {});
        const auto known = evaluate(d, Motion({}, *Timebase::make(times, Hertz(120))), p, {});
        QVERIFY(!known.refused);
        QVERIFY(std::abs(known.value - 24 / 120.0) < 1e-12);
        QVERIFY(std::abs(known.u - std::sqrt(2.0) / 120 / std::sqrt(12.0)) < 1e-12); // √2 times an instant's
        const auto unknown = evaluate(d, Motion({}, *Timebase::make(times, std::nullopt)), p, {});
        QVERIFY(unknown.refused && unknown.reason.find("capture rate") != std::string::npos);
        Positions backwards = {{"here", {FrameIndex(44), {}}}, {"there", {FrameIndex(20), {}}}};
        QVERIFY(evaluate(d, Motion({}, *Timebase::make(times, Hertz(120))), backwards, {}).value < 0);
    }
    void refusalsSayWhy() {
        const Motion m = still(kLeg, 1);
        const ViewSetup side{View::side, Facing::right, Side::left};
        auto knee = of(MeasureKind::angle, {"lead_hip", "lead_knee", "lead_ankle"});
        const auto reason = [&](const MeasureDefinition& d, const Positions& p, const ViewSetup& s) {
            const auto v = evaluate(d, m, p, s);
            return v.refused ? v.reason : std::string("not refused");
        };
        const Positions here = {{"here", {FrameIndex(0), {}}}};
        QVERIFY(reason(knee, {}, side).find("not placed") != std::string::npos);
        QVERIFY(reason(knee, here, {View::front, Facing::camera, Side::left}).find("view from the side") !=
                std::string::npos);
        QVERIFY(reason(of(MeasureKind::angle, {"lead_hip", "lead_elbow", "lead_ankle"}), here, side)
                    .find("left elbow is not marked") != std::string::npos);
        QVERIFY(reason(knee, {{"here", {FrameIndex(3), {}}}}, side).find("not marked") != std::string::npos);
        QVERIFY(reason(of(MeasureKind::angle, {"lead_hip"}), here, side).find("needs 3 points") != std::string::npos);
        Places same = kLeg;
        same["left_ankle"] = same["left_knee"];
        const auto v = evaluate(knee, still(same, 1), here, side);
        QVERIFY(v.refused && v.reason.find("lie on one another") != std::string::npos);
        QVERIFY(reason(of(MeasureKind::interval, {}), here, side).find("there") != std::string::npos);
    }
    void seriesHasRates() {
        TrackSet tracks;
        for (int f = 0; f < 40; ++f) {
            tracks["left_hip"][FrameIndex(f)] = {{300, 200}, 1, How::hand};
            tracks["neck"][FrameIndex(f)] = {{300.0 + 2 * f, 60}, 1, How::hand};
        }
        MotionOptions none;
        none.cutoff = CutoffNone{};
        const auto s = series(of(MeasureKind::offset, {"neck", "left_hip"}, Direction::forward),
                              toMotion(tracks, Timebase::constant(40, Hertz(100)), none), {});
        QCOMPARE(s.size(), std::size_t(40));
        for (const auto& x : s)
            QVERIFY(std::abs(x.rate - 200) < 1e-9); // 2 px a frame at 100 Hz
        QVERIFY(
            series(of(MeasureKind::interval, {}), toMotion(tracks, Timebase::constant(40, Hertz(100))), {}).empty());
        QVERIFY(series(of(MeasureKind::offset, {"head", "left_hip"}, Direction::forward),
                       toMotion(tracks, Timebase::constant(40, Hertz(100))), {})
                    .empty());
    }
    // A camera tilted by 5°: every lean is 5° wrong until the plumb line sets it right, and its error counts.
    void aPlumbLineSetsLeansRight() {
        const double tilt = 5 * M_PI / 180;
        CalibrationInput in;
        in.plumb = {{400, 600}, {400 + 500 * std::sin(tilt), 600 - 500 * std::cos(tilt)}};
        const auto made = Calibration::make(in, 1280, 720);
        ViewSetup setup{View::side, Facing::right, Side::left};
        const auto lean = of(MeasureKind::lean, {"left_hip", "neck"}, Direction::forward);
        const Motion motion =
            still({{"left_hip", {300, 400}}, {"neck", {300 + 200 * std::sin(tilt), 400 - 200 * std::cos(tilt)}}}, 1.5);
        const Positions here{{"here", {FrameIndex(0), 0.0}}};
        const auto raw = evaluate(lean, motion, here, setup);
        QVERIFY(std::abs(raw.value - 5) < 1e-9);
        setup.calibration = std::make_shared<const Calibration>(*made);
        const auto upright = evaluate(lean, motion, here, setup);
        QVERIFY(std::abs(upright.value) < 1e-9);
        QVERIFY(std::abs(upright.u - std::hypot(raw.u, made->tiltError().value)) < 1e-4);
    }
    void metresNeedAKnownLength() {
        auto step = of(MeasureKind::offset, {"left_toe", "left_hip"}, Direction::forward);
        step.metres = true;
        QCOMPARE(unitOf(step), std::string("m"));
        const Motion motion = still({{"left_hip", {300, 400}}, {"left_toe", {450, 600}}}, 1.5);
        const Positions here{{"here", {FrameIndex(0), 0.0}}};
        ViewSetup setup{View::side, Facing::right, Side::left};
        const auto refused = evaluate(step, motion, here, setup);
        QVERIFY(refused.refused && refused.reason.find("known length") != std::string::npos);
        CalibrationInput in;
        in.lengths = {{{{100, 600}, {600, 600}}, 2.5}};
        setup.calibration = std::make_shared<const Calibration>(*Calibration::make(in, 1280, 720));
        const auto v = evaluate(step, motion, here, setup);
        QVERIFY(std::abs(v.value - 0.75) < 1e-9);
        // Marks: 1.5 √2 px of 200 px a metre; scale: 1.5 √2 of 500 px.
        QVERIFY(std::abs(v.u - std::hypot(1.5 * std::sqrt(2.0) / 200, 0.75 * 1.5 * std::sqrt(2.0) / 500)) < 1e-5);
        auto knee = of(MeasureKind::angle, {"left_hip", "left_knee", "left_ankle"});
        knee.metres = true;
        QVERIFY(!problemOf(knee).empty());
    }
    // Seen 30° out of square a right angle is none; four corners make it one again.
    void cornersSetAnglesRight() {
        const double c = std::cos(M_PI / 6), s = std::sin(M_PI / 6);
        const auto see = [&](double x, double y) {
            return Pixel{640 + 1000 * c * x / (6 - s * x), 360 - 1000 * (y - 1) / (6 - s * x)};
        };
        CalibrationInput in;
        for (auto [x, y] : {std::pair{-1.5, 0.0}, {1.5, 0.0}, {1.5, 2.0}, {-1.5, 2.0}})
            in.points.push_back({see(x, y), x, y});
        const Motion motion =
            still({{"left_hip", see(-0.3, 1.4)}, {"left_knee", see(0.3, 0.8)}, {"left_ankle", see(-0.3, 0.2)}}, 1.0);
        const auto knee = of(MeasureKind::angle, {"left_hip", "left_knee", "left_ankle"});
        const Positions here{{"here", {FrameIndex(0), 0.0}}};
        ViewSetup setup{View::side, Facing::right, Side::left};
        QVERIFY(evaluate(knee, motion, here, setup).value > 95);
        setup.calibration = std::make_shared<const Calibration>(*Calibration::make(in, 1280, 720));
        QVERIFY(std::abs(evaluate(knee, motion, here, setup).value - 90) < 1e-6);
    }
    void aPanningCameraIsTakenOut() {
        TrackSet tracks;
        CameraPath path;
        for (int f = 0; f < 30; ++f) {
            tracks["left_hip"][FrameIndex(f)] = {{500.0 - 8 * f, 300}, 1.5, How::hand}; // stands still; the camera pans
            Eigen::Matrix3d back = Eigen::Matrix3d::Identity();
            back(0, 2) = 8 * f;
            path.push_back(back);
        }
        const TrackSet steady = steadied(tracks, path);
        for (const auto& [frame, mark] : steady.at("left_hip"))
            QVERIFY(std::abs(mark.at.x - 500) < 1e-9 && std::abs(mark.sigma - 1.5) < 1e-6);
        QVERIFY(steadied(tracks, {}) == tracks);
    }
};
QTEST_GUILESS_MAIN(TestEvaluate)
#include "test_evaluate.moc"
