#pragma once
/// \file
/// How well one colour stands on another.

#include <QColor>

#include <algorithm>
#include <cmath>

namespace riflesso::test {

/// Relative luminance and contrast ratio: WCAG 2.1, definitions in section 7.
inline double luminance(QColor c) {
    const auto linear = [](double v) { return v <= 0.04045 ? v / 12.92 : std::pow((v + 0.055) / 1.055, 2.4); };
    return 0.2126 * linear(c.redF()) + 0.7152 * linear(c.greenF()) + 0.0722 * linear(c.blueF());
}
inline double contrast(QColor a, QColor b) {
    const double l1 = std::max(luminance(a), luminance(b)), l2 = std::min(luminance(a), luminance(b));
    return (l1 + 0.05) / (l2 + 0.05);
}

} // namespace riflesso::test
