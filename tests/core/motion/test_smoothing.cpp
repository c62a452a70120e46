#include "core/motion/smoothing.h"
#include "core/motion/spline.h"
#include "tests/support/python.h"

#include <QJsonArray>
#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {
// Rounding of doubles through JSON and two different orders of summing.
constexpr double kSame = 1e-9;

std::vector<double> wave(int n, double rate, double noise, unsigned seed) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0, noise);
    std::vector<double> x;
    for (int i = 0; i < n; ++i)
        x.push_back(100 + 40 * std::sin(2 * M_PI * 1.5 * i / rate) + 8 * std::sin(2 * M_PI * 4 * i / rate) +
                    normal(random));
    return x;
}
} // namespace

class TestSmoothing : public QObject {
    Q_OBJECT
private slots:
    void agreesWithSciPy_data() {
        QTest::addColumn<double>("rate");
        QTest::addColumn<double>("cutoff");
        QTest::addColumn<int>("samples");
        QTest::newRow("6 Hz at 120") << 120.0 << 6.0 << 240;
        QTest::newRow("10 Hz at 60") << 60.0 << 10.0 << 90;
        QTest::newRow("20 Hz at 50") << 50.0 << 20.0 << 64;
        QTest::newRow("4 Hz at 240") << 240.0 << 4.0 << 500;
    }
    void agreesWithSciPy() {
        QFETCH(double, rate);
        QFETCH(double, cutoff);
        QFETCH(int, samples);
        const auto x = wave(samples, rate, 1.0, 5);
        QJsonArray list;
        for (double v : x)
            list.append(v);
        const auto reference = test::runReference(
            "smoothing.py", QJsonDocument(QJsonObject{{"samples", list}, {"rate", rate}, {"cutoff", cutoff}}).toJson());
        QVERIFY2(!reference.isEmpty(), "python3-scipy must be installed");
        const Biquad pass = butterworthPass(Hertz(cutoff), Hertz(rate));
        const auto b = test::numbers(reference["b"]), a = test::numbers(reference["a"]);
        for (std::size_t i = 0; i < 3; ++i) {
            QVERIFY(std::abs(pass.b[i] - b[i]) < kSame);
            QVERIFY(std::abs(pass.a[i] - a[i]) < kSame);
        }
        const auto smooth = zeroLag(x, Hertz(cutoff), Hertz(rate));
        const auto expected = test::numbers(reference["smooth"]);
        const auto slope = derivative(smooth, Hertz(rate));
        const auto expectedSlope = test::numbers(reference["derivative"]);
        QCOMPARE(smooth.size(), expected.size());
        for (std::size_t i = 0; i < smooth.size(); ++i) {
            QVERIFY2(std::abs(smooth[i] - expected[i]) < 1e-7,
                     qPrintable(QString("sample %1: %2 against %3").arg(i).arg(smooth[i]).arg(expected[i])));
            QVERIFY(std::abs(slope[i] - expectedSlope[i]) < 1e-5);
        }
        // Winter's correction: both passes together are 3 dB down at the stated cut-off.
        QVERIFY(std::abs(reference["two_pass_gain_at_cutoff"].toDouble() - 1 / std::sqrt(2.0)) < 1e-9);
    }
    void aConstantStaysAndNothingLags() {
        const std::vector<double> flat(50, 7.5);
        for (double v : zeroLag(flat, Hertz(5), Hertz(100)))
            QVERIFY(std::abs(v - 7.5) < 1e-12);
        // A symmetric bump keeps its peak where it is.
        std::vector<double> bump;
        for (int i = 0; i < 101; ++i)
            bump.push_back(std::exp(-(i - 50) * (i - 50) / 50.0));
        const auto s = zeroLag(bump, Hertz(8), Hertz(100));
        QCOMPARE(std::max_element(s.begin(), s.end()) - s.begin(), std::ptrdiff_t(50));
    }
    void tooShortOrTooFastIsLeftAlone() {
        const std::vector<double> three = {1, 5, 2};
        QCOMPARE(zeroLag(three, Hertz(5), Hertz(100)), three);
        const auto x = wave(40, 50, 1, 2);
        QCOMPARE(zeroLag(x, Hertz(25), Hertz(50)), x);
        QVERIFY(derivative(std::vector<double>{4}, Hertz(10)) == std::vector<double>{0});
    }
    void noiseGainIsWhatNoiseDoes() {
        std::mt19937 random(11);
        std::normal_distribution<double> normal(0, 1);
        std::vector<double> noise(20000);
        for (double& v : noise)
            v = normal(random);
        const auto g = noiseGain(Hertz(8), Hertz(120));
        const auto s = zeroLag(noise, Hertz(8), Hertz(120));
        double passed = 0, left = 0;
        for (std::size_t i = 0; i < s.size(); ++i) {
            passed += s[i] * s[i];
            left += (noise[i] - s[i]) * (noise[i] - s[i]);
        }
        QVERIFY(std::abs(passed / 20000.0 / g.passed - 1) < 0.06);
        QVERIFY(std::abs(left / 20000.0 / g.residual - 1) < 0.03);
        QCOMPARE(noiseGain(Hertz(60), Hertz(120)).passed, 1.0);
    }
    void residualAnalysisFindsTheNoise() {
        // Two coordinates with 1.5 px of noise: the intercept must say so, the cut-off must pass 4 Hz and stop noise.
        const auto r = residualAnalysis({wave(480, 120, 1.5, 3), wave(480, 120, 1.5, 4)}, Hertz(120));
        QVERIFY(r);
        QVERIFY2(std::abs(r->noise - 1.5) < 0.25, qPrintable(QString::number(r->noise)));
        QVERIFY2(r->chosen.value > 4 && r->chosen.value < 16, qPrintable(QString::number(r->chosen.value)));
        QCOMPARE(r->cutoffs.size(), r->residuals.size());
        for (std::size_t i = 1; i < r->residuals.size(); ++i)
            QVERIFY(r->residuals[i] <= r->residuals[i - 1] + 1e-9); // a wider filter leaves less over
        QVERIFY(!residualAnalysis({std::vector<double>(10, 1.0)}, Hertz(100)));
    }
    void splineGoesThroughItsKnots() {
        const std::vector<double> x = {0, 0.5, 1.7, 2, 3.1}, y = {1, 4, -2, 0, 2};
        const Spline s(x, y);
        for (std::size_t i = 0; i < x.size(); ++i)
            QVERIFY(std::abs(s.at(x[i]) - y[i]) < 1e-12);
        const double h = 1e-6;
        for (double at : {0.2, 1.1, 1.9, 2.6})
            QVERIFY(std::abs(s.slopeAt(at) - (s.at(at + h) - s.at(at - h)) / (2 * h)) < 1e-5);
        // Straight data stay straight, beyond the ends too.
        const Spline line({0, 1, 3}, {2, 4, 8});
        QVERIFY(std::abs(line.at(2.2) - 6.4) < 1e-12);
        QVERIFY(std::abs(line.at(5) - 12) < 1e-12);
        QVERIFY(std::abs(line.at(-1) - 0) < 1e-12);
        QCOMPARE(Spline({}, {}).at(3), 0.0);
        QCOMPARE(Spline({1}, {9}).at(3), 9.0);
    }
};
QTEST_GUILESS_MAIN(TestSmoothing)
#include "test_smoothing.moc"
