#pragma once
/// \file
/// The few distributions that decisions need. All functions are pure; arguments outside the stated ranges give NaN.

namespace riflesso {

/// P(X <= x) for X ~ N(mean, sd²). With sd == 0 it is the step function (0.5 at x == mean).
double normalCdf(double x, double mean = 0.0, double sd = 1.0);

/// Quantile of Student's t with \p dof > 0 degrees of freedom at probability 0 < p < 1.
double studentQuantile(double p, double dof);

/// Quantile of Fisher's F with \p d1, \p d2 > 0 degrees of freedom at probability 0 < p < 1.
double fisherQuantile(double p, double d1, double d2);

/// Quantile of chi-squared with \p dof > 0 degrees of freedom at probability 0 < p < 1.
double chiSquareQuantile(double p, double dof);

/// P(X <= x) for X ~ Beta(a, b); a, b > 0, x in 0..1.
double betaCdf(double x, double a, double b);

/// A closed interval of real numbers, lo <= hi.
struct Interval {
    double lo = 0.0;
    double hi = 0.0;
    [[nodiscard]] double halfWidth() const { return (hi - lo) / 2.0; }
    [[nodiscard]] bool contains(double v) const { return v >= lo && v <= hi; }
    friend bool operator==(const Interval&, const Interval&) = default;
};

/// Wilson score interval for a share of \p successes out of \p n > 0 at the given two-sided confidence.
/// Source: E. B. Wilson 1927, J. Am. Stat. Assoc. 22:209-212.
Interval wilson(int successes, int n, double confidence = 0.95);

} // namespace riflesso
