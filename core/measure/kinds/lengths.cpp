// Kinds ratio, offset, order, stack, gap and amid: distances on a frame, and where one point lies against others.

#include "core/measure/kinds/kind.h"

#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

double alongDirection(const MeasureDefinition&, const Places& p) {
    return along(p(0), p(1), p.direction) / p.unit;
}

double stackOf(const MeasureDefinition& d, const Places& p) {
    double largest = 0.0, squares = 0.0;
    const std::size_t first = 1, end = d.ownLine ? p.n - 1 : p.n;
    const Eigen::Vector2d foot = p(0), line = d.ownLine ? Eigen::Vector2d(p(p.n - 1) - foot) : Eigen::Vector2d(0, 1);
    for (std::size_t i = first; i < end; ++i) {
        const Eigen::Vector2d off = p(i) - foot;
        const double away = std::abs(off.x() * line.y() - off.y() * line.x()) / line.norm();
        largest = std::max(largest, away);
        squares += away * away / static_cast<double>(end - first);
    }
    return (d.rms ? std::sqrt(squares) : largest) / p.unit;
}

// Distances have no sign, so that noise only adds to small ones, and to the largest of several more so. The mean of the
// largest of k squared normal deviates is about 1 + 1.1 ln k (for k up to 6; 1.64 for two, from memory). What lies four
// times as far away is larger by itself.
std::optional<Error> withoutNoise(const FrameInput& in, Reading& r, double& variance) {
    const MeasureDefinition& d = in.definition;
    const auto k = static_cast<double>(in.points.size() - (d.ownLine ? 2 : 1));
    const double noise = std::sqrt(variance * (d.rms ? k : 1.0 + 1.1 * std::log(k)));
    const double share = noise > 0.0 ? std::clamp(2.0 - r.value / (2.0 * noise), 0.0, 1.0) : 0.0;
    r.value = std::sqrt(std::max(0.0, r.value * r.value - share * noise * noise));
    return std::nullopt;
}

constexpr std::array kAmidAspects = {Aspect::share, Aspect::off};

} // namespace

constinit const KindSpec kRatio = {
    .points = {4, 4},
    .onFrame = [](const MeasureDefinition&, const Places& p) { return (p(0) - p(1)).norm() / (p(2) - p(3)).norm(); },
};

constinit const KindSpec kOffset = {
    .points = {2, 2},
    .quantity = QuantityKind::length,
    .lengthwise = true,
    .directed = true,
    .onFrame = alongDirection,
};

constinit const KindSpec kOrder = {
    .points = {2, 2},
    .quantity = QuantityKind::length,
    .lengthwise = true,
    .directed = true,
    .onFrame = alongDirection,
};

constinit const KindSpec kStack = {
    .pointsOf =
        [](const MeasureDefinition& d) {
            return PointCount{d.ownLine ? 3u : 2u, Places::kMost};
        },
    .tooFewPoints = [](const MeasureDefinition& d) -> std::string {
        return d.ownLine ? say("problem", "a stack against its own line needs three points or more")
                         : say("problem", "a stack needs two points or more, the support first");
    },
    .quantity = QuantityKind::length,
    .lengthwise = true,
    .problem = [](const MeasureDefinition& d) { return d.ownLine ? std::string() : problemFromAfar(d); },
    .onFrame = stackOf,
    .byMarks = withoutNoise,
};

constinit const KindSpec kGap = {
    .points = {2, 2},
    .quantity = QuantityKind::length,
    .lengthwise = true,
    .onFrame =
        [](const MeasureDefinition&, const Places& p) {
            return (p.direction.squaredNorm() > 0.0 ? along(p(1), p(0), p.direction) : (p(1) - p(0)).norm()) / p.unit;
        },
};

constinit const KindSpec kAmid = {
    .points = {3, 3},
    .aspects = kAmidAspects,
    .quantityOf =
        [](const MeasureDefinition& d) {
            return d.aspect == Aspect::off ? QuantityKind::length : QuantityKind::number;
        },
    .lengthwise = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.aspect == Aspect::off && !d.direction
                   ? say("problem", "how far off a line needs the “direction” that is above zero")
                   : "";
    },
    .onFrame =
        [](const MeasureDefinition& d, const Places& p) {
            const Eigen::Vector2d way = p(2) - p(1), to = p(0) - p(1);
            if (d.aspect == Aspect::share)
                return to.dot(way) / way.squaredNorm();
            const Eigen::Vector2d aside = Eigen::Vector2d(-way.y(), way.x()).normalized();
            return to.dot(aside) * (aside.dot(p.direction) < 0.0 ? -1.0 : 1.0) / p.unit;
        },
};

} // namespace riflesso
