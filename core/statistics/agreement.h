#pragma once
/// \file
/// How far two people agree who put the same things into the same drawers.

#include "core/statistics/distributions.h"

#include <optional>
#include <string>
#include <utility>
#include <vector>

namespace riflesso {

/// Cohen's κ (J. Cohen 1960, Educ. Psychol. Meas. 20:37-46) with the large-sample standard error of J. L. Fleiss,
/// J. Cohen & B. S. Everitt 1969, Psychol. Bull. 72:323-327, and the 95 % interval κ ± 1.96 u cut to −1..1.
struct Agreement {
    int n = 0;
    double observed = 0.0; ///< share on which they agree
    double expected = 0.0; ///< share on which they would agree by chance
    double kappa = 0.0;
    double u = 0.0;
    Interval interval;
    std::vector<std::string> words; ///< the drawers, in the order of the alphabet
};

/// Empty when there are fewer than two pairs, or both always say the same one word: then nothing can be told.
std::optional<Agreement> agreementOf(const std::vector<std::pair<std::string, std::string>>& pairs);

} // namespace riflesso
