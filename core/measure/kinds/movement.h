#pragma once
/// \file
/// Measures of how a point moves: its speed on a frame, and path, stillness and dwell over a phase.

#include "core/measure/evaluate.h"

namespace riflesso {

/// A measure that cannot be taken, and why.
MeasureValue refuse(const MeasureDefinition& definition, std::string reason);

/// Too few frames of a span could be read: fewer than \p least, or than nine tenths of \p all. \p why: what stood in
/// the way on the first of the others, may be empty. Nothing when there are enough.
std::optional<Error> tooFewRead(std::size_t read, int all, const std::string& why, std::size_t least = 3);

/// A point's place and velocity on a frame, in the measure's unit of length (and a second), x as in the picture, y
/// DOWN.
struct MovingPoint {
    FrameIndex frame;
    double time = 0.0; ///< s of real time
    Eigen::Vector2d at{0, 0}, velocity{0, 0};
    double own = 0.0;         ///< standard error of x and of y, each, that neighbours do not share
    double sigma = 0.0;       ///< all of it
    double speed = 0.0;       ///< standard error of the velocity's x and y, each
    double noise = 0.0;       ///< the part of that which noise makes
    double scale = 0.0;       ///< relative standard error of the unit of length
    double scaleShared = 0.0; ///< the part of that which is the calibration's: alike in all reps of the take
    bool filled = false, draft = false;
    std::map<LandmarkName, double> parts{}; ///< of speed²
};

/// The unit of length over a span of frames: the mean length of the `per` segment, px (or m); 1 without one.
struct UnitLength {
    double length = 1.0;
    double relative = 0.0; ///< standard error / length
};
/// Empty when no frame shows both ends of the segment.
std::optional<UnitLength> unitLengthOver(const MeasureDefinition& definition, const Motion& motion, FrameIndex first,
                                         FrameIndex last, const ViewSetup& setup);

/// Point 0 of a definition, against point 1 when there is one. Errors: what is not marked; metres without a known
/// length. Places of different frames can be compared only when one \p unit is given; without one the segment is
/// measured on the frame.
Result<MovingPoint> movingPoint(const MeasureDefinition& definition, const Motion& motion, FrameIndex frame,
                                const ViewSetup& setup, const UnitLength* unit = nullptr);

/// Point 0 of a definition on every frame of a span, in one unit of length. Error: what movingPoint() says, when more
/// than a tenth of the frames cannot be read. \p filled, \p draft are set when one such sample took part.
Result<std::vector<MovingPoint>> movingPoints(const MeasureDefinition& definition, const Motion& motion,
                                              FrameIndex first, FrameIndex last, const ViewSetup& setup);

/// How long its way is, by speed over time, and what noise would have added to that.
struct WayLength {
    double length = 0.0, tooLong = 0.0;
};
WayLength lengthOfWay(const std::vector<MovingPoint>& points);
/// Of what was taken off a way for noise, so much may have been movement.
inline constexpr double kTakenFromWay = 0.3;

/// How many samples a second err independently of one another after smoothing: twice the slowest cut-off of the points
/// that a definition reads; each frame when they were not smoothed. 1/s of real time.
double independentRate(const MeasureDefinition& definition, const Motion& motion, const ViewSetup& setup);

/// Kind speed on a frame. Errors as above.
Result<Reading> readSpeed(const MeasureDefinition& definition, const Motion& motion, FrameIndex frame,
                          const ViewSetup& setup);

} // namespace riflesso
