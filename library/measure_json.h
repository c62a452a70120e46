#pragma once
/// \file
/// Measure definitions as JSON, as in blueprints and on the command line.

#include "core/measure/definition.h"
#include "core/motion/result.h"
#include "library/json_reader.h"

#include <string>

namespace riflesso {

/// One landmark, or the middle of two joined by "+". Throws JsonProblem; for use inside this room.
PointSpec readPoint(const JsonReader& json);

/// Reads the measure's own fields. With \p standalone true only kind and points (and what they need) are required.
/// Throws JsonProblem; for use inside this room.
MeasureDefinition readMeasure(const JsonReader& json, bool standalone);

/// The same fields written; what has its usual value is left out. readMeasure() reads it back alike.
nlohmann::ordered_json measureJson(const MeasureDefinition& definition);

/// A single definition from text: {"kind":"angle","points":["left_hip","left_knee","left_ankle"]}.
Result<MeasureDefinition> measureFromJson(const std::string& text);

} // namespace riflesso
