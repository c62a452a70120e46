// Blueprints of a library: versions that are kept, what a full disk does to them, and cases that are carried over.

#include "casebook/shipped.h"
#include "library/blueprint_json.h"

#include <QDir>
#include <QFile>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestBlueprints : public QObject {
    Q_OBJECT

    static std::filesystem::path pathOf(const QTemporaryDir& dir) { return dir.path().toStdString(); }
    static Blueprint lunge() { return *shippedBlueprint("fencing-lunge"); }
    // A case with one rep that has every key position, one seen checkpoint, one guess, one block.
    static CaseData caseOf(const Blueprint& b) {
        CaseData d;
        d.id = 1;
        d.blueprintId = b.id;
        Rep rep;
        rep.id = 5;
        rep.take = 2;
        int frame = 0;
        for (const auto& p : b.positions)
            rep.positions[p.id] = {FrameIndex(frame += 10), {}};
        rep.seen[b.checkpoints[0].id] = {SeenVerdict::partly, FrameIndex(3), "late", {}};
        d.reps[5] = rep;
        d.brief.guesses = {{b.measures[0].definition.id, 1.2}};
        Block block;
        block.id = 9;
        block.drill = b.drills[0].id;
        d.blocks[9] = block;
        return d;
    }
    static CaseData after(CaseData d, const std::vector<Edit>& edits) {
        for (const auto& e : edits)
            applyTo(d, e);
        return d;
    }
    // Renames an id everywhere in a blueprint's text.
    static Blueprint renamed(const Blueprint& b, const std::string& from, const std::string& to) {
        std::string text = blueprintToJson(b);
        const std::string a = "\"" + from + "\"", z = "\"" + to + "\"";
        for (std::size_t at = 0; (at = text.find(a, at)) != std::string::npos; at += z.size())
            text.replace(at, a.size(), z);
        return *blueprintFromJson(text, "renamed");
    }
private slots:
    void versionsAreKept() {
        QTemporaryDir dir;
        QCOMPARE(keptVersions(pathOf(dir), "fencing-lunge"), std::vector<int>{1});
        QCOMPARE(blueprintFor(pathOf(dir), "fencing-lunge")->name, lunge().name);
        Blueprint b = lunge();
        b.name = "Lunge, our way";
        QCOMPARE(*keepBlueprint(pathOf(dir), b), 2);
        b.name = "Lunge, another way";
        QCOMPARE(*keepBlueprint(pathOf(dir), b), 3);
        QCOMPARE(keptVersions(pathOf(dir), "fencing-lunge"), (std::vector<int>{1, 2, 3}));
        QCOMPARE(blueprintFor(pathOf(dir), "fencing-lunge")->name, std::string("Lunge, another way"));
        QCOMPARE(keptVersion(pathOf(dir), "fencing-lunge", 2)->name, std::string("Lunge, our way"));
        QCOMPARE(keptVersion(pathOf(dir), "fencing-lunge", 1)->name, lunge().name);
        QVERIFY(!keptVersion(pathOf(dir), "fencing-lunge", 7));
        // One of one's own beside the shipped ones.
        b.id = "our-own";
        QCOMPARE(*keepBlueprint(pathOf(dir), b), 1);
        const auto ids = blueprintIds(pathOf(dir));
        QCOMPARE(ids.size(), shippedBlueprintIds().size() + 1);
        QVERIFY(std::is_sorted(ids.begin(), ids.end()));
        QVERIFY(!blueprintFor(pathOf(dir), "nobody-s"));
    }
    void aBrokenFileIsNamed() {
        QTemporaryDir dir;
        QVERIFY(QDir(dir.path()).mkdir("blueprints"));
        QFile file(dir.filePath("blueprints/fencing-lunge.json"));
        QVERIFY(file.open(QIODevice::WriteOnly) && file.write("{\"format\":") > 0);
        file.close();
        const auto b = blueprintFor(pathOf(dir), "fencing-lunge");
        QVERIFY(!b && b.error().text().find("fencing-lunge.json") != std::string::npos);
        // Other files in the folder are nobody's blueprints.
        for (const char* name : {"notes.txt", "x.v.json", "y.v12x.json", "z.v99999999999.json"}) {
            QFile other(dir.filePath(QString("blueprints/") + name));
            QVERIFY(other.open(QIODevice::WriteOnly));
        }
        for (const auto& id : blueprintIds(pathOf(dir)))
            QVERIFY(id != "notes");
    }
    void whatCannotBeWrittenLeavesTheOldOne() {
        QTemporaryDir dir;
        Blueprint b = lunge();
        QCOMPARE(*keepBlueprint(pathOf(dir), b), 2);
        // The place of the next version is taken by a folder: the write fails, and what was kept stays.
        QVERIFY(QDir(dir.path()).mkpath("blueprints/fencing-lunge.v3.json/x"));
        b.name = "Lost?";
        const auto kept = keepBlueprint(pathOf(dir), b);
        // Version 3 seems to be there (as a folder), so that 4 is written, or the write is refused; never a loss.
        const auto now = blueprintFor(pathOf(dir), "fencing-lunge");
        QVERIFY(now.ok());
        QCOMPARE(now->name, kept ? std::string("Lost?") : lunge().name);
        const auto nowhere = keepBlueprint("/dev/null/library", b);
        QVERIFY(!nowhere && nowhere.error().text().find("could not be written") != std::string::npos);
    }
    void casesAreCarriedOver_data() {
        QTest::addColumn<QString>("from");
        QTest::addColumn<QString>("to");
        const Blueprint b = lunge();
        QTest::newRow("a key position") << "heel_lands"
                                        << "front_heel";
        QTest::newRow("a checkpoint") << QString::fromStdString(b.checkpoints[0].id) << "gaze";
        QTest::newRow("a measure") << QString::fromStdString(b.measures[0].definition.id) << "width";
        QTest::newRow("a drill") << QString::fromStdString(b.drills[0].id) << "first_drill";
    }
    void casesAreCarriedOver() {
        QFETCH(QString, from);
        QFETCH(QString, to);
        const Blueprint before = lunge();
        Blueprint now = renamed(before, from.toStdString(), to.toStdString());
        now.version = 2;
        const CaseData old = caseOf(before);
        QVERIFY(orphansOf(old, before).empty());
        QVERIFY(!orphansOf(old, now).empty());
        const CaseData carried = after(old, migration(old, before, now));
        QVERIFY(orphansOf(carried, now).empty());
        QCOMPARE(carried.brief.blueprintVersion, 2);
        QCOMPARE(carried.reps.at(5).positions.size(), old.reps.at(5).positions.size());
        // Undone, it is what it was.
        CaseData back = carried;
        auto edits = migration(old, before, now);
        for (auto e = edits.rbegin(); e != edits.rend(); ++e)
            applyTo(back, reversed(*e));
        QVERIFY(back == old);
    }
    void whatHasNoSuccessorStays() {
        const Blueprint before = lunge();
        Blueprint now = before;
        now.version = 2;
        now.positions.erase(now.positions.begin() + 4);
        const CaseData old = caseOf(before), carried = after(old, migration(old, before, now));
        QCOMPARE(carried.reps.at(5).positions, old.reps.at(5).positions); // kept, unused
        QCOMPARE(orphansOf(carried, now).positions, std::vector<PositionId>{before.positions[4].id});
        // One renamed in word and id alike, at its old place: it is the same one.
        now = before;
        now.positions[2].id = "reach";
        now.positions[2].name = "Reach";
        const CaseData moved = after(old, migration(old, before, now));
        QVERIFY(moved.reps.at(5).positions.contains("reach") &&
                !moved.reps.at(5).positions.contains(before.positions[2].id));
        // The same version again: nothing to do.
        QVERIFY(migration(old, before, before).empty());
    }
};
QTEST_GUILESS_MAIN(TestBlueprints)
#include "test_blueprints.moc"
