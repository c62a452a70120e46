#include "core/technique/rep_cutter.h"

#include "core/motion/smoothing.h"
#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace riflesso {
namespace {

constexpr double kSmoothWhole = 5.0;  // Hz: whole movements, not their tremor
constexpr double kTurns = 0.45;       // of the usual swing that a turn must have on both sides
constexpr double kRest = 2.0;         // Hz: rest lasts
constexpr double kStirs = 0.12;       // of a rep's most movement: rest is less
constexpr double kAir = 0.3;          // s of rest that a rep keeps on both sides
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
    c.value = zeroLag(c.value, Hertz(std::min(kSmoothWhole, 0.4 * rate.value)), rate);
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

// Is every position where its rule says it is, after and before others? Unsure ones that are not are taken out; false
// when sure ones contradict one another. Positions that no rule puts in order may come in any: a hand that starts after
// the foot is a fault to be seen, not a mistake of the reading.
bool inOrder(const Blueprint& blueprint, std::map<PositionId, PositionProposal>& positions) {
    bool agreed = true;
    const auto check = [&](const PositionId& first, const PositionId& second) {
        const auto a = positions.find(first), b = positions.find(second);
        if (a == positions.end() || b == positions.end() || a->second.time <= b->second.time + 1e-9)
            return;
        if (a->second.sure && b->second.sure)
            agreed = false;
        positions.erase(a->second.sigma < b->second.sigma ? b : a);
    };
    for (const auto& p : blueprint.positions)
        if (p.rule) {
            check(p.rule->after, p.id);
            check(p.id, p.rule->before);
        }
    return agreed;
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

// A curve that goes away from rest once a rep, with the frames on which it is furthest.
struct Anchor {
    Curve curve; ///< upwards is away from rest
    std::vector<std::size_t> tops;
    double worth = 0.0;
    std::vector<double> away{}; ///< how far from rest all curves that agree are, 0 to 1, by frame of the film
};

// Reps repeat: most of the curves that the rules read go away and come back once in each. The number of times that most
// of them agree on is believed, and of those the one that does it most alike each time.
std::optional<Anchor> anchorOf(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup) {
    std::vector<Anchor> all;
    std::map<std::size_t, int> votes;
    std::vector<const SeriesSpec*> seen;
    for (const auto& p : blueprint.positions) {
        if (!p.rule || p.rule->series.kind == SeriesKind::speed ||
            std::any_of(seen.begin(), seen.end(), [&](const auto* s) { return sameSeries(*s, p.rule->series); }))
            continue;
        seen.push_back(&p.rule->series);
        const auto curve = curveOf(p.rule->series, motion, setup);
        if (!curve || curve->value.size() < 16)
            continue;
        for (const double sign : {1.0, -1.0}) {
            Anchor a{*curve, {}, 0.0};
            for (double& v : a.curve.value)
                v *= sign;
            const double low = quantile(a.curve.value, 0.05), high = quantile(a.curve.value, 0.95);
            if (quantile(a.curve.value, 0.5) > (low + high) / 2)
                continue; // it rests up there: the other way round it is
            a.tops = tops(a.curve.value);
            if (a.tops.empty())
                continue;
            std::vector<double> heights, apart;
            for (std::size_t i = 0; i < a.tops.size(); ++i) {
                heights.push_back(a.curve.value[a.tops[i]]);
                if (i > 0)
                    apart.push_back(static_cast<double>(a.tops[i] - a.tops[i - 1]));
            }
            a.worth = 1.0 - summarise(heights)->sd / std::max(1e-9, high - low);
            if (apart.size() > 1)
                a.worth -= summarise(apart)->sd / summarise(apart)->mean;
            ++votes[a.tops.size()];
            all.push_back(std::move(a));
        }
    }
    std::size_t agreed = 0;
    for (const auto& [n, count] : votes)
        if (agreed == 0 || count > votes[agreed])
            agreed = n;
    const Anchor* best = nullptr;
    std::vector<double> away(static_cast<std::size_t>(motion.time().frames()), 0.0);
    int agreeing = 0;
    for (const auto& a : all) {
        if (a.tops.size() != agreed)
            continue;
        if (!best || a.worth > best->worth)
            best = &a;
        const double low = quantile(a.curve.value, 0.03), high = quantile(a.curve.value, 0.97);
        ++agreeing;
        for (std::size_t f = 0; f < away.size(); ++f) {
            const auto i = static_cast<std::size_t>(
                std::clamp(static_cast<int>(f) - a.curve.first, 0, static_cast<int>(a.curve.value.size()) - 1));
            away[f] += std::clamp((a.curve.value[i] - low) / (high - low), 0.0, 1.0);
        }
    }
    if (!best)
        return std::nullopt;
    for (double& v : away)
        v /= agreeing;
    Anchor out = *best;
    out.away = std::move(away);
    return out;
}

// The moment between two frames of the anchor at which everything is nearest to rest: at home, and still.
std::size_t quietest(const Anchor& anchor, const std::vector<double>& energy, std::size_t from, std::size_t to) {
    const auto first = static_cast<std::size_t>(anchor.curve.first);
    const double most = std::max(1e-12, *std::max_element(energy.begin(), energy.end()));
    std::size_t best = (from + to) / 2;
    double least = std::numeric_limits<double>::infinity();
    for (std::size_t i = from; i <= to; ++i)
        if (const double e = anchor.away[first + i] + energy[first + i] / most; e < least) {
            least = e;
            best = i;
        }
    return best;
}

std::vector<CutRep> cutSingles(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup,
                               std::span<const double> strikes) {
    std::vector<CutRep> out;
    const auto anchor = anchorOf(blueprint, motion, setup);
    if (!anchor)
        return out;
    const Hertz rate(1.0 / motion.time().realPeriod(FrameIndex(0)));
    const auto energy = zeroLag(stirring(blueprint, motion, setup), Hertz(std::min(kRest, 0.4 * rate.value)), rate);
    const std::size_t end = anchor->curve.value.size() - 1;
    // Ends between neighbours; before the first and after the last as far away as others are from one another.
    std::vector<double> apart;
    for (std::size_t i = 1; i < anchor->tops.size(); ++i)
        apart.push_back(static_cast<double>(anchor->tops[i] - anchor->tops[i - 1]));
    const auto usual = static_cast<std::size_t>(median(apart).value_or(static_cast<double>(end)));
    std::vector<std::size_t> cuts{quietest(
        *anchor, energy, anchor->tops.front() > usual ? anchor->tops.front() - usual : 0, anchor->tops.front())};
    for (std::size_t i = 1; i < anchor->tops.size(); ++i)
        cuts.push_back(quietest(*anchor, energy, anchor->tops[i - 1], anchor->tops[i]));
    cuts.push_back(quietest(*anchor, energy, anchor->tops.back(), std::min(end, anchor->tops.back() + usual)));
    if (anchor->tops.front() <= usual)
        cuts.front() = 0; // the film begins with the first rep
    if (anchor->tops.back() + usual >= end)
        cuts.back() = end;
    const double enough = kFewPositions * withRule(blueprint);
    for (std::size_t i = 0; i + 1 < cuts.size(); ++i) {
        // Without most of the rest on both sides.
        std::size_t from = static_cast<std::size_t>(anchor->curve.first) + cuts[i],
                    to = static_cast<std::size_t>(anchor->curve.first) + cuts[i + 1];
        const double stirs = kStirs * *std::max_element(energy.begin() + static_cast<std::ptrdiff_t>(from),
                                                        energy.begin() + static_cast<std::ptrdiff_t>(to) + 1);
        const auto air = static_cast<std::size_t>(kAir * rate.value);
        std::size_t moves = from, rests = to;
        while (moves < to && energy[moves] < stirs)
            ++moves;
        while (rests > moves && energy[rests] < stirs)
            --rests;
        from = std::max(from, moves > air ? moves - air : 0);
        to = std::min(to, rests + air);
        const FrameIndex first(static_cast<int>(from)), last(static_cast<int>(to));
        if (last - first < 8)
            continue;
        CutRep rep{first, last, proposePositions(blueprint, motion, setup, first, last, strikes)};
        (void)inOrder(blueprint, rep.positions);
        double shown = 0.0;
        for (const auto& [id, p] : rep.positions)
            shown += p.sure ? 1.0 : 0.5;
        if (shown >= 0.5 * enough)
            out.push_back(std::move(rep));
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
