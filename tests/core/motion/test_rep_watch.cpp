#include "core/motion/rep_watch.h"

#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestRepWatch : public QObject {
    Q_OBJECT
    static constexpr double kRest = 0.3;

private slots:
    void eachRepIsToldOnceWhenItIsOver_data() {
        QTest::addColumn<double>("rate");
        for (const double rate : {20.0, 60.0, 240.0})
            QTest::addRow("%.0f", rate) << rate;
    }
    void eachRepIsToldOnceWhenItIsOver() {
        QFETCH(double, rate);
        std::mt19937 random(11);
        std::uniform_real_distribution<double> rest(1.2, 3.0), length(0.6, 1.4);
        std::normal_distribution<double> noise(0, 0.03);
        RepWatch watch;
        double now = 0.0;
        int told = 0, reps = 0, late = 0;
        const auto feed = [&](double energy, double begin, double end) {
            if (const auto rep = watch.add(now, energy + noise(random))) {
                ++told;
                if (end > 0.0) {
                    QVERIFY(rep->begin < begin + 0.3 && rep->begin > begin - 0.5);
                    QVERIFY(rep->end > end - 0.3 && rep->end < end + 0.5);
                    late += now - end > 0.9;
                }
            }
            now += 1.0 / rate;
        };
        double begin = 0.0, end = 0.0;
        for (int i = 0; i < 40; ++i) {
            for (const double until = now + rest(random); now < until;)
                feed(kRest, begin, end);
            begin = now;
            const double l = length(random);
            for (end = begin + l; now < end;)
                feed(kRest + 0.5 + 2.0 * std::pow(std::sin((now - begin) / l * M_PI), 2), 0.0, 0.0);
            ++reps;
        }
        for (const double until = now + 2.0; now < until;)
            feed(kRest, begin, end);
        QCOMPARE(told, reps);
        QVERIFY2(late <= reps / 20, qPrintable(QString::number(late)));
    }
    void restAloneIsNoRep() {
        std::mt19937 random(3);
        std::normal_distribution<double> noise(0, 0.05);
        RepWatch watch;
        for (double now = 0.0; now < 120.0; now += 1 / 30.0)
            QVERIFY(!watch.add(now, kRest + noise(random)));
    }
    void aClockThatStandsIsPassedOver() {
        RepWatch watch;
        QVERIFY(!watch.add(1.0, 1.0) && !watch.add(1.0, 50.0) && !watch.add(0.5, 50.0));
    }
};
QTEST_GUILESS_MAIN(TestRepWatch)
#include "test_rep_watch.moc"
