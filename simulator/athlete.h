#pragma once
/// \file
/// The parametric athlete: segment lengths and a pose as joints in space.
///
/// World: metres, x = the athlete's forward, y = up, z = the athlete's right when facing forward. Right-handed athlete:
/// right side in front.

#include "core/motion/landmark.h"

#include <Eigen/Core>

#include <map>

namespace riflesso {

/// Segment lengths as fractions of stature after R. Drillis and R. Contini 1966, as tabled in D. A. Winter,
/// Biomechanics and Motor Control of Human Movement, 4th ed., fig. 4.1. Figures from memory.
struct BodyFractions {
    double footHeight = 0.039;
    double shank = 0.246;
    double thigh = 0.245;
    double trunk = 0.288; ///< hip to shoulder
    double shoulderWidth = 0.259;
    double hipWidth = 0.191;
    double upperArm = 0.186;
    double forearm = 0.146;
    double hand = 0.108;
    double headAndNeck = 0.182;
    double footLength = 0.152;
};

/// What a pose is made of. Angles in degrees; arm angles in the plane of forward and up: 0 hangs down, 90 points
/// forward, −90 back, 180 up.
struct Pose {
    Eigen::Vector3d leadAnkle{0, 0, 0}, rearAnkle{0, 0, 0};
    double leadFootPitch = 0; ///< + = toes up
    double rearHipHeight = 0; ///< of the rear hip above its ankle, m
    double rearLegReach = 0;  ///< rear hip to rear ankle, as a share of the straight leg
    double trunkLean = 0;     ///< + = forward
    double trunkYaw = 55;     ///< how far the chest is turned from facing forward
    double leadKneeIn = 0;    ///< knee off the line of the foot, + = towards the chest side
    double leadUpperArm = 0, leadForearm = 0, foil = 0;
    double rearUpperArm = 0, rearForearm = 0;
};

/// Joints in the world, by landmark name of a right-handed athlete (the simulated athletes are right-handed), and the
/// foil's tip.
struct Joints {
    std::map<LandmarkName, Eigen::Vector3d> at;
    Eigen::Vector3d chest; ///< unit vector out of the chest
};

class SimulatedAthlete {
public:
    explicit SimulatedAthlete(double stature = 1.80) : m_stature(stature) {}
    [[nodiscard]] double stature() const { return m_stature; }
    [[nodiscard]] double shank() const { return m_f.shank * m_stature; }
    [[nodiscard]] double legLength() const { return (m_f.shank + m_f.thigh) * m_stature; }
    [[nodiscard]] double ankleHeight() const { return m_f.footHeight * m_stature; }
    [[nodiscard]] const BodyFractions& fractions() const { return m_f; }
    [[nodiscard]] Joints joints(const Pose& pose) const;

private:
    double m_stature;
    BodyFractions m_f;
};

} // namespace riflesso
