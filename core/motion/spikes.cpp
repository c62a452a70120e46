#include "core/motion/spikes.h"

#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

std::vector<Spike> spikesIn(const Track& track, const Timebase& time, double least) {
    std::vector<std::pair<FrameIndex, Pixel>> marks;
    for (const auto& [frame, mark] : track)
        if (mark.how != How::hidden && frame.value >= 0 && frame.value < time.frames())
            marks.emplace_back(frame, mark.at);
    std::vector<Spike> all;
    std::vector<double> sizes;
    for (std::size_t i = 2; i + 2 < marks.size(); ++i) {
        if (marks[i + 2].first - marks[i - 2].first > 8)
            continue; // a gap: neighbours too far away to say anything
        // The cubic through four neighbours (Lagrange), at this mark's own time.
        const double t = time.media(marks[i].first).value;
        double x = 0.0, y = 0.0;
        const std::size_t k[4] = {i - 2, i - 1, i + 1, i + 2};
        for (std::size_t a : k) {
            double w = 1.0;
            for (std::size_t b : k)
                if (a != b)
                    w *= (t - time.media(marks[b].first).value) /
                         (time.media(marks[a].first).value - time.media(marks[b].first).value);
            x += w * marks[a].second.x;
            y += w * marks[a].second.y;
        }
        const double jump = std::hypot(marks[i].second.x - x, marks[i].second.y - y);
        all.push_back({marks[i].first, jump});
        sizes.push_back(jump);
    }
    const auto usual = median(sizes);
    if (!usual)
        return {};
    const double limit = std::max(least, 6.0 * *usual);
    std::erase_if(all, [&](const Spike& s) { return s.jump < limit; });
    std::stable_sort(all.begin(), all.end(), [](const Spike& a, const Spike& b) { return a.jump > b.jump; });
    // A spike pulls its neighbours' expectation along: of a cluster only the largest is the culprit.
    std::vector<Spike> out;
    for (const auto& s : all)
        if (std::none_of(out.begin(), out.end(), [&](const Spike& o) { return std::abs(o.frame - s.frame) <= 2; }))
            out.push_back(s);
    return out;
}

} // namespace riflesso
