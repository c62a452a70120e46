#include "desktop/footage/stage_view.h"

#include "desktop/theme/theme.h"

#include <QKeyEvent>
#include <QPainter>
#include <QPainterPath>

namespace riflesso {
namespace {

QPointF onStage(Pixel p) {
    return {p.x, p.y};
}

// A label that can be read on any picture.
void label(QPainter& p, QPointF at, const QString& text) {
    p.setFont(typeface(Type::small, true));
    const QRectF box = p.fontMetrics().boundingRect(text).adjusted(-5, -3, 5, 3);
    const QRectF place = box.translated(at - box.topLeft() + QPointF(8, -box.height() / 2));
    p.setPen(Qt::NoPen);
    p.setBrush(QColor(0, 0, 0, 170));
    p.drawRoundedRect(place, 3, 3);
    p.setPen(Qt::white);
    p.drawText(place, Qt::AlignCenter, text);
}

void doubleLine(QPainter& p, QPointF a, QPointF b, Qt::PenStyle style) {
    p.setPen(QPen(QColor(0, 0, 0, 160), 4, Qt::SolidLine, Qt::RoundCap));
    p.drawLine(a, b);
    p.setPen(QPen(Qt::white, 1.6, style, Qt::RoundCap));
    p.drawLine(a, b);
}

void end(QPainter& p, QPointF at) {
    p.setPen(QPen(QColor(0, 0, 0, 180), 3));
    p.setBrush(Qt::NoBrush);
    p.drawEllipse(at, 5, 5);
    p.setPen(QPen(Qt::white, 1.4));
    p.drawEllipse(at, 5, 5);
}

} // namespace

StageView::StageView(QWidget* parent) : PictureView(parent) {
    setFocusPolicy(Qt::ClickFocus);
}

QString StageView::prompt(StageTool tool, std::size_t clicks) {
    static const char* const corners[] = {
        QT_TR_NOOP("Click the lower left corner"), QT_TR_NOOP("Click the lower right corner"),
        QT_TR_NOOP("Click the upper right corner"), QT_TR_NOOP("Click the upper left corner")};
    switch (tool) {
    case StageTool::plumb:
        return tr("Drag along something vertical: a door frame, a hanging string");
    case StageTool::horizon:
        return tr("Drag along something level");
    case StageTool::length:
        return tr("Drag from end to end of the known length, in the plane of the movement");
    case StageTool::rectangle:
        return tr(corners[std::min<std::size_t>(clicks, 3)]);
    case StageTool::point:
        return tr("Click the point whose place is known");
    case StageTool::edge:
        return clicks < 3 ? tr("Click along a straight edge near the border, %1 more at least").arg(3 - clicks)
                          : tr("Click on, or press Enter when the edge is done");
    case StageTool::check:
        return tr("Drag along another length you know");
    case StageTool::crop:
        return tr("Drag a frame around the athlete's whole way");
    case StageTool::landed:
        return tr("Click where it came down");
    case StageTool::zone:
        return clicks == 0 ? tr("Click the middle of the zone") : tr("Click a point of its edge");
    case StageTool::none:
        break;
    }
    return {};
}

void StageView::setTool(StageTool tool) {
    m_tool = tool;
    m_clicks.clear();
    m_dragged.reset();
    setCursor(tool == StageTool::none ? Qt::ArrowCursor : Qt::CrossCursor);
    update();
}

void StageView::setDrawn(const CalibrationInput& drawn) {
    m_drawn = drawn;
    m_held = nullptr;
    update();
}

void StageView::setCheck(const std::optional<DrawnLine>& line, const QString& words) {
    m_check = line;
    m_checkWords = words;
    update();
}

void StageView::setLanding(const std::optional<std::pair<Pixel, Pixel>>& zone, const std::optional<Pixel>& landed) {
    m_zone = zone;
    m_landed = landed;
    update();
}

std::vector<Pixel*> StageView::ends() {
    std::vector<Pixel*> out;
    for (auto* line : {&m_drawn.plumb, &m_drawn.horizon})
        if (*line) {
            out.push_back(&(*line)->a);
            out.push_back(&(*line)->b);
        }
    for (auto& l : m_drawn.lengths) {
        out.push_back(&l.line.a);
        out.push_back(&l.line.b);
    }
    for (auto& p : m_drawn.points)
        out.push_back(&p.at);
    for (auto& edge : m_drawn.straight)
        for (auto& p : edge)
            out.push_back(&p);
    return out;
}

void StageView::paintOver(QPainter& p) {
    p.setRenderHint(QPainter::Antialiasing);
    const QTransform t = toView();
    const auto at = [&](Pixel pixel) { return t.map(onStage(pixel)); };
    // Words stand at different places along their lines: a vertical is often the known length too.
    const auto line = [&](const DrawnLine& l, Qt::PenStyle style, const QString& words, double along = 0.5) {
        doubleLine(p, at(l.a), at(l.b), style);
        end(p, at(l.a));
        end(p, at(l.b));
        if (!words.isEmpty())
            label(p, at(l.a) + along * (at(l.b) - at(l.a)), words);
    };
    if (m_drawn.plumb)
        line(*m_drawn.plumb, Qt::SolidLine, tr("vertical"), 0.2);
    if (m_drawn.horizon)
        line(*m_drawn.horizon, Qt::SolidLine, tr("level"), 0.2);
    for (const auto& l : m_drawn.lengths)
        line(l.line, Qt::SolidLine, tr("%1 m").arg(l.metres));
    for (std::size_t i = 0; i < m_drawn.points.size(); ++i) {
        if (m_drawn.points.size() >= 3)
            doubleLine(p, at(m_drawn.points[i].at), at(m_drawn.points[(i + 1) % m_drawn.points.size()].at),
                       Qt::DotLine);
        end(p, at(m_drawn.points[i].at));
        label(p, at(m_drawn.points[i].at), QString("%1, %2").arg(m_drawn.points[i].x).arg(m_drawn.points[i].y));
    }
    for (const auto& edge : m_drawn.straight)
        for (std::size_t i = 0; i < edge.size(); ++i) {
            if (i > 0)
                doubleLine(p, at(edge[i - 1]), at(edge[i]), Qt::DashLine);
            end(p, at(edge[i]));
        }
    if (m_check)
        line(*m_check, Qt::DashDotLine, m_checkWords, 0.7);
    if (m_zone) { // a circle on a plane is an oval here; its size says enough
        const QPointF middle = at(m_zone->first), edge = at(m_zone->second);
        const double r = std::hypot(edge.x() - middle.x(), edge.y() - middle.y());
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(Qt::black, 3.6));
        p.drawEllipse(middle, r, r);
        p.setPen(QPen(Qt::white, 1.6));
        p.drawEllipse(middle, r, r);
        label(p, middle, tr("zone"));
    }
    if (m_landed) {
        end(p, at(*m_landed));
        label(p, at(*m_landed), tr("landed"));
    }
    if (m_dragged && m_tool == StageTool::crop) {
        p.setBrush(Qt::NoBrush);
        p.setPen(QPen(Qt::white, 1.6, Qt::DashLine));
        p.drawRect(QRectF(at(m_dragged->a), at(m_dragged->b)).normalized());
    } else if (m_dragged) {
        line(*m_dragged, Qt::SolidLine, {});
    }
    for (std::size_t i = 0; i < m_clicks.size(); ++i) {
        if (i > 0)
            doubleLine(p, at(m_clicks[i - 1]), at(m_clicks[i]), Qt::DashLine);
        end(p, at(m_clicks[i]));
    }
    if (const QString words = prompt(m_tool, m_clicks.size()); !words.isEmpty()) {
        p.setFont(typeface(Type::strong, true));
        const QRectF box(12, 10, width() - 24, 30);
        p.setPen(Qt::NoPen);
        p.setBrush(theme().accent);
        p.drawRoundedRect(box, 4, 4);
        p.setPen(theme().onAccent);
        p.drawText(box, Qt::AlignCenter, words);
    }
}

void StageView::pointerPressed(QPointF at, Qt::KeyboardModifiers) {
    const Pixel here{at.x(), at.y()};
    switch (m_tool) {
    case StageTool::none: {
        const double reach = 10.0 / std::hypot(toView().m11(), toView().m12());
        for (Pixel* p : ends())
            if (std::hypot(p->x - here.x, p->y - here.y) < reach)
                m_held = p;
        break;
    }
    case StageTool::rectangle:
    case StageTool::point:
    case StageTool::landed:
    case StageTool::zone:
    case StageTool::edge: {
        m_clicks.push_back(here);
        const std::size_t all = m_tool == StageTool::rectangle ? 4 : m_tool == StageTool::zone ? 2 : 1;
        if (m_tool != StageTool::edge && m_clicks.size() == all) {
            const auto clicks = m_clicks;
            m_clicks.clear();
            emit pointsClicked(m_tool, clicks);
        }
        break;
    }
    default:
        m_dragged = DrawnLine{here, here};
    }
    update();
}

void StageView::pointerMoved(QPointF at, bool pressed) {
    if (!pressed)
        return;
    if (m_held)
        *m_held = {at.x(), at.y()};
    else if (m_dragged)
        m_dragged->b = {at.x(), at.y()};
    else
        return;
    update();
}

void StageView::pointerReleased(QPointF at) {
    if (m_held) {
        *m_held = {at.x(), at.y()};
        m_held = nullptr;
        emit edited(m_drawn);
    } else if (m_dragged) {
        m_dragged->b = {at.x(), at.y()};
        const DrawnLine line = *m_dragged;
        m_dragged.reset();
        if (std::hypot(line.a.x - line.b.x, line.a.y - line.b.y) >= 5.0) {
            if (m_tool == StageTool::crop)
                emit cropDrawn(QRectF(onStage(line.a), onStage(line.b))
                                   .normalized()
                                   .toAlignedRect()
                                   .intersected(QRect(QPoint(), pictureSize())));
            else
                emit lineDrawn(m_tool, line);
        }
    }
    update();
}

void StageView::finishEdge() {
    if (m_tool != StageTool::edge || m_clicks.size() < 3)
        return;
    const auto clicks = m_clicks;
    m_clicks.clear();
    emit pointsClicked(m_tool, clicks);
}

void StageView::keyPressEvent(QKeyEvent* e) {
    if (e->key() == Qt::Key_Escape && m_tool != StageTool::none) {
        setTool(StageTool::none);
        emit toolPutAway();
    } else if ((e->key() == Qt::Key_Return || e->key() == Qt::Key_Enter) && m_tool == StageTool::edge) {
        finishEdge();
    } else {
        PictureView::keyPressEvent(e);
    }
}

void StageView::mouseDoubleClickEvent(QMouseEvent* e) {
    if (m_tool == StageTool::edge)
        finishEdge();
    else if (m_tool == StageTool::none)
        fit();
    else
        PictureView::mousePressEvent(e);
}

} // namespace riflesso
