#include "desktop/parts/frame_service.h"

#include "tests/support/coded_films.h"

#include <QSignalSpy>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

// A film whose groups of pictures are too large for the memory: halved pictures in motion, whole ones at rest.
class TestFrameService : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString m_film;

    static int numberOf(const QImage& image) {
        Picture p(image.width(), image.height());
        for (int y = 0; y < p.height; ++y)
            for (int x = 0; x < p.width; ++x)
                p.pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(p.width) +
                         static_cast<std::size_t>(x)] = image.pixel(x, y);
        return decodeNumber(p);
    }
    // As a page does: the picture at once, or when it is told.
    QImage shown(FrameService& frames, int frame, int side) {
        QImage out;
        const auto heard =
            connect(&frames, &FrameService::frameReady, this, [&](const QString&, int told, const QImage& picture) {
                if (told == frame)
                    out = picture;
            });
        frames.travel(m_film, frame, -1);
        if (const QImage now = frames.show(m_film, frame, side); !now.isNull())
            out = now;
        for (int i = 0; i < 600 && out.isNull(); ++i)
            QTest::qWait(20);
        disconnect(heard);
        return out;
    }
private slots:
    void initTestCase() {
        FilmWriterOptions o;
        o.width = 640;
        o.height = 384;
        o.keyFrameEvery = 140;
        m_film = makeCoded(m_dir.filePath("long.mp4"), 280, {}, o);
    }
    void halvedInMotionAndWholeAtRest() {
        FrameService frames;
        frames.setLimit(64);
        int halved = 0;
        for (int f = 279; f >= 130; --f) {
            const QImage picture = shown(frames, f, 500);
            QCOMPARE(numberOf(picture), f);
            QVERIFY(picture.width() == 500 || picture.width() == 320); // no larger than asked, or half of 640
            QCOMPARE(picture.devicePixelRatio(), picture.width() / 640.0);
            halved += picture.width() == 320;
        }
        QVERIFY2(halved > 100, qPrintable(QString::number(halved)));
        QVERIFY(frames.used() < std::size_t(64) << 20);
        const QImage whole = shown(frames, 130, 0);
        QCOMPARE(whole.width(), 640);
        QCOMPARE(numberOf(whole), 130);
        // It comes to rest on a frame that is still on its way: what is told then is whole.
        (void)frames.show(m_film, 40, 300);
        QCOMPARE(shown(frames, 40, 0).width(), 640);
    }
};
QTEST_MAIN(TestFrameService)
#include "test_frame_service.moc"
