#pragma once
/// \file
/// Inside, outside or undecided: the decision rule for one value against one band.
///
/// After ISO 14253-1 (guard bands by the uncertainty of the measurement) and JCGM 106:2012 (conformance probability,
/// clause 7): with value v and standard uncertainty u the truth is taken as N(v, u²).

#include "core/statistics/distributions.h"

#include <array>
#include <string_view>

namespace riflesso {

/// lo..hi, either end may be infinite. `scale` is the half-width, or for a one-sided band the unit of severity.
struct Band {
    double lo = 0.0;
    double hi = 0.0;
    double scale = 1.0;
};

enum class Decision { inside, outside, undecided };
inline constexpr std::array<std::string_view, 3> kDecisionNames = {"inside", "outside", "undecided"};

struct DecisionOptions {
    double confidence = 0.95; ///< probability needed to call a value inside or outside
    double severityCap = 3.0;
};

struct Verdict {
    double pLow = 0.0;  ///< P(truth below the band)
    double pIn = 0.0;   ///< P(truth in the band)
    double pHigh = 0.0; ///< P(truth above the band)
    Decision decision = Decision::undecided;
    /// Distance beyond the band's edge / scale, capped, sign kept (− below, + above); 0 inside.
    double severity = 0.0;
};

Verdict decide(double value, double u, const Band& band, const DecisionOptions& options = {});

/// Smallest distance to an edge / scale, positive inside, negative outside; how comfortable a value is.
double margin(double value, const Band& band);

} // namespace riflesso
