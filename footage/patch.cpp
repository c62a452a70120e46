#include "footage/patch.h"

#include <Eigen/Cholesky>
#include <Eigen/LU>

#include <algorithm>
#include <array>
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

// A turn that fits so much worse than another, where that one fits well, is not worth a closer look.
constexpr double kAtHome = 0.8, kFarBehind = 0.1;
constexpr float kGrey = 128.0f; // taken off all lightness, so that sums of squares stay small

// Of the square of half-width `half` round a place, less kGrey: one shift for all pixels, so that its four weights are
// the same.
void extract(const cv::Mat& m, const Eigen::Vector2d& at, int half, std::vector<float>& out) {
    const int side = 2 * half + 1;
    out.resize(static_cast<std::size_t>(side) * static_cast<std::size_t>(side));
    const double x = at.x() - 0.5 - half, y = at.y() - 0.5 - half;
    const int xi = static_cast<int>(std::floor(x)), yi = static_cast<int>(std::floor(y));
    if (xi < 0 || yi < 0 || xi + side + 1 >= m.cols || yi + side + 1 >= m.rows) { // over the border: one by one
        for (int row = 0; row < side; ++row)
            for (int column = 0; column < side; ++column)
                out[static_cast<std::size_t>(row * side + column)] =
                    sample(m, at.x() - half + column, at.y() - half + row) - kGrey;
        return;
    }
    const auto fx = static_cast<float>(x - xi), fy = static_cast<float>(y - yi);
    const float w00 = (1 - fx) * (1 - fy), w01 = fx * (1 - fy), w10 = (1 - fx) * fy, w11 = fx * fy;
    for (int row = 0; row < side; ++row) {
        const auto* p = m.ptr<unsigned char>(yi + row) + xi;
        const auto* q = m.ptr<unsigned char>(yi + row + 1) + xi;
        float* o = out.data() + static_cast<std::ptrdiff_t>(row) * side;
        for (int column = 0; column < side; ++column)
            o[column] = w00 * static_cast<float>(p[column]) + w01 * static_cast<float>(p[column + 1]) +
                        w10 * static_cast<float>(q[column]) + w11 * static_cast<float>(q[column + 1]) - kGrey;
    }
}

// What one step of Gauss and Newton needs of all pixels, four at a time.
class Sums {
public:
    enum Of { xx, xy, yy, xt, yt, x, y, xr, yr, tr, r, rr, kCount };

    // A row of \p n pixels from \p v on, in rows \p stride long, against the patch's from \p t on.
    void add(const float* v, const float* t, int n, int stride, float a, float b) {
        const float* const fours = v + (n - n % 4);
        for (; v != fours; v += 4, t += 4) {
            const Array4 gx = 0.5f * (from<Array4>(v + 1) - from<Array4>(v - 1)),
                         gy = 0.5f * (from<Array4>(v + stride) - from<Array4>(v - stride)), there = from<Array4>(t);
            put(m_four, gx, gy, there, Array4(from<Array4>(v) - a * there - b));
        }
        for (const float* const end = fours + n % 4; v != end; ++v, ++t)
            put(m_one, Array1(0.5f * (v[1] - v[-1])), Array1(0.5f * (v[stride] - v[-stride])), Array1(*t),
                Array1(*v - a * *t - b));
    }
    [[nodiscard]] Eigen::Array<double, kCount, 1> all() const {
        Eigen::Array<double, kCount, 1> out;
        for (int i = 0; i < kCount; ++i)
            out[i] = static_cast<double>(m_four[i].sum()) + static_cast<double>(m_one[i].sum());
        return out;
    }

private:
    using Array4 = Eigen::Array4f;
    using Array1 = Eigen::Array<float, 1, 1>;
    template <typename A> static A from(const float* p) { return Eigen::Map<const A>(p); }
    template <typename A>
    static void put(std::array<A, kCount>& to, const A& gx, const A& gy, const A& there, const A& rest) {
        to[xx] += gx * gx;
        to[xy] += gx * gy;
        to[yy] += gy * gy;
        to[xt] += gx * there;
        to[yt] += gy * there;
        to[x] += gx;
        to[y] += gy;
        to[xr] += gx * rest;
        to[yr] += gy * rest;
        to[tr] += there * rest;
        to[r] += rest;
        to[rr] += rest * rest;
    }
    template <typename A> static std::array<A, kCount> none() {
        std::array<A, kCount> out;
        out.fill(A::Zero());
        return out;
    }
    std::array<Array4, kCount> m_four = none<Array4>();
    std::array<Array1, kCount> m_one = none<Array1>();
};

} // namespace

Patch::Patch(const cv::Mat& picture, const Eigen::Vector2d& at, int radius)
    : m_radius(radius), m_side(2 * (radius + 2) + 1) {
    extract(picture, at, radius + 2, m_kept);
    for (int y = -radius; y <= radius; ++y) {
        const int reach = static_cast<int>(std::sqrt(static_cast<double>(radius * radius - y * y)));
        m_rows.push_back({y, -reach, 2 * reach + 1});
        for (int x = -reach; x <= reach; ++x)
            m_places.emplace_back(static_cast<float>(x), static_cast<float>(y));
    }
}

// The patch as it would look now: where a pixel of the turned patch comes from in the kept one.
Patch::Turned Patch::turned(double turn) const {
    const auto c = static_cast<float>(std::cos(turn)), s = static_cast<float>(std::sin(turn));
    const auto half = static_cast<float>(m_side / 2);
    Turned out;
    out.values.reserve(m_places.size());
    for (const auto& p : m_places) {
        const float x = c * p.x() + s * p.y() + half, y = -s * p.x() + c * p.y() + half;
        const int xi = std::clamp(static_cast<int>(x), 0, m_side - 2),
                  yi = std::clamp(static_cast<int>(y), 0, m_side - 2);
        const float fx = x - static_cast<float>(xi), fy = y - static_cast<float>(yi);
        const float* a = m_kept.data() + static_cast<std::ptrdiff_t>(yi) * m_side + xi;
        const float* b = a + m_side;
        const float top = a[0] + fx * (a[1] - a[0]), low = b[0] + fx * (b[1] - b[0]);
        out.values.push_back(top + fy * (low - top));
    }
    Eigen::Map<Eigen::ArrayXf> all(out.values.data(), static_cast<Eigen::Index>(out.values.size()));
    all -= all.mean();
    out.squares = all.square().sum();
    return out;
}

// \p middle: the place's own pixel in a square of rows \p stride long.
double Patch::likenessOf(const Turned& turned, const float* middle, int stride) const {
    // Four at a time: this is where most of a wide search's time goes.
    Eigen::Array4f sums = Eigen::Array4f::Zero(), squared = sums, products = sums;
    float sum = 0.0f, squares = 0.0f, both = 0.0f;
    const float* a = turned.values.data();
    for (const Row& row : m_rows) {
        const float* b = middle + static_cast<std::ptrdiff_t>(row.y) * stride + row.from;
        const float *const end = b + row.length, *const fours = end - row.length % 4;
        for (; b != fours; a += 4, b += 4) {
            const Eigen::Array4f there = Eigen::Map<const Eigen::Array4f>(b);
            sums += there;
            squared += there * there;
            products += there * Eigen::Map<const Eigen::Array4f>(a);
        }
        for (; b != end; ++a, ++b) {
            sum += *b;
            squares += *b * *b;
            both += *b * *a;
        }
    }
    sum += sums.sum();
    squares += squared.sum();
    both += products.sum();
    const auto n = static_cast<double>(m_places.size());
    const double variance = squares - sum * static_cast<double>(sum) / n;
    return turned.squares > 1.0f && variance > 1.0 ? both / std::sqrt(turned.squares * variance) : 0.0;
}

PatchMatch Patch::find(const cv::Mat& picture, const Eigen::Vector2d& guess, std::span<const double> turns,
                       double reach) const {
    PatchMatch best;
    best.at = guess;
    if (m_places.empty())
        return best;
    const int around = m_radius + 1, wide = 2 * around + 1;
    std::vector<float> square;
    extract(picture, guess, around, square);
    std::vector<Turned> patches;
    double most = -1.0;
    for (double turn : turns) {
        patches.push_back(turned(turn));
        Turned& t = patches.back();
        t.likeness = likenessOf(t, square.data() + static_cast<std::ptrdiff_t>(around) * (wide + 1), wide);
        most = std::max(most, t.likeness);
    }
    best.likeness = -1.0;
    for (const Turned& t : patches)
        if (most < kAtHome || t.likeness > most - kFarBehind)
            if (const PatchMatch m = refine(picture, guess, t, reach); m.likeness > best.likeness)
                best = m;
    return best;
}

PatchMatch Patch::refine(const cv::Mat& picture, const Eigen::Vector2d& guess, const Turned& now, double reach) const {
    PatchMatch out;
    out.at = guess;
    const int around = m_radius + 1, wide = 2 * around + 1;
    std::vector<float> square;
    const float* middle = nullptr;
    const auto look = [&](const Eigen::Vector2d& place) {
        extract(picture, place, around, square);
        middle = square.data() + static_cast<std::ptrdiff_t>(around) * wide + around;
    };
    const auto likenessAt = [&](const Eigen::Vector2d& place) {
        look(place);
        return likenessOf(now, middle, wide);
    };
    Eigen::Vector2d at = guess;
    double like = now.likeness;
    // A coarse look round only where the flow may be off by more than Gauss-Newton reaches: whole pixels from the
    // guess, so that one look at the picture serves them all.
    if (reach > 3.5 || (reach > 2.5 && like < 0.9)) {
        const int far = 2 * static_cast<int>(reach / 2.0), half = around + far, stride = 2 * half + 1;
        std::vector<float> all;
        extract(picture, guess, half, all);
        for (int dy = -far; dy <= far; dy += 2)
            for (int dx = -far; dx <= far; dx += 2)
                if (dx * dx + dy * dy <= reach * reach)
                    if (const double l = likenessOf(
                            now, all.data() + static_cast<std::ptrdiff_t>(half + dy) * stride + half + dx, stride);
                        l > like) {
                        like = l;
                        at = guess + Eigen::Vector2d(dx, dy);
                    }
    }
    // Shift, contrast and brightness together: I(p + d) = a T(p) + b.
    double noise = 0.0;
    Eigen::Matrix4d h = Eigen::Matrix4d::Identity();
    double a = 1.0, b = 0.0;
    for (int iteration = 0; iteration < 6; ++iteration) {
        look(at);
        // J = (dI/dx, dI/dy, -T, -1), r = I - a T - b; the turned patch has no mean.
        Sums sums;
        const float* t = now.values.data();
        for (const Row& row : m_rows) {
            const float* v = middle + static_cast<std::ptrdiff_t>(row.y) * wide + row.from;
            sums.add(v, t, row.length, wide, static_cast<float>(a), static_cast<float>(b));
            t += row.length;
        }
        const Eigen::Array<double, Sums::kCount, 1> of = sums.all();
        noise = of[Sums::rr];
        h << of[Sums::xx], of[Sums::xy], -of[Sums::xt], -of[Sums::x], //
            of[Sums::xy], of[Sums::yy], -of[Sums::yt], -of[Sums::y],  //
            -of[Sums::xt], -of[Sums::yt], now.squares, 0.0,           //
            -of[Sums::x], -of[Sums::y], 0.0, static_cast<double>(m_places.size());
        const Eigen::Vector4d g(of[Sums::xr], of[Sums::yr], -of[Sums::tr], -of[Sums::r]);
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
        const double l = likenessAt(at);
        if (l >= like - 0.02) {
            out.at = at;
            const auto n = static_cast<double>(m_places.size());
            const Eigen::Matrix2d cov = noise / std::max(1.0, n - 4.0) * h.inverse().topLeftCorner<2, 2>();
            // Neighbouring pixels share their errors: about four of them make one independent look.
            out.variance = std::clamp(4.0 * std::max(cov(0, 0), cov(1, 1)), 0.0, 400.0);
            out.likeness = l;
            return out;
        }
    }
    out.likeness = like;
    out.variance = 4.0;
    return out;
}

} // namespace riflesso
