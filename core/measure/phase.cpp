#include "core/measure/phase.h"
#include "core/words/say.h"

#include "core/measure/extreme.h"
#include "core/measure/kinds/kind.h"
#include "core/measure/kinds/movement.h"
#include "core/measure/reading.h"

#include <Eigen/LU>

#include <algorithm>
#include <cmath>
#include <functional>

namespace riflesso {
namespace {

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

constexpr double kFlattened = 0.8; // of what smoothing is seen to take off a peak's speed, by draws

// The frames of one phase, and what a reduction makes of them.
class PhaseReading {
public:
    PhaseReading(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                 const PlacedPosition& until, const ViewSetup& setup)
        : m_d(d), m_motion(motion), m_from(from), m_until(until), m_setup(setup), m_time(motion.time()) {
        m_v.measure = d.id;
    }
    MeasureValue value();

private:
    void read();
    [[nodiscard]] Extreme extreme(bool largest) const {
        return extremeOf(m_samples, largest, m_time, instantError(m_from, m_time), instantError(m_until, m_time),
                         Hertz(m_independent / 2.0));
    }
    // Figures made of several frames: each common error is the same one on all of them.
    [[nodiscard]] double commonOf(const std::function<double(std::size_t)>& weight) const;
    // The value at an end of the phase, which may lie between two frames.
    [[nodiscard]] double shiftedEnd(std::size_t i, std::size_t inner, const PlacedPosition& end) const;
    // Each sets value, errors and frames.
    void takeExtreme(bool largest);
    void takeRange();
    void takeMean();
    bool takeShare(); // false: there is nothing to have a share of
    void takeInstant(bool largest);

    const MeasureDefinition& m_d;
    const Motion& m_motion;
    const PlacedPosition& m_from;
    const PlacedPosition& m_until;
    const ViewSetup& m_setup;
    const Timebase& m_time;
    std::vector<Sample> m_samples;
    std::vector<double> m_own, m_lost;
    std::vector<std::vector<double>> m_alike; // by frame: what the reps' common errors do there
    std::string m_why;                        // a frame could not be read
    double m_independent = 0.0;               // looks a second
    MeasureValue m_v;
};

void PhaseReading::read() {
    for (int f = m_from.frame.value; f <= m_until.frame.value; ++f) {
        const auto r = readAt(m_d, m_motion, FrameIndex(f), m_setup);
        if (!r) {
            m_why = m_why.empty() ? r.error().text() : m_why;
            continue;
        }
        // Values that go round are counted on from the frame before.
        const double value =
            m_samples.empty() ? r->value : m_samples.back().value + difference(m_d, r->value, m_samples.back().value);
        const double common = rootOfSquares(r->alike);
        m_samples.push_back({FrameIndex(f), m_time.real(FrameIndex(f)).value, value,
                             std::sqrt(std::max(0.0, r->u * r->u - common * common))});
        m_alike.push_back(r->alike);
        m_own.push_back(r->own);
        m_lost.push_back(r->lost);
        m_v.draft = m_v.draft || r->draft;
        if (r->filled)
            m_v.reason = say("measure", "read from a filled gap, in part");
    }
}

double PhaseReading::commonOf(const std::function<double(std::size_t)>& weight) const {
    std::vector<double> sum(m_alike.front().size());
    for (std::size_t i = 0; i < m_alike.size(); ++i)
        for (std::size_t k = 0; k < sum.size() && k < m_alike[i].size(); ++k)
            sum[k] += weight(i) * m_alike[i][k];
    return rootOfSquares(sum);
}

double PhaseReading::shiftedEnd(std::size_t i, std::size_t inner, const PlacedPosition& end) const {
    const double slope = (m_samples[i].value - m_samples[inner].value) / (m_samples[i].time - m_samples[inner].time);
    return m_samples[i].value + slope * end.shift;
}

void PhaseReading::takeExtreme(bool largest) {
    const Extreme e = extreme(largest);
    m_v.value = e.value;
    // Smoothing makes a peak lower, never higher.
    if (const auto peak = specOf(m_d.kind).peak)
        m_v.value = peak(m_d, m_v.value, kFlattened * m_lost[e.at], largest);
    m_v.uMarks = e.u;
    m_v.uTime = e.uTime;
    m_v.uShared = rootOfSquares(m_alike[e.at]);
    m_v.frames = {m_samples[e.at].frame};
}

void PhaseReading::takeRange() {
    const Extreme high = extreme(true), low = extreme(false);
    m_v.value = std::max(0.0, high.value - low.value); // what noise alone spreads is taken off at each end
    m_v.uMarks = std::hypot(high.u, low.u);
    m_v.uTime = std::hypot(high.uTime, low.uTime);
    m_v.uShared = commonOf([&](std::size_t i) { return (i == high.at ? 1.0 : 0.0) - (i == low.at ? 1.0 : 0.0); });
    m_v.frames = {m_samples[std::min(high.at, low.at)].frame, m_samples[std::max(high.at, low.at)].frame};
}

void PhaseReading::takeMean() {
    // Over time, by trapezes: frames need not lie evenly.
    const double span = m_samples.back().time - m_samples.front().time;
    double area = 0.0, together = 0.0, apart = 0.0;
    for (std::size_t i = 1; i < m_samples.size(); ++i) {
        const double width = (m_samples[i].time - m_samples[i - 1].time) / span;
        area += width * (m_samples[i].value + m_samples[i - 1].value) / 2.0;
        const double u = (m_samples[i].u + m_samples[i - 1].u) / 2.0, each = (m_own[i] + m_own[i - 1]) / 2.0;
        together += width * std::sqrt(std::max(0.0, u * u - each * each));
        apart += width * each;
    }
    // The phase ends between two frames where its positions do.
    m_v.value =
        area +
        ((m_samples.back().value - area) * m_until.shift - (m_samples.front().value - area) * m_from.shift) / span;
    m_v.uShared = commonOf([&](std::size_t i) {
        const double before = i > 0 ? m_samples[i].time - m_samples[i - 1].time : 0.0;
        const double after = i + 1 < m_samples.size() ? m_samples[i + 1].time - m_samples[i].time : 0.0;
        return (before + after) / (2.0 * span);
    });
    // What neighbours share stays. What each mark has to itself smoothing only shares out, and what it takes off
    // the movement it gives back beside: of these the mean has as many as there are marks, and the ends.
    const auto names = landmarksOf(m_d, m_setup.handedness);
    const Motion jitter = asMarked(m_motion, names, m_samples.front().frame, m_samples.back().frame, true);
    double square = 0.0;
    int marked = 0;
    for (const auto& s : m_samples)
        if (const auto r = readAt(m_d, jitter, s.frame, m_setup)) {
            square += std::max(0.0, r->u * r->u - std::pow(rootOfSquares(r->alike), 2));
            ++marked;
        }
    const double ends = std::hypot(m_own.front(), m_own.back()) / (2.0 * m_independent * span);
    m_v.uMarks = marked > 0 ? std::hypot(together, std::sqrt(square) / marked, ends)
                            : std::hypot(together, apart / std::sqrt(std::max(1.0, m_independent * span)));
    m_v.uTime = std::hypot((m_samples.front().value - area) / span * instantError(m_from, m_time),
                           (m_samples.back().value - area) / span * instantError(m_until, m_time));
    m_v.frames = {m_samples.front().frame, m_samples.back().frame};
}

bool PhaseReading::takeShare() {
    const Extreme e = extreme(true);
    const Sample& end = m_samples.back();
    if (!(e.value > 0.0))
        return false;
    m_v.value = shiftedEnd(m_samples.size() - 1, m_samples.size() - 2, m_until) / e.value;
    m_v.uShared = commonOf([&](std::size_t i) {
        return ((i + 1 == m_alike.size() ? 1.0 : 0.0) - (i == e.at ? m_v.value : 0.0)) / e.value;
    });
    m_v.uMarks = std::hypot(end.u, m_v.value * e.u) / e.value;
    const Sample& last = m_samples[m_samples.size() - 2];
    m_v.uTime = std::abs((end.value - last.value) / (end.time - last.time)) / e.value * instantError(m_until, m_time);
    m_v.frames = {m_samples[e.at].frame, end.frame};
    return true;
}

void PhaseReading::takeInstant(bool largest) {
    const Extreme e = extreme(largest);
    m_v.value = e.time - m_time.real(m_from.frame).value - m_from.shift;
    m_v.uTime = std::hypot(e.uInstant, instantError(m_from, m_time));
    m_v.frames = {m_from.frame, m_samples[e.at].frame};
}

MeasureValue PhaseReading::value() {
    read();
    const int all = m_until.frame - m_from.frame + 1;
    if (const auto few = tooFewRead(m_samples.size(), all, m_why))
        return refuse(m_d, few->text());
    m_independent = independentRate(m_d, m_motion, m_setup);
    switch (m_d.reduction) {
    case Reduction::at:
    case Reduction::justBefore: // have no phase
        break;
    case Reduction::min:
    case Reduction::max:
        takeExtreme(m_d.reduction == Reduction::max);
        break;
    case Reduction::range:
        takeRange();
        break;
    case Reduction::mean:
        takeMean();
        break;
    case Reduction::shareOfMax:
        if (!takeShare())
            return refuse(m_d, say("measure", "it never rises above 0"));
        break;
    case Reduction::timeOfMin:
    case Reduction::timeOfMax:
        takeInstant(m_d.reduction == Reduction::timeOfMax);
        break;
    }
    m_v.uMarks = std::hypot(m_v.uMarks, m_v.uShared);
    m_v.u = std::hypot(m_v.uMarks, m_v.uTime);
    return m_v;
}

} // namespace

// One value out of all frames of a phase.
MeasureValue evaluateOver(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                          const PlacedPosition& until, const ViewSetup& setup) {
    if (until.frame - from.frame + 1 < 2)
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}));
    if (isTime(d) && !motion.time().captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no time can be read"));
    return PhaseReading(d, motion, from, until, setup).value();
}

namespace {

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

} // namespace

// The value that a movement had reached when a contact cut it off. Smoothing smears what the contact does over the
// frames beside it, so the marks themselves are taken, from before it only: a polynomial to the instant (Knudson and
// Bahamonde 2001 compare such ends of strokes; from memory). Cubic for a place, whose slope is the speed; else a
// parabola.
MeasureValue evaluateJustBefore(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& at,
                                const ViewSetup& setup) {
    const bool speed = quantityKindOf(d) == QuantityKind::speed;
    const auto& time = motion.time();
    if (speed && !time.captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no speed can be read"));
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
    double own = 0.0, shared = 0.0, scale = 0.0, alike = 0.0; // mean variances; relative error of the unit
    std::string why;
    for (FrameIndex f = first; f <= last; f = f + 1) {
        if (speed) {
            const auto p =
                unit ? movingPoint(d, jitter, f, setup, &*unit)
                     : Result<MovingPoint>(Error{say("measure", "its unit of length is not marked"), {}, {}, {}});
            if (!p) {
                why = why.empty() ? p.error().text() : why;
                continue;
            }
            times.push_back(p->time - contact);
            values.push_back(p->at.x());
            across.push_back(p->at.y());
            own += p->own * p->own;
            scale = p->scale;
            alike = p->scaleShared;
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
        alike = rootOfSquares(r->alike);
        own += std::max(0.0, r->u * r->u - alike * alike);
        shared += std::max(0.0, all->u * all->u - r->u * r->u);
        v.draft = v.draft || r->draft;
    }
    const auto n = static_cast<double>(times.size());
    if (n < 2 * degree)
        return refuse(d, fill(say("measure", "fewer than %1 frames just before “%2” can be read"),
                              {std::to_string(2 * degree), d.at}) +
                             (why.empty() ? "" : " (" + why + ")"));
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
            return refuse(d, refusedByDirection(*d.direction));
        v.value = along ? velocity.dot(*along) : velocity.norm();
        const Eigen::Vector2d way = along ? *along : Eigen::Vector2d(velocity.normalized());
        v.rate = bend.dot(way);
        const double misfit = widened((fit.misfit + other.misfit) / 2.0);
        v.uMarks = std::hypot(std::sqrt(own * fit.varSlope * misfit), scale * v.value);
        v.uShared = alike * std::abs(v.value);
    } else {
        v.value = fit.value;
        v.rate = fit.slope;
        v.uMarks = std::hypot(std::sqrt(own * fit.varValue * widened(fit.misfit) + shared), alike);
        v.uShared = alike;
    }
    v.uTime = std::abs(v.rate) * instantError(at, time);
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

} // namespace riflesso
