#pragma once
/// \file
/// A review as a film: pictures as they were shown, the pointer, the voice, chapters and captions.

#include "footage/sound.h"
#include "handover/captions.h"
#include "handover/clip.h"
#include "handover/review.h"

#include <QPainter>

namespace riflesso {

struct ReviewFilmOptions {
    int width = 1280, height = 720; ///< even; 720 × 1280 for a phone held upright
    double rate = 30.0;             ///< pictures a second
};

/// Pictures of one scene by its own time. One thread at a time.
class ScenePictures {
public:
    /// Errors: those of ClipPictures. A rep that is no longer in the case is shown as words alone.
    static Result<std::unique_ptr<ScenePictures>> open(const FilmedCase& filmed, const Scene& scene,
                                                       const ReviewFilmOptions& options);
    /// Without the pointer. \p at: s since the scene began. Errors: a frame that cannot be read.
    Result<QImage> at(double seconds);
    /// Different pictures that the scene has, and which of them is shown at a time: what can be made before it is
    /// shown.
    [[nodiscard]] std::size_t count() const { return std::max<std::size_t>(1, m_frames.size()); }
    [[nodiscard]] std::size_t indexAt(double seconds) const;
    Result<QImage> numbered(std::size_t index);

private:
    ScenePictures(const Scene& scene, const ReviewFilmOptions& options) : m_scene(scene), m_options(options) {}
    Scene m_scene;
    ReviewFilmOptions m_options;
    std::unique_ptr<ClipPictures> m_clip;
    QImage m_still;                   ///< of a note, instead of a clip
    std::vector<FrameIndex> m_frames; ///< one a picture of the loop
};

/// Draws where the pointer was at a time, onto \p picture: a soft light, or what was drawn, fading.
void drawPointer(QPainter& painter, const QRectF& picture, const std::vector<PointerSample>& pointer, double at);

/// How long a scene lasts, s, a whole number of pictures: its voice's length where it has one, else its own.
double lengthOf(const Scene& scene, const std::optional<Sound>& voice, double rate);

/// Writes \p file (MP4) and beside it its captions (.vtt) and a still of each scene (NAME-1.png ...). \p voices: the
/// folder of the voices; a voice that cannot be read fails. \p whole: one voice for the whole film instead; the scenes
/// share its length in proportion to their own. What cannot be finished leaves none of these files. \p goOn is told the
/// share done; false cancels. Errors: no scene; those of ClipPictures and soundOf; a full disk; cancelled.
Status writeReviewFilm(const FilmedCase& filmed, const Review& review, const std::filesystem::path& voices,
                       const std::filesystem::path& file, const ReviewFilmOptions& options,
                       const std::optional<Sound>& whole = {}, const std::function<bool(double)>& goOn = {});

} // namespace riflesso
