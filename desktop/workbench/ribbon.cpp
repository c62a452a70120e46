#include "desktop/workbench/ribbon.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QWheelEvent>

#include <cmath>

namespace riflesso {
namespace {
constexpr int kEdge = 16;
constexpr int kBand = 20; // height of the blocks
constexpr int kTop = 28;
} // namespace

Ribbon::Ribbon(Workbench& bench, bool withModel, QWidget* parent)
    : QWidget(parent), m_bench(bench), m_withModel(withModel) {
    setAccessibleName(tr("Time ribbon of the rep"));
    setToolTip(tr("Click to go to a moment. The wheel steps one frame."));
    setSizePolicy(QSizePolicy::Expanding, QSizePolicy::Fixed);
    const auto again = [this] { update(); };
    connect(&bench, &Workbench::frameChanged, this, again);
    connect(&bench, &Workbench::selectionChanged, this, again);
    connect(&bench.book(), &Casebook::changed, this, again);
}

void Ribbon::setModelRep(Id rep) {
    m_modelRep = rep;
    update();
}

Ribbon::Span Ribbon::span() const {
    const Take* take = m_bench.take();
    const int last = take ? static_cast<int>(take->times.size()) - 1 : 1;
    const Rep* rep = m_bench.rep();
    const bool cut = rep && rep->first && rep->last;
    if (!rep || (rep->positions.size() < 2 && !cut))
        return {0, std::max(1, last)};
    int lo = cut ? rep->first->value : last, hi = cut ? rep->last->value : 0;
    for (const auto& [id, p] : rep->positions) {
        lo = std::min(lo, p.frame.value);
        hi = std::max(hi, p.frame.value);
    }
    const int air = std::max(6, (hi - lo) / 12);
    lo = std::min(lo, m_bench.frame());
    hi = std::max(hi, m_bench.frame());
    return {std::max(0, lo - air), std::min(last, hi + air)};
}

double Ribbon::xOf(double frame) const {
    const Span s = span();
    return kEdge + (frame - s.first) / std::max(1, s.last - s.first) * (width() - 2 * kEdge);
}

int Ribbon::frameAt(double x) const {
    const Span s = span();
    return static_cast<int>(std::lround(s.first + (x - kEdge) / std::max(1, width() - 2 * kEdge) * (s.last - s.first)));
}

// The key positions that are placed, in order of time: frame, and place in the blueprint's order.
std::vector<std::pair<int, int>> Ribbon::pegs(const Rep* rep) const {
    const auto& positions = m_bench.blueprint().positions;
    std::vector<std::pair<int, int>> pegs;
    if (rep)
        for (std::size_t i = 0; i < positions.size(); ++i)
            if (const auto it = rep->positions.find(positions[i].id); it != rep->positions.end())
                pegs.emplace_back(it->second.frame.value, static_cast<int>(i));
    std::sort(pegs.begin(), pegs.end());
    return pegs;
}

void Ribbon::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), theme().panel);
    const Take* take = m_bench.take();
    if (!take)
        return;
    const Rep* rep = m_bench.rep();
    const auto placed = pegs(rep);
    const QColor own = take->performer == Performer::model ? theme().hues.model : theme().hues.athlete;
    drawOwn(p, placed, own);
    if (m_withModel && rep && m_bench.data().reps.contains(m_modelRep))
        drawModel(p, *take, *rep, placed);
    if (rep)
        drawPegs(p, *take, *rep, placed, own);
    drawPlayhead(p, *take);
    if (placed.empty())
        p.drawText(QRectF(kEdge, kTop, width() - 2 * kEdge, kBand), Qt::AlignCenter, tr("no key positions yet"));
}

// The athlete's blocks stand on the waterline.
void Ribbon::drawOwn(QPainter& p, const Pegs& pegs, const QColor& own) {
    const Theme& t = theme();
    const int line = kTop + kBand;
    p.fillRect(QRectF(kEdge, kTop, width() - 2 * kEdge, kBand),
               QColor(t.line.red(), t.line.green(), t.line.blue(), 90));
    for (std::size_t i = 1; i < pegs.size(); ++i) {
        const QRectF block(xOf(pegs[i - 1].first) + 1, kTop, xOf(pegs[i].first) - xOf(pegs[i - 1].first) - 2, kBand);
        QColor fill = own;
        fill.setAlpha(i % 2 ? 60 : 100);
        p.fillRect(block, fill);
    }
    p.setPen(QPen(t.quiet, 1.4));
    p.drawLine(QPointF(kEdge, line), QPointF(width() - kEdge, line));
}

// The model's blocks hang below it, on the same seconds.
void Ribbon::drawModel(QPainter& p, const Take& take, const Rep& rep, const Pegs& pegs) {
    const Theme& t = theme();
    const auto& positions = m_bench.blueprint().positions;
    const Timebase time = timebaseOf(take);
    const int line = kTop + kBand;
    std::map<int, double> modelX;
    const Rep& other = m_bench.data().reps.at(m_modelRep);
    const Timebase otherTime = timebaseOf(m_bench.data().takes.at(other.take));
    double anchorOwn = 0, anchorOther = 0;
    for (const auto& position : positions)
        if (rep.positions.contains(position.id) && other.positions.contains(position.id)) {
            anchorOwn = time.real(rep.positions.at(position.id).frame).value;
            anchorOther = otherTime.real(other.positions.at(position.id).frame).value;
            break;
        }
    const Span s = span();
    const double perFrame =
        (time.real(FrameIndex(s.last)).value - time.real(FrameIndex(s.first)).value) / std::max(1, s.last - s.first);
    const double t0 = time.real(FrameIndex(s.first)).value;
    const auto x = [&](double otherSeconds) {
        return xOf(s.first + (otherSeconds - anchorOther + anchorOwn - t0) / perFrame);
    };
    double before = -1;
    int n = 0;
    for (std::size_t i = 0; i < positions.size(); ++i)
        if (const auto it = other.positions.find(positions[i].id); it != other.positions.end()) {
            const double at = x(otherTime.real(it->second.frame).value);
            modelX[static_cast<int>(i)] = at;
            if (before >= 0) {
                QColor fill = t.hues.model;
                fill.setAlpha(n++ % 2 ? 100 : 60);
                p.fillRect(QRectF(before + 1, line + 26, at - before - 2, kBand), fill);
            }
            before = at;
        }
    // Threads: upright = in time, slanting = early or late, with its milliseconds where there is room.
    double lastText = -100;
    for (const auto& [frame, i] : pegs) {
        if (!modelX.contains(i))
            continue;
        const double a = xOf(frame), b = modelX[i];
        p.setPen(QPen(t.text, 1.1, Qt::SolidLine));
        p.drawLine(QPointF(a, line), QPointF(b, line + 26));
        const double ms = (time.real(FrameIndex(frame)).value - anchorOwn -
                           (otherTime.real(other.positions.at(positions[static_cast<std::size_t>(i)].id).frame).value -
                            anchorOther)) *
                          1000;
        if (std::abs(ms) >= 1 && a - lastText > 56 && take.captureRate) {
            p.setFont(typeface(Type::small));
            p.setPen(t.text);
            const QString words = QString("%1%2 ms").arg(ms < 0 ? "−" : "+").arg(std::abs(std::lround(ms)));
            const QRectF plate(std::min(a, width() - 70.0) + 5, line + 3,
                               QFontMetricsF(p.font()).horizontalAdvance(words) + 4, 14);
            p.fillRect(plate, t.panel);
            p.drawText(plate, Qt::AlignCenter, words);
            lastText = a;
        }
    }
    p.setFont(typeface(Type::small));
    for (const auto& [i, x2] : modelX) {
        p.setBrush(t.hues.model);
        p.setPen(Qt::NoPen);
        p.drawEllipse(QPointF(x2, line + 26 + kBand), 8, 8);
        p.setPen(t.panel);
        p.drawText(QRectF(x2 - 8, line + 18 + kBand, 16, 16), Qt::AlignCenter, QString::number(i + 1));
    }
}

// Pegs on top, the name beside the number where there is room.
void Ribbon::drawPegs(QPainter& p, const Take& take, const Rep& rep, const Pegs& pegs, const QColor& own) {
    const Theme& t = theme();
    const auto& positions = m_bench.blueprint().positions;
    const Timebase time = timebaseOf(take);
    const int line = kTop + kBand;
    double freeFrom = 0;
    for (std::size_t k = 0; k < pegs.size(); ++k) {
        const double x = xOf(pegs[k].first);
        const int i = pegs[k].second;
        const PlacedPosition& placed = rep.positions.at(positions[static_cast<std::size_t>(i)].id);
        p.setPen(QPen(own, 1.5, placed.proposed ? Qt::DotLine : Qt::SolidLine));
        p.drawLine(QPointF(x, kTop - 6), QPointF(x, line));
        if (placed.proposed && placed.sigma) { // hollow: how far it may be off, two standard errors either way
            const double wide = 2.0 * *placed.sigma / std::max(1e-6, time.realPeriod(placed.frame)) * (xOf(1) - xOf(0));
            p.drawLine(QPointF(x - wide, kTop - 1), QPointF(x + wide, kTop - 1));
        }
        p.setBrush(pegs[k].first == m_bench.frame() ? own : t.panel);
        p.drawEllipse(QPointF(x, kTop - 12), 8.5, 8.5);
        p.setFont(typeface(Type::small, true));
        p.setPen(pegs[k].first == m_bench.frame() ? t.panel : own);
        p.drawText(QRectF(x - 9, kTop - 21, 18, 18), Qt::AlignCenter, QString::number(i + 1));
        const QString name = QString::fromStdString(positions[static_cast<std::size_t>(i)].name);
        p.setFont(typeface(Type::small));
        const double w = QFontMetricsF(p.font()).horizontalAdvance(name);
        const double next = k + 1 < pegs.size() ? xOf(pegs[k + 1].first) - 10 : width();
        if (x + 12 >= freeFrom && x + 13 + w < next) {
            p.setPen(t.text);
            p.drawText(QPointF(x + 12, kTop - 8), name);
            freeFrom = x + 14 + w;
        }
    }
}

void Ribbon::drawPlayhead(QPainter& p, const Take& take) {
    const Theme& t = theme();
    const Timebase time = timebaseOf(take);
    const double x = xOf(m_bench.frame());
    p.setPen(QPen(t.text, 2));
    p.drawLine(QPointF(x, kTop - 2), QPointF(x, height() - 18));
    p.setFont(typeface(Type::small));
    p.setPen(t.quiet);
    const QString seconds = take.captureRate
                                ? tr("%1 s").arg(shownFigure(time.real(FrameIndex(m_bench.frame())).value, 3))
                                : tr("time unknown: no capture rate");
    const QString smallest = take.captureRate
                                 ? tr("   decides down to ± %1 ms")
                                       .arg(shownFigure(1000 * time.instantError(FrameIndex(m_bench.frame())), 1))
                                 : QString();
    p.drawText(QRectF(kEdge, height() - 17, width() - 2 * kEdge, 15), Qt::AlignLeft,
               tr("frame %1   %2%3").arg(m_bench.frame() + 1).arg(seconds, smallest));
}

void Ribbon::mousePressEvent(QMouseEvent* e) {
    m_bench.setFrame(frameAt(e->position().x()));
}
void Ribbon::mouseMoveEvent(QMouseEvent* e) {
    if (e->buttons() & Qt::LeftButton)
        m_bench.setFrame(frameAt(e->position().x()));
}
void Ribbon::wheelEvent(QWheelEvent* e) {
    m_bench.setFrame(m_bench.frame() + (e->angleDelta().y() > 0 ? -1 : 1));
}

} // namespace riflesso
