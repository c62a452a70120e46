#include "casebook/measure_drawing.h"

#include "casebook/drawing.h"
#include "casebook/text.h"

#include <QPainterPath>

#include <algorithm>
#include <cmath>
#include <numbers>
#include <set>

namespace riflesso {
namespace {

QPointF unitPlace(const std::string& role) {
    for (const auto& p : figurePoints())
        if (p.role == role)
            return {p.x, p.y};
    const auto kind = kindOf(role);
    if (kind == PointKind::ball)
        return {0.12, 0.06};
    if (kind == PointKind::scene)
        return {0.93, 0.5};
    // Implements: a line through the lead hand.
    if (role.ends_with("_tail"))
        return {0.30, 0.33};
    if (role.ends_with("_centre"))
        return {0.15, 0.255};
    return {0.02, 0.19};
}

// left_/right_ stand for lead_/rear_ of a left-handed figure, so that names of either kind can be drawn.
std::string roleOf(const std::string& name) {
    if (name.starts_with("left_"))
        return "lead_" + name.substr(5);
    if (name.starts_with("right_"))
        return "rear_" + name.substr(6);
    return name;
}

class Sketch {
public:
    Sketch(QPainter& p, const QRectF& area, const MeasureDefinition& d, const MeasureInks& inks)
        : m_p(p), m_d(d), m_inks(inks) {
        std::vector<std::string> roles;
        for (const auto& spec : pointsOf(d))
            roles.insert(roles.end(), spec.landmarks.begin(), spec.landmarks.end());
        for (const auto& b : d.base)
            for (const auto& spec : pointsOf(*b))
                roles.insert(roles.end(), spec.landmarks.begin(), spec.landmarks.end());
        const bool two = std::any_of(roles.begin(), roles.end(), [](const auto& r) { return ofOther(r); });
        m_inset = QRectF(area.left(), area.bottom() - area.height() * 0.24, area.width(), area.height() * 0.24);
        const QRectF body = wantsInset() ? QRectF(area.left(), area.top(), area.width(), area.height() * 0.74) : area;
        m_at = figureIn(body.adjusted(4, 4, -4, -4), roles, two);
        m_unit = body.height() / 10.0;
    }

    void draw() {
        m_p.save();
        m_p.setRenderHint(QPainter::Antialiasing);
        drawGuideFigure(m_p, m_at, m_inks.figure, std::max(1.2, m_unit / 7));
        kind();
        for (const auto& spec : m_d.points)
            dot(spec);
        for (const auto& link : m_d.links)
            for (const auto& spec : link.points)
                dot(spec);
        m_p.restore();
    }

private:
    [[nodiscard]] bool wantsInset() const {
        switch (m_d.kind) {
        case MeasureKind::interval:
        case MeasureKind::dwell:
        case MeasureKind::cadence:
        case MeasureKind::chain:
        case MeasureKind::smoothness:
        case MeasureKind::recovery:
        case MeasureKind::spread:
        case MeasureKind::drift:
            return true;
        case MeasureKind::overlap:
            return m_d.aspect != Aspect::nearest;
        default:
            return m_d.reduction != Reduction::at;
        }
    }

    [[nodiscard]] QPointF at(const PointSpec& spec) const {
        QPointF sum;
        for (const auto& name : spec.landmarks) {
            const auto it = m_at.find(name);
            sum += it == m_at.end() ? QPointF() : it->second;
        }
        return spec.landmarks.empty() ? sum : sum / static_cast<double>(spec.landmarks.size());
    }
    [[nodiscard]] bool has(std::size_t n) const { return m_d.points.size() >= n; }
    [[nodiscard]] QPointF p(std::size_t i) const { return at(m_d.points[i]); }

    void dot(const PointSpec& spec) {
        const double r = std::max(2.6, m_unit / 4.5);
        m_p.setPen(QPen(m_inks.mark, 1.6));
        m_p.setBrush(spec.landmarks.size() > 1 ? m_inks.ground : m_inks.mark); // a middle is hollow
        m_p.drawEllipse(at(spec), r, r);
    }
    void line(QPointF a, QPointF b, double width = 2.4, Qt::PenStyle style = Qt::SolidLine) {
        m_p.setPen(QPen(m_inks.mark, width, style, Qt::RoundCap));
        m_p.drawLine(a, b);
    }
    void arrow(QPointF a, QPointF b, bool both = false, double width = 1.8) {
        line(a, b, width);
        const double angle = std::atan2(b.y() - a.y(), b.x() - a.x());
        const auto head = [&](QPointF tip, double way) {
            for (double side : {0.45, -0.45})
                m_p.drawLine(tip, tip - QPointF(std::cos(way + side), std::sin(way + side)) * m_unit * 0.55);
        };
        m_p.setPen(QPen(m_inks.mark, width, Qt::SolidLine, Qt::RoundCap));
        head(b, angle);
        if (both)
            head(a, angle + M_PI);
    }
    void wedge(QPointF a, QPointF vertex, QPointF c) {
        const auto angle = [&](QPointF q) {
            return std::atan2(-(q.y() - vertex.y()), q.x() - vertex.x()) * 180.0 / M_PI;
        };
        const double start = angle(a), sweep = std::remainder(angle(c) - start, 360.0), r = m_unit * 1.1;
        QPainterPath path(vertex);
        path.arcTo(QRectF(vertex.x() - r, vertex.y() - r, 2 * r, 2 * r), start, sweep);
        path.closeSubpath();
        QColor fill = m_inks.mark;
        fill.setAlpha(90);
        m_p.setPen(QPen(m_inks.mark, 1.2));
        m_p.setBrush(fill);
        m_p.drawPath(path);
        m_p.setBrush(Qt::NoBrush);
    }
    void label(QPointF where, const QString& text) {
        m_p.setFont(m_inks.font);
        m_p.setPen(m_inks.text);
        m_p.drawText(QRectF(where.x() - 40, where.y() - 9, 80, 18), Qt::AlignCenter, text);
    }
    // A curve in the inset, x and y from 0 to 1, y up.
    QPointF in(double x, double y) const {
        const QRectF r = m_inset.adjusted(8, 3, -8, -5);
        return {r.left() + x * r.width(), r.bottom() - y * r.height()};
    }
    template <typename F> void curve(F f, double width = 2.0, double from = 0, double to = 1) {
        QPainterPath path(in(from, f(from)));
        for (int i = 1; i <= 60; ++i) {
            const double x = from + (to - from) * i / 60.0;
            path.lineTo(in(x, f(x)));
        }
        m_p.setBrush(Qt::NoBrush);
        m_p.setPen(QPen(m_inks.mark, width));
        m_p.drawPath(path);
    }
    void axis() {
        m_p.setPen(QPen(m_inks.figure, 1));
        m_p.drawLine(in(0, 0), in(1, 0));
    }
    void peg(double x) {
        m_p.setPen(QPen(m_inks.text, 1.4));
        m_p.drawLine(in(x, 0), in(x, 0.9));
        m_p.setBrush(m_inks.text);
        m_p.drawEllipse(in(x, 0.95), 2.6, 2.6);
        m_p.setBrush(Qt::NoBrush);
    }
    [[nodiscard]] QPointF way(Direction d) const {
        return d == Direction::up ? QPointF(0, -1) : QPointF(-1, 0); // forward and the lead side are to the left
    }
    static double hill(double x, double middle, double width) { return std::exp(-std::pow((x - middle) / width, 2)); }

    void drawAngle() {
        line(p(1), p(0));
        line(p(1), p(2));
        wedge(p(0), p(1), p(2));
    }
    void drawLean() {
        // The figure stands straight: a lean is shown beside it as it would be.
        const QPointF top(p(0).x(), p(1).y() - m_unit * 0.3);
        const bool straight = std::abs(p(1).x() - p(0).x()) < m_unit * 0.4;
        const QPointF leant = straight ? p(1) + QPointF(-std::abs(p(1).y() - p(0).y()) * 0.28, 0) : p(1);
        line(p(0), leant, 2.6);
        line(p(0), top, 1.3, Qt::DashLine);
        wedge(top, p(0), leant);
    }
    void drawBetween() {
        line(p(0), p(1));
        line(p(2), p(3));
        line(p(2), p(2) + (p(1) - p(0)), 1.3, Qt::DashLine);
        wedge(p(2) + (p(1) - p(0)), p(2), p(3));
    }
    void drawClock() {
        const double r = std::hypot(p(1).x() - p(0).x(), p(1).y() - p(0).y());
        m_p.setPen(QPen(m_inks.figure, 1.2));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawEllipse(p(0), r, r);
        for (int h = 0; h < 12; ++h) {
            const QPointF way(std::sin(h * M_PI / 6), -std::cos(h * M_PI / 6));
            m_p.drawLine(p(0) + way * r, p(0) + way * r * (h % 3 ? 0.9 : 0.78));
        }
        arrow(p(0), p(1), false, 2.4);
    }
    void drawRatio() {
        arrow(p(0), p(1), true);
        arrow(p(2), p(3), true);
        label((p(0) + p(1)) / 2 + QPointF(0, -m_unit * 0.6), "a");
        label((p(2) + p(3)) / 2 + QPointF(m_unit * 0.8, 0), "b");
    }
    void drawOffset() {
        if (m_d.kind == MeasureKind::gap && !m_d.direction) {
            arrow(p(0), p(1), true, 2.2);
            return;
        }
        const QPointF w = way(m_d.direction.value_or(Direction::forward));
        const QPointF across(-w.y(), w.x());
        const QPointF off = p(0) - p(1);
        const double along = off.x() * w.x() + off.y() * w.y(), aside = off.x() * across.x() + off.y() * across.y();
        const QPointF corner = p(1) + across * aside;
        line(p(1), corner, 1.2, Qt::DashLine);
        arrow(corner, corner + w * along, false, 2.4);
        if (m_d.kind == MeasureKind::order) // who leads carries the flag
            line(p(0), p(0) + QPointF(0, -m_unit * 1.1), 1.6);
    }
    void drawStack() {
        const QPointF foot = p(0);
        QPointF head = foot;
        for (std::size_t i = 1; i < m_d.points.size(); ++i)
            head = p(i).y() < head.y() ? p(i) : head;
        if (m_d.ownLine) {
            line(foot, p(m_d.points.size() - 1), 1.4, Qt::DashLine);
        } else {
            line(foot, QPointF(foot.x(), head.y() - m_unit * 0.5), 1.4, Qt::DashLine);
            for (std::size_t i = 1; i < m_d.points.size(); ++i)
                arrow(QPointF(foot.x(), p(i).y()), p(i));
        }
    }
    void drawTurn() {
        line(p(0), p(1), 3.0);
        const QPointF c = (p(0) + p(1)) / 2;
        const double rx = std::abs(p(1).x() - p(0).x()) * 0.75 + m_unit * 0.4, ry = m_unit * 0.55;
        m_p.setPen(QPen(m_inks.mark, 1.6));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawArc(QRectF(c.x() - rx, c.y() - ry, 2 * rx, 2 * ry), 200 * 16, 260 * 16);
        arrow(c + QPointF(rx * 0.86, -ry * 0.6), c + QPointF(rx * 0.5, -ry * 0.95));
    }
    void drawRoll() {
        // The figure stands level: a tilt is shown as it would be.
        const QPointF level(p(1).x(), p(0).y());
        const QPointF tilted = std::abs(p(1).y() - p(0).y()) < m_unit * 0.3 ? p(1) + QPointF(0, -m_unit * 0.7) : p(1);
        line(p(0), p(0) + (tilted - p(0)) * 1.4, 2.6);
        line(p(0), p(0) + (level - p(0)) * 1.6, 1.3, Qt::DashLine);
        wedge(level, p(0), tilted);
    }
    void drawFacing() {
        line(p(0), p(1), 3.0);
        arrow(p(2), p(3), false, 1.8);
    }
    void drawSpeed() {
        const QPointF w = m_d.direction ? way(*m_d.direction) : QPointF(-0.9, -0.3);
        arrow(p(0), p(0) + w * m_unit * 1.9, false, 2.4);
        for (int i = 1; i <= 3; ++i) {
            m_p.setOpacity(0.75 - 0.2 * i);
            line(p(0) - w * m_unit * (0.2 + 0.45 * i), p(0) - w * m_unit * (0.42 + 0.45 * i), 2.4);
        }
        m_p.setOpacity(1);
    }
    void drawPath() {
        QPainterPath path(p(0));
        path.cubicTo(p(0) + QPointF(m_unit * 1.5, -m_unit * 1.6), p(0) + QPointF(m_unit * 1.8, m_unit),
                     p(0) + QPointF(m_unit * 3.4, -m_unit * 0.7));
        m_p.setPen(QPen(m_inks.mark, 2.2));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawPath(path);
        line(p(0), path.currentPosition(), 1.2, Qt::DashLine);
    }
    void drawSwing() {
        const double reach = std::hypot((p(0) - p(1)).x(), (p(0) - p(1)).y());
        const double at = std::atan2(p(1).y() - p(0).y(), p(0).x() - p(1).x()) * 180.0 / std::numbers::pi;
        m_p.setPen(QPen(m_inks.mark, 2.2));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawArc(QRectF(p(1) - QPointF(reach, reach), QSizeF(2 * reach, 2 * reach)), qRound(16 * at), 16 * 110);
        line(p(1), p(0), 2.2);
        line(p(2), p(3), 1.2, Qt::DashLine);
    }
    void drawTwist() {
        const QPointF edge = m_d.points.size() > 3 ? p(3) : p(0) + (p(1) - p(0)) * 0.6;
        line(p(0), p(1) + (p(1) - p(0)) * 0.2, 1.4, Qt::DashLine);
        line(p(2), edge, 3.0);
        const QPointF c = (p(2) + edge) / 2;
        m_p.setPen(QPen(m_inks.mark, 1.6));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawArc(QRectF(c.x() - m_unit, c.y() - m_unit * 0.45, 2 * m_unit, 0.9 * m_unit), 200 * 16, 260 * 16);
    }
    void drawAmid() {
        const QPointF way = p(2) - p(1);
        const double square = way.x() * way.x() + way.y() * way.y();
        const double share = square > 0 ? QPointF::dotProduct(p(0) - p(1), way) / square : 0.0;
        line(p(1), p(2), 1.4, Qt::DashLine);
        if (m_d.aspect == Aspect::off)
            arrow(p(1) + way * share, p(0), false, 2.2);
        else
            arrow(p(1), p(1) + way * share, false, 2.6);
        line(p(1) + way * share, p(0), 1.2);
    }
    void drawStillness() {
        m_p.setPen(QPen(m_inks.mark, 1.4, Qt::DashLine));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawEllipse(p(0), m_unit, m_unit);
        QPainterPath path(p(0));
        for (int i = 0; i < 40; ++i)
            path.lineTo(p(0) + QPointF(std::sin(i * 1.7) * std::cos(i * 0.31), std::cos(i * 1.3)) * m_unit * 0.7);
        m_p.setPen(QPen(m_inks.mark, 1));
        m_p.drawPath(path);
    }
    void drawContacts() {
        for (const auto& spec : m_d.points) {
            const QPointF foot = at(spec);
            line(foot + QPointF(-m_unit * 0.9, m_unit * 0.35), foot + QPointF(m_unit * 0.9, m_unit * 0.35), 2.2);
            for (double x : {-0.6, 0.0, 0.6})
                line(foot + QPointF(x * m_unit, m_unit * 0.55), foot + QPointF((x - 0.25) * m_unit, m_unit * 0.9), 1.2);
        }
    }
    void drawSymmetry() {
        const double x = m_at.contains("neck") ? m_at.at("neck").x() : 0;
        double top = 1e9, bottom = -1e9;
        for (const auto& [role, q] : m_at) {
            top = std::min(top, q.y());
            bottom = std::max(bottom, q.y());
        }
        line(QPointF(x, top - m_unit * 0.2), QPointF(x, bottom), 1.3, Qt::DashLine);
        for (const auto& b : m_d.base)
            if (b->kind == MeasureKind::angle && b->points.size() == 3) {
                line(at(b->points[1]), at(b->points[0]));
                line(at(b->points[1]), at(b->points[2]));
                wedge(at(b->points[0]), at(b->points[1]), at(b->points[2]));
            }
    }
    void drawSeen() {
        const QPointF c = m_at.at("head") + QPointF(m_unit * 2.4, 0);
        const double w = m_unit * 1.1;
        QPainterPath eye(c - QPointF(w, 0));
        eye.quadTo(c - QPointF(0, w), c + QPointF(w, 0));
        eye.quadTo(c + QPointF(0, w), c - QPointF(w, 0));
        m_p.setPen(QPen(m_inks.mark, 1.8));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawPath(eye);
        m_p.setBrush(m_inks.mark);
        m_p.drawEllipse(c, w * 0.3, w * 0.3);
    }
    void drawEffect() {
        const QPointF c = m_at.at("head") + QPointF(m_unit * 2.5, m_unit * 0.2);
        m_p.setPen(QPen(m_inks.mark, 1.6));
        m_p.setBrush(Qt::NoBrush);
        m_p.drawEllipse(c, m_unit, m_unit);
        line(c + QPointF(-m_unit * 0.5, 0), c + QPointF(-m_unit * 0.1, m_unit * 0.45), 2.4);
        line(c + QPointF(-m_unit * 0.1, m_unit * 0.45), c + QPointF(m_unit * 0.55, -m_unit * 0.5), 2.4);
    }
    void drawChoice() {
        const QPointF from = m_at.at("neck") + QPointF(m_unit * 1.5, -m_unit * 0.2);
        arrow(from, from + QPointF(m_unit * 1.6, -m_unit * 1.1), false, 2.6);
        m_p.setOpacity(0.5);
        arrow(from, from + QPointF(m_unit * 1.8, m_unit * 0.5), false, 1.4);
        m_p.setOpacity(1);
    }

    // How each kind is drawn on the body, and how many points it takes; a kind that is not here is told by its inset.
    struct Row {
        MeasureKind kind;
        std::size_t points;
        void (Sketch::*draw)();
    };
    void kind() {
        static constexpr Row kRows[] = {
            {MeasureKind::angle, 3, &Sketch::drawAngle},       {MeasureKind::lean, 2, &Sketch::drawLean},
            {MeasureKind::between, 4, &Sketch::drawBetween},   {MeasureKind::clock, 2, &Sketch::drawClock},
            {MeasureKind::ratio, 4, &Sketch::drawRatio},       {MeasureKind::offset, 2, &Sketch::drawOffset},
            {MeasureKind::order, 2, &Sketch::drawOffset},      {MeasureKind::gap, 2, &Sketch::drawOffset},
            {MeasureKind::stack, 2, &Sketch::drawStack},       {MeasureKind::turn, 2, &Sketch::drawTurn},
            {MeasureKind::roll, 2, &Sketch::drawRoll},         {MeasureKind::facing, 4, &Sketch::drawFacing},
            {MeasureKind::speed, 1, &Sketch::drawSpeed},       {MeasureKind::path, 1, &Sketch::drawPath},
            {MeasureKind::swing, 4, &Sketch::drawSwing},       {MeasureKind::twist, 3, &Sketch::drawTwist},
            {MeasureKind::amid, 3, &Sketch::drawAmid},         {MeasureKind::stillness, 1, &Sketch::drawStillness},
            {MeasureKind::contacts, 0, &Sketch::drawContacts}, {MeasureKind::symmetry, 0, &Sketch::drawSymmetry},
            {MeasureKind::seen, 0, &Sketch::drawSeen},         {MeasureKind::effect, 0, &Sketch::drawEffect},
            {MeasureKind::choice, 0, &Sketch::drawChoice},
        };
        for (const Row& row : kRows)
            if (row.kind == m_d.kind && has(row.points))
                (this->*row.draw)();
        if (m_d.kind == MeasureKind::overlap && m_d.aspect == Aspect::nearest && has(2))
            arrow(p(0), p(1), true, 2.2);
        if (wantsInset())
            inset();
    }

    void inset() {
        axis();
        switch (m_d.kind) {
        case MeasureKind::interval:
            peg(0.2);
            peg(0.8);
            arrow(in(0.22, 0.4), in(0.78, 0.4), true);
            if (m_d.aspect == Aspect::ratio) { // against another time
                peg(0.5);
                arrow(in(0.22, 0.75), in(0.48, 0.75), true);
            }
            break;
        case MeasureKind::dwell:
            curve([](double x) { return 0.15 + 0.75 * std::pow(std::abs(2 * x - 1), 1.6); });
            m_p.setPen(QPen(m_inks.text, 1, Qt::DashLine));
            m_p.drawLine(in(0, 0.4), in(1, 0.4));
            line(in(0.24, 0.06), in(0.76, 0.06), 3.5);
            break;
        case MeasureKind::cadence:
            for (double x : {0.04, 0.35, 0.66, 0.97})
                peg(x);
            arrow(in(0.37, 0.45), in(0.64, 0.45), true);
            break;
        case MeasureKind::overlap:
            line(in(0.02, 0.75), in(0.62, 0.75), 5);
            m_p.setOpacity(0.6);
            line(in(0.5, 0.3), in(0.98, 0.3), 5);
            m_p.setOpacity(1);
            m_p.setPen(QPen(m_inks.text, 1, Qt::DashLine));
            for (double x : {0.5, 0.62})
                m_p.drawLine(in(x, 0), in(x, 1));
            break;
        case MeasureKind::chain: {
            double middle = 0.25;
            for (int i = 0; i < 3; ++i, middle += 0.24)
                curve([&](double x) { return (0.55 + 0.18 * i) * hill(x, middle, 0.12); }, 1.3 + 0.6 * i);
            break;
        }
        case MeasureKind::smoothness:
            curve([](double x) { return 0.9 * hill(x, 0.25, 0.13); }, 2.0, 0, 0.5);
            curve(
                [](double x) {
                    return 0.5 * hill(x, 0.64, 0.05) + 0.75 * hill(x, 0.76, 0.05) + 0.6 * hill(x, 0.88, 0.05);
                },
                2.0, 0.5, 1);
            break;
        case MeasureKind::recovery: {
            QColor band = m_inks.mark;
            band.setAlpha(50);
            m_p.fillRect(QRectF(in(0, 0.35), in(1, 0.05)), band);
            curve([](double x) { return 0.18 + 0.78 * std::exp(-4.5 * x); });
            peg(0.34);
            break;
        }
        case MeasureKind::spread:
            for (double x : {0.2, 0.33, 0.38, 0.47, 0.52, 0.61, 0.78})
                m_p.drawEllipse(in(x, 0.4), 2.5, 2.5);
            arrow(in(0.3, 0.85), in(0.68, 0.85), true);
            break;
        case MeasureKind::drift:
            m_p.setPen(QPen(m_inks.text, 1.2));
            for (int i = 0; i < 9; ++i)
                m_p.drawEllipse(in(0.06 + 0.11 * i, 0.75 - 0.055 * i + 0.07 * std::sin(i * 2.3)), 2.4, 2.4);
            line(in(0.03, 0.77), in(0.97, 0.28), 2.2);
            break;
        default: // a reduction over a phase
            curve([](double x) { return 0.15 + 0.7 * hill(x, 0.58, 0.22); });
            peg(0.06);
            peg(0.94);
            switch (m_d.reduction) {
            case Reduction::min:
                m_p.drawEllipse(in(0.06, 0.16), 4, 4);
                break;
            case Reduction::max:
                m_p.drawEllipse(in(0.58, 0.85), 4, 4);
                break;
            case Reduction::range:
                arrow(in(0.58, 0.84), in(0.58, 0.16), true);
                break;
            case Reduction::mean:
                line(in(0.06, 0.43), in(0.94, 0.43), 1.6, Qt::DashLine);
                break;
            case Reduction::timeOfMin:
            case Reduction::timeOfMax:
                arrow(in(0.08, 0.08), in(0.58, 0.08));
                break;
            case Reduction::shareOfMax:
                line(in(0.58, 0.85), in(0.94, 0.85), 1.2, Qt::DashLine);
                arrow(in(0.94, 0.02), in(0.94, 0.24));
                break;
            case Reduction::justBefore: // carried on from before the contact
                line(in(0.3, 0.32), in(0.54, 0.8), 2.2);
                line(in(0.54, 0.8), in(0.62, 0.96), 1.6, Qt::DotLine);
                peg(0.62);
                break;
            case Reduction::at:
                break;
            }
        }
    }

    QPainter& m_p;
    const MeasureDefinition& m_d;
    const MeasureInks& m_inks;
    std::map<std::string, QPointF> m_at;
    QRectF m_inset;
    double m_unit = 10;
};

} // namespace

std::map<std::string, QPointF> figureIn(const QRectF& area, const std::vector<std::string>& roles, bool two) {
    const double side = std::min(area.width() / (two ? 1.7 : 1.0), area.height());
    const QRectF own(area.center().x() - side / 2 + (two ? side * 0.38 : 0.0), area.center().y() - side / 2, side,
                     side);
    const auto place = [&](QPointF unit) { return own.topLeft() + QPointF(unit.x() * side, unit.y() * side); };
    std::map<std::string, QPointF> out;
    for (const auto& p : figurePoints())
        out[p.role] = place({p.x, p.y});
    if (two) // the other stands in front, turned towards the athlete
        for (const auto& p : figurePoints()) {
            const QPointF at = place({-0.72 + (1.0 - p.x), p.y});
            out["other_" + p.role] = at;
            out["other_" + resolveRole(p.role, Side::right)] = at;
        }
    for (const auto& role : roles) {
        if (out.contains(role))
            continue;
        const auto known = out.find(roleOf(role));
        const QPointF at = known == out.end() ? place(unitPlace(role)) : known->second;
        out[role] = at;
    }
    return out;
}

void drawGuideFigure(QPainter& painter, const std::map<std::string, QPointF>& points, QColor ink, double width) {
    painter.setPen(QPen(ink, width, Qt::SolidLine, Qt::RoundCap));
    const auto join = [&](const std::string& a, const std::string& b) {
        const auto from = points.find(a), to = points.find(b);
        if (from != points.end() && to != points.end())
            painter.drawLine(from->second, to->second);
    };
    for (const std::string person : {"", "other_"}) {
        static const std::set<std::string> detail = {"thumb", "index", "little", "big_toe", "little_toe"};
        for (const auto& [a, b] : standardBones()) {
            const auto role = [&](const std::string& name) {
                return person + (name.starts_with("right_")  ? "lead_" + name.substr(6)
                                 : name.starts_with("left_") ? "rear_" + name.substr(5)
                                                             : name);
            };
            if (!detail.contains(b.substr(b.find('_') + 1)))
                join(role(a), role(b));
        }
        if (const auto head = points.find(person + "head"); head != points.end() && points.contains(person + "neck")) {
            const double r = 0.55 * std::hypot(head->second.x() - points.at(person + "neck").x(),
                                               head->second.y() - points.at(person + "neck").y());
            painter.setBrush(Qt::NoBrush);
            painter.drawEllipse(head->second, r, r);
        }
    }
    for (const auto& [name, at] : points)
        if (name.ends_with("_tail"))
            join(name, name.substr(0, name.size() - 4) + "tip");
        else if (hangsOnHand(name, {}) && kindOf(name) == PointKind::implement && name.find("lead_") != 0 &&
                 name.find("rear_") != 0 && name.ends_with("_tip"))
            join("lead_hand", name);
}

void drawMeasure(QPainter& painter, const QRectF& area, const MeasureDefinition& definition, const MeasureInks& inks) {
    Sketch(painter, area, definition, inks).draw();
}

} // namespace riflesso
