#include "desktop/findings/still_pair.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_still.h"
#include "handover/words.h"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr double kStillHead = 24, kStrip = 40;
} // namespace

StillPair::StillPair(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("stillPair");
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("The picture of the finding, athlete above, model below"));
    setCursor(Qt::PointingHandCursor);
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
    connect(&bench.book(), &Casebook::analysed, this, [this] { update(); });
}

void StillPair::show(const std::string& measure) {
    m_note = 0;
    if (m_measure != measure) {
        m_measure = measure;
        m_at = 0;
        // The rep that is looked at elsewhere, when it has this measure; else the one farthest off.
        const auto all = reps(false);
        m_at = farthestOff(m_bench.analysis(), measure, all);
        emit repChanged();
    }
    update();
}

std::vector<ShownRep> StillPair::reps(bool model) const {
    return shownReps(m_bench.data(), m_bench.blueprint(), m_bench.analysis(), m_measure, model);
}

Id StillPair::rep() const {
    const auto all = reps(false);
    return m_at < all.size() ? all[m_at].rep : 0;
}

Id StillPair::modelRep() const {
    const auto all = reps(true);
    return all.empty() ? 0 : all.front().rep;
}

void StillPair::step(int by) {
    const auto n = static_cast<int>(reps(false).size());
    if (n == 0)
        return;
    m_at = static_cast<std::size_t>(std::clamp(static_cast<int>(m_at) + by, 0, n - 1));
    update();
    emit repChanged();
}

QRectF StillPair::upper() const {
    const double h = (height() - kStillHead - kStrip) / 2;
    return {0, kStillHead, static_cast<double>(width()), h - 1};
}
QRectF StillPair::lower() const {
    const QRectF up = upper();
    return {0, up.bottom() + 2, up.width(), up.height()};
}
QRectF StillPair::strip() const {
    return {0, height() - kStrip, static_cast<double>(width()), kStrip};
}

std::vector<QPointF> StillPair::dots() const {
    std::vector<QPointF> out;
    const Deviation* d = m_bench.analysis().deviation(m_measure);
    const auto all = reps(false);
    if (!d || !d->judged)
        return out;
    double lo = std::isfinite(d->band.lo) ? d->band.lo : d->band.hi - 2 * d->band.scale;
    double hi = std::isfinite(d->band.hi) ? d->band.hi : d->band.lo + 2 * d->band.scale;
    for (const auto& s : all)
        if (s.value) {
            lo = std::min(lo, s.value->value);
            hi = std::max(hi, s.value->value);
        }
    const double air = std::max(1e-9, hi - lo) * 0.06, first = strip().left() + 250, last = strip().right() - 14;
    const auto x = [&](double v) { return first + (last - first) * (v - lo + air) / (hi - lo + 2 * air); };
    for (const auto& s : all)
        out.push_back(s.value ? QPointF(x(s.value->value), strip().center().y()) : QPointF(-100, 0));
    // The band's ends come last.
    out.emplace_back(std::isfinite(d->band.lo) ? x(d->band.lo) : first, strip().center().y());
    out.emplace_back(std::isfinite(d->band.hi) ? x(d->band.hi) : last, strip().center().y());
    return out;
}

void StillPair::paintHalf(QPainter& p, const QRectF& box, const ShownRep& shown, bool model) {
    const Theme& t = theme();
    const MeasureDefinition& def = m_bench.blueprint().measure(m_measure)->definition;
    drawRepStill(p, m_bench, box, shown.rep, shown.frame, model ? t.hues.modelOnPicture : t.hues.athleteOnPicture, &def,
                 shown.value ? q(numberWords(def, shown.value->value)) : QString());
    const QString words = shown.value ? q(valueWords(def, shown.value->value, shown.value->u)) : tr("not read");
    // The athlete's value at the top, the model's at the bottom.
    drawPlate(p, box, words, Type::strong, !model);
}

void StillPair::showNote(Id note) {
    m_note = m_bench.data().notes.contains(note) ? note : 0;
    update();
}

void StillPair::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.ground);
    if (const auto note = m_bench.data().notes.find(m_note); note != m_bench.data().notes.end()) {
        const Take& take = m_bench.data().takes.at(note->second.take);
        p.setFont(typeface(Type::strong, true));
        drawNote(p, rect(), m_bench.frames().still(m_bench.filmPath(take), note->second.frame.value), note->second);
        p.setFont(typeface(Type::body));
        drawPlate(p, rect(), tr("frame %1 of “%2”").arg(note->second.frame.value + 1).arg(q(take.title)), Type::body);
        return;
    }
    const auto athlete = reps(false), models = reps(true);
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_measure);
    p.setFont(typeface(Type::strong));
    p.setPen(t.quiet);
    if (!m || athlete.empty()) {
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   m ? tr("No rep of this set shows it: it is seen %1.").arg(q(fromWhere(m->definition.view)))
                     : tr("No picture belongs to this."));
        return;
    }
    const std::size_t at = std::min(m_at, athlete.size() - 1);
    p.setFont(typeface(Type::strong, true));
    p.setPen(t.text);
    const QString where = tr("rep %1 of %2").arg(static_cast<int>(at) + 1).arg(static_cast<int>(athlete.size()));
    const double room = QFontMetricsF(typeface(Type::body)).horizontalAdvance(where) + 12;
    p.drawText(QRectF(2, 0, width() - room, kStillHead - 4), Qt::AlignLeft | Qt::AlignVCenter,
               QFontMetricsF(p.font()).elidedText(q(m->definition.name), Qt::ElideRight, width() - room));
    p.setFont(typeface(Type::body));
    p.setPen(t.quiet);
    p.drawText(QRectF(0, 0, width() - 2, kStillHead - 4), Qt::AlignRight | Qt::AlignVCenter, where);
    paintHalf(p, upper(), athlete[at], false);
    if (models.empty()) {
        p.fillRect(lower(), t.panel);
        p.setPen(t.quiet);
        p.drawText(lower(), Qt::AlignCenter | Qt::TextWordWrap, tr("No model was filmed from this side."));
    } else {
        paintHalf(p, lower(), models.front(), true);
    }
    p.fillRect(QRectF(0, upper().bottom(), width(), 2), t.text); // the waterline
    // All reps, with the band.
    const QRectF s = strip();
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    p.drawText(QRectF(s.left() + 2, s.top(), 240, s.height()), Qt::AlignLeft | Qt::AlignVCenter,
               tr("Space plays it, arrows step the reps"));
    const auto all = dots();
    if (all.empty())
        return;
    const QPointF lo = all[all.size() - 2], hi = all.back();
    p.setPen(QPen(t.line, 1));
    p.drawLine(QPointF(s.left() + 250, s.center().y()), QPointF(s.right() - 14, s.center().y()));
    QColor band = t.hues.model;
    band.setAlphaF(0.28f);
    p.fillRect(QRectF(lo.x(), lo.y() - 7, hi.x() - lo.x(), 14), band);
    for (std::size_t i = 0; i + 2 < all.size(); ++i) {
        p.setPen(QPen(t.hues.athlete, i == at ? 3 : 1.5));
        p.setBrush(i == at ? QBrush(t.hues.athlete) : QBrush(t.panel));
        p.drawEllipse(all[i], i == at ? 6.0 : 4.5, i == at ? 6.0 : 4.5);
    }
}

void StillPair::mousePressEvent(QMouseEvent* e) {
    if (const auto note = m_bench.data().notes.find(m_note); note != m_bench.data().notes.end()) {
        m_bench.selectTake(note->second.take);
        m_bench.setFrame(note->second.frame.value);
        emit m_bench.workspaceWanted(Workspace::marking);
        return;
    }
    const auto all = dots();
    if (strip().contains(e->position())) {
        for (std::size_t i = 0; i + 2 < all.size(); ++i)
            if (std::abs(all[i].x() - e->position().x()) < 8) {
                m_at = i;
                update();
                emit repChanged();
                return;
            }
        return;
    }
    const auto athlete = reps(false), models = reps(true);
    if (upper().contains(e->position()) && m_at < athlete.size())
        m_bench.showSource(athlete[m_at].rep, athlete[m_at].frame);
    else if (lower().contains(e->position()) && !models.empty())
        m_bench.showSource(models.front().rep, models.front().frame);
}

void StillPair::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Right || e->key() == Qt::Key_Left)
        step(e->key() == Qt::Key_Right ? 1 : -1);
    else
        QWidget::keyPressEvent(e);
}

} // namespace riflesso
