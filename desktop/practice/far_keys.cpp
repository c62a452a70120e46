#include "desktop/practice/far_keys.h"

#include <QCoreApplication>
#include <QGuiApplication>

#include <cstdlib>
#include <memory>
#include <xcb/xcb.h>

namespace riflesso {
namespace {

constexpr std::uint32_t kPageUp = 0xff55, kPageDown = 0xff56; // X11's symbols
// With caps lock and num lock on as well.
constexpr std::uint16_t kLocks[] = {0, XCB_MOD_MASK_LOCK, XCB_MOD_MASK_2, XCB_MOD_MASK_LOCK | XCB_MOD_MASK_2};

template <typename T> using Reply = std::unique_ptr<T, decltype(&std::free)>;

xcb_connection_t* connection() {
    const auto* x = qGuiApp ? qGuiApp->nativeInterface<QNativeInterface::QX11Application>() : nullptr;
    return x ? x->connection() : nullptr;
}

xcb_window_t rootOf(xcb_connection_t* c) {
    return xcb_setup_roots_iterator(xcb_get_setup(c)).data->root;
}

// The key that gives a symbol; 0 when this keyboard has none.
int codeOf(xcb_connection_t* c, std::uint32_t symbol) {
    const xcb_setup_t* setup = xcb_get_setup(c);
    const int first = setup->min_keycode, count = setup->max_keycode - first + 1;
    const Reply<xcb_get_keyboard_mapping_reply_t> map(
        xcb_get_keyboard_mapping_reply(
            c, xcb_get_keyboard_mapping(c, static_cast<xcb_keycode_t>(first), static_cast<std::uint8_t>(count)),
            nullptr),
        &std::free);
    if (!map || map->keysyms_per_keycode == 0)
        return 0;
    const xcb_keysym_t* symbols = xcb_get_keyboard_mapping_keysyms(map.get());
    for (int code = 0; code < count; ++code)
        if (symbols[code * map->keysyms_per_keycode] == symbol)
            return first + code;
    return 0;
}

} // namespace

FarKeys::FarKeys(QObject* parent) : QObject(parent) {}

FarKeys::~FarKeys() {
    listen(false);
}

bool FarKeys::possible() {
    return connection() != nullptr;
}

bool FarKeys::listen(bool on) {
    xcb_connection_t* c = connection();
    if (on == m_listening || !c)
        return on == m_listening;
    const auto root = rootOf(c);
    if (on) {
        m_forward = codeOf(c, kPageDown);
        m_backward = codeOf(c, kPageUp);
        if (m_forward == 0 || m_backward == 0)
            return false;
    }
    bool all = true;
    for (const int code : {m_forward, m_backward})
        for (const auto locks : kLocks) {
            const auto key = static_cast<xcb_keycode_t>(code);
            if (!on) {
                xcb_ungrab_key(c, key, root, locks);
                continue;
            }
            const Reply<xcb_generic_error_t> refused(
                xcb_request_check(
                    c, xcb_grab_key_checked(c, 0, root, locks, key, XCB_GRAB_MODE_ASYNC, XCB_GRAB_MODE_ASYNC)),
                &std::free);
            all = all && !refused;
        }
    m_listening = on;
    if (on && !all) { // another program has one of them: then neither is taken
        listen(false);
        return false;
    }
    xcb_flush(c);
    if (on)
        qApp->installNativeEventFilter(this);
    else if (qApp)
        qApp->removeNativeEventFilter(this);
    return true;
}

bool FarKeys::nativeEventFilter(const QByteArray& type, void* message, qintptr*) {
    if (type != "xcb_generic_event_t")
        return false;
    const auto* event = static_cast<const xcb_generic_event_t*>(message);
    const int kind = event->response_type & 0x7f;
    if (kind != XCB_KEY_PRESS && kind != XCB_KEY_RELEASE)
        return false;
    const auto* key = reinterpret_cast<const xcb_key_press_event_t*>(event);
    if (key->event != key->root || (key->detail != m_forward && key->detail != m_backward))
        return false; // of a window of ours, or none of these keys
    if (kind == XCB_KEY_PRESS) {
        if (key->detail == m_forward)
            emit forward();
        else
            emit backward();
    }
    return true;
}

} // namespace riflesso
