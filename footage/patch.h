#pragma once
/// \file
/// The neighbourhood of a marked place, looked for in other pictures, turned and as bright as need be. Private to this
/// room.

#include <Eigen/Core>

#include <opencv2/core.hpp>

#include <span>
#include <vector>

namespace riflesso {

struct PatchMatch {
    Eigen::Vector2d at{0, 0}; ///< px, in the sense of Pixel
    double likeness = 0.0;    ///< correlation, −1..1
    double variance = 0.0;    ///< of the worse direction, px²: large where there is only an edge to hold on to
};

/// A round patch of lightness. Immutable once made.
class Patch {
public:
    Patch() = default;
    /// Of \p radius px round \p at. Beyond the picture's border the border's pixels count.
    Patch(const cv::Mat& picture, const Eigen::Vector2d& at, int radius);

    /// The place within about \p reach px of \p guess where the picture is most like the patch turned by one of
    /// \p turns, radians (clockwise on the screen, as angles are in pixels with y down). A search on a coarse grid,
    /// then Gauss-Newton on shift, brightness and contrast (Lucas & Kanade 1981, as in Baker & Matthews 2004, forwards
    /// additive).
    [[nodiscard]] PatchMatch find(const cv::Mat& picture, const Eigen::Vector2d& guess, std::span<const double> turns,
                                  double reach) const;

private:
    struct Turned {
        std::vector<float> values; // in order of m_places, less their mean
        float squares = 0.0f;      // their sum of squares
        double likeness = 0.0;     // at the place that was guessed
    };
    [[nodiscard]] Turned turned(double turn) const;
    [[nodiscard]] PatchMatch refine(const cv::Mat& picture, const Eigen::Vector2d& guess, const Turned& turned,
                                    double reach) const;
    [[nodiscard]] double likenessOf(const Turned& turned, const float* middle, int stride) const;
    struct Row {
        int y = 0, from = 0, length = 0; // from the middle; `from` is the leftmost pixel
    };
    int m_radius = 0;
    int m_side = 0;                        // of the square that is kept, large enough to be turned
    std::vector<float> m_kept;             // m_side²
    std::vector<Eigen::Vector2f> m_places; // the disc's pixels, from the middle, row by row
    std::vector<Row> m_rows;
};

} // namespace riflesso
