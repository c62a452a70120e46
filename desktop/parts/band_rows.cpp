#include "desktop/parts/band_rows.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace riflesso {

void drawOnBand(QPainter& p, const QRectF& axis, double value, double u, const Band& given, Decision decision) {
    const Theme& t = theme();
    // The band takes the middle third; one that is open on a side ends where its scale does.
    const bool low = std::isfinite(given.lo), high = std::isfinite(given.hi);
    const double half = low && high ? (given.hi - given.lo) / 2 : given.scale;
    const double lo = low ? given.lo : given.hi - 2 * half, hi = high ? given.hi : given.lo + 2 * half;
    const double unit = std::max(1e-12, hi - lo), first = axis.left() + 6, last = axis.right() - 6;
    const double line = axis.center().y();
    const auto x = [&](double v) {
        return first + (last - first) * std::clamp((v - (lo - unit)) / (3 * unit), 0.0, 1.0);
    };
    p.setPen(QPen(t.line, 1));
    p.drawLine(QPointF(first, line), QPointF(last, line));
    QColor band = t.hues.model;
    band.setAlphaF(0.28f);
    const double left = low ? x(lo) : first, right = high ? x(hi) : last;
    p.fillRect(QRectF(left, line - 5, right - left, 10), band);
    p.setPen(QPen(t.hues.athlete, 2));
    p.drawLine(QPointF(x(value - 1.96 * u), line), QPointF(x(value + 1.96 * u), line));
    // Filled = outside, half = undecided, hollow = inside.
    const QPointF at(x(value), line);
    p.setBrush(decision == Decision::outside ? QBrush(t.hues.athlete) : QBrush(t.panel));
    p.drawEllipse(at, 4.5, 4.5);
    if (decision == Decision::undecided) {
        p.setBrush(t.hues.athlete);
        p.drawPie(QRectF(at.x() - 4.5, at.y() - 4.5, 9, 9), 90 * 16, 180 * 16);
    }
}

BandRows::BandRows(const Blueprint& blueprint, QWidget* parent) : QWidget(parent), m_blueprint(blueprint) {
    setAccessibleName(tr("Measures on their bands"));
    setCursor(Qt::PointingHandCursor);
}

void BandRows::setDeviations(const std::vector<const Deviation*>& deviations) {
    m_rows.clear();
    for (const Deviation* d : deviations) {
        const auto* m = m_blueprint.measure(d->measure);
        if (!d->judged || !m)
            continue;
        Row r;
        r.measure = q(d->measure);
        r.name = q(m->definition.name);
        r.words = q(valueWords(m->definition, d->value));
        r.tip = q(deviationWords(m_blueprint, *d));
        r.value = d->value.mean;
        r.u = d->value.u;
        r.band = d->band;
        r.decision = d->verdict.decision;
        m_rows.push_back(std::move(r));
    }
    updateGeometry();
    update();
}

int BandRows::rowHeight() const {
    return QFontMetrics(typeface(Type::body)).lineSpacing() + 26;
}

QSize BandRows::sizeHint() const {
    return {300, rowHeight() * std::max(1, count())};
}

void BandRows::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const QFont font = typeface(Type::body);
    const QFontMetricsF metrics(font);
    p.setFont(font);
    if (m_rows.empty()) {
        p.setPen(t.quiet);
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap, tr("No measure is judged yet."));
        return;
    }
    double y = 0;
    for (const Row& r : m_rows) {
        if (y + rowHeight() > height() + 8 && y > 0)
            break; // no row is cut in half
        const double words = metrics.horizontalAdvance(r.words);
        p.setPen(t.text);
        p.drawText(QRectF(0, y, width() - words - 10, metrics.lineSpacing()), Qt::AlignLeft | Qt::AlignVCenter,
                   metrics.elidedText(r.name, Qt::ElideRight, width() - words - 12));
        p.drawText(QRectF(width() - words - 2, y, words + 2, metrics.lineSpacing()), Qt::AlignRight | Qt::AlignVCenter,
                   r.words);
        const double line = y + metrics.lineSpacing() + 9;
        drawOnBand(p, QRectF(0, line - 8, width(), 16), r.value, r.u, r.band, r.decision);
        y += rowHeight();
    }
}

void BandRows::mousePressEvent(QMouseEvent* e) {
    const int row = static_cast<int>(e->position().y()) / rowHeight();
    if (row >= 0 && row < count())
        emit chosen(m_rows[static_cast<std::size_t>(row)].measure);
}

bool BandRows::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        const int row = help->pos().y() / rowHeight();
        if (row >= 0 && row < count())
            QToolTip::showText(help->globalPos(), m_rows[static_cast<std::size_t>(row)].tip, this);
        return true;
    }
    return QWidget::event(e);
}

} // namespace riflesso
