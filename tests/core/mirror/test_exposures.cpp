#include "core/mirror/exposures.h"

#include <QTest>

#include <random>

using namespace riflesso;

// A grey wall with a black post and noise; a white square passes in front of it.
class TestExposures : public QObject {
    Q_OBJECT
    static constexpr int kWide = 160, kHigh = 90, kSide = 20;
    std::vector<std::vector<std::uint32_t>> m_frames;
    std::vector<std::uint32_t> m_empty;
    static std::uint32_t grey(int v) {
        const auto g = static_cast<std::uint32_t>(std::clamp(v, 0, 255));
        return 0xff000000u | g << 16 | g << 8 | g;
    }
    static std::size_t index(int x, int y) { return static_cast<std::size_t>(y * kWide + x); }
    static PixelView view(const std::vector<std::uint32_t>& p) { return {kWide, kHigh, p.data()}; }
    static int leftOf(int frame) { return 2 + 15 * frame; }
    std::vector<PixelView> views() const {
        std::vector<PixelView> out;
        for (const auto& f : m_frames)
            out.push_back(view(f));
        return out;
    }
private slots:
    void initTestCase() {
        std::mt19937 random(7);
        std::normal_distribution<> noise(0.0, 2.0);
        for (int f = 0; f < 9; ++f) {
            std::vector<std::uint32_t> p(kWide * kHigh);
            for (int y = 0; y < kHigh; ++y)
                for (int x = 0; x < kWide; ++x) {
                    const bool square = x >= leftOf(f) && x < leftOf(f) + kSide && y >= 30 && y < 30 + kSide;
                    p[index(x, y)] = grey((square ? 245 : x > 150 ? 20 : 128) + static_cast<int>(noise(random)));
                }
            m_frames.push_back(p);
        }
    }
    void thePlaceWithoutTheAthlete() {
        const auto b = medianBackground(views());
        QVERIFY(b);
        for (int y = 0; y < kHigh; ++y)
            for (int x = 0; x < kWide; ++x) {
                const int is = static_cast<int>(b->pixels[index(x, y)] & 0xff), meant = x > 150 ? 20 : 128;
                QVERIFY2(std::abs(is - meant) <= 8, qPrintable(QString("%1,%2: %3").arg(x).arg(y).arg(is)));
                QVERIFY(b->noise[index(x, y)] <= 8);
            }
    }
    void eachExposureIsThereAndTheOldestIsFaintest() {
        const auto b = medianBackground(views());
        QVERIFY(b);
        std::vector<Exposure> three;
        for (int f : {0, 3, 6})
            three.push_back({view(m_frames[static_cast<std::size_t>(f)]), {}, nullptr});
        const auto picture = chronophotograph(*b, three, 0.5);
        QVERIFY(picture);
        const auto seen = [&](int f) { return static_cast<int>((*picture)[index(leftOf(f) + kSide / 2, 40)] & 0xff); };
        QVERIFY2(std::abs(seen(6) - 245) <= 8, qPrintable(QString::number(seen(6))));
        QVERIFY2(std::abs(seen(0) - (128 + (245 - 128) / 2)) <= 12, qPrintable(QString::number(seen(0))));
        QVERIFY(seen(3) > seen(0) + 10 && seen(3) < seen(6) - 10);
        // Between them the wall is as it was, to the last pixel.
        QCOMPARE((*picture)[index(leftOf(3) - 10, 40)], b->pixels[index(leftOf(3) - 10, 40)]);
        int touched = 0;
        for (int y = 0; y < kHigh; ++y)
            for (int x = 0; x < kWide; ++x)
                touched += (*picture)[index(x, y)] != b->pixels[index(x, y)];
        QVERIFY2(touched > 3 * kSide * kSide * 9 / 10 && touched < 3 * (kSide + 3) * (kSide + 3),
                 qPrintable(QString::number(touched)));
    }
    void whoStandsStillIsTakenOutByTheMask() {
        // The square is at one place on seven of nine pictures: without a mask it is part of the wall.
        std::vector<std::vector<std::uint8_t>> masks;
        std::vector<PixelView> views_;
        for (int f = 0; f < 9; ++f) {
            const auto from = static_cast<std::size_t>(f < 7 ? 0 : f);
            views_.push_back(view(m_frames[from]));
            auto& mask = masks.emplace_back(kWide * kHigh, std::uint8_t(0));
            for (int y = 29; y < 31 + kSide; ++y)
                for (int x = 0; x < kWide; ++x)
                    if (x >= leftOf(static_cast<int>(from)) - 1 && x <= leftOf(static_cast<int>(from)) + kSide)
                        mask[index(x, y)] = 1;
        }
        std::vector<BodyMask> bodies;
        for (const auto& m : masks)
            bodies.push_back(m.data());
        const std::size_t middle = index(leftOf(0) + kSide / 2, 40);
        QVERIFY((medianBackground(views_)->pixels[middle] & 0xff) > 230);
        const auto b = medianBackground(views_, bodies);
        QVERIFY(b && (b->pixels[middle] & 0xff) < 140 && b->unseen[middle] == 0);
        const auto picture = chronophotograph(*b, {{views_[0], {}, bodies[0]}});
        QVERIFY(picture && ((*picture)[middle] & 0xff) > 230); // no hole in it
        // Never gone from there: taken whole, by its mask alone.
        for (std::size_t i = 7; i < 9; ++i) {
            views_[i] = views_[0];
            bodies[i] = bodies[0];
        }
        const auto never = medianBackground(views_, bodies);
        QVERIFY(never && never->unseen[middle] == 1);
        QVERIFY(!medianBackground(views_, {bodies[0]}));
    }
    void whereTheyOverlapTheNewestIsInFront() {
        const auto b = medianBackground(views());
        QVERIFY(b);
        // Frames 2 and 3 overlap by five columns.
        const auto picture =
            chronophotograph(*b, {{view(m_frames[2]), {}, nullptr}, {view(m_frames[3]), {}, nullptr}}, 0.3);
        QVERIFY(picture);
        QVERIFY(((*picture)[index(leftOf(3) + 2, 40)] & 0xff) > 235);
    }
    void nothingOutsideTheBodysBox() {
        const auto b = medianBackground(views());
        QVERIFY(b);
        const auto picture = chronophotograph(*b, {{view(m_frames[4]), {0, 0, leftOf(4) + 5, kHigh}, nullptr}});
        QVERIFY(picture);
        QCOMPARE((*picture)[index(leftOf(4) + 12, 40)], b->pixels[index(leftOf(4) + 12, 40)]);
        QVERIFY((*picture)[index(leftOf(4) + 2, 40)] != b->pixels[index(leftOf(4) + 2, 40)]);
    }
    void whatDoesNotFitIsRefused() {
        QVERIFY(!medianBackground({view(m_frames[0]), view(m_frames[1])}));
        auto odd = views();
        odd[1].width = 80;
        QVERIFY(!medianBackground(odd));
        const auto b = medianBackground(views());
        QVERIFY(b);
        PixelView small = view(m_frames[0]);
        small.height = 10;
        QVERIFY(!chronophotograph(*b, {{small, {}, nullptr}}));
        QCOMPARE(chronophotograph(*b, {})->size(), b->pixels.size());
    }
};
QTEST_GUILESS_MAIN(TestExposures)
#include "test_exposures.moc"
