#pragma once
/// \file
/// The fencing lunge as smooth curves through key poses, with faults as parameters.

#include "simulator/athlete.h"

#include <map>
#include <string>
#include <vector>

namespace riflesso {

/// Faults that can be injected; 0 = none. Sizes in the unit named.
struct LungeFaults {
    double handLate = 0.0;      ///< s by which the hand starts too late
    double rearKneeBent = 0.0;  ///< share of the rear leg's length that stays bent at the landing (0.05 is a lot)
    double trunkFalls = 0.0;    ///< degrees of forward lean too much in the lunge
    double guardNarrow = 0.0;   ///< m by which the guard is too narrow
    double kneeBeyondToe = 0.0; ///< m by which the front foot lands too short under the knee
    double slowRecovery = 0.0;  ///< s added to the way back
    double tipDrops = 0.0;      ///< degrees by which the tip points too low in the lunge
};

/// One rep: what this repetition does, variation included.
class LungeRep {
public:
    /// \p variation 0 = the perfect repetition of the parameters; 1 = an ordinary good athlete. \p seed fixes it.
    LungeRep(const SimulatedAthlete& athlete, const LungeFaults& faults, double variation, unsigned seed);

    [[nodiscard]] Pose pose(double t) const; ///< t: s from the rep's start
    [[nodiscard]] double duration() const { return m_end; }
    /// Key positions and their true instants, s from the rep's start.
    [[nodiscard]] const std::map<std::string, double>& keyTimes() const { return m_keys; }

private:
    const SimulatedAthlete* m_athlete;
    LungeFaults m_faults;
    std::map<std::string, double> m_keys;
    double m_end = 0;
    // The curve's own parameters, varied from rep to rep.
    double m_guard, m_step, m_guardHip, m_lungeHip, m_lean, m_armUp, m_forearm, m_foil, m_reach;
};

} // namespace riflesso
