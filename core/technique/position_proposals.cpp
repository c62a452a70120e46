// Key positions of a rep from its rules, and what the analyst's own pegs teach about them.

#include "core/technique/position_finder.h"
#include "core/words/say.h"

#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>
#include <set>

namespace riflesso {

std::map<PositionId, double> missesOf(const Positions& placed, const std::map<PositionId, PositionProposal>& proposed,
                                      const Timebase& time) {
    std::map<PositionId, double> out;
    for (const auto& [id, p] : placed)
        if (const auto it = proposed.find(id); it != proposed.end() && !p.proposed && it->second.sure)
            out[id] = time.real(p.frame).value + p.shift - it->second.time;
    return out;
}

PositionLessons lessonsFrom(const std::vector<std::map<PositionId, double>>& misses) {
    std::map<PositionId, std::vector<double>> all;
    for (const auto& rep : misses)
        for (const auto& [id, miss] : rep)
            all[id].push_back(miss);
    PositionLessons out;
    for (const auto& [id, values] : all) {
        const auto s = summarise(values);
        // The median, so that one peg set by mistake does not teach.
        out[id] = {*median(values), s->sd, s->n};
    }
    return out;
}

namespace {

// Drafts err alike on neighbouring frames, and slowly otherwise: no fit shows it. An instant on them is as unsure as it
// takes the curve to move by its own standard error. Nothing when no draft is near.
std::optional<double> driftOf(const std::vector<RuleSample>& samples, double time) {
    constexpr int kNear = 3; // frames
    const auto at = std::lower_bound(samples.begin(), samples.end(), time,
                                     [](const RuleSample& s, double t) { return s.time < t; });
    const auto i = std::min<std::ptrdiff_t>(at - samples.begin(), static_cast<std::ptrdiff_t>(samples.size()) - 1);
    const auto n = static_cast<std::ptrdiff_t>(samples.size());
    bool draft = false;
    for (auto k = std::max<std::ptrdiff_t>(0, i - kNear); k <= std::min(n - 1, i + kNear); ++k)
        draft = draft || samples[static_cast<std::size_t>(k)].draft;
    if (!draft)
        return {};
    const RuleSample& here = samples[static_cast<std::size_t>(i)];
    double least = samples.back().time - samples.front().time;
    for (const int way : {-1, 1})
        for (auto k = i; k >= 0 && k < n; k += way)
            if (const RuleSample& s = samples[static_cast<std::size_t>(k)];
                std::abs(s.value - here.value) > here.sigma) {
                least = std::min(least, std::abs(s.time - here.time));
                break;
            }
    return least;
}

} // namespace

std::map<PositionId, PositionProposal> proposePositions(const Blueprint& blueprint, const Motion& motion,
                                                        const ViewSetup& setup, FrameIndex first, FrameIndex last,
                                                        std::span<const double> strikes, const PositionLessons& lessons,
                                                        std::map<PositionId, std::string>* reasons) {
    std::map<PositionId, PositionProposal> out;
    std::set<PositionId> failed;
    const auto& time = motion.time();
    const auto fail = [&](const PositionId& id, const std::string& why) {
        failed.insert(id);
        if (reasons)
            (*reasons)[id] = why;
    };
    // Rules lean on one another: as often as there are positions, those whose neighbours are known are tried.
    for (std::size_t round = 0; round <= blueprint.positions.size(); ++round)
        for (const auto& position : blueprint.positions) {
            if (!position.rule || out.contains(position.id) || failed.contains(position.id))
                continue;
            const PositionRule& rule = *position.rule;
            FrameIndex from = first, to = last;
            bool wait = false;
            for (const auto& [other, edge] : {std::pair{&rule.after, &from}, {&rule.before, &to}}) {
                if (other->empty() || failed.contains(*other))
                    continue;
                const auto it = out.find(*other);
                if (it == out.end())
                    wait = true;
                else
                    *edge = it->second.frame;
            }
            if (wait)
                continue;
            const auto samples = ruleSeries(rule.series, motion, setup, from, to);
            if (!samples) {
                fail(position.id, samples.error().text());
                continue;
            }
            const auto found = findInstant(rule, *samples, strikes);
            if (!found) {
                fail(position.id, found.error().text());
                continue;
            }
            PositionProposal p;
            const double period = time.realPeriod(samples->front().frame);
            p.time = found->time + rule.frames * period;
            p.sigma = found->sigma;
            p.sure = found->sure;
            p.why = found->why;
            if (const auto drift = driftOf(*samples, found->time)) {
                p.sigma = std::hypot(p.sigma, *drift);
                if (p.sure && p.sigma > 2.0 * period) {
                    p.sure = false;
                    p.why = say("peg", "it rests on a draft: look at the frame");
                }
            }
            for (const auto* other : {&rule.after, &rule.before})
                if (const auto it = out.find(*other);
                    it != out.end() && !it->second.sure && p.sure &&
                    std::abs(it->second.time - p.time) < 3.0 * std::max(it->second.sigma, 3.0 * period)) {
                    p.sure = false;
                    p.why = fill(say("peg", "“%1”, on which it leans, is unsure"), {blueprint.position(*other)->name});
                }
            if (const auto lesson = lessons.find(position.id); lesson != lessons.end() && lesson->second.reps > 0) {
                // A few reps teach a little: the bias is drawn to nothing by as much as it is unsure.
                // What the draft may have drifted by stays: other reps do not tell of this one.
                const double n = lesson->second.reps, own = p.sigma * p.sigma;
                const double spread = lesson->second.reps > 1 ? lesson->second.spread : period;
                const double sure = spread * spread / n;
                p.time += lesson->second.bias * lesson->second.bias /
                          (lesson->second.bias * lesson->second.bias + sure + 1e-12) * lesson->second.bias;
                p.sigma = std::sqrt(std::max(own, spread * spread));
            }
            p.frame = std::clamp(time.nearest(RealTime(p.time)), first, last);
            out[position.id] = p;
        }
    // What comes out in the wrong order is not believed.
    const PositionProposal* before = nullptr;
    const KeyPosition* whose = nullptr;
    for (const auto& position : blueprint.positions) {
        const auto it = out.find(position.id);
        if (it == out.end() || !it->second.sure)
            continue;
        if (before && position.rule->after == whose->id && it->second.time < before->time - 2.0 * it->second.sigma) {
            it->second.sure = false;
            it->second.why = fill(say("peg", "it comes out before “%1”"), {whose->name});
        }
        before = &it->second;
        whose = &position;
    }
    for (auto& [id, p] : out)
        if (!p.sure)
            p.sigma = std::max(p.sigma, 3.0 * time.realPeriod(p.frame));
    for (const auto& position : blueprint.positions)
        if (position.rule && reasons && !out.contains(position.id) && !reasons->contains(position.id))
            (*reasons)[position.id] = say("peg", "the position it leans on was not found");
    return out;
}

} // namespace riflesso
