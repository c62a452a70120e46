#include "core/motion/motion.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {
Pixel path(double t) {
    return {400 + 150 * std::sin(2 * M_PI * 1.2 * t), 300 + 60 * std::cos(2 * M_PI * 2.0 * t)};
}

TrackSet noisy(int frames, double rate, double sigma, unsigned seed) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0, sigma);
    TrackSet out;
    for (int i = 0; i < frames; ++i) {
        const Pixel p = path(i / rate);
        out["left_knee"][FrameIndex(i)] = {{p.x + normal(random), p.y + normal(random)}, sigma, How::hand};
    }
    return out;
}
} // namespace

class TestMotion : public QObject {
    Q_OBJECT
private slots:
    void smoothingHelpsAndKnowsByHowMuch() {
        // Over many draws the true error of a frame must match the stated σ: 68 and 95 %.
        const auto time = Timebase::constant(150, Hertz(120));
        int one = 0, two = 0, all = 0;
        double square = 0;
        for (unsigned draw = 0; draw < 60; ++draw) {
            const Motion m = toMotion(noisy(150, 120, 1.5, draw + 1), time);
            for (int f = 20; f < 130; f += 7) {
                const auto s = m.at("left_knee", FrameIndex(f));
                QVERIFY(s);
                const Pixel truth = path(f / 120.0);
                for (double e : {s->at.x - truth.x, s->at.y - truth.y}) {
                    one += std::abs(e) <= s->sigma;
                    two += std::abs(e) <= 2 * s->sigma;
                    square += e * e;
                    ++all;
                }
            }
        }
        QVERIFY(std::sqrt(square / all) < 0.8); // against 1.5 before
        const double p1 = double(one) / all, p2 = double(two) / all;
        QVERIFY2(p1 > 0.62 && p1 < 0.78, qPrintable(QString::number(p1)));
        QVERIFY2(p2 > 0.92, qPrintable(QString::number(p2)));
    }
    void fewMarksAreUsedAsMarked() {
        TrackSet sparse;
        for (int f : {10, 25, 40})
            sparse["head"][FrameIndex(f)] = {{100.0 + f, 50}, 2.0, How::hand};
        const Motion m = toMotion(sparse, Timebase::constant(60, Hertz(120)));
        QCOMPARE(m.at("head", FrameIndex(25))->at, (Pixel{125, 50}));
        QCOMPARE(m.at("head", FrameIndex(25))->sigma, 2.0);
        QVERIFY(!m.at("head", FrameIndex(26)));
        QVERIFY(!m.at("neck", FrameIndex(25)));
        QVERIFY(m.tracks().at("head").cutoffs.empty());
    }
    void shortGapsAreFilledLongOnesStay() {
        auto tracks = noisy(200, 120, 0.5, 3);
        auto& t = tracks["left_knee"];
        for (int f = 50; f < 56; ++f)
            t.erase(FrameIndex(f)); // 58 ms
        for (int f = 120; f < 150; ++f)
            t.erase(FrameIndex(f)); // 258 ms
        const Motion m = toMotion(tracks, Timebase::constant(200, Hertz(120)));
        const auto filled = m.at("left_knee", FrameIndex(53));
        QVERIFY(filled && !filled->seen);
        QVERIFY(filled->sigma >= 0.5); // a filled place is never surer than a mark
        const Pixel truth = path(53 / 120.0);
        QVERIFY(std::hypot(filled->at.x - truth.x, filled->at.y - truth.y) < 2.0);
        QVERIFY(!m.at("left_knee", FrameIndex(135)));
        QVERIFY(m.at("left_knee", FrameIndex(30))->seen);
        QCOMPARE(m.tracks().at("left_knee").cutoffs.size(), std::size_t(2));
    }
    void noSmoothingWhenNotWanted() {
        const auto tracks = noisy(60, 60, 1, 8);
        MotionOptions o;
        o.cutoff = CutoffNone{};
        const Motion m = toMotion(tracks, Timebase::constant(60, Hertz(60)), o);
        QCOMPARE(m.at("left_knee", FrameIndex(31))->at, tracks.at("left_knee").at(FrameIndex(31)).at);
        o.cutoff = Hertz(6);
        const Motion smooth = toMotion(tracks, Timebase::constant(60, Hertz(60)), o);
        QVERIFY(smooth.at("left_knee", FrameIndex(31))->at.x != m.at("left_knee", FrameIndex(31))->at.x);
        QCOMPARE(smooth.tracks().at("left_knee").cutoffs.front().value, 6.0);
    }
    void variableRateFollowsTheTimesNotTheNumbers() {
        // The same movement on uneven times: smoothing must not bend it.
        std::vector<double> times;
        double t = 0;
        for (int i = 0; i < 120; ++i) {
            times.push_back(t);
            t += i % 5 == 0 ? 0.014 : 0.008;
        }
        TrackSet tracks;
        for (int i = 0; i < 120; ++i)
            tracks["head"][FrameIndex(i)] = {path(times[static_cast<std::size_t>(i)]), 0.01, How::hand};
        MotionOptions o;
        o.cutoff = Hertz(15);
        const Motion m = toMotion(tracks, *Timebase::make(times, std::nullopt), o);
        for (int i = 15; i < 105; ++i) {
            const Pixel truth = path(times[static_cast<std::size_t>(i)]);
            const auto s = m.at("head", FrameIndex(i));
            QVERIFY(std::hypot(s->at.x - truth.x, s->at.y - truth.y) < 0.5);
        }
    }
    void whatTheFilterCutsOffShowsInSigma() {
        // A jerk much faster than the filter: σ must grow there and nowhere else.
        TrackSet tracks;
        std::mt19937 random(4);
        std::normal_distribution<double> normal(0, 0.5);
        for (int i = 0; i < 200; ++i)
            tracks["head"][FrameIndex(i)] = {
                {100.0 + (i >= 100 ? 60 : 0) + normal(random), 100 + normal(random)}, 0.5, How::hand};
        MotionOptions o;
        o.cutoff = Hertz(5);
        const Motion m = toMotion(tracks, Timebase::constant(200, Hertz(120)), o);
        QVERIFY(m.at("head", FrameIndex(100))->sigma > 5 * m.at("head", FrameIndex(40))->sigma);
        QVERIFY(m.at("head", FrameIndex(40))->sigma < 0.5);
    }
    void marksOutsideTheFilmAreLeftOut() {
        TrackSet tracks;
        tracks["head"][FrameIndex(-2)] = {};
        tracks["head"][FrameIndex(5)] = {};
        tracks["head"][FrameIndex(500)] = {};
        const Motion m = toMotion(tracks, Timebase::constant(10, Hertz(30)));
        QCOMPARE(m.tracks().at("head").samples.size(), std::size_t(1));
    }
};
QTEST_GUILESS_MAIN(TestMotion)
#include "test_motion.moc"
