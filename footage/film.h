#pragma once
/// \file
/// Exact frame access to any film that FFmpeg decodes, and to folders of pictures.
///
/// Frames are addressed by their place in presentation order. Packets are read once, without decoding, into a table of
/// presentation times; a frame is reached by decoding from the last key frame that is shown no later than it. Of
/// interlaced film each field is a frame of its own: it was taken at its own instant.

#include "core/motion/result.h"
#include "core/motion/timebase.h"
#include "footage/frame_cache.h"
#include "footage/picture.h"

#include <filesystem>
#include <functional>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// What a film says of itself.
struct FilmInfo {
    std::string codec;
    int width = 0; ///< as shown: after rotation, with square pixels
    int height = 0;
    int rotation = 0;         ///< degrees clockwise that the file asks for: 0, 90, 180, 270
    double pixelAspect = 1.0; ///< width of a stored pixel / its height
    bool interlaced = false;  ///< each field is a frame
    int frames = 0;
    int keyFrames = 0;
    double duration = 0.0; ///< s of file time, last frame's own duration included
    Hertz fileRate;
    bool variableRate = false;
    bool sound = false;
    /// Only when the file's tags state it; never guessed.
    std::optional<Hertz> captureRate;
    std::string captureTag; ///< the name of the tag that stated it
    /// Frames that the file announces but that are not there (a cut-off film).
    int framesLost = 0;
    /// Time stamps that were missing, repeated or ran backwards and were put in order.
    int timesMended = 0;
    /// A folder of pictures: the times are made up at 25 a second.
    bool timesInvented = false;
};

/// An open film. Owns the decoder. Not thread-safe: one thread uses it at a time; its cache may be shared.
class Film {
public:
    struct Options {
        /// Pictures kept by this film when `cache` is null. Bytes.
        std::size_t cacheBytes = 256u << 20;
        /// Shared by several films, which then keep one limit together.
        std::shared_ptr<FrameCache> cache;
        /// Where tables of frames are kept, so that a film is read through only once. Empty = nowhere.
        std::filesystem::path indexFolder;
        /// Told the share read so far; false cancels. Also asked while frames are fetched (with 1).
        std::function<bool(double)> progress;
        /// Keeps only how light pictures are: grey, and in two thirds of the memory.
        bool lightness = false;
    };

    /// Opens and indexes. Errors in words for a missing, empty, cut-off, sound-only or unreadable file.
    static Result<std::unique_ptr<Film>> open(const std::filesystem::path& path, const Options& options);
    static Result<std::unique_ptr<Film>> open(const std::filesystem::path& path) { return open(path, Options()); }

    /// The first picture, without reading the film through: something to look at while it is being indexed.
    static Result<Picture> firstPicture(const std::filesystem::path& path, const ShowOptions& show = {});

    ~Film();
    Film(const Film&) = delete;
    Film& operator=(const Film&) = delete;

    [[nodiscard]] const FilmInfo& info() const;
    /// Presentation times from the first frame on, s, strictly increasing; the first is 0.
    [[nodiscard]] const std::vector<double>& times() const;

    /// Exactly frame N. Errors: outside the film; the frame is damaged.
    Result<Picture> frame(FrameIndex index);
    /// The same before conversion to pixels. \p backwards: the frames before it will be asked for next and are kept
    /// on the way, as they are by themselves after a step back.
    Result<DecodedPtr> decoded(FrameIndex index, bool backwards = false);

    /// Puts as many of the frames \p from to \p to (inclusive) into the cache as are good, decoding each once, and
    /// hurrying over those before \p from. \p backwards: what is asked for next lies before, so nothing after \p to is
    /// decoded. Stops early when \p goOn says no; true when it got to the end.
    bool fill(FrameIndex from, FrameIndex to, bool backwards, const std::function<bool()>& goOn);

    /// As fill(), backwards, but keeps halved pictures: where a group of pictures is too large to be kept whole, so
    /// that none need be decoded twice. For looking at while the film moves. False also where they cannot be made.
    bool fillHalved(FrameIndex from, FrameIndex to, const std::function<bool()>& goOn);
    /// Whether pictures of this film can be halved.
    [[nodiscard]] bool halves() const;

    /// Goes through the whole film once as fast as it can: pictures that no other refers to are passed over, edges of
    /// blocks are left rough, and nothing is kept. For looking at movement, never at a frame. False when \p each or
    /// cancelling stopped it.
    bool quickly(const std::function<bool(int frame, const DecodedFrame& picture)>& each);

    /// The first frame of the group of pictures that holds this one.
    [[nodiscard]] FrameIndex groupStart(FrameIndex index) const;
    [[nodiscard]] FrameCache& cache() const;
    [[nodiscard]] int cacheId() const;
    /// Packets that have gone into decoders since the film was opened: what its work is counted by.
    [[nodiscard]] long packetsDecoded() const;
    /// Bytes of one frame in the cache; an estimate until one was decoded.
    [[nodiscard]] std::size_t frameBytes() const;

private:
    struct Impl;
    explicit Film(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> m_impl;
};

} // namespace riflesso
