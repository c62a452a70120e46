// Motion capture in and out: BVH, TRC and C3D against independent readings with NumPy, SciPy and struct; the virtual
// camera; models as files; broken files.

#include "core/measure/evaluate.h"
#include "files/write_file.h"
#include "library/blueprint_json.h"
#include "library/measure_json.h"
#include "library/model_json.h"
#include "library/motion_capture.h"
#include "library/motion_capture_parts.h"
#include "tests/support/python.h"

#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestMotionCapture : public QObject {
    Q_OBJECT
    const QString m_bvh = "/usr/share/assimp/models/BVH/01_01.bvh";
    MotionCapture m_capture;
    QJsonObject m_reference;

    static double worst(const std::vector<SeriesSample>& s, const QJsonValue& expected, std::size_t skip = 0) {
        const auto e = test::numbers(expected);
        double most = 0.0;
        for (std::size_t i = 0; i < e.size(); ++i)
            most = std::max(most, std::abs(s.at(i + skip).value - e[i]));
        return most;
    }
private slots:
    void initTestCase() {
        const auto text = readFile(m_bvh.toStdString());
        QVERIFY2(text.ok(), "package assimp-testmodels");
        const auto read = captureFromBvh(*text, "01_01.bvh");
        QVERIFY2(read.ok(), read ? "" : read.error().text().c_str());
        m_capture = *read;
        m_reference = test::runReference("motion.py", {}, {"bvh", m_bvh});
        QVERIFY(!m_reference.isEmpty());
    }
    void bvhAgainstSciPy() {
        QCOMPARE(m_capture.frames, m_reference["frames"].toInt());
        QVERIFY(std::abs(m_capture.rate * m_reference["dt"].toDouble() - 1.0) < 1e-9);
        for (const char* name : {"left_knee", "right_wrist"}) {
            const auto places = m_reference[name].toArray();
            for (qsizetype f = 0; f < places.size(); ++f)
                for (int axis = 0; axis < 3; ++axis)
                    QVERIFY(std::abs(m_capture.points.at(name)[static_cast<std::size_t>(f)][axis] -
                                     places[f].toArray()[axis].toDouble()) < 1e-6);
        }
    }
    void virtualCameraAgainstSciPy() {
        const auto tracks = filmed(m_capture);
        QVERIFY2(tracks.ok(), tracks ? "" : tracks.error().text().c_str());
        MotionOptions raw;
        raw.cutoff = CutoffNone{};
        const Motion motion = toMotion(*tracks, Timebase::constant(m_capture.frames, Hertz(m_capture.rate)), raw);
        const ViewSetup side{View::side, Facing::right, Side::right, nullptr};
        const auto run = [&](const char* measure) { return series(*measureFromJson(measure), motion, side); };
        QVERIFY(worst(run(R"({"kind":"angle","points":["left_hip","left_knee","left_ankle"]})"), m_reference["knee"]) <
                1e-4);
        QVERIFY(worst(run(R"({"kind":"angle","points":["left_shoulder","left_hip","left_knee"]})"),
                      m_reference["hip"]) < 1e-4);
        QVERIFY(worst(run(R"({"kind":"lean","points":["left_ankle","left_knee"],"direction":"forward"})"),
                      m_reference["shank_lean"]) < 1e-4);
        // The camera makes the height from ankles to neck 400 px.
        auto speed = run(R"({"kind":"speed","points":["left_ankle"]})");
        for (auto& s : speed)
            s.value /= 400.0;
        QVERIFY2(worst(speed, m_reference["ankle_speed"], 1) < 1e-6,
                 qPrintable(QString::number(worst(speed, m_reference["ankle_speed"], 1))));
        // From in front and from behind the picture is the same the other way round; from the left, forward is to the
        // left.
        const auto width = [&](double azimuth, const char* a, const char* b) {
            VirtualCamera camera;
            camera.azimuth = azimuth;
            const auto t = filmed(m_capture, camera);
            return t->at(a).at(FrameIndex(10)).at.x - t->at(b).at(FrameIndex(10)).at.x;
        };
        QVERIFY(width(0, "left_shoulder", "right_shoulder") > 0); // seen from in front the right side is on the left
        QVERIFY(std::abs(width(0, "left_shoulder", "right_shoulder") + width(180, "left_shoulder", "right_shoulder")) <
                1e-9);
        QVERIFY(std::abs(width(90, "left_toe", "left_ankle") + width(270, "left_toe", "left_ankle")) < 1e-9);
        MotionCapture little;
        little.frames = 1;
        little.rate = 100;
        little.points["left_knee"] = {Eigen::Vector3d(0, 0, 0)};
        QVERIFY(!filmed(little));
    }
    void trcAndC3dThereAndBack() {
        MotionCapture c = m_capture;
        c.unit = "mm";
        c.points["left_knee"][7] = Eigen::Vector3d::Constant(std::nan("")); // not seen there
        const auto same = [&](const MotionCapture& d, double within) {
            QCOMPARE(d.frames, c.frames);
            QCOMPARE(d.unit, c.unit);
            QVERIFY(std::abs(d.rate - c.rate) < 1e-2);
            QCOMPARE(d.points.size(), c.points.size());
            for (const auto& [name, places] : c.points)
                for (std::size_t f = 0; f < places.size(); f += 13) {
                    const auto& v = d.points.at(name)[f];
                    QVERIFY2((v - places[f]).norm() < within || !places[f].allFinite(), name.c_str());
                }
            QVERIFY(!d.points.at("left_knee")[7].allFinite());
        };
        const auto trc = captureFromTrc(captureToTrc(c, "x.trc"), "x.trc");
        QVERIFY2(trc.ok(), trc ? "" : trc.error().text().c_str());
        same(*trc, 1e-4);
        const auto bytes = captureToC3d(c);
        QVERIFY(bytes.ok());
        const auto c3d = captureFromC3d(*bytes, "x.c3d");
        QVERIFY2(c3d.ok(), c3d ? "" : c3d.error().text().c_str());
        same(*c3d, 1e-3);
        // The C3D as another reader sees it.
        QTemporaryDir dir;
        QFile file(dir.filePath("x.c3d"));
        QVERIFY(file.open(QIODevice::WriteOnly) && file.write(bytes->data(), static_cast<qint64>(bytes->size())) > 0);
        file.close();
        const auto seen = test::runReference("motion.py", {}, {"c3d", file.fileName()});
        QCOMPARE(seen["magic"].toInt(), 0x50);
        QCOMPARE(seen["frames"].toInt(), c.frames);
        QCOMPARE(seen["units"].toString(), QString("mm"));
        QCOMPARE(static_cast<std::size_t>(seen["labels"].toArray().size()), c.points.size());
        QVERIFY(std::abs(seen["rate"].toDouble() - c.rate) < 1e-2);
        qsizetype p = 0;
        for (const auto& [name, places] : c.points) {
            QCOMPARE(seen["labels"].toArray()[p].toString(), QString::fromStdString(name));
            for (std::size_t f = 0; f < places.size(); f += 97)
                for (int axis = 0; axis < 3; ++axis)
                    QVERIFY(std::abs(seen["values"]
                                         .toArray()[static_cast<qsizetype>(f)]
                                         .toArray()[p]
                                         .toArray()[axis]
                                         .toDouble() -
                                     places[f][axis]) < 1e-3);
            ++p;
        }
        // Tracks of a film are flat.
        TrackSet tracks;
        for (int f = 0; f < 20; ++f)
            tracks["foil_tip"][FrameIndex(f)] = {{100.25 + f, 300.5 - f}, 1.5, How::hand};
        const auto flat = captureFromTrc(captureToTrc(captureOf(tracks, 20, 120.0), "f.trc"), "f.trc");
        QVERIFY(flat && isOfFilm(*flat) && !isOfFilm(c));
        const TrackSet again = tracksOf(*flat, 1.0);
        QCOMPARE(again.at("foil_tip").at(FrameIndex(7)).at.y, 293.5);
    }
    void brokenFiles() {
        QVERIFY(!captureFromBvh("HIERARCHY ROOT a { OFFSET 0 0", "x"));
        QVERIFY(!captureFromBvh("HIERARCHY ROOT a { OFFSET 0 0 0 CHANNELS 3 Xrotation Yrotation Zrotation } MOTION "
                                "Frames: 1000000000 Frame Time: 0.1 1 2 3",
                                "x"));
        QVERIFY(!captureFromTrc("PathFileType\t4", "x"));
        QVERIFY(!captureFromC3d("", "x") && !captureFromC3d(std::string(600, 'P'), "x"));
        const auto bytes = *captureToC3d(m_capture);
        const auto text = *readFile(m_bvh.toStdString());
        const std::string trc = captureToTrc(m_capture, "x.trc");
        std::mt19937 random(4);
        for (int i = 0; i < 300; ++i) { // cut short, bytes changed: an error or a value, never a crash
            for (const std::string* whole : {&bytes, &text, &trc}) {
                std::string s = whole->substr(0, random() % std::min<std::size_t>(whole->size(), 40000));
                for (int k = 0; k < 8 && !s.empty(); ++k)
                    s[random() % std::min<std::size_t>(s.size(), 3000)] = static_cast<char>(random());
                if (whole == &bytes)
                    (void)captureFromC3d(s, "x");
                else if (whole == &text)
                    (void)captureFromBvh(s, "x");
                else
                    (void)captureFromTrc(s, "x");
            }
        }
        std::string dec = bytes;
        dec[512 + 3] = 85;
        QVERIFY(captureFromC3d(dec, "x").error().what.find("DEC") != std::string::npos);
    }
    void ownNamesWinOverKnownOnes() {
        MotionCapture c;
        using Places = std::vector<Eigen::Vector3d>;
        const Places shin(3, {1, 2, 3}), knee(3, {4, 5, 6}), tip(3, {7, 8, 9});
        keepPoints(c, {"LeftLeg", "left_knee", "blade_tip", "spot on the wall", "l_hip", "ball"},
                   {shin, knee, tip, shin, tip, shin});
        QVERIFY(c.points == (std::map<LandmarkName, Places>{
                                {"left_knee", knee}, {"blade_tip", tip}, {"left_hip", tip}, {"ball", shin}}));
        QCOMPARE(c.others, (std::vector<std::string>{"LeftLeg", "spot on the wall"}));
        QVERIFY(!kNowhere.allFinite());
        const Error e = brokenCapture("walk.bvh", "line 3", "no number");
        QVERIFY2(e.text().find("walk.bvh") != std::string::npos && e.text().find("line 3") != std::string::npos,
                 e.text().c_str());
    }
    void models() {
        ModelPerformance m;
        m.name = "Model A";
        m.blueprint = "fencing-lunge";
        m.source = "2 reps of films";
        for (int i = 0; i < 2; ++i) {
            MeasuredRep r;
            r.rep = std::to_string(i);
            r.situation = i ? "deep" : "";
            r.captureRate = Hertz(120);
            MeasureValue v;
            v.measure = "rear_knee";
            v.value = 170.5 + i;
            v.u = v.uMarks = 1.25;
            r.values = {v};
            m.reps.push_back(r);
        }
        const auto again = modelFromJson(modelToJson(m), "m.json");
        QVERIFY2(again.ok() && *again == m, again ? "" : again.error().text().c_str());
        QVERIFY(modelFromJson("{\"format\": 2}", "m.json").error().text().find("format") != std::string::npos);
        QVERIFY(!modelFromJson("[]", "m.json") && !modelFromJson("{", "m.json"));
        const auto placed =
            placedRepsFromJson(R"({"reps": [{"positions": {"a": 3, "b": {"frame": 9, "sigma_s": 0.002}}}]})", "p.json");
        QVERIFY(placed && (*placed)[0].positions.at("b").sigma == 0.002 &&
                (*placed)[0].positions.at("a").frame.value == 3);
        QVERIFY(placedRepsFromJson(R"({"reps": [{"positions": {"a": "x"}}]})", "p.json")
                    .error()
                    .text()
                    .find("reps[0].positions.a") != std::string::npos);
    }
};
QTEST_GUILESS_MAIN(TestMotionCapture)
#include "test_motion_capture.moc"
