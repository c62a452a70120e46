#pragma once
/// \file
/// Measured reps against targets: bands, deviations, and what would decide an undecided one.

#include "core/measure/evaluate.h"
#include "core/mirror/decision.h"
#include "core/statistics/summary.h"
#include "core/technique/blueprint.h"

#include <array>
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// All measures of one rep.
struct MeasuredRep {
    std::string rep; ///< id, for tracing back
    std::optional<Hertz> captureRate;
    std::vector<MeasureValue> values;
    std::string situation{}; ///< what the performer had to answer; empty = not noted
    double when = 0.0;       ///< in the order of the reps, any unit: what drift is read over
    friend bool operator==(const MeasuredRep&, const MeasuredRep&) = default;
};

/// All measures of a blueprint on one rep. `when` is the real time of its first position in the take, s. The id and the
/// situation are left to the caller.
MeasuredRep measureRep(const Blueprint& blueprint, const Motion& motion, const Positions& positions,
                       const ViewSetup& setup, const RepFacts& facts = {});

/// A model performance that came measured: from other cases, other people's films or motion capture.
struct ModelPerformance {
    std::string name;      ///< "Model A"
    std::string blueprint; ///< id of the one it was measured by
    std::string source;    ///< where its reps are from, in words
    std::string school;    ///< empty = none in particular
    std::vector<MeasuredRep> reps;
    friend bool operator==(const ModelPerformance&, const ModelPerformance&) = default;
};

/// What the athlete's reps are compared with where a target comes from a model.
enum class ReferenceKind {
    model,   ///< model performances
    ownBest, ///< the athlete's own reps of earlier days that worked and were nearest to their targets
    ownLast, ///< the athlete's reps of the day before this one
    ownCalm  ///< the athlete's own reps at the least stress
};
inline constexpr std::array<std::string_view, 4> kReferenceKindNames = {"model", "own best", "own last", "own calm"};

/// A measure over the reps of one performer at one time.
struct MeasuredValue {
    int reps = 0;
    double mean = 0.0;
    double sd = 0.0; ///< between reps; 0 for one rep
    /// Standard uncertainty of the mean: √(max(mean c², s²) / n + shared²), c each rep's own error by chance. The
    /// spread between reps holds the marking error already, but from few reps it can come out too small by chance,
    /// hence the maximum. What reps share (MeasureValue::uShared) is not divided by n.
    double u = 0.0;
    double uShared = 0.0;             ///< the part of u that reps filmed alike have in common: mean of theirs
    std::optional<Interval> interval; ///< 95 % t interval of the mean, from two reps on
    std::vector<std::pair<std::string, MeasureValue>> each; ///< rep id and its value
    int drafts = 0;                                         ///< reps whose value rests on a body model's draft
    std::string refused;                                    ///< when no rep gave a value: the most frequent reason
};

/// Gathers one measure over reps.
MeasuredValue gather(const std::string& measure, const std::vector<MeasuredRep>& reps);
/// The same for a measure of any kind: spread and drift are one value over all reps; `reps` counts them, `each` are the
/// values that it was made of.
MeasuredValue gather(const MeasureDefinition& measure, const std::vector<MeasuredRep>& reps);

/// The band of a measure: its target's, from the model's reps when the target says so. Error when that needs a model
/// and none was measured.
Result<Band> bandOf(const BlueprintMeasure& measure, const Target& target, const std::vector<MeasuredRep>& model);

/// What keeps a measure from being decided.
enum class Advice { none, markAgain, moreReps, fasterFilm, otherView, atTheEdge };

struct Deviation {
    std::string measure;
    bool judged = false; ///< false: no value or no band; see `reason`
    std::string reason;
    MeasuredValue value;
    Band band;
    TargetSource source = TargetSource::model;
    std::string school;
    std::string note;
    Verdict verdict;
    int repsOutside = 0;           ///< reps whose own value is beyond the band
    std::optional<Interval> share; ///< Wilson interval of the share of reps outside
    Advice advice = Advice::none;
    std::string adviceText;
};

struct CompareOptions {
    DecisionOptions decision;
    std::string school;
    std::string situation{}; ///< only reps of this situation, against the model's of the same when it has any
};

/// The situation to compare first: the one that most of the athlete's reps are of, when more than one is noted among
/// the model's reps and the athlete's; else empty.
std::string mainSituation(const std::vector<MeasuredRep>& athlete, const std::vector<MeasuredRep>& model);

/// How near an athlete's reps are to a school.
struct SchoolNearness {
    std::string school;
    int nearer = 0;   ///< measures on which this school's band is nearer than every other's
    int measures = 0; ///< measures that tell the schools apart
    int inside = 0;   ///< of those, inside this school's band
};
/// "Nearer to school B in 9 of 11 measures": schools by their bands on the athlete's own reps. Only measures count
/// whose bands differ between the schools and that have a value. A draw counts for neither. In the order of the
/// blueprint.
std::vector<SchoolNearness> compareSchools(const Blueprint& blueprint, const std::vector<MeasuredRep>& athlete,
                                           const std::vector<MeasuredRep>& model);

/// Each measure of the blueprint, athlete against target. Pure; one Deviation per blueprint measure, in its order.
std::vector<Deviation> compare(const Blueprint& blueprint, const std::vector<MeasuredRep>& athlete,
                               const std::vector<MeasuredRep>& model, const CompareOptions& options = {});

} // namespace riflesso
