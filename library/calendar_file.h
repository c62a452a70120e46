#pragma once
/// \file
/// The plan as an iCalendar file (RFC 5545), for any calendar program.

#include "core/programme/plan.h"

#include <cstdint>
#include <string>
#include <vector>

namespace riflesso {

struct CalendarFileOptions {
    bool homeOnly = false; ///< only what is done at home
    std::string owner;     ///< makes the UIDs of two libraries differ; letters and digits
    std::int64_t now = 0;  ///< s since 1970, UTC: DTSTAMP, and the SEQUENCE, which grows with each writing
};

/// All-day events, one a block, with a UID that stays the same as long as the block does. Cue, dose and caution stand
/// in the description. Dropped blocks are written as cancelled, so that a calendar that has them takes them away. By
/// libical.
std::string planToCalendar(const Blueprint& blueprint, const std::vector<PlannedBlock>& blocks,
                           const CalendarFileOptions& options);

} // namespace riflesso
