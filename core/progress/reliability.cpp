#include "core/progress/reliability.h"

#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {
constexpr double kConfidence = 0.95;
}

Result<Reliability> reliabilityOf(const std::vector<std::vector<double>>& ratings) {
    const auto wrong = [](const char* what) { return Error{what, {}, {}, {}}; };
    if (ratings.size() < 2)
        return wrong("at least two things must have been read");
    const std::size_t k = ratings.front().size();
    if (k < 2)
        return wrong("each thing must have been read at least twice");
    if (std::any_of(ratings.begin(), ratings.end(), [&](const auto& r) { return r.size() != k; }))
        return wrong("each thing must have been read equally often");
    const auto n = static_cast<double>(ratings.size());
    const auto kk = static_cast<double>(k);
    double grand = 0.0;
    std::vector<double> rows(ratings.size(), 0.0), columns(k, 0.0);
    for (std::size_t i = 0; i < ratings.size(); ++i)
        for (std::size_t j = 0; j < k; ++j) {
            rows[i] += ratings[i][j] / kk;
            columns[j] += ratings[i][j] / n;
            grand += ratings[i][j] / (n * kk);
        }
    double between = 0.0, judges = 0.0, error = 0.0;
    for (double r : rows)
        between += kk * (r - grand) * (r - grand);
    for (double c : columns)
        judges += n * (c - grand) * (c - grand);
    for (std::size_t i = 0; i < ratings.size(); ++i)
        for (std::size_t j = 0; j < k; ++j) {
            const double e = ratings[i][j] - rows[i] - columns[j] + grand;
            error += e * e;
        }
    const double bms = between / (n - 1.0), jms = judges / (kk - 1.0), ems = error / ((n - 1.0) * (kk - 1.0));
    if (!(bms > 1e-20 * std::max(1.0, grand * grand))) // rounding alone makes that much
        return wrong("the things do not differ, so agreement has nothing to show itself by");
    Reliability r;
    r.subjects = static_cast<int>(n);
    r.raters = static_cast<int>(k);
    r.sem = std::sqrt(ems);
    r.mdc95 = 1.96 * std::sqrt(2.0) * r.sem;
    const double p = 1.0 - (1.0 - kConfidence) / 2.0;
    r.icc31.value = (bms - ems) / (bms + (kk - 1.0) * ems);
    r.icc21.value = (bms - ems) / (bms + (kk - 1.0) * ems + kk * (jms - ems) / n);
    if (ems < 1e-12 * bms) { // perfect agreement but for the judges' own levels
        r.icc31.interval = {1.0, 1.0};
        r.icc21.interval = {r.icc21.value, r.icc21.value};
        return r;
    }
    const double f0 = bms / ems, d1 = n - 1.0, d2 = (n - 1.0) * (kk - 1.0);
    const double fl = f0 / fisherQuantile(p, d1, d2), fu = f0 * fisherQuantile(p, d2, d1);
    r.icc31.interval = {(fl - 1.0) / (fl + kk - 1.0), (fu - 1.0) / (fu + kk - 1.0)};
    const double rho = r.icc21.value, fj = jms / ems;
    const double a = kk * rho * fj + n * (1.0 + (kk - 1.0) * rho) - kk * rho;
    const double b = n * (1.0 + (kk - 1.0) * rho) - kk * rho;
    const double v = (kk - 1.0) * (n - 1.0) * a * a / ((n - 1.0) * kk * kk * rho * rho * fj * fj + b * b);
    const double lower = fisherQuantile(p, n - 1.0, v), upper = fisherQuantile(p, v, n - 1.0);
    const double judged = kk * jms + (kk * n - kk - n) * ems;
    r.icc21.interval = {n * (bms - lower * ems) / (lower * judged + n * bms),
                        n * (upper * bms - ems) / (judged + n * upper * bms)};
    return r;
}

Result<BlandAltman> blandAltman(std::span<const double> a, std::span<const double> b) {
    if (a.size() != b.size())
        return Error{"the two series must be of one length", {}, {}, {}};
    if (a.size() < 3)
        return Error{"at least three pairs are needed", {}, {}, {}};
    BlandAltman out;
    std::vector<double> differences;
    for (std::size_t i = 0; i < a.size(); ++i) {
        out.points.push_back({(a[i] + b[i]) / 2.0, b[i] - a[i]});
        differences.push_back(b[i] - a[i]);
    }
    const auto s = *summarise(differences);
    out.bias = s.mean;
    out.sd = s.sd;
    out.limits = {s.mean - 1.96 * s.sd, s.mean + 1.96 * s.sd};
    out.biasInterval = *meanInterval(s, kConfidence);
    const double n = s.n;
    out.limitsHalfWidth = studentQuantile(1.0 - (1.0 - kConfidence) / 2.0, n - 1.0) * std::sqrt(3.0 / n) * s.sd;
    return out;
}

std::map<LandmarkName, MarkError> markErrors(const TrackSet& first, const TrackSet& again) {
    std::map<LandmarkName, MarkError> out;
    std::map<LandmarkName, double> squares;
    for (const auto& [name, track] : first) {
        const auto other = again.find(name);
        if (other == again.end())
            continue;
        for (const auto& [frame, mark] : track) {
            const auto second = other->second.find(frame);
            if (second == other->second.end() || mark.how != How::hand || second->second.how != How::hand)
                continue;
            const double dx = second->second.at.x - mark.at.x, dy = second->second.at.y - mark.at.y;
            for (const LandmarkName& which : {name, LandmarkName()}) {
                auto& e = out[which];
                ++e.n;
                e.dx += dx;
                e.dy += dy;
                squares[which] += dx * dx + dy * dy;
            }
        }
    }
    for (auto& [name, e] : out) {
        e.sigma = std::sqrt(squares[name] / (4.0 * e.n));
        e.dx /= e.n;
        e.dy /= e.n;
    }
    return out;
}

} // namespace riflesso
