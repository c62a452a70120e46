#pragma once
/// \file
/// Two reps looked at together: which frame of the one belongs to a frame of the other.

#include "core/mirror/registration.h"
#include "core/motion/timebase.h"

#include <optional>
#include <vector>

namespace riflesso {

/// By the movement: the same phase between shared key positions. By the clock: the same time since the first shared
/// one.
enum class LockKind { movement, clock };

/// A rep as it is locked: where its key positions lie, and when its frames happened. Both outlive the lock.
struct LockedRep {
    const Positions* positions = nullptr;
    Timebase time{};
    FrameIndex first{}, last{}; ///< of the rep
};

/// The key positions, in the order of the movement, that both have and that run one way in both.
std::vector<PositionId> sharedPositions(const std::vector<PositionId>& order, const Positions& a, const Positions& b);

/// Only for looking: nothing of it is written into either film.
class FilmLock {
public:
    /// By the movement where they share two key positions or more, else by the clock from the beginnings of both.
    FilmLock(const std::vector<PositionId>& order, LockedRep leader, LockedRep follower, LockKind kind);

    /// Do they share enough for a lock by the movement?
    [[nodiscard]] bool byPositions() const { return m_leaderMap.usable() && m_followerMap.usable(); }
    /// The follower's frame while the leader shows \p frame; clamped to its film. Beyond the shared positions, and by
    /// the clock everywhere, both run at their own real speed.
    [[nodiscard]] FrameIndex follower(FrameIndex frame) const;

private:
    LockedRep m_leader, m_follower;
    LockKind m_kind;
    PhaseMap m_leaderMap, m_followerMap;
};

/// Frames for a rep in \p count exposures at equal times of real time from \p first to \p last, both among them; fewer
/// when the film has fewer frames. Empty for fewer than two.
std::vector<FrameIndex> evenExposures(const Timebase& time, FrameIndex first, FrameIndex last, int count);

/// The frames that a film of this stretch shows at \p rate pictures a second, each real second lasting \p slow seconds:
/// the frame nearest to each picture's instant. Errors: none; empty when a figure is not positive or the stretch is.
std::vector<FrameIndex> framesShown(const Timebase& time, FrameIndex first, FrameIndex last, double rate, double slow);

} // namespace riflesso
