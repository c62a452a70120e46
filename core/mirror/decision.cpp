#include "core/mirror/decision.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

Verdict decide(double value, double u, const Band& band, const DecisionOptions& options) {
    Verdict v;
    v.pLow = std::isinf(band.lo) ? 0.0 : normalCdf(band.lo, value, u);
    v.pHigh = std::isinf(band.hi) ? 0.0 : 1.0 - normalCdf(band.hi, value, u);
    v.pIn = std::max(0.0, 1.0 - v.pLow - v.pHigh);
    if (v.pIn >= options.confidence)
        v.decision = Decision::inside;
    else if (std::max(v.pLow, v.pHigh) >= options.confidence)
        v.decision = Decision::outside;
    if (value < band.lo)
        v.severity = -std::min((band.lo - value) / band.scale, options.severityCap);
    else if (value > band.hi)
        v.severity = std::min((value - band.hi) / band.scale, options.severityCap);
    return v;
}

double margin(double value, const Band& band) {
    return std::min(value - band.lo, band.hi - value) / band.scale;
}

} // namespace riflesso
