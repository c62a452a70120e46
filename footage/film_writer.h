#pragma once
/// \file
/// Writes pictures to an ordinary H.264 MP4.

#include "core/motion/result.h"
#include "core/motion/units.h"
#include "footage/picture.h"

#include <filesystem>
#include <memory>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// A part of a film with a name. s of file time.
struct FilmChapter {
    double begin = 0.0, end = 0.0;
    std::string title; ///< UTF-8
};

struct FilmWriterOptions {
    int width = 0;  ///< even
    int height = 0; ///< even
    Hertz rate{30.0};
    int quality = 22; ///< x264's constant rate factor; smaller is better and larger
    int keyFrameEvery = 30;
    int bFrames = 2;
    bool evenBFrames = false;            ///< always as many between two others, as cameras do
    double soundRate = 0.0;              ///< Hz of the sound given to addSound(); 0 = a silent film
    std::optional<Hertz> captureRateTag; ///< written as the tag that telephones use for slow motion
    std::vector<FilmChapter> chapters{}; ///< in order
};

/// The file appears under its name only when finish() succeeds; until then it is NAME.part. One thread at a time.
class FilmWriter {
public:
    static Result<std::unique_ptr<FilmWriter>> create(const std::filesystem::path& path,
                                                      const FilmWriterOptions& options);
    ~FilmWriter(); ///< an unfinished film is removed
    FilmWriter(const FilmWriter&) = delete;
    FilmWriter& operator=(const FilmWriter&) = delete;

    /// Shown \p ticks file-rate periods after the start (default: one period after the last). Must increase.
    Status add(const Picture& picture, std::optional<int> ticks = std::nullopt);
    /// All pictures of a film that another writer of the same options has made, after those there are, not encoded
    /// anew. Nothing can be given to add() afterwards. Errors: unreadable; another size; a full disk.
    Status addFilm(const std::filesystem::path& film);
    /// More of the sound track, one channel, −1..1. Begins with the first picture.
    Status addSound(const std::vector<float>& samples);
    Status finish();

private:
    struct Impl;
    explicit FilmWriter(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> m_impl;
};

} // namespace riflesso
