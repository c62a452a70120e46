#pragma once
/// \file
/// What a case has to say to questions asked weeks later: at which speed does it fall apart, which cue works, and which
/// reps are behind a number.

#include "casebook/analysis.h"
#include "core/progress/cues.h"
#include "core/progress/speed.h"

#include <map>
#include <string>
#include <vector>

namespace riflesso {

/// The athlete's measured reps of a measure's view whose capture rate is known, by day and number. A rep lasts from its
/// first to its last key position of those that all of them have; a rep of a cyclic technique from cycle to cycle.
std::vector<TimedRep> timedReps(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                                const std::string& measure);

/// A rep of the athlete's that stands behind a point of a chart.
struct RepBehind {
    Id rep = 0;
    Day day{};
    double value = 0.0, u = 0.0; ///< SI
    FrameIndex frame;            ///< where it was read, in the rep's take
};
/// The athlete's reps in which a measure could be taken, by day and number; of one stage and of one day when they are
/// given.
std::vector<RepBehind> repsBehind(const CaseData& data, const Analysis& analysis, const std::string& measure,
                                  std::optional<Stage> stage = std::nullopt, std::optional<Day> day = std::nullopt);

/// The newest rep of each day on which a measure could be taken, oldest day first, at whatever stage.
std::vector<RepBehind> newestByDay(const CaseData& data, const Analysis& analysis, const std::string& measure);

/// New guesses of a brief: one that says something else than before on another day sends the old one to the past.
void giveGuesses(Brief& brief, std::vector<Guess> given);

/// Guesses on a measure whose day is known, oldest first, each beside the mean of the athlete's reps of the nearest day
/// with films, at most three weeks away; those without such a day are left out.
std::vector<DatedPerception> feltOverTime(const CaseData& data, const Analysis& analysis, const std::string& measure);

/// Practised reps by cue, of the drill and stage with the most cues and, of those, the most reps.
struct CueTrial {
    std::string drill;
    Stage stage = Stage::shadow;
    std::vector<CueReps> cues;
    struct Practised {
        Day day{};
        int good = 0, n = 0;
    };
    std::map<std::string, std::vector<Practised>> days{}; ///< by cue, in order of time
};
/// Empty drill = nothing is practised yet. A block without a cue of its own was done with the drill's.
CueTrial cueTrial(const CaseData& data, const Blueprint& blueprint);

} // namespace riflesso
