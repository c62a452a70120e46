// Real human movement: the motion file 01_01.bvh of Debian's assimp-testmodels, against an independent computation with
// NumPy and SciPy (tests/references/bvh.py).

#include "core/measure/evaluate.h"
#include "library/measure_json.h"
#include "library/tracks_csv.h"
#include "tests/support/python.h"

#include <QFile>
#include <QTest>

#include <cmath>

using namespace riflesso;

class TestMotionFile : public QObject {
    Q_OBJECT
    QJsonObject m_reference;
    TracksFile m_tracks;
    Timebase m_time;
    static constexpr double kCutoff = 6.0;

    std::vector<SeriesSample> run(const char* measure, const Cutoff& cutoff) const {
        MotionOptions o;
        o.cutoff = cutoff;
        ViewSetup setup; // forward to the right of the picture
        return series(*measureFromJson(measure), toMotion(m_tracks.tracks, m_time, o), setup);
    }
private slots:
    void initTestCase() {
        const QString file = "/usr/share/assimp/models/BVH/01_01.bvh";
        QVERIFY2(QFile::exists(file), "package assimp-testmodels");
        m_reference = test::runReference("bvh.py", {}, {file, QString::number(kCutoff)});
        QVERIFY(!m_reference.isEmpty());
        const auto tracks = tracksFromCsv(m_reference["csv"].toString().toStdString(), "01_01.csv");
        QVERIFY2(tracks.ok(), tracks ? "" : tracks.error().text().c_str());
        m_tracks = *tracks;
        m_time = *Timebase::make(m_tracks.times, std::nullopt);
        QVERIFY(m_time.frames() >= 300);
    }
    void kneeAngleUnsmoothed() {
        const auto s = run(R"({"kind":"angle","points":["left_hip","left_knee","left_ankle"]})", CutoffNone{});
        const auto expected = test::numbers(m_reference["knee_raw"]);
        QCOMPARE(s.size(), expected.size());
        double least = 999, most = 0;
        for (std::size_t i = 0; i < s.size(); ++i) {
            // arccos loses half the digits near a straight knee; hence 1e-4 and not rounding.
            QVERIFY(std::abs(s[i].value - expected[i]) < 1e-4);
            least = std::min(least, s[i].value);
            most = std::max(most, s[i].value);
        }
        QVERIFY(most - least > 40); // a knee that really works
    }
    void kneeAngleSmoothedAndItsRate() {
        const auto s = run(R"({"kind":"angle","points":["left_hip","left_knee","left_ankle"]})", Hertz(kCutoff));
        const auto expected = test::numbers(m_reference["knee"]), rate = test::numbers(m_reference["rate"]);
        QCOMPARE(s.size(), expected.size());
        for (std::size_t i = 0; i < s.size(); ++i) {
            QVERIFY2(std::abs(s[i].value - expected[i]) < 1e-3,
                     qPrintable(QString("%1: %2 against %3").arg(i).arg(s[i].value).arg(expected[i])));
            QVERIFY2(std::abs(s[i].rate - rate[i]) < 0.2,
                     qPrintable(QString("%1: %2 against %3").arg(i).arg(s[i].rate).arg(rate[i])));
        }
    }
    void shankLean() {
        const auto s =
            run(R"({"kind":"lean","points":["left_ankle","left_knee"],"direction":"forward"})", Hertz(kCutoff));
        const auto expected = test::numbers(m_reference["shank_lean"]);
        QCOMPARE(s.size(), expected.size());
        for (std::size_t i = 0; i < s.size(); ++i)
            QVERIFY(std::abs(s[i].value - expected[i]) < 1e-3);
    }
};
QTEST_GUILESS_MAIN(TestMotionFile)
#include "test_motion_file.moc"
