#pragma once
/// \file
/// What was practised, day by day, for those who look back: what was counted, said and noticed.

#include "library/case_data.h"

#include <string>
#include <vector>

namespace riflesso {

/// A day of practice. Verdicts on films are none.
struct DiaryDay {
    Day day{};
    std::vector<Id> blocks; ///< in the order in which they were begun
    int good = 0, reps = 0;
    double alone = 0.0; ///< minutes without a coach
};

/// How many of a block's reps were good.
int goodReps(const Block& block);

/// Newest first.
std::vector<DiaryDay> diaryOf(const CaseData& data);

/// "18 of 24 good, 25 minutes alone".
std::string dayWords(const DiaryDay& day);

/// Why reps were not good, the most frequent first: "the hand comes after the foot (3), something else (1)". Empty when
/// nobody said.
std::string reasonWords(const Block& block);

/// "25 minutes, 40 hits, in the yard at dusk": what an athlete alone has counted and where it was.
std::string ownWords(const SelfCoached& own);

/// The newest block of a drill up to \p day that says something: a note, what was noticed, what to try. Null when there
/// is none. \p apart: a block that is not meant, the one that is under way.
const Block* lastSaid(const CaseData& data, const std::string& drill, Day day, Id apart = 0);

/// What such a block says, in one line: "“slow is calm”; to try: half the distance".
std::string saidWords(const Block& block);

} // namespace riflesso
