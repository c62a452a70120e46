// Each rep against its speed.

#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QPainter>

#include <algorithm>
#include <cmath>
#include <cstdlib>

namespace riflesso {

SpeedChart::SpeedChart(Workbench& bench, QWidget* parent) : PointChart(parent), m_bench(bench) {
    setObjectName("speedChart");
    setAccessibleName(tr("Each rep's measure against its speed"));
}

void SpeedChart::show(const std::string& measure, const Band& band, std::vector<TimedRep> reps,
                      const SpeedAnswer& answer) {
    m_measure = measure;
    m_band = band;
    // One point a rep: those that had no duration, or no effort, are not among the points.
    std::erase_if(reps,
                  [&](const TimedRep& r) { return answer.by == SpeedBy::effort ? !r.effort : !(r.duration > 0.0); });
    m_reps = std::move(reps);
    m_answer = answer;
    update();
}

QRectF SpeedChart::plot() const {
    return {78, 18, std::max(40.0, width() - 104.0), std::max(40.0, height() - 70.0)};
}

std::pair<double, double> SpeedChart::rangeX() const {
    double lo = 100.0;
    for (const auto& p : m_answer.points)
        lo = std::min(lo, p.x - p.ux);
    return {lo - 4.0, 102.0};
}

std::pair<double, double> SpeedChart::rangeY() const {
    double lo = 1e300, hi = -1e300;
    const auto take = [&](double v) {
        if (std::isfinite(v)) {
            lo = std::min(lo, v);
            hi = std::max(hi, v);
        }
    };
    for (const auto& p : m_answer.points) {
        take(p.y - 1.5 * p.uy);
        take(p.y + 1.5 * p.uy);
    }
    take(m_band.lo);
    take(m_band.hi);
    const double air = std::max(1e-6, (hi - lo) * 0.08);
    return {lo - air, hi + air};
}

QPointF SpeedChart::at(double x, double y) const {
    const QRectF r = plot();
    const auto [x0, x1] = rangeX();
    const auto [y0, y1] = rangeY();
    return {r.left() + (x - x0) / (x1 - x0) * r.width(), r.bottom() - (y - y0) / (y1 - y0) * r.height()};
}

void SpeedChart::clicked(std::size_t index) {
    if (index >= m_reps.size())
        return;
    const Id id = std::atoll(m_reps[index].rep.c_str());
    const auto measured = m_bench.analysis().measured.find(id);
    if (measured == m_bench.analysis().measured.end())
        return;
    for (const auto& v : measured->second.values)
        if (v.measure == m_measure && !v.frames.empty()) {
            m_bench.showSource(id, v.frames.front());
            return;
        }
}

QString SpeedChart::wordsOf(std::size_t index) const {
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_measure);
    if (!m || index >= m_reps.size())
        return {};
    const auto rep = m_bench.data().reps.find(std::atoll(m_reps[index].rep.c_str()));
    return rep == m_bench.data().reps.end()
               ? QString()
               : tr("%1, rep %2: %3 at %4 %")
                     .arg(q(m_bench.data().takes.at(rep->second.take).title))
                     .arg(rep->second.number)
                     .arg(q(valueWords(m->definition, m_reps[index].value, m_reps[index].u)))
                     .arg(shownFigure(m_answer.points[index].x, 0));
}

void SpeedChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    forget();
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_measure);
    if (m_answer.points.empty() || !m) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   m_answer.by == SpeedBy::effort ? tr("No rep with a stated effort is measured yet.")
                                                  : tr("No rep with a known capture rate is measured yet."));
        return;
    }
    const QRectF r = plot();
    const auto [x0, x1] = rangeX();
    const auto [y0, y1] = rangeY();
    QColor pale = t.hues.model;
    pale.setAlpha(50);
    const double top = std::isfinite(m_band.hi) ? at(x0, m_band.hi).y() : r.top();
    const double bottom = std::isfinite(m_band.lo) ? at(x0, m_band.lo).y() : r.bottom();
    p.fillRect(QRectF(r.left(), top, r.width(), bottom - top), pale);
    p.setFont(typeface(Type::small, true));
    p.setPen(t.hues.model);
    p.drawText(QPointF(r.left() + 6, top + 14), tr("band %1").arg(q(bandWords(m->definition, m_band))));
    p.setFont(typeface(Type::small));
    for (int i = 0; i <= 4; ++i) {
        const double v = y0 + (y1 - y0) * i / 4;
        p.setPen(QPen(t.line, 1));
        p.drawLine(at(x0, v), at(x1, v));
        p.setPen(t.quiet);
        p.drawText(QRectF(0, at(x0, v).y() - 8, r.left() - 8, 16), Qt::AlignRight | Qt::AlignVCenter,
                   q(numberWords(m->definition, v, (y1 - y0) / 40)));
    }
    for (double x = 10.0 * std::ceil(x0 / 10.0); x <= x1; x += 10.0) {
        p.setPen(t.quiet);
        p.drawText(QRectF(at(x, y0).x() - 40, r.bottom() + 6, 80, 16), Qt::AlignHCenter, tr("%1 %").arg(x));
    }
    p.drawText(QRectF(r.left(), r.bottom() + 26, r.width(), 18), Qt::AlignHCenter,
               m_answer.by == SpeedBy::effort ? tr("effort as stated, of the utmost")
                                              : tr("speed, of the fastest rep"));
    if (m_answer.leaves) {
        if (const auto& interval = m_answer.leaves->interval) {
            QColor grey = t.quiet;
            grey.setAlpha(46);
            const double a = at(std::max(x0, interval->lo), y0).x(), b = at(std::min(x1, interval->hi), y0).x();
            p.fillRect(QRectF(a, r.top(), std::max(0.0, b - a), r.height()), grey);
        }
        p.setPen(QPen(t.text, 1.4, Qt::DashLine));
        const double leaves = at(m_answer.leaves->x, y0).x();
        p.drawLine(QPointF(leaves, r.top()), QPointF(leaves, r.bottom()));
        p.setFont(typeface(Type::body, true));
        p.drawText(QRectF(leaves - 140, r.top() - 2, 134, 18), Qt::AlignRight,
                   tr("falls apart at %1 %").arg(shownFigure(m_answer.leaves->x, 0)));
    }
    if (m_answer.line) {
        p.save();
        p.setClipRect(r);
        p.setPen(QPen(t.hues.athlete, 2));
        p.drawLine(at(x0, m_answer.line->intercept + m_answer.line->slope * x0),
                   at(x1, m_answer.line->intercept + m_answer.line->slope * x1));
        p.restore();
    }
    for (std::size_t i = 0; i < m_answer.points.size(); ++i) {
        const auto& point = m_answer.points[i];
        p.setPen(QPen(t.hues.athlete, 1));
        p.drawLine(at(std::max(x0, point.x - point.ux), point.y), at(std::min(x1, point.x + point.ux), point.y));
        p.drawLine(at(point.x, point.y - point.uy), at(point.x, point.y + point.uy));
        const bool in = point.y >= m_band.lo && point.y <= m_band.hi;
        p.setPen(QPen(t.hues.athlete, 1.6));
        p.setBrush(in ? QBrush(t.panel) : QBrush(t.hues.athlete)); // hollow = inside, as everywhere
        p.drawEllipse(at(point.x, point.y), over() == i ? 7.0 : 4.5, over() == i ? 7.0 : 4.5);
        place(at(point.x, point.y));
    }
}

} // namespace riflesso
