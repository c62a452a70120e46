#include "desktop/marking/mark_canvas.h"

#include "desktop/theme/theme.h"

#include <QPainter>

#include <cmath>

namespace riflesso {
namespace {
constexpr double kReach = 9.0; // screen pixels from a mark's centre within which it is taken hold of
}

MarkCanvas::MarkCanvas(Workbench& bench, QWidget* parent) : PictureView(parent), m_bench(bench) {
    setAccessibleName(tr("Frame to mark"));
    setCursor(Qt::CrossCursor);
    setFocusPolicy(Qt::StrongFocus);
    connect(&bench.book(), &Casebook::changed, this, [this] { update(); });
}

void MarkCanvas::setLandmark(const LandmarkName& landmark) {
    m_landmark = landmark;
    update();
}

const Track* MarkCanvas::track(const LandmarkName& landmark) const {
    const Take* take = m_bench.take();
    if (!take)
        return nullptr;
    const auto marks = m_bench.data().marks.find(take->id);
    if (marks == m_bench.data().marks.end() || !marks->second.contains(landmark))
        return nullptr;
    return &marks->second.at(landmark);
}

const Mark* MarkCanvas::mark(const LandmarkName& landmark) const {
    const Track* t = track(landmark);
    if (!t)
        return nullptr;
    const auto it = t->find(FrameIndex(m_bench.frame()));
    return it == t->end() ? nullptr : &it->second;
}

LandmarkName MarkCanvas::markUnder(QPointF at) const {
    const Take* take = m_bench.take();
    LandmarkName best;
    double nearest = kReach;
    if (!take || !m_bench.data().marks.contains(take->id))
        return best;
    const double scale = toView().m11();
    for (const auto& [name, t] : m_bench.data().marks.at(take->id))
        if (const auto it = t.find(FrameIndex(m_bench.frame())); it != t.end()) {
            const double d = std::hypot(it->second.at.x - at.x(), it->second.at.y - at.y()) * scale;
            // Of two within reach the one that is asked for wins.
            if (d < nearest || (d < kReach && name == m_landmark)) {
                nearest = name == m_landmark ? 0.0 : d;
                best = name;
            }
        }
    return best;
}

QPointF MarkCanvas::inside(QPointF at) const {
    return {std::clamp(at.x(), 0.0, double(picture().width())), std::clamp(at.y(), 0.0, double(picture().height()))};
}

bool MarkCanvas::put(const LandmarkName& name, QPointF at, int gesture) {
    const Take* take = m_bench.take();
    if (!take || name.empty())
        return false;
    const QPointF p = inside(at);
    return m_bench.book().setMark({take->id, FrameIndex(m_bench.frame()), name},
                                  {{p.x(), p.y()}, kAssumedHandSigma, How::hand}, gesture);
}

bool MarkCanvas::nudge(double dx, double dy) {
    const Mark* m = mark(m_landmark);
    if (!m)
        return false;
    if (m_nudged != m_landmark || m_nudgedFrame != m_bench.frame())
        m_nudgeGesture = ++m_gesture;
    m_nudged = m_landmark;
    m_nudgedFrame = m_bench.frame();
    m_dragged.clear();
    const bool ok = put(m_landmark, {m->at.x + dx, m->at.y + dy}, m_nudgeGesture);
    if (const Mark* moved = mark(m_landmark))
        emit pointerAt({moved->at.x, moved->at.y});
    return ok;
}

bool MarkCanvas::removeCurrent() {
    const Take* take = m_bench.take();
    return take && m_bench.book().removeMark({take->id, FrameIndex(m_bench.frame()), m_landmark});
}

void MarkCanvas::pointerPressed(QPointF at, Qt::KeyboardModifiers) {
    m_dragged = markUnder(at);
    ++m_gesture;
    m_nudged.clear();
    if (!m_dragged.empty()) {
        const Mark* m = mark(m_dragged);
        m_grip = QPointF(m->at.x, m->at.y) - at;
        m_held = at + m_grip;
        m_landmark = m_dragged;
        emit picked(QString::fromStdString(m_dragged));
    } else {
        m_dragged = m_landmark; // a drag right away places it exactly
        m_grip = {};
        m_held = inside(at);
    }
    update();
}

void MarkCanvas::pointerMoved(QPointF at, bool pressed) {
    if (pressed && !m_dragged.empty()) {
        m_held = inside(at + m_grip);
        update();
    }
    emit pointerAt(at);
}

void MarkCanvas::pointerReleased(QPointF) {
    if (m_dragged.empty())
        return;
    const LandmarkName done = m_dragged;
    m_dragged.clear();
    const bool ok = put(done, m_held, m_gesture);
    update();
    if (!ok)
        return; // the error is said; the guide stays where it is
    emit marked(QString::fromStdString(done));
}

void MarkCanvas::paintOver(QPainter& painter) {
    const Take* take = m_bench.take();
    if (!take)
        return;
    painter.setRenderHint(QPainter::Antialiasing);
    const bool isModel = take->performer == Performer::model;
    const QColor colour = isModel ? theme().hues.modelOnPicture : theme().hues.athleteOnPicture;
    std::map<LandmarkName, QPointF> here;
    const auto marks = m_bench.data().marks.find(take->id);
    if (marks != m_bench.data().marks.end())
        for (const auto& [name, t] : marks->second)
            if (const auto it = t.find(FrameIndex(m_bench.frame())); it != t.end())
                here[name] = {it->second.at.x, it->second.at.y};
    if (!m_dragged.empty())
        here[m_dragged] = m_held;
    drawFigure(painter, here, toView(), take->facing, colour, 2.0);
    // The one that is asked for: a ring with its name; its σ as a thin circle.
    if (const auto it = here.find(m_landmark); it != here.end()) {
        const QPointF at = toView().map(it->second);
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(Qt::black, 4));
        painter.drawEllipse(at, 10, 10);
        painter.setPen(QPen(Qt::white, 2));
        painter.drawEllipse(at, 10, 10);
        const QString name = QString::fromStdString(spoken(m_landmark));
        painter.setFont(typeface(Type::small, true));
        const QRectF plate(at.x() + 14, at.y() - 10, QFontMetricsF(painter.font()).horizontalAdvance(name) + 10, 18);
        painter.setPen(Qt::NoPen);
        painter.setBrush(QColor(12, 16, 20, 205));
        painter.drawRoundedRect(plate, 4, 4);
        painter.setPen(Qt::white);
        painter.drawText(plate, Qt::AlignCenter, name);
    }
}

} // namespace riflesso
