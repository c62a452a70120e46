// A Video4Linux camera through FFmpeg's own v4l2 code, with a stand-in for the device (tests/support/stand_in_device).

#include "footage/camera.h"
#include "footage/film.h"
#include "tests/support/patience.h"

#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

namespace {
int numberOn(const Picture& p) {
    int n = 0;
    for (int bit = 0; bit < 8; ++bit)
        n |= ((p.at(bit * p.width / 8 + p.width / 16, 20) & 0xff) > 128 ? 1 : 0) << bit;
    return n;
}
std::string whyNot(const char* device) {
    const auto s = deviceCamera(device)->start();
    return s ? "it started" : s.error().text();
}
} // namespace

class TestDevice : public QObject {
    Q_OBJECT
private slots:
    void everyPictureInOrder() {
        auto camera = deviceCamera("/dev/video-standin");
        const auto started = camera->start();
        QVERIFY2(started.ok(), started ? "" : started.error().text().c_str());
        QCOMPARE(camera->rate().value, 30.0);
        double before = -1.0;
        for (int i = 0; i < 40; ++i) {
            const auto live = camera->next();
            QVERIFY(live);
            QCOMPARE(live->picture->width, 320);
            QCOMPARE(numberOn(*live->picture), i);
            if (i > 0)
                QVERIFY2(std::abs(live->time - before - 1.0 / 30) < 1e-4, qPrintable(QString::number(live->time)));
            before = live->time;
        }
        camera->stop();
    }
    void mirrorAndRecording() {
        QTemporaryDir dir;
        const auto film = std::filesystem::path(dir.path().toStdString()) / "live.mp4";
        std::atomic<int> pictures{0};
        LiveView::Callbacks back;
        back.picture = [&] { ++pictures; };
        LiveView live(deviceCamera("/dev/video-standin"), back);
        live.record(film);
        QTRY_VERIFY(pictures > 45);
        const auto now = live.newest(), then = live.ago(1.0);
        QVERIFY(now && then);
        // A picture may come between the two questions.
        const int apart = numberOn(*now) - numberOn(*then);
        QVERIFY2(apart >= 29 && apart <= 30, qPrintable(QString::number(apart)));
        QVERIFY(live.stopRecording().ok());
        const auto recorded = Film::open(film);
        QVERIFY(recorded.ok() && (*recorded)->info().frames >= 40);
        QVERIFY(std::abs((*recorded)->info().fileRate.value - 30) < 0.1);
    }
    void whatCannotBeUsedIsSaid() {
        QVERIFY2(whyNot("/dev/video-standin-busy").find("in use by another program") != std::string::npos,
                 whyNot("/dev/video-standin-busy").c_str());
        QVERIFY2(whyNot("/dev/video-standin-forbidden").find("may not use") != std::string::npos,
                 whyNot("/dev/video-standin-forbidden").c_str());
    }
    void unplugged() {
        auto camera = deviceCamera("/dev/video-standin-unplugged");
        QVERIFY(camera->start());
        int n = 0;
        auto live = camera->next();
        for (; live; live = camera->next())
            ++n;
        QVERIFY(n >= 8 && n <= 12); // some stay in the decoder
        QVERIFY(live.error().text().find("no more pictures") != std::string::npos);
    }
};
QTEST_GUILESS_MAIN(TestDevice)
#include "test_device.moc"
