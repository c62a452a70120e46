#pragma once
/// \file
/// Several angles: do the marks of one view agree with those of another?

#include "core/motion/epipolar.h"
#include "core/motion/motion.h"
#include "library/case_data.h"

#include <memory>

namespace riflesso {

/// A landmark whose two marks cannot be the same point: one of them is off.
struct ViewMismatch {
    LandmarkName landmark;
    FrameIndex a, b;       ///< the frames in either take
    double distance = 0.0; ///< px, from agreeing
    double misfit = 0.0;   ///< the same in units of what the marks' errors make of it
};

/// Two locked takes, checked against one another.
struct ViewCheck {
    Id a = 0, b = 0;                  ///< takes
    std::optional<Eigen::Matrix3d> f; ///< from a to b, learnt from the marks themselves
    int pairs = 0;                    ///< points that both show, from which it was learnt
    double typical = 0.0;             ///< median distance from agreeing, px
    std::vector<ViewMismatch> off;    ///< misfit above 4, in order of a's frames; the worst of each run of frames
    std::string why;                  ///< when it could not be checked

    [[nodiscard]] bool has(Id take) const { return take == a || take == b; }
};

/// One check a link. Marks of the second view are read at the first one's instant: between two frames in a straight
/// line. Left out: fixed points, and what moves so fast that the lock's error matters more than the marks'.
std::vector<ViewCheck> checkViews(const CaseData& data, const std::map<Id, std::shared_ptr<const Motion>>& motions);

/// Where the other view of a check says that a landmark lies on a frame of \p take: a line in its picture.
std::optional<Eigen::Vector3d> lineFromOtherView(const ViewCheck& check, const CaseData& data,
                                                 const std::map<Id, std::shared_ptr<const Motion>>& motions, Id take,
                                                 FrameIndex frame, const LandmarkName& landmark);

} // namespace riflesso
