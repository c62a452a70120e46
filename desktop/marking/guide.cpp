#include "desktop/marking/guide.h"

#include "casebook/text.h"
#include "core/motion/body_schema.h"
#include "desktop/theme/theme.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <QWheelEvent>

#include <algorithm>
#include <cmath>

namespace riflesso {
FigureGuide::FigureGuide(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Figure guide"));
}

void FigureGuide::setState(const std::vector<LandmarkName>& wanted, const std::set<LandmarkName>& marked,
                           const LandmarkName& asked, Side handedness) {
    m_wanted = wanted;
    m_marked = marked;
    m_asked = asked;
    m_handedness = handedness;
    update();
}

void FigureGuide::setPose(std::map<LandmarkName, QPointF> pose) {
    m_pose = std::move(pose);
    update();
}

// Of several others the one who is asked for, else the first: there is room for two.
int FigureGuide::shownOther() const {
    if (const int asked = personOf(m_asked); asked > 0)
        return asked;
    int first = 0;
    for (const auto& name : m_wanted)
        if (const int person = personOf(name); person > 0 && (first == 0 || person < first))
            first = person;
    return first;
}

QPointF FigureGuide::placeOf(const LandmarkName& landmark) const {
    // With another person asked for, the two stand side by side.
    const int other = shownOther();
    if (ofOther(landmark) && personOf(landmark) != other)
        return {-100, -100};
    const bool two = other > 0;
    const double room = two ? width() / 2.0 : width();
    const double h = std::min(height() - 8.0, (room - 8.0) * 1.12);
    const double w = h / 1.12;
    const double left = (room - w) / 2 + (two && ofOther(landmark) ? room : 0.0);
    const auto onFigure = [&](double x, double y) { return QPointF(left + x * w, (height() - h) / 2 + y * h); };
    if (!two && !m_pose.empty() && onBody(landmark)) {
        const auto known = m_pose.find(landmark);
        const double side = std::min(width(), height()) - 8.0;
        if (known != m_pose.end())
            return {(width() - side) / 2 + known->second.x() * side, (height() - side) / 2 + known->second.y() * side};
    }
    const std::string_view own = withoutPerson(landmark);
    for (const auto& p : figurePoints())
        if (resolveRole(p.role, m_handedness) == own)
            return onFigure(p.x, p.y);
    // What is held or thrown stands before the lead hand, fixed points along the ground, one after the other.
    int row = 0;
    const bool fixed = kindOf(landmark) == PointKind::scene;
    for (const auto& name : m_wanted)
        if (!onBody(name) && (kindOf(name) == PointKind::scene) == fixed) {
            if (name == landmark)
                return fixed ? onFigure(0.06 + 0.09 * row, 0.985) : onFigure(0.03, 0.215 + 0.09 * row);
            ++row;
        }
    return {-100, -100}; // not asked for and not on the figure
}

LandmarkName FigureGuide::under(QPointF at) const {
    LandmarkName best;
    double nearest = 12;
    for (const auto& name : m_wanted) {
        const QPointF d = placeOf(name) - at;
        if (std::hypot(d.x(), d.y()) < nearest) {
            nearest = std::hypot(d.x(), d.y());
            best = name;
        }
    }
    return best;
}

void FigureGuide::paintEvent(QPaintEvent*) {
    const Theme& t = theme();
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(rect(), t.panel);
    const int other = shownOther();
    for (const int who : other > 0 ? std::vector<int>{0, other} : std::vector<int>{0}) {
        const std::string person = personPrefix(who);
        for (const auto& [a, b] : standardBones()) {
            const bool detail = kindOf(b) != PointKind::body;
            const auto wanted = [&](const LandmarkName& n) {
                return std::find(m_wanted.begin(), m_wanted.end(), n) != m_wanted.end();
            };
            if (detail && !wanted(person + b))
                continue;
            p.setPen(QPen(t.line, detail ? 2 : 7, Qt::SolidLine, Qt::RoundCap));
            p.drawLine(placeOf(person + a), placeOf(person + b));
        }
        p.setBrush(t.line);
        p.setPen(Qt::NoPen);
        p.drawEllipse(placeOf(person + "head"), 13, 15);
    }
    for (const auto& name : m_wanted) {
        const bool asked = name == m_asked, done = m_marked.contains(name);
        p.setPen(QPen(asked ? t.hues.athlete : t.quiet, asked ? 2.5 : 1.5));
        p.setBrush(done ? (asked ? t.hues.athlete : t.quiet) : t.panel);
        const double r = asked ? 8 : kindOf(name) == PointKind::hand || kindOf(name) == PointKind::foot ? 3.5 : 5;
        if (kindOf(name) == PointKind::scene)
            p.drawRect(QRectF(placeOf(name) - QPointF(r, r), QSizeF(2 * r, 2 * r)));
        else
            p.drawEllipse(placeOf(name), r, r);
    }
}

void FigureGuide::mousePressEvent(QMouseEvent* e) {
    if (const auto name = under(e->position()); !name.empty())
        emit chosen(QString::fromStdString(name));
}

bool FigureGuide::event(QEvent* e) {
    if (e->type() == QEvent::ToolTip) {
        const auto* help = static_cast<QHelpEvent*>(e);
        const auto name = under(help->pos());
        QToolTip::showText(help->globalPos(),
                           name.empty() ? tr("Rings are still to be marked, dots are done. Click one to mark it next.")
                                        : QString::fromStdString(whereToMark(name).empty()
                                                                     ? spoken(name)
                                                                     : spoken(name) + ": " + whereToMark(name)),
                           this);
        return true;
    }
    return QWidget::event(e);
}

Loupe::Loupe(QWidget* parent) : QWidget(parent) {
    setAccessibleName(tr("Loupe"));
    setToolTip(tr("What is under the pointer, enlarged. The wheel changes the power, 3 to 12 times."));
}

void Loupe::setPicture(const QImage& picture) {
    m_picture = picture;
    update();
}
void Loupe::setCentre(QPointF c) {
    m_centre = c;
    update();
}

void Loupe::zoomBy(double factor) {
    m_power = std::clamp(m_power * factor, 3.0, 12.0);
    update();
}

void Loupe::wheelEvent(QWheelEvent* e) {
    zoomBy(e->angleDelta().y() > 0 ? 1.2 : 1 / 1.2);
}

void Loupe::paintEvent(QPaintEvent*) {
    QPainter p(this);
    p.fillRect(rect(), theme().stage);
    if (m_picture.isNull())
        return;
    const QPointF middle(width() / 2.0, height() / 2.0);
    QTransform t;
    t.translate(middle.x(), middle.y());
    t.scale(m_power, m_power);
    t.translate(-m_centre.x(), -m_centre.y());
    p.setTransform(t);
    p.drawImage(0, 0, m_picture);
    p.resetTransform();
    for (const auto& [colour, wide] : {std::pair{QColor(0, 0, 0, 140), 3.0}, std::pair{QColor(255, 255, 255), 1.0}}) {
        p.setPen(QPen(colour, wide));
        for (const QPointF d : {QPointF(1, 0), QPointF(-1, 0), QPointF(0, 1), QPointF(0, -1)})
            p.drawLine(middle + d * 6, middle + d * 24);
    }
    p.setFont(typeface(Type::small));
    p.setPen(Qt::white);
    p.fillRect(QRectF(4, height() - 20, 132, 16), QColor(12, 16, 20, 190));
    p.drawText(QPointF(8, height() - 8), QString("%1×  x %2  y %3")
                                             .arg(shownFigure(m_power, 0))
                                             .arg(shownFigure(m_centre.x(), 1))
                                             .arg(shownFigure(m_centre.y(), 1)));
}

} // namespace riflesso
