#include "core/measure/reading.h"
#include "core/words/say.h"

#include "core/measure/movement.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {
namespace {

using Points = std::vector<Eigen::Vector2d>;

// The measure as a function of the places of its base landmarks; `spec` picks the points out of them.
struct Formula {
    const MeasureDefinition& d;
    std::vector<std::vector<std::size_t>> points; // indices of base landmarks, one or two a point
    std::vector<std::vector<std::size_t>> per;
    Eigen::Vector2d direction = Eigen::Vector2d::Zero();
    Eigen::Vector2d second = Eigen::Vector2d::Zero(); // square to it: up, from above and below across

    static Eigen::Vector2d point(const std::vector<std::size_t>& of, const Points& base) {
        return of.size() == 1 ? base[of[0]] : (base[of[0]] + base[of[1]]) / 2.0;
    }

    double operator()(const Points& picture, const ViewSetup& setup, std::optional<std::size_t> variation = {}) const {
        Points upright;
        if (setup.calibration)
            for (const auto& at : picture)
                upright.push_back(variation ? setup.calibration->uprightIf(*variation, at)
                                            : setup.calibration->upright(at));
        const Points& base = setup.calibration ? upright : picture;
        const auto p = [&](std::size_t i) { return point(points[i], base); };
        switch (d.kind) {
        case MeasureKind::angle: {
            if (d.reading == AngleReading::turned)
                return turnedFrom(p(0) - p(1), p(2) - p(1), direction).value;
            const double included = includedAngle(p(0), p(1), p(2)).value;
            return d.reading == AngleReading::included ? included : 180.0 - included;
        }
        case MeasureKind::lean:
            return leanFromVertical(p(0), p(1), direction).value;
        case MeasureKind::ratio:
            return (p(0) - p(1)).norm() / (p(2) - p(3)).norm();
        case MeasureKind::offset:
        case MeasureKind::order: {
            const double pixels = along(p(0), p(1), direction);
            return per.empty() ? pixels : pixels / (point(per[0], base) - point(per[1], base)).norm();
        }
        case MeasureKind::between: {
            const Eigen::Vector2d a = p(1) - p(0), b = p(3) - p(2);
            if (d.reading == AngleReading::turned)
                return turnedFrom(a, b, direction).value;
            const double included = includedAngle(a, Eigen::Vector2d::Zero(), b).value;
            return d.reading == AngleReading::included ? included : 180.0 - included;
        }
        case MeasureKind::clock: {
            const Eigen::Vector2d way = p(1) - p(0);
            if (way.squaredNorm() == 0.0)
                return std::nan("");
            return std::atan2(way.dot(direction), -way.y()) * 6.0 / std::numbers::pi;
        }
        case MeasureKind::stack: {
            double largest = 0.0, squares = 0.0;
            const std::size_t first = 1, end = d.ownLine ? points.size() - 1 : points.size();
            const Eigen::Vector2d foot = p(0), line = d.ownLine ? p(points.size() - 1) - foot : Eigen::Vector2d(0, 1);
            for (std::size_t i = first; i < end; ++i) {
                const Eigen::Vector2d off = p(i) - foot;
                const double away = std::abs(off.x() * line.y() - off.y() * line.x()) / line.norm();
                largest = std::max(largest, away);
                squares += away * away / static_cast<double>(end - first);
            }
            const double pixels = d.rms ? std::sqrt(squares) : largest;
            return per.empty() ? pixels : pixels / (point(per[0], base) - point(per[1], base)).norm();
        }
        case MeasureKind::turn: {
            const double full = (point(per[0], base) - point(per[1], base)).norm() * d.fullWidth;
            const double share = std::abs((p(1) - p(0)).x()) / full;
            const double turned = toDegrees(Radians(std::acos(std::min(1.0, share)))).value;
            return points.size() == 4 && along(p(2), p(3), direction) < 0.0 ? -turned : turned;
        }
        case MeasureKind::twist: { // not the angle yet: what of the full width is seen off the axis
            const double full = (point(per[0], base) - point(per[1], base)).norm() * d.fullWidth;
            const Eigen::Vector2d axis = (p(1) - p(0)).normalized();
            const Eigen::Vector2d aside = axis.dot(second) * direction - axis.dot(direction) * second;
            return aside.dot(p(2) - (points.size() == 4 ? p(3) : p(0))) / full;
        }
        case MeasureKind::amid: {
            const Eigen::Vector2d way = p(2) - p(1), to = p(0) - p(1);
            if (d.aspect == Aspect::share)
                return to.dot(way) / way.squaredNorm();
            const Eigen::Vector2d aside = Eigen::Vector2d(-way.y(), way.x()).normalized();
            const double pixels = to.dot(aside) * (aside.dot(direction) < 0.0 ? -1.0 : 1.0);
            return per.empty() ? pixels : pixels / (point(per[0], base) - point(per[1], base)).norm();
        }
        case MeasureKind::roll: {
            const Eigen::Vector2d way = p(1) - p(0);
            return way.squaredNorm() == 0.0 ? std::nan("")
                                            : toDegrees(Radians(std::atan2(-way.y(), std::abs(way.x())))).value;
        }
        case MeasureKind::gap: {
            const double pixels = direction.squaredNorm() > 0.0 ? along(p(1), p(0), direction) : (p(1) - p(0)).norm();
            return per.empty() ? pixels : pixels / (point(per[0], base) - point(per[1], base)).norm();
        }
        case MeasureKind::facing: {
            const double full = (point(per[0], base) - point(per[1], base)).norm() * d.fullWidth;
            const double share = std::abs((p(1) - p(0)).x()) / full;
            const double turned = toDegrees(Radians(std::asin(std::min(1.0, share)))).value;
            // The second cue (toes and heel, nose and ear) says whether it is the front that is turned there.
            const bool away = points.size() == 6 && (p(4) - p(5)).x() * (p(3) - p(2)).x() < 0.0;
            return away ? 180.0 - turned : turned;
        }
        default:
            return std::nan(""); // not read from one frame
        }
    }
};

std::size_t indexOf(std::vector<LandmarkName>& names, const LandmarkName& name) {
    const auto it = std::find(names.begin(), names.end(), name);
    if (it != names.end())
        return static_cast<std::size_t>(it - names.begin());
    names.push_back(name);
    return names.size() - 1;
}

Formula formulaOf(const MeasureDefinition& d, Side handedness, std::vector<LandmarkName>& names) {
    Formula f{d, {}, {}};
    const auto resolve = [&](const std::vector<PointSpec>& specs, auto& out) {
        for (const auto& spec : specs) {
            out.emplace_back();
            for (const auto& role : spec.landmarks)
                out.back().push_back(indexOf(names, resolveRole(role, handedness)));
        }
    };
    resolve(d.points, f.points);
    resolve(d.per, f.per);
    return f;
}

constexpr double kStep = 1e-3; // px, for the numerical derivative: far above rounding, far below any σ

// The square of what smoothing took off a figure with these slopes by landmark, from the frame and those beside it, as
// for a single landmark (smoothRun).
double lostAlong(const Points& slopes, const std::vector<LandmarkName>& names, const Motion& motion, FrameIndex frame) {
    double squares = 0.0, noise = 0.0;
    int frames = 0;
    for (int k = -1; k <= 1; ++k) {
        double lost = 0.0;
        bool all = true;
        for (std::size_t i = 0; i < names.size() && all; ++i) {
            const auto s = motion.at(names[i], frame + k);
            all = s.has_value();
            if (s)
                lost += slopes[i].x() * s->lost.x + slopes[i].y() * s->lost.y;
            if (s && k == 0)
                noise += slopes[i].squaredNorm() * s->lostNoise;
        }
        squares += all ? lost * lost : 0.0;
        frames += all;
    }
    return frames > 0 ? 2.0 * std::max(0.0, squares / frames - noise) + 0.5 * noise : 0.0;
}

// Near face-on the width hardly changes with the turn: first order would promise far too much there or nothing at all.
// The error in degrees of a turn or a facing (\p r, \p raw without anything taken off) is taken from the widths one
// standard error to either side, and replaces \p variance.
std::optional<Error> asTurn(const MeasureDefinition& d, const Formula& f, const Points& base,
                            const std::vector<double>& sigma, const ViewSetup& setup, double raw, Reading& r,
                            double& variance) {
    const Calibration* plane = setup.calibration.get();
    Points there; // as the formula sees them: upright, px or m
    std::vector<double> error;
    for (std::size_t i = 0; i < base.size(); ++i) {
        there.push_back(plane ? plane->upright(base[i]) : base[i]);
        const Eigen::Vector2d half(0.5, 0.0);
        error.push_back(sigma[i] *
                        (plane ? (plane->upright(base[i] + half) - plane->upright(base[i] - half)).norm() : 1.0));
    }
    const double relative = d.fullWidthSigma / d.fullWidth;
    const double full = (Formula::point(f.per[0], there) - Formula::point(f.per[1], there)).norm() * d.fullWidth;
    const double width = std::abs((Formula::point(f.points[1], there) - Formula::point(f.points[0], there)).x());
    if (d.kind == MeasureKind::facing) {
        const double apart = std::abs((Formula::point(f.points[3], there) - Formula::point(f.points[2], there)).x());
        if (apart < 0.5 * full)
            return Error{say("measure", "as seen from here one stands behind the other: film from the side of both"),
                         {},
                         {},
                         {}};
    }
    double ofEnds = 0.0; // squares, of the width and, scaled by the width's share, of the segment that stands for it
    for (std::size_t i = 0; i < base.size(); ++i) {
        const auto in = [&](const std::vector<std::size_t>& of) {
            return std::find(of.begin(), of.end(), i) != of.end() ? 1.0 / static_cast<double>(of.size()) : 0.0;
        };
        const double end = in(f.points[1]) - in(f.points[0]);
        const double scale = d.fullWidth * (in(f.per[1]) - in(f.per[0])) * std::min(1.0, width / full);
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
        r.alike.push_back(
            std::copysign(std::sqrt(variance) * share * relative / u, d.kind == MeasureKind::turn ? raw : 90.0 - raw));
    return std::nullopt;
}

// From the share of the full width that is seen off the axis (\p r, with what its errors make of it) to the turn about
// the axis, or its rate, by the share's slopes along each landmark's own movement. Where the edge lies as far out as it
// can, the share hardly changes with the turn: that is refused and not guessed.
std::optional<Error> asTwist(const MeasureDefinition& d, Reading& r, const std::vector<LandmarkName>& names,
                             const Points& slopes, const Motion& motion, FrameIndex frame) {
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

} // namespace

AxisTurn axisTurn(double share, double u) {
    const auto angle = [](double s) { return toDegrees(Radians(std::asin(std::clamp(s, -1.0, 1.0)))).value; };
    const double turned = angle(share);
    return {turned, std::max(angle(share + u) - turned, turned - angle(share - u))};
}

// Angles wrap: the difference of two leans is taken the short way round.
double difference(const MeasureDefinition& d, double a, double b) {
    double diff = a - b;
    const bool turned =
        d.reading == AngleReading::turned && (d.kind == MeasureKind::angle || d.kind == MeasureKind::between);
    const double round = d.kind == MeasureKind::lean || turned ? 360.0 : d.kind == MeasureKind::clock ? 12.0 : 0.0;
    return round > 0.0 ? std::remainder(diff, round) : diff;
}

std::vector<LandmarkName> landmarksOf(const MeasureDefinition& d, Side handedness) {
    std::vector<LandmarkName> names;
    for (const auto& spec : pointsOf(d))
        for (const auto& role : spec.landmarks)
            indexOf(names, resolveRole(role, handedness));
    return names;
}

Result<Reading> readAt(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup) {
    if (d.kind == MeasureKind::speed)
        return readSpeed(d, motion, frame, setup);
    std::vector<LandmarkName> names;
    Formula f = formulaOf(d, setup.handedness, names);
    // A dial and a sign go by the athlete's forward, in a front view by the lead side, when nothing else is said.
    std::optional<Direction> asked = d.direction;
    if (!asked && (d.kind == MeasureKind::clock || d.kind == MeasureKind::twist || d.reading == AngleReading::turned))
        asked = inPicture(Direction::forward, setup) ? Direction::forward : Direction::across;
    if (asked) {
        const auto direction = inPicture(*asked, setup);
        if (!direction)
            return Error{refusedByDirection(*asked), {}, {}, {}};
        f.direction = *direction;
        const auto up = inPicture(Direction::up, setup);
        f.second = up ? *up : inPicture(Direction::across, setup).value_or(Eigen::Vector2d::Zero());
    }
    if (d.metres && !(setup.calibration && setup.calibration->metric()))
        return Error{say("measure", "metres need a known length on a frame of this take"),
                     {},
                     {},
                     say("measure", "draw one in Footage")};
    Points base;
    std::vector<double> sigma, own, biases;
    Reading r;
    for (const auto& landmark : names) {
        const auto sample = motion.at(landmark, frame);
        if (!sample)
            return Error{fill(say("measure", "%1 is not marked"), {spoken(landmark)}),
                         fill(say("measure", "frame %1"), {std::to_string(frame.value)}),
                         {},
                         {}};
        base.push_back(sample->at.vector());
        sigma.push_back(sample->sigma);
        own.push_back(std::min(sample->own, sample->sigma));
        biases.push_back(sample->bias);
        r.filled = r.filled || !sample->seen;
        r.draft = r.draft || sample->draft;
    }
    const double raw = r.value = f(base, setup);
    double variance = 0.0, ownVariance = 0.0, bias = 0.0;
    Points slopes(base.size());
    for (std::size_t i = 0; i < base.size(); ++i)
        for (int axis : {0, 1}) {
            Points high = base, low = base;
            high[i][axis] += kStep;
            low[i][axis] -= kStep;
            const double slope = difference(d, f(high, setup), f(low, setup)) / (2.0 * kStep);
            slopes[i][axis] = slope;
            variance += slope * slope * sigma[i] * sigma[i];
            ownVariance += slope * slope * own[i] * own[i];
            bias += slope * slope * biases[i];
            r.parts[names[i]] += slope * slope * sigma[i] * sigma[i];
        }
    if (bias > 0.0) {
        // What smoothing took off has a direction, and landmarks that move together lose it together.
        const double along = std::min(bias, lostAlong(slopes, names, motion, frame));
        variance = std::max(0.0, variance - bias) + along;
        ownVariance = std::max(0.0, ownVariance - bias) + along;
    }
    if (d.kind == MeasureKind::stack) {
        // Distances have no sign, so that noise only adds to small ones, and to the largest of several more so. The
        // mean of the largest of k squared normal deviates is about 1 + 1.1 ln k (for k up to 6; 1.64 for two, from
        // memory). What lies four times as far away is larger by itself.
        const auto k = static_cast<double>(f.points.size() - (d.ownLine ? 2 : 1));
        const double noise = std::sqrt(variance * (d.rms ? k : 1.0 + 1.1 * std::log(k)));
        const double share = noise > 0.0 ? std::clamp(2.0 - r.value / (2.0 * noise), 0.0, 1.0) : 0.0;
        r.value = std::sqrt(std::max(0.0, r.value * r.value - share * noise * noise));
    }
    if (d.kind == MeasureKind::turn || d.kind == MeasureKind::facing)
        if (auto cannot = asTurn(d, f, base, sigma, setup, raw, r, variance))
            return std::move(*cannot);
    // The calibration's own errors, each one displaced by itself.
    for (std::size_t k = 0; setup.calibration && k < setup.calibration->variations(); ++k) {
        const double off = difference(d, f(base, setup, k), raw);
        variance += off * off;
        r.alike.push_back(off);
    }
    r.u = std::sqrt(variance);
    r.own = std::min(r.u, std::sqrt(ownVariance));
    if (d.kind == MeasureKind::twist)
        if (auto cannot = asTwist(d, r, names, slopes, motion, frame))
            return std::move(*cannot);
    if (!std::isfinite(r.value) || !std::isfinite(r.u))
        return Error{say("measure", "two marks of this measure lie on one another"),
                     fill(say("measure", "frame %1"), {std::to_string(frame.value)}),
                     {},
                     {}};
    return r;
}

} // namespace riflesso
