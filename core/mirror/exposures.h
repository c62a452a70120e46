#pragma once
/// \file
/// A chronophotograph: several instants of a movement on one picture, over the place as it is without the athlete.

#include "core/motion/result.h"

#include <cstdint>
#include <vector>

namespace riflesso {

/// Pixels that somebody else keeps: 0xFFRRGGBB, rows from top to bottom without padding.
struct PixelView {
    int width = 0, height = 0;
    const std::uint32_t* pixels = nullptr; ///< width × height
};

/// A part of a picture, px; right and bottom excluded.
struct PixelBox {
    int left = 0, top = 0, right = 0, bottom = 0;
};

/// Where the athlete is on a picture, as far as marks tell: 0 elsewhere. Null = not known.
using BodyMask = const std::uint8_t*; ///< width × height

/// The place without what moves through it.
struct Background {
    int width = 0, height = 0;
    std::vector<std::uint32_t> pixels; ///< 0xFFRRGGBB
    std::vector<std::uint8_t> noise;   ///< how far lightness strays from it where nothing moves, 0..255
    std::vector<std::uint8_t> unseen;  ///< 1 where the body stood in the way on every picture
};

/// Of each pixel the frame of middle lightness, of those on which the body is not there; where it always is, of all.
/// Without masks right wherever the athlete covers it in fewer than half of the frames. \p bodies: one a frame, or
/// none. Errors: fewer than three pictures, or of different sizes. Works on as many cores as there are.
Result<Background> medianBackground(const std::vector<PixelView>& frames, const std::vector<BodyMask>& bodies = {});

/// One instant of the athlete.
struct Exposure {
    PixelView picture;
    PixelBox body;           ///< nothing outside it is taken; empty = the whole picture
    BodyMask mask = nullptr; ///< taken whole where the place was never seen empty
};

/// The exposures over the background, in order: later ones in front. The older an exposure is the fainter, down to
/// \p oldest (0..1), so that where bodies overlap the newest limbs stay readable. What differs from the background by
/// less than its noise explains is background. Errors: sizes that differ.
Result<std::vector<std::uint32_t>> chronophotograph(const Background& background,
                                                    const std::vector<Exposure>& exposures, double oldest = 0.55);

} // namespace riflesso
