#pragma once
/// \file
/// The cameras one can choose from: those that the system shows now, and the simulated one.

#include "footage/camera.h"

#include <QObject>
#include <QString>

#include <functional>
#include <memory>
#include <utility>
#include <vector>

namespace riflesso {

/// A name, and what makes the camera when it is started.
using CameraMakers = std::vector<std::pair<QString, std::function<std::unique_ptr<Camera>()>>>;

CameraMakers camerasHere();

/// For a camera's thread: \p work runs on \p receiver's thread, once for all calls that come before it did, so that
/// pictures that come faster than they are painted are one repaint. It never runs after the receiver is gone.
std::function<void()> gathered(QObject* receiver, std::function<void()> work);

} // namespace riflesso
