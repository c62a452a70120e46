#include "casebook/moving_side.h"

#include "casebook/drawing.h"
#include "core/motion/landmark.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {
namespace {

using Points = std::map<LandmarkName, QPointF>;

double distance(QPointF a, QPointF b) {
    return std::hypot(a.x() - b.x(), a.y() - b.y());
}

// Between shoulders (or neck) and hips; 0 when they are not there.
double trunkOf(const Points& points) {
    const auto middle = [&](const char* part) -> std::optional<QPointF> {
        const auto l = points.find(std::string("left_") + part), r = points.find(std::string("right_") + part);
        if (l != points.end() && r != points.end())
            return (l->second + r->second) / 2;
        return l != points.end()   ? std::optional(l->second)
               : r != points.end() ? std::optional(r->second)
                                   : std::nullopt;
    };
    const auto hip = middle("hip");
    auto top = middle("shoulder");
    if (const auto neck = points.find("neck"); neck != points.end())
        top = neck->second;
    return hip && top ? distance(*hip, *top) : 0.0;
}

std::vector<std::pair<LandmarkName, LandmarkName>> linesOf(const Points& points) {
    std::vector<LandmarkName> names;
    for (const auto& [name, at] : points)
        if (onBody(name) && !ofOther(name))
            names.push_back(name);
    return linesAmong(names);
}

// The foot on the ground: the lowest point of a foot, or of an ankle, that both figures have.
std::optional<LandmarkName> supportFoot(const Points& points, const Points& also) {
    std::optional<LandmarkName> best;
    for (const auto& [name, at] : points)
        if (!ofOther(name) && also.contains(name) &&
            (kindOf(name) == PointKind::foot || name == "left_ankle" || name == "right_ankle"))
            if (!best || at.y() > points.at(*best).y())
                best = name;
    return best;
}

const Take& takeOf(const CaseData& data, Id rep) {
    return data.takes.at(data.reps.at(rep).take);
}

} // namespace

MovingSide movingSide(const CaseData& data, const Analysis& analysis, Id rep, double aspect, const Take* leader) {
    MovingSide side;
    side.rep = rep;
    const Take& take = takeOf(data, rep);
    side.mirrored = take.picture.swapped;
    // Who is compared looks the way the athlete looks.
    if (leader && leader != &take && facesAside(take.facing) && facesAside(leader->facing))
        side.mirrored = side.mirrored || (take.facing != leader->facing) != leader->picture.swapped;
    const auto [first, last] = spanOf(data, data.reps.at(rep));
    Points corners; // of all bodies of the rep
    std::vector<double> trunks;
    std::map<std::pair<LandmarkName, LandmarkName>, std::vector<double>> lengths;
    const int every = std::max(1, (last - first) / 24);
    for (int f = first.value; f <= last.value; f += every) {
        const auto points = pointsAt(data, analysis, take.id, FrameIndex(f));
        for (const auto& [name, at] : points)
            if (onBody(name))
                corners[name + std::to_string(f)] = at;
        if (const double t = trunkOf(points); t > 0.0)
            trunks.push_back(t);
        for (const auto& line : linesOf(points))
            lengths[line].push_back(distance(points.at(line.first), points.at(line.second)));
    }
    side.box = bodyBox(corners, QSizeF(take.width, take.height), aspect) & QRectF(0, 0, take.width, take.height);
    for (const double t : trunks)
        side.trunk += t / static_cast<double>(trunks.size());
    for (auto& [line, all] : lengths) {
        const auto high = all.begin() + static_cast<std::ptrdiff_t>(static_cast<double>(all.size() - 1) * 0.9);
        std::nth_element(all.begin(), high, all.end());
        side.segments[line] = *high;
    }
    return side;
}

QRectF calmPart(const QRectF& whole, const MovingSide& side) {
    const double wide = std::min(whole.width(), whole.height() * side.box.width() / std::max(1.0, side.box.height()));
    return {whole.center().x() - wide / 2, whole.top(), wide, whole.height()};
}

std::map<LandmarkName, QPointF> sidePoints(const CaseData& data, const Analysis& analysis, const MovingSide& side,
                                           FrameIndex frame) {
    const Take& take = takeOf(data, side.rep);
    auto points = pointsAt(data, analysis, take.id, frame);
    if (side.mirrored)
        for (auto& [name, at] : points)
            at.setX(take.width - at.x());
    return points;
}

QTransform sideTransform(const CaseData& data, const MovingSide& side, const QRectF& target) {
    QRectF box = side.box;
    if (side.mirrored)
        box.moveLeft(takeOf(data, side.rep).width - box.right());
    QTransform to;
    to.translate(target.left(), target.top());
    to.scale(target.width() / std::max(1.0, box.width()), target.height() / std::max(1.0, box.height()));
    to.translate(-box.left(), -box.top());
    return to;
}

void drawSide(QPainter& p, const QRectF& target, const CaseData& data, const Analysis& analysis, const MovingSide& side,
              const QImage& picture, FrameIndex frame, QColor colour, bool figure) {
    const Take& take = takeOf(data, side.rep);
    const QTransform to = sideTransform(data, side, target);
    p.save();
    p.setClipRect(target);
    p.fillRect(target, QColor("#20262b"));
    if (!picture.isNull()) {
        p.setRenderHint(QPainter::SmoothPixmapTransform);
        const QRectF whole = to.mapRect(QRectF(0, 0, take.width, take.height));
        if (side.mirrored) {
            QTransform turned;
            turned.translate(whole.left() + whole.right(), 0);
            turned.scale(-1, 1);
            p.setTransform(turned, true);
            p.drawImage(whole, picture);
            p.setTransform(turned.inverted(), true);
        } else {
            p.drawImage(whole, picture);
        }
        // Which side is the near one does not change when the picture is turned round.
        if (figure)
            drawFigure(p, sidePoints(data, analysis, side, frame), to, take.facing, colour,
                       std::clamp(target.height() / 95.0, 1.1, 5.0));
    }
    p.restore();
}

void drawGhost(QPainter& p, const QRectF& target, const CaseData& data, const Analysis& analysis,
               const MovingSide& side, FrameIndex frame, const MovingSide& ghost, FrameIndex ghostFrame, QColor colour,
               double strength) {
    const Take &own = takeOf(data, side.rep), &other = takeOf(data, ghost.rep);
    const Points here = sidePoints(data, analysis, side, frame);
    const bool crossed = own.handedness != other.handedness; // the same limb is the one on the other side
    Points there;
    for (const auto& [name, at] : sidePoints(data, analysis, ghost, ghostFrame))
        if (onBody(name) && !ofOther(name))
            there[crossed ? mirrored(name) : name] = at;
    const auto foot = supportFoot(here, there);
    if (!foot || !(side.trunk > 0.0) || !(ghost.trunk > 0.0))
        return;
    // Grown from the foot on, segment by segment.
    const auto lengthIn = [](const MovingSide& of, LandmarkName a, LandmarkName b, bool swap) -> double {
        if (swap) {
            a = mirrored(a);
            b = mirrored(b);
        }
        auto it = of.segments.find({a, b});
        if (it == of.segments.end())
            it = of.segments.find({b, a});
        return it == of.segments.end() ? 0.0 : it->second;
    };
    const auto lines = linesOf(there);
    Points placed{{*foot, here.at(*foot)}};
    for (bool grew = true; grew;) {
        grew = false;
        for (const auto& [a, b] : lines) {
            const bool hasA = placed.contains(a), hasB = placed.contains(b);
            if (hasA == hasB)
                continue;
            const auto& from = hasA ? a : b;
            const auto& to = hasA ? b : a;
            const double mine = lengthIn(side, a, b, false), theirs = lengthIn(ghost, a, b, crossed);
            const double scale =
                mine > 1.0 && theirs > 1.0 ? std::clamp(mine / theirs, 0.1, 10.0) : side.trunk / ghost.trunk;
            placed[to] = placed.at(from) + (there.at(to) - there.at(from)) * scale;
            grew = true;
        }
    }
    // What hangs on no segment (a head) keeps its place beside the point next to it.
    for (const auto& [name, at] : there) {
        if (placed.contains(name))
            continue;
        const LandmarkName* nearest = nullptr;
        for (const auto& [known, place] : placed)
            if (there.contains(known) && (!nearest || distance(there.at(known), at) < distance(there.at(*nearest), at)))
                nearest = &known;
        if (nearest)
            placed[name] = placed.at(*nearest) + (at - there.at(*nearest)) * (side.trunk / ghost.trunk);
    }
    p.save();
    p.setClipRect(target);
    p.setOpacity(std::clamp(strength, 0.0, 1.0));
    drawFigure(p, placed, sideTransform(data, side, target), own.facing, colour,
               std::clamp(target.height() / 110.0, 1.6, 5.0));
    p.restore();
}

FilmLock movingLock(const CaseData& data, const Blueprint& blueprint, Id leader, Id follower, LockKind kind) {
    std::vector<PositionId> order;
    for (const auto& p : blueprint.positions)
        order.push_back(p.id);
    const auto locked = [&](Id id) {
        const Rep& rep = data.reps.at(id);
        const auto [first, last] = spanOf(data, rep);
        return LockedRep{&rep.positions, timebaseOf(data.takes.at(rep.take)), first, last};
    };
    return FilmLock(order, locked(leader), locked(follower), kind);
}

} // namespace riflesso
