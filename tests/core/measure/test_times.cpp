// Times and their ratios, the value just before a contact, effects as figures.

#include "core/measure/kinds/times.h"
#include "tests/support/drawn_film.h"

#include <QTest>

#include <numbers>

using namespace riflesso;
using namespace riflesso::test;

namespace {

const ViewSetup kSide{View::side, Facing::right, Side::right};

MeasureDefinition of(MeasureKind kind, Aspect aspect) {
    MeasureDefinition d;
    d.id = d.name = "m";
    d.kind = kind;
    d.aspect = aspect;
    d.at = "catch";
    d.until = "finish";
    return d;
}

// A hand that speeds up along a line to `fast` px/s at 0.75 s, where something stops it to a fifth.
std::function<Eigen::Vector2d(double)> struck(double fast, double build) {
    return [=](double t) {
        const double hit = 0.75, begins = hit - build;
        // speed = fast sin²(π/2 u), u from 0 to 1: fastest and level at the contact, as strokes are
        const auto way = [&](double until) {
            const double u = std::clamp((until - begins) / build, 0.0, 1.0);
            return fast * build * (u / 2 - std::sin(std::numbers::pi * u) / (2 * std::numbers::pi));
        };
        const double after = std::max(0.0, t - hit) * 0.2 * fast;
        return Eigen::Vector2d(300 + way(std::min(t, hit)) + after, 400);
    };
}

} // namespace

class TestTimes : public QObject {
    Q_OBJECT
private slots:
    void ratio() {
        auto d = of(MeasureKind::interval, Aspect::ratio);
        QVERIFY(!problemOf(d).empty());
        d.events = {"finish", "next"};
        QVERIFY2(problemOf(d).empty(), problemOf(d).c_str());
        QCOMPARE(unitOf(d), std::string());
        Positions p = {
            {"catch", {FrameIndex(10), {}}}, {"finish", {FrameIndex(40), {}}}, {"next", {FrameIndex(100), {}}}};
        // Drive to recovery as one to two (common practice in rowing, no source). It needs no capture rate.
        std::vector<double> times;
        for (int f = 0; f < 200; ++f)
            times.push_back(f / 30.0);
        const Motion slow({}, *Timebase::make(times, {}));
        const auto v = evaluate(d, slow, p, kSide);
        QVERIFY2(!v.refused && std::abs(v.value - 0.5) < 1e-9, v.reason.c_str());
        QVERIFY(evaluate(of(MeasureKind::interval, Aspect::time), slow, p, kSide).refused);
        // Its u by draws of the three instants (JCGM 101:2008); the shared one counts in both times.
        const double period = 1.0 / 30.0, u = period / std::sqrt(12.0);
        std::mt19937 random(5);
        std::normal_distribution<double> normal(0.0, u);
        double square = 0.0;
        for (int i = 0; i < 20000; ++i) {
            const double a = 10 * period + normal(random), b = 40 * period + normal(random),
                         c = 100 * period + normal(random);
            square += std::pow((b - a) / (c - b) - 0.5, 2) / 20000;
        }
        QVERIFY2(std::abs(std::sqrt(square) / v.u - 1.0) < 0.03, qPrintable(QString::number(v.u)));
        p["next"] = {FrameIndex(40), {}};
        QVERIFY(evaluate(d, slow, p, kSide).refused);
        p.erase("next");
        QCOMPARE(evaluate(d, slow, p, kSide).reason, std::string("key position “next” is not placed"));
    }
    void justBefore_data() {
        QTest::addColumn<double>("rate");
        QTest::addColumn<double>("build");
        for (double rate : {100.0, 120.0, 240.0})
            for (double build : {0.25, 0.4})
                QTest::addRow("%.0f Hz, built up in %.2f s", rate, build) << rate << build;
    }
    void justBefore() {
        QFETCH(double, rate);
        QFETCH(double, build);
        MeasureDefinition d = of(MeasureKind::speed, Aspect::length);
        d.points = {*pointFromText("right_hand")};
        d.reduction = Reduction::justBefore;
        QVERIFY(!needsUntil(d));
        const double fast = 1800.0;
        Drawing how;
        how.rate = rate;
        how.frames = static_cast<int>(1.5 * rate);
        const Positions p = {{"catch", {FrameIndex(static_cast<int>(std::lround(0.75 * rate))), 0.0}}};
        const Ways ways = {{"right_hand", struck(fast, build)}};
        const auto c = coverage(d, ways, p, kSide, fast, 200, how);
        qInfo("%s", c.text().c_str());
        QVERIFY2(c.honest(), c.text().c_str());
        // On the frame itself smoothing has mixed in what came after: much too slow, and not admitted.
        auto onFrame = d;
        onFrame.reduction = Reduction::at;
        const auto mixed = coverage(onFrame, ways, p, kSide, fast, 20, how);
        QVERIFY2(mixed.meanError < -0.25 * fast && !mixed.honest(), mixed.text().c_str());
        QVERIFY(std::abs(c.meanError) < 0.08 * fast && c.meanU < 0.15 * fast);
    }
    void justBeforeNeedsFrames() {
        MeasureDefinition d = of(MeasureKind::speed, Aspect::length);
        d.points = {*pointFromText("right_hand")};
        d.reduction = Reduction::justBefore;
        const Motion film = drawn({{"right_hand", struck(900, 0.3)}});
        const auto v = evaluate(d, film, {{"catch", {FrameIndex(3), {}}}}, kSide);
        QVERIFY2(v.refused && v.reason.find("fewer than 6 frames") != std::string::npos, v.reason.c_str());
    }
    void effects() {
        auto d = of(MeasureKind::effect, Aspect::score);
        d.perName = "points";
        QCOMPARE(unitOf(d), std::string("points"));
        QVERIFY(evaluate(d, {}, {}, kSide).refused);
        RepFacts facts;
        facts.effect = 1.0;
        facts.score = 8.5;
        QCOMPARE(evaluate(d, {}, {}, kSide, facts).value, 8.5);
        d.aspect = Aspect::worked;
        QCOMPARE(evaluate(d, {}, {}, kSide, facts).value, 1.0);
    }
};
QTEST_GUILESS_MAIN(TestTimes)
#include "test_times.moc"
