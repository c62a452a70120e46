#pragma once
/// \file
/// What the readers of motion capture files share.

#include "library/motion_capture.h"

#include <limits>
#include <string>
#include <vector>

namespace riflesso {

/// A point that was not seen.
inline const Eigen::Vector3d kNowhere = Eigen::Vector3d::Constant(std::numeric_limits<double>::quiet_NaN());

/// Points times frames that are read from one file: 480 MB of places.
inline constexpr double kMostPlaces = 2e7;

Error brokenCapture(const std::string& file, const std::string& place, const std::string& what);

/// Keeps points under our names where they have one: those that the file itself calls by one of ours first, then known
/// others whose place is still free; the rest are named in `others`. \p places: one list of frames a name.
void keepPoints(MotionCapture& capture, const std::vector<std::string>& names,
                std::vector<std::vector<Eigen::Vector3d>> places);

} // namespace riflesso
