#pragma once
/// \file
/// Which cue works for this athlete: reps after each cue at the same drill and stage. Ways of feeding a drill are
/// compared by the same arithmetic.

#include "core/statistics/distributions.h"

#include <string>
#include <vector>

namespace riflesso {

/// Reps that were done with a cue in mind.
struct CueReps {
    std::string cue;
    int good = 0, bad = 0;
};

/// Fewest reps of a cue from which anything is said (as at the gate; common practice, no source).
inline constexpr int kCueReps = 8;

struct CueStanding {
    std::string cue;
    int good = 0, n = 0;
    double share = 0.5; ///< posterior mean, uniform prior
    Interval interval;  ///< 95 %, equal tails
    double pBest = 0.0; ///< that its share is the largest of all
    int more = 0;       ///< reps still needed before it may be compared
};

/// By pBest, the best first. Shares have uniform priors and are independent; P(best) is integrated over the posterior
/// (for two cues the exact sum of J. D. Cook 2005, "Exact calculation of beta inequalities", is met to 1e-4).
std::vector<CueStanding> compareCues(const std::vector<CueReps>& cues);

/// How likely each share is the smallest of all; in the order of \p cues.
std::vector<double> likelyWorst(const std::vector<CueReps>& cues);

/// The best one when that is sure: every cue has its reps, and P(best) >= 0.9. Null else.
const CueStanding* clearlyBest(const std::vector<CueStanding>& cues);

} // namespace riflesso
