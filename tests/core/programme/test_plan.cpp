#include "core/programme/plan.h"

#include <QTest>

#include <algorithm>
#include <random>
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

Blueprint twoFaults() {
    Blueprint b;
    b.drills = {drill("feed", Stage::fixedFeed, 6),
                drill("shadow", Stage::shadow, 3, true),
                drill("slow", Stage::slow, 5),
                drill("open", Stage::open, 8),
                drill("mirror", Stage::shadow, 4, true),
                drill("band", Stage::constrained, 6),
                drill("push", Stage::slow, 5)};
    b.drills[0].equipment = {"glove"};
    b.drills[3].partner = true;
    b.drills[3].speed = "full";
    b.drills[2].contrast = "the wrong way";
    Fault f, g;
    f.id = f.name = "late";
    f.drills = {"feed", "shadow", "slow", "open"};
    g.id = g.name = "bent";
    g.drills = {"mirror", "push", "band"};
    b.faults = {f, g};
    return b;
}

const Day kMonday = *dayFromIso("2026-11-23");

PlanInput week(std::vector<std::string> focus = {"late"}) {
    PlanInput in;
    in.from = kMonday;
    in.minutes = {0, 20, 0, 20, 0, 45, 0};
    in.focus = std::move(focus);
    return in;
}

std::string wordsOf(const std::vector<Breach>& breaches) {
    std::string out;
    for (const auto& b : breaches)
        out += b.words + "\n";
    return out;
}

PlannedBlock block(Day day, const char* drill, const char* fault, double minutes) {
    PlannedBlock b;
    b.day = day;
    b.drill = drill;
    b.fault = fault;
    b.minutes = minutes;
    b.stage = twoFaults().drill(drill)->stage;
    return b;
}

} // namespace

class TestPlan : public QObject {
    Q_OBJECT
private slots:
    void oneSessionAWeekAndTwoMinutesAtHome() {
        const auto p = prescribe(twoFaults(), week());
        QVERIFY(p.infeasible.empty() && p.breaches.empty() && p.proven);
        std::map<Day, double> session;
        for (const auto& b : p.blocks) {
            QVERIFY(!b.rules.empty());                                               // each says what it obeys
            QVERIFY(week().minutes[static_cast<std::size_t>(weekdayOf(b.day))] > 0); // rest days rest
            if (b.home())
                QCOMPARE(b.minutes, 2.0);
            else
                session[b.day] += b.minutes;
        }
        QCOMPARE(session.size(), std::size_t(2)); // two weeks, one each
        for (const auto& [day, minutes] : session)
            QVERIFY(minutes <= week().minutes[static_cast<std::size_t>(weekdayOf(day))]);
        const auto again = prescribe(twoFaults(), week());
        QVERIFY(again.blocks == p.blocks); // the same question has the same answer
    }
    void startsWhereTheGateStands() {
        auto in = week();
        in.reached["late"] = Stage::fixedFeed;
        bool learnt = false;
        for (const auto& b : prescribe(twoFaults(), in).blocks) {
            learnt = learnt || b.drill == "feed";
            QVERIFY(b.stage <= Stage::fixedFeed || b.forecast);
        }
        QVERIFY(learnt);
        in.days = 56; // six weeks on, the ladder is forecast to have climbed
        const auto far = prescribe(twoFaults(), in);
        QVERIFY(std::any_of(far.blocks.begin(), far.blocks.end(),
                            [](const auto& b) { return b.drill == "open" && b.forecast; }));
        QVERIFY2(far.breaches.empty(), wordsOf(far.breaches).c_str());
    }
    void nothingNewBeforeACompetition() {
        auto in = week();
        in.competitions = {kMonday + days(20)};
        const auto p = prescribe(twoFaults(), in);
        std::set<std::string> before;
        for (const auto& b : p.blocks) {
            if (in.competitions[0] - b.day >= days(14))
                before.insert(b.drill);
            else
                QVERIFY(before.contains(b.drill)); // what is owned goes on
        }
        QVERIFY(!before.empty() && p.notes[0].find(dayWords(in.competitions[0])) != std::string::npos);
        in.competitions = {kMonday + days(5), kMonday + days(14)};
        QVERIFY(prescribe(twoFaults(), in).infeasible.find("competition") != std::string::npos);
        in.known = {"shadow", "slow"};
        const auto owned = prescribe(twoFaults(), in);
        QVERIFY(!owned.blocks.empty());
        for (const auto& b : owned.blocks)
            QVERIFY(in.known.contains(b.drill) && b.day != in.competitions[0]);
    }
    void atHomeOnlyWhatCanBeDoneThere() {
        auto in = week();
        in.reached = {{"late", Stage::open}};
        in.known = {"feed", "shadow", "slow", "open"};
        in.focus = {"late"};
        in.places.fill(PracticePlace::home);
        const auto p = prescribe(twoFaults(), in);
        QVERIFY((p.ladder == std::vector<std::string>{"shadow"}));
        QVERIFY(!p.blocks.empty());
        for (const auto& b : p.blocks)
            QCOMPARE(b.drill, std::string("shadow"));
        // One day at the club brings the rest back, and only on that day.
        in.places[5] = PracticePlace::club;
        std::set<std::string> atClub;
        for (const auto& b : prescribe(twoFaults(), in).blocks) {
            QVERIFY2(weekdayOf(b.day) == 5 || b.drill == "shadow", b.drill.c_str());
            if (weekdayOf(b.day) == 5)
                atClub.insert(b.drill);
        }
        QVERIFY(atClub.contains("open"));
    }
    void aRungThatCannotBeDoneIsPassedOver() {
        auto in = week();
        in.focus = {"late"};
        in.reached.clear();
        Blueprint b = twoFaults();
        b.drills[1].equipment = {"tape"}; // the only drill of the first rung
        QVERIFY(stageAllowed(b, in, {}, "late", kMonday) == Stage::shadow);
        in.lacks = {{{"tape"}, {"tape"}}};
        QVERIFY(stageAllowed(b, in, {}, "late", kMonday) == Stage::slow);
        const auto p = prescribe(b, in);
        QVERIFY(p.infeasible.empty() && p.breaches.empty());
        QVERIFY(std::any_of(p.blocks.begin(), p.blocks.end(), [](const auto& x) { return x.drill == "slow"; }));
    }
    void equipmentAndPartner() {
        auto in = week();
        in.lacks = {{{"glove"}, {"glove"}}};
        in.alone.fill(true);
        QVERIFY((prescribe(twoFaults(), in).ladder == std::vector<std::string>{"shadow", "slow"}));
        Blueprint only = twoFaults();
        only.faults[0].drills = {"feed"};
        QVERIFY(prescribe(only, in).infeasible.find("equipment") != std::string::npos);
        only.faults[0].drills = {};
        QVERIFY(prescribe(only, in).infeasible.find("no drill") != std::string::npos);
    }
    void noMinutesNoFocusNoYes() {
        auto in = week();
        in.minutes = {};
        QVERIFY(prescribe(twoFaults(), in).infeasible.find("minutes") != std::string::npos);
        in.minutes = {1, 0, 0, 0, 0, 0, 0};
        QVERIFY(prescribe(twoFaults(), in).infeasible.find("minutes") != std::string::npos);
        const auto none = prescribe(twoFaults(), week({}));
        QVERIFY(none.blocks.empty() && !none.notes.empty());
        in = week();
        in.agreed = false;
        const auto trial = prescribe(twoFaults(), in);
        QVERIFY(trial.notes.front().find("agreement") != std::string::npos && !trial.blocks.empty());
        for (const auto& b : trial.blocks)
            QVERIFY(b.day < kMonday + days(7)); // one trial week
    }
    void regimes() {
        auto in = week({"late", "bent"});
        in.minutes = {15, 15, 15, 15, 15, 15, 0};
        std::map<std::string, std::size_t> sessions;
        for (const auto& r : kRegimes) {
            in.regime = r.id;
            in.known = {"shadow", "mirror"};
            std::set<Day> seen;
            const auto p = prescribe(twoFaults(), in);
            QVERIFY2(p.breaches.empty(), wordsOf(p.breaches).c_str());
            for (const auto& b : p.blocks) {
                if (!b.home())
                    seen.insert(b.day);
                QVERIFY(r.id != "competition" || in.known.contains(b.drill));
            }
            sessions[std::string(r.id)] = seen.size();
        }
        QCOMPARE(sessions["rebuild"], std::size_t(2));
        QVERIFY(sessions["often"] >= 8);
        QVERIFY(sessions["keep"] <= 2);
    }
    // What a hand has laid stays, breaks what it breaks, and the words say how to get out.
    void pinsBreachesAndTheWayOut() {
        auto in = week({"late", "bent"});
        auto standing = prescribe(twoFaults(), in).blocks;
        const auto session = std::find_if(standing.begin(), standing.end(), [](auto& b) { return !b.home(); });
        // Three long blocks on the 20 minutes of Tuesday.
        for (const char* id : {"slow", "push", "mirror"}) {
            auto b = block(kMonday + days(1), id, id == std::string("slow") ? "late" : "bent", 9);
            b.locked = true;
            in.standing.push_back(b);
        }
        const auto p = prescribe(twoFaults(), in);
        QVERIFY(session != standing.end());
        const auto minutes =
            std::find_if(p.breaches.begin(), p.breaches.end(), [](auto& b) { return b.rule == Rule::minutes; });
        QVERIFY2(minutes != p.breaches.end(), wordsOf(p.breaches).c_str());
        QVERIFY2(minutes->words.find("Tue 24 Nov: 20 minutes are there, these 3 blocks need 27") == 0,
                 minutes->words.c_str());
        const auto way = wayOutOf(twoFaults(), in, p.blocks, *minutes);
        QVERIFY(way && !way->words.empty());
        auto mended = p.blocks;
        if (way->day)
            mended[way->block].day = *way->day;
        else
            mended[way->block].state = BlockState::dropped;
        QVERIFY(breachesOf(twoFaults(), in, mended).size() < breachesOf(twoFaults(), in, p.blocks).size());
        // Overruled knowingly: it stands and is no breach any more.
        for (auto& b : in.standing)
            b.accepted = {"minutes", "sessions", "stage", "gap"};
        QVERIFY2(prescribe(twoFaults(), in).breaches.empty(), wordsOf(prescribe(twoFaults(), in).breaches).c_str());
    }
    void littleChangesAroundAGesture() {
        auto in = week({"late", "bent"});
        in.days = 28;
        const auto first = prescribe(twoFaults(), in);
        in.standing = first.blocks;
        QVERIFY(prescribe(twoFaults(), in).blocks.size() == first.blocks.size());
        // One block goes two days earlier.
        auto moved = std::find_if(in.standing.begin(), in.standing.end(), [](auto& b) { return !b.home(); });
        const Day was = moved->day;
        moved->day = was - days(2);
        moved->locked = true;
        moved->state = BlockState::moved;
        const auto next = replan(twoFaults(), in, was - days(7), was + days(7));
        int kept = 0;
        for (const auto& b : first.blocks)
            kept += std::any_of(next.blocks.begin(), next.blocks.end(),
                                [&](auto& n) { return n.day == b.day && n.drill == b.drill; });
        QVERIFY2(kept >= static_cast<int>(first.blocks.size()) - 3, qPrintable(QString::number(kept)));
        // A dropped one does not come back on its day.
        in.standing = first.blocks;
        in.standing[0].state = BlockState::dropped;
        const auto without = prescribe(twoFaults(), in);
        QVERIFY(std::none_of(without.blocks.begin(), without.blocks.end(), [&](auto& b) {
            return b.day == first.blocks[0].day && b.drill == first.blocks[0].drill;
        }));
    }
    // Far days roll on; what is near does not depend on how far one looks by more than its own window.
    void twelveWeeks() {
        auto in = week({"late", "bent"});
        in.days = 84;
        in.minutes = {0, 20, 0, 25, 0, 45, 0};
        in.competitions = {kMonday + days(60)};
        const auto p = prescribe(twoFaults(), in);
        QVERIFY2(p.breaches.empty() && p.infeasible.empty(), wordsOf(p.breaches).c_str());
        std::set<int> weeks;
        for (const auto& b : p.blocks) {
            QVERIFY(b.day >= in.from && b.day < in.from + days(84));
            if (!b.home())
                weeks.insert(static_cast<int>((b.day - in.from).count()) / 7);
        }
        QVERIFY2(weeks.size() >= 10, qPrintable(QString::number(weeks.size())));
        QVERIFY(std::is_sorted(p.blocks.begin(), p.blocks.end(),
                               [](const auto& a, const auto& b) { return a.day < b.day; }));
        // Asked to stop at once it gives what there is, lawfully.
        const auto stopped = prescribe(twoFaults(), in, [] { return true; });
        QVERIFY(breachesOf(twoFaults(), in, stopped.blocks).empty());
        // Nothing to do between a day and the day before it: what stands is what comes back.
        in.standing = p.blocks;
        const auto same = replan(twoFaults(), in, in.from, in.from - days(1));
        QCOMPARE(same.blocks.size(), p.blocks.size());
    }
    // Random but lawful weeks: every plan is lawful by the checker.
    void everyPlanIsLawful() {
        std::mt19937 random(12);
        const auto any = [&](int n) { return static_cast<int>(random() % static_cast<unsigned>(n)); };
        int planned = 0;
        for (int round = 0; round < 60; ++round) {
            Blueprint b;
            PlanInput in = week({"f0", "f1"});
            for (int f = 0; f < 2; ++f) {
                Fault fault;
                fault.id = fault.name = "f" + std::to_string(f);
                const int rungs = 4 + any(6);
                for (int r = 0; r < rungs; ++r) {
                    const std::string id = "d" + std::to_string(f) + std::to_string(r);
                    Drill d =
                        drill(id.c_str(), static_cast<Stage>(std::min(7, r * 8 / rungs)), 3 + any(8), r < 3 && any(2));
                    d.partner = any(5) == 0;
                    d.speed = any(4) == 0 ? "full" : "";
                    d.contrast = any(3) == 0 ? "the wrong way" : "";
                    if (any(4) == 0)
                        d.equipment = {"tape"};
                    b.drills.push_back(d);
                    fault.drills.push_back(id);
                }
                in.reached[fault.id] = static_cast<Stage>(any(4));
                b.faults.push_back(fault);
            }
            for (auto& m : in.minutes)
                m = any(3) ? 7 + any(54) : 0;
            for (auto& alone : in.alone)
                alone = any(3) == 0;
            for (auto& place : in.places)
                place = any(4) == 0 ? PracticePlace::home : PracticePlace::club;
            for (auto& lacks : in.lacks)
                if (any(3) == 0)
                    lacks = {"tape"};
            for (int c = any(3); c > 0; --c)
                in.competitions.push_back(kMonday + days(any(40)));
            for (int absent = any(4); absent > 0; --absent)
                in.taken[kMonday + days(any(28))] = 60;
            for (const auto& d : b.drills)
                if (any(3) == 0)
                    in.known.insert(d.id);
            in.regime = kRegimes[static_cast<std::size_t>(any(4))].id;
            in.days = round % 10 == 0 ? 56 : 14 + 7 * any(3);
            const auto p = prescribe(b, in);
            const auto breaches = breachesOf(b, in, p.blocks);
            QVERIFY2(breaches.empty(), (std::to_string(round) + "\n" + wordsOf(breaches)).c_str());
            planned += !p.blocks.empty();
        }
        QVERIFY2(planned > 45, qPrintable(QString::number(planned)));
    }
    // Pins at random: what is named as a clash still clashes by itself, and without any one of them it does not.
    void aClashIsTheSmallest() {
        std::mt19937 random(31);
        const auto any = [&](int n) { return static_cast<int>(random() % static_cast<unsigned>(n)); };
        const char* drills[] = {"slow", "push", "shadow", "mirror", "open", "feed", "band"};
        const auto b = twoFaults();
        int clashes = 0, several = 0;
        for (int round = 0; round < 200; ++round) {
            auto in = week({"late", "bent"});
            in.regime = kRegimes[static_cast<std::size_t>(any(4))].id;
            for (auto& m : in.minutes)
                m = any(4) ? 7 + any(30) : 0;
            if (any(3) == 0)
                in.competitions = {kMonday + days(any(20))};
            std::vector<PlannedBlock> pins;
            for (int i = 3 + any(9); i > 0; --i)
                pins.push_back(block(kMonday + days(any(9)), drills[any(7)], any(2) ? "late" : "bent", 3 + any(14)));
            for (const auto& breach : breachesOf(b, in, pins)) {
                const auto clash = smallestClash(b, in, pins, breach);
                const auto breaks = [&](std::size_t without) {
                    std::vector<PlannedBlock> some;
                    for (const auto i : clash.blocks)
                        if (i != without)
                            some.push_back(pins[i]);
                    const auto now = breachesOf(b, in, some);
                    return std::any_of(now.begin(), now.end(),
                                       [&](const Breach& x) { return x.rule == breach.rule && x.day == breach.day; });
                };
                QVERIFY(breaks(pins.size()));
                for (const auto i : clash.blocks)
                    QVERIFY2(!breaks(i), clash.words.c_str());
                ++clashes;
                several += clash.blocks.size() > 1;
            }
        }
        qInfo("%d clashes, %d of them of two blocks or more", clashes, several);
        QVERIFY(clashes > 500 && several > 100);
    }
    // What was done before a pause counts as known; the checker finds each thing that a hand can do wrong.
    void theCheckerSeesEachRule() {
        const auto b = twoFaults();
        const auto has = [&](const PlanInput& in, const std::vector<PlannedBlock>& blocks, Rule rule) {
            const auto all = breachesOf(b, in, blocks);
            return std::any_of(all.begin(), all.end(), [&](auto& x) { return x.rule == rule; });
        };
        const Day tue = kMonday + days(1), thu = kMonday + days(3), sat = kMonday + days(5);
        auto in = week({"late", "bent"});
        in.reached = {{"late", Stage::open}, {"bent", Stage::constrained}};
        in.known = {"slow", "push", "shadow", "mirror", "open", "feed", "band"};
        QVERIFY(breachesOf(b, in, {block(sat, "slow", "late", 5), block(sat, "push", "bent", 5)}).empty());
        QVERIFY(has(in, {block(kMonday, "slow", "late", 5)}, Rule::restDay));
        QVERIFY(has(in, {block(tue, "slow", "late", 25)}, Rule::minutes));
        QVERIFY(has(in, {block(sat, "slow", "late", 5), block(sat, "slow", "late", 5)}, Rule::twice));
        QVERIFY(has(in,
                    {block(tue, "slow", "late", 5), block(tue, "push", "bent", 5), block(sat, "slow", "late", 5),
                     block(sat, "push", "bent", 5)},
                    Rule::sessions));
        in.regime = "keep";
        QVERIFY(has(in,
                    {block(sat, "slow", "late", 5), block(sat, "push", "bent", 5),
                     block(sat + days(7), "slow", "late", 5), block(sat + days(7), "push", "bent", 5)},
                    Rule::gap));
        in.regime = "often";
        QVERIFY(has(in, {block(sat, "slow", "late", 7), block(sat, "push", "bent", 7)}, Rule::bout));
        in.regime = "";
        in.minutes = {60, 60, 60, 60, 60, 60, 60};
        QVERIFY(has(in, {block(tue, "open", "late", 8), block(tue + days(1), "open", "late", 8)}, Rule::load));
        in.minutes = {20, 20, 20, 20, 20, 20, 20};
        QVERIFY(has(in,
                    {block(tue, "slow", "late", 20), block(thu, "slow", "late", 20), block(sat, "slow", "late", 20),
                     block(sat + days(1), "slow", "late", 20)},
                    Rule::share));
        in.alone.fill(true);
        QVERIFY(has(in, {block(tue, "open", "late", 8)}, Rule::partner));
        in.lacks[1] = {"glove"};
        QVERIFY(!has(in, {block(tue, "feed", "late", 6)}, Rule::equipment)); // it is at the club
        in.lacks[0] = {"glove"};
        QVERIFY(has(in, {block(tue, "feed", "late", 6)}, Rule::equipment));
        QVERIFY(!has(in, {block(tue, "feed", "late", 6)}, Rule::place));
        in.places[1] = PracticePlace::home;
        QVERIFY(has(in, {block(tue, "feed", "late", 6)}, Rule::place));
        QVERIFY(!has(in, {block(tue, "shadow", "late", 3)}, Rule::place));
        in.reached.clear();
        QVERIFY(has(in, {block(tue, "feed", "late", 6)}, Rule::stage));
        in.known.clear();
        in.competitions = {sat};
        QVERIFY(has(in, {block(tue, "shadow", "late", 3)}, Rule::fresh));
        auto third = block(thu, "slow", "other", 5);
        QVERIFY(has(in, {block(tue, "slow", "late", 5), block(tue, "push", "bent", 5), third}, Rule::focus));
    }
};
QTEST_GUILESS_MAIN(TestPlan)
#include "test_plan.moc"
