#include "core/statistics/line.h"

#include "core/statistics/summary.h"

#include <algorithm>
#include <cmath>
#include <vector>

namespace riflesso {

std::optional<LineInBoth> lineThrough(std::span<const PointWithErrors> points) {
    if (points.size() < 3)
        return std::nullopt;
    std::vector<double> x, y;
    for (const auto& p : points) {
        if (!std::isfinite(p.x) || !std::isfinite(p.y) || !(p.ux >= 0.0) || !(p.uy >= 0.0) || !std::isfinite(p.ux) ||
            !std::isfinite(p.uy) || p.ux + p.uy <= 0.0)
            return std::nullopt;
        x.push_back(p.x);
        y.push_back(p.y);
    }
    const auto start = fitLine(x, y);
    if (!start)
        return std::nullopt;
    // With uy = 0 everywhere and a level start the weights would be infinite.
    double b = start->slope == 0.0 ? 1e-9 * (std::abs(y.front()) + 1.0) : start->slope;
    double xBar = 0.0, yBar = 0.0, sumW = 0.0;
    std::vector<double> w(points.size()), beta(points.size());
    for (int round = 0; round < 200; ++round) {
        xBar = yBar = sumW = 0.0;
        for (std::size_t i = 0; i < points.size(); ++i) {
            const auto& p = points[i];
            w[i] = 1.0 / (p.uy * p.uy + b * b * p.ux * p.ux);
            sumW += w[i];
            xBar += w[i] * p.x;
            yBar += w[i] * p.y;
        }
        if (!std::isfinite(sumW))
            return std::nullopt;
        xBar /= sumW;
        yBar /= sumW;
        double top = 0.0, bottom = 0.0;
        for (std::size_t i = 0; i < points.size(); ++i) {
            const auto& p = points[i];
            const double u = p.x - xBar, v = p.y - yBar;
            beta[i] = w[i] * (u * p.uy * p.uy + b * v * p.ux * p.ux);
            top += w[i] * beta[i] * v;
            bottom += w[i] * beta[i] * u;
        }
        const double next = top / bottom;
        if (!std::isfinite(next))
            return std::nullopt;
        const double step = std::abs(next - b);
        b = next;
        if (step <= 1e-14 * std::abs(b))
            break;
    }
    LineInBoth out;
    out.slope = b;
    out.intercept = yBar - b * xBar;
    out.dof = static_cast<int>(points.size()) - 2;
    // At the adjusted points (York et al. 2004, eq. 13).
    double mean = 0.0, spread = 0.0;
    for (std::size_t i = 0; i < points.size(); ++i)
        mean += w[i] * (xBar + beta[i]) / sumW;
    for (std::size_t i = 0; i < points.size(); ++i) {
        const double d = xBar + beta[i] - mean;
        spread += w[i] * d * d;
        const double off = points[i].y - out.intercept - b * points[i].x;
        out.chi2 += w[i] * off * off;
    }
    out.uSlope = std::sqrt(1.0 / spread);
    out.uIntercept = std::sqrt(1.0 / sumW + mean * mean / spread);
    out.covariance = -mean / spread;
    if (!std::isfinite(out.uSlope))
        return std::nullopt;
    return out;
}

std::optional<Crossing> crossingOf(const LineInBoth& line, double level) {
    if (line.slope == 0.0)
        return std::nullopt;
    Crossing out{(level - line.intercept) / line.slope, {}};
    // (level − a − b x)² ≤ t² (Va + 2 x Vab + x² Vb) is a quadratic in x; an interval when the slope is surely not 0.
    const double wider = line.dof > 0 ? std::max(1.0, line.chi2 / line.dof) : 1.0;
    const double t = wider > 1.0 ? studentQuantile(0.975, line.dof) : 1.959963985;
    const double k = t * t * wider;
    const double a = level - line.intercept;
    const double q2 = line.slope * line.slope - k * line.uSlope * line.uSlope;
    const double q1 = -2.0 * (a * line.slope + k * line.covariance);
    const double q0 = a * a - k * line.uIntercept * line.uIntercept;
    if (q2 <= 0.0)
        return out;
    const double root = q1 * q1 - 4.0 * q2 * q0;
    if (root < 0.0)
        return out;
    const double half = std::sqrt(root) / (2.0 * q2), middle = -q1 / (2.0 * q2);
    out.interval = Interval{middle - half, middle + half};
    return out;
}

} // namespace riflesso
