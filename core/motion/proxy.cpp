#include "core/motion/proxy.h"

#include <cmath>
#include <vector>

namespace riflesso {
namespace {

bool isSeen(const Mark& m) {
    return m.how == How::hand || m.how == How::tracked;
}
const Mark* seenAt(const TrackSet& tracks, const LandmarkName& name, FrameIndex frame) {
    const auto track = tracks.find(name);
    if (track == tracks.end())
        return nullptr;
    const auto it = track->second.find(frame);
    return it == track->second.end() || !isSeen(it->second) ? nullptr : &it->second;
}

} // namespace

std::optional<ProxyGeometry> learnProxy(const TrackSet& tracks, const LandmarkName& landmark, const LandmarkName& from,
                                        const LandmarkName& to) {
    const auto track = tracks.find(landmark);
    if (track == tracks.end())
        return std::nullopt;
    std::vector<Eigen::Vector2d> places;
    ProxyGeometry g;
    Eigen::Vector2d sum = Eigen::Vector2d::Zero();
    for (const auto& [frame, mark] : track->second) {
        const Mark *a = seenAt(tracks, from, frame), *b = seenAt(tracks, to, frame);
        if (!isSeen(mark) || !a || !b)
            continue;
        const Eigen::Vector2d axis = b->at.vector() - a->at.vector(), off = mark.at.vector() - a->at.vector();
        if (axis.squaredNorm() < 1.0)
            continue;
        places.emplace_back(off.dot(axis) / axis.squaredNorm(),
                            (axis.x() * off.y() - axis.y() * off.x()) / axis.squaredNorm());
        sum += places.back();
    }
    if (places.size() < 3)
        return std::nullopt;
    g.frames = static_cast<int>(places.size());
    const Eigen::Vector2d mean = sum / static_cast<double>(places.size());
    g.along = mean.x();
    g.across = mean.y();
    double squares = 0.0;
    for (const auto& p : places)
        squares += (p - mean).squaredNorm();
    g.spread = std::sqrt(squares / (2.0 * (static_cast<double>(places.size()) - 1.0)));
    return g;
}

Mark proxyMark(const ProxyGeometry& g, const Mark& from, const Mark& to) {
    const Eigen::Vector2d a = from.at.vector(), axis = to.at.vector() - a;
    const Eigen::Vector2d at = a + g.along * axis + g.across * Eigen::Vector2d(-axis.y(), axis.x());
    // at is linear in both: each coordinate gets (1 − along)² + across² of the one's variance, along² + across² of the
    // other's.
    const double near = (1.0 - g.along) * (1.0 - g.along) + g.across * g.across,
                 far = g.along * g.along + g.across * g.across;
    const double variance = near * from.sigma * from.sigma + far * to.sigma * to.sigma +
                            g.spread * g.spread * axis.squaredNorm() * (1.0 + 1.0 / g.frames);
    return {{at.x(), at.y()}, std::sqrt(variance), How::proxy};
}

} // namespace riflesso
