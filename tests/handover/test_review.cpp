// The review: scenes, the pointer, lengths, what is drawn of a scene whose rep is gone, what fails and leaves nothing.

#include "handover/review_film.h"

#include "files/write_file.h"

#include <QFile>
#include <QGuiApplication>
#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <cstdint>

using namespace riflesso;
namespace fs = std::filesystem;

class TestReview : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    CaseData m_data;
    Blueprint m_blueprint;
    Analysis m_analysis;
    FilmedCase filmed() const { return {m_data, m_blueprint, m_analysis, {}}; }
    fs::path path(const char* name) const { return m_dir.filePath(name).toStdString(); }
    static Scene words(const char* text, double seconds = 1.0) {
        Scene s;
        s.words = text;
        s.seconds = seconds;
        return s;
    }
    static int light(const QImage& image) {
        int n = 0;
        for (int y = 0; y < image.height(); ++y)
            for (int x = 0; x < image.width(); ++x)
                n += image.pixelColor(x, y).lightness() > 60;
        return n;
    }
    static QImage pointed(const std::vector<PointerSample>& pointer, double at) {
        QImage image(400, 200, QImage::Format_RGB32);
        image.fill(Qt::black);
        QPainter p(&image);
        drawPointer(p, QRectF(image.rect()), pointer, at);
        p.end();
        return image;
    }
private slots:
    void numbersAreNeverUsedAgain() {
        Review r;
        QCOMPARE(addScene(r, words("a")), 1);
        QCOMPARE(addScene(r, words("b")), 2);
        r.scenes.pop_back();
        QCOMPARE(addScene(r, words("c")), 3); // a voice of the one before is not taken for this one's
        QVERIFY(voiceFile("/x", r.scenes[0]) != voiceFile("/x", r.scenes[1]));
        // Kept and read again the next number is still free.
        QVERIFY(keepReview(path("numbers"), r));
        auto again = **readReview(path("numbers"));
        QCOMPARE(addScene(again, words("d")), 4);
        QCOMPARE(reviewFolder("/lib", 7), fs::path("/lib/reviews/case-7"));
    }
    void anEmptyCaseHasAnEmptyReview() {
        QVERIFY(proposedReview(m_data, m_blueprint, m_analysis).scenes.empty());
        CaseData talked;
        talked.brief.thinks = "My legs.";
        const auto r = proposedReview(talked, m_blueprint, m_analysis);
        QCOMPARE(r.scenes.size(), std::size_t(1));
        QCOMPARE(r.scenes[0].kind, SceneKind::said);
        QVERIFY(r.scenes[0].words.find("My legs.") != std::string::npos);
    }
    void aSceneLastsAsLongAsItsVoice() {
        Scene s = words("x", 6.0);
        QCOMPARE(lengthOf(s, std::nullopt, 30.0), 6.0);
        Sound voice;
        voice.rate = 48000.0;
        voice.samples.assign(48000 * 2 + 1, 0.0f);
        // A whole number of pictures, and none of the voice is cut.
        const double length = lengthOf(s, voice, 30.0);
        QVERIFY(length >= 2.0 + 1.0 / 48000 && length < 2.0 + 1.5 / 30);
        QVERIFY(std::abs(length * 30 - std::round(length * 30)) < 1e-9);
        voice.samples.clear();
        QVERIFY(lengthOf(s, voice, 30.0) > 0.0); // never nothing
    }
    void theLightIsWhereThePointerIsAndGoes() {
        const std::vector<PointerSample> p = {{0.1, 0.25, 0.5, false}, {0.5, 0.75, 0.5, false}};
        QCOMPARE(light(pointed(p, 0.0)), 0); // not there yet
        const QImage first = pointed(p, 0.2), second = pointed(p, 0.6);
        QVERIFY(first.pixelColor(100, 100).lightness() > 80 && first.pixelColor(300, 100).lightness() < 20);
        QVERIFY(second.pixelColor(300, 100).lightness() > 80 && second.pixelColor(100, 100).lightness() < 20);
        QCOMPARE(light(pointed(p, 3.0)), 0); // no news of it: it goes
        QCOMPARE(light(pointed({}, 1.0)), 0);
    }
    void strokesFade() {
        std::vector<PointerSample> p;
        for (int i = 0; i <= 10; ++i)
            p.push_back({0.05 * i, 0.2 + 0.06 * i, 0.5, true});
        const int fresh = light(pointed(p, 0.5)), later = light(pointed(p, 1.6)), gone = light(pointed(p, 2.6));
        QVERIFY2(fresh > later && later > 0 && gone == 0,
                 qPrintable(QString("%1, %2, %3").arg(fresh).arg(later).arg(gone)));
        // Two strokes are not joined.
        p.push_back({0.7, 0.9, 0.1, false});
        p.push_back({0.8, 0.1, 0.1, true});
        p.push_back({0.9, 0.15, 0.1, true});
        QVERIFY(pointed(p, 0.95).pixelColor(200, 20).lightness() < 30);
    }
    void wordsAloneFillTheirPicture() {
        ReviewFilmOptions o;
        o.width = 640;
        o.height = 360;
        const auto one = ScenePictures::open(filmed(), words("A word"), o);
        QVERIFY(one.ok());
        QCOMPARE((*one)->count(), std::size_t(1));
        const QImage a = *(*one)->at(0.0), b = *(*one)->at(5.0);
        QCOMPARE(a.size(), QSize(640, 360));
        QVERIFY(a == b && light(a) > 50);
        // However much is written, it is all on the picture: the letters grow smaller.
        const auto much = ScenePictures::open(filmed(), words(std::string(1800, 'm').c_str()), o);
        QVERIFY(much.ok() && light(*(*much)->at(0.0)) > light(a));
        Scene gone = words("Its rep was taken away");
        gone.rep = 4711;
        QVERIFY(ScenePictures::open(filmed(), gone, o).ok());
    }
    void aFilmOfScenes() {
        Review r;
        addScene(r, words("one", 1.0));
        addScene(r, words("two", 2.0));
        r.scenes[1].caption = "said otherwise";
        ReviewFilmOptions o;
        o.width = 320;
        o.height = 180;
        o.rate = 10.0;
        QVERIFY(writeReviewFilm(filmed(), r, path("none"), path("film.mp4"), o));
        const auto film = Film::open(path("film.mp4"));
        QVERIFY(film.ok());
        QCOMPARE((*film)->info().frames, 30);
        QVERIFY(!(*film)->info().sound); // nobody spoke
        const auto text = readFile(path("film.vtt"));
        QVERIFY(text.ok() && text->find("said otherwise") != std::string::npos &&
                text->find("00:00:01.000 --> 00:00:03.000") != std::string::npos);
        QVERIFY(fs::exists(path("film-1.png")) && fs::exists(path("film-2.png")) && !fs::exists(path("film-3.png")));
        // Upright, for a telephone.
        std::swap(o.width, o.height);
        QVERIFY(writeReviewFilm(filmed(), r, path("none"), path("upright.mp4"), o));
        QCOMPARE((*Film::open(path("upright.mp4")))->info().height, 320);
    }
    void oneVoiceForTheWholeFilm() {
        Review r;
        addScene(r, words("one", 1.0));
        addScene(r, words("two", 3.0));
        Sound voice;
        voice.rate = 48000.0;
        voice.samples.assign(48000 * 2, 0.25f);
        ReviewFilmOptions o;
        o.width = 320;
        o.height = 180;
        o.rate = 10.0;
        QVERIFY(writeReviewFilm(filmed(), r, path("none"), path("whole.mp4"), o, voice));
        const auto film = Film::open(path("whole.mp4"));
        QVERIFY(film.ok() && (*film)->info().sound);
        QCOMPARE((*film)->info().frames, 20); // the scenes share two seconds as one to three
        voice.rate = 16000.0;
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("slow.mp4"), o, voice).ok());
    }
    // Whatever becomes of the file: a review, or words; never anything between.
    void aMutatedReviewIsReadOrRefused() {
        Review r;
        for (int k = 0; k < 4; ++k) {
            Scene s = words("scene", 2.0 + k);
            s.kind = static_cast<SceneKind>(k);
            s.frame = FrameIndex(7 * k);
            s.pointer = {{0.1 * k, 0.5, 0.5, k % 2 == 0}};
            addScene(r, s);
        }
        QVERIFY(keepReview(path("mutated"), r));
        const auto whole = *readFile(path("mutated") / "review.json");
        std::uint32_t random = 12345;
        const auto next = [&](std::size_t below) {
            random = random * 1664525u + 1013904223u;
            return static_cast<std::size_t>(random >> 8) % below;
        };
        int read = 0, refused = 0;
        for (int trial = 0; trial < 400; ++trial) {
            std::string bad = whole;
            if (trial % 4 == 0)
                bad.resize(next(bad.size()));
            else
                for (std::size_t k = 0; k <= next(4); ++k)
                    bad[next(bad.size())] = static_cast<char>(next(256));
            QVERIFY(writeFile(path("mutated") / "review.json", bad));
            const auto again = readReview(path("mutated"));
            ++(again.ok() ? read : refused);
            if (again.ok() && *again)
                for (const auto& s : (*again)->scenes) {
                    QVERIFY(s.id > 0 && s.seconds >= 1.0 && s.seconds <= 120.0);
                    for (const auto& p : s.pointer)
                        QVERIFY(p.x >= 0.0 && p.x <= 1.0 && p.y >= 0.0 && p.y <= 1.0);
                }
        }
        QVERIFY2(refused > 200 && read > 0, qPrintable(QString("%1 and %2").arg(refused).arg(read)));
    }
    // Stopped in the second scene: the first is not made again, and its voice is at its place.
    void aStoppedOneGoesOn() {
        ReviewFilmOptions o;
        o.width = 320;
        o.height = 180;
        Review r;
        addScene(r, words("one"));
        addScene(r, words("two"));
        Sound voice;
        voice.rate = 48000.0;
        voice.samples.assign(48000 * 4, 0.25f);
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("on.mp4"), o, voice,
                                 [&](double share) { return share < 0.7; }));
        QVERIFY(fs::exists(path("on.pieces") / "1.mp4") && !fs::exists(path("on.mp4")));
        double first = 1.0;
        QVERIFY(writeReviewFilm(filmed(), r, path("none"), path("on.mp4"), o, voice, [&](double share) {
            first = std::min(first, share);
            return true;
        }));
        QVERIFY(std::abs(first - 0.5) < 0.02 && !fs::exists(path("on.pieces")));
        auto film = Film::open(path("on.mp4"));
        QVERIFY(film.ok());
        QCOMPARE((*film)->info().frames, 120);
        const auto sound = soundOf(path("on.mp4"), 48000.0);
        QVERIFY(sound.ok() && std::abs(static_cast<double>(sound->samples.size()) / 48000.0 - 4.0) < 0.06);
    }
    void whatFailsLeavesNothing() {
        ReviewFilmOptions o;
        o.width = 320;
        o.height = 180;
        Review r;
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("no.mp4"), o).ok()); // no scene
        addScene(r, words("one"));
        r.scenes[0].spoken = true; // and its voice is not there
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("no.mp4"), o).ok());
        r.scenes[0].spoken = false;
        int asked = 0;
        const auto cancelled =
            writeReviewFilm(filmed(), r, path("none"), path("no.mp4"), o, {}, [&](double) { return ++asked < 3; });
        QVERIFY(!cancelled.ok() && cancelled.error().kind == ErrorKind::cancelled);
        // A still that cannot be written: no film that lacks it.
        fs::create_directories(path("no-1.png") / "in the way");
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("no.mp4"), o).ok());
        QVERIFY(!fs::exists(path("no.mp4")) && !fs::exists(path("no.mp4.part")) && !fs::exists(path("no.vtt")));
        QVERIFY(!fs::exists(path("no.vtt.part")));
        QVERIFY(!keepReview("/proc/none", r).ok());
        // What an earlier review left stays whole when the next one fails.
        QVERIFY(writeReviewFilm(filmed(), r, path("none"), path("twice.mp4"), o).ok());
        const auto film = *readFile(path("twice.mp4")), captions = *readFile(path("twice.vtt"));
        r.scenes[0].words = "other words";
        asked = 0;
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("twice.mp4"), o, {}, [&](double) {
                     return ++asked < 3;
                 }).ok());
        addScene(r, words("two"));
        fs::create_directories(path("twice-2.png") / "in the way");
        QVERIFY(!writeReviewFilm(filmed(), r, path("none"), path("twice.mp4"), o).ok());
        QCOMPARE(*readFile(path("twice.mp4")), film);
        QCOMPARE(*readFile(path("twice.vtt")), captions);
        QVERIFY(fs::exists(path("twice-1.png")));
    }
};
QTEST_MAIN(TestReview)
#include "test_review.moc"
