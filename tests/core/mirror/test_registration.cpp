#include "core/mirror/registration.h"

#include <QTest>

#include <cmath>

using namespace riflesso;

class TestRegistration : public QObject {
    Q_OBJECT
    const std::vector<PositionId> m_order = {"a", "b", "c", "d"};
    static PlacedPosition at(int f) { return {FrameIndex(f), std::nullopt}; }
private slots:
    void knotsMapToPhases() {
        const PhaseMap m(m_order, {{"a", at(10)}, {"b", at(20)}, {"c", at(50)}, {"d", at(60)}});
        QVERIFY(m.usable());
        QCOMPARE(m.phase(10), 0.0);
        QCOMPARE(m.phase(20), 1.0);
        QCOMPARE(m.phase(35), 1.5);
        QCOMPARE(m.phase(60), 3.0);
        QCOMPARE(m.phase(5), 0.0); // clamped
        QCOMPARE(m.phase(99), 3.0);
        for (double p : {0.0, 0.3, 1.0, 2.7, 3.0})
            QVERIFY(std::abs(m.phase(m.frame(p)) - p) < 1e-12);
    }
    void sameMomentNotSameClock() {
        // Twice as slow a rep: the same phases.
        const PhaseMap quick(m_order, {{"a", at(0)}, {"b", at(10)}, {"c", at(20)}, {"d", at(30)}});
        const PhaseMap slow(m_order, {{"a", at(100)}, {"b", at(120)}, {"c", at(140)}, {"d", at(160)}});
        for (double f : {3.0, 12.0, 25.0})
            QVERIFY(std::abs(quick.phase(f) - slow.phase(100 + 2 * f)) < 1e-12);
    }
    void missingPositionsAreBridged() {
        const PhaseMap m(m_order, {{"a", at(0)}, {"d", at(30)}});
        QVERIFY(m.usable());
        QCOMPARE(m.phase(10), 1.0);
        QVERIFY(!PhaseMap(m_order, {{"a", at(0)}}).usable());
        QVERIFY(!PhaseMap(m_order, {}).usable());
    }
    void swappedPositionsAreLeftOutAndSaid() {
        const PhaseMap m(m_order, {{"a", at(0)}, {"b", at(30)}, {"c", at(20)}, {"d", at(40)}});
        QCOMPARE(m.skipped().size(), std::size_t(1));
        QCOMPARE(m.skipped().front(), std::string("c"));
        double before = -1;
        for (int f = 0; f <= 40; ++f) { // time still runs one way
            QVERIFY(m.phase(f) >= before);
            before = m.phase(f);
        }
    }
    void curvesMeetOnPhases() {
        // Two reps of different pace whose value is their phase: the mean curve is the phase, without spread.
        std::vector<std::vector<SeriesSample>> series(2);
        for (int f = 0; f <= 30; ++f)
            series[0].push_back({FrameIndex(f), f / 100.0, f / 10.0, 0.1, 0});
        for (int f = 0; f <= 60; ++f)
            series[1].push_back({FrameIndex(f), f / 100.0, f / 20.0, 0.1, 0});
        const std::vector<PhaseMap> maps = {{m_order, {{"a", at(0)}, {"b", at(10)}, {"c", at(20)}, {"d", at(30)}}},
                                            {m_order, {{"a", at(0)}, {"b", at(20)}, {"c", at(40)}, {"d", at(60)}}}};
        const auto curve = phaseCurve(series, maps, 0, 3, 31);
        QCOMPARE(curve.size(), std::size_t(31));
        for (const auto& p : curve) {
            QVERIFY(std::abs(p.value - p.phase) < 1e-9);
            QVERIFY(p.spread < 1e-9);
        }
    }
    void gapsStayGaps() {
        std::vector<SeriesSample> s;
        for (int f : {0, 1, 2, 3, 20, 21, 22})
            s.push_back({FrameIndex(f), f / 100.0, 1.0, 0.1, 0});
        const auto curve = phaseCurve({s}, {{m_order, {{"a", at(0)}, {"d", at(22)}}}}, 0, 3, 23);
        QVERIFY(curve.size() < 12 && !curve.empty()); // nothing is invented between 3 and 20
    }
};
QTEST_GUILESS_MAIN(TestRegistration)
#include "test_registration.moc"
