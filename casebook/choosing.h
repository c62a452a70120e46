#pragma once
/// \file
/// The first part of an analysis: which reps are judged, against which, what they chose, and what earlier films say of
/// causes. Each function fills in its fields of the analysis. Private to this room.

#include "casebook/analysis.h"

#include <vector>

namespace riflesso {

/// The measured reps of these ids.
std::vector<MeasuredRep> pick(const Analysis& analysis, const std::vector<Id>& reps);

/// Sets, the judged one, the one in the model's place, and the reps of both sides.
void chooseReps(const CaseData& data, const SetChoice& choice, Analysis& analysis);

/// What the judged reps had to answer and what they chose.
void countChoices(const CaseData& data, const Blueprint& blueprint, Analysis& analysis);

/// What a target that comes from a model is made of: model performances, or the athlete's own reps.
void chooseReference(const CaseData& data, const Blueprint& blueprint, const SetChoice& choice, Analysis& analysis);

/// Each day against the day before: which causes went, and did their consequences go with them?
void testLinks(const CaseData& data, const Blueprint& blueprint, const CompareOptions& options, Analysis& analysis);

} // namespace riflesso
