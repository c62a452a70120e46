#include "desktop/mirror/curves.h"

#include "casebook/phase_curves.h"
#include "casebook/text.h"
#include "desktop/theme/theme.h"
#include "handover/words.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr std::size_t kStrips = 3;
constexpr double kHead = 17, kLeft = 6, kRight = 6;

// A curve as a path; what no mark covers stays a gap.
template <typename At> QPainterPath pathOf(const std::vector<PhasePoint>& curve, double last, const At& at) {
    QPainterPath out;
    for (std::size_t i = 0; i < curve.size(); ++i) {
        const bool gap = i > 0 && curve[i].phase - curve[i - 1].phase > 1.5 * last / (kPhaseSteps - 1);
        i == 0 || gap ? out.moveTo(at(curve[i])) : out.lineTo(at(curve[i]));
    }
    return out;
}

// The value of a curve at a phase; empty in a gap.
std::optional<double> valueAt(const std::vector<PhasePoint>& curve, double phase) {
    const PhasePoint* best = nullptr;
    for (const auto& p : curve)
        if (!best || std::abs(p.phase - phase) < std::abs(best->phase - phase))
            best = &p;
    return best && std::abs(best->phase - phase) < 0.05 ? std::optional(best->value) : std::nullopt;
}
} // namespace

MirrorCurves::MirrorCurves(Workbench& bench, QWidget* parent) : QWidget(parent), m_bench(bench) {
    setObjectName("mirrorCurves");
    setAccessibleName(tr("Curves of several measures against the phases of the movement"));
    connect(&bench, &Workbench::frameChanged, this, [this] { update(); });
}

std::vector<std::string> MirrorCurves::measures() const {
    std::vector<std::string> out;
    for (const auto& s : m_strips)
        out.push_back(s.measure);
    return out;
}

double MirrorCurves::lastPhase() const {
    return std::max<double>(1.0, static_cast<double>(m_bench.blueprint().positions.size()) - 1.0);
}

void MirrorCurves::show(const std::string& first, Id athlete, Id model) {
    m_athlete = athlete;
    m_strips.clear();
    const auto& kept = m_bench.data();
    const auto& b = m_bench.blueprint();
    const auto& a = m_bench.analysis();
    const auto rep = kept.reps.find(athlete);
    if (rep == kept.reps.end())
        return update();
    std::vector<std::string> wanted = tellingCurves(b, a, kept.takes.at(rep->second.take).view);
    if (const auto it = std::find(wanted.begin(), wanted.end(), first); it != wanted.end())
        std::rotate(wanted.begin(), it, it + 1);
    QStringList spoken;
    for (const auto& measure : wanted) {
        Strip s{measure, {}, phaseCurveOf(kept, b, a, measure, {athlete}), phaseCurveOf(kept, b, a, measure, {model})};
        if (s.own.empty())
            continue;
        for (const Id id : a.athleteReps)
            if (id != athlete)
                s.all.push_back(phaseCurveOf(kept, b, a, measure, {id}));
        double lo = HUGE_VAL, hi = -HUGE_VAL;
        const auto take = [&](const std::vector<PhasePoint>& curve) {
            for (const auto& p : curve) {
                lo = std::min(lo, p.value);
                hi = std::max(hi, p.value);
            }
        };
        take(s.own);
        take(s.model);
        for (const auto& curve : s.all)
            take(curve);
        const double air = std::max(1e-9, 0.06 * (hi - lo));
        s.lo = lo - air;
        s.hi = hi + air;
        spoken << q(b.measure(measure)->definition.name);
        m_strips.push_back(std::move(s));
        if (m_strips.size() == kStrips)
            break;
    }
    setAccessibleDescription(spoken.join("; "));
    update();
}

void MirrorCurves::setAgainst(bool against) {
    m_against = against;
    update();
}

QRectF MirrorCurves::plotOf(const QRectF& box) const {
    return box.adjusted(kLeft, kHead, -kRight, -4);
}

void MirrorCurves::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    if (m_strips.empty() || (m_against && m_strips.size() < 2)) {
        p.setPen(t.quiet);
        p.setFont(typeface(Type::body));
        p.drawText(rect().adjusted(12, 0, -12, 0), Qt::AlignCenter | Qt::TextWordWrap,
                   tr("No curve: the measures need marks on the frames between the key positions."));
        return;
    }
    const auto now = m_bench.rep() && m_bench.rep()->id == m_athlete
                         ? phaseAt(m_bench.data(), m_bench.blueprint(), m_athlete, FrameIndex(m_bench.frame()))
                         : std::nullopt;
    if (m_against) {
        paintAgainst(p, rect(), now);
        return;
    }
    const double high = static_cast<double>(height()) / static_cast<double>(m_strips.size());
    for (std::size_t i = 0; i < m_strips.size(); ++i)
        paintStrip(p, QRectF(0, high * static_cast<double>(i), width(), high), m_strips[i], now);
}

void MirrorCurves::paintStrip(QPainter& p, const QRectF& box, const Strip& s, std::optional<double> now) {
    const Theme& t = theme();
    const QRectF plot = plotOf(box);
    const double last = lastPhase();
    const auto at = [&](const PhasePoint& point) {
        return QPointF(plot.left() + point.phase / last * plot.width(),
                       plot.bottom() - (point.value - s.lo) / (s.hi - s.lo) * plot.height());
    };
    const MeasureDefinition& d = m_bench.blueprint().measure(s.measure)->definition;
    p.setPen(QPen(t.line, 1));
    for (std::size_t i = 0; i < m_bench.blueprint().positions.size(); ++i) {
        const double x = plot.left() + static_cast<double>(i) / last * plot.width();
        p.drawLine(QPointF(x, plot.top()), QPointF(x, plot.bottom()));
    }
    if (const Deviation* dev = m_bench.analysis().deviation(s.measure);
        dev && dev->judged) { // the band, where it is judged
        const int place = m_bench.blueprint().positionOrder(d.at);
        if (place >= 0) {
            const double x = plot.left() + place / last * plot.width();
            const double lo = std::clamp(std::isfinite(dev->band.lo) ? dev->band.lo : s.lo, s.lo, s.hi);
            const double hi = std::clamp(std::isfinite(dev->band.hi) ? dev->band.hi : s.hi, s.lo, s.hi);
            QColor band = t.hues.model;
            band.setAlphaF(0.35f);
            p.fillRect(QRectF(QPointF(x - 5, at({0, hi}).y()), QPointF(x + 5, at({0, lo}).y())), band);
        }
    }
    QColor thin = t.hues.athlete;
    thin.setAlphaF(0.4f);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(thin, 1));
    for (const auto& curve : s.all)
        p.drawPath(pathOf(curve, last, at));
    p.setPen(QPen(t.hues.model, 1.8, Qt::DashLine));
    p.drawPath(pathOf(s.model, last, at));
    p.setPen(QPen(t.hues.athlete, 2.6));
    p.drawPath(pathOf(s.own, last, at));
    QString words;
    if (now) {
        const double x = plot.left() + *now / last * plot.width();
        p.setPen(QPen(t.text, 1.4));
        p.drawLine(QPointF(x, plot.top()), QPointF(x, plot.bottom()));
        if (const auto v = valueAt(s.own, *now)) {
            p.setBrush(t.hues.athlete);
            p.drawEllipse(at({*now, *v}), 4, 4);
            words = q(numberWords(d, *v));
        }
        if (const auto v = valueAt(s.model, *now)) {
            p.setBrush(t.panel);
            p.setPen(QPen(t.hues.model, 1.8));
            p.drawEllipse(at({*now, *v}), 4, 4);
            words += words.isEmpty() ? QString() : tr(", model %1").arg(q(numberWords(d, *v)));
        }
    }
    p.setFont(typeface(Type::small));
    const QFontMetricsF metrics(p.font());
    const double room = metrics.horizontalAdvance(words) + 10;
    p.setPen(t.quiet);
    p.drawText(QRectF(box.left() + kLeft, box.top(), box.width() - kLeft - kRight, kHead),
               Qt::AlignRight | Qt::AlignVCenter, words);
    p.setPen(t.text);
    p.drawText(QRectF(box.left() + kLeft, box.top(), box.width() - kLeft - kRight - room, kHead),
               Qt::AlignLeft | Qt::AlignVCenter,
               metrics.elidedText(q(d.name), Qt::ElideRight, box.width() - kLeft - kRight - room));
}

void MirrorCurves::paintAgainst(QPainter& p, const QRectF& box, std::optional<double> now) {
    const Theme& t = theme();
    const Strip &across = m_strips[0], &up = m_strips[1];
    const auto& b = m_bench.blueprint();
    const QRectF plot = box.adjusted(14, 22, -14, -26);
    const auto at = [&](double x, double y) {
        return QPointF(plot.left() + (x - across.lo) / (across.hi - across.lo) * plot.width(),
                       plot.bottom() - (y - up.lo) / (up.hi - up.lo) * plot.height());
    };
    p.setPen(QPen(t.line, 1));
    p.drawRect(plot);
    const auto loop = [&](const std::vector<PhasePoint>& xs, const std::vector<PhasePoint>& ys) {
        QPainterPath path;
        bool pen = false;
        for (const auto& x : xs) {
            const auto y = valueAt(ys, x.phase);
            if (!y) {
                pen = false;
                continue;
            }
            pen ? path.lineTo(at(x.value, *y)) : path.moveTo(at(x.value, *y));
            pen = true;
        }
        return path;
    };
    QColor thin = t.hues.athlete;
    thin.setAlphaF(0.4f);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(thin, 1));
    for (std::size_t i = 0; i < std::min(across.all.size(), up.all.size()); ++i)
        p.drawPath(loop(across.all[i], up.all[i]));
    p.setPen(QPen(t.hues.model, 1.8, Qt::DashLine));
    p.drawPath(loop(across.model, up.model));
    p.setPen(QPen(t.hues.athlete, 2.6));
    p.drawPath(loop(across.own, up.own));
    if (now)
        for (const bool model : {true, false}) {
            const auto x = valueAt(model ? across.model : across.own, *now),
                       y = valueAt(model ? up.model : up.own, *now);
            if (!x || !y)
                continue;
            p.setPen(QPen(model ? t.hues.model : t.hues.athlete, 2));
            p.setBrush(model ? QBrush(t.panel) : QBrush(t.hues.athlete));
            p.drawEllipse(at(*x, *y), 5, 5);
        }
    p.setFont(typeface(Type::small));
    p.setPen(t.text);
    const QFontMetricsF metrics(p.font());
    p.drawText(QRectF(14, 2, box.width() - 28, 18), Qt::AlignLeft | Qt::AlignVCenter,
               metrics.elidedText(tr("up: %1").arg(q(b.measure(up.measure)->definition.name)), Qt::ElideRight,
                                  box.width() - 28));
    p.drawText(QRectF(14, box.bottom() - 22, box.width() - 28, 18), Qt::AlignRight | Qt::AlignVCenter,
               metrics.elidedText(tr("to the right: %1").arg(q(b.measure(across.measure)->definition.name)),
                                  Qt::ElideRight, box.width() - 28));
}

void MirrorCurves::mousePressEvent(QMouseEvent* e) {
    const auto rep = m_bench.data().reps.find(m_athlete);
    if (m_against || rep == m_bench.data().reps.end())
        return;
    const QRectF plot = plotOf(rect());
    std::vector<PositionId> order;
    for (const auto& position : m_bench.blueprint().positions)
        order.push_back(position.id);
    const PhaseMap map(order, rep->second.positions);
    if (!map.usable())
        return;
    if (!m_bench.rep() || m_bench.rep()->id != m_athlete)
        m_bench.selectRep(m_athlete);
    m_bench.setFrame(static_cast<int>(
        std::lround(map.frame(std::clamp((e->position().x() - plot.left()) / plot.width(), 0.0, 1.0) * lastPhase()))));
}

} // namespace riflesso
