#pragma once
/// \file
/// The other techniques as smooth curves: race walking, the archery shot, the volleyball spike, the rowing stroke on
/// the ergometer, marking in handball. Each with faults as parameters.
///
/// World as in athlete.h: metres, x = the athlete's forward, y = up, z = the athlete's right. The simulated athletes
/// are right-handed: lead = right.

#include "simulator/athlete.h"

#include <map>
#include <memory>
#include <string>
#include <vector>

namespace riflesso {

/// A body by where its parts are; joints between are found by their segments' lengths.
struct BodyPose {
    Eigen::Vector3d pelvis{0, 0.9, 0}; ///< middle of the hips
    double pelvisYaw = 0.0;            ///< degrees, + = lead side forward; 90 = sideways
    double pelvisRoll = 0.0;           ///< degrees, + = lead hip higher
    double trunkLean = 0.0;            ///< degrees, + = forward
    double shoulderYaw = 0.0;          ///< of the shoulders in space
    double headLean = 0.0;             ///< against the trunk
    Eigen::Vector3d leadAnkle{0, 0.07, 0.08}, rearAnkle{0, 0.07, -0.08};
    double leadFootPitch = 0.0, rearFootPitch = 0.0; ///< degrees, + = toes up
    double footYaw = 0.0;                            ///< degrees, both feet
    Eigen::Vector3d kneeTo{1, 0.1, 0};               ///< the way knees bend
    Eigen::Vector3d leadWrist{0.2, 1.0, 0.25}, rearWrist{0.2, 1.0, -0.25};
    Eigen::Vector3d elbowTo{-0.5, -1, 0}; ///< the way elbows bend
};
Joints jointsOf(const SimulatedAthlete& athlete, const BodyPose& pose);

/// One take of a technique: several reps one after the other, or cycles of one movement.
class SimulatedMovement {
public:
    virtual ~SimulatedMovement() = default;
    [[nodiscard]] virtual Joints at(double t) const = 0; ///< t: s from the take's start
    struct Rep {
        double start = 0.0, end = 0.0;
        std::map<std::string, double> keys; ///< key positions and their true instants, s from the take's start
    };
    [[nodiscard]] const std::vector<Rep>& reps() const { return m_reps; }
    [[nodiscard]] double duration() const { return m_reps.empty() ? 0.0 : m_reps.back().end; }

protected:
    std::vector<Rep> m_reps;
};

/// Faults by name and size, as a recipe gives them. What a technique does not know is an error in makeMovement().
using Faults = std::map<std::string, double>;

/// Names of a technique's faults, with what their size means, in words.
std::map<std::string, std::string> faultsOf(const std::string& technique);
/// \p technique: a shipped blueprint's id other than the lunge's, which has a class of its own. \p variation 0 = the
/// perfect repetition, 1 = an ordinary good athlete. Null when the technique or a fault is not known.
std::unique_ptr<SimulatedMovement> makeMovement(const std::string& technique, const SimulatedAthlete& athlete,
                                                const Faults& faults, double variation, int reps, unsigned seed);

} // namespace riflesso
