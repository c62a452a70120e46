#pragma once
/// \file
/// Carrying marks from frame to frame: what a hand placed on a few frames is followed through the rest.
///
/// Optical flow (Lucas-Kanade in pyramids, one pyramid a frame shared by all landmarks and built only round the body)
/// is checked there and back, then corrected by a look at the marked place itself, turned as the limb has turned since.
/// Two sweeps, forwards and backwards, meet between marks and are blended by their errors. Where the place is covered
/// nothing is made up: the track has a gap until it is found again.

#include "core/motion/carrying.h"
#include "core/motion/result.h"

#include <filesystem>
#include <functional>
#include <vector>

namespace riflesso {

struct CarryOptions {
    FrameIndex first, last;              ///< frames to fill, inclusive; outside the film = its ends
    std::vector<LandmarkName> landmarks; ///< empty = all that have a hand mark
    /// Marks that no hand has made but that are carried from like hand marks, with their own errors (footage/seed.h).
    TrackSet starts{};
    bool forwards = true, backwards = true;
    double lookFor = 0.25;             ///< s of real time for which a covered place is looked for before giving up
    double framePeriod = 1.0 / 60.0;   ///< s of real time between frames, for the above
    std::filesystem::path indexFolder; ///< where tables of frames are kept; may be empty
};

struct CarryResult {
    TrackSet marks; ///< of kind tracked, only frames without a mark of another kind
    /// Frames on which a landmark was found to be covered, by landmark.
    std::map<LandmarkName, std::vector<FrameIndex>> covered;
    bool whole = true; ///< false when it was cancelled: what was done until then is good
    int frames = 0;    ///< frames looked at, both directions together
};

/// Told the share done; false cancels.
using CarryProgress = std::function<bool(double)>;

/// Carries the hand marks of \p marks. Frames marked hidden stop a landmark there. Marks on frames that the film does
/// not have are left alone. Errors: the film cannot be opened; nothing to carry from within the frames.
Result<CarryResult> carry(const std::filesystem::path& film, const TrackSet& marks, const CarryOptions& options,
                          const CarryProgress& goOn = {});

} // namespace riflesso
