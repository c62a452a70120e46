#pragma once
/// \file
/// What varies between the reps of a day, and what changed over them.

#include "core/measure/kinds/cyclic.h"
#include "core/measure/kinds/derived.h"
#include "core/mirror/reference.h"

namespace riflesso {

/// Who is inconsistent: the athlete, or the marks?
enum class Varies {
    athlete, ///< the spread is more than marking explains, at 95 %
    marks,   ///< marking explains it: marked with more care, the reps would look more alike
    unclear  ///< it may be either
};

/// The spread of one measure between reps, taken apart.
struct Variation {
    std::string measure;
    int reps = 0;
    Spread spread;
    Varies by = Varies::unclear;
    double share = 0.0; ///< of the variance, that marking explains, 0..1
};
/// For each measure with a value on three reps or more, in the blueprint's order. Spread and drift themselves, and what
/// was only noted, are left out. The athlete's own when s² / mean u² exceeds the 95 % point of χ²(n − 1) / (n − 1);
/// the marks' when it is below that distribution's median.
std::vector<Variation> variationsOf(const Blueprint& blueprint, const std::vector<MeasuredRep>& reps);

/// A change of speed, and which of rate and length made it.
struct SpeedStory {
    std::string speed, rate, length; ///< ids of the measures; speed may be empty
    CadenceValue before, after;      ///< cycles a second, unit of length a cycle
    int repsBefore = 0, repsAfter = 0;
    SpeedChange change; ///< unit of length a second
    double meanSpeed = 0.0;
};
/// The blueprint's first pair of cadence measures, rate and length of the same cycles, in \p before and \p after. Empty
/// when there is no such pair or no value of it on one side.
std::optional<SpeedStory> speedStory(const Blueprint& blueprint, const std::vector<MeasuredRep>& before,
                                     const std::vector<MeasuredRep>& after);

/// The first and the last third of reps in the order in which they were made; both empty with fewer than six.
std::pair<std::vector<MeasuredRep>, std::vector<MeasuredRep>> firstAndLast(std::vector<MeasuredRep> reps);

} // namespace riflesso
