#pragma once
/// \file
/// A camera beside practice: each rep is cut out as it happens, shown once more, and kept as a short film.

#include "core/motion/rep_watch.h"
#include "footage/camera.h"
#include "footage/picture_change.h"

#include <algorithm>
#include <atomic>
#include <optional>

namespace riflesso {

/// Runs a camera on a thread of its own. Thread-safe.
class RepCamera {
public:
    struct Callbacks {
        std::function<void()> picture; ///< a new picture is there; on the camera's thread
        /// A rep has just ended; on the camera's thread. Its pictures, in order.
        std::function<void(std::vector<LivePicture>)> rep;
        std::function<void(const std::string& why)> failed; ///< the camera stopped by itself
    };
    /// \p bytes bounds what is remembered: a rep that is longer than that is told from where memory begins.
    RepCamera(std::unique_ptr<Camera> camera, Callbacks callbacks, std::size_t bytes = 384u << 20);

    [[nodiscard]] std::shared_ptr<const Picture> newest() const { return m_live.newest(); }

    /// From now on a rep is what lies around a strike that was heard (kBeforeStrike before it, kAfterStrike after it)
    /// instead of what moves between two rests.
    void cutBySound(bool bySound) { m_bySound = bySound; }
    /// A strike was heard so many seconds before now.
    void struck(double secondsAgo) { m_struck = std::max(0.0, secondsAgo); }
    static constexpr double kBeforeStrike = 2.0, kAfterStrike = 1.0; ///< s (common practice, no source)

private:
    void look(const LivePicture& taken); // on the camera's thread

    Callbacks m_callbacks;
    PictureChange m_change;
    RepWatch m_watch;
    double m_before = 0.0;
    std::atomic<bool> m_bySound{false};
    std::atomic<double> m_struck{-1.0}; // s ago, until the camera's thread has taken it; −1 = nothing
    std::optional<double> m_strike;     // on the camera's clock
    LiveView m_live;                    // last: its thread uses all the rest
};

/// Writes the pictures as a silent H.264 MP4 at their own times. Errors: nothing to write; the disc.
Status writeRepFilm(const std::vector<LivePicture>& pictures, const std::filesystem::path& film);
/// All pictures of a short film, s from its first. Errors: unreadable; more than \p most of them.
Result<std::vector<LivePicture>> readRepFilm(const std::filesystem::path& film, int most = 3000);
/// Takes the oldest films (*.mp4) out of a folder until it holds no more than \p bytes; the newest one stays always.
/// Bytes that are there afterwards.
std::uintmax_t keepWithin(const std::filesystem::path& folder, std::uintmax_t bytes);

} // namespace riflesso
