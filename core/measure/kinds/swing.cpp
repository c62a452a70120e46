#include "core/measure/kinds/swing.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

double cross(const Eigen::Vector2d& a, const Eigen::Vector2d& b) {
    return a.x() * b.y() - a.y() * b.x();
}

MeasureValue shareOfTurn(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                         const PlacedPosition& until, const ViewSetup& setup) {
    MeasureDefinition angle = d; // from the body's axis to the limb
    angle.kind = MeasureKind::between;
    angle.reading = AngleReading::turned;
    angle.points = {d.points[2], d.points[3], d.points[1], d.points[0]};
    MeasureValue v;
    v.measure = d.id;
    std::vector<Reading> read;
    std::vector<double> times, turned; // turned: counted on over full turns, degrees
    std::string why;
    for (FrameIndex f = from.frame; f <= until.frame; f = f + 1) {
        auto r = readAt(angle, motion, f, setup);
        if (!r) {
            why = why.empty() ? r.error().text() : why;
            continue;
        }
        turned.push_back(turned.empty() ? r->value : turned.back() + std::remainder(r->value - turned.back(), 360.0));
        times.push_back(motion.time().real(f).value);
        v.draft = v.draft || r->draft;
        read.push_back(std::move(*r));
    }
    const std::size_t n = read.size();
    if (const auto few = tooFewRead(n, until.frame - from.frame + 1, why))
        return refuse(d, few->text());
    const double rateFrom = (turned[1] - turned[0]) / (times[1] - times[0]);
    const double rateUntil = (turned[n - 1] - turned[n - 2]) / (times[n - 1] - times[n - 2]);
    const auto& time = motion.time();
    v.value = (turned.back() - turned.front() + rateUntil * until.shift - rateFrom * from.shift) / 360.0;
    // What neighbours share is taken for apart here: the ends lie far from one another.
    std::vector<double> common;
    for (std::size_t k = 0; k < read.front().alike.size() && k < read.back().alike.size(); ++k)
        common.push_back((read.back().alike[k] - read.front().alike[k]) / 360.0);
    v.uShared = rootOfSquares(common);
    const auto chance = [](const Reading& r) {
        return std::sqrt(std::max(0.0, r.u * r.u - std::pow(rootOfSquares(r.alike), 2)));
    };
    v.uMarks = std::hypot(chance(read.front()) / 360.0, chance(read.back()) / 360.0, v.uShared);
    v.uTime = std::hypot(rateFrom * instantError(from, time), rateUntil * instantError(until, time)) / 360.0;
    return v;
}

MeasureValue wayOfEnd(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                      const PlacedPosition& until, const ViewSetup& setup) {
    MeasureDefinition limb = d, axis = d;
    limb.points = {d.points[0], d.points[1]};
    axis.points = {d.points[3], d.points[2]};
    const auto ends = movingPoints(limb, motion, from.frame, until.frame, setup);
    const auto body = movingPoints(axis, motion, from.frame, until.frame, setup);
    if (!ends || !body)
        return refuse(d, (ends ? body : ends).error().text());
    MeasureValue v;
    v.measure = d.id;
    std::vector<MovingPoint> seen; // from the body: its own turning taken off
    auto b = body->begin();
    for (const auto& p : *ends) {
        b = std::find_if(b, body->end(), [&](const MovingPoint& q) { return q.frame >= p.frame; });
        if (b == body->end())
            break;
        if (b->frame != p.frame)
            continue;
        const double length = b->at.norm(), reach = p.at.norm();
        const double turning = cross(b->at, b->velocity) / (length * length);
        MovingPoint out = p;
        out.velocity -= turning * Eigen::Vector2d(-p.at.y(), p.at.x());
        out.noise = std::hypot(p.noise, reach * b->noise / length);
        out.sigma = std::hypot(p.sigma, reach * b->sigma / length);
        v.draft = v.draft || p.draft || b->draft;
        if (p.filled || b->filled)
            v.reason = say("measure", "read from a filled gap, in part");
        if (!out.velocity.allFinite())
            return refuse(d, say("measure", "the two ends of the body's axis lie on one another"));
        seen.push_back(out);
    }
    if (const auto few = tooFewRead(seen.size(), until.frame - from.frame + 1, {}))
        return refuse(d, few->text());
    const auto [length, tooLong] = lengthOfWay(seen);
    const auto& time = motion.time();
    const double first = seen.front().velocity.norm(), last = seen.back().velocity.norm();
    v.value = length + last * until.shift - first * from.shift;
    double scale = 0.0, shared = 0.0;
    for (const auto& p : seen) {
        scale = std::max(scale, p.scale);
        shared = std::max(shared, p.scaleShared);
    }
    v.uShared = shared * v.value;
    v.uMarks = std::hypot(std::hypot(seen.front().sigma, seen.back().sigma), kTakenFromWay * tooLong, scale * length);
    v.uTime = std::hypot(first * instantError(from, time), last * instantError(until, time));
    return v;
}

} // namespace

MeasureValue evaluateSwing(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                           const PlacedPosition& until, const ViewSetup& setup) {
    if (until.frame - from.frame < 2)
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}));
    MeasureValue v = d.aspect == Aspect::share ? shareOfTurn(d, motion, from, until, setup)
                                               : wayOfEnd(d, motion, from, until, setup);
    if (v.refused)
        return v;
    v.frames = {from.frame, until.frame};
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

static constexpr std::array kSwingAspects = {Aspect::length, Aspect::share};

constinit const KindSpec kSwing = {
    .points = {4, 4},
    .aspects = kSwingAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::length ? QuantityKind::length : QuantityKind::number;
        },
    .ofSpan = true,
    .lengthwise = true,
    .over = [](const RepInput& in, const PlacedPosition& from,
               const PlacedPosition& until) { return evaluateSwing(in.definition, in.motion, from, until, in.setup); },
};

} // namespace riflesso
