#include "core/measure/kinds/times.h"
#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include "core/measure/kinds/movement.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

Result<Instants> instantsOf(const MeasureDefinition& d, const Positions& positions, const Timebase& time) {
    Instants out;
    for (const auto& id : positionsOf(d)) {
        const auto p = positions.find(id);
        if (p == positions.end())
            return Error{fill(say("measure", "key position “%1” is not placed"), {id}), {}, {}, {}};
        out.at[id] = time.real(p->second.frame).value + p->second.shift;
        out.errors[id] = instantError(p->second, time);
        out.frames.push_back(p->second.frame);
    }
    std::sort(out.frames.begin(), out.frames.end());
    out.frames.erase(std::unique(out.frames.begin(), out.frames.end()), out.frames.end());
    return out;
}

double errorOf(const Instants& instants, const std::function<double(const std::map<PositionId, double>&)>& figure,
               double turn) {
    double variance = 0.0;
    for (const auto& [id, u] : instants.errors) {
        auto early = instants.at, late = instants.at;
        early[id] -= u;
        late[id] += u;
        const double twice = figure(late) - figure(early);
        variance += std::pow((turn > 0.0 ? std::remainder(twice, turn) : twice) / 2.0, 2);
    }
    return std::sqrt(variance);
}

MeasureValue evaluateInterval(const MeasureDefinition& d, const Positions& positions, const Timebase& time) {
    const bool ratio = d.aspect == Aspect::ratio;
    if (!ratio && !time.captureKnown())
        return refuse(d, say("measure", "the capture rate of this take is not set, so no time can be read"));
    const auto instants = instantsOf(d, positions, time);
    if (!instants)
        return refuse(d, instants.error().text());
    const auto figure = [&](const std::map<PositionId, double>& t) {
        const double span = t.at(d.until) - t.at(d.at);
        return ratio ? span / (t.at(d.events[1]) - t.at(d.events[0])) : span;
    };
    if (ratio && !(instants->at.at(d.events[1]) > instants->at.at(d.events[0])))
        return refuse(d, fill(say("measure", "“%1” does not lie after “%2”"), {d.events[1], d.events[0]}));
    MeasureValue v;
    v.measure = d.id;
    v.value = figure(instants->at);
    v.uTime = errorOf(*instants, figure);
    v.u = v.uTime;
    v.frames = instants->frames;
    return v;
}

static constexpr std::array kIntervalAspects = {Aspect::time, Aspect::ratio};

constinit const KindSpec kInterval = {
    .aspects = kIntervalAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::ratio ? QuantityKind::number : QuantityKind::time;
        },
    .ofSpan = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.aspect == Aspect::ratio && d.events.size() != 2
                   ? say("problem", "a ratio of times needs two “events”: the beginning and the end of the time that "
                                    "it is compared "
                                    "with")
                   : "";
    },
    .over = [](const RepInput& in, const PlacedPosition&,
               const PlacedPosition&) { return evaluateInterval(in.definition, in.positions, in.motion.time()); },
};

} // namespace riflesso
