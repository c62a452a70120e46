#include "core/measure/kinds/derived.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include "core/measure/kinds/cyclic.h"
#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

MeasureValue evaluateSymmetry(const MeasureDefinition& d, const Motion& motion, const Positions& positions,
                              const ViewSetup& setup) {
    if (d.base.size() != 2)
        return refuse(d, say("measure", "the measures that it compares are not known"));
    const auto reference = evaluate(*d.base[0], motion, positions, setup);
    const auto other = evaluate(*d.base[1], motion, positions, setup);
    for (const auto* v : {&reference, &other})
        if (v->refused)
            return refuse(d, d.base[v == &other]->name + ": " + v->reason);
    MeasureValue v;
    v.measure = d.id;
    v.draft = reference.draft || other.draft;
    v.frames = reference.frames;
    v.frames.insert(v.frames.end(), other.frames.begin(), other.frames.end());
    const double difference = other.value - reference.value;
    if (d.aspect == Aspect::difference) {
        v.value = difference;
        v.uMarks = std::hypot(reference.uMarks, other.uMarks);
        v.uTime = std::hypot(reference.uTime, other.uTime);
        v.uShared = std::hypot(reference.uShared, other.uShared);
    } else {
        const double size = std::abs(reference.value);
        if (!(size > 3.0 * reference.u))
            return refuse(d, say("measure", "the reference is hardly different from 0: no share of it can be told"));
        const double share = other.value / size;
        v.value = 100.0 * difference / size;
        v.uMarks = 100.0 * std::hypot(other.uMarks, share * reference.uMarks) / size;
        v.uTime = 100.0 * std::hypot(other.uTime, share * reference.uTime) / size;
        v.uShared = 100.0 * std::hypot(other.uShared, share * reference.uShared) / size;
    }
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

MeasureValue evaluateRecovery(const MeasureDefinition& d, const Motion& motion, const PlacedPosition& from,
                              const PlacedPosition& until, const ViewSetup& setup) {
    const auto& time = motion.time();
    if (d.base.empty())
        return refuse(d, say("measure", "the measure that should come back is not known"));
    if (!time.captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no time can be read"));
    const int all = until.frame - from.frame + 1;
    if (all < 3)
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.until, d.at}));
    struct Seen {
        FrameIndex frame;
        double time, outside, u; // outside: beyond the band; below 0 inside it
    };
    std::vector<Seen> seen;
    MeasureValue v;
    v.measure = d.id;
    std::string why;
    for (FrameIndex f = from.frame; f <= until.frame; f = f + 1) {
        const auto r = readAt(*d.base[0], motion, f, setup);
        if (!r) {
            why = why.empty() ? r.error().text() : why;
            continue;
        }
        seen.push_back({f, time.real(f).value, std::max(d.lo - r->value, r->value - d.hi), r->u});
        v.draft = v.draft || r->draft;
    }
    if (const auto few = tooFewRead(seen.size(), all, why))
        return refuse(d, few->text());
    // Back for good: the last frame outside is followed by the crossing. Noise at the edge is no new loss.
    std::size_t last = seen.size();
    for (std::size_t i = seen.size(); i-- > 0;)
        if (seen[i].outside > 0.0) {
            last = i;
            break;
        }
    const double begins = time.real(from.frame).value + from.shift;
    if (last + 1 >= seen.size() && last < seen.size())
        return refuse(d, fill(say("measure", "it is not back before “%1”"), {d.until}));
    double back = begins;
    if (last < seen.size()) {
        const auto &a = seen[last], &b = seen[last + 1];
        back = a.time + (b.time - a.time) * a.outside / std::max(1e-12, a.outside - b.outside);
        // How fast it comes in, over some frames, turns the value's error into time.
        const std::size_t early = last >= 2 ? last - 2 : 0, late = std::min(last + 3, seen.size() - 1);
        const double rate = (seen[early].outside - seen[late].outside) / (seen[late].time - seen[early].time);
        const double widest = seen.back().time - begins;
        v.uMarks = rate > 0.0 ? std::min(widest, a.u / rate) : widest;
        v.frames = {from.frame, b.frame};
    } else {
        v.frames = {from.frame};
    }
    v.uTime = instantError(from, time);
    v.value = back - begins;
    if (d.aspect == Aspect::steps) {
        MeasureDefinition landings = d;
        landings.kind = MeasureKind::contacts;
        landings.aspect = Aspect::count;
        const FrameIndex end = std::max(v.frames.back(), from.frame + 2);
        const auto counted = evaluateContacts(landings, motion, from, {end, {}}, setup);
        if (counted.refused)
            return counted;
        v.value = counted.value;
        v.uMarks = counted.uMarks;
        v.uTime = 0.0;
    }
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

MeasureValue evaluateNoted(const MeasureDefinition& d, const Positions& positions, const RepFacts& facts) {
    std::optional<double> noted = d.kind == MeasureKind::choice ? facts.choice
                                  : d.aspect == Aspect::score   ? facts.score
                                                                : facts.effect;
    if (d.kind == MeasureKind::seen) {
        const auto it = facts.seen.find(d.checkpoint);
        noted = it == facts.seen.end() ? std::nullopt : std::optional(it->second);
    }
    if (!noted)
        return refuse(
            d, d.kind == MeasureKind::seen                                  ? say("measure", "not judged by eye yet")
               : d.aspect == Aspect::score && d.kind == MeasureKind::effect ? say("measure", "its score is not noted")
               : d.kind == MeasureKind::effect ? say("measure", "whether it worked is not noted")
                                               : say("measure", "situation or choice is not noted, or no rule tells"));
    MeasureValue v;
    v.measure = d.id;
    v.value = *noted;
    if (const auto at = positions.find(d.at); at != positions.end())
        v.frames = {at->second.frame};
    return v;
}

std::optional<Spread> spreadOf(std::span<const double> values, std::span<const double> errors) {
    const auto s = summarise(values);
    if (!s || s->n < 3)
        return std::nullopt;
    Spread out;
    out.all = s->sd;
    double square = 0.0;
    for (const double u : errors)
        square += u * u / static_cast<double>(errors.size());
    out.marking = std::sqrt(square);
    const double freedom = s->n - 1.0, left = std::sqrt(std::max(0.0, s->sd * s->sd - square));
    // The root of an unbiased s² is too small on the average: c₄ = 1 − 1/(4(n − 1)) of it, to first order (textbook).
    out.athlete = left * (1.0 + 0.25 / freedom);
    // Var(s²) = 2 σ⁴ / (n − 1) for normal values. Its root by first order while s² stands out of its own error; below
    // that the slope of the root says nothing, and what may lie between 0 and that error grows to 0.85 of its root.
    // That figure and the widening for few reps were found by draws (test_rhythm).
    const double unsure = s->sd * std::pow(2.0 / freedom, 0.25);
    out.u = left > unsure ? unsure * unsure / (2.0 * left) : 0.85 * unsure - 0.35 * left;
    out.u *= 1.0 + 1.0 / freedom;
    return out;
}

std::optional<Drift> driftOf(std::span<const double> times, std::span<const double> values) {
    const auto line = fitLine(times, values);
    if (!line || values.size() < 3)
        return std::nullopt;
    const auto [early, late] = std::minmax_element(times.begin(), times.end());
    Drift out;
    out.change = line->slope * (*late - *early);
    const double half =
        line->uSlope * (*late - *early) * studentQuantile(0.975, static_cast<double>(values.size()) - 2.0);
    out.interval = {out.change - half, out.change + half};
    out.u = half / 1.96; // of few reps wider than the regression's own, so that 1.96 u is the t interval
    return out;
}

namespace {

QuantityKind asItsBase(const MeasureDefinition&) {
    return QuantityKind::asBase;
}

MeasureValue asNoted(const RepInput& in) {
    return evaluateNoted(in.definition, in.positions, in.facts);
}

constexpr std::array kRecoveryAspects = {Aspect::time, Aspect::steps};
constexpr std::array kSymmetryAspects = {Aspect::share, Aspect::difference};
constexpr std::array kEffectAspects = {Aspect::worked, Aspect::score};

} // namespace

constinit const KindSpec kRecovery = {
    .pointsOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::steps ? PointCount{1, 4} : PointCount{0, 0};
        },
    .aspects = kRecoveryAspects,
    .others = 1,
    .quantityOf =
        [](const MeasureDefinition& d) { return d.aspect == Aspect::time ? QuantityKind::time : QuantityKind::number; },
    .ofSpan = true,
    .derived = true,
    .lengthwise = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        if (d.aspect == Aspect::steps)
            if (auto feet = problemOfFeet(d); !feet.empty())
                return feet;
        if (!(d.lo < d.hi))
            return say("problem", "a recovery needs the band “lo” to “hi” in which it is back");
        for (const auto& b : d.base)
            if (isOfSpan(b->kind) || b->reduction != Reduction::at)
                return fill(say("problem", "“%1” has no value on a single frame, so nothing can come back"), {b->id});
        return {};
    },
    .over =
        [](const RepInput& in, const PlacedPosition& from, const PlacedPosition& until) {
            return evaluateRecovery(in.definition, in.motion, from, until, in.setup);
        },
};

constinit const KindSpec kSymmetry = {
    .aspects = kSymmetryAspects,
    .others = 2,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::share ? QuantityKind::percent : QuantityKind::asBase;
        },
    .derived = true,
    .ofRep = [](const RepInput& in) { return evaluateSymmetry(in.definition, in.motion, in.positions, in.setup); },
};

// Over reps: core/mirror reads them.
constinit const KindSpec kSpread = {.others = 1, .quantityOf = asItsBase, .derived = true, .acrossReps = true};
constinit const KindSpec kDrift = {.others = 1, .quantityOf = asItsBase, .derived = true, .acrossReps = true};

constinit const KindSpec kSeen = {
    .noted = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.checkpoint.empty() ? say("problem", "a measure of kind seen needs its “checkpoint”") : "";
    },
    .ofRep = asNoted,
};

constinit const KindSpec kEffect = {
    .aspects = kEffectAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::score ? QuantityKind::score : QuantityKind::number;
        },
    .noted = true,
    .ofRep = asNoted,
};

constinit const KindSpec kChoice = {.noted = true, .ofRep = asNoted};

} // namespace riflesso
