#include "casebook/pose.h"

#include "casebook/drawing.h"
#include "core/motion/landmark.h"

#include <QRectF>

#include <algorithm>

namespace riflesso {

std::map<LandmarkName, QPointF> poseAt(const CaseData& data, const Analysis& analysis, const Take& take,
                                       const PositionId& position) {
    constexpr std::size_t kFewest = 6;
    std::map<LandmarkName, QPointF> best;
    const Take* model = nullptr;
    for (const auto& [id, rep] : data.reps) {
        const auto of = data.takes.find(rep.take);
        const auto placed = rep.positions.find(position);
        if (of == data.takes.end() || of->second.performer != Performer::model || of->second.view != take.view ||
            placed == rep.positions.end())
            continue;
        auto points = pointsAt(data, analysis, of->first, placed->second.frame);
        std::erase_if(points, [](const auto& p) { return !onBody(p.first) || ofOther(p.first); });
        if (points.size() > best.size()) {
            best = std::move(points);
            model = &of->second;
        }
    }
    if (best.size() < kFewest)
        return {};
    double left = 1e9, right = -1e9, top = 1e9, bottom = -1e9;
    for (const auto& [name, at] : best) {
        left = std::min(left, at.x());
        right = std::max(right, at.x());
        top = std::min(top, at.y());
        bottom = std::max(bottom, at.y());
    }
    constexpr double kAir = 0.06; // of the box, round the figure
    const double size = std::max({right - left, bottom - top, 1.0}) / (1.0 - 2.0 * kAir);
    const QPointF middle((left + right) / 2, (top + bottom) / 2);
    const bool swap = model->handedness != take.handedness;
    const bool mirror = facesAside(take.facing) ? take.facing != model->facing : swap;
    std::map<LandmarkName, QPointF> out;
    for (const auto& [name, at] : best) {
        const QPointF unit = (at - middle) / size;
        out[swap ? mirrored(name) : name] = {0.5 + (mirror ? -unit.x() : unit.x()), 0.5 + unit.y()};
    }
    return out;
}

} // namespace riflesso
