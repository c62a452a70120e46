#pragma once
/// \file
/// Colours as people see them who lack one kind of cone.

#include <QColor>

#include <algorithm>
#include <array>
#include <cmath>

namespace riflesso::test {

/// Without red, green or blue cones, on linear RGB. G. M. Machado, M. M. Oliveira, L. A. F. Fernandes 2009, IEEE Trans.
/// Vis. Comput. Graph. 15:1291-1298, severity 1; the figures from memory. Each row sums to 1: greys stay grey.
using ConeMatrix = std::array<std::array<double, 3>, 3>;
inline constexpr std::array<ConeMatrix, 3> kWithoutCones = {
    {{{{0.152286, 1.052583, -0.204868}, {0.114503, 0.786281, 0.099216}, {-0.003882, -0.048116, 1.051998}}},
     {{{0.367322, 0.860646, -0.227968}, {0.280085, 0.672501, 0.047413}, {-0.011820, 0.042940, 0.968881}}},
     {{{1.255528, -0.076749, -0.178779}, {-0.078411, 0.930809, 0.147602}, {0.004733, 0.691367, 0.303900}}}}};

inline std::array<double, 3> linearOf(const QColor& c) {
    const auto linear = [](double v) { return v <= 0.04045 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
    return {linear(c.redF()), linear(c.greenF()), linear(c.blueF())};
}

inline QColor seenWithout(const ConeMatrix& cones, const QColor& colour) {
    const auto in = linearOf(colour);
    std::array<float, 3> out{};
    for (std::size_t i = 0; i < 3; ++i) {
        const double v = std::clamp(cones[i][0] * in[0] + cones[i][1] * in[1] + cones[i][2] * in[2], 0.0, 1.0);
        out[i] = static_cast<float>(v <= 0.0031308 ? 12.92 * v : 1.055 * std::pow(v, 1 / 2.4) - 0.055);
    }
    return QColor::fromRgbF(out[0], out[1], out[2]);
}

/// Distance in CIE 1976 L*a*b*, D65; 2.3 is about what can just be told apart side by side.
inline double farApart(const QColor& a, const QColor& b) {
    const auto lab = [](const QColor& c) -> std::array<double, 3> {
        const auto [r, g, bl] = linearOf(c);
        const auto f = [](double t) { return t > 216.0 / 24389 ? std::cbrt(t) : (24389.0 / 27 * t + 16) / 116; };
        const double x = f((0.4124 * r + 0.3576 * g + 0.1805 * bl) / 0.9505),
                     y = f(0.2126 * r + 0.7152 * g + 0.0722 * bl),
                     z = f((0.0193 * r + 0.1192 * g + 0.9505 * bl) / 1.089);
        return {116 * y - 16, 500 * (x - y), 200 * (y - z)};
    };
    const auto p = lab(a), q = lab(b);
    return std::hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]);
}

} // namespace riflesso::test
