#include "desktop/mirror/board.h"

#include "casebook/phase_curves.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/rep_still.h"
#include "handover/words.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QToolTip>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr double kGap = 7;
constexpr double kRow = 29;                // one deviation: name and number
constexpr std::size_t kMostDeviations = 3; // deviations a position shows
} // namespace

MirrorBoard::MirrorBoard(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("Board of key positions, athlete above, model below"));
    setMouseTracking(true);
    connect(&bench.frames(), &FrameService::frameReady, this, [this] { update(); });
    connect(&bench.book(), &Casebook::analysed, this, [this] { update(); });
}

void MirrorBoard::setReps(Id athlete, Id model) {
    m_athlete = athlete;
    m_model = model;
    update();
}

const MeasureValue* MirrorBoard::valueOf(Id rep, const std::string& measure) const {
    const auto it = m_bench.analysis().measured.find(rep);
    if (it == m_bench.analysis().measured.end())
        return nullptr;
    for (const auto& v : it->second.values)
        if (v.measure == measure && !v.refused)
            return &v;
    return nullptr;
}

std::vector<MirrorBoard::Column> MirrorBoard::columns() const {
    std::vector<Column> out;
    const CaseData& kept = m_bench.data();
    const auto rep = kept.reps.find(m_athlete);
    const auto& a = m_bench.analysis();
    std::vector<const KeyPosition*> shown;
    for (const auto& p : m_bench.blueprint().positions)
        if (rep != kept.reps.end() && rep->second.positions.contains(p.id))
            shown.push_back(&p);
    if (shown.empty())
        return out;
    const double w = std::min((width() - kGap * double(shown.size() - 1)) / double(shown.size()), 260.0);
    const double top = 20, middle = 16 + kRow * double(kMostDeviations);
    const double h = (height() - top - middle) / 2;
    const double left = (width() - (w + kGap) * double(shown.size()) + kGap) / 2;
    for (std::size_t i = 0; i < shown.size(); ++i) {
        const double x = left + (w + kGap) * double(i);
        Column c{shown[i], {x, top, w, h}, {x, top + h, w, middle}, {x, top + h + middle, w, h}, {}};
        const View view = kept.takes.at(rep->second.take).view;
        for (const auto& d : a.deviations) {
            const auto& def = m_bench.blueprint().measure(d.measure)->definition;
            if (d.judged && serves(view, def.view) && def.at == c.position->id && valueOf(m_athlete, d.measure))
                c.deviations.push_back(&d);
        }
        std::stable_sort(c.deviations.begin(), c.deviations.end(), [](const Deviation* x1, const Deviation* x2) {
            return std::abs(x1->verdict.severity) > std::abs(x2->verdict.severity);
        });
        if (c.deviations.size() > kMostDeviations)
            c.deviations.resize(kMostDeviations);
        out.push_back(std::move(c));
    }
    return out;
}

void MirrorBoard::paintStill(QPainter& p, const QRectF& box, Id repId, const PositionId& position, QColor colour,
                             bool wedge) {
    const CaseData& kept = m_bench.data();
    const auto rep = kept.reps.find(repId);
    if (rep == kept.reps.end() || !rep->second.positions.contains(position)) {
        p.fillRect(box, theme().panel);
        p.setPen(theme().quiet);
        p.setFont(typeface(Type::small));
        p.drawText(box, Qt::AlignCenter | Qt::TextWordWrap,
                   rep == kept.reps.end() ? tr("no rep from this view") : tr("not placed in this rep"));
        return;
    }
    const FrameIndex frame = rep->second.positions.at(position).frame;
    // The angle that deviates most is drawn on the figure.
    const MeasureDefinition* drawn = nullptr;
    QString words;
    for (const auto& c : columns()) {
        if (!wedge || c.position->id != position)
            continue;
        for (const Deviation* d : c.deviations) {
            const auto& def = m_bench.blueprint().measure(d->measure)->definition;
            if (drawn || def.kind != MeasureKind::angle || d->verdict.decision == Decision::inside)
                continue;
            drawn = &def;
            words = q(numberWords(def, valueOf(m_athlete, d->measure)->value));
        }
    }
    drawRepStill(p, m_bench, box, repId, frame, colour, drawn, words);
}

void MirrorBoard::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.ground);
    const auto all = columns();
    if (all.empty()) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::strong));
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("No rep of the athlete has key positions yet.\nPlace them in Marking: step to the moment and "
                      "press its number."));
        return;
    }
    for (const auto& c : all) {
        p.setFont(typeface(Type::body, true));
        p.setPen(t.text);
        p.drawText(
            QRectF(c.athlete.x(), 0, c.athlete.width(), 19), Qt::AlignLeft | Qt::AlignVCenter,
            QString("%1  %2").arg(m_bench.blueprint().positionOrder(c.position->id) + 1).arg(q(c.position->name)));
        paintStill(p, c.athlete, m_athlete, c.position->id, t.hues.athleteOnPicture, true);
        paintStill(p, c.model, m_model, c.position->id, t.hues.modelOnPicture, false);
        double y = c.middle.y() + 8;
        for (const Deviation* d : c.deviations) {
            const auto& def = m_bench.blueprint().measure(d->measure)->definition;
            const MeasureValue* v = valueOf(m_athlete, d->measure);
            const bool closed = std::isfinite(d->band.lo) && std::isfinite(d->band.hi);
            const bool bad = d->verdict.decision != Decision::inside;
            drawDeviationMark(p, QPointF(c.middle.x() + 9, y + 19), 9, *d, isTime(def), bad ? t.hues.athlete : t.quiet);
            p.setFont(typeface(Type::small));
            p.setPen(t.quiet);
            p.drawText(QRectF(c.middle.x(), y - 2, c.middle.width(), 14), Qt::AlignLeft,
                       QFontMetricsF(p.font()).elidedText(q(def.name), Qt::ElideRight, c.middle.width()));
            p.setFont(typeface(Type::body, bad));
            p.setPen(bad ? t.hues.athlete : t.text);
            // Against the middle of the band; a one-sided band has only its edge.
            const double from = closed                      ? (d->band.lo + d->band.hi) / 2
                                : std::isfinite(d->band.hi) ? d->band.hi
                                                            : d->band.lo;
            const double delta = v->value - from;
            p.drawText(QRectF(c.middle.x() + 22, y + 10, c.middle.width() - 22, 17), Qt::AlignLeft | Qt::AlignVCenter,
                       (delta > 0 ? "+" : "") + q(numberWords(def, delta, v->u)) +
                           (v->draft ? tr(", draft") : QString()));
            y += kRow;
        }
    }
    // The waterline runs through all columns.
    const double line = all.front().middle.top() + 3;
    p.setPen(QPen(t.quiet, 1.6));
    p.drawLine(QPointF(0, line), QPointF(width(), line));
}

void MirrorBoard::mousePressEvent(QMouseEvent* e) {
    for (const auto& c : columns()) {
        for (const auto& [box, rep] : {std::pair{c.athlete, m_athlete}, std::pair{c.model, m_model}})
            if (box.contains(e->position()) && m_bench.data().reps.contains(rep))
                if (const auto& r = m_bench.data().reps.at(rep); r.positions.contains(c.position->id)) {
                    m_bench.showSource(rep, r.positions.at(c.position->id).frame);
                    return;
                }
        if (c.middle.contains(e->position())) {
            const auto i = static_cast<std::size_t>((e->position().y() - c.middle.y() - 8) / kRow);
            if (i < c.deviations.size())
                emit measureChosen(q(c.deviations[i]->measure));
        }
    }
}

bool MirrorBoard::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        for (const auto& c : columns()) {
            if (c.middle.contains(help->pos())) {
                const auto i = static_cast<std::size_t>(std::max(0.0, (help->pos().y() - c.middle.y() - 8) / kRow));
                if (i < c.deviations.size()) {
                    QToolTip::showText(help->globalPos(), q(deviationWords(m_bench.blueprint(), *c.deviations[i])),
                                       this);
                    return true;
                }
            }
            if (c.athlete.contains(help->pos()) || c.model.contains(help->pos())) {
                QToolTip::showText(help->globalPos(), tr("%1 Click to see the whole frame.").arg(q(c.position->words)),
                                   this);
                return true;
            }
        }
    }
    return QWidget::event(e);
}

MirrorCurve::MirrorCurve(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setAccessibleName(tr("Curve of a measure against the phases of the movement"));
}

void MirrorCurve::show(const std::string& measure, Id athlete, const std::vector<Id>& models) {
    m_measure = measure;
    m_athlete.clear();
    m_model.clear();
    m_athlete = phaseCurveOf(m_bench.data(), m_bench.blueprint(), m_bench.analysis(), measure, {athlete});
    m_model = phaseCurveOf(m_bench.data(), m_bench.blueprint(), m_bench.analysis(), measure, models);
    update();
}

void MirrorCurve::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    const BlueprintMeasure* m = m_bench.blueprint().measure(m_measure);
    if (!m || (m_athlete.empty() && m_model.empty())) {
        p.setPen(t.quiet);
        p.drawText(rect(), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("No curve: this measure needs marks on the frames between the key positions."));
        return;
    }
    double lo = 1e300, hi = -1e300;
    for (const auto* c : {&m_athlete, &m_model})
        for (const auto& point : *c) {
            lo = std::min(lo, point.value - 2 * point.spread);
            hi = std::max(hi, point.value + 2 * point.spread);
        }
    if (hi - lo < 1e-9)
        hi = lo + 1;
    const double left = 62, right = width() - 14, top = 20, bottom = height() - 20.0;
    const double line = (top + bottom) / 2, reach = (bottom - top) / 2 - 3;
    const double last = double(m_bench.blueprint().positions.size()) - 1;
    const auto x = [&](double phase) { return left + phase / last * (right - left); };
    const auto rise = [&](double v) { return (v - lo) / (hi - lo) * reach; };

    p.setFont(typeface(Type::small));
    for (std::size_t i = 0; i < m_bench.blueprint().positions.size(); ++i) {
        p.setPen(QPen(t.line, 1));
        p.drawLine(QPointF(x(double(i)), top), QPointF(x(double(i)), bottom));
        p.setPen(t.quiet);
        // Names where they have room, else the numbers of the pegs.
        const double room = (right - left) / std::max(1.0, last) - 8;
        double widest = 0.0;
        for (const auto& position : m_bench.blueprint().positions)
            widest = std::max(widest, QFontMetricsF(p.font()).horizontalAdvance(q(position.name)));
        const QString name = widest <= room ? q(m_bench.blueprint().positions[i].name) : QString::number(i + 1);
        const double w = QFontMetricsF(p.font()).horizontalAdvance(name);
        p.drawText(QPointF(std::clamp(x(double(i)) - w / 2, left, right - w), height() - 6), name);
    }
    p.setPen(t.text);
    p.drawText(QPointF(left, 13), q(m->definition.name));
    for (double v : {lo, hi}) {
        p.setPen(t.quiet);
        p.drawText(QRectF(2, line - rise(v) - 8, left - 8, 16), Qt::AlignRight | Qt::AlignVCenter,
                   q(numberWords(m->definition, v)));
        if (v == hi)
            p.drawText(QRectF(2, line + rise(v) - 8, left - 8, 16), Qt::AlignRight | Qt::AlignVCenter,
                       q(numberWords(m->definition, v)));
    }
    // The model below: its band, and its mean as a thin echo above to read the gap against.
    QPainterPath band, mean, echo;
    for (std::size_t i = 0; i < m_model.size(); ++i) {
        const QPointF upper(x(m_model[i].phase), line + rise(m_model[i].value + 2 * m_model[i].spread));
        i ? band.lineTo(upper) : band.moveTo(upper);
        const QPointF c(x(m_model[i].phase), line + rise(m_model[i].value)),
            e(x(m_model[i].phase), line - rise(m_model[i].value));
        i ? mean.lineTo(c) : mean.moveTo(c);
        i ? echo.lineTo(e) : echo.moveTo(e);
    }
    for (std::size_t i = m_model.size(); i-- > 0;)
        band.lineTo(QPointF(x(m_model[i].phase), line + rise(m_model[i].value - 2 * m_model[i].spread)));
    QColor pale = t.hues.model;
    pale.setAlpha(70);
    p.fillPath(band, pale);
    p.setPen(QPen(t.hues.model, 2));
    p.drawPath(mean);
    p.setPen(QPen(t.hues.model, 1, Qt::DotLine));
    p.drawPath(echo);
    QPainterPath own;
    bool pen = false;
    for (std::size_t i = 0; i < m_athlete.size(); ++i) {
        const QPointF at(x(m_athlete[i].phase), line - rise(m_athlete[i].value));
        // Gaps are drawn as gaps.
        const bool gap = i && m_athlete[i].phase - m_athlete[i - 1].phase > 1.5 * last / (kPhaseSteps - 1);
        pen && !gap ? own.lineTo(at) : own.moveTo(at);
        pen = true;
    }
    p.setPen(QPen(t.hues.athlete, 2.4));
    p.drawPath(own);
    p.setPen(QPen(t.quiet, 1.6));
    p.drawLine(QPointF(left, line), QPointF(right, line));
}

} // namespace riflesso
