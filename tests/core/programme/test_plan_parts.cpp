// Readings of a plan's input that checker and solver share.

#include "core/programme/at_home.h"
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
        using enum PracticePlace;
        QVERIFY(missingFor(in, d, club).empty()); // nobody said what there is
        in.lacks = {{{"wall"}, {"ball", "mat", "wall"}}};
        QVERIFY(missingFor(in, d, club).empty());
        QCOMPARE(missingFor(in, d, home), std::string("mat, ball"));
        QVERIFY(missingFor(in, Drill{}, home).empty());
    }
    void whatIsDoneAtHome() {
        PlannedBlock b;
        b.day = m_monday + days(1);
        std::array<PracticePlace, 7> places{};
        QVERIFY(!atHome(b, places));
        b.kind = BlockKind::home;
        QVERIFY(atHome(b, places));
        b.kind = BlockKind::session;
        places[0] = PracticePlace::home;
        QVERIFY(!atHome(b, places));
        places[1] = PracticePlace::home;
        QVERIFY(atHome(b, places));
    }
    void whereADayIs() {
        PlanInput in;
        in.places[1] = PracticePlace::home;
        const Day tuesday = m_monday + days(1);
        QVERIFY(placeOf(BlockKind::session, m_monday, in.places) == PracticePlace::club);
        QVERIFY(placeOf(BlockKind::home, m_monday, in.places) == PracticePlace::home);
        QVERIFY(placeOf(BlockKind::session, tuesday, in.places) == PracticePlace::home);
        Drill d;
        QVERIFY(possibleOn(in, d, m_monday, BlockKind::session));
        QVERIFY(!possibleOn(in, d, tuesday, BlockKind::session));
        d.home = true;
        QVERIFY(possibleOn(in, d, tuesday, BlockKind::session));
        d.partner = true;
        in.alone[1] = true;
        QVERIFY(!possibleOn(in, d, tuesday, BlockKind::session));
        // A day without minutes does not make it possible.
        d = {};
        in.from = m_monday;
        in.minutes = {0, 20, 0, 0, 0, 0, 0};
        QVERIFY(!canCome(in, d));
        in.minutes[0] = 20;
        QVERIFY(canCome(in, d));
        in.banned = {d.id};
        QVERIFY(!canCome(in, d));
        // What home work needs must be at home; at the club it may be missing.
        in.banned.clear();
        d.home = true;
        d.equipment = {"tape"};
        in.lacks[0] = {"tape"};
        QVERIFY(canCome(in, d));
        in.lacks[1] = {"tape"};
        QVERIFY(!canCome(in, d));
    }
};

QTEST_GUILESS_MAIN(TestPlanParts)
#include "test_plan_parts.moc"
