#pragma once
/// \file
/// Tracks as CSV: `time_s,frame,landmark,x_px,y_px,sigma_px,how` (the last two optional; y down).

#include "core/motion/mark.h"
#include "core/motion/result.h"

#include <string>
#include <vector>

namespace riflesso {

struct TracksFile {
    TrackSet tracks;
    /// Time of each frame from 0 to the last one named; frames between that no row names are filled in evenly.
    std::vector<double> times;
};

/// Errors name the line and column. Duplicate landmark on a frame, NaN, unknown landmark, time that runs backwards and
/// a negative σ are errors. Lines may end in CR LF; an empty last line is fine.
Result<TracksFile> tracksFromCsv(const std::string& text, const std::string& fileName);

std::string tracksToCsv(const TrackSet& tracks, const std::vector<double>& times);

} // namespace riflesso
