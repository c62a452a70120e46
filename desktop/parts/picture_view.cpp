#include "desktop/parts/picture_view.h"

#include "desktop/theme/theme.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPixmapCache>
#include <QWheelEvent>

#include <algorithm>

namespace riflesso {
namespace {
constexpr int kRest = 150; // ms after a picture before it is made whole and smooth
}

PictureView::PictureView(QWidget* parent) : QWidget(parent) {
    setMouseTracking(true);
    setAttribute(Qt::WA_OpaquePaintEvent);
    m_rest.setSingleShot(true);
    m_rest.setInterval(kRest + 20); // a picture that comes when it fires must find the view at rest
    connect(&m_rest, &QTimer::timeout, this, [this] {
        update();
        emit rested();
    });
}

void PictureView::setPicture(const QImage& picture) {
    const QSize size = picture.deviceIndependentSize().toSize();
    const bool sizeChanged = size != m_size || m_picture.isNull();
    if (m_since.isValid() && m_since.elapsed() < kRest && picture.cacheKey() != m_picture.cacheKey())
        m_rest.start();
    m_since.start();
    m_picture = picture;
    m_size = size;
    if (sizeChanged)
        fit();
    update();
}

int PictureView::sideInMotion() const {
    if (!m_rest.isActive() || m_zoom > 1.0 || !m_crop.isEmpty() || m_mirrored)
        return 0;
    const QSizeF shown = toView().mapRect(QRectF(QPointF(), m_size)).size() * devicePixelRatioF();
    const int side = static_cast<int>(std::lround(std::max(shown.width(), shown.height())));
    return side < std::max(m_size.width(), m_size.height()) ? side : 0;
}

void PictureView::setMessage(const QString& message) {
    m_message = message;
    m_picture = {};
    update();
}

void PictureView::fit() {
    m_zoom = 1.0;
    m_centre = m_crop.isEmpty() ? QRectF(QPointF(), m_size).center() : QRectF(m_crop).center();
    update();
}

void PictureView::setMirrored(bool mirrored) {
    m_mirrored = mirrored;
    update();
}

void PictureView::setCrop(const QRect& crop) {
    if (crop == m_crop)
        return;
    m_crop = crop;
    fit();
}

QTransform PictureView::toView() const {
    if (m_picture.isNull())
        return {};
    const QSize shown = m_crop.isEmpty() ? m_size : m_crop.size();
    const double base = std::min(width() / double(shown.width()), height() / double(shown.height()));
    const double scale = base * m_zoom;
    QTransform t;
    t.translate(width() / 2.0, height() / 2.0);
    t.scale(m_mirrored ? -scale : scale, scale);
    t.translate(-m_centre.x(), -m_centre.y());
    return t;
}

QPointF PictureView::toPicture(QPointF view) const {
    return toView().inverted().map(view);
}

void PictureView::zoomBy(double factor, QPointF at) {
    if (m_picture.isNull())
        return;
    const QPointF before = toPicture(at);
    m_zoom = std::clamp(m_zoom * factor, 1.0, 24.0);
    if (m_zoom <= 1.001) {
        fit();
        return;
    }
    m_centre += before - toPicture(at); // what is under the pointer stays there
    update();
}

void PictureView::centreOn(QPointF at) {
    if (m_picture.isNull() || m_zoom <= 1.001)
        return;
    m_centre = at;
    update();
}

void PictureView::paintEvent(QPaintEvent*) {
    QPainter painter(this);
    const QRectF whole(QPointF(), m_size), there = m_picture.isNull() ? QRectF() : toView().mapRect(whole);
    for (const QRect& beside : QRegion(rect()) - QRegion(there.toAlignedRect().adjusted(1, 1, -1, -1)))
        painter.fillRect(beside, theme().stage);
    if (m_picture.isNull()) {
        painter.setPen(theme().quiet);
        painter.setFont(typeface(Type::strong));
        painter.drawText(rect().adjusted(40, 20, -40, -20), Qt::AlignCenter | Qt::TextWordWrap, m_message);
        return;
    }
    const QSizeF off = there.size() * devicePixelRatioF() - QSizeF(m_picture.size());
    if (m_picture.size() != m_size && std::abs(off.width()) < 1.5 && std::abs(off.height()) < 1.5) {
        // Made for this place: pixel by pixel.
        painter.drawImage(QRectF(there.topLeft().toPoint(), QSizeF(m_picture.size()) / devicePixelRatioF()), m_picture,
                          QRectF(m_picture.rect()));
    } else {
        // Far in, the pixels themselves are wanted.
        painter.setRenderHint(QPainter::SmoothPixmapTransform, m_zoom < 4.0 && !m_rest.isActive());
        painter.setTransform(toView());
        painter.drawImage(whole, m_picture, QRectF(m_picture.rect()));
        painter.resetTransform();
    }
    paintOver(painter);
}

void PictureView::wheelEvent(QWheelEvent* e) {
    zoomBy(e->angleDelta().y() > 0 ? 1.25 : 0.8, e->position());
}

void PictureView::mousePressEvent(QMouseEvent* e) {
    setFocus();
    if (e->button() == Qt::MiddleButton || (e->button() == Qt::LeftButton && e->modifiers() & Qt::ShiftModifier)) {
        m_panning = true;
        m_last = e->position();
    } else if (e->button() == Qt::LeftButton && !m_picture.isNull()) {
        m_pressed = true;
        pointerPressed(toPicture(e->position()), e->modifiers());
    }
}

void PictureView::mouseMoveEvent(QMouseEvent* e) {
    if (m_panning) {
        m_centre -= (toPicture(e->position()) - toPicture(m_last));
        m_last = e->position();
        update();
    } else if (!m_picture.isNull()) {
        pointerMoved(toPicture(e->position()), m_pressed);
    }
}

void PictureView::mouseReleaseEvent(QMouseEvent* e) {
    if (m_panning) {
        m_panning = false;
    } else if (m_pressed && e->button() == Qt::LeftButton) {
        m_pressed = false;
        pointerReleased(toPicture(e->position()));
    }
}

void PictureView::resizeEvent(QResizeEvent*) {
    update();
}

QPixmap pictureFromText(const std::string& encoded) {
    const auto comma = encoded.find(',');
    QPixmap picture;
    if (comma == std::string::npos)
        return picture;
    const QString key = QString("position:%1").arg(std::hash<std::string>()(encoded));
    if (!QPixmapCache::find(key, &picture)) {
        picture.loadFromData(QByteArray::fromBase64(QByteArray::fromStdString(encoded.substr(comma + 1))));
        QPixmapCache::insert(key, picture);
    }
    return picture;
}

} // namespace riflesso
