#pragma once
/// \file
/// Sets of reps against one another, and where under stress a skill breaks. Pure functions of plain values.

#include "core/statistics/distributions.h"
#include "core/technique/blueprint.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// One measure on one rep of a set.
struct SetValue {
    std::string rep;
    std::string measure;
    double value = 0.0;
    double u = 0.0;       ///< standard uncertainty by chance: marks and instants of this rep
    double uShared = 0.0; ///< what all reps of one camera set-up share: calibration, full width, the analyst's habit
    std::string camera{}; ///< the set-up; empty = unknown, and then nothing is taken to be shared with the other set
};

/// Change of one measure from one set to another.
struct SetChange {
    std::string measure;
    int before = 0, after = 0; ///< reps
    double meanBefore = 0.0, meanAfter = 0.0;
    double change = 0.0; ///< after − before
    /// Standard uncertainty of the change: √(s² (1/n₁ + 1/n₂) + shared²). s² is the chance variance of one rep: the
    /// stated one (mean u²) until the scatter of the reps within the sets contradicts it, here or over the other
    /// measures of the table (χ²). Then it is that scatter, never below the stated, to which the other measures lend
    /// some reps, so that a few that lie close together by chance do not pass for a steady athlete (after the moderated
    /// variance of G. K. Smyth 2004, Stat. Appl. Genet. Mol. Biol. 3:3), widened by Student's t over the normal's 1.96.
    /// The shared part of a camera set-up counts by how much more weight it has in one set than in the other: nothing
    /// under one set-up.
    double u = 0.0;
    double mdc95 = 0.0;     ///< 1.96 u
    double p = 1.0;         ///< of no change, two-sided
    double pAdjusted = 1.0; ///< over the table (Benjamini & Hochberg 1995)
    bool moved = false;     ///< pAdjusted ≤ falseAlarms
    bool scattered = false; ///< the reps differ by more than their stated errors
};

struct SetOptions {
    double falseAlarms = 0.05; ///< share of false ones among what is called moved
    double scatterTest = 0.95; ///< quantile of χ² from which the scatter contradicts the stated errors
    double lent = 10.0;        ///< degrees of freedom that the table lends each measure
};

/// Every measure that both sets have, in the order of the first. Measures with no uncertainty at all that can be known
/// (one rep each, u 0) have u 0 and are never called moved.
std::vector<SetChange> compareSets(const std::vector<SetValue>& before, const std::vector<SetValue>& after,
                                   const SetOptions& options = {});

/// One sentence a measure that moved, and one for the rest. \p names: by measure, empty = the id itself.
std::string inWords(const std::vector<SetChange>& changes);

/// Reps at one stage of stress.
struct StageCount {
    std::string stage;
    int inside = 0, n = 0;
};

struct StageShare {
    std::string stage;
    int inside = 0, n = 0;
    double share = 0.0;
    Interval interval;     ///< Wilson, 95 %
    double smoothed = 0.0; ///< share that cannot rise with stress
    double pOwned = 0.0;   ///< P(share ≥ 3/4): Beta(1, 1) and the reps of the stages pooled with it
    double pBroken = 0.0;  ///< P(share ≤ 1/2)
};

struct BreakPoint {
    std::vector<StageShare> stages;
    std::optional<std::string> owned;  ///< the last stage that is owned, before the break
    std::optional<std::string> breaks; ///< the first at which it breaks
    std::string unsure{};              ///< the first stage of which neither can be said
    int more = 0;                      ///< reps of it that would tell at the share seen so far; 0 = more than 60
    std::string words;
};

/// \p stages in ladder order, easiest first; those without reps are left out. Thresholds: common practice, no source.
BreakPoint whereItBreaks(const std::vector<StageCount>& stages, double sure = 0.8);

/// Place of a stage's name on the ladder (case, spaces, hyphens and underscores do not count); empty when unknown.
std::optional<Stage> stageFromText(std::string_view text);

} // namespace riflesso
