#pragma once
/// \file
/// Exact frame access to any film that FFmpeg decodes.
///
/// Frames are addressed by their place in presentation order. Packets are read once, without decoding, into a table of
/// presentation times; a frame is reached by decoding from the last key frame that is shown no later than it.

#include "core/motion/result.h"
#include "core/motion/timebase.h"
#include "footage/picture.h"

#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// What a film says of itself.
struct FilmInfo {
    std::string codec;
    int width = 0; ///< as shown, after rotation
    int height = 0;
    int rotation = 0; ///< degrees clockwise that the file asks for: 0, 90, 180, 270
    int frames = 0;
    int keyFrames = 0;
    double duration = 0.0; ///< s of file time, last frame's own duration included
    Hertz fileRate;
    bool variableRate = false;
    /// Only when the file's tags state it; never guessed.
    std::optional<Hertz> captureRate;
    /// Frames that the file announces but that are not there (a cut-off film).
    int framesLost = 0;
};

/// An open film. Owns the decoder. Not thread-safe: one thread uses it at a time.
class Film {
public:
    struct Options {
        /// Decoded pictures kept, so that stepping backwards inside a group of pictures costs nothing. Bytes.
        std::size_t cacheBytes = 192u << 20;
    };

    /// Opens and indexes. Errors in words for a missing, empty, cut-off, sound-only or unreadable file.
    static Result<std::unique_ptr<Film>> open(const std::filesystem::path& path, const Options& options);
    static Result<std::unique_ptr<Film>> open(const std::filesystem::path& path) { return open(path, Options()); }

    ~Film();
    Film(const Film&) = delete;
    Film& operator=(const Film&) = delete;

    [[nodiscard]] const FilmInfo& info() const;
    /// Presentation times from the first frame on, s, strictly increasing; the first is 0.
    [[nodiscard]] const std::vector<double>& times() const;

    /// Exactly frame N. Errors: outside the film; the frame is damaged.
    Result<Picture> frame(FrameIndex index);

private:
    struct Impl;
    explicit Film(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> m_impl;
};

} // namespace riflesso
