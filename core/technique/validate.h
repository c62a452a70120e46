#pragma once
/// \file
/// Is a blueprint sound? All problems, each with its place.

#include "core/technique/blueprint.h"

#include <string>
#include <vector>

namespace riflesso {

struct BlueprintProblem {
    std::string place; ///< "faults[2].causes[0]"
    std::string what;
    std::vector<std::string>
        circle{}; ///< causes that run in a circle: faults, each caused by the next, the first again
};

/// Checks names, references, ranges, and that no fault causes itself by any path (the loop is named).
std::vector<BlueprintProblem> problemsOf(const Blueprint& blueprint);

} // namespace riflesso
