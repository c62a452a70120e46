#include "core/mirror/registration.h"

#include "core/statistics/summary.h"

#include <algorithm>

namespace riflesso {

PhaseMap::PhaseMap(const std::vector<PositionId>& order, const Positions& positions) {
    for (std::size_t i = 0; i < order.size(); ++i) {
        const auto it = positions.find(order[i]);
        if (it == positions.end())
            continue;
        const double frame = it->second.frame.value;
        if (!m_knots.empty() && frame <= m_knots.back().frame) {
            m_skipped.push_back(order[i]);
            continue;
        }
        m_knots.push_back({static_cast<double>(i), frame});
    }
}

double PhaseMap::phase(double frame) const {
    if (m_knots.empty())
        return 0.0;
    if (frame <= m_knots.front().frame)
        return m_knots.front().phase;
    for (std::size_t i = 1; i < m_knots.size(); ++i) {
        const auto& a = m_knots[i - 1];
        const auto& b = m_knots[i];
        if (frame <= b.frame)
            return a.phase + (b.phase - a.phase) * (frame - a.frame) / (b.frame - a.frame);
    }
    return m_knots.back().phase;
}

double PhaseMap::frame(double phase) const {
    if (m_knots.empty())
        return 0.0;
    if (phase <= m_knots.front().phase)
        return m_knots.front().frame;
    for (std::size_t i = 1; i < m_knots.size(); ++i) {
        const auto& a = m_knots[i - 1];
        const auto& b = m_knots[i];
        if (phase <= b.phase)
            return a.frame + (b.frame - a.frame) * (phase - a.phase) / (b.phase - a.phase);
    }
    return m_knots.back().frame;
}

std::vector<PhasePoint> phaseCurve(const std::vector<std::vector<SeriesSample>>& series,
                                   const std::vector<PhaseMap>& maps, double from, double to, int samples) {
    std::vector<PhasePoint> out;
    for (int k = 0; k < samples; ++k) {
        const double phase = from + (to - from) * k / std::max(1, samples - 1);
        std::vector<double> values;
        for (std::size_t i = 0; i < series.size() && i < maps.size(); ++i) {
            const auto& s = series[i];
            if (!maps[i].usable() || phase < maps[i].firstPhase() || phase > maps[i].lastPhase())
                continue;
            const double frame = maps[i].frame(phase);
            const auto after = std::lower_bound(s.begin(), s.end(), frame,
                                                [](const SeriesSample& a, double f) { return a.frame.value < f; });
            if (after == s.end())
                continue;
            if (after->frame.value == frame) {
                values.push_back(after->value);
            } else if (after != s.begin()) {
                const auto& a = *(after - 1);
                // Between two samples one frame or a few apart the straight line will do; over a gap it would invent.
                if (after->frame - a.frame <= 3)
                    values.push_back(a.value +
                                     (after->value - a.value) * (frame - a.frame.value) / (after->frame - a.frame));
            }
        }
        if (const auto summary = summarise(values))
            out.push_back({phase, summary->mean, summary->sd});
    }
    return out;
}

} // namespace riflesso
