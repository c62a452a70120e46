#include "tests/support/coded_films.h"
#include "tests/support/full_disk.h"

#include <QDir>
#include <QFile>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <random>

using namespace riflesso;

class TestFilm : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString path(const char* name) const { return m_dir.filePath(name); }

    QString make(const char* name, int frames, const std::vector<int>& ticks = {}, FilmWriterOptions o = {}) {
        return makeCoded(path(name), frames, ticks, o);
    }
    static bool ffmpeg(const QStringList& arguments) { return runFfmpeg(arguments); }
    // A small cache, so that seeking is really tried.
    static Result<std::unique_ptr<Film>> openSmall(const QString& file) {
        Film::Options o;
        o.cacheBytes = 2u << 20;
        return Film::open(file.toStdString(), o);
    }
    static void everyFrameIsExact(const QString& file, int frames) {
        const auto film = openSmall(file);
        QVERIFY2(film.ok(), film ? "" : film.error().text().c_str());
        QCOMPARE((*film)->info().frames, frames);
        std::mt19937 random(9);
        std::vector<int> order;
        for (int i = 0; i < frames; ++i)
            order.push_back(i);
        for (int i = frames - 1; i >= 0; --i)
            order.push_back(i); // backwards
        for (int i = 0; i < 80; ++i)
            order.push_back(static_cast<int>(random() % static_cast<unsigned>(frames)));
        for (int i = 0; i < 25; ++i) { // jumps, some of them onwards from where an earlier one ended, and steps between
            const int at = static_cast<int>(random() % static_cast<unsigned>(frames));
            for (int step : {0, 1, 2, 12, 13, 30, 29, 31, 3})
                order.push_back((at + step) % frames);
        }
        for (int i : order) {
            const auto p = (*film)->frame(FrameIndex(i));
            QVERIFY2(p.ok(), qPrintable(QString("frame %1").arg(i)));
            QCOMPARE(decodeNumber(*p), i);
        }
    }
private slots:
    void anyFrameInAnyOrder() { everyFrameIsExact(make("plain.mp4", 150), 150); }
    void manyBFramesAndLongGroups() {
        FilmWriterOptions o;
        o.bFrames = 6;
        o.keyFrameEvery = 60;
        everyFrameIsExact(make("b.mp4", 130, {}, o), 130);
    }
    void variableRate() {
        std::vector<int> ticks;
        int t = 0;
        for (int i = 0; i < 90; ++i) {
            ticks.push_back(t);
            t += i % 7 == 3 ? 5 : 1 + i % 2;
        }
        const QString file = make("variable.mp4", 90, ticks);
        everyFrameIsExact(file, 90);
        const auto film = Film::open(file.toStdString());
        QVERIFY((*film)->info().variableRate);
        for (std::size_t i = 0; i < 90; ++i)
            QVERIFY(std::abs((*film)->times()[i] - ticks[i] / 30.0) < 1e-3);
    }
    void otherContainersAndCodecs_data() {
        QTest::addColumn<QString>("name");
        QTest::addColumn<QStringList>("how");
        const QStringList good = {"-an"};
        QTest::newRow("open groups in Matroska")
            << "open.mkv"
            << QStringList{"-c:v", "libx264", "-g", "25", "-bf", "3", "-crf", "18", "-x264-params", "open-gop=1"};
        QTest::newRow("HEVC") << "hevc.mp4" << QStringList{"-c:v", "libx265",      "-crf",
                                                           "18",   "-x265-params", "log-level=none:keyint=30"};
        QTest::newRow("MPEG-4 in AVI, no presentation times")
            << "old.avi" << QStringList{"-c:v", "mpeg4", "-q:v", "2", "-bf", "2", "-g", "20"};
        QTest::newRow("motion JPEG") << "mjpeg.mov" << QStringList{"-c:v", "mjpeg", "-q:v", "2"};
        QTest::newRow("VP9") << "vp9.webm" << QStringList{"-c:v",      "libvpx-vp9", "-b:v",      "2M",
                                                          "-deadline", "realtime",   "-cpu-used", "8"};
        QTest::newRow("HEVC, 10 bit") << "hevc10.mkv"
                                      << QStringList{"-c:v",         "libx265",
                                                     "-crf",         "18",
                                                     "-pix_fmt",     "yuv420p10le",
                                                     "-x265-params", "log-level=none:keyint=25:open-gop=1"};
        QTest::newRow("H.264, 10 bit") << "h10.mp4"
                                       << QStringList{"-c:v", "libx264", "-pix_fmt", "yuv420p10le", "-g", "30"};
        QTest::newRow("VP8") << "vp8.webm"
                             << QStringList{"-c:v", "libvpx", "-b:v", "2M", "-deadline", "realtime", "-cpu-used", "8"};
        QTest::newRow("AV1") << "av1.mkv" << QStringList{"-c:v", "libaom-av1", "-cpu-used", "8",      "-crf",
                                                         "30",   "-g",         "30",        "-usage", "realtime"};
        QTest::newRow("ProRes") << "prores.mov" << QStringList{"-c:v", "prores_ks"};
        QTest::newRow("MPEG-2 programme stream")
            << "old.mpg" << QStringList{"-c:v", "mpeg2video", "-q:v", "2", "-bf", "2", "-g", "15", "-f", "vob"};
        QTest::newRow("MPEG-4 in MP4") << "m4.mp4" << QStringList{"-c:v", "mpeg4", "-q:v", "2", "-bf", "2", "-g", "20"};
        QTest::newRow("FFV1") << "ffv1.mkv" << QStringList{"-c:v", "ffv1"};
        QTest::newRow("bare H.264, no times at all")
            << "bare.h264" << QStringList{"-c:v", "libx264", "-bf", "2", "-g", "30", "-f", "h264"};
        QTest::newRow("transport stream")
            << "camcorder.mts" << QStringList{"-c:v", "libx264", "-g", "30", "-bf", "2", "-crf", "18", "-f", "mpegts"};
    }
    void otherContainersAndCodecs() {
        QFETCH(QString, name);
        QFETCH(QStringList, how);
        const QString source = QFile::exists(path("source.mp4")) ? path("source.mp4") : make("source.mp4", 100);
        QVERIFY(ffmpeg(QStringList{"-i", source} + how + QStringList{"-vsync", "0", path(qPrintable(name))}));
        everyFrameIsExact(path(qPrintable(name)), 100);
        // What is shown in motion of a film too large to be kept whole.
        const auto film = Film::open(path(qPrintable(name)).toStdString());
        const DecodedPtr half = (*(*film)->decoded(FrameIndex(33)))->halved();
        QVERIFY(half && half->width() == (*film)->info().width && half->height() == (*film)->info().height);
        const auto picture = half->toPicture();
        QVERIFY(picture && picture->width == (*film)->info().width / 2);
        QCOMPARE(decodeNumber(*picture), 33);
    }
    void aCutWithAnEditList() {
        // Copying from the middle keeps packets before the cut and hides them by an edit list: frame 0 is the first one
        // shown.
        const QString source = make("long.mp4", 120);
        QVERIFY(ffmpeg({"-ss", "1.5", "-i", source, "-c", "copy", path("cut.mp4")}));
        const auto film = Film::open(path("cut.mp4").toStdString());
        QVERIFY(film.ok());
        const int first = decodeNumber(*(*film)->frame(FrameIndex(0)));
        for (int i = 0; i < (*film)->info().frames; i += 7)
            QCOMPARE(decodeNumber(*(*film)->frame(FrameIndex(i))), first + i);
        QCOMPARE((*film)->times().front(), 0.0);
    }
    void agreesWithFfprobe() {
        const QString file = make("probe.mp4", 77);
        QProcess p;
        p.start("ffprobe",
                {"-v", "error", "-select_streams", "v", "-show_entries", "frame=pts_time", "-of", "csv=p=0", file});
        QVERIFY(p.waitForFinished(240000));
        const auto lines = QString(p.readAllStandardOutput()).split('\n', Qt::SkipEmptyParts);
        const auto film = Film::open(file.toStdString());
        QCOMPARE((*film)->info().frames, lines.size());
        const double zero = lines[0].split(',')[0].toDouble();
        for (qsizetype i = 0; i < lines.size(); ++i)
            QVERIFY(std::abs((*film)->times()[static_cast<std::size_t>(i)] -
                             (lines[i].split(',')[0].toDouble() - zero)) < 1e-5);
    }
    void whatTheFilmSaysOfItself() {
        FilmWriterOptions o;
        o.captureRateTag = Hertz(120);
        const auto film = Film::open(make("tagged.mp4", 60, {}, o).toStdString());
        const auto& i = (*film)->info();
        QCOMPARE(i.codec, std::string("h264"));
        QCOMPARE(i.width, 320);
        QCOMPARE(i.height, 192);
        QVERIFY(std::abs(i.fileRate.value - 30) < 1e-6);
        QVERIFY(std::abs(i.duration - 2) < 1e-6);
        QVERIFY(!i.variableRate);
        QCOMPARE(i.keyFrames, 2);
        QVERIFY(i.captureRate && i.captureRate->value == 120);
        QVERIFY(!(*Film::open(make("untagged.mp4", 10).toStdString()))->info().captureRate);
    }
    void rotationIsObeyed() {
        QVERIFY(
            ffmpeg({"-i", make("upright.mp4", 12), "-c", "copy", "-metadata:s:v:0", "rotate=90", path("turned.mp4")}));
        const auto film = Film::open(path("turned.mp4").toStdString());
        QVERIFY(film.ok());
        if ((*film)->info().rotation == 0)
            QSKIP("this ffmpeg does not write the tag");
        QCOMPARE((*film)->info().width, 192);
        const auto p = (*film)->frame(FrameIndex(5));
        QVERIFY(p && p->width == 192 && p->height == 320);
        const DecodedPtr half = (*(*film)->decoded(FrameIndex(5)))->halved();
        QVERIFY(half && half->width() == 192 && half->height() == 320 && half->toPicture()->height == 160);
    }
    void lightnessAlone() {
        const auto file = make("light.mp4", 20).toStdString();
        Film::Options o;
        o.lightness = true;
        const auto film = Film::open(file), grey = Film::open(file, o);
        for (int f : {0, 7, 19}) {
            const auto a = (*film)->decoded(FrameIndex(f)), b = (*grey)->decoded(FrameIndex(f));
            QVERIFY(a && b);
            QVERIFY(3 * (*b)->bytes() < 2 * (*a)->bytes() + 3 * 4096);
            const auto shown = (*grey)->frame(FrameIndex(f));
            QVERIFY(shown.ok());
            QCOMPARE(decodeNumber(*shown), f);
            const auto pixel = shown->at(5, 60); // 0xAARRGGBB
            QVERIFY((pixel & 0xff) == (pixel >> 8 & 0xff) && (pixel & 0xff) == (pixel >> 16 & 0xff));
        }
    }
    void roughPicturesShowTheNearestPixels() {
        FilmWriterOptions o;
        o.width = 960;
        o.height = 540;
        auto film = Film::open(make("large.mp4", 8, {}, o).toStdString());
        const auto frame = (*film)->decoded(FrameIndex(5));
        QVERIFY(frame.ok());
        film->reset(); // pictures outlive their film
        QCOMPARE((*frame)->width(), 960);
        QCOMPARE((*frame)->height(), 540);
        const auto whole = (*frame)->toPicture();
        ShowOptions motion;
        motion.longestSide = 641;
        motion.rough = true;
        const auto rough = (*frame)->toPicture(motion);
        QCOMPARE(decodeNumber(*whole), 5);
        QCOMPARE(rough->width, 641);
        QCOMPARE(rough->height, 361);
        for (int y = 0; y < rough->height; ++y)
            for (int x = 0; x < rough->width; ++x) {
                const auto there = whole->at((2 * x + 1) * 960 / 1282, (2 * y + 1) * 540 / 722);
                QCOMPARE(rough->at(x, y), there);
            }
    }
    void walkedThroughEachPacketIsDecodedOnce() {
        Film::Options small;
        small.cacheBytes = 4 * 192 * 320 * 2; // so that nothing comes from memory
        const auto film = Film::open(make("once.mp4", 90).toStdString(), small);
        QVERIFY(film.ok());
        for (int f = 0; f < 90; ++f)
            QCOMPARE(decodeNumber(*(*film)->frame(FrameIndex(f))), f);
        const long there = (*film)->packetsDecoded();
        QVERIFY2(there >= 90 && there <= 98, qPrintable(QString::number(there))); // the first one was a jump
    }
    void walkedThroughBackwardsToo() {
        Film::Options group;
        group.cacheBytes = 64 * 192 * 320 * 2; // a group of thirty, and half another
        const auto film = Film::open(make("back.mp4", 90).toStdString(), group);
        QVERIFY(film.ok());
        for (int f = 89; f >= 0; --f) {
            const auto picture = (*film)->decoded(FrameIndex(f), true);
            QVERIFY(picture.ok());
            QCOMPARE(decodeNumber(*(*picture)->toPicture()), f);
        }
        QCOMPARE((*film)->packetsDecoded(), 90L);
    }
    void framesOutsideAreRefused() {
        const auto film = Film::open(make("short.mp4", 5).toStdString());
        QVERIFY(!(*film)->frame(FrameIndex(-1)));
        QVERIFY((*film)->frame(FrameIndex(5)).error().what.find("0 to 4") != std::string::npos);
        QVERIFY((*film)->frame(FrameIndex(4)).ok());
    }
    void badFilesGetAClearSentence() {
        const auto says = [&](const QString& file, const char* what) {
            const auto film = Film::open(file.toStdString());
            QVERIFY(!film);
            QVERIFY2(film.error().text().find(what) != std::string::npos, film.error().text().c_str());
            QVERIFY(film.error().untouched == "nothing was changed");
            QVERIFY(film.error().where.find('/') == std::string::npos);
        };
        says(path("not-there.mp4"), "no such file");
        QFile empty(path("empty.mp4"));
        QVERIFY(empty.open(QIODevice::WriteOnly));
        empty.close();
        says(path("empty.mp4"), "empty");
        QFile text(path("text.mp4"));
        QVERIFY(text.open(QIODevice::WriteOnly));
        text.write(QByteArray("This is no film. ").repeated(500));
        text.close();
        says(path("text.mp4"), "not a film");
        QVERIFY(QDir(m_dir.path()).mkdir("no-pictures"));
        says(path("no-pictures"), "folder");
        QVERIFY(ffmpeg({"-f", "lavfi", "-i", "sine=duration=1", path("sound.m4a")}));
        says(path("sound.m4a"), "sound only");
    }
    void cutOffAnywhereNeverCrashes() {
        // With its index in front, a cut film keeps its good frames; with the index behind, it is refused in words.
        const QString source = make("whole.mp4", 60);
        QVERIFY(ffmpeg({"-i", source, "-c", "copy", "-movflags", "+faststart", path("front.mp4")}));
        for (const char* name : {"whole.mp4", "front.mp4"}) {
            QFile file(path(name));
            QVERIFY(file.open(QIODevice::ReadOnly));
            const QByteArray bytes = file.readAll();
            for (int sixteenth = 1; sixteenth < 16; ++sixteenth) {
                QFile cut(path("cut-off.mp4"));
                QVERIFY(cut.open(QIODevice::WriteOnly));
                cut.write(bytes.left(bytes.size() * sixteenth / 16));
                cut.close();
                const auto film = Film::open(path("cut-off.mp4").toStdString());
                if (!film) {
                    QVERIFY(!film.error().what.empty());
                    continue;
                }
                int good = 0;
                for (int i = 0; i < (*film)->info().frames; ++i)
                    if (const auto p = (*film)->frame(FrameIndex(i)); p && decodeNumber(*p) == i)
                        ++good;
                QVERIFY2((*film)->info().framesLost > 0 || good == 60, name); // the loss is said
                QVERIFY(good >= (*film)->info().frames - 2);                  // the frame at the cut may be damaged
            }
        }
    }
    void flippedBytesNeverCrash() {
        QFile file(make("flip.mp4", 40));
        QVERIFY(file.open(QIODevice::ReadOnly));
        const QByteArray bytes = file.readAll();
        for (unsigned seed = 1; seed <= 40; ++seed) {
            std::mt19937 random(seed);
            QByteArray damaged = bytes;
            for (int k = 0; k < 20; ++k)
                damaged[static_cast<qsizetype>(random() % static_cast<unsigned>(bytes.size()))] =
                    static_cast<char>(random());
            QFile out(path("flipped.mp4"));
            QVERIFY(out.open(QIODevice::WriteOnly));
            out.write(damaged);
            out.close();
            if (const auto film = Film::open(path("flipped.mp4").toStdString()))
                for (int i = 0; i < std::min((*film)->info().frames, 60); i += 5)
                    (void)(*film)->frame(FrameIndex(i));
        }
    }
    void writingFailsInWords() {
        FilmWriterOptions o;
        o.width = 321;
        o.height = 192;
        QVERIFY(!FilmWriter::create(path("odd.mp4").toStdString(), o));
        o.width = 320;
        QVERIFY(!FilmWriter::create("/proc/no-film.mp4", o));
        auto w = FilmWriter::create(path("half.mp4").toStdString(), o);
        QVERIFY(w.ok());
        QVERIFY((*w)->add(coded(0)).ok());
        QVERIFY(!(*w)->add(coded(1, 160, 96)).ok());
        w = Error{}; // not finished: nothing stays behind
        QVERIFY(!QFile::exists(path("half.mp4")));
        QVERIFY(!QFile::exists(path("half.mp4.part")));
        // A link in the way of the half film is not followed.
        QFile precious(path("precious"));
        QVERIFY(precious.open(QIODevice::WriteOnly) && precious.write("precious") == 8);
        precious.close();
        QVERIFY(QFile::link(path("precious"), path("full.mp4.part")));
        const test::FullDisk small(20000);
        auto full = FilmWriter::create(path("full.mp4").toStdString(), o);
        bool failed = !full.ok();
        for (int i = 0; full.ok() && !failed && i < 400; ++i)
            failed = !(*full)->add(coded(i)).ok();
        if (full.ok() && !failed)
            failed = !(*full)->finish().ok();
        QVERIFY(failed);
        QVERIFY(!QFile::exists(path("full.mp4")));
        QCOMPARE(QFile(path("precious")).size(), qint64(8));
    }
};
QTEST_GUILESS_MAIN(TestFilm)
#include "test_film.moc"
