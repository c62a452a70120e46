#pragma once
/// \file
/// Reps of a take cut from the skeleton, with their key positions: proposals for the analyst.

#include "core/technique/position_finder.h"

#include <span>
#include <vector>

namespace riflesso {

struct CutRep {
    FrameIndex first, last; ///< inclusive
    std::map<PositionId, PositionProposal> positions;
};

/// Does the movement come round: is its last key position read off the same points as its first, as the next cycle's
/// beginning is?
bool isCyclic(const Blueprint& blueprint);

/// Cyclic movements are cut where the first key position's own curve turns, cycle by cycle; the beginning and the end
/// of the film, and whatever does not turn as far as the others do, are no cycles. Single movements are cut by the
/// curve that goes away from rest and comes back most alike each time, at the quietest moments between while it is at
/// home (a lunge that is held in the middle is one rep).
///
/// Key positions come in the order that the rules demand: of two that do not, the less sure one is left out; a cycle in
/// which two sure ones contradict one another is left out as a whole, not bent. Pure. \p motion: the marks as they are,
/// drafts too, unsmoothed. \p strikes: s of real time.
std::vector<CutRep> cutReps(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup,
                            std::span<const double> strikes = {});

} // namespace riflesso
