#pragma once
/// \file
/// From one marked rep to the next: where are the same moment and the same places in another part of the film?

#include "core/motion/mark.h"
#include "core/motion/result.h"

#include <filesystem>
#include <functional>
#include <utility>
#include <vector>

namespace riflesso {

struct SeedOptions {
    /// Frames that are marked by hand, and about where each one's moment is expected in the other rep.
    std::vector<std::pair<FrameIndex, FrameIndex>> moments;
    FrameIndex first, last;   ///< of the other rep
    int lookAround = 24;      ///< frames before and after the expected one
    double likeEnough = 0.70; ///< correlation below which a place is left unmarked
    std::filesystem::path indexFolder;
};

/// Marks for the other rep, of kind tracked: each moment is found by how much the body's surroundings look alike (at a
/// quarter of the size), each place then by its own neighbourhood. Errors grow with what does not look alike. Moments
/// stay in order. Errors: unreadable; nothing that looks alike; cancelled.
Result<TrackSet> seedMarks(const std::filesystem::path& film, const TrackSet& marks, const SeedOptions& options,
                           const std::function<bool(double)>& goOn = {});

} // namespace riflesso
