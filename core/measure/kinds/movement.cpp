#include "core/measure/kinds/movement.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include "core/measure/extreme.h"
#include "core/measure/kinds/chain.h"
#include "core/measure/kinds/smoothness.h"
#include "core/statistics/summary.h"

#include <Eigen/Eigenvalues>

#include <algorithm>
#include <cmath>
#include <functional>

namespace riflesso {
namespace {

// How often a series turns back by more than `hysteresis`.
int reversals(const std::vector<double>& along, double hysteresis) {
    int count = 0, way = 0;
    double extreme = along.front();
    for (double x : along) {
        if (way >= 0 && x > extreme)
            extreme = x;
        else if (way <= 0 && x < extreme)
            extreme = x;
        else if (way != 0 && std::abs(x - extreme) > hysteresis) {
            way = -way;
            ++count;
            extreme = x;
        }
        if (way == 0 && std::abs(x - along.front()) > hysteresis)
            way = x > along.front() ? 1 : -1;
    }
    return count;
}

struct Way {
    double turning = 0.0; // all its bends added up, rad, where it moves clearly
    std::vector<double> along;
};

Way wayOf(const std::vector<MovingPoint>& points, const MeasureDefinition& d, const ViewSetup& setup) {
    Way out;
    Eigen::Vector2d mean(0, 0);
    for (const auto& p : points)
        mean += p.at / static_cast<double>(points.size());
    Eigen::Matrix2d spread = Eigen::Matrix2d::Zero();
    for (const auto& p : points)
        spread += (p.at - mean) * (p.at - mean).transpose();
    Eigen::Vector2d main = Eigen::SelfAdjointEigenSolver<Eigen::Matrix2d>(spread).eigenvectors().col(1);
    if (d.direction)
        if (const auto asked = inPicture(*d.direction, setup))
            main = *asked;
    for (std::size_t i = 0; i < points.size(); ++i) {
        out.along.push_back((points[i].at - mean).dot(main));
        if (i == 0)
            continue;
        const auto clear = [](const MovingPoint& p) { return p.velocity.norm() > 5.0 * p.noise; };
        if (clear(points[i - 1]) && clear(points[i])) {
            const Eigen::Vector2d &a = points[i - 1].velocity, &b = points[i].velocity;
            out.turning += std::abs(std::atan2(a.x() * b.y() - a.y() * b.x(), a.dot(b)));
        }
    }
    return out;
}

// Stillness without the error of its unit. \p uFrom, uUntil: of the phase's ends, s. \p independent: 1/s.
void readStillness(const MeasureDefinition& d, const std::vector<MovingPoint>& points, const Timebase& time,
                   double uFrom, double uUntil, double independent, MeasureValue& v) {
    const std::size_t n = points.size();
    // Over time: the first and the last frame count for half a frame each.
    const double span = points.back().time - points.front().time;
    const auto share = [&](std::size_t i) {
        return (points[std::min(i + 1, n - 1)].time - points[i > 0 ? i - 1 : 0].time) / (2.0 * span);
    };
    Eigen::Vector2d mean(0, 0);
    for (std::size_t i = 0; i < n; ++i)
        mean += share(i) * points[i].at;
    double square = 0.0, noise = 0.0;
    std::size_t far = 0;
    const auto away = [&](std::size_t i) { return (points[i].at - mean).norm(); };
    for (std::size_t i = 0; i < n; ++i) {
        square += share(i) * away(i) * away(i);
        noise += 2.0 * share(i) * points[i].own * points[i].own;
        if (away(i) > away(far))
            far = i;
    }
    const double pieces = std::max(1.0, independent * span);
    // How fast it grows when the phase ends later: what the end adds, and how it draws the mean towards itself.
    std::function<double(std::size_t)> growth;
    if (d.rms) { // what the marks' own jitter adds is taken off
        v.value = std::sqrt(std::max(0.0, square - noise));
        const double jitter = std::sqrt(noise / 2.0);
        v.uMarks =
            v.value > 0.0 ? std::hypot(noise / (2.0 * v.value), jitter) / std::sqrt(pieces) : std::sqrt(noise / pieces);
        growth = [&](std::size_t end) {
            return v.value > 0.0 ? std::abs(away(end) * away(end) - square) / (2.0 * v.value * span) : 0.0;
        };
    } else {
        // The furthest of many places that only jitter lies √(2 ln pieces) of the jitter away (of two axes, each of
        // them can be it). As with a range, that is taken off, and half of it stays unsure. Far from rest only what
        // comes as near to being the furthest takes part, and only along the way out.
        const double seen = away(far), mine = points[far].own;
        const double jitter = mine * std::sqrt(2.0 * std::log(2.0 * pieces));
        const double atRest = std::sqrt(std::max(0.0, seen * seen - jitter * jitter));
        std::vector<Sample> distances;
        for (std::size_t i = 0; i < n; ++i)
            distances.push_back({points[i].frame, points[i].time, away(i), points[i].own});
        const Extreme furthest = extremeOf(distances, true, time, 0.0, 0.0, Hertz(independent / 2.0));
        const double clear = mine > 0.0 ? std::clamp(seen / (4.0 * mine) - 1.0, 0.0, 1.0) : 1.0;
        v.value = clear * furthest.value + (1.0 - clear) * atRest;
        // The largest of a few that come near varies less than each (0.83 for two, 0.75 for three; textbook).
        v.uMarks = 0.78 * (clear * furthest.u + (1.0 - clear) * std::hypot(mine, (seen - atRest) / 2.0));
        v.frames = {points[far].frame};
        growth = [&](std::size_t end) {
            const Eigen::Vector2d out = (points[far].at - mean).normalized();
            const double drawn = out.dot(points[end].at - mean) / span;
            return std::abs((far == end ? out.dot(points[end].velocity) : 0.0) - drawn);
        };
    }
    v.uTime = std::hypot(growth(0) * uFrom, growth(n - 1) * uUntil);
}

// How long its speed lies below a level, crossings between two frames in a straight line. \p speedOf: of a point, by
// its number.
template <typename SpeedOf>
double timeBelow(double level, const std::vector<MovingPoint>& points, const SpeedOf& speedOf) {
    double sum = 0.0;
    for (std::size_t i = 1; i < points.size(); ++i) {
        const double a = speedOf(i - 1) - level, b = speedOf(i) - level;
        const double dt = points[i].time - points[i - 1].time;
        if (a <= 0.0 && b <= 0.0)
            sum += dt;
        else if (a <= 0.0 || b <= 0.0)
            sum += dt * (a <= 0.0 ? a / (a - b) : b / (b - a));
    }
    return sum;
}

// Noise across the way only adds to a speed: that is taken off.
double speedWithoutNoise(double along, double across, double noise) {
    return std::sqrt(std::max(0.0, along * along + across * across - noise * noise));
}

// Standard error of the time below a level, from the marks. Noise is drawn, since it decides how often a slow stretch
// crosses the level at all. What smoothing took off is taken for alike at all crossings: it makes a standstill longer
// or shorter at both its ends.
double dwellError(double level, const std::vector<MovingPoint>& points, std::optional<Hertz> cutoff) {
    constexpr int kDraws = 32;
    constexpr double kLost = 1.25; // of what is seen to be taken off, by draws
    const std::size_t n = points.size();
    const double rate = static_cast<double>(n - 1) / (points.back().time - points.front().time);
    const auto noise = speedNoise(2 * kDraws * n, cutoff, rate);
    const auto speed = [&](std::size_t i) {
        return speedWithoutNoise(points[i].velocity.norm(), 0.0, points[i].noise);
    };
    std::vector<double> drawn;
    for (std::size_t draw = 0; draw < kDraws; ++draw)
        drawn.push_back(timeBelow(level, points, [&](std::size_t i) {
            const double along = noise[2 * draw * n + i], across = noise[(2 * draw + 1) * n + i];
            return speedWithoutNoise(speed(i) + points[i].noise * along, points[i].noise * across, points[i].noise);
        }));
    const auto lost = [&](std::size_t i) {
        return kLost * std::sqrt(std::max(0.0, std::pow(points[i].speed, 2) - std::pow(points[i].noise, 2)));
    };
    const double longer = timeBelow(level, points, [&](std::size_t i) { return speed(i) - lost(i); });
    const double shorter = timeBelow(level, points, [&](std::size_t i) { return speed(i) + lost(i); });
    return std::hypot(summarise(drawn)->sd, (longer - shorter) / 2.0);
}

} // namespace

WayLength lengthOfWay(const std::vector<MovingPoint>& points) {
    WayLength out;
    // Speed over time. E|speed + noise| exceeds |speed| by what the noise across the way adds, half its square over the
    // speed; near rest the noise along the way adds as much. That is taken off.
    for (std::size_t i = 1; i < points.size(); ++i)
        for (const auto* p : {&points[i - 1], &points[i]}) {
            const double dt = points[i].time - points[i - 1].time, fast = p->velocity.norm();
            const double still = fast > 0.0 ? std::min(1.0, std::pow(2.0 * p->noise / fast, 2)) : 1.0;
            const double without = std::sqrt(std::max(0.0, fast * fast - (1.0 + still) * p->noise * p->noise));
            out.length += 0.5 * dt * without;
            out.tooLong += 0.5 * dt * (fast - without);
        }
    return out;
}

double independentRate(const MeasureDefinition& d, const Motion& motion, const ViewSetup& setup) {
    if (const auto cutoff = slowestCutoff(motion, pointsOf(d), setup))
        return 2.0 * cutoff->value;
    const auto& time = motion.time();
    return time.frames() > 0 ? 1.0 / time.realPeriod(FrameIndex(0)) : 1.0;
}

std::optional<UnitLength> unitLengthOver(const MeasureDefinition& d, const Motion& motion, FrameIndex first,
                                         FrameIndex last, const ViewSetup& setup) {
    if (d.per.empty())
        return UnitLength{};
    MeasureDefinition segment;
    segment.kind = MeasureKind::gap;
    segment.points = d.per;
    segment.view = setup.view;
    double sum = 0.0, alike = 0.0, apart = 0.0;
    int n = 0;
    // Twenty frames say it as well as all: smoothed ends' errors hang together for a while, carried ones for longer.
    const int stride = std::max(1, (last - first) / 20);
    for (FrameIndex f = first; f <= last; f = f + stride)
        if (const auto r = readAt(segment, motion, f, setup)) {
            sum += r->value;
            alike += std::sqrt(std::max(0.0, r->u * r->u - r->own * r->own));
            apart += r->own;
            ++n;
        }
    if (n == 0 || !(sum > 0.0))
        return std::nullopt;
    const double span = motion.time().real(last).value - motion.time().real(first).value;
    const double pieces = std::clamp(independentRate(segment, motion, setup) * span, 1.0, static_cast<double>(n));
    return UnitLength{sum / n, std::hypot(alike, apart / std::sqrt(pieces)) / sum};
}

std::optional<Error> tooFewRead(std::size_t read, int all, const std::string& why, std::size_t least) {
    constexpr double kMostMissing = 0.1; // of the frames
    if (read >= least && static_cast<double>(read) >= (1.0 - kMostMissing) * all)
        return std::nullopt;
    return Error{why.empty() ? fill(say("measure", "only %1 of %2 frames can be read"),
                                    {std::to_string(read), std::to_string(all)})
                             : fill(say("measure", "only %1 of %2 frames can be read (%3)"),
                                    {std::to_string(read), std::to_string(all), why}),
                 {},
                 {},
                 {}};
}

Result<Reading> readSpeed(const MeasureDefinition& d, const Motion& motion, FrameIndex frame, const ViewSetup& setup) {
    if (!motion.time().captureKnown())
        return Error{say("measure", "the capture rate of this take is not set, so no speed can be read"), {}, {}, {}};
    std::optional<Eigen::Vector2d> along;
    if (d.direction) {
        along = inPicture(*d.direction, setup);
        if (!along)
            return Error{refusedByDirection(*d.direction), {}, {}, {}};
    }
    const auto p = movingPoint(d, motion, frame, setup);
    if (!p)
        return p.error();
    Reading r;
    r.value = along ? p->velocity.dot(*along) : p->velocity.norm();
    r.u = std::hypot(p->speed, p->scale * r.value);
    r.alike = {p->scaleShared * r.value};
    r.lost = std::sqrt(std::max(0.0, p->speed * p->speed - p->noise * p->noise));
    r.filled = p->filled;
    r.draft = p->draft;
    r.parts = p->parts;
    return r;
}

Result<std::vector<MovingPoint>> movingPoints(const MeasureDefinition& d, const Motion& motion, FrameIndex first,
                                              FrameIndex last, const ViewSetup& setup) {
    const int all = last - first + 1;
    if (all < 2)
        return Error{fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}), {}, {}, {}};
    const auto unit = unitLengthOver(d, motion, first, last, setup);
    if (!unit)
        return Error{say("measure", "the segment that is its unit of length is not marked"), {}, {}, {}};
    std::vector<MovingPoint> points;
    std::string why;
    for (FrameIndex f = first; f <= last; f = f + 1) {
        auto p = movingPoint(d, motion, f, setup, &*unit);
        if (p)
            points.push_back(std::move(*p));
        else if (why.empty())
            why = p.error().text();
    }
    if (auto few = tooFewRead(points.size(), all, why))
        return std::move(*few);
    return points;
}

namespace {

// A point's way over a span, and a value of it in the making.
struct Moved {
    std::vector<MovingPoint> points;
    MeasureValue value;
    double own = 0.0, scale = 0.0, shared = 0.0; // the largest of the points'
};

Result<Moved> movedOver(const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
    auto points = movingPoints(in.definition, in.motion, from.frame, until.frame, in.setup);
    if (!points)
        return points.error();
    Moved m;
    m.points = std::move(*points);
    m.value.measure = in.definition.id;
    m.value.frames = {m.points.front().frame, m.points.back().frame};
    for (const auto& p : m.points) {
        m.value.draft = m.value.draft || p.draft;
        if (p.filled)
            m.value.reason = say("measure", "read from a filled gap, in part");
        m.own = std::max(m.own, p.own);
        m.scale = std::max(m.scale, p.scale);
        m.shared = std::max(m.shared, p.scaleShared);
    }
    return m;
}

// What the phase holds more or less of because its ends lie between two frames, s at each end times a rate there.
double ofEnds(const std::vector<MovingPoint>& points, const PlacedPosition& from, const PlacedPosition& until,
              const std::function<double(const MovingPoint&)>& rate) {
    return rate(points.back()) * until.shift - rate(points.front()) * from.shift;
}

// A value with its errors of marks and instants put together.
MeasureValue whole(MeasureValue v) {
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

MeasureValue overPath(const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
    const MeasureDefinition& d = in.definition;
    const auto& time = in.motion.time();
    auto moved = movedOver(in, from, until);
    if (!moved)
        return refuse(d, moved.error().text());
    auto& [points, v, own, scale, shared] = *moved;
    const double independent = independentRate(d, in.motion, in.setup);
    const auto [length, tooLong] = lengthOfWay(points);
    const Way way = wayOf(points, d, in.setup);
    const Eigen::Vector2d chord = points.back().at - points.front().at;
    const double ends = std::hypot(points.front().sigma, points.back().sigma); // along the way, at both ends
    // Where the way bends, errors across it lengthen the one side and shorten the other: smoothed ones once for
    // each piece of 1/18 s.
    const double bent =
        own * way.turning / std::sqrt(std::max(1.0, independent * (points.back().time - points.front().time)));
    const double taken = kTakenFromWay * tooLong;
    const double uLength = std::hypot(std::hypot(ends, bent), taken, scale * length);
    if (d.aspect == Aspect::length) {
        v.value = length + ofEnds(points, from, until, [](const MovingPoint& p) { return p.velocity.norm(); });
        v.uShared = shared * v.value;
        v.uMarks = uLength;
        // More or less of the way lies between the positions.
        const auto edge = [&](const MovingPoint& p, const PlacedPosition& at) {
            return p.velocity.norm() * instantError(at, time);
        };
        v.uTime = std::hypot(edge(points.front(), from), edge(points.back(), until));
    } else if (d.aspect == Aspect::straightness) {
        double reach = 0.0;
        for (const auto& p : points)
            reach = std::max(reach, (p.at - points.front().at).norm());
        if (!(reach > 6.0 * own) || !(length > 0.0))
            return refuse(d, say("measure", "it does not move clearly more than its marks are unsure"));
        v.value = std::min(1.0, chord.norm() / length);
        // An end's error moves the chord along itself and the way along its tangent: on a straight way alike, so
        // that they cancel.
        const auto apart = [&](const MovingPoint& end) {
            // At rest the tangent is not known: it is that of the nearest clear movement.
            const MovingPoint* nearest = nullptr;
            for (const auto& p : points)
                if (p.velocity.norm() > 3.0 * p.noise &&
                    (!nearest || std::abs(p.time - end.time) < std::abs(nearest->time - end.time)))
                    nearest = &p;
            const double share = nearest == &end ? 1.0 : 0.5;
            const double across =
                chord.norm() > 0.0 && nearest ? share * chord.normalized().dot(nearest->velocity.normalized()) : 0.0;
            return end.sigma * std::sqrt(std::max(0.0, 1.0 + v.value * v.value - 2.0 * v.value * across));
        };
        v.uMarks =
            std::hypot(std::hypot(apart(points.front()), apart(points.back())), v.value * bent, v.value * taken) /
            length;
    } else {
        // A turn back that the marks' errors could make is none: three standard errors of a difference.
        const double hysteresis = 3.0 * std::sqrt(2.0) * own;
        v.value = reversals(way.along, hysteresis);
        v.uMarks = 0.5 * std::abs(reversals(way.along, 0.7 * hysteresis) - reversals(way.along, 1.4 * hysteresis));
    }
    return whole(std::move(v));
}

MeasureValue overStillness(const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
    const auto& time = in.motion.time();
    auto moved = movedOver(in, from, until);
    if (!moved)
        return refuse(in.definition, moved.error().text());
    auto& [points, v, own, scale, shared] = *moved;
    readStillness(in.definition, points, time, instantError(from, time), instantError(until, time),
                  independentRate(in.definition, in.motion, in.setup), v);
    v.uMarks = std::hypot(v.uMarks, scale * v.value);
    v.uShared = shared * v.value;
    return whole(std::move(v));
}

MeasureValue overDwell(const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
    const MeasureDefinition& d = in.definition;
    const auto& time = in.motion.time();
    if (!time.captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no time can be read"));
    auto moved = movedOver(in, from, until);
    if (!moved)
        return refuse(d, moved.error().text());
    const auto& points = moved->points;
    MeasureValue& v = moved->value;
    v.value = timeBelow(d.level, points, [&](std::size_t i) {
        return speedWithoutNoise(points[i].velocity.norm(), 0.0, points[i].noise);
    });
    v.value +=
        ofEnds(points, from, until, [&](const MovingPoint& p) { return p.velocity.norm() <= d.level ? 1.0 : 0.0; });
    v.uMarks = dwellError(d.level, points, slowestCutoff(in.motion, d.points, in.setup));
    const auto edge = [&](const MovingPoint& p, const PlacedPosition& at) {
        return p.velocity.norm() <= d.level ? instantError(at, time) : 0.0;
    };
    v.uTime = std::hypot(edge(points.front(), from), edge(points.back(), until));
    return whole(std::move(v));
}

constexpr std::array kPathAspects = {Aspect::length, Aspect::straightness, Aspect::detours};

} // namespace

constinit const KindSpec kSpeed = {
    .points = {1, 2},
    .quantity = QuantityKind::speed,
    .lengthwise = true,
    .readAt = readSpeed,
    .peak = [](const MeasureDefinition&, double value, double lost,
               bool largest) { return largest ? value + lost : value; },
};

constinit const KindSpec kPath = {
    .points = {1, 2},
    .aspects = kPathAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::length ? QuantityKind::length : QuantityKind::number;
        },
    .ofSpan = true,
    .lengthwise = true,
    .over = overPath,
};

constinit const KindSpec kStillness = {
    .points = {1, 2},
    .quantity = QuantityKind::length,
    .ofSpan = true,
    .lengthwise = true,
    .over = overStillness,
};

constinit const KindSpec kDwell = {
    .points = {1, 2},
    .quantity = QuantityKind::time,
    .ofSpan = true,
    .lengthwise = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.level > 0.0 ? "" : say("problem", "a dwell needs the “level” of speed below which it counts");
    },
    .over = overDwell,
};

} // namespace riflesso
