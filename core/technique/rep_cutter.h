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
/// of the film, and whatever does not turn as far as the others do, are no cycles. Single movements are cut where all
/// curves that the rules read are at rest together; two stirrings that make one whole movement only together are one
/// (a lunge is held in the middle).
///
/// Key positions come in the blueprint's order, each later than the one before: a rep in which the rules say otherwise
/// loses the unsure one, and a cycle that still says otherwise is left out, not bent. Pure. \p motion: the marks as
/// they are, drafts too, unsmoothed. \p strikes: s of real time.
std::vector<CutRep> cutReps(const Blueprint& blueprint, const Motion& motion, const ViewSetup& setup,
                            std::span<const double> strikes = {});

} // namespace riflesso
