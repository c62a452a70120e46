#include "desktop/workbench/rep_dots.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPolygonF>

#include <algorithm>

namespace riflesso {

void RepDots::show(const std::vector<PractisedRep>& reps) {
    m_dots.clear();
    m_first = std::max(0, static_cast<int>(reps.size()) - kDots);
    QStringList words;
    for (auto rep = reps.begin() + m_first; rep != reps.end(); ++rep) {
        m_dots.push_back({rep->good(), !rep->clip.empty()});
        words << (rep->good() ? tr("good") : tr("not yet"));
    }
    setAccessibleName(tr("The last reps: %1").arg(words.isEmpty() ? tr("none yet") : words.join(", ")));
    update();
}

double RepDots::step() const {
    return std::min(46.0, width() / static_cast<double>(kDots));
}

void RepDots::mousePressEvent(QMouseEvent* e) {
    const double at = (e->position().x() - (width() - kDots * step()) / 2) / step();
    if (at >= 0.0 && at < static_cast<double>(m_dots.size()))
        emit clicked(m_first + static_cast<int>(at));
}

void RepDots::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double r = std::min(step(), height() * 1.0) / 2 - 4;
    const double left = (width() - kDots * step()) / 2;
    for (int i = 0; i < kDots; ++i) {
        const bool there = i < static_cast<int>(m_dots.size());
        const Dot dot = there ? m_dots[static_cast<std::size_t>(i)] : Dot();
        const QPointF middle(left + (i + 0.5) * step(), height() / 2.0);
        p.setPen(QPen(there ? t.hues.athlete : t.line, there ? 3 : 2));
        p.setBrush(dot.good ? QBrush(t.hues.athlete) : QBrush(Qt::NoBrush));
        p.drawEllipse(middle, r, r);
        if (!dot.filmed)
            continue;
        p.setPen(Qt::NoPen);
        p.setBrush(dot.good ? t.panel : t.hues.athlete);
        const double s = r * 0.45;
        p.drawPolygon(
            QPolygonF({middle + QPointF(-s * 0.7, -s), middle + QPointF(s, 0), middle + QPointF(-s * 0.7, s)}));
    }
}

} // namespace riflesso
