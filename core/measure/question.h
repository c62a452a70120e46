#pragma once
/// \file
/// A question to a frame: what a few clicked points can answer, without a technique, a rep or key positions.

#include "core/motion/calibration.h"
#include "core/motion/mark.h"
#include "core/motion/result.h"
#include "core/motion/timebase.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// Points clicked on one frame, or the same points on two frames. Pixels, x right, y DOWN.
struct Question {
    std::vector<Pixel> points;        ///< none to four, on the frame
    double sigma = kAssumedHandSigma; ///< standard error of x and of y of each point, px
    FrameIndex frame;
    std::optional<FrameIndex> second;         ///< another frame
    std::vector<Pixel> secondPoints;          ///< on it: none, or as many as `points`
    int cycles = 0;                           ///< between the two frames; 0 = not counted
    const Calibration* calibration = nullptr; ///< borrowed; null = the picture as it is
};

/// One thing that the points can answer, or why it cannot be had.
struct Answer {
    std::string kind; ///< "length", "lean", "tilt", "angle", "distance", "between", "ratio", "way", "speed", "turned",
                      ///< "twist", "time", "rate"
    double value = 0.0;
    double u = 0.0; ///< standard uncertainty
    std::string unit;
    std::string refused; ///< the reason; empty when there is a value
};

/// Two points: length, lean (of first→second from the vertical, −180..180°, + = to the right), tilt (against the
/// horizontal, −90..90°, + = rises to the right). Three: angle at the second, 0..180°, and the distance of the third
/// from the line through the first two (+ = above it; of an upright line: to the right). Four: length a–b over c–d, and
/// the angle between a→b and c→d. The same points on two frames: the way of the first and its speed, and how far
/// first→second turned; of three points also how far the third turned about the axis first→second, if the first frame
/// shows it as far out as it can be and as near to the camera: asin(how far off the axis it is now over then), −90..90°,
/// 90 = as on the first frame, refused from a standard error of 30° on. Two frames: the time between them, and cycles a minute when they were counted. Uncertainty is
/// first order (JCGM 100:2008, 5.1.2) with independent points; an instant's is period/√12. A direction is refused when
/// its points are nearer than six of their errors: there first order no longer holds. Lengths are in m with a metric
/// calibration, else px, and speeds per s of real time. Errors: more than four points; unequal numbers of points on the
/// two frames; a place that is no number.
Result<std::vector<Answer>> ask(const Question& question, const Timebase& time);

} // namespace riflesso
