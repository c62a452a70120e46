// What a reading came to in one sentence, the looks that pay, and what is to be done next.

#include "casebook/first_words.h"

#include "casebook/decisions.h"
#include "casebook/next_step.h"
#include "casebook/shipped.h"

#include <QTest>

using namespace riflesso;

namespace {

Analysis twoReps(CaseData& data) {
    for (const Id id : {Id(1), Id(2)}) {
        Rep r;
        r.id = id;
        r.take = 9;
        data.reps[id] = r;
    }
    Analysis a;
    a.athleteReps = {1, 2};
    a.judgement.undecided = {"knee", "hip"};
    return a;
}
Ask ask(int frame, double gain, std::vector<std::string> measures) {
    Ask out;
    out.frame = FrameIndex(frame);
    out.gain = gain;
    out.measures = std::move(measures);
    return out;
}

} // namespace

class TestFirstWords : public QObject {
    Q_OBJECT
    const Blueprint m_lunge = *shippedBlueprint("fencing-lunge");
    const Day m_today = *dayFromIso("2026-11-30");
private slots:
    void looksThatDecideComeFirst() {
        CaseData data;
        Analysis a = twoReps(data);
        a.attention[1].asks = {ask(10, 5.0, {"elbow"}), ask(12, 0.5, {"knee"})};
        a.attention[2].asks = {ask(12, 0.9, {"hip"}), ask(30, 0.8, {"knee", "hip"})};
        a.attention[2].beyondUs = {"hip"};
        a.attention[7].asks = {ask(99, 9.0, {"knee"})}; // no rep that is judged
        const auto looks = looksOf(data, a);
        QCOMPARE(looks.size(), std::size_t(3)); // frame 12 is shown once
        QVERIFY(looks[0].frame == FrameIndex(30) && looks[0].rep == 2 && looks[0].take == 9);
        QCOMPARE(looks[0].decides, std::vector<std::string>{"knee"}); // the hip is beyond any mark
        QVERIFY(looks[1].frame == FrameIndex(12) && looks[1].rep == 1);
        QVERIFY(looks[2].frame == FrameIndex(10) && looks[2].decides.empty());
        QCOMPARE(looksOf(data, a, 1).size(), std::size_t(1));
    }
    void oneSentence() {
        CaseData data;
        Analysis a = twoReps(data);
        a.judgement.strengths.resize(3);
        a.judgement.findings.resize(1);
        Look look;
        look.decides = {"knee", "hip"};
        QCOMPARE(firstWords(a, {}), std::string("3 strengths, 1 clear fault, 2 undecided."));
        QCOMPARE(firstWords(a, {look}),
                 std::string("3 strengths, 1 clear fault, 2 undecided: 1 look would decide up to 2 of them."));
        look.decides = {"hip"};
        QVERIFY(firstWords(a, {look, look}).find("2 looks would decide up to 1 of them") != std::string::npos);
        QVERIFY(firstWords(Analysis{}, {}).find("by hand") != std::string::npos);
    }
    // From an empty case to its report, each step in its turn.
    void whatIsNext() {
        CaseData data;
        Analysis a;
        const auto next = [&] { return nextStep(data, m_lunge, a, m_today); };
        QVERIFY(next().where == Workspace::brief);
        data.brief.athlete.name = "Ana Quist";
        QVERIFY(next().where == Workspace::footage);
        Take take;
        take.id = 4;
        take.title = "lunge";
        take.day = *dayFromIso("2026-11-20");
        data.takes[4] = take;
        QVERIFY(next().words.find("capture rate") != std::string::npos && next().take == 4);
        data.takes[4].captureRate = 120;
        QVERIFY(next().where == Workspace::marking && next().take == 4);
        Rep rep;
        rep.id = 5;
        rep.take = 4;
        data.reps[5] = rep;
        const auto wanted = positionsFor(m_lunge, View::side);
        QVERIFY(next().rep == 5 && next().words.find(m_lunge.position(wanted.front())->name) != std::string::npos);
        for (std::size_t i = 0; i < wanted.size(); ++i) {
            data.reps[5].positions[wanted[i]].frame = FrameIndex(static_cast<int>(10 * i));
            data.reps[5].positions[wanted[i]].proposed = i == 1;
        }
        QVERIFY(next().frame == FrameIndex(10) && next().words.find("1 key position ") != std::string::npos);
        data.reps[5].positions[wanted[1]].proposed = false;
        QVERIFY(next().words.starts_with("Mark ") && next().frame.has_value());
        for (const auto& [id, placed] : data.reps[5].positions)
            for (const auto& l : missingAt(data, m_lunge, data.reps[5], id))
                data.marks[4][l][placed.frame] = {{100, 100}, 1.0, How::hand};
        QVERIFY2(next().words.find("model performance") != std::string::npos, next().words.c_str());
        take.id = 6;
        take.performer = Performer::model;
        take.captureRate = 120;
        data.takes[6] = take;
        QVERIFY(next().take == 6 && next().where == Workspace::marking);
        data.takes.erase(6);
        // An older film of the athlete asks for nothing.
        take.id = 8;
        take.performer = Performer::athlete;
        take.captureRate.reset();
        take.day -= std::chrono::days(30);
        data.takes[8] = take;
        QVERIFY(next().words.find("model performance") != std::string::npos);
    }
    // What follows a decision: a plan, the athlete's folder, practice; and what was put aside is not asked again.
    void whatIsNextOnceItIsDecided() {
        CaseData data;
        data.brief.athlete.name = "Ana Quist";
        data.takes[4] = {};
        data.takes[4].captureRate = 120;
        Rep rep;
        rep.take = 4;
        for (const auto& position : positionsFor(m_lunge, View::side))
            rep.positions[position].frame = FrameIndex(static_cast<int>(10 * rep.positions.size()));
        data.reps[5] = rep;
        for (const auto& [id, placed] : rep.positions)
            for (const auto& l : missingAt(data, m_lunge, rep, id))
                data.marks[4][l][placed.frame] = {{100, 100}, 1.0, How::hand};
        Analysis a;
        for (const char* fault : {"hand_late", "trunk_falls"}) {
            a.judgement.findings.emplace_back();
            a.judgement.findings.back().fault = fault;
        }
        data.takes[6] = {};
        data.takes[6].performer = Performer::model;
        data.takes[6].captureRate = 120;
        data.reps[7] = rep;
        data.reps[7].take = 6;
        data.marks[6] = data.marks[4];
        const auto next = [&] { return nextStep(data, m_lunge, a, m_today); };
        const auto words = [&] { return next().words; };
        QCOMPARE(words(), std::string("Read why “Hand later than foot” comes first"));
        const auto lacks = [&](int workspace) {
            sayLacking(data, a);
            return a.lacking[static_cast<std::size_t>(workspace)];
        };
        a.deviations.emplace_back();
        a.deviations.back().judged = true;
        QCOMPARE(lacks(4), std::string("a decision"));
        data.decisions[1].fault = "hand_late";
        data.decisions[1].kind = DecisionKind::parked;
        data.decisions[1].day = m_today;
        QCOMPARE(lacks(4), std::string());
        QCOMPARE(words(), std::string("Read why “Trunk falls forward” comes first"));
        data.decisions[1].kind = DecisionKind::takenUp;
        QVERIFY2(next().where == Workspace::brief && words().find("time") != std::string::npos, words().c_str());
        data.brief.minutes[1] = 20;
        QCOMPARE(words(), std::string("See why no practice fits for “Hand later than foot”"));
        PlannedBlock b;
        b.drill = "wall_point";
        b.day = m_today + std::chrono::days(3);
        a.plan.blocks = {b};
        QVERIFY(next().where == Workspace::programme);
        QCOMPARE(words(), std::string("Keep a plan for “Hand later than foot”"));
        QCOMPARE(lacks(5), std::string("a kept plan"));
        data.planned[20] = b;
        QCOMPARE(lacks(5), std::string());
        QVERIFY(next().where == Workspace::handover); // what was decided today goes home with the athlete
        data.decisions[1].day = m_today - std::chrono::days(1);
        QVERIFY(next().where == Workspace::practice && next().due == b.day);
        QCOMPARE(words(), std::string("Practise “Point to the wall”"));
        QCOMPARE(nextWords(next()), std::string("Practise “Point to the wall” on Thu 3 Dec"));
        for (Id id : {21, 22}) {
            data.planned[id] = b;
            data.planned[id].day = m_today;
        }
        QCOMPARE(nextWords(next()), std::string("Practise “Point to the wall” and 1 more"));
        data.decisions[1].day = m_today; // today's practice comes before the folder
        QVERIFY(next().where == Workspace::practice && !next().due);
        a.judgement.undecided = {"knee"}; // no more looks before that
        data.planned[21].state = BlockState::done;
        data.planned[22].state = BlockState::dropped;
        QVERIFY(next().where == Workspace::handover);
    }
    void whenToFilmAgain() {
        CaseData data;
        Analysis a;
        const auto when = [&] { return filmAgain(data, m_lunge, a); };
        FindingDecision d;
        d.id = 1;
        d.fault = "hand_late";
        d.kind = DecisionKind::takenUp;
        data.decisions[1] = d;
        QVERIFY(!when()); // nothing is judged
        a.judgedDay = m_today - std::chrono::days(21);
        QVERIFY(!when());                                     // it was not shown, and nothing was practised
        data.blocks[2].day = m_today - std::chrono::days(22); // before that film
        data.blocks[3].day = m_today - std::chrono::days(5);
        data.blocks[4].day = m_today - std::chrono::days(5);
        QVERIFY(!when());
        data.blocks[5].day = m_today - std::chrono::days(2);
        QVERIFY(when() && when()->day == *a.judgedDay + std::chrono::days(14));
        QCOMPARE(when()->words, std::string("Film again: 2 days of practice since the last film"));
        // Held: three weeks after, whether it was practised or not.
        for (const auto& i : m_lunge.fault("hand_late")->indicators) {
            Deviation deviation;
            deviation.measure = i.measure;
            deviation.judged = true;
            deviation.verdict.decision = Decision::inside;
            a.deviations.push_back(deviation);
        }
        QVERIFY(stateOf(m_lunge, a, "hand_late") == FaultState::held);
        QVERIFY(when() && when()->day == m_today);
        QVERIFY(when()->words.find(m_lunge.fault("hand_late")->name) != std::string::npos);
        data.decisions[1].closed = m_today;
        QVERIFY(!when());
    }
    void whatEachWorkspaceLacks() {
        CaseData data;
        Analysis a;
        sayLacking(data, a);
        for (const auto& lack : a.lacking)
            QVERIFY(!lack.empty());
        data.takes[4] = Take{};
        data.takes[4].captureRate = 120;
        data.brief.athlete.name = "Ana Quist";
        data.brief.minutes[2] = 20;
        data.brief.guesses = {{"knee", 1.0, {}}};
        data.blocks[1].film = "knee"; // verdicts on a film are no practice
        sayLacking(data, a);
        QVERIFY(a.lacking[0].empty() && a.lacking[1].empty());
        QCOMPARE(a.lacking[2], std::string("1 take unmarked"));
        QVERIFY(!a.lacking[6].empty());
        data.blocks[1].film.clear();
        sayLacking(data, a);
        QVERIFY(a.lacking[6].empty());
        QCOMPARE(count(1, "rep", "reps") + ", " + count(5, "rep", "reps"), std::string("1 rep, 5 reps"));
    }
    void aFaultIsReadByItsWeightiestIndicator() {
        const Fault* fault = nullptr;
        for (const auto& f : m_lunge.faults)
            if (!fault && f.indicators.size() > 1)
                fault = &f;
        QVERIFY(fault);
        std::vector<Deviation> deviations;
        for (const auto& i : fault->indicators) {
            Deviation d;
            d.measure = i.measure;
            d.judged = true;
            d.value.mean = i.weight;
            deviations.push_back(d);
        }
        const auto readingOf = [&]() -> std::optional<double> {
            for (const auto& r : readingsOf(m_lunge, deviations))
                if (r.fault == fault->id)
                    return r.value;
            return {};
        };
        const auto best = std::max_element(fault->indicators.begin(), fault->indicators.end(),
                                           [](const auto& x, const auto& y) { return x.weight < y.weight; });
        QCOMPARE(*readingOf(), best->weight);
        const auto at = static_cast<std::size_t>(best - fault->indicators.begin());
        deviations[at].judged = false; // then by the weightiest that is left
        double left = 0.0;
        for (std::size_t i = 0; i < fault->indicators.size(); ++i)
            left = i == at ? left : std::max(left, fault->indicators[i].weight);
        QCOMPARE(*readingOf(), left);
        for (auto& d : deviations)
            d.judged = false;
        QVERIFY(!readingOf());
    }
};

QTEST_GUILESS_MAIN(TestFirstWords)
#include "test_first_words.moc"
