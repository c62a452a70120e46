#include "core/motion/calibration.h"

#include "core/words/say.h"

#include "core/statistics/numbers.h"

#include <Eigen/Dense>

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <functional>
#include <numbers>

namespace riflesso {
namespace {

using Eigen::Matrix3d;
using Eigen::Vector2d;

constexpr double kDegree = std::numbers::pi / 180.0;

Vector2d apply(const Matrix3d& h, const Vector2d& p) {
    const Eigen::Vector3d v = h * p.homogeneous();
    return v.hnormalized();
}

// Moves the middle to 0 and the mean distance to √2, which keeps the linear system well conditioned.
Matrix3d normaliser(const std::vector<Vector2d>& points) {
    Vector2d middle = Vector2d::Zero();
    for (const auto& p : points)
        middle += p / static_cast<double>(points.size());
    double spread = 0.0;
    for (const auto& p : points)
        spread += (p - middle).norm() / static_cast<double>(points.size());
    const double s = spread > 0.0 ? std::numbers::sqrt2 / spread : 1.0;
    Matrix3d t;
    t << s, 0, -s * middle.x(), 0, s, -s * middle.y(), 0, 0, 1;
    return t;
}

// from → to, linear.
Matrix3d linearHomography(const std::vector<Vector2d>& from, const std::vector<Vector2d>& to) {
    const Matrix3d a = normaliser(from), b = normaliser(to);
    Eigen::MatrixXd m(2 * static_cast<Eigen::Index>(from.size()), 9);
    for (std::size_t i = 0; i < from.size(); ++i) {
        const Vector2d p = apply(a, from[i]), q = apply(b, to[i]);
        const auto r = static_cast<Eigen::Index>(2 * i);
        m.row(r) << -p.x(), -p.y(), -1, 0, 0, 0, q.x() * p.x(), q.x() * p.y(), q.x();
        m.row(r + 1) << 0, 0, 0, -p.x(), -p.y(), -1, q.y() * p.x(), q.y() * p.y(), q.y();
    }
    const Eigen::JacobiSVD<Eigen::MatrixXd> svd(m, Eigen::ComputeFullV);
    const Eigen::VectorXd h = svd.matrixV().col(8);
    Matrix3d n;
    n << h(0), h(1), h(2), h(3), h(4), h(5), h(6), h(7), h(8);
    return b.inverse() * n * a;
}

// Gauss-Newton on Σ |apply(h, from) − to|², eight free entries.
void refine(Matrix3d& h, const std::vector<Vector2d>& from, const std::vector<Vector2d>& to) {
    if (std::abs(h(2, 2)) < 1e-12)
        return;
    h /= h(2, 2);
    for (int round = 0; round < 10; ++round) {
        Eigen::Matrix<double, 8, 8> normal = Eigen::Matrix<double, 8, 8>::Zero();
        Eigen::Matrix<double, 8, 1> right = Eigen::Matrix<double, 8, 1>::Zero();
        for (std::size_t i = 0; i < from.size(); ++i) {
            const Eigen::Vector3d v = h * from[i].homogeneous();
            const Vector2d at = v.hnormalized(), rest = to[i] - at;
            Eigen::Matrix<double, 2, 8> j;
            const double x = from[i].x() / v.z(), y = from[i].y() / v.z(), one = 1.0 / v.z();
            j << x, y, one, 0, 0, 0, -at.x() * x, -at.x() * y, 0, 0, 0, x, y, one, -at.y() * x, -at.y() * y;
            normal += j.transpose() * j;
            right += j.transpose() * rest;
        }
        const Eigen::Matrix<double, 8, 1> d = normal.ldlt().solve(right);
        if (!d.allFinite())
            return;
        for (int k = 0; k < 8; ++k)
            h(k / 3, k % 3) += d(k);
        if (d.norm() < 1e-12 * h.norm())
            return;
    }
}

// World to picture is fitted, because the error sits in the picture; its inverse is what is used.
std::optional<Matrix3d> fit(const std::vector<Vector2d>& picture, const std::vector<Vector2d>& world) {
    Matrix3d back = linearHomography(world, picture);
    if (world.size() > 4)
        refine(back, world, picture);
    if (!back.allFinite() || std::abs(back.determinant()) < 1e-14 * std::pow(back.norm(), 3))
        return std::nullopt;
    Matrix3d h = back.inverse();
    return h / h.norm();
}

bool threeOnALine(const std::vector<Vector2d>& p) {
    // Four points are needed of which no three lie on a line; with more, it is enough that the whole is not a line.
    double best = 0.0, size = 0.0;
    for (const auto& a : p)
        for (const auto& b : p)
            size = std::max(size, (a - b).norm());
    const auto area = [](const Vector2d& a, const Vector2d& b, const Vector2d& c) {
        return std::abs((b - a).x() * (c - a).y() - (b - a).y() * (c - a).x());
    };
    for (std::size_t i = 0; i < p.size(); ++i)
        for (std::size_t j = i + 1; j < p.size(); ++j)
            for (std::size_t k = j + 1; k < p.size(); ++k)
                for (std::size_t l = k + 1; l < p.size(); ++l)
                    best = std::max(best, std::min({area(p[i], p[j], p[k]), area(p[i], p[j], p[l]),
                                                    area(p[i], p[k], p[l]), area(p[j], p[k], p[l])}));
    return best < 1e-4 * size * size;
}

// Sum of squared distances of points to their own best line.
double bend(const std::vector<Vector2d>& p) {
    Vector2d middle = Vector2d::Zero();
    for (const auto& v : p)
        middle += v / static_cast<double>(p.size());
    Eigen::Matrix2d c = Eigen::Matrix2d::Zero();
    for (const auto& v : p)
        c += (v - middle) * (v - middle).transpose();
    return Eigen::SelfAdjointEigenSolver<Eigen::Matrix2d>(c).eigenvalues()(0);
}

// r_true = r (1 + k (r/R)²) about the picture's middle.
struct Lens {
    Vector2d centre;
    double radius = 1.0; // R, px
    double k = 0.0, u = 0.0;
};

Vector2d throughLens(const Lens& lens, const Vector2d& picture) {
    if (lens.k == 0.0)
        return picture;
    const Vector2d d = picture - lens.centre;
    return lens.centre + d * (1.0 + lens.k * d.squaredNorm() / (lens.radius * lens.radius));
}

// The lens that makes the lines straightest that are straight in the world; as it is when none is drawn.
Result<Lens> lensOf(Lens lens, const CalibrationInput& in, double sigma) {
    std::vector<std::vector<Pixel>> lines;
    for (const auto& line : in.straight)
        if (line.size() >= 3)
            lines.push_back(line);
    if (lines.empty())
        return lens;
    const auto cost = [&](double k) {
        Lens trial = lens;
        trial.k = k;
        double sum = 0.0;
        for (const auto& line : lines) {
            std::vector<Vector2d> p;
            for (const auto& at : line)
                p.push_back(throughLens(trial, at.vector()));
            sum += bend(p);
        }
        return sum;
    };
    double best = 0.0;
    for (double k = -0.6; k <= 0.6; k += 0.02)
        if (cost(k) < cost(best))
            best = k;
    double step = 0.02;
    while (step > 1e-7) {
        if (cost(best + step) < cost(best))
            best += step;
        else if (cost(best - step) < cost(best))
            best -= step;
        else
            step /= 2.0;
    }
    const double d = 1e-3, curvature = (cost(best + d) + cost(best - d) - 2.0 * cost(best)) / (d * d);
    if (!(curvature > 0.0))
        return Error{"the straight edges do not tell the lens", {}, {}, "draw one near the border of the picture"};
    lens.k = best;
    lens.u = sigma * std::sqrt(2.0 / curvature);
    return lens;
}

// How far the picture's own vertical leans, and its standard error; radians.
struct Roll {
    double angle = 0.0, u = 0.0;
};

std::optional<double> angleOf(const Lens& lens, const DrawnLine& line, bool upright) {
    Vector2d d = throughLens(lens, line.b.vector()) - throughLens(lens, line.a.vector());
    if (d.norm() < 5.0)
        return std::nullopt;
    // Against "up" for a plumb line and "right" for the horizon, whichever way it was drawn.
    if (upright ? d.y() > 0.0 : d.x() < 0.0)
        d = -d;
    return upright ? std::atan2(d.x(), -d.y()) : std::atan2(d.y(), d.x());
}

// From the plumb line, the horizon or both, the longer one weighing more. Zeros when neither is drawn.
Result<Roll> rollOf(const Lens& lens, const CalibrationInput& in, double sigma) {
    Roll roll;
    double weight = 0.0;
    for (const auto& [line, upright] : {std::pair{in.plumb, true}, std::pair{in.horizon, false}}) {
        if (!line)
            continue;
        const auto a = angleOf(lens, *line, upright);
        if (!a)
            return Error{"the line drawn as the vertical or the horizon is too short", {}, {}, "draw it longer"};
        const double length = (line->b.vector() - line->a.vector()).norm();
        const double w = length * length / (2.0 * sigma * sigma);
        roll.angle += w * *a;
        weight += w;
    }
    return weight > 0.0 ? Roll{roll.angle / weight, 1.0 / std::sqrt(weight)} : Roll{};
}

// Turns the picture back about its middle, so that plumb lines stand upright, and sizes it.
Matrix3d turned(const Vector2d& centre, double angle, double scale) {
    const double s = std::sin(-angle), c = std::cos(-angle);
    Matrix3d h;
    h << c, -s, centre.x() - c * centre.x() + s * centre.y(), s, c, centre.y() - s * centre.x() - c * centre.y(), 0, 0,
        1;
    Matrix3d size = Matrix3d::Identity();
    size(0, 0) = size(1, 1) = scale;
    return size * h;
}

// Metres a pixel from known lengths; `relative` is its standard error as a share. Not known without a length.
struct Scale {
    bool known = false;
    double perPixel = 1.0, relative = 0.0;
    std::optional<double> reprojection; // px, where several lengths can disagree
    std::string warning;
};

Result<Scale> scaleOf(const Lens& lens, const CalibrationInput& in, double sigma) {
    Scale out;
    double weight = 0.0, scale = 0.0;
    std::vector<double> scales;
    for (const auto& l : in.lengths) {
        const double pixels = (throughLens(lens, l.line.b.vector()) - throughLens(lens, l.line.a.vector())).norm();
        if (!(l.metres > 0.0) || pixels < 5.0)
            return Error{"a known length is not drawn, or is zero", {}, {}, "draw it from end to end"};
        const double relative = sigma * std::numbers::sqrt2 / pixels;
        scales.push_back(l.metres / pixels);
        // Weighted by the relative error: the longest thing tells the scale best.
        scale += scales.back() / (relative * relative);
        weight += 1.0 / (relative * relative);
    }
    if (!(weight > 0.0))
        return out;
    out.known = true;
    out.perPixel = scale / weight;
    out.relative = 1.0 / std::sqrt(weight);
    if (scales.size() > 1) {
        const auto [low, high] = std::minmax_element(scales.begin(), scales.end());
        const double apart = 100.0 * (*high / *low - 1.0);
        // What the lengths disagree by is an error of the scale too.
        out.relative = std::max(out.relative, (*high / *low - 1.0) / 2.0);
        out.reprojection =
            apart / 100.0 * (in.lengths.front().line.b.vector() - in.lengths.front().line.a.vector()).norm();
        if (apart > 100.0 * 3.0 * out.relative || apart > 3.0)
            out.warning = fill(say("calibration", "the known lengths disagree by %1 %: the camera is not square to the "
                                                  "plane, or one of them is not in it"),
                               {figure(apart, 1)});
    }
    return out;
}

// The plane through known points: picture → upright coordinates, the same with each point displaced by its error along
// each axis, and by how many px the points miss it on average where there are more than four.
struct Plane {
    Matrix3d h;
    std::vector<Matrix3d> varied;
    std::optional<double> reprojection;
};

Result<Plane> planeOf(const Lens& lens, std::vector<KnownPoint> points, double sigma) {
    for (auto& p : points) {
        const Vector2d f = throughLens(lens, p.at.vector());
        p.at = {f.x(), f.y()};
    }
    const auto h = homographyOf(points);
    if (!h)
        return h.error();
    Matrix3d down = Matrix3d::Identity(); // the world is y up, upright coordinates are y down
    down(1, 1) = -1.0;
    Plane plane{down * *h, {}, {}};
    double sum = 0.0;
    for (const auto& p : points)
        sum += (apply(h->inverse(), Vector2d(p.x, p.y)) - p.at.vector()).squaredNorm();
    if (points.size() > 4)
        plane.reprojection = std::sqrt(sum / static_cast<double>(points.size()));
    for (std::size_t i = 0; i < points.size(); ++i)
        for (double axis : {0.0, 1.0}) {
            auto moved = points;
            (axis == 0.0 ? moved[i].at.x : moved[i].at.y) += sigma;
            if (const auto other = homographyOf(moved))
                plane.varied.push_back(down * *other);
        }
    return plane;
}

// How far out of square a map looks at the plane. Seen squarely, small circles stay circles; foreshortening makes them
// ellipses. Weak perspective: ratio = cos ψ.
Degrees obliqueness(const std::function<Vector2d(const Vector2d&)>& map, const Lens& lens) {
    const double d = lens.radius * 0.02;
    Eigen::Matrix2d j;
    j.col(0) = (map(lens.centre + Vector2d(d, 0)) - map(lens.centre - Vector2d(d, 0))) / (2 * d);
    j.col(1) = (map(lens.centre + Vector2d(0, d)) - map(lens.centre - Vector2d(0, d))) / (2 * d);
    const Eigen::Vector2d s = Eigen::JacobiSVD<Eigen::Matrix2d>(j).singularValues();
    return Degrees(std::acos(std::clamp(s(1) / s(0), 0.0, 1.0)) / kDegree);
}

} // namespace

Result<Matrix3d> homographyOf(const std::vector<KnownPoint>& points) {
    if (points.size() < 4) {
        const std::size_t more = 4 - points.size();
        return Error{"a plane needs at least four known points",
                     {},
                     {},
                     sayCount("error", "draw %n more", "draw %n more", more)};
    }
    std::vector<Vector2d> picture, world;
    for (const auto& p : points) {
        picture.push_back(p.at.vector());
        world.emplace_back(p.x, p.y);
    }
    if (threeOnALine(picture) || threeOnALine(world))
        return Error{"three of the known points lie on one line", {}, {}, "take the corners of a rectangle"};
    const auto h = fit(picture, world);
    if (!h)
        return Error{"no plane fits the known points", {}, {}, "check their numbers"};
    return *h;
}

PlaneError obliquePlane(Degrees psi) {
    const double c = std::cos(std::clamp(std::abs(psi.value), 0.0, 89.0) * kDegree);
    return {100.0 * (1.0 - c), std::atan((1.0 - c) / (2.0 * std::sqrt(c))) / kDegree};
}

PlaneError leavingThePlane(double depth, double distance, double travel) {
    const double sine = travel > 0.0 ? std::clamp(std::abs(depth) / travel, 0.0, 1.0) : 0.0;
    PlaneError e = obliquePlane(Degrees(std::asin(sine) / kDegree));
    e.perCent = std::max(e.perCent, distance > 0.0 ? 100.0 * std::abs(depth) / distance : 0.0);
    return e;
}

CameraMotion motionOf(const CameraPath& path, int width, int height) {
    CameraMotion m;
    const Vector2d middle(width / 2.0, height / 2.0);
    for (const auto& h : path) {
        m.shift = std::max(m.shift, (apply(h, middle) - middle).norm());
        const Vector2d right = apply(h, middle + Vector2d(100, 0)) - apply(h, middle);
        m.turn.value = std::max(m.turn.value, std::abs(std::atan2(right.y(), right.x())) / kDegree);
        m.scale = std::max(m.scale, std::abs(right.norm() / 100.0 - 1.0));
    }
    return m;
}

Vector2d Calibration::straighten(const Map& m, const Vector2d& picture) {
    return throughLens({m.centre, m.radius, m.k}, picture);
}

Vector2d Calibration::map(const Map& m, const Vector2d& picture) {
    return apply(m.h, straighten(m, picture));
}

Pixel Calibration::picture(const Vector2d& upright) const {
    const Vector2d flat = apply(m_map.h.inverse(), upright);
    Vector2d p = flat;
    for (int i = 0; i < 20 && m_map.k != 0.0; ++i) // the lens is inverted by going towards it
        p += flat - straighten(m_map, p);
    return {p.x(), p.y()};
}

Result<Calibration> Calibration::make(const CalibrationInput& in, int width, int height) {
    Calibration c;
    Map& m = c.m_map;
    m.centre = Vector2d(width / 2.0, height / 2.0);
    m.radius = std::max(1.0, m.centre.norm());
    const double sigma = in.sigma > 0.0 ? in.sigma : 1.5;
    const auto varied = [&](const Matrix3d& h) {
        c.m_variations.push_back(m);
        c.m_variations.back().h = h;
    };

    const auto lens = lensOf({m.centre, m.radius}, in, sigma);
    if (!lens)
        return lens.error();
    m.k = lens->k;
    c.m_radialError = lens->u;
    if (std::abs(m.k) > 0.01 && std::abs(m.k) > 2.0 * lens->u)
        c.m_warnings.push_back(
            fill(say("calibration", "the lens bends the picture by %1 % at its corners; this is taken out"),
                 {figure(100.0 * std::abs(m.k), 1)}));
    const auto roll = rollOf(*lens, in, sigma);
    if (!roll)
        return roll.error();
    if (in.plumb || in.horizon) {
        c.m_tilt = Degrees(roll->angle / kDegree);
        c.m_tiltError = Degrees(roll->u / kDegree);
    }

    if (!in.points.empty()) {
        const auto plane = planeOf(*lens, in.points, sigma);
        if (!plane)
            return plane.error();
        m.h = plane->h;
        c.m_metric = true;
        c.m_reprojection = plane->reprojection;
        for (const auto& h : plane->varied)
            varied(h);
        c.m_oblique = obliqueness([&](const Vector2d& p) { return map(m, p); }, *lens);
        if (c.m_oblique->value > 5.0) {
            const PlaneError e = obliquePlane(*c.m_oblique);
            c.m_warnings.push_back(
                fill(say("calibration", "the camera looks at the plane %1° out of square; without these "
                                        "points lengths would be wrong by up to %2 % and leans by up to "
                                        "%3°"),
                     {figure(c.m_oblique->value, 0), figure(e.perCent, 0), figure(e.degrees, 1)}));
        }
        if (c.m_reprojection && *c.m_reprojection > 3.0 * sigma)
            c.m_warnings.push_back(
                fill(say("calibration", "the known points do not fit one plane: %1 px on average; is one "
                                        "of them mistaken, or not in the plane?"),
                     {figure(*c.m_reprojection, 1)}));
        if (c.m_tilt) {
            // The points say where up is; the drawn line is a check.
            const DrawnLine line = in.plumb ? *in.plumb : *in.horizon;
            const Vector2d up = c.upright(line.b.vector()) - c.upright(line.a.vector());
            double off = in.plumb ? std::atan2(up.x(), -up.y()) : std::atan2(up.y(), up.x());
            off = std::remainder(off, std::numbers::pi) / kDegree;
            if (std::abs(off) > 1.0 + 2.0 * c.m_tiltError.value)
                c.m_warnings.push_back(fill(say("calibration", "the drawn vertical and the known points differ by %1°"),
                                            {figure(std::abs(off), 1)}));
        }
    } else {
        const auto scale = scaleOf(*lens, in, sigma);
        if (!scale)
            return scale.error();
        c.m_metric = scale->known;
        c.m_reprojection = scale->reprojection;
        if (!scale->warning.empty())
            c.m_warnings.push_back(scale->warning);
        m.h = turned(m.centre, roll->angle, scale->perPixel);
        if (roll->u > 0.0)
            varied(turned(m.centre, roll->angle + roll->u, scale->perPixel));
        if (scale->relative > 0.0)
            varied(turned(m.centre, roll->angle, scale->perPixel * (1.0 + scale->relative)));
        if (c.m_tilt && std::abs(c.m_tilt->value) > 1.0)
            c.m_warnings.push_back(fill(
                say("calibration",
                    "the camera is tilted by %1°; leans are corrected by it, positions across the picture by %2 %"),
                {figure(std::abs(c.m_tilt->value), 1), figure(100.0 * std::abs(std::sin(roll->angle)), 1)}));
    }
    if (c.m_radialError > 0.0) {
        c.m_variations.push_back(m);
        c.m_variations.back().k += c.m_radialError;
    }
    if (in.depth != 0.0 && in.cameraDistance && *in.cameraDistance > 0.0) {
        // The way across the picture at this scale, where it is known.
        double travel = std::abs(in.depth);
        if (c.m_metric)
            travel =
                std::max(travel, (c.upright({double(width), height / 2.0}) - c.upright({0.0, height / 2.0})).norm());
        const PlaneError e = leavingThePlane(in.depth, *in.cameraDistance, travel);
        c.m_warnings.push_back(
            fill(say("calibration",
                     "the movement leaves the plane by %1 m: lengths are wrong by up to %2 %, leans by up to %3°"),
                 {figure(std::abs(in.depth), 2), figure(e.perCent, 1), figure(e.degrees, 1)}));
    }
    return c;
}

Calibration::Length Calibration::length(Pixel a, Pixel b, double sigma) const {
    const auto distance = [](const Vector2d& x, const Vector2d& y) { return (x - y).norm(); };
    Length l{distance(upright(a.vector()), upright(b.vector())), 0.0};
    double variance = 0.0;
    for (int end : {0, 1})
        for (int axis : {0, 1}) {
            Vector2d p = a.vector(), q = b.vector();
            (end == 0 ? p : q)[axis] += 0.01;
            const double slope = (distance(upright(p), upright(q)) - l.value) / 0.01;
            variance += slope * slope * sigma * sigma;
        }
    for (std::size_t k = 0; k < variations(); ++k) {
        const double d = distance(uprightIf(k, a.vector()), uprightIf(k, b.vector())) - l.value;
        variance += d * d;
    }
    l.u = std::sqrt(variance);
    return l;
}

} // namespace riflesso
