// The plan that stands, sets and the calendar file, on cases made by hand.

#include "casebook/planner.h"
#include "casebook/shipped.h"
#include "library/calendar_file.h"
#include "library/library.h"
#include "tests/support/python.h"

#include <QFile>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

using namespace riflesso;
using std::chrono::days;

namespace {

const Day kToday = *dayFromIso("2026-11-23");

PlannedBlock planned(Id id, Day day, const char* drill, BlockState state = BlockState::planned) {
    PlannedBlock b;
    b.id = id;
    b.day = day;
    b.drill = drill;
    b.fault = "hand_late";
    b.minutes = 5;
    b.state = state;
    return b;
}

CaseData withPlan(const std::vector<PlannedBlock>& blocks) {
    CaseData data;
    data.brief.minutes = {0, 20, 0, 25, 0, 45, 0};
    for (const auto& b : blocks)
        data.planned[b.id] = b;
    return data;
}

// A case of films without pictures: a take a day and stage, reps in it.
struct Films {
    CaseData data;
    Id next = 1;
    Id take(Day day, Stage stage, Performer performer = Performer::athlete) {
        Take t;
        t.id = next++;
        t.day = day;
        t.stage = stage;
        t.performer = performer;
        data.takes[t.id] = t;
        return t.id;
    }
    Id rep(Id take, int number, const std::string& set = {}) {
        Rep r;
        r.id = next++;
        r.take = take;
        r.number = number;
        r.set = set;
        data.reps[r.id] = r;
        return r.id;
    }
};

MeasuredRep measured(Id id, const std::string& measure, double value, double u, bool draft = false) {
    MeasuredRep m;
    m.rep = std::to_string(id);
    MeasureValue v;
    v.measure = measure;
    v.value = value;
    v.u = u;
    v.draft = draft;
    v.uShared = draft ? 0.6 * u : 0.0; // as a reading from a draft has it
    m.values = {v};
    return m;
}

} // namespace

class TestPlanner : public QObject {
    Q_OBJECT
private slots:
    void adherence() {
        const auto data = withPlan({planned(1, kToday - days(3), "a", BlockState::done),
                                    planned(2, kToday - days(2), "a"),                      // gone by: missed
                                    planned(3, kToday - days(2), "b", BlockState::dropped), // nobody wanted it
                                    planned(4, kToday, "a"),                                // there is still time
                                    planned(5, kToday, "b", BlockState::done), planned(6, kToday + days(2), "a"),
                                    planned(7, kToday - days(40), "a", BlockState::done)}); // too long ago
        const auto a = adherenceOf(data, kToday);
        QCOMPARE(a.done, 2);
        QCOMPARE(a.missed, 1);
        QCOMPARE(adherenceOf(CaseData{}, kToday).done, 0);
    }
    void whyABlockWasChanged() {
        const Blueprint lunge = *shippedBlueprint("fencing-lunge");
        auto b = planned(1, kToday, "coin_drop");
        QVERIFY(whyWords(lunge, b).empty());
        b.why = "moved from 2026-11-20";
        QCOMPARE(whyWords(lunge, b), std::string("moved from Fri 20 Nov"));
        b.by = "Anna";
        QCOMPARE(whyWords(lunge, b), std::string("moved from Fri 20 Nov (Anna)"));
        b.why = "instead of slow_count";
        QCOMPARE(whyWords(lunge, b), "instead of " + lunge.drill("slow_count")->name + " (Anna)");
        b.why = "no hall on Friday";
        QCOMPARE(whyWords(lunge, b), std::string("no hall on Friday (Anna)"));
        b.why.clear();
        QCOMPARE(whyWords(lunge, b), std::string("by Anna"));
    }
    void whatPlanningNeeds() {
        auto data = withPlan({planned(1, kToday + days(1), "a"), planned(2, kToday - days(1), "c", BlockState::done)});
        data.brief.regime = "keep";
        data.brief.alone[3] = true;
        data.brief.places[2] = PracticePlace::home;
        data.brief.lacks = {{{"fioretto", "of another version"}, {"glove"}}}; // filled in with an Italian program
        data.brief.competitions = {kToday + days(40)};
        Block practised;
        practised.drill = "wall_point";
        practised.reps = {{true, {}, {}}};
        data.blocks[9] = practised;
        Block alone; // nobody counted, and it is known for all that
        alone.drill = "slow_count";
        alone.own = SelfCoached{20, 0, {}, 0, 0, {}, {}};
        data.blocks[11] = alone;
        Block empty;
        empty.drill = "never_done";
        data.blocks[10] = empty;
        Analysis a;
        a.judgement.focus = {"hand_late"};
        const auto in =
            planInputOf(data, *shippedBlueprint("fencing-lunge"), a, kToday, 21, {{kToday + days(1), 15.0}});
        QCOMPARE(in.days, 21);
        QCOMPARE(in.standing.size(), std::size_t(2));
        QCOMPARE(in.regime, std::string("keep"));
        QVERIFY(in.alone[3] && in.agreed && in.competitions.size() == 1);
        QVERIFY(in.places[2] == PracticePlace::home && in.places[3] == PracticePlace::club);
        QVERIFY((in.lacks[0] == std::set<std::string>{"foil"} && in.lacks[1] == std::set<std::string>{"glove"}));
        QVERIFY((in.known == std::set<std::string>{"wall_point", "slow_count", "c"}));
        QVERIFY(in.reached.at("hand_late") == Stage::shadow);
        QCOMPARE(availableOn(in, kToday + days(1)), 5.0); // the other technique has 15 of the 20
        QCOMPARE(availableOn(in, kToday + days(40)), 0.0);
    }
    void plansAsEdits() {
        const auto data =
            withPlan({planned(1, kToday, "same"), planned(2, kToday, "changed"), planned(3, kToday, "gone"),
                      planned(4, kToday, "dropped", BlockState::dropped), planned(5, kToday, "done", BlockState::done),
                      planned(6, kToday + days(30), "outside")});
        Id fresh = 100;
        auto changed = planned(2, kToday + days(1), "changed");
        auto made = planned(0, kToday, "new");
        made.rules = {"made anew"};
        made.forecast = true;
        auto same = planned(1, kToday, "same");
        same.rules = {"made anew"};
        const auto edits = planEdits(data, {same, changed, made}, kToday, kToday + days(7), [&] { return fresh++; });
        CaseData after = data;
        for (const auto& e : edits)
            applyTo(after, e);
        QCOMPARE(edits.size(), std::size_t(3));
        QCOMPARE(after.planned.size(), std::size_t(6));
        QVERIFY(after.planned.at(2) == changed && !after.planned.contains(3));
        QVERIFY(after.planned.at(100).drill == "new" && after.planned.at(100).rules.empty() &&
                !after.planned.at(100).forecast);
        QVERIFY(after.planned.contains(4) && after.planned.contains(5) && after.planned.contains(6));
        for (auto it = edits.rbegin(); it != edits.rend(); ++it)
            applyTo(after, reversed(*it));
        QVERIFY(after == data);
        QVERIFY(planEdits(data, standingPlan(data), kToday, kToday + days(60), [&] { return fresh++; }).empty());
    }
    void twoTechniquesShareTheirMinutes() {
        QTemporaryDir dir;
        auto l = std::move(*Library::create((dir.path() + "/lib").toStdString()));
        Brief brief;
        brief.athlete.name = "Ana Quist";
        const auto athlete = l->addCase("fencing-lunge", brief);
        QVERIFY(athlete.ok());
        const auto first = *athlete;
        const auto people = *l->athletes();
        const auto second = l->addCase("archery-shot", brief, people.front().id);
        QVERIFY(second.ok());
        const auto other = *l->addCase("race-walking", Brief{}); // somebody else
        QVERIFY(l->apply(first, {PlanEdit{50, {}, planned(50, kToday, "a")}, PlanEdit{51, {}, planned(51, kToday, "b")},
                                 PlanEdit{52, {}, planned(52, kToday, "c", BlockState::dropped)},
                                 PlanEdit{53, {}, planned(53, kToday - days(1), "d")}}));
        QVERIFY(l->apply(other, {PlanEdit{54, {}, planned(54, kToday, "e")}}));
        const auto minutes = l->minutesElsewhere(*second, kToday);
        QVERIFY(minutes.ok());
        QVERIFY((*minutes == std::map<Day, double>{{kToday, 10.0}}));
        QVERIFY(l->minutesElsewhere(first, kToday)->empty());
    }
    void setsByDayAndStageAndByHand() {
        Films f;
        const Id old = f.take(kToday - days(7), Stage::slow), calm = f.take(kToday, Stage::fixedFeed),
                 scored = f.take(kToday, Stage::scored), model = f.take(kToday, Stage::slow, Performer::model);
        f.rep(old, 1);
        const Id two = f.rep(calm, 2), one = f.rep(calm, 1), hint = f.rep(calm, 3, "after the hint");
        const Id point = f.rep(scored, 1);
        f.rep(model, 1);
        f.data.reps.at(two).stage = Stage::open; // this one was under more stress
        const auto sets = setsOf(f.data);
        QCOMPARE(sets.size(), std::size_t(5));
        QVERIFY(sets.back().key.day == kToday - days(7)); // newest first
        QVERIFY(sets.front().reps == std::vector<Id>{point});
        const RepSet* byHand = findSet(sets, "after the hint");
        QVERIFY(byHand && byHand->byHand && byHand->reps == std::vector<Id>{hint});
        QVERIFY(findSet(sets, "2026-11-23 open")->reps == std::vector<Id>{two});
        QVERIFY(findSet(sets, SetKey{kToday, "fixed feed"})->reps == std::vector<Id>{one});
        QVERIFY(!findSet(sets, "nothing") && !findSet(sets, SetKey{kToday, "slow"})); // the model's are no sets
        QCOMPARE(textOf(byHand->key), std::string("2026-11-23 after the hint"));
    }
    void valuesOfASet() {
        Films f;
        const Id t = f.take(kToday, Stage::slow), a = f.rep(t, 1), b = f.rep(t, 2), c = f.rep(t, 3);
        std::map<Id, MeasuredRep> m{{a, measured(a, "knee", 120, 2)}, {b, measured(b, "knee", 90, 2, true)}};
        m[c] = measured(c, "knee", 100, 1);
        m[c].values[0].refused = true;
        const auto values = setValues(f.data, m, {a, b, c, 999});
        QCOMPARE(values.size(), std::size_t(2));
        QVERIFY(values[0].u == 2.0 && values[0].uShared == 0.0);
        QVERIFY(values[1].uShared == 1.2 && std::abs(values[1].u - 1.6) < 1e-12);
        const auto stages = insideByStage(f.data, m, "knee", {100, 130, 15});
        const auto& slow = stages[static_cast<std::size_t>(Stage::slow)];
        QVERIFY(slow.n == 2 && slow.inside == 1);
    }
    void whatAFilmSaysOfAFault() {
        const auto blueprint = *shippedBlueprint("fencing-lunge");
        const Fault& fault = blueprint.faults.front();
        QVERIFY(!fault.indicators.empty());
        Analysis a;
        QVERIFY(stateOf(blueprint, a, fault.id) == FaultState::notShown);
        for (const auto& indicator : fault.indicators) {
            Deviation d;
            d.measure = indicator.measure;
            d.judged = true;
            d.verdict.pIn = 1.0;
            a.deviations.push_back(d);
        }
        QVERIFY(stateOf(blueprint, a, fault.id) == FaultState::held);
        auto& verdict = a.deviations.front().verdict;
        (fault.indicators.front().direction == Deviance::low ? verdict.pLow : verdict.pHigh) = 0.3;
        QVERIFY(stateOf(blueprint, a, fault.id) == FaultState::undecided);
        Finding found;
        found.fault = fault.id;
        a.judgement.findings = {found};
        QVERIFY(stateOf(blueprint, a, fault.id) == FaultState::there);
    }
    void decisionsInOrderAndConsent() {
        CaseData data;
        QVERIFY(rebuildAgreed(data)); // as the brief says
        data.brief.wantsRebuild = false;
        QVERIFY(!rebuildAgreed(data));
        data.decisions[5] = {5, "b", {}, DecisionKind::takenUp, {}, kToday, Consent::yes, {}};
        QVERIFY(rebuildAgreed(data)); // who was asked counts
        data.decisions[3] = {3, "c", {}, DecisionKind::takenUp, {}, kToday - days(1), Consent::notYet, {}};
        QVERIFY(!rebuildAgreed(data));
        data.decisions[4] = {4, "a", {}, DecisionKind::parked, {}, kToday, Consent::notAsked, kToday};
        const auto open = openDecisions(data);
        QCOMPARE(open.size(), std::size_t(2));
        QVERIFY(open[0].fault == "c" && open[1].fault == "b");
        QVERIFY(!decisionOn(data, "a") && decisionOn(data, "b")->id == 5 && !decisionOn(data, ""));
    }
    // Read back by another program: stable names, a growing sequence, what was dropped as cancelled.
    void theCalendarFile() {
        QTemporaryDir dir;
        const auto blueprint = *shippedBlueprint("fencing-lunge");
        auto home = planned(7, kToday + days(1), "wall_point");
        home.kind = BlockKind::home;
        home.minutes = 2;
        const std::vector<PlannedBlock> blocks{home, planned(8, kToday + days(5), "coin_drop"),
                                               planned(9, kToday + days(5), "slow_count", BlockState::dropped)};
        const auto read = [&](const CalendarFileOptions& options) {
            QFile file(dir.filePath("plan.ics"));
            if (file.open(QIODevice::WriteOnly))
                file.write(QByteArray::fromStdString(planToCalendar(blueprint, blocks, options)));
            file.close();
            return test::runReference("calendar_file.py", {}, {file.fileName()})["events"].toArray();
        };
        const auto first = read({false, "3", 1'795'000'000}), later = read({false, "3", 1'795'003'600});
        QCOMPARE(first.size(), 3);
        for (int i = 0; i < 3; ++i) {
            const auto a = first[i].toObject(), b = later[i].toObject();
            QCOMPARE(a["uid"], b["uid"]);
            QVERIFY(b["sequence"].toInt() > a["sequence"].toInt());
        }
        QCOMPARE(first[0].toObject()["day"].toString(), QString("2026-11-24"));
        QVERIFY(first[0].toObject()["summary"].toString().contains("at home"));
        QVERIFY(first[1].toObject()["description"].toString().contains(
            QString::fromStdString(blueprint.drill("coin_drop")->cue)));
        QCOMPARE(first[2].toObject()["status"].toString(), QString("CANCELLED"));
        QCOMPARE(read({true, "3", 1'795'000'000}).size(), 1);
        std::array<PracticePlace, 7> places{};
        places[5] = PracticePlace::home; // the Saturday of the other two
        const auto homeDays = read({true, "3", 1'795'000'000, places});
        QCOMPARE(homeDays.size(), 3);
        QVERIFY(homeDays[1].toObject()["summary"].toString().contains("at home"));
        QVERIFY(read({false, "4", 1'795'000'000})[0].toObject()["uid"] != first[0].toObject()["uid"]);
    }
    void aCalendarTakesMinutesAndBringsCompetitions() {
        // As RFC 5545 writes them: hours that come again each week, a whole day, one called off.
        const std::string text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\n"
                                 "BEGIN:VEVENT\r\nUID:1\r\nDTSTART:20261124T170000\r\nDTEND:20261124T183000\r\n"
                                 "RRULE:FREQ=WEEKLY;COUNT=3\r\nSUMMARY:Choir\r\nEND:VEVENT\r\n"
                                 "BEGIN:VEVENT\r\nUID:2\r\nDTSTART;VALUE=DATE:20261205\r\nDTEND;VALUE=DATE:20261206\r\n"
                                 "SUMMARY:Regional CUP\r\nEND:VEVENT\r\n"
                                 "BEGIN:VEVENT\r\nUID:3\r\nDTSTART:20261125T100000\r\nDTEND:20261125T110000\r\n"
                                 "STATUS:CANCELLED\r\nSUMMARY:Off\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        const Day from = *dayFromIso("2026-11-23"), to = *dayFromIso("2027-01-31");
        const auto events = eventsFromCalendar(text, "a.ics", from, to);
        QVERIFY2(events.ok(), events ? "" : events.error().text().c_str());
        QCOMPARE(events->size(), std::size_t(4));
        QCOMPARE(isoDate((*events)[0].day), std::string("2026-11-24"));
        QCOMPARE((*events)[0].minutes, 90.0);
        QCOMPARE(isoDate((*events)[1].day), std::string("2026-12-01"));
        QVERIFY((*events)[2].wholeDay);
        Brief brief;
        brief.busy = {{from - std::chrono::days(3), 30.0, "past"}, {from + std::chrono::days(2), 30.0, "older copy"}};
        takeOverCalendar(brief, *events, "cup");
        QCOMPARE(brief.competitions.size(), std::size_t(1));
        QCOMPARE(isoDate(brief.competitions[0]), std::string("2026-12-05"));
        QCOMPARE(brief.busy.size(), std::size_t(4)); // the past one, and three evenings of choir
        takeOverCalendar(brief, *events, "cup");
        QCOMPARE(brief.competitions.size(), std::size_t(1));
        QCOMPARE(brief.busy.size(), std::size_t(4));
        CaseData data;
        data.brief = brief;
        const auto in = planInputOf(data, *shippedBlueprint("fencing-lunge"), {}, from, 14);
        QCOMPARE(in.taken.at(*dayFromIso("2026-11-24")), 90.0);
        for (const std::string bad : {"", "BEGIN:VCALENDAR", "BEGIN:VEVENT\nEND:VEVENT\n"})
            (void)eventsFromCalendar(bad, "b.ics", from, to); // words or nothing, never a crash
        QVERIFY(!eventsFromCalendar("no calendar at all", "b.ics", from, to).ok());
        QVERIFY(!eventsFromCalendar(std::string(11u << 20, 'x'), "b.ics", from, to).ok());
    }
};

QTEST_GUILESS_MAIN(TestPlanner)
#include "test_planner.moc"
