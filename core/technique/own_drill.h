#pragma once
/// \file
/// Drills that a coach has made: kept beside a library, used in every case of their technique.

#include "core/technique/blueprint.h"

#include <string>
#include <vector>

namespace riflesso {

struct OwnDrill {
    std::string technique;           ///< the blueprint's id
    std::vector<std::string> faults; ///< that it answers, one or more
    Drill drill;
    friend bool operator==(const OwnDrill& a, const OwnDrill& b) {
        return a.technique == b.technique && a.faults == b.faults && a.drill.id == b.drill.id &&
               a.drill.name == b.drill.name && a.drill.how == b.drill.how && a.drill.stage == b.drill.stage &&
               a.drill.cue == b.drill.cue;
    }
};

/// True for the id of an own drill.
bool isOwnDrill(std::string_view id);
/// An id that none of \p drills has: "own-1", "own-2", …
std::string freshDrillId(const std::vector<OwnDrill>& drills);

/// The blueprint with the own drills of its technique among its drills and its faults' drills. Faults it does not have
/// are passed over; a drill without any stays out.
Blueprint withOwnDrills(Blueprint blueprint, const std::vector<OwnDrill>& drills);

} // namespace riflesso
