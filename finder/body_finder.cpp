#include "finder/body_finder.h"

#include <opencv2/imgproc.hpp>
#include <opencv2/video/tracking.hpp>

#include <algorithm>
#include <cmath>
#include <future>

namespace riflesso {
namespace {

constexpr int kInput = 256; // px, a side
constexpr int kPoints = 39; // 33 of the body, two that say where to look next, four of no use here
constexpr int kEach = 5;    // x, y, z, visibility, presence
constexpr int kMiddle = 33; // between the hips
constexpr int kReach = 34;  // on a circle that holds the body, above the head
constexpr double kAir = 1.25;

struct Part {
    const char* name;
    int a, b; // the model's points; the middle of two
};
// The model's points are those of its published list of 33; a hand is between the knuckles of index and little finger.
constexpr Part kParts[] = {
    {"head", 7, 8},         {"neck", 11, 12},        {"left_shoulder", 11, 11}, {"right_shoulder", 12, 12},
    {"left_elbow", 13, 13}, {"right_elbow", 14, 14}, {"left_wrist", 15, 15},    {"right_wrist", 16, 16},
    {"left_hand", 17, 19},  {"right_hand", 18, 20},  {"left_hip", 23, 23},      {"right_hip", 24, 24},
    {"left_knee", 25, 25},  {"right_knee", 26, 26},  {"left_ankle", 27, 27},    {"right_ankle", 28, 28},
    {"left_heel", 29, 29},  {"right_heel", 30, 30},  {"left_toe", 31, 31},      {"right_toe", 32, 32}};

double sigmoid(double x) {
    return 1.0 / (1.0 + std::exp(-x));
}

Error nobody() {
    return {"nobody is found there", {}, "nothing was changed", "draw the box closer round the athlete"};
}

// One pass, in shares of the crop.
struct Seen {
    double presence = 0.0;
    Eigen::Vector2d middle{0, 0}, reach{0, 0};
    std::map<LandmarkName, std::pair<Eigen::Vector2d, double>> points; // place, visibility
};

Result<Seen> look(Network& network, const cv::Mat& crop, bool mirrored) {
    cv::Mat input;
    if (mirrored) {
        cv::flip(crop, input, 1);
        input.convertTo(input, CV_32FC3, 1.0 / 255.0);
    } else {
        crop.convertTo(input, CV_32FC3, 1.0 / 255.0);
    }
    const auto out = network.run({input.ptr<float>(), static_cast<std::size_t>(kInput * kInput * 3)});
    if (!out)
        return out.error();
    const auto points = (*out)[0], maps = (*out)[2];
    Seen seen;
    seen.presence = (*out)[1][0];
    if (!(seen.presence >= kBodyThere))
        return nobody();
    const int side = static_cast<int>(std::lround(std::sqrt(static_cast<double>(maps.size()) / kPoints)));
    std::vector<Eigen::Vector2d> shares;
    std::vector<double> visible;
    for (int k = 0; k < kPoints; ++k) {
        const float* p = points.data() + static_cast<std::ptrdiff_t>(k) * kEach;
        Eigen::Vector2d share = refined(maps, side, kPoints, k, {p[0] / kInput, p[1] / kInput});
        if (!share.allFinite())
            return nobody();
        if (mirrored)
            share.x() = 1.0 - share.x();
        shares.push_back(share);
        visible.push_back(sigmoid(p[3]));
    }
    seen.middle = shares[kMiddle];
    seen.reach = shares[kReach];
    for (const Part& part : kParts) {
        const auto a = static_cast<std::size_t>(part.a), b = static_cast<std::size_t>(part.b);
        const LandmarkName name = mirrored ? riflesso::mirrored(part.name) : LandmarkName(part.name);
        seen.points[name] = {(shares[a] + shares[b]) / 2.0, std::min(visible[a], visible[b])};
    }
    return seen;
}

// The limbs whose sides a model may take for one another, each as a whole.
const std::vector<std::vector<LandmarkName>> kLimbs = {{"left_elbow", "left_wrist", "left_hand"},
                                                       {"left_knee", "left_ankle", "left_heel", "left_toe"},
                                                       {"left_shoulder"},
                                                       {"left_hip"}};

// The second pass may have the sides of a limb the other way round: then they are turned to fit the first.
void fitSides(const Seen& first, Seen& second) {
    for (const auto& limb : kLimbs) {
        double straight = 0.0, crossed = 0.0;
        for (const auto& l : limb) {
            const LandmarkName r = riflesso::mirrored(l);
            straight += (first.points.at(l).first - second.points.at(l).first).norm() +
                        (first.points.at(r).first - second.points.at(r).first).norm();
            crossed += (first.points.at(l).first - second.points.at(r).first).norm() +
                       (first.points.at(r).first - second.points.at(l).first).norm();
        }
        if (crossed < straight)
            for (const auto& l : limb)
                std::swap(second.points.at(l), second.points.at(riflesso::mirrored(l)));
    }
}

cv::Mat warpFor(const BodyCrop& where, double shrink) {
    const double scale = where.size / kInput, c = std::cos(where.turn), s = std::sin(where.turn);
    const double half = 0.5 / kInput - 0.5; // middle of the crop's first pixel
    const Eigen::Vector2d corner(where.centre.x() + (c - s) * half * where.size,
                                 where.centre.y() + (s + c) * half * where.size);
    return (cv::Mat_<double>(2, 3) << shrink * scale * c, -shrink * scale * s, shrink * corner.x() - 0.5,
            shrink * scale * s, shrink * scale * c, shrink * corner.y() - 0.5);
}

cv::Mat cropOf(const cv::Mat& picture, const BodyCrop& where) {
    cv::Mat crop;
    const double scale = where.size / kInput;
    // A large crop is averaged first, else fine cloth turns into noise.
    if (scale > 2.0) {
        const double shrink = 1.0 / std::floor(scale);
        cv::Mat smaller;
        cv::resize(picture, smaller, {}, shrink, shrink, cv::INTER_AREA);
        cv::warpAffine(smaller, crop, warpFor(where, shrink), {kInput, kInput},
                       cv::INTER_LINEAR | cv::WARP_INVERSE_MAP);
    } else {
        cv::warpAffine(picture, crop, warpFor(where, 1.0), {kInput, kInput}, cv::INTER_LINEAR | cv::WARP_INVERSE_MAP);
    }
    return crop;
}

} // namespace

Eigen::Vector2d refined(std::span<const float> maps, int side, int channels, int k, Eigen::Vector2d at) {
    const int column = static_cast<int>(at.x() * side), row = static_cast<int>(at.y() * side);
    if (column < 0 || row < 0 || column >= side || row >= side)
        return at;
    constexpr int kHalf = 3;
    double sum = 0.0, most = 0.0, x = 0.0, y = 0.0;
    for (int r = std::max(0, row - kHalf); r <= std::min(side - 1, row + kHalf); ++r)
        for (int c = std::max(0, column - kHalf); c <= std::min(side - 1, column + kHalf); ++c) {
            const double p = sigmoid(maps[static_cast<std::size_t>((r * side + c) * channels + k)]);
            sum += p;
            most = std::max(most, p);
            x += c * p;
            y += r * p;
        }
    return most >= 0.5 && sum > 0.0 ? Eigen::Vector2d(x / sum / side, y / sum / side) : at;
}

BodyCrop cropFor(const BodyBox& box) {
    const auto& [x, y, width, height] = box;
    return {{x + width / 2.0, y + height / 2.0}, kAir * std::max(width, height), 0.0};
}

BodyCrop nextCrop(const FoundFrame& frame) {
    return {{frame.next.x, frame.next.y}, frame.nextSize, frame.nextTurn};
}

Result<BodyFinder> BodyFinder::open(const std::filesystem::path& model) {
    const auto file = readModelFile(model, {0, 1, 3});
    if (!file)
        return file.error();
    const auto& in = file->tensors[static_cast<std::size_t>(file->input)].shape;
    const auto size = [&](std::size_t i) { return file->tensors[static_cast<std::size_t>(file->outputs[i])].size(); };
    if (file->outputs.size() != 3 || in != std::vector<int>{1, kInput, kInput, 3} || size(0) != kPoints * kEach ||
        size(1) != 1 || size(2) % kPoints != 0)
        return Error{"this is no body model that the program knows", model.filename().string(), "everything else works",
                     "install the program again"};
    std::unique_ptr<Network> networks[2];
    for (auto& n : networks) {
        auto made = xnnpackNetwork(*file);
        if (!made)
            made = opencvNetwork(*file);
        if (!made)
            return made.error();
        n = std::move(*made);
    }
    return BodyFinder(std::move(networks[0]), std::move(networks[1]));
}

Result<FoundFrame> BodyFinder::find(const cv::Mat& rgb, const BodyBox& box) {
    const auto& [x, y, width, height] = box;
    if (!(width >= 8.0) || !(height >= 8.0) || !(x < rgb.cols) || !(y < rgb.rows) || !(x + width > 0) ||
        !(y + height > 0))
        return Error{"the box has no size or lies outside of the picture", {}, "nothing was changed", {}};
    const auto first = track(rgb, cropFor(box));
    if (!first)
        return first.error();
    auto second = track(rgb, nextCrop(*first));
    return second ? second : first;
}

Result<FoundFrame> BodyFinder::track(const cv::Mat& rgb, const BodyCrop& where) {
    if (rgb.empty() || rgb.type() != CV_8UC3 || !(where.size > 1.0) || !where.centre.allFinite() ||
        where.size > 16.0 * std::max(rgb.cols, rgb.rows))
        return nobody();
    const cv::Mat crop = cropOf(rgb, where);
    auto other = std::async(std::launch::async, [&] { return look(*m_mirrored, crop, true); });
    const auto plain = look(*m_plain, crop, false);
    auto mirror = other.get();
    if (!plain)
        return plain.error();
    if (!mirror)
        return mirror.error();
    fitSides(*plain, *mirror);
    const double c = std::cos(where.turn), s = std::sin(where.turn);
    const auto toPicture = [&](Eigen::Vector2d share) {
        const Eigen::Vector2d d = (share - Eigen::Vector2d(0.5, 0.5)) * where.size;
        return Eigen::Vector2d(where.centre.x() + c * d.x() - s * d.y(), where.centre.y() + s * d.x() + c * d.y());
    };
    const Eigen::Vector2d middle = toPicture((plain->middle + mirror->middle) / 2.0),
                          reach = toPicture((plain->reach + mirror->reach) / 2.0);
    const double radius = (reach - middle).norm();
    FoundFrame body;
    body.presence = std::min(plain->presence, mirror->presence);
    body.height = 2.0 * radius / kAir;
    body.next = {middle.x(), middle.y()};
    body.nextSize = 2.0 * kAir * radius;
    body.nextTurn = std::atan2(reach.x() - middle.x(), middle.y() - reach.y());
    for (const auto& [name, p] : plain->points) {
        const auto& m = mirror->points.at(name);
        const Eigen::Vector2d at = toPicture((p.first + m.first) / 2.0);
        if (at.x() < 0 || at.y() < 0 || at.x() > rgb.cols || at.y() > rgb.rows)
            continue; // outside the picture nothing is seen
        const Eigen::Vector2d apart = (toPicture(p.first) - toPicture(m.first)) / 2.0;
        body.points[name] = {{at.x(), at.y()}, {apart.x(), apart.y()}, std::min(p.second, m.second), -1.0};
    }
    return body;
}

void compareWithFlow(const cv::Mat& rgbBefore, const FoundFrame& before, const cv::Mat& rgbNow, FoundFrame& now) {
    BodyCrop where = nextCrop(before);
    where.turn = 0.0;
    if (!(where.size > 1.0) || where.size > 16.0 * std::max(rgbNow.cols, rgbNow.rows))
        return;
    cv::Mat a, b;
    cv::cvtColor(cropOf(rgbBefore, where), a, cv::COLOR_RGB2GRAY);
    cv::cvtColor(cropOf(rgbNow, where), b, cv::COLOR_RGB2GRAY);
    const double scale = where.size / kInput;
    const auto inCrop = [&](Pixel p) {
        return cv::Point2f(static_cast<float>((p.x - where.centre.x()) / scale + 0.5 * kInput - 0.5),
                           static_cast<float>((p.y - where.centre.y()) / scale + 0.5 * kInput - 0.5));
    };
    std::vector<LandmarkName> names;
    std::vector<cv::Point2f> from, to;
    for (const auto& [name, p] : before.points)
        if (now.points.contains(name)) {
            names.push_back(name);
            from.push_back(inCrop(p.at));
        }
    if (from.empty())
        return;
    std::vector<std::uint8_t> found;
    std::vector<float> unlike;
    cv::calcOpticalFlowPyrLK(a, b, from, to, found, unlike, {13, 13}, 3);
    for (std::size_t i = 0; i < names.size(); ++i)
        if (found[i]) {
            FoundPoint& p = now.points.at(names[i]);
            const cv::Point2f d = to[i] - inCrop(p.at);
            p.flowMiss = std::hypot(d.x, d.y) * scale;
        }
}

std::vector<float> trunkColours(const cv::Mat& rgb, const FoundFrame& frame) {
    std::vector<cv::Point> corners;
    for (const char* name : {"left_shoulder", "right_shoulder", "right_hip", "left_hip"}) {
        const auto p = frame.points.find(name);
        if (p == frame.points.end())
            return {};
        corners.emplace_back(cvRound(p->second.at.x), cvRound(p->second.at.y));
    }
    // Seen from the side the four corners are nearly a line: it is given the trunk's depth.
    cv::Mat mask = cv::Mat::zeros(rgb.size(), CV_8U);
    std::vector<cv::Point> hull;
    cv::convexHull(corners, hull);
    cv::fillConvexPoly(mask, hull, 255);
    const cv::Point top = (corners[0] + corners[1]) / 2, bottom = (corners[2] + corners[3]) / 2;
    cv::line(mask, top, bottom, 255, std::max(1, cvRound(0.08 * frame.height)));
    const cv::Rect area = cv::boundingRect(mask);
    if (area.area() < 16)
        return {};
    cv::Mat hsv;
    cv::cvtColor(rgb(area), hsv, cv::COLOR_RGB2HSV);
    cv::Mat histogram;
    const int channels[] = {0, 1, 2}, bins[] = {12, 6, 6};
    const float hue[] = {0, 180}, full[] = {0, 256};
    const float* ranges[] = {hue, full, full};
    cv::calcHist(&hsv, 1, channels, mask(area), histogram, 3, bins, ranges);
    std::vector<float> out(histogram.ptr<float>(), histogram.ptr<float>() + histogram.total());
    float sum = 0.0f;
    for (float v : out)
        sum += v;
    if (!(sum > 0.0f))
        return {};
    for (float& v : out)
        v /= sum;
    return out;
}

double alikeColours(const std::vector<float>& a, const std::vector<float>& b) {
    if (a.empty() || a.size() != b.size())
        return 1.0;
    double overlap = 0.0;
    for (std::size_t i = 0; i < a.size(); ++i)
        overlap += std::sqrt(static_cast<double>(a[i]) * b[i]);
    return 1.0 - std::sqrt(std::max(0.0, 1.0 - overlap));
}

} // namespace riflesso
