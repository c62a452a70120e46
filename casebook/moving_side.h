#pragma once
/// \file
/// One of the films that move together, drawn the same on the screen and in films that are taken home.

#include "casebook/analysis.h"
#include "core/mirror/film_lock.h"

#include <QColor>
#include <QImage>
#include <QPainter>
#include <QRectF>

#include <map>

namespace riflesso {

/// A rep as it is shown moving. Plain value; made once for a rep and a shape of the place where it is shown.
struct MovingSide {
    Id rep = 0;
    QRectF box;            ///< round the body over the whole rep, picture px: the crop must not move with the body
    double trunk = 0.0;    ///< mean length from the hips to the shoulders, px; 0 = not known
    bool mirrored = false; ///< shown with left and right swapped
    /// The 90th percentile of each segment's length in the picture over the rep, px: nearly its length at the distance
    /// where it is seen best.
    std::map<std::pair<LandmarkName, LandmarkName>, double> segments{};
};

/// \p aspect: width / height of where it is shown. \p leader: the take whose direction it turns to; null = its own.
MovingSide movingSide(const CaseData& data, const Analysis& analysis, Id rep, double aspect,
                      const Take* leader = nullptr);

/// What keeps a side calm: the part of \p whole that the film fills.
QRectF calmPart(const QRectF& whole, const MovingSide& side);

/// Points of the rep's take on a frame, mirrored as the side is.
std::map<LandmarkName, QPointF> sidePoints(const CaseData& data, const Analysis& analysis, const MovingSide& side,
                                           FrameIndex frame);

/// Draws a frame of the side into \p target. \p picture: of the whole frame as it was filmed, of any size; null = only
/// the ground. Without \p figure the film alone.
void drawSide(QPainter& painter, const QRectF& target, const CaseData& data, const Analysis& analysis,
              const MovingSide& side, const QImage& picture, FrameIndex frame, QColor colour, bool figure = true);

/// Another performer's figure over the athlete: each segment as long as the athlete's own, standing on the foot that
/// the athlete stands on, turned to the athlete's direction. Nothing when the two share too few points.
/// \p strength: 0 unseen .. 1.
void drawGhost(QPainter& painter, const QRectF& target, const CaseData& data, const Analysis& analysis,
               const MovingSide& side, FrameIndex frame, const MovingSide& ghost, FrameIndex ghostFrame, QColor colour,
               double strength = 1.0);

/// From picture pixels of a side, mirrored as it is shown, to \p target.
QTransform sideTransform(const CaseData& data, const MovingSide& side, const QRectF& target);

/// Which frame of \p follower belongs to a frame of \p leader.
FilmLock movingLock(const CaseData& data, const Blueprint& blueprint, Id leader, Id follower, LockKind kind);

} // namespace riflesso
