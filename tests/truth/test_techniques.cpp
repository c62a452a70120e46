// The whole flow on each of the other techniques: a model and an athlete with one fault, marked with known noise by a
// simulated analyst who knows only what the pictures show, from marks to findings, plan and words. No film is drawn:
// what is tested is what becomes of the marks.

#include "casebook/analysis.h"
#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "handover/words.h"
#include "library/library.h"
#include "simulator/film_maker.h"

#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

// A take of `reps` reps with its marks and pegs; ids are counted on.
void film(CaseData& data, const std::string& technique, const Faults& faults, Performer performer, int reps, Day day,
          unsigned seed) {
    FilmRecipe recipe;
    recipe.technique = technique;
    recipe.camera = cameraFor(technique, false);
    recipe.sizes = faults;
    recipe.reps = reps;
    recipe.seed = seed;
    const auto made = SimulatedTake::make(recipe);
    const double rate = recipe.camera.captureRate;
    const int frames = static_cast<int>(made->duration() * rate);
    std::mt19937 random(seed);
    std::normal_distribution<double> noise(0.0, 1.2);
    Take take;
    take.id = static_cast<Id>(data.takes.size()) + 1;
    take.title = performer == Performer::model ? "Model" : "Athlete";
    take.performer = performer;
    take.who = performer == Performer::model ? "Model A" : "";
    take.day = day;
    take.facing = Facing::left;
    take.captureRate = rate;
    take.width = recipe.camera.width;
    take.height = recipe.camera.height;
    for (int f = 0; f < frames; ++f) {
        take.times.push_back(f / rate);
        for (const auto& [name, at] : made->bodyAt(f / rate).at) {
            Pixel p = recipe.camera.project(at);
            p.x += noise(random);
            p.y += noise(random);
            data.marks[take.id][name][FrameIndex(f)] = {p, 1.2, How::hand};
        }
    }
    int number = 0;
    for (const auto& r : made->reps()) {
        Rep rep;
        rep.id = static_cast<Id>(data.reps.size()) + 1;
        rep.take = take.id;
        rep.number = ++number;
        for (const auto& [id, t] : r.keys)
            if (const auto frame = static_cast<int>(std::lround(t * rate)); frame >= 0 && frame < frames)
                rep.positions[id] = {FrameIndex(frame), {}};
        rep.worked = number % 3 != 0;
        data.reps[rep.id] = rep;
    }
    data.takes[take.id] = take;
}

CaseData caseOf(const std::string& technique, const Faults& faults, Day today) {
    CaseData data;
    data.blueprintId = technique;
    data.brief.athlete.name = "Ina Torv";
    data.brief.minutes = {20, 0, 25, 0, 30, 0, 0};
    film(data, technique, {}, Performer::model, 4, today - std::chrono::days(30), 11);
    film(data, technique, faults, Performer::athlete, 5, today - std::chrono::days(1), 42);
    return data;
}

} // namespace

class TestTechniques : public QObject {
    Q_OBJECT
    const Day m_today = *dayFromIso("2026-11-23");
private slots:
    void faultsAreFound_data() {
        QTest::addColumn<QString>("technique");
        QTest::addColumn<QString>("injected");
        QTest::addColumn<double>("size");
        QTest::addColumn<QString>("fault");
        const auto row = [](const char* t, const char* injected, double size, const char* fault) {
            QTest::newRow((std::string(t) + " " + fault).c_str()) << t << injected << size << fault;
        };
        row("race-walking", "knee_gives", 0.02, "knee_gives");
        row("race-walking", "flight", 0.08, "flight");
        row("race-walking", "trunk_bent", 12, "trunk_bent");
        row("archery-shot", "lean_back", 9, "lean_back");
        row("archery-shot", "head_moves", 0.09, "head_moves");
        row("archery-shot", "held_long", 4.0, "held_long");
        row("volleyball-spike", "slow_feet", 0.2, "slow_feet");
        row("volleyball-spike", "no_arm_swing", 55, "no_arm_swing");
        row("rowing-ergometer", "lies_back", 22, "lies_back");
        row("rowing-ergometer", "early_arms", 0.3, "early_arms");
        row("rowing-ergometer", "over_reach", 18, "over_reach");
        row("handball-marking", "late_start", 0.22, "late_start");
        row("handball-marking", "high_hands", 0.4, "high_hands");
        row("handball-marking", "narrow", 0.16, "narrow");
    }
    void faultsAreFound() {
        QFETCH(QString, technique);
        QFETCH(QString, injected);
        QFETCH(double, size);
        QFETCH(QString, fault);
        const Blueprint blueprint = *shippedBlueprint(technique.toStdString());
        const CaseData data = caseOf(technique.toStdString(), {{injected.toStdString(), size}}, m_today);
        const auto a = analyse(data, blueprint, m_today);
        QCOMPARE(a.athleteReps.size(), 5u);
        const Finding* f = a.finding(fault.toStdString());
        QString others;
        for (const auto& x : a.judgement.findings)
            others += QString::fromStdString(x.fault) + " ";
        QVERIFY2(f, qPrintable(others));
        QVERIFY(!f->evidence.empty() && !f->reason.empty());
        // Something is worked on, with drills of this technique, and something is good.
        QVERIFY(!a.judgement.focus.empty() && a.judgement.focus.size() <= 2 && !a.judgement.strengths.empty());
        QVERIFY(!a.plan.blocks.empty());
        for (const auto& b : a.plan.blocks)
            QVERIFY(blueprint.drill(b.drill));
        // Safety goes first.
        if (blueprint.fault(fault.toStdString())->safety)
            QCOMPARE(a.judgement.focus.front(), fault.toStdString());
    }
    void aGoodOneHasNothingToMend_data() {
        QTest::addColumn<QString>("technique");
        for (const auto& id : shippedBlueprintIds())
            if (id != "fencing-lunge")
                QTest::newRow(id.c_str()) << QString::fromStdString(id);
    }
    void aGoodOneHasNothingToMend() {
        QFETCH(QString, technique);
        const Blueprint blueprint = *shippedBlueprint(technique.toStdString());
        const auto a = analyse(caseOf(technique.toStdString(), {}, m_today), blueprint, m_today);
        QString found;
        for (const auto& f : a.judgement.findings)
            found += QString::fromStdString(f.fault) + " ";
        QVERIFY2(a.judgement.findings.empty(), qPrintable(found));
        QVERIFY(a.judgement.strengths.size() >= 3);
    }
    void inWords() {
        // Through the library and the casebook, as the program has it; a profile is named, and the reference is said.
        QTemporaryDir dir;
        auto library = Library::create(dir.filePath("lib").toStdString());
        QVERIFY2(library.ok(), library ? "" : library.error().text().c_str());
        std::shared_ptr<Library> shared(std::move(*library));
        CaseData data =
            caseOf("rowing-ergometer", {{"early_arms", 0.3}, {"opens_early", 0.3}, {"lies_back", 20}}, m_today);
        film(data, "rowing-ergometer", {{"lies_back", 25}}, Performer::athlete, 3, m_today - std::chrono::days(9), 7);
        const auto id = shared->addCase("rowing-ergometer", data.brief);
        QVERIFY(id.ok());
        auto book = Casebook::open(shared, *id, *shippedBlueprint("rowing-ergometer"), m_today);
        QVERIFY(book.ok());
        std::map<Id, Id> takes;
        for (const auto& [old, take] : data.takes) {
            takes[old] = (*book)->addTake(take);
            QVERIFY(takes[old] != 0);
            QVERIFY((*book)->putMarks(takes[old], data.marks.at(old), "marks"));
        }
        for (const auto& [old, rep] : data.reps) {
            const Id added = (*book)->addRep(takes[rep.take]);
            for (const auto& [position, placed] : rep.positions)
                QVERIFY((*book)->placePosition(added, position, placed.frame));
        }
        (void)(*book)->analysisNow();
        const std::string words = findingsWords(**book);
        for (const char* part : {"Rowing stroke", "Arms bend early", "Trunk opens early", "Lies back",
                                 "Looks like “The lifter”", "Repair in this order"})
            QVERIFY2(words.find(part) != std::string::npos, words.c_str());
        QVERIFY(words.find("own") == std::string::npos || words.find("Compared with") == std::string::npos);
        Brief brief = (*book)->data().brief;
        brief.reference =
            ReferenceKind::ownCalm; // nothing was filmed under less stress: that is said, and not pretended
        QVERIFY((*book)->setBrief(brief));
        (void)(*book)->analysisNow();
        QVERIFY(findingsWords(**book).find("no own reps of the wished kind") != std::string::npos);
        brief.reference = ReferenceKind::ownLast;
        QVERIFY((*book)->setBrief(brief));
        (void)(*book)->analysisNow();
        QVERIFY(findingsWords(**book).find("Compared with the athlete's own reps of the day before") !=
                std::string::npos);
        QVERIFY(!planWords(**book).empty());
        // Kept and opened again it says the same.
        auto again = Casebook::open(shared, *id, *shippedBlueprint("rowing-ergometer"), m_today);
        QVERIFY(again.ok());
        (void)(*again)->analysisNow();
        QCOMPARE(findingsWords(**again), findingsWords(**book));
    }
};
QTEST_GUILESS_MAIN(TestTechniques)
#include "test_techniques.moc"
