#include "core/measure/question.h"

#include <QTest>

#include <cmath>
#include <numbers>
#include <random>

using namespace riflesso;

namespace {

const Answer* find(const std::vector<Answer>& answers, const char* kind) {
    for (const auto& a : answers)
        if (a.kind == kind)
            return &a;
    return nullptr;
}

std::vector<Answer> asked(const Question& q, double rate = 100.0, bool known = true) {
    std::vector<double> times;
    for (int i = 0; i < 200; ++i)
        times.push_back(i / rate);
    const auto time = Timebase::make(times, known ? std::optional(Hertz(rate)) : std::nullopt);
    auto answers = ask(q, *time);
    return answers ? *answers : std::vector<Answer>();
}

} // namespace

class TestQuestion : public QObject {
    Q_OBJECT
private slots:
    void twoPoints() {
        // 3-4-5: 300 to the right, 400 up.
        const auto a = asked({{{100, 500}, {400, 100}}, 1.5, FrameIndex(3), {}, {}, 0, nullptr});
        QVERIFY(std::abs(find(a, "length")->value - 500) < 1e-9);
        QVERIFY(std::abs(find(a, "length")->u - 1.5 * std::sqrt(2.0)) < 1e-4);
        QVERIFY(std::abs(find(a, "lean")->value - 36.8699) < 1e-4);
        QVERIFY(std::abs(find(a, "tilt")->value - 53.1301) < 1e-4);
        // A direction turns by σ√2 over its length.
        QVERIFY(std::abs(find(a, "lean")->u - 1.5 * std::sqrt(2.0) / 500 * 57.29578) < 1e-4);
        // The other way round it leans to the lower left, and its tilt is the same line's.
        const auto b = asked({{{400, 100}, {100, 500}}, 1.5, FrameIndex(3), {}, {}, 0, nullptr});
        QVERIFY(std::abs(find(b, "lean")->value + 143.1301) < 1e-4);
        QVERIFY(std::abs(find(b, "tilt")->value - 53.1301) < 1e-4);
    }
    void tooNearIsRefused() {
        const auto a = asked({{{100, 100}, {105, 100}}, 1.5, FrameIndex(3), {}, {}, 0, nullptr});
        QVERIFY(find(a, "length")->refused.empty());
        QVERIFY(find(a, "lean")->refused.find("no direction") != std::string::npos);
    }
    // The angle's error against draws of the clicks (JCGM 101:2008).
    void threePointsByMonteCarlo() {
        const Question q{{{100, 100}, {200, 160}, {320, 90}}, 2.0, FrameIndex(0), {}, {}, 0, nullptr};
        const auto a = asked(q).at(0);
        const double full = std::atan2(60, 100) + std::atan2(70, 120);
        QVERIFY(std::abs(a.value - (180 - full * 57.29578)) < 1e-3);
        std::mt19937 random(2);
        std::normal_distribution<double> click(0, 2.0);
        double sum = 0, squares = 0;
        constexpr int n = 4000;
        for (int i = 0; i < n; ++i) {
            Question moved = q;
            for (auto& p : moved.points)
                p = {p.x + click(random), p.y + click(random)};
            const double v = asked(moved).at(0).value;
            sum += v;
            squares += v * v;
        }
        const double sd = std::sqrt(squares / n - sum / n * sum / n);
        QVERIFY2(std::abs(a.u / sd - 1) < 0.05, qPrintable(QString("%1 %2").arg(a.u).arg(sd)));
    }
    void fourPoints() {
        const auto a = asked({{{0, 0}, {100, 0}, {0, 50}, {0, 0}}, 1.0, FrameIndex(0), {}, {}, 0, nullptr});
        QVERIFY(std::abs(find(a, "ratio")->value - 2) < 1e-9 && std::abs(find(a, "between")->value - 90) < 1e-9);
    }
    void twoFrames() {
        // 50 frames of 100 Hz: half a second; three cycles are 360 a minute; 200 px in it are 400 px/s.
        const Question q{{{100, 100}, {100, 200}}, 1.5, FrameIndex(10), FrameIndex(60),
                         {{300, 100}, {200, 100}}, 3,   nullptr};
        const auto a = asked(q);
        QVERIFY(std::abs(find(a, "time")->value - 0.5) < 1e-9);
        QVERIFY(std::abs(find(a, "time")->u - 0.01 * std::sqrt(2.0 / 12.0)) < 1e-9);
        QVERIFY(std::abs(find(a, "rate")->value - 360) < 1e-6);
        QVERIFY(std::abs(find(a, "way")->value - 200) < 1e-9);
        QVERIFY(std::abs(find(a, "speed")->value - 400) < 1e-6);
        // From straight down to the left: a quarter turn clockwise in the picture, from −90° to 180°.
        QVERIFY(std::abs(find(a, "turned")->value + 90) < 1e-6);
        const auto unknown = asked(q, 100.0, false);
        QVERIFY(!find(unknown, "time")->refused.empty() && !find(unknown, "speed")->refused.empty());
        QVERIFY(find(unknown, "way")->refused.empty());
    }
    // A face beside a shaft that leans differently on either frame: its edge is r sin φ off the shaft.
    void turnedAboutALine() {
        const double degree = std::numbers::pi / 180.0, reach = 60.0;
        const auto at = [&](double lean, double turned) {
            const double c = std::cos(lean * degree), s = std::sin(lean * degree),
                         off = reach * std::sin(turned * degree);
            return std::vector<Pixel>{
                {400, 400}, {400 + 200 * s, 400 - 200 * c}, {400 + 190 * s + off * c, 400 - 190 * c + off * s}};
        };
        const auto turn = [&](double turned, double sigma) {
            const auto a = asked({at(10, 90), sigma, FrameIndex(0), FrameIndex(5), at(-70, turned), 0, nullptr});
            return *find(a, "twist");
        };
        for (const double turned : {-60.0, -20.0, 0.0, 35.0, 70.0})
            QVERIFY(std::abs(turn(turned, 1.0).value - turned) < 1e-6);
        QVERIFY(!turn(90.0, 6.0).refused.empty()); // as far out as it can be, and each click errs by a tenth of that
        // Its error by draws, where the sine is nearly straight.
        std::mt19937 random(7);
        std::normal_distribution<double> normal(0.0, 1.0);
        double squares = 0.0;
        const auto first = at(10, 90), second = at(-70, 30);
        const auto moved = [&](std::vector<Pixel> p) {
            for (auto& one : p)
                one = {one.x + normal(random), one.y + normal(random)};
            return p;
        };
        for (int i = 0; i < 2000; ++i) {
            const auto a = asked({moved(first), 1.0, FrameIndex(0), FrameIndex(5), moved(second), 0, nullptr});
            squares += std::pow(find(a, "twist")->value - 30.0, 2);
        }
        const double said = turn(30.0, 1.0).u, seen = std::sqrt(squares / 2000);
        QVERIFY2(std::abs(said / seen - 1.0) < 0.08, qPrintable(QString("%1 %2").arg(said).arg(seen)));
        // The first frame does not show it; and it lies further out on the second.
        QVERIFY(!find(asked({at(10, 2), 1.0, FrameIndex(0), FrameIndex(5), at(-70, 30), 0, nullptr}), "twist")
                     ->refused.empty());
        QVERIFY(!find(asked({at(10, 30), 1.0, FrameIndex(0), FrameIndex(5), at(-70, 80), 0, nullptr}), "twist")
                     ->refused.empty());
    }
    // A rod of 1 m seen as 250 px: the scale's own error counts.
    void inMetres() {
        CalibrationInput drawn;
        drawn.lengths = {{{{100, 600}, {350, 600}}, 1.0}};
        const auto calibration = Calibration::make(drawn, 1000, 800);
        QVERIFY(calibration.ok());
        const auto a = asked({{{100, 100}, {600, 100}}, 1.5, FrameIndex(0), {}, {}, 0, &*calibration});
        QCOMPARE(find(a, "length")->unit, "m");
        QVERIFY(std::abs(find(a, "length")->value - 2) < 1e-9);
        const double click = 1.5 * std::sqrt(2.0) / 250, scale = 2 * 1.5 * std::sqrt(2.0) / 250;
        QVERIFY(std::abs(find(a, "length")->u / std::hypot(click, scale) - 1) < 0.05);
    }
    void whatCannotBeAsked() {
        const auto time = Timebase::constant(10, Hertz(50));
        QVERIFY(!ask({{{0, 0}, {1, 0}, {2, 0}, {3, 0}, {4, 0}}, 1.5, FrameIndex(0), {}, {}, 0, nullptr}, time));
        QVERIFY(!ask({{{0, 0}, {1, 0}}, 1.5, FrameIndex(0), FrameIndex(2), {{0, 0}}, 0, nullptr}, time));
        QVERIFY(!ask({{{std::nan(""), 0}, {1, 0}}, 1.5, FrameIndex(0), {}, {}, 0, nullptr}, time));
        QVERIFY(ask({{{5, 5}}, 1.5, FrameIndex(0), {}, {}, 0, nullptr}, time)->empty());
    }
};

QTEST_APPLESS_MAIN(TestQuestion)
#include "test_question.moc"
