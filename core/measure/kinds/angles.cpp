// Kinds angle, lean, between, clock and roll: directions of lines on a frame, and between them.

#include "core/measure/kinds/kind.h"

#include "core/words/say.h"

#include <cmath>
#include <numbers>

namespace riflesso {
namespace {

double turnedRound(const MeasureDefinition& d) {
    return d.reading == AngleReading::turned ? 360.0 : 0.0;
}

// Included, bent away from straight, or with its sign.
double asRead(const MeasureDefinition& d, const Eigen::Vector2d& a, const Eigen::Vector2d& b,
              const Eigen::Vector2d& direction) {
    if (d.reading == AngleReading::turned)
        return turnedFrom(a, b, direction).value;
    const double included = includedAngle(a, Eigen::Vector2d::Zero(), b).value;
    return d.reading == AngleReading::included ? included : 180.0 - included;
}

} // namespace

constinit const KindSpec kAngle = {
    .points = {3, 3},
    .quantity = QuantityKind::angle,
    .signedAngle = true,
    .round = turnedRound,
    .onFrame = [](const MeasureDefinition& d,
                  const Places& p) { return asRead(d, p(0) - p(1), p(2) - p(1), p.direction); },
};

constinit const KindSpec kBetween = {
    .points = {4, 4},
    .quantity = QuantityKind::angle,
    .signedAngle = true,
    .round = turnedRound,
    .onFrame = [](const MeasureDefinition& d,
                  const Places& p) { return asRead(d, p(1) - p(0), p(3) - p(2), p.direction); },
};

constinit const KindSpec kLean = {
    .points = {2, 2},
    .quantity = QuantityKind::angle,
    .directed = true,
    .upright = true,
    .problem = [](const MeasureDefinition& d) -> std::string {
        return d.direction == Direction::up
                   ? say("problem", "a lean is read against the vertical: its direction is forward or across")
                   : "";
    },
    .round = [](const MeasureDefinition&) { return 360.0; },
    .onFrame = [](const MeasureDefinition&,
                  const Places& p) { return leanFromVertical(p(0), p(1), p.direction).value; },
};

constinit const KindSpec kClock = {
    .points = {2, 2},
    .quantity = QuantityKind::hours,
    .byForward = true,
    .upright = true,
    .round = [](const MeasureDefinition&) { return 12.0; },
    .onFrame =
        [](const MeasureDefinition&, const Places& p) {
            const Eigen::Vector2d way = p(1) - p(0);
            return way.squaredNorm() == 0.0 ? std::nan("")
                                            : std::atan2(way.dot(p.direction), -way.y()) * 6.0 / std::numbers::pi;
        },
};

constinit const KindSpec kRoll = {
    .points = {2, 2},
    .quantity = QuantityKind::angle,
    .upright = true,
    .onFrame =
        [](const MeasureDefinition&, const Places& p) {
            const Eigen::Vector2d way = p(1) - p(0);
            return way.squaredNorm() == 0.0 ? std::nan("")
                                            : toDegrees(Radians(std::atan2(-way.y(), std::abs(way.x())))).value;
        },
};

} // namespace riflesso
