// Own drills and the model shelf: kept, read, damaged.

#include "library/shelves.h"

#include <QFile>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestShelves : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::filesystem::path folder() const { return m_dir.path().toStdString(); }
    void write(const char* name, const QByteArray& text) {
        QFile f(m_dir.filePath(name));
        QVERIFY(f.open(QIODevice::WriteOnly) && f.write(text) == text.size());
    }
private slots:
    void drills() {
        QVERIFY(readOwnDrills(folder()) && readOwnDrills(folder())->empty());
        OwnDrill d{"fencing-lunge", {"hand_late", "rear_leg_soft"}, {}};
        d.drill.id = "own-1";
        d.drill.name = "Point to the “wall” \xc3\xa9";
        d.drill.how = "Slowly.";
        d.drill.cue = "point first";
        d.drill.stage = Stage::slow;
        d.drill.dose = {2, 8, 4.0};
        d.drill.home = true;
        d.drill.equipment = {"wall"};
        QVERIFY(keepOwnDrills(folder(), {d}));
        const auto again = readOwnDrills(folder());
        QVERIFY2(again.ok(), again ? "" : again.error().text().c_str());
        QCOMPARE(again->size(), std::size_t(1));
        QVERIFY(again->front() == d && again->front().drill.home && again->front().drill.dose.minutes == 4.0 &&
                again->front().drill.equipment == d.drill.equipment);
    }
    void models() {
        QVERIFY(readModelShelf(folder()) && readModelShelf(folder())->empty());
        ShelvedModel m;
        m.model = {"Model A", "fencing-lunge", "3 reps of films", "", {{"1", Hertz(240), {}, "late", 1.5}}};
        MeasureValue v;
        v.measure = "lunge_knee";
        v.value = 0.1 + 0.2;
        v.u = v.uMarks = 1.25;
        v.uShared = 0.5;
        m.model.reps[0].values = {v};
        m.situation = "late";
        m.by = "the head coach";
        m.day = *dayFromIso("2026-11-23");
        QVERIFY(keepModelShelf(folder(), {m}));
        const auto again = readModelShelf(folder());
        QVERIFY2(again.ok(), again ? "" : again.error().text().c_str());
        QVERIFY(again->front().model == m.model && again->front().situation == m.situation &&
                again->front().by == m.by && again->front().day == m.day);
    }
    void damagedOnesSaySo() {
        for (const char* text :
             {"", "{", "[]", "{\"drills\": 3}", "{\"drills\": [{}]}",
              "{\"drills\": [{\"technique\": \"a\", \"faults\": [], \"drill\": {\"id\": \"shadow\"}}]}"}) {
            write("own-drills.json", text);
            const auto r = readOwnDrills(folder());
            QVERIFY2(!r && r.error().kind == ErrorKind::damaged, text);
        }
        for (const char* text :
             {"{}", "{\"models\": [{\"day\": \"soon\"}]}", "{\"models\": [{\"day\": \"2026-11-23\", \"model\": 1}]}"}) {
            write("models.json", text);
            const auto r = readModelShelf(folder());
            QVERIFY2(!r && r.error().text().find("models.json") != std::string::npos, text);
        }
        QVERIFY(!keepOwnDrills(folder() / "gone", {}));
    }
};

QTEST_GUILESS_MAIN(TestShelves)
#include "test_shelves.moc"
