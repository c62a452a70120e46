#pragma once
/// \file
/// The blueprints that ship inside the program.

#include "core/motion/result.h"
#include "core/technique/blueprint.h"

#include <string>
#include <vector>

namespace riflesso {

std::vector<std::string> shippedBlueprintIds();
/// By id, as "fencing-lunge".
Result<Blueprint> shippedBlueprint(const std::string& id);

} // namespace riflesso
