// The people of a library: several techniques of one athlete, two entries made one, all that is somebody's taken away.

#include "tests/support/library_test.h"

#include <QFile>
#include <QTest>

using namespace riflesso;
using test::someBrief, test::someTake;

class TestLibraryPeople : public test::LibraryTest {
    Q_OBJECT
private slots:
    void init() { m_dir = std::make_unique<QTemporaryDir>(); }

    void anAthleteHasSeveralTechniques() {
        auto l = fresh();
        const Id one = *l->addCase("a", someBrief());
        const Id person = (*l->athletes())[0].id;
        const Id two = *l->addCase("b", Brief{}, person);
        QCOMPARE((*l->athletes()).size(), std::size_t(1));
        QVERIFY(l->load(two)->brief.athlete == someBrief().athlete);
        Brief renamed = l->load(one)->brief;
        renamed.athlete.name = "Bo";
        renamed.athlete.squad = "juniors";
        QVERIFY(l->apply(one, {BriefEdit{{}, someBrief(), renamed}}));
        QCOMPARE(l->load(two)->brief.athlete.name, std::string("Bo"));
        // A technique chosen by mistake.
        QVERIFY(l->setBlueprint(two, "c"));
        QCOMPARE(l->load(two)->blueprintId, std::string("c"));
        const Id take = l->freshId();
        QVERIFY(l->apply(two, {TakeEdit{take, {}, someTake(take)}}));
        QVERIFY(l->setBlueprint(two, "d"));
        QVERIFY(l->apply(two, {MarkEdit{{take, FrameIndex(0), "neck"}, {}, Mark{}}}));
        QVERIFY(!l->setBlueprint(two, "e"));
        // All gone, the film too; films of others stay.
        QFile film(QString::fromStdString((l->media() / "a.mp4").string()));
        QVERIFY(film.open(QIODevice::WriteOnly));
        const Id other = *l->addCase("x", Brief{});
        const Id take2 = l->freshId();
        QVERIFY(l->apply(other, {TakeEdit{take2, {}, someTake(take2)}}));
        QVERIFY(l->eraseAthlete(person));
        QCOMPARE(l->cases()->size(), std::size_t(1));
        QVERIFY(film.exists());
        QVERIFY(l->eraseAthlete((*l->athletes())[0].id));
        QVERIFY(!film.exists());
    }
    void busyHoursAndDaysAloneAreKept() {
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        CaseData data = *l->load(c);
        Brief brief = data.brief;
        brief.busy = {{*dayFromIso("2026-11-24"), 90.0, "Choir"}, {*dayFromIso("2026-12-01"), 30.5, ""}};
        Block block;
        block.id = l->freshId();
        block.day = *dayFromIso("2026-11-23");
        block.drill = "wall";
        block.cue = "Tip first";
        block.own = SelfCoached{25.0, 14, "garage, dim", 6, 8, "calmer after ten", "slower"};
        QVERIFY(l->apply(c, {BriefEdit{{}, data.brief, brief}, BlockEdit{block.id, {}, block}}));
        const CaseData again = *l->load(c);
        QCOMPARE(again.brief.busy, brief.busy);
        QCOMPARE(again.blocks.at(block.id), block);
        QVERIFY(again.blocks.at(block.id).reps.empty()); // a day alone may have no rep
    }
    void twoEntriesOfOnePersonBecomeOne() {
        auto l = fresh();
        Brief brief;
        brief.athlete.name = "Ada";
        (void)*l->addCase("x", brief);
        brief.athlete.name = "Ada B.";
        const Id second = *l->addCase("y", brief);
        const Id keep = (*l->athletes())[0].id, other = (*l->athletes())[1].id;
        QVERIFY(!l->mergeAthletes(keep, keep) && !l->mergeAthletes(keep, 99) && !l->mergeAthletes(99, keep));
        QVERIFY(l->mergeAthletes(keep, other));
        QCOMPARE(l->athletes()->size(), std::size_t(1));
        QCOMPARE((*l->athletes())[0].cases.size(), std::size_t(2));
        QCOMPARE(l->load(second)->brief.athlete.name, std::string("Ada"));
    }
    void whatBelongsToSomebodyIsSaidAndGoesWhole() {
        auto l = fresh();
        const Id c = *l->addCase("x", Brief{});
        const Id take = l->freshId();
        QVERIFY(l->apply(c, {TakeEdit{take, {}, someTake(take)}}));
        const auto voices = l->folder() / "reviews" / ("case-" + std::to_string(c));
        std::filesystem::create_directories(voices);
        QFile voice(QString::fromStdString((voices / "scene-1.wav").string()));
        QVERIFY(voice.open(QIODevice::WriteOnly));
        const auto all = l->belongingsOf((*l->athletes())[0].id);
        QVERIFY(all);
        QCOMPARE(all->size(), std::size_t(3)); // the case, its film, the review
        QVERIFY((*all)[0].find("1 takes") != std::string::npos);
        QVERIFY(l->belongingsOf(99)->empty());
        QVERIFY(l->eraseAthlete((*l->athletes())[0].id));
        QVERIFY(!voice.exists());
    }
};
QTEST_GUILESS_MAIN(TestLibraryPeople)
#include "test_library_people.moc"
