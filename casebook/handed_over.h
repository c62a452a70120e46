#pragma once
/// \file
/// Work that Qt carries from one thread to another, in a way that ThreadSanitizer sees.
///
/// Debian's Qt is not built for ThreadSanitizer, which therefore takes everything that crosses a thread inside a
/// QFuture or a queued call for a race. What is wrapped here says where it leaves and where it arrives. Outside
/// `make tsan` it costs nothing.

#include <utility>

#if defined(__SANITIZE_THREAD__)
extern "C" void __tsan_acquire(void* place);
extern "C" void __tsan_release(void* place);
#endif

namespace riflesso {

/// What this thread has written so far may be read by whoever arrives later. Any thread.
inline void leaving();
/// What others had written when they were leaving may be read. Any thread.
inline void arriving();

#if defined(__SANITIZE_THREAD__)
namespace crossing {
inline char place; // one for all: orders more than it need, never less than Qt does
}
inline void leaving() {
    __tsan_release(&crossing::place);
}
inline void arriving() {
    __tsan_acquire(&crossing::place);
}
#else
inline void leaving() {}
inline void arriving() {}
#endif

/// \p work, a callable of no arguments, for QtConcurrent::run() or a queued QMetaObject::invokeMethod(). Made on the
/// thread that hands it over.
template <typename Work> auto handedOver(Work work) {
#if defined(__SANITIZE_THREAD__)
    leaving();
    return [work = std::move(work)]() mutable {
        arriving();
        struct Left {
            ~Left() { leaving(); }
        } left;
        return work();
    };
#else
    return work;
#endif
}

} // namespace riflesso
