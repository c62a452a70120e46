// Kind twist: the turn about a long axis, by how far an edge lies off it.

#include "core/measure/kinds/kind.h"
#include "core/measure/reading.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// From the share of the full width that is seen off the axis (\p r, with what its errors make of it) to the turn about
// the axis, or its rate, by the share's slopes along each landmark's own movement. Where the edge lies as far out as it
// can, the share hardly changes with the turn: that is refused and not guessed.
std::optional<Error> asTwist(const FrameInput& in, Reading& r) {
    const auto& [d, motion, frame, setup, names, points, per, base, sigma, slopes, raw] = in;
    constexpr double kSteep = 0.98; // of the full width: beyond it a rate cannot be had
    const double share = r.value, relative = d.fullWidthSigma / d.fullWidth;
    r.alike.push_back(-share * relative);
    r.u = std::hypot(r.u, share * relative);
    const auto [turned, u] = axisTurn(share, r.u);
    if (std::abs(share) > 1.0 + 3.0 * r.u)
        return Error{say("measure", "the edge lies further off the axis than its full width: the full width or the "
                                    "segment is wrong"),
                     {},
                     {},
                     {}};
    if (u > kMostTwistError)
        return Error{say("measure", "from here the turn about this axis cannot be seen: the edge lies as far out as it "
                                    "can, or the axis points at the camera; film from another side"),
                     {},
                     {},
                     {}};
    const double widened = r.u > 0.0 ? u / r.u : 0.0; // degrees for a share of 1
    const auto scaled = [&](double by) {
        for (auto& [name, part] : r.parts)
            part *= by * by;
        for (auto& one : r.alike)
            one *= by;
        r.own *= by;
    };
    if (d.aspect == Aspect::turned) {
        scaled(widened);
        r.value = turned;
        r.u = u;
        return std::nullopt;
    }
    if (!motion.time().captureKnown())
        return Error{say("measure", "the capture rate of this take is not set, so no speed can be read"), {}, {}, {}};
    if (std::abs(share) > kSteep)
        return Error{
            say("measure", "the edge lies as far out as it can: from here its rate cannot be seen"), {}, {}, {}};
    const double dt = motion.time().real(frame + 1).value - motion.time().real(frame - 1).value;
    double rate = 0.0, noise = 0.0, lost = 0.0; // shares a second, and their squares
    for (std::size_t i = 0; i < names.size(); ++i) {
        const auto before = motion.at(names[i], frame - 1), after = motion.at(names[i], frame + 1),
                   here = motion.at(names[i], frame);
        if (!before || !after || !here || !(dt > 0.0))
            return Error{say("measure", "its speed cannot be read: no frame beside it is marked"), {}, {}, {}};
        rate += slopes[i].dot(after->at.vector() - before->at.vector()) / dt;
        const double perSecond = 2.0 / dt, square = slopes[i].squaredNorm() * perSecond * perSecond;
        noise += square * here->speedNoise * here->speedNoise;
        lost += square * std::max(0.0, here->speed * here->speed - here->speedNoise * here->speedNoise);
    }
    const double flat = 1.0 - share * share, degrees = toDegrees(Radians(1.0 / std::sqrt(flat))).value;
    const double value = degrees * rate;
    // The share stands in the rate twice: in how fast it changes and in how far out the edge is.
    const double byShare = value * share / flat;
    scaled(byShare);
    if (!r.alike.empty())
        r.alike.back() = -value * relative / flat;
    r.u = std::sqrt(degrees * degrees * (noise + lost) + std::pow(byShare * r.u, 2) + std::pow(value * relative, 2));
    r.own = std::min(r.u, std::hypot(r.own, degrees * std::sqrt(noise)));
    r.lost = degrees * std::sqrt(lost);
    r.value = value;
    return std::nullopt;
}

// Not the angle yet: what of the full width is seen off the axis.
double shareOffAxis(const MeasureDefinition& d, const Places& p) {
    const Eigen::Vector2d axis = (p(1) - p(0)).normalized();
    const Eigen::Vector2d aside = axis.dot(p.second) * p.direction - axis.dot(p.direction) * p.second;
    return aside.dot(p(2) - (p.n == 4 ? p(3) : p(0))) / (p.unit * d.fullWidth);
}

constexpr std::array kTwistAspects = {Aspect::turned, Aspect::rate};

} // namespace

AxisTurn axisTurn(double share, double u) {
    const auto angle = [](double s) { return toDegrees(Radians(std::asin(std::clamp(s, -1.0, 1.0)))).value; };
    const double turned = angle(share);
    return {turned, std::max(angle(share + u) - turned, turned - angle(share - u))};
}

constinit const KindSpec kTwist = {
    .points = {3, 4},
    .aspects = kTwistAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::turned ? QuantityKind::angle : QuantityKind::angularSpeed;
        },
    .fullWidth = true,
    .byForward = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.reduction == Reduction::justBefore && d.aspect == Aspect::rate
                   ? say("problem", "the rate of a twist cannot be read from the frames before a contact alone")
                   : "";
    },
    .onFrame = shareOffAxis,
    .converted = asTwist,
    .peak = [](const MeasureDefinition& d, double value, double lost,
               bool) { return d.aspect == Aspect::rate ? value + std::copysign(lost, value) : value; },
};

} // namespace riflesso
