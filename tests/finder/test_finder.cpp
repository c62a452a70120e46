// The body model's reader, its two engines against one another, and what is found on simulated and on real pictures.

#include "footage/film.h"
#include "footage/film_writer.h"
#include "intake/find_body.h"
#include "intake/found_file.h"
#include "tests/support/film_truth.h"

#include <opencv2/imgproc.hpp>

#include <QImage>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>
#include <random>

using namespace riflesso;

class TestFinder : public QObject {
    Q_OBJECT
    std::vector<std::uint8_t> m_bytes;
    static cv::Mat pixelsOf(Film& film, int frame) {
        const auto decoded = film.decoded(FrameIndex(frame));
        const auto picture = decoded ? (*decoded)->toPicture() : Result<Picture>(decoded.error());
        if (!picture)
            return {};
        const cv::Mat bgra(picture->height, picture->width, CV_8UC4,
                           const_cast<std::uint32_t*>(picture->pixels.data()));
        cv::Mat rgb;
        cv::cvtColor(bgra, rgb, cv::COLOR_BGRA2RGB);
        return rgb;
    }
private slots:
    void initTestCase() {
        const auto model = modelFile("full");
        QVERIFY2(model.ok(), model ? "" : model.error().text().c_str());
        QFile f(QString::fromStdString(model->string()));
        QVERIFY2(f.open(QIODevice::ReadOnly), "the shipped model");
        const QByteArray all = f.readAll();
        m_bytes.assign(all.begin(), all.end());
    }
    void theShippedModelIsRead() {
        const auto m = readModel(m_bytes, {0, 1, 3});
        QVERIFY2(m.ok(), m ? "" : m.error().text().c_str());
        QCOMPARE(m->tensors[static_cast<std::size_t>(m->input)].shape, (std::vector<int>{1, 256, 256, 3}));
        QCOMPARE(m->tensors[static_cast<std::size_t>(m->outputs[0])].shape, (std::vector<int>{1, 195}));
        const auto all = readModel(m_bytes, {0, 1, 2, 3, 4});
        QVERIFY(all && all->layers.size() > m->layers.size()); // the outline that nobody wants is dropped
        QVERIFY(!readModel(m_bytes, {5}) && !readModel(m_bytes, {-1}));
    }
    // Cut and flipped files give a model or an error in words, nothing else.
    void hostileFiles() {
        std::mt19937 random(7);
        for (int i = 0; i < 64; ++i) {
            const std::size_t n = m_bytes.size() * static_cast<std::size_t>(i) / 64;
            QVERIFY(!readModel({m_bytes.data(), n}, {0, 1, 3}));
        }
        int refused = 0;
        for (int seed = 0; seed < 1000; ++seed) {
            auto bytes = m_bytes;
            // The tables lie at the end, after the weights: most flips go there.
            for (int k = 0; k < 8; ++k) {
                const std::size_t from = k % 2 ? 0 : bytes.size() - 60000;
                bytes[from + random() % (bytes.size() - from)] = static_cast<std::uint8_t>(random());
            }
            const auto m = readModel(bytes, {0, 1, 3});
            refused += !m;
            QVERIFY(m || m.error().text().find("body model") != std::string::npos);
        }
        QVERIFY2(refused > 20, qPrintable(QString::number(refused)));
        std::vector<std::uint8_t> noise(5000);
        for (auto& b : noise)
            b = static_cast<std::uint8_t>(random());
        QVERIFY(!readModel(noise, {0}) && !readModel({}, {0}));
        QVERIFY(!BodyFinder::open("/nowhere/body.tflite"));
    }
    // Two engines that share no code (XNNPACK; OpenCV's dnn, built layer by layer) say the same, on a frame of the
    // simulated athlete: places within 0.01 px of the model's input, presence and heat maps within 0.01 of 1.
    void enginesAgree_data() {
        QTest::addColumn<QString>("name");
        QTest::newRow("body") << "full";
        QTest::newRow("people") << "person";
    }
    void enginesAgree() {
        QFETCH(QString, name);
        const bool people = name == "person";
        const auto m =
            readModelFile(*modelFile(name.toStdString()), people ? std::vector<int>{0, 1} : std::vector<int>{0, 1, 3});
        QVERIFY2(m.ok(), m ? "" : m.error().text().c_str());
        const auto fast = xnnpackNetwork(*m);
        const auto slow = opencvNetwork(*m);
        QVERIFY2(fast.ok() && slow.ok(), slow ? "" : slow.error().text().c_str());
        const auto film = Film::open(test::demoFilm("athlete-side").toStdString());
        QVERIFY(film.ok());
        const cv::Mat rgb = pixelsOf(**film, 20);
        QVERIFY(!rgb.empty());
        const int side = people ? 224 : 256;
        cv::Mat input;
        cv::resize(rgb(cv::Rect(500, 40, 660, 660)), input, {side, side}, 0, 0, cv::INTER_AREA);
        input.convertTo(input, CV_32FC3, 1.0 / 255.0);
        const std::span<const float> values(input.ptr<float>(), static_cast<std::size_t>(side * side * 3));
        const auto a = (*fast)->run(values);
        const auto b = (*slow)->run(values);
        QVERIFY2(a && b, b ? "" : b.error().text().c_str());
        for (std::size_t o = 0; o < a->size(); ++o) {
            QCOMPARE((*a)[o].size(), (*b)[o].size());
            double worst = 0.0;
            for (std::size_t i = 0; i < (*a)[o].size(); ++i) {
                // Scores run to ±100 before the sigmoid: what is compared is what they mean.
                const bool score = people ? o >= 3 : o == 2 || (o == 0 && i % 5 > 2);
                const auto mean = [&](float v) { return score ? 1.0 / (1.0 + std::exp(-double(v))) : double(v); };
                worst = std::max(worst, std::abs(mean((*a)[o][i]) - mean((*b)[o][i])));
            }
            qInfo("output %zu: %.5f", o, worst);
            QVERIFY2(worst < 0.01, qPrintable(QString("output %1: %2").arg(o).arg(worst)));
        }
        QVERIFY(!(*fast)->run(values.first(100)) && !(*slow)->run(values.first(100)));
    }
    void heatMapsRefine() {
        std::vector<float> maps(64 * 64 * 2, -20.0f);
        const auto heat = [&](int row, int column) -> float& {
            return maps[static_cast<std::size_t>((row * 64 + column) * 2 + 1)];
        };
        const Eigen::Vector2d at(20.2 / 64, 30.4 / 64);
        QCOMPARE(refined(maps, 64, 2, 1, at), at); // nothing is hot there
        heat(31, 21) = heat(31, 22) = 20.0f;
        const auto r = refined(maps, 64, 2, 1, at);
        QVERIFY(std::abs(r.x() * 64 - 21.5) < 1e-3 && std::abs(r.y() * 64 - 31) < 1e-3);
        QCOMPARE(refined(maps, 64, 2, 0, at), at); // another landmark's map
        QCOMPARE(refined(maps, 64, 2, 1, {1.5, 0.5}), Eigen::Vector2d(1.5, 0.5));
    }
    void boxesThatShowNobody() {
        auto finder = BodyFinder::open(*modelFile("full"));
        QVERIFY(finder);
        const cv::Mat grey(720, 1280, CV_8UC3, cv::Scalar(120, 120, 120));
        for (const auto& box : {BodyBox{100, 100, 0, 300}, BodyBox{2000, 10, 100, 100}, BodyBox{-500, 0, 100, 100},
                                BodyBox{100, 100, 400, 500}, BodyBox{100, 100, std::nan(""), 500}})
            QVERIFY(!finder->find(grey, box));
        QVERIFY(!finder->track(grey, {{1e300, 0}, 100, 0}) && !finder->track({}, {{0, 0}, 100, 0}));
        auto people = PersonDetector::open(*modelFile("person"));
        QVERIFY(people);
        const auto none = people->find(grey);
        QVERIFY(none && none->empty() && people->find({})->empty());
    }
    // A model that is not the one the program knows, or that is not there, is said.
    void wrongModels() {
        QTemporaryDir dir;
        qputenv("RIFLESSO_MODELS", dir.path().toLocal8Bit());
        const auto missing = modelFile("full");
        QVERIFY(!missing && missing.error().text().find("missing") != std::string::npos);
        QFile f(dir.filePath("body_full.tflite"));
        QVERIFY(f.open(QIODevice::WriteOnly));
        f.write("version https://example.invalid\n");
        f.close();
        const auto wrong = modelFile("full");
        QVERIFY(!wrong && wrong.error().text().find("SHA-256") != std::string::npos);
        qunsetenv("RIFLESSO_MODELS");
        QVERIFY(modelFile("full").ok() && !modelFile("huge"));
        QVERIFY(!BodyFinder::open(*modelFile("person")) && !PersonDetector::open(*modelFile("full")));
    }
    // What was found is kept: stopped and begun again it goes on, a cut file loses its last line only.
    void goesOnWhereItStopped() {
        QTemporaryDir dir;
        const std::string film = test::demoFilm("athlete-side").toStdString();
        FindBodyOptions o;
        o.model = *modelFile("full");
        o.frame = FrameIndex(20);
        o.box = {600, 60, 420, 620};
        o.first = FrameIndex(5);
        o.last = FrameIndex(34);
        o.keep = dir.filePath("a.found").toStdString();
        int ticks = 0;
        const auto part = findBody(film, o, [&](double) { return ++ticks < 10; });
        QVERIFY(part && !part->whole);
        QCOMPARE(part->frames.size(), std::size_t(10));
        QFile file(dir.filePath("a.found"));
        QVERIFY(file.resize(file.size() - 40)); // killed while writing
        QCOMPARE(FoundFile::read(o.keep).size(), std::size_t(9));
        const auto rest = findBody(film, o);
        QVERIFY2(rest.ok() && rest->whole, rest ? "" : rest.error().text().c_str());
        QCOMPARE(rest->frames.size(), std::size_t(30));
        QCOMPARE(rest->looked, 21);
        QCOMPARE(FoundFile::read(o.keep).size(), std::size_t(30));
        for (const auto& [frame, f] : part->frames)
            if (const auto again = rest->frames.find(frame); again != rest->frames.end() && rest->looked < 30)
                QVERIFY(std::abs(again->second.height - f.height) < 2.0);
        o.frame = FrameIndex(400);
        QVERIFY(!findBody(film, o));
        o.frame = FrameIndex(20);
        o.box = {20, 20, 60, 60}; // the wall
        QVERIFY(!findBody(film, o));
        o.keep = "/proc/nowhere/a.found";
        o.box = {600, 60, 420, 620};
        QVERIFY(!findBody(film, o));
    }
    // Without a box: the most prominent person, found by the detector.
    void theMostProminentPerson() {
        const std::string film = test::demoFilm("athlete-side").toStdString();
        const auto truth = test::readTruth(QString::fromStdString(film).replace(".mp4", ".truth.json")).front().truth;
        const auto people = peopleOn(film, FrameIndex(20), *modelFile("person"));
        QVERIFY2(people.ok(), people ? "" : people.error().text().c_str());
        QVERIFY(!people->empty());
        const BodyBox& b = people->front().box;
        for (const char* n : {"head", "left_ankle", "right_ankle", "left_hip"}) {
            const Pixel p = truth.places.at(n)[20];
            QVERIFY2(p.x > b[0] && p.x < b[0] + b[2] && p.y > b[1] && p.y < b[1] + b[3], n);
        }
    }
    // The film goes over to another person in the same place: it is said, and nothing is drafted beyond.
    void aCutToSomebodyElse() {
        QTemporaryDir dir;
        const auto path = std::filesystem::path(dir.filePath("two.mp4").toStdString());
        FilmWriterOptions w;
        w.width = 1280;
        w.height = 720;
        auto writer = FilmWriter::create(path, w);
        QVERIFY(writer.ok());
        for (const char* name : {"athlete-side", "model-side"}) {
            const auto film = Film::open(test::demoFilm(name).toStdString());
            for (int i = 0; i < 30; ++i) {
                const auto decoded = (*film)->decoded(FrameIndex(i));
                QVERIFY(decoded && (*writer)->add(*(*decoded)->toPicture()).ok());
            }
        }
        QVERIFY((*writer)->finish().ok());
        FindBodyOptions o;
        o.model = *modelFile("full");
        o.detector = *modelFile("person");
        o.frame = FrameIndex(10);
        o.box = {600, 60, 420, 620};
        const auto found = findBody(path, o);
        QVERIFY2(found.ok(), found ? "" : found.error().text().c_str());
        QCOMPARE(found->somebodyElse.size(), 1u);
        const Taken& other = found->somebodyElse.front();
        QVERIFY2(std::abs(other.first.value - 30) <= 2, qPrintable(QString::number(other.first.value)));
        QVERIFY(other.last.value == 59 && !other.back);
        QVERIFY(found->frames.size() >= 28 && found->frames.rbegin()->first.value < 33);
    }
    // Real people: pictures of Debian's opencv-doc, points clicked by one of us before the finder was run on them. The
    // same man twice, in front of a door, about 390 px tall, grey.
    void picturesOfPeople_data() {
        QTest::addColumn<QString>("picture");
        QTest::addColumn<QList<QPair<QString, QPointF>>>("clicked");
        using Points = QList<QPair<QString, QPointF>>;
        QTest::newRow("basketball1.png") << "basketball1.png"
                                         << Points{{"head", {83.2, 114.9}},           {"right_shoulder", {50.4, 163.8}},
                                                   {"left_shoulder", {114.9, 158.8}}, {"right_elbow", {90.7, 211.7}},
                                                   {"right_wrist", {130.0, 166.3}},   {"left_elbow", {139.6, 216.7}},
                                                   {"left_wrist", {146.2, 173.9}},    {"right_hip", {63.0, 307.4}},
                                                   {"left_hip", {113.4, 304.9}},      {"right_knee", {63.0, 380.5}},
                                                   {"left_knee", {114.9, 375.5}},     {"right_ankle", {60.5, 461.2}},
                                                   {"left_ankle", {122.5, 448.6}},    {"left_toe", {151.2, 468.7}}};
        QTest::newRow("basketball2.png") << "basketball2.png"
                                         << Points{{"head", {84.1, 114.2}},           {"right_shoulder", {49.2, 158.7}},
                                                   {"left_shoulder", {126.9, 155.5}}, {"right_elbow", {87.3, 209.4}},
                                                   {"right_wrist", {130.7, 163.4}},   {"left_elbow", {149.1, 206.2}},
                                                   {"left_wrist", {157.1, 171.3}},    {"right_hip", {61.9, 296.7}},
                                                   {"left_hip", {119.0, 295.1}},      {"right_knee", {65.0, 376.0}},
                                                   {"left_knee", {117.4, 377.6}},     {"right_ankle", {60.3, 456.9}},
                                                   {"left_ankle", {125.3, 449.0}},    {"left_toe", {150.7, 468.0}}};
    }
    static cv::Mat exampleRgb(const QString& name) {
        const QImage picture("/usr/share/doc/opencv-doc/examples/data/" + name);
        const QImage rgb = picture.convertToFormat(QImage::Format_RGB888);
        return picture.isNull() ? cv::Mat()
                                : cv::Mat(rgb.height(), rgb.width(), CV_8UC3, const_cast<uchar*>(rgb.constBits()),
                                          static_cast<std::size_t>(rgb.bytesPerLine()))
                                      .clone();
    }
    void picturesOfPeople() {
        QFETCH(QString, picture);
        using Points = QList<QPair<QString, QPointF>>;
        QFETCH(Points, clicked);
        const cv::Mat rgb = exampleRgb(picture);
        QVERIFY2(!rgb.empty(), "package opencv-doc");
        auto finder = BodyFinder::open(*modelFile("full"));
        QVERIFY(finder);
        const auto body = finder->find(rgb, {20, 60, 190, 420});
        QVERIFY2(body.ok(), body ? "" : body.error().text().c_str());
        constexpr double kHeight = 390.0;
        std::vector<double> off;
        for (const auto& [name, at] : clicked) {
            QVERIFY2(body->points.contains(name.toStdString()), qPrintable(name));
            const Pixel p = body->points.at(name.toStdString()).at;
            off.push_back(std::hypot(p.x - at.x(), p.y - at.y()) / kHeight);
            qInfo("%s: %.1f %%", qPrintable(name), 100 * off.back());
        }
        std::sort(off.begin(), off.end());
        QVERIFY2(off[off.size() / 2] < 0.03, qPrintable(QString::number(off[off.size() / 2])));
        QVERIFY2(off.back() < 0.06, qPrintable(QString::number(off.back())));
    }
    // A still that is panned over 30 frames: the marks go with it.
    void aStillThatIsPanned() {
        const cv::Mat rgb = exampleRgb("basketball2.png");
        QVERIFY2(!rgb.empty(), "package opencv-doc");
        auto finder = BodyFinder::open(*modelFile("full"));
        QVERIFY(finder);
        std::optional<FoundFrame> before;
        std::map<LandmarkName, std::vector<Eigen::Vector2d>> still; // with the pan taken off
        for (int i = 0; i < 30; ++i) {
            const double dx = 4.0 * i, dy = 1.5 * i;
            const cv::Mat pan = (cv::Mat_<double>(2, 3) << 1, 0, dx, 0, 1, -dy);
            cv::Mat moved;
            cv::warpAffine(rgb, moved, pan, rgb.size());
            const auto body =
                before ? finder->track(moved, nextCrop(*before)) : finder->find(moved, {20, 60, 190, 420});
            QVERIFY2(body.ok(), qPrintable(QString::number(i)));
            for (const auto& [name, p] : body->points)
                still[name].emplace_back(p.at.x - dx, p.at.y + dy);
            before = *body;
        }
        std::vector<double> spread;
        for (const auto& [name, places] : still) {
            Eigen::Vector2d mean(0, 0);
            for (const auto& p : places)
                mean += p / static_cast<double>(places.size());
            for (const auto& p : places)
                spread.push_back((p - mean).norm() / 390.0);
        }
        std::sort(spread.begin(), spread.end());
        qInfo("from frame to frame: median %.2f %%, 95 of 100 %.2f %% of the body's height",
              100 * spread[spread.size() / 2], 100 * spread[spread.size() * 95 / 100]);
        QVERIFY(spread[spread.size() / 2] < 0.01 && spread[spread.size() * 95 / 100] < 0.03);
    }
    // Two people with other clothes: their trunks' colours tell them apart, and the same one is alike.
    void coloursTellPeopleApart() {
        auto finder = BodyFinder::open(*modelFile("full"));
        QVERIFY(finder);
        std::vector<std::vector<float>> colours;
        for (const auto& [name, frame] : {std::pair{"athlete-side", 20}, {"athlete-side", 90}, {"model-side", 20}}) {
            const auto film = Film::open(test::demoFilm(name).toStdString());
            const cv::Mat rgb = pixelsOf(**film, frame);
            const auto body = finder->find(rgb, {500, 40, 600, 660});
            QVERIFY2(body.ok(), name);
            colours.push_back(trunkColours(rgb, *body));
        }
        const double same = alikeColours(colours[0], colours[1]), other = alikeColours(colours[0], colours[2]);
        qInfo("the same person %.2f, another one %.2f", same, other);
        QVERIFY2(same > other + 0.25, qPrintable(QString("%1 %2").arg(same).arg(other)));
    }
};
QTEST_GUILESS_MAIN(TestFinder)
#include "test_finder.moc"
