#include "finder/person_detector.h"

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr int kDetectorInput = 224; // px, a side
constexpr int kDetectorEach = 12;   // box, then four points of two numbers
constexpr double kLeastScore = 0.5;
constexpr double kSame = 0.3; // overlap from which two finds are the same person

// The grids of cells that the finds belong to, in the file's order: cells a side, finds a cell.
struct Grid {
    int side, each;
};
constexpr Grid kGrids[] = {{28, 2}, {14, 2}, {7, 6}};

double overlap(const BodyBox& a, const BodyBox& b) {
    const double w = std::min(a[0] + a[2], b[0] + b[2]) - std::max(a[0], b[0]),
                 h = std::min(a[1] + a[3], b[1] + b[3]) - std::max(a[1], b[1]);
    const double both = std::max(0.0, w) * std::max(0.0, h);
    return both / (a[2] * a[3] + b[2] * b[3] - both);
}

} // namespace

Result<PersonDetector> PersonDetector::open(const std::filesystem::path& model) {
    const auto file = readModelFile(model, {0, 1});
    if (!file)
        return file.error();
    const auto size = [&](std::size_t i) { return file->tensors[static_cast<std::size_t>(file->outputs[i])].size(); };
    bool known = file->tensors[static_cast<std::size_t>(file->input)].shape ==
                     std::vector<int>{1, kDetectorInput, kDetectorInput, 3} &&
                 file->outputs.size() == 6;
    for (std::size_t g = 0; known && g < 3; ++g) {
        const auto cells = static_cast<std::size_t>(kGrids[g].side * kGrids[g].side * kGrids[g].each);
        known = size(g) == cells * kDetectorEach && size(g + 3) == cells;
    }
    if (!known)
        return Error{"this is no model for finding people that the program knows", model.filename().string(),
                     "draw a box round the athlete", "install the program again"};
    auto network = xnnpackNetwork(*file);
    if (!network)
        network = opencvNetwork(*file);
    if (!network)
        return network.error();
    return PersonDetector(std::move(*network));
}

Result<std::vector<Person>> PersonDetector::find(const cv::Mat& rgb) {
    if (rgb.empty() || rgb.type() != CV_8UC3)
        return std::vector<Person>();
    // The whole picture in the square, its middle in the middle, black bars beside it; values from −1 to 1.
    const double scale = static_cast<double>(kDetectorInput) / std::max(rgb.cols, rgb.rows);
    cv::Mat small, input(kDetectorInput, kDetectorInput, CV_32FC3, cv::Scalar(-1, -1, -1));
    cv::resize(rgb, small, {std::max(1, cvRound(rgb.cols * scale)), std::max(1, cvRound(rgb.rows * scale))}, 0, 0,
               cv::INTER_AREA);
    const int left = (kDetectorInput - small.cols) / 2, top = (kDetectorInput - small.rows) / 2;
    small.convertTo(input(cv::Rect(left, top, small.cols, small.rows)), CV_32FC3, 1.0 / 127.5, -1.0);
    const auto out =
        m_network->run({input.ptr<float>(), static_cast<std::size_t>(kDetectorInput * kDetectorInput * 3)});
    if (!out)
        return out.error();
    std::vector<Person> found;
    for (std::size_t g = 0; g < 3; ++g) {
        const auto boxes = (*out)[g], scores = (*out)[g + 3];
        for (std::size_t i = 0; i < scores.size(); ++i) {
            const double score = 1.0 / (1.0 + std::exp(-static_cast<double>(scores[i])));
            if (!(score >= kLeastScore))
                continue;
            const int cell = static_cast<int>(i) / kGrids[g].each;
            const double ax = (cell % kGrids[g].side + 0.5) / kGrids[g].side * kDetectorInput,
                         ay = (cell / kGrids[g].side + 0.5) / kGrids[g].side * kDetectorInput;
            // The first point lies between the hips, the second on a circle about it that holds the whole body.
            const float* b = boxes.data() + i * kDetectorEach;
            const Eigen::Vector2d middle(ax + b[4], ay + b[5]), reach(ax + b[6], ay + b[7]);
            const double radius = (reach - middle).norm() / scale;
            if (!middle.allFinite() || !(radius > 1.0) || radius > 4.0 * std::max(rgb.cols, rgb.rows))
                continue;
            const Eigen::Vector2d at((middle.x() - left) / scale, (middle.y() - top) / scale);
            found.push_back({{at.x() - radius, at.y() - radius, 2.0 * radius, 2.0 * radius}, score});
        }
    }
    std::sort(found.begin(), found.end(),
              [](const Person& a, const Person& b) { return a.score * a.box[3] > b.score * b.box[3]; });
    std::vector<Person> out2;
    for (const Person& p : found)
        if (std::none_of(out2.begin(), out2.end(), [&](const Person& o) { return overlap(o.box, p.box) > kSame; }))
            out2.push_back(p);
    return out2;
}

} // namespace riflesso
