#include "core/progress/cues.h"
#include "core/progress/feed.h"
#include "core/progress/speed.h"

#include <QTest>

#include <cmath>
#include <random>
#include <set>

using namespace riflesso;

// P(B > A) for shares with Beta posteriors of whole parameters: J. D. Cook 2005, "Exact calculation of beta
// inequalities", UT MD Anderson technical report UTMDABTR-005-05.
static double exactly(int aGood, int aBad, int bGood, int bBad) {
    const auto logBeta = [](double x, double y) { return std::lgamma(x) + std::lgamma(y) - std::lgamma(x + y); };
    double sum = 0.0;
    for (int i = 0; i <= bGood; ++i)
        sum += std::exp(logBeta(aGood + 1 + i, aBad + bBad + 2) - std::log(bBad + 1 + i) - logBeta(1 + i, bBad + 1) -
                        logBeta(aGood + 1, aBad + 1));
    return sum;
}

class TestCues : public QObject {
    Q_OBJECT
    static const CueStanding& of(const std::vector<CueStanding>& all, const char* cue) {
        return *std::find_if(all.begin(), all.end(), [&](const CueStanding& c) { return c.cue == cue; });
    }
private slots:
    void twoCuesAgainstTheExactSum() {
        for (const auto& [ag, ab, bg, bb] : {std::array{3, 7, 8, 2}, std::array{12, 8, 14, 6}, std::array{0, 0, 5, 1},
                                             std::array{20, 20, 20, 20}, std::array{1, 19, 18, 3}}) {
            const auto all = compareCues({{"a", ag, ab}, {"b", bg, bb}});
            const double expected = exactly(ag, ab, bg, bb);
            QVERIFY2(std::abs(of(all, "b").pBest - expected) < 1e-4,
                     qPrintable(QString("%1 against %2").arg(of(all, "b").pBest).arg(expected)));
            QVERIFY(std::abs(of(all, "a").pBest + of(all, "b").pBest - 1.0) < 1e-4);
        }
    }
    void threeAlikeShareEvenly() {
        for (const auto& c : compareCues({{"a", 5, 5}, {"b", 5, 5}, {"c", 5, 5}}))
            QVERIFY(std::abs(c.pBest - 1.0 / 3) < 1e-3);
    }
    void nothingIsSaidTooEarly() {
        const auto all = compareCues({{"words", 1, 9}, {"picture", 4, 0}});
        QCOMPARE(all.front().cue, std::string("picture"));
        QVERIFY(all.front().pBest > 0.9);
        QCOMPARE(all.front().more, 4);
        QVERIFY(!clearlyBest(all)); // four reps are no proof
        const auto enough = compareCues({{"words", 2, 10}, {"picture", 10, 2}});
        QVERIFY(clearlyBest(enough) && clearlyBest(enough)->cue == "picture");
        QVERIFY(!clearlyBest(compareCues({{"words", 6, 4}, {"picture", 7, 3}})));
        QVERIFY(!clearlyBest(compareCues({{"alone", 20, 0}})));
        QVERIFY(compareCues({}).empty());
    }
    void theIntervalIsTheBetaDistributions() {
        // scipy.stats.beta.ppf([.025, .975], 8, 4), SciPy 1.10: 0.39025744, 0.89073656.
        const auto one = compareCues({{"a", 7, 3}});
        QVERIFY(std::abs(one[0].interval.lo - 0.39025744) < 1e-6);
        QVERIFY(std::abs(one[0].interval.hi - 0.89073656) < 1e-6);
    }
};

class TestFeed : public QObject {
    Q_OBJECT
private slots:
    void oneAfterTheOther() {
        QCOMPARE(nextWay(FeedOrder::inTurn, 3, 0, 0, 1), std::size_t(0));
        QCOMPARE(nextWay(FeedOrder::inTurn, 3, 1, 0, 1), std::size_t(1));
        QCOMPARE(nextWay(FeedOrder::inTurn, 3, 5, 2, 1), std::size_t(0));
        QCOMPARE(nextWay(FeedOrder::kept, 3, 5, 2, 1), std::size_t(2));
        QCOMPARE(nextWay(FeedOrder::kept, 3, 5, 7, 1), std::size_t(0)); // of a drill with more ways
        for (const auto order : {FeedOrder::kept, FeedOrder::inTurn, FeedOrder::mixed})
            QVERIFY(nextWay(order, 0, 4, 0, 1) == 0 && nextWay(order, 1, 4, 0, 1) == 0);
    }
    void mixedTakesEachAsOften() {
        std::set<std::vector<std::size_t>> orders;
        for (std::uint64_t seed = 0; seed < 20; ++seed) {
            std::vector<std::size_t> order;
            for (std::size_t done = 0; done < 12; ++done)
                order.push_back(nextWay(FeedOrder::mixed, 4, done, 0, seed));
            for (std::size_t round = 0; round < 3; ++round) {
                const std::set<std::size_t> once(order.begin() + 4 * static_cast<std::ptrdiff_t>(round),
                                                 order.begin() + 4 * static_cast<std::ptrdiff_t>(round) + 4);
                QCOMPARE(once.size(), std::size_t(4));
            }
            orders.insert(order);
            QCOMPARE(nextWay(FeedOrder::mixed, 4, 5, 3, seed), order[5]); // whatever came before
        }
        QVERIFY(orders.size() > 15); // no block is like the other
    }
    void theWeakerWay() {
        const auto worst = likelyWorst({{"high", 9, 1}, {"low", 3, 9}});
        QVERIFY(worst[1] > 0.95 && std::abs(worst[0] + worst[1] - 1.0) < 1e-3);
        QVERIFY(std::abs(worst[1] - exactly(3, 9, 9, 1)) < 1e-4); // P(low < high)
        QVERIFY(likelyWorst({}).empty());
    }
};

class TestSpeeds : public QObject {
    Q_OBJECT
    // Reps whose measure leaves a band of -10..10 at 85 per cent of the fastest.
    static std::vector<TimedRep> reps(double slope, double scatter, unsigned seed, int n = 24) {
        std::mt19937 random(seed);
        std::normal_distribution<> chance(0.0, 1.0);
        std::vector<TimedRep> out;
        for (int i = 0; i < n; ++i) {
            const double percent = 60.0 + 40.0 * i / (n - 1);
            const double duration = 50.0 / percent; // 0.5 s at the fastest
            out.push_back(
                {std::to_string(i), duration, 0.004, 10.0 + slope * (percent - 85.0) + scatter * chance(random), 1.0});
        }
        return out;
    }
private slots:
    void theSpeedAtWhichItLeavesTheBand() {
        int covered = 0;
        constexpr int kTrials = 100;
        for (unsigned seed = 1; seed <= kTrials; ++seed) {
            const auto a = whereItFallsApart(reps(1.0, 1.0, seed), {-40, 10, 1});
            QCOMPARE(a.verdict, SpeedVerdict::leavesAt);
            QVERIFY(a.leaves && a.leaves->interval);
            QVERIFY(std::abs(a.leaves->x - 85.0) < 4.0);
            covered += a.leaves->interval->contains(85.0);
            QVERIFY(a.practiseAt <= a.leaves->interval->lo && a.practiseAt >= 75.0);
        }
        QVERIFY2(covered >= 88, qPrintable(QString::number(covered))); // of 100 at 95 %
    }
    void whatDoesNotChangeIsSaidSo() {
        QCOMPARE(whereItFallsApart(reps(0.0, 1.0, 3), {-10, 20, 1}).verdict, SpeedVerdict::unmoved);
        QCOMPARE(whereItFallsApart(reps(1.0, 0.5, 3), {-100, 100, 1}).verdict, SpeedVerdict::staysInside);
        QCOMPARE(whereItFallsApart(reps(1.0, 0.5, 3), {100, 200, 1}).verdict, SpeedVerdict::outAtAll);
    }
    // Against the effort that was stated: reps without one are left out, slow film or not.
    void theEffortAtWhichItLeavesTheBand() {
        std::vector<TimedRep> stated;
        std::mt19937 random(5);
        std::normal_distribution<> chance(0.0, 1.0);
        for (int i = 0; i < 30; ++i) {
            const double effort = 0.5 + 0.1 * (i % 5); // 50 to 90 per cent
            stated.push_back({std::to_string(i), 0.0, 0.0, 10.0 + (100 * effort - 75.0) + chance(random), 1.0, effort});
        }
        stated.push_back({"unsaid", 0.5, 0.004, 300.0, 1.0});
        const auto a = whereItFallsApart(stated, {-40, 10, 1}, SpeedBy::effort);
        QCOMPARE(a.points.size(), std::size_t(30));
        QVERIFY(a.by == SpeedBy::effort && a.verdict == SpeedVerdict::leavesAt);
        QVERIFY2(std::abs(a.leaves->x - 75.0) < 6.0, qPrintable(QString::number(a.leaves->x)));
        QVERIFY(a.practiseAt > 50.0 && a.practiseAt <= 75.0);
        // By speed there is one rep alone; nothing is said beyond what was stated.
        QCOMPARE(whereItFallsApart(stated, {-40, 10, 1}).verdict, SpeedVerdict::tooFew);
        QCOMPARE(whereItFallsApart(stated, {-40, 60, 1}, SpeedBy::effort).verdict, SpeedVerdict::staysInside);
    }
    void tooFewOrAllOfOneSpeed() {
        QCOMPARE(whereItFallsApart(reps(1.0, 0.1, 1, 4), {-10, 10, 1}).verdict, SpeedVerdict::tooFew);
        std::vector<TimedRep> same(9, {"r", 0.5, 0.004, 3.0, 1.0});
        QCOMPARE(whereItFallsApart(same, {-10, 10, 1}).verdict, SpeedVerdict::tooFew);
        QCOMPARE(whereItFallsApart({}, {-10, 10, 1}).verdict, SpeedVerdict::tooFew);
        same.push_back({"zero", 0.0, 0.0, 1.0, 1.0}); // left out, not divided by
        QCOMPARE(whereItFallsApart(same, {-10, 10, 1}).points.size(), std::size_t(9));
    }
};

int main(int argc, char** argv) {
    TestCues cues;
    TestFeed feed;
    TestSpeeds speeds;
    return QTest::qExec(&cues, argc, argv) | QTest::qExec(&feed, argc, argv) | QTest::qExec(&speeds, argc, argv);
}
#include "test_cues.moc"
