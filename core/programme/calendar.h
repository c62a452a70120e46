#pragma once
/// \file
/// Drills for a focus, in ladder order, laid on the days that the athlete really has.
///
/// The rules are the trade's (common practice, no source): one technique session a week beside normal training, two
/// minutes a day at home, focus of one or two things, nothing new within two weeks of a main competition.

#include "core/judge/judge.h"
#include "core/technique/blueprint.h"

#include <array>
#include <chrono>
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

using Day = std::chrono::sys_days;

/// "2026-11-09".
std::string isoDate(Day day);
/// Reads "2026-11-09"; empty when it is no date.
std::optional<Day> dayFromIso(std::string_view text);
/// 0 = Monday … 6 = Sunday.
int weekdayOf(Day day);

struct CalendarInput {
    Day from{};
    int days = 14;
    std::array<int, 7> minutes{}; ///< Monday first
    std::vector<Day> competitions;
    std::vector<std::string> equipment; ///< what is at hand; empty = unknown, everything is allowed
    bool partner = true;
    bool wantsRebuild = true;
    std::map<std::string, Stage> reached; ///< by fault: the stage practice has come to; shadow when absent
};

struct CalendarRules {
    int sessionsPerWeek = 1;
    double homeMinutes = 2.0;
    int quietDays = 14; ///< before a main competition
    std::size_t mostFocus = 2;
};

/// One block on one day.
struct PlannedBlock {
    Day day{};
    std::string fault;
    std::string drill;
    double minutes = 0.0;
    bool home = false;
    std::vector<std::string> rules; ///< the rules it obeys, in words
};

struct Plan {
    std::vector<std::string> ladder; ///< drills of the focus, easiest stage first
    std::vector<PlannedBlock> blocks;
    std::vector<std::string> notes; ///< what the coach should know
    std::string infeasible;         ///< which rule to relax; empty when the plan stands
};

/// Drills that answer a fault, in ladder order (stage, then the blueprint's order).
std::vector<const Drill*> ladderOf(const Blueprint& blueprint, const Fault& fault);

/// Pure. With no focus, an empty plan and a note.
Plan prescribe(const Blueprint& blueprint, const std::vector<std::string>& focus, const CalendarInput& input,
               const CalendarRules& rules = {});

} // namespace riflesso
