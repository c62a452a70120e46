#include "simulator/film_maker.h"

#include "footage/film.h"

#include <opencv2/imgproc.hpp>
#include <opencv2/video/tracking.hpp>

#include <QFile>
#include <QJsonDocument>
#include <QJsonObject>
#include <QTemporaryDir>
#include <QTest>

#include <cmath>

using namespace riflesso;

namespace {
FilmRecipe tiny() {
    FilmRecipe r;
    r.name = "tiny";
    r.camera.width = 320; // a quarter of the picture: quick, and the same code
    r.camera.height = 180;
    r.camera.focal = 480;
    r.camera.captureRate = 30;
    r.storedRate = 15;
    return r;
}
cv::Mat grey(const Picture& p) {
    const cv::Mat colour(p.height, p.width, CV_8UC4, const_cast<std::uint32_t*>(p.pixels.data()));
    cv::Mat out;
    cv::cvtColor(colour, out, cv::COLOR_BGRA2GRAY);
    return out;
}
} // namespace

class TestFilmMaker : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
private slots:
    void filmsAndSideFiles() {
        int calls = 0;
        const auto film = makeFilm(tiny(), m_dir.path().toStdString(), [&](int, int) { return ++calls > 0; });
        QVERIFY2(film.ok(), film ? "" : film.error().text().c_str());
        QVERIFY(!film->fromCache);
        const auto opened = Film::open(film->film);
        QVERIFY(opened.ok());
        QCOMPARE((*opened)->info().frames, calls);
        QVERIFY(std::abs((*opened)->info().fileRate.value - 15) < 1e-3);
        QFile truth(QString::fromStdString(film->truth.string()));
        QVERIFY(truth.open(QIODevice::ReadOnly));
        const auto j = QJsonDocument::fromJson(truth.readAll()).object();
        QCOMPARE(j["frames"].toInt(), calls);
        QCOMPARE(j["landmarks"].toObject().size(), 21);
        QVERIFY(QFile::exists(QString::fromStdString(film->marks.string())));
        // Once made, never made again; another recipe is another film.
        const auto again = makeFilm(tiny(), m_dir.path().toStdString());
        QVERIFY(again.ok() && again->fromCache && again->film == film->film);
        auto other = tiny();
        other.seed = 2;
        other.faults.tipDrops = 5;
        QVERIFY(makeFilm(other, m_dir.path().toStdString())->film != film->film);
    }
    void cancelLeavesNoFilm() {
        auto r = tiny();
        r.seed = 99;
        const auto film = makeFilm(r, m_dir.path().toStdString(), [](int done, int) { return done < 5; });
        QVERIFY(!film);
        QVERIFY(film.error().what.find("cancelled") != std::string::npos);
        QVERIFY(!makeFilm(r, "/proc/nowhere"));
        for (const auto& entry : std::filesystem::directory_iterator(m_dir.path().toStdString()))
            QVERIFY(entry.path().extension() != ".part");
    }
    void opticalFlowCanFollowTheClothes() {
        // The reference tracker (OpenCV, pyramidal Lucas-Kanade) must be able to follow cloth that turns with its limb:
        // over 12 frames of the quickest part of the lunge a point on the front thigh, which travels some 90 px, stays
        // within 5 % of its way. (The skin of a round thigh rolls under the point itself; some of the miss is real.)
        FilmRecipe r;
        r.camera = SimulatedCamera::side();
        const LungeTake take(r);
        const Renderer renderer(r.camera, r.outfit);
        const auto bodyAt = [&](double t) { return take.bodyAt(t); };
        const double start = take.reps()[0].rep.keyTimes().at("foot_leaves") + 0.06;
        const auto onThigh = [&](double t) {
            const auto j = take.bodyAt(t + r.camera.exposure / 2);
            const Pixel p = r.camera.project(j.at.at("right_hip") * 0.45 + j.at.at("right_knee") * 0.55);
            return cv::Point2f(float(p.x), float(p.y));
        };
        cv::Mat before = grey(renderer.frame(start, bodyAt, 1));
        std::vector<cv::Point2f> points = {onThigh(start)};
        float travelled = 0;
        for (int i = 1; i <= 12; ++i) {
            const double t = start + i / r.camera.captureRate;
            const cv::Mat now = grey(renderer.frame(t, bodyAt, 1 + static_cast<unsigned>(i)));
            std::vector<cv::Point2f> next;
            std::vector<unsigned char> found;
            std::vector<float> error;
            cv::calcOpticalFlowPyrLK(before, now, points, next, found, error, cv::Size(21, 21), 3);
            QVERIFY(found[0]);
            travelled += static_cast<float>(cv::norm(next[0] - points[0]));
            points = next;
            before = now;
        }
        const cv::Point2f truth = onThigh(start + 12 / r.camera.captureRate);
        const double miss = cv::norm(points[0] - truth);
        QVERIFY2(travelled > 40, qPrintable(QString::number(travelled))); // it really moved
        QVERIFY2(miss < 0.05 * travelled, qPrintable(QString("missed by %1 px after %2").arg(miss).arg(travelled)));
    }
    void picturesAreWhatTheRecipeSays() {
        FilmRecipe r;
        const LungeTake take(r);
        const auto bodyAt = [&](double t) { return take.bodyAt(t); };
        r.camera.noise = 0;
        const Renderer clean(r.camera, r.outfit);
        r.camera.noise = 2;
        const Renderer noisy(r.camera, r.outfit);
        const Picture a = clean.frame(0.2, bodyAt, 1), b = noisy.frame(0.2, bodyAt, 1),
                      again = noisy.frame(0.2, bodyAt, 1);
        QVERIFY(b.pixels == again.pixels); // the seed fixes the noise
        double sum = 0, square = 0;
        int n = 0;
        for (std::size_t i = 0; i < a.pixels.size(); i += 3) {
            const double d = double(b.pixels[i] & 0xff) - double(a.pixels[i] & 0xff);
            sum += d;
            square += d * d;
            ++n;
        }
        const double sd = std::sqrt(square / n - sum / n * sum / n);
        QVERIFY2(std::abs(sd - 2) < 0.2, qPrintable(QString::number(sd))); // two grey levels
        // Motion blur: the quick foil in the lunge is paler with a long exposure than with a short one.
        r.camera.noise = 0;
        r.camera.exposure = 0.0001;
        const Renderer sharp(r.camera, r.outfit);
        r.camera.exposure = 0.02;
        const Renderer blurred(r.camera, r.outfit);
        const Picture s = sharp.frame(0.72, bodyAt, 1), l = blurred.frame(0.72, bodyAt, 1);
        double edges[2] = {0, 0};
        for (int y = 100; y < 600; ++y)
            for (int x = 201; x < 1100; ++x) {
                edges[0] += std::abs(int(s.at(x, y) & 0xff) - int(s.at(x - 1, y) & 0xff));
                edges[1] += std::abs(int(l.at(x, y) & 0xff) - int(l.at(x - 1, y) & 0xff));
            }
        QVERIFY(edges[0] > edges[1] * 1.03);
    }
};
QTEST_GUILESS_MAIN(TestFilmMaker)
#include "test_film_maker.moc"
