#pragma once
/// \file
/// What moves in a film: how much each picture changes, and how the camera itself moves.

#include "core/motion/calibration.h"
#include "core/motion/result.h"

#include <filesystem>
#include <functional>
#include <vector>

namespace riflesso {

using Progress = std::function<bool(double)>; ///< told the share done; false cancels

/// Motion energy, one value a frame: mean change of grey a second, of pixels that change by more than noise does.
/// Decodes in a hurry (pictures that no other refers to are passed over and get their neighbours' mean), on a thread
/// of its own decoder. Errors: unreadable; cancelled.
Result<std::vector<double>> motionEnergy(const std::filesystem::path& film, const std::filesystem::path& indexFolder,
                                         const Progress& goOn = {});

/// The camera's own movement, from the background: a map for each frame into the first one's picture. Corners are
/// followed from frame to frame (Shi & Tomasi 1994; Lucas-Kanade in pyramids) and the homography that most of them obey
/// is taken (RANSAC on shift, turn and size first), so that an athlete in front does not count; drift is taken out by
/// looking back to the first frame while it is in the picture. Errors: unreadable; cancelled; too little background to
/// hold on to.
Result<CameraPath> cameraPathOf(const std::filesystem::path& film, const std::filesystem::path& indexFolder,
                                const Progress& goOn = {});

} // namespace riflesso
