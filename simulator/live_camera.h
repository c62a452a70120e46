#pragma once
/// \file
/// The simulated camera that ships with the program: an athlete who lunges again and again, live.

#include "footage/camera.h"

namespace riflesso {

struct LiveCameraOptions {
    int width = 640; ///< even; the height follows as 16:9
    Hertz rate{20.0};
    bool paced = true;       ///< false: as fast as it can be drawn, for tests
    double stopsAfter = 0.0; ///< s after which it is "unplugged"; 0 = never
    std::string busy;        ///< when not empty, start() fails with these words
};

std::unique_ptr<Camera> simulatedCamera(const LiveCameraOptions& options = {});

} // namespace riflesso
