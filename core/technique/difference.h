#pragma once
/// \file
/// Two versions of a blueprint side by side, in words.

#include "core/technique/blueprint.h"

#include <string>
#include <vector>

namespace riflesso {

/// What became of one thing.
struct BlueprintChange {
    std::string place; ///< "measure “Front knee in the lunge” (lunge_knee)"
    std::string what;  ///< "is new", "is gone", "target, floor: 8 → 6"
};

/// All changes from \p before to \p after, section by section, things matched by their ids. Empty when nothing differs
/// but the version number.
std::vector<BlueprintChange> differences(const Blueprint& before, const Blueprint& after);

} // namespace riflesso
