#include "core/motion/rep_watch.h"

#include <algorithm>

namespace riflesso {

std::optional<TimeSpan> RepWatch::add(double time, double energy) {
    constexpr double kLookEvery = 0.1; // s
    if (!m_times.empty() && time <= m_times.back())
        return std::nullopt;
    m_times.push_back(time);
    m_energy.push_back(energy);
    if (time - m_looked < kLookEvery)
        return std::nullopt;
    m_looked = time;
    const auto old = std::lower_bound(m_times.begin(), m_times.end(), time - m_memory) - m_times.begin();
    m_times.erase(m_times.begin(), m_times.begin() + old);
    m_energy.erase(m_energy.begin(), m_energy.begin() + old);
    for (const RepSpan& rep : repsFromMotion(m_energy, m_times, m_options)) {
        const TimeSpan span{m_times[static_cast<std::size_t>(rep.first.value)],
                            m_times[static_cast<std::size_t>(rep.last.value)]};
        const bool over = time - (span.end - m_options.air) >= m_options.pause;
        // What is still can shift a little as more is seen: a rep that was told does not come again.
        const bool told = (span.begin + span.end) / 2.0 < m_told;
        if (!over || told)
            continue;
        m_told = span.end;
        return span;
    }
    return std::nullopt;
}

} // namespace riflesso
