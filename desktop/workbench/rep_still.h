#pragma once
/// \file
/// A frame of a rep as a picture: cropped to the body, with its figure, and a measure drawn on it.

#include "desktop/theme/theme.h"
#include "desktop/workbench/workbench.h"

#include <QPainter>

namespace riflesso {

/// Draws frame \p frame of the rep's take into \p box; a left-hander's may be swapped. With \p measure its points are
/// joined, or its angle drawn as a wedge with \p words. Nothing but a ground while the picture is on its way: the frame
/// service says when it is there. False when there is no such rep.
bool drawRepStill(QPainter& painter, Workbench& bench, const QRectF& box, Id rep, FrameIndex frame, QColor colour,
                  const MeasureDefinition* measure = nullptr, const QString& words = {});

/// Words on a plate in the lower left corner of a picture, or in the upper one.
void drawPlate(QPainter& painter, const QRectF& picture, const QString& words, Type size, bool above = false);

} // namespace riflesso
