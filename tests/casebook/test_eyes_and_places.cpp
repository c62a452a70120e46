// What was judged by eye, where reps landed, what is noted of a body, which model is compared with: on cases by hand.

#include "casebook/body.h"
#include "casebook/film_verdicts.h"
#include "casebook/landings.h"
#include "casebook/phase_curves.h"
#include "casebook/pose.h"
#include "casebook/shipped.h"

#include <QTest>

#include <algorithm>
#include <cmath>
#include <set>

using namespace riflesso;

namespace {

const Day kToday = *dayFromIso("2026-11-23");

struct Made {
    CaseData data;
    Blueprint blueprint = *shippedBlueprint("fencing-lunge");
    Id next = 1;
    Made() { data.blueprintId = blueprint.id; }
    Id take(Performer performer = Performer::athlete, const char* who = "") {
        Take t;
        t.id = next++;
        t.day = kToday;
        t.performer = performer;
        t.who = who;
        t.width = 1280;
        t.height = 720;
        t.captureRate = 100.0;
        for (int f = 0; f < 300; ++f)
            t.times.push_back(f / 100.0);
        data.takes[t.id] = t;
        return t.id;
    }
    Rep& rep(Id take, int number) {
        Rep r;
        r.id = next++;
        r.take = take;
        r.number = number;
        r.first = FrameIndex(10 * number);
        r.last = FrameIndex(10 * number + 9);
        return data.reps[r.id] = r;
    }
    [[nodiscard]] Analysis analysed(const SetChoice& choice = {}) const {
        return analyse(data, blueprint, kToday, {}, 0.95, choice);
    }
};

} // namespace

class TestEyesAndPlaces : public QObject {
    Q_OBJECT
private slots:
    void theEyeNeedsNoPegs() {
        Made m;
        auto& fault = m.blueprint.faults.front();
        MeasureDefinition seen;
        seen.id = "eyes";
        seen.name = "Eyes on the target";
        seen.kind = MeasureKind::seen;
        seen.checkpoint = "eyes";
        Target band{TargetSource::commonPractice, {}, {}, {}, 2.0, 0.25, 0.75};
        m.blueprint.measures.push_back({seen, {band}, {}, {}});
        fault.indicators = {{"eyes", Deviance::low, 1.0}};
        const Id take = m.take();
        for (int i = 1; i <= 3; ++i)
            m.rep(take, i).seen["eyes"] = {SeenVerdict::no, FrameIndex(10 * i), {}, {}};
        const Analysis a = m.analysed();
        QCOMPARE(a.athleteReps.size(), std::size_t(3));
        QVERIFY(a.deviation("eyes")->judged && a.deviation("eyes")->value.mean == 0.0);
        QVERIFY(a.finding(fault.id));
        QVERIFY(a.conflicts.empty()); // nothing is measured that could contradict
    }
    void eyeAndMeasureBesideOneAnother() {
        Made m;
        Analysis a;
        const auto deviation = [](const char* id, double mean, Decision decision) {
            Deviation d;
            d.measure = id;
            d.judged = true;
            d.value.mean = mean;
            d.band = {0.75, HUGE_VAL, 0.25};
            d.verdict.decision = decision;
            return d;
        };
        MeasureDefinition seen, measured;
        seen.id = seen.name = "eyes";
        seen.kind = MeasureKind::seen;
        measured.id = measured.name = "head";
        Fault f;
        f.id = "looks_down";
        f.indicators = {{"eyes", Deviance::low, 0.6}, {"head", Deviance::low, 0.8}};
        m.blueprint.measures = {{seen, {}, {}, {}}, {measured, {}, {}, {}}};
        m.blueprint.faults = {f};
        const auto conflicts = [&](double eye, double head, Decision decision) {
            a.conflicts.clear();
            a.deviations = {deviation("eyes", eye, Decision::inside), deviation("head", head, decision)};
            compareEyes(m.blueprint, a);
            return a.conflicts;
        };
        QVERIFY(conflicts(0.1, 0.9, Decision::inside).size() == 1 && a.conflicts[0].eyeSaysFault);
        QVERIFY(conflicts(0.9, 0.1, Decision::outside).size() == 1 && !a.conflicts[0].eyeSaysFault);
        QVERIFY(conflicts(0.1, 0.1, Decision::outside).empty());
        QVERIFY(conflicts(0.1, 0.9, Decision::undecided).empty()); // the film says nothing sure
    }
    void landings() {
        Made m;
        const Id take = m.take();
        Take& t = m.data.takes.at(take);
        t.calibration.lengths = {{{{100, 600}, {600, 600}}, 2.5}}; // 200 px a metre
        t.zone = Zone{{400, 300}, {440, 300}};                     // 20 cm
        const std::pair<double, double> places[] = {{420, 300}, {424, 292}, {430, 300}, {460, 296}, {426, 304}};
        int number = 0;
        for (const auto& [x, y] : places) {
            Rep& r = m.rep(take, ++number);
            r.landed = Landing{FrameIndex(number), {x, y}};
            r.situation = number < 4 ? "short" : "late";
            r.worked = true;
        }
        m.rep(take, 9).worked = true; // nobody clicked where it went
        const Analysis a = m.analysed();
        const Landings l = landingsOf(m.data, m.blueprint, a);
        QVERIFY(l.metric);
        QCOMPARE(l.all.reps.size(), std::size_t(5));
        QCOMPARE(l.all.inside, 4);
        QVERIFY(std::abs(l.all.bias.x() - 0.16) < 1e-6 && std::abs(l.all.bias.y() - 0.008) < 1e-6); // y is up
        QVERIFY(std::abs(l.all.reps[0].radius - 0.2) < 1e-6);
        QVERIFY(l.all.ellipse && l.all.ellipse->major > l.all.ellipse->minor);
        QCOMPARE(l.bySituation.size(), std::size_t(2));
        QCOMPARE(l.bySituation[0].reps.size(), std::size_t(3));
        QCOMPARE(l.byStage.size(), std::size_t(1));
        const std::string words = landingWords(l.all, true);
        QVERIFY2(words.find("4 of 5") == 0 && words.find("16 cm to the right") != std::string::npos &&
                     words.find("high") == std::string::npos,
                 words.c_str());
        QVERIFY(landingWords(LandingGroup{}, true).find("Nothing") == 0);
        // Without a length it is pixels; both kinds are never mixed.
        t.calibration = {};
        QVERIFY(!landingsOf(m.data, m.blueprint, a).metric);
    }
    void whatHurtsGoesFirst() {
        Made m;
        Athlete& person = m.data.brief.athlete;
        const Fault& fault = m.blueprint.faults.front();
        const auto parts = partsOfFault(m.blueprint, fault, Side::right);
        QVERIFY(!parts.empty());
        QVERIFY(hurtingFaults(m.blueprint, person).empty());
        person.body = {{*parts.begin(), "sore", kToday, false}};
        QVERIFY(hurtingFaults(m.blueprint, person).empty());
        const auto notes = notesForDrill(m.blueprint, fault.drills.front(), person);
        QCOMPARE(notes.size(), std::size_t(1));
        QVERIFY(notesForDrill(m.blueprint, "no such drill", person).empty());
        person.body[0].pain = true;
        const auto hurting = hurtingFaults(m.blueprint, person);
        QVERIFY(std::find(hurting.begin(), hurting.end(), fault.id) != hurting.end());
        QVERIFY(bodyWords(person.body[0]).find("sore, since 23 Nov 2026, hurts now") != std::string::npos);
    }
    void growth() {
        Athlete young;
        setStature(young, kToday, 162);
        QVERIFY(growthWords(young).empty());
        setStature(young, kToday - std::chrono::days(200), 157);
        QVERIFY2(growthWords(young).find("Grown 5 cm since ") == 0, growthWords(young).c_str());
        setStature(young, kToday - std::chrono::days(500), 150); // too long ago to count
        QVERIFY(growthWords(young).find("Grown 5 cm") == 0);
        setStature(young, kToday, 158);
        QVERIFY(young.growth.size() == 3 && growthWords(young).empty()); // two measurings differ by as much
        setStature(young, kToday, 0);
        QCOMPARE(young.growth.size(), std::size_t(2));
    }
    // A shank of 0.4 m, seen under more and more of an angle; what is known is a metre of 200 px.
    void howLongASegmentIsSeen() {
        CaseData data;
        Take take;
        take.id = 1;
        take.day = kToday;
        take.width = 640;
        take.height = 480;
        for (int f = 0; f < 40; ++f) {
            take.times.push_back(f / 50.0);
            const double seen = 80.0 * std::cos(f * 0.02);
            data.marks[1]["left_knee"][FrameIndex(f)] = {{300, 200}};
            data.marks[1]["left_ankle"][FrameIndex(f)] = {{300, 200 + seen}};
        }
        data.takes[1] = take;
        QVERIFY(segmentLengths(data).empty()); // nothing says how long a pixel is
        data.takes[1].calibration.plumb = DrawnLine{{100, 50}, {100, 450}};
        data.takes[1].calibration.lengths.push_back({{{100, 100}, {100, 300}}, 1.0});
        const auto seen = segmentLengths(data);
        QCOMPARE(seen.size(), std::size_t(1));
        QCOMPARE(seen[0].segment, std::string("shank"));
        QVERIFY2(std::abs(seen[0].metres - 0.4) < 0.005, qPrintable(QString::number(seen[0].metres)));
        QCOMPARE(seen[0].frames, 40);
        data.takes[1].performer = Performer::model;
        QVERIFY(segmentLengths(data).empty());
    }
    void modelsAreNotPooledUnasked() {
        Made m;
        MeasureValue v;
        v.measure = m.blueprint.measures.front().definition.id;
        v.u = v.uMarks = 1.0;
        const auto model = [&](const char* name, double value, std::size_t reps) {
            v.value = value;
            ModelPerformance p{name, m.blueprint.id, "films", "", {}};
            p.reps.assign(reps, {"1", {}, {v}});
            m.data.brief.models.push_back(p);
        };
        model("A", 100, 2);
        model("B", 140, 3);
        const Id take = m.take();
        m.rep(take, 1).worked = true;
        const auto reference = [&](const std::optional<std::string>& name) {
            SetChoice choice;
            choice.model = name;
            const Analysis a = m.analysed(choice);
            return std::pair(a.model, a.reference.size());
        };
        QCOMPARE(reference({}), std::pair(std::string("B"), std::size_t(3))); // the one with most reps
        QCOMPARE(reference("A"), std::pair(std::string("A"), std::size_t(2)));
        QCOMPARE(reference(""), std::pair(std::string(), std::size_t(5))); // asked for
        QCOMPARE(reference("gone"), std::pair(std::string("B"), std::size_t(3)));
        QCOMPARE(m.analysed().models, (std::vector<std::string>{"A", "B"}));
        QVERIFY(!modelToKeep(m.data, m.analysed(), "X")); // no film of a model
    }
    void verdictsOnFilm() {
        Made m;
        Analysis a;
        const std::string id = m.blueprint.measures.front().definition.id;
        Deviation d;
        d.measure = id;
        d.judged = true;
        d.band = {0, 10, 5};
        a.deviations = {d};
        const Id take = m.take(), model = m.take(Performer::model, "A");
        const auto measured = [&](Id of, int number, double value, double u) {
            const Id rep = m.rep(of, number).id;
            MeasureValue v;
            v.measure = id;
            v.value = value;
            v.u = u;
            a.measured[rep].values = {v};
            return rep;
        };
        const Id good = measured(take, 1, 5, 1), bad = measured(take, 2, 13, 1), edge = measured(take, 3, 11, 2);
        measured(model, 1, 5, 1);
        m.rep(take, 4); // not measured
        const auto verdict = [&](Id rep) { return *machineVerdict(m.blueprint, a, id, rep); };
        QVERIFY(verdict(good).good() && verdict(good).words == "good (1.00)");
        QVERIFY(!verdict(bad).good() && verdict(bad).words == "not yet good (1.00)");
        QVERIFY2(verdict(edge).words.find("probably not yet good (0.6") == 0, verdict(edge).words.c_str());
        auto one = repsToJudge(m.data, m.blueprint, a, id, 1), again = repsToJudge(m.data, m.blueprint, a, id, 1);
        QVERIFY(one == again && one.size() == 3);
        std::set<std::vector<Id>> orders;
        for (unsigned seed = 0; seed < 40; ++seed)
            orders.insert(repsToJudge(m.data, m.blueprint, a, id, seed));
        QCOMPARE(orders.size(), std::size_t(6)); // every order comes up
        // The coach sees what the film sees, the athlete misses half of it.
        Block b;
        b.film = id;
        for (int i = 0; i < 20; ++i)
            b.reps.push_back({i % 2 == 0 || i % 4 == 1, i % 2 == 0, {}, i % 2 == 0});
        m.data.blocks[1] = b;
        const auto agreed = filmAgreement(m.data);
        QCOMPARE(agreed.reps, 20);
        QCOMPARE(agreed.bad, 10);
        QVERIFY(agreed.missedByCoach == 0 && agreed.missedByAthlete == 5);
        QVERIFY(std::abs(agreed.coachFilm->kappa - 1.0) < 1e-9 && std::abs(agreed.athleteFilm->kappa - 0.5) < 1e-9);
        QCOMPARE(filmAgreement(m.data, "another").reps, 0);
        // It is no practice: no gate, nothing known, no lost drill.
        const Analysis whole = m.analysed();
        QVERIFY(whole.gates.empty() && orphansOf(m.data, m.blueprint).drills.empty());
    }
    void theFigureStandsAsTheModelDoes() {
        Made m;
        const Id mine = m.take(), model = m.take(Performer::model, "A");
        const PositionId position = m.blueprint.positions.front().id;
        m.rep(model, 1).positions = {{position, {FrameIndex(20), {}}}};
        QVERIFY(poseAt(m.data, m.analysed(), m.data.takes[mine], position).empty()); // nothing is marked
        const std::pair<const char*, QPointF> points[] = {{"head", {300, 100}},       {"left_hip", {310, 300}},
                                                          {"right_hip", {290, 300}},  {"left_knee", {330, 400}},
                                                          {"right_knee", {280, 410}}, {"left_ankle", {340, 500}},
                                                          {"ball", {900, 100}}};
        for (const auto& [name, at] : points)
            m.data.marks[model][name][FrameIndex(20)] = {{at.x(), at.y()}, 1.0, How::hand};
        const auto pose = [&] { return poseAt(m.data, m.analysed(), m.data.takes[mine], position); };
        const auto same = pose();
        QCOMPARE(same.size(), std::size_t(6)); // the ball is no part of a body
        for (const auto& [name, at] : same)
            QVERIFY(at.x() >= 0 && at.x() <= 1 && at.y() >= 0 && at.y() <= 1);
        QVERIFY(same.at("head").y() < same.at("left_ankle").y() &&
                same.at("left_knee").x() > same.at("right_knee").x());
        // The other way round, and with the other hand.
        m.data.takes[mine].facing = m.data.takes[model].facing == Facing::left ? Facing::right : Facing::left;
        QVERIFY(pose().at("left_knee").x() < pose().at("right_knee").x());
        m.data.takes[mine].handedness = Side::left;
        QVERIFY(std::abs(pose().at("right_knee").x() - (1.0 - same.at("left_knee").x())) < 1e-9);
        m.data.takes[mine].view = View::front; // no model from there
        QVERIFY(pose().empty());
    }
    void phases() {
        Made m;
        const Id take = m.take();
        Rep& r = m.rep(take, 1);
        const auto& positions = m.blueprint.positions;
        r.positions = {{positions[0].id, {FrameIndex(20), {}}}, {positions[1].id, {FrameIndex(40), {}}}};
        const Id id = r.id;
        QVERIFY(std::abs(*phaseAt(m.data, m.blueprint, id, FrameIndex(30)) - 0.5) < 1e-9);
        QVERIFY(!phaseAt(m.data, m.blueprint, 999, FrameIndex(30)));
        const auto curves = tellingCurves(m.blueprint, m.analysed(), View::side);
        QVERIFY(!curves.empty());
        QVERIFY(phaseCurveOf(m.data, m.blueprint, m.analysed(), curves.front(), {id}).empty()); // nothing is marked
        QVERIFY(phaseCurveOf(m.data, m.blueprint, m.analysed(), "no such measure", {id}).empty());
    }
};

QTEST_GUILESS_MAIN(TestEyesAndPlaces)
#include "test_eyes_and_places.moc"
