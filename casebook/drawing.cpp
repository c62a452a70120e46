#include "casebook/drawing.h"

#include <QFontMetricsF>
#include <QLineF>
#include <QPainterPath>
#include <QTransform>

#include <algorithm>
#include <cmath>
#include <optional>

namespace riflesso {

Hues huesFor(bool dark) {
    if (dark)
        return {QColor("#f29b63"), QColor("#74bfe0"), QColor("#ffb27d"), QColor("#8fd6f5")};
    return {QColor("#a8481a"), QColor("#1b6587"), QColor("#ffb27d"), QColor("#8fd6f5")};
}

std::map<LandmarkName, QPointF> pointsAt(const CaseData& data, const Analysis& analysis, Id take, FrameIndex frame) {
    std::map<LandmarkName, QPointF> points;
    if (const auto motion = analysis.motions.find(take); motion != analysis.motions.end())
        for (const auto& [name, track] : motion->second->tracks())
            if (const auto s = motion->second->at(name, frame))
                points[name] = {s->at.x, s->at.y};
    if (const auto marks = data.marks.find(take); marks != data.marks.end())
        for (const auto& [name, track] : marks->second)
            if (const auto m = track.find(frame);
                m != track.end() && m->second.how != How::hidden && !points.contains(name))
                points[name] = {m->second.at.x, m->second.at.y};
    return points;
}

QRectF bodyBox(const std::map<LandmarkName, QPointF>& points, QSizeF picture, double aspect) {
    QRectF box;
    for (const auto& [name, p] : points) {
        if (name.find("left_") != 0 && name.find("right_") != 0 && name != "head" && name != "neck")
            continue; // an implement may reach far out; the body is what is compared
        box = box.isNull() ? QRectF(p, QSizeF(1, 1)) : box.united(QRectF(p, QSizeF(1, 1)));
    }
    if (points.size() < 3 || box.height() < 20) {
        const double w = std::min(picture.width(), picture.height() * aspect);
        return {(picture.width() - w) / 2, 0, w, w / aspect};
    }
    const double margin = box.height() * 0.07 + 8;
    box.adjust(-margin, -margin - box.height() * 0.09, margin, margin); // the head is marked at its middle
    box = box.intersected(QRectF(QPointF(0, 0), picture));
    const double fits =
        std::min(picture.height(), picture.width() / aspect); // no dark bars while the body fits without
    const double needed = std::max(box.height(), box.width() / aspect);
    const double h = needed > fits && box.height() <= fits && box.width() / aspect <= fits * 1.02 ? fits : needed;
    const QPointF c = box.center();
    QRectF crop(c.x() - h * aspect / 2, c.y() - h / 2, h * aspect, h);
    // Rather off centre than over the picture's edge, as long as the picture is large enough.
    if (crop.width() <= picture.width())
        crop.moveLeft(std::clamp(crop.left(), 0.0, picture.width() - crop.width()));
    if (crop.height() <= picture.height())
        crop.moveTop(std::clamp(crop.top(), 0.0, picture.height() - crop.height()));
    return crop;
}

void drawFigure(QPainter& painter, const std::map<LandmarkName, QPointF>& points, const QTransform& toTarget,
                Facing facing, QColor colour, double width) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    // Facing left one sees the left side first.
    const std::string far = facing == Facing::left ? "right_" : "left_";
    const auto isFar = [&](const LandmarkName& n) { return facesAside(facing) && n.rfind(far, 0) == 0; };
    std::vector<LandmarkName> names;
    for (const auto& [name, p] : points)
        names.push_back(name);
    const auto lines = linesAmong(names);
    for (const bool farSide : {true, false})
        for (const auto& [from, to] : lines) {
            if ((isFar(from) && isFar(to)) != farSide)
                continue;
            const bool thin =
                farSide || ofOther(from) || kindOf(to) == PointKind::hand || kindOf(to) == PointKind::foot;
            const QPointF p = toTarget.map(points.at(from)), q = toTarget.map(points.at(to));
            QColor under(0, 0, 0, 120);
            painter.setPen(QPen(under, (thin ? 0.5 : 1.0) * width + 1.5, Qt::SolidLine, Qt::RoundCap));
            painter.drawLine(p, q);
            painter.setPen(
                QPen(colour, (thin ? 0.5 : 1.0) * width, ofOther(from) ? Qt::DotLine : Qt::SolidLine, Qt::RoundCap));
            painter.drawLine(p, q);
        }
    for (const auto& [name, end] : points) {
        if (!hangsOnHand(name, names))
            continue;
        std::optional<QPointF> hand;
        for (const char* grip : {"left_hand", "right_hand", "left_wrist", "right_wrist"})
            if (const auto g = points.find(grip); g != points.end())
                if (!hand || QLineF(end, g->second).length() < QLineF(end, *hand).length())
                    hand = g->second;
        if (hand) {
            painter.setPen(QPen(colour, width * 0.5, Qt::DashLine));
            painter.drawLine(toTarget.map(*hand), toTarget.map(end));
        }
    }
    painter.setPen(QPen(QColor(0, 0, 0, 150), 1));
    painter.setBrush(colour);
    for (const auto& [name, p] : points) {
        const QPointF at = toTarget.map(p);
        const PointKind kind = kindOf(name);
        const bool small = isFar(name) || ofOther(name) || kind == PointKind::hand || kind == PointKind::foot;
        const double r = small ? width * 0.7 : width * 1.05;
        painter.setBrush(kind == PointKind::ball ? QBrush(Qt::NoBrush) : QBrush(colour));
        if (kind == PointKind::ball) {
            painter.setPen(QPen(colour, width));
            painter.drawEllipse(at, 3 * r, 3 * r);
            painter.setPen(QPen(QColor(0, 0, 0, 150), 1));
        } else if (kind == PointKind::scene)
            painter.drawRect(QRectF(at.x() - 1.2 * r, at.y() - 1.2 * r, 2.4 * r, 2.4 * r));
        else
            painter.drawEllipse(at, r, r);
    }
    painter.restore();
}

void drawWedge(QPainter& painter, QPointF a, QPointF vertex, QPointF c, QColor colour, const QString& text) {
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const auto angle = [&](QPointF p) { return std::atan2(-(p.y() - vertex.y()), p.x() - vertex.x()) * 180.0 / M_PI; };
    const double start = angle(a);
    double sweep = angle(c) - start;
    while (sweep > 180)
        sweep -= 360;
    while (sweep < -180)
        sweep += 360;
    const double radius = std::min({std::hypot(a.x() - vertex.x(), a.y() - vertex.y()),
                                    std::hypot(c.x() - vertex.x(), c.y() - vertex.y()), 46.0}) *
                          0.6;
    QPainterPath path(vertex);
    path.arcTo(QRectF(vertex.x() - radius, vertex.y() - radius, 2 * radius, 2 * radius), start, sweep);
    path.closeSubpath();
    QColor fill = colour;
    fill.setAlpha(90);
    painter.setBrush(fill);
    painter.setPen(QPen(colour, 1.5));
    painter.drawPath(path);
    if (text.isEmpty()) {
        painter.restore();
        return;
    }
    // The value stands on the outer side of the joint.
    const double out = (start + sweep / 2 + 180) * M_PI / 180.0;
    const QFontMetricsF metrics(painter.font());
    const QSizeF size(metrics.horizontalAdvance(text) + 10, metrics.height() + 2);
    const QPointF at = vertex + QPointF(std::cos(out), -std::sin(out)) * (16 + size.width() / 2);
    QRectF plate(at.x() - size.width() / 2, at.y() - size.height() / 2, size.width(), size.height());
    if (painter.hasClipping()) { // inside the still it belongs to
        const QRectF room = painter.clipBoundingRect().adjusted(2, 2, -2, -2);
        plate.moveLeft(std::clamp(plate.left(), room.left(), std::max(room.left(), room.right() - plate.width())));
        plate.moveTop(std::clamp(plate.top(), room.top(), std::max(room.top(), room.bottom() - plate.height())));
    }
    painter.setPen(Qt::NoPen);
    painter.setBrush(QColor(12, 16, 20, 205));
    painter.drawRoundedRect(plate, 4, 4);
    painter.setPen(Qt::white);
    painter.drawText(plate, Qt::AlignCenter, text);
    painter.restore();
}

void drawRead(QPainter& p, const MeasureDefinition& def, Side handedness, const std::map<LandmarkName, QPointF>& points,
              const QTransform& toTarget, QColor colour, const QString& text) {
    std::vector<QPointF> at;
    for (const auto& spec : def.points) {
        QPointF sum;
        for (const auto& role : spec.landmarks) {
            const auto it = points.find(resolveRole(role, handedness));
            if (it == points.end())
                return;
            sum += it->second / static_cast<double>(spec.landmarks.size());
        }
        at.push_back(toTarget.map(sum));
    }
    if (def.kind == MeasureKind::angle && at.size() >= 3) {
        drawWedge(p, at[0], at[1], at[2], colour, text);
        return;
    }
    p.setPen(QPen(colour, 3, Qt::SolidLine, Qt::RoundCap));
    for (std::size_t i = 0; i + 1 < at.size(); i += 2)
        p.drawLine(at[i], at[i + 1]);
    if (def.kind == MeasureKind::lean && at.size() >= 2) {
        p.setPen(QPen(colour, 1.5, Qt::DashLine));
        p.drawLine(at[0], QPointF(at[0].x(), at[1].y() - 12));
    }
}

QRectF drawWords(QPainter& p, QPointF at, const QString& words, QColor ink) {
    const QFontMetricsF metrics(p.font());
    const double margin = metrics.height() * 0.35;
    const QRectF plate(at, QSizeF(metrics.horizontalAdvance(words) + 2 * margin, metrics.height() + margin));
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(Qt::NoPen);
    p.setBrush(QColor(12, 16, 20, 190));
    p.drawRoundedRect(plate, margin / 2, margin / 2);
    p.setPen(ink);
    p.drawText(plate, Qt::AlignCenter, words);
    p.restore();
    return plate;
}

void drawNote(QPainter& p, const QRectF& target, const QImage& picture, const FrameNote& note) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setClipRect(target);
    p.fillRect(target, QColor("#20262a"));
    if (!picture.isNull()) {
        // Round the points, not so near that nobody knows what it is; all of the picture when there are none.
        const QRectF whole(QPointF(0, 0), QSizeF(picture.size()));
        QRectF source = whole;
        if (!note.points.empty()) {
            QPolygonF clicked;
            for (const auto& point : note.points)
                clicked << QPointF(point.x, point.y);
            source = clicked.boundingRect();
            const double more = std::max(0.3 * whole.height(), 0.5 * std::max(source.width(), source.height()));
            source.adjust(-more, -more, more, more);
        }
        const double aspect = target.width() / target.height();
        const QPointF middle = source.center();
        QSizeF size(std::max(source.width(), source.height() * aspect),
                    std::max(source.height(), source.width() / aspect));
        size = size.boundedTo(
            QSizeF(std::max(whole.width(), whole.height() * aspect), std::max(whole.height(), whole.width() / aspect)));
        source = QRectF(middle - QPointF(size.width() / 2, size.height() / 2), size);
        const auto within = [](double at, double length, double all) { // beyond the edge there is nothing to see
            return length >= all ? (all - length) / 2 : std::clamp(at, 0.0, all - length);
        };
        source.moveTo(within(source.x(), size.width(), whole.width()),
                      within(source.y(), size.height(), whole.height()));
        p.drawImage(target, picture, source);
        QTransform t;
        t.translate(target.x(), target.y());
        t.scale(target.width() / source.width(), target.height() / source.height());
        t.translate(-source.x(), -source.y());
        for (std::size_t i = 0; i < note.points.size(); ++i) {
            const QPointF at = t.map(QPointF(note.points[i].x, note.points[i].y));
            for (const auto& [colour, width] :
                 {std::pair(QColor(0, 0, 0, 160), 5.0), std::pair(QColor("#f2c84b"), 2.2)}) {
                p.setPen(QPen(colour, width, Qt::SolidLine, Qt::RoundCap));
                p.setBrush(Qt::NoBrush);
                if (i > 0)
                    p.drawLine(t.map(QPointF(note.points[i - 1].x, note.points[i - 1].y)), at);
                p.drawEllipse(at, 5, 5);
            }
        }
    }
    if (!note.words.empty())
        drawWords(p, target.topLeft() + QPointF(8, 8), QString::fromStdString(note.words));
    p.restore();
}

void drawStill(QPainter& painter, const QRectF& target, const QImage& picture, const QRectF& source,
               const std::map<LandmarkName, QPointF>& points, Facing facing, QColor colour) {
    painter.save();
    painter.setClipRect(target);
    painter.fillRect(target, QColor("#20262b"));
    if (!picture.isNull()) {
        painter.setRenderHint(QPainter::SmoothPixmapTransform);
        // The crop may reach over the picture's edge: draw the whole picture where it belongs, clipped.
        QTransform t;
        t.translate(target.x(), target.y());
        t.scale(target.width() / source.width(), target.height() / source.height());
        t.translate(-source.x(), -source.y());
        painter.drawImage(t.mapRect(QRectF(picture.rect())), picture);
        drawFigure(painter, points, t, facing, colour, std::clamp(target.height() / 95.0, 1.1, 2.4));
    }
    painter.restore();
}

void drawDeviationMark(QPainter& painter, QPointF centre, double size, const Deviation& deviation, bool time,
                       QColor colour) {
    if (!deviation.judged)
        return;
    painter.save();
    painter.setRenderHint(QPainter::Antialiasing);
    const bool inside = deviation.verdict.decision == Decision::inside;
    const double value = deviation.value.mean;
    double side = deviation.verdict.severity;
    if (side == 0.0) // inside or at the edge: which half of the band
        side = std::isfinite(deviation.band.lo) && std::isfinite(deviation.band.hi) &&
                       value < (deviation.band.lo + deviation.band.hi) / 2
                   ? -0.1
                   : 0.1;
    const double s = size * (inside ? 0.75 : 0.8 + 0.15 * std::min(3.0, std::abs(side)));
    QPainterPath shape;
    if (inside) {
        shape.addEllipse(centre, s * 0.5, s * 0.5);
    } else if (time) { // leaning: a slanted bar, to the left for early, to the right for late
        const double lean = side < 0 ? -s * 0.45 : s * 0.45;
        shape.moveTo(centre + QPointF(lean - s * 0.2, -s * 0.6));
        shape.lineTo(centre + QPointF(lean + s * 0.2, -s * 0.6));
        shape.lineTo(centre + QPointF(-lean + s * 0.2, s * 0.6));
        shape.lineTo(centre + QPointF(-lean - s * 0.2, s * 0.6));
        shape.closeSubpath();
    } else { // a drop, point up for too much, down for too little
        const double up = side > 0 ? -1 : 1;
        shape.moveTo(centre + QPointF(0, up * s * 0.7));
        shape.quadTo(centre + QPointF(s * 0.75, -up * s * 0.25), centre + QPointF(0, -up * s * 0.5));
        shape.quadTo(centre + QPointF(-s * 0.75, -up * s * 0.25), centre + QPointF(0, up * s * 0.7));
    }
    painter.setPen(QPen(colour, 1.4));
    painter.setBrush(Qt::NoBrush);
    if (deviation.verdict.decision == Decision::outside)
        painter.setBrush(colour);
    painter.drawPath(shape);
    if (deviation.verdict.decision == Decision::undecided) {
        painter.setClipRect(QRectF(centre.x() - s, centre.y(), 2 * s, s));
        painter.fillPath(shape, colour);
    }
    painter.restore();
}

} // namespace riflesso
