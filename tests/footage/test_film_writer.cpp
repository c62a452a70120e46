// Sound, chapters and times of written films, read back by this program and by ffprobe.

#include "footage/film.h"
#include "footage/film_writer.h"
#include "footage/sound.h"
#include "tests/support/coded_films.h"

#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

#include <cmath>

using namespace riflesso;
namespace fs = std::filesystem;

class TestFilmWriter : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    fs::path path(const char* name) const { return m_dir.filePath(name).toStdString(); }
    static QJsonObject probe(const fs::path& file, const QStringList& what) {
        QProcess p;
        p.start("ffprobe",
                QStringList{"-v", "error", "-of", "json"} + what + QStringList{QString::fromStdString(file.string())});
        p.waitForFinished(240000);
        return QJsonDocument::fromJson(p.readAllStandardOutput()).object();
    }
    static Sound tone(double hertz, double seconds, double rate = 48000.0) {
        Sound s;
        s.rate = rate;
        for (int i = 0; i < static_cast<int>(seconds * rate); ++i)
            s.samples.push_back(static_cast<float>(0.5 * std::sin(2 * M_PI * hertz * i / rate)));
        return s;
    }
private slots:
    void soundIsReadBackAsItWasWritten() {
        const Sound s = tone(440.0, 0.5);
        QVERIFY(writeSound(path("tone.wav"), s));
        const auto back = soundOf(path("tone.wav"), 48000.0);
        QVERIFY2(back.ok(), back ? "" : back.error().text().c_str());
        QCOMPARE(back->samples.size(), s.samples.size());
        double worst = 0.0;
        for (std::size_t i = 0; i < s.samples.size(); ++i)
            worst = std::max(worst, static_cast<double>(std::abs(back->samples[i] - s.samples[i])));
        QVERIFY2(worst < 1.0 / 20000, qPrintable(QString::number(worst)));
        const auto stream = probe(path("tone.wav"), {"-show_streams"})["streams"].toArray()[0].toObject();
        QCOMPARE(stream["codec_name"].toString(), QString("pcm_s16le"));
        QCOMPARE(stream["channels"].toInt(), 1);
        QCOMPARE(stream["sample_rate"].toString(), QString("48000"));
    }
    void whatIsTooLoudIsCutAndWhatIsEmptyIsAFile() {
        Sound s;
        s.rate = 8000.0;
        s.samples = {0.0f, 3.0f, -3.0f, 1.0f};
        QVERIFY(writeSound(path("loud.wav"), s));
        const auto back = soundOf(path("loud.wav"), 8000.0);
        QVERIFY(back.ok() && back->samples.size() == 4);
        QVERIFY(back->samples[1] > 0.99f && back->samples[1] <= 1.0f && back->samples[2] < -0.99f);
        s.samples.clear();
        QVERIFY(writeSound(path("empty.wav"), s));
        QVERIFY(!soundOf(path("empty.wav"), 8000.0).ok()); // holds nothing, and says so
        QVERIFY(!writeSound("/proc/none/x.wav", s).ok());
    }
    void chaptersHaveNamesAndTimes() {
        FilmWriterOptions o;
        o.width = 320;
        o.height = 192;
        o.rate = Hertz(25);
        o.chapters = {{0.0, 0.4, "The hand"},
                      {0.4, 1.2,
                       "\xc3\x89p\xc3\xa9"
                       "e <&> \"x\""}};
        makeCoded(m_dir.filePath("chapters.mp4"), 30, {}, o);
        const auto chapters = probe(path("chapters.mp4"), {"-show_chapters"})["chapters"].toArray();
        QCOMPARE(chapters.size(), 2);
        QCOMPARE(chapters[0].toObject()["tags"].toObject()["title"].toString(), QString("The hand"));
        QCOMPARE(chapters[1].toObject()["tags"].toObject()["title"].toString(), QString::fromUtf8("Épée <&> \"x\""));
        QVERIFY(std::abs(chapters[1].toObject()["start_time"].toString().toDouble() - 0.4) < 0.005);
        const auto film = Film::open(path("chapters.mp4"));
        QVERIFY(film.ok());
        QCOMPARE((*film)->info().frames, 30); // the names are no pictures
        for (const int f : {0, 13, 29})
            QCOMPARE(decodeNumber(*(*film)->frame(FrameIndex(f))), f);
        QVERIFY(probe(path("chapters.mp4"), {"-show_streams", "-select_streams", "v"})["streams"].toArray().size() ==
                1);
    }
    void soundRunsBesideThePictures() {
        FilmWriterOptions o;
        o.width = 320;
        o.height = 192;
        o.rate = Hertz(25);
        o.soundRate = 48000.0;
        auto writer = FilmWriter::create(path("spoken.mp4"), o);
        QVERIFY(writer.ok());
        for (int f = 0; f < 50; ++f)
            QVERIFY((*writer)->add(coded(f, 320, 192)));
        QVERIFY((*writer)->addSound(tone(1000.0, 2.0).samples));
        QVERIFY((*writer)->finish());
        const auto streams = probe(path("spoken.mp4"), {"-show_streams"})["streams"].toArray();
        QCOMPARE(streams.size(), 2);
        const auto sound = soundOf(path("spoken.mp4"), 48000.0);
        QVERIFY(sound.ok());
        QVERIFY(std::abs(static_cast<double>(sound->samples.size()) / 48000.0 - 2.0) < 0.06);
        // A tone of 1 kHz: two thousand changes of sign a second.
        int signs = 0;
        for (std::size_t i = 24001; i < 72000; ++i)
            signs += (sound->samples[i] > 0) != (sound->samples[i - 1] > 0);
        QVERIFY2(std::abs(signs - 2000) < 20, qPrintable(QString::number(signs)));
    }
    void whatIsRefusedLeavesNothing() {
        FilmWriterOptions o;
        o.width = 321;
        o.height = 192;
        QVERIFY(!FilmWriter::create(path("odd.mp4"), o).ok());
        o.width = 320;
        o.rate = Hertz(0);
        QVERIFY(!FilmWriter::create(path("odd.mp4"), o).ok());
        o.rate = Hertz(25);
        {
            auto writer = FilmWriter::create(path("odd.mp4"), o);
            QVERIFY(writer.ok());
            QVERIFY(!(*writer)->add(Picture(64, 64)).ok()); // of another size
            QVERIFY((*writer)->add(coded(0, 320, 192), 3));
            QVERIFY(!(*writer)->add(coded(1, 320, 192), 2).ok()); // back in time
            QVERIFY(!(*writer)->addSound({0.0f}).ok());           // begun without
        }
        QVERIFY(!fs::exists(path("odd.mp4")) && !fs::exists(path("odd.mp4.part")));
    }
};
QTEST_GUILESS_MAIN(TestFilmWriter)
#include "test_film_writer.moc"
