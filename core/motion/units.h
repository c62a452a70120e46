#pragma once
/// \file
/// Units and spaces as types, so that frames, file time and real time, degrees and radians do not mix by accident.
/// tests/core/motion/test_units.cpp proves that mixing does not compile.

#include <Eigen/Core>

#include <compare>
#include <numbers>

namespace riflesso {

/// A number with a meaning: only equal tags add, subtract and compare. `value` is in the unit the tag names.
template <typename Tag> struct Quantity {
    double value = 0.0;

    constexpr Quantity() = default;
    explicit constexpr Quantity(double v) : value(v) {}

    friend constexpr Quantity operator+(Quantity a, Quantity b) { return Quantity(a.value + b.value); }
    friend constexpr Quantity operator-(Quantity a, Quantity b) { return Quantity(a.value - b.value); }
    friend constexpr Quantity operator*(Quantity a, double k) { return Quantity(a.value * k); }
    friend constexpr Quantity operator*(double k, Quantity a) { return Quantity(a.value * k); }
    friend constexpr Quantity operator/(Quantity a, double k) { return Quantity(a.value / k); }
    friend constexpr auto operator<=>(Quantity a, Quantity b) = default;
};

using Degrees = Quantity<struct DegreesTag>;
using Radians = Quantity<struct RadiansTag>;
using Hertz = Quantity<struct HertzTag>;
/// Seconds on the file's own clock (presentation time).
using MediaTime = Quantity<struct MediaTimeTag>;
/// Seconds of the athlete's world: media time × file rate / capture rate.
using RealTime = Quantity<struct RealTimeTag>;

constexpr Degrees toDegrees(Radians r) {
    return Degrees(r.value * 180.0 / std::numbers::pi);
}
constexpr Radians toRadians(Degrees d) {
    return Radians(d.value * std::numbers::pi / 180.0);
}

/// The Nth picture of a film in presentation order, 0-based. Not a time: only a Timebase turns one into the other.
struct FrameIndex {
    int value = 0;
    constexpr FrameIndex() = default;
    explicit constexpr FrameIndex(int v) : value(v) {}
    friend constexpr auto operator<=>(FrameIndex, FrameIndex) = default;
};
constexpr FrameIndex operator+(FrameIndex f, int steps) {
    return FrameIndex(f.value + steps);
}
constexpr FrameIndex operator-(FrameIndex f, int steps) {
    return FrameIndex(f.value - steps);
}
constexpr int operator-(FrameIndex a, FrameIndex b) {
    return a.value - b.value;
}

/// A point in the picture: pixels, x right, y DOWN, (0, 0) the outer corner of the first pixel.
struct Pixel {
    double x = 0.0;
    double y = 0.0;
    [[nodiscard]] Eigen::Vector2d vector() const { return {x, y}; }
    friend bool operator==(const Pixel&, const Pixel&) = default;
};

} // namespace riflesso
