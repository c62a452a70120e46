#include "core/progress/sets.h"
#include "core/words/say.h"

#include "core/statistics/multiple.h"
#include "core/statistics/numbers.h"

#include <algorithm>
#include <cctype>
#include <cmath>
#include <limits>
#include <map>

namespace riflesso {
namespace {

constexpr double kNormal95 = 1.959963984540054;

using Values = std::vector<const SetValue*>;

double meanOf(const Values& values) {
    double sum = 0.0;
    for (const auto* v : values)
        sum += v->value;
    return sum / static_cast<double>(values.size());
}

// What all reps of a camera set-up have in common, as a share of the set's mean: by camera.
void addShared(std::map<std::string, double>& shared, const Values& values, double sign, const char* unknown) {
    for (const auto* v : values)
        shared[v->camera.empty() ? unknown : v->camera] += sign * v->uShared / static_cast<double>(values.size());
}

// How far the reps of a measure scatter within their sets, against what their stated errors allow.
struct Scatter {
    double stated = 0.0;  ///< chance variance of one rep
    double squares = 0.0; ///< sum of squares within the sets
    int dof = 0;
    [[nodiscard]] double ratio() const { return stated > 0.0 ? squares / stated : 0.0; } ///< χ² of dof
};

Scatter scatterOf(const Values& before, const Values& after) {
    Scatter out;
    const double n = static_cast<double>(before.size() + after.size());
    for (const auto* values : {&before, &after}) {
        const double mean = meanOf(*values);
        for (const auto* v : *values) {
            out.stated += v->u * v->u / n;
            out.squares += (v->value - mean) * (v->value - mean);
        }
    }
    out.dof = static_cast<int>(n) - 2;
    return out;
}

// What the other measures of the table say: how much more than stated a rep varies, and whether that is sure.
struct Common {
    double factor = 1.0;
    bool sure = false;
};

Common commonOf(const std::vector<Scatter>& all, std::size_t but, const SetOptions& options) {
    double chi2 = 0.0;
    int dof = 0;
    for (std::size_t i = 0; i < all.size(); ++i)
        if (i != but && all[i].stated > 0.0 && all[i].dof > 0) {
            chi2 += std::min(all[i].ratio(), 25.0 * all[i].dof); // one wild measure does not speak for all
            dof += all[i].dof;
        }
    if (dof == 0)
        return {};
    return {std::max(1.0, chi2 / dof), chi2 > chiSquareQuantile(options.scatterTest, dof)};
}

SetChange changeOf(const std::string& measure, const Values& before, const Values& after, const Scatter& scatter,
                   const Common& common, const SetOptions& options) {
    SetChange c;
    c.measure = measure;
    c.before = static_cast<int>(before.size());
    c.after = static_cast<int>(after.size());
    c.meanBefore = meanOf(before);
    c.meanAfter = meanOf(after);
    c.change = c.meanAfter - c.meanBefore;
    c.scattered =
        scatter.dof > 0 && scatter.squares > scatter.stated * chiSquareQuantile(options.scatterTest, scatter.dof);
    // The stated errors hold until something contradicts them. Then the scatter counts; from few reps it is unsure, so
    // that what the other measures say stands in for some reps more.
    double variance = scatter.stated;
    if (c.scattered || common.sure) {
        const double lent = common.sure ? options.lent : 0.0, dof = lent + scatter.dof;
        const double t = studentQuantile(0.975, dof) / kNormal95;
        variance = std::max(variance, (lent * common.factor * scatter.stated + scatter.squares) / dof) * t * t;
    }
    std::map<std::string, double> shared;
    addShared(shared, before, -1.0, "?before"); // no camera is called so: a question mark stands for "unknown"
    addShared(shared, after, 1.0, "?after");
    double square = variance * (1.0 / c.before + 1.0 / c.after);
    for (const auto& [camera, weight] : shared)
        square += weight * weight;
    c.u = std::sqrt(square);
    c.mdc95 = 1.96 * c.u;
    c.p = c.u > 0.0 ? 2.0 * normalCdf(-std::abs(c.change) / c.u) : std::numeric_limits<double>::quiet_NaN();
    return c;
}

std::string squeezed(std::string_view text) {
    std::string out;
    for (const char ch : text)
        if (std::isalnum(static_cast<unsigned char>(ch)))
            out += static_cast<char>(std::tolower(static_cast<unsigned char>(ch)));
    return out;
}

} // namespace

std::vector<SetChange> compareSets(const std::vector<SetValue>& before, const std::vector<SetValue>& after,
                                   const SetOptions& options) {
    std::vector<std::string> order;
    std::map<std::string, std::pair<Values, Values>> by;
    for (const auto& v : before) {
        auto& entry = by[v.measure];
        if (entry.first.empty())
            order.push_back(v.measure);
        entry.first.push_back(&v);
    }
    for (const auto& v : after)
        if (const auto it = by.find(v.measure); it != by.end())
            it->second.second.push_back(&v);
    std::erase_if(order, [&](const std::string& measure) { return by.at(measure).second.empty(); });
    std::vector<Scatter> scatters;
    for (const auto& measure : order)
        scatters.push_back(scatterOf(by.at(measure).first, by.at(measure).second));
    std::vector<SetChange> out;
    std::vector<double> p;
    for (std::size_t i = 0; i < order.size(); ++i) {
        const auto& [first, second] = by.at(order[i]);
        out.push_back(changeOf(order[i], first, second, scatters[i], commonOf(scatters, i, options), options));
        p.push_back(out.back().p);
    }
    const auto adjusted = falseDiscoveryAdjusted(p);
    for (std::size_t i = 0; i < out.size(); ++i) {
        const bool known = !std::isnan(out[i].p);
        out[i].p = known ? out[i].p : 1.0;
        out[i].pAdjusted = known ? adjusted[i] : 1.0;
        out[i].moved = out[i].pAdjusted <= options.falseAlarms;
    }
    return out;
}

std::string inWords(const std::vector<SetChange>& changes) {
    std::string out;
    int still = 0, fewest = std::numeric_limits<int>::max();
    for (const auto& c : changes) {
        fewest = std::min({fewest, c.before, c.after});
        if (!c.moved) {
            ++still;
            continue;
        }
        out += fill(say("sets", "%1 moved by %2 (%3 to %4, ± %5). "),
                    {c.measure, (c.change < 0.0 ? "" : "+") + general(c.change, 3), figure(c.meanBefore, 2),
                     figure(c.meanAfter, 2), general(c.u, 2)});
    }
    if (changes.empty())
        return say("sets", "The two sets have no measure in common.");
    const auto reps = static_cast<std::size_t>(fewest);
    if (still > 0)
        out += out.empty()
                   ? sayCount("sets", "Nothing can be told from %n reps.", "Nothing can be told from %n rep.", reps)
                   : sayCount("sets", "Nothing else can be told from %n reps.", "Nothing else can be told from %n rep.",
                              reps);
    else if (!out.empty())
        out.pop_back();
    return out;
}

BreakPoint whereItBreaks(const std::vector<StageCount>& counts, double sure) {
    BreakPoint out;
    std::vector<double> shares, weights;
    for (const auto& c : counts) {
        if (c.n <= 0 || c.inside < 0 || c.inside > c.n)
            continue;
        StageShare s{c.stage, c.inside, c.n, static_cast<double>(c.inside) / c.n, wilson(c.inside, c.n)};
        shares.push_back(s.share);
        weights.push_back(c.n);
        out.stages.push_back(s);
    }
    if (out.stages.empty()) {
        out.words = say("sets", "No reps yet.");
        return out;
    }
    std::vector<std::size_t> block;
    const auto smoothed = neverRising(shares, weights, &block);
    std::map<std::size_t, std::pair<int, int>> pooled; // inside and out of it, by block
    for (std::size_t i = 0; i < out.stages.size(); ++i) {
        pooled[block[i]].first += out.stages[i].inside;
        pooled[block[i]].second += out.stages[i].n - out.stages[i].inside;
    }
    bool told = true; // of every stage so far
    for (std::size_t i = 0; i < out.stages.size(); ++i) {
        auto& s = out.stages[i];
        const auto [in, off] = pooled.at(block[i]);
        s.smoothed = smoothed[i];
        s.pOwned = 1.0 - betaCdf(0.75, 1.0 + in, 1.0 + off);
        s.pBroken = betaCdf(0.5, 1.0 + in, 1.0 + off);
        if (out.breaks)
            continue;
        if (s.pBroken >= sure)
            out.breaks = s.stage;
        else if (s.pOwned >= sure)
            out.owned = s.stage;
        else if (told) {
            told = false;
            out.unsure = s.stage;
            for (int more = 1; more <= 60 && out.more == 0; ++more) {
                const double a = 1.0 + in + more * s.smoothed, b = 1.0 + off + more * (1.0 - s.smoothed);
                if (1.0 - betaCdf(0.75, a, b) >= sure || betaCdf(0.5, a, b) >= sure)
                    out.more = more;
            }
        }
    }
    out.words =
        out.owned ? fill(say("sets", "Owned up to %1"), {word(*out.owned)}) : say("sets", "Not owned at any stage yet");
    out.words +=
        out.breaks ? fill(say("sets", ", breaks at %1."), {word(*out.breaks)}) : say("sets", ", no break seen.");
    if (!out.unsure.empty() && out.more > 0)
        out.words +=
            fill(say("sets", " Not enough reps yet: %1 more of %2."), {std::to_string(out.more), word(out.unsure)});
    else if (!out.unsure.empty())
        out.words += fill(say("sets", " In between at %1: this is where it is learnt."), {word(out.unsure)});
    return out;
}

std::optional<Stage> stageFromText(std::string_view text) {
    const auto wanted = squeezed(text);
    for (std::size_t i = 0; i < kStageNames.size(); ++i)
        if (squeezed(kStageNames[i]) == wanted)
            return static_cast<Stage>(i);
    return std::nullopt;
}

} // namespace riflesso
