#pragma once
/// \file
/// What the checker and the solver of the plan share: readings of the input, no rules. Private to this room.

#include "core/programme/plan.h"

namespace riflesso {

inline constexpr double kHomeMinutes = 2.0;
inline constexpr int kQuietDays = 14; ///< before a main competition
inline constexpr std::size_t kMostFocus = 2;

/// Does the block count: planned, done or moved, and within the plan's days or later.
bool counts(const PlanInput& in, const PlannedBlock& block);
/// The most minutes that technique may take of a calendar week.
double shareOf(const PlanInput& in);
/// The first day before which something must have appeared to be no novelty on \p day; empty when anything may be new.
std::optional<Day> quietSince(const PlanInput& in, Day day);
/// What the drill needs and is not at that place, "mat, ball"; empty when all is there.
std::string missingFor(const PlanInput& in, const Drill& drill, PracticePlace place);
/// The place, its equipment and a partner are there on that day. Says nothing about minutes, stages and bans.
bool possibleOn(const PlanInput& in, const Drill& drill, Day day, BlockKind kind);
/// The drill is not banned, and possible on some weekday that has minutes (on any when none has).
bool canCome(const PlanInput& in, const Drill& drill);
Day mondayOf(Day day);

} // namespace riflesso
