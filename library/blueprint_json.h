#pragma once
/// \file
/// Blueprints as JSON files.

#include "core/motion/result.h"
#include "core/technique/blueprint.h"

#include <filesystem>
#include <string>

namespace riflesso {

/// Reads and validates. The error names the file and the place in it ("faults[2].causes[0].fault: …").
Result<Blueprint> blueprintFromJson(const std::string& text, const std::string& fileName);
Result<Blueprint> readBlueprint(const std::filesystem::path& file);

/// A whole text file, or why it cannot be read.
Result<std::string> readTextFile(const std::filesystem::path& file);

} // namespace riflesso
