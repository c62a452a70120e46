#include "core/motion/carrying.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace riflesso {
namespace {

// Fitted, see the header. px.
constexpr double kStill = 0.10;       // a step of a thing that hardly moves
constexpr double kThereAndBack = 0.6; // of the distance by which there-and-back misses
constexpr double kMoving = 0.035;     // of a step's length
constexpr double kUnlike = 0.5;       // at a likeness of 0

std::pair<LandmarkName, LandmarkName> ordered(const LandmarkName& a, const LandmarkName& b) {
    return a < b ? std::pair(a, b) : std::pair(b, a);
}

} // namespace

double CarryError::sigma() const {
    return std::sqrt(variance());
}

void CarryError::step(const CarryStep& s) {
    const double unlike = kUnlike * std::clamp(1.0 - s.likeness, 0.0, 1.0);
    way += kStill * kStill + kThereAndBack * kThereAndBack * s.forwardBackward * s.forwardBackward +
           kMoving * kMoving * s.speed * s.speed + unlike * unlike;
}

double CarryError::look(double look) {
    const double share = way / (way + look);
    way *= 1.0 - share;
    return share;
}

void closeWays(std::map<int, CarriedPlace>& ways, const std::map<int, Arrival>& arrivals, int direction) {
    for (const auto& [end, arrival] : arrivals) {
        const double dx = arrival.place.at.x - arrival.mark.at.x, dy = arrival.place.at.y - arrival.mark.at.y;
        const double miss = (dx * dx + dy * dy) / 2.0;
        const double expected = arrival.place.variance + arrival.mark.sigma * arrival.mark.sigma;
        if (miss <= 4.0 * expected)
            continue;
        // The way since the arrival before this one.
        int begin = direction > 0 ? std::numeric_limits<int>::min() : std::numeric_limits<int>::max();
        for (const auto& [other, a] : arrivals)
            if (direction > 0 ? other < end && other > begin : other > end && other < begin)
                begin = other;
        const auto onTheWay = [&](int f) { return direction > 0 ? f > begin && f < end : f < begin && f > end; };
        int lost = end;
        double least = 2.0;
        for (const auto& [frame, way] : ways)
            if (onTheWay(frame) && way.likeness < least) {
                least = way.likeness;
                lost = frame;
            }
        for (auto& [frame, way] : ways)
            if (onTheWay(frame))
                way.place.variance += (direction > 0 ? frame >= lost : frame <= lost) ? miss : 0.05 * miss;
    }
}

Carried blend(const Carried& f, const Carried& b) {
    const double wf = b.variance / (f.variance + b.variance), wb = 1.0 - wf;
    Carried out{{wf * f.at.x + wb * b.at.x, wf * f.at.y + wb * b.at.y}, wf * f.variance};
    const double dx = f.at.x - b.at.x, dy = f.at.y - b.at.y;
    // Half of the squared distance is what each coordinate disagrees by; independent errors would make it
    // f.variance + b.variance on average.
    const double excess = std::max(0.0, (dx * dx + dy * dy) / 2.0 - (f.variance + b.variance));
    out.variance += wf * wb * excess;
    return out;
}

BoneSpread::BoneSpread(const TrackSet& tracks, const std::vector<std::pair<LandmarkName, LandmarkName>>& bones) {
    std::vector<double> longest;
    for (const auto& [a, b] : bones) {
        const auto ta = tracks.find(a), tb = tracks.find(b);
        if (ta == tracks.end() || tb == tracks.end())
            continue;
        std::optional<Seen> seen;
        for (const auto& [frame, mark] : ta->second) {
            const auto other = tb->second.find(frame);
            if (mark.how != How::hand || other == tb->second.end() || other->second.how != How::hand)
                continue;
            const double length = std::hypot(mark.at.x - other->second.at.x, mark.at.y - other->second.at.y);
            seen = seen ? Seen{std::min(seen->least, length), std::max(seen->most, length)} : Seen{length, length};
        }
        if (!seen)
            continue;
        m_seen[ordered(a, b)] = *seen;
        longest.push_back(seen->most);
    }
    if (!longest.empty()) {
        std::nth_element(longest.begin(), longest.begin() + static_cast<std::ptrdiff_t>(longest.size() / 2),
                         longest.end());
        m_usual = longest[longest.size() / 2];
    }
}

std::optional<double> BoneSpread::longest(const LandmarkName& a, const LandmarkName& b) const {
    const auto it = m_seen.find(ordered(a, b));
    return it == m_seen.end() ? std::nullopt : std::optional(it->second.most);
}

double BoneSpread::beyond(const LandmarkName& a, const LandmarkName& b, double length, double shorter) const {
    const auto it = m_seen.find(ordered(a, b));
    if (it == m_seen.end() || !(it->second.most > 0.0))
        return 0.0;
    // Marks have errors, and one look does not show how long a bone can look: 15 % and 4 px of grace.
    const double grace = onBody(a) && onBody(b) ? 0.15 : 0.05;
    const double most = (1.0 + grace) * it->second.most + 4.0;
    const double least = (1.0 - (grace < 0.1 ? shorter / 3.0 : shorter)) * it->second.least - 4.0;
    return std::max({0.0, length - most, least - length}) / it->second.most;
}

std::vector<std::pair<LandmarkName, LandmarkName>> bonesFor(const TrackSet& tracks) {
    std::vector<LandmarkName> names;
    for (const auto& [name, track] : tracks)
        names.push_back(name);
    auto bones = linesAmong(names);
    for (const auto& [name, track] : tracks) {
        if (!hangsOnHand(name, names))
            continue;
        double nearest = 1e300;
        LandmarkName holder;
        for (const char* hand : {"left_hand", "right_hand", "left_wrist", "right_wrist"}) {
            const auto other = tracks.find(hand);
            if (other == tracks.end())
                continue;
            for (const auto& [frame, mark] : track)
                if (const auto there = other->second.find(frame);
                    mark.how == How::hand && there != other->second.end() && there->second.how == How::hand) {
                    const double d = std::hypot(mark.at.x - there->second.at.x, mark.at.y - there->second.at.y);
                    if (d < nearest) {
                        nearest = d;
                        holder = hand;
                    }
                }
        }
        if (!holder.empty())
            bones.emplace_back(holder, name);
    }
    return bones;
}

bool acrossTrunk(const LandmarkName& a, const LandmarkName& b) {
    return a != b && mirrored(a) == b && (a.ends_with("_hip") || a.ends_with("_shoulder"));
}

bool believableStep(Eigen::Vector2d before, Eigen::Vector2d now, double usualBone) {
    const double change = (now - before).norm();
    return change <= std::max(4.0, 0.06 * usualBone) + 0.75 * std::max(before.norm(), 0.0);
}

} // namespace riflesso
