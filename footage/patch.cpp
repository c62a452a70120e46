#include "footage/patch.h"

#include <Eigen/Cholesky>
#include <Eigen/LU>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// Lightness at a place in the sense of Pixel (pixel centres at halves), bilinear; the border's pixels count beyond it.
float sample(const cv::Mat& m, double x, double y) {
    x = std::clamp(x - 0.5, 0.0, m.cols - 1.001);
    y = std::clamp(y - 0.5, 0.0, m.rows - 1.001);
    const int xi = static_cast<int>(x), yi = static_cast<int>(y);
    const auto fx = static_cast<float>(x - xi), fy = static_cast<float>(y - yi);
    const auto* a = m.ptr<unsigned char>(yi) + xi;
    const auto* b = m.ptr<unsigned char>(std::min(yi + 1, m.rows - 1)) + xi;
    const int next = xi + 1 < m.cols ? 1 : 0;
    const float top = static_cast<float>(a[0]) + fx * static_cast<float>(a[next] - a[0]);
    const float low = static_cast<float>(b[0]) + fx * static_cast<float>(b[next] - b[0]);
    return top + fy * (low - top);
}

} // namespace

Patch::Patch(const cv::Mat& picture, const Eigen::Vector2d& at, int radius)
    : m_radius(radius), m_side(2 * (radius + 2) + 1) {
    const int half = radius + 2;
    m_kept.reserve(static_cast<std::size_t>(m_side) * static_cast<std::size_t>(m_side));
    for (int y = -half; y <= half; ++y)
        for (int x = -half; x <= half; ++x) {
            m_kept.push_back(sample(picture, at.x() + x, at.y() + y));
            if (x * x + y * y <= radius * radius)
                m_places.emplace_back(static_cast<float>(x), static_cast<float>(y));
        }
}

double Patch::likenessAt(const cv::Mat& picture, const std::vector<float>& turned, const Eigen::Vector2d& at) const {
    double sa = 0, sb = 0, saa = 0, sbb = 0, sab = 0;
    for (std::size_t i = 0; i < m_places.size(); ++i) {
        const double a = turned[i], b = sample(picture, at.x() + m_places[i].x(), at.y() + m_places[i].y());
        sa += a;
        sb += b;
        saa += a * a;
        sbb += b * b;
        sab += a * b;
    }
    const auto n = static_cast<double>(m_places.size());
    const double va = saa - sa * sa / n, vb = sbb - sb * sb / n;
    return va > 1e-6 && vb > 1e-6 ? (sab - sa * sb / n) / std::sqrt(va * vb) : 0.0;
}

PatchMatch Patch::find(const cv::Mat& picture, const Eigen::Vector2d& guess, double turn, double reach) const {
    PatchMatch out;
    out.at = guess;
    if (m_places.empty())
        return out;
    // The patch as it would look now: where a pixel of the turned patch comes from in the kept one.
    const auto c = static_cast<float>(std::cos(turn)), s = static_cast<float>(std::sin(turn));
    const float half = static_cast<float>(m_side / 2);
    std::vector<float> turned;
    turned.reserve(m_places.size());
    for (const auto& p : m_places) {
        const float x = c * p.x() + s * p.y() + half, y = -s * p.x() + c * p.y() + half;
        const int xi = std::clamp(static_cast<int>(x), 0, m_side - 2),
                  yi = std::clamp(static_cast<int>(y), 0, m_side - 2);
        const float fx = x - static_cast<float>(xi), fy = y - static_cast<float>(yi);
        const float* a = m_kept.data() + static_cast<std::ptrdiff_t>(yi) * m_side + xi;
        const float* b = a + m_side;
        const float top = a[0] + fx * (a[1] - a[0]), low = b[0] + fx * (b[1] - b[0]);
        turned.push_back(top + fy * (low - top));
    }
    Eigen::Vector2d at = guess;
    double like = likenessAt(picture, turned, at);
    // A coarse look round only where the flow may be off by more than Gauss-Newton reaches.
    if (reach > 2.5)
        for (double dy = -reach; dy <= reach + 1e-9; dy += 2.0)
            for (double dx = -reach; dx <= reach + 1e-9; dx += 2.0)
                if (dx * dx + dy * dy <= reach * reach) {
                    const Eigen::Vector2d there = guess + Eigen::Vector2d(dx, dy);
                    if (const double l = likenessAt(picture, turned, there); l > like) {
                        like = l;
                        at = there;
                    }
                }
    // Shift, contrast and brightness together: I(p + d) = a T(p) + b.
    double noise = 0.0;
    Eigen::Matrix4d h = Eigen::Matrix4d::Identity();
    double a = 1.0, b = 0.0;
    for (int iteration = 0; iteration < 6; ++iteration) {
        h.setZero();
        Eigen::Vector4d g = Eigen::Vector4d::Zero();
        noise = 0.0;
        for (std::size_t i = 0; i < m_places.size(); ++i) {
            const double x = at.x() + m_places[i].x(), y = at.y() + m_places[i].y();
            const double v = sample(picture, x, y);
            const double gx = (sample(picture, x + 1, y) - sample(picture, x - 1, y)) / 2.0,
                         gy = (sample(picture, x, y + 1) - sample(picture, x, y - 1)) / 2.0;
            const Eigen::Vector4d j(gx, gy, -turned[i], -1.0);
            const double r = v - a * turned[i] - b;
            h += j * j.transpose();
            g += j * r;
            noise += r * r;
        }
        h.diagonal().array() += 1e-6;
        const Eigen::Vector4d d = h.ldlt().solve(-g);
        if (!d.allFinite())
            break;
        at += d.head<2>().cwiseMax(-2.0).cwiseMin(2.0);
        a += d[2];
        b += d[3];
        if (d.head<2>().norm() < 0.02)
            break;
    }
    if ((at - guess).norm() <= reach + 1.0) {
        const double l = likenessAt(picture, turned, at);
        if (l >= like - 0.02) {
            like = l;
            out.at = at;
            const auto n = static_cast<double>(m_places.size());
            const Eigen::Matrix2d cov = noise / std::max(1.0, n - 4.0) * h.inverse().topLeftCorner<2, 2>();
            // Neighbouring pixels share their errors: about four of them make one independent look.
            out.variance = std::clamp(4.0 * std::max(cov(0, 0), cov(1, 1)), 0.0, 400.0);
            out.likeness = like;
            return out;
        }
    }
    out.likeness = like;
    out.variance = 4.0;
    return out;
}

} // namespace riflesso
