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
};
QTEST_GUILESS_MAIN(TestCalendar)
#include "test_calendar.moc"
