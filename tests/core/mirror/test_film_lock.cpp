#include "core/mirror/film_lock.h"

#include <QTest>

#include <cmath>
#include <random>
#include <set>

using namespace riflesso;

class TestFilmLock : public QObject {
    Q_OBJECT
    const std::vector<PositionId> m_order = {"a", "b", "c", "d"};
    static PlacedPosition at(int f) { return {FrameIndex(f), std::nullopt}; }
    static LockedRep rep(const Positions& p, Hertz rate, int first, int last) {
        return {&p, Timebase::constant(400, rate), FrameIndex(first), FrameIndex(last)};
    }
private slots:
    void byTheMovementPhasesMeet() {
        const Positions quick{{"a", at(10)}, {"b", at(20)}, {"c", at(40)}},
            slow{{"a", at(100)}, {"b", at(150)}, {"c", at(170)}};
        const FilmLock lock(m_order, rep(quick, Hertz(50), 0, 60), rep(slow, Hertz(50), 80, 200), LockKind::movement);
        QVERIFY(lock.byPositions());
        QCOMPARE(lock.follower(FrameIndex(10)).value, 100);
        QCOMPARE(lock.follower(FrameIndex(15)).value, 125);
        QCOMPARE(lock.follower(FrameIndex(20)).value, 150);
        QCOMPARE(lock.follower(FrameIndex(30)).value, 160);
        // Before the first and after the last, each at its own speed.
        QCOMPARE(lock.follower(FrameIndex(5)).value, 95);
        QCOMPARE(lock.follower(FrameIndex(50)).value, 180);
    }
    void byTheClockTimesMeet() {
        // The follower was filmed at twice the rate: two of its frames for one.
        const Positions a{{"a", at(10)}, {"b", at(20)}}, b{{"a", at(100)}, {"b", at(300)}};
        const FilmLock lock(m_order, rep(a, Hertz(50), 0, 60), rep(b, Hertz(100), 80, 399), LockKind::clock);
        QCOMPARE(lock.follower(FrameIndex(10)).value, 100);
        QCOMPARE(lock.follower(FrameIndex(20)).value, 120);
        QCOMPARE(lock.follower(FrameIndex(0)).value, 80);
        QCOMPARE(lock.follower(FrameIndex(390)).value, 399); // its film ends
    }
    void slowMotionCountsRealTime() {
        // 120 Hz stored at 30 against an ordinary film of 30 Hz.
        std::vector<double> times;
        for (int i = 0; i < 200; ++i)
            times.push_back(i / 30.0);
        const auto slow = Timebase::make(times, Hertz(120));
        QVERIFY(slow);
        QCOMPARE(slow->slowness(), 4.0);
        QCOMPARE(slow->nearest(RealTime(0.5)).value, 60);
        const Positions a{{"a", at(3)}}, b{{"a", at(40)}};
        const FilmLock lock(m_order, {&a, Timebase::constant(60, Hertz(30)), FrameIndex(3), FrameIndex(20)},
                            {&b, *slow, FrameIndex(40), FrameIndex(120)}, LockKind::movement);
        QVERIFY(!lock.byPositions()); // one shared position: from the beginnings, by the clock
        QCOMPARE(lock.follower(FrameIndex(13)).value, 80);
    }
    void whatRunsBackwardsInEitherIsNotShared() {
        const Positions a{{"a", at(1)}, {"b", at(2)}, {"c", at(3)}}, b{{"a", at(1)}, {"b", at(9)}, {"c", at(5)}};
        QCOMPARE(sharedPositions(m_order, a, b), (std::vector<PositionId>{"a", "b"}));
        QVERIFY(sharedPositions(m_order, a, {}).empty());
    }
    void exposuresAreEvenInTimeNotInFrames() {
        const auto time = Timebase::make({0, 0.1, 0.2, 0.3, 0.4, 1.4, 2.4}, std::nullopt);
        QVERIFY(time);
        QCOMPARE(evenExposures(*time, FrameIndex(0), FrameIndex(6), 3),
                 (std::vector{FrameIndex(0), FrameIndex(5), FrameIndex(6)}));
        QCOMPARE(evenExposures(*time, FrameIndex(0), FrameIndex(4), 99).size(), std::size_t(5)); // no frame twice
        QVERIFY(evenExposures(*time, FrameIndex(3), FrameIndex(3), 4).empty());
        QVERIFY(evenExposures(*time, FrameIndex(0), FrameIndex(4), 1).empty());
    }
    void aFilmShowsEachFrameAsLongAsItLasted() {
        const auto time = Timebase::make({0, 0.1, 0.3, 0.4}, std::nullopt);
        QVERIFY(time);
        // At ten a second frame 1, which lasted 0.2 s, is shown twice (or its neighbour once it is nearer).
        const auto shown = framesShown(*time, FrameIndex(0), FrameIndex(3), 10.0, 1.0);
        QCOMPARE(shown.size(), std::size_t(5));
        QCOMPARE(shown.front().value, 0);
        QCOMPARE(shown.back().value, 3);
        QCOMPARE(framesShown(*time, FrameIndex(0), FrameIndex(3), 10.0, 4.0).size(), std::size_t(20));
        for (std::size_t i = 1; i < shown.size(); ++i)
            QVERIFY(!(shown[i] < shown[i - 1]));
        QVERIFY(framesShown(*time, FrameIndex(0), FrameIndex(3), 0.0, 1.0).empty());
        QVERIFY(framesShown(*time, FrameIndex(0), FrameIndex(3), 30.0, -1.0).empty());
        QVERIFY(framesShown(*time, FrameIndex(3), FrameIndex(1), 30.0, 1.0).empty());
    }
    // Whatever the pegs: the follower never runs backwards, stays in its film, and meets at every shared position.
    void anyPegs() {
        std::mt19937 random(5);
        const auto below = [&](int n) { return static_cast<int>(random() % static_cast<unsigned>(n)); };
        for (int trial = 0; trial < 300; ++trial) {
            Positions a, b;
            for (const auto& id : m_order) {
                if (below(5) > 0)
                    a[id] = at(below(400));
                if (below(5) > 0)
                    b[id] = at(below(400));
            }
            const Hertz rateA(20.0 + below(220)), rateB(20.0 + below(220));
            for (const LockKind kind : {LockKind::movement, LockKind::clock}) {
                const FilmLock lock(m_order, rep(a, rateA, 0, 399), rep(b, rateB, 0, 399), kind);
                int before = -1;
                for (int f = 0; f < 400; ++f) {
                    const int there = lock.follower(FrameIndex(f)).value;
                    QVERIFY(there >= 0 && there < 400);
                    QVERIFY2(there >= before, qPrintable(QString("trial %1, frame %2").arg(trial).arg(f)));
                    before = there;
                }
                if (kind == LockKind::movement && lock.byPositions())
                    for (const auto& id : sharedPositions(m_order, a, b))
                        QCOMPARE(lock.follower(a.at(id).frame).value, b.at(id).frame.value);
            }
        }
    }
    // However it is slowed and at whatever rate: in order, from the first frame to the last, none missing when there
    // are pictures enough.
    void anySpeed() {
        std::mt19937 random(6);
        std::uniform_real_distribution<> gap(0.005, 0.08), slow(0.25, 16.0), rate(5.0, 120.0);
        for (int trial = 0; trial < 100; ++trial) {
            std::vector<double> times{0.0};
            for (int f = 0; f < 60; ++f)
                times.push_back(times.back() + gap(random));
            const auto time = Timebase::make(times, std::nullopt);
            QVERIFY(time);
            const double s = slow(random), r = rate(random);
            const auto shown = framesShown(*time, FrameIndex(3), FrameIndex(50), r, s);
            QVERIFY(!shown.empty());
            QCOMPARE(shown.front().value, 3);
            QVERIFY(shown.back().value <= 50);
            for (std::size_t i = 1; i < shown.size(); ++i)
                QVERIFY(!(shown[i] < shown[i - 1]));
            const double lasts = (times[50] + time->realPeriod(FrameIndex(50)) - times[3]) * s;
            QVERIFY(std::abs(static_cast<double>(shown.size()) / r - lasts) <= 0.51 / r + 1e-9 || shown.size() == 1);
            if (0.005 * s * r > 1.0) { // the shortest frame lasts a picture and more
                const std::set<FrameIndex> all(shown.begin(), shown.end());
                QCOMPARE(all.size(), std::size_t(48));
            }
        }
    }
};
QTEST_GUILESS_MAIN(TestFilmLock)
#include "test_film_lock.moc"
