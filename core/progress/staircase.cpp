#include "core/progress/staircase.h"

#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr int kThresholds = 60;
constexpr double kSpreads[] = {0.2, 0.4, 0.7};              // of the logarithm of size
constexpr double kAlarms[] = {0.02, 0.08, 0.15, 0.25, 0.4}; // share of looks without the fault on which it is seen
constexpr double kLapses = 0.03;                            // looks on which somebody did not look
constexpr double kZ = 0.6744897501960817;                   // Φ⁻¹(0.75)
constexpr double kBeyond = 3.0;                             // thresholds up to this many times the largest size
constexpr int kEvery = 4;                                   // each so many looks one without the fault

double entropy(double p) {
    return p <= 0.0 || p >= 1.0 ? 0.0 : -p * std::log(p) - (1.0 - p) * std::log(1.0 - p);
}

} // namespace

std::optional<SizeBias> sizeBias(const std::vector<FaultLook>& looks) {
    std::vector<double> logs;
    for (const auto& l : looks)
        if (l.said && l.size > 0.0 && l.guessed && *l.guessed > 0.0)
            logs.push_back(std::log(*l.guessed / l.size));
    constexpr std::size_t kFewest = 5;
    if (logs.size() < kFewest)
        return std::nullopt;
    const auto summary = summarise(logs);
    const auto about = meanInterval(*summary);
    return SizeBias{std::exp(summary->mean), {std::exp(about->lo), std::exp(about->hi)}, summary->n};
}

std::vector<double> sizeChoices(double smallest, double largest, int choices) {
    std::vector<double> out;
    for (int i = 0; i < choices; ++i)
        out.push_back(smallest *
                      std::pow(largest / smallest, choices > 1 ? static_cast<double>(i) / (choices - 1) : 0.0));
    return out;
}

Staircase::Staircase(double smallest, double largest)
    : m_smallest(std::max(1e-9, smallest)), m_largest(std::max(largest, m_smallest * 1.01)) {
    const double from = std::log(m_smallest / 2.0), to = std::log(m_largest * kBeyond);
    for (int i = 0; i < kThresholds; ++i)
        for (const double spread : kSpreads)
            for (const double alarms : kAlarms)
                m_cells.push_back({std::exp(from + (to - from) * i / (kThresholds - 1)), spread, alarms, 1.0});
    for (auto& c : m_cells)
        c.p /= static_cast<double>(m_cells.size());
    constexpr int kSizes = 24;
    for (int i = 0; i < kSizes; ++i) {
        Shown s{m_smallest * std::pow(m_largest / m_smallest, static_cast<double>(i) / (kSizes - 1)), {}, {}};
        for (const auto& c : m_cells) {
            s.p.push_back(chance(c, s.size));
            s.entropy.push_back(entropy(s.p.back()));
        }
        m_shown.push_back(std::move(s));
    }
}

double Staircase::chance(const Cell& c, double size) {
    if (!(size > 0.0))
        return c.alarms;
    return c.alarms + (1.0 - c.alarms - kLapses) * normalCdf(std::log(size / c.threshold) / c.spread + kZ);
}

void Staircase::add(const FaultLook& look) {
    m_looks.push_back(look);
    double sum = 0.0;
    for (auto& c : m_cells) {
        const double p = chance(c, look.size);
        c.p *= look.said ? p : 1.0 - p;
        sum += c.p;
    }
    for (auto& c : m_cells)
        c.p /= sum;
}

double Staircase::next() const {
    if (m_looks.size() % kEvery == kEvery - 1)
        return 0.0;
    // Knowing the threshold would leave only the answer's own chance: the difference is what the answer tells.
    double best = m_smallest, most = -1.0;
    for (const auto& s : m_shown) {
        double mean = 0.0, own = 0.0;
        for (std::size_t k = 0; k < m_cells.size(); ++k) {
            mean += m_cells[k].p * s.p[k];
            own += m_cells[k].p * s.entropy[k];
        }
        if (const double told = entropy(mean) - own; told > most + 1e-12) {
            most = told;
            best = s.size;
        }
    }
    return best;
}

std::vector<std::pair<double, double>> Staircase::marginal() const {
    std::vector<std::pair<double, double>> out;
    for (const auto& c : m_cells) {
        if (out.empty() || out.back().first != c.threshold)
            out.emplace_back(c.threshold, 0.0);
        out.back().second += c.p;
    }
    return out;
}

double Staircase::threshold() const {
    double log = 0.0;
    for (const auto& [t, p] : marginal())
        log += p * std::log(t);
    return std::exp(log);
}

Interval Staircase::interval() const {
    Interval out{0.0, 0.0};
    double sum = 0.0;
    bool low = false;
    for (const auto& [t, p] : marginal()) {
        sum += p;
        if (!low && sum >= 0.025) {
            out.lo = t;
            low = true;
        }
        if (sum >= 0.975) {
            out.hi = t;
            return out;
        }
    }
    out.hi = m_largest * kBeyond;
    return out;
}

double Staircase::falseAlarms() const {
    double sum = 0.0;
    for (const auto& c : m_cells)
        sum += c.p * c.alarms;
    return sum;
}

bool Staircase::blind() const {
    double above = 0.0;
    for (const auto& c : m_cells)
        above += c.threshold > m_largest ? c.p : 0.0;
    return above >= 0.8;
}

} // namespace riflesso
