// Linked to each window's test under ThreadSanitizer: whatever the window is sent may come from another thread, which
// Qt orders and the sanitizer cannot see. See casebook/handed_over.h.

#include "casebook/handed_over.h"

#include <QCoreApplication>

namespace {
class Arrivals : public QObject {
public:
    using QObject::QObject;
    bool eventFilter(QObject*, QEvent*) override {
        riflesso::arriving();
        return false;
    }
};
void see() {
    QCoreApplication::instance()->installEventFilter(new Arrivals(QCoreApplication::instance()));
}
} // namespace
Q_COREAPP_STARTUP_FUNCTION(see)
