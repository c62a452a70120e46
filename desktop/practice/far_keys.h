#pragma once
/// \file
/// A presenter's two keys while another window is in front.

#include <QAbstractNativeEventFilter>
#include <QObject>

namespace riflesso {

/// Page down and page up, wherever they are pressed, for as long as one listens; other programs do not get them
/// meanwhile. Under X11 only: a Wayland desktop does not let a program hear keys that are meant for another one.
/// Interface thread.
class FarKeys : public QObject, public QAbstractNativeEventFilter {
    Q_OBJECT
public:
    explicit FarKeys(QObject* parent = nullptr);
    ~FarKeys() override;
    /// Whether this desktop lets a program do so.
    static bool possible();
    /// False when it is not possible, or another program has these keys; nothing is heard then.
    bool listen(bool on);
    [[nodiscard]] bool listening() const { return m_listening; }

signals:
    void forward();  ///< page down
    void backward(); ///< page up

private:
    bool nativeEventFilter(const QByteArray& type, void* message, qintptr* result) override;
    bool m_listening = false;
    int m_forward = 0, m_backward = 0; ///< key codes of this keyboard
};

} // namespace riflesso
