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
        refused.reason = refusedByView(MeasureDefinition());
        const auto d = judged(band(90, 110), {{"r", Hertz(120), {refused}}});
        QVERIFY(!d.judged);
        QCOMPARE(d.reason, refused.reason);
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
            v.uShared = 4.0 * std::sqrt(0.74); // as evaluate() has it
            drafted.push_back({std::to_string(i), {}, {v}});
        }
        const auto a = gather("m", hand), b = gather("m", drafted);
        QVERIFY(std::abs(a.u - 4.0 / std::sqrt(10.0)) < 1e-9);
        QCOMPARE(b.drafts, 10);
        QVERIFY(std::abs(b.u - std::sqrt(1.6 + 0.74 * 16.0 * 0.9)) < 1e-9);
        QCOMPARE(gather("m", {drafted.front()}).u, 4.0);
    }
    void overAllReps() {
        const auto over = [](MeasureKind kind) {
            MeasureDefinition d, base;
            base.id = "knee";
            base.kind = MeasureKind::angle;
            d.id = "over";
            d.kind = kind;
            d.of = {"knee"};
            d.base = {std::make_shared<const MeasureDefinition>(base)};
            return d;
        };
        auto all = reps({100, 102, 104, 106, 108});
        for (std::size_t i = 0; i < all.size(); ++i)
            all[i].when = 10.0 * static_cast<double>(i);
        const auto drift = gather(over(MeasureKind::drift), all);
        QVERIFY(drift.reps == 5 && std::abs(drift.mean - 8.0) < 1e-9 && drift.u < 1e-6 && drift.each.size() == 5);
        auto alike = all; // reps of several libraries may have the same ids
        for (auto& r : alike)
            r.rep = "1";
        QVERIFY(std::abs(gather(over(MeasureKind::drift), alike).mean - 8.0) < 1e-9);
        const auto spread = gather(over(MeasureKind::spread), all);
        // s² = 10, of which marking explains 0.25; the root of five reps is 1/16 too small on the average.
        QVERIFY(std::abs(spread.mean - 1.0625 * std::sqrt(10 - 0.25)) < 1e-9 &&
                std::abs(spread.sd - std::sqrt(10.0)) < 1e-9);
        QVERIFY(gather(over(MeasureKind::spread), reps({100, 101})).refused.find("three reps") != std::string::npos);
        QVERIFY(gather(over(MeasureKind::drift), reps({100, 101, 102})).refused.find("one time") != std::string::npos);
        QCOMPARE(gather(over(MeasureKind::drift), {}).refused, std::string("no rep is marked"));
        // As a deviation: one value, no habit to count; a model's band by its own drift and the floor.
        Blueprint b = blueprint(fromModel(3));
        BlueprintMeasure m;
        m.definition = over(MeasureKind::drift);
        m.targets = {fromModel(3)};
        b.measures.push_back(m);
        auto steady = reps({100, 100.1, 100});
        for (std::size_t i = 0; i < steady.size(); ++i)
            steady[i].when = static_cast<double>(i);
        const auto d = compare(b, all, steady, {});
        QVERIFY(d.back().judged && d.back().verdict.decision == Decision::outside);
        QVERIFY(d.back().repsOutside == 0 && !d.back().share);
        QVERIFY(std::abs(d.back().band.hi - 3.0) < 0.2);
    }
    void situations() {
        auto athlete = reps({100, 100, 120}), model = reps({100, 120});
        QCOMPARE(mainSituation(athlete, model), std::string()); // none is noted
        athlete[0].situation = athlete[1].situation = "near";
        athlete[2].situation = "far";
        model[0].situation = "near";
        model[1].situation = "far";
        QCOMPARE(mainSituation(athlete, model), std::string("near"));
        CompareOptions options;
        options.situation = "far";
        const auto far = compare(blueprint(fromModel(3)), athlete, model, options);
        QVERIFY(far[0].value.reps == 1 && far[0].verdict.decision == Decision::inside && far[0].band.lo == 117);
        options.situation = "near";
        QVERIFY(compare(blueprint(fromModel(3)), athlete, model, options)[0].band.lo == 97);
        // A situation that no model was filmed in: all of the model's reps.
        athlete[0].situation = "odd";
        options.situation = "odd";
        QVERIFY(compare(blueprint(fromModel(3)), athlete, model, options)[0].band.lo < 97);
        // All of one situation: nothing to split.
        for (auto& r : athlete)
            r.situation = "near";
        for (auto& r : model)
            r.situation = "near";
        QCOMPARE(mainSituation(athlete, model), std::string());
    }
    void schools() {
        Blueprint b;
        b.schools = {{"a", "A", ""}, {"b", "B", ""}};
        const auto add = [&](const char* id, double lo, double hi, const char* school, bool fresh) {
            Target t = band(lo, hi);
            t.school = school;
            if (fresh) {
                b.measures.emplace_back();
                b.measures.back().definition.id = id;
            }
            b.measures.back().targets.push_back(t);
        };
        add("knee", 90, 100, "a", true);
        add("knee", 110, 120, "b", false);
        const auto near = compareSchools(b, reps({108}), {});
        QVERIFY(near[1].nearer == 1 && near[0].nearer == 0 && near[0].measures == 1 && near[1].inside == 0);
        QCOMPARE(compareSchools(b, reps({115}), {})[1].inside, 1);
        QCOMPARE(compareSchools(b, reps({95}), {})[0].nearer, 1);
        // A band that both share tells nothing; nor does a measure without a value, or a draw.
        add("hip", 10, 20, "", true);
        QCOMPARE(compareSchools(b, reps({95}), {})[0].measures, 1);
        const auto draw = compareSchools(b, reps({105}), {});
        QVERIFY(draw[0].nearer == 0 && draw[1].nearer == 0 && draw[0].measures == 1);
        QCOMPARE(compareSchools(b, {}, {})[0].measures, 0);
    }
};
QTEST_GUILESS_MAIN(TestReference)
#include "test_reference.moc"
