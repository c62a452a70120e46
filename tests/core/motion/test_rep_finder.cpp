#include "core/motion/rep_finder.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

struct Scene {
    std::vector<double> energy, times;
    std::vector<std::pair<double, double>> moves;
};

// Bursts of movement between rests; the picture's noise is always there.
Scene bursts(int reps, double rate, unsigned seed) {
    Scene s;
    std::mt19937 random(seed);
    std::uniform_real_distribution<double> pause(0.8, 3.0), length(0.6, 1.4);
    double t = 1.0;
    for (int i = 0; i < reps; ++i) {
        const double l = length(random);
        s.moves.emplace_back(t, t + l);
        t += l + pause(random);
    }
    std::normal_distribution<double> noise(0, 0.03);
    for (double now = 0; now < t; now += 1 / rate) {
        double e = 0.3;
        for (auto [a, b] : s.moves)
            if (now > a && now < b)
                e += 2.0 * std::pow(std::sin((now - a) / (b - a) * 3.14159), 2) + 0.5;
        s.times.push_back(now);
        s.energy.push_back(e + noise(random));
    }
    return s;
}

} // namespace

class TestRepFinder : public QObject {
    Q_OBJECT
private slots:
    void eachBurstIsARep() {
        for (double rate : {25.0, 60.0, 240.0}) {
            const Scene s = bursts(60, rate, 4);
            const auto found = repsFromMotion(s.energy, s.times);
            QCOMPARE(found.size(), s.moves.size());
            for (std::size_t i = 0; i < found.size(); ++i) {
                QVERIFY(std::abs(s.times[static_cast<std::size_t>(found[i].first.value)] - s.moves[i].first) < 0.3);
                QVERIFY(std::abs(s.times[static_cast<std::size_t>(found[i].last.value)] - s.moves[i].second) < 0.3);
                QVERIFY(i == 0 || found[i].first > found[i - 1].last);
            }
        }
    }
    void restAloneHasNoReps() {
        std::mt19937 random(1);
        std::normal_distribution<double> noise(1, 0.03);
        std::vector<double> e, t;
        for (int i = 0; i < 600; ++i) {
            e.push_back(noise(random));
            t.push_back(i / 30.0);
        }
        QVERIFY(repsFromMotion(e, t).empty());
        QVERIFY(!periodOf(e, t));
        QVERIFY(repsFromCycles(e, t).empty());
        QVERIFY(repsFromMotion({}, {}).empty());
        QVERIFY(repsFromMotion(std::vector<double>(100, 0.0), t).empty());
    }
    void variableRateCounts() {
        Scene s = bursts(10, 240, 9), thin;
        std::mt19937 random(2);
        for (std::size_t i = 0; i < s.times.size(); i += 2 + random() % 9) {
            thin.times.push_back(s.times[i]);
            thin.energy.push_back(s.energy[i]);
        }
        QCOMPARE(repsFromMotion(thin.energy, thin.times).size(), std::size_t(10));
    }
    void strikesAreHeard() {
        Sound s;
        s.rate = 16000;
        s.samples.resize(16000 * 40);
        std::mt19937 random(3);
        std::normal_distribution<double> hall(0, 0.01);
        for (auto& v : s.samples)
            v = static_cast<float>(hall(random));
        std::vector<double> truth;
        for (double t = 1.5; t < 38; t += 2.3) {
            truth.push_back(t);
            for (int i = 0; i < 1500; ++i)
                s.samples[static_cast<std::size_t>(t * 16000) + static_cast<std::size_t>(i)] +=
                    static_cast<float>(0.5 * std::exp(-i / 200.0) * std::sin(i * 1.3));
        }
        const auto heard = strikes(s);
        QCOMPARE(heard.size(), truth.size());
        for (std::size_t i = 0; i < heard.size(); ++i)
            QVERIFY(std::abs(heard[i] - truth[i]) < 0.006);
        std::vector<double> times;
        for (int i = 0; i < 1200; ++i)
            times.push_back(i / 30.0);
        const auto reps = repsFromStrikes(heard, times);
        QCOMPARE(reps.size(), truth.size());
        for (std::size_t i = 0; i < reps.size(); ++i)
            QVERIFY(times[static_cast<std::size_t>(reps[i].first.value)] < truth[i] &&
                    times[static_cast<std::size_t>(reps[i].last.value)] > truth[i]);
        for (auto& v : s.samples)
            v = static_cast<float>(hall(random));
        QVERIFY(strikes(s).empty());
    }
    // A stroke with a strong and a weak half is one cycle, not two; the tempo drifts.
    void cyclesAreCutAtTheirQuietMoments() {
        std::vector<double> e, t, starts;
        std::mt19937 random(6);
        std::normal_distribution<double> noise(0, 0.03);
        double phase = 0;
        for (int i = 0; i < 1500; ++i) {
            const double now = i / 60.0, period = 1.10 + 0.004 * now;
            const double before = phase;
            phase += 1 / 60.0 / period;
            if (std::floor(phase) > std::floor(before))
                starts.push_back(now);
            const double p = phase - std::floor(phase);
            e.push_back(1.0 + noise(random) + 2.0 * std::exp(-std::pow((p - 0.3) / 0.1, 2)) +
                        0.9 * std::exp(-std::pow((p - 0.75) / 0.08, 2)));
            t.push_back(now);
        }
        const auto period = periodOf(e, t);
        QVERIFY2(period && std::abs(*period - 1.15) < 0.08, qPrintable(QString::number(period.value_or(0))));
        const auto reps = repsFromCycles(e, t);
        QVERIFY2(std::abs(static_cast<int>(reps.size()) - static_cast<int>(starts.size())) <= 1,
                 qPrintable(QString("%1 for %2").arg(reps.size()).arg(starts.size())));
        for (std::size_t i = 1; i < reps.size(); ++i)
            QCOMPARE(reps[i].first.value, reps[i - 1].last.value + 1);
    }
};
QTEST_GUILESS_MAIN(TestRepFinder)
#include "test_rep_finder.moc"
