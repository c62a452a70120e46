#pragma once
/// \file
/// Model performances as JSON files: every rep's measures with their uncertainty, so that bands can be made of them
/// anew.

#include "core/mirror/reference.h"
#include "core/motion/result.h"
#include "library/json_reader.h"

#include <string>

namespace riflesso {

std::string modelToJson(const ModelPerformance& model);
/// The error names the place of what is wrong.
Result<ModelPerformance> modelFromJson(const std::string& text, const std::string& fileName);
/// For use inside this room; throws JsonProblem.
ModelPerformance readModel(const JsonReader& json);

/// Key positions of the reps of a take: {"reps": [{"situation": "…", "positions": {"contact": 12}}]}. A position is a
/// frame, or {"frame", "sigma_s", "shift_s"}.
struct PlacedRep {
    Positions positions;
    std::string situation;
};
Result<std::vector<PlacedRep>> placedRepsFromJson(const std::string& text, const std::string& fileName);

} // namespace riflesso
