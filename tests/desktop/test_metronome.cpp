#include "desktop/practice/metronome.h"
#include "desktop/practice/sounds.h"
#include "tests/support/patience.h"

#include <QCoreApplication>
#include <QTest>

#include <cmath>

using namespace riflesso;

class TestMetronome : public QObject {
    Q_OBJECT
    static constexpr double kRate = 48000.0;
    // Instants (s) at which it becomes loud.
    static std::vector<double> onsets(TempoPattern pattern, double beats, double seconds) {
        const auto sound = clicksFrom(pattern, beats, kRate, 0, std::llround(seconds * kRate));
        std::vector<double> out;
        long long quietSince = -100000;
        for (std::size_t i = 0; i < sound.size(); ++i)
            if (std::abs(sound[i]) > 0.02f) {
                if (static_cast<long long>(i) - quietSince > 3000)
                    out.push_back(static_cast<double>(i) / kRate);
                quietSince = static_cast<long long>(i);
            }
        return out;
    }
private slots:
    void everyPatternBeginsStrongAndFitsItsRound() {
        for (int i = 0; i < static_cast<int>(kTempoNames.size()); ++i) {
            const auto round = roundOf(static_cast<TempoPattern>(i));
            QVERIFY(!round.clicks.empty() && round.clicks.front().strong && round.clicks.front().at == 0.0);
            for (std::size_t k = 1; k < round.clicks.size(); ++k)
                QVERIFY(round.clicks[k].at > round.clicks[k - 1].at && round.clicks[k].at < round.beats);
        }
    }
    void clicksLieOnTheirBeats_data() {
        QTest::addColumn<int>("pattern");
        QTest::addColumn<double>("beats");
        QTest::addColumn<QList<double>>("expected"); // in beats
        QTest::newRow("even") << int(TempoPattern::even) << 60.0 << QList<double>{0, 1, 2, 3};
        QTest::newRow("even, fast") << int(TempoPattern::even) << 173.0 << QList<double>{0, 1, 2, 3, 4, 5};
        QTest::newRow("1-2-3") << int(TempoPattern::three) << 90.0 << QList<double>{0, 1, 2, 3, 4};
        QTest::newRow("long-short") << int(TempoPattern::longShort) << 80.0
                                    << QList<double>{0, 4.0 / 3, 2, 2 + 4.0 / 3, 4};
        QTest::newRow("in 2, out 1") << int(TempoPattern::twoIn) << 30.0 << QList<double>{0, 2, 3, 5};
    }
    void clicksLieOnTheirBeats() {
        QFETCH(int, pattern);
        QFETCH(double, beats);
        QFETCH(QList<double>, expected);
        const double beat = 60.0 / beats;
        const auto found = onsets(static_cast<TempoPattern>(pattern), beats, (expected.back() + 0.2) * beat);
        QCOMPARE(static_cast<qsizetype>(found.size()), expected.size());
        for (qsizetype i = 0; i < expected.size(); ++i)
            QVERIFY2(
                std::abs(found[static_cast<std::size_t>(i)] - expected[i] * beat) < 0.001,
                qPrintable(QString("%1 against %2").arg(found[static_cast<std::size_t>(i)]).arg(expected[i] * beat)));
    }
    void inPiecesAsInOne() {
        const auto whole = clicksFrom(TempoPattern::four, 97.0, kRate, 0, 200000);
        std::vector<float> pieces;
        for (long long at = 0; at < 200000; at += 1013) {
            const auto piece = clicksFrom(TempoPattern::four, 97.0, kRate, at, std::min(200000LL, at + 1013));
            pieces.insert(pieces.end(), piece.begin(), piece.end());
        }
        QVERIFY(pieces == whole);
        // After an hour it has not drifted by a sample.
        const long long hour = static_cast<long long>(3600 * kRate);
        const auto late = clicksFrom(TempoPattern::even, 60.0, kRate, hour - 10, hour + 100);
        QVERIFY(std::abs(late[9]) < 1e-3f && std::abs(late[14]) > 0.05f);
    }
    void strongOnesAreLouder() {
        const auto sound = clicksFrom(TempoPattern::three, 60.0, kRate, 0, std::llround(3 * kRate));
        const auto loudest = [&](double from) {
            float most = 0.0f;
            for (std::size_t i = 0; i < 1500; ++i)
                most = std::max(most, std::abs(sound[static_cast<std::size_t>(from * kRate) + i]));
            return most;
        };
        QVERIFY(loudest(0.0) > 1.3f * loudest(1.0));
        QVERIFY(loudest(0.0) <= 1.0f);
        QVERIFY(std::abs(loudest(1.0) - loudest(2.0)) < 0.02f);
    }
    void itRunsIsChangedAndStops() {
        Metronome m;
        int clicks = 0, strong = 0;
        connect(&m, &Metronome::clicked, this, [&](bool s) {
            ++clicks;
            strong += s;
        });
        m.start(TempoPattern::three, 300.0); // five a second
        QVERIFY(m.running());
        QTRY_VERIFY(clicks >= 7);
        QVERIFY(strong >= 2 && strong < clicks);
        m.change(-1000.0);
        QCOMPARE(m.beatsAMinute(), 10.0);
        m.change(+1.0);
        QCOMPARE(m.beatsAMinute(), 11.0);
        QVERIFY(m.running());
        m.stop();
        QVERIFY(!m.running());
        const int then = clicks;
        QTest::qWait(60);
        QCOMPARE(clicks, then);
        m.change(4.0); // at rest only the figure changes
        QVERIFY(!m.running() && m.beatsAMinute() == 15.0);
    }
    void chimesDiffer() {
        const auto crossings = [](const std::vector<float>& sound, std::size_t from, std::size_t to) {
            int n = 0;
            for (std::size_t i = from + 1; i < to; ++i)
                n += (sound[i - 1] < 0.0f) != (sound[i] < 0.0f);
            return n;
        };
        int first[3], second[3];
        for (int i = 0; i < 3; ++i) {
            const auto sound = chimeOf(static_cast<Chime>(i), kRate);
            QVERIFY(sound.front() == 0.0f && sound.back() == 0.0f); // no crack at the ends
            for (std::size_t k = 1; k < sound.size(); ++k)
                QVERIFY(std::abs(sound[k]) <= 0.4f && std::abs(sound[k] - sound[k - 1]) < 0.06f);
            first[i] = crossings(sound, 0, sound.size() / 2);
            second[i] = crossings(sound, sound.size() / 2, sound.size());
        }
        QVERIFY(second[0] > first[0] && second[1] < first[1] && std::abs(second[2] - first[2]) <= 1); // up, down, level
    }
    void withoutADeviceNothingFails() {
        Sounds sounds;
        sounds.play(Chime::start);
        sounds.say("hand first");
        QVERIFY(sounds.played() == 1 && sounds.said() == "hand first");
        sounds.say({});
        QVERIFY(sounds.said().isEmpty());
    }
};
QTEST_GUILESS_MAIN(TestMetronome)
#include "test_metronome.moc"
