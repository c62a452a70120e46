#pragma once
/// \file
/// Natural cubic spline through unevenly spaced samples, for short gaps and for films of variable frame rate.

#include <vector>

namespace riflesso {

/// Interpolates y over strictly increasing x. Fewer than two knots: constant (0 when there is none).
/// Outside the knots it continues along the end's straight line.
/// Source: Press et al., Numerical Recipes, ch. 3.3 (tridiagonal system for the second derivatives).
class Spline {
public:
    Spline(std::vector<double> x, std::vector<double> y);
    [[nodiscard]] double at(double x) const;
    [[nodiscard]] double slopeAt(double x) const;

private:
    [[nodiscard]] std::size_t segment(double x) const;
    std::vector<double> m_x, m_y, m_second;
};

} // namespace riflesso
