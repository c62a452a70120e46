#include "desktop/programme/ladder_view.h"

#include "casebook/text.h"
#include "desktop/programme/plan_calendar.h"
#include "desktop/theme/theme.h"

#include <QApplication>
#include <QDrag>
#include <QKeyEvent>
#include <QMimeData>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>

namespace riflesso {
namespace {
constexpr int kRungTitle = 30, kRung = 46, kRungGap = 5;
}

LadderView::LadderView(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("ladder");
    setAccessibleName(tr("The ladder of drills"));
    setFocusPolicy(Qt::StrongFocus);
    setCursor(Qt::OpenHandCursor);
}

void LadderView::refresh() {
    const auto all = rungs();
    if (std::none_of(all.begin(), all.end(), [&](const Rung& r) { return !r.drill.empty() && r.drill == m_chosen; })) {
        // Where practice stands: the newest gate's drill, else the first rung.
        m_chosen.clear();
        for (const auto& g : m_bench.analysis().gates)
            if (m_chosen.empty() &&
                std::any_of(all.begin(), all.end(), [&](const Rung& r) { return r.drill == g.drill; }))
                m_chosen = g.drill;
        for (const auto& r : all)
            if (m_chosen.empty() && !r.drill.empty())
                m_chosen = r.drill;
    }
    QStringList spoken;
    for (const auto& r : all) {
        const Fault* fault = m_bench.blueprint().fault(r.fault);
        const Drill* d = m_bench.blueprint().drill(r.drill);
        if (d)
            spoken << tr("%1: %2").arg(shownWord(kStageNames[static_cast<std::size_t>(d->stage)]), q(d->name));
        else if (fault)
            spoken << tr("for %1").arg(q(fault->name));
    }
    setAccessibleDescription(spoken.isEmpty() ? tr("no focus yet") : spoken.join("; "));
    updateGeometry();
    update();
}

void LadderView::choose(const std::string& drill) {
    if (m_chosen == drill)
        return;
    m_chosen = drill;
    update();
    emit chosenChanged();
}

std::vector<LadderView::Rung> LadderView::rungs() const {
    std::vector<Rung> out;
    int y = 0;
    for (const auto& id : m_bench.analysis().judgement.focus) {
        const Fault* f = m_bench.blueprint().fault(id);
        if (!f)
            continue;
        out.push_back({id, {}, QRect(0, y, width(), kRungTitle)});
        y += kRungTitle;
        for (const Drill* d : ladderOf(m_bench.blueprint(), *f)) {
            out.push_back({id, d->id, QRect(0, y, width() - 1, kRung)});
            y += kRung + kRungGap;
        }
        y += 6;
    }
    return out;
}

QRect LadderView::boxOf(const std::string& drill) const {
    for (const auto& r : rungs())
        if (r.drill == drill)
            return r.box;
    return {};
}

QSize LadderView::sizeHint() const {
    const auto all = rungs();
    return {236, all.empty() ? 80 : all.back().box.bottom() + 4};
}

void LadderView::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const auto all = rungs();
    if (all.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::body));
        p.drawText(rect(), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
                   tr("No focus yet. Take a finding up, and its drills stand here."));
        return;
    }
    int shown = -1;
    for (const auto& r : all) {
        if (r.drill.empty()) {
            ++shown;
            p.setFont(typeface(Type::body, true));
            p.setPen(shown == 0 ? t.hues.athlete : t.hues.model);
            p.drawText(r.box, Qt::AlignLeft | Qt::AlignVCenter,
                       QFontMetricsF(p.font()).elidedText(q(m_bench.blueprint().fault(r.fault)->name), Qt::ElideRight,
                                                          r.box.width()));
            continue;
        }
        const QColor hue = shown == 0 ? t.hues.athlete : t.hues.model;
        const Drill& d = *m_bench.blueprint().drill(r.drill);
        const bool chosen = r.drill == m_chosen;
        p.setPen(QPen(chosen ? hue : t.line, chosen ? 2 : 1));
        p.setBrush(t.panel);
        p.drawRoundedRect(QRectF(r.box).adjusted(0.5, 0.5, -0.5, -0.5), 5, 5);
        const QRectF inner = QRectF(r.box).adjusted(9, 4, -9, -4);
        p.setFont(typeface(Type::small));
        p.setPen(t.quiet);
        p.drawText(QRectF(inner.left(), inner.top(), inner.width(), 16), Qt::AlignLeft | Qt::AlignVCenter,
                   shownWord(kStageNames[static_cast<std::size_t>(d.stage)]));
        p.setFont(typeface(Type::body, chosen));
        p.setPen(t.text);
        p.drawText(QRectF(inner.left(), inner.bottom() - 20, inner.width(), 20), Qt::AlignLeft | Qt::AlignVCenter,
                   QFontMetricsF(p.font()).elidedText(q(d.name), Qt::ElideRight, inner.width()));
        // How much of it is good, where it was practised.
        const QRectF bar(inner.right() - 82, inner.top() + 4, 82, 9);
        QColor empty = t.line;
        p.setPen(Qt::NoPen);
        p.setBrush(empty);
        p.drawRoundedRect(bar, 4, 4);
        for (const auto& g : m_bench.analysis().gates)
            if (g.drill == r.drill && g.good + g.bad > 0) {
                p.setBrush(hue);
                p.drawRoundedRect(QRectF(bar.left(), bar.top(), bar.width() * g.good / (g.good + g.bad), bar.height()),
                                  4, 4);
            }
    }
}

void LadderView::mousePressEvent(QMouseEvent* e) {
    m_from = e->position().toPoint();
    for (const auto& r : rungs())
        if (!r.drill.empty() && r.box.contains(m_from))
            choose(r.drill);
}

void LadderView::mouseMoveEvent(QMouseEvent* e) {
    if (!(e->buttons() & Qt::LeftButton) || m_chosen.empty() ||
        (e->position().toPoint() - m_from).manhattanLength() < QApplication::startDragDistance() ||
        !boxOf(m_chosen).contains(m_from))
        return;
    auto* mime = new QMimeData;
    mime->setData(PlanCalendar::kDrillMime, QByteArray::fromStdString(m_chosen));
    auto* drag = new QDrag(this);
    drag->setMimeData(mime);
    drag->exec(Qt::CopyAction);
}

void LadderView::keyPressEvent(QKeyEvent* e) {
    const int step = e->key() == Qt::Key_Down ? 1 : e->key() == Qt::Key_Up ? -1 : 0;
    std::vector<std::string> drills;
    for (const auto& r : rungs())
        if (!r.drill.empty())
            drills.push_back(r.drill);
    if (step == 0 || drills.empty()) {
        QWidget::keyPressEvent(e);
        return;
    }
    const auto at = std::find(drills.begin(), drills.end(), m_chosen) - drills.begin();
    choose(drills[static_cast<std::size_t>(std::clamp<std::ptrdiff_t>(at + step, 0, std::ssize(drills) - 1))]);
}

} // namespace riflesso
