#pragma once
/// \file
/// Numbers and findings in words, the same on screens, on paper and on the command line.

#include "casebook/casebook.h"

#include <string>

namespace riflesso {

/// Times are shown in ms, everything else in its own unit.
double shownScale(const MeasureDefinition& definition);
std::string shownUnit(const MeasureDefinition& definition);

/// "112.4°", "−152 ms", "1.21 shins"; as many digits as the uncertainty deserves (0 = a default).
std::string numberWords(const MeasureDefinition& definition, double value, double u = 0.0);
/// "112.4° ± 1.1°"
std::string valueWords(const MeasureDefinition& definition, double value, double u);
/// The mean over reps the same way, with "(draft)" behind it when a value rests on what the machine drafted.
std::string valueWords(const MeasureDefinition& definition, const MeasuredValue& value);
/// "3,112 marks by hand, 840 carried from them, 19,840 drafted by the machine" of the takes that the athlete's reps
/// were read from; empty when there are none.
std::string marksWords(const CaseData& data, const Analysis& analysis);
/// "102° to 118°", "at least 1.0", "at most 0"
std::string bandWords(const MeasureDefinition& definition, const Band& band);
/// "from the model", "common practice"
std::string sourceWords(const Deviation& deviation);
/// The coach's phrase for the direction of a deviation, or "inside the band".
std::string directionWords(const BlueprintMeasure& measure, const Deviation& deviation);
/// One line: name, value, band, decision.
std::string deviationWords(const Blueprint& blueprint, const Deviation& deviation);
/// What the newest session was compared with and what it looks like, a sentence each: own reps as the model, the
/// situation, nearness to the schools, a profile. Empty when there is nothing to say.
std::vector<std::string> contextWords(const Casebook& book);
/// Who varies from rep to rep, the athlete or the marks, and which of rate and length changed the speed: a sentence
/// each, the most telling first. Empty with fewer than three reps.
std::vector<std::string> steadyWords(const Blueprint& blueprint, const Analysis& analysis);
/// "Spread 4.2° from rep to rep, marking makes 1.2° of it: the athlete varies"
std::string variationWords(const MeasureDefinition& definition, const Variation& variation);
/// The priority of a finding as a sentence a person can check: "severity 2.1 + …".
std::string whyWords(const Blueprint& blueprint, const Finding& finding);
/// "Guess 12°, film 24.1°: 12.1° apart. …"
std::string guessWords(const Blueprint& blueprint, const GuessCheck& check);

std::string findingsWords(const Casebook& book);
std::string planWords(const Casebook& book);
/// The same of another plan.
std::string planWords(const Casebook& book, const Plan& plan);
/// "3 sets of 6, 5 min"
std::string doseWords(const Dose& dose);
/// How a drill goes, and in which ways.
std::string howWords(const Drill& drill);

} // namespace riflesso
