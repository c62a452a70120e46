// Progress in sentences.

#include "casebook/shipped.h"
#include "casebook/trends.h"
#include "handover/progress_words.h"

#include <QTest>

using namespace riflesso;
using std::chrono::days;

class TestProgressWords : public QObject {
    Q_OBJECT
    const Day m_today = *dayFromIso("2026-11-23");
    const Blueprint m_blueprint = *shippedBlueprint("fencing-lunge");

    // Of the rear knee, whose band is 165 to 180 here.
    FocusTrend trend(std::vector<std::pair<double, Stage>> values, double u = 1.0) const {
        FocusTrend t{"rear_leg_soft", "rear_knee", {165, 180, 7.5}, {}, {}};
        Day day = m_today - days(7 * static_cast<int>(values.size()));
        for (const auto& [value, stage] : values)
            t.points.push_back({day += days(7), value, u, 4, stage});
        return t;
    }
    static bool says(const std::string& words, const char* what) { return words.find(what) != std::string::npos; }
private slots:
    void didItMove() {
        const Stage calm = Stage::fixedFeed;
        const auto words = [&](std::vector<std::pair<double, Stage>> v) { return movedWords(m_blueprint, trend(v)); };
        QVERIFY(says(words({{150, calm}}), "One film under this stress so far"));
        QVERIFY(says(words({{150, calm}, {151, calm}}), "Not by more than could be chance"));
        const auto better = words({{150, calm}, {160, calm}});
        QVERIFY2(says(better, "Yes: +10") && says(better, "3.6 times") && says(better, "Still 5"), better.c_str());
        QVERIFY(says(words({{160, calm}, {150, calm}}), "Yes, the wrong way: "));
        QVERIFY(says(words({{167, calm}, {177, calm}}), "Yes, inside the band: "));
        QVERIFY(says(words({{150, calm}, {170, calm}}), "It is inside the band now."));
        QVERIFY(
            says(words({{150, calm}, {150.5, calm}, {170, calm}, {170.4, calm}, {169.8, calm}}), "It came at once"));
        QVERIFY(says(words({{150, calm}, {155, calm}, {160, calm}, {165, calm}, {170, calm}}), "little by little"));
    }
    void whereToPractise() {
        SpeedAnswer a;
        QVERIFY(practiseAtWords(a).empty());
        a.verdict = SpeedVerdict::leavesAt;
        QVERIFY(practiseAtWords(a).empty()); // it leaves the band, but nobody knows where one is safe
        a.practiseAt = 79.6;
        QCOMPARE(practiseAtWords(a), std::string("no faster than 80 % of the fastest"));
        a.by = SpeedBy::effort;
        QCOMPARE(practiseAtWords(a), std::string("no harder than 80 % of the utmost effort"));
    }
    void stagesAreNotMixed() {
        const auto t = trend({{150, Stage::fixedFeed}, {170, Stage::shadow}, {151, Stage::fixedFeed}});
        QCOMPARE(comparable(t).size(), std::size_t(2));
        QVERIFY(says(movedWords(m_blueprint, t), "Not by more than could be chance"));
        QVERIFY(historyOf(t).kind == HistoryKind::nothing);
        // The newest film stands alone in its stage: the last stage that was filmed twice answers, and is named.
        const auto scored = trend({{150, Stage::fixedFeed}, {170, Stage::fixedFeed}, {155, Stage::scored}});
        QCOMPARE(comparable(scored).size(), std::size_t(2));
        QVERIFY(says(movedWords(m_blueprint, scored), "At fixed feed: Yes"));
    }
    void keptTransferredAndBest() {
        const Stage calm = Stage::fixedFeed;
        CaseData data;
        auto t = trend({{150, calm}, {170, calm}, {171, calm}});
        QVERIFY(keptWords(data, m_blueprint, t).empty()); // filmed every week
        t.points[2].day = t.points[1].day + days(20);
        QVERIFY2(says(keptWords(data, m_blueprint, t), "Kept over 20 days without it: +1"),
                 keptWords(data, m_blueprint, t).c_str());
        t.points[2].value = 158;
        QVERIFY(says(keptWords(data, m_blueprint, t), "Not kept over 20 days"));
        Block practised;
        practised.day = t.points[1].day + days(5);
        data.blocks[1] = practised;
        QVERIFY(keptWords(data, m_blueprint, t).empty()); // it was no pause
        QVERIFY(transferredWords(t).empty());
        const auto more = trend({{150, calm}, {170, calm}, {172, Stage::open}, {150, Stage::scored}});
        QVERIFY2(says(transferredWords(more), "at fixed feed since") &&
                     says(transferredWords(more), "not yet at scored"),
                 transferredWords(more).c_str());
        QVERIFY(
            says(transferredWords(trend({{150, calm}, {151, Stage::open}})), "Not inside the band under any stress"));
        QVERIFY(
            says(againstBestWords(m_blueprint, trend({{150, calm}, {172, calm}, {158, calm}})), "Against the best ("));
        QVERIFY(says(againstBestWords(m_blueprint, trend({{150, calm}, {160, calm}, {170, calm}})), "The best so far"));
        QVERIFY(againstBestWords(m_blueprint, trend({{150, calm}, {170, calm}})).empty());
        const auto last = againstLastWords(m_blueprint, trend({{150, calm}, {160, calm}, {170, calm}}));
        QVERIFY2(says(last, "Since Mon 16 Nov: +10"), last.c_str());
        QVERIFY(says(againstLastWords(m_blueprint, trend({{150, calm}, {170, calm}, {170.3, calm}})), "not more than"));
        QVERIFY(againstLastWords(m_blueprint, trend({{150, calm}, {170, calm}})).empty()); // the change itself
    }
    // Quicker steps that are shorter: the walker is glad of the wrong number.
    void moreOfOneAloneProvesNothing() {
        const Blueprint walking = *shippedBlueprint("race-walking");
        const auto words = [&](const char* measure, double speedNow) {
            CaseData data;
            Analysis a;
            for (const auto& [id, ago, rate, stride, speed] :
                 {std::tuple{Id(1), 30, 90.0, 2.0, 3.0}, {Id(2), 2, 100.0, 1.8, speedNow}}) {
                Take& take = data.takes[id];
                take.id = id;
                take.day = m_today - days(ago);
                for (int i = 0; i < 4; ++i) {
                    Rep& rep = data.reps[10 * id + i];
                    rep.id = 10 * id + i;
                    rep.take = id;
                    for (const auto& [name, value] : {std::pair{"rate", rate}, {"stride", stride}, {"speed", speed}}) {
                        MeasureValue v;
                        v.measure = name;
                        v.value = value + 0.01 * i;
                        v.u = 0.02;
                        a.measured[rep.id].values.push_back(v);
                    }
                }
            }
            return productWords(data, walking, a, trendOf(data, walking, a, {}, measure));
        };
        QVERIFY2(says(words("rate", 3.0), "no more than could be chance") && says(words("rate", 3.0), "proves nothing"),
                 words("rate", 3.0).c_str());
        QVERIFY2(says(words("rate", 3.5), "went up with it: +0.5"), words("rate", 3.5).c_str());
        QVERIFY2(says(words("stride", 2.6), "went down: \u22120.4") || says(words("stride", 2.6), "went down: -0.4"),
                 words("stride", 2.6).c_str());
        QVERIFY(words("speed", 3.5).empty()); // that is the thing itself
        QVERIFY(words("lead_knee", 3.5).empty());
    }
    void doesADrillHelp() {
        const std::string drill = m_blueprint.fault("rear_leg_soft")->drills.front();
        const Stage calm = Stage::fixedFeed;
        CaseData data;
        auto t = trend({{150, calm}, {151, calm}});
        for (Id id = 1; id <= 3; ++id) {
            Block& b = data.blocks[id];
            b.day = t.points[0].day + days(id);
            b.drill = drill;
            b.reps.resize(10);
        }
        data.blocks[3].own = SelfCoached{20, 0, {}, 0, 0, {}, {}};
        const auto words = [&] { return drillHelpWords(data, m_blueprint, t, drill); };
        QVERIFY2(says(words(), "Practised (30 reps, 20 minutes alone on 3 days)") && says(words(), "late, and then"),
                 words().c_str());
        QVERIFY(uselessDrillWords(data, m_blueprint, t).empty()); // it may come yet
        t.points[1].day = t.points[0].day + days(20);
        for (Id id = 11; id <= 15; ++id) {
            data.blocks[id] = data.blocks[1];
            data.blocks[id].day = t.points[0].day + days(id);
        }
        QVERIFY2(says(words(), "another cue"), words().c_str());
        QVERIFY(says(uselessDrillWords(data, m_blueprint, t), m_blueprint.drill(drill)->name.c_str()));
        t.points[1].value = 160;
        QVERIFY2(says(words(), "it moved by +10") && says(words(), "towards the band"), words().c_str());
        QVERIFY(uselessDrillWords(data, m_blueprint, t).empty());
        t.points[1].value = 140;
        QVERIFY(says(words(), "the wrong way"));
        t.points[0].value = t.points[1].value = 170;
        QVERIFY(says(words(), "inside the band"));
        QVERIFY(drillHelpWords(data, m_blueprint, t, "no_such_drill").empty());
        for (auto& [id, b] : data.blocks)
            b.film = "rear_knee"; // verdicts on a film are no practice
        QVERIFY(words().empty());
    }
    // Eight reps of two stages six weeks ago and eight now: what broke then is owned now.
    void whereItBreaksThenAndNow() {
        CaseData data;
        Analysis a;
        const auto film = [&](Id id, int ago, Stage stage, double value) {
            Take take;
            take.id = id;
            take.day = m_today - days(ago);
            take.stage = stage;
            data.takes[id] = take;
            for (int i = 0; i < 8; ++i) {
                Rep rep;
                rep.id = 100 * id + i;
                rep.take = id;
                data.reps[rep.id] = rep;
                MeasureValue v;
                v.measure = "rear_knee";
                v.value = value;
                v.u = 1.0;
                a.measured[rep.id].values = {v};
            }
        };
        film(1, 2, Stage::slow, 170);
        film(2, 2, Stage::scored, 150);
        auto t = trend({{170, Stage::slow}});
        t.points[0].day = m_today - days(2);
        auto found = breakOf(data, a, t);
        QVERIFY(!found.since && found.then.stages.empty() && says(found.words, "breaks at scored"));
        QVERIFY(says(found.words, "An old habit comes back under stress"));
        film(3, 45, Stage::slow, 150);
        found = breakOf(data, a, t);
        QCOMPARE(*found.since, m_today - days(29));
        QVERIFY2(says(found.words, "Owned up to slow, breaks at scored") && says(found.words, "broke at slow"),
                 found.words.c_str());
        QCOMPARE(found.now.stages.size(), std::size_t(2));
        QVERIFY(found.then.stages.size() == 1 && found.then.stages[0].n == 8 && found.then.stages[0].inside == 0);
    }
    // Two ways of one drill: from eight reps of each on the weaker one is named.
    void theWeakerWay() {
        CaseData data;
        QVERIFY(variationWords(data, m_blueprint).empty());
        Block b;
        b.drill = "glove_call";
        for (int i = 0; i < 20; ++i) {
            PractisedRep r;
            r.coach = i % 2 == 0 || i > 16;
            r.variation = i % 2 == 0 ? "high" : "low";
            b.reps.push_back(r);
        }
        data.blocks[1] = b;
        const auto words = variationWords(data, m_blueprint);
        QVERIFY2(says(words, "low is the weaker way (1.00); low 2 good of 10, high 10 good of 10") ||
                     says(words, "low is the weaker way (0.99); low 2 good of 10, high 10 good of 10"),
                 words.c_str());
        data.blocks[1].reps.resize(6);
        QVERIFY(says(variationWords(data, m_blueprint), "not enough yet"));
        for (auto& r : b.reps)
            r.coach = true;
        data.blocks[1] = b;
        QVERIFY(says(variationWords(data, m_blueprint), "no way is clearly weaker"));
    }
    void theGoal() {
        const auto goal = [&](double from, double to, double now) {
            return goalWords(m_blueprint, Goal{"rear_knee", from, to, m_today + days(25)},
                             trend({{from, Stage::slow}, {now, Stage::slow}}));
        };
        QVERIFY(says(goal(150, 165, 170), "reached"));
        QVERIFY(says(goal(150, 165, 166), "cannot be told"));
        QVERIFY(says(goal(150, 165, 158), "partly"));
        QVERIFY(says(goal(150, 165, 151), "not yet"));
        QVERIFY(says(goal(165, 150, 145), "reached")); // downwards too
        QVERIFY(says(goal(165, 150, 158), "partly"));
        QVERIFY(says(goal(150, 165, 170), "by Fri 18 Dec"));
        QVERIFY(goalWords(m_blueprint, {}, trend({{150, Stage::slow}})).empty());
        QVERIFY(goalWords(m_blueprint, Goal{"land_trunk", 1, 2, {}}, trend({{150, Stage::slow}})).empty());
    }
    void feelingAndPractice() {
        CaseData data;
        QVERIFY(says(feelingWords(data, m_blueprint, Analysis{}), "Ask for a guess"));
        QVERIFY(says(practisedWords(data, m_today), "Nothing was practised"));
        Block block;
        block.day = m_today - days(2);
        block.drill = "wall_point";
        for (const auto& [athlete, coach] : {std::pair{true, true}, {true, true}, {false, false}, {true, false}})
            block.reps.push_back({athlete, coach, {}});
        block.reps.push_back({{}, true, {}}); // the coach alone: no pair
        data.blocks[1] = block;
        block.day = m_today - days(60);
        data.blocks[2] = block;
        const auto agreement = verdictsAgree(data);
        QVERIFY(agreement && agreement->n == 8);
        QVERIFY(says(feelingWords(data, m_blueprint, Analysis{}), "agree on 75 % of 8"));
        QVERIFY2(says(practisedWords(data, m_today), "1 block in the last four weeks, 3 good of 5 reps"),
                 practisedWords(data, m_today).c_str());
        PlannedBlock done;
        done.day = m_today - days(1);
        done.state = BlockState::done;
        PlannedBlock missed = done;
        missed.state = BlockState::planned;
        data.planned = {{5, done}, {6, missed}};
        QVERIFY(says(practisedWords(data, m_today), "50 % was done (1 of 2)"));
    }
};

QTEST_GUILESS_MAIN(TestProgressWords)
#include "test_progress_words.moc"
