#include "footage/seed.h"

#include "footage/film.h"
#include "footage/luma.h"
#include "footage/patch.h"

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cmath>
#include <optional>

namespace riflesso {

Result<TrackSet> seedMarks(const std::filesystem::path& path, const TrackSet& marks, const SeedOptions& options,
                           const std::function<bool(double)>& goOn) {
    Film::Options o;
    o.indexFolder = options.indexFolder;
    auto opened = Film::open(path, o);
    if (!opened)
        return opened.error();
    Film& film = **opened;
    const int w = film.info().width, h = film.info().height;
    const Error cancelled{"looking for the same moment was cancelled",
                          path.filename().string(),
                          "nothing was changed",
                          {},
                          ErrorKind::cancelled};
    constexpr int kSmall = 4;
    const auto small = [&](const cv::Mat& m) {
        cv::Mat out;
        cv::resize(m, out, cv::Size(std::max(1, m.cols / kSmall), std::max(1, m.rows / kSmall)), 0, 0, cv::INTER_AREA);
        return out;
    };
    TrackSet out;
    int floor = options.first.value, done = 0;
    for (const auto& [guide, about] : options.moments) {
        std::map<LandmarkName, Mark> places;
        double x0 = 1e9, y0 = 1e9, x1 = -1e9, y1 = -1e9;
        for (const auto& [name, track] : marks)
            if (const auto m = track.find(guide); m != track.end() && m->second.how == How::hand) {
                places[name] = m->second;
                x0 = std::min(x0, m->second.at.x);
                x1 = std::max(x1, m->second.at.x);
                y0 = std::min(y0, m->second.at.y);
                y1 = std::max(y1, m->second.at.y);
            }
        const auto shown = film.decoded(guide);
        if (places.empty() || !shown)
            continue;
        const cv::Mat then = lumaOf(**shown, w, h);
        const int air = 24;
        const cv::Rect whole(0, 0, w, h);
        const cv::Rect body = cv::Rect(cv::Point(static_cast<int>(x0) - air, static_cast<int>(y0) - air),
                                       cv::Point(static_cast<int>(x1) + air, static_cast<int>(y1) + air)) &
                              whole;
        const cv::Mat like = small(then(body));
        if (like.cols < 8 || like.rows < 8)
            continue;
        struct Best {
            double likeness = -1.0;
            int frame = 0;
            cv::Point shift;
        };
        std::optional<Best> best;
        const int from = std::max(floor, about.value - options.lookAround),
                  to = std::min(options.last.value, about.value + options.lookAround);
        for (int f = from; f <= to; ++f) {
            const auto now = film.decoded(FrameIndex(f));
            if (!now)
                continue;
            constexpr int kRoom = 64; // px by which the athlete may stand elsewhere
            const cv::Rect there =
                cv::Rect(body.x - kRoom, body.y - kRoom / 2, body.width + 2 * kRoom, body.height + kRoom) & whole;
            cv::Mat score;
            cv::matchTemplate(small(lumaOf(**now, w, h)(there)), like, score, cv::TM_CCOEFF_NORMED);
            double most = 0.0;
            cv::Point at;
            cv::minMaxLoc(score, nullptr, &most, nullptr, &at);
            if (!best || most > best->likeness)
                best = Best{most, f, cv::Point(there.x + at.x * kSmall - body.x, there.y + at.y * kSmall - body.y)};
            if (goOn && !goOn((done + static_cast<double>(f - from) / (to - from + 1)) /
                              static_cast<double>(options.moments.size())))
                return cancelled;
        }
        ++done;
        if (!best || best->likeness < 0.5)
            continue;
        floor = best->frame + 1;
        const auto now = film.decoded(FrameIndex(best->frame));
        if (!now)
            continue;
        const cv::Mat picture = lumaOf(**now, w, h);
        for (const auto& [name, mark] : places) {
            constexpr double kUpright[] = {0.0};
            const Patch patch(then, mark.at.vector(), 12);
            const Eigen::Vector2d guess = mark.at.vector() + Eigen::Vector2d(best->shift.x, best->shift.y);
            const PatchMatch m = patch.find(picture, guess, kUpright, 12.0);
            if (m.likeness < options.likeEnough || m.at.x() < 0 || m.at.y() < 0 || m.at.x() > w || m.at.y() > h)
                continue;
            // The moment is the same to a frame or so: what lies between is part of the error.
            const double unlike = 1.0 + 8.0 * (1.0 - m.likeness);
            out[name][FrameIndex(best->frame)] = {
                {m.at.x(), m.at.y()}, std::sqrt(mark.sigma * mark.sigma + unlike * unlike + m.variance), How::tracked};
        }
    }
    if (out.empty())
        return Error{"no moment in these frames looks like the marked ones", path.filename().string(),
                     "nothing was changed", "mark this rep's first frame by hand"};
    return out;
}

} // namespace riflesso
