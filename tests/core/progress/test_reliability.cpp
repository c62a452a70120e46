#include "core/progress/reliability.h"

#include <QProcess>
#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestReliability : public QObject {
    Q_OBJECT
    static std::vector<std::vector<double>> table(unsigned seed, int subjects, int raters, double spread,
                                                  double error) {
        std::mt19937 random(seed);
        std::normal_distribution<double> n(0.0, 1.0);
        std::vector<std::vector<double>> out;
        for (int i = 0; i < subjects; ++i) {
            const double truth = 100.0 + spread * n(random);
            out.emplace_back();
            for (int j = 0; j < raters; ++j)
                out.back().push_back(truth + 0.5 * j + error * n(random));
        }
        return out;
    }
private slots:
    // P. E. Shrout & J. L. Fleiss 1979, Psychol. Bull. 86:420-428, table 2 and p. 423: six targets, four judges.
    void shroutAndFleiss() {
        const auto r =
            reliabilityOf({{9, 2, 5, 8}, {6, 1, 3, 2}, {8, 4, 6, 8}, {7, 1, 2, 6}, {10, 5, 6, 9}, {6, 2, 4, 7}});
        QVERIFY(r.ok());
        QVERIFY(std::abs(r->icc21.value - 0.29) < 0.005);
        QVERIFY(std::abs(r->icc31.value - 0.71) < 0.005);
        // Their error mean square is 1.02.
        QVERIFY(std::abs(r->sem * r->sem - 1.02) < 0.005);
        QVERIFY(std::abs(r->mdc95 - 1.96 * std::sqrt(2.0) * r->sem) < 1e-12);
        QCOMPARE(r->subjects, 6);
        QCOMPARE(r->raters, 4);
    }
    // Values and intervals against the R package psych (W. Revelle), which the build installs.
    void againstPsych() {
        for (const auto& t :
             {table(1, 10, 2, 12.0, 2.0), table(2, 8, 3, 3.0, 2.0), table(3, 25, 2, 1.0, 4.0),
              std::vector<std::vector<double>>{
                  {9, 2, 5, 8}, {6, 1, 3, 2}, {8, 4, 6, 8}, {7, 1, 2, 6}, {10, 5, 6, 9}, {6, 2, 4, 7}}}) {
            QProcess r;
            r.start("Rscript", {QString(RIFLESSO_SOURCE_DIR) + "/tests/references/icc.R"});
            QByteArray text;
            for (const auto& row : t) {
                for (double v : row)
                    text += QByteArray::number(v, 'g', 17) + " ";
                text += "\n";
            }
            r.write(text);
            r.closeWriteChannel();
            QVERIFY2(r.waitForFinished(240000) && r.exitCode() == 0, r.readAllStandardError());
            const auto lines = r.readAllStandardOutput().trimmed().split('\n');
            QCOMPARE(lines.size(), 2);
            const auto ours = reliabilityOf(t);
            QVERIFY(ours.ok());
            for (const auto& [line, icc] : {std::pair{lines[0], ours->icc21}, {lines[1], ours->icc31}}) {
                const auto v = line.simplified().split(' ');
                QVERIFY2(std::abs(v[0].toDouble() - icc.value) < 2e-5, line);
                QVERIFY2(std::abs(v[1].toDouble() - icc.interval.lo) < 2e-5, line);
                QVERIFY2(std::abs(v[2].toDouble() - icc.interval.hi) < 2e-5, line);
            }
        }
    }
    void whatCannotBeComputedIsSaid() {
        QVERIFY(!reliabilityOf({{1, 2}}));
        QVERIFY(!reliabilityOf({{1}, {2}, {3}}));
        QVERIFY(!reliabilityOf({{1, 2}, {3}}));
        QVERIFY(!reliabilityOf({{1, 1}, {1, 1}, {1, 1}}));
        const auto perfect = reliabilityOf({{1, 1}, {2, 2}, {5, 5}});
        QVERIFY(perfect && perfect->icc21.value > 0.999999 && perfect->sem < 1e-9);
    }
    void fisherAgainstTables() {
        // Upper 5 % points of F as printed in any handbook: F(2, 10) = 4.10, F(5, 20) = 2.71, F(1, 1) = 161.4
        QVERIFY(std::abs(fisherQuantile(0.95, 2, 10) - 4.10) < 0.005);
        QVERIFY(std::abs(fisherQuantile(0.95, 5, 20) - 2.71) < 0.005);
        QVERIFY(std::abs(fisherQuantile(0.95, 1, 1) - 161.4) < 0.1);
        // Chi-squared tables, as printed in any statistics handbook.
        QVERIFY(std::abs(chiSquareQuantile(0.95, 9) - 16.919) < 0.001);
        QVERIFY(std::abs(chiSquareQuantile(0.5, 9) - 8.343) < 0.001 && std::isnan(chiSquareQuantile(0.5, 0)));
        QVERIFY(std::isnan(fisherQuantile(1.0, 2, 2)) && std::isnan(fisherQuantile(0.5, 0, 2)));
    }
    void limitsOfAgreementByHand() {
        const std::vector<double> a = {10, 20, 30, 40}, b = {11, 19, 33, 41};
        const auto r = blandAltman(a, b);
        QVERIFY(r.ok());
        // Differences 1, −1, 3, 1: mean 1, SD √(8/3).
        QCOMPARE(r->bias, 1.0);
        QVERIFY(std::abs(r->sd - std::sqrt(8.0 / 3.0)) < 1e-12);
        QVERIFY(std::abs(r->limits.hi - (1 + 1.96 * std::sqrt(8.0 / 3.0))) < 1e-12);
        QVERIFY(std::abs(r->limits.lo - (1 - 1.96 * std::sqrt(8.0 / 3.0))) < 1e-12);
        // t(0.975, 3) = 3.182: interval of the mean ± 3.182 SD/√4, of a limit ± 3.182 SD √(3/4).
        QVERIFY(std::abs(r->biasInterval.halfWidth() - 3.182 * r->sd / 2) < 1e-3);
        QVERIFY(std::abs(r->limitsHalfWidth - 3.182 * r->sd * std::sqrt(0.75)) < 1e-3);
        QCOMPARE(r->points[2].mean, 31.5);
        QCOMPARE(r->points[2].difference, 3.0);
        QVERIFY(!blandAltman(a, std::vector<double>{1, 2, 3}));
        QVERIFY(!blandAltman(std::vector<double>{1, 2}, std::vector<double>{1, 2}));
    }
    void errorOfMarks() {
        // Each of two markings with 1.2 px on each coordinate: 4,000 marks give it back within 3 %.
        std::mt19937 random(7);
        std::normal_distribution<double> e(0.0, 1.2);
        TrackSet a, b;
        for (int f = 0; f < 2000; ++f)
            for (const char* n : {"head", "neck"}) {
                a[n][FrameIndex(f)] = {{100 + e(random), 50 + e(random)}, 1.5, How::hand};
                b[n][FrameIndex(f)] = {{100 + e(random), 50 + e(random)}, 1.5, How::hand};
            }
        b["neck"][FrameIndex(5)].how = How::tracked; // no hand made it: it does not count
        b["left_knee"][FrameIndex(5)] = {{1, 1}, 1.5, How::hand};
        const auto errors = markErrors(a, b);
        QCOMPARE(errors.size(), std::size_t(3));
        QCOMPARE(errors.at("neck").n, 1999);
        QCOMPARE(errors.at("").n, 3999);
        QVERIFY(std::abs(errors.at("").sigma - 1.2) < 0.04);
        QVERIFY(std::abs(errors.at("head").dx) < 0.1);
    }
};
QTEST_APPLESS_MAIN(TestReliability)
#include "test_reliability.moc"
