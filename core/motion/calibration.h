#pragma once
/// \file
/// From the picture to the plane of the movement: true vertical, scale, perspective, lens; each with its error.

#include "core/motion/result.h"
#include "core/motion/units.h"

#include <Eigen/Core>

#include <array>
#include <functional>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// A line drawn on a frame.
struct DrawnLine {
    Pixel a, b;
    friend bool operator==(const DrawnLine&, const DrawnLine&) = default;
};
/// A thing of known length in the plane of the movement.
struct KnownLength {
    DrawnLine line;
    double metres = 0.0;
    friend bool operator==(const KnownLength&, const KnownLength&) = default;
};
/// A point of known place in the plane: m, x to the right, y UP.
struct KnownPoint {
    Pixel at;
    double x = 0.0, y = 0.0;
    friend bool operator==(const KnownPoint&, const KnownPoint&) = default;
};

/// All that was drawn on a take's frame. Plain data; empty = nothing known.
struct CalibrationInput {
    std::optional<DrawnLine> plumb;   ///< vertical in the world
    std::optional<DrawnLine> horizon; ///< level in the world
    std::vector<KnownLength> lengths;
    std::vector<KnownPoint> points; ///< none, or four and more
    std::vector<std::vector<Pixel>>
        straight;                         ///< points along edges that are straight in the world, three and more each
    double sigma = 1.5;                   ///< standard error of x and of y of each drawn point, px
    std::optional<double> cameraDistance; ///< m, camera to the plane of the movement
    double depth = 0.0;                   ///< m, by which the movement leaves the plane on its way
    [[nodiscard]] bool empty() const {
        return !plumb && !horizon && lengths.empty() && points.empty() && straight.empty();
    }
    friend bool operator==(const CalibrationInput&, const CalibrationInput&) = default;
};

/// Maps of a moving camera: each frame's picture to the reference frame's. Empty = the camera stands still.
using CameraPath = std::vector<Eigen::Matrix3d>;

/// Solves for the homography that takes each `at` to its place (at least four, no three on a line).
/// Normalised direct linear transformation, then Gauss-Newton on the reprojection error in the picture.
/// (Hartley & Zisserman, Multiple View Geometry, 2nd ed. 2004, alg. 4.2 and 4.5.)
Result<Eigen::Matrix3d> homographyOf(const std::vector<KnownPoint>& points);

/// A size of error that geometry brings in, for a warning.
struct PlaneError {
    double perCent = 0.0; ///< of lengths
    double degrees = 0.0; ///< of a lean, at worst
};

/// Lengths nearer by \p depth to a camera at \p distance look larger by depth/distance; a movement that leaves the
/// plane by \p depth over a way of \p travel is turned by ψ = asin(depth/travel) and leans are misread by up to
/// atan((1 − cos ψ)/(2 √cos ψ)) (the maximum over θ of |θ − atan(tan θ cos ψ)|). All in m.
PlaneError leavingThePlane(double depth, double distance, double travel);

/// A plane of ψ degrees out of square with the camera.
PlaneError obliquePlane(Degrees psi);

/// How far a camera path carries the picture: greatest shift, px, and greatest turn about the line of sight.
struct CameraMotion {
    double shift = 0.0;
    Degrees turn;
    double scale = 0.0; ///< greatest change of size, share
};
CameraMotion motionOf(const CameraPath& path, int width, int height);

/// Picture to plane. Immutable; a plain value.
class Calibration {
public:
    /// Errors in words: too few points, points on one line, a length of nothing. \p width, \p height of the picture,
    /// px.
    static Result<Calibration> make(const CalibrationInput& input, int width, int height);

    /// Upright coordinates: x right, y DOWN as in the picture, plumb lines upright; m when metric(), else px.
    [[nodiscard]] Eigen::Vector2d upright(const Eigen::Vector2d& picture) const { return map(m_map, picture); }
    /// The same with the k-th uncertain quantity displaced by one standard error. k < variations().
    [[nodiscard]] Eigen::Vector2d uprightIf(std::size_t k, const Eigen::Vector2d& picture) const {
        return map(m_variations[k], picture);
    }
    /// Independent uncertain quantities of the calibration itself.
    [[nodiscard]] std::size_t variations() const { return m_variations.size(); }
    /// Back to the picture.
    [[nodiscard]] Pixel picture(const Eigen::Vector2d& upright) const;

    [[nodiscard]] bool metric() const { return m_metric; }
    /// By how much the picture's own vertical leans against the true one; with standard error. Empty when not drawn.
    [[nodiscard]] std::optional<Degrees> tilt() const { return m_tilt; }
    [[nodiscard]] Degrees tiltError() const { return m_tiltError; }
    /// Root mean square of the drawn points against the fitted plane, px. Empty when nothing is over-determined.
    [[nodiscard]] std::optional<double> reprojection() const { return m_reprojection; }
    /// How far out of square the camera looks at the plane (from the homography).
    [[nodiscard]] std::optional<Degrees> oblique() const { return m_oblique; }
    /// The radial coefficient: r_true = r (1 + k (r/R)²), R half the picture's diagonal.
    [[nodiscard]] double radial() const { return m_map.k; }
    [[nodiscard]] double radialError() const { return m_radialError; }

    /// Distance between two marks, m or px, and its standard error from marks of \p sigma px and the calibration.
    struct Length {
        double value = 0.0;
        double u = 0.0;
    };
    [[nodiscard]] Length length(Pixel a, Pixel b, double sigma) const;

    /// What is to be warned of, each with its size. In words.
    [[nodiscard]] std::vector<std::string> warnings() const { return m_warnings; }

private:
    struct Map {
        Eigen::Matrix3d h = Eigen::Matrix3d::Identity(); // after the lens, to upright coordinates
        double k = 0.0;
        Eigen::Vector2d centre = Eigen::Vector2d::Zero();
        double radius = 1.0;
    };
    static Eigen::Vector2d map(const Map& m, const Eigen::Vector2d& picture);
    static Eigen::Vector2d straighten(const Map& m, const Eigen::Vector2d& picture);

    Map m_map;
    std::vector<Map> m_variations;
    bool m_metric = false;
    std::optional<Degrees> m_tilt;
    Degrees m_tiltError;
    std::optional<double> m_reprojection;
    std::optional<Degrees> m_oblique;
    double m_radialError = 0.0;
    std::vector<std::string> m_warnings;
};

} // namespace riflesso
