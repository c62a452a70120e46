#pragma once
/// \file
/// The frames of one way through a film, decoded while those before are looked at.

#include "footage/film.h"

#include <condition_variable>
#include <deque>
#include <mutex>
#include <thread>

namespace riflesso {

/// Decodes the frames from \p first to \p last (inclusive, \p direction is 1 or −1) on a thread of its own, a few ahead
/// of who asks. Nobody else may use the film meanwhile.
class FramesAhead {
public:
    FramesAhead(Film& film, int first, int last, int direction)
        : m_thread([this, &film, first, last, direction] {
              for (int f = first;; f += direction) {
                  auto frame = film.decoded(FrameIndex(f));
                  std::unique_lock lock(m_mutex);
                  m_changed.wait(lock, [this] { return m_stop || m_ready.size() < kAhead; });
                  if (m_stop)
                      return;
                  m_ready.push_back(std::move(frame));
                  m_changed.notify_all();
                  if (f == last)
                      return;
              }
          }) {}
    ~FramesAhead() {
        {
            std::lock_guard lock(m_mutex);
            m_stop = true;
        }
        m_changed.notify_all();
        m_thread.join();
    }
    FramesAhead(const FramesAhead&) = delete;
    FramesAhead& operator=(const FramesAhead&) = delete;

    /// Waits for the next one; to be called once for each frame.
    Result<DecodedPtr> next() {
        std::unique_lock lock(m_mutex);
        m_changed.wait(lock, [this] { return !m_ready.empty(); });
        auto frame = std::move(m_ready.front());
        m_ready.pop_front();
        m_changed.notify_all();
        return frame;
    }

private:
    // Pictures that refer to others take far less time than those they refer to.
    static constexpr std::size_t kAhead = 6;
    std::mutex m_mutex; // protects the two below
    std::deque<Result<DecodedPtr>> m_ready;
    bool m_stop = false;
    std::condition_variable m_changed;
    std::thread m_thread; // last: it uses all of the above
};

} // namespace riflesso
