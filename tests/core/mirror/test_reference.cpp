#include "core/mirror/reference.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {

MeasureValue value(double v, double uMarks = 0.5, double uTime = 0.0) {
    MeasureValue m;
    m.measure = "knee";
    m.value = v;
    m.uMarks = uMarks;
    m.uTime = uTime;
    m.u = std::hypot(uMarks, uTime);
    m.frames = {FrameIndex(7)};
    return m;
}

std::vector<MeasuredRep> reps(std::initializer_list<double> values, double uMarks = 0.5, double uTime = 0.0) {
    std::vector<MeasuredRep> out;
    for (double v : values)
        out.push_back({"r" + std::to_string(out.size()), Hertz(120), {value(v, uMarks, uTime)}});
    return out;
}

Blueprint blueprint(Target t) {
    Blueprint b;
    b.positions = {{"ready", "Ready", ""}};
    BlueprintMeasure m;
    m.definition.id = m.definition.name = "knee";
    m.targets = {t};
    b.measures = {m};
    return b;
}

Target fromModel(double floor, double k = 2) {
    Target t;
    t.floor = floor;
    t.k = k;
    return t;
}

Target band(double lo, double hi) {
    Target t;
    t.source = TargetSource::commonPractice;
    t.lo = lo;
    t.hi = hi;
    t.floor = 1;
    return t;
}

Deviation judged(const Target& t, const std::vector<MeasuredRep>& athlete, const std::vector<MeasuredRep>& model = {}) {
    return compare(blueprint(t), athlete, model).front();
}

} // namespace

class TestReference : public QObject {
    Q_OBJECT
private slots:
    void bandsFromTheModel() {
        // 100, 104, 108: mean 104, SD 4, k = 2: 96 to 112.
        const auto b = bandOf(blueprint(fromModel(3)).measures[0], fromModel(3), reps({100, 104, 108}));
        QVERIFY(b);
        QVERIFY(std::abs(b->lo - 96) < 1e-9 && std::abs(b->hi - 112) < 1e-9 && std::abs(b->scale - 8) < 1e-9);
        // Never narrower than the floor, from one rep too.
        const auto narrow = bandOf(blueprint(fromModel(3)).measures[0], fromModel(3), reps({104}));
        QVERIFY(narrow && narrow->lo == 101 && narrow->hi == 107);
        QVERIFY(!bandOf(blueprint(fromModel(3)).measures[0], fromModel(3), {}));
    }
    void statedBandsNeedNoModel() {
        const auto d = judged(band(90, 110), reps({100, 101}));
        QVERIFY(d.judged && d.verdict.decision == Decision::inside);
        QVERIFY(d.source == TargetSource::commonPractice);
    }
    void oneSidedBandsScaleByTheirFloor() {
        Target t = band(0, 0);
        t.lo = -std::numeric_limits<double>::infinity();
        t.hi = 50;
        t.floor = 4;
        const auto d = judged(t, reps({58}));
        QVERIFY(std::abs(d.verdict.severity - 2) < 1e-12);
    }
    void moreRepsMakeTheMeanSurer() {
        const auto one = gather("knee", reps({100}, 3));
        const auto four = gather("knee", reps({100, 100, 100, 100}, 3));
        QCOMPARE(one.u, 3.0);
        QCOMPARE(four.u, 1.5); // the spread came out 0 by chance; the marking error stays
        QVERIFY(!one.interval && four.interval);
        const auto wild = gather("knee", reps({80, 120}, 1));
        QVERIFY(std::abs(wild.u - wild.sd / std::sqrt(2.0)) < 1e-12); // the spread is larger than the marks explain
    }
    void aHabitIsNotAnAccident() {
        const auto d = judged(band(90, 110), reps({120, 121, 119, 122, 100}));
        QCOMPARE(d.repsOutside, 4);
        QVERIFY(d.share && d.share->lo > 0.3 && d.share->hi < 1.0); // Wilson, 4 of 5
    }
    void refusedRepsSayWhy() {
        MeasureValue refused;
        refused.measure = "knee";
        refused.refused = true;
        refused.reason = "needs a front view";
        const auto d = judged(band(90, 110), {{"r", Hertz(120), {refused}}});
        QVERIFY(!d.judged);
        QCOMPARE(d.reason, std::string("needs a front view"));
        QVERIFY(d.advice == Advice::otherView);
        QVERIFY(!judged(band(90, 110), {}).judged);
        QCOMPARE(judged(band(90, 110), {}).reason, std::string("no rep is marked"));
    }
    void adviceTooSlow() {
        // The error of the instant dominates: the film is too slow, and the rate that would do is named.
        const auto d = judged(band(90, 110), reps({115}, 0.5, 6));
        QVERIFY(d.verdict.decision == Decision::undecided);
        QVERIFY(d.advice == Advice::fasterFilm);
        QVERIFY(d.adviceText.find("too slow") != std::string::npos);
        QVERIFY(d.adviceText.find("Hz or more") != std::string::npos);
        // With that rate the time error shrinks in proportion: 120 Hz × 6 / needed.
        const double needed = std::sqrt(std::pow(5 / 1.645, 2) - 0.25);
        const int stated = std::stoi(d.adviceText.substr(d.adviceText.find("film at ") + 8));
        QVERIFY(stated >= 120 * 6 / needed && stated < 120 * 6 / needed + 10);
    }
    void adviceMoreReps() {
        const auto d = judged(band(90, 110), reps({104, 114}, 0.5));
        QVERIFY(d.verdict.decision == Decision::undecided);
        QVERIFY(d.advice == Advice::moreReps);
        QVERIFY(d.adviceText.find("more reps") != std::string::npos);
    }
    void adviceMarkAgain() {
        const auto d = judged(band(90, 110), reps({111, 113, 112}, 6));
        QVERIFY(d.advice == Advice::markAgain);
    }
    void adviceAtTheEdge() {
        const auto d = judged(band(90, 110), reps({110.1, 110.1, 110.1}, 1));
        QVERIFY(d.advice == Advice::atTheEdge);
    }
    void everyMeasureIsAnswered() {
        const auto all = compare(blueprint(fromModel(3)), reps({100}), {});
        QCOMPARE(all.size(), std::size_t(1));
        QVERIFY(!all[0].judged && all[0].reason.find("model") != std::string::npos);
        QCOMPARE(all[0].value.each.front().first, std::string("r0")); // traceable to its rep
    }
    // Ten reps read from drafts are hardly surer than one: the machine errs alike in all of them.
    void draftsDoNotAverageOut() {
        std::vector<MeasuredRep> hand, drafted;
        for (int i = 0; i < 10; ++i) {
            MeasureValue v;
            v.measure = "m";
            v.value = 100.0 + (i % 2 ? 0.5 : -0.5);
            v.u = v.uMarks = 4.0;
            hand.push_back({std::to_string(i), {}, {v}});
            v.draft = true;
            drafted.push_back({std::to_string(i), {}, {v}});
        }
        const auto a = gather("m", hand), b = gather("m", drafted);
        QVERIFY(std::abs(a.u - 4.0 / std::sqrt(10.0)) < 1e-9);
        QCOMPARE(b.drafts, 10);
        QVERIFY(std::abs(b.u - std::sqrt(1.6 + 0.74 * 16.0 * 0.9)) < 1e-9);
        QCOMPARE(gather("m", {drafted.front()}).u, 4.0);
    }
};
QTEST_GUILESS_MAIN(TestReference)
#include "test_reference.moc"
