// Where the athlete's directions point, seen from all five sides, and what a view can give.

#include "core/measure/evaluate.h"

#include <QTest>

using namespace riflesso;

class TestViews : public QObject {
    Q_OBJECT
private slots:
    void directionsInThePicture() {
        const auto points = [](Direction d, View v, Facing f, Side hand) -> std::pair<double, double> {
            const auto p = inPicture(d, {v, facingIn(v, f), hand, nullptr});
            return p ? std::pair(p->x(), p->y()) : std::pair(0.0, 0.0);
        };
        using D = Direction;
        using V = View;
        const std::pair none(0.0, 0.0);
        for (const View v : {V::side, V::front, V::rear})
            QCOMPARE(points(D::up, v, Facing::right, Side::right), std::pair(0.0, -1.0));
        for (const View v : {V::above, V::below}) {
            QCOMPARE(points(D::up, v, Facing::right, Side::right), none);
            QCOMPARE(points(D::forward, v, Facing::left, Side::right), std::pair(-1.0, 0.0));
        }
        QCOMPARE(points(D::forward, V::side, Facing::left, Side::left), std::pair(-1.0, 0.0));
        QCOMPARE(points(D::across, V::side, Facing::left, Side::left), none);
        for (const View v : {V::front, V::rear})
            QCOMPARE(points(D::forward, v, Facing::right, Side::right), none);
        // The right hand: to the left of one who looks at its owner, to the right of one who follows, and of one who
        // looks down on somebody going to the right, nearer to the foot of the picture.
        QCOMPARE(points(D::across, V::front, Facing::camera, Side::right), std::pair(-1.0, 0.0));
        QCOMPARE(points(D::across, V::rear, Facing::away, Side::right), std::pair(1.0, 0.0));
        QCOMPARE(points(D::across, V::above, Facing::right, Side::right), std::pair(0.0, 1.0));
        QCOMPARE(points(D::across, V::above, Facing::left, Side::right), std::pair(0.0, -1.0));
        QCOMPARE(points(D::across, V::below, Facing::right, Side::right), std::pair(0.0, -1.0));
        for (const View v : {V::front, V::rear, V::above, V::below})
            QCOMPARE(points(D::across, v, Facing::right, Side::left).first +
                         points(D::across, v, Facing::right, Side::left).second,
                     -(points(D::across, v, Facing::right, Side::right).first +
                       points(D::across, v, Facing::right, Side::right).second));
    }
    // One body seen from the front and from behind: a lean to the lead side has one sign.
    void aRearViewServesTheFrontsMeasures() {
        MeasureDefinition d;
        d.id = d.name = "tilt";
        d.kind = MeasureKind::lean;
        d.points = {*pointFromText("left_hip+right_hip"), *pointFromText("neck")};
        d.direction = Direction::across;
        d.view = View::front;
        d.at = "here";
        QVERIFY(problemOf(d).empty());
        const auto seen = [&](View view) {
            TrackSet
                tracks; // the right side, a right-hander's lead side, is 40 px from the left one; the neck is over it
            const double right = view == View::rear ? 1.0 : -1.0;
            tracks["right_hip"][FrameIndex(0)] = {{300 + 20 * right, 400}, 1.0, How::hand};
            tracks["left_hip"][FrameIndex(0)] = {{300 - 20 * right, 400}, 1.0, How::hand};
            tracks["neck"][FrameIndex(0)] = {{300 + 20 * right, 300}, 1.0, How::hand};
            return evaluate(d, toMotion(tracks, Timebase::constant(1, Hertz(50))), {{"here", {FrameIndex(0), {}}}},
                            {view, facingIn(view, Facing::right), Side::right, nullptr});
        };
        QVERIFY(!seen(View::front).refused && seen(View::front).value > 11.0);
        QCOMPARE(seen(View::rear).value, seen(View::front).value);
        QVERIFY(seen(View::side).refused && seen(View::side).reason.find("from the front") != std::string::npos);
        QVERIFY(seen(View::above).refused);
        QVERIFY(serves(View::front, View::rear) && serves(View::rear, View::front) &&
                !serves(View::above, View::below));
        d.view = View::above; // nothing there shows what is upright
        QVERIFY(!problemOf(d).empty());
        d.view = View::side;
        QVERIFY(!problemOf(d).empty());
    }
};

QTEST_APPLESS_MAIN(TestViews)
#include "test_views.moc"
