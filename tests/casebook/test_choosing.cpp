// Which reps are judged, against which, what they chose, and a measure tried on them.

#include "casebook/choosing.h"

#include "casebook/shipped.h"
#include "casebook/tried_measure.h"

#include <QTest>

using namespace riflesso;
using std::chrono::days;

namespace {

const Day kToday = *dayFromIso("2026-11-23");

// Measured reps without films: one value each.
struct Measured {
    CaseData data;
    Analysis a;
    Id next = 1;
    Id take(Day day, Performer performer, const std::string& who = {}, Stage stage = Stage::slow) {
        Take t;
        t.id = next++;
        t.day = day;
        t.performer = performer;
        t.who = who;
        t.stage = stage;
        data.takes[t.id] = t;
        return t.id;
    }
    Id rep(Id take, double value, bool refused = false) {
        Rep r;
        r.id = next++;
        r.take = take;
        r.number = static_cast<int>(r.id);
        data.reps[r.id] = r;
        MeasuredRep m;
        m.rep = std::to_string(r.id);
        MeasureValue v;
        v.measure = "hand_lead";
        v.value = value;
        v.u = 0.001;
        v.refused = refused;
        m.values = {v};
        a.measured[r.id] = m;
        return r.id;
    }
};

std::vector<std::string> idsOf(const std::vector<MeasuredRep>& reps) {
    std::vector<std::string> out;
    for (const auto& r : reps)
        out.push_back(r.rep);
    return out;
}
std::vector<std::string> textsOf(const std::vector<Id>& ids) {
    std::vector<std::string> out;
    for (const Id id : ids)
        out.push_back(std::to_string(id));
    return out;
}

} // namespace

class TestChoosing : public QObject {
    Q_OBJECT
    const Blueprint m_lunge = *shippedBlueprint("fencing-lunge");
private slots:
    void theNewestMeasuredSetIsJudged() {
        Measured m;
        const Id before = m.rep(m.take(kToday - days(7), Performer::athlete), 0.02);
        m.rep(m.take(kToday, Performer::athlete), 0.0, true); // nothing could be read of it
        const Id model = m.rep(m.take(kToday, Performer::model, "A"), 0.05);
        chooseReps(m.data, {}, m.a);
        QVERIFY(m.a.judgedDay == kToday - days(7) && m.a.athleteReps == std::vector<Id>{before});
        QVERIFY(m.a.modelReps == std::vector<Id>{model});
        // A set that was asked for, and one that is not there.
        Analysis asked = m.a;
        asked.modelReps.clear();
        asked.athleteReps.clear();
        chooseReps(m.data, {SetKey{kToday, "gone"}, {}, {}}, asked);
        QVERIFY(asked.athleteReps == std::vector<Id>{before});
        QCOMPARE(idsOf(pick(m.a, {model, before})), textsOf({model, before}));
    }
    void modelsOfSeveralPeopleAreNotOne() {
        Measured m;
        m.rep(m.take(kToday, Performer::athlete), 0.02);
        const Id b1 = m.rep(m.take(kToday, Performer::model, "B"), 0.05);
        const Id a1 = m.rep(m.take(kToday, Performer::model, "A"), 0.04);
        const Id b2 = m.rep(m.take(kToday, Performer::model, "B"), 0.06);
        const auto chosen = [&](std::optional<std::string> model) {
            Analysis a;
            a.measured = m.a.measured;
            SetChoice choice;
            choice.model = std::move(model);
            chooseReps(m.data, choice, a);
            chooseReference(m.data, m_lunge, choice, a);
            return std::pair(idsOf(a.reference), a.model);
        };
        QCOMPARE(chosen({}), std::pair(textsOf({b1, b2}), std::string("B"))); // of whom there is most
        QCOMPARE(chosen("A"), std::pair(textsOf({a1}), std::string("A")));
        QCOMPARE(chosen(""), std::pair(textsOf({b1, b2, a1}), std::string())); // together, because somebody wants it
        QCOMPARE(chosen("gone").second, std::string("B"));
    }
    void theOwnRepsAsTheModel() {
        Measured m;
        const Id old = m.rep(m.take(kToday - days(14), Performer::athlete, {}, Stage::shadow), 0.01);
        const Id last = m.rep(m.take(kToday - days(7), Performer::athlete, {}, Stage::open), 0.02);
        m.rep(m.take(kToday, Performer::athlete, {}, Stage::open), 0.03);
        const Id model = m.rep(m.take(kToday, Performer::model, "A"), 0.05);
        const auto reference = [&](ReferenceKind kind) {
            m.data.brief.reference = kind;
            Analysis a;
            a.measured = m.a.measured;
            chooseReps(m.data, {}, a);
            chooseReference(m.data, m_lunge, {}, a);
            return std::pair(idsOf(a.reference), a.referenceKind);
        };
        QCOMPARE(reference(ReferenceKind::model).first, textsOf({model}));
        QCOMPARE(reference(ReferenceKind::ownLast).first, textsOf({last}));
        QCOMPARE(reference(ReferenceKind::ownCalm).first, textsOf({old}));
        QVERIFY(reference(ReferenceKind::ownBest).first.size() == 1); // a third of two, at least one
        m.data.reps.erase(old);
        m.data.reps.erase(last);
        m.a.measured.erase(old);
        m.a.measured.erase(last);
        const auto none = reference(ReferenceKind::ownLast); // nothing of the kind yet
        QVERIFY(none.first == textsOf({model}) && none.second == ReferenceKind::model);
    }
    void choicesAreCounted() {
        Measured m;
        const Id take = m.take(kToday, Performer::athlete);
        for (int i = 0; i < 5; ++i) {
            Rep& r = m.data.reps[m.rep(take, 0.02)];
            r.situation = i < 3 ? "short feed" : "deep feed";
            r.choice = i == 0 ? "lob" : "drive";
            if (i != 2)
                r.worked = i % 2 == 0;
        }
        chooseReps(m.data, {}, m.a);
        countChoices(m.data, m_lunge, m.a);
        QCOMPARE(m.a.situations, (std::vector<std::string>{"short feed", "deep feed"})); // the commoner first
        QCOMPARE(m.a.choices.size(), std::size_t(3));
        for (const auto& c : m.a.choices) {
            if (c.situation == "short feed" && c.choice == "drive")
                QVERIFY(c.n == 2 && c.known == 1 && c.worked == 0 && c.success);
            if (c.choice == "lob")
                QVERIFY(c.n == 1 && c.worked == 1);
            QVERIFY(!c.advised); // the blueprint knows no such situation
        }
    }
    // From one day to the next a cause goes; what should follow it does so, or stays.
    void linksAreTestedFromDayToDay() {
        Blueprint two;
        for (const char* id : {"cause", "effect"}) {
            BlueprintMeasure m;
            m.definition.id = id;
            Target t;
            t.source = TargetSource::coach;
            t.lo = 0.0;
            t.hi = 10.0;
            t.floor = 5.0;
            m.targets = {t};
            two.measures.push_back(m);
            Fault f;
            f.id = id;
            f.indicators = {{id, Deviance::high, 1.0}};
            if (f.id == "effect")
                f.causes = {{"cause", 0.5}};
            two.faults.push_back(f);
        }
        for (const double after : {30.0, 5.0}) {
            Measured m;
            for (const auto& [day, cause, effect] : {std::tuple(kToday - days(7), 30.0, 30.0), {kToday, 5.0, after}}) {
                const Id take = m.take(day, Performer::athlete);
                for (int i = 0; i < 3; ++i) {
                    auto& values = m.a.measured[m.rep(take, 0)].values;
                    values.assign(2, values.front());
                    values[0].measure = "cause";
                    values[0].value = cause + 0.01 * i;
                    values[1].measure = "effect";
                    values[1].value = effect + 0.01 * i;
                }
            }
            testLinks(m.data, two, {}, m.a);
            QCOMPARE(m.a.beliefs.size(), std::size_t(1));
            const LinkBelief& b = m.a.beliefs.front();
            QCOMPARE(b.checks, 1);
            QCOMPARE(b.followed, after < 10.0 ? 1 : 0);
            QCOMPARE(m.a.stayed.size(), std::size_t(after < 10.0 ? 0 : 1));
            QVERIFY(after < 10.0 ? b.posterior > b.prior : b.posterior < b.prior);
        }
        Measured once; // one day is no test
        once.rep(once.take(kToday, Performer::athlete), 0.0);
        testLinks(once.data, two, {}, once.a);
        QVERIFY(once.a.beliefs.front().checks == 0 && once.a.stayed.empty());
    }
    void aMeasureIsTriedOnEachRepThatShowsIt() {
        Measured m;
        const Id side = m.take(kToday, Performer::athlete), front = m.take(kToday, Performer::athlete),
                 model = m.take(kToday, Performer::model, "A");
        m.data.takes[front].view = View::front;
        MeasureDefinition d;
        d.id = "knee";
        d.kind = MeasureKind::angle;
        d.at = "start";
        d.view = View::side;
        d.points = {PointSpec{{"lead_hip"}}, PointSpec{{"lead_knee"}}, PointSpec{{"lead_ankle"}}};
        TrackSet marks;
        for (int f = 0; f < 5; ++f) { // a right angle
            marks["right_hip"][FrameIndex(f)] = {{100, 100}, 1.0, How::hand};
            marks["right_knee"][FrameIndex(f)] = {{100, 200}, 1.0, How::hand};
            marks["right_ankle"][FrameIndex(f)] = {{200, 200}, 1.0, How::hand};
        }
        for (const Id take : {side, front, model}) {
            auto& t = m.data.takes[take];
            for (int f = 0; f < 5; ++f)
                t.times.push_back(f / 50.0);
            t.captureRate = 50;
            m.a.motions[take] = std::make_shared<const Motion>(toMotion(marks, timebaseOf(t), {}));
            m.data.reps[m.rep(take, 0)].positions["start"].frame = FrameIndex(2);
        }
        m.rep(side, 0); // without key positions
        const auto tried = tryMeasure(m_lunge, d, m.data, m.a);
        QCOMPARE(tried.size(), std::size_t(2)); // the front view does not show it
        QVERIFY(!tried[0].model && tried[1].model);
        for (const auto& t : tried)
            QVERIFY2(std::abs(t.value.value - 90.0) < 1e-6, t.value.reason.c_str());
        // Over reps: one value a performer.
        MeasureDefinition over = d;
        over.id = "knee_spread";
        over.kind = MeasureKind::spread;
        over.base = {std::make_shared<MeasureDefinition>(d)};
        const auto spread = tryMeasure(m_lunge, over, m.data, m.a);
        QCOMPARE(spread.size(), std::size_t(2));
        QVERIFY(spread[0].rep == 0 && spread[0].value.refused && !spread[0].value.reason.empty()); // of one rep: none
    }
};

QTEST_GUILESS_MAIN(TestChoosing)
#include "test_choosing.moc"
