#pragma once
/// \file
/// The simulated microphone: strikes in a hall, with its own noise, hum and echo.

#include "core/motion/sync.h"

#include <vector>

namespace riflesso {

struct SimulatedMicrophone {
    double rate = 12000.0; ///< Hz of real time
    double noise = 0.004;  ///< standard deviation, full scale 1
    double loudness = 0.5; ///< of a strike
    double echo = 0.034;   ///< s until the wall answers
    unsigned seed = 1;     ///< of the noise and of where it stands
    unsigned hall = 0;     ///< of the knocks from elsewhere, which all microphones hear; 0 = an empty hall
};

/// What it hears from \p begin to \p end (s of real time) when strikes happen at \p strikes.
Sound hear(const SimulatedMicrophone& microphone, const std::vector<double>& strikes, double begin, double end);

} // namespace riflesso
