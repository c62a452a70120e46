#pragma once
/// \file
/// The plan: drills of the focus laid on the days that the athlete really has, by rules that can be named, overruled
/// and bent.
///
/// The rules are the trade's (common practice, no source): one technique session a week beside normal training, two
/// minutes a day at home, a focus of one or two things, nothing new within two weeks of a main competition.

#include "core/programme/calendar.h"

#include <array>
#include <functional>
#include <limits>
#include <map>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace riflesso {

/// How often technique is practised, and why.
struct Regime {
    std::string_view id, name, why;
    int perWeek = 1;                                              ///< session days in any seven
    int gapDays = 1;                                              ///< at most one session day in so many
    double mostMinutes = std::numeric_limits<double>::infinity(); ///< of a session day
    bool nothingNew = false;
};
inline constexpr std::array<Regime, 4> kRegimes = {
    {{"rebuild", "Rebuild", "one session a week beside normal training: what is new needs room", 1, 1},
     {"often", "Little and often", "short bouts on most days: what is nearly owned settles by coming back to it", 5, 1,
      12.0},
     {"keep", "Keep", "once in ten days: what is owned stays", 1, 10},
     {"competition", "Competition", "attention outside; what is owned goes on and nothing is repaired", 2, 1,
      std::numeric_limits<double>::infinity(), true}}};
/// Rebuild when the id is unknown or empty.
const Regime& regimeOf(std::string_view id);

/// What a plan must not do. In the order in which breaches are named.
enum class Rule {
    restDay,  ///< a day without minutes, or of a competition
    minutes,  ///< more than the day has
    bout,     ///< a session longer than the regime wants
    sessions, ///< more session days in seven than the regime has
    gap,      ///< sessions nearer than the regime wants
    share,    ///< technique takes more than half of a week's minutes, or one whole day
    stage,    ///< a stage that practice has not reached, and is not forecast to have reached by then
    fresh,    ///< something new within two weeks of a competition, or in the competition regime
    load,     ///< full speed on two days running
    partner,  ///< a drill for two on a day without a partner
    place,    ///< what cannot be done at home, on a day at home
    equipment,
    focus, ///< more than two faults
    twice, ///< a drill twice on a day, or two drills at home
    ban,   ///< a drill that this athlete never gets
};
inline constexpr std::array<std::string_view, 15> kRuleNames = {"rest day", "minutes",   "bout",  "sessions", "gap",
                                                                "share",    "stage",     "new",   "load",     "partner",
                                                                "place",    "equipment", "focus", "twice",    "ban"};

/// A place of the body that asks for support work beside the technique.
struct SupportNeed {
    std::string part;  ///< of kBodyParts (support.h), with its side
    bool pain = false; ///< hurts now: nothing is planned for it
};

struct PlanInput {
    Day from{};
    int days = 14;
    std::array<int, 7> minutes{}; ///< Monday first
    std::array<bool, 7> alone{};  ///< no partner on this weekday
    std::map<Day, double> taken;  ///< minutes that something else has on a day: other techniques, busy hours
    std::vector<Day> competitions;
    std::array<PracticePlace, 7> places{};        ///< of a weekday's session; work at home is at home on any day
    std::array<std::set<std::string>, 2> lacks{}; ///< equipment that is not there, by place
    bool agreed = true;                           ///< the athlete wants it; without a yes one trial week is planned
    std::vector<std::string> focus;               ///< faults, at most two are planned for
    std::map<std::string, Stage> reached;         ///< by fault: the stage practice has come to; shadow when absent
    std::set<std::string> known;                  ///< drills that were practised before `from`
    std::set<std::string> banned{};               ///< drills that this athlete never gets
    std::vector<SupportNeed> support{};           ///< what is planned beside the technique, and for what
    std::string regime;
    std::vector<PlannedBlock> standing; ///< the plan that stands; empty = none yet
};

/// Minutes that a day has for technique: none on a competition's day.
double availableOn(const PlanInput& in, Day day);

/// A rule that blocks break.
struct Breach {
    Rule rule = Rule::minutes;
    Day day{};
    std::vector<std::size_t> blocks; ///< which, by index into the plan that was checked
    std::string words;               ///< "Tue 12 Jan: 20 minutes are there, these three blocks need 26"
    bool accepted = false;           ///< each of them was allowed to break it
};

/// Every rule that the blocks from \p in.from on break. Dropped and missed blocks do not count. The solver does not use
/// it: it checks the solver's work, and what a hand has done.
std::vector<Breach> breachesOf(const Blueprint& blueprint, const PlanInput& in,
                               const std::vector<PlannedBlock>& blocks);

/// The smallest set of blocks that still breaks that rule on that day, found by leaving out one after the other:
/// without any one of them it would stand. The words say what these alone need. It may name blocks of other days.
Breach smallestClash(const Blueprint& blueprint, const PlanInput& in, const std::vector<PlannedBlock>& blocks,
                     const Breach& breach);

/// The cheapest way out of a breach: one of its blocks, the nearest day on which fewer rules are broken, and in words.
struct WayOut {
    std::size_t block = 0;
    std::optional<Day> day; ///< empty: take it away
    std::string words;
};
std::optional<WayOut> wayOutOf(const Blueprint& blueprint, const PlanInput& in, const std::vector<PlannedBlock>& blocks,
                               const Breach& breach);

struct Plan {
    std::vector<std::string> ladder;  ///< drills of the focus, easiest stage first
    std::vector<PlannedBlock> blocks; ///< from `from` on, by day, a session's in the order in which they are done
    std::vector<Breach> breaches;     ///< by what was pinned; not those accepted
    std::vector<std::string> notes;   ///< what the coach should know
    std::string infeasible;           ///< which rule to relax; empty when the plan stands
    bool proven = true;               ///< the solver came to its end
};

/// Lays the plan. Blocks of the standing plan that are locked, done or moved stay where they are; dropped ones do not
/// come back on their day; the rest may change, at a price. Deterministic. \p stop is asked now and then: true = take
/// what there is. Any thread; one call a thread at a time.
Plan prescribe(const Blueprint& blueprint, const PlanInput& in, const std::function<bool()>& stop = {});

/// Only \p first to \p last may change; what stands outside stays. For a gesture's answer at once.
Plan replan(const Blueprint& blueprint, const PlanInput& in, Day first, Day last,
            const std::function<bool()>& stop = {});

/// The stage of a fault's ladder that is allowed on a day: what was reached, and one stage more after every second
/// session of that fault among the blocks (a forecast: the ladder climbs by gates only). Rungs on which nothing can be
/// done, for want of a place, equipment or partner or by bans, are passed over. Empty when no drill answers it.
std::optional<Stage> stageAllowed(const Blueprint& blueprint, const PlanInput& in,
                                  const std::vector<PlannedBlock>& blocks, const std::string& fault, Day day);

/// Full or race speed, or a stage from open on (common practice, no source).
bool isHeavy(const Drill& drill);

} // namespace riflesso
