#include "core/statistics/distributions.h"

#include <boost/math/distributions/beta.hpp>
#include <boost/math/distributions/chi_squared.hpp>
#include <boost/math/distributions/fisher_f.hpp>
#include <boost/math/distributions/normal.hpp>
#include <boost/math/distributions/students_t.hpp>

#include <cmath>
#include <limits>

namespace riflesso {
namespace {
constexpr double kNaN = std::numeric_limits<double>::quiet_NaN();
}

double normalCdf(double x, double mean, double sd) {
    if (!(sd >= 0.0) || std::isnan(x) || std::isnan(mean))
        return kNaN;
    if (sd == 0.0)
        return x < mean ? 0.0 : x > mean ? 1.0 : 0.5;
    return 0.5 * std::erfc(-(x - mean) / (sd * std::sqrt(2.0)));
}

double studentQuantile(double p, double dof) {
    if (!(p > 0.0 && p < 1.0) || !(dof > 0.0))
        return kNaN;
    return boost::math::quantile(boost::math::students_t(dof), p);
}

double chiSquareQuantile(double p, double dof) {
    if (!(p > 0.0 && p < 1.0) || !(dof > 0.0))
        return kNaN;
    return boost::math::quantile(boost::math::chi_squared(dof), p);
}

double fisherQuantile(double p, double d1, double d2) {
    if (!(p > 0.0 && p < 1.0) || !(d1 > 0.0) || !(d2 > 0.0))
        return kNaN;
    return boost::math::quantile(boost::math::fisher_f(d1, d2), p);
}

double betaCdf(double x, double a, double b) {
    if (!(a > 0.0) || !(b > 0.0) || !(x >= 0.0 && x <= 1.0))
        return kNaN;
    return boost::math::cdf(boost::math::beta_distribution<>(a, b), x);
}

Interval wilson(int successes, int n, double confidence) {
    if (n <= 0 || successes < 0 || successes > n || !(confidence > 0.0 && confidence < 1.0))
        return {kNaN, kNaN};
    const double z = boost::math::quantile(boost::math::normal(), 0.5 + confidence / 2.0);
    const double p = static_cast<double>(successes) / n;
    const double z2n = z * z / n;
    const double centre = (p + z2n / 2.0) / (1.0 + z2n);
    const double half = z / (1.0 + z2n) * std::sqrt(p * (1.0 - p) / n + z2n / (4.0 * n));
    return {std::max(0.0, centre - half), std::min(1.0, centre + half)};
}

} // namespace riflesso
