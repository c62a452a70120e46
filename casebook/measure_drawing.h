#pragma once
/// \file
/// Small drawings that show on the figure what a measure measures.

#include "core/measure/definition.h"
#include "core/motion/body_schema.h"

#include <QColor>
#include <QFont>
#include <QPainter>
#include <QString>
#include <QStringList>

#include <map>

namespace riflesso {

/// Inks of a measure's drawing.
struct MeasureInks {
    QColor figure; ///< the body, quiet
    QColor mark;   ///< what is measured
    QColor text;
    QColor ground;
    QFont font;
};

/// Where the points of the figure lie in a drawing, by role; with a second person when \p two, implements in the lead
/// hand. Names that the figure does not know are placed beside it.
std::map<std::string, QPointF> figureIn(const QRectF& area, const std::vector<std::string>& roles, bool two);

/// The bones of the figure, of both people when there are two.
void drawGuideFigure(QPainter& painter, const std::map<std::string, QPointF>& points, QColor ink, double width);

/// Draws the figure and on it the measure. Any definition can be drawn, unfinished ones too.
void drawMeasure(QPainter& painter, const QRectF& area, const MeasureDefinition& definition, const MeasureInks& inks);

/// What each point of a kind is, in order: "vertex", "the other". The last one stands for all that follow.
QStringList pointDuties(const MeasureDefinition& definition);

/// A kind in a few words: "Angle at a joint". And in a sentence, for who builds a blueprint.
QString kindTitle(MeasureKind kind);
QString kindWords(MeasureKind kind);

/// A sound example of a kind on the standard figure, for the sheet of all kinds.
MeasureDefinition exampleOf(MeasureKind kind);

} // namespace riflesso
