#pragma once
/// \file
/// Where what a plan holds is done.

#include "core/programme/calendar.h"

namespace riflesso {

/// Home work is at home, everything else where its weekday is. \p places: Monday first.
inline PracticePlace placeOf(BlockKind kind, Day day, const std::array<PracticePlace, 7>& places) {
    return kind == BlockKind::home ? PracticePlace::home : places[static_cast<std::size_t>(weekdayOf(day))];
}
inline bool atHome(const PlannedBlock& block, const std::array<PracticePlace, 7>& places) {
    return placeOf(block.kind, block.day, places) == PracticePlace::home;
}

} // namespace riflesso
