#include "desktop/workshop/band_plot.h"

#include "desktop/theme/theme.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr double kSide = 14.0;
}

BandPlot::BandPlot(QWidget* parent) : QWidget(parent) {
    setObjectName("bandPlot");
    setAccessibleName(tr("Band of the target on the reps of this case; drag its edges"));
    setMouseTracking(true);
}

void BandPlot::show(std::vector<Dot> dots, Band band, double scale, const QString& unit) {
    m_dots = std::move(dots);
    m_band = band;
    m_scale = scale;
    m_unit = unit;
    if (m_edge == 0) { // the axis stands still under the hand
        double lo = std::numeric_limits<double>::infinity(), hi = -lo;
        const auto take = [&](double v) {
            if (std::isfinite(v)) {
                lo = std::min(lo, v);
                hi = std::max(hi, v);
            }
        };
        for (const auto& d : m_dots) {
            take(d.value - d.u);
            take(d.value + d.u);
        }
        take(band.lo);
        take(band.hi);
        if (!(lo <= hi))
            lo = 0.0, hi = 1.0;
        const double room = std::max({0.25 * (hi - lo), 0.5 * (std::isfinite(band.scale) ? band.scale : 0.0), 1e-6});
        m_from = lo - room;
        m_to = hi + room;
    }
    update();
}

double BandPlot::xOf(double value) const {
    const double v = std::clamp(value, m_from, m_to);
    return kSide + (v - m_from) / (m_to - m_from) * (width() - 2 * kSide);
}

double BandPlot::valueAt(double x) const {
    return m_from + (x - kSide) / (width() - 2 * kSide) * (m_to - m_from);
}

int BandPlot::edgeAt(double x) const {
    const double low = std::isfinite(m_band.lo) ? std::abs(x - xOf(m_band.lo)) : 99.0,
                 high = std::isfinite(m_band.hi) ? std::abs(x - xOf(m_band.hi)) : 99.0;
    return std::min(low, high) > 8.0 ? 0 : low <= high ? -1 : 1;
}

void BandPlot::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double water = height() * 0.46, bottom = height() - 20.0;
    QColor band = t.hues.model;
    band.setAlpha(46);
    const QRectF plate(QPointF(xOf(m_band.lo), 6), QPointF(xOf(m_band.hi), bottom));
    p.fillRect(plate, band);
    p.setPen(QPen(t.hues.model, 2));
    for (const double edge : {m_band.lo, m_band.hi})
        if (std::isfinite(edge)) {
            p.drawLine(QPointF(xOf(edge), 6), QPointF(xOf(edge), bottom));
            p.setBrush(t.panel);
            p.drawRoundedRect(QRectF(xOf(edge) - 4, water - 9, 8, 18), 3, 3);
        }
    p.setPen(QPen(t.quiet, 1));
    p.drawLine(QPointF(kSide, water), QPointF(width() - kSide, water));
    int above = 0, below = 0;
    for (const auto& d : m_dots) {
        const int row = d.model ? below++ : above++;
        const double y = d.model ? water + 9 + 6.0 * (row % 5) : water - 9 - 6.0 * (row % 5);
        const QColor ink = d.model ? t.hues.model : t.hues.athlete;
        p.setPen(QPen(ink, 1));
        p.drawLine(QPointF(xOf(d.value - d.u), y), QPointF(xOf(d.value + d.u), y));
        p.setPen(Qt::NoPen);
        p.setBrush(ink);
        p.drawEllipse(QPointF(xOf(d.value), y), 3.6, 3.6);
    }
    // A round step that leaves four to nine numbers.
    const double span = (m_to - m_from) * m_scale;
    double step = std::pow(10.0, std::floor(std::log10(span / 4.0)));
    for (const double more : {2.0, 2.5, 2.0})
        if (span / step > 9.0)
            step *= more;
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    for (double v = std::ceil(m_from * m_scale / step) * step; v <= m_to * m_scale; v += step) {
        const double x = xOf(v / m_scale);
        p.drawLine(QPointF(x, bottom), QPointF(x, bottom + 3));
        const QString text =
            q(shortFigure(std::abs(v) < step / 1e3 ? 0.0 : v, 5)) + (v + step > m_to * m_scale ? " " + m_unit : "");
        const double half = p.fontMetrics().horizontalAdvance(text) / 2.0 + 1.0, at = std::min(x, width() - half);
        p.drawText(QRectF(at - half, bottom + 3, 2.0 * half, 16), Qt::AlignCenter, text);
    }
    if (m_dots.empty())
        p.drawText(QRectF(kSide, 4, width() - 2 * kSide, water - 8), Qt::AlignCenter,
                   tr("No rep of this case gives it a value yet"));
}

void BandPlot::mousePressEvent(QMouseEvent* e) {
    m_edge = e->button() == Qt::LeftButton ? edgeAt(e->position().x()) : 0;
}

void BandPlot::mouseMoveEvent(QMouseEvent* e) {
    if (m_edge == 0) {
        setCursor(edgeAt(e->position().x()) ? Qt::SizeHorCursor : Qt::ArrowCursor);
        return;
    }
    // To three digits of the axis: nobody means 141.2893.
    const double grain = std::pow(10.0, std::floor(std::log10((m_to - m_from) / 200.0)));
    const double v = std::round(valueAt(e->position().x()) / grain) * grain;
    double lo = m_band.lo, hi = m_band.hi;
    if (m_edge < 0)
        lo = std::min(v, std::isfinite(hi) ? hi - grain : v);
    else
        hi = std::max(v, std::isfinite(lo) ? lo + grain : v);
    emit bandDragged(lo, hi);
}

bool BandPlot::event(QEvent* e) {
    if (e->type() != QEvent::ToolTip)
        return QWidget::event(e);
    const auto* help = static_cast<QHelpEvent*>(e);
    const Dot* nearest = nullptr;
    for (const auto& d : m_dots)
        if (std::abs(xOf(d.value) - help->pos().x()) < 6 &&
            (!nearest || std::abs(xOf(d.value) - help->pos().x()) < std::abs(xOf(nearest->value) - help->pos().x())))
            nearest = &d;
    QToolTip::showText(help->globalPos(), nearest ? nearest->tip : QString(), this);
    return true;
}

} // namespace riflesso
