#include "core/measure/kinds/chain.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include "core/motion/smoothing.h"

#include "core/statistics/correlation.h"
#include "core/statistics/distributions.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// The angle that a link has on a frame, degrees, and its gradient by each landmark.
struct AngleOf {
    MeasureDefinition definition;
    explicit AngleOf(const MeasureDefinition& d, const std::vector<PointSpec>& points) {
        definition.kind = MeasureKind::angle;
        definition.view = d.view;
        definition.points = points;
        if (points.size() == 2) {
            // Its direction against a dial: hours become degrees, the short way round.
            definition.kind = MeasureKind::clock;
        }
    }
    [[nodiscard]] double perHour() const { return definition.kind == MeasureKind::clock ? 30.0 : 1.0; }
    [[nodiscard]] double round() const { return definition.kind == MeasureKind::clock ? 12.0 : 720.0; }
};

constexpr double kMoved = 0.4;           // of how far smoothing again moves a peak: so far it was moved, by draws
constexpr std::size_t kFewestSpeeds = 5; // a peak needs something beside it

struct Peak {
    std::string name;
    std::vector<Sample> samples;
    Extreme peak;
};

// When each link of a chain is fastest. Errors: one that cannot be read, or does not move.
Result<std::vector<Peak>> peaksOf(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                                  const PlacedPosition& until, const ViewSetup& setup) {
    const auto& time = motion.time();
    std::vector<Peak> peaks;
    for (const auto& link : d.links) {
        auto samples = speedsOf(d, link.points, motion, from.frame, until.frame, setup);
        if (!samples)
            return Error{link.name + ": " + samples.error().text(), {}, {}, {}};
        const auto cutoff = slowestCutoff(motion, link.points, setup);
        if (cutoff) // counted below instead
            for (auto& s : *samples)
                s.bias = 0.0;
        Extreme e = extremeOf(*samples, true, time, instantError(from, time), instantError(until, time),
                              cutoff.value_or(MotionOptions{}.slowest));
        e.uInstant *=
            1.06; // noise of speeds swings to and fro where that of places drifts: found by draws (test_rhythm)
        if (cutoff) {
            // A peak that falls otherwise than it rises was moved by smoothing somewhat further than smoothing moves it
            // again (twicing, Tukey 1977). Putting it back would double its noise, so that counts as error.
            auto again = *samples;
            std::vector<double> values;
            for (const auto& s : *samples)
                values.push_back(s.value);
            const double span = samples->back().time - samples->front().time;
            const auto smoother = zeroLag(values, *cutoff, Hertz(static_cast<double>(samples->size() - 1) / span));
            for (std::size_t i = 0; i < again.size(); ++i)
                again[i].value = smoother[i];
            const double moved = std::abs(extremeOf(again, true, time, 0.0, 0.0).time - e.time);
            e.uInstant = std::hypot(e.uInstant, kMoved * std::min(moved, 0.25 / cutoff->value));
        }
        if (!(e.value > 3.0 * e.u))
            return Error{fill(say("measure", "%1 does not move clearly more than its marks are unsure"), {link.name}),
                         {},
                         {},
                         {}};
        peaks.push_back({link.name, std::move(*samples), e});
    }
    return peaks;
}

// The smallest share of its speed that a link has lost when the next one is fastest, with errors and frames.
void takeBraking(MeasureValue& v, const std::vector<Peak>& peaks, const Timebase& time) {
    bool first = true;
    for (std::size_t i = 0; i + 1 < peaks.size(); ++i) {
        const double when = peaks[i + 1].peak.time, top = peaks[i].peak.value;
        const auto [left, uLeft] = speedAt(peaks[i].samples, when);
        const double lost = 1.0 - left / top;
        if (!first && lost >= v.value)
            continue;
        first = false;
        const double h = time.realPeriod(peaks[i].samples.front().frame);
        const double slope =
            (speedAt(peaks[i].samples, when + h).first - speedAt(peaks[i].samples, when - h).first) / (2.0 * h);
        v.value = lost;
        v.uMarks = std::hypot(uLeft, (1.0 - lost) * peaks[i].peak.u) / top;
        v.uTime = std::abs(slope) / top * peaks[i + 1].peak.uInstant;
        v.frames = {peaks[i].samples[peaks[i].peak.at].frame, peaks[i + 1].samples[peaks[i + 1].peak.at].frame};
    }
}

} // namespace

Result<std::vector<Sample>> speedsOf(const MeasureDefinition& d, const std::vector<PointSpec>& points,
                                     const Motion& motion, FrameIndex first, FrameIndex last, const ViewSetup& setup) {
    const auto& time = motion.time();
    if (!time.captureKnown())
        return Error{say("measure", "the capture rate of this take is not set, so no speed can be read"), {}, {}, {}};
    const int all = last - first + 1;
    if (points.size() == 1) {
        MeasureDefinition one = d;
        one.points = points;
        const auto read = movingPoints(one, motion, first, last, setup);
        if (!read)
            return read.error();
        std::vector<Sample> out;
        for (const auto& p : *read)
            out.push_back({p.frame, p.time, p.velocity.norm(), p.speed,
                           std::sqrt(std::max(0.0, p.speed * p.speed - p.noise * p.noise))});
        if (auto few = tooFewRead(out.size(), all, {}, kFewestSpeeds))
            return std::move(*few);
        return out;
    }
    const AngleOf angle(d, points);
    std::vector<Sample> out;
    std::string why;
    std::map<FrameIndex, Reading> readings;
    for (FrameIndex f = first - 1; f <= last + 1; f = f + 1)
        if (auto r = readAt(angle.definition, motion, f, setup))
            readings.emplace(f, std::move(*r));
        else if (why.empty())
            why = r.error().text();
    for (FrameIndex f = first; f <= last; f = f + 1) {
        const auto here = readings.find(f);
        const auto before = readings.find(f - 1), after = readings.find(f + 1);
        const auto& a = before != readings.end() ? before : here;
        const auto& b = after != readings.end() ? after : here;
        if (here == readings.end() || a == b)
            continue;
        const double dt = time.real(b->first).value - time.real(a->first).value;
        const double change = std::remainder(b->second.value - a->second.value, angle.round()) * angle.perHour();
        // Each landmark's part of u², with the error of its change instead of that of its place.
        double variance = 0.0, bias = 0.0;
        for (const auto& [name, part] : here->second.parts)
            if (const auto s = motion.at(name, f); s && s->sigma > 0.0) {
                variance += part * s->speed * s->speed / (s->sigma * s->sigma);
                bias += part * (s->speed * s->speed - s->speedNoise * s->speedNoise) / (s->sigma * s->sigma);
            }
        const double perSecond = (b->first - a->first) / dt * (b->first - a->first == 1 ? 2.0 : 1.0);
        const double scale = angle.perHour() * perSecond;
        out.push_back({f, time.real(f).value, std::abs(change) / dt, std::sqrt(variance) * scale,
                       std::sqrt(std::max(0.0, bias)) * scale});
    }
    if (auto few = tooFewRead(out.size(), all, why, kFewestSpeeds))
        return std::move(*few);
    return out;
}

std::optional<Hertz> slowestCutoff(const Motion& motion, const std::vector<PointSpec>& points, const ViewSetup& setup) {
    std::optional<Hertz> out;
    for (const auto& point : points)
        for (const auto& role : point.landmarks)
            if (const auto track = motion.tracks().find(resolveRole(role, setup.handedness));
                track != motion.tracks().end())
                for (const Hertz hz : track->second.cutoffs)
                    if (!out || hz.value < out->value)
                        out = hz;
    return out;
}

std::pair<double, double> speedAt(const std::vector<Sample>& samples, double time) {
    const auto after =
        std::lower_bound(samples.begin(), samples.end(), time, [](const Sample& s, double t) { return s.time < t; });
    if (after == samples.begin())
        return {samples.front().value, samples.front().u};
    if (after == samples.end())
        return {samples.back().value, samples.back().u};
    const auto before = after - 1;
    const double share = (time - before->time) / (after->time - before->time);
    return {before->value + share * (after->value - before->value), std::max(before->u, after->u)};
}

MeasureValue evaluateChain(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                           const PlacedPosition& until, const ViewSetup& setup) {
    const auto& time = motion.time();
    const auto read = peaksOf(d, motion, from, until, setup);
    if (!read)
        return refuse(d, read.error().text());
    const std::vector<Peak>& peaks = *read;
    MeasureValue v;
    v.measure = d.id;
    for (const auto& p : peaks)
        v.frames.push_back(p.samples[p.peak.at].frame);
    const std::size_t n = peaks.size();
    const auto lag = [&](std::size_t i, std::size_t j) { return peaks[j].peak.time - peaks[i].peak.time; };
    const auto uLag = [&](std::size_t i, std::size_t j) {
        return std::hypot(peaks[i].peak.uInstant, peaks[j].peak.uInstant);
    };
    switch (d.aspect) {
    case Aspect::sequence: {
        std::vector<double> order, times;
        double variance = 0.0;
        for (std::size_t i = 0; i < n; ++i) {
            order.push_back(static_cast<double>(i));
            times.push_back(peaks[i].peak.time);
            for (std::size_t j = i + 1; j < n; ++j) { // a pair that is not sure can turn round
                const double p = normalCdf(lag(i, j), 0.0, std::max(1e-9, uLag(i, j)));
                variance += 4.0 * p * (1.0 - p);
            }
        }
        v.value = kendallTau(order, times);
        v.uTime = std::sqrt(variance) / (static_cast<double>(n * (n - 1)) / 2.0);
        break;
    }
    case Aspect::lag:
        v.value = lag(0, n - 1) / static_cast<double>(n - 1);
        v.uTime = uLag(0, n - 1) / static_cast<double>(n - 1);
        break;
    case Aspect::shortestLag: {
        std::size_t least = 0;
        for (std::size_t i = 1; i + 1 < n; ++i)
            if (lag(i, i + 1) < lag(least, least + 1))
                least = i;
        v.value = lag(least, least + 1);
        v.uTime = uLag(least, least + 1);
        v.frames = {v.frames[least], v.frames[least + 1]};
        break;
    }
    case Aspect::inversions: {
        double variance = 0.0;
        for (std::size_t i = 0; i + 1 < n; ++i) {
            v.value += lag(i, i + 1) < 0.0 ? 1.0 : 0.0;
            const double p = normalCdf(lag(i, i + 1), 0.0, std::max(1e-9, uLag(i, i + 1)));
            variance += p * (1.0 - p);
        }
        v.uTime = std::sqrt(variance);
        break;
    }
    default: // braking
        takeBraking(v, peaks, time);
    }
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

static constexpr std::array kChainAspects = {Aspect::sequence, Aspect::lag, Aspect::shortestLag, Aspect::braking,
                                             Aspect::inversions};

constinit const KindSpec kChain = {
    .aspects = kChainAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::lag || d.aspect == Aspect::shortestLag ? QuantityKind::time
                                                                              : QuantityKind::number;
        },
    .ofSpan = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        if (d.links.size() < 2)
            return say("problem", "a chain needs two “links” or more");
        for (const auto& link : d.links)
            if (link.points.empty() || link.points.size() > 3)
                return say("problem", "a link is one point, a segment of two or a joint of three");
        return {};
    },
    .over = [](const RepInput& in, const PlacedPosition& from,
               const PlacedPosition& until) { return evaluateChain(in.definition, in.motion, from, until, in.setup); },
};

} // namespace riflesso
