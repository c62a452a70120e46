#include "core/progress/drill_help.h"

#include <QTest>

using namespace riflesso;
using std::chrono::days;

class TestDrillHelp : public QObject {
    Q_OBJECT
    const Day m_day = *dayFromIso("2026-11-02");
    const Band m_band{100, 120, 10};
    TrendPoint film(int at, double value, double u = 2.0) const {
        TrendPoint p;
        p.day = m_day + days(at);
        p.value = value;
        p.u = u;
        return p;
    }
    std::vector<DrillDay> threeDays(int reps = 10) const {
        return {{m_day + days(5), reps}, {m_day + days(1), reps}, {m_day + days(3), reps}}; // in any order
    }
private slots:
    void whatItDidMeanwhile() {
        const auto effect = [&](double then, double now, double u = 2.0) {
            return helpOf(threeDays(), {film(0, then, u), film(7, now, u)}, m_band).effect;
        };
        // u of 2 each: 1.96 · √8 = 5.5 is the least that is more than chance.
        QVERIFY(effect(80, 86) == DrillEffect::moved);
        QVERIFY(effect(80, 85) == DrillEffect::notYet);
        QVERIFY(effect(80, 86, 4.0) == DrillEffect::notYet);
        QVERIFY(effect(80, 74) == DrillEffect::awry);
        QVERIFY(effect(108, 110) == DrillEffect::inside);
        const auto help = helpOf(threeDays(), {film(0, 80), film(7, 90)}, m_band);
        QVERIFY(help.days == 3 && help.reps == 30 && help.minutes == 0.0);
        QVERIFY(help.before == m_day && help.after == m_day + days(7));
        QCOMPARE(help.change.change, 10.0);
    }
    void stuckAfterEightDays() {
        std::vector<DrillDay> done;
        for (int d = 1; d <= 7; ++d)
            done.push_back({m_day + days(d), 5});
        const auto effect = [&](double now) { return helpOf(done, {film(0, 80), film(14, now)}, m_band).effect; };
        QVERIFY(effect(81) == DrillEffect::notYet);
        done.push_back({m_day + days(9), 5});
        QVERIFY(effect(81) == DrillEffect::stuck);
        QVERIFY(effect(90) == DrillEffect::moved);
    }
    void withoutAFilmOnEitherSideNothingIsSaid() {
        QVERIFY(helpOf({}, {film(0, 80), film(7, 90)}, m_band).effect == DrillEffect::tooSoon);
        QVERIFY(helpOf(threeDays(), {}, m_band).effect == DrillEffect::tooSoon);
        QVERIFY(helpOf(threeDays(), {film(0, 80)}, m_band).effect == DrillEffect::tooSoon);
        QVERIFY(helpOf(threeDays(), {film(2, 80), film(7, 90)}, m_band).effect == DrillEffect::tooSoon); // begun before
        QVERIFY(helpOf(threeDays(), {film(1, 80), film(7, 90)}, m_band).effect == DrillEffect::moved);   // on that day
    }
    void theNewestFilmsCount() {
        const auto help = helpOf(threeDays(), {film(9, 95), film(-20, 60), film(0, 80), film(4, 99)}, m_band);
        QVERIFY(help.before == m_day && help.after == m_day + days(9));
        QCOMPARE(help.change.change, 15.0);
    }
    void tooLittleWork() {
        QVERIFY(helpOf(threeDays(7), {film(0, 80), film(7, 90)}, m_band).effect == DrillEffect::tooSoon); // 21 reps
        QVERIFY(helpOf(threeDays(8), {film(0, 80), film(7, 90)}, m_band).effect == DrillEffect::moved);
        // Work after the film is not looked at by it, and one day's blocks are one day.
        QVERIFY(helpOf(threeDays(20), {film(0, 80), film(4, 90)}, m_band).effect == DrillEffect::tooSoon);
        const Day one = m_day + days(1);
        QVERIFY(helpOf({{one, 20}, {one, 20}, {one, 20}}, {film(0, 80), film(7, 90)}, m_band).effect ==
                DrillEffect::tooSoon);
        // Minutes alone are work, too.
        const auto alone = helpOf({{one, 0, 10.0}, {one + days(1), 0, 10.0}, {one + days(2), 0, 10.0}},
                                  {film(0, 80), film(7, 90)}, m_band);
        QVERIFY(alone.effect == DrillEffect::moved && alone.minutes == 30.0 && alone.reps == 0);
    }
};

QTEST_GUILESS_MAIN(TestDrillHelp)
#include "test_drill_help.moc"
