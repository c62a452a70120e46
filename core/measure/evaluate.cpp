#include "core/measure/evaluate.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

using Points = std::vector<Eigen::Vector2d>;

// The measure as a function of the places of its base landmarks; `spec` picks the points out of them.
struct Formula {
    const MeasureDefinition& d;
    std::vector<std::vector<std::size_t>> points; // indices of base landmarks, one or two a point
    std::vector<std::vector<std::size_t>> per;
    Eigen::Vector2d direction = Eigen::Vector2d::Zero();

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
        case MeasureKind::interval:
            break;
        }
        return std::nan("");
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

// Angles wrap: the difference of two leans is taken the short way round.
double difference(const MeasureDefinition& d, double a, double b) {
    double diff = a - b;
    if (d.kind == MeasureKind::lean) {
        while (diff > 180.0)
            diff -= 360.0;
        while (diff < -180.0)
            diff += 360.0;
    }
    return diff;
}

constexpr double kStep = 1e-3; // px, for the numerical derivative: far above rounding, far below any σ

// d value/dt at a frame. Dense marks: central difference over ±reach frames. Sparse marks (key positions only): the
// steeper of the slopes to the neighbouring positions, which bounds it from what is known. Empty: nothing beside it.
std::optional<double> rateAt(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup,
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
        if (const auto s = slope(frame - reach, frame + reach))
            return s;
    std::optional<double> steepest;
    const auto consider = [&](std::optional<double> s) {
        if (s && (!steepest || std::abs(*s) > std::abs(*steepest)))
            steepest = s;
    };
    consider(slope(frame - 1, frame));
    consider(slope(frame, frame + 1));
    if (steepest)
        return steepest;
    for (const auto& [id, placed] : positions)
        if (placed.frame != frame)
            consider(placed.frame < frame ? slope(placed.frame, frame) : slope(frame, placed.frame));
    return steepest;
}

MeasureValue refuse(const MeasureDefinition& d, std::string reason) {
    MeasureValue v;
    v.measure = d.id;
    v.refused = true;
    v.reason = std::move(reason);
    return v;
}

double instantError(const PlacedPosition& p, const Timebase& time) {
    return p.sigma.value_or(time.instantError(p.frame));
}

MeasureValue evaluateInterval(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                              const PlacedPosition& until) {
    const auto& time = motion.time();
    if (!time.captureKnown())
        return refuse(d, "the capture rate of this take is not set, so no time can be read");
    MeasureValue v;
    v.measure = d.id;
    v.value = time.real(until.frame).value + until.shift - time.real(from.frame).value - from.shift;
    v.uTime = std::hypot(instantError(from, time), instantError(until, time));
    v.u = v.uTime;
    v.frames = {from.frame, until.frame};
    return v;
}

} // namespace

std::vector<LandmarkName> landmarksOf(const MeasureDefinition& d, Side handedness) {
    std::vector<LandmarkName> names;
    formulaOf(d, handedness, names);
    return names;
}

Result<Reading> readAt(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup) {
    std::vector<LandmarkName> names;
    Formula f = formulaOf(d, setup.handedness, names);
    if (d.direction) {
        const auto direction = inPicture(*d.direction, setup);
        if (!direction)
            return Error{
                "this view cannot show the direction \"" + enumName(kDirectionNames, *d.direction) + "\"", {}, {}, {}};
        f.direction = *direction;
    }
    if (d.metres && !(setup.calibration && setup.calibration->metric()))
        return Error{"metres need a known length on a frame of this take", {}, {}, "draw one in Footage"};
    Points base;
    std::vector<double> sigma;
    Reading r;
    for (const auto& landmark : names) {
        const auto sample = motion.at(landmark, frame);
        if (!sample)
            return Error{spoken(landmark) + " is not marked", "frame " + std::to_string(frame.value), {}, {}};
        base.push_back(sample->at.vector());
        sigma.push_back(sample->sigma);
        r.filled = r.filled || !sample->seen;
        r.draft = r.draft || sample->draft;
    }
    r.value = f(base, setup);
    double variance = 0.0;
    for (std::size_t i = 0; i < base.size(); ++i)
        for (int axis : {0, 1}) {
            Points high = base, low = base;
            high[i][axis] += kStep;
            low[i][axis] -= kStep;
            const double slope = difference(d, f(high, setup), f(low, setup)) / (2.0 * kStep);
            variance += slope * slope * sigma[i] * sigma[i];
            r.parts[names[i]] += slope * slope * sigma[i] * sigma[i];
        }
    // The calibration's own errors, each one displaced by itself.
    for (std::size_t k = 0; setup.calibration && k < setup.calibration->variations(); ++k) {
        const double off = difference(d, f(base, setup, k), r.value);
        variance += off * off;
    }
    r.u = std::sqrt(variance);
    if (!std::isfinite(r.value) || !std::isfinite(r.u))
        return Error{"two marks of this measure lie on one another", "frame " + std::to_string(frame.value), {}, {}};
    return r;
}

MeasureValue evaluate(const MeasureDefinition& d, const Motion& motion, const Positions& positions,
                      const ViewSetup& setup) {
    if (const auto problem = problemOf(d); !problem.empty())
        return refuse(d, problem);
    if (d.view != setup.view)
        return refuse(d, "needs a " + enumName(kViewNames, d.view) + " view");
    const auto at = positions.find(d.at);
    if (at == positions.end())
        return refuse(d, "key position \"" + d.at + "\" is not placed");
    if (d.kind == MeasureKind::interval) {
        const auto until = positions.find(d.until);
        if (until == positions.end())
            return refuse(d, "key position \"" + d.until + "\" is not placed");
        return evaluateInterval(d, motion, at->second, until->second);
    }
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
        v.rate = *rate;
        v.uTime = std::abs(*rate) * instantError(at->second, motion.time());
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
    if (d.kind == MeasureKind::interval || !problemOf(d).empty())
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
