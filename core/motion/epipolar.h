#pragma once
/// \file
/// Two views of one body: does a mark in one agree with the mark in the other?

#include "core/motion/mark.h"
#include "core/motion/result.h"

#include <Eigen/Core>

#include <optional>
#include <vector>

namespace riflesso {

/// The same point in two views at the same instant.
struct ViewPair {
    Pixel a, b;
    double sigmaA = kAssumedHandSigma, sigmaB = kAssumedHandSigma;
};

/// The fundamental matrix F with b' F a = 0 for pairs that were marked with care: it stands for both cameras and where
/// they stand. Normalised eight-point algorithm (R. Hartley 1997, IEEE Trans. PAMI 19:580-593). Errors: fewer than
/// eight pairs; pairs that lie so that they do not fix it (all in one plane, for one).
Result<Eigen::Matrix3d> fundamentalOf(const std::vector<ViewPair>& pairs);

/// The same when some of the pairs may be wrong (a slip, left taken for right): the F under which the median misfit of
/// all pairs is least, among those of \p draws drawn eights (least median of squares, Rousseeuw 1984, J. Am. Stat.
/// Assoc. 79:871-880), then fitted to the pairs that agree with it. Up to 4 in 10 pairs may be wrong. Deterministic:
/// the draws are the same each time. Errors: fewer than twelve pairs, and those of fundamentalOf().
Result<Eigen::Matrix3d> robustFundamental(const std::vector<ViewPair>& pairs, int draws = 300);

/// How far the two marks are from agreeing, px: Sampson's distance, the first-order distance of the pair from one that
/// agrees exactly (Hartley & Zisserman, Multiple View Geometry, 2nd ed. 2004, eq. 11.9).
double epipolarDistance(const Eigen::Matrix3d& f, Pixel a, Pixel b);

/// The same in units of what the marks' own errors would make it: above 3 one of the two is wrong.
double epipolarMisfit(const Eigen::Matrix3d& f, const ViewPair& pair);

/// The line in view b on which what is seen at \p a in view a must lie: {x, y, w} with x px + y py + w = 0 and x² + y²
/// = 1. Nothing when it lies at infinity.
std::optional<Eigen::Vector3d> epipolarLine(const Eigen::Matrix3d& f, Pixel a);

} // namespace riflesso
