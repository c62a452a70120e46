#include "core/measure/kinds/cyclic.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include "core/measure/kinds/times.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {
namespace {

double realInstant(const PlacedPosition& p, const Timebase& time) {
    return time.real(p.frame).value + p.shift;
}

void noteSamples(MeasureValue& v, const std::vector<MovingPoint>& points) {
    for (const auto& p : points) {
        v.draft = v.draft || p.draft;
        if (p.filled)
            v.reason = say("measure", "read from a filled gap, in part");
    }
}

// Smallest distance of two points over the frames on which both are in front of the third, when there is one.
MeasureValue evaluateNearest(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                             const PlacedPosition& until, const ViewSetup& setup) {
    MeasureDefinition apart = d;
    apart.kind = MeasureKind::gap;
    apart.points = {d.points[0], d.points[1]};
    apart.direction.reset();
    MeasureValue v;
    v.measure = d.id;
    int ahead = 0;
    std::size_t readable = 0;
    for (FrameIndex f = from.frame; f <= until.frame; f = f + 1) {
        const auto r = readAt(apart, motion, f, setup);
        if (!r)
            continue;
        ++readable;
        bool both = true;
        for (std::size_t i = 0; d.points.size() == 3 && i < 2; ++i) {
            MeasureDefinition lead = apart;
            lead.kind = MeasureKind::order;
            lead.points = {d.points[i], d.points[2]};
            lead.direction = d.direction;
            const auto l = readAt(lead, motion, f, setup);
            both = both && l && l->value > 0.0;
        }
        if (!both)
            continue;
        if (++ahead == 1 || r->value < v.value) {
            v.value = r->value;
            v.uMarks = r->u;
            v.uShared = rootOfSquares(r->alike);
            v.frames = {f};
        }
        v.draft = v.draft || r->draft;
    }
    const int all = until.frame - from.frame + 1;
    if (all < 2)
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}));
    if (const auto few = tooFewRead(readable, all, {}))
        return refuse(d, few->text());
    if (ahead == 0)
        return refuse(d, say("measure", "the two are never in front at the same time"));
    v.u = v.uMarks;
    return v;
}

struct CountedContacts {
    int landings = 0, standing = 0;
    std::vector<double> firstLanding; // real time by foot; NaN without one
    double error = 0.0;               // of the landings, from frames and marks
    std::vector<FrameIndex> frames;
};

// When a foot lands, and its standard error, both s. The instant at which the last of both limits is passed: the speed
// falls below its own, the point sinks below the other. What smoothing takes off a landing's speed delays both feet
// alike.
std::pair<double, double> landingOf(const std::vector<MovingPoint>& foot, std::size_t first, double level,
                                    double height, double independent) {
    const auto &before = foot[first - 1], &after = foot[first];
    const double lowest = lowestOf(foot, independent);
    const double frame = after.time - before.time;
    std::pair<double, double> out{before.time, frame / std::sqrt(12.0)};
    bool any = false;
    const auto pass = [&](double a, double b, double noise) { // from above 0 to below it
        if (a <= 0.0)
            return;
        const double rate = (a - b) / frame;
        if (const double at = before.time + a / rate; at > out.first || !any)
            out = {at, noise / rate};
        any = true;
    };
    pass(before.velocity.norm() - level, after.velocity.norm() - level, std::max(before.noise, after.noise));
    pass(lowest - before.at.y() - height, lowest - after.at.y() - height, std::max(before.own, after.own));
    return out;
}

// Contacts from the first key position on, with limits that are so much wider. \p from: where the standing are counted.
CountedContacts countContacts(const std::vector<std::vector<MovingPoint>>& feet, const MeasureDefinition& d,
                              double factor, FrameIndex from, double independent) {
    CountedContacts c;
    for (const auto& foot : feet) {
        c.firstLanding.push_back(std::nan(""));
        for (const auto& contact : contactsOf(foot, d.level * factor, d.height * factor, independent)) {
            if (contact.begins) {
                ++c.landings;
                c.frames.push_back(foot[contact.first].frame);
                if (std::isnan(c.firstLanding.back())) {
                    const auto [when, u] =
                        landingOf(foot, contact.first, d.level * factor, d.height * factor, independent);
                    c.firstLanding.back() = when;
                    c.error = std::hypot(c.error, u);
                }
            }
            c.standing += foot[contact.first].frame <= from && foot[contact.last].frame >= from;
        }
    }
    return c;
}

} // namespace

MeasureValue evaluateCadence(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                             const PlacedPosition& until, const ViewSetup& setup) {
    const auto& time = motion.time();
    if (d.aspect != Aspect::length && !time.captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no time can be read"));
    const double span = realInstant(until, time) - realInstant(from, time);
    if (!(span > 0.0))
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}));
    MeasureValue v;
    v.measure = d.id;
    v.frames = {from.frame, until.frame};
    const double uFrom = instantError(from, time), uUntil = instantError(until, time);
    if (d.aspect == Aspect::rate) {
        v.value = 60.0 * d.cycles / span;
        v.uTime = v.value * std::hypot(uFrom, uUntil) / span;
        v.u = v.uTime;
        return v;
    }
    std::optional<Eigen::Vector2d> along;
    if (d.direction && !(along = inPicture(*d.direction, setup)))
        return refuse(d, refusedByDirection(*d.direction));
    const auto unit = unitLengthOver(d, motion, from.frame, until.frame, setup);
    if (!unit)
        return refuse(d, say("measure", "the segment that is its unit of length is not marked"));
    const auto a = movingPoint(d, motion, from.frame, setup, &*unit);
    const auto b = movingPoint(d, motion, until.frame, setup, &*unit);
    if (!a || !b)
        return refuse(d, (a ? b : a).error().text());
    noteSamples(v, {*a, *b});
    // The places at the instants themselves, between two frames.
    const Eigen::Vector2d way = b->at + b->velocity * until.shift - a->at - a->velocity * from.shift;
    const Eigen::Vector2d main = along              ? *along
                                 : way.norm() > 0.0 ? Eigen::Vector2d(way.normalized())
                                                    : Eigen::Vector2d(1, 0);
    const double length = way.dot(main) / d.cycles;
    // The ends are the same moment of two cycles: what both are off alike drops out.
    const auto alike = [](const MovingPoint& p) { return std::sqrt(std::max(0.0, p.sigma * p.sigma - p.own * p.own)); };
    const double ends = std::hypot(a->own, b->own, alike(*b) - alike(*a)) / d.cycles;
    const double scale = std::max(a->scale, b->scale) * std::abs(length);
    const double vA = a->velocity.dot(main), vB = b->velocity.dot(main);
    if (d.aspect == Aspect::length) {
        v.value = length;
        v.uMarks = std::hypot(ends, scale);
        v.uTime = std::hypot(vA * uFrom, vB * uUntil) / d.cycles;
    } else {
        const double period = span / d.cycles;
        v.value = length / period;
        v.uMarks = std::hypot(ends, scale) / period;
        // An instant set too late lengthens way and time alike: only what the point is faster there than on the whole.
        v.uTime = std::hypot((vA - v.value) * uFrom, (vB - v.value) * uUntil) / span;
    }
    v.uShared = std::max(a->scaleShared, b->scaleShared) * std::abs(v.value);
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

MeasureValue evaluateOverlap(const MeasureDefinition& d, const Motion& motion, const Positions& positions,
                             const ViewSetup& setup) {
    const auto& time = motion.time();
    if (d.aspect == Aspect::nearest)
        return evaluateNearest(d, motion, positions.at(d.at), positions.at(d.until), setup);
    const auto instants = instantsOf(d, positions, time);
    if (!instants)
        return refuse(d, instants.error().text());
    MeasureValue v;
    v.measure = d.id;
    v.frames = instants->frames;
    if (!(instants->at.at(d.until) > instants->at.at(d.at)))
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}));
    const auto value = [&](const std::map<PositionId, double>& t) {
        const double cycle = t.at(d.until) - t.at(d.at);
        // From one event to the next, counted on into the following cycle where it lies before.
        const auto later = [&](std::size_t a, std::size_t b) {
            const double share = (t.at(d.events[b]) - t.at(d.events[a])) / cycle;
            return share - std::floor(share);
        };
        switch (d.aspect) {
        case Aspect::phase:
            return later(0, 2);
        case Aspect::duty:
            return later(0, 1);
        default:
            return later(0, 1) + later(2, 3) - 1.0; // both on less neither on
        }
    };
    v.value = value(instants->at);
    v.uTime = errorOf(*instants, value, 1.0);
    v.u = v.uTime;
    return v;
}

double lowestOf(const std::vector<MovingPoint>& points, double independent) {
    const auto lowest = std::max_element(points.begin(), points.end(), [](const MovingPoint& a, const MovingPoint& b) {
        return a.at.y() < b.at.y(); // y is down
    });
    const auto near = std::count_if(points.begin(), points.end(), [&](const MovingPoint& p) {
        return lowest->at.y() - p.at.y() < 3.0 * lowest->own;
    });
    const double frame = (points.back().time - points.front().time) / static_cast<double>(points.size());
    const double pieces = std::max(1.0, independent * frame * static_cast<double>(near));
    return lowest->at.y() - 0.85 * std::sqrt(2.0 * std::log(pieces)) * lowest->own;
}

std::vector<Contact> contactsOf(const std::vector<MovingPoint>& points, double level, double height,
                                double independent) {
    std::vector<Contact> out;
    if (points.empty())
        return out;
    const double lowest = lowestOf(points, independent);
    bool on = false;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double speed = points[i].velocity.norm(), above = lowest - points[i].at.y();
        const bool stands = above < height && speed < (on ? 1.5 * level : level);
        if (stands && !on) {
            const bool goesOn = !out.empty() && i - out.back().last <= 3;
            if (goesOn)
                out.back().last = i;
            else
                out.push_back({i, i, i > 0});
        } else if (stands) {
            out.back().last = i;
        }
        on = stands;
    }
    std::erase_if(out, [](const Contact& c) { return c.last == c.first; });
    return out;
}

MeasureValue evaluateContacts(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                              const PlacedPosition& until, const ViewSetup& setup) {
    const auto& time = motion.time();
    if (!time.captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no speed can be read"));
    MeasureValue v;
    v.measure = d.id;
    std::vector<std::vector<MovingPoint>> feet;
    for (const auto& point : d.points) {
        MeasureDefinition one = d;
        one.points = {point};
        auto read = movingPoints(one, motion, from.frame, until.frame, setup);
        if (!read)
            return refuse(d, read.error().text());
        noteSamples(v, *read);
        feet.push_back(std::move(*read));
    }
    const double independent = independentRate(d, motion, setup);
    const auto count = [&](double factor) { return countContacts(feet, d, factor, from.frame, independent); };
    const CountedContacts usual = count(1.0);
    // The same again with limits a third narrower and wider: what depends on the limits is not sure.
    const auto moved = [&](auto CountedContacts::*of) {
        return std::abs(count(1.0 / 1.35).*of - count(1.35).*of) / 2.0;
    };
    const double step = time.realPeriod(from.frame) / std::sqrt(12.0);
    switch (d.aspect) {
    case Aspect::count:
        v.value = usual.landings;
        v.uMarks = moved(&CountedContacts::landings);
        v.frames = usual.frames;
        break;
    case Aspect::feet:
        v.value = usual.standing;
        v.uMarks = moved(&CountedContacts::standing);
        v.frames = {from.frame};
        break;
    default: {
        const auto between = [](const CountedContacts& c) { return c.firstLanding[1] - c.firstLanding[0]; };
        if (std::isnan(between(usual)))
            return refuse(d, std::isnan(usual.firstLanding[0])
                                 ? say("measure", "no landing of the first foot is seen")
                                 : say("measure", "no landing of the second foot is seen"));
        v.value = between(usual);
        // The limits are part of what is asked; what marks' errors make of them is not.
        double unsure = 0.02;
        for (const auto& foot : feet)
            for (const auto& p : foot)
                unsure = std::max({unsure, p.noise / d.level, p.own / d.height});
        unsure = 1.0 + std::min(unsure, 0.35);
        const double early = between(count(1.0 / unsure)), late = between(count(unsure));
        // It is the noise that is counted at the landings already, and what is seen of it there may be too little.
        const double range = std::isnan(early) || std::isnan(late) ? 2.0 * step : std::abs(early - late) / 2.0;
        v.uTime = std::max(usual.error, range);
        v.frames = usual.frames;
    }
    }
    if (v.frames.empty())
        v.frames = {from.frame, until.frame};
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

SpeedChange speedChange(const CadenceValue& before, const CadenceValue& after) {
    const double meanLength = (before.length + after.length) / 2.0, meanRate = (before.rate + after.rate) / 2.0;
    const double byRate = after.rate - before.rate, byLength = after.length - before.length;
    SpeedChange c;
    c.byRate = byRate * meanLength;
    c.byLength = byLength * meanRate;
    c.uRate = std::hypot(meanLength * std::hypot(before.uRate, after.uRate),
                         byRate / 2.0 * std::hypot(before.uLength, after.uLength));
    c.uLength = std::hypot(meanRate * std::hypot(before.uLength, after.uLength),
                           byLength / 2.0 * std::hypot(before.uRate, after.uRate));
    return c;
}

static constexpr std::array kCadenceAspects = {Aspect::rate, Aspect::length, Aspect::speed};
static constexpr std::array kOverlapAspects = {Aspect::together, Aspect::phase, Aspect::duty, Aspect::nearest};
static constexpr std::array kContactsAspects = {Aspect::count, Aspect::first, Aspect::feet};

constinit const KindSpec kCadence = {
    .pointsOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::rate ? PointCount{0, 0} : PointCount{1, 2};
        },
    .aspects = kCadenceAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::rate     ? QuantityKind::perMinute
                   : d.aspect == Aspect::length ? QuantityKind::length
                                                : QuantityKind::speed;
        },
    .ofSpan = true,
    .lengthwise = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.cycles > 0.0 ? "" : say("problem", "“cycles” must be positive");
    },
    .over =
        [](const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
            return evaluateCadence(in.definition, in.motion, from, until, in.setup);
        },
};

constinit const KindSpec kOverlap = {
    .pointsOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::nearest ? PointCount{2, 3} : PointCount{0, 0};
        },
    .aspects = kOverlapAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::nearest ? QuantityKind::length : QuantityKind::number;
        },
    .ofSpan = true,
    .lengthwise = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        if (d.points.size() == 3 && !d.direction)
            return say("problem", "a third point needs the “direction” in which the two are in front of it");
        return d.aspect != Aspect::nearest && d.events.size() != 4
                   ? say("problem", "an overlap needs four “events”: first on, first off, second on, second off")
                   : "";
    },
    .over = [](const RepInput& in, const PlacedPosition&,
               const PlacedPosition&) { return evaluateOverlap(in.definition, in.motion, in.positions, in.setup); },
};

std::string problemOfFeet(const MeasureDefinition& d) {
    return d.level > 0.0 && d.height > 0.0
               ? ""
               : say("problem", "contacts need the “level” of speed and the “height” below which a foot stands");
}

constinit const KindSpec kContacts = {
    .pointsOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::first ? PointCount{2, 2} : PointCount{1, 4};
        },
    .aspects = kContactsAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::first ? QuantityKind::time : QuantityKind::number;
        },
    .ofSpan = true,
    .lengthwise = true,
    .upright = true,
    .problem = problemOfFeet,
    .over =
        [](const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
            return evaluateContacts(in.definition, in.motion, from, until, in.setup);
        },
};

} // namespace riflesso
