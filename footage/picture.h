#pragma once
/// \file
/// A decoded picture as plain pixels.

#include <cstddef>
#include <cstdint>
#include <memory>
#include <new>
#include <utility>
#include <vector>

namespace riflesso {

/// Leaves what it makes as it finds it, so that pixels about to be written are not written twice.
template <class T> struct Unset : std::allocator<T> {
    template <class U> struct rebind { using other = Unset<U>; };
    template <class U> void construct(U* at) { ::new (static_cast<void*>(at)) U; }
    template <class U, class... Args> void construct(U* at, Args&&... args) {
        ::new (static_cast<void*>(at)) U(std::forward<Args>(args)...);
    }
};

/// 32 bits a pixel, 0xFFRRGGBB in native order, rows from top to bottom without padding.
struct Picture {
    int width = 0;
    int height = 0;
    std::vector<std::uint32_t, Unset<std::uint32_t>> pixels; ///< width × height

    Picture() = default;
    /// All pixels 0.
    Picture(int w, int h) : width(w), height(h), pixels(count(w, h), 0u) {}
    /// Pixels of any value, for those who set every one: a 1920 × 1080 picture takes 1 to 2 ms to fill. There is room
    /// behind the last: libswscale writes eight at a time, and so up to seven beyond a width that they do not divide.
    [[nodiscard]] static Picture unset(int w, int h) {
        Picture p;
        p.width = w;
        p.height = h;
        p.pixels.reserve(count(w, h) + kRoom);
        p.pixels.resize(count(w, h));
        return p;
    }
    [[nodiscard]] bool empty() const { return pixels.empty(); }
    [[nodiscard]] std::uint32_t at(int x, int y) const {
        return pixels[static_cast<std::size_t>(y) * static_cast<std::size_t>(width) + static_cast<std::size_t>(x)];
    }

private:
    static constexpr std::size_t kRoom = 64; // px
    static std::size_t count(int w, int h) { return static_cast<std::size_t>(w) * static_cast<std::size_t>(h); }
};

} // namespace riflesso
