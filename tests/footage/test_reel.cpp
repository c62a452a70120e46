#include "footage/film_index.h"
#include "footage/reel.h"
#include "tests/support/coded_films.h"
#include "tests/support/patience.h"

#include <QTemporaryDir>
#include <QTest>

#include <atomic>
#include <random>

using namespace riflesso;

class TestReel : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString m_film;
    static constexpr std::size_t kFrame = 320 * 192 * 3 / 2;

    struct Rig {
        std::shared_ptr<FrameCache> cache;
        std::unique_ptr<Reel> reel;
    };
    Rig rig(std::size_t frames) {
        Rig r{std::make_shared<FrameCache>(frames * kFrame * 3 / 2), nullptr}; // decoders pad their pictures
        Film::Options o;
        o.cache = r.cache;
        r.reel = std::make_unique<Reel>(m_film.toStdString(), o, Reel::Callbacks{});
        return r;
    }
    static int shown(const DecodedPtr& p) { return p ? decodeNumber(*p->toPicture()) : -1; }
private slots:
    void initTestCase() {
        FilmWriterOptions o;
        o.width = 320;
        o.height = 192;
        o.keyFrameEvery = 60;
        o.bFrames = 3;
        m_film = makeCoded(m_dir.filePath("long.mp4"), 300, {}, o);
    }
    void anyOrderAndBackwards() {
        Rig r = rig(40);
        for (int i = 299; i >= 0; --i) {
            r.reel->travel(FrameIndex(i), -1);
            QCOMPARE(shown(r.reel->wait(FrameIndex(i))), i);
            QVERIFY(r.cache->used() <= r.cache->limit());
        }
        std::mt19937 random(3);
        for (int k = 0; k < 60; ++k) {
            const int i = static_cast<int>(random() % 300);
            QCOMPARE(shown(r.reel->wait(FrameIndex(i))), i);
        }
    }
    // The group before is there before the hand gets to it, though nobody asked for one of its frames.
    void theGroupBeforeIsReadAhead() {
        Rig r = rig(200);
        QVERIFY(r.reel->wait(FrameIndex(130)));
        r.reel->travel(FrameIndex(130), -1);
        QTRY_VERIFY(r.reel->idle());
        for (int i = 60; i <= 130; ++i)
            QVERIFY2(r.reel->find(FrameIndex(i)), qPrintable(QString::number(i)));
    }
    void forwardsIsReadAheadToo() {
        Rig r = rig(100);
        QVERIFY(r.reel->wait(FrameIndex(10)));
        r.reel->travel(FrameIndex(10), 1);
        QTRY_VERIFY(r.reel->idle());
        for (int i = 11; i <= 26; ++i)
            QVERIFY(r.reel->find(FrameIndex(i)));
        QVERIFY(!r.reel->find(FrameIndex(120)));
    }
    // Of groups too large for the memory halved pictures are kept in motion, which never pass for whole ones.
    void largeGroupsAreHalvedInMotion() {
        Rig r = rig(50); // of groups of 60
        QVERIFY(r.reel->wait(FrameIndex(179), true));
        r.reel->travel(FrameIndex(179), -1);
        QTRY_VERIFY(r.reel->idle());
        int halved = 0, atHand = 0;
        for (int i = 178; i >= 60; --i) {
            r.reel->travel(FrameIndex(i), -1);
            atHand += r.reel->want(FrameIndex(i), false, true) != nullptr;
            const DecodedPtr p = r.reel->wait(FrameIndex(i), true);
            QCOMPARE(shown(p), i);
            QCOMPARE(p->width(), 320);
            QCOMPARE(p->height(), 192);
            if (p->isHalved()) {
                ++halved;
                QCOMPARE(p->toPicture()->width, 160);
                QVERIFY(!r.reel->find(FrameIndex(i)));
            }
            QVERIFY(r.cache->used() <= r.cache->limit());
        }
        QVERIFY2(halved > 100 && atHand > 50, qPrintable(QString("%1 halved, %2 at hand").arg(halved).arg(atHand)));
        const DecodedPtr whole = r.reel->wait(FrameIndex(100)); // it comes to rest
        QVERIFY(whole && !whole->isHalved());
        QCOMPARE(shown(whole), 100);
        Rig small = rig(200); // where two groups find room nothing is halved
        small.reel->travel(FrameIndex(130), -1);
        for (int i = 130; i > 50; --i) {
            small.reel->travel(FrameIndex(i), -1);
            QVERIFY(!small.reel->wait(FrameIndex(i), true)->isHalved());
        }
    }
    void whileScrubbingOnlyTheNewestCounts() {
        std::atomic<int> told{0};
        auto cache = std::make_shared<FrameCache>(60 * kFrame);
        Film::Options o;
        o.cache = cache;
        Reel reel(m_film.toStdString(), o, {[&](const Reel::Told&) { ++told; }, {}});
        for (int i = 0; i < 290; i += 2)
            reel.want(FrameIndex(i), true);
        QTRY_VERIFY(reel.find(FrameIndex(288)));
        QVERIFY2(told < 60, qPrintable(QString::number(told)));
    }
    void severalFilmsShareOneLimit() {
        auto cache = std::make_shared<FrameCache>(60 * kFrame);
        Film::Options o;
        o.cache = cache;
        std::vector<std::unique_ptr<Reel>> reels;
        for (int k = 0; k < 3; ++k)
            reels.push_back(std::make_unique<Reel>(m_film.toStdString(), o, Reel::Callbacks{}));
        for (int i = 100; i < 180; ++i)
            for (auto& reel : reels) {
                reel->travel(FrameIndex(i), 1);
                QCOMPARE(shown(reel->wait(FrameIndex(i))), i);
                QVERIFY(cache->used() <= cache->limit());
            }
        reels.clear();
        QCOMPARE(cache->used(), std::size_t(0));
    }
    void aFilmThatDoesNotOpenAnswersInWords() {
        Film::Options o;
        o.cache = std::make_shared<FrameCache>(1 << 20);
        QString words;
        std::atomic<bool> answered{false}, opened{true};
        Reel reel("not-there.mp4", o,
                  {[&](const Reel::Told& t) {
                       words = QString::fromStdString(t.error);
                       answered = true;
                   },
                   [&](const FilmInfo* info) { opened = info != nullptr; }});
        reel.want(FrameIndex(0), true);
        QTRY_VERIFY(answered);
        QVERIFY(words.contains("no such file"));
        QVERIFY(!opened);
        QVERIFY(!reel.wait(FrameIndex(1)));
    }
    void theTableOfFramesIsKeptAndChecked() {
        const auto folder = std::filesystem::path(m_dir.path().toStdString()) / "index";
        Film::Options o;
        o.indexFolder = folder;
        const auto first = Film::open(m_film.toStdString(), o);
        const auto print = cheapFingerprint(m_film.toStdString());
        const auto kept = readIndex(folder, print);
        QVERIFY(kept);
        QCOMPARE(kept->frames(), 300);
        auto again = Film::open(m_film.toStdString(), o);
        QVERIFY((*again)->times() == (*first)->times());
        QCOMPARE(decodeNumber(*(*again)->frame(FrameIndex(177))), 177);
        // A damaged table is not believed.
        std::filesystem::resize_file(folder / (print + ".index"), 900);
        QVERIFY(!readIndex(folder, print));
        QCOMPARE((*Film::open(m_film.toStdString(), o))->info().frames, 300);
        QVERIFY(readIndex(folder, print));
    }
    void openingCanBeCancelled() {
        Film::Options o;
        o.progress = [](double) { return false; };
        const auto film = Film::open(m_film.toStdString(), o);
        QVERIFY(!film && film.error().what.find("cancel") != std::string::npos);
    }
    void thePictureBeforeTheTable() {
        const auto p = Film::firstPicture(m_film.toStdString());
        QVERIFY(p.ok());
        QCOMPARE(decodeNumber(*p), 0);
        ShowOptions small;
        small.longestSide = 160;
        QCOMPARE(Film::firstPicture(m_film.toStdString(), small)->width, 160);
    }
};
QTEST_GUILESS_MAIN(TestReel)
#include "test_reel.moc"
