#pragma once
/// \file
/// What a measure is, as data. Blueprints hold these; evaluate.h computes them.

#include "core/motion/landmark.h"

#include <array>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace riflesso {

enum class MeasureKind {
    angle,
    lean,
    ratio,
    offset,
    interval,
    order,
    between,
    clock,
    stack,
    turn,
    roll,
    speed,
    path,
    stillness,
    dwell
};
inline constexpr std::array<std::string_view, 15> kMeasureKindNames = {
    "angle", "lean", "ratio", "offset", "interval", "order",     "between", "clock",
    "stack", "turn", "roll",  "speed",  "path",     "stillness", "dwell"};

/// What becomes of a measure over the frames from `at` to `until`: one value.
enum class Reduction { at, min, max, range, mean, timeOfMin, timeOfMax, shareOfMax };
inline constexpr std::array<std::string_view, 8> kReductionNames = {
    "at", "min", "max", "range", "mean", "time_of_min", "time_of_max", "share_of_max"};

/// What of a path is read: its length; the straight way over its length (1 = straight); how often it turns back along
/// its main direction by more than its marks' errors.
enum class PathAspect { length, straightness, detours };
inline constexpr std::array<std::string_view, 3> kPathAspectNames = {"length", "straightness", "detours"};

/// From where the camera looks at the athlete.
enum class View { side, front };
inline constexpr std::array<std::string_view, 2> kViewNames = {"side", "front"};

/// Where the athlete's "forward" points in the picture. In a front view it is towards the camera.
enum class Facing { left, right, camera };
inline constexpr std::array<std::string_view, 3> kFacingNames = {"left", "right", "camera"};

/// Directions of the athlete's world as they appear in the picture. `forward` needs a side view, `across` (positive
/// towards the athlete's lead side) a front view; `up` needs either.
enum class Direction { forward, up, across };
inline constexpr std::array<std::string_view, 3> kDirectionNames = {"forward", "up", "across"};

/// flexion = 180° − included; turned: from the first leg (segment) to the second, −180..180°, + = from forward (in a
/// front view: from the lead side) towards up.
enum class AngleReading { included, flexion, turned };
inline constexpr std::array<std::string_view, 3> kAngleReadingNames = {"included", "flexion", "signed"};

/// Index of \p text in a table of names.
template <typename Enum, std::size_t N>
std::optional<Enum> enumFromName(const std::array<std::string_view, N>& names, std::string_view text) {
    for (std::size_t i = 0; i < N; ++i)
        if (names[i] == text)
            return static_cast<Enum>(i);
    return std::nullopt;
}
template <typename Enum, std::size_t N> std::string enumName(const std::array<std::string_view, N>& names, Enum value) {
    return std::string(names[static_cast<std::size_t>(value)]);
}

/// A point of a measure: one landmark, or the middle of two. Names are roles (`lead_hip`) or body names (`left_hip`).
struct PointSpec {
    std::vector<std::string> landmarks; ///< one or two
    friend bool operator==(const PointSpec&, const PointSpec&) = default;
};

/// Reads "lead_hip" or "lead_hip+rear_hip". Empty when a name is malformed.
std::optional<PointSpec> pointFromText(std::string_view text);

using PositionId = std::string;

/// A defined quantity.
///
/// | kind      | points           | value                                                          | unit |
/// |-----------|------------------|----------------------------------------------------------------|------|
/// | angle     | a, vertex, c     | between vertex→a and vertex→c, 0..180 (included or flexion)    | deg  |
/// | lean      | low, high        | low→high against vertical, + = towards `direction`             | deg  |
/// | between   | a, b, c, d       | between a→b and c→d (included, flexion or signed)              | deg  |
/// | clock     | from, to         | from→to on a dial, 0 = up, 3 = forward or lead side, −6..6     | h    |
/// | ratio     | a, b, c, d       | distance(a, b) / distance(c, d)                                | 1    |
/// | offset    | of, from         | (of − from) along `direction`                                  | per  |
/// | order     | leader, follower | like offset: + when the leader leads along `direction`         | per  |
/// | stack     | support, others  | distance of the others from the vertical through the support,  | per  |
/// |           |                  | or (`ownLine`) of the inner ones from the line first→last      |      |
/// | turn      | a, b (, c, d)    | turn of a–b from face-on: acos(width / full width), 0..90;     | deg  |
/// |           |                  | signed, + when c is ahead of d along `direction`               |      |
/// | roll      | low, high        | tilt against the horizontal, + = second point higher, −90..90  | deg  |
/// | speed     | of (, from)      | speed (against the other point), all or along `direction`      | per/s |
/// | path      | of (, from)      | the way from `at` to `until`: see PathAspect                   | per, 1 |
/// | stillness | of (, from)      | distance from its mean place, `at` to `until`: largest or RMS  | per  |
/// | dwell     | of (, from)      | time from `at` to `until` for which its speed is below `level` | s    |
/// | interval  | none             | real time from `at` to `until`, + = later                      | s    |
///
/// A `reduction` other than `at` takes one value out of all frames of the phase from `at` to `until`: the smallest,
/// largest, their difference, the mean over time, the real time (s) after `at` of the smallest or largest, or the value
/// at `until` as a share of the largest (hit against push).
struct MeasureDefinition {
    std::string id;
    std::string name;     ///< "rear knee at the landing"
    std::string sentence; ///< for the athlete
    MeasureKind kind = MeasureKind::angle;
    std::vector<PointSpec> points;
    AngleReading reading = AngleReading::included;
    std::optional<Direction> direction;
    std::vector<PointSpec> per; ///< none (pixels) or the two ends of the segment that is the unit of length
    std::string perName;        ///< "lower legs", the unit on screens
    bool metres = false;        ///< offset, order: in metres, which needs a calibrated take; then no `per`
    View view = View::side;
    PositionId at;
    PositionId until; ///< interval, path, stillness, dwell, and every reduction but `at`
    Reduction reduction = Reduction::at;
    bool ownLine = false; ///< stack: against the line through its first and last point
    bool rms = false;     ///< stack, stillness: root mean square instead of the largest
    PathAspect aspect = PathAspect::length;
    double level = 0.0;          ///< dwell: in the unit of its speed
    double fullWidth = 0.0;      ///< turn: the full width in lengths of the `per` segment
    double fullWidthSigma = 0.0; ///< turn: its standard error
};

/// True for kinds that are one value over a span of frames: they have no value on a single frame.
bool isOfSpan(MeasureKind kind);
/// True for what is read over a span of frames: its `until` must be placed too.
bool needsUntil(const MeasureDefinition& definition);
/// True when the value is a time, in s.
bool isTime(const MeasureDefinition& definition);
/// True when the value is an angle, in degrees.
bool isAngle(const MeasureDefinition& definition);

/// What is wrong with the shape of a definition, in words; empty when it is sound.
std::string problemOf(const MeasureDefinition& definition);

/// "°", "s", "lower legs", "px" or "".
std::string unitOf(const MeasureDefinition& definition);

} // namespace riflesso
