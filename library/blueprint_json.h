#pragma once
/// \file
/// Blueprints as JSON files.

#include "core/motion/result.h"
#include "core/technique/validate.h"

#include <filesystem>
#include <string>

namespace riflesso {

/// Reads and validates. The error names the file and the place in it ("faults[2].causes[0].fault: …").
Result<Blueprint> blueprintFromJson(const std::string& text, const std::string& fileName);
Result<Blueprint> readBlueprint(const std::filesystem::path& file);
/// One drill, as it stands in a blueprint's list.
Result<Drill> drillFromJson(const std::string& text);
std::string drillToJson(const Drill& drill);

/// The blueprint as text, in a fixed order of fields; blueprintFromJson() reads it back alike.
std::string blueprintToJson(const Blueprint& blueprint);

/// All that is wrong with a blueprint's text, each with its place; empty when it is sound. What refers to things that
/// could not be read is not said before these are mended.
std::vector<BlueprintProblem> problemsInBlueprint(const std::string& text);

} // namespace riflesso
