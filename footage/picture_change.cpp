#include "footage/picture_change.h"

#include "footage/picture.h"

#include <algorithm>
#include <array>
#include <cmath>

namespace riflesso {

std::vector<std::uint8_t> smallGrey(const Picture& picture, int width) {
    if (picture.empty())
        return {};
    width = std::clamp(width, 1, picture.width);
    const int height = std::max(1, width * picture.height / picture.width);
    std::vector<std::uint8_t> out;
    out.reserve(static_cast<std::size_t>(width) * static_cast<std::size_t>(height));
    constexpr int kSide = 3; // of the grid in each cell
    for (int y = 0; y < height; ++y)
        for (int x = 0; x < width; ++x) {
            unsigned sum = 0;
            for (int b = 0; b < kSide; ++b)
                for (int a = 0; a < kSide; ++a) {
                    const std::uint32_t p = picture.at((x * kSide + a) * picture.width / (width * kSide),
                                                       (y * kSide + b) * picture.height / (height * kSide));
                    sum += 77 * ((p >> 16) & 255) + 150 * ((p >> 8) & 255) + 29 * (p & 255); // Rec. 601, of 256
                }
            out.push_back(static_cast<std::uint8_t>(sum / (256 * kSide * kSide)));
        }
    return out;
}

std::optional<double> PictureChange::add(std::vector<std::uint8_t> now) {
    std::swap(now, m_before);
    const auto& before = now;
    if (before.empty() || before.size() != m_before.size())
        return std::nullopt;
    std::array<int, 256> counts{};
    for (std::size_t i = 0; i < before.size(); ++i)
        ++counts[static_cast<std::size_t>(std::abs(m_before[i] - before[i]))];
    // Half of all pixels are background at least: their median change is noise.
    int seen = 0, middle = 0;
    while (middle < 255 && (seen += counts[static_cast<std::size_t>(middle)]) < static_cast<int>(before.size() / 2))
        ++middle;
    m_noise = 0.95 * m_noise + 0.05 * std::max(1.0, 3.0 * middle);
    double sum = 0.0;
    for (int d = static_cast<int>(m_noise) + 1; d < 256; ++d)
        sum += counts[static_cast<std::size_t>(d)] * (d - m_noise);
    return sum / static_cast<double>(before.size());
}

} // namespace riflesso
