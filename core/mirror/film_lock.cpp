#include "core/mirror/film_lock.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

std::vector<PositionId> sharedPositions(const std::vector<PositionId>& order, const Positions& a, const Positions& b) {
    std::vector<PositionId> shared;
    for (const auto& id : order)
        if (a.contains(id) && b.contains(id))
            shared.push_back(id);
    for (const auto* own : {&a, &b}) { // what comes out of order in either cannot carry both
        const PhaseMap map(shared, *own);
        for (const auto& id : map.skipped())
            std::erase(shared, id);
    }
    return shared;
}

FilmLock::FilmLock(const std::vector<PositionId>& order, LockedRep leader, LockedRep follower, LockKind kind)
    : m_leader(std::move(leader)), m_follower(std::move(follower)), m_kind(kind),
      m_leaderMap(sharedPositions(order, *m_leader.positions, *m_follower.positions), *m_leader.positions),
      m_followerMap(sharedPositions(order, *m_leader.positions, *m_follower.positions), *m_follower.positions) {}

FrameIndex FilmLock::follower(FrameIndex frame) const {
    const int last = std::max(0, m_follower.time.frames() - 1);
    const auto inFilm = [&](int f) { return FrameIndex(std::clamp(f, 0, last)); };
    double begin = m_leader.first.value, end = m_leader.last.value;
    double otherBegin = m_follower.first.value, otherEnd = m_follower.last.value;
    if (byPositions()) {
        begin = m_leaderMap.frame(m_leaderMap.firstPhase());
        end = m_leaderMap.frame(m_leaderMap.lastPhase());
        otherBegin = m_followerMap.frame(m_followerMap.firstPhase());
        otherEnd = m_followerMap.frame(m_followerMap.lastPhase());
        if (m_kind == LockKind::movement && frame.value >= begin && frame.value <= end)
            return inFilm(static_cast<int>(std::lround(m_followerMap.frame(m_leaderMap.phase(frame.value)))));
    }
    const auto real = [](const Timebase& time, double f) {
        return time.real(FrameIndex(static_cast<int>(std::lround(f)))).value;
    };
    const bool fromEnd = byPositions() && m_kind == LockKind::movement && frame.value > end;
    const double since = m_leader.time.real(frame).value - real(m_leader.time, fromEnd ? end : begin);
    return inFilm(
        m_follower.time.nearest(RealTime(real(m_follower.time, fromEnd ? otherEnd : otherBegin) + since)).value);
}

std::vector<FrameIndex> evenExposures(const Timebase& time, FrameIndex first, FrameIndex last, int count) {
    std::vector<FrameIndex> out;
    if (count < 2 || last <= first || time.frames() < 2)
        return out;
    const double from = time.real(first).value, to = time.real(last).value;
    for (int i = 0; i < count; ++i) {
        const FrameIndex f = std::clamp(time.nearest(RealTime(from + (to - from) * i / (count - 1))), first, last);
        if (out.empty() || out.back() < f)
            out.push_back(f);
    }
    return out;
}

std::vector<FrameIndex> framesShown(const Timebase& time, FrameIndex first, FrameIndex last, double rate, double slow) {
    std::vector<FrameIndex> out;
    if (!(rate > 0.0) || !(slow > 0.0) || last < first || time.frames() == 0)
        return out;
    const double from = time.real(first).value;
    // The last frame is shown as long as it lasted.
    const double shown = (time.real(last).value + time.realPeriod(last) - from) * slow;
    const auto pictures = static_cast<long>(std::max(1.0, std::round(shown * rate)));
    for (long i = 0; i < pictures; ++i)
        out.push_back(std::clamp(time.nearest(RealTime(from + static_cast<double>(i) / rate / slow)), first, last));
    return out;
}

} // namespace riflesso
