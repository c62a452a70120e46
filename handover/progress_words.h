#pragma once
/// \file
/// Progress in sentences: did it move, where does it break, does feeling meet film, was it practised.

#include "casebook/casebook.h"
#include "casebook/progress_questions.h"
#include "core/progress/history.h"
#include "core/statistics/agreement.h"

#include <optional>
#include <string>

namespace riflesso {

/// The points of one stage: the one filmed last of those that were filmed twice, else the newest point alone.
std::vector<TrendPoint> comparable(const FocusTrend& trend);

/// What was taken off another analyst's or camera's readings, and whose are left out; empty when there is one of each.
std::string sourceWords(const Blueprint& blueprint, const FocusTrend& trend);
/// Step, drift or nothing over the comparable points.
History historyOf(const FocusTrend& trend);

/// "Yes: +101 ms, 11 times what could be chance. Still 189 ms outside the band."
std::string movedWords(const Blueprint& blueprint, const FocusTrend& trend);
/// After a pause of two weeks and more without film and practice: "Kept over 21 days: +3 ms, not more than chance."
/// Empty when there was none.
std::string keptWords(const CaseData& data, const Blueprint& blueprint, const FocusTrend& trend);
/// Where it appears under more stress: "Inside the band at slow since 12 Oct, at open since 9 Nov; not yet at scored."
/// Empty when one stage alone was filmed.
std::string transferredWords(const FocusTrend& trend);
/// Against the film before the newest, of the same stage: "Since Mon 9 Nov: +12 ms, not more than chance." Empty with
/// fewer than three points: with two it is the change itself.
std::string againstLastWords(const Blueprint& blueprint, const FocusTrend& trend);
/// The newest value against the best one of the same stage; empty when it is the best itself.
std::string againstBestWords(const Blueprint& blueprint, const FocusTrend& trend);
/// Of a rate or a distance a cycle, what the speed did between the same films: rate × distance, and more of one alone
/// proves nothing (common practice, no source). Empty of other measures, and where the technique measures no speed.
std::string productWords(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                         const FocusTrend& trend);
/// "Goal −20 ms by 18 Dec: partly." Empty when the goal is of another measure.
std::string goalWords(const Blueprint& blueprint, const std::optional<Goal>& aim, const FocusTrend& trend);
/// Where a measure breaks under stress: in the four weeks up to the newest film, and in those before.
struct ThenAndNow {
    BreakPoint now, then;     ///< `then` without stages: there are no films from before
    std::optional<Day> since; ///< from when on it is now; empty = all of it
    std::string words;
};
ThenAndNow breakOf(const CaseData& data, const Analysis& analysis, const FocusTrend& trend);
/// Athlete's and coach's verdicts on the same practised reps; empty when both were there too seldom.
std::optional<Agreement> verdictsAgree(const CaseData& data);
std::string feelingWords(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis);
/// "no faster than 80 % of the fastest": where practice stays. Empty where it does not fall apart, or not surely.
std::string practiseAtWords(const SpeedAnswer& answer);

/// "It falls apart from 88 % of your fastest on (84 to 91). Practise it at 80 %."
std::string speedWords(const Blueprint& blueprint, const std::string& measure, const SpeedAnswer& answer);
/// "\"Hand first\" works better than the other (0.94): 14 good of 17 against 6 of 15."
std::string cueWords(const Blueprint& blueprint, const CueTrial& trial, const std::vector<CueStanding>& standings);
/// Over the minutes of one take: does it tire away? Empty when no take has six reps.
std::string fatigueWords(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                         const std::string& measure);
/// Of the drill with the most reps in several ways: "Glove that opens late: low is the weaker way (0.96), 3 good of 11;
/// high 9 good of 12." Empty when no drill was practised in two.
std::string variationWords(const CaseData& data, const Blueprint& blueprint);
/// What the measure did while a drill was practised: "While it was practised (84 reps on 5 days): +101 ms." and, where
/// it did nothing, what to try. Empty while there is too little to say. \p named: with the drill's name.
std::string drillHelpWords(const CaseData& data, const Blueprint& blueprint, const FocusTrend& trend,
                           const std::string& drill, bool named = false);
/// Drills of what is worked on that were practised and did not help, as drillHelpWords() says it. Empty when none.
std::string uselessDrillWords(const CaseData& data, const Blueprint& blueprint, const FocusTrend& trend);
std::string practisedWords(const CaseData& data, Day today);

} // namespace riflesso
