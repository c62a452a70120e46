#include "core/measure/reading.h"
#include "core/words/say.h"

#include "core/measure/kinds/kind.h"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace riflesso {
namespace {

using Points = std::vector<Eigen::Vector2d>;

// The measure as a function of the places of its base landmarks.
struct Formula {
    const MeasureDefinition& d;
    const KindSpec& spec;
    std::vector<std::vector<std::size_t>> points; // indices of base landmarks, one or two a point
    std::vector<std::vector<std::size_t>> per;
    Eigen::Vector2d direction = Eigen::Vector2d::Zero();
    Eigen::Vector2d second = Eigen::Vector2d::Zero(); // square to it: up, from above and below across

    double operator()(const Points& picture, const ViewSetup& setup, std::optional<std::size_t> variation = {}) const {
        if (!spec.onFrame || points.size() > Places::kMost)
            return std::nan(""); // not read from one frame, or nothing that problemOf() would let pass
        Points upright;
        if (setup.calibration)
            for (const auto& at : picture)
                upright.push_back(variation ? setup.calibration->uprightIf(*variation, at)
                                            : setup.calibration->upright(at));
        const Points& base = setup.calibration ? upright : picture;
        Places p;
        for (const auto& of : points)
            p.at[p.n++] = pointOf(of, base);
        if (!per.empty())
            p.unit = (pointOf(per[0], base) - pointOf(per[1], base)).norm();
        p.direction = direction;
        p.second = second;
        return spec.onFrame(d, p);
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
    Formula f{d, specOf(d.kind), {}, {}};
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

} // namespace

Eigen::Vector2d pointOf(const std::vector<std::size_t>& of, const std::vector<Eigen::Vector2d>& base) {
    return of.size() == 1 ? base[of[0]] : Eigen::Vector2d((base[of[0]] + base[of[1]]) / 2.0);
}

// Angles wrap: the difference of two leans is taken the short way round.
double difference(const MeasureDefinition& d, double a, double b) {
    const auto round = specOf(d.kind).round;
    const double turn = round ? round(d) : 0.0;
    return turn > 0.0 ? std::remainder(a - b, turn) : a - b;
}

std::vector<LandmarkName> landmarksOf(const MeasureDefinition& d, Side handedness) {
    std::vector<LandmarkName> names;
    for (const auto& spec : pointsOf(d))
        for (const auto& role : spec.landmarks)
            indexOf(names, resolveRole(role, handedness));
    return names;
}

Result<Reading> readAt(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup) {
    const KindSpec& spec = specOf(d.kind);
    if (spec.readAt)
        return spec.readAt(d, motion, frame, setup);
    std::vector<LandmarkName> names;
    Formula f = formulaOf(d, setup.handedness, names);
    // A dial and a sign go by the athlete's forward, in a front view by the lead side, when nothing else is said.
    std::optional<Direction> asked = d.direction;
    if (!asked && (spec.byForward || d.reading == AngleReading::turned))
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
    const FrameInput in{d, motion, frame, setup, names, f.points, f.per, base, sigma, std::move(slopes), raw};
    if (spec.byMarks)
        if (auto cannot = spec.byMarks(in, r, variance))
            return std::move(*cannot);
    // The calibration's own errors, each one displaced by itself.
    for (std::size_t k = 0; setup.calibration && k < setup.calibration->variations(); ++k) {
        const double off = difference(d, f(base, setup, k), raw);
        variance += off * off;
        r.alike.push_back(off);
    }
    r.u = std::sqrt(variance);
    r.own = std::min(r.u, std::sqrt(ownVariance));
    if (spec.converted)
        if (auto cannot = spec.converted(in, r))
            return std::move(*cannot);
    if (!std::isfinite(r.value) || !std::isfinite(r.u))
        return Error{say("measure", "two marks of this measure lie on one another"),
                     fill(say("measure", "frame %1"), {std::to_string(frame.value)}),
                     {},
                     {}};
    return r;
}

} // namespace riflesso
