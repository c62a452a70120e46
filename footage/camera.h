#pragma once
/// \file
/// Cameras: what gives pictures now. The simulated one ships with the program (simulator/live_camera.h).

#include "core/motion/result.h"
#include "footage/film_writer.h"
#include "footage/picture.h"

#include <atomic>
#include <condition_variable>
#include <deque>
#include <filesystem>
#include <functional>
#include <memory>
#include <mutex>
#include <optional>
#include <string>
#include <thread>
#include <vector>

namespace riflesso {

/// A picture and when it was taken, s since the camera started.
struct LivePicture {
    double time = 0.0;
    std::shared_ptr<const Picture> picture;
};

/// One camera. Used by one thread.
class Camera {
public:
    virtual ~Camera() = default;
    [[nodiscard]] virtual std::string name() const = 0;
    /// Errors in words: absent, busy, not permitted.
    virtual Status start() = 0;
    /// Waits for the next picture. Error: it was unplugged.
    virtual Result<LivePicture> next() = 0;
    virtual void stop() = 0;
    [[nodiscard]] virtual Hertz rate() const = 0; ///< after start()
};

/// Places of the video devices that the system shows now (Linux: /dev/video*). Empty when there are none.
std::vector<std::filesystem::path> videoDevices();

/// A real camera through FFmpeg's libavdevice (Video4Linux). \p format is for tests: another of its input formats.
std::unique_ptr<Camera> deviceCamera(const std::filesystem::path& device, const std::string& format = "v4l2");

/// The picture, its last column or row left out where there is an odd number of them: H.264 wants even sides.
Picture evenSized(const Picture& picture);

/// Runs a camera on a thread of its own: the newest picture, the delayed mirror, and recording. Thread-safe.
class LiveView {
public:
    struct Callbacks {
        std::function<void()> picture;                      ///< a new picture is there; on the camera's thread
        std::function<void(const LivePicture&)> taken;      ///< the same, with the picture itself
        std::function<void(const std::string& why)> failed; ///< the camera stopped by itself
    };
    /// \p bytes bounds what the delayed mirror remembers.
    LiveView(std::unique_ptr<Camera> camera, Callbacks callbacks, std::size_t bytes = 256u << 20);
    ~LiveView();
    LiveView(const LiveView&) = delete;
    LiveView& operator=(const LiveView&) = delete;

    [[nodiscard]] std::shared_ptr<const Picture> newest() const;
    /// The picture of \p seconds ago. Null while the camera has not run for so long. The reach is what memory allows.
    [[nodiscard]] std::shared_ptr<const Picture> ago(double seconds) const;
    /// Those of \p from to \p to, s since the camera started, as far as they are remembered.
    [[nodiscard]] std::vector<LivePicture> between(double from, double to) const;
    [[nodiscard]] double reach() const;   ///< s
    [[nodiscard]] double running() const; ///< s since the first picture

    /// Records from now on. Errors come from stopRecording().
    void record(const std::filesystem::path& film);
    [[nodiscard]] bool recording() const;
    /// Finishes the film. Error: it could not be written; then there is no file.
    Status stopRecording();

private:
    void work();

    std::unique_ptr<Camera> m_camera;
    Callbacks m_callbacks;
    std::size_t m_bytes;
    mutable std::mutex m_mutex; // protects everything below but the thread
    std::deque<LivePicture> m_past;
    std::size_t m_used = 0;
    double m_first = -1.0;
    std::unique_ptr<FilmWriter> m_writer;
    std::optional<std::filesystem::path> m_wanted;
    double m_writeZero = 0.0;
    int m_lastTick = -1;
    double m_rate = 30.0;
    std::optional<Error> m_writeError;
    std::atomic<bool> m_stop{false};
    std::thread m_thread;
};

} // namespace riflesso
