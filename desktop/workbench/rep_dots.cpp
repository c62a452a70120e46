#include "desktop/workbench/rep_dots.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QPainter>

#include <algorithm>

namespace riflesso {

void RepDots::show(const std::vector<PractisedRep>& reps) {
    m_good.clear();
    for (std::size_t i = reps.size() > 10 ? reps.size() - 10 : 0; i < reps.size(); ++i)
        m_good.push_back(reps[i].good());
    QStringList words;
    for (const bool good : m_good)
        words << (good ? tr("good") : tr("not yet"));
    setAccessibleName(tr("The last reps: %1").arg(words.isEmpty() ? tr("none yet") : words.join(", ")));
    update();
}

void RepDots::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const double step = std::min(46.0, width() / 10.0), r = std::min(step, height() * 1.0) / 2 - 4;
    const double left = (width() - 10 * step) / 2;
    for (int i = 0; i < 10; ++i) {
        const bool there = i < static_cast<int>(m_good.size());
        const bool good = there && m_good[static_cast<std::size_t>(i)];
        p.setPen(QPen(there ? t.hues.athlete : t.line, there ? 3 : 2));
        p.setBrush(good ? QBrush(t.hues.athlete) : QBrush(Qt::NoBrush));
        p.drawEllipse(QPointF(left + (i + 0.5) * step, height() / 2.0), r, r);
    }
}

} // namespace riflesso
