#include "simulator/athlete.h"

#include "simulator/movement_parts.h"

#include <Eigen/Geometry>

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

using moving::rad;
using moving::V;

// In the plane of forward and up: 0 hangs down, 90 forward.
V swing(double degrees) {
    return {std::sin(rad(degrees)), -std::cos(rad(degrees)), 0};
}

// The middle joint of a two-segment limb, bent towards `pole`.
V bend(const V& root, const V& end, double upper, double lower, const V& pole) {
    const V axis = (end - root).normalized();
    const double d = std::min((end - root).norm(), upper + lower);
    const double along = (upper * upper - lower * lower + d * d) / (2.0 * d);
    const double off = std::sqrt(std::max(0.0, upper * upper - along * along));
    const V side = (pole - pole.dot(axis) * axis).normalized();
    return root + along * axis + off * side;
}

} // namespace

Joints SimulatedAthlete::joints(const Pose& p) const {
    const double h = m_stature;
    Joints j;
    // Across the body from the rear to the lead side: along forward when the body is in full profile.
    const V across(std::sin(rad(p.trunkYaw)), 0, std::cos(rad(p.trunkYaw)));
    const V chestLevel(across.z(), 0, -across.x());
    // Hip joints lie some way inside the hips' breadth.
    const double hipHalf = m_f.hipWidth * h * 0.26;
    const double shoulderHalf = m_f.shoulderWidth * h * 0.43;

    const double reach = p.rearLegReach * legLength();
    const double dz = -0.03;
    const double dx = std::sqrt(std::max(0.0, reach * reach - p.rearHipHeight * p.rearHipHeight - dz * dz));
    const V rearHip = p.rearAnkle + V(dx, p.rearHipHeight, dz);
    const V leadHip = rearHip + 2.0 * hipHalf * across;
    const V pelvis = (rearHip + leadHip) / 2.0;

    const V trunkUp(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0);
    const V neck = pelvis + trunkUp * (m_f.trunk * h);
    const V shoulderAxis = (across - across.dot(trunkUp) * trunkUp).normalized();
    j.chest = (chestLevel - chestLevel.dot(trunkUp) * trunkUp).normalized();
    const V leadShoulder = neck + shoulderHalf * shoulderAxis - 0.02 * trunkUp;
    const V rearShoulder = neck - shoulderHalf * shoulderAxis - 0.02 * trunkUp;
    // The head is carried upright whatever the trunk does, a little forward.
    const V headUp = (trunkUp * 0.45 + V(0, 0.55, 0)).normalized();
    const V head = neck + headUp * (m_f.headAndNeck * h * 0.58) + V(0.02, 0, 0);

    const V leadElbow = leadShoulder + m_f.upperArm * h * swing(p.leadUpperArm);
    const V leadWrist = leadElbow + m_f.forearm * h * swing(p.leadForearm);
    const V leadHand = leadWrist + m_f.hand * h * 0.55 * swing(p.foil);
    const V tip = leadHand + 0.92 * swing(p.foil);
    const V rearElbow = rearShoulder + m_f.upperArm * h * (swing(p.rearUpperArm) + V(0, 0, 0.15)).normalized();
    const V rearWrist = rearElbow + m_f.forearm * h * (swing(p.rearForearm) + V(0, 0, 0.1)).normalized();
    const V rearHand = rearWrist + m_f.hand * h * 0.55 * (swing(p.rearForearm + 25)).normalized();

    const V leadKnee = bend(leadHip, p.leadAnkle, m_f.thigh * h, m_f.shank * h, V(1, 0.1, -0.05 - p.leadKneeIn));
    const V rearKnee = bend(rearHip, p.rearAnkle, m_f.thigh * h, m_f.shank * h, V(0.6, 0.15, -0.7));

    const double foot = m_f.footLength * h;
    const V leadAlong(std::cos(rad(p.leadFootPitch)), std::sin(rad(p.leadFootPitch)), 0);
    const V leadDown(std::sin(rad(p.leadFootPitch)), -std::cos(rad(p.leadFootPitch)), 0);
    const double sole = ankleHeight() - 0.025;
    const V rearAlong(0.16, 0, -0.987); // the rear foot stands across the line

    j.at = {{"head", head},
            {"neck", neck},
            {"right_shoulder", leadShoulder},
            {"left_shoulder", rearShoulder},
            {"right_elbow", leadElbow},
            {"left_elbow", rearElbow},
            {"right_wrist", leadWrist},
            {"left_wrist", rearWrist},
            {"right_hand", leadHand},
            {"left_hand", rearHand},
            {"right_hip", leadHip},
            {"left_hip", rearHip},
            {"right_knee", leadKnee},
            {"left_knee", rearKnee},
            {"right_ankle", p.leadAnkle},
            {"left_ankle", p.rearAnkle},
            {"right_heel", p.leadAnkle + sole * leadDown - 0.27 * foot * leadAlong},
            {"left_heel", p.rearAnkle - V(0, sole, 0) - 0.27 * foot * rearAlong},
            {"right_toe", p.leadAnkle + sole * leadDown + 0.73 * foot * leadAlong},
            {"left_toe", p.rearAnkle - V(0, sole, 0) + 0.73 * foot * rearAlong},
            {"foil_tip", tip}};
    return j;
}

} // namespace riflesso
