#pragma once
/// \file
/// What a measure is, as data. Blueprints hold these; evaluate.h computes them.

#include "core/motion/landmark.h"

#include <array>
#include <memory>
#include <optional>
#include <span>
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
    dwell,
    cadence,
    overlap,
    chain,
    smoothness,
    contacts,
    recovery,
    symmetry,
    spread,
    drift,
    gap,
    facing,
    seen,
    effect,
    choice,
    swing,
    twist,
    amid
};
inline constexpr std::array<std::string_view, 32> kMeasureKindNames = {
    "angle",   "lean",   "ratio",      "offset",   "interval", "order",     "between", "clock",
    "stack",   "turn",   "roll",       "speed",    "path",     "stillness", "dwell",   "cadence",
    "overlap", "chain",  "smoothness", "contacts", "recovery", "symmetry",  "spread",  "drift",
    "gap",     "facing", "seen",       "effect",   "choice",   "swing",     "twist",   "amid"};

/// What becomes of a measure over the frames from `at` to `until`, or on the frames before `at` (justBefore): one
/// value.
enum class Reduction { at, min, max, range, mean, timeOfMin, timeOfMax, shareOfMax, justBefore };
inline constexpr std::array<std::string_view, 9> kReductionNames = {
    "at", "min", "max", "range", "mean", "time_of_min", "time_of_max", "share_of_max", "just_before"};

/// What of it is read, for kinds that can be read in more than one way: see aspectsOf().
enum class Aspect {
    length,       ///< path, swing: its length; cadence: distance a cycle
    straightness, ///< path: the straight way over its length, 1 = straight
    detours,      ///< path: how often it turns back along its main direction by more than its marks' errors
    rate,         ///< cadence: cycles a minute; twist: degrees a second
    speed,        ///< cadence: rate × length
    together,     ///< overlap: share of the cycle with both on less the share with neither
    phase,        ///< overlap: from the first's beginning to the second's, as a share of the cycle, 0..1
    duty,         ///< overlap: share of the cycle for which the first is on
    nearest,      ///< overlap: smallest distance of two points while both are in front of a third
    sequence,     ///< chain: Kendall's τ of the order of the peaks against the links' order, 1 = as it should be
    lag,          ///< chain: mean time from one link's peak to the next one's
    shortestLag,  ///< chain: the shortest of them, negative = in the wrong order
    braking,      ///< chain: least share of its speed that a link has lost when the next one peaks
    inversions,   ///< chain: how many links peak before the one that should lead them
    count,        ///< contacts: landings
    first,        ///< contacts: time from the first point's first landing to the second's
    feet,         ///< contacts: how many points stand on the ground at `at`
    time,         ///< recovery: time until back in the band to stay; interval: the time
    steps,        ///< recovery: landings until then
    share, ///< symmetry: (other − reference) / reference, per cent; swing: of a full turn, signed; amid: of the way
    difference, ///< symmetry: other − reference
    ratio,      ///< interval: over the one from the first of `events` to the second; needs no capture rate
    worked,     ///< effect: did it work, 1 or 0
    score,      ///< effect: the score or distance that was noted
    turned,     ///< twist: the angle
    off         ///< amid: distance from the line
};
inline constexpr std::array<std::string_view, 26> kAspectNames = {
    "length",   "straightness", "detours",      "rate",    "speed",      "together", "phase",  "duty", "nearest",
    "sequence", "lag",          "shortest_lag", "braking", "inversions", "count",    "first",  "feet", "time",
    "steps",    "share",        "difference",   "ratio",   "worked",     "score",    "turned", "off"};

/// From where the camera looks at the athlete. What each can show: see inPicture().
enum class View { side, front, rear, above, below };
inline constexpr std::array<std::string_view, 5> kViewNames = {"side", "front", "rear", "above", "below"};

/// Where the athlete's "forward" points in the picture: in a front view towards the camera, in a rear view away.
enum class Facing { left, right, camera, away };
inline constexpr std::array<std::string_view, 4> kFacingNames = {"left", "right", "camera", "away"};

/// True when a film from \p camera can give a measure that is defined for \p measure: from behind one sees what one
/// sees from the front, with the sides as they are.
bool serves(View camera, View measure);
/// True when forward lies in the picture.
constexpr bool facesAside(Facing facing) {
    return facing == Facing::left || facing == Facing::right;
}
/// "from the side", "from behind".
std::string fromWhere(View view);
/// Where an athlete faces in a view; from the side, above and below \p asked, if it is left or right.
Facing facingIn(View view, Facing asked);

/// Directions of the athlete's world. `across` is positive towards the athlete's lead side. Which view shows which:
/// inPicture().
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

/// The same way back: "lead_hip+rear_hip".
std::string textOf(const PointSpec& point);

using PositionId = std::string;

/// One segment or joint of a chain: the speed of one point, the angular speed of a segment (two points) or of a joint
/// (three).
struct ChainLink {
    std::string name; ///< "hips"
    std::vector<PointSpec> points;
    friend bool operator==(const ChainLink&, const ChainLink&) = default;
};

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
/// | path      | of (, from)      | the way from `at` to `until`: see Aspect                   | per, 1 |
/// | stillness | of (, from)      | distance from its mean place, `at` to `until`: largest or RMS  | per  |
/// | dwell     | of (, from)      | time from `at` to `until` for which its speed is below `level` | s    |
/// | interval  | none             | real time from `at` to `until`, + = later; or its ratio to the | s, 1 |
/// |           |                  | time between two `events`                                      |      |
/// | cadence   | of (, from)      | `at` to `until` is `cycles` cycles: rate, distance a cycle,    | 1/min, per, |
/// |           |                  | speed (rate needs no point)                                    | per/s |
/// | overlap   | none             | two things that are on and off in turn, `events` = on, off,    | 1    |
/// |           |                  | on, off, in the cycle from `at` to `until`                     |      |
/// |           | a, b (, front)   | aspect nearest: their smallest distance while both are ahead   | per  |
/// | chain     | none; `links`    | order, lags and braking of the links' speed peaks              | 1, s |
/// | smoothness| 1 to 3           | spectral arc length of the (angular) speed, 0 = smoothest      | 1    |
/// | contacts  | one a foot       | landings; a foot stands when lower than `height` above its     | 1, s |
/// |           |                  | lowest place and slower than `level`                           |      |
/// | gap       | of, other        | distance of two people, in all or along `direction`            | per  |
/// | facing    | a, b, of, other  | turn of the line a–b away from facing the other: asin(width /  | deg  |
/// |           | (, c, d)         | full width), 0 = faces, over 90 when c is not ahead of d       |      |
/// | swing     | end, pivot,      | how far the end travels round the pivot, seen from the body's  | per, 1 |
/// |           | low, high        | axis low→high, `at` to `until`: way, or share of a full turn   |      |
/// | twist     | low, high, edge  | turn about the long axis low→high: asin(how far the edge lies off  | deg, |
/// |           | (, other edge)   | the axis / full width), −90..90, 0 = edge in line with the axis,   | deg/s |
/// |           |                  | + = forward of an upright axis (in a front view: on the lead side); |      |
/// |           |                  | with two edges their distance; or its rate                     |      |
/// | amid      | of, first,       | where it lies between two others: share of the way from first  | 1, per |
/// |           | second           | to second (0..1 between them), or how far off their line, + =  |      |
/// |           |                  | on the side of `direction`                                     |      |
/// | recovery  | `of` (, feet)    | time, or landings, from `at` until `of` is back in lo..hi and  | s, 1 |
/// |           |                  | stays there up to `until`                                      |      |
/// | symmetry  | `of` two         | the second against the first, which is the reference           | %, of |
/// | spread    | `of` one         | SD from rep to rep without what marking adds: over reps        | of   |
/// | drift     | `of` one         | change from the first rep to the last by regression: over reps | of   |
/// | seen      | `checkpoint`     | judged by eye: yes 1, partly 0.5, no 0                         | 1    |
/// | effect    | none             | did it work: 1 or 0; or the score or distance noted            | 1, `per_name` |
/// | choice    | none             | was it a right technique for the situation: 1 or 0             | 1    |
///
/// A `reduction` other than `at` takes one value out of all frames of the phase from `at` to `until`: the smallest,
/// largest, their difference, the mean over time, the real time (s) after `at` of the smallest or largest, or the value
/// at `until` as a share of the largest (hit against push). `justBefore` reads the value at `at` from the frames before
/// it only, because a contact changes what comes after it and smoothing mixes the two.
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
    bool metres = false;        ///< lengths and speeds: in metres, which needs a calibrated take; then no `per`
    View view = View::side;
    PositionId at;
    PositionId until; ///< of everything that is read over a span: needsUntil()
    Reduction reduction = Reduction::at;
    bool ownLine = false; ///< stack: against the line through its first and last point
    bool rms = false;     ///< stack, stillness: root mean square instead of the largest
    Aspect aspect = Aspect::length;
    double level = 0.0;             ///< dwell, contacts, recovery by steps: in the unit of speed
    double height = 0.0;            ///< contacts, recovery by steps: in the unit of length
    double fullWidth = 0.0;         ///< turn, facing, twist: the full width in lengths of the `per` segment
    double fullWidthSigma = 0.0;    ///< turn, facing, twist: its standard error
    double cycles = 1.0;            ///< cadence: how many lie between `at` and `until`
    double lo = 0.0, hi = 0.0;      ///< recovery: the band in which it is back
    std::vector<PositionId> events; ///< overlap: first on, first off, second on, second off; ratio of times: two
    std::vector<ChainLink> links;   ///< chain, in the order in which they should peak
    std::vector<std::string> of;    ///< recovery, symmetry, spread, drift: ids of other measures
    /// The measures that `of` names, in its order; set by linkMeasures() (core/technique).
    std::vector<std::shared_ptr<const MeasureDefinition>> base;
    std::string checkpoint; ///< seen: id
};

/// Ways to read a kind, the usual one first; none for kinds that are read in one way only.
std::span<const Aspect> aspectsOf(MeasureKind kind);

/// True for kinds that need `per` and `fullWidth`: turn, facing, twist.
bool hasFullWidth(MeasureKind kind);
/// True for kinds that have no value on a single frame.
bool isOfSpan(MeasureKind kind);
/// True for what is read from other measures: recovery, symmetry, spread, drift.
bool isDerived(MeasureKind kind);
/// True for what is one value over several reps: spread, drift.
bool isAcrossReps(MeasureKind kind);
/// True for what was noted about a rep, not measured on its film: seen, effect, choice.
bool isNoted(MeasureKind kind);
/// Every point that is read, of whatever field.
std::vector<PointSpec> pointsOf(const MeasureDefinition& definition);
/// Every key position that is read: `at`, `until`, events.
std::vector<PositionId> positionsOf(const MeasureDefinition& definition);
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

/// Why a measure is not read from another side than its own, and why not along a direction that this side hides: words
/// of a refusal, the same wherever it is met.
std::string refusedByView(const MeasureDefinition& d);
std::string refusedByDirection(Direction direction);

} // namespace riflesso
