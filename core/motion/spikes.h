#pragma once
/// \file
/// Marks that jump out of their track.

#include "core/motion/mark.h"
#include "core/motion/timebase.h"

#include <vector>

namespace riflesso {

struct Spike {
    FrameIndex frame;
    double jump = 0.0; ///< px, from where its neighbours say that it should be
};

/// Marks that lie farther from the curve through two neighbours on either side than a body can: six times the
/// track's usual distance (median) and at least \p least px. Largest first. Runs of fewer than five marks have none.
std::vector<Spike> spikesIn(const Track& track, const Timebase& time, double least = 4.0);

} // namespace riflesso
