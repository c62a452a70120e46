#include "core/measure/kinds/kind.h"
#include "core/measure/kinds/movement.h"
#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// Where points are, and how sure that is. Squares of px, or of m where the picture is calibrated.
struct PointPlace {
    Eigen::Vector2d at{0, 0};
    double own = 0.0, sigma = 0.0, speed = 0.0, noise = 0.0;
    bool filled = false, draft = false;
    std::map<LandmarkName, double> parts;
};

class PointPlaces {
public:
    PointPlaces(const MeasureDefinition& d, const Motion& motion, const ViewSetup& setup)
        : m_d(d), m_motion(motion), m_setup(setup) {}
    // Of one point.
    [[nodiscard]] std::optional<PointPlace> of(const PointSpec& spec, FrameIndex f) const;
    // Of the measure's point, against its other one where it has two.
    [[nodiscard]] std::optional<PointPlace> of(FrameIndex f) const;
    // The landmark for whose want there was nothing.
    [[nodiscard]] const LandmarkName& missing() const { return m_missing; }

private:
    [[nodiscard]] Eigen::Vector2d upright(Pixel p) const {
        return m_setup.calibration ? m_setup.calibration->upright(p.vector()) : p.vector();
    }
    const MeasureDefinition& m_d;
    const Motion& m_motion;
    const ViewSetup& m_setup;
    mutable LandmarkName m_missing;
};

std::optional<PointPlace> PointPlaces::of(const PointSpec& spec, FrameIndex f) const {
    PointPlace out;
    const auto n = static_cast<double>(spec.landmarks.size());
    for (const auto& role : spec.landmarks) {
        const LandmarkName name = resolveRole(role, m_setup.handedness);
        const auto s = m_motion.at(name, f);
        if (!s) {
            m_missing = name;
            return std::nullopt;
        }
        const Eigen::Vector2d at = upright(s->at);
        // Pixels to the upright picture's unit, near this place.
        const double perPixel = (upright({s->at.x + 0.5, s->at.y}) - upright({s->at.x - 0.5, s->at.y})).norm();
        out.at += at / n;
        out.own += std::pow(s->own * perPixel / n, 2);
        out.sigma += std::pow(s->sigma * perPixel / n, 2);
        out.speed += std::pow(s->speed * perPixel / n, 2);
        out.noise += std::pow(s->speedNoise * perPixel / n, 2);
        out.parts[name] += std::pow(s->speed * perPixel / n, 2);
        out.filled = out.filled || !s->seen;
        out.draft = out.draft || s->draft;
    }
    return out;
}

std::optional<PointPlace> PointPlaces::of(FrameIndex f) const {
    auto p = of(m_d.points[0], f);
    if (!p || m_d.points.size() < 2)
        return p;
    const auto q = of(m_d.points[1], f);
    if (!q)
        return std::nullopt;
    p->at -= q->at;
    p->own += q->own;
    p->sigma += q->sigma;
    p->speed += q->speed;
    p->noise += q->noise;
    p->filled = p->filled || q->filled;
    p->draft = p->draft || q->draft;
    for (const auto& [name, part] : q->parts)
        p->parts[name] += part;
    return p;
}

// The scale's own error near a point, from its variations: relative, the same for all reps of a take.
double scaleError(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup) {
    double out = 0.0;
    if (!setup.calibration || !d.per.empty())
        return out;
    const auto s = motion.at(resolveRole(d.points[0].landmarks[0], setup.handedness), frame);
    const Eigen::Vector2d p = s->at.vector(), x(50.0, 0.0);
    const double usual = (setup.calibration->upright(p + x) - setup.calibration->upright(p - x)).norm();
    if (!(usual > 0.0))
        return out;
    for (std::size_t k = 0; k < setup.calibration->variations(); ++k) {
        const double varied = (setup.calibration->uprightIf(k, p + x) - setup.calibration->uprightIf(k, p - x)).norm();
        out = std::hypot(out, varied / usual - 1.0);
    }
    return out;
}

} // namespace

Result<MovingPoint> movingPoint(const MeasureDefinition& d, const Motion& motion, FrameIndex frame,
                                const ViewSetup& setup, const UnitLength* unit) {
    if (d.metres && !(setup.calibration && setup.calibration->metric()))
        return Error{say("measure", "metres need a known length on a frame of this take"),
                     {},
                     {},
                     say("measure", "draw one in Footage")};
    const std::string where = fill(say("measure", "frame %1"), {std::to_string(frame.value)});
    const PointPlaces places(d, motion, setup);
    const auto here = places.of(frame);
    if (!here)
        return Error{fill(say("measure", "%1 is not marked"), {spoken(places.missing())}), where, {}, {}};
    double length = 1.0, relative = 0.0;
    if (unit) {
        length = unit->length;
        relative = unit->relative;
    } else if (!d.per.empty()) {
        const auto a = places.of(d.per[0], frame), b = places.of(d.per[1], frame);
        if (!a || !b)
            return Error{fill(say("measure", "%1 is not marked"), {spoken(places.missing())}), where, {}, {}};
        length = (a->at - b->at).norm();
        relative = std::sqrt(a->sigma + b->sigma) / length;
    }
    MovingPoint out;
    out.frame = frame;
    out.time = motion.time().real(frame).value;
    out.at = here->at / length;
    out.own = std::sqrt(here->own) / length;
    out.sigma = std::sqrt(here->sigma) / length;
    out.scale = relative;
    out.filled = here->filled;
    out.draft = here->draft;
    // Central difference; one-sided where a neighbour is missing, which costs twice the noise.
    const auto before = places.of(frame - 1), after = places.of(frame + 1);
    const FrameIndex a = before ? frame - 1 : frame, b = after ? frame + 1 : frame;
    if (a == b)
        return Error{say("measure", "its speed cannot be read: no frame beside it is marked"), where, {}, {}};
    const double dt = motion.time().real(b).value - motion.time().real(a).value;
    out.velocity = ((after ? after->at : here->at) - (before ? before->at : here->at)) / (dt * length);
    const double perSecond = (b - a) / dt * (b - a == 1 ? 2.0 : 1.0) / length;
    out.speed = std::sqrt(here->speed) * perSecond;
    out.noise = std::sqrt(here->noise) * perSecond;
    for (const auto& [name, part] : here->parts)
        out.parts[name] = part * perSecond * perSecond;
    out.scaleShared = scaleError(d, motion, frame, setup);
    out.scale = std::hypot(out.scale, out.scaleShared);
    if (!out.velocity.allFinite() || !std::isfinite(out.speed))
        return Error{say("measure", "two marks of this measure lie on one another"), where, {}, {}};
    return out;
}

} // namespace riflesso
