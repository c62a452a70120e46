#include "footage/film.h"
#include "footage/film_index.h"
#include "footage/frame_cache.h"
#include "tests/support/coded_films.h"

#include <QFile>
#include <QTemporaryDir>
#include <QTest>

#include <cmath>
#include <limits>
#include <random>

using namespace riflesso;

class TestFrameCache : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::vector<DecodedPtr> m_frames;
    std::size_t m_bytes = 0;
    FrameCache cacheFor(std::size_t frames) const { return FrameCache(frames * m_bytes); }
    static constexpr std::int64_t kNone = std::numeric_limits<std::int64_t>::min();
    static FilmIndex indexOf(const std::vector<std::int64_t>& stamps) {
        FilmIndex x;
        for (auto pts : stamps)
            x.packets.push_back({pts, pts, 0, -1, 0, 0});
        x.packets.front().key = 1;
        return x;
    }
private slots:
    void initTestCase() {
        const auto film = Film::open(makeCoded(m_dir.filePath("f.mp4"), 30).toStdString());
        for (int i = 0; i < 30; ++i)
            m_frames.push_back(*(*film)->decoded(FrameIndex(i)));
        m_bytes = m_frames[0]->bytes();
        QVERIFY(m_bytes >= 320 * 192 * 3 / 2);
    }
    // Reverse play: the frames ahead of the hand (smaller numbers) stay, those behind it go.
    void whatLiesBehindTheHandGoesFirst() {
        FrameCache c = cacheFor(10);
        const int film = c.join();
        c.look(film, 15, -1);
        for (int i = 0; i < 30; ++i)
            c.keep(film, i, m_frames[static_cast<std::size_t>(i)]);
        QVERIFY(c.used() <= c.limit());
        for (int i = 8; i <= 15; ++i)
            QVERIFY2(c.contains(film, i), qPrintable(QString::number(i)));
        QVERIFY(!c.contains(film, 25) && !c.contains(film, 1));
    }
    void filmsNotLookedAtGoBeforeThoseThatAre() {
        FrameCache c = cacheFor(10);
        const int old = c.join(), now = c.join();
        c.look(old, 0, 1);
        for (int i = 0; i < 10; ++i)
            c.keep(old, i, m_frames[static_cast<std::size_t>(i)]);
        for (int i = 0; i < 40; ++i)
            c.look(now, 10, 1);
        for (int i = 10; i < 18; ++i)
            c.keep(now, i, m_frames[static_cast<std::size_t>(i)]);
        for (int i = 10; i < 18; ++i)
            QVERIFY(c.contains(now, i));
        QCOMPARE(c.share(), c.limit());
    }
    void filmsLookedAtTogetherShare() {
        FrameCache c = cacheFor(12);
        const int a = c.join(), b = c.join(), d = c.join();
        for (int film : {a, b, d})
            c.look(film, 0, 1);
        QCOMPARE(c.share(), c.limit() / 3);
        c.keep(a, 0, m_frames[0]);
        c.leave(a);
        QCOMPARE(c.used(), std::size_t(0));
        c.keep(a, 1, m_frames[1]); // gone: nothing is kept for it
        QCOMPARE(c.used(), std::size_t(0));
    }
    void aSmallerLimitTakesEffectAtOnce() {
        FrameCache c = cacheFor(10);
        const int film = c.join();
        for (int i = 0; i < 10; ++i)
            c.keep(film, i, m_frames[static_cast<std::size_t>(i)]);
        c.setLimit(3 * m_bytes);
        QVERIFY(c.used() <= 3 * m_bytes);
        const DecodedPtr held = c.find(film, 0) ? c.find(film, 0) : m_frames[0];
        c.setLimit(0);
        QCOMPARE(c.used(), std::size_t(0));
        QCOMPARE(decodeNumber(*held->toPicture()), 0); // who holds a picture keeps it
    }
    void picturesAreShownAsAsked() {
        const DecodedFrame& f = *m_frames[5];
        const auto plain = f.toPicture();
        ShowOptions o;
        o.mirrored = true;
        const auto mirrored = f.toPicture(o);
        for (int x : {0, 33, 200})
            QCOMPARE(mirrored->at(x, 70), plain->at(319 - x, 70));
        o = {};
        o.brightness = 0.25;
        const auto light = f.toPicture(o);
        const int before = plain->at(160, 120) & 0xff;
        QVERIFY(std::abs(static_cast<int>(light->at(160, 120) & 0xff) - std::min(255, before + 64)) <= 1);
        o = {};
        o.contrast = 2.0;
        const auto hard = f.toPicture(o);
        QVERIFY(std::abs(static_cast<int>(hard->at(160, 120) & 0xff) - std::clamp(2 * before - 127, 0, 255)) <= 2);
        o = {};
        o.longestSide = 100;
        QCOMPARE(f.toPicture(o)->width, 100);
        QCOMPARE(f.toPicture(o)->height, 60);
        const auto grey = f.toGrey(160, 96);
        QCOMPARE(grey.size(), std::size_t(160 * 96));
        QVERIFY(std::abs(static_cast<int>(grey[60 * 160 + 80]) - before) < 26); // the same place, studio range
        QVERIFY(!f.damaged());
    }
    void halvedPicturesAreKeptApart() {
        const DecodedPtr half = m_frames[5]->halved();
        QVERIFY(half && half->isHalved() && !m_frames[5]->isHalved() && !half->halved());
        QVERIFY(half->bytes() < m_bytes / 3);
        QCOMPARE(half->width(), 320);
        const auto whole = m_frames[5]->toPicture(), small = half->toPicture();
        QCOMPARE(small->width, 160);
        QCOMPARE(decodeNumber(*small), 5);
        QVERIFY(std::abs(static_cast<int>(small->at(80, 60) & 0xff) - static_cast<int>(whole->at(160, 120) & 0xff)) <
                6);
        FrameCache c = cacheFor(10);
        const int film = c.join();
        c.look(film, 5, -1);
        c.keepHalved(film, 5, half);
        QVERIFY(c.findHalved(film, 5) && !c.contains(film, 5) && c.used() == half->bytes());
        c.keep(film, 5, m_frames[5]);
        QVERIFY(c.contains(film, 5) && c.used() == half->bytes() + m_bytes);
        c.setLimit(0);
        QVERIFY(!c.findHalved(film, 5) && !c.contains(film, 5) && c.used() == 0);
        c.setLimit(1u << 30);
        c.keepHalved(film, 5, half);
        c.leave(film);
        QCOMPARE(c.used(), std::size_t(0));
    }
    void theOrderOfTheTable() {
        FilmIndex x = indexOf({0, 3, 1, 2, 6, 4, 5}); // I P B B P B B
        QVERIFY(orderByTime(x));
        QCOMPARE(x.reorder, 1);
        QVERIFY(x.packetOf == (std::vector<std::int32_t>{0, 2, 3, 1, 5, 6, 4}));
        QCOMPARE(x.packets[1].frame, 3);
        x = indexOf({0, 1, 1});
        QVERIFY(!orderByTime(x));
        x = indexOf({0, kNone, 2});
        QVERIFY(!orderByTime(x));
        std::vector<std::int64_t> twice; // two recordings in one file
        for (int k = 0; k < 2; ++k)
            for (int i = 0; i < 100; ++i)
                twice.push_back(2 * i + k);
        x = indexOf(twice);
        QVERIFY(!orderByTime(x));
    }
    void timesAreMendedNotInvented() {
        FilmIndex x;
        setTimes(x, {10, 20, 30, 40}, 0.01);
        QCOMPARE(x.mended, 0);
        QVERIFY(std::abs(x.times[3] - 0.3) < 1e-12 && x.times[0] == 0.0);
        setTimes(x, {10, 20, 20, 40}, 0.01);
        QCOMPARE(x.mended, 1);
        QVERIFY(std::abs(x.times[2] - 0.2) < 1e-12);
        setTimes(x, {0, 10, 20, 0, 10, 20}, 0.01); // it begins again: the rest follows
        for (std::size_t i = 1; i < 6; ++i)
            QVERIFY(std::abs(x.times[i] - x.times[i - 1] - 0.1) < 1e-9);
        setTimes(x, {kNone, kNone, kNone}, 0.01);
        QVERIFY(x.times.size() == 3 && x.times[2] > x.times[1]);
    }
    void theKeyOfAFrame() {
        // An open group: the second key packet is shown after two pictures that lead it.
        FilmIndex x = indexOf({0, 2, 1, 5, 3, 4, 7, 6});
        x.packets[3].key = 1;
        QVERIFY(orderByTime(x));
        QCOMPARE(x.keyPacketFor(2), 0);
        QCOMPARE(x.keyPacketFor(3), 0); // leads the second key: lies in the first group
        QCOMPARE(x.keyPacketFor(5), 3);
        QCOMPARE(x.keyPacketFor(6), 3);
        QCOMPARE(x.keyFrameFor(7), 5);
        QCOMPARE(x.keyFrameFor(4), 0);
    }

    // Whatever becomes of a kept table: it is refused, or what it says of frames lies within it.
    void aMutatedIndexIsRefusedOrHolds() {
        FilmIndex index;
        index.packets = {{0, -1, 48, 0, 1, 0}, {2, 0, 900, 2, 0, 0}, {1, 1, 1200, 1, 0, 0}};
        index.packetOf = {0, 2, 1};
        index.times = {0.0, 0.04, 0.08};
        index.reorder = 1;
        QTemporaryDir dir;
        const std::filesystem::path folder = dir.path().toStdString();
        keepIndex(folder, "film", index);
        QCOMPARE(readIndex(folder, "film"), std::optional(index));
        QFile file(dir.filePath("film.index"));
        QVERIFY(file.open(QIODevice::ReadOnly));
        std::string bytes = file.readAll().toStdString();
        bytes.resize(bytes.size() - sizeof(std::uint64_t)); // its sum
        QCOMPARE(indexFromBytes(bytes), std::optional(index));
        std::mt19937 random(5);
        int accepted = 0;
        for (int round = 0; round < 20000; ++round) {
            std::string damaged = bytes;
            for (unsigned k = random() % 4 + 1; k > 0; --k)
                damaged[random() % damaged.size()] = static_cast<char>(random());
            if (random() % 5 == 0)
                damaged.resize(random() % damaged.size());
            const auto read = indexFromBytes(damaged);
            if (!read)
                continue;
            ++accepted;
            const auto packets = static_cast<int>(read->packets.size());
            for (int f = 0; f < read->frames(); ++f) {
                QVERIFY(read->keyPacketFor(f) >= 0 && read->keyPacketFor(f) < packets);
                QVERIFY(read->lastPacketOf(f) >= 0 && read->lastPacketOf(f) < packets);
                QVERIFY(read->keyFrameFor(f) >= 0 && read->keyFrameFor(f) < read->frames());
                QVERIFY(std::isfinite(read->times[static_cast<std::size_t>(f)]));
            }
        }
        QVERIFY2(accepted > 100, qPrintable(QString::number(accepted))); // other stamps are a table as well
    }
};
QTEST_GUILESS_MAIN(TestFrameCache)
#include "test_frame_cache.moc"
