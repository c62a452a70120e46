#include "casebook/analysts.h"

#include "casebook/repeat.h"
#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

std::optional<ReadingDifference> differenceOf(const CaseData& data, const Blueprint& blueprint,
                                              const std::string& measure, const std::string& first,
                                              const std::string& second) {
    ReadingDifference out;
    double squares = 0.0;
    for (const auto& [id, repeat] : data.repeats) {
        const auto take = data.takes.find(repeat.take);
        const auto marks = data.marks.find(repeat.take);
        if (take == data.takes.end() || marks == data.marks.end())
            continue;
        const std::string& by = take->second.markedBy;
        const double sign = by == first && repeat.analyst == second   ? 1.0
                            : by == second && repeat.analyst == first ? -1.0
                                                                      : 0.0;
        if (sign == 0.0)
            continue;
        for (const auto& agreed : agreementByMeasure(blueprint, take->second, marks->second, againOf(repeat)))
            if (agreed.measure == measure && agreed.limits) {
                out.more += sign * agreed.limits->bias * agreed.frames;
                squares += agreed.limits->sd * agreed.limits->sd * agreed.frames;
                out.n += agreed.frames;
            }
    }
    if (out.n < 3)
        return std::nullopt;
    out.more /= out.n;
    out.u = std::sqrt(squares) / out.n;
    return out;
}

std::vector<std::pair<Id, Id>> filmedTwice(const CaseData& data, const std::string& first, const std::string& second) {
    std::vector<std::pair<Id, Id>> out;
    if (data.links.empty())
        return out;
    const ViewClocks clocks(data);
    for (const auto& [id, take] : data.takes) {
        if (take.filmedWith != first || take.performer != Performer::athlete)
            continue;
        for (const Rep* rep : repsOf(data, id)) {
            const auto [from, to] = spanOf(data, *rep);
            for (const auto& [other, there] : clocks.at(id, FrameIndex((from.value + to.value) / 2))) {
                const Take& twin = data.takes.at(other);
                if (twin.filmedWith != second || twin.view != take.view)
                    continue;
                for (const Rep* same : repsOf(data, other))
                    if (const auto [begin, end] = spanOf(data, *same); there.frame >= begin && there.frame <= end)
                        out.emplace_back(rep->id, same->id);
            }
        }
    }
    return out;
}

std::optional<ReadingDifference> cameraDifference(const CaseData& data, const std::map<Id, MeasuredRep>& measured,
                                                  const std::string& measure, const std::string& first,
                                                  const std::string& second) {
    const auto valueOf = [&](Id rep) -> const MeasureValue* {
        if (const auto it = measured.find(rep); it != measured.end())
            for (const auto& v : it->second.values)
                if (v.measure == measure && !v.refused)
                    return &v;
        return nullptr;
    };
    std::vector<double> more;
    double chance = 0.0; // squares, of the readings' own
    for (const auto& [a, b] : filmedTwice(data, first, second))
        if (const MeasureValue* x = valueOf(a), *y = valueOf(b); x && y) {
            more.push_back(y->value - x->value);
            for (const MeasureValue* v : {x, y})
                chance += std::max(0.0, v->u * v->u - v->uShared * v->uShared);
        }
    if (more.size() < 3)
        return std::nullopt;
    const auto s = summarise(more);
    // A few reps may agree by luck, times on whole frames more than others: never surer than the readings are.
    const double square = std::max(s->sd * s->sd, chance / s->n);
    return ReadingDifference{s->mean, std::sqrt(square / s->n), s->n};
}

MeasuredRep asReadBy(const ReadingDifference& difference, const std::string& measure, MeasuredRep rep) {
    for (auto& v : rep.values)
        if (v.measure == measure && !v.refused) {
            v.value -= difference.more;
            v.u = std::hypot(v.u, difference.u);
            v.uShared = std::hypot(v.uShared, difference.u);
        }
    return rep;
}

} // namespace riflesso
