// Readings of a plan's input that checker and solver share.

#include "core/programme/plan_parts.h"

#include "core/technique/blueprint.h"

#include <QTest>

using namespace riflesso;
using std::chrono::days;

class TestPlanParts : public QObject {
    Q_OBJECT
    const Day m_monday = *dayFromIso("2026-11-23");
private slots:
    void weeksBeginOnMonday() {
        for (int i = 0; i < 7; ++i)
            QVERIFY(mondayOf(m_monday + days(i)) == m_monday);
        QVERIFY(mondayOf(m_monday - days(1)) == m_monday - days(7));
        QVERIFY(mondayOf(*dayFromIso("2027-01-01")) == *dayFromIso("2026-12-28")); // over the year's end
    }
    void whatIsGoneDoesNotCount() {
        PlanInput in;
        in.from = m_monday;
        PlannedBlock b;
        b.day = m_monday;
        for (const auto& [state, expected] : {std::pair{BlockState::planned, true},
                                              {BlockState::done, true},
                                              {BlockState::moved, true},
                                              {BlockState::missed, false},
                                              {BlockState::dropped, false}}) {
            b.state = state;
            QCOMPARE(counts(in, b), expected);
        }
        b.state = BlockState::done;
        b.day = m_monday - days(1);
        QVERIFY(!counts(in, b));
    }
    void halfAWeekOrOneDay() {
        PlanInput in;
        in.minutes = {0, 20, 0, 25, 0, 45, 0};
        QCOMPARE(shareOf(in), 45.0); // 90 a week: half of them
        in.minutes = {0, 0, 0, 0, 0, 45, 5};
        QCOMPARE(shareOf(in), 45.0); // less than the one long day would leave that day unused
        in.minutes = {60, 60, 60, 60, 60, 60, 60};
        QCOMPARE(shareOf(in), 210.0);
    }
    void nothingNewBeforeACompetition() {
        PlanInput in;
        in.from = m_monday;
        const Day c = m_monday + days(30);
        in.competitions = {c, c + days(7)};
        QVERIFY(!quietSince(in, c - days(14)));
        QVERIFY(quietSince(in, c - days(13)) == c - days(13));
        QVERIFY(quietSince(in, c) == c - days(13));          // the day itself, and the earlier of two
        QVERIFY(quietSince(in, c + days(1)) == c - days(6)); // the second one's
        QVERIFY(!quietSince(in, c + days(8)));
        in.regime = "competition";
        QVERIFY(quietSince(in, m_monday + days(1)) == m_monday);
    }
    void whatIsAtHand() {
        PlanInput in;
        Drill d;
        d.equipment = {"mat", "ball"};
        QVERIFY(equipped(in, d)); // nobody said what there is
        in.equipment = {"ball", "wall"};
        QVERIFY(!equipped(in, d));
        in.equipment.push_back("mat");
        QVERIFY(equipped(in, d));
        QVERIFY(equipped(in, Drill{}));
    }
};

QTEST_GUILESS_MAIN(TestPlanParts)
#include "test_plan_parts.moc"
