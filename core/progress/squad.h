#pragma once
/// \file
/// A squad at one technique: who has which fault, and one session for all.

#include "core/statistics/distributions.h"

#include <array>
#include <cstdint>
#include <optional>
#include <string>
#include <string_view>
#include <utility>
#include <vector>

namespace riflesso {

/// What is known of a fault of one athlete.
enum class Standing {
    workingOn, ///< taken up, and there
    held,      ///< taken up or decided, and inside its bands now
    seen,      ///< a finding that nobody works on
    undecided, ///< the film cannot tell
    unknown,   ///< never filmed so that it could be told
    clear      ///< its measures are inside their bands
};
inline constexpr std::array<std::string_view, 6> kStandingNames = {"working on", "held",    "seen",
                                                                   "undecided",  "unknown", "clear"};

struct FaultStanding {
    std::string fault; ///< id
    Standing standing = Standing::unknown;
    double priority = 0.0;            ///< of the finding; 0 when there is none
    std::vector<std::string> parts{}; ///< of the body, that its measures read: "trunk", "arms", "legs", "head"
    friend bool operator==(const FaultStanding&, const FaultStanding&) = default;
};

/// Working on it, or seen.
bool isThere(const FaultStanding& standing);

/// A part of the body that shows up in the faults of two techniques of one person, or more.
struct SharedPart {
    std::string part;
    std::vector<std::pair<std::size_t, std::string>> faults; ///< place of the technique in the list, and the fault's id
    int techniques = 0;
};
/// \p techniques: one list of standings each. The part that most share first.
std::vector<SharedPart> sharedParts(const std::vector<std::vector<FaultStanding>>& techniques);

/// More than two things at once, over all techniques, are too many for one head (common practice, no source).
inline constexpr std::size_t kFociAtOnce = 2;

struct SquadMember {
    std::int64_t id = 0;
    std::string name;
    std::vector<FaultStanding> faults;
    std::string injuries{}; ///< in the athlete's words; may be empty
    std::optional<int> daysToCompetition{};
};

/// How a fault stands over the squad.
struct SquadFault {
    std::string fault;
    int have = 0;          ///< working on it, or seen
    int known = 0;         ///< have, held or clear
    Interval share;        ///< Wilson, 95 %, of those of whom it is known; all when nobody is
    double priority = 0.0; ///< summed
};

/// In the order of the members' lists; a fault that only some members have stands where it is first met.
std::vector<SquadFault> squadFaults(const std::vector<SquadMember>& members);

/// Nobody learns anything new so near to a competition (common practice, no source), days.
inline constexpr int kNothingNewDays = 14;

struct SquadSession {
    std::string fault;
    struct Pair {
        std::size_t learner = 0;
        std::optional<std::size_t> owner{}; ///< one who owns it; empty = another learner, `second`, or nobody
        std::optional<std::size_t> second{};
    };
    std::vector<Pair> pairs;          ///< places among the members
    std::vector<std::size_t> helpers; ///< owners without a learner
    std::vector<std::size_t> keepOut; ///< have it, and learn nothing new: a competition is near
    /// By round, by pair: the station (0-based). Each pair is at each station once; no two pairs at one while there are
    /// as many stations as pairs.
    std::vector<std::vector<std::size_t>> rotation;
};

/// The fault that most have, of those with the highest summed priority; those who own it teach those who learn it, the
/// learner with the most urgent finding first. Empty fault: nobody is known to have any. \p stations: at least 1.
SquadSession sessionForAll(const std::vector<SquadMember>& members, std::size_t stations);

} // namespace riflesso
