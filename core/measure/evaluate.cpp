#include "core/measure/evaluate.h"
#include "core/words/say.h"

#include "core/measure/kinds/kind.h"
#include "core/measure/phase.h"
#include "core/measure/reading.h"
#include "core/motion/draft_error.h"

#include <algorithm>
#include <cmath>
#include <numeric>

namespace riflesso {
namespace {

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

} // namespace

double rootOfSquares(std::span<const double> parts) {
    return std::sqrt(std::inner_product(parts.begin(), parts.end(), parts.begin(), 0.0));
}

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

namespace {
MeasureValue evaluateKind(const MeasureDefinition& d, const Motion& motion, const Positions& positions,
                          const ViewSetup& setup, const RepFacts& facts) {
    if (const auto problem = problemOf(d); !problem.empty())
        return refuse(d, problem);
    const KindSpec& spec = specOf(d.kind);
    const RepInput in{d, motion, positions, setup, facts};
    if (spec.noted)
        return spec.ofRep(in);
    if (spec.acrossReps)
        return refuse(d, say("measure", "it is read over several reps"));
    if (!serves(setup.view, d.view))
        return refuse(d, refusedByView(d));
    if (spec.ofRep)
        return spec.ofRep(in);
    const auto at = positions.find(d.at);
    if (at == positions.end())
        return refuse(d, fill(say("measure", "key position “%1” is not placed"), {d.at}));
    if (needsUntil(d)) {
        const auto until = positions.find(d.until);
        if (until == positions.end())
            return refuse(d, fill(say("measure", "key position “%1” is not placed"), {d.until}));
        return spec.over ? spec.over(in, at->second, until->second)
                         : evaluateOver(d, motion, at->second, until->second, setup);
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
    v.uShared = rootOfSquares(reading->alike);
    v.frames = {frame};
    v.draft = reading->draft;
    const double shift = at->second.shift;
    const FrameIndex beside = frame + (shift < 0.0 ? -1 : 1);
    const auto next = shift != 0.0 ? readAt(d, motion, beside, setup) : reading;
    const auto rate = rateAt(d, motion, frame, setup, positions);
    if (shift != 0.0 && next) // the instant lies between two frames that are read
        v.value += difference(d, next->value, reading->value) * shift /
                   (motion.time().real(beside).value - motion.time().real(frame).value);
    else if (rate)
        v.value += rate->value * shift;
    if (rate) {
        v.rate = rate->value;
        v.uTime = rate->either * instantError(at->second, motion.time());
    } else {
        v.reason = say("measure", "only this frame is marked: the error of the instant is not counted");
    }
    if (reading->filled)
        v.reason = say("measure", "read from a filled gap");
    v.u = std::hypot(v.uMarks, v.uTime);
    return v;
}

} // namespace

MeasureValue evaluate(const MeasureDefinition& d, const Motion& motion, const Positions& positions,
                      const ViewSetup& setup, const RepFacts& facts) {
    MeasureValue v = evaluateKind(d, motion, positions, setup, facts);
    // A body model errs alike in every rep that it reads.
    if (v.draft && !v.refused)
        v.uShared = std::sqrt(v.uShared * v.uShared +
                              kDraftInCommon * std::max(0.0, v.uMarks * v.uMarks - v.uShared * v.uShared));
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
