#pragma once
/// \file
/// Measured reps against targets: bands, deviations, and what would decide an undecided one.

#include "core/measure/evaluate.h"
#include "core/mirror/decision.h"
#include "core/statistics/summary.h"
#include "core/technique/blueprint.h"

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
};

/// A measure over the reps of one performer at one time.
struct MeasuredValue {
    int reps = 0;
    double mean = 0.0;
    double sd = 0.0; ///< between reps; 0 for one rep
    /// Standard uncertainty of the mean: √(max(mean u², s²) / n). The spread between reps holds the marking error
    /// already, but from few reps it can come out too small by chance, hence the maximum. Values read from drafts share
    /// most of their error: that part is not divided by n.
    double u = 0.0;
    std::optional<Interval> interval;                       ///< 95 % t interval of the mean, from two reps on
    std::vector<std::pair<std::string, MeasureValue>> each; ///< rep id and its value
    int drafts = 0;                                         ///< reps whose value rests on a body model's draft
    std::string refused;                                    ///< when no rep gave a value: the most frequent reason
};

/// Gathers one measure over reps.
MeasuredValue gather(const std::string& measure, const std::vector<MeasuredRep>& reps);

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
};

/// Each measure of the blueprint, athlete against target. Pure; one Deviation per blueprint measure, in its order.
std::vector<Deviation> compare(const Blueprint& blueprint, const std::vector<MeasuredRep>& athlete,
                               const std::vector<MeasuredRep>& model, const CompareOptions& options = {});

} // namespace riflesso
