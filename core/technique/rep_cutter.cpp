#include "core/technique/rep_cutter.h"

#include "core/motion/rep_finder.h"
#include "core/motion/smoothing.h"
#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace riflesso {
namespace {

constexpr double kSmooth = 5.0;       // Hz: whole movements, not their tremor
constexpr double kTurns = 0.45;       // of the usual swing that a turn must have on both sides
constexpr double kHeld = 1.2;         // s: the longest stop within one movement
constexpr double kOverlap = 0.12;     // of a cycle that is looked at beyond both its ends
constexpr double kFewPositions = 0.5; // of those with a rule that a rep must show

bool sameSeries(const SeriesSpec& a, const SeriesSpec& b) {
    return a.kind == b.kind && a.direction == b.direction &&
           std::equal(a.points.begin(), a.points.end(), b.points.begin(), b.points.end(),
                      [](const PointSpec& x, const PointSpec& y) { return x.landmarks == y.landmarks; });
}

// A rule's curve on every frame from the first to the last that it is known on; gaps in straight lines.
struct Curve {
    int first = 0;
    std::vector<double> value;
    [[nodiscard]] int last() const { return first + static_cast<int>(value.size()) - 1; }
};

std::optional<Curve> curveOf(const SeriesSpec& spec, const Motion& motion, const ViewSetup& setup) {
    const auto samples = ruleSeries(spec, motion, setup, FrameIndex(0), FrameIndex(motion.time().frames() - 1));
    if (!samples)
        return std::nullopt;
    Curve c;
    c.first = samples->front().frame.value;
    for (std::size_t i = 0; i < samples->size(); ++i) {
        const auto& s = (*samples)[i];
        if (i > 0) {
            const auto& before = (*samples)[i - 1];
            for (int f = before.frame.value + 1; f < s.frame.value; ++f)
                c.value.push_back(before.value +
                                  (s.value - before.value) * (f - before.frame.value) / (s.frame - before.frame));
        }
        c.value.push_back(s.value);
    }
    const Hertz rate(1.0 / motion.time().realPeriod(FrameIndex(c.first)));
    c.value = zeroLag(c.value, Hertz(std::min(kSmooth, 0.4 * rate.value)), rate);
    return c;
}

double quantile(std::vector<double> v, double share) {
    std::sort(v.begin(), v.end());
    return v[static_cast<std::size_t>(share * static_cast<double>(v.size() - 1))];
}

// Does the curve turn downwards (from a top) where a rule of this kind sees its instant, or upwards?
bool fromTop(const PositionRule& rule) {
    switch (rule.kind) {
    case RuleKind::highest:
        return true;
    case RuleKind::lowest:
        return false;
    case RuleKind::begins:
    case RuleKind::leaves:
        return rule.falling; // it falls from there on
    default:
        return !rule.falling; // it has risen to there
    }
}

// Tops that stand out on both sides by a share of the usual swing: their indices.
std::vector<std::size_t> tops(const std::vector<double>& v) {
    const double swing = quantile(v, 0.95) - quantile(v, 0.05);
    std::vector<std::size_t> out;
    std::size_t best = 0;
    double low = v[0]; // since the last top
    bool rising = true;
    for (std::size_t i = 1; i < v.size(); ++i) {
        if (rising) {
            if (v[i] > v[best])
                best = i;
            if (v[best] - v[i] > kTurns * swing) {
                if (v[best] - low > kTurns * swing || out.empty())
                    out.push_back(best);
                rising = false;
                low = v[i];
            } else {
                low = std::min(low, v[i]);
            }
        } else {
            low = std::min(low, v[i]);
            if (v[i] - low > kTurns * swing) {
                rising = true;
                best = i;
                // The valley before this top stays known.
            }
        }
    }
    return out;
}

// Takes unsure positions out until the order is the blueprint's; false when sure ones contradict one another.
bool inOrder(const Blueprint& blueprint, std::map<PositionId, PositionProposal>& positions) {
    while (true) {
        const KeyPosition* before = nullptr;
        const KeyPosition *a = nullptr, *b = nullptr;
        for (const auto& p : blueprint.positions) {
            const auto it = positions.find(p.id);
            if (it == positions.end())
                continue;
            if (before && it->second.time < positions.at(before->id).time - 1e-9) {
                a = before;
                b = &p;
                break;
            }
            before = &p;
        }
        if (!a)
            return true;
        const auto &pa = positions.at(a->id), &pb = positions.at(b->id);
        // Two instants that lie within their errors may be the same: the later one is put on the earlier one's frame.
        if (pa.time - pb.time < 2.0 * std::hypot(pa.sigma, pb.sigma)) {
            auto& later = positions.at(b->id);
            later.time = pa.time;
            later.frame = pa.frame;
            continue;
        }
        if (pa.sure && pb.sure)
            return false;
        positions.erase(pa.sure ? b->id : a->id);
    }
}

int withRule(const Blueprint& b) {
    return static_cast<int>(
        std::count_if(b.positions.begin(), b.positions.end(), [](const auto& p) { return p.rule.has_value(); }));
}

std::vector<CutRep> cutCycles(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup,
                              std::span<const double> strikes) {
    const PositionRule& rule = *blueprint.positions.front().rule;
    auto curve = curveOf(rule.series, motion, setup);
    std::vector<CutRep> out;
    if (!curve || curve->value.size() < 16)
        return out;
    if (!fromTop(rule))
        for (double& v : curve->value)
            v = -v;
    const auto turns = tops(curve->value);
    if (turns.size() < 2)
        return out;
    std::vector<double> lengths;
    for (std::size_t i = 1; i < turns.size(); ++i)
        lengths.push_back(static_cast<double>(turns[i] - turns[i - 1]));
    const double usual = median(lengths).value_or(0.0);
    for (std::size_t i = 1; i < turns.size(); ++i) {
        const double length = lengths[i - 1];
        if (length < 0.6 * usual || length > 1.5 * usual)
            continue; // a stumble, a pause, a turn that was not seen
        const int first = curve->first + static_cast<int>(turns[i - 1]),
                  last = curve->first + static_cast<int>(turns[i]);
        const int beyond = static_cast<int>(std::lround(kOverlap * length));
        CutRep rep{FrameIndex(first), FrameIndex(last), {}};
        rep.positions = proposePositions(blueprint, motion, setup, FrameIndex(std::max(curve->first, first - beyond)),
                                         FrameIndex(std::min(curve->last(), last + beyond)), strikes);
        if (!inOrder(blueprint, rep.positions) ||
            static_cast<double>(rep.positions.size()) < kFewPositions * withRule(blueprint))
            continue;
        out.push_back(std::move(rep));
    }
    return out;
}

// How much all that the rules read moves, frame by frame: each curve's speed as a share of its own range.
std::vector<double> stirring(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup) {
    const auto n = static_cast<std::size_t>(motion.time().frames());
    std::vector<double> sum(n, 0.0);
    std::vector<const SeriesSpec*> seen;
    for (const auto& p : blueprint.positions) {
        if (!p.rule ||
            std::any_of(seen.begin(), seen.end(), [&](const auto* s) { return sameSeries(*s, p.rule->series); }))
            continue;
        seen.push_back(&p.rule->series);
        SeriesSpec spec = p.rule->series;
        if (spec.kind == SeriesKind::speed && spec.direction)
            spec.kind = SeriesKind::place; // what moves, not how its speed changes
        const auto c = curveOf(spec, motion, setup);
        if (!c || c->value.size() < 8)
            continue;
        const double range = quantile(c->value, 0.98) - quantile(c->value, 0.02);
        if (!(range > 0.0))
            continue;
        for (std::size_t i = 1; i + 1 < c->value.size(); ++i)
            sum[static_cast<std::size_t>(c->first) + i] += std::abs(c->value[i + 1] - c->value[i - 1]) / range;
    }
    return sum;
}

std::vector<CutRep> cutSingles(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup,
                               std::span<const double> strikes) {
    const auto energy = stirring(blueprint, motion, setup);
    std::vector<double> times;
    for (int f = 0; f < motion.time().frames(); ++f)
        times.push_back(motion.time().real(FrameIndex(f)).value);
    RepFinderOptions options;
    options.air = 0.2;
    const auto spans = repsFromMotion(energy, times, options);
    struct Try {
        CutRep rep;
        double score = 0.0;
    };
    const auto tried = [&](FrameIndex first, FrameIndex last) {
        Try t{{first, last, proposePositions(blueprint, motion, setup, first, last, strikes)}, 0.0};
        const bool ordered = inOrder(blueprint, t.rep.positions);
        for (const auto& [id, p] : t.rep.positions)
            t.score += p.sure ? 1.0 : 0.5;
        if (!ordered)
            t.score = 0.0;
        return t;
    };
    std::vector<CutRep> out;
    const double enough = kFewPositions * withRule(blueprint);
    for (std::size_t i = 0; i < spans.size();) {
        Try best = tried(spans[i].first, spans[i].last);
        std::size_t next = i + 1;
        // Together with what follows after a stop, when that shows more than each shows alone.
        for (std::size_t k = i + 1; k < spans.size() && k < i + 3; ++k) {
            const double stop = times[static_cast<std::size_t>(spans[k].first.value)] -
                                times[static_cast<std::size_t>(spans[k - 1].last.value)];
            if (stop > kHeld)
                break;
            const Try alone = tried(spans[k].first, spans[k].last), both = tried(spans[i].first, spans[k].last);
            if (both.score > best.score + 0.4 && both.score > alone.score + 0.4) {
                best = both;
                next = k + 1;
            }
        }
        if (best.score >= enough)
            out.push_back(std::move(best.rep));
        i = next;
    }
    return out;
}

} // namespace

bool isCyclic(const Blueprint& blueprint) {
    if (blueprint.positions.size() < 3)
        return false;
    const auto &a = blueprint.positions.front().rule, &b = blueprint.positions.back().rule;
    return a && b && sameSeries(a->series, b->series);
}

std::vector<CutRep> cutReps(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup,
                            std::span<const double> strikes) {
    if (blueprint.positions.empty() || motion.time().frames() < 16)
        return {};
    return isCyclic(blueprint) ? cutCycles(blueprint, motion, setup, strikes)
                               : cutSingles(blueprint, motion, setup, strikes);
}

} // namespace riflesso
