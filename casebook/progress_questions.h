#pragma once
/// \file
/// What a case has to say to two questions asked weeks later: at which speed does it fall apart, and which cue works.

#include "casebook/analysis.h"
#include "core/progress/cues.h"
#include "core/progress/speed.h"

#include <string>
#include <vector>

namespace riflesso {

/// The athlete's measured reps of a measure's view whose capture rate is known, by day and number. A rep lasts from its
/// first to its last key position of those that all of them have; a rep of a cyclic technique from cycle to cycle.
std::vector<TimedRep> timedReps(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                const std::string& measure);

/// Practised reps by cue, of the drill and stage with the most cues and, of those, the most reps.
struct CueTrial {
    std::string drill;
    Stage stage = Stage::shadow;
    std::vector<CueReps> cues;
};
/// Empty drill = nothing is practised yet. A block without a cue of its own was done with the drill's.
CueTrial cueTrial(const CaseData& data, const Blueprint& blueprint);

} // namespace riflesso
