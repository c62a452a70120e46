#pragma once
/// \file
/// Films to take home: a rep or a part of it, the athlete alone or with another performance under the waterline.

#include "casebook/analysis.h"
#include "core/mirror/film_lock.h"
#include "footage/film.h"
#include "handover/pictures.h"

#include <QByteArray>
#include <QImage>
#include <QString>

#include <filesystem>
#include <functional>
#include <memory>
#include <optional>
#include <string>

namespace riflesso {

/// What a case's films are read with. All outlive what is made of them; any thread.
struct FilmedCase {
    const CaseData& data;
    const Blueprint& blueprint;
    const Analysis& analysis;
    std::filesystem::path media; ///< where films lie that are not named by an absolute path
};

/// A case that stands still while the open one goes on changing: what workers are given.
struct FilmedSnapshot {
    CaseData data{};
    Blueprint blueprint{};
    Analysis analysis{};
    std::filesystem::path media{};
    [[nodiscard]] FilmedCase filmed() const { return {data, blueprint, analysis, media}; }
};

/// The film of a take. Errors as Film::open.
Result<std::unique_ptr<Film>> openFilmOf(const FilmedCase& filmed, const Take& take,
                                         std::size_t cacheBytes = 64u << 20);

struct ClipOptions {
    Id rep = 0;
    Id other = 0; ///< shown under the waterline; 0 = the athlete alone
    LockKind lock = LockKind::movement;
    std::optional<FrameIndex> first{}, last{}; ///< of the athlete's take; the whole rep where left open
    bool figure = true;                        ///< what is marked is drawn
    bool ghost = false;                        ///< the other's figure over the athlete; without a second picture
    std::string measure{};                     ///< drawn on the figure of its own view; may be empty
    double slow = 1.0;                         ///< real seconds to seconds of the clip
    double rate = 30.0;                        ///< pictures a second of the clip
    int width = 1920, height = 1080;           ///< even, 64 to 4096; 1080 × 1920 for a phone held upright
    QString title{};                           ///< stands in the upper left corner; may be empty
    bool wholePicture = false;                 ///< else cropped to the body
};

/// Pictures of a clip one by one: opened films, and how they are put together. One thread at a time.
class ClipPictures {
public:
    /// Errors: no such rep; a film that cannot be read; sizes, rate or slowness outside their bounds.
    static Result<std::unique_ptr<ClipPictures>> open(const FilmedCase& filmed, const ClipOptions& options);
    ~ClipPictures();
    ClipPictures(const ClipPictures&) = delete;
    ClipPictures& operator=(const ClipPictures&) = delete;

    /// Of the athlete's take, one for each picture of the clip.
    [[nodiscard]] const std::vector<FrameIndex>& frames() const;
    /// Begins to decode what a frame needs, in the background; picture() takes it from there. Of one thread at a time,
    /// the same as picture()'s.
    void decodeAhead(FrameIndex frame);
    /// The picture that shows a frame of the athlete's take. Errors: a frame that cannot be read.
    Result<QImage> picture(FrameIndex frame);

private:
    struct Impl;
    explicit ClipPictures(std::unique_ptr<Impl> impl);
    std::unique_ptr<Impl> m_impl;
};

inline constexpr std::size_t kPiecePictures = 300; ///< of a piece of a film that is written

/// Writes the clip as H.264 in MP4, without sound. The file is there whole or not at all. \p goOn is told the share
/// done; false cancels. Errors: those of ClipPictures; a full disk; cancelled.
/// A clip of more than \p piece pictures is made in pieces (FilmPieces): what was stopped, by whom or whatever, is gone
/// on with by the same call.
Status writeClip(const FilmedCase& filmed, const ClipOptions& options, const std::filesystem::path& file,
                 const std::function<bool(double)>& goOn = {}, std::size_t piece = kPiecePictures);

/// What the pictures of a clip come from, as one word: another one as soon as anything in them would be.
QByteArray clipKey(const FilmedCase& filmed, const ClipOptions& options);

/// Several clips in one go: FILE itself when there is one, else FILE-1.mp4, FILE-2.mp4 … Each is whole or not there.
/// What was stopped, by whom or whatever, is gone on with by the same call: clips that it had written before of the
/// same options and marks are not written again. Until all are there a list of them lies beside, FILE.unfinished.
Status writeClips(const FilmedCase& filmed, const std::vector<ClipOptions>& clips, const std::filesystem::path& file,
                  const std::function<bool(double)>& goOn = {});

} // namespace riflesso
