#pragma once
/// \file
/// The plan that stands: what planning needs of a case, and plans as edits of it.

#include "casebook/analysis.h"
#include "core/programme/plan.h"
#include "library/calendar_file.h"

#include <functional>
#include <map>
#include <vector>

namespace riflesso {

/// What planning needs to know. \p taken: minutes that the athlete's other techniques have on a day.
PlanInput planInputOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, Day today,
                      int daysAhead, const std::map<Day, double>& taken = {});

/// What the drills of a technique need, each once, in the blueprint's words.
std::vector<std::string> equipmentOf(const Blueprint& blueprint);
/// Is it among what the brief says is not there? The brief may have been filled in another language.
bool isLacking(const Blueprint& blueprint, const std::vector<std::string>& lacks, const std::string& equipment);

/// Events become busy times, those whose words hold \p competition (when it is not empty, capitals or not)
/// competitions. What was taken over before for days from the first event on is replaced; competitions are added, each
/// day once.
void takeOverCalendar(Brief& brief, const std::vector<CalendarEvent>& events, const std::string& competition);

/// Why a block was changed by hand, and by whom, in the reader's language: "moved from Mon 4 Jan (Anna)". Empty when it
/// was not, or nobody said.
std::string whyWords(const Blueprint& blueprint, const PlannedBlock& block);

/// The kept blocks that are not over: planned ones of days gone by are missed.
std::vector<PlannedBlock> standingPlan(const CaseData& data);
/// Of the last \p days days: done, and planned but not done.
struct Adherence {
    int done = 0, missed = 0;
};
Adherence adherenceOf(const CaseData& data, Day today, int days = 28);

/// What makes the kept plan the given one: blocks with an id are changed, those without are new (\p freshId), kept ones
/// from \p from to \p to that are neither dropped nor done and are not in \p blocks go. Nothing for what stays the
/// same.
std::vector<Edit> planEdits(const CaseData& data, const std::vector<PlannedBlock>& blocks, Day from, Day to,
                            const std::function<Id()>& freshId);

} // namespace riflesso
