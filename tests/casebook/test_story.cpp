#include "casebook/story.h"

#include "casebook/progress_questions.h"
#include "casebook/shipped.h"

#include <QTest>

#include <algorithm>

using namespace riflesso;
using std::chrono::days;

class TestStory : public QObject {
    Q_OBJECT
    const Blueprint m_blueprint = *shippedBlueprint("fencing-lunge");
    const Day m_today = *dayFromIso("2026-11-30"); // a Monday
    static Block block(Id id, Day day, const char* drill, int good, int bad, const char* cue = "") {
        Block b;
        b.id = id;
        b.day = day;
        b.drill = drill;
        b.cue = cue;
        b.stage = Stage::slow;
        for (int i = 0; i < good + bad; ++i)
            b.reps.push_back({{}, i < good, {}});
        return b;
    }
    static PlannedBlock planned(Id id, Day day, double minutes, BlockState state) {
        PlannedBlock p;
        p.id = id;
        p.day = day;
        p.drill = "slow_count";
        p.minutes = minutes;
        p.state = state;
        return p;
    }
    static std::vector<const StoryMark*> of(const Story& story, StoryMark::Kind kind) {
        std::vector<const StoryMark*> out;
        for (const auto& m : story.marks)
            if (m.kind == kind)
                out.push_back(&m);
        return out;
    }
private slots:
    void everythingHasItsPlaceInTime() {
        using Kind = StoryMark::Kind;
        CaseData data;
        for (const auto& [id, ago] : {std::pair{Id(1), 40}, {Id(2), 40}, {Id(3), 2}}) {
            Take take;
            take.id = id;
            take.day = m_today - days(ago);
            data.takes[id] = take;
        }
        Take model;
        model.id = 4;
        model.performer = Performer::model;
        model.day = m_today - days(9);
        data.takes[4] = model; // nobody's progress
        data.blocks = {{1, block(1, m_today - days(38), "slow_count", 6, 2, "Hand, then foot")},
                       {2, block(2, m_today - days(36), "slow_count", 3, 1, "Hand, then foot")},
                       {3, block(3, m_today - days(36), "coin_drop", 2, 2, std::string(kPictureCue).c_str())}};
        Block alone = block(4, m_today - days(1), "", 0, 0);
        alone.own = SelfCoached{25.0, 0, {}, 0, 0, {}, {}};
        data.blocks[4] = alone;
        Block film = block(5, m_today - days(20), "", 4, 4);
        film.film = "hand_lead"; // verdicts on a film: nothing was practised
        data.blocks[5] = film;
        data.planned = {{1, planned(1, m_today - days(37), 6, BlockState::planned)}, // its day is over
                        {2, planned(2, m_today - days(37), 6, BlockState::missed)},
                        {3, planned(3, m_today - days(38), 6, BlockState::done)},
                        {4, planned(4, m_today - days(35), 6, BlockState::dropped)},
                        {5, planned(5, m_today, 6, BlockState::planned)}};
        FindingDecision d;
        d.fault = "hand_late";
        d.day = m_today - days(39);
        d.closed = m_today - days(3);
        data.decisions[7] = d;
        data.brief.competitions = {m_today + days(30)};
        data.brief.athlete.body = {{"left knee", "sore", m_today - days(50), true}, {"neck", "stiff", {}, false}};

        const Story story = storyOf(data, m_blueprint, m_today);
        QVERIFY(std::is_sorted(story.marks.begin(), story.marks.end(),
                               [](const auto& a, const auto& b) { return a.day < b.day; }));
        QCOMPARE(of(story, Kind::film).size(), std::size_t(2)); // two days
        QCOMPARE(of(story, Kind::film)[0]->words.substr(0, 7), std::string("2 films"));
        QCOMPARE(of(story, Kind::film)[0]->id, Id(2));
        const auto practice = of(story, Kind::practice);
        QCOMPARE(practice.size(), std::size_t(3));
        QVERIFY(practice[1]->words.find("5 of 8 good") != std::string::npos);
        QVERIFY(practice[2]->words.find("25 minutes") != std::string::npos);
        QCOMPARE(of(story, Kind::missed).size(), std::size_t(1));
        QVERIFY(of(story, Kind::missed)[0]->words.find("2 planned blocks") == 0);
        QVERIFY(of(story, Kind::opened)[0]->id == 7 && of(story, Kind::opened)[0]->day == d.day);
        QCOMPARE(of(story, Kind::closed)[0]->day, *d.closed);
        const auto cues = of(story, Kind::cue); // each on its first day
        QCOMPARE(cues.size(), std::size_t(2));
        QCOMPARE(cues[0]->day, m_today - days(38));
        QVERIFY(cues[1]->words.find("the picture") != std::string::npos);
        QCOMPARE(of(story, Kind::competition)[0]->day, m_today + days(30));
        QCOMPARE(of(story, Kind::injury).size(), std::size_t(1)); // without a day it has no place
        // From the last practice to the next film.
        QCOMPARE(story.pauses.size(), std::size_t(1));
        QVERIFY(story.pauses[0].from == m_today - days(36) && story.pauses[0].to == m_today - days(2));
        QVERIFY(story.pauses[0].words.find("34 days") == 0);
    }
    void aPauseMayLastUntilNow() {
        CaseData data;
        data.blocks = {{1, block(1, m_today - days(20), "slow_count", 1, 0)}};
        QCOMPARE(storyOf(data, m_blueprint, m_today).pauses.size(), std::size_t(1));
        data.blocks[2] = block(2, m_today - days(7), "slow_count", 1, 0);
        QVERIFY(storyOf(data, m_blueprint, m_today).pauses.empty());
        const Story none = storyOf({}, m_blueprint, m_today);
        QVERIFY(none.marks.empty() && none.pauses.empty());
    }
    // Minutes of what was ticked off as they were planned; else as long as the dose takes for as many reps.
    void weeksOfPractice() {
        const Drill& slow = *m_blueprint.drill("slow_count");
        const int dose = slow.dose.sets * slow.dose.reps;
        CaseData data;
        data.planned = {{1, planned(1, m_today - days(13), 9, BlockState::done)}, // Tuesday two weeks ago
                        {2, planned(2, m_today - days(12), 7, BlockState::missed)},
                        {3, planned(3, m_today - days(11), 7, BlockState::dropped)},
                        {4, planned(4, m_today + days(2), 5, BlockState::planned)},
                        {5, planned(5, m_today + days(30), 5, BlockState::planned)}};
        data.blocks = {{1, block(1, m_today - days(13), "slow_count", 8, 4)},
                       {2, block(2, m_today - days(10), "slow_count", dose, 0)}, // unplanned: one dose
                       {3, block(3, m_today - days(10), "a drill that is gone", 3, 0)}};
        Block alone = block(4, m_today - days(9), "", 0, 0);
        alone.own = SelfCoached{25.0, 0, {}, 0, 0, {}, {}};
        data.blocks[4] = alone;
        const auto weeks = practisedWeeks(data, m_blueprint, m_today);
        QCOMPARE(weeks.size(), std::size_t(4)); // two past, an empty one between, this one, the next: Monday counts
        QCOMPARE(weeks[0].monday, m_today - days(14));
        QCOMPARE(weeks[0].planned, 16.0);
        QVERIFY(std::abs(weeks[0].done - (9.0 + slow.dose.minutes + 25.0)) < 1e-9);
        QVERIFY(weeks[0].alone == 25.0 && weeks[0].good == 8 + dose + 3);
        QCOMPARE(weeks[0].reps.at(Stage::slow), 12 + dose + 3);
        QVERIFY(weeks[1].planned == 0.0 && weeks[1].done == 0.0);
        QCOMPARE(weeks[2].planned, 5.0);
        QCOMPARE(practisedWeeks(data, m_blueprint, m_today, 2).size(), std::size_t(2));
        QVERIFY(practisedWeeks({}, m_blueprint, m_today).empty());
    }
};
QTEST_GUILESS_MAIN(TestStory)
#include "test_story.moc"
