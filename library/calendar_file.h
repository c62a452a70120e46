#pragma once
/// \file
/// The plan as an iCalendar file (RFC 5545), for any calendar program.

#include "core/motion/result.h"
#include "core/programme/plan.h"

#include <cstdint>
#include <string>
#include <vector>

namespace riflesso {

struct CalendarFileOptions {
    bool homeOnly = false; ///< only what is done at home
    std::string owner;     ///< makes the UIDs of two libraries differ; letters and digits
    std::int64_t now = 0;  ///< s since 1970, UTC: DTSTAMP, and the SEQUENCE, which grows with each writing
    std::array<PracticePlace, 7> places{}; ///< of the weekdays, Monday first
};

/// All-day events, one a block, with a UID that stays the same as long as the block does. Cue, dose and caution stand
/// in the description. Dropped blocks are written as cancelled, so that a calendar that has them takes them away. By
/// libical.
std::string planToCalendar(const Blueprint& blueprint, const std::vector<PlannedBlock>& blocks,
                           const CalendarFileOptions& options);

/// What a calendar holds on a day.
struct CalendarEvent {
    Day day{};
    double minutes = 0.0; ///< of that day; 24 hours for a whole day
    bool wholeDay = false;
    std::string words;
};
/// Events from \p from to \p to (inclusive), those that come again each time; an event over several days is one a day.
/// Cancelled and transparent ones are left out. At most 5,000. Errors: no calendar; larger than 10 MB; damaged.
Result<std::vector<CalendarEvent>> eventsFromCalendar(const std::string& text, const std::string& fileName, Day from,
                                                      Day to);

} // namespace riflesso
