#pragma once
/// \file
/// Reps as they happen: where one has just ended, from how much the picture of a running camera changes.

#include "core/motion/rep_finder.h"

#include <optional>
#include <vector>

namespace riflesso {

/// s on the camera's clock.
struct TimeSpan {
    double begin = 0.0, end = 0.0;
    friend bool operator==(const TimeSpan&, const TimeSpan&) = default;
};

/// What repsFromMotion() finds in the last seconds, told once, as soon as the stillness after it has lasted. What
/// counts as still is learnt from those seconds: after \p memory s of rest alone a rep is found as soon as it is done.
/// One thread.
class RepWatch {
public:
    explicit RepWatch(RepFinderOptions options = {}, double memory = 20.0)
        : m_options(options), m_memory(memory), m_told(-1e9) {}

    /// \p time, s, must rise (what does not is passed over); \p energy as in repsFromMotion(). A rep that has ended and
    /// was not told before, air included.
    std::optional<TimeSpan> add(double time, double energy);

private:
    RepFinderOptions m_options;
    double m_memory; // s
    double m_told;   // end of the last one told, s
    double m_looked = -1e9;
    std::vector<double> m_times, m_energy;
};

} // namespace riflesso
