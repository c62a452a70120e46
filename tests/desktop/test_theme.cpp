#include "desktop/theme/theme.h"

#include "desktop/parts/picture_view.h"
#include "tests/support/contrast.h"
#include "tests/support/patience.h"

#include <QApplication>
#include <QFontMetrics>
#include <QSignalSpy>
#include <QTest>
#include <QWheelEvent>

#include <cmath>

using namespace riflesso;
using test::contrast;

namespace {

// Deuteranopia after Viénot, Brettel & Mollon 1999 (Color Res. Appl. 24:243-252), the usual linear matrix, from memory.
QColor deuteranope(QColor c) {
    const auto lin = [](double v) { return std::pow(v, 2.2); };
    const double r = lin(c.redF()), g = lin(c.greenF()), b = lin(c.blueF());
    const double R = 0.29275 * r + 0.70725 * g, B = -0.02234 * r + 0.02234 * g + b;
    const auto out = [](double v) { return std::clamp(std::pow(std::max(0.0, v), 1 / 2.2), 0.0, 1.0); };
    return QColor::fromRgbF(float(out(R)), float(out(R)), float(out(B)));
}

class Probe : public PictureView {
public:
    std::vector<QPointF> pressed;
    void pointerPressed(QPointF at, Qt::KeyboardModifiers) override { pressed.push_back(at); }
};

} // namespace

class TestTheme : public QObject {
    Q_OBJECT
private slots:
    void contrastIsKnownFirst() {
        QVERIFY(std::abs(contrast(Qt::black, Qt::white) - 21) < 1e-6);
        QVERIFY(contrast(QColor("#777777"), Qt::white) < 4.5);
    }
    void textPassesWcag() {
        for (const Theme& t : {Theme::light(), Theme::night()}) {
            for (const QColor& ground : {t.ground, t.panel, t.field})
                for (const auto& [name, ink] : {std::pair{"text", t.text},
                                                {"quiet", t.quiet},
                                                {"caution", t.caution},
                                                {"athlete", t.hues.athlete},
                                                {"model", t.hues.model}})
                    QVERIFY2(contrast(ground, ink) >= 4.5,
                             qPrintable(QString("%1 on %2: %3").arg(name, ground.name()).arg(contrast(ground, ink))));
            QVERIFY(contrast(t.accent, t.onAccent) >= 4.5);
        }
    }
    void athleteAndModelStayApart() {
        // One warm, one cool, and for those who do not see red from green still two.
        for (const Theme& t : {Theme::light(), Theme::night()}) {
            const QColor a = deuteranope(t.hues.athlete), m = deuteranope(t.hues.model);
            const double apart = std::hypot(std::hypot(a.red() - m.red(), a.green() - m.green()), a.blue() - m.blue());
            QVERIFY2(apart > 60, qPrintable(QString::number(apart)));
        }
    }
    void figuresAreTabularAndShipped() {
        QVERIFY(loadFonts());
        for (Type size : {Type::small, Type::body, Type::strong, Type::title}) {
            const QFontMetricsF m(typeface(size));
            for (QChar digit = u'0'; digit <= u'9'; digit = QChar(digit.unicode() + 1))
                QCOMPARE(m.horizontalAdvance(digit), m.horizontalAdvance(u'0'));
        }
        QCOMPARE(QFontInfo(typeface(Type::body)).family(), QString("Lato"));
    }
    void themesSwitch() {
        useTheme(Theme::night());
        QVERIFY(theme().dark);
        QCOMPARE(QApplication::palette().color(QPalette::Window), Theme::night().ground);
        useTheme(Theme::light());
        QVERIFY(!theme().dark);
        QVERIFY(!theme().styleSheet().contains('@')); // every colour name was filled in
    }
    void picturesZoomUnderThePointer() {
        Probe view;
        view.resize(640, 360);
        QImage picture(1280, 720, QImage::Format_RGB32);
        picture.fill(Qt::gray);
        view.setPicture(picture);
        view.show();
        const QPointF at(200, 100);
        const QPointF before = view.toPicture(at);
        QCOMPARE(before, QPointF(400, 200));
        QWheelEvent wheel(at, view.mapToGlobal(at), {}, {0, 120}, Qt::NoButton, Qt::NoModifier, Qt::NoScrollPhase,
                          false);
        QApplication::sendEvent(&view, &wheel);
        QVERIFY(view.zoom() > 1.2);
        QVERIFY((view.toPicture(at) - before).manhattanLength() < 1e-6); // what is under the pointer stays
        QTest::mouseClick(&view, Qt::LeftButton, {}, at.toPoint());
        QCOMPARE(view.pressed.size(), std::size_t(1));
        QVERIFY((view.pressed[0] - before).manhattanLength() < 1e-6);
        // Shift and drag pans and marks nothing.
        QTest::mousePress(&view, Qt::LeftButton, Qt::ShiftModifier, QPoint(300, 200));
        QTest::mouseMove(&view, QPoint(340, 210));
        QTest::mouseRelease(&view, Qt::LeftButton, Qt::ShiftModifier, QPoint(340, 210));
        QCOMPARE(view.pressed.size(), std::size_t(1));
        view.fit();
        QCOMPARE(view.toPicture(at), QPointF(400, 200));
        view.setMessage("gone");
        QVERIFY(view.picture().isNull());
    }
    void picturesInMotionAreMadeForTheirPlace() {
        PictureView view;
        view.resize(640, 360);
        view.show();
        QSignalSpy rested(&view, &PictureView::rested);
        const auto whole = [] {
            QImage image(1920, 1080, QImage::Format_RGB32);
            image.fill(Qt::darkGreen);
            return image;
        };
        view.setPicture(whole());
        QCOMPARE(view.sideInMotion(), 0); // one alone stands still
        view.setPicture(whole());
        QCOMPARE(view.sideInMotion(), 640);
        QImage small(640, 360, QImage::Format_RGB32);
        small.fill(Qt::darkBlue);
        small.setDevicePixelRatio(1.0 / 3.0);
        view.setPicture(small);
        QCOMPARE(view.pictureSize(), QSize(1920, 1080)); // points stay in the film's own pixels
        QCOMPARE(view.toPicture({320, 180}), QPointF(960, 540));
        const QImage glass = view.grab().toImage();
        for (const QPoint at : {QPoint(0, 0), QPoint(639, 359), QPoint(320, 180)})
            QCOMPARE(glass.pixelColor(at), QColor(Qt::darkBlue));
        view.zoomBy(2.0, {320, 180});
        QCOMPARE(view.sideInMotion(), 0); // looked at more closely it must be whole
        view.fit();
        QVERIFY(rested.isEmpty());
        QTRY_COMPARE(rested.size(), 1);
        QCOMPARE(view.sideInMotion(), 0);
    }
};
QTEST_MAIN(TestTheme)
#include "test_theme.moc"
