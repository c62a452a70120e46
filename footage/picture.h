#pragma once
/// \file
/// A decoded picture as plain pixels.

#include <cstddef>
#include <cstdint>
#include <vector>

namespace riflesso {

/// 32 bits a pixel, 0xFFRRGGBB in native order, rows from top to bottom without padding.
struct Picture {
    int width = 0;
    int height = 0;
    std::vector<std::uint32_t> pixels; ///< width × height

    Picture() = default;
    Picture(int w, int h) : width(w), height(h), pixels(static_cast<std::size_t>(w) * static_cast<std::size_t>(h)) {}
    [[nodiscard]] bool empty() const { return pixels.empty(); }
    [[nodiscard]] std::uint32_t at(int x, int y) const {
        return pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x)];
    }
};

} // namespace riflesso
