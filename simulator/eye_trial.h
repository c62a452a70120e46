#pragma once
/// \file
/// One rep of a simulated athlete with one fault of a known size, to train a coach's eye on.

#include "simulator/film_maker.h"

#include <functional>
#include <string>
#include <vector>

namespace riflesso {

/// Sizes of a fault that make sense to look at, in the fault's own unit.
struct FaultRange {
    double smallest = 0.0, largest = 0.0;
    std::string unit;      ///< "degrees", "s", "m", "share", or empty
    double shown = 1.0;    ///< what it is multiplied by in words: 1000 for s (ms), 100 for m (cm) and shares (per cent)
    std::string shownUnit; ///< "°", "ms", "cm", "%"
};
/// Errors: a technique or a fault that is not known.
Result<FaultRange> rangeOf(const std::string& technique, const std::string& fault);

struct EyeTrial {
    std::vector<Picture> frames; ///< a rep from the side, in order
    double rate = 30.0;          ///< pictures a second of real time
};
/// \p size 0: the same rep without the fault. \p seed: of how this rep differs from others. \p goOn: false cancels.
/// Errors: not known; cancelled.
Result<EyeTrial> eyeTrial(const std::string& technique, const std::string& fault, double size, unsigned seed,
                          int height = 270, const std::function<bool()>& goOn = {});

} // namespace riflesso
