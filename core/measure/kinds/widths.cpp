// Kinds turn and facing: how far a line of known width is turned, by how wide it is seen.

#include "core/measure/kinds/kind.h"
#include "core/measure/reading.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// Near face-on the width hardly changes with the turn: first order would promise far too much there or nothing at all.
// The error in degrees of a turn or a facing is taken from the widths one
// standard error to either side, and replaces \p variance.
std::optional<Error> asTurn(const FrameInput& in, Reading& r, double& variance) {
    const MeasureDefinition& d = in.definition;
    const auto& base = in.base;
    const Calibration* plane = in.setup.calibration.get();
    std::vector<Eigen::Vector2d> there; // as the formula sees them: upright, px or m
    std::vector<double> error;
    for (std::size_t i = 0; i < base.size(); ++i) {
        there.push_back(plane ? plane->upright(base[i]) : base[i]);
        const Eigen::Vector2d half(0.5, 0.0);
        error.push_back(in.sigma[i] *
                        (plane ? (plane->upright(base[i] + half) - plane->upright(base[i] - half)).norm() : 1.0));
    }
    const double relative = d.fullWidthSigma / d.fullWidth;
    const double full = (pointOf(in.per[0], there) - pointOf(in.per[1], there)).norm() * d.fullWidth;
    const double width = std::abs((pointOf(in.points[1], there) - pointOf(in.points[0], there)).x());
    if (d.kind == MeasureKind::facing) {
        const double apart = std::abs((pointOf(in.points[3], there) - pointOf(in.points[2], there)).x());
        if (apart < 0.5 * full)
            return Error{say("measure", "as seen from here one stands behind the other: film from the side of both"),
                         {},
                         {},
                         {}};
    }
    double ofEnds = 0.0; // squares, of the width and, scaled by the width's share, of the segment that stands for it
    for (std::size_t i = 0; i < base.size(); ++i) {
        const auto share = [&](const std::vector<std::size_t>& of) {
            return std::find(of.begin(), of.end(), i) != of.end() ? 1.0 / static_cast<double>(of.size()) : 0.0;
        };
        const double end = share(in.points[1]) - share(in.points[0]);
        const double scale = d.fullWidth * (share(in.per[1]) - share(in.per[0])) * std::min(1.0, width / full);
        ofEnds += (end * end + scale * scale) * error[i] * error[i];
    }
    const double share = width / full, u = std::hypot(std::sqrt(ofEnds) / full, share * relative);
    const auto angle = [&](double s) {
        const double cut = std::clamp(s, 0.0, 1.0);
        return toDegrees(Radians(d.kind == MeasureKind::turn ? std::acos(cut) : std::asin(cut))).value;
    };
    if (share > 1.0 + 3.0 * u)
        return Error{say("measure", "the line is wider than its full width: the full width or the segment is wrong"),
                     {},
                     {},
                     {}};
    const auto widest = [&](double by) {
        return std::max(std::abs(angle(share - by) - angle(share)), std::abs(angle(share) - angle(share + by)));
    };
    variance = std::pow(widest(u), 2);
    for (auto& [name, part] : r.parts)
        part = variance / static_cast<double>(r.parts.size());
    // A wider full width turns every rep the same way.
    if (u > 0.0)
        r.alike.push_back(std::copysign(std::sqrt(variance) * share * relative / u,
                                        d.kind == MeasureKind::turn ? in.raw : 90.0 - in.raw));
    return std::nullopt;
}

double shareSeen(const MeasureDefinition& d, const Places& p) {
    return std::min(1.0, std::abs((p(1) - p(0)).x()) / (p.unit * d.fullWidth));
}

double turnSeen(const MeasureDefinition& d, const Places& p) {
    const double turned = toDegrees(Radians(std::acos(shareSeen(d, p)))).value;
    return p.n == 4 && along(p(2), p(3), p.direction) < 0.0 ? -turned : turned;
}

double facingSeen(const MeasureDefinition& d, const Places& p) {
    const double turned = toDegrees(Radians(std::asin(shareSeen(d, p)))).value;
    // The second cue (toes and heel, nose and ear) says whether it is the front that is turned there.
    const bool away = p.n == 6 && (p(4) - p(5)).x() * (p(3) - p(2)).x() < 0.0;
    return away ? 180.0 - turned : turned;
}

std::string oneCuePoint() {
    return say("problem", "the second cue needs two points");
}

} // namespace

constinit const KindSpec kTurn = {
    .points = {2, 4},
    .quantity = QuantityKind::angle,
    .fullWidth = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.points.size() == 3 ? oneCuePoint()
               : d.points.size() == 4 && !d.direction
                   ? say("problem", "a turn with a second cue needs the “direction” along which it leads")
                   : "";
    },
    .onFrame = turnSeen,
    .byMarks = asTurn,
};

constinit const KindSpec kFacing = {
    .points = {4, 6},
    .quantity = QuantityKind::angle,
    .fullWidth = true,
    .problem = [](const MeasureDefinition& d) -> std::string { return d.points.size() == 5 ? oneCuePoint() : ""; },
    .onFrame = facingSeen,
    .byMarks = asTurn,
};

} // namespace riflesso
