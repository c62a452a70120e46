// The demo's others: an athlete comes in whole or not at all, once, and what can be seen in the films is found.

#include "casebook/analysis.h"
#include "casebook/progress_questions.h"
#include "casebook/shipped.h"
#include "demo/demo_library.h"
#include "library/library.h"
#include "simulator/eye_trial.h"
#include "simulator/technique_pictures.h"
#include "tests/support/demo_copy.h"

#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestDemo : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::filesystem::path m_library;
    DemoOptions only(const char* name) const {
        DemoOptions o;
        o.films = m_dir.filePath("films").toStdString();
        o.today = *dayFromIso("2026-11-23");
        o.only = name;
        return o;
    }
private slots:
    void initTestCase() {
        QVERIFY(test::copyDemo(m_dir.filePath("library")));
        m_library = m_dir.filePath("library").toStdString();
    }
    void aWalkerJoinsAndFades() {
        auto options = only("Sol Amadi");
        int told = 0;
        options.progress = [&](const std::string& what, double share) {
            ++told;
            return share >= 0.0 && share <= 1.0 && what.find("Sol Amadi") == 0;
        };
        const auto done = fillDemoLibrary(m_library, options);
        QVERIFY2(done.ok(), done ? "" : done.error().text().c_str());
        QVERIFY(told > 10);
        const auto library = Library::open(m_library);
        QVERIFY(library.ok());
        const auto people = (*library)->athletes();
        QVERIFY(people.ok());
        QCOMPARE(people->size(), std::size_t(2));
        const auto walker = std::find_if(people->begin(), people->end(),
                                         [](const AthleteSummary& a) { return a.athlete.name == "Sol Amadi"; });
        QVERIFY(walker != people->end());
        const auto data = (*library)->load(walker->cases.front().id);
        QVERIFY(data.ok());
        QCOMPARE(data->reps.size(), std::size_t(10));
        const auto blueprint = shippedBlueprint(data->blueprintId);
        const Analysis a = analyse(*data, *blueprint, options.today);
        QCOMPARE(a.athleteReps.size(), std::size_t(10));
        QVERIFY(!a.judgement.findings.empty()); // the step that was made too long
        QVERIFY(!a.judgement.strengths.empty());
    }
    void onceMoreChangesNothing() {
        const auto library = Library::open(m_library);
        const std::size_t before = (*library)->cases()->size();
        QVERIFY(fillDemoLibrary(m_library, only("Sol Amadi")).ok());
        QCOMPARE((*library)->cases()->size(), before);
    }
    // Seven weeks: what the athlete feels comes nearer to what the films show.
    void aGuessThatShrinks() {
        auto options = only("Ivo Sarn");
        options.films = RIFLESSO_SOURCE_DIR "/build/demo-films"; // kept from the last time
        const auto done = fillDemoLibrary(m_library, options);
        QVERIFY2(done.ok(), done ? "" : done.error().text().c_str());
        const auto library = Library::open(m_library);
        const auto people = (*library)->athletes();
        const auto ivo = std::find_if(people->begin(), people->end(),
                                      [](const AthleteSummary& a) { return a.athlete.name == "Ivo Sarn"; });
        QVERIFY(ivo != people->end());
        const auto data = (*library)->load(ivo->cases.front().id);
        QVERIFY(data.ok() && data->brief.pastGuesses.size() == 2 && data->brief.guesses.size() == 1);
        const Analysis a = analyse(*data, *shippedBlueprint(data->blueprintId), options.today);
        const auto felt = feltOverTime(*data, a, "hand_lead");
        QCOMPARE(felt.size(), std::size_t(3));
        for (std::size_t i = 1; i < felt.size(); ++i)
            QVERIFY(std::abs(felt[i].felt.gap()) < std::abs(felt[0].felt.gap()));
        QVERIFY(gapStory(felt) == GapStory::shrinks);
    }
    void whoIsCancelledIsNotThereAtAll() {
        auto options = only("Nils Berger");
        int asked = 0;
        options.progress = [&](const std::string&, double) { return ++asked < 3; };
        QVERIFY(!fillDemoLibrary(m_library, options).ok());
        const auto library = Library::open(m_library);
        const auto people = (*library)->athletes();
        QVERIFY(std::none_of(people->begin(), people->end(),
                             [](const AthleteSummary& a) { return a.athlete.name == "Nils Berger"; }));
        QVERIFY(!fillDemoLibrary(m_dir.filePath("none").toStdString(), options).ok());
    }
    void everyTechniqueHasAPictureOfEachPosition() {
        for (const auto& id : shippedBlueprintIds()) {
            const auto pictures = positionPictures(id, {}, 120);
            QVERIFY2(pictures.ok(), id.c_str());
            const auto blueprint = shippedBlueprint(id);
            for (const auto& p : blueprint->positions)
                QVERIFY2(pictures->contains(p.id), (id + ", " + p.id).c_str());
            for (const auto& [position, p] : *pictures) {
                QCOMPARE(p.picture.height, 120);
                QVERIFY(p.points.size() > 10);
            }
        }
        QVERIFY(!positionPictures("no such technique").ok());
        QVERIFY(!positionPictures("fencing-lunge", {{"no_such_fault", 1.0}}).ok());
    }
    void everyFaultCanBeShownToTheEye() {
        int faults = 0;
        for (const auto& id : shippedBlueprintIds())
            for (const auto& [fault, meaning] : faultsOf(id)) {
                const auto range = rangeOf(id, fault);
                QVERIFY2(range.ok() && range->smallest > 0.0 && range->largest > range->smallest, fault.c_str());
                ++faults;
            }
        QVERIFY(faults > 50);
        const auto with = eyeTrial("fencing-lunge", "trunk_falls_deg", 25.0, 5, 72),
                   without = eyeTrial("fencing-lunge", "trunk_falls_deg", 0.0, 5, 72);
        QVERIFY(with.ok() && without.ok());
        QVERIFY(with->frames.size() > 20 && with->frames[0].height == 72);
        std::size_t differs = 0;
        const auto& a = with->frames[with->frames.size() / 2].pixels;
        const auto& b = without->frames[without->frames.size() / 2].pixels;
        for (std::size_t i = 0; i < a.size() && i < b.size(); ++i)
            differs += a[i] != b[i];
        QVERIFY(differs > 50);
        QVERIFY(!eyeTrial("fencing-lunge", "no_such_fault", 1.0, 1).ok());
        QVERIFY(eyeTrial("fencing-lunge", "trunk_falls_deg", 5.0, 1, 72, [] { return false; }).error().kind ==
                ErrorKind::cancelled);
    }
};
QTEST_GUILESS_MAIN(TestDemo)
#include "test_demo.moc"
