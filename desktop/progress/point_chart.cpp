#include "desktop/progress/point_chart.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <cmath>

namespace riflesso {

void drawStage(QPainter& p, QPointF at, Stage stage) {
    constexpr double kSize = 6.5;
    const int corners = static_cast<int>(stage) + 2;
    if (corners < 3) {
        p.drawEllipse(at, kSize, kSize);
        return;
    }
    QPolygonF shape;
    for (int i = 0; i < corners; ++i) {
        const double a = -M_PI / 2 + 2 * M_PI * i / corners + (corners == 4 ? M_PI / 4 : 0.0);
        shape << at + QPointF(std::cos(a), std::sin(a)) * kSize * (corners < 5 ? 1.2 : 1.0);
    }
    p.drawPolygon(shape);
}

PointChart::PointChart(QWidget* parent) : QWidget(parent) {
    setMouseTracking(true);
}

QPointF PointChart::placeOf(std::size_t index) const {
    return index < m_places.size() ? m_places[index] : QPointF();
}

std::optional<std::size_t> PointChart::under(QPointF at) const {
    constexpr double kNear = 10.0; // px
    std::optional<std::size_t> best;
    double nearest = kNear;
    for (std::size_t i = 0; i < m_places.size(); ++i) {
        const QPointF d = m_places[i] - at;
        if (const double far = std::hypot(d.x(), d.y()); far < nearest) {
            nearest = far;
            best = i;
        }
    }
    return best;
}

void PointChart::rest(std::optional<std::size_t> index) {
    if (m_over == index)
        return;
    m_over = index;
    setCursor(index ? Qt::PointingHandCursor : Qt::ArrowCursor);
    update();
}

void PointChart::mousePressEvent(QMouseEvent* e) {
    if (const auto i = under(e->position()))
        clicked(*i);
}

void PointChart::mouseMoveEvent(QMouseEvent* e) {
    rest(under(e->position()));
}

void PointChart::leaveEvent(QEvent*) {
    rest(std::nullopt);
}

bool PointChart::event(QEvent* e) {
    if (e->type() != QEvent::ToolTip)
        return QWidget::event(e);
    const auto* help = static_cast<QHelpEvent*>(e);
    if (const auto i = under(help->pos()))
        QToolTip::showText(help->globalPos(), wordsOf(*i), this);
    else
        QToolTip::hideText();
    return true;
}

} // namespace riflesso
