#include "core/measure/evaluate.h"

#include "core/measure/chain.h"
#include "core/measure/cyclic.h"
#include "core/measure/derived.h"
#include "core/measure/extreme.h"
#include "core/measure/movement.h"
#include "core/measure/smoothness.h"
#include "core/measure/times.h"

#include <Eigen/LU>

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
    double widthOff = 0.0; // of a turn's full width, as a share

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
            const double full = (point(per[0], base) - point(per[1], base)).norm() * d.fullWidth * (1.0 + widthOff);
            const double share = std::abs((p(1) - p(0)).x()) / full;
            const double turned = toDegrees(Radians(std::acos(std::min(1.0, share)))).value;
            return points.size() == 4 && along(p(2), p(3), direction) < 0.0 ? -turned : turned;
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
            const double full = (point(per[0], base) - point(per[1], base)).norm() * d.fullWidth * (1.0 + widthOff);
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
    Formula f{d, {}, {}, Eigen::Vector2d::Zero(), 0.0};
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

// Angles wrap: the difference of two leans is taken the short way round.
double difference(const MeasureDefinition& d, double a, double b) {
    double diff = a - b;
    const bool turned =
        d.reading == AngleReading::turned && (d.kind == MeasureKind::angle || d.kind == MeasureKind::between);
    const double round = d.kind == MeasureKind::lean || turned ? 360.0 : d.kind == MeasureKind::clock ? 12.0 : 0.0;
    return round > 0.0 ? std::remainder(diff, round) : diff;
}

constexpr double kStep = 1e-3; // px, for the numerical derivative: far above rounding, far below any σ

// d value/dt at a frame. Dense marks: central difference over ±reach frames. Sparse marks (key positions only): the
// steeper of the slopes to the neighbouring positions, which bounds it from what is known.
struct Rate {
    double value = 0.0;
    double either = 0.0; // root mean square of the slopes before and after: at a contact they are not alike
};

// Empty: nothing beside the frame.
std::optional<Rate> rateAt(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup,
                           const Positions& positions) {
    const auto& time = motion.time();
    const auto slope = [&](FrameIndex a, FrameIndex b) -> std::optional<double> {
        const auto va = readAt(d, motion, a, setup);
        const auto vb = readAt(d, motion, b, setup);
        const double dt = time.real(b).value - time.real(a).value;
        if (!va || !vb || dt <= 0.0)
            return std::nullopt;
        return difference(d, vb->value, va->value) / dt;
    };
    for (int reach : {2, 1})
        if (const auto s = slope(frame - reach, frame + reach)) {
            const auto before = slope(frame - 1, frame), after = slope(frame, frame + 1);
            return Rate{*s, before && after ? std::hypot(*s, (*after - *before) / 2.0) : std::abs(*s)};
        }
    std::optional<double> steepest;
    const auto consider = [&](std::optional<double> s) {
        if (s && (!steepest || std::abs(*s) > std::abs(*steepest)))
            steepest = s;
    };
    consider(slope(frame - 1, frame));
    consider(slope(frame, frame + 1));
    if (steepest)
        return Rate{*steepest, std::abs(*steepest)};
    for (const auto& [id, placed] : positions)
        if (placed.frame != frame)
            consider(placed.frame < frame ? slope(placed.frame, frame) : slope(frame, placed.frame));
    return steepest ? std::optional(Rate{*steepest, std::abs(*steepest)}) : std::nullopt;
}

// Places and marks of some landmarks as they were marked, before smoothing, on the frames of a span.
Motion asMarked(const Motion& motion, const std::vector<LandmarkName>& names, FrameIndex first, FrameIndex last,
                bool jitterOnly) {
    std::map<LandmarkName, MotionTrack> out;
    for (const auto& name : names)
        for (FrameIndex f = first; f <= last; f = f + 1)
            if (const auto s = motion.at(name, f); s && s->markSigma > 0.0) {
                MotionSample raw = *s;
                raw.at = s->mark;
                raw.sigma = jitterOnly ? s->jitter : s->markSigma;
                raw.own = s->jitter;
                out[name].samples[f] = raw;
            } else if (s && kindOf(name) == PointKind::scene) {
                out[name].samples[f] = *s;
            }
    return {std::move(out), motion.time()};
}

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

constexpr double kFlattened = 0.8; // of what smoothing is seen to take off a peak's speed, by draws

// One value out of all frames of a phase.
MeasureValue evaluateOver(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                          const PlacedPosition& until, const ViewSetup& setup) {
    const auto& time = motion.time();
    const int all = until.frame - from.frame + 1;
    if (all < 2)
        return refuse(d, "\"" + d.until + "\" does not lie after \"" + d.at + "\"");
    if (isTime(d) && !time.captureKnown())
        return refuse(d, "the capture rate of this take is not set, so no time can be read");
    std::vector<Sample> samples;
    std::vector<double> own, lost;
    std::string why;
    MeasureValue v;
    v.measure = d.id;
    for (int f = from.frame.value; f <= until.frame.value; ++f) {
        const auto r = readAt(d, motion, FrameIndex(f), setup);
        if (!r) {
            why = why.empty() ? r.error().text() : why;
            continue;
        }
        // Values that go round are counted on from the frame before.
        const double value =
            samples.empty() ? r->value : samples.back().value + difference(d, r->value, samples.back().value);
        samples.push_back({FrameIndex(f), time.real(FrameIndex(f)).value, value, r->u});
        own.push_back(r->own);
        lost.push_back(r->lost);
        v.draft = v.draft || r->draft;
        if (r->filled)
            v.reason = "read from a filled gap, in part";
    }
    if (const auto few = tooFewRead(samples.size(), all, why))
        return refuse(d, few->text());
    const auto extreme = [&](bool largest) {
        return extremeOf(samples, largest, time, instantError(from, time), instantError(until, time));
    };
    switch (d.reduction) {
    case Reduction::at:
    case Reduction::justBefore: // have no phase
        break;
    case Reduction::min:
    case Reduction::max: {
        const Extreme e = extreme(d.reduction == Reduction::max);
        v.value = e.value;
        if (d.reduction == Reduction::max && d.kind == MeasureKind::speed)
            v.value += kFlattened * lost[e.at]; // smoothing makes a peak lower, never higher
        v.uMarks = e.u;
        v.uTime = e.uTime;
        v.frames = {samples[e.at].frame};
        break;
    }
    case Reduction::range: {
        const Extreme high = extreme(true), low = extreme(false);
        v.value = std::max(0.0, high.value - low.value); // what noise alone spreads is taken off at each end
        v.uMarks = std::hypot(high.u, low.u);
        v.uTime = std::hypot(high.uTime, low.uTime);
        v.frames = {samples[std::min(high.at, low.at)].frame, samples[std::max(high.at, low.at)].frame};
        break;
    }
    case Reduction::mean: {
        // Over time, by trapezes: frames need not lie evenly.
        const double span = samples.back().time - samples.front().time;
        double area = 0.0, alike = 0.0, apart = 0.0;
        for (std::size_t i = 1; i < samples.size(); ++i) {
            const double width = (samples[i].time - samples[i - 1].time) / span;
            area += width * (samples[i].value + samples[i - 1].value) / 2.0;
            const double u = (samples[i].u + samples[i - 1].u) / 2.0, each = (own[i] + own[i - 1]) / 2.0;
            alike += width * std::sqrt(std::max(0.0, u * u - each * each));
            apart += width * each;
        }
        v.value = area;
        // What neighbours share stays. What each mark has to itself smoothing only shares out, and what it takes off
        // the movement it gives back beside: of these the mean has as many as there are marks, and the ends.
        const auto names = landmarksOf(d, setup.handedness);
        const Motion jitter = asMarked(motion, names, samples.front().frame, samples.back().frame, true);
        double square = 0.0;
        int marked = 0;
        for (const auto& s : samples)
            if (const auto r = readAt(d, jitter, s.frame, setup)) {
                square += r->u * r->u;
                ++marked;
            }
        const double ends = std::hypot(own.front(), own.back()) / (36.0 * span);
        v.uMarks = marked > 0 ? std::hypot(alike, std::sqrt(square) / marked, ends)
                              : std::hypot(alike, apart / std::sqrt(std::max(1.0, 18.0 * span)));
        v.uTime = std::hypot((samples.front().value - area) / span * instantError(from, time),
                             (samples.back().value - area) / span * instantError(until, time));
        v.frames = {samples.front().frame, samples.back().frame};
        break;
    }
    case Reduction::shareOfMax: {
        const Extreme e = extreme(true);
        const Sample& end = samples.back();
        if (!(e.value > 0.0))
            return refuse(d, "it never rises above 0");
        v.value = end.value / e.value;
        v.uMarks = std::hypot(end.u, v.value * e.u) / e.value;
        const Sample& last = samples[samples.size() - 2];
        v.uTime = std::abs((end.value - last.value) / (end.time - last.time)) / e.value * instantError(until, time);
        v.frames = {samples[e.at].frame, end.frame};
        break;
    }
    case Reduction::timeOfMin:
    case Reduction::timeOfMax: {
        const Extreme e = extreme(d.reduction == Reduction::timeOfMax);
        v.value = e.time - time.real(from.frame).value - from.shift;
        v.uTime = std::hypot(e.uInstant, instantError(from, time));
        v.frames = {from.frame, samples[e.at].frame};
        break;
    }
    }
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

// A polynomial through samples by least squares, at time 0: value, slope and second derivative, and the share of one
// sample's variance that value and slope have. `misfit`: mean square of the residuals.
struct EndFit {
    double value = 0.0, slope = 0.0, bend = 0.0;
    double varValue = 0.0, varSlope = 0.0;
    double misfit = 0.0;
};
EndFit endFit(const std::vector<double>& times, const std::vector<double>& values, int degree) {
    const auto n = static_cast<Eigen::Index>(times.size());
    Eigen::MatrixXd m(n, degree + 1);
    Eigen::VectorXd y(n);
    for (Eigen::Index i = 0; i < n; ++i) {
        y[i] = values[static_cast<std::size_t>(i)];
        for (int k = 0; k <= degree; ++k)
            m(i, k) = std::pow(times[static_cast<std::size_t>(i)], k);
    }
    const Eigen::MatrixXd inverse = (m.transpose() * m).inverse();
    const Eigen::VectorXd p = inverse * (m.transpose() * y);
    EndFit out{p[0], p[1], 2.0 * p[2], inverse(0, 0), inverse(1, 1), 0.0};
    out.misfit = (y - m * p).squaredNorm() / std::max(1.0, static_cast<double>(n - degree - 1));
    return out;
}

// The value that a movement had reached when a contact cut it off. Smoothing smears what the contact does over the
// frames beside it, so the marks themselves are taken, from before it only: a polynomial to the instant (Knudson and
// Bahamonde 2001 compare such ends of strokes; from memory). Cubic for a place, whose slope is the speed; else a
// parabola.
MeasureValue evaluateJustBefore(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& at,
                                const ViewSetup& setup) {
    const bool speed = d.kind == MeasureKind::speed;
    const auto& time = motion.time();
    if (speed && !time.captureKnown())
        return refuse(d, "the capture rate of this take is not set, so no speed can be read");
    const int degree = speed ? 3 : 2;
    const double period = time.realPeriod(at.frame), window = std::max(0.12, (2.0 * degree + 1.0) * period);
    const double contact = time.real(at.frame).value + at.shift;
    FrameIndex first = at.frame, last = at.frame;
    while (first.value > 0 && time.real(first - 1).value >= contact - window - 1e-9)
        first = first - 1;
    while (last >= first && time.real(last).value > contact + 1e-9) // an instant between two frames
        last = last - 1;
    const auto names = landmarksOf(d, setup.handedness);
    const Motion jitter = asMarked(motion, names, first, last, true),
                 marks = asMarked(motion, names, first, last, false);
    const auto unit = unitLengthOver(d, jitter, first, last, setup);
    MeasureValue v;
    v.measure = d.id;
    v.frames = {first, last};
    std::vector<double> times, values, across;
    double own = 0.0, shared = 0.0, scale = 0.0; // mean variances; relative error of the unit
    std::string why;
    for (FrameIndex f = first; f <= last; f = f + 1) {
        if (speed) {
            const auto p = unit ? movingPoint(d, jitter, f, setup, &*unit)
                                : Result<MovingPoint>(Error{"its unit of length is not marked", {}, {}, {}});
            if (!p) {
                why = why.empty() ? p.error().text() : why;
                continue;
            }
            times.push_back(p->time - contact);
            values.push_back(p->at.x());
            across.push_back(p->at.y());
            own += p->own * p->own;
            scale = p->scale;
            v.draft = v.draft || p->draft;
            continue;
        }
        const auto r = readAt(d, jitter, f, setup), all = readAt(d, marks, f, setup);
        if (!r || !all) {
            why = why.empty() ? (r ? all : r).error().text() : why;
            continue;
        }
        times.push_back(time.real(f).value - contact);
        values.push_back(values.empty() ? r->value : values.back() + difference(d, r->value, values.back()));
        own += r->u * r->u;
        shared += std::max(0.0, all->u * all->u - r->u * r->u);
        v.draft = v.draft || r->draft;
    }
    const auto n = static_cast<double>(times.size());
    if (n < 2 * degree)
        return refuse(d, "fewer than " + std::to_string(2 * degree) + " frames just before \"" + d.at +
                             "\" can be read" + (why.empty() ? "" : " (" + why + ")"));
    own /= n;
    shared /= n;
    const EndFit fit = endFit(times, values, degree);
    // Where the polynomial fits worse than the marks' errors allow, what is left over counts as error (Birge's ratio).
    const auto widened = [&](double misfit) { return std::max(1.0, own > 0.0 ? misfit / own : 1.0); };
    if (speed) {
        const EndFit other = endFit(times, across, degree);
        const Eigen::Vector2d velocity(fit.slope, other.slope), bend(fit.bend, other.bend);
        std::optional<Eigen::Vector2d> along;
        if (d.direction && !(along = inPicture(*d.direction, setup)))
            return refuse(d, "this view cannot show the direction \"" + enumName(kDirectionNames, *d.direction) + "\"");
        v.value = along ? velocity.dot(*along) : velocity.norm();
        const Eigen::Vector2d way = along ? *along : Eigen::Vector2d(velocity.normalized());
        v.rate = bend.dot(way);
        const double misfit = widened((fit.misfit + other.misfit) / 2.0);
        v.uMarks = std::hypot(std::sqrt(own * fit.varSlope * misfit), scale * v.value);
    } else {
        v.value = fit.value;
        v.rate = fit.slope;
        v.uMarks = std::sqrt(own * fit.varValue * widened(fit.misfit) + shared);
    }
    v.uTime = std::abs(v.rate) * instantError(at, time);
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

} // namespace

double instantError(const PlacedPosition& p, const Timebase& time) {
    return p.sigma.value_or(time.instantError(p.frame));
}

MeasureValue refuse(const MeasureDefinition& d, std::string reason) {
    MeasureValue v;
    v.measure = d.id;
    v.refused = true;
    v.reason = std::move(reason);
    return v;
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
    if (!asked && (d.kind == MeasureKind::clock || d.reading == AngleReading::turned))
        asked = d.view == View::side ? Direction::forward : Direction::across;
    if (asked) {
        const auto direction = inPicture(*asked, setup);
        if (!direction)
            return Error{
                "this view cannot show the direction \"" + enumName(kDirectionNames, *asked) + "\"", {}, {}, {}};
        f.direction = *direction;
    }
    if (d.metres && !(setup.calibration && setup.calibration->metric()))
        return Error{"metres need a known length on a frame of this take", {}, {}, "draw one in Footage"};
    Points base;
    std::vector<double> sigma, own, biases;
    Reading r;
    for (const auto& landmark : names) {
        const auto sample = motion.at(landmark, frame);
        if (!sample)
            return Error{spoken(landmark) + " is not marked", "frame " + std::to_string(frame.value), {}, {}};
        base.push_back(sample->at.vector());
        sigma.push_back(sample->sigma);
        own.push_back(std::min(sample->own, sample->sigma));
        biases.push_back(sample->bias);
        r.filled = r.filled || !sample->seen;
        r.draft = r.draft || sample->draft;
    }
    r.value = f(base, setup);
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
    if (d.kind == MeasureKind::facing) {
        const auto middle = [&](std::size_t i) { return Formula::point(f.points[i], base); };
        const double apart = std::abs((middle(3) - middle(2)).x());
        const double segment = (Formula::point(f.per[0], base) - Formula::point(f.per[1], base)).norm();
        if (apart < 0.5 * segment * d.fullWidth)
            return Error{"as seen from here one stands behind the other: film from the side of both", {}, {}, {}};
    }
    if (d.kind == MeasureKind::turn || d.kind == MeasureKind::facing) {
        // Near face-on the width hardly changes with the turn: first order would promise far too much there or nothing
        // at all. Its error in degrees is taken from the widths one standard error to either side.
        Formula wide = f, narrow = f;
        const double relative = d.fullWidthSigma / d.fullWidth;
        wide.widthOff = relative;
        narrow.widthOff = -relative;
        const double full = (Formula::point(f.per[0], base) - Formula::point(f.per[1], base)).norm() * d.fullWidth;
        const double width = std::abs((Formula::point(f.points[1], base) - Formula::point(f.points[0], base)).x());
        double ofEnds = 0.0; // px², of the width and, scaled by the width's share, of the segment that stands for it
        for (std::size_t i = 0; i < base.size(); ++i) {
            const auto in = [&](const std::vector<std::size_t>& of) {
                return std::find(of.begin(), of.end(), i) != of.end() ? 1.0 / static_cast<double>(of.size()) : 0.0;
            };
            const double end = in(f.points[1]) - in(f.points[0]);
            const double scale = d.fullWidth * (in(f.per[1]) - in(f.per[0])) * std::min(1.0, width / full);
            ofEnds += (end * end + scale * scale) * sigma[i] * sigma[i];
        }
        const double share = width / full, u = std::hypot(std::sqrt(ofEnds) / full, share * relative);
        const auto angle = [&](double s) {
            const double cut = std::clamp(s, 0.0, 1.0);
            return toDegrees(Radians(d.kind == MeasureKind::turn ? std::acos(cut) : std::asin(cut))).value;
        };
        if (share > 1.0 + 3.0 * u)
            return Error{"the line is wider than its full width: the full width or the segment is wrong", {}, {}, {}};
        const double less = angle(share - u), more = angle(share + u);
        variance = std::pow(std::max(std::abs(less - angle(share)), std::abs(angle(share) - more)), 2);
        for (auto& [name, part] : r.parts)
            part = variance / static_cast<double>(r.parts.size());
    }
    // The calibration's own errors, each one displaced by itself.
    for (std::size_t k = 0; setup.calibration && k < setup.calibration->variations(); ++k) {
        const double off = difference(d, f(base, setup, k), r.value);
        variance += off * off;
    }
    r.u = std::sqrt(variance);
    r.own = std::min(r.u, std::sqrt(ownVariance));
    if (!std::isfinite(r.value) || !std::isfinite(r.u))
        return Error{"two marks of this measure lie on one another", "frame " + std::to_string(frame.value), {}, {}};
    return r;
}

MeasureValue evaluate(const MeasureDefinition& d, const Motion& motion, const Positions& positions,
                      const ViewSetup& setup, const RepFacts& facts) {
    if (const auto problem = problemOf(d); !problem.empty())
        return refuse(d, problem);
    if (isNoted(d.kind))
        return evaluateNoted(d, positions, facts);
    if (isAcrossReps(d.kind))
        return refuse(d, "it is read over several reps");
    if (d.view != setup.view)
        return refuse(d, "needs a " + enumName(kViewNames, d.view) + " view");
    if (d.kind == MeasureKind::symmetry)
        return evaluateSymmetry(d, motion, positions, setup);
    const auto at = positions.find(d.at);
    if (at == positions.end())
        return refuse(d, "key position \"" + d.at + "\" is not placed");
    if (needsUntil(d)) {
        const auto until = positions.find(d.until);
        if (until == positions.end())
            return refuse(d, "key position \"" + d.until + "\" is not placed");
        switch (d.kind) {
        case MeasureKind::interval:
            return evaluateInterval(d, positions, motion.time());
        case MeasureKind::path:
        case MeasureKind::stillness:
        case MeasureKind::dwell:
            return evaluateMovement(d, motion, at->second, until->second, setup);
        case MeasureKind::cadence:
            return evaluateCadence(d, motion, at->second, until->second, setup);
        case MeasureKind::overlap:
            return evaluateOverlap(d, motion, positions, setup);
        case MeasureKind::contacts:
            return evaluateContacts(d, motion, at->second, until->second, setup);
        case MeasureKind::chain:
            return evaluateChain(d, motion, at->second, until->second, setup);
        case MeasureKind::smoothness:
            return evaluateSmoothness(d, motion, at->second, until->second, setup);
        case MeasureKind::recovery:
            return evaluateRecovery(d, motion, at->second, until->second, setup);
        default:
            return evaluateOver(d, motion, at->second, until->second, setup);
        }
    }
    if (d.reduction == Reduction::justBefore)
        return evaluateJustBefore(d, motion, at->second, setup);
    const FrameIndex frame = at->second.frame;
    const auto reading = readAt(d, motion, frame, setup);
    if (!reading)
        return refuse(d, reading.error().text());
    MeasureValue v;
    v.measure = d.id;
    v.value = reading->value;
    v.uMarks = reading->u;
    v.frames = {frame};
    v.draft = reading->draft;
    if (const auto rate = rateAt(d, motion, frame, setup, positions)) {
        v.rate = rate->value;
        v.uTime = rate->either * instantError(at->second, motion.time());
    } else {
        v.reason = "only this frame is marked: the error of the instant is not counted";
    }
    if (reading->filled)
        v.reason = "read from a filled gap";
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

std::vector<SeriesSample> series(const MeasureDefinition& d, const Motion& motion, const ViewSetup& setup) {
    std::vector<SeriesSample> out;
    if (isOfSpan(d.kind) || isDerived(d.kind) || isNoted(d.kind) || !problemOf(d).empty())
        return out;
    const auto names = landmarksOf(d, setup.handedness);
    const auto track = motion.tracks().find(names.front());
    if (track == motion.tracks().end())
        return out;
    for (const auto& [frame, sample] : track->second.samples)
        if (const auto r = readAt(d, motion, frame, setup))
            out.push_back({frame, motion.time().real(frame).value, r->value, r->u, 0.0});
    for (std::size_t i = 0; i < out.size(); ++i) {
        const auto& a = out[i == 0 ? 0 : i - 1];
        const auto& b = out[std::min(i + 1, out.size() - 1)];
        if (b.time > a.time)
            out[i].rate = difference(d, b.value, a.value) / (b.time - a.time);
    }
    return out;
}

} // namespace riflesso
