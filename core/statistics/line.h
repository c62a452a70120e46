#pragma once
/// \file
/// A straight line through points that have errors in both coordinates.

#include "core/statistics/distributions.h"

#include <optional>
#include <span>

namespace riflesso {

/// Standard errors 0 or more; at least one of the two above 0. The errors of x and y are independent.
struct PointWithErrors {
    double x = 0.0, ux = 0.0;
    double y = 0.0, uy = 0.0;
};

/// y = intercept + slope · x. D. York, N. M. Evensen, M. López Martínez & J. De Basabe Delgado 2004, Am. J. Phys.
/// 72:367-375, with no correlation between a point's two errors.
struct LineInBoth {
    double slope = 0.0, uSlope = 0.0;
    double intercept = 0.0, uIntercept = 0.0;
    double covariance = 0.0; ///< of intercept and slope
    double chi2 = 0.0;       ///< weighted sum of squared distances; about n − 2 when the errors are as stated
    int dof = 0;             ///< n − 2
};
/// Empty with fewer than three points, all at one x, an error that is not a number, or a line that stands upright.
std::optional<LineInBoth> lineThrough(std::span<const PointWithErrors> points);

/// Where the line reaches \p level, and the 95 % interval of it after E. C. Fieller 1954, J. R. Stat. Soc. B
/// 16:175-185. When the points scatter more than their errors say (χ²/dof > 1), the errors are widened by √(χ²/dof).
struct Crossing {
    double x = 0.0;
    std::optional<Interval> interval; ///< empty: the slope might as well be 0, so it may never be reached
};
/// Empty when the slope is 0.
std::optional<Crossing> crossingOf(const LineInBoth& line, double level);

} // namespace riflesso
