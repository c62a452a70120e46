#pragma once
/// \file
/// The cameras one can choose from: those that the system shows now, and the simulated one.

#include "footage/camera.h"

#include <QString>

#include <functional>
#include <memory>
#include <utility>
#include <vector>

namespace riflesso {

/// A name, and what makes the camera when it is started.
using CameraMakers = std::vector<std::pair<QString, std::function<std::unique_ptr<Camera>()>>>;

CameraMakers camerasHere();

} // namespace riflesso
