#pragma once
/// \file
/// A body's landmarks on one picture, found by a general-purpose body model. Drafts: never mistaken for measurements.

#include "core/motion/draft.h"
#include "finder/network.h"

#include <array>
#include <filesystem>

namespace cv {
class Mat;
}

namespace riflesso {

/// A square of the picture, turned: where the model looks.
struct BodyCrop {
    Eigen::Vector2d centre{0, 0}; ///< px
    double size = 0.0;            ///< length of a side, px
    double turn = 0.0;            ///< rad, clockwise in the picture (y down) from upright
};

/// A box round a body: x, y, width, height, px.
using BodyBox = std::array<double, 4>;

/// Below this presence nobody is believed to be there.
inline constexpr double kBodyThere = 0.5;

/// The SHA-256 of the model files that the program knows, hexadecimal, by what they are called on the command line.
struct KnownModel {
    std::string_view name, file, sha256;
};
inline constexpr std::array<KnownModel, 4> kKnownModels = {
    {{"lite", "body_lite.tflite", "f17bfbecadb61c3be1baa8b8d851cc6619c870a87167b32848ad20db306b9d61"},
     {"full", "body_full.tflite", "e9a5c5cb17f736fafd4c2ec1da3b3d331d6edbe8a0d32395855aeb2cdfd64b9f"},
     {"heavy", "body_heavy.tflite", "59e42d71bcd44cbdbabc419f0ff76686595fd265419566bd4009ef703ea8e1fe"},
     {"person", "person.tflite", "a63c614bef30d35947f13be361820b1e4e3bec9cfeebf4d11216a18373108e85"}}};

/// Looks at a picture and at its mirror image, each on a thread of its own: how far the two agree is what tells about
/// the error. Not to be used from two threads at once.
class BodyFinder {
public:
    /// Errors: missing, damaged or foreign model file; no engine on this processor.
    static Result<BodyFinder> open(const std::filesystem::path& model);

    /// Inside a box that somebody drew round the body; looked at twice, the second time from what the first saw.
    /// Errors: a box of no size or outside the picture; nobody there.
    Result<FoundFrame> find(const cv::Mat& rgb, const BodyBox& box);
    /// From where the body was on the picture before. Error: nobody there.
    Result<FoundFrame> track(const cv::Mat& rgb, const BodyCrop& where);

private:
    BodyFinder(std::unique_ptr<Network> plain, std::unique_ptr<Network> mirrored)
        : m_plain(std::move(plain)), m_mirrored(std::move(mirrored)) {}
    std::unique_ptr<Network> m_plain, m_mirrored;
};

/// The crop for a box: a square about its middle with some air.
BodyCrop cropFor(const BodyBox& box);

/// Where a found frame says to look next.
BodyCrop nextCrop(const FoundFrame& frame);

/// Fills flowMiss of \p now: from the picture before each landmark is carried by optical flow (Lucas-Kanade, on the
/// crop only) and compared with where it was found.
void compareWithFlow(const cv::Mat& rgbBefore, const FoundFrame& before, const cv::Mat& rgbNow, FoundFrame& now);

/// Colours of the trunk, to tell two people apart: a histogram of hue and saturation, sums to 1; empty when the trunk
/// is not in the picture.
std::vector<float> trunkColours(const cv::Mat& rgb, const FoundFrame& frame);
/// 1 − Hellinger distance of two such histograms, 0..1; 1 when one is empty.
double alikeColours(const std::vector<float>& a, const std::vector<float>& b);

/// Heat-map refinement's core, for tests: the place of a landmark in its map of \p side x \p side cells (channel
/// \p k of \p channels), as the mean weighted by the sigmoid in a window of 7 cells; the given place when the map is
/// nowhere above 0.5 there. Shares of the crop, 0..1.
Eigen::Vector2d refined(std::span<const float> maps, int side, int channels, int k, Eigen::Vector2d at);

} // namespace riflesso
