// Films that are odd, and films that are damaged: all good frames, one clear sentence, never a crash or a wait.

#include "tests/support/coded_films.h"

#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QImage>
#include <QTemporaryDir>
#include <QTest>

#include <random>

using namespace riflesso;

namespace {

// A bit stream as ITU-T H.264 (clause 7.2, 9.1) writes it.
class Bits {
public:
    void u(int bits, unsigned value) {
        for (int i = bits - 1; i >= 0; --i) {
            if (m_free == 0) {
                m_bytes.push_back(0);
                m_free = 8;
            }
            m_bytes.back() = static_cast<char>(m_bytes.back() | static_cast<char>((value >> i & 1u) << --m_free));
        }
    }
    void ue(unsigned value) { // Exp-Golomb
        int length = 0;
        while ((value + 1) >> (length + 1))
            ++length;
        u(length, 0);
        u(length + 1, value + 1);
    }
    void align() { m_free = 0; }
    void end() {
        u(1, 1);
        align();
    }
    // With start code and emulation prevention (7.4.1).
    [[nodiscard]] QByteArray nal(char header) const {
        QByteArray out("\0\0\0\1", 4);
        out += header;
        int zeros = 0;
        for (char c : m_bytes) {
            if (zeros >= 2 && static_cast<unsigned char>(c) <= 3) {
                out += '\3';
                zeros = 0;
            }
            zeros = c == 0 ? zeros + 1 : 0;
            out += c;
        }
        return out;
    }

private:
    std::string m_bytes;
    int m_free = 0;
};

// An H.264 stream in which each field is a picture of its own: no encoder at hand writes one. Every macroblock is PCM,
// so that no more than the syntax of clause 7.3 is needed. Field k carries number k.
QByteArray fieldPictures(int pairs) {
    constexpr int kWide = 20, kHigh = 6; // macroblocks of a field
    constexpr int kGroup = 6;
    Bits sps;
    for (unsigned v : {77u, 0u, 30u})
        sps.u(8, v);
    for (unsigned v : {0u, 0u, 0u, 4u, 1u}) // id, 4 bits of frame_num, order by count, in 8 bits, one reference
        sps.ue(v);
    sps.u(1, 0);
    sps.ue(kWide - 1);
    sps.ue(kHigh - 1);
    for (unsigned v : {0u, 0u, 1u, 0u, 0u}) // fields allowed, not mixed in a frame, direct 8x8, no crop, nothing more
        sps.u(1, v);
    sps.end();
    Bits pps;
    pps.ue(0);
    pps.ue(0);
    pps.u(2, 0);
    for (int i = 0; i < 3; ++i)
        pps.ue(0);
    pps.u(3, 0);
    for (int i = 0; i < 3; ++i)
        pps.ue(0);
    pps.u(3, 4); // slices say how edges are smoothed
    pps.end();
    QByteArray out;
    for (int pair = 0; pair < pairs; ++pair) {
        const auto inGroup = static_cast<unsigned>(pair % kGroup);
        if (inGroup == 0)
            out += sps.nal(0x67) + pps.nal(0x68);
        for (int field : {0, 1}) {
            const Picture p = coded(2 * pair + field);
            Bits s;
            s.ue(0);
            s.ue(7);
            s.ue(0);
            const bool restart = inGroup == 0 && field == 0;
            s.u(4, inGroup);
            s.u(1, 1);
            s.u(1, static_cast<unsigned>(field));
            if (restart)
                s.ue(static_cast<unsigned>(pair / kGroup % 2));
            s.u(8, 2 * inGroup + static_cast<unsigned>(field));
            s.u(restart ? 2 : 1, 0);
            s.ue(0);
            s.ue(1); // edges stay as they are
            for (int mb = 0; mb < kWide * kHigh; ++mb) {
                s.ue(25); // PCM
                s.align();
                for (int i = 0; i < 256; ++i) {
                    const int x = mb % kWide * 16 + i % 16, y = 2 * (mb / kWide * 16 + i / 16) + field;
                    s.u(8, 16 + (p.at(x, y) & 0xff) * 219 / 255);
                }
                for (int i = 0; i < 128; ++i)
                    s.u(8, 128);
            }
            s.end();
            out += s.nal(restart ? 0x65 : 0x61);
        }
    }
    return out;
}

} // namespace

class TestCorpus : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString m_source;
    QString path(const char* name) const { return m_dir.filePath(name); }
    QString made(const char* name, const QStringList& how) const {
        if (!runFfmpeg(how + QStringList{path(name)}))
            qFatal("ffmpeg could not make %s", name);
        return path(name);
    }
    static std::unique_ptr<Film> open(const QString& file) {
        auto film = Film::open(file.toStdString());
        if (!film)
            qWarning("%s", film.error().text().c_str());
        return film ? std::move(*film) : nullptr;
    }
    static int number(Film& film, int frame) {
        const auto p = film.frame(FrameIndex(frame));
        return p ? decodeNumber(*p) : -1;
    }
    QByteArray bytes(const QString& file) const {
        QFile f(file);
        return f.open(QIODevice::ReadOnly) ? f.readAll() : QByteArray();
    }
    QString write(const char* name, const QByteArray& b) const {
        QFile f(path(name));
        if (!f.open(QIODevice::WriteOnly) || f.write(b) != b.size())
            qFatal("write");
        return f.fileName();
    }
    // Opened or refused in words, its frames good or refused in words, within ten seconds.
    static void survives(const QString& file, int every = 1) {
        QElapsedTimer clock;
        clock.start();
        const auto film = Film::open(file.toStdString());
        if (film) {
            for (int i = 0; i < std::min((*film)->info().frames, 80); i += every)
                if (const auto p = (*film)->frame(FrameIndex(i)); !p)
                    QVERIFY(!p.error().what.empty());
            QVERIFY((*film)->cache().used() <= (*film)->cache().limit());
        } else {
            QVERIFY(!film.error().what.empty() && film.error().where.find('/') == std::string::npos);
        }
        QVERIFY2(clock.elapsed() < 10000, qPrintable(file));
    }
private slots:
    void initTestCase() { m_source = makeCoded(path("source.mp4"), 60); }

    // Each field is a picture in time: film k is field k of a film woven from twice as many pictures.
    void interlacedFields() {
        const QString woven =
            made("fields.mkv", {"-i", m_source, "-vf", "tinterlace=interleave_top,setfield=tff", "-c:v", "libx264",
                                "-crf", "12", "-flags", "+ilme+ildct", "-x264-params", "tff=1"});
        auto film = open(woven);
        QVERIFY(film && film->info().interlaced);
        QCOMPARE(film->info().frames, 60);
        QCOMPARE(film->info().height, 192);
        for (int i : {0, 1, 2, 31, 30, 59, 7})
            QCOMPARE(number(*film, i), i);
        for (int i = 59; i >= 0; --i)
            QCOMPARE(number(*film, i), i);
        const auto& t = film->times();
        QVERIFY(std::abs(t[1] - t[0] - (t[2] - t[0]) / 2) < 1e-6);
    }
    // Camcorders write each field as a picture of its own, and give only the first of a pair a time.
    void aPacketForEachField() {
        write("paff.264", fieldPictures(24));
        for (const char* name : {"paff.mts", "paff.mkv", "paff.mp4"}) {
            auto film = open(made(name, {"-r", "50", "-f", "h264", "-i", path("paff.264"), "-c", "copy"}));
            QVERIFY2(film && film->info().interlaced, name);
            QCOMPARE(film->info().frames, 48);
            QCOMPARE(film->info().height, 192);
            for (int i : {0, 1, 47, 20, 21, 3, 46})
                QVERIFY2(number(*film, i) == i, qPrintable(QString("%1 %2").arg(name).arg(i)));
            for (int i = 47; i >= 0; --i)
                QVERIFY2(number(*film, i) == i, name);
            const auto& t = film->times();
            QVERIFY2(std::abs(t[40] - 0.8) < 1e-3 && std::abs(t[41] - 0.82) < 1e-3, name);
        }
    }
    void pixelsThatAreNotSquare() {
        auto film = open(made("wide.mp4", {"-i", m_source, "-vf", "setsar=4/3", "-c:v", "libx264"}));
        QVERIFY(film);
        QCOMPARE(film->info().width, 427);
        QCOMPARE(film->info().height, 192);
        const auto p = film->frame(FrameIndex(9));
        QVERIFY(p && p->width == 427);
        QCOMPARE(decodeNumber(*p), 9);
    }
    // Where the container is silent only the stream itself says it.
    void pixelsThatOnlyTheStreamKnows() {
        const QString stream =
            made("wide.264", {"-i", m_source, "-vf", "setsar=4/3", "-c:v", "libx264", "-bf", "0", "-g", "12"});
        // The same pictures under a header that says nothing of it: the tag is taken out after the stream was copied
        // in. Matroska's element of the shown width becomes an empty space of the same length.
        QByteArray b = bytes(made("said.mkv", {"-r", "30", "-f", "h264", "-i", stream, "-c", "copy"}));
        const auto shown = b.indexOf(QByteArray::fromHex("54B0"));
        QVERIFY(shown >= 0);
        b[shown + 1] = static_cast<char>(0x80 | (1 + (static_cast<unsigned char>(b[shown + 2]) & 0x7f)));
        b[shown] = static_cast<char>(0xEC);
        auto film = open(write("said.mkv", b));
        QVERIFY(film);
        QCOMPARE(film->info().width, 427);
        const auto p = film->frame(FrameIndex(9));
        QVERIFY(p && p->width == 427);
        QCOMPARE(decodeNumber(*p), 9);
    }
    void aStartBelowZero() {
        auto film = open(made("negative.mkv", {"-i", m_source, "-c", "copy", "-output_ts_offset", "-0.5",
                                               "-avoid_negative_ts", "disabled"}));
        QVERIFY(film);
        QCOMPARE(film->times().front(), 0.0);
        QCOMPARE(number(*film, 33), 33);
    }
    void aFolderOfPictures() {
        QVERIFY(QDir(m_dir.path()).mkdir("pictures"));
        for (int i = 0; i < 12; ++i) {
            const Picture p = coded(i);
            const QImage image(reinterpret_cast<const uchar*>(p.pixels.data()), p.width, p.height,
                               QImage::Format_RGB32);
            QVERIFY(image.save(path("pictures") + QString("/shot%1.png").arg(i + 1))); // shot10 comes after shot9
        }
        auto film = open(path("pictures"));
        QVERIFY(film && film->info().timesInvented);
        QCOMPARE(film->info().frames, 12);
        for (int i : {11, 0, 10, 9, 3})
            QCOMPARE(number(*film, i), i);
    }
    void timesThatRunBackwards() {
        // A camcorder that was stopped and started: the second half begins at zero again.
        const QString ts = made("half.ts", {"-i", m_source, "-c", "copy", "-f", "mpegts"});
        auto film = open(write("twice.ts", bytes(ts) + bytes(ts)));
        QVERIFY(film);
        QCOMPARE(film->info().frames, 120);
        QVERIFY(film->info().timesMended > 0);
        for (std::size_t i = 1; i < film->times().size(); ++i)
            QVERIFY(film->times()[i] > film->times()[i - 1]);
        for (int i : {0, 59, 60, 119, 75, 30})
            QCOMPARE(number(*film, i), i % 60);
    }
    void timesThatRepeat() {
        auto film = open(made("same.mkv", {"-i", m_source, "-vf", "settb=1/1000,setpts=floor(N/2)*66", "-vsync",
                                           "passthrough", "-c:v", "ffv1", "-enc_time_base", "1/1000"}));
        QVERIFY(film);
        QVERIFY(film->info().frames >= 30);
        QCOMPARE(number(*film, film->info().frames - 1), 59);
        for (std::size_t i = 1; i < film->times().size(); ++i)
            QVERIFY(film->times()[i] > film->times()[i - 1]);
    }
    void ratesThatLie() {
        for (const char* rate : {"0", "1000", "-5", "nonsense"}) {
            auto film = open(
                made("tag.mp4", {"-i", m_source, "-c", "copy", "-metadata",
                                 QString("com.android.capture.fps=%1").arg(rate), "-movflags", "use_metadata_tags"}));
            QVERIFY(film);
            QCOMPARE(film->info().captureRate.has_value(), QString(rate) == "1000");
            QCOMPARE(number(*film, 20), 20);
        }
        auto fast = open(made("fast.mp4", {"-r", "1000", "-i", m_source, "-c:v", "libx264"}));
        QVERIFY(fast && std::abs(fast->info().fileRate.value - 1000) < 1);
    }
    void twoPictureTracks() {
        auto film = open(made("two.mkv", {"-i", m_source, "-i", m_source, "-map", "0", "-map", "1", "-c:v:0", "copy",
                                          "-c:v:1", "mjpeg"}));
        QVERIFY(film);
        QCOMPARE(film->info().frames, 60);
        QCOMPARE(number(*film, 41), 41);
    }
    void aWrongEnding() {
        QVERIFY(QFile::copy(m_source, path("film.txt")));
        auto film = open(path("film.txt"));
        QVERIFY(film);
        QCOMPARE(number(*film, 5), 5);
    }
    void verySmallVeryLargeVeryShort() {
        auto dot =
            open(made("dot.mkv", {"-f", "lavfi", "-i", "color=red:size=16x16:rate=10:duration=1,format=rgb24,crop=1:1",
                                  "-c:v", "png"}));
        QVERIFY(dot && dot->frame(FrameIndex(9)).ok());
        QVERIFY((dot->frame(FrameIndex(9))->at(0, 0) & 0xff0000) > 0xf00000);
        auto huge = open(made("huge.avi", {"-f", "lavfi", "-i", "testsrc2=size=8192x4320:rate=5:duration=2.4", "-c:v",
                                           "mjpeg", "-q:v", "8"}));
        QVERIFY(huge);
        for (int i = huge->info().frames - 1; i >= 0; --i) {
            QVERIFY(huge->decoded(FrameIndex(i)).ok());
            QVERIFY(huge->cache().used() <= huge->cache().limit());
        }
        auto one = open(made("one.mp4", {"-i", m_source, "-frames:v", "1", "-c:v", "libx264"}));
        QVERIFY(one);
        QCOMPARE(one->info().frames, 1);
        QCOMPARE(number(*one, 0), 0);
    }
    void twoHundredThousandFrames() {
        const QString file = made("long.mp4", {"-f", "lavfi", "-i", "color=gray:size=16x16:rate=1000:duration=200",
                                               "-c:v", "mpeg4", "-g", "250", "-q:v", "31"});
        QElapsedTimer clock;
        clock.start();
        auto film = open(file);
        QVERIFY(film);
        QCOMPARE(film->info().frames, 200000);
        for (int i : {199999, 0, 123456, 123455})
            QVERIFY(film->frame(FrameIndex(i)).ok());
        QVERIFY(clock.elapsed() < 10000);
    }
    void cutAtEverySixteenth_data() {
        QTest::addColumn<QStringList>("how");
        QTest::addColumn<QString>("name");
        QTest::newRow("MP4") << QStringList{"-c", "copy"} << "c.mp4";
        QTest::newRow("MP4, table in front") << QStringList{"-c", "copy", "-movflags", "+faststart"} << "f.mp4";
        QTest::newRow("Matroska") << QStringList{"-c", "copy"} << "c.mkv";
        QTest::newRow("transport stream") << QStringList{"-c", "copy", "-f", "mpegts"} << "c.mts";
        QTest::newRow("AVI") << QStringList{"-c:v", "mpeg4", "-bf", "2"} << "c.avi";
    }
    void cutAtEverySixteenth() {
        QFETCH(QStringList, how);
        QFETCH(QString, name);
        const QByteArray all = bytes(made(qPrintable(name), QStringList{"-i", m_source} + how));
        for (int k = 0; k <= 16; ++k)
            survives(write(qPrintable("cut-" + name), all.left(all.size() * k / 16)));
        // A stream without a table at its end keeps what is there: nearly half the frames, each the right one.
        if (name == "c.mkv" || name == "c.mts" || name == "f.mp4") {
            auto film = open(write(qPrintable("half-" + name), all.left(all.size() / 2)));
            QVERIFY(film && film->info().frames >= 20);
            int good = 0;
            for (int i = 0; i < film->info().frames; ++i)
                good += number(*film, i) == i;
            QVERIFY2(good >= film->info().frames - 2,
                     qPrintable(QString("%1 of %2").arg(good).arg(film->info().frames)));
        }
    }
    // A thousand damaged films; RIFLESSO_SEEDS makes it shorter under the sanitizers.
    void flippedBytes() {
        const int seeds =
            qEnvironmentVariableIntValue("RIFLESSO_SEEDS") > 0 ? qEnvironmentVariableIntValue("RIFLESSO_SEEDS") : 1000;
        FilmWriterOptions o;
        o.width = 64;
        o.height = 48;
        const QString small = makeCoded(path("small.mp4"), 24, {}, o);
        const QByteArray kinds[] = {bytes(small), bytes(made("small.mkv", {"-i", small, "-c", "copy"})),
                                    bytes(made("small.ts", {"-i", small, "-c", "copy", "-f", "mpegts"})),
                                    bytes(made("small.avi", {"-i", small, "-c:v", "mpeg4", "-bf", "2"}))};
        for (int seed = 1; seed <= seeds; ++seed) {
            std::mt19937 random(static_cast<unsigned>(seed));
            QByteArray damaged = kinds[seed % 4];
            const int flips = 1 + static_cast<int>(random() % 24);
            for (int k = 0; k < flips; ++k)
                damaged[static_cast<qsizetype>(random() % static_cast<unsigned>(damaged.size()))] =
                    static_cast<char>(random());
            survives(write("flipped.bin", damaged), 7);
            if (QTest::currentTestFailed())
                return;
        }
    }
    // Counts and times as ffprobe decodes them, on the films that Debian ships with OpenCV's documentation.
    void agreesWithFfprobeOnFilmsOfOthers_data() {
        QTest::addColumn<QString>("file");
        for (const char* name : {"vtest.avi", "tree.avi", "Megamind.avi", "Megamind_bugy.avi"})
            QTest::newRow(name) << QString("/usr/share/doc/opencv-doc/examples/data/") + name;
        for (const char* name : {"box.mp4", "cup.mp4"})
            QTest::newRow(name) << QString("/usr/share/doc/opencv-doc/opencv4/html/") + name + ".gz";
    }
    void agreesWithFfprobeOnFilmsOfOthers() {
        QFETCH(QString, file);
        if (file.endsWith(".gz")) {
            QProcess unpack;
            const QString plain = path(qPrintable(QFileInfo(file).completeBaseName()));
            unpack.setStandardOutputFile(plain);
            unpack.start("gzip", {"-dc", file});
            QVERIFY(unpack.waitForFinished(240000) && unpack.exitCode() == 0);
            file = plain;
        }
        QVERIFY2(QFile::exists(file), "the package opencv-doc is missing");
        QProcess p;
        p.start("ffprobe", {"-v", "error", "-select_streams", "v:0", "-show_entries",
                            "frame=best_effort_timestamp_time", "-of", "csv=p=0", file});
        QVERIFY(p.waitForFinished(240000));
        std::vector<double> theirs;
        for (const QString& line : QString(p.readAllStandardOutput()).split('\n', Qt::SkipEmptyParts))
            theirs.push_back(line.split(',')[0].toDouble());
        auto film = open(file);
        QVERIFY(film);
        QVERIFY2(film->info().frames == static_cast<int>(theirs.size()),
                 qPrintable(QString("%1 against %2").arg(film->info().frames).arg(theirs.size())));
        if (film->info().timesMended == 0)
            for (std::size_t i = 0; i < theirs.size(); ++i)
                QVERIFY2(
                    std::abs(film->times()[i] - (theirs[i] - theirs[0])) < 2e-3,
                    qPrintable(
                        QString("frame %1: %2 against %3").arg(i).arg(film->times()[i]).arg(theirs[i] - theirs[0])));
        QVERIFY(film->frame(FrameIndex(film->info().frames - 1)).ok());
        QVERIFY(film->frame(FrameIndex(film->info().frames / 2)).ok());
    }
};
QTEST_GUILESS_MAIN(TestCorpus)
#include "test_corpus.moc"
