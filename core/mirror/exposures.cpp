#include "core/mirror/exposures.h"

#include <algorithm>
#include <array>
#include <cmath>
#include <functional>
#include <thread>

namespace riflesso {
namespace {

constexpr int kMostFrames = 64;    // of a background
constexpr double kFaintest = 12.0; // least difference of a colour that is seen at all, of 255

int red(std::uint32_t p) {
    return static_cast<int>(p >> 16 & 0xff);
}
int green(std::uint32_t p) {
    return static_cast<int>(p >> 8 & 0xff);
}
int blue(std::uint32_t p) {
    return static_cast<int>(p & 0xff);
}
// 0..255; the usual weights in 256ths (ITU-R BT.601).
std::uint32_t lightness(std::uint32_t p) {
    return static_cast<std::uint32_t>(77 * red(p) + 150 * green(p) + 29 * blue(p)) >> 8;
}

// Each row once, shared among the cores.
void eachRow(int rows, const std::function<void(int)>& work) {
    const int cores = std::clamp(static_cast<int>(std::thread::hardware_concurrency()), 1, 8);
    std::vector<std::jthread> others;
    const auto part = [&](int which) {
        for (int y = which; y < rows; y += cores)
            work(y);
    };
    for (int i = 1; i < cores; ++i)
        others.emplace_back(part, i);
    part(0);
}

// How much of a pixel is athlete, 0..255, by how far its colour is from the background's.
int covered(std::uint32_t here, std::uint32_t empty, std::uint8_t noise) {
    const int distance = std::max(
        {std::abs(red(here) - red(empty)), std::abs(green(here) - green(empty)), std::abs(blue(here) - blue(empty))});
    const double limit = kFaintest + 4.0 * noise;
    return static_cast<int>(255.0 * std::clamp((distance - limit) / limit, 0.0, 1.0));
}

std::uint32_t mixed(std::uint32_t under, std::uint32_t over, int share) {
    const auto part = [&](int a, int b) { return static_cast<std::uint32_t>(a + (b - a) * share / 255); };
    return 0xff000000u | part(red(under), red(over)) << 16 | part(green(under), green(over)) << 8 |
           part(blue(under), blue(over));
}

} // namespace

Result<Background> medianBackground(const std::vector<PixelView>& frames, const std::vector<BodyMask>& bodies) {
    if (frames.size() < 3 || frames.size() > kMostFrames)
        return Error{"the empty place is made of 3 to 64 pictures", {}, {}, {}};
    const int width = frames.front().width, height = frames.front().height;
    for (const auto& f : frames)
        if (f.width != width || f.height != height || !f.pixels || width <= 0 || height <= 0)
            return Error{"the pictures have different sizes", {}, {}, {}};
    if (!bodies.empty() && bodies.size() != frames.size())
        return Error{"a mask for each picture, or none", {}, {}, {}};
    Background out{width, height, {}, {}, {}};
    const std::size_t size = static_cast<std::size_t>(width) * static_cast<std::size_t>(height);
    out.pixels.resize(size);
    out.noise.resize(size);
    out.unseen.resize(size);
    eachRow(height, [&](int y) {
        std::array<std::uint32_t, kMostFrames> keys{}; // lightness, and whose it is
        const std::size_t row = static_cast<std::size_t>(y) * static_cast<std::size_t>(width);
        for (std::size_t x = 0; x < static_cast<std::size_t>(width); ++x) {
            std::size_t n = 0;
            for (std::size_t i = 0; i < frames.size(); ++i)
                if (bodies.empty() || !bodies[i] || bodies[i][row + x] == 0)
                    keys[n++] = lightness(frames[i].pixels[row + x]) << 8 | static_cast<std::uint32_t>(i);
            if (n == 0) {
                out.unseen[row + x] = 1;
                for (std::size_t i = 0; i < frames.size(); ++i)
                    keys[n++] = lightness(frames[i].pixels[row + x]) << 8 | static_cast<std::uint32_t>(i);
            }
            const auto middle = keys.begin() + static_cast<std::ptrdiff_t>(n / 2);
            std::nth_element(keys.begin(), middle, keys.begin() + static_cast<std::ptrdiff_t>(n));
            const std::uint32_t chosen = *middle;
            out.pixels[row + x] = 0xff000000u | frames[chosen & 0xff].pixels[row + x];
            // The median distance from it: the athlete passing by does not count as noise.
            for (std::size_t i = 0; i < n; ++i) {
                const auto a = keys[i] >> 8, b = chosen >> 8;
                keys[i] = a > b ? a - b : b - a;
            }
            std::nth_element(keys.begin(), middle, keys.begin() + static_cast<std::ptrdiff_t>(n));
            out.noise[row + x] = static_cast<std::uint8_t>(std::min<std::uint32_t>(255, *middle));
        }
    });
    return out;
}

Result<std::vector<std::uint32_t>> chronophotograph(const Background& background,
                                                    const std::vector<Exposure>& exposures, double oldest) {
    for (const auto& e : exposures)
        if (e.picture.width != background.width || e.picture.height != background.height || !e.picture.pixels)
            return Error{"an exposure has another size than the background", {}, {}, {}};
    std::vector<std::uint32_t> out = background.pixels;
    const int width = background.width, height = background.height;
    const std::size_t n = exposures.size();
    for (std::size_t i = 0; i < n; ++i) {
        const Exposure& e = exposures[i];
        const bool all = e.body.right <= e.body.left || e.body.bottom <= e.body.top;
        const int left = all ? 0 : std::clamp(e.body.left, 0, width);
        const int right = all ? width : std::clamp(e.body.right, 0, width);
        const int top = all ? 0 : std::clamp(e.body.top, 0, height);
        const int bottom = all ? height : std::clamp(e.body.bottom, 0, height);
        const double age = n < 2 ? 0.0 : static_cast<double>(n - 1 - i) / static_cast<double>(n - 1);
        const int strength = static_cast<int>(255.0 * (1.0 - age * (1.0 - std::clamp(oldest, 0.0, 1.0))));
        if (right <= left || bottom <= top)
            continue;
        const int wide = right - left, high = bottom - top;
        std::vector<std::uint8_t> mask(static_cast<std::size_t>(wide) * static_cast<std::size_t>(high));
        const auto at = [&](int x, int y) -> std::size_t {
            return static_cast<std::size_t>(y) * static_cast<std::size_t>(wide) + static_cast<std::size_t>(x);
        };
        const auto pixel = [&](int x, int y) {
            return static_cast<std::size_t>(y + top) * static_cast<std::size_t>(width) +
                   static_cast<std::size_t>(x + left);
        };
        eachRow(high, [&](int y) {
            for (int x = 0; x < wide; ++x) {
                const std::size_t p = pixel(x, y);
                mask[at(x, y)] = static_cast<std::uint8_t>(
                    background.unseen[p] && e.mask
                        ? (e.mask[p] ? 255 : 0)
                        : covered(e.picture.pixels[p], background.pixels[p], background.noise[p]));
            }
        });
        eachRow(high, [&](int y) {
            for (int x = 0; x < wide; ++x) {
                // The mean of its neighbourhood: a speck alone fades, a hole in the body closes, an edge is soft.
                int sum = 0, count = 0;
                for (int dy = -1; dy <= 1; ++dy)
                    for (int dx = -1; dx <= 1; ++dx)
                        if (x + dx >= 0 && x + dx < wide && y + dy >= 0 && y + dy < high) {
                            sum += mask[at(x + dx, y + dy)];
                            ++count;
                        }
                const int mean = sum / count;
                if (mean < 60) // of 255: two of nine
                    continue;
                auto& to = out[pixel(x, y)];
                to = mixed(to, e.picture.pixels[pixel(x, y)], std::min(255, mean * 3 / 2) * strength / 255);
            }
        });
    }
    return out;
}

} // namespace riflesso
