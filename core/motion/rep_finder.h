#pragma once
/// \file
/// Where the reps of a long take may be. Proposals: the analyst accepts, splits, merges or moves them.

#include "core/motion/sync.h"
#include "core/motion/units.h"

#include <optional>
#include <span>
#include <vector>

namespace riflesso {

/// Frames \p first to \p last, inclusive.
struct RepSpan {
    FrameIndex first, last;
    double strength = 0.0; ///< how far it stands out, 0..1
    friend bool operator==(const RepSpan&, const RepSpan&) = default;
};

struct RepFinderOptions {
    double shortest = 0.25; ///< s: shorter stirrings are no rep
    double pause = 0.35;    ///< s: stillness shorter than this does not end a rep
    double air = 0.10;      ///< s added at both ends
    double before = 0.8;    ///< s before a strike that belong to its rep
    double after = 0.6;     ///< s after it
};

/// From motion energy (any unit, one value a frame; how much the picture changed since the frame before) at real times.
/// A threshold between resting and moving is found from the values themselves (Otsu 1979, on their logarithms); empty
/// when nothing stands out from the rest.
std::vector<RepSpan> repsFromMotion(std::span<const double> energy, std::span<const double> times,
                                    const RepFinderOptions& options = {});

/// Strikes in a sound: sharp rises far above the usual, at least \p apart s from one another. Times on its clock.
std::vector<double> strikes(const Sound& sound, double apart = 0.5);

/// One rep around each strike.
std::vector<RepSpan> repsFromStrikes(std::span<const double> strikes, std::span<const double> times,
                                     const RepFinderOptions& options = {});

/// The period of a cyclic movement from its motion energy, s; empty when none is clear (autocorrelation below 0.3).
/// A cycle of two like halves (left and right step) counts as one when the halves differ.
std::optional<double> periodOf(std::span<const double> energy, std::span<const double> times);

/// Cuts at the quiet moments of each cycle.
std::vector<RepSpan> repsFromCycles(std::span<const double> energy, std::span<const double> times);

} // namespace riflesso
