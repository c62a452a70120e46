// Clips, traces, the review and the folder: every picture the right one, sound and picture together, nothing half.

#include "handover/clip.h"
#include "handover/folder.h"
#include "handover/guide.h"
#include "handover/trace_picture.h"

#include "casebook/shipped.h"
#include "files/write_file.h"
#include "tests/support/coded_films.h"
#include "tests/support/demo_copy.h"

#include <QFile>
#include <QGuiApplication>
#include <QJsonArray>
#include <QJsonDocument>
#include <QJsonObject>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>
#include <cmath>

using namespace riflesso;
namespace fs = std::filesystem;

class TestClip : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<Casebook> m_book;

    static QByteArray output(const char* program, const QStringList& arguments) {
        QProcess p;
        p.start(program, arguments);
        p.waitForFinished(240000);
        return p.readAllStandardOutput();
    }
    std::string path(const char* name) const { return m_dir.filePath(name).toStdString(); }

    // Two films of numbered frames as a case of two reps; key positions a, b, c lie where they are told to.
    std::unique_ptr<FilmedSnapshot> numbered(bool variable) {
        auto out = std::make_unique<FilmedSnapshot>();
        for (const char* id : {"a", "b", "c"}) {
            KeyPosition p;
            p.id = id;
            out->blueprint.positions.push_back(p);
        }
        const int frames[] = {60, 90};
        const int at[2][3] = {{5, 20, 50}, {10, 40, 70}};
        for (int i = 0; i < 2; ++i) {
            std::vector<int> ticks;
            int t = 0;
            for (int f = 0; f < frames[i]; ++f) {
                ticks.push_back(t);
                t += variable && f % 5 == 2 ? 3 : 1;
            }
            const QString file = m_dir.filePath(QString("numbered-%1-%2.mp4").arg(i).arg(variable));
            FilmWriterOptions o;
            o.width = 320;
            o.height = 192;
            o.rate = Hertz(30);
            makeCoded(file, frames[i], ticks, o);
            Take take;
            take.id = i + 1;
            take.film = file.toStdString();
            take.width = 320;
            take.height = 192;
            for (const int tick : ticks)
                take.times.push_back(tick / 30.0);
            Rep rep;
            rep.id = i + 1;
            rep.take = i + 1;
            rep.first = FrameIndex(0);
            rep.last = FrameIndex(frames[i] - 1);
            const char* ids[] = {"a", "b", "c"};
            for (int k = 0; k < 3; ++k)
                rep.positions[ids[k]] = {FrameIndex(at[i][k]), std::nullopt};
            out->data.takes[take.id] = take;
            out->data.reps[rep.id] = rep;
        }
        return out;
    }
    static int numberIn(const Picture& all, int top) {
        Picture part(640, 384);
        for (int y = 0; y < 384; ++y)
            for (int x = 0; x < 640; ++x)
                part.pixels[static_cast<std::size_t>(y * 640 + x)] = all.at(x, top + y);
        return decodeNumber(part);
    }
    FilmedCase demo() const {
        return {m_book->data(), m_book->blueprint(), m_book->analysis(), m_book->library().media()};
    }
private slots:
    void initTestCase() {
        auto l = Library::open(RIFLESSO_DEMO_DIR);
        QVERIFY(l.ok());
        m_book = std::move(*Casebook::open(std::shared_ptr<Library>(std::move(*l)), 1,
                                           *shippedBlueprint("fencing-lunge"), *dayFromIso("2026-11-23")));
        m_book->analysisNow();
    }
    void everyPictureOfBothSidesIsTheRightOne_data() {
        QTest::addColumn<bool>("variable");
        QTest::addColumn<bool>("clock");
        for (const bool variable : {false, true})
            for (const bool clock : {false, true})
                QTest::addRow("%s, by the %s", variable ? "variable" : "constant", clock ? "clock" : "movement")
                    << variable << clock;
    }
    void everyPictureOfBothSidesIsTheRightOne() {
        QFETCH(bool, variable);
        QFETCH(bool, clock);
        const auto c = numbered(variable);
        ClipOptions o;
        o.rep = 1;
        o.other = 2;
        o.lock = clock ? LockKind::clock : LockKind::movement;
        o.wholePicture = true;
        o.width = 640;
        o.height = 780;
        o.rate = 30.0;
        const auto file = path("pair.mp4");
        const auto done = writeClip(c->filmed(), o, file);
        QVERIFY2(done.ok(), done ? "" : done.error().text().c_str());
        auto clip = Film::open(file);
        QVERIFY(clip.ok());
        const auto &times = c->data.takes[1].times, &other = c->data.takes[2].times;
        const auto nearest = [](const std::vector<double>& all, double t) {
            int best = 0;
            for (std::size_t i = 0; i < all.size(); ++i)
                if (std::abs(all[i] - t) < std::abs(all[static_cast<std::size_t>(best)] - t))
                    best = static_cast<int>(i);
            return best;
        };
        QVERIFY(std::abs((*clip)->info().frames - std::lround((times.back() + 1.0 / 30) * 30)) <= 2);
        int wrong = 0;
        for (int i = 0; i < (*clip)->info().frames; ++i) {
            const auto picture = (*clip)->frame(FrameIndex(i));
            QVERIFY(picture.ok());
            const int own = numberIn(*picture, 2), model = numberIn(*picture, 394);
            // By hand, from the times and the places of the key positions.
            const int expected = nearest(times, i / 30.0);
            int meant = 0;
            if (!clock && own >= 5 && own <= 20)
                meant = static_cast<int>(std::lround(10 + (own - 5) * 30.0 / 15));
            else if (!clock && own > 20 && own <= 50)
                meant = static_cast<int>(std::lround(40 + (own - 20) * 30.0 / 30));
            else if (!clock && own > 50)
                meant = nearest(other, other[70] + times[static_cast<std::size_t>(own)] - times[50]);
            else
                meant = nearest(other, other[10] + times[static_cast<std::size_t>(own)] - times[5]);
            wrong += own != expected || model != meant;
        }
        QCOMPARE(wrong, 0);
    }
    void slowerIsLongerAndPartsAreParts() {
        const auto c = numbered(false);
        ClipOptions o;
        o.rep = 1;
        o.first = FrameIndex(10);
        o.last = FrameIndex(19);
        o.slow = 4.0;
        o.width = 640;
        o.height = 384;
        o.wholePicture = true;
        QVERIFY(writeClip(c->filmed(), o, path("slow.mp4")).ok());
        auto clip = Film::open(path("slow.mp4"));
        QVERIFY(clip.ok());
        QCOMPARE((*clip)->info().frames, 40); // ten frames, each four times
        QCOMPARE(numberIn(*(*clip)->frame(FrameIndex(0)), 0), 10);
        QCOMPARE(numberIn(*(*clip)->frame(FrameIndex(39)), 0), 19);
    }
    // Several clips in one go, stopped in the second: the same call goes on there; other marks are another clip.
    void severalGoOnWhereTheyWere() {
        const auto both = numbered(false);
        std::vector<ClipOptions> clips(2);
        for (auto& c : clips) {
            c.width = 128;
            c.height = 96;
        }
        clips[0].rep = both->data.reps.begin()->first;
        clips[1].rep = both->data.reps.rbegin()->first;
        const fs::path file = path("several.mp4"), one = path("several-1.mp4"), two = path("several-2.mp4"),
                       list = path("several.unfinished");
        const auto stopped = writeClips(both->filmed(), clips, file, [](double share) { return share < 0.6; });
        QVERIFY(!stopped && stopped.error().kind == ErrorKind::cancelled);
        QVERIFY(fs::exists(one) && !fs::exists(two) && fs::exists(list) && !fs::exists(file));
        const auto long_ago = fs::file_time_type::clock::now() - std::chrono::hours(1);
        fs::last_write_time(one, long_ago);
        double first = 1.0;
        QVERIFY(writeClips(both->filmed(), clips, file, [&](double share) {
            first = std::min(first, share);
            return true;
        }));
        QVERIFY(first >= 0.5); // nothing of the first was made again
        QVERIFY(fs::last_write_time(one) == long_ago && fs::exists(two) && !fs::exists(list));
        // Stopped again, and a mark was moved meanwhile: the first is another clip now.
        QVERIFY(!writeClips(both->filmed(), clips, file, [](double share) { return share < 0.6; }));
        QVERIFY(fs::last_write_time(one) != long_ago);
        fs::last_write_time(one, long_ago);
        both->data.marks[both->data.reps.begin()->second.take]["neck"][FrameIndex(6)] = {{10, 10}, 1.0, How::hand};
        QVERIFY(writeClips(both->filmed(), clips, file));
        QVERIFY(fs::last_write_time(one) != long_ago && !fs::exists(list));
        // A single one is the file itself.
        QVERIFY(writeClips(both->filmed(), {clips[0]}, path("single.mp4")) && fs::exists(path("single.mp4")));
        QVERIFY(!fs::exists(path("single.unfinished")));
    }
    // One long clip, stopped in its third piece: what was made is kept, and the film is as if made in one go.
    void aLongOneGoesOnWhereItWas() {
        const auto c = numbered(true);
        ClipOptions o;
        o.rep = 1;
        o.width = 640;
        o.height = 384;
        o.wholePicture = true;
        o.slow = 2.0;
        QVERIFY(writeClip(c->filmed(), o, path("whole.mp4")) && !fs::exists(path("whole.pieces")));
        auto whole = Film::open(path("whole.mp4"));
        QVERIFY(whole.ok());
        const int n = (*whole)->info().frames;
        QVERIFY(n > 60);
        constexpr std::size_t kPiece = 24;
        const auto stopped = writeClip(
            c->filmed(), o, path("long.mp4"), [&](double share) { return share * n < 60; }, kPiece);
        QVERIFY(!stopped && stopped.error().kind == ErrorKind::cancelled);
        QVERIFY(!fs::exists(path("long.mp4")) && fs::exists(path("long.pieces/2.mp4")) &&
                !fs::exists(path("long.pieces/3.mp4")) && !fs::exists(path("long.pieces/3.mp4.part")));
        const auto beginsAt = [&] { // the picture that is made first
            double first = 1.0;
            const bool done = writeClip(
                                  c->filmed(), o, path("long.mp4"),
                                  [&](double share) {
                                      first = std::min(first, share);
                                      return true;
                                  },
                                  kPiece)
                                  .ok();
            return done ? std::lround(first * n) : -1;
        };
        QCOMPARE(beginsAt(), 48L);
        QVERIFY(!fs::exists(path("long.pieces")));
        auto made = Film::open(path("long.mp4"));
        QVERIFY(made.ok());
        QCOMPARE((*made)->info().frames, n);
        QVERIFY((*made)->frame(FrameIndex(n - 1)).ok());
        QVERIFY(!(*made)->info().variableRate && std::abs((*made)->info().duration - (*whole)->info().duration) < 1e-6);
        for (int i = 0; i < n; ++i)
            QCOMPARE(numberIn(*(*made)->frame(FrameIndex(i)), 0), numberIn(*(*whole)->frame(FrameIndex(i)), 0));
        // Other options meanwhile: the pieces are of another film and go. And what is not ours stays.
        QVERIFY(!writeClip(
            c->filmed(), o, path("long.mp4"), [&](double share) { return share * n < 60; }, kPiece));
        o.title = "another";
        QCOMPARE(beginsAt(), 0L);
        // Two at one film: the second is told.
        bool second = true;
        QVERIFY(writeClip(
            c->filmed(), o, path("both.mp4"),
            [&](double share) {
                if (share > 0.5 && second)
                    second = writeClip(c->filmed(), o, path("both.mp4"), {}, kPiece).ok();
                return true;
            },
            kPiece));
        QVERIFY(!second && fs::exists(path("both.mp4")) && !fs::exists(path("both.pieces")));
        fs::create_directories(path("mine.pieces/photographs"));
        const auto refused = writeClip(c->filmed(), o, path("mine.mp4"), {}, kPiece);
        QVERIFY(!refused && refused.error().kind == ErrorKind::conflict && fs::exists(path("mine.pieces")));
    }
    void whatCannotBeMadeSaysSoAndLeavesNothing() {
        const auto c = numbered(false);
        ClipOptions o;
        o.rep = 1;
        o.width = 640;
        o.height = 384;
        const auto refused = [&](ClipOptions wrong) {
            const auto s = writeClip(c->filmed(), wrong, path("no.mp4"));
            return !s.ok() && !fs::exists(path("no.mp4")) && !fs::exists(path("no.mp4.part"));
        };
        auto wrong = o;
        wrong.rep = 9;
        QVERIFY(refused(wrong));
        wrong = o;
        wrong.width = 641;
        QVERIFY(refused(wrong));
        wrong = o;
        wrong.slow = 0.0;
        QVERIFY(refused(wrong));
        c->data.takes[1].film = path("gone.mp4");
        QVERIFY(refused(o));
        const auto again = numbered(false);
        int asked = 0;
        const auto s = writeClip(again->filmed(), o, path("no.mp4"), [&](double) { return ++asked < 5; });
        QVERIFY(!s.ok() && s.error().kind == ErrorKind::cancelled);
        QVERIFY(!fs::exists(path("no.mp4")) && !fs::exists(path("no.mp4.part")));
    }
    void ghostAndTraceOfTheDemo() {
        const auto f = demo();
        const Id own = m_book->analysis().athleteReps.front();
        Id model = 0;
        for (const Id id : m_book->analysis().modelReps)
            if (f.data.takes.at(f.data.reps.at(id).take).view == f.data.takes.at(f.data.reps.at(own).take).view)
                model = id;
        QVERIFY(model != 0);
        ClipOptions o;
        o.rep = own;
        o.other = model;
        o.ghost = true;
        o.width = 640;
        o.height = 360;
        auto with = ClipPictures::open(f, o);
        o.other = 0;
        auto without = ClipPictures::open(f, o);
        QVERIFY(with.ok() && without.ok());
        const FrameIndex at = (*with)->frames()[(*with)->frames().size() / 2];
        const QImage a = *(*with)->picture(at), b = *(*without)->picture(at);
        int differs = 0;
        for (int y = 0; y < a.height(); ++y)
            for (int x = 0; x < a.width(); ++x)
                differs += a.pixel(x, y) != b.pixel(x, y);
        QVERIFY2(differs > 500 && differs < a.width() * a.height() / 4, qPrintable(QString::number(differs)));
        TraceOptions t;
        t.rep = own;
        t.other = model;
        t.width = 800;
        const auto trace = tracePicture(f, t);
        QVERIFY2(trace.ok(), trace ? "" : trace.error().text().c_str());
        QCOMPARE(trace->width(), 800);
        QVERIFY(trace->height() > 300);
        t.exposures = 1;
        QVERIFY(!tracePicture(f, t).ok());
        t.exposures = 5;
        t.rep = 123456;
        QVERIFY(!tracePicture(f, t).ok());
    }
    void soundAndPictureStayTogetherForTenMinutes() {
        // Impulses at the instants at which the picture changes, after one second and after ten minutes less one.
        const auto folder = path("voices");
        fs::create_directories(folder);
        Review review;
        const double lengths[] = {1.0, 598.0, 1.0};
        for (int i = 0; i < 3; ++i) {
            Scene s;
            s.words = i % 2 ? "W W W W W W W W W W W W W W" : "i";
            s.spoken = true;
            const int id = addScene(review, s);
            Sound sound;
            sound.rate = 48000.0;
            sound.samples.assign(static_cast<std::size_t>(lengths[i] * sound.rate), 0.0f);
            for (std::size_t k = 0; i > 0 && k < 240; ++k)
                sound.samples[k] = k % 2 ? 0.8f : -0.8f;
            QVERIFY(writeSound(voiceFile(folder, review.scenes.back()), sound).ok());
            QCOMPARE(id, i + 1);
        }
        const auto c = numbered(false);
        ReviewFilmOptions o;
        o.width = 160;
        o.height = 90;
        o.rate = 10.0;
        const auto file = path("long.mp4");
        const auto done = writeReviewFilm(c->filmed(), review, folder, file, o);
        QVERIFY2(done.ok(), done ? "" : done.error().text().c_str());
        auto film = Film::open(file);
        QVERIFY(film.ok());
        QCOMPARE((*film)->info().frames, 6000);
        const auto light = [&](int frame) {
            const auto p = *(*film)->frame(FrameIndex(frame));
            double sum = 0;
            for (const auto v : p.pixels)
                sum += v & 0xff;
            return sum / static_cast<double>(p.pixels.size());
        };
        const auto sound = soundOf(file, 48000.0);
        QVERIFY(sound.ok());
        for (const int change : {10, 5990}) {
            QVERIFY(std::abs(light(change) - light(change - 1)) > 2.0); // the flash
            const double flash = (*film)->times()[static_cast<std::size_t>(change)];
            double loudest = 0.0, at = 0.0;
            for (std::size_t k = 0; k < sound->samples.size(); ++k)
                if (const double t = sound->start + static_cast<double>(k) / 48000.0;
                    std::abs(t - flash) < 0.5 && std::abs(sound->samples[k]) > 1.2 * loudest) {
                    loudest = std::abs(sound->samples[k]);
                    at = t;
                }
            QVERIFY2(std::abs(at - flash) < 0.040, qPrintable(QString("%1 against %2").arg(at).arg(flash)));
        }
        // Another program's reading of chapters and captions.
        const auto chapters = QJsonDocument::fromJson(output("ffprobe", {"-v", "error", "-show_chapters", "-of", "json",
                                                                         QString::fromStdString(file)}))
                                  .object()["chapters"]
                                  .toArray();
        QCOMPARE(chapters.size(), 3);
        QVERIFY(std::abs(chapters[2].toObject()["start_time"].toString().toDouble() - 599.0) < 0.01);
        QCOMPARE(chapters[1].toObject()["tags"].toObject()["title"].toString().left(3), QString("W W"));
        const auto captions = QJsonDocument::fromJson(output("ffprobe", {"-v", "error", "-show_packets", "-of", "json",
                                                                         m_dir.filePath("long.vtt")}))
                                  .object()["packets"]
                                  .toArray();
        QCOMPARE(captions.size(), 3);
        QVERIFY(std::abs(captions[1].toObject()["duration_time"].toString().toDouble() - 598.0) < 0.01);
        QVERIFY(QFile::exists(m_dir.filePath("long-3.png")));
    }
    void theReviewIsMadeOfTheFindingsAndKept() {
        const auto f = demo();
        const Review review = proposedReview(f.data, f.blueprint, f.analysis);
        const auto has = [&](SceneKind kind) {
            return std::count_if(review.scenes.begin(), review.scenes.end(),
                                 [&](const Scene& s) { return s.kind == kind; });
        };
        QVERIFY(has(SceneKind::good) > 0 && has(SceneKind::cause) > 0 && has(SceneKind::todo) > 0);
        QVERIFY(has(SceneKind::consequence) <= 3);
        const fs::path folder = path("kept");
        QVERIFY(!readReview(folder)->has_value()); // nothing yet is no error
        Review changed = review;
        changed.scenes[0].pointer = {{0.5, 0.25, 0.75, false}, {0.6, 0.3, 0.7, true}};
        changed.scenes[0].caption = "\xc3\xa8 <so>";
        std::swap(changed.scenes[0], changed.scenes[1]);
        QVERIFY(keepReview(folder, changed).ok());
        const auto again = readReview(folder);
        QVERIFY(again.ok() && *again == std::optional(changed));
        for (
            const std::string bad :
            {"", "{}", "[1]", R"({"format":2,"next":1,"scenes":[]})",
             R"({"format":1,"next":1,"scenes":[{"id":1,"kind":"good","words":"","rep":0,"other":0,"measure":"","seconds":1e9,"slow":1,"spoken":false,"caption":"","pointer":[]}]})"}) {
            QVERIFY(writeFile(folder / "review.json", bad).ok());
            QVERIFY2(!readReview(folder).ok(), bad.c_str());
        }
    }
    void theFolderOpensWithoutThisProgram() {
        const auto f = demo();
        Review review = proposedReview(f.data, f.blueprint, f.analysis);
        review.scenes.resize(std::min<std::size_t>(review.scenes.size(), 2));
        for (auto& s : review.scenes)
            s.seconds = 1.0;
        FolderOptions o;
        o.film.width = 640;
        o.film.height = 360;
        o.calendar = "BEGIN:VCALENDAR\r\nEND:VCALENDAR\r\n";
        const fs::path folder = path("home/of the athlete");
        const auto parts = writeFolder(f, review, path("none"), *dayFromIso("2026-11-23"), o, folder);
        QVERIFY2(parts.ok(), parts ? "" : parts.error().text().c_str());
        for (const char* name : {"README.txt", "review.mp4", "review.vtt", "review-1.png", "movement.mp4", "report.pdf",
                                 "report.html", "home.pdf", "home.html", "plan.ics"})
            QVERIFY2(fs::exists(folder / name), name);
        QVERIFY(!fs::exists(path("home/of the athlete.part")));
        const QString base = QString::fromStdString(folder.string());
        QVERIFY(output("pdfinfo", {base + "/report.pdf"}).contains("Pages:           1")); // the athlete's is one page
        const QByteArray text = output("pdftotext", {base + "/report.pdf", "-"});
        QVERIFY(text.contains("thing") && !text.contains("All measures"));
        const QByteArray streams = output("ffprobe", {"-v", "error", "-show_streams", base + "/movement.mp4"});
        QVERIFY(streams.contains("codec_name=h264") && !streams.contains("codec_type=audio"));
        QFile page(base + "/report.html");
        QVERIFY(page.open(QIODevice::ReadOnly));
        const QByteArray html = page.readAll();
        QVERIFY(html.contains("data:video/mp4;base64,") && !html.contains("http"));
        // There already: nothing of it is touched.
        QVERIFY(!writeFolder(f, review, {}, *dayFromIso("2026-11-23"), o, folder).ok());
        int asked = 0;
        QVERIFY(!writeFolder(f, review, {}, *dayFromIso("2026-11-23"), o, path("home/cut"),
                             [&](const std::string&, double) { return ++asked < 8; })
                     .ok());
        QVERIFY(!fs::exists(path("home/cut")) && !fs::exists(path("home/cut.part")));
    }
    void aBrowserShowsItAndHostileNamesAreText() {
        if (output("chromium", {"--version"}).isEmpty())
            QSKIP("Chromium is not installed: the page was not opened in a browser");
        CaseData hostile = m_book->data();
        hostile.brief.athlete.name =
            "<script>document.title='run'</script><img src=x onerror=\"document.title='run'\">";
        hostile.brief.goal = "\"><b>goal</b>";
        const auto f = demo();
        const auto content = gatherReport({hostile, f.blueprint, f.analysis, f.media}, Reader::coach);
        QVERIFY(writePaper(content, {}, path("hostile"), "report").ok());
        const QByteArray dom =
            output("chromium",
                   {"--headless=new", "--no-sandbox", "--disable-gpu", "--user-data-dir=" + m_dir.filePath("profile"),
                    "--host-resolver-rules=MAP * ~NOTFOUND", "--virtual-time-budget=4000", "--dump-dom",
                    "file://" + m_dir.filePath("hostile/report.html")});
        QVERIFY2(dom.size() > 10000, dom.left(300));
        QVERIFY(dom.contains("&lt;script&gt;") && !dom.contains("<title>run"));
        QVERIFY(!dom.contains("<b>goal</b>"));
    }
    void theGuideHasEachPositionAndDrill() {
        const Blueprint& b = m_book->blueprint();
        Picture p(64, 64);
        const QImage still = positionStill(p, {});
        QVERIFY(!still.isNull());
        const auto content = techniqueGuide(b, {{b.positions.front().id, still}});
        QVERIFY(!content.pictures.empty());
        for (const auto& position : b.positions)
            QVERIFY2(content.html.contains(escaped(position.name)), position.name.c_str());
        for (const auto& d : b.drills)
            QVERIFY2(content.html.contains(escaped(d.cue)), d.id.c_str());
        for (const auto& caution : b.cautions)
            QVERIFY(content.html.contains(escaped(caution)));
        QVERIFY(writePaper(content, {true, 1.3}, path("guide"), "guide").ok());
        QVERIFY(output("pdfinfo", {m_dir.filePath("guide/guide.pdf")}).contains("letter"));
    }
    void theHomeSheetHoldsWhatIsPlannedAtHome() {
        const auto f = demo();
        const auto none = homeSheet(f.data, f.blueprint, {}, *dayFromIso("2026-11-23"));
        QVERIFY(none.html.contains("Nothing is planned"));
        Analysis a = f.analysis;
        PlannedBlock block;
        block.day = *dayFromIso("2026-11-25");
        block.drill = f.blueprint.drills.front().id;
        block.kind = BlockKind::home;
        block.minutes = 2;
        a.plan.blocks = {block};
        QVERIFY(homeSheet(f.data, f.blueprint, a, *dayFromIso("2026-11-23"))
                    .html.contains(escaped(f.blueprint.drills.front().name)));
        QVERIFY(homeSheet(f.data, f.blueprint, a, *dayFromIso("2026-11-26")).html.contains("Nothing is planned"));
    }
};
QTEST_MAIN(TestClip)
#include "test_clip.moc"
