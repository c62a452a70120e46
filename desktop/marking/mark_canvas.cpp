#include "desktop/marking/mark_canvas.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

#include <QPainter>
#include <QPainterPath>

#include <algorithm>
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

void MarkCanvas::setRepeat(Id repeat) {
    m_repeat = repeat;
    update();
}

void MarkCanvas::setPins(const std::vector<std::pair<QPointF, QString>>& pins) {
    m_pins = pins;
    update();
}

void MarkCanvas::setOtherView(const std::optional<Eigen::Vector3d>& line, bool disagrees) {
    m_otherView = line;
    m_disagrees = disagrees;
    update();
}

void MarkCanvas::pickPlace(bool on) {
    m_picking = on;
    setCursor(on ? Qt::PointingHandCursor : Qt::CrossCursor);
}

void MarkCanvas::drawBox(bool on) {
    m_boxing = on;
    m_people.clear();
    m_box = {};
    m_dragged.clear();
    update();
}

void MarkCanvas::setPeople(const std::vector<QRectF>& people) {
    m_people = people;
    update();
}

void MarkCanvas::setBox(const QRectF& box) {
    m_box = box;
    update();
}

std::map<LandmarkName, Mark> MarkCanvas::marksHere() const {
    std::map<LandmarkName, Mark> out;
    const Take* take = m_bench.take();
    const FrameIndex frame(m_bench.frame());
    if (!take)
        return out;
    if (m_repeat) {
        if (const auto r = m_bench.data().repeats.find(m_repeat); r != m_bench.data().repeats.end())
            for (const auto& p : r->second.marks)
                if (p.frame == frame)
                    out[p.landmark] = {p.at, kAssumedHandSigma, How::hand};
        return out;
    }
    const auto marks = m_bench.data().marks.find(take->id);
    if (marks == m_bench.data().marks.end())
        return out;
    for (const auto& [name, t] : marks->second) {
        const auto fixed = kindOf(name) == PointKind::scene ? fixedPoint(t) : std::nullopt;
        if (const auto it = t.find(frame); it != t.end())
            out[name] = it->second;
        else if (fixed)
            out[name] = *fixed;
    }
    return out;
}

std::optional<Mark> MarkCanvas::mark(const LandmarkName& landmark) const {
    const auto here = marksHere();
    const auto it = here.find(landmark);
    return it == here.end() || it->second.how == How::hidden ? std::nullopt : std::optional(it->second);
}

LandmarkName MarkCanvas::markUnder(QPointF at) const {
    LandmarkName best;
    double nearest = kReach;
    const double scale = std::abs(toView().m11());
    for (const auto& [name, m] : marksHere()) {
        if (m.how == How::hidden)
            continue;
        const double d = std::hypot(m.at.x - at.x(), m.at.y - at.y()) * scale;
        // Of two within reach the one that is asked for wins.
        if (d < nearest || (d < kReach && name == m_landmark)) {
            nearest = name == m_landmark ? 0.0 : d;
            best = name;
        }
    }
    return best;
}

QPointF MarkCanvas::inside(QPointF at) const {
    return {std::clamp(at.x(), 0.0, double(pictureSize().width())),
            std::clamp(at.y(), 0.0, double(pictureSize().height()))};
}

bool MarkCanvas::put(const LandmarkName& name, QPointF at, int gesture) {
    const Take* take = m_bench.take();
    if (!take || name.empty())
        return false;
    const QPointF p = inside(at);
    if (m_repeat) {
        const auto it = m_bench.data().repeats.find(m_repeat);
        if (it == m_bench.data().repeats.end())
            return false;
        RepeatMarking after = it->second;
        const FrameIndex frame(m_bench.frame());
        std::erase_if(after.marks, [&](const auto& m) { return m.frame == frame && m.landmark == name; });
        after.marks.push_back({frame, name, {p.x(), p.y()}});
        return m_bench.book().setRepeat(after, tr("mark the %1 again").arg(QString::fromStdString(spoken(name))));
    }
    return m_bench.book().setMark({take->id, FrameIndex(m_bench.frame()), name},
                                  {{p.x(), p.y()}, kAssumedHandSigma, How::hand}, gesture);
}

bool MarkCanvas::nudge(double dx, double dy) {
    const auto m = mark(m_landmark);
    if (!m)
        return false;
    if (m_nudged != m_landmark || m_nudgedFrame != m_bench.frame())
        m_nudgeGesture = ++m_gesture;
    m_nudged = m_landmark;
    m_nudgedFrame = m_bench.frame();
    m_dragged.clear();
    const bool ok = put(m_landmark, {m->at.x + dx, m->at.y + dy}, m_nudgeGesture);
    if (const auto moved = mark(m_landmark))
        emit pointerAt({moved->at.x, moved->at.y});
    return ok;
}

bool MarkCanvas::hideCurrent() {
    const Take* take = m_bench.take();
    if (!take || m_landmark.empty() || m_repeat)
        return false;
    const auto m = mark(m_landmark);
    return m_bench.book().setMark({take->id, FrameIndex(m_bench.frame()), m_landmark},
                                  {m ? m->at : Pixel{}, 0.0, How::hidden});
}

bool MarkCanvas::confirmCurrent() {
    const auto m = mark(m_landmark);
    return m && m->how != How::hand && put(m_landmark, {m->at.x, m->at.y}, ++m_gesture);
}

bool MarkCanvas::removeCurrent() {
    const Take* take = m_bench.take();
    return take && m_bench.book().removeMark({take->id, FrameIndex(m_bench.frame()), m_landmark});
}

void MarkCanvas::pointerPressed(QPointF at, Qt::KeyboardModifiers) {
    if (m_picking) {
        pickPlace(false);
        emit placePicked(inside(at));
        return;
    }
    if (m_boxing) {
        m_pressedAt = inside(at);
        return;
    }
    m_askedBefore = m_landmark;
    m_pressedAt = at;
    m_moved = false;
    m_dragged = markUnder(at);
    m_taken = !m_dragged.empty();
    ++m_gesture;
    m_nudged.clear();
    if (!m_dragged.empty()) {
        const auto m = mark(m_dragged);
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
    if (m_boxing) {
        if (pressed)
            setBox(QRectF(m_pressedAt, inside(at)).normalized());
        return;
    }
    if (pressed && !m_dragged.empty()) {
        m_moved =
            m_moved || std::hypot(at.x() - m_pressedAt.x(), at.y() - m_pressedAt.y()) * std::abs(toView().m11()) > 2.0;
        m_held = inside(at + m_grip);
        update();
    }
    emit pointerAt(at);
}

void MarkCanvas::pointerReleased(QPointF at) {
    if (m_boxing) {
        const QRectF drawn = QRectF(m_pressedAt, inside(at)).normalized();
        if (std::max(drawn.width(), drawn.height()) * std::abs(toView().m11()) < 6.0) { // a click
            m_box = {};
            for (const auto& person : m_people)
                if (person.contains(at) && (m_box.isEmpty() || person.height() < m_box.height()))
                    m_box = person;
        } else {
            m_box = drawn;
        }
        update();
        if (!m_box.isEmpty())
            emit boxDrawn(m_box);
        return;
    }
    if (m_dragged.empty())
        return;
    LandmarkName done = m_dragged;
    m_dragged.clear();
    // Joints lie close together: a click beside another's mark places what was asked for, a drag moves the other.
    if (!m_moved && done != m_askedBefore && !m_askedBefore.empty() && !marksHere().contains(m_askedBefore)) {
        done = m_askedBefore;
        m_landmark = done;
        m_held = inside(m_pressedAt);
    } else if (!m_moved && m_taken && mark(done) && mark(done)->how == How::hand) {
        update();
        return; // picked, not moved
    }
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
    const auto marks = marksHere();
    std::map<LandmarkName, QPointF> here;
    for (const auto& [name, m] : marks)
        if (m.how != How::hidden)
            here[name] = {m.at.x, m.at.y};
    if (!m_dragged.empty())
        here[m_dragged] = m_held;
    if (m_otherView) {
        // Through the point of the line nearest to the picture's middle, far beyond its edges on both sides.
        const Eigen::Vector3d& l = *m_otherView;
        const QPointF middle(pictureSize().width() / 2.0, pictureSize().height() / 2.0);
        const double off = l[0] * middle.x() + l[1] * middle.y() + l[2];
        const QPointF foot = middle - off * QPointF(l[0], l[1]);
        const QPointF way = QPointF(-l[1], l[0]) * 2.0 * std::hypot(pictureSize().width(), pictureSize().height());
        painter.save();
        painter.setClipRect(toView().mapRect(QRectF(QPointF(), pictureSize())));
        for (const auto& pen : {QPen(QColor(0, 0, 0, 120), 3), QPen(QColor(255, 255, 255, m_disagrees ? 255 : 170), 1.2,
                                                                    m_disagrees ? Qt::SolidLine : Qt::DashLine)}) {
            painter.setPen(pen);
            painter.drawLine(toView().map(foot - way), toView().map(foot + way));
        }
        painter.restore();
    }
    // A figure of drafts alone is pale: it is a suggestion.
    const bool draft = !marks.empty() && std::all_of(marks.begin(), marks.end(), [](const auto& m) {
        return m.second.how == How::found || m.second.how == How::hidden;
    });
    painter.setOpacity(draft ? 0.6 : 1.0);
    drawFigure(painter, here, toView(), take->facing, colour, draft ? 1.4 : 2.0);
    painter.setOpacity(1.0);
    if (m_boxing) {
        paintBoxes(painter);
        return;
    }
    paintKinds(painter, marks);
    painter.setFont(typeface(Type::small, true));
    const auto plate = [&](QPointF corner, const QString& words) {
        const QRectF room(corner, QSizeF(QFontMetricsF(painter.font()).horizontalAdvance(words) + 10, 18));
        painter.setPen(Qt::NoPen);
        painter.setBrush(QColor(12, 16, 20, 205));
        painter.drawRoundedRect(room, 4, 4);
        painter.setPen(Qt::white);
        painter.drawText(room, Qt::AlignCenter, words);
    };
    for (const auto& [place, words] : m_pins) {
        const QPointF at = toView().map(place);
        painter.setPen(QPen(Qt::white, 2));
        painter.setBrush(QColor(12, 16, 20, 205));
        painter.drawEllipse(at, 5, 5);
        plate(at + QPointF(9, -24), words);
    }
    // Who the others are, above their heads.
    for (int person = 1; person <= kMostOthers; ++person)
        if (const auto head = here.find(personPrefix(person) + "head"); head != here.end())
            plate(toView().map(head->second) + QPointF(-10, -34), q(calledIn(take->figure, person)));
    // The one that is asked for: a ring with its name; its σ as a thin circle.
    if (const auto it = here.find(m_landmark); it != here.end()) {
        const QPointF at = toView().map(it->second);
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(Qt::black, 4));
        painter.drawEllipse(at, 10, 10);
        painter.setPen(QPen(Qt::white, 2));
        painter.drawEllipse(at, 10, 10);
        plate(at + QPointF(14, -10), q(spokenIn(take->figure, m_landmark)));
    }
}

void MarkCanvas::paintBoxes(QPainter& painter) const {
    const auto frame = [&](const QRectF& box, const QPen& pen, int shade) {
        painter.setBrush(Qt::NoBrush);
        painter.setPen(QPen(QColor(0, 0, 0, shade), pen.widthF() + 2.0));
        painter.drawRect(toView().mapRect(box));
        painter.setPen(pen);
        painter.drawRect(toView().mapRect(box));
    };
    for (const auto& person : m_people)
        if (person != m_box)
            frame(person, QPen(QColor(255, 255, 255, 190), 1.2, Qt::DashLine), 90);
    if (m_box.isEmpty())
        return;
    // Everything else steps back.
    QPainterPath around;
    around.addRect(toView().mapRect(QRectF(QPointF(), pictureSize())));
    QPainterPath inside;
    inside.addRect(toView().mapRect(m_box));
    painter.fillPath(around.subtracted(inside), QColor(10, 14, 18, 110));
    frame(m_box, QPen(Qt::white, 2.0), 140);
}

// What no hand has made looks different: a ring as wide as it is unsure for carried marks, the same in four arcs for
// drafts of the machine, a lozenge for proxies, a cross for what was filled in.
void MarkCanvas::paintKinds(QPainter& painter, const std::map<LandmarkName, Mark>& here) const {
    const double scale = std::abs(toView().m11());
    for (const auto& [name, m] : here) {
        if (m.how == How::hand || m.how == How::hidden || name == m_dragged)
            continue;
        const QPointF at = toView().map(QPointF(m.at.x, m.at.y));
        painter.setBrush(Qt::NoBrush);
        for (const auto& pen : {QPen(QColor(0, 0, 0, 150), 2.6), QPen(QColor(255, 255, 255, 230), 1.1)}) {
            painter.setPen(pen);
            const double r = std::clamp(m.sigma * scale, 4.0, 60.0);
            if (m.how == How::tracked) {
                painter.drawEllipse(at, r, r);
            } else if (m.how == How::found) {
                for (int quarter = 0; quarter < 4; ++quarter)
                    painter.drawArc(QRectF(at.x() - r, at.y() - r, 2 * r, 2 * r), (90 * quarter + 20) * 16, 50 * 16);
            } else if (m.how == How::proxy) {
                painter.drawPolygon(
                    QPolygonF({at + QPointF(0, -r), at + QPointF(r, 0), at + QPointF(0, r), at + QPointF(-r, 0)}));
            } else {
                painter.drawLine(at + QPointF(-r, -r), at + QPointF(r, r));
                painter.drawLine(at + QPointF(-r, r), at + QPointF(r, -r));
            }
        }
    }
}

} // namespace riflesso
