#pragma once
/// \file
/// A hidden landmark read from two others that give it away, by a geometry learnt where all three are seen.

#include "core/motion/mark.h"

#include <optional>

namespace riflesso {

/// The landmark's place in the frame of from→to: along it and square to it, in lengths of it; with what it varies by.
struct ProxyGeometry {
    double along = 0.0, across = 0.0;
    double spread = 0.0; ///< standard deviation of each, in lengths of from→to
    int frames = 0;
};

/// Learns from frames on which all three are seen (marked by hand or carried). Empty below three frames, or when from
/// and to lie on one another.
std::optional<ProxyGeometry> learnProxy(const TrackSet& tracks, const LandmarkName& landmark, const LandmarkName& from,
                                        const LandmarkName& to);

/// The landmark's place by two others. σ from theirs and from how much the geometry varied.
Mark proxyMark(const ProxyGeometry& geometry, const Mark& from, const Mark& to);

} // namespace riflesso
