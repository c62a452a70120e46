#pragma once
/// \file
/// How much a picture differs from the one before: the motion energy of films and of running cameras.

#include <cstdint>
#include <optional>
#include <vector>

namespace riflesso {

struct Picture;

/// Grey of a picture made \p width px wide, by the mean of a grid of its pixels.
std::vector<std::uint8_t> smallGrey(const Picture& picture, int width = 160);

/// One thread; pictures in the order of time.
class PictureChange {
public:
    /// Mean change of grey levels from the picture before, of pixels that change by more than noise does. Empty for the
    /// first, and when the size changed.
    std::optional<double> add(std::vector<std::uint8_t> grey);

private:
    std::vector<std::uint8_t> m_before;
    double m_noise = 2.0; // grey levels that the sensor alone makes; learnt from the quietest pixels
};

} // namespace riflesso
