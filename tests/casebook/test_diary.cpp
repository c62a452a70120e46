#include "casebook/diary.h"

#include <QTest>

using namespace riflesso;
using std::chrono::days;

class TestDiary : public QObject {
    Q_OBJECT
    const Day m_today = *dayFromIso("2026-11-30");
    static PractisedRep rep(bool good, const char* reason = "") {
        PractisedRep r;
        r.coach = good;
        r.reason = reason;
        return r;
    }
    Block block(Id id, int ago, const char* drill) const {
        Block b;
        b.id = id;
        b.day = m_today - days(ago);
        b.drill = drill;
        return b;
    }
private slots:
    void daysNewestFirst() {
        CaseData data;
        Block a = block(1, 4, "a"), b = block(2, 4, "b"), alone = block(3, 1, "a"), film = block(4, 0, "a");
        a.reps = {rep(true), rep(false)};
        b.reps = {rep(true)};
        alone.own = SelfCoached{25, 0, {}, 0, 0, {}, {}};
        film.film = "some_measure"; // verdicts on a film are no practice
        film.reps = {rep(true)};
        for (const auto& x : {a, b, alone, film})
            data.blocks[x.id] = x;
        const auto diary = diaryOf(data);
        QCOMPARE(diary.size(), std::size_t(2));
        QCOMPARE(goodReps(a), 1);
        QVERIFY(diary[0].day == m_today - days(1) && diary[0].reps == 0 && diary[0].alone == 25.0);
        QVERIFY((diary[1].blocks == std::vector<Id>{1, 2}) && diary[1].good == 2 && diary[1].reps == 3);
        QCOMPARE(dayWords(diary[0]), std::string("25 minutes alone"));
        QCOMPARE(dayWords(diary[1]), std::string("2 of 3 good"));
        QCOMPARE(dayWords(DiaryDay{m_today, {}, 3, 4, 1.0}), std::string("3 of 4 good, 1 minute alone"));
    }
    void reasonsByHowOften() {
        Block b = block(1, 0, "a");
        QVERIFY(reasonWords(b).empty());
        b.reps = {rep(false, "late"), rep(false), rep(true, "late"), rep(false, "bent"), rep(false, "bent")};
        QCOMPARE(reasonWords(b), std::string("bent (2), late (1)")); // a good rep needs none
    }
    void whatOneHasToldOfADay() {
        QCOMPARE(ownWords({1, 0, {}, 3, 4, {}, {}}), std::string("1 minute"));
        QCOMPARE(ownWords({25, 40, "in the yard", 3, 4, {}, {}}), std::string("25 minutes, 40 hits, in the yard"));
    }
    void whatWasSaidLast() {
        CaseData data;
        Block note = block(1, 9, "a"), own = block(2, 5, "a"), silent = block(3, 2, "a"), other = block(4, 1, "b");
        note.note = "slow is calm";
        own.own = SelfCoached{20, 0, {}, 0, 0, "calmer after ten", "half the distance"};
        other.note = "of another drill";
        for (const auto& x : {note, own, silent, other})
            data.blocks[x.id] = x;
        QVERIFY(!lastSaid(data, "c", m_today));
        QCOMPARE(lastSaid(data, "a", m_today)->id, Id(2));
        QCOMPARE(lastSaid(data, "a", m_today, 2)->id, Id(1));
        QCOMPARE(lastSaid(data, "a", m_today - days(6))->id, Id(1)); // nobody knows of later days
        QCOMPARE(saidWords(note), std::string("“slow is calm”"));
        QCOMPARE(saidWords(own), std::string("“calmer after ten”; to try: half the distance"));
        QVERIFY(saidWords(silent).empty());
    }
};

QTEST_GUILESS_MAIN(TestDiary)
#include "test_diary.moc"
