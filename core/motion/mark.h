#pragma once
/// \file
/// A mark is a landmark at an instant, with its standard error and how it was made.

#include "core/motion/landmark.h"
#include "core/motion/units.h"

#include <array>
#include <map>
#include <optional>
#include <string_view>

namespace riflesso {

/// How a mark came to be. `hidden` is no place but a finding: somebody looked, and the landmark is not to be seen on
/// this frame. It keeps carrying from guessing there, and no measure reads it.
enum class How { hand, tracked, found, interpolated, proxy, hidden };

inline constexpr std::array<std::string_view, 6> kHowNames = {"hand",         "tracked", "found",
                                                              "interpolated", "proxy",   "hidden"};

inline std::string_view name(How how) {
    return kHowNames[static_cast<std::size_t>(how)];
}

inline std::optional<How> howFromName(std::string_view text) {
    for (std::size_t i = 0; i < kHowNames.size(); ++i)
        if (kHowNames[i] == text)
            return static_cast<How>(i);
    return std::nullopt;
}

/// Standard error of a hand mark before any repeat marking was done, in px. From memory: 1 to 2 px is usual for a
/// click on a sharp joint at this picture size; repeat marking replaces it.
inline constexpr double kAssumedHandSigma = 1.5;

/// One landmark on one frame. `sigma` is the standard error of x and of y, each, in px.
struct Mark {
    Pixel at;
    double sigma = kAssumedHandSigma;
    How how = How::hand;
    friend bool operator==(const Mark&, const Mark&) = default;
};

/// A landmark's marks over time.
using Track = std::map<FrameIndex, Mark>;
/// All landmarks of a take.
using TrackSet = std::map<LandmarkName, Track>;

} // namespace riflesso
