#include "desktop/workbench/rep_still.h"

#include "casebook/text.h"
#include "desktop/theme/theme.h"

namespace riflesso {
bool drawRepStill(QPainter& p, Workbench& bench, const QRectF& box, Id id, FrameIndex frame, QColor colour,
                  const MeasureDefinition* measure, const QString& words) {
    const auto rep = bench.data().reps.find(id);
    if (rep == bench.data().reps.end())
        return false;
    const Take& take = bench.data().takes.at(rep->second.take);
    QImage picture = bench.frames().still(bench.filmPath(take), frame.value);
    auto points = pointsAt(bench.data(), bench.analysis(), take.id, frame);
    if (take.picture.swapped) { // a left-hander stands like a right-handed model; the near side stays the near one
        picture = picture.mirrored(true, false);
        for (auto& [name, at] : points)
            at.setX(take.width - at.x());
    }
    const QRectF source = bodyBox(points, QSizeF(take.width, take.height), box.width() / box.height());
    drawStill(p, box, picture, source, points, take.facing, colour);
    if (!measure || picture.isNull())
        return true;
    p.save();
    p.setClipRect(box);
    QTransform toTarget;
    toTarget.translate(box.x(), box.y());
    toTarget.scale(box.width() / source.width(), box.height() / source.height());
    toTarget.translate(-source.x(), -source.y());
    p.setFont(typeface(Type::small, true));
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
