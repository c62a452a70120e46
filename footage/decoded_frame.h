#pragma once
/// \file
/// A decoded picture as the decoder gave it (YUV, a third of the memory of pixels), kept in caches.

#include "core/motion/result.h"
#include "footage/picture.h"

#include <cstddef>
#include <memory>

namespace riflesso {

/// Which lines of an interlaced picture make one picture in time.
enum class Field { both, top, bottom };

/// How a decoded picture is to be shown.
struct ShowOptions {
    /// The longest side of the result, px; 0 = as large as the film.
    int longestSide = 0;
    /// Each pixel of a smaller picture is the nearest one of the film, which takes less than half the time: for
    /// pictures in motion.
    bool rough = false;
    /// Added to the lightness and multiplied about the middle grey, for dark halls: 0 and 1 change nothing.
    double brightness = 0.0; ///< −1..1
    double contrast = 1.0;   ///< 0.1..4
    /// Left and right swapped, so that a left-handed athlete stands like a right-handed model.
    bool mirrored = false;
    friend bool operator==(const ShowOptions&, const ShowOptions&) = default;
};

/// Immutable; shared between the cache and whoever shows it. Safe to read from any thread.
class DecodedFrame {
public:
    struct Impl;
    explicit DecodedFrame(std::unique_ptr<Impl> impl);
    ~DecodedFrame();
    DecodedFrame(const DecodedFrame&) = delete;
    DecodedFrame& operator=(const DecodedFrame&) = delete;

    /// The same picture with half the lines and columns, in a quarter of the memory: for pictures in motion, never for
    /// a measurement. Null where it cannot be made (a field, an odd format, no memory).
    [[nodiscard]] std::shared_ptr<const DecodedFrame> halved() const;
    [[nodiscard]] bool isHalved() const;
    [[nodiscard]] std::size_t bytes() const;
    /// Of the whole picture, upright and with square pixels, px; of a halved one those of what it was made of.
    [[nodiscard]] int width() const;
    [[nodiscard]] int height() const;
    /// True when the decoder had to make up parts of it.
    [[nodiscard]] bool damaged() const;
    /// Pixels, upright, with square pixels. Error: a pixel format that cannot be shown.
    [[nodiscard]] Result<Picture> toPicture(const ShowOptions& options = {}) const;
    /// The lightness alone, at most \p longestSide px, 8 bits a pixel in the blue byte: for motion and tracking.
    [[nodiscard]] std::vector<std::uint8_t> toGrey(int width, int height) const;
    [[nodiscard]] const Impl& impl() const { return *m_impl; }

private:
    std::unique_ptr<Impl> m_impl;
};
using DecodedPtr = std::shared_ptr<const DecodedFrame>;

} // namespace riflesso
