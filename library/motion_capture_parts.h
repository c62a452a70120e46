#pragma once
/// \file
/// What the readers of motion capture files share.

#include "library/motion_capture.h"

#include <limits>

namespace riflesso {

/// A point that was not seen.
inline const Eigen::Vector3d kNowhere = Eigen::Vector3d::Constant(std::numeric_limits<double>::quiet_NaN());

/// Points times frames that are read from one file: 480 MB of places.
inline constexpr double kMostPlaces = 2e7;

Error brokenCapture(const std::string& file, const std::string& place, const std::string& what);

/// Keeps a point under our name when it has one; the file's own names of ours win over known others.
void keepPoint(MotionCapture& capture, const std::string& name, std::vector<Eigen::Vector3d> places);

} // namespace riflesso
