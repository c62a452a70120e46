#include "core/motion/sync.h"
#include "core/statistics/correlation.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

// A hall: strikes with a short ring, heard at two places; each microphone adds its own noise, hum and echo.
Sound hall(double seconds, double shift, unsigned seed, double noise) {
    Sound s;
    s.rate = 16000;
    s.samples.resize(static_cast<std::size_t>(seconds * s.rate));
    std::mt19937 events(77), own(seed); // the strikes are the same for all
    std::uniform_real_distribution<double> when(0, seconds + 4);
    std::normal_distribution<double> rush(0, noise);
    for (auto& v : s.samples)
        v = static_cast<float>(rush(own));
    for (std::size_t i = 0; i < s.samples.size(); ++i)
        s.samples[i] += static_cast<float>(2 * noise * std::sin(static_cast<double>(i) * 6.283 * 50 / s.rate + seed));
    for (int k = 0; k < 12; ++k) {
        const double t = when(events) - 2 + shift, loud = 0.4 + 0.05 * k;
        for (double echo : {0.0, 0.031 + 0.004 * seed}) // another wall for another microphone
            for (int i = 0; i < 900; ++i) {
                const auto at = static_cast<std::ptrdiff_t>((t + echo) * s.rate) + i;
                if (at >= 0 && at < static_cast<std::ptrdiff_t>(s.samples.size()))
                    s.samples[static_cast<std::size_t>(at)] += static_cast<float>(
                        loud * (echo > 0 ? 0.4 : 1) * std::exp(-i / 160.0) * std::sin(i * (1.1 + 0.07 * k)));
            }
    }
    return s;
}

} // namespace

class TestSync : public QObject {
    Q_OBJECT
private slots:
    void oneInstantGivesTheOffset() {
        const SharedInstant one{2.0, 5.5, 0.003, 0.004};
        const auto lock = lockViews({&one, 1});
        QVERIFY(lock.ok());
        QCOMPARE(lock->offset, 3.5);
        QCOMPARE(lock->rate, 1.0);
        QVERIFY(std::abs(lock->uOffset - 0.005) < 1e-12);
        QCOMPARE(lock->toB(1.0), 4.5);
        QCOMPARE(lock->toA(4.5), 1.0);
    }
    // The worked example of a weighted straight line with equal weights: a least-squares line through
    // (1, 6) (2, 5) (3, 7) (4, 10) is 3.5 + 1.4 x (a common textbook example).
    void severalGiveOffsetAndRate() {
        std::vector<SharedInstant> in;
        for (auto [a, b] : {std::pair{1.0, 6.0}, {2.0, 5.0}, {3.0, 7.0}, {4.0, 10.0}})
            in.push_back({a, b, 0, 0.01});
        const auto lock = lockViews(in);
        QVERIFY(std::abs(lock->offset - 3.5) < 1e-9 && std::abs(lock->rate - 1.4) < 1e-9);
        const double expected[] = {1.1, -1.3, -0.7, 0.9};
        for (std::size_t i = 0; i < 4; ++i)
            QVERIFY(std::abs(lock->residuals[i] - expected[i]) < 1e-9);
        QVERIFY(std::abs(lock->rms - std::sqrt(4.2 / 2)) < 1e-9);
        QVERIFY(lock->uRate > 0.4); // far larger than 0.01 s would give: the residuals say so
    }
    void twoInstantsFindASlowCamera() {
        const std::vector<SharedInstant> in{{1, 3, 0.002, 0.002}, {2, 7, 0.002, 0.002}};
        const auto lock = lockViews(in);
        QVERIFY(std::abs(lock->rate - 4) < 1e-12);
        QVERIFY(std::abs(lock->toB(1.5) - 5) < 1e-12);
        QVERIFY(lock->errorAt(10) > lock->errorAt(1.5)); // further from what was seen, less sure
    }
    void mistakesAreSaid() {
        QVERIFY(!lockViews({}));
        const std::vector<SharedInstant> same{{1, 3}, {1, 3}};
        QVERIFY(!lockViews(same));
        const std::vector<SharedInstant> backwards{{1, 3}, {2, 2}};
        QVERIFY(!lockViews(backwards));
    }
    void crossCorrelationIsTheSumItClaims() {
        const std::vector<double> x{1, 5, 2, 0, 3, 1, 4, 2}, y{0, 2, 1, 5, 2, 0, 3, 1};
        const auto c = crossCorrelation(x, y);
        double mx = 0, my = 0, nx = 0, ny = 0;
        for (std::size_t i = 0; i < 8; ++i) {
            mx += x[i] / 8;
            my += y[i] / 8;
        }
        for (std::size_t i = 0; i < 8; ++i) {
            nx += (x[i] - mx) * (x[i] - mx);
            ny += (y[i] - my) * (y[i] - my);
        }
        for (std::size_t k = 0; k < c.values.size(); ++k) {
            const auto lag = c.firstLag + static_cast<std::ptrdiff_t>(k);
            double sum = 0;
            for (std::ptrdiff_t t = 0; t < 8; ++t)
                if (t + lag >= 0 && t + lag < 8)
                    sum += (x[static_cast<std::size_t>(t)] - mx) * (y[static_cast<std::size_t>(t + lag)] - my);
            QVERIFY(std::abs(c.values[k] - sum / std::sqrt(nx * ny)) < 1e-12);
        }
    }
    // Within half a frame of 60 Hz, however the microphones differ, and refused where there is nothing to go by.
    void soundFindsTheOffset() {
        for (double shift : {0.0, 0.7345, -1.9021})
            for (double noise : {0.002, 0.02}) {
                const auto m = matchSounds(hall(12, 0, 1, noise), hall(12, shift, 2, noise));
                QVERIFY2(m.ok(), m ? "" : m.error().text().c_str());
                QVERIFY2(std::abs(m->offset - shift) < 1 / 120.0,
                         qPrintable(QString("%1 for %2").arg(m->offset).arg(shift)));
                QVERIFY(m->quality > kClearMatch);
            }
    }
    void clocksOfTheFilmsCount() {
        auto b = hall(12, 0.5, 2, 0.002);
        b.start = 0.25; // its sound begins later than its pictures
        QVERIFY(std::abs(matchSounds(hall(12, 0, 1, 0.002), b)->offset - 0.75) < 1 / 120.0);
    }
    void unclearSoundIsRefused() {
        auto rush = [](unsigned seed) {
            Sound s;
            s.rate = 16000;
            std::mt19937 random(seed);
            std::normal_distribution<double> n(0, 0.1);
            for (int i = 0; i < 160000; ++i)
                s.samples.push_back(static_cast<float>(n(random)));
            return s;
        };
        for (unsigned seed = 0; seed < 6; ++seed)
            QVERIFY(!matchSounds(rush(seed), rush(100 + seed)));
        Sound silence;
        silence.rate = 16000;
        silence.samples.resize(160000);
        QVERIFY(matchSounds(silence, rush(1)).error().what.find("no sound") != std::string::npos);
        // A metronome fits at many places.
        Sound clicks;
        clicks.rate = 16000;
        clicks.samples.resize(160000);
        for (std::size_t t = 4000; t + 10 < clicks.samples.size(); t += 8000)
            clicks.samples[t] = 1;
        QVERIFY(!matchSounds(clicks, clicks));
    }
};
QTEST_GUILESS_MAIN(TestSync)
#include "test_sync.moc"
