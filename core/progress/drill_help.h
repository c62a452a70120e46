#pragma once
/// \file
/// Does a drill still help? What the measure of its fault did while it was practised.

#include "core/progress/trend.h"

#include <optional>
#include <vector>

namespace riflesso {

/// One drill on one day.
struct DrillDay {
    Day day{};
    int reps = 0;
    double minutes = 0.0; ///< told of a day alone; 0 where reps were counted
};

enum class DrillEffect {
    tooSoon, ///< no film before it or after it, or too little was done between the two
    moved,   ///< towards the band, by more than could be chance
    inside,  ///< it did not move, and is inside the band: there is nothing left for it to do
    notYet,  ///< it did not move by more than could be chance; a deep habit gives way late, and then at once
    stuck,   ///< nor after eight days of it
    awry     ///< away from the band
};

struct DrillHelp {
    DrillEffect effect = DrillEffect::tooSoon;
    int days = 0, reps = 0; ///< up to the later film
    double minutes = 0.0;   ///< alone
    Day before{}, after{};  ///< the two films
    Change change;          ///< between them
};

/// The newest film up to the drill's first day against the newest one after it. Something is said only when it was
/// practised on three days in between, with 24 reps or 24 minutes alone; that it is stuck, after eight (common
/// practice, no source). It says what happened meanwhile, not that the drill did it. \p done and \p films in any order;
/// films of one stage. Pure.
DrillHelp helpOf(const std::vector<DrillDay>& done, const std::vector<TrendPoint>& films, const Band& band);

} // namespace riflesso
