// The camera beside practice: its reps against the simulated athlete's own, and what is kept of them.
#include "footage/rep_camera.h"
#include "simulator/live_camera.h"
#include "tests/support/patience.h"

#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <fstream>

using namespace riflesso;
namespace fs = std::filesystem;

class TestRepCamera : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    [[nodiscard]] fs::path at(const char* name) const { return fs::path(m_dir.path().toStdString()) / name; }
    static std::vector<LivePicture> shades(int n, int width, double rate) {
        std::vector<LivePicture> out;
        for (int i = 0; i < n; ++i) {
            Picture p(width, 48);
            std::fill(p.pixels.begin(), p.pixels.end(), 0xff000000u | 0x010101u * static_cast<unsigned>(20 * i));
            out.push_back({3.0 + i / rate, std::make_shared<const Picture>(std::move(p))});
        }
        return out;
    }

private slots:
    void aStillPictureDoesNotMoveAndABoxDoes() {
        Picture a(320, 180), b(320, 180);
        std::fill(a.pixels.begin(), a.pixels.end(), 0xff404040u);
        b = a;
        for (int y = 60; y < 120; ++y)
            for (int x = 100; x < 160; ++x)
                b.pixels[static_cast<std::size_t>(y * 320 + x)] = 0xffc0c0c0u;
        PictureChange change;
        QVERIFY(!change.add(smallGrey(a)));
        QCOMPARE(change.add(smallGrey(a)).value(), 0.0);
        // 1/16 of the picture by 128 levels, less what noise may do (at most 3).
        const double moved = change.add(smallGrey(b)).value();
        QVERIFY2(moved > 125.0 / 16.0 * 0.97 && moved < 128.0 / 16.0 * 1.03, qPrintable(QString::number(moved)));
        QVERIFY(!change.add(smallGrey(Picture(64, 64)))); // another size: nothing to compare with
        QVERIFY(smallGrey(Picture()).empty());
    }
    // By sound: two seconds before the strike and one after it, whatever moves; without a strike there is no rep.
    void aStrikeCutsARep() {
        std::mutex guard;
        std::vector<std::vector<LivePicture>> reps;
        std::atomic<int> seen{0};
        LiveCameraOptions o;
        o.width = 160;
        RepCamera camera(simulatedCamera(o), {[&] { ++seen; },
                                              [&](std::vector<LivePicture> rep) {
                                                  const std::lock_guard lock(guard);
                                                  reps.push_back(std::move(rep));
                                              },
                                              {}});
        camera.cutBySound(true);
        QTRY_VERIFY(seen > 90);
        const auto count = [&] {
            const std::lock_guard lock(guard);
            return reps.size();
        };
        QCOMPARE(count(), std::size_t(0));
        camera.struck(0.2);
        camera.struck(0.1); // its echo
        QTRY_COMPARE(count(), std::size_t(1));
        const std::lock_guard lock(guard);
        const double seconds = reps[0].back().time - reps[0].front().time;
        QVERIFY2(std::abs(seconds - 3.0) < 0.2, qPrintable(QString::number(seconds)));
    }
    void eachLungeOfTheSimulatedAthleteIsOneRep() {
        std::mutex guard;
        std::vector<std::vector<LivePicture>> reps;
        std::atomic<bool> over{false};
        LiveCameraOptions o;
        o.width = 320;
        o.paced = false;
        o.stopsAfter = 24.0;
        RepCamera camera(simulatedCamera(o), {{},
                                              [&](std::vector<LivePicture> rep) {
                                                  const std::lock_guard lock(guard);
                                                  reps.push_back(std::move(rep));
                                              },
                                              [&](const std::string&) { over = true; }});
        QTRY_VERIFY(over);
        const std::lock_guard lock(guard);
        double before = 0.0;
        for (const auto& rep : reps) {
            const double length = rep.back().time - rep.front().time;
            qInfo("%.2f to %.2f s", rep.front().time, rep.back().time);
            QVERIFY(rep.front().time >= before && length > 0.4 && length < 6.0);
            before = rep.back().time;
        }
        QVERIFY2(reps.size() >= 4, qPrintable(QString::number(reps.size())));
    }
    void aClipComesBackAsItWas_data() {
        QTest::addColumn<int>("width");
        QTest::newRow("even") << 64;
        QTest::newRow("odd") << 65;
    }
    void aClipComesBackAsItWas() {
        QFETCH(int, width);
        const auto pictures = shades(10, width, 30.0);
        QVERIFY(writeRepFilm(pictures, at("clip.mp4")));
        const auto back = readRepFilm(at("clip.mp4"));
        QVERIFY2(back, back ? "" : back.error().text().c_str());
        QCOMPARE(back->size(), pictures.size());
        for (std::size_t i = 0; i < pictures.size(); ++i) {
            QVERIFY(std::abs((*back)[i].time - (pictures[i].time - 3.0)) < 1e-3);
            QVERIFY(std::abs(static_cast<int>((*back)[i].picture->at(30, 20) & 255) - 20 * static_cast<int>(i)) < 6);
        }
        QVERIFY(!readRepFilm(at("clip.mp4"), 5)); // too long for one rep
    }
    void whatCannotBeKeptIsSaid() {
        QVERIFY(!writeRepFilm({}, at("empty.mp4")));
        QVERIFY(!writeRepFilm(shades(3, 64, 30.0), at("no-such-folder") / "clip.mp4"));
        QVERIFY(!readRepFilm(at("nothing.mp4")));
        QVERIFY(!fs::exists(at("empty.mp4")));
    }
    void oldOnesMakeRoom() {
        const fs::path folder = at("bounded");
        fs::create_directories(folder);
        const auto now = fs::file_time_type::clock::now();
        for (int i = 0; i < 6; ++i) {
            const fs::path film = folder / ("rep-" + std::to_string(i) + ".mp4");
            std::ofstream(film) << std::string(1000, 'x');
            fs::last_write_time(film, now - std::chrono::hours(6 - i));
        }
        std::ofstream(folder / "note.txt") << std::string(5000, 'x'); // not ours
        QCOMPARE(keepWithin(folder, 3500), std::uintmax_t(3000));
        QVERIFY(!fs::exists(folder / "rep-2.mp4") && fs::exists(folder / "rep-3.mp4") &&
                fs::exists(folder / "note.txt"));
        QCOMPARE(keepWithin(folder, 10), std::uintmax_t(1000)); // the newest stays
        QVERIFY(fs::exists(folder / "rep-5.mp4"));
        QCOMPARE(keepWithin(at("nowhere"), 10), std::uintmax_t(0));
    }
};
QTEST_GUILESS_MAIN(TestRepCamera)
#include "test_rep_camera.moc"
