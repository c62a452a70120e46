#pragma once
/// \file
/// Reps of films judged by athlete and coach before the measure is shown: who sees what.

#include "casebook/analysis.h"
#include "core/statistics/agreement.h"

#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// The athlete's reps on which a measure has a value and a band, in an order that \p seed alone decides.
std::vector<Id> repsToJudge(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis,
                            const std::string& measure, unsigned seed);

/// What the measure says of one rep: P(inside its band) from value and u.
struct MachineVerdict {
    double inside = 0.0;
    [[nodiscard]] bool good() const { return inside >= 0.5; }
    std::string words; ///< "probably not yet good (0.83)"; the value stands beside it
};
MachineVerdict machineVerdict(const Band& band, double value, double u);
/// Empty when the measure has no value on it, or no band.
std::optional<MachineVerdict> machineVerdict(const Blueprint& blueprint, const Analysis& analysis,
                                             const std::string& measure, Id rep);

/// A rep of which a measure is sure, to train an eye on.
struct SureRep {
    Id rep = 0;
    double beyond = 0.0; ///< of the band's edge, in the band's scale; 0 = inside
};
/// Measures of which at least \p each reps are surely outside their band and as many surely inside (models' reps too),
/// by id.
std::map<std::string, std::vector<SureRep>> sureReps(const CaseData& data, const Blueprint& blueprint,
                                                     const Analysis& analysis, int each = 2);

/// Agreement of each pair of judges over all film verdicts of a case; \p measure: of one measure alone, or all when
/// empty. A pair that judged too few things together is empty.
struct FilmAgreement {
    std::optional<Agreement> athleteCoach, athleteFilm, coachFilm;
    int reps = 0;
    int missedByCoach = 0, missedByAthlete = 0; ///< good to them, not to the measure
    int bad = 0;                                ///< not good to the measure
};
FilmAgreement filmAgreement(const CaseData& data, const std::string& measure = {});

} // namespace riflesso
