#pragma once
/// \file
/// What good is for one athlete, where it differs from the blueprint.

#include "core/technique/blueprint.h"

#include <limits>
#include <string>
#include <vector>

namespace riflesso {

/// A band replaced for one athlete, or a measure that is not judged for them. An end left open is ±infinity.
struct OwnTarget {
    std::string measure;
    bool off = false; ///< not judged at all
    double lo = -std::numeric_limits<double>::infinity();
    double hi = std::numeric_limits<double>::infinity();
    std::string reason; ///< why; shown wherever the band is
    friend bool operator==(const OwnTarget&, const OwnTarget&) = default;
};

/// The blueprint as it holds for this athlete: one target a measure that has an own one, with the source coach and a
/// note that says so; none for those that are off. Measures that the blueprint does not have are
/// passed over, and so are bands without an end or with lo > hi.
Blueprint withOwnTargets(Blueprint blueprint, const std::vector<OwnTarget>& targets);

} // namespace riflesso
