#pragma once
/// \file
/// Motion: smoothed tracks that know their error at every frame.

#include "core/motion/calibration.h"
#include "core/motion/mark.h"
#include "core/motion/timebase.h"

#include <map>
#include <optional>
#include <variant>
#include <vector>

namespace riflesso {

/// How to choose the effective cut-off of the smoothing.
struct CutoffAuto {}; ///< residual analysis per landmark (Winter, ch. 3)
struct CutoffNone {}; ///< marks as they are
using Cutoff = std::variant<CutoffAuto, CutoffNone, Hertz>;

struct MotionOptions {
    Cutoff cutoff = CutoffAuto{};
    /// Set by hand for single landmarks, against the above.
    std::map<LandmarkName, Hertz> own{};
    /// Gaps up to this real time are filled by a spline; longer ones stay gaps. s.
    double longestGap = 0.1;
    /// Shortest run of samples that is smoothed; shorter ones (a few hand-marked key positions) are used as marked.
    int shortestRun = 12;
    /// Automatic cut-offs stay within these. Residual analysis looks at a whole take, which is mostly standing still;
    /// with a slower floor than 9 Hz it smooths landings away (tests/truth measured it: coverage of 2u fell to 80 %).
    Hertz slowest{9.0};
    Hertz fastest{20.0};
};

/// A landmark's smoothed place on one frame. `sigma`: standard error of x and of y after smoothing, px, made of the
/// noise that the filter lets pass and of what the filter is seen to cut off the movement itself.
struct MotionSample {
    Pixel at;
    double sigma = 0.0;
    bool seen = true;        ///< false where a gap was filled
    bool draft = false;      ///< of a mark that a body model found, or filled in beside one
    double own = 0.0;        ///< the part of sigma that neighbouring frames do not share, px
    double speed = 0.0;      ///< standard error of the change of x and of y, each, px a frame (central difference)
    double speedNoise = 0.0; ///< the part of that which noise makes; the rest is movement that the filter cuts off
    Pixel mark{};            ///< the mark itself, before smoothing
    double markSigma = 0.0;  ///< its standard error, px; 0 where no mark is
    double jitter = 0.0;     ///< the part of that which the marks beside it do not share, px
    double bias = 0.0;       ///< the part of sigma² that is movement which smoothing took off, px², mean of both axes
    Pixel lost{};            ///< an estimate of what smoothing took off here, px, as noisy as
    double lostNoise = 0.0;  ///< this variance of each axis, px²
};

/// One landmark over time: samples by frame; missing frames are gaps.
struct MotionTrack {
    std::map<FrameIndex, MotionSample> samples;
    std::vector<Hertz> cutoffs; ///< the effective cut-off of each smoothed run, in order of time
};

/// All landmarks of a take, smoothed. A plain value.
class Motion {
public:
    Motion() = default;
    Motion(std::map<LandmarkName, MotionTrack> tracks, Timebase time);

    [[nodiscard]] std::optional<MotionSample> at(const LandmarkName& landmark, FrameIndex frame) const;
    [[nodiscard]] const std::map<LandmarkName, MotionTrack>& tracks() const { return m_tracks; }
    [[nodiscard]] const Timebase& time() const { return m_time; }

private:
    std::map<LandmarkName, MotionTrack> m_tracks;
    Timebase m_time;
};

/// Marks of a moving camera, carried to the reference frame's picture. A frame without a map keeps its marks.
TrackSet steadied(const TrackSet& tracks, const CameraPath& path);

/// The one place of a fixed point (`scene_…`) from its marks on any frames: their weighted mean. When they scatter more
/// than their errors allow, because the camera moves, sigma is their scatter. Nothing when there is no mark.
std::optional<Mark> fixedPoint(const Track& track);

/// Marks to motion. Marks on frames outside the film are left out; fixed points of the scene are there on every frame.
/// Pure.
Motion toMotion(const TrackSet& tracks, const Timebase& time, const MotionOptions& options = {});

} // namespace riflesso
