#include "core/progress/history.h"
#include "core/progress/sets.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

std::mt19937 random_(3);
double noise(double sd) {
    return std::normal_distribution<double>(0.0, 1.0)(random_) * sd;
}

std::vector<SetValue> setOf(const std::string& measure, int n, double truth, double u, double scatter, double shared,
                            double uShared, const std::string& camera) {
    std::vector<SetValue> out;
    for (int i = 0; i < n; ++i)
        out.push_back({std::to_string(i), measure, truth + noise(u) + noise(scatter) + shared, u, uShared, camera});
    return out;
}

} // namespace

class TestSets : public QObject {
    Q_OBJECT
private slots:
    // The interval of a change covers what was put in, with one camera set-up and with two: 68 and 95 in 100, ± 3.
    void coverageByMonteCarlo() {
        for (const bool oneCamera : {true, false}) {
            int in68 = 0, in95 = 0;
            constexpr int kDraws = 2000;
            for (int draw = 0; draw < kDraws; ++draw) {
                const double first = noise(4.0), second = oneCamera ? first : noise(4.0);
                const auto a = setOf("m", 5, 10.0, 2.0, 0.0, first, 4.0, "A");
                const auto b = setOf("m", 7, 13.0, 2.0, 0.0, second, 4.0, oneCamera ? "A" : "B");
                const auto c = compareSets(a, b).at(0);
                in68 += std::abs(c.change - 3.0) <= c.u;
                in95 += std::abs(c.change - 3.0) <= c.mdc95;
            }
            const double p68 = 100.0 * in68 / kDraws, p95 = 100.0 * in95 / kDraws;
            QVERIFY2(std::abs(p68 - 68.0) < 3.0 && std::abs(p95 - 95.0) < 3.0,
                     qPrintable(QString("%1 %2 with %3").arg(p68).arg(p95).arg(oneCamera ? "one camera" : "two")));
        }
    }
    // Reps that differ by more than their marks' errors: the scatter counts, and from four reps it is itself unsure.
    void scatterCounts() {
        int in95 = 0;
        for (int draw = 0; draw < 2000; ++draw) {
            const auto c =
                compareSets(setOf("m", 4, 0.0, 1.0, 6.0, 0, 0, "A"), setOf("m", 4, 0.0, 1.0, 6.0, 0, 0, "A"));
            in95 += std::abs(c[0].change) <= c[0].mdc95;
        }
        QVERIFY2(in95 > 2000 * 0.93 && in95 < 2000 * 0.98, qPrintable(QString::number(in95)));
    }
    // Simulated athletes with ten measures: one moved by three times what is believable, nine did not.
    void whatMovedIsFoundAndNothingElse() {
        int found = 0, falseAlarms = 0, calm = 0;
        constexpr int kAthletes = 500;
        for (int i = 0; i < kAthletes; ++i) {
            std::vector<SetValue> before, after;
            const double u = 2.0, mdc = 1.96 * u * std::sqrt(2.0 / 6.0);
            for (int m = 0; m < 10; ++m) {
                const auto name = "m" + std::to_string(m);
                for (auto& v : setOf(name, 6, 0.0, u, 0.0, 0.0, 3.0, "A"))
                    before.push_back(v);
                for (auto& v : setOf(name, 6, m == 4 ? 3.0 * mdc : 0.0, u, 0.0, 0.0, 3.0, "A"))
                    after.push_back(v);
            }
            bool alarm = false;
            for (const auto& c : compareSets(before, after))
                if (c.measure == "m4")
                    found += c.moved;
                else
                    alarm |= c.moved, falseAlarms += c.moved;
            calm += !alarm;
        }
        QVERIFY2(found >= 0.95 * kAthletes, qPrintable(QString::number(found)));
        QVERIFY2(falseAlarms <= 0.05 * 9 * kAthletes, qPrintable(QString::number(falseAlarms)));
    }
    void smallCasesByHand() {
        // One rep each, u 3 and 4: u of the change is their mean square's, 5.
        const auto one = compareSets({{"1", "m", 10, 3, 0, "A"}}, {{"1", "m", 30, 4, 0, "A"}}).at(0);
        QVERIFY(std::abs(one.change - 20) < 1e-12 && std::abs(one.u - 5) < 1e-12 && one.moved);
        // Nothing known of the camera: what each shares counts in full.
        const auto two = compareSets({{"1", "m", 0, 0, 3, ""}}, {{"1", "m", 1, 0, 4, ""}}).at(0);
        QVERIFY(std::abs(two.u - 5) < 1e-12 && !two.moved);
        // No uncertainty that can be known: nothing is claimed.
        QVERIFY(!compareSets({{"1", "m", 0, 0, 0, "A"}}, {{"1", "m", 9, 0, 0, "A"}}).at(0).moved);
        QVERIFY(compareSets({{"1", "m", 0, 1, 0, "A"}}, {{"1", "other", 9, 1, 0, "A"}}).empty());
        QVERIFY(inWords({one}).find("m moved by +20") != std::string::npos);
        QVERIFY(inWords({two}).find("Nothing can be told from 1 rep.") != std::string::npos);
    }
    void whereItBreaksUnderStress() {
        const auto b =
            whereItBreaks({{"fixed feed", 19, 20}, {"open", 18, 20}, {"scored", 11, 16}, {"competition", 2, 12}});
        QCOMPARE(*b.owned, "open");
        QCOMPARE(*b.breaks, "competition");
        QCOMPARE(b.unsure, "scored");
        QVERIFY(b.stages[0].smoothed >= b.stages[1].smoothed && b.stages[2].smoothed >= b.stages[3].smoothed);
        // A stage that looks better than the easier one before it is pooled with it.
        const auto pooled = whereItBreaks({{"slow", 3, 6}, {"open", 12, 12}});
        QVERIFY(std::abs(pooled.stages[0].smoothed - 15.0 / 18.0) < 1e-12);
        QCOMPARE(pooled.stages[0].smoothed, pooled.stages[1].smoothed);
        // Three reps say nothing: how many more would is said.
        const auto few = whereItBreaks({{"scored", 3, 3}});
        QVERIFY(!few.owned && !few.breaks && few.more > 0);
        QVERIFY(few.words.find(std::to_string(few.more) + " more of scored") != std::string::npos);
        QVERIFY(whereItBreaks({}).stages.empty());
        QVERIFY(stageFromText("Fixed-Feed") == Stage::fixedFeed && stageFromText("varied_feed") == Stage::variedFeed &&
                !stageFromText("elsewhere"));
    }
    // 1,000 simulated histories of each kind, 5 to 12 sessions.
    void stepDriftOrNothing() {
        int steps = 0, dates = 0, calm = 0, drifts = 0;
        constexpr int kHistories = 1000;
        for (int i = 0; i < kHistories; ++i) {
            for (const auto kind : {HistoryKind::step, HistoryKind::nothing, HistoryKind::drift}) {
                const int n = 5 + static_cast<int>(random_() % 8);
                const int at = 1 + static_cast<int>(random_() % static_cast<unsigned>(n - 1));
                Day day = *dayFromIso("2026-09-01");
                std::vector<HistoryPoint> points;
                std::vector<Day> days;
                for (int k = 0; k < n; ++k) {
                    const double u = 5.0 * (0.8 + 0.05 * static_cast<double>(random_() % 9));
                    const double truth = kind == HistoryKind::step    ? (k >= at ? 20.0 + 10.0 * (i % 3) : 0.0)
                                         : kind == HistoryKind::drift ? 40.0 * k / (n - 1)
                                                                      : 0.0;
                    points.push_back({day, truth + noise(u), u});
                    days.push_back(day);
                    day += std::chrono::days(3 + random_() % 9);
                }
                const auto h = historyOf(points);
                if (kind == HistoryKind::step) {
                    steps += h.kind == kind;
                    const auto found = std::find(days.begin(), days.end(), *h.day) - days.begin();
                    dates += std::abs(static_cast<int>(found) - at) <= 1;
                } else
                    (kind == HistoryKind::drift ? drifts : calm) += h.kind == kind;
            }
        }
        QVERIFY2(steps >= 0.85 * kHistories, qPrintable(QString::number(steps)));
        QVERIFY2(dates >= 0.80 * kHistories, qPrintable(QString::number(dates)));
        QVERIFY2(calm >= 0.95 * kHistories, qPrintable(QString::number(calm)));
        QVERIFY2(drifts >= 0.85 * kHistories, qPrintable(QString::number(drifts)));
    }
    void historiesByHand() {
        const auto day = [](int n) { return Day(std::chrono::days(20000 + 7 * n)); };
        const auto h = historyOf({{day(3), 30, 1}, {day(0), 0, 1}, {day(1), 0.5, 1}, {day(2), 29, 1}, {day(4), 31, 1}});
        QVERIFY(h.kind == HistoryKind::step && *h.day == day(2) && h.days == std::vector{day(2)});
        QVERIFY(std::abs(h.change - 29.75) < 1e-9);
        QVERIFY(std::abs(h.pNothing + h.pStep + h.pDrift - 1.0) < 1e-12);
        QVERIFY(historyOf({{day(0), 0, 1}, {day(1), 90, 1}}).kind == HistoryKind::nothing); // two dates tell nothing
        QVERIFY(historyOf({{day(0), 0, 0}, {day(1), 90, -1}}).kind == HistoryKind::nothing);
    }
};

QTEST_APPLESS_MAIN(TestSets)
#include "test_sets.moc"
