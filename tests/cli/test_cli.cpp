// riflesso-cli as a script would use it: what it prints, what it exits with.

#include "footage/film.h"
#include "library/library.h"
#include "tests/support/cli_run.h"
#include "tests/support/coded_films.h"
#include "tests/support/demo_copy.h"

#include <QDir>
#include <QFile>
#include <QImage>
#include <QJsonArray>
#include <QProcess>
#include <QTest>

#include <cmath>

using namespace riflesso;

class TestCli : public test::CliTest {
    Q_OBJECT
private slots:
    void tracksFromAnywhere() {
        // A film of another technique, its marks measured without a library.
        const auto film = run({"simulate", "rowing-ergometer", m_dir.path(), "--reps", "3", "--rate", "60", "--stored",
                               "60", "--size", "640x360", "--fault", "lies_back=15"});
        QVERIFY2(film.code == 0, film.err.constData());
        const auto files = film.out.split('\n');
        QVERIFY(files.size() >= 3 && files[0].endsWith(".mp4"));
        const QString marks = files[1], pegs = files[2];
        const QStringList of = {"--tracks",         marks,      "--positions", pegs, "--blueprint",
                                "rowing-ergometer", "--facing", "left"};
        const auto m = run(QStringList{"measure", "--json"} + of);
        QVERIFY2(m.code == 0, m.err.constData());
        int measured = 0, refused = 0;
        for (const auto& v : m.json()["values"].toArray()) {
            const auto o = v.toObject();
            QVERIFY(o.contains("unit") && o.contains("rep"));
            if (o["state"].toString() == "refused") {
                ++refused;
                QVERIFY(!o["reason"].toString().isEmpty());
                continue;
            }
            ++measured;
            QVERIFY(o["u"].toDouble() >= 0.0);
            if (o["measure"].toString() == "layback")
                QVERIFY2(std::abs(o["value"].toDouble() + 40.0) < 12.0,
                         qPrintable(QString::number(o["value"].toDouble())));
        }
        QVERIFY2(measured >= 3 * 20, m.out.left(3000).constData());
        // From one format to another and back: nothing moves.
        const QString trc = m_dir.filePath("row.trc"), c3d = m_dir.filePath("row.c3d"),
                      back = m_dir.filePath("back.csv");
        QCOMPARE(run({"convert", marks, trc}).code, 0);
        QCOMPARE(run({"convert", trc, c3d}).code, 0);
        QCOMPARE(run({"convert", c3d, back}).code, 0);
        auto again = of;
        again[1] = back;
        const auto n = run(QStringList{"measure", "--json"} + again);
        QVERIFY2(n.code == 0, n.err.constData());
        const auto first = m.json()["values"].toArray(), second = n.json()["values"].toArray();
        QCOMPARE(first.size(), second.size());
        for (qsizetype k = 0; k < first.size(); ++k)
            if (const double a = first[k].toObject()["value"].toDouble();
                first[k].toObject()["measure"] == QString("reach"))
                QVERIFY(std::abs(a - second[k].toObject()["value"].toDouble()) <
                        1.5); // the marks' own errors are not kept
        // A model performance, of tracks and of a library's model takes.
        const QString model = m_dir.filePath("model.json");
        const auto made = run({"model", "from", marks, "--positions", pegs, "--blueprint", "rowing-ergometer",
                               "--facing", "left", "--name", "Rower R", "--out", model});
        QVERIFY2(made.code == 0, made.err.constData());
        QFile file(model);
        QVERIFY(file.open(QIODevice::ReadOnly));
        const auto j = QJsonDocument::fromJson(file.readAll()).object();
        QCOMPARE(j["name"].toString(), QString("Rower R"));
        QCOMPARE(j["reps"].toArray().size(), 3);
        const auto lunges = run({"model", "from", RIFLESSO_DEMO_DIR, "--out", m_dir.filePath("lunge.json")});
        QVERIFY2(lunges.code == 0 && lunges.out.contains("Model A") && lunges.out.contains("4 reps"),
                 lunges.err + lunges.out);
        QCOMPARE(run({"model", "from", RIFLESSO_DEMO_DIR, "--case", "1", "--out", m_dir.filePath("one.json")}).code, 0);
        failsInOneLine(run({"model", "from", RIFLESSO_DEMO_DIR, "--case", "77", "--out", model}), "no case 77");
        failsInOneLine(run({"model", "from", RIFLESSO_DEMO_DIR, marks, "--positions", pegs, "--blueprint",
                            "rowing-ergometer", "--out", model}),
                       "different techniques");
        // Motion capture, filmed from any side.
        const QString bvh = "/usr/share/assimp/models/BVH/01_01.bvh", seen = m_dir.filePath("seen.csv");
        QCOMPARE(run({"convert", bvh, seen, "--view", "side"}).code, 0);
        QCOMPARE(run({"convert", bvh, m_dir.filePath("front.csv"), "--view", "30"}).code, 0);
        QCOMPARE(run({"convert", bvh, m_dir.filePath("all.c3d")}).code, 0);
        QCOMPARE(run({"convert", m_dir.filePath("all.c3d"), m_dir.filePath("again.csv"), "--view", "side"}).code, 0);
        const auto knee = run({"series", "--tracks", seen, "--measure",
                               R"({"kind":"angle","points":["left_hip","left_knee","left_ankle"]})", "--json"});
        QVERIFY(knee.json()["samples"].toArray().size() > 2000);
        failsInOneLine(run({"convert", bvh, seen, "--view", "above"}), "--view must be");
        failsInOneLine(run({"convert", marks, m_dir.filePath("x.bvh")}), ".csv, .trc or .c3d");
        failsInOneLine(run({"convert", write("bad.c3d", "no points"), seen}), "no C3D file");
        failsInOneLine(run({"measure", "--json"}), "--library or --tracks");
        failsInOneLine(run({"simulate", "rowing-ergometer", m_dir.path(), "--fault", "wings=1"}), "--list names them");
        QVERIFY(run({"simulate", "archery-shot", "--list"}).out.contains("bow_falls"));
    }
    void carriesAndProposes() {
        // Marks of a careful eye on three frames of the demo's first rep, carried through it.
        const auto guard = test::lookAt("athlete-side", "on_guard"), held = test::lookAt("athlete-side", "lunge_held"),
                   back = test::lookAt("athlete-side", "back_on_guard");
        QByteArray csv = "time_s,frame,landmark,x_px,y_px,sigma_px,how\n";
        for (const auto& [eye, position] :
             {std::pair{guard, "on_guard"}, {held, "lunge_held"}, {back, "back_on_guard"}})
            for (auto it = eye.at.begin(); it != eye.at.end(); ++it)
                csv += QString("%1,%2,%3,%4,%5,1.5,hand\n")
                           .arg(eye.positions[position] / 30.0, 0, 'f', 6)
                           .arg(eye.positions[position])
                           .arg(it.key())
                           .arg(it->x())
                           .arg(it->y())
                           .toUtf8();
        const QString marks = write("start.csv", csv), out = m_dir.filePath("carried.csv");
        const auto a = run({"carry", m_film, "--marks", marks, "--out", out, "--from",
                            QString::number(guard.positions["on_guard"] - 15), "--to",
                            QString::number(guard.positions["back_on_guard"] + 10), "--capture-rate", "120"});
        QVERIFY2(a.code == 0, a.err);
        QVERIFY2(a.out.contains("marks carried from 63 made by hand"), a.out);
        QFile f(out);
        QVERIFY(f.open(QIODevice::ReadOnly));
        const QByteArray all = f.readAll();
        QCOMPARE(all.count(",hand\n"), 63);
        QVERIFY(all.count(",tracked\n") > 2000);
        const auto p = run({"positions", "--tracks", out, "--facing", "left", "--capture-rate", "120", "--json"});
        QVERIFY2(p.code == 0, p.err);
        const auto found = QJsonDocument::fromJson(p.out).array();
        QCOMPARE(found.size(), 7);
        for (const auto& v : found) {
            const auto o = v.toObject();
            const QString id = o["id"].toString();
            QVERIFY2(o["found"].toBool(), qPrintable(id));
            QVERIFY(o["sigma_s"].toDouble() > 0.0);
            QVERIFY2(!o["sure"].toBool() || std::abs(o["frame"].toInt() - guard.positions[id]) <= 5, qPrintable(id));
        }
        // Only one landmark, in frames that are there; else a word.
        QVERIFY(run({"carry", m_film, "--marks", marks, "--out", out, "--landmarks", "neck", "--to", "70"}).code == 0);
        failsInOneLine(run({"carry", m_film, "--marks", marks, "--out", out, "--landmarks", "wing"}), "is not marked");
        failsInOneLine(run({"carry", m_film, "--marks", marks, "--out", out, "--to", "99999"}), "are not in the film");
        failsInOneLine(run({"carry", m_film, "--marks",
                            write("far.csv", "time_s,frame,landmark,x_px,y_px\n0,0,neck,9000,5\n"), "--out", out}),
                       "outside the picture");
        failsInOneLine(run({"carry", m_film, "--marks",
                            write("late.csv", "time_s,frame,landmark,x_px,y_px\n900,90000,neck,9,5\n"), "--out", out}),
                       "the film ends with frame");
        failsInOneLine(
            run({"carry", m_film, "--marks", write("none.csv", "time_s,frame,landmark,x_px,y_px\n"), "--out", out}),
            "");
        failsInOneLine(run({"positions", "--tracks", marks, "--blueprint", "nowhere.json"}), "no such file");
    }
    void saysHowGoodMarksAre() {
        QByteArray a = "time_s,frame,landmark,x_px,y_px\n", b = a;
        for (int f = 0; f < 10; ++f)
            for (const auto& [name, x, y] :
                 {std::tuple{"left_hip", 300, 200}, {"left_knee", 300 + 6 * f, 300}, {"left_ankle", 300, 400}}) {
                a += QString("%1,%2,%3,%4,%5\n").arg(f / 30.0).arg(f).arg(name).arg(x).arg(y).toUtf8();
                b += QString("%1,%2,%3,%4,%5\n")
                         .arg(f / 30.0)
                         .arg(f)
                         .arg(name)
                         .arg(x + (f % 2 ? 1 : -1))
                         .arg(y)
                         .toUtf8();
            }
        const QString one = write("one.csv", a), two = write("two.csv", b);
        const auto r = run({"reliability", one, two, "--measure",
                            R"({"kind":"angle","points":["left_hip","left_knee","left_ankle"]})", "--json"});
        QVERIFY2(r.code == 0, r.err);
        const auto all = r.json()["landmarks"].toObject()["all"].toObject();
        QCOMPARE(all["n"].toInt(), 30);
        QVERIFY(std::abs(all["sigma_px"].toDouble() - 0.5) < 1e-3); // √(1/4): every mark is off by 1 px in x
        const auto m = r.json()["measures"].toArray()[0].toObject();
        QCOMPARE(m["frames"].toInt(), 10);
        QVERIFY(m["icc21"].toObject()["value"].toDouble() > 0.99 && m["mdc95"].toDouble() < 1e-3); // shifted alike
        QVERIFY(run({"reliability", one, two}).out.contains("all"));
        failsInOneLine(
            run({"reliability", one, write("other.csv", "time_s,frame,landmark,x_px,y_px\n0,50,head,1,1\n")}),
            "no landmark on the same frame");
    }
    void helpForEach() {
        for (const char* command :
             {"demo",  "probe",     "frame",       "series",  "sync",    "reps",     "calibrate", "import",
              "carry", "positions", "reliability", "measure", "compare", "findings", "plan",      "report",
              "sets",  "decide",    "practice",    "breaks",  "line",    "agree",    "progress",  "ask"}) {
            const auto a = run({command, "--help"});
            QCOMPARE(a.code, 0);
            QVERIFY(a.out.size() > 80);
        }
        QCOMPARE(run({"--version"}).code, 0);
    }
    void wrongUseIsTwo() {
        QCOMPARE(run({}).code, 2);
        QCOMPARE(run({"dance"}).code, 2);
        QCOMPARE(run({"probe"}).code, 2);
        QCOMPARE(run({"frame", "a.mp4", "x", "o.png"}).code, 2);
        QCOMPARE(run({"probe", "a.mp4", "--loud"}).code, 2);
    }
    void probe() {
        const auto j = run({"probe", m_film, "--json", "--times"}).json();
        QCOMPARE(j["codec"].toString(), QString("h264"));
        QCOMPARE(j["width"].toInt(), 1280);
        QCOMPARE(j["height"].toInt(), 720);
        QVERIFY(std::abs(j["file_rate_hz"].toDouble() - 30) < 1e-6);
        QCOMPARE(j["variable_rate"].toBool(), false);
        QVERIFY(j.contains("capture_rate_hz") && j["capture_rate_hz"].isNull());
        QVERIFY(j["key_frames"].toInt() > 1);
        const auto times = j["times_s"].toArray();
        QCOMPARE(times.size(), j["frames"].toInt());
        QVERIFY(std::abs(j["duration_s"].toDouble() - times.size() / 30.0) < 1e-3);
        for (qsizetype i = 1; i < times.size(); ++i)
            QVERIFY(times[i].toDouble() > times[i - 1].toDouble());
        QVERIFY(run({"probe", m_film}).out.contains("not stated"));
        QVERIFY(!run({"probe", m_film, "--json"}).json().contains("times_s"));
    }
    void frame() {
        const QString png = m_dir.filePath("frame.png");
        QCOMPARE(run({"frame", m_film, "110", png}).code, 0);
        const QImage image = QImage(png).convertToFormat(QImage::Format_RGB32);
        const auto film = Film::open(m_film.toStdString());
        const auto picture = (*film)->frame(FrameIndex(110));
        QCOMPARE(image.size(), QSize(picture->width, picture->height));
        for (int y = 0; y < image.height(); y += 17)
            for (int x = 0; x < image.width(); x += 13)
                QCOMPARE(image.pixel(x, y), picture->at(x, y));
        failsInOneLine(run({"frame", m_film, "100000", png}), "there is no frame 100000");
        failsInOneLine(run({"frame", m_film, "3", "/proc/x.png"}), "could not be written");
    }
    void severalFramesInAnyOrder() {
        const QString film = makeCoded(m_dir.filePath("coded.mp4"), 90);
        const auto a = run({"frame", film, "70,3,41", m_dir.filePath("f_%d.png")});
        QCOMPARE(a.code, 0);
        for (int n : {70, 3, 41}) {
            const QImage image(m_dir.filePath(QString("f_%1.png").arg(n)));
            Picture p(image.width(), image.height());
            for (int y = 0; y < p.height; ++y)
                for (int x = 0; x < p.width; ++x)
                    p.pixels[static_cast<std::size_t>(y * p.width + x)] = image.pixel(x, y);
            QCOMPARE(decodeNumber(p), n);
        }
        failsInOneLine(run({"frame", film, "1,2", m_dir.filePath("one.png")}), "%d");
        failsInOneLine(run({"frame", film, "500", m_dir.filePath("one.png")}), "0 to 89");
    }
    void syncsBySoundAndByInstants() {
        const QString front = QString(RIFLESSO_DEMO_DIR) + "/media/athlete-front.mp4";
        const QStringList rates{"--rate-a", "120", "--rate-b", "120", "--json"};
        const auto sound = run(QStringList{"sync", m_film, front, "--sound"} + rates).json();
        QVERIFY2(std::abs(sound["offset_s"].toDouble() + 0.31) < 0.0042, "the front camera came 0.31 s later");
        QVERIFY(sound["quality"].toDouble() > 1.25);
        const auto at = run(QStringList{"sync", m_film, front, "--at", "100:63", "--at", "160:123"} + rates).json();
        QVERIFY(std::abs(at["offset_s"].toDouble() + 37 / 120.0) < 1e-3 && std::abs(at["rate"].toDouble() - 1) < 1e-6);
        failsInOneLine(run({"sync", m_film, front}), "--sound");
        failsInOneLine(run({"sync", m_film, front, "--at", "1:x"}), "120:98");
        failsInOneLine(run({"sync", m_film, makeCoded(m_dir.filePath("mute.mp4"), 20), "--sound"}), "no sound");
    }
    void findsReps() {
        for (const char* by : {"motion", "sound"}) {
            const auto j = run({"reps", m_film, "--by", by, "--capture-rate", "120", "--json"}).json();
            QVERIFY2(j["reps"].toArray().size() == 5, by);
        }
        QCOMPARE(run({"reps", m_film, "--by", "smell"}).code, 2);
        QCOMPARE(run({"reps", m_film, "--by", "cycle", "--json"}).code, 0);
    }
    void calibrates() {
        const auto j = run({"calibrate", "--size", "1280,720", "--plumb", "100,100,110,600", "--length",
                            "100,600,500,600,2", "--check", "100,600,100,200,2", "--json"})
                           .json();
        QVERIFY(j["metric"].toBool());
        QVERIFY(std::abs(j["tilt_deg"].toDouble() + std::atan(10.0 / 500) * 180 / 3.14159265) < 1e-3);
        QVERIFY(std::abs(j["checks"].toArray()[0].toObject()["m"].toDouble() - 2) < 1e-4);
        QVERIFY(j["warnings"].toArray().size() == 1);
        const QString file = write(
            "c.json",
            R"({"points":[{"px":[0,100],"m":[0,0]},{"px":[100,100],"m":[1,0]},{"px":[100,0],"m":[1,1]},{"px":[0,0],"m":[0,1]}]})");
        const auto square = run({"calibrate", "--in", file, "--check", "0,0,100,100,1.41421", "--json"}).json();
        QVERIFY(std::abs(square["checks"].toArray()[0].toObject()["error_m"].toDouble()) < 1e-4);
        failsInOneLine(run({"calibrate"}), "nothing is drawn");
        failsInOneLine(run({"calibrate", "--plumb", "1,2,3"}), "4 numbers");
        failsInOneLine(run({"calibrate", "--in", write("bad.json", R"({"plumb":[1]})")}), "plumb");
    }
    void importsAndNamesWhatFailed() {
        const QString library = m_dir.filePath("lib");
        QVERIFY(Library::create(library.toStdString()).ok());
        {
            auto l = Library::open(library.toStdString());
            QVERIFY((*l)->addCase("fencing-lunge", Brief{}).ok());
        }
        const QString a = makeCoded(m_dir.filePath("in-a.mp4"), 30), b = makeCoded(m_dir.filePath("in-b.mp4"), 31);
        const auto good = run({"import", "--library", library, a, "--today", "2026-11-23"});
        QCOMPARE(good.code, 0);
        QVERIFY(good.out.contains("in-a.mp4: 30 frames, capture rate not stated"));
        QVERIFY(good.err.isEmpty()); // progress is for terminals
        const auto mixed = run({"import", "--library", library, "--refer", a, write("junk.mp4", "junk"), b});
        QCOMPARE(mixed.code, 1);
        QVERIFY(mixed.out.contains("in-b.mp4"));
        QVERIFY(mixed.err.contains("in-a.mp4") && mixed.err.contains("already") && mixed.err.contains("junk.mp4"));
        auto l = Library::open(library.toStdString());
        const auto data = (*l)->load(1);
        QCOMPARE(data->takes.size(), std::size_t(2));
        failsInOneLine(run({"import", "--library", m_dir.filePath("none"), a}), "no library");
    }
    void badFilms() {
        failsInOneLine(run({"probe", m_dir.filePath("none.mp4")}), "no such file");
        failsInOneLine(run({"probe", write("empty.mp4", {})}), "empty");
        failsInOneLine(run({"probe", write("text.mp4", "words")}), "not a film");
        QVERIFY(QDir(m_dir.path()).mkdir("nothing"));
        failsInOneLine(run({"probe", m_dir.filePath("nothing")}), "folder");
        QFile whole(m_film);
        QVERIFY(whole.open(QIODevice::ReadOnly));
        failsInOneLine(run({"probe", write("cut.mp4", whole.read(whole.size() / 2))}), "cut off");
    }
    void series() {
        QByteArray csv = "time_s,frame,landmark,x_px,y_px\n";
        for (int f = 0; f < 100; ++f) {
            const double a = 0.6 + 0.4 * std::sin(f * 0.1);
            const auto row = [&](const char* name, double x, double y) {
                csv += QString("%1,%2,%3,%4,%5\n")
                           .arg(f / 50.0, 0, 'f', 6)
                           .arg(f)
                           .arg(name)
                           .arg(x, 0, 'f', 6)
                           .arg(y, 0, 'f', 6)
                           .toUtf8();
            };
            row("left_hip", 300, 200);
            row("left_knee", 300, 300);
            row("left_ankle", 300 + 100 * std::sin(a), 300 + 100 * std::cos(a));
        }
        const QString file = write("t.csv", csv);
        const QString knee = R"({"kind":"angle","points":["left_hip","left_knee","left_ankle"]})";
        const auto j = run({"series", "--tracks", file, "--measure", knee, "--cutoff", "6", "--json"}).json();
        QCOMPARE(j["unit"].toString(), QString("deg"));
        QCOMPARE(j["cutoff_hz"].toDouble(), 6.0);
        const auto samples = j["samples"].toArray();
        QCOMPARE(samples.size(), 100);
        for (int f = 15; f < 85; ++f) {
            const auto s = samples[f].toObject();
            const double a = 0.6 + 0.4 * std::sin(f * 0.1);
            QVERIFY(std::abs(s["time_s"].toDouble() - f / 50.0) < 1e-6);
            QVERIFY(std::abs(s["value"].toDouble() - (180 - a * 180 / M_PI)) < 0.15);
            QVERIFY(std::abs(s["rate"].toDouble() + 0.4 * 0.1 * 50 * std::cos(f * 0.1) * 180 / M_PI) < 1.5);
            QVERIFY(s["u"].toDouble() > 0);
        }
        QVERIFY(run({"series", "--tracks", file, "--measure", knee, "--cutoff", "none", "--json"})
                    .json()["cutoff_hz"]
                    .isNull());
        QVERIFY(run({"series", "--tracks", file, "--measure", knee, "--json"}).json()["cutoff_hz"].toDouble() >
                0); // auto
        QVERIFY(run({"series", "--tracks", file, "--measure", knee}).out.startsWith("time_s,value_deg"));
        const auto slow =
            run({"series", "--tracks", file, "--measure", knee, "--capture-rate", "200", "--cutoff", "none", "--json"})
                .json()["samples"]
                .toArray();
        QVERIFY(std::abs(slow[99].toObject()["time_s"].toDouble() - 99 / 200.0) < 1e-6);
        failsInOneLine(run({"series", "--tracks", file, "--measure", "{", "--json"}), "not JSON");
        failsInOneLine(
            run({"series", "--tracks", file, "--measure", R"({"kind":"angle","points":["head","neck","left_hip"]})"}),
            "no landmark \"head\"");
        failsInOneLine(run({"series", "--tracks", file, "--measure", knee, "--cutoff", "fast"}), "--cutoff");
        failsInOneLine(run({"series", "--tracks", file, "--measure", R"({"kind":"interval"})"}), "interval");
        failsInOneLine(run({"series", "--tracks", write("nan.csv", "time_s,frame,landmark,x_px,y_px\n0,0,head,nan,1\n"),
                            "--measure", knee}),
                       "line 2");
    }
    void tablesFromAnywhere() {
        const QString a = write("a.csv", "rep,measure,value,u,u_shared,camera\n1,knee,120,2,3,A\n2,knee,122,2,3,A\n"
                                         "1,hand,-50,5,0,A\n2,hand,-48,5,0,A\n");
        const QString b = write("b.csv", "rep,measure,value,u,u_shared,camera\n1,knee,121,2,3,B\n2,knee,122,2,3,B\n"
                                         "1,hand,-110,5,0,A\n2,hand,-108,5,0,A\n");
        const auto compared = run({"compare", "--tables", a, b, "--json"}).json();
        const auto hand = compared["hand"].toObject(), knee = compared["knee"].toObject();
        QCOMPARE(hand["change"].toDouble(), -60.0);
        QVERIFY(std::abs(hand["u"].toDouble() - 5.0) < 1e-9 && hand["moved"].toBool());
        // Two cameras: both their shared errors count. √(4/2 + 4/2 + 9 + 9)
        QVERIFY(std::abs(knee["u"].toDouble() - std::sqrt(22.0)) < 1e-9 && !knee["moved"].toBool());
        QVERIFY(std::abs(knee["mdc95"].toDouble() - 1.96 * std::sqrt(22.0)) < 1e-9);
        const auto broken = run({"breaks", "--json", "--table",
                                 write("s.csv", "stage,inside\n" + QByteArray("fixed_feed,1\n").repeated(20) +
                                                    QByteArray("Scored,0\n").repeated(9) + "Scored,1\n")})
                                .json();
        QCOMPARE(broken["owned"].toString(), QString("fixed_feed"));
        QCOMPARE(broken["breaks"].toString(), QString("Scored"));
        QCOMPARE(broken["stages"].toArray()[1].toObject()["n"].toInt(), 10);
        const auto history = run({"progress", "--json", "--history",
                                  write("h.csv", "day,value,u,stage,pause\n2026-09-01,10,2,,\n2026-09-08,11,2,,\n"
                                                 "2026-09-20,30,2,,\n2026-09-28,31,2,,\n")})
                                 .json();
        QCOMPARE(history["kind"].toString(), QString("step"));
        QCOMPARE(history["day"].toString(), QString("2026-09-20"));
        const auto line =
            run({"line", "--json", "--points", write("p.csv", "x,ux,y,uy\n0,0.1,1,0.1\n1,0.1,3,0.1\n2,0.1,5,0.1\n")})
                .json();
        QVERIFY(std::abs(line["slope"].toDouble() - 2) < 1e-9 && std::abs(line["intercept"].toDouble() - 1) < 1e-9);
        const auto agree =
            run({"agree", "--json", "--table", write("v.csv", "athlete,coach\ng,g\nb,b\ng,b\ng,g\n")}).json();
        QVERIFY(std::abs(agree["kappa"].toDouble() - 0.5) < 1e-9);
        failsInOneLine(run({"agree", "--table", write("one.csv", "athlete,coach\ng,g\ng,g\n")}), "nothing can be told");
        failsInOneLine(run({"line", "--points", write("bad.csv", "x,ux,y,uy\n0,0.1,high,0.1\n")}), "line 2");
        failsInOneLine(run({"breaks", "--table", write("no.csv", "stage\nopen\n")}), "inside is missing");
        QCOMPARE(run({"compare"}).code, 2);
    }
    void asksAFrame() {
        const auto a = run({"ask", m_film, "--frame", "10", "--json", "--points", "100,100", "200,200", "300,100"});
        const auto angle = QJsonDocument::fromJson(a.out).array()[0].toObject();
        QCOMPARE(angle["kind"].toString(), QString("angle"));
        QVERIFY(std::abs(angle["value"].toDouble() - 90) < 1e-9 && angle["u"].toDouble() > 0.5);
        const auto timed = run({"ask", m_film, "--frame", "10", "--to", "40", "--capture-rate", "120", "--json"});
        QVERIFY(std::abs(QJsonDocument::fromJson(timed.out).array()[0].toObject()["value"].toDouble() - 0.25) < 1e-6);
        failsInOneLine(run({"ask", m_film, "--frame", "99999", "--points", "1,1", "2,2"}), "there is no frame");
        failsInOneLine(run({"ask", m_film, "--frame", "1", "--points", "9999,1", "2,2"}), "outside the picture");
    }
    void aFullDiskIsSaid() {
        // Standard output that cannot be written is a job not done.
        QProcess p;
        p.setStandardOutputFile("/dev/full");
        p.start(QString(RIFLESSO_BIN_DIR) + "/riflesso-cli", {"probe", m_film, "--json", "--times"});
        QVERIFY(p.waitForFinished(240000));
        QCOMPARE(p.exitCode(), 1);
    }
    void find() {
        const QString film = QString(RIFLESSO_DEMO_DIR) + "/media/athlete-side.mp4";
        const QString out = m_dir.filePath("draft.csv");
        const auto good = run({"find", film, "--frame", "20", "--box", "600,60,420,620", "--to", "39", "--out", out});
        QVERIFY2(good.code == 0, good.err.constData());
        QVERIFY(good.out.contains("on 40 frames") && good.out.contains("not measurements"));
        QFile f(out);
        QVERIFY(f.open(QIODevice::ReadOnly));
        const auto lines = f.readAll().split('\n');
        QVERIFY(lines.size() > 750);
        QVERIFY(lines[1].endsWith(",found"));
        // Without a box: the most prominent person.
        QCOMPARE(run({"find", film, "--frame", "20", "--to", "22", "--out", m_dir.filePath("auto.csv")}).code, 0);
        for (const auto& [arguments, words] : {std::pair{QStringList{"--box", "1,2,3"}, "four numbers"},
                                               {QStringList{"--box", "600,60,0,0"}, "no size"},
                                               {QStringList{"--box", "20,20,60,60"}, "nobody"},
                                               {QStringList{"--box", "5000,0,100,100"}, "outside"},
                                               {QStringList{"--model", "huge"}, "no body model"},
                                               {QStringList{"--from", "30"}, "not among"}}) {
            const auto bad = run(
                QStringList{"find", film, "--frame", "20", "--to", "39", "--out", m_dir.filePath("x.csv")} + arguments);
            QVERIFY2(bad.code != 0 && bad.err.contains(words), bad.err.constData());
            QVERIFY(!QFile::exists(m_dir.filePath("x.csv")));
        }
    }
    void blueprints() {
        const QString shipped = QString(RIFLESSO_SOURCE_DIR) + "/blueprints/fencing-lunge.json";
        const auto sound = run({"blueprint", "check", shipped});
        QVERIFY2(sound.code == 0 && sound.out == "sound\n", sound.out.constData());
        QFile f(shipped);
        QVERIFY(f.open(QIODevice::ReadOnly));
        QByteArray text = f.readAll();
        QByteArray later = text, broken = text;
        later.replace("\"version\": 1", "\"version\": 2")
            .replace("\"floor\": 8, \"k\": 2.0", "\"floor\": 7, \"k\": 2.0");
        broken.replace("\"kind\": \"ratio\"", "\"kind\": \"ration\"").replace("\"dose\"", "\"doses\"");
        QVERIFY(later != text && broken != text);
        const QString b = write("later.json", later), c = write("broken.json", broken);
        const auto diff = run({"blueprint", "diff", shipped, b});
        QVERIFY2(diff.code == 0 && diff.out.contains("version 1 → 2") && diff.out.contains("floor: “8” → “7”"),
                 diff.out.constData());
        QVERIFY(run({"blueprint", "diff", shipped, shipped}).out.contains("nothing else differs"));
        const auto bad = run({"blueprint", "check", c});
        QVERIFY2(bad.code == 1 && bad.out.contains("measures[0].kind") && bad.out.contains("drills[0].dose") &&
                     bad.err.contains("problems"),
                 bad.out.constData());
        QVERIFY(run({"blueprint", "diff", shipped, c}).code == 1);
        QVERIFY(run({"blueprint", "check", m_dir.filePath("none.json")}).err.contains("no such file"));
    }
    // Each line between ```sh and ``` of the guide, as it is written there.
    void theGuidesExamplesRunAsWritten() {
        QFile guide(QString(RIFLESSO_SOURCE_DIR) + "/docs/guide/command-line.md");
        QVERIFY(guide.open(QIODevice::ReadOnly));
        const QString library = m_dir.filePath("guide-library");
        QVERIFY(test::copyDemo(library));
        QTemporaryDir here;
        int lines = 0;
        bool shell = false;
        for (QString line : QString::fromUtf8(guide.readAll()).split('\n')) {
            if (line.startsWith("```")) {
                shell = line == "```sh";
                continue;
            }
            if (!shell)
                continue;
            ++lines;
            QStringList words = QProcess::splitCommand(line.replace("LIB", library));
            QCOMPARE(words.takeFirst(), QString("riflesso-cli"));
            QProcess p;
            p.setWorkingDirectory(here.path());
            p.start(QString(RIFLESSO_BIN_DIR) + "/riflesso-cli", words);
            QVERIFY(p.waitForFinished(120000));
            QVERIFY2(p.exitCode() == 0, p.readAllStandardError().constData());
        }
        QVERIFY(lines >= 12);
        for (const char* file : {"trace.png", "clip.mp4", "guide.pdf", "all.riflesso"})
            QVERIFY2(QFileInfo(here.filePath(file)).size() > 2000, file);
    }
};
QTEST_GUILESS_MAIN(TestCli)
#include "test_cli.moc"
