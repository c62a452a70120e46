#include "footage/movement.h"

#include "core/words/say.h"
#include "footage/film.h"
#include "footage/picture_change.h"

#include <Eigen/LU>

#include <opencv2/calib3d.hpp>
#include <opencv2/imgproc.hpp>
#include <opencv2/video/tracking.hpp>

#include <algorithm>
#include <array>
#include <cmath>

namespace riflesso {
namespace {

Error cancelled(const std::filesystem::path& film) {
    return {"looking at the movement was cancelled",
            film.filename().string(),
            "nothing was changed",
            {},
            ErrorKind::cancelled};
}

Result<std::unique_ptr<Film>> openFor(const std::filesystem::path& film, const std::filesystem::path& indexFolder) {
    Film::Options o;
    o.indexFolder = indexFolder;
    o.cacheBytes = 64u << 20;
    return Film::open(film, o);
}

// As many from each part of the picture: an athlete with a patterned jacket must not outvote a plain wall.
std::vector<cv::Point2f> backgroundCorners(const cv::Mat& grey) {
    std::vector<cv::Point2f> c, some;
    constexpr int kAcross = 8, kDown = 5;
    for (int row = 0; row < kDown; ++row)
        for (int column = 0; column < kAcross; ++column) {
            const cv::Rect cell(grey.cols * column / kAcross, grey.rows * row / kDown, grey.cols / kAcross,
                                grey.rows / kDown);
            cv::goodFeaturesToTrack(grey(cell), some, 10, 0.05, 5);
            for (const auto& p : some)
                c.emplace_back(p.x + static_cast<float>(cell.x), p.y + static_cast<float>(cell.y));
        }
    return c;
}

// The map from `from` to `to`, by corners of `from`; empty when too few agree. `guess`: where they are expected.
std::optional<Eigen::Matrix3d> backgroundMap(const cv::Mat& from, const cv::Mat& to, const std::vector<cv::Point2f>& c,
                                             std::vector<cv::Point2f> guess) {
    if (c.size() < 12)
        return std::nullopt;
    std::vector<unsigned char> found;
    std::vector<float> error;
    const bool guided = !guess.empty();
    cv::calcOpticalFlowPyrLK(from, to, c, guess, found, error, cv::Size(15, 15), 3,
                             cv::TermCriteria(cv::TermCriteria::COUNT | cv::TermCriteria::EPS, 20, 0.02),
                             guided ? cv::OPTFLOW_USE_INITIAL_FLOW : 0);
    std::vector<cv::Point2f> a, b;
    for (std::size_t i = 0; i < c.size(); ++i)
        if (found[i] && guess[i].x >= 0 && guess[i].y >= 0 && guess[i].x < static_cast<float>(to.cols) &&
            guess[i].y < static_cast<float>(to.rows)) {
            a.push_back(c[i]);
            b.push_back(guess[i]);
        }
    if (a.size() < 12)
        return std::nullopt;
    std::vector<unsigned char> agree;
    // Who agrees is decided with the stiffest model, shift, turn and size: a full homography bends itself around
    // whatever moves. It is taken only when those who agree lie all over the picture and fit it clearly better.
    const cv::Mat stiff = cv::estimateAffinePartial2D(a, b, agree, cv::RANSAC, 1.5, 2000, 0.999);
    if (stiff.empty() || std::count(agree.begin(), agree.end(), 1) <
                             static_cast<std::ptrdiff_t>(std::max<std::size_t>(10, a.size() * 2 / 5)))
        return std::nullopt;
    Eigen::Matrix3d e = Eigen::Matrix3d::Identity();
    for (int i = 0; i < 6; ++i)
        e(i / 3, i % 3) = stiff.at<double>(i / 3, i % 3);
    std::vector<cv::Point2f> ga, gb;
    for (std::size_t i = 0; i < a.size(); ++i)
        if (agree[i]) {
            ga.push_back(a[i]);
            gb.push_back(b[i]);
        }
    const cv::Rect reach = cv::boundingRect(ga);
    if (ga.size() < 40 || reach.width * 10 < from.cols * 7 || reach.height * 10 < from.rows * 7)
        return e;
    const cv::Mat full = cv::findHomography(ga, gb);
    if (full.empty())
        return e;
    Eigen::Matrix3d bent;
    for (int i = 0; i < 9; ++i)
        bent(i / 3, i % 3) = full.at<double>(i / 3, i % 3);
    const auto misfit = [&](const Eigen::Matrix3d& m) {
        double sum = 0.0;
        for (std::size_t i = 0; i < ga.size(); ++i) {
            const Eigen::Vector3d v = m * Eigen::Vector3d(ga[i].x, ga[i].y, 1.0);
            sum += std::pow(v.x() / v.z() - gb[i].x, 2) + std::pow(v.y() / v.z() - gb[i].y, 2);
        }
        return sum;
    };
    return misfit(bent) < 0.5 * misfit(e) ? bent : e;
}

} // namespace

Result<std::vector<double>> motionEnergy(const std::filesystem::path& path, const std::filesystem::path& indexFolder,
                                         const Progress& goOn) {
    auto opened = openFor(path, indexFolder);
    if (!opened)
        return opened.error();
    Film& film = **opened;
    const auto& times = film.times();
    const int n = film.info().frames;
    const int w = 160, h = std::max(16, 160 * film.info().height / std::max(1, film.info().width));
    std::vector<double> energy(static_cast<std::size_t>(n), -1.0);
    PictureChange change;
    int beforeFrame = -1;
    const bool sparseKeys = 4 * film.info().keyFrames < n;
    const bool whole = film.quickly([&](int frame, const DecodedFrame& picture) {
        const auto changed = change.add(picture.toGrey(w, h));
        if (changed && beforeFrame >= 0) {
            const double dt = times[static_cast<std::size_t>(frame)] - times[static_cast<std::size_t>(beforeFrame)];
            // A key picture is drawn anew everywhere: that is no movement.
            if (!(sparseKeys && film.groupStart(FrameIndex(frame)).value == frame))
                energy[static_cast<std::size_t>(frame)] = *changed / std::max(1e-4, dt);
        }
        beforeFrame = frame;
        return !goOn || goOn(static_cast<double>(frame) / n);
    });
    if (!whole)
        return cancelled(path);
    // One picture alone that differs is the encoder's doing: the middle of three.
    std::vector<std::size_t> seen;
    for (std::size_t i = 0; i < energy.size(); ++i)
        if (energy[i] >= 0.0)
            seen.push_back(i);
    const auto raw = energy;
    for (std::size_t k = 1; k + 1 < seen.size(); ++k) {
        std::array<double, 3> three = {raw[seen[k - 1]], raw[seen[k]], raw[seen[k + 1]]};
        std::sort(three.begin(), three.end());
        energy[seen[k]] = three[1];
    }
    // Frames that were passed over: between their neighbours.
    int last = -1;
    for (int i = 0; i < n; ++i) {
        if (energy[static_cast<std::size_t>(i)] < 0.0)
            continue;
        for (int k = last + 1; k < i; ++k)
            energy[static_cast<std::size_t>(k)] =
                last < 0 ? energy[static_cast<std::size_t>(i)]
                         : energy[static_cast<std::size_t>(last)] +
                               (energy[static_cast<std::size_t>(i)] - energy[static_cast<std::size_t>(last)]) *
                                   (k - last) / (i - last);
        last = i;
    }
    for (int k = last + 1; k < n; ++k)
        energy[static_cast<std::size_t>(k)] = last < 0 ? 0.0 : energy[static_cast<std::size_t>(last)];
    return energy;
}

Result<CameraPath> cameraPathOf(const std::filesystem::path& path, const std::filesystem::path& indexFolder,
                                const Progress& goOn) {
    auto opened = openFor(path, indexFolder);
    if (!opened)
        return opened.error();
    Film& film = **opened;
    const int n = film.info().frames;
    const double shrink = std::min(1.0, 640.0 / std::max(1, film.info().width));
    const int w = std::max(16, static_cast<int>(film.info().width * shrink));
    const int h = std::max(16, static_cast<int>(film.info().height * shrink));
    CameraPath out;
    cv::Mat first, before;
    std::vector<cv::Point2f> firstCorners, corners;
    Eigen::Matrix3d total = Eigen::Matrix3d::Identity();
    int lost = 0;
    Eigen::Matrix3d size = Eigen::Matrix3d::Identity();
    size(0, 0) = static_cast<double>(w) / film.info().width;
    size(1, 1) = static_cast<double>(h) / film.info().height;
    for (int f = 0; f < n; ++f) {
        const auto picture = film.decoded(FrameIndex(f));
        if (picture) {
            auto grey = (*picture)->toGrey(w, h);
            const cv::Mat now = cv::Mat(h, w, CV_8U, grey.data()).clone();
            if (first.empty()) {
                first = now;
                firstCorners = corners = backgroundCorners(now);
                if (firstCorners.size() < 24)
                    return Error{"there is too little to hold on to in the background", path.filename().string(),
                                 "nothing was changed", "film with the camera on a stand"};
            } else {
                const auto step = backgroundMap(before, now, corners, {});
                if (step)
                    total = *step * total;
                else
                    ++lost;
                // Back to the first frame, from where the steps say it is: no drift while it is in sight.
                std::vector<cv::Point2f> guess;
                for (const auto& c : firstCorners) {
                    const Eigen::Vector3d v = total * Eigen::Vector3d(c.x, c.y, 1.0);
                    guess.emplace_back(static_cast<float>(v.x() / v.z()), static_cast<float>(v.y() / v.z()));
                }
                if (const auto direct = backgroundMap(first, now, firstCorners, guess))
                    total = *direct;
            }
            before = now;
            corners = backgroundCorners(now);
        } else {
            ++lost;
        }
        // first → now at the small size; wanted: now → first at the film's size.
        Eigen::Matrix3d map = size.inverse() * total.inverse() * size;
        out.push_back(map / map(2, 2));
        if (goOn && !goOn(static_cast<double>(f + 1) / n))
            return cancelled(path);
    }
    if (lost > std::max(2, n / 10))
        return Error{
            fill(say("error", "the background was lost on %1 of %2 frames"), {std::to_string(lost), std::to_string(n)}),
            path.filename().string(), "nothing was changed", "film with the camera on a stand"};
    return out;
}

} // namespace riflesso
