#include "desktop/parts/rep_still.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

namespace riflesso {
namespace {

// The lines that a measure reads, over the figure; its angle as a wedge.
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
        p.setFont(typeface(Type::small, true));
        drawWedge(p, at[0], at[1], at[2], colour, text);
        return;
    }
    p.setPen(QPen(colour, 3, Qt::SolidLine, Qt::RoundCap));
    for (std::size_t i = 0; i + 1 < at.size(); i += 2)
        p.drawLine(at[i], at[i + 1]);
    if (def.kind == MeasureKind::lean && at.size() >= 2) {
        QPen plumb(colour, 1.5, Qt::DashLine);
        p.setPen(plumb);
        p.drawLine(at[0], QPointF(at[0].x(), at[1].y() - 12));
    }
}

} // namespace

bool drawRepStill(QPainter& p, Workbench& bench, const QRectF& box, Id id, FrameIndex frame, QColor colour,
                  const MeasureDefinition* measure, const QString& words) {
    const auto rep = bench.data().reps.find(id);
    if (rep == bench.data().reps.end())
        return false;
    const Take& take = bench.data().takes.at(rep->second.take);
    QImage picture = bench.frames().still(bench.filmPath(take), frame.value);
    auto points = pointsAt(bench.data(), bench.analysis(), take.id, frame);
    Facing facing = take.facing;
    if (take.picture.swapped) { // a left-hander stands like a right-handed model
        picture = picture.mirrored(true, false);
        for (auto& [name, at] : points)
            at.setX(take.width - at.x());
        if (facing != Facing::camera)
            facing = facing == Facing::left ? Facing::right : Facing::left;
    }
    const QRectF source = bodyBox(points, QSizeF(take.width, take.height), box.width() / box.height());
    drawStill(p, box, picture, source, points, facing, colour);
    if (!measure || picture.isNull())
        return true;
    p.save();
    p.setClipRect(box);
    QTransform toTarget;
    toTarget.translate(box.x(), box.y());
    toTarget.scale(box.width() / source.width(), box.height() / source.height());
    toTarget.translate(-source.x(), -source.y());
    drawRead(p, *measure, take.handedness, points, toTarget, colour, words);
    p.restore();
    return true;
}

void drawPlate(QPainter& p, const QRectF& picture, const QString& words, Type size, bool above) {
    constexpr double kMargin = 7;
    const Theme& t = theme();
    const QFont font = typeface(size, true);
    const QFontMetricsF metrics(font);
    const double h = metrics.height() + 6;
    const QRectF plate(picture.left() + kMargin, above ? picture.top() + kMargin : picture.bottom() - h - kMargin,
                       metrics.horizontalAdvance(words) + 16, h);
    p.setPen(Qt::NoPen);
    p.setBrush(t.accent);
    p.drawRoundedRect(plate, 3, 3);
    p.setFont(font);
    p.setPen(t.onAccent);
    p.drawText(plate, Qt::AlignCenter, words);
}

} // namespace riflesso
