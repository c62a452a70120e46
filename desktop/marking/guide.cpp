#include "desktop/marking/guide.h"

#include "desktop/theme/theme.h"

#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QToolTip>
#include <QWheelEvent>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// A body in a wide, open stance, seen from the side of its chest: the lead side to the left. Unit square, y down.
const std::map<std::string, QPointF>& guidePlaces() {
    static const std::map<std::string, QPointF> places = {
        {"head", {0.50, 0.09}},           {"neck", {0.50, 0.20}},        {"lead_shoulder", {0.41, 0.235}},
        {"rear_shoulder", {0.59, 0.235}}, {"lead_elbow", {0.30, 0.30}},  {"lead_wrist", {0.20, 0.27}},
        {"lead_hand", {0.15, 0.255}},     {"rear_elbow", {0.70, 0.28}},  {"rear_wrist", {0.76, 0.18}},
        {"rear_hand", {0.77, 0.13}},      {"lead_hip", {0.44, 0.53}},    {"rear_hip", {0.56, 0.53}},
        {"lead_knee", {0.335, 0.695}},    {"rear_knee", {0.665, 0.70}},  {"lead_ankle", {0.335, 0.875}},
        {"rear_ankle", {0.73, 0.875}},    {"lead_heel", {0.375, 0.925}}, {"lead_toe", {0.24, 0.925}},
        {"rear_heel", {0.76, 0.925}},     {"rear_toe", {0.655, 0.945}}};
    return places;
}

const std::vector<std::pair<const char*, const char*>>& guideBones() {
    static const std::vector<std::pair<const char*, const char*>> bones = {{"head", "neck"},
                                                                           {"lead_shoulder", "rear_shoulder"},
                                                                           {"lead_shoulder", "lead_elbow"},
                                                                           {"lead_elbow", "lead_wrist"},
                                                                           {"lead_wrist", "lead_hand"},
                                                                           {"rear_shoulder", "rear_elbow"},
                                                                           {"rear_elbow", "rear_wrist"},
                                                                           {"rear_wrist", "rear_hand"},
                                                                           {"lead_hip", "rear_hip"},
                                                                           {"lead_shoulder", "lead_hip"},
                                                                           {"rear_shoulder", "rear_hip"},
                                                                           {"lead_hip", "lead_knee"},
                                                                           {"lead_knee", "lead_ankle"},
                                                                           {"rear_hip", "rear_knee"},
                                                                           {"rear_knee", "rear_ankle"},
                                                                           {"lead_ankle", "lead_heel"},
                                                                           {"lead_heel", "lead_toe"},
                                                                           {"rear_ankle", "rear_heel"},
                                                                           {"rear_heel", "rear_toe"}};
    return bones;
}

} // namespace

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

QPointF FigureGuide::placeOf(const LandmarkName& landmark) const {
    const double h = std::min(height() - 8.0, (width() - 8.0) * 1.12);
    const double w = h / 1.12;
    const auto onBody = [&](QPointF p) {
        return QPointF((width() - w) / 2 + p.x() * w, (height() - h) / 2 + p.y() * h);
    };
    for (const auto& [role, p] : guidePlaces())
        if (resolveRole(role, m_handedness) == landmark)
            return onBody(p);
    // Implements stand before the lead hand, one under the other.
    const auto& standard = standardLandmarks();
    int row = 0;
    for (const auto& name : m_wanted)
        if (std::find(standard.begin(), standard.end(), name) == standard.end()) {
            if (name == landmark)
                return onBody({0.03, 0.215 + 0.09 * row});
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
    p.setPen(QPen(t.line, 7, Qt::SolidLine, Qt::RoundCap));
    for (const auto& [a, b] : guideBones())
        p.drawLine(placeOf(resolveRole(a, m_handedness)), placeOf(resolveRole(b, m_handedness)));
    p.setBrush(t.line);
    p.setPen(Qt::NoPen);
    p.drawEllipse(placeOf("head"), 13, 15);
    for (const auto& name : m_wanted) {
        const bool asked = name == m_asked, done = m_marked.contains(name);
        p.setPen(QPen(asked ? t.hues.athlete : t.quiet, asked ? 2.5 : 1.5));
        p.setBrush(done ? (asked ? t.hues.athlete : t.quiet) : t.panel);
        p.drawEllipse(placeOf(name), asked ? 8 : 5, asked ? 8 : 5);
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
                                        : QString::fromStdString(spoken(name)),
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
    p.drawText(
        QPointF(8, height() - 8),
        QString("%1×  x %2  y %3").arg(m_power, 0, 'f', 0).arg(m_centre.x(), 0, 'f', 1).arg(m_centre.y(), 0, 'f', 1));
}

} // namespace riflesso
