// Was it practised, and what did the measure do meanwhile?

#include "desktop/progress/progress_page.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {
using std::chrono::days;

void DoseChart::show(std::vector<PractisedWeek> weeks, const FocusTrend* trend) {
    m_weeks = std::move(weeks);
    m_trend = trend ? std::optional(*trend) : std::nullopt;
    QStringList words;
    for (std::size_t i = 0; i < m_weeks.size(); ++i)
        words << wordsOf(i).replace('\n', ", ");
    setAccessibleDescription(words.join(". "));
    update();
}

QString DoseChart::wordsOf(std::size_t index) const {
    if (index >= m_weeks.size()) {
        const std::size_t at = index - m_weeks.size();
        const BlueprintMeasure* m = m_trend ? m_bench.blueprint().measure(m_trend->measure) : nullptr;
        return m && at < m_trend->points.size()
                   ? tr("%1: %2").arg(q(dayWords(m_trend->points[at].day)),
                                      q(valueWords(m->definition, m_trend->points[at].value, m_trend->points[at].u)))
                   : QString();
    }
    const PractisedWeek& w = m_weeks[index];
    QStringList lines{tr("Week of %1").arg(q(dayWords(w.monday))),
                      tr("%1 of %2 planned minutes").arg(std::lround(w.done)).arg(std::lround(w.planned))};
    int reps = 0;
    for (const auto& [stage, n] : w.reps)
        if (n > 0) {
            lines << tr("%1: %2").arg(shownWord(kStageNames[static_cast<std::size_t>(stage)]),
                                      counted(n, tr("rep"), tr("reps")));
            reps += n;
        }
    if (reps > 0)
        lines << tr("%1 of %2 good").arg(w.good).arg(reps);
    if (w.alone > 0.0)
        lines << tr("%1 minutes of it alone").arg(std::lround(w.alone));
    return lines.join('\n');
}

void DoseChart::clicked(std::size_t index) {
    if (index < m_weeks.size()) {
        if (m_weeks[index].done > 0.0)
            emit m_bench.diaryWanted(m_weeks[index].monday + days(6));
        else
            emit m_bench.workspaceWanted(Workspace::programme);
        return;
    }
    const std::size_t at = index - m_weeks.size();
    if (!m_trend || at >= m_trend->points.size())
        return;
    const auto reps = repsBehind(m_bench.data(), m_bench.analysis(), m_trend->measure, m_trend->points[at].stage,
                                 m_trend->points[at].day);
    if (!reps.empty())
        m_bench.showSource(reps.front().rep, reps.front().frame);
}

double DoseChart::xOf(Day day, const QRectF& area) const {
    const double all = 7.0 * static_cast<double>(m_weeks.size());
    return area.left() + area.width() * static_cast<double>((day - m_weeks.front().monday).count()) / all;
}

void DoseChart::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    forget();
    if (m_weeks.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("Nothing is planned or practised yet. Practice counts each rep, the programme its minutes."));
        return;
    }
    const double left = 78, right = width() - 20.0, bottom = height() - 30.0;
    const double middle = m_trend && !m_trend->points.empty() ? 16 + (bottom - 16) * 0.5 : 16;
    drawWeeks(p, QRectF(QPointF(left, middle + 14), QPointF(right, bottom)));
    if (middle > 16)
        drawMeasure(p, QRectF(QPointF(left, 16), QPointF(right, middle)));
}

void DoseChart::drawWeeks(QPainter& p, const QRectF& area) {
    const Theme& t = theme();
    double most = 10.0;
    for (const auto& w : m_weeks)
        most = std::max({most, w.planned, w.done});
    const double room = area.height() - 16; // the figures stand above the bars
    const auto high = [&](double minutes) { return room * minutes / most; };
    const double step = area.width() / static_cast<double>(m_weeks.size()), wide = std::min(46.0, step * 0.7);
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    p.drawText(QRectF(0, area.top(), area.left() - 8, 34), Qt::AlignRight | Qt::TextWordWrap, tr("minutes a week"));
    const Day today = m_bench.book().today();
    const int every = std::max(1, static_cast<int>(std::ceil(58.0 / step))); // dates that have room
    for (std::size_t i = 0; i < m_weeks.size(); ++i) {
        const PractisedWeek& w = m_weeks[i];
        const double x = area.left() + step * (static_cast<double>(i) + 0.5);
        int reps = 0;
        for (const auto& [stage, n] : w.reps)
            reps += n;
        // Done from the ground up, by stage: the more stress, the fuller the colour.
        double ground = area.bottom();
        const auto part = [&](double minutes, double full) {
            if (!(minutes > 0.0))
                return;
            QColor colour = t.hues.athlete;
            colour.setAlphaF(static_cast<float>(full));
            p.setPen(QPen(t.panel, 1));
            p.setBrush(colour);
            p.drawRect(QRectF(x - wide / 2, ground - high(minutes), wide, high(minutes)));
            ground -= high(minutes);
        };
        if (w.alone > 0.0 || reps == 0)
            part(reps > 0 ? w.alone : w.done, 0.25);
        const double with = reps > 0 ? w.done - w.alone : 0.0;
        for (const auto& [stage, n] : w.reps)
            if (n > 0 && with > 0.0)
                part(with * n / reps, 0.4 + 0.6 * static_cast<double>(stage) / (kStageNames.size() - 1));
        // Planned as an outline: what stands over the colour was not done.
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(t.text, over() == i ? 2.2 : 1.2, w.monday > today ? Qt::DashLine : Qt::SolidLine));
        if (w.planned > 0.0)
            p.drawRect(QRectF(x - wide / 2 - 3, area.bottom() - high(w.planned), wide + 6, high(w.planned)));
        p.setPen(t.text);
        p.setFont(typeface(Type::small, true));
        const double top = area.bottom() - high(std::max(w.planned, w.done));
        if (step > 34)
            p.drawText(QRectF(x - 40, top - 16, 80, 15), Qt::AlignHCenter,
                       w.planned > 0.0 ? tr("%1 of %2").arg(std::lround(w.done)).arg(std::lround(w.planned))
                       : w.done > 0.0  ? QString::number(std::lround(w.done))
                                       : QString());
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        if (static_cast<int>(i) % every == 0)
            p.drawText(QRectF(x - 50, area.bottom() + 6, 100, 18), Qt::AlignHCenter, q(dayWords(w.monday)).mid(4));
        place(QPointF(x, area.bottom() - high(std::max(w.planned, w.done)) / 2));
    }
    p.setPen(QPen(t.line, 1));
    p.drawLine(area.bottomLeft(), area.bottomRight());
}

// The measure of the focus on its days, on the same line of time.
void DoseChart::drawMeasure(QPainter& p, const QRectF& area) {
    const Theme& t = theme();
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_trend->measure);
    if (!m)
        return;
    double lo = 1e300, hi = -1e300;
    const auto take = [&](double v) {
        if (std::isfinite(v)) {
            lo = std::min(lo, v);
            hi = std::max(hi, v);
        }
    };
    for (const auto& point : m_trend->points) {
        take(point.value - 2.0 * point.u);
        take(point.value + 2.0 * point.u);
    }
    take(m_trend->band.lo);
    take(m_trend->band.hi);
    const double air = std::max(1e-6, (hi - lo) * 0.1);
    const auto y = [&](double v) { return area.bottom() - (v - lo + air) / (hi - lo + 2 * air) * area.height(); };
    QColor pale = t.hues.model;
    pale.setAlpha(50);
    const double top = std::isfinite(m_trend->band.hi) ? y(m_trend->band.hi) : area.top();
    const double bottom = std::isfinite(m_trend->band.lo) ? y(m_trend->band.lo) : area.bottom();
    p.fillRect(QRectF(area.left(), top, area.width(), bottom - top), pale);
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    p.drawText(QRectF(0, area.top(), area.left() - 8, area.height()), Qt::AlignRight | Qt::TextWordWrap,
               q(m->definition.name));
    for (const auto& point : m_trend->points) {
        const double x = xOf(point.day, area);
        if (x < area.left() || x > area.right()) {
            place(QPointF(-100, -100)); // of a week that is not shown
            continue;
        }
        const QPointF at(x, y(point.value));
        p.setPen(QPen(t.hues.athlete, 1.6));
        p.drawLine(QPointF(x, y(point.value - point.u)), QPointF(x, y(point.value + point.u)));
        p.setBrush(point.stage == m_trend->points.back().stage ? QBrush(t.hues.athlete) : QBrush(t.panel));
        drawStage(p, at, point.stage);
        p.setPen(t.text);
        const QString words = q(numberWords(m->definition, point.value, point.u));
        const bool turns = at.x() + 10 + p.fontMetrics().horizontalAdvance(words) > width();
        p.drawText(QRectF(turns ? at.x() - 90 : at.x() + 10, at.y() - 9, 80, 18),
                   (turns ? Qt::AlignRight : Qt::AlignLeft) | Qt::AlignVCenter, words);
        place(at);
    }
}

} // namespace riflesso
