#include "casebook/analysts.h"

#include "casebook/repeat.h"

#include <cmath>

namespace riflesso {

std::optional<AnalystDifference> differenceOf(const CaseData& data, const Blueprint& blueprint,
                                              const std::string& measure, const std::string& first,
                                              const std::string& second) {
    AnalystDifference out;
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
                out.frames += agreed.frames;
            }
    }
    if (out.frames < 3)
        return std::nullopt;
    out.more /= out.frames;
    out.u = std::sqrt(squares) / out.frames;
    return out;
}

MeasuredRep asReadBy(const AnalystDifference& difference, const std::string& measure, MeasuredRep rep) {
    for (auto& v : rep.values)
        if (v.measure == measure && !v.refused) {
            v.value -= difference.more;
            v.u = std::hypot(v.u, difference.u);
            v.uShared = std::hypot(v.uShared, difference.u);
        }
    return rep;
}

} // namespace riflesso
