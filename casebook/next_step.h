#pragma once
/// \file
/// The last part of an analysis, in words: what is to be done next, and what each workspace still lacks.

#include "casebook/analysis.h"

#include <string>

namespace riflesso {

/// What the athlete's newest session still needs, in working order. Only the first is shown on the case strip. Pure.
NextStep nextStep(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis, Day today);

/// Its words with the day that it is for, as on the case strip. A card has the words alone: its last line says the day.
std::string nextWords(const NextStep& step);

/// When the athlete is to be filmed again, and what for.
struct FilmAgain {
    Day day{};
    std::string words; ///< "Film again: does “Hand later than foot” still hold?"
};
/// Three weeks after something taken up was held, or two weeks after a film since which it was practised on two days or
/// more (common practice, no source), whichever is earlier. Empty while neither is so.
std::optional<FilmAgain> filmAgain(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis);

/// Fills in Analysis::lacking from the rest of it.
void sayLacking(const CaseData& data, Analysis& analysis);

/// "1 rep", "5 reps".
std::string count(std::size_t n, const std::string& one, const std::string& many);

} // namespace riflesso
