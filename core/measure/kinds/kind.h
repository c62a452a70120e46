#pragma once
/// \file
/// What a kind of measure is. Each kind is one KindSpec, written in a file of this folder beside what computes it;
/// everything that asks what a kind needs, means or does asks specOf(). A new kind takes its name in definition.h, its
/// spec here, its row in table.cpp, and a drawing, words and an example in casebook/.

#include "core/measure/evaluate.h"

#include <array>
#include <span>
#include <string>

namespace riflesso {

/// How many points a measure takes.
struct PointCount {
    std::size_t least = 0, most = 0;
};

/// What a value is: its unit follows.
enum class QuantityKind { number, angle, angularSpeed, hours, time, perMinute, length, speed, percent, score, asBase };

/// A definition's points on one frame, upright and, with a calibration, on its plane (px or m); y DOWN.
struct Places {
    static constexpr std::size_t kMost = 20;
    std::array<Eigen::Vector2d, kMost> at{};
    std::size_t n = 0;
    double unit = 1.0;                             ///< length of the `per` segment; 1 without one
    Eigen::Vector2d direction{0, 0}, second{0, 0}; ///< of the definition, and the one square to it
    const Eigen::Vector2d& operator()(std::size_t i) const { return at[i]; }
};

/// A reading in the making: what it was read from, for kinds that say in a way of their own how sure it is.
struct FrameInput {
    const MeasureDefinition& definition;
    const Motion& motion;
    FrameIndex frame;
    const ViewSetup& setup;
    const std::vector<LandmarkName>& names;              ///< body names that are read
    const std::vector<std::vector<std::size_t>>& points; ///< by point of the definition: which of the names, 1 or 2
    const std::vector<std::vector<std::size_t>>& per;
    const std::vector<Eigen::Vector2d>& base; ///< by name: its place in the picture, px
    const std::vector<double>& sigma;         ///< by name: standard error of x and of y, px
    std::vector<Eigen::Vector2d> slopes;      ///< by name: d value / d place, unit of the value a px
    double raw = 0.0;                         ///< the value before anything was taken off
};

/// A rep in the making.
struct RepInput {
    const MeasureDefinition& definition;
    const Motion& motion;
    const Positions& positions;
    const ViewSetup& setup;
    const RepFacts& facts;
};

struct KindSpec {
    PointCount points{}; ///< unless pointsOf is given
    PointCount (*pointsOf)(const MeasureDefinition&) = nullptr;
    /// Words of its own for too few points; null = how many it needs.
    std::string (*tooFewPoints)(const MeasureDefinition&) = nullptr;
    std::span<const Aspect> aspects{}; ///< the usual one first
    std::size_t others = 0;            ///< how many measures stand in `of`
    QuantityKind quantity = QuantityKind::number;
    QuantityKind (*quantityOf)(const MeasureDefinition&) = nullptr; ///< where it depends on the aspect

    bool ofSpan = false;      ///< has no value on a single frame
    bool derived = false;     ///< read from other measures
    bool acrossReps = false;  ///< one value over several reps
    bool noted = false;       ///< not measured on the film
    bool fullWidth = false;   ///< needs `per` and `fullWidth`
    bool lengthwise = false;  ///< may be in metres
    bool directed = false;    ///< needs a direction
    bool byForward = false;   ///< goes by the athlete's forward when no direction is given
    bool signedAngle = false; ///< may be read with its sign
    bool upright = false;     ///< knows what is upright: cannot be seen from above or below

    /// What else is wrong with a definition, in words; empty when nothing is. Null = nothing can be.
    std::string (*problem)(const MeasureDefinition&) = nullptr;

    /// The value after which it begins anew, as 360 of a lean; null or 0 = it does not go round.
    double (*round)(const MeasureDefinition&) = nullptr;
    /// The value on a frame by the places of its points. Null where it is not read so.
    double (*onFrame)(const MeasureDefinition&, const Places&) = nullptr;
    /// What noise does to the value and its variance in a way of its own, before the calibration's errors come in.
    std::optional<Error> (*byMarks)(const FrameInput&, Reading&, double& variance) = nullptr;
    /// Turns a reading with its errors into what the kind says.
    std::optional<Error> (*converted)(const FrameInput&, Reading&) = nullptr;
    /// Reads a frame wholly in its own way.
    Result<Reading> (*readAt)(const MeasureDefinition&, const Motion&, FrameIndex, const ViewSetup&) = nullptr;
    /// Smoothing lowers the peaks of what moves fast: the peak as it was, from what was read and what was lost there.
    double (*peak)(const MeasureDefinition&, double value, double lost, bool largest) = nullptr;

    /// The value over a span of frames; null = a reduction of the values on its frames.
    MeasureValue (*over)(const RepInput&, const PlacedPosition& from, const PlacedPosition& until) = nullptr;
    /// The value of a whole rep, with what it needs of its key positions.
    MeasureValue (*ofRep)(const RepInput&) = nullptr;
};

/// Why what stands upright cannot be read from above or below, in words; empty for other views.
std::string problemFromAfar(const MeasureDefinition& definition);

/// Never fails.
const KindSpec& specOf(MeasureKind kind);
/// What a value of this definition is, its reduction counted.
QuantityKind quantityKindOf(const MeasureDefinition& definition);

// One a kind, each in its file.
extern const KindSpec kAngle, kLean, kBetween, kClock, kRoll;       // angles.cpp
extern const KindSpec kRatio, kOffset, kOrder, kStack, kGap, kAmid; // lengths.cpp
extern const KindSpec kTurn, kFacing;                               // widths.cpp
extern const KindSpec kTwist;                                       // twist.cpp
extern const KindSpec kSpeed, kPath, kStillness, kDwell;            // movement.cpp
extern const KindSpec kInterval;                                    // times.cpp
extern const KindSpec kCadence, kOverlap, kContacts;                // cyclic.cpp
extern const KindSpec kChain;                                       // chain.cpp
extern const KindSpec kSmoothness;                                  // smoothness.cpp
extern const KindSpec kSwing;                                       // swing.cpp
extern const KindSpec kRecovery, kSymmetry, kSpread, kDrift;        // derived.cpp
extern const KindSpec kSeen, kEffect, kChoice;                      // derived.cpp

} // namespace riflesso
