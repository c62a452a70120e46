#pragma once
/// \file
/// Motion capture in and out: BVH in; TRC and C3D in and out. And a virtual camera that films it.
///
/// Points are in space, in the file's own unit and axes. Sources: BVH as its files describe themselves (hierarchy, then
/// channels a frame), from memory; TRC as tab-separated text with five lines of head, from memory; C3D: "The C3D File
/// Format User Guide", Motion Lab Systems, from memory (processor types Intel and SGI; DEC is refused).

#include "core/motion/mark.h"
#include "core/motion/result.h"

#include <Eigen/Core>

#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

struct MotionCapture {
    double rate = 0.0; ///< Hz
    int frames = 0;
    std::string unit; ///< as the file says: "mm", "px"; may be empty
    /// Places by landmark name and frame; NaN where a point was not seen.
    std::map<LandmarkName, std::vector<Eigen::Vector3d>> points;
    std::vector<std::string> others; ///< points of the file whose names are none of ours and were left out
};

/// Readers check every length against the text or bytes they have. Names of joints and markers become ours where they
/// are known (LeftUpLeg: left_hip); points of our own names stay. Errors: what is broken, and where.
Result<MotionCapture> captureFromBvh(const std::string& text, const std::string& fileName);
Result<MotionCapture> captureFromTrc(const std::string& text, const std::string& fileName);
Result<MotionCapture> captureFromC3d(const std::string& bytes, const std::string& fileName);

std::string captureToTrc(const MotionCapture& capture, const std::string& fileName);
/// C3D with real numbers, Intel order. Error: more than 65535 frames or 255 points, which it cannot hold.
Result<std::string> captureToC3d(const MotionCapture& capture);

/// True when it is flat in px: tracks of a film, which need no camera.
bool isOfFilm(const MotionCapture& capture);
/// Tracks of a film as a flat capture, y down, unit px; and back. Marks' errors are not kept: \p sigma is given to all.
MotionCapture captureOf(const TrackSet& tracks, int frames, double rate);
TrackSet tracksOf(const MotionCapture& flat, double sigma);

/// Where a virtual camera stands.
struct VirtualCamera {
    double azimuth = 90.0; ///< degrees round the athlete: 0 from in front, 90 from the right side, 180 from behind
    double height = 400.0; ///< px from ankles to neck
    double sigma = 0.5;    ///< px, stated error of a mark
};
/// Films a capture without perspective. Up is the axis along which the neck (or hips) is furthest over the ankles,
/// forward what lies square to the hips' (or shoulders') line, both over the whole of it. In side view forward is to
/// the right. Error: too few of the points by which it finds up and forward.
Result<TrackSet> filmed(const MotionCapture& capture, const VirtualCamera& camera = {});

} // namespace riflesso
