#pragma once
/// \file
/// Measures from motion, each with its standard uncertainty.
///
/// Uncertainty is first order (GUM, JCGM 100:2008, 5.1.2): u² = Σ (∂f/∂xᵢ)² σᵢ² over the coordinates of the marks, with
/// independent marks, plus (d value/dt)² × u(t)² of the key position's instant. Checked by Monte Carlo (JCGM 101:2008).

#include "core/measure/definition.h"
#include "core/measure/geometry.h"
#include "core/motion/motion.h"

#include <map>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace riflesso {

/// A key position placed on a frame. `sigma`: standard error of its instant, s of real time; unset = period/√12.
struct PlacedPosition {
    FrameIndex frame;
    std::optional<double> sigma;
    /// s of real time by which the instant lies after the frame's own, where a curve tells it finer than a frame.
    double shift = 0.0;
    /// Set by the program and not yet accepted: a hollow peg.
    bool proposed = false;
    friend bool operator==(const PlacedPosition&, const PlacedPosition&) = default;
};
using Positions = std::map<PositionId, PlacedPosition>;

/// Standard error of a placed instant, s of real time.
double instantError(const PlacedPosition& position, const Timebase& time);

/// Root of the sum of squares.
double rootOfSquares(std::span<const double> parts);

/// What was noted about a rep besides its marks.
struct RepFacts {
    std::map<std::string, double> seen; ///< by checkpoint: yes 1, partly 0.5, no 0
    std::optional<double> effect;       ///< did it work: 1 or 0
    std::optional<double> score;        ///< what it scored, or how far it went
    std::optional<double> choice;       ///< was the technique right for the situation: 1 or 0
};

/// A value read off one frame, without the error of the instant.
struct Reading {
    double value = 0.0;
    double u = 0.0;      ///< from the marks
    bool filled = false; ///< true when a gap-filled sample took part
    bool draft = false;  ///< true when a body model's draft took part
    /// What each landmark's own error contributes to u².
    std::map<LandmarkName, double> parts{};
    double own = 0.0; ///< the part of u that neighbouring frames do not share
    /// What one standard error of each thing that all reps filmed alike share does to the value, signed: the
    /// calibration's uncertain quantities, then the full width of a turn. Their squares are part of u².
    std::vector<double> alike{};
    double lost = 0.0; ///< of a speed: the part of u that is movement which smoothing took off
};

/// A measure on one rep.
struct MeasureValue {
    std::string measure; ///< id
    bool refused = false;
    std::string reason; ///< why refused, or a caution about the value
    double value = 0.0;
    double u = 0.0;      ///< standard uncertainty, all parts
    double uMarks = 0.0; ///< part of the marks
    double uTime = 0.0;  ///< part of the key position's instant
    double rate = 0.0;   ///< d value/dt, units per s of real time
    /// The part of u that every rep filmed alike has with the same sign: calibration, full width, a draft's habit. No
    /// number of reps takes it away, and a difference between two reps of one set-up does not contain it.
    double uShared = 0.0;
    std::vector<FrameIndex> frames; ///< the frames it was read from
    bool draft = false;             ///< read from a body model's draft, in part at least
    friend bool operator==(const MeasureValue&, const MeasureValue&) = default;
};

/// Reads a measure of a kind that has a value on a single frame. Error: which landmark is missing, or what the view
/// cannot show.
Result<Reading> readAt(const MeasureDefinition& definition, const Motion& motion, FrameIndex frame,
                       const ViewSetup& setup);

/// Evaluates a definition on one rep. Never fails: a measure that cannot be taken is `refused` with its reason.
/// Spread and drift are refused here: they are read over reps, by core/mirror.
MeasureValue evaluate(const MeasureDefinition& definition, const Motion& motion, const Positions& positions,
                      const ViewSetup& setup, const RepFacts& facts = {});

/// One sample of a measure over time.
struct SeriesSample {
    FrameIndex frame;
    double time = 0.0; ///< real time, s
    double value = 0.0;
    double u = 0.0;
    double rate = 0.0; ///< units per s; central difference over neighbours
};

/// The measure on each frame where it can be read; empty for kinds that have no value on a frame.
std::vector<SeriesSample> series(const MeasureDefinition& definition, const Motion& motion, const ViewSetup& setup);

/// Landmarks (body names) that a definition reads.
std::vector<LandmarkName> landmarksOf(const MeasureDefinition& definition, Side handedness);

} // namespace riflesso
