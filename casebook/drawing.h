#pragma once
/// \file
/// Drawing of the athlete and the model, the same on screens and on paper: hues, figures, stills, the waterline.

#include "casebook/analysis.h"

#include <QColor>
#include <QImage>
#include <QPainter>
#include <QPointF>
#include <QRectF>

#include <map>

namespace riflesso {

/// Athlete = one warm hue, model = one cool hue, everywhere. `onPicture` is bright enough for lines over film.
struct Hues {
    QColor athlete, model, athleteOnPicture, modelOnPicture;
};
Hues huesFor(bool dark);

/// Landmarks of a take on a frame: the marks themselves where there are any, else the smoothed motion.
std::map<LandmarkName, QPointF> pointsAt(const CaseData& data, const Analysis& analysis, Id take, FrameIndex frame);

/// The part of the picture that shows the body, grown by a margin, of the wanted width / height; the whole picture when
/// nothing is marked.
QRectF bodyBox(const std::map<LandmarkName, QPointF>& points, QSizeF picture, double aspect);

/// Bones and joints; near side solid, far side thin. \p toTarget maps picture pixels to the painter's units.
void drawFigure(QPainter& painter, const std::map<LandmarkName, QPointF>& points, const QTransform& toTarget,
                Facing facing, QColor colour, double width);

/// A wedge between the segments of an angle measure, its value outside the body.
void drawWedge(QPainter& painter, QPointF a, QPointF vertex, QPointF c, QColor colour, const QString& text);

/// What a measure reads, over the figure: lines between its points, its angle as a wedge with \p text in the painter's
/// font, its plumb. Nothing when one of its points is not there.
void drawRead(QPainter& painter, const MeasureDefinition& definition, Side handedness,
              const std::map<LandmarkName, QPointF>& points, const QTransform& toTarget, QColor colour,
              const QString& text);

/// Words on a dark plate, its upper left corner \p at, in the painter's font. Returns the plate.
QRectF drawWords(QPainter& painter, QPointF at, const QString& words, QColor ink = Qt::white);

/// A note's frame: the part of the picture round its points (all of it when there are none), its points joined in
/// order, its words on a plate. Nothing but the plate while there is no picture.
void drawNote(QPainter& painter, const QRectF& target, const QImage& picture, const FrameNote& note);

/// One still of the board: the picture cropped to \p source, drawn into \p target with its figure.
void drawStill(QPainter& painter, const QRectF& target, const QImage& picture, const QRectF& source,
               const std::map<LandmarkName, QPointF>& points, Facing facing, QColor colour);

/// A deviation's mark: leaning early or late for times, up or down for the rest; filled = outside, half = undecided,
/// hollow = inside. Size grows with severity.
void drawDeviationMark(QPainter& painter, QPointF centre, double size, const Deviation& deviation, bool time,
                       QColor colour);

} // namespace riflesso
