#pragma once
/// \file
/// The story of a case in order of time: what was filmed and practised, what was missed, what was worked on, with which
/// cues, competitions, what hurt, and when nothing was done.

#include "library/case_data.h"

#include <string>
#include <vector>

namespace riflesso {

struct StoryMark {
    enum class Kind { film, practice, missed, opened, closed, cue, competition, injury } kind;
    Day day{};
    std::string words; ///< in the reader's language
    Id id = 0;         ///< film: the last take of the day; opened and closed: the decision
};

/// No film and no practice between two days: fourteen days or more.
struct StoryPause {
    Day from{}, to{};
    std::string words;
};

struct Story {
    std::vector<StoryMark> marks; ///< by day; of one day in the order of the kinds
    std::vector<StoryPause> pauses;
};

/// Up to \p today; competitions to come are part of it. One mark for all films, reps and missed blocks of a day. A cue
/// is told on the day on which a drill was first done with it. What hurts without a day is left out. Pure.
Story storyOf(const CaseData& data, const Blueprint& blueprint, Day today);

} // namespace riflesso
