#include "core/motion/epipolar.h"

#include "core/words/say.h"

#include <Eigen/LU>
#include <Eigen/SVD>

#include <algorithm>
#include <cmath>
#include <random>

namespace riflesso {
namespace {

Eigen::Matrix3d normalising(const std::vector<ViewPair>& pairs, bool first) {
    Eigen::Vector2d mean = Eigen::Vector2d::Zero();
    const auto n = static_cast<double>(pairs.size());
    for (const auto& p : pairs)
        mean += (first ? p.a : p.b).vector() / n;
    double spread = 0.0;
    for (const auto& p : pairs)
        spread += ((first ? p.a : p.b).vector() - mean).norm() / n;
    const double s = spread > 1e-9 ? std::sqrt(2.0) / spread : 1.0;
    Eigen::Matrix3d t;
    t << s, 0, -s * mean.x(), 0, s, -s * mean.y(), 0, 0, 1;
    return t;
}

Eigen::Vector3d homogeneous(Pixel p) {
    return {p.x, p.y, 1.0};
}

} // namespace

Result<Eigen::Matrix3d> fundamentalOf(const std::vector<ViewPair>& pairs) {
    if (pairs.size() < 8)
        return Error{fill(say("error", "two views are tied together by eight points that both show; there are %1"),
                          {std::to_string(pairs.size())}),
                     {},
                     {},
                     "mark more points by hand in both views"};
    const Eigen::Matrix3d ta = normalising(pairs, true), tb = normalising(pairs, false);
    Eigen::MatrixXd m(static_cast<Eigen::Index>(pairs.size()), 9);
    for (std::size_t i = 0; i < pairs.size(); ++i) {
        const Eigen::Vector3d a = ta * homogeneous(pairs[i].a), b = tb * homogeneous(pairs[i].b);
        m.row(static_cast<Eigen::Index>(i)) << b.x() * a.x(), b.x() * a.y(), b.x(), b.y() * a.x(), b.y() * a.y(), b.y(),
            a.x(), a.y(), 1.0;
    }
    const Eigen::JacobiSVD<Eigen::MatrixXd> svd(m, Eigen::ComputeFullV);
    const auto& values = svd.singularValues();
    if (values.size() < 8 || values[7] < 1e-6 * values[0])
        return Error{"these points do not fix how the two cameras stand to one another",
                     {},
                     {},
                     "mark points at different depths"};
    const Eigen::VectorXd v = svd.matrixV().col(8);
    Eigen::Matrix3d f;
    f << v[0], v[1], v[2], v[3], v[4], v[5], v[6], v[7], v[8];
    Eigen::JacobiSVD<Eigen::Matrix3d> rank(f, Eigen::ComputeFullU | Eigen::ComputeFullV);
    Eigen::Vector3d s = rank.singularValues();
    s[2] = 0.0;
    f = rank.matrixU() * s.asDiagonal() * rank.matrixV().transpose();
    f = tb.transpose() * f * ta;
    return Eigen::Matrix3d(f / f.norm());
}

Result<Eigen::Matrix3d> robustFundamental(const std::vector<ViewPair>& pairs, int draws) {
    constexpr std::size_t kFewest = 12;
    if (pairs.size() < kFewest)
        return Error{
            fill(say("error",
                     "to tell wrong marks from right ones two views need twelve points that both show; there are %1"),
                 {std::to_string(pairs.size())}),
            {},
            {},
            "mark more points by hand in both views"};
    std::mt19937 random(8128); // any; the same each time, so that the same marks give the same answer
    std::vector<std::size_t> order(pairs.size());
    for (std::size_t i = 0; i < order.size(); ++i)
        order[i] = i;
    double least = 0.0;
    std::optional<Eigen::Matrix3d> best;
    std::vector<double> misfits(pairs.size());
    for (int draw = 0; draw < draws; ++draw) {
        std::vector<ViewPair> eight;
        for (std::size_t i = 0; i < 8; ++i) {
            std::swap(order[i], order[i + random() % (order.size() - i)]);
            eight.push_back(pairs[order[i]]);
        }
        const auto f = fundamentalOf(eight);
        if (!f)
            continue;
        for (std::size_t i = 0; i < pairs.size(); ++i)
            misfits[i] = epipolarMisfit(*f, pairs[i]);
        const auto middle = misfits.begin() + static_cast<std::ptrdiff_t>(misfits.size() * 6 / 10);
        std::nth_element(misfits.begin(), middle, misfits.end());
        if (!best || *middle < least) {
            least = *middle;
            best = *f;
        }
    }
    if (!best)
        return fundamentalOf(pairs); // says why
    // An eight's own errors are in the misfits; agreeing means agreeing as well as most do.
    for (int round = 0; round < 3; ++round) {
        std::vector<ViewPair> agree;
        const double most = std::max(3.0, round == 0 ? 2.5 * least : 0.0);
        for (const auto& p : pairs)
            if (epipolarMisfit(*best, p) <= most)
                agree.push_back(p);
        const auto f = fundamentalOf(agree);
        if (!f)
            return f;
        best = *f;
    }
    return *best;
}

std::optional<Eigen::Vector3d> epipolarLine(const Eigen::Matrix3d& f, Pixel a) {
    const Eigen::Vector3d l = f * homogeneous(a);
    const double length = l.head<2>().norm();
    return length > 1e-12 * l.norm() ? std::optional<Eigen::Vector3d>(l / length) : std::nullopt;
}

double epipolarDistance(const Eigen::Matrix3d& f, Pixel a, Pixel b) {
    const Eigen::Vector3d l = f * homogeneous(a), k = f.transpose() * homogeneous(b);
    const double slope = l.head<2>().squaredNorm() + k.head<2>().squaredNorm();
    return slope > 0.0 ? std::abs(homogeneous(b).dot(l)) / std::sqrt(slope) : 0.0;
}

double epipolarMisfit(const Eigen::Matrix3d& f, const ViewPair& p) {
    const Eigen::Vector3d l = f * homogeneous(p.a), k = f.transpose() * homogeneous(p.b);
    const double variance =
        l.head<2>().squaredNorm() * p.sigmaB * p.sigmaB + k.head<2>().squaredNorm() * p.sigmaA * p.sigmaA;
    return variance > 0.0 ? std::abs(homogeneous(p.b).dot(l)) / std::sqrt(variance) : 0.0;
}

} // namespace riflesso
