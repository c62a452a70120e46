#include "core/motion/epipolar.h"
#include "core/motion/rep_finder.h"
#include "footage/camera.h"
#include "footage/movement.h"
#include "footage/sound.h"
#include "simulator/live_camera.h"
#include "simulator/microphone.h"
#include "tests/support/coded_films.h"
#include "tests/support/patience.h"

#include <Eigen/LU>

#include <opencv2/calib3d.hpp>

#include <Eigen/Geometry>
#include <QTemporaryDir>

#include <QTest>

#include <atomic>
#include <random>

using namespace riflesso;

namespace {

// A hall that does not repeat itself, larger than the picture, and a ball before it.
struct Scene {
    int width = 1000, height = 600;
    std::vector<std::uint8_t> wall;
    Scene() : wall(static_cast<std::size_t>(1000 * 600)) {
        std::mt19937 random(4);
        for (int k = 0; k < 900; ++k) {
            const int x0 = static_cast<int>(random() % 980), y0 = static_cast<int>(random() % 580);
            const int w = 6 + static_cast<int>(random() % 50), h = 6 + static_cast<int>(random() % 40);
            const auto grey = static_cast<std::uint8_t>(40 + random() % 170);
            for (int y = y0; y < std::min(600, y0 + h); ++y)
                for (int x = x0; x < std::min(1000, x0 + w); ++x)
                    wall[static_cast<std::size_t>(y * 1000 + x)] = grey;
        }
    }
    // The camera looks at (ox, oy); the ball is where it is said.
    [[nodiscard]] Picture see(int ox, int oy, int ballX, int ballY) const {
        Picture p(480, 272);
        for (int y = 0; y < 272; ++y)
            for (int x = 0; x < 480; ++x) {
                const bool ball = (x + ox - ballX) * (x + ox - ballX) + (y + oy - ballY) * (y + oy - ballY) < 55 * 55;
                const std::uint32_t g = ball ? ((x / 7 + y / 7) % 2 ? 230u : 60u)
                                             : wall[static_cast<std::size_t>((y + oy) * 1000 + x + ox)];
                p.pixels[static_cast<std::size_t>(y * 480 + x)] = 0xff000000u | g << 16 | g << 8 | g;
            }
        return p;
    }
};

} // namespace

class TestMovement : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::string path(const char* name) const { return m_dir.filePath(name).toStdString(); }
    static FilmWriterOptions options(int w, int h) {
        FilmWriterOptions o;
        o.width = w;
        o.height = h;
        o.quality = 18;
        return o;
    }
private slots:
    // A panning camera: where each frame's picture lies in the first one's, while a ball goes its own way.
    void followsThePanNotTheBall() {
        const Scene scene;
        auto w = FilmWriter::create(path("pan.mp4"), options(480, 272));
        std::vector<std::pair<int, int>> at;
        for (int i = 0; i < 50; ++i) {
            at.emplace_back(40 + 5 * i, 60 + static_cast<int>(20 * std::sin(i * 0.2)));
            QVERIFY((*w)->add(scene.see(at.back().first, at.back().second, 150 + 9 * i, 200)).ok());
        }
        QVERIFY((*w)->finish().ok());
        const auto camera = cameraPathOf(path("pan.mp4"), {});
        QVERIFY2(camera.ok(), camera ? "" : camera.error().text().c_str());
        QCOMPARE(camera->size(), std::size_t(50));
        for (std::size_t i = 0; i < 50; ++i) {
            const Eigen::Vector3d v = (*camera)[i] * Eigen::Vector3d(240, 136, 1);
            const double x = 240 + at[i].first - at[0].first, y = 136 + at[i].second - at[0].second;
            QVERIFY2(
                std::hypot(v.x() / v.z() - x, v.y() / v.z() - y) < 2.5,
                qPrintable(
                    QString("frame %1: %2, %3 for %4, %5").arg(i).arg(v.x() / v.z()).arg(v.y() / v.z()).arg(x).arg(y)));
        }
        QVERIFY(motionOf(*camera, 480, 272).shift > 200);
        // A still camera stands still, though the ball rolls by.
        auto s = FilmWriter::create(path("still.mp4"), options(480, 272));
        for (int i = 0; i < 40; ++i)
            QVERIFY((*s)->add(scene.see(200, 100, 210 + 10 * i, 230)).ok());
        QVERIFY((*s)->finish().ok());
        const auto still = cameraPathOf(path("still.mp4"), {});
        QVERIFY2(still.ok() && motionOf(*still, 480, 272).shift < 1.0, "the ball was taken for the hall");
        const auto stopped = cameraPathOf(path("still.mp4"), {}, [](double) { return false; });
        QVERIFY(!stopped && stopped.error().what.find("cancelled") != std::string::npos);
    }
    void repsByWhatMoves() {
        const Scene scene;
        auto w = FilmWriter::create(path("reps.mp4"), options(480, 272));
        std::mt19937 random(1);
        std::vector<int> starts;
        int x = 250;
        for (int i = 0; i < 300; ++i) {
            const bool moving = i % 75 >= 30 && i % 75 < 55;
            if (i % 75 == 30)
                starts.push_back(i);
            x += moving ? ((i / 75) % 2 ? -6 : 6) : 0;
            Picture p = scene.see(100, 100, x, 230);
            for (auto& c : p.pixels) { // the sensor's noise
                const std::uint32_t g = std::clamp<std::uint32_t>((c & 0xff) + random() % 5, 0u, 255u);
                c = 0xff000000u | g << 16 | g << 8 | g;
            }
            QVERIFY((*w)->add(p).ok());
        }
        QVERIFY((*w)->finish().ok());
        const auto energy = motionEnergy(path("reps.mp4"), {});
        QVERIFY(energy.ok() && energy->size() == 300);
        const auto film = Film::open(path("reps.mp4"));
        const auto reps = repsFromMotion(*energy, (*film)->times());
        QCOMPARE(reps.size(), starts.size());
        for (std::size_t i = 0; i < reps.size(); ++i)
            QVERIFY2(
                std::abs(reps[i].first.value - starts[i]) <= 8 &&
                    std::abs(reps[i].last.value - starts[i] - 25) <= 14, // the encoder goes on refining
                qPrintable(QString("%1 to %2 for %3").arg(reps[i].first.value).arg(reps[i].last.value).arg(starts[i])));
    }
    void soundIsReadOnThePicturesClock() {
        SimulatedMicrophone m;
        m.rate = 44100;
        const std::vector<double> hits{0.5, 1.7, 2.9};
        FilmWriterOptions o = options(320, 192);
        o.soundRate = 44100;
        auto w = FilmWriter::create(path("heard.mp4"), o);
        QVERIFY((*w)->addSound(hear(m, hits, 0, 4).samples).ok());
        for (int i = 0; i < 120; ++i)
            QVERIFY((*w)->add(coded(i)).ok());
        QVERIFY((*w)->finish().ok());
        const auto film = Film::open(path("heard.mp4"));
        QVERIFY((*film)->info().sound && (*film)->info().frames == 120);
        const auto sound = soundOf(path("heard.mp4"));
        QVERIFY2(sound.ok(), sound ? "" : sound.error().text().c_str());
        const auto heard = strikes(*sound);
        QCOMPARE(heard.size(), hits.size());
        for (std::size_t i = 0; i < hits.size(); ++i)
            QVERIFY2(std::abs(heard[i] - hits[i]) < 0.005, qPrintable(QString::number(heard[i])));
        QVERIFY(!soundOf(makeCoded(m_dir.filePath("silent.mp4"), 5).toStdString()));
    }
    // Against OpenCV: homographies of many random quadrilaterals, exact and with noise and more points.
    void homographyAgainstOpenCv() {
        std::mt19937 random(12);
        std::uniform_real_distribution<double> shake(-60, 60), noise(-1, 1);
        for (int trial = 0; trial < 200; ++trial) {
            std::vector<KnownPoint> points;
            std::vector<cv::Point2d> from, to;
            const int n = trial % 2 ? 4 : 9;
            Eigen::Matrix3d truth;
            truth << 1 + shake(random) / 300, shake(random) / 400, 100 + shake(random), shake(random) / 400,
                1 + shake(random) / 300, 80 + shake(random), shake(random) * 1e-5, shake(random) * 1e-5, 1;
            for (int i = 0; i < n; ++i) {
                const double x = n == 4 ? (i == 1 || i == 2) * 300.0 : (i % 3) * 150.0,
                             y = n == 4 ? (i / 2) * 200.0 : (i / 3) * 100.0;
                const Eigen::Vector3d v = truth * Eigen::Vector3d(x, y, 1);
                const Pixel at{v.x() / v.z() + (n == 9 ? noise(random) : 0),
                               v.y() / v.z() + (n == 9 ? noise(random) : 0)};
                points.push_back({at, x / 100, y / 100});
                from.emplace_back(x / 100, y / 100);
                to.emplace_back(at.x, at.y);
            }
            const auto ours = homographyOf(points);
            QVERIFY2(ours.ok(), ours ? "" : ours.error().text().c_str());
            const cv::Mat theirs = cv::findHomography(from, to); // plane to picture, as ours is fitted
            Eigen::Matrix3d h;
            for (int i = 0; i < 9; ++i)
                h(i / 3, i % 3) = theirs.at<double>(i / 3, i % 3);
            for (const auto& p : points) {
                const Eigen::Vector3d a = h * Eigen::Vector3d(p.x, p.y, 1);
                const Eigen::Vector3d b = ours->inverse() * Eigen::Vector3d(p.x, p.y, 1);
                const double apart = std::hypot(a.x() / a.z() - b.x() / b.z(), a.y() / a.z() - b.y() / b.z());
                QVERIFY2(apart < (n == 4 ? 1e-4 : 2e-3), qPrintable(QString("%1 points: %2 px").arg(n).arg(apart)));
            }
        }
    }
    // Eight-point matrices of two cameras against OpenCV's (FM_8POINT: the same normalised algorithm, its own code).
    void twoViewsAgreeWithOpenCv() {
        std::mt19937 random(5);
        std::uniform_real_distribution<double> u(-1, 1);
        std::normal_distribution<double> e(0.0, 0.7);
        for (int trial = 0; trial < 50; ++trial) {
            const Eigen::Matrix3d turn = Eigen::AngleAxisd(0.9 + 0.3 * u(random), Eigen::Vector3d::UnitY()).matrix();
            const Eigen::Vector3d shift(4.0 + u(random), u(random), 2.0);
            std::vector<ViewPair> pairs;
            std::vector<cv::Point2d> a, b;
            for (int i = 0; i < 30; ++i) {
                const Eigen::Vector3d w(1.5 * u(random), 1.2 * u(random), 5 + u(random)), v = turn * w + shift;
                const auto shoot = [&](const Eigen::Vector3d& p) {
                    return Pixel{640 + 900 * p.x() / p.z() + e(random), 360 + 900 * p.y() / p.z() + e(random)};
                };
                pairs.push_back({shoot(w), shoot(v)});
                a.emplace_back(pairs.back().a.x, pairs.back().a.y);
                b.emplace_back(pairs.back().b.x, pairs.back().b.y);
            }
            const auto ours = fundamentalOf(pairs);
            QVERIFY(ours.ok());
            const cv::Mat theirs = cv::findFundamentalMat(a, b, cv::FM_8POINT);
            Eigen::Matrix3d f;
            for (int i = 0; i < 9; ++i)
                f(i / 3, i % 3) = theirs.at<double>(i / 3, i % 3);
            for (const auto& p : pairs) {
                const double apart = std::abs(epipolarDistance(*ours, p.a, p.b) - epipolarDistance(f, p.a, p.b));
                QVERIFY2(apart < 1e-3, qPrintable(QString("%1 px").arg(apart)));
            }
        }
    }
    void theCameraShowsRemembersAndRecords() {
        LiveCameraOptions o;
        o.width = 160;
        o.paced = false;
        o.stopsAfter = 4.0;
        std::atomic<int> pictures{0};
        std::string why;
        std::atomic<bool> failed{false};
        LiveView::Callbacks back;
        back.picture = [&] { ++pictures; };
        back.failed = [&](const std::string& w) {
            why = w;
            failed = true;
        };
        LiveView live(simulatedCamera(o), back, 40 * 160 * 90 * 4);
        live.record(path("live.mp4"));
        QTRY_VERIFY(failed); // unplugged
        QVERIFY(why.find("no more pictures") != std::string::npos);
        QVERIFY(pictures >= 70);
        QVERIFY(live.newest() && live.ago(1.0) && live.ago(1.0) != live.newest());
        QVERIFY(!live.ago(3.5));                           // the memory is bounded
        QVERIFY(live.reach() > 1.5 && live.reach() < 2.1); // 40 pictures at 20 a second
        QVERIFY(live.stopRecording().ok());
        const auto film = Film::open(path("live.mp4"));
        QVERIFY(film.ok() && (*film)->info().frames >= 60);
        QVERIFY(std::abs((*film)->info().fileRate.value - 20) < 0.1);
    }
    void absentCamerasAreSaid() {
        const auto s = deviceCamera("/dev/video-none")->start();
        QVERIFY(!s && s.error().what.find("not there") != std::string::npos);
        // FFmpeg's own test source stands for a camera here: the same door, another device behind it.
        auto camera = deviceCamera("testsrc=size=64x48:rate=25", "lavfi");
        if (const auto started = camera->start(); started) {
            QVERIFY(camera->rate().value == 25);
            const auto first = camera->next(), second = camera->next();
            QVERIFY(first && second && second->time > first->time && second->picture->width == 64);
        } else {
            QFAIL(started.error().text().c_str());
        }
    }
};
QTEST_GUILESS_MAIN(TestMovement)
#include "test_movement.moc"
