// Who varies, the athlete or the marks; which of rate and length changed the speed.

#include "core/mirror/variation.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

BlueprintMeasure measure(const std::string& id, MeasureKind kind, Aspect aspect = Aspect::length) {
    BlueprintMeasure m;
    m.definition.id = m.definition.name = id;
    m.definition.kind = kind;
    m.definition.aspect = aspect;
    m.definition.at = "contact";
    m.definition.until = "next";
    return m;
}

MeasureValue value(const std::string& id, double v, double u) {
    MeasureValue m;
    m.measure = id;
    m.value = v;
    m.u = m.uMarks = u;
    return m;
}

// How often each verdict is given on `reps` reps of which the athlete varies by `own` and marking by 1.
std::map<Varies, int> verdicts(double own, int reps) {
    Blueprint b;
    b.measures = {measure("knee", MeasureKind::angle)};
    std::mt19937 random(11);
    std::normal_distribution<double> normal(0.0, 1.0);
    std::map<Varies, int> out;
    for (int i = 0; i < 500; ++i) {
        std::vector<MeasuredRep> all;
        for (int r = 0; r < reps; ++r)
            all.push_back({std::to_string(r), {}, {value("knee", 100 + own * normal(random) + normal(random), 1.0)}});
        ++out[variationsOf(b, all).front().by];
    }
    return out;
}

} // namespace

class TestVariation : public QObject {
    Q_OBJECT
private slots:
    void whoVaries() {
        // A steady athlete is called inconsistent in 5 of 100 cases, by construction of the limit.
        auto steady = verdicts(0.0, 10);
        QVERIFY2(steady[Varies::athlete] > 10 && steady[Varies::athlete] < 40,
                 qPrintable(QString::number(steady[Varies::athlete])));
        QVERIFY(steady[Varies::marks] > 220);
        auto loose = verdicts(3.0, 10);
        QVERIFY2(loose[Varies::athlete] > 470 && loose[Varies::marks] < 5,
                 qPrintable(QString::number(loose[Varies::athlete])));
        QVERIFY(verdicts(1.0, 4)[Varies::unclear] > 100); // four reps tell little
    }
    void takenApart() {
        Blueprint b;
        b.measures = {measure("knee", MeasureKind::angle), measure("won", MeasureKind::effect),
                      measure("sway", MeasureKind::spread)};
        std::vector<MeasuredRep> reps;
        for (double v : {100.0, 110.0, 90.0, 100.0})
            reps.push_back({"r", {}, {value("knee", v, 2.0), value("won", 1.0, 0.0), value("sway", 3.0, 1.0)}});
        const auto all = variationsOf(b, reps);
        QCOMPARE(all.size(), std::size_t(1)); // what was noted, and spread itself, are left out
        const auto& v = all.front();
        QCOMPARE(v.reps, 4);
        QVERIFY(std::abs(v.spread.all - std::sqrt(200.0 / 3)) < 1e-9);
        QVERIFY(std::abs(v.share - 4.0 / (200.0 / 3)) < 1e-9);
        QVERIFY(v.by == Varies::athlete);
        reps.resize(2);
        QVERIFY(variationsOf(b, reps).empty());
    }
    void rateOrLength() {
        Blueprint b;
        b.measures = {measure("rate", MeasureKind::cadence, Aspect::rate),
                      measure("stride", MeasureKind::cadence, Aspect::length),
                      measure("speed", MeasureKind::cadence, Aspect::speed)};
        const auto walk = [](double perMinute, double length, int reps, double from) {
            std::vector<MeasuredRep> out;
            for (int i = 0; i < reps; ++i) {
                out.push_back({"r", {}, {value("rate", perMinute, 0.2), value("stride", length, 0.01)}});
                out.back().when = from + i;
            }
            return out;
        };
        // From 90 cycles of 2.2 a minute to 84 of 2.2: the rate made all of it.
        auto reps = walk(84, 2.2, 3, 100);
        const auto early = walk(90, 2.2, 3, 0), middle = walk(87, 2.2, 3, 50);
        reps.insert(reps.end(), early.begin(), early.end());
        reps.insert(reps.end(), middle.begin(), middle.end());
        const auto [first, last] = firstAndLast(reps);
        QCOMPARE(first.size(), std::size_t(3));
        QCOMPARE(first.front().when, 0.0);
        QCOMPARE(last.back().when, 102.0);
        const auto s = speedStory(b, first, last);
        QVERIFY(s && s->speed == "speed" && s->repsBefore == 3);
        QVERIFY(std::abs(s->change.byRate + 6.0 / 60 * 2.2) < 1e-9 && std::abs(s->change.byLength) < 1e-9);
        QVERIFY(!speedStory(b, first, {}));
        b.measures.erase(b.measures.begin() + 1);
        QVERIFY(!speedStory(b, first, last)); // without a length there is nothing to take apart
        QVERIFY(firstAndLast(walk(90, 2, 5, 0)).first.empty());
    }
};
QTEST_GUILESS_MAIN(TestVariation)
#include "test_variation.moc"
