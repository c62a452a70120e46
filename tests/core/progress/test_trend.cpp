#include "core/progress/trend.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

class TestTrend : public QObject {
    Q_OBJECT
    static TrendPoint point(double v, double u) { return {{}, v, u, 5, Stage::fixedFeed}; }
    const Band m_band{2, 14, 6};
private slots:
    void mdcIsWeirs() {
        // Equal SEM in both sessions: MDC95 = 1.96·√2·SEM (Weir 2005).
        const auto c = changeBetween(point(24, 1.2), point(20, 1.2), m_band);
        QVERIFY(std::abs(c.mdc - 1.96 * std::sqrt(2.0) * 1.2) < 1e-12);
    }
    void smallChangesAreNotBelieved() {
        const auto c = changeBetween(point(24, 1.2), point(22, 1.2), m_band);
        QVERIFY(c.movement == Movement::withinError);
        QVERIFY(c.words.find("marking error") != std::string::npos);
    }
    void towardsAndAway() {
        QVERIFY(changeBetween(point(24, 0.5), point(17, 0.5), m_band).movement == Movement::towards);
        QVERIFY(changeBetween(point(17, 0.5), point(24, 0.5), m_band).movement == Movement::away);
        QVERIFY(changeBetween(point(-6, 0.5), point(0, 0.5), m_band).movement == Movement::towards); // from below
        QVERIFY(changeBetween(point(24, 0.5), point(-20, 0.5), m_band).movement ==
                Movement::away); // through and out again
        QVERIFY(changeBetween(point(4, 0.5), point(12, 0.5), m_band).movement ==
                Movement::towards); // inside all the time
    }
    void distances() {
        QCOMPARE(distanceOutside(20, m_band), 6.0);
        QCOMPARE(distanceOutside(0, m_band), 2.0);
        QCOMPARE(distanceOutside(8, m_band), 0.0);
    }
    void feelingAndFilm() {
        const Perception blind{5, 60, 2}, true_{58, 60, 2};
        QCOMPARE(blind.gap(), -55.0);
        QVERIFY(blind.differs());
        QVERIFY(!true_.differs());
    }
    void doesTheGapShrink() {
        const Day day = *dayFromIso("2026-11-01");
        const auto story = [&](std::initializer_list<Perception> all) {
            std::vector<DatedPerception> out;
            for (const auto& p : all)
                out.push_back({day + std::chrono::days(7 * out.size()), p});
            return gapStory(out);
        };
        QVERIFY(story({{5, 30, 2}, {20, 28, 2}, {24, 25, 2}}) == GapStory::shrinks); // 25 apart, then 1
        QVERIFY(story({{29, 30, 2}, {5, 30, 2}}) == GapStory::grows);
        QVERIFY(story({{26, 30, 2}, {29, 30, 2}}) == GapStory::cannotTell); // 4 and 1, of 2.8 u
        QVERIFY(story({{40, 30, 2}, {20, 30, 2}}) == GapStory::cannotTell); // as far off on the other side
        QVERIFY(story({{5, 30, 2}}) == GapStory::cannotTell);
    }
};
QTEST_GUILESS_MAIN(TestTrend)
#include "test_trend.moc"
