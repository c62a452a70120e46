#include "desktop/workbench/cameras.h"

#include "casebook/text.h"
#include "simulator/live_camera.h"

#include <QCoreApplication>

namespace riflesso {

CameraMakers camerasHere() {
    CameraMakers all;
    for (const auto& device : videoDevices())
        all.emplace_back(q(device.filename().string()), [device] { return deviceCamera(device); });
    all.emplace_back(QCoreApplication::translate("cameras", "Simulated camera"), [] { return simulatedCamera(); });
    return all;
}

} // namespace riflesso
