#pragma once
/// \file
/// What a case has to say to questions asked weeks later: at which speed does it fall apart, which cue works, and which
/// reps are behind a number.

#include "casebook/analysis.h"
#include "core/measure/kinds/derived.h"
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

/// Where what is worked on falls apart: by the reps' own speed where that says it, else by the efforts that were
/// stated. tooFew when nothing of the fault is followed.
SpeedAnswer speedLimitOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                         const std::string& fault);

/// The athlete's measured reps whose effort was stated, by day and number; at whatever frame rate. Durations are left
/// 0.
std::vector<TimedRep> statedReps(const CaseData& data, const Analysis& analysis, const std::string& measure);

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

/// A cue that is no words but a look at the drill's picture, as a block holds it.
inline constexpr std::string_view kPictureCue = "[picture]";
/// As it is read: its words, or "the picture".
std::string cueName(const std::string& cue);

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

/// What was practised in a week against what was planned for it.
struct PractisedWeek {
    Day monday{};
    double planned = 0.0; ///< minutes, whatever became of them; those dropped left out
    double done = 0.0;    ///< minutes: of planned blocks that were done, else as long as the drill's dose takes for as
                          ///< many reps; days alone as they were told
    double alone = 0.0;   ///< of that, told as alone
    std::map<Stage, int> reps{}; ///< by stage
    int good = 0;                ///< of all reps
};
/// From the first week with anything in it to the one after \p today, none left out; at most the last \p most.
std::vector<PractisedWeek> practisedWeeks(const CaseData& data, const Blueprint& blueprint, Day today,
                                          std::size_t most = 26);

/// The drift of a measure over the minutes of the newest take with six measured reps or more.
struct TakeDrift {
    Id take = 0;
    double minutes = 0.0; ///< from the first rep's frame to the last one's
    int reps = 0;
    Drift drift; ///< over that time, in the measure's unit
    [[nodiscard]] bool sure() const { return drift.interval.lo > 0.0 || drift.interval.hi < 0.0; }
};
/// Null when no take has as many, or their capture rate is not known.
std::optional<TakeDrift> driftOverTake(const CaseData& data, const Analysis& analysis, const std::string& measure);

/// Practised reps of a drill by the way they were fed or done, in the order of the drill's own variations, others
/// after them, whatever language they were told in; reps whose way nobody told are left out.
std::vector<CueReps> repsByVariation(const std::vector<const Block*>& blocks, const Blueprint& blueprint,
                                     const Drill& drill);
/// The same of all blocks of the drill.
std::vector<CueReps> repsByVariation(const CaseData& data, const Blueprint& blueprint, const Drill& drill);

} // namespace riflesso
