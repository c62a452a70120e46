// What a case says to "at which speed" and "which cue", what reps show a measure, and what its card keeps.

#include "casebook/progress_questions.h"

#include "casebook/card.h"
#include "casebook/shipped.h"
#include "casebook/shown_rep.h"
#include "casebook/trends.h"
#include "library/case_card.h"
#include "library/case_json.h"

#include <QTest>

#include <algorithm>
#include <cmath>

using namespace riflesso;

class TestProgressQuestions : public QObject {
    Q_OBJECT
    const Blueprint m_blueprint = *shippedBlueprint("fencing-lunge");
    const Day m_today = *dayFromIso("2026-11-23");

    // Reps whose movement takes the given numbers of frames at 120 Hz; the measure is 100 + number.
    struct Case {
        CaseData data;
        Analysis analysis;
    };
    Case reps(const std::vector<int>& lengths, std::optional<double> rate = 120.0) const {
        Case c;
        Take take;
        take.id = 1;
        take.day = m_today;
        take.captureRate = rate;
        for (int f = 0; f < 2000; ++f)
            take.times.push_back(f / 120.0);
        c.data.takes[1] = take;
        int number = 0, at = 0;
        for (const int length : lengths) {
            Rep rep;
            rep.id = 10 + number;
            rep.take = 1;
            rep.number = ++number;
            rep.positions["on_guard"] = {FrameIndex(at), std::nullopt};
            rep.positions["heel_lands"] = {FrameIndex(at + length), std::nullopt};
            at += length + 10;
            MeasuredRep measured;
            measured.rep = std::to_string(rep.id);
            MeasureValue v;
            v.measure = "rear_knee";
            v.value = 100 + number;
            v.u = 1.0;
            v.frames = {rep.positions["heel_lands"].frame};
            measured.values.push_back(v);
            c.analysis.measured[rep.id] = measured;
            c.analysis.athleteReps.push_back(rep.id);
            c.data.reps[rep.id] = rep;
        }
        return c;
    }
    static MeasuredRep seen(double value) {
        MeasuredRep out;
        MeasureValue v;
        v.measure = "land_trunk";
        v.value = value;
        v.u = 1.0;
        out.values = {v};
        return out;
    }
    static Block block(Id id, const char* drill, const char* cue, int good, int bad, Stage stage = Stage::slow) {
        Block b;
        b.id = id;
        b.drill = drill;
        b.stage = stage;
        b.cue = cue;
        for (int i = 0; i < good + bad; ++i)
            b.reps.push_back({{}, i < good, {}});
        return b;
    }
private slots:
    // What was said on an earlier day is kept with it; each guess stands beside the films of about its day.
    void guessesOverTime() {
        using std::chrono::days;
        Brief b;
        giveGuesses(b, {{"land_trunk", 5.0, m_today - days(40)}});
        giveGuesses(b, {{"land_trunk", 7.0, m_today - days(40)}}); // thought again on the same day
        QVERIFY(b.pastGuesses.empty() && b.guesses.front().value == 7.0);
        giveGuesses(b, {{"land_trunk", 7.0, m_today - days(20)}}); // the same: nothing new was said
        QVERIFY(b.pastGuesses.empty() && b.guesses.front().day == m_today - days(40));
        giveGuesses(b, {{"land_trunk", 18.0, m_today}});
        QVERIFY(b.pastGuesses.size() == 1 && b.pastGuesses[0].value == 7.0 && b.guesses[0].day == m_today);
        giveGuesses(b, {}); // no guess any more: it was one
        QVERIFY(b.pastGuesses.size() == 2 && b.guesses.empty());
        Brief undated;
        undated.guesses = {{"land_trunk", 5.0}};
        giveGuesses(undated, {{"land_trunk", 6.0, m_today}});
        QVERIFY(undated.pastGuesses.empty());
        const auto read = briefFromJson(toJson(b));
        QVERIFY2(read.ok(), read ? "" : read.error().text().c_str());
        QVERIFY(read->pastGuesses == b.pastGuesses && read->guesses == b.guesses);

        Case c;
        c.data.brief = b;
        for (const auto& [id, ago, value] : {std::tuple{Id(1), 38, 25.0}, {Id(2), 1, 20.0}, {Id(3), 90, 60.0}}) {
            Take take;
            take.id = id;
            take.day = m_today - days(ago);
            c.data.takes[id] = take;
            c.data.reps[10 + id] = {};
            c.data.reps[10 + id].take = id;
            c.analysis.measured[10 + id] = seen(value);
        }
        const auto over = feltOverTime(c.data, c.analysis, "land_trunk");
        QCOMPARE(over.size(), std::size_t(2));
        QVERIFY(over[0].felt.guess == 7.0 && over[0].felt.measured == 25.0);
        QVERIFY(over[1].felt.guess == 18.0 && over[1].felt.measured == 20.0 && over[1].felt.u > 0.0);
        QVERIFY(gapStory(over) == GapStory::shrinks);
        c.data.takes[1].day = m_today - days(70); // too far from the first guess, and the second is nearer to none
        QCOMPARE(feltOverTime(c.data, c.analysis, "land_trunk").size(), std::size_t(1));
        QVERIFY(feltOverTime(c.data, c.analysis, "rear_knee").empty());
    }
    void aRepsSpeedIsTheTimeBetweenItsKeyPositions() {
        const auto c = reps({60, 120, 90});
        const auto timed = timedReps(c.data, m_blueprint, c.analysis, "rear_knee");
        QCOMPARE(timed.size(), std::size_t(3));
        QVERIFY(std::abs(timed[0].duration - 0.5) < 1e-9);
        QVERIFY(std::abs(timed[1].duration - 1.0) < 1e-9);
        // Two instants of one frame each: √2 · period/√12.
        QVERIFY(std::abs(timed[0].uDuration - std::sqrt(2.0) / 120 / std::sqrt(12.0)) < 1e-9);
        QCOMPARE(timed[2].value, 103.0);
        QCOMPARE(timed[2].rep, std::string("12"));
    }
    void withoutACaptureRateThereIsNoSpeed() {
        const auto c = reps({60, 120, 90}, std::nullopt);
        QVERIFY(timedReps(c.data, m_blueprint, c.analysis, "rear_knee").empty());
        QVERIFY(timedReps(reps({60}).data, m_blueprint, reps({60}).analysis, "no_such_measure").empty());
    }
    void modelsAndRefusedValuesAreNotAmongThem() {
        auto c = reps({60, 120, 90});
        c.analysis.measured[11].values[0].refused = true;
        QCOMPARE(timedReps(c.data, m_blueprint, c.analysis, "rear_knee").size(), std::size_t(2));
        c.data.takes[1].performer = Performer::model;
        QVERIFY(timedReps(c.data, m_blueprint, c.analysis, "rear_knee").empty());
    }
    void onlyPositionsThatAllHaveAreUsed() {
        auto c = reps({60, 120});
        c.data.reps[10].positions["lunge_held"] = {FrameIndex(90), std::nullopt}; // the other has it not
        QVERIFY(std::abs(timedReps(c.data, m_blueprint, c.analysis, "rear_knee")[0].duration - 0.5) < 1e-9);
        c.data.reps[11].positions.erase("on_guard");
        QVERIFY(timedReps(c.data, m_blueprint, c.analysis, "rear_knee").empty()); // one position is no stretch
    }
    void practiceStaysBelowTheSpeedAtWhichItFallsApart() {
        // The shorter the rep, the straighter the knee: 2 degrees for each 10 % of speed, out of the band from 80 % on.
        auto c = reps({60, 65, 70, 75, 82, 90, 100, 110, 120});
        const auto timed = timedReps(c.data, m_blueprint, c.analysis, "rear_knee");
        double fastest = 1e9;
        for (const auto& t : timed)
            fastest = std::min(fastest, t.duration);
        std::size_t i = 0;
        for (auto& [id, measured] : c.analysis.measured) {
            measured.values[0].value = 150.0 + 20.0 * fastest / timed[i++].duration;
            measured.values[0].u = 0.2;
        }
        FocusTrend trend;
        trend.fault = "rear_leg_soft";
        trend.measure = "rear_knee";
        trend.band = {100.0, 166.0};
        c.analysis.trends = {trend};
        const auto limit = speedLimitOf(c.data, m_blueprint, c.analysis, "rear_leg_soft");
        QVERIFY(limit.verdict == SpeedVerdict::leavesAt && limit.by == SpeedBy::speed);
        QVERIFY2(std::abs(limit.leaves->x - 80.0) < 1.0, qPrintable(QString::number(limit.leaves->x)));
        QVERIFY(limit.practiseAt > 0.0 && limit.practiseAt < limit.leaves->x);
        QVERIFY(speedLimitOf(c.data, m_blueprint, c.analysis, "hand_late").verdict == SpeedVerdict::tooFew);
        // Without a capture rate, what was stated says it.
        c.data.takes[1].captureRate.reset();
        QVERIFY(speedLimitOf(c.data, m_blueprint, c.analysis, "rear_leg_soft").verdict == SpeedVerdict::tooFew);
        i = 0;
        for (auto& [id, rep] : c.data.reps)
            rep.effort = std::min(1.0, fastest / timed[i++].duration);
        QVERIFY(speedLimitOf(c.data, m_blueprint, c.analysis, "rear_leg_soft").by == SpeedBy::effort);
    }
    void theDrillWithTheMostCuesIsCompared() {
        CaseData data;
        data.blocks = {{1, block(1, "slow_count", "", 5, 5)},   {2, block(2, "slow_count", "", 3, 1)},
                       {3, block(3, "coin_drop", "one", 4, 4)}, {4, block(4, "coin_drop", "two", 6, 2)},
                       {5, block(5, "coin_drop", "one", 1, 0)}, {6, block(6, "coin_drop", "two", 2, 2, Stage::open)}};
        const auto trial = cueTrial(data, m_blueprint);
        QCOMPARE(trial.drill, std::string("coin_drop"));
        QCOMPARE(trial.stage, Stage::slow);
        QCOMPARE(trial.cues.size(), std::size_t(2));
        const auto one =
            std::find_if(trial.cues.begin(), trial.cues.end(), [](const auto& c) { return c.cue == "one"; });
        QVERIFY(one != trial.cues.end() && one->good == 5 && one->bad == 4);
    }
    void aBlockWithoutACueWasDoneWithTheDrills() {
        CaseData data;
        data.blocks = {{1, block(1, "slow_count", "", 5, 5)}};
        const auto trial = cueTrial(data, m_blueprint);
        QCOMPARE(trial.cues.size(), std::size_t(1));
        QCOMPARE(trial.cues[0].cue, m_blueprint.drill("slow_count")->cue);
        QVERIFY(cueTrial({}, m_blueprint).drill.empty());
        data.blocks = {{1, block(1, "a drill that is gone", "", 5, 5)}};
        QVERIFY(cueTrial(data, m_blueprint).cues.empty());
    }
    void repsByTheWayTheyWereFed() {
        CaseData data;
        const Drill& glove = *m_blueprint.drill("glove_call");
        QVERIFY(glove.variations.size() >= 2);
        Block b = block(1, "glove_call", "", 0, 0);
        const auto rep = [](bool good, const std::string& way) {
            PractisedRep r;
            r.coach = good;
            r.variation = way;
            return r;
        };
        const std::string low = glove.variations[1], high = glove.variations[0];
        b.reps = {rep(true, low), rep(false, low), rep(true, high), rep(true, "out of the corner"), rep(false, "")};
        // What an Italian coach noted before.
        b.reps.push_back(rep(true, m_blueprint.languages.at("it").at(low)));
        data.blocks = {{1, b}, {2, block(2, "coin_drop", "", 3, 3)}};
        const auto ways = repsByVariation(data, m_blueprint, glove);
        QCOMPARE(ways.size(), std::size_t(3));
        QVERIFY(ways[0].cue == high && ways[0].good == 1 && ways[0].bad == 0);
        QVERIFY(ways[1].cue == low && ways[1].good == 2 && ways[1].bad == 1);
        QCOMPARE(ways[2].cue, std::string("out of the corner"));
        QVERIFY(repsByVariation(data, m_blueprint, *m_blueprint.drill("coin_drop")).empty());
    }
    void statedEffortsNeedNoCaptureRate() {
        auto c = reps({60, 120, 90}, std::nullopt);
        c.data.reps[11].effort = 0.8;
        const auto stated = statedReps(c.data, c.analysis, "rear_knee");
        QCOMPARE(stated.size(), std::size_t(1));
        QVERIFY(stated[0].rep == "11" && *stated[0].effort == 0.8 && stated[0].duration == 0.0);
        c.data.takes[1].performer = Performer::model;
        QVERIFY(statedReps(c.data, c.analysis, "rear_knee").empty());
    }
    void anyMeasureOverItsDates() {
        auto c = reps({60, 120});
        c.data.takes[1].view = m_blueprint.measure("rear_knee")->definition.view;
        QVERIFY(followedMeasures(m_blueprint, c.analysis).empty()); // it has no band yet
        Deviation d;
        d.measure = "rear_knee";
        d.band = {165, 180, 7.5};
        c.analysis.deviations = {d};
        QCOMPARE(followedMeasures(m_blueprint, c.analysis), std::vector<std::string>{"rear_knee"});
        const auto t = trendOf(c.data, m_blueprint, c.analysis, {}, "rear_knee");
        QCOMPARE(t.points.size(), std::size_t(1));
        QVERIFY(std::abs(t.points[0].value - 101.5) < 1e-9 && t.points[0].reps == 2 && t.band.lo == 165);
        QVERIFY(!t.change);
        QVERIFY(trendOf(c.data, m_blueprint, c.analysis, {}, "no_such_measure").points.empty());
        c.data.takes[1].view = View::front; // does not show it
        QVERIFY(trendOf(c.data, m_blueprint, c.analysis, {}, "rear_knee").points.empty());
    }
    // Twelve reps over a quarter of a minute: the values rise by one a rep and scatter by nothing.
    void doesItTire() {
        auto c = reps(std::vector<int>(12, 150));
        const auto found = driftOverTake(c.data, c.analysis, "rear_knee");
        QVERIFY(found && found->take == 1 && found->reps == 12);
        QVERIFY(std::abs(found->minutes - 11 * 160 / 120.0 / 60.0) < 1e-9);
        QVERIFY(std::abs(found->drift.change - 11.0) < 1e-6 && found->sure());
        for (auto& [id, m] : c.analysis.measured) // no drift any more
            m.values[0].value = id % 2 ? 1.0 : -1.0;
        QVERIFY(!driftOverTake(c.data, c.analysis, "rear_knee")->sure());
        QVERIFY(!driftOverTake(reps({60, 60, 60}).data, reps({60, 60, 60}).analysis, "rear_knee"));
        c.data.takes[1].captureRate.reset();
        QVERIFY(!driftOverTake(c.data, c.analysis, "rear_knee"));
    }
    void whichRepsShowAMeasure() {
        auto c = reps({60, 120, 90});
        c.data.takes[1].view = m_blueprint.measure("rear_knee")->definition.view;
        const auto shown = shownReps(c.data, m_blueprint, c.analysis, "rear_knee", false);
        QCOMPARE(shown.size(), std::size_t(3));
        QCOMPARE(shown[1].frame, c.data.reps[11].positions["heel_lands"].frame);
        QVERIFY(shown[1].value && shown[1].value->value == 102);
        QVERIFY(shownReps(c.data, m_blueprint, c.analysis, "rear_knee", true).empty());
        QVERIFY(shownReps(c.data, m_blueprint, c.analysis, "nothing", false).empty());
        c.data.takes[1].view = View::front; // it cannot be seen from there
        QVERIFY(shownReps(c.data, m_blueprint, c.analysis, "rear_knee", false).empty());
    }
    void theOneFarthestOffIsShownFirst() {
        auto c = reps({60, 120, 90});
        c.data.takes[1].view = m_blueprint.measure("rear_knee")->definition.view;
        const auto shown = shownReps(c.data, m_blueprint, c.analysis, "rear_knee", false);
        QCOMPARE(farthestOff(c.analysis, "rear_knee", shown), std::size_t(0)); // nothing is judged
        Deviation d;
        d.measure = "rear_knee";
        d.judged = true;
        d.band = {90, 101.5, 5};
        c.analysis.deviations = {d};
        QCOMPARE(farthestOff(c.analysis, "rear_knee", shown), std::size_t(2));
        c.analysis.deviations[0].band = {102.5, 120, 5};
        QCOMPARE(farthestOff(c.analysis, "rear_knee", shown), std::size_t(0));
    }
    void theCardKeepsWhoHasWhat() {
        Analysis a;
        Deviation out;
        out.measure = "rear_knee";
        out.judged = true;
        out.value.reps = 3;
        out.value.mean = 150;
        out.value.u = 1;
        out.band = {165, 180, 7.5};
        out.verdict.decision = Decision::outside;
        a.deviations = {out};
        Finding f;
        f.fault = "rear_leg_soft";
        f.parts = {2.0, 0.0, 1.0, 0.7, 0.8, false};
        f.evidence = {"rear_knee"};
        a.judgement.findings = {f};
        a.judgement.focus = {"rear_leg_soft"};
        CaseData data;
        data.brief.injuries = "left ankle";
        data.brief.competitions = {m_today - std::chrono::days(3), m_today + std::chrono::days(20),
                                   m_today + std::chrono::days(9)};
        PlannedBlock b;
        b.day = m_today + std::chrono::days(1);
        b.minutes = 12;
        a.plan.blocks = {b, b};
        b.day = m_today + std::chrono::days(9);
        a.plan.blocks.push_back(b);
        const CardDetail d = detailOf(data, m_blueprint, a, m_today);
        QCOMPARE(d.faults.size(), m_blueprint.faults.size());
        // A fault of timing alone has no part of the body.
        QVERIFY(std::count_if(d.faults.begin(), d.faults.end(), [](const auto& s) { return !s.parts.empty(); }) >= 5);
        const auto soft = std::find_if(d.faults.begin(), d.faults.end(),
                                       [](const FaultStanding& s) { return s.fault == "rear_leg_soft"; });
        QCOMPARE(soft->standing, Standing::workingOn);
        QVERIFY(std::abs(soft->priority - 2.0 * 0.7 * 0.8) < 1e-9);
        QVERIFY(std::find(soft->parts.begin(), soft->parts.end(), "legs") != soft->parts.end());
        QCOMPARE(d.week.size(), std::size_t(1)); // nine days off is not this week
        QCOMPARE(d.week[0].second, 24.0);
        QCOMPARE(d.injuries, std::string("left ankle"));
        QCOMPARE(d.competition, isoDate(m_today + std::chrono::days(9)));
        QCOMPARE(d.measures.size(), std::size_t(1));
        // Nobody took it up: it is only seen. And what was taken up, and is inside, is held.
        a.judgement.focus.clear();
        const auto seen = detailOf(data, m_blueprint, a, m_today);
        QCOMPARE(std::find_if(seen.faults.begin(), seen.faults.end(),
                              [](const FaultStanding& s) { return s.fault == "rear_leg_soft"; })
                     ->standing,
                 Standing::seen);
    }
    void aCardIsReadBackAsItWas() {
        CardDetail d;
        d.faults = {{"a", Standing::held, 1.25, {"trunk", "legs"}}, {"b", Standing::unknown, 0.0, {}}};
        d.measures = {{"m", 1.5, 0.25, -std::numeric_limits<double>::infinity(), 3.0},
                      {"n", 0.1, 0.01, 0.0, std::numeric_limits<double>::infinity()}};
        d.focus = {"a"};
        d.week = {{"2026-11-24", 20.0}};
        d.injuries = "knee, \"old\"";
        d.competition = "2026-12-24";
        d.reached = {{"a", Stage::fixedFeed}};
        d.segments = {{"2026-05-01", "thigh", 0.41}, {"2026-11-01", "thigh", 0.43}};
        QCOMPARE(detailFromJson(toJson(d)), d);
        CaseCard c;
        c.next = "look";
        c.detail = toJson(d);
        c.again = "2026-12-10";
        c.againWords = "film again";
        QCOMPARE(cardFromJson(toJson(c)), c);
        // A card speaks of the day on which it is read, not of the day on which it was made.
        QCOMPARE(cardOn(c, *dayFromIso("2026-12-09")), c);
        QVERIFY(cardOn(c, *dayFromIso("2026-12-10")).needsCoach);
        QCOMPARE(cardOn(c, *dayFromIso("2026-12-10")).next, std::string("film again"));
        c.needsCoach = true;
        QCOMPARE(cardOn(c, *dayFromIso("2026-12-10")).next, std::string("look")); // that comes first
        for (const char* bad : {"", "{}", "[]", "{\"faults\":[[\"a\",99,0,[]]]}", "{\"faults\":3}", "\xff"})
            QCOMPARE(detailFromJson(bad), CardDetail{});
    }
};
QTEST_GUILESS_MAIN(TestProgressQuestions)
#include "test_progress_questions.moc"
