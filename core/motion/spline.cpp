#include "core/motion/spline.h"

#include <algorithm>

namespace riflesso {

Spline::Spline(std::vector<double> x, std::vector<double> y)
    : m_x(std::move(x)), m_y(std::move(y)), m_second(m_x.size(), 0.0) {
    const std::size_t n = m_x.size();
    if (n < 3)
        return;
    std::vector<double> u(n, 0.0);
    for (std::size_t i = 1; i + 1 < n; ++i) {
        const double s = (m_x[i] - m_x[i - 1]) / (m_x[i + 1] - m_x[i - 1]);
        const double p = s * m_second[i - 1] + 2.0;
        m_second[i] = (s - 1.0) / p;
        const double jump =
            (m_y[i + 1] - m_y[i]) / (m_x[i + 1] - m_x[i]) - (m_y[i] - m_y[i - 1]) / (m_x[i] - m_x[i - 1]);
        u[i] = (6.0 * jump / (m_x[i + 1] - m_x[i - 1]) - s * u[i - 1]) / p;
    }
    m_second[n - 1] = 0.0;
    for (std::size_t i = n - 1; i-- > 0;)
        m_second[i] = m_second[i] * m_second[i + 1] + u[i];
    m_second[0] = 0.0;
}

std::size_t Spline::segment(double x) const {
    const auto it = std::upper_bound(m_x.begin(), m_x.end(), x);
    const auto i = static_cast<std::size_t>(std::max<std::ptrdiff_t>(it - m_x.begin() - 1, 0));
    return std::min(i, m_x.size() - 2);
}

double Spline::at(double x) const {
    if (m_x.empty())
        return 0.0;
    if (m_x.size() == 1)
        return m_y.front();
    if (x < m_x.front())
        return m_y.front() + slopeAt(m_x.front()) * (x - m_x.front());
    if (x > m_x.back())
        return m_y.back() + slopeAt(m_x.back()) * (x - m_x.back());
    const std::size_t i = segment(x);
    const double h = m_x[i + 1] - m_x[i];
    const double a = (m_x[i + 1] - x) / h;
    const double b = (x - m_x[i]) / h;
    return a * m_y[i] + b * m_y[i + 1] +
           ((a * a * a - a) * m_second[i] + (b * b * b - b) * m_second[i + 1]) * h * h / 6.0;
}

double Spline::slopeAt(double x) const {
    if (m_x.size() < 2)
        return 0.0;
    const std::size_t i = segment(std::clamp(x, m_x.front(), m_x.back()));
    const double h = m_x[i + 1] - m_x[i];
    const double xx = std::clamp(x, m_x.front(), m_x.back());
    const double a = (m_x[i + 1] - xx) / h;
    const double b = (xx - m_x[i]) / h;
    return (m_y[i + 1] - m_y[i]) / h - (3 * a * a - 1) / 6.0 * h * m_second[i] +
           (3 * b * b - 1) / 6.0 * h * m_second[i + 1];
}

} // namespace riflesso
