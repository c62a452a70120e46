#pragma once
/// \file
/// Worst first: which frames are worth a look, because correcting them would make the measures surer, and how many are
/// left until every measure can be decided.

#include "core/mirror/reference.h"

#include <map>
#include <set>
#include <string>
#include <vector>

namespace riflesso {

struct AttentionInput {
    const Blueprint& blueprint;
    const Motion& motion;       ///< of the take
    const TrackSet& marks;      ///< of the take: tells which marks a hand has made
    const Positions& positions; ///< of the rep
    ViewSetup setup;
    std::map<std::string, Band> bands{}; ///< by measure; without one, half the target's floor is the certainty wanted
    double handSigma = kAssumedHandSigma;
    double confidence = 0.95;
};

/// One frame that asks for a look.
struct Ask {
    FrameIndex frame;
    std::vector<LandmarkName> landmarks; ///< to correct or to place there, the most telling first
    double gain = 0.0; ///< fall of the measures' uncertainty in units of their bands' half-widths, summed
    std::vector<std::string> measures; ///< ids of the measures that it makes surer
    bool missing = false;              ///< something is not marked there at all
};

struct Attention {
    std::vector<Ask> asks;         ///< in the order that pays most; each counts on the ones before being done
    std::vector<std::string> open; ///< measures that are not decided yet
    double doubt = 0.0;            ///< mean over the measures that can be read of u over the half-width of their band
    std::vector<std::string> beyondUs; ///< of these, the ones that no mark would decide: other reps or films would
    [[nodiscard]] int frames() const { return static_cast<int>(asks.size()); }
};

/// Greedy: again and again the frame whose correction to \p handSigma lowers the uncertainty of the open measures most,
/// until all are decided or nothing more is to be had (less than a tenth of a measure's uncertainty).
///
/// A mark made by hand is not asked for again. A measure counts as decided when its value and uncertainty lie inside or
/// outside its band with the wanted confidence (core/mirror/decision.h).
Attention worstFirst(const AttentionInput& input);

} // namespace riflesso
