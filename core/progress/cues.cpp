#include "core/progress/cues.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr int kSteps = 2000; // of the integral over 0..1
constexpr double kSure = 0.9;

// Where the distribution reaches a probability, by halving.
double betaQuantile(double p, double a, double b) {
    double lo = 0.0, hi = 1.0;
    for (int i = 0; i < 60; ++i) {
        const double mid = (lo + hi) / 2;
        (betaCdf(mid, a, b) < p ? lo : hi) = mid;
    }
    return (lo + hi) / 2;
}

} // namespace

std::vector<CueStanding> compareCues(const std::vector<CueReps>& cues) {
    std::vector<CueStanding> out;
    std::vector<std::vector<double>> below; // by cue: P(share <= k / kSteps)
    for (const auto& c : cues) {
        CueStanding s;
        s.cue = c.cue;
        s.good = std::max(0, c.good);
        s.n = s.good + std::max(0, c.bad);
        const double a = 1.0 + s.good, b = 1.0 + s.n - s.good;
        s.share = a / (a + b);
        s.interval = {betaQuantile(0.025, a, b), betaQuantile(0.975, a, b)};
        s.more = std::max(0, kCueReps - s.n);
        out.push_back(s);
        auto& f = below.emplace_back();
        for (int k = 0; k <= kSteps; ++k)
            f.push_back(betaCdf(static_cast<double>(k) / kSteps, a, b));
    }
    for (std::size_t i = 0; i < out.size(); ++i)
        for (std::size_t k = 0; k < kSteps; ++k) {
            double others = 1.0;
            for (std::size_t j = 0; j < out.size(); ++j)
                if (j != i)
                    others *= (below[j][k] + below[j][k + 1]) / 2;
            out[i].pBest += (below[i][k + 1] - below[i][k]) * others;
        }
    std::stable_sort(out.begin(), out.end(), [](const auto& x, const auto& y) { return x.pBest > y.pBest; });
    return out;
}

std::vector<double> likelyWorst(const std::vector<CueReps>& cues) {
    // Good and bad exchanged, the smallest share is the largest one. Names are numbers: two may read the same.
    std::vector<CueReps> turned;
    for (const auto& c : cues)
        turned.push_back({std::to_string(turned.size()), c.bad, c.good});
    std::vector<double> out(cues.size());
    for (const auto& s : compareCues(turned))
        out[std::stoul(s.cue)] = s.pBest;
    return out;
}

const CueStanding* clearlyBest(const std::vector<CueStanding>& cues) {
    const bool enough = std::all_of(cues.begin(), cues.end(), [](const CueStanding& c) { return c.more == 0; });
    return cues.size() >= 2 && enough && cues.front().pBest >= kSure ? &cues.front() : nullptr;
}

} // namespace riflesso
