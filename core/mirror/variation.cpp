#include "core/mirror/variation.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

std::vector<Variation> variationsOf(const Blueprint& blueprint, const std::vector<MeasuredRep>& reps) {
    std::vector<Variation> out;
    for (const auto& m : blueprint.measures) {
        const auto& d = m.definition;
        if (isAcrossReps(d.kind) || isNoted(d.kind))
            continue;
        std::vector<double> values, errors;
        for (const auto& rep : reps)
            for (const auto& v : rep.values)
                if (v.measure == d.id && !v.refused) {
                    values.push_back(v.value);
                    errors.push_back(std::sqrt(std::max(0.0, v.u * v.u - v.uShared * v.uShared)));
                }
        const auto spread = spreadOf(values, errors);
        if (!spread)
            continue;
        Variation x{d.id, static_cast<int>(values.size()), *spread, Varies::unclear, 1.0};
        if (spread->all > 0.0)
            x.share = std::min(1.0, std::pow(spread->marking / spread->all, 2));
        const double freedom = x.reps - 1.0;
        const double ratio = spread->marking > 0.0 ? std::pow(spread->all / spread->marking, 2)
                             : spread->all > 0.0   ? HUGE_VAL
                                                   : 0.0;
        if (ratio > chiSquareQuantile(0.95, freedom) / freedom)
            x.by = Varies::athlete;
        else if (ratio < chiSquareQuantile(0.5, freedom) / freedom)
            x.by = Varies::marks;
        out.push_back(x);
    }
    return out;
}

std::optional<SpeedStory> speedStory(const Blueprint& blueprint, const std::vector<MeasuredRep>& before,
                                     const std::vector<MeasuredRep>& after) {
    const auto same = [](const MeasureDefinition& a, const MeasureDefinition& b) {
        return a.kind == MeasureKind::cadence && a.at == b.at && a.until == b.until && a.cycles == b.cycles;
    };
    for (const auto& r : blueprint.measures) {
        const auto& rate = r.definition;
        if (rate.kind != MeasureKind::cadence || rate.aspect != Aspect::rate)
            continue;
        const MeasureDefinition *length = nullptr, *speed = nullptr;
        for (const auto& other : blueprint.measures) {
            const auto& d = other.definition;
            if (same(d, rate) && d.aspect == Aspect::length && !length)
                length = &d;
            if (same(d, rate) && d.aspect == Aspect::speed && !speed)
                speed = &d;
        }
        if (!length)
            continue;
        SpeedStory story{speed ? speed->id : "", rate.id, length->id, {}, {}, 0, 0, {}, 0.0};
        const auto read = [&](const std::vector<MeasuredRep>& reps, CadenceValue& into, int& n) {
            const auto a = gather(rate.id, reps), b = gather(length->id, reps);
            n = std::min(a.reps, b.reps);
            into = {a.mean / 60.0, a.u / 60.0, b.mean, b.u};
        };
        read(before, story.before, story.repsBefore);
        read(after, story.after, story.repsAfter);
        if (story.repsBefore == 0 || story.repsAfter == 0)
            continue;
        story.change = speedChange(story.before, story.after);
        story.meanSpeed = (story.before.rate * story.before.length + story.after.rate * story.after.length) / 2.0;
        return story;
    }
    return std::nullopt;
}

std::pair<std::vector<MeasuredRep>, std::vector<MeasuredRep>> firstAndLast(std::vector<MeasuredRep> reps) {
    std::stable_sort(reps.begin(), reps.end(),
                     [](const MeasuredRep& a, const MeasuredRep& b) { return a.when < b.when; });
    const auto third = static_cast<std::ptrdiff_t>(reps.size() / 3);
    if (third < 2)
        return {};
    return {{reps.begin(), reps.begin() + third}, {reps.end() - third, reps.end()}};
}

} // namespace riflesso
