#include "core/statistics/agreement.h"
#include "core/statistics/line.h"
#include "core/statistics/multiple.h"
#include "core/statistics/scatter.h"
#include "tests/support/python.h"

#include <QProcess>
#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

namespace {

// Numbers that the R script prints.
std::vector<double> fromR(const char* what, const QByteArray& input) {
    QProcess r;
    r.start("Rscript", {QString(RIFLESSO_SOURCE_DIR) + "/tests/references/tables.R", what});
    r.write(input);
    r.closeWriteChannel();
    if (!r.waitForFinished(240000) || r.exitCode() != 0) {
        qWarning() << r.readAllStandardError();
        return {};
    }
    std::vector<double> out;
    for (const auto& word : r.readAllStandardOutput().simplified().split(' '))
        out.push_back(word.toDouble());
    return out;
}

QByteArray joined(const std::vector<double>& values) {
    QByteArray out;
    for (const double v : values)
        out += (out.isEmpty() ? "" : " ") + QByteArray::number(v, 'g', 17);
    return out;
}

void near(const std::vector<double>& ours, const std::vector<double>& theirs, double within) {
    QCOMPARE(ours.size(), theirs.size());
    for (std::size_t i = 0; i < ours.size(); ++i)
        QVERIFY2(std::abs(ours[i] - theirs[i]) < within,
                 qPrintable(QString("%1: %2 against %3").arg(i).arg(ours[i]).arg(theirs[i])));
}

} // namespace

class TestInference : public QObject {
    Q_OBJECT
private slots:
    // Against R's p.adjust(method = "BH").
    void falseAlarmsAgainstR() {
        std::mt19937 random(4);
        std::uniform_real_distribution<double> any(0.0, 1.0);
        for (const int n : {1, 2, 7, 40}) {
            std::vector<double> p;
            for (int i = 0; i < n; ++i)
                p.push_back(std::pow(any(random), i % 3 + 1));
            if (n > 3)
                p[3] = p[1]; // a draw
            near(falseDiscoveryAdjusted(p), fromR("adjust", joined(p)), 1e-6);
        }
        // What is not a number is no question: the others are as without it.
        const auto with = falseDiscoveryAdjusted(std::vector{0.01, std::nan(""), 0.04});
        QVERIFY(std::abs(with[0] - 0.02) < 1e-12 && std::isnan(with[1]) && std::abs(with[2] - 0.04) < 1e-12);
    }
    // Against R's isoreg.
    void fallingAgainstR() {
        std::mt19937 random(5);
        for (int round = 0; round < 4; ++round) {
            std::vector<double> v, w;
            for (int i = 0; i < 9; ++i) {
                v.push_back(1.0 - 0.1 * i + 0.04 * static_cast<double>(random() % 10));
                w.push_back(1.0 + static_cast<double>(random() % 12));
            }
            std::vector<std::size_t> blocks;
            const auto ours = neverRising(v, w, &blocks);
            near(ours, fromR("falling", joined(v) + "\n" + joined(w)), 1e-5);
            for (std::size_t i = 0; i < v.size(); ++i)
                QCOMPARE(ours[i], ours[blocks[i]]);
        }
    }
    // Pearson's data with York's weights: slope −0.4805 and intercept 5.4799 (D. York 1966, Can. J. Phys. 44:1079-1086,
    // in York et al. 2004, table I: standard errors 0.0580 and 0.2950, χ² 11.866; errors and χ² from memory).
    void pearsonsDataWithYorksWeights() {
        const double x[] = {0.0, 0.9, 1.8, 2.6, 3.3, 4.4, 5.2, 6.1, 6.5, 7.4};
        const double y[] = {5.9, 5.4, 4.4, 4.6, 3.5, 3.7, 2.8, 2.8, 2.4, 1.5};
        const double wx[] = {1000, 1000, 500, 800, 200, 80, 60, 20, 1.8, 1.0};
        const double wy[] = {1.0, 1.8, 4.0, 8.0, 20, 20, 70, 70, 100, 500};
        std::vector<PointWithErrors> points;
        for (int i = 0; i < 10; ++i)
            points.push_back({x[i], 1.0 / std::sqrt(wx[i]), y[i], 1.0 / std::sqrt(wy[i])});
        const auto line = lineThrough(points);
        QVERIFY(line.has_value());
        near({line->slope, line->intercept}, {-0.4805, 5.4799}, 6e-5);
        near({line->uSlope, line->uIntercept}, {0.0580, 0.2950}, 5e-3);
        near({line->chi2}, {11.866}, 2e-3);
    }
    void linesThatCannotBeDrawn() {
        QVERIFY(!lineThrough(std::vector<PointWithErrors>{{0, 1, 0, 1}, {1, 1, 1, 1}}));
        QVERIFY(!lineThrough(std::vector<PointWithErrors>{{1, 1, 0, 1}, {1, 1, 1, 1}, {1, 1, 2, 1}}));
        QVERIFY(!lineThrough(std::vector<PointWithErrors>{{0, 0, 0, 0}, {1, 1, 1, 1}, {2, 1, 2, 1}}));
        QVERIFY(!lineThrough(std::vector<PointWithErrors>{{0, 1, 0, 1}, {1, 1, std::nan(""), 1}, {2, 1, 2, 1}}));
    }
    // Fieller's interval holds the true crossing 95 times in 100: by simulation of the points, with errors in both.
    void crossingsByMonteCarlo() {
        std::mt19937 random(6);
        std::normal_distribution<double> normal;
        int held = 0, bounded = 0;
        constexpr int kDraws = 2000;
        for (int draw = 0; draw < kDraws; ++draw) {
            std::vector<PointWithErrors> points;
            for (int i = 0; i < 8; ++i) {
                const double x = 70.0 + 4.0 * i;
                points.push_back({x + 0.8 * normal(random), 0.8, 20.0 - 0.5 * (x - 80.0) + 1.5 * normal(random), 1.5});
            }
            const auto line = lineThrough(points);
            const auto crossing = crossingOf(*line, 16.0); // truly at 88
            if (!crossing->interval)
                continue;
            ++bounded;
            held += crossing->interval->contains(88.0);
        }
        QVERIFY2(bounded > 0.99 * kDraws, qPrintable(QString::number(bounded)));
        const double share = static_cast<double>(held) / bounded;
        QVERIFY2(share > 0.93 && share < 0.985, qPrintable(QString::number(share)));
        // A level line never gets there: no interval.
        const auto level =
            lineThrough(std::vector<PointWithErrors>{{0, 1, 5, 1}, {1, 1, 5.1, 1}, {2, 1, 4.9, 1}, {3, 1, 5, 1}});
        const auto never = crossingOf(*level, 20.0);
        QVERIFY(!never || !never->interval);
    }
    // κ and its standard error against R's psych::cohen.kappa (W. Revelle).
    void kappaAgainstPsych() {
        std::mt19937 random(7);
        for (const int kinds : {2, 3}) {
            std::vector<std::pair<std::string, std::string>> pairs;
            QByteArray text;
            for (int i = 0; i < 60; ++i) {
                const int a = static_cast<int>(random() % kinds);
                const int b = random() % 3 ? a : static_cast<int>(random() % kinds);
                pairs.emplace_back("w" + std::to_string(a), "w" + std::to_string(b));
                text += QByteArray::fromStdString(pairs.back().first + " " + pairs.back().second + "\n");
            }
            const auto ours = agreementOf(pairs);
            QVERIFY(ours.has_value());
            near({ours->kappa, ours->u}, fromR("kappa", text), 1e-5);
            QVERIFY(ours->interval.lo < ours->kappa && ours->kappa < ours->interval.hi);
        }
        QVERIFY(!agreementOf({{"a", "a"}, {"a", "a"}}));
        QVERIFY(!agreementOf({{"a", "b"}}));
        QCOMPARE(agreementOf({{"a", "a"}, {"b", "b"}})->kappa, 1.0);
    }
    // Against NumPy's covariance and SciPy's chi-squared.
    void ellipseAgainstScipy() {
        std::mt19937 random(8);
        std::normal_distribution<double> normal;
        std::vector<Eigen::Vector2d> points;
        QJsonArray xs, ys;
        for (int i = 0; i < 25; ++i) {
            const double a = normal(random), b = 0.3 * normal(random);
            points.emplace_back(2 + a - b, 1 + 0.5 * a + b);
            xs.append(points.back().x());
            ys.append(points.back().y());
        }
        const auto reference =
            test::runReference("ellipse.py", QJsonDocument(QJsonObject{{"x", xs}, {"y", ys}}).toJson());
        const auto ours = spreadEllipse(points, 0.68);
        QVERIFY(ours.has_value());
        near({ours->major, ours->minor, ours->angle}, test::numbers(reference["ellipse"]), 1e-9);
        QVERIFY(!spreadEllipse(std::vector<Eigen::Vector2d>{{0, 0}, {1, 1}}));
    }
};

QTEST_APPLESS_MAIN(TestInference)
#include "test_inference.moc"
