#include "core/programme/calendar.h"

#include <QTest>

#include <set>

using namespace riflesso;
using std::chrono::days;

namespace {

Drill drill(const char* id, Stage stage, double minutes, bool home = false) {
    Drill d;
    d.id = d.name = id;
    d.stage = stage;
    d.dose = {2, 6, minutes};
    d.home = home;
    return d;
}

Blueprint plan() {
    Blueprint b;
    b.drills = {drill("feed", Stage::fixedFeed, 6), drill("shadow", Stage::shadow, 3, true),
                drill("slow", Stage::slow, 5), drill("open", Stage::open, 8)};
    b.drills[0].equipment = {"glove"};
    b.drills[3].partner = true;
    b.drills[2].contrast = "the wrong way";
    Fault f;
    f.id = f.name = "late";
    f.drills = {"feed", "shadow", "slow", "open"};
    b.faults = {f};
    return b;
}

const Day kMonday = *dayFromIso("2026-11-23");

CalendarInput week() {
    CalendarInput in;
    in.from = kMonday;
    in.minutes = {0, 20, 0, 20, 0, 45, 0};
    return in;
}

} // namespace

class TestCalendar : public QObject {
    Q_OBJECT
private slots:
    void datesGoBothWays() {
        QCOMPARE(isoDate(kMonday), std::string("2026-11-23"));
        QCOMPARE(weekdayOf(kMonday), 0);
        QCOMPARE(weekdayOf(*dayFromIso("2024-02-29")), 3);
        for (const char* bad : {"2026-02-29", "2026-13-01", "26-1-1", "2026/11/23", "", "2026-11-2x"})
            QVERIFY(!dayFromIso(bad));
    }
    void theLadderClimbs() {
        const auto b = plan();
        const auto ladder = ladderOf(b, b.faults[0]);
        QCOMPARE(ladder.size(), std::size_t(4));
        QCOMPARE(ladder[0]->id, std::string("shadow"));
        QCOMPARE(ladder[3]->id, std::string("open"));
    }
    void oneSessionAWeekAndTwoMinutesAtHome() {
        const auto p = prescribe(plan(), {"late"}, week());
        QVERIFY(p.infeasible.empty());
        std::map<Day, double> session;
        for (const auto& block : p.blocks) {
            QVERIFY(!block.rules.empty());                                               // each says what it obeys
            QVERIFY(week().minutes[static_cast<std::size_t>(weekdayOf(block.day))] > 0); // rest days rest
            if (block.home)
                QCOMPARE(block.minutes, 2.0);
            else
                session[block.day] += block.minutes;
        }
        QCOMPARE(session.size(), std::size_t(2)); // two weeks, one each: the Saturdays have most minutes
        for (const auto& [day, minutes] : session) {
            QCOMPARE(weekdayOf(day), 5);
            QVERIFY(minutes <= 45);
        }
    }
    void startsWhereTheGateStands() {
        auto in = week();
        in.reached["late"] = Stage::fixedFeed;
        const auto p = prescribe(plan(), {"late"}, in);
        for (const auto& block : p.blocks)
            if (!block.home)
                QVERIFY(plan().drill(block.drill)->stage >= Stage::fixedFeed);
    }
    void nothingNewBeforeACompetition() {
        auto in = week();
        in.competitions = {kMonday + days(20)};
        const auto p = prescribe(plan(), {"late"}, in);
        for (const auto& block : p.blocks)
            QVERIFY(in.competitions[0] - block.day >= days(14));
        QVERIFY(!p.notes.empty() && p.notes[0].find("2026-12-13") != std::string::npos);
        in.competitions = {kMonday + days(5)};
        const auto none = prescribe(plan(), {"late"}, in);
        for (const auto& block : none.blocks)
            QVERIFY(block.day > in.competitions[0]);
        in.competitions = {kMonday + days(5), kMonday + days(14)};
        const auto full = prescribe(plan(), {"late"}, in);
        QVERIFY(full.blocks.empty());
        QVERIFY(full.infeasible.find("competition") != std::string::npos);
    }
    void equipmentAndPartner() {
        auto in = week();
        in.equipment = {"tape"};
        in.partner = false;
        const auto p = prescribe(plan(), {"late"}, in);
        QVERIFY((p.ladder == std::vector<std::string>{"shadow", "slow"}));
        Blueprint only = plan();
        only.faults[0].drills = {"feed"};
        const auto none = prescribe(only, {"late"}, in);
        QVERIFY(none.blocks.empty() && none.infeasible.find("equipment") != std::string::npos);
    }
    void noMinutesNoPlan() {
        auto in = week();
        in.minutes = {};
        QVERIFY(prescribe(plan(), {"late"}, in).infeasible.find("minutes") != std::string::npos);
        in.minutes = {1, 0, 0, 0, 0, 0, 0};
        QVERIFY(prescribe(plan(), {"late"}, in).infeasible.find("minutes") != std::string::npos);
    }
    void noFocusNoPlan() {
        const auto p = prescribe(plan(), {}, week());
        QVERIFY(p.blocks.empty() && !p.notes.empty());
    }
    void noBuyInIsSaid() {
        auto in = week();
        in.wantsRebuild = false;
        QVERIFY(prescribe(plan(), {"late"}, in).notes.front().find("agreement") != std::string::npos);
    }
    void neverThreeThings() {
        Blueprint b = plan();
        for (const char* id : {"x", "y"}) {
            Fault f = b.faults[0];
            f.id = f.name = id;
            b.faults.push_back(f);
        }
        std::set<std::string> faults;
        const auto p = prescribe(b, {"late", "x", "y"}, week());
        for (const auto& block : p.blocks)
            faults.insert(block.fault);
        QVERIFY(faults.size() <= 2 && !faults.contains("y"));
        // A drill that answers two things is done once a day.
        std::set<std::pair<Day, std::string>> seen;
        for (const auto& block : p.blocks)
            QVERIFY(seen.emplace(block.day, block.drill).second);
    }
};
QTEST_GUILESS_MAIN(TestCalendar)
#include "test_calendar.moc"
