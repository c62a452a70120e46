// How a side that moves is cropped, turned and drawn, and where a ghost stands.

#include "casebook/moving_side.h"

#include "casebook/drawing.h"

#include <QGuiApplication>
#include <QTest>

#include <cmath>

using namespace riflesso;

class TestMovingSide : public QObject {
    Q_OBJECT
    static constexpr int kWide = 640, kHigh = 360, kFrames = 20;

    // A body of right angles that walks to the right; `size` stretches it.
    static std::map<LandmarkName, QPointF> body(double x, double size) {
        const auto at = [&](double dx, double dy) { return QPointF(x + size * dx, 300 + size * dy); };
        return {{"head", at(0, -150)},           {"neck", at(0, -130)},         {"left_shoulder", at(-4, -125)},
                {"right_shoulder", at(4, -125)}, {"left_elbow", at(-10, -95)},  {"right_elbow", at(30, -120)},
                {"left_wrist", at(-12, -70)},    {"right_wrist", at(60, -118)}, {"left_hip", at(-3, -75)},
                {"right_hip", at(3, -75)},       {"left_knee", at(-5, -38)},    {"right_knee", at(15, -40)},
                {"left_ankle", at(-8, -5)},      {"right_ankle", at(18, -5)},   {"left_heel", at(-12, 0)},
                {"right_heel", at(14, 0)},       {"left_toe", at(0, 0)},        {"right_toe", at(30, 0)}};
    }
    struct Case {
        CaseData data;
        Blueprint blueprint;
        Analysis analysis;
    };
    // Rep 1 and 2: two athletes, the second of another size, side and direction.
    static Case two(double sizeB, Facing facingB = Facing::right, Side handB = Side::right) {
        Case c;
        for (const char* id : {"a", "b"}) {
            KeyPosition p;
            p.id = id;
            c.blueprint.positions.push_back(p);
        }
        for (const Id id : {1, 2}) {
            Take take;
            take.id = id;
            take.width = kWide;
            take.height = kHigh;
            take.facing = id == 1 ? Facing::right : facingB;
            take.handedness = id == 1 ? Side::right : handB;
            for (int f = 0; f < kFrames; ++f)
                take.times.push_back(f / 30.0);
            TrackSet marks;
            for (int f = 0; f < kFrames; ++f)
                for (const auto& [name, at] : body(200 + 4.0 * f, id == 1 ? 1.0 : sizeB)) {
                    const bool turned = id == 2 && facingB == Facing::left;
                    marks[name][FrameIndex(f)] = {{turned ? kWide - at.x() : at.x(), at.y()}, 1.0, How::hand};
                }
            c.data.marks[id] = std::move(marks);
            Rep rep;
            rep.id = rep.take = id;
            rep.first = FrameIndex(0);
            rep.last = FrameIndex(kFrames - 1);
            rep.positions["a"] = {FrameIndex(2), std::nullopt};
            rep.positions["b"] = {FrameIndex(id == 1 ? 12 : 17), std::nullopt};
            c.data.takes[id] = take;
            c.data.reps[id] = rep;
        }
        return c;
    }
    static QImage grey() {
        QImage image(kWide, kHigh, QImage::Format_RGB32);
        image.fill(QColor(90, 90, 90));
        return image;
    }
    // How many pixels of a picture have about this colour.
    static int inked(const QImage& image, QColor colour, const QRect& where) {
        int n = 0;
        for (int y = where.top(); y <= where.bottom(); ++y)
            for (int x = where.left(); x <= where.right(); ++x) {
                const QColor c = image.pixelColor(x, y);
                n += std::abs(c.red() - colour.red()) + std::abs(c.green() - colour.green()) +
                         std::abs(c.blue() - colour.blue()) <
                     60;
            }
        return n;
    }
private slots:
    void theCropHoldsTheBodyOfTheWholeRep() {
        const auto c = two(1.0);
        const MovingSide s = movingSide(c.data, c.analysis, 1, 1.5);
        QVERIFY(s.box.width() > 0 && QRectF(0, 0, kWide, kHigh).contains(s.box));
        for (int f = 0; f < kFrames; ++f)
            for (const auto& [name, at] : body(200 + 4.0 * f, 1.0))
                QVERIFY2(s.box.contains(at), name.c_str());
        QVERIFY(!s.mirrored);
        QVERIFY(std::abs(s.trunk - 55.0) < 1.5); // neck to the middle of the hips
        const double shin = s.segments.contains({"left_knee", "left_ankle"})
                                ? s.segments.at({"left_knee", "left_ankle"})
                                : s.segments.at({"left_ankle", "left_knee"});
        QVERIFY(std::abs(shin - std::hypot(3, 33)) < 0.5);
    }
    void nothingMarkedShowsTheWholePicture() {
        auto c = two(1.0);
        c.data.marks.clear();
        const MovingSide s = movingSide(c.data, c.analysis, 1, double(kWide) / kHigh);
        QCOMPARE(s.trunk, 0.0);
        QVERIFY(s.segments.empty());
        QCOMPARE(s.box, QRectF(0, 0, kWide, kHigh));
    }
    void whoLooksTheOtherWayIsTurned() {
        const auto c = two(1.0, Facing::left);
        const Take& leader = c.data.takes.at(1);
        const MovingSide s = movingSide(c.data, c.analysis, 2, 1.5, &leader);
        QVERIFY(s.mirrored);
        // Mirrored back, the body stands where the leader's does.
        const auto own = pointsAt(c.data, c.analysis, 1, FrameIndex(7)),
                   turned = sidePoints(c.data, c.analysis, s, FrameIndex(7));
        for (const auto& [name, at] : own)
            QVERIFY2(std::hypot(turned.at(name).x() - at.x(), turned.at(name).y() - at.y()) < 1e-9, name.c_str());
        QVERIFY(!movingSide(c.data, c.analysis, 2, 1.5).mirrored); // alone it stays as it was filmed
        auto front = c;
        front.data.takes[2].facing = Facing::camera;
        QVERIFY(!movingSide(front.data, front.analysis, 2, 1.5, &leader).mirrored);
    }
    void whereItIsDrawn() {
        const auto c = two(1.0);
        const MovingSide s = movingSide(c.data, c.analysis, 1, 1.5);
        const QRectF target(100, 50, 300, 200);
        const QTransform to = sideTransform(c.data, s, target);
        QVERIFY(QLineF(to.map(s.box.topLeft()), target.topLeft()).length() < 1e-6);
        QVERIFY(QLineF(to.map(s.box.bottomRight()), target.bottomRight()).length() < 1e-6);
        // A narrow film stands in the middle of a wide place.
        const QRectF calm = calmPart(QRectF(0, 0, 2000, 200), s);
        QVERIFY(std::abs(calm.center().x() - 1000) < 1e-6 && calm.height() == 200);
        QVERIFY(std::abs(calm.width() / calm.height() - s.box.width() / s.box.height()) < 1e-6);
    }
    void theNearSideStaysTheNearOneWhenTurned() {
        // Looking right one sees the right side: its lines are the thick ones, turned round or not.
        auto c = two(1.0);
        for (const bool swapped : {false, true}) {
            c.data.takes[1].picture.swapped = swapped;
            const MovingSide s = movingSide(c.data, c.analysis, 1, double(kWide) / kHigh);
            QCOMPARE(s.mirrored, swapped);
            QImage image(kWide, kHigh, QImage::Format_RGB32);
            QPainter p(&image);
            drawSide(p, QRectF(image.rect()), c.data, c.analysis, s, grey(), FrameIndex(10), QColor(255, 0, 0));
            p.end();
            const auto points = sidePoints(c.data, c.analysis, s, FrameIndex(10));
            const QTransform to = sideTransform(c.data, s, QRectF(image.rect()));
            const auto round = [&](const char* a, const char* b) {
                const QPointF middle = (to.map(points.at(a)) + to.map(points.at(b))) / 2;
                return QRect(middle.toPoint() - QPoint(9, 9), QSize(18, 18)) & image.rect();
            };
            const int near = inked(image, QColor(255, 0, 0), round("right_knee", "right_ankle")),
                      far = inked(image, QColor(255, 0, 0), round("left_knee", "left_ankle"));
            QVERIFY2(near > far * 1.3, qPrintable(QString("%1 and %2").arg(near).arg(far)));
        }
    }
    void withoutAPictureOnlyTheGround() {
        const auto c = two(1.0);
        const MovingSide s = movingSide(c.data, c.analysis, 1, 1.5);
        QImage image(300, 200, QImage::Format_RGB32);
        image.fill(Qt::white);
        QPainter p(&image);
        drawSide(p, QRectF(image.rect()), c.data, c.analysis, s, {}, FrameIndex(0), QColor(255, 0, 0));
        p.end();
        QCOMPARE(inked(image, QColor(255, 0, 0), image.rect()), 0);
        QVERIFY(image.pixelColor(150, 100) != QColor(Qt::white));
    }
    void aGhostStandsOnTheAthletesFootWithTheAthletesLengths_data() {
        QTest::addColumn<double>("size");
        QTest::addColumn<bool>("left");
        QTest::newRow("as large") << 1.0 << false;
        QTest::newRow("much smaller") << 0.6 << false;
        QTest::newRow("larger") << 1.4 << false;
        QTest::newRow("looks the other way") << 0.8 << true;
    }
    void aGhostStandsOnTheAthletesFootWithTheAthletesLengths() {
        QFETCH(double, size);
        QFETCH(bool, left);
        const auto c = two(size, left ? Facing::left : Facing::right);
        const Take& leader = c.data.takes.at(1);
        const MovingSide own = movingSide(c.data, c.analysis, 1, double(kWide) / kHigh),
                         other = movingSide(c.data, c.analysis, 2, 1.0, &leader);
        // Both make the same movement: a ghost of the right lengths on the right foot lies on the athlete.
        QImage image(kWide, kHigh, QImage::Format_RGB32);
        image.fill(Qt::black);
        QPainter p(&image);
        drawGhost(p, QRectF(image.rect()), c.data, c.analysis, own, FrameIndex(8), other, FrameIndex(8),
                  QColor(0, 255, 0));
        p.end();
        const auto points = sidePoints(c.data, c.analysis, own, FrameIndex(8));
        const QTransform to = sideTransform(c.data, own, QRectF(image.rect()));
        for (const char* name : {"right_wrist", "head", "right_knee", "right_toe", "left_hip"}) {
            const QPoint at = to.map(points.at(name)).toPoint();
            QVERIFY2(inked(image, QColor(0, 255, 0), QRect(at - QPoint(4, 4), QSize(9, 9)) & image.rect()) > 3, name);
        }
    }
    void aGhostNeedsAFootAndATrunk() {
        auto c = two(1.0);
        for (auto& [name, track] : c.data.marks[2])
            if (name.find("ankle") != std::string::npos || name.find("heel") != std::string::npos ||
                name.find("toe") != std::string::npos)
                track.clear();
        const MovingSide own = movingSide(c.data, c.analysis, 1, 1.5), other = movingSide(c.data, c.analysis, 2, 1.5);
        QImage image(300, 200, QImage::Format_RGB32);
        image.fill(Qt::black);
        const QImage before = image;
        QPainter p(&image);
        drawGhost(p, QRectF(image.rect()), c.data, c.analysis, own, FrameIndex(8), other, FrameIndex(8),
                  QColor(0, 255, 0));
        drawGhost(p, QRectF(image.rect()), c.data, c.analysis, own, FrameIndex(8), own, FrameIndex(8),
                  QColor(0, 255, 0), 0.0);
        p.end();
        QVERIFY(image == before); // nothing, and unseen at no strength
    }
    void aLeftHandersGhostHasItsLimbsOnTheOtherSide() {
        // A left-hander who is filmed looking left is a right-hander in a mirror.
        auto c = two(1.0, Facing::left, Side::left);
        auto& marks = c.data.marks[2];
        TrackSet swapped;
        for (auto& [name, track] : marks) {
            const std::string other = name.rfind("left_", 0) == 0    ? "right_" + name.substr(5)
                                      : name.rfind("right_", 0) == 0 ? "left_" + name.substr(6)
                                                                     : name;
            swapped[other] = track;
        }
        marks = swapped;
        const Take& leader = c.data.takes.at(1);
        const MovingSide own = movingSide(c.data, c.analysis, 1, double(kWide) / kHigh),
                         other = movingSide(c.data, c.analysis, 2, 1.0, &leader);
        QImage image(kWide, kHigh, QImage::Format_RGB32);
        image.fill(Qt::black);
        QPainter p(&image);
        drawGhost(p, QRectF(image.rect()), c.data, c.analysis, own, FrameIndex(8), other, FrameIndex(8),
                  QColor(0, 255, 0));
        p.end();
        const auto points = sidePoints(c.data, c.analysis, own, FrameIndex(8));
        const QPoint wrist = sideTransform(c.data, own, QRectF(image.rect())).map(points.at("right_wrist")).toPoint();
        QVERIFY(inked(image, QColor(0, 255, 0), QRect(wrist - QPoint(4, 4), QSize(9, 9))) > 3);
    }
    void theLockIsOfTheBlueprintsOrder() {
        const auto c = two(1.0);
        const FilmLock lock = movingLock(c.data, c.blueprint, 1, 2, LockKind::movement);
        QVERIFY(lock.byPositions());
        QCOMPARE(lock.follower(FrameIndex(2)).value, 2);
        QCOMPARE(lock.follower(FrameIndex(12)).value, 17);
        QCOMPARE(lock.follower(FrameIndex(7)).value, 10); // half way: 9.5
        QCOMPARE(movingLock(c.data, c.blueprint, 1, 2, LockKind::clock).follower(FrameIndex(12)).value, 12);
    }
    void whatAMeasureReadsIsDrawn() {
        MeasureDefinition angle;
        angle.kind = MeasureKind::angle;
        for (const char* role : {"lead_hip", "lead_knee", "lead_ankle"})
            angle.points.push_back({{role}});
        const auto points = body(320, 1.0);
        const auto drawn = [&](const QString& words) {
            QImage image(kWide, kHigh, QImage::Format_RGB32);
            image.fill(Qt::black);
            QPainter p(&image);
            drawRead(p, angle, Side::right, points, QTransform(), QColor(0, 255, 0), words);
            p.end();
            return image;
        };
        const QImage silent = drawn({}), said = drawn("140°");
        QVERIFY(silent != said);
        int white = 0;
        for (int y = 0; y < kHigh; ++y)
            for (int x = 0; x < kWide; ++x)
                white += silent.pixelColor(x, y).lightness() > 220;
        QCOMPARE(white, 0); // no empty plate
        auto missing = points;
        missing.erase("right_knee");
        QImage none(kWide, kHigh, QImage::Format_RGB32);
        none.fill(Qt::black);
        QPainter p(&none);
        drawRead(p, angle, Side::right, missing, QTransform(), QColor(0, 255, 0), "140°");
        p.end();
        QCOMPARE(inked(none, QColor(0, 255, 0), none.rect()), 0);
    }
};
QTEST_MAIN(TestMovingSide)
#include "test_moving_side.moc"
