#pragma once
/// \file
/// A phase on one picture: a chronophotograph with the paths of chosen points, the athlete above, another below.

#include "handover/clip.h"

#include <QImage>

namespace riflesso {

struct TraceOptions {
    Id rep = 0;
    Id other = 0;             ///< under the waterline; 0 = the athlete alone
    int exposures = 8;        ///< 2 to 24
    bool atPositions = false; ///< one exposure a key position instead of equal times
    PositionId from{}, to{};  ///< of the phase; the whole rep where left open
    /// Landmarks whose paths are drawn; empty = of arms and of legs what travels farthest.
    std::vector<LandmarkName> points{};
    double tick = 0.1; ///< s of real time between two ticks of a path
    int width = 1600;  ///< px of the picture; 64 to 4096
};

/// Errors: no such rep; a film that cannot be read; fewer than two exposures in the phase.
Result<QImage> tracePicture(const FilmedCase& filmed, const TraceOptions& options,
                            const std::function<bool(double)>& goOn = {});

} // namespace riflesso
