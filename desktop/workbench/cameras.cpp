#include "desktop/workbench/cameras.h"

#include "casebook/text.h"
#include "simulator/live_camera.h"

#include <QCoreApplication>

#include <atomic>

namespace riflesso {

CameraMakers camerasHere() {
    CameraMakers all;
    for (const auto& device : videoDevices())
        all.emplace_back(q(device.filename().string()), [device] { return deviceCamera(device); });
    all.emplace_back(QCoreApplication::translate("cameras", "Simulated camera"), [] { return simulatedCamera(); });
    return all;
}

std::function<void()> gathered(QObject* receiver, std::function<void()> work) {
    return [receiver, work = std::move(work), waiting = std::make_shared<std::atomic<bool>>(false)] {
        if (!waiting->exchange(true))
            QMetaObject::invokeMethod(
                receiver,
                [work, waiting] {
                    *waiting = false;
                    work();
                },
                Qt::QueuedConnection);
    };
}

} // namespace riflesso
