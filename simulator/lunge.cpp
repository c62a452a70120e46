#include "simulator/lunge.h"

#include <algorithm>
#include <cmath>
#include <random>

namespace riflesso {
namespace {

// Minimum-jerk step from 0 to 1 between two instants (Flash and Hogan 1985, J. Neurosci. 5:1688-1703).
double step(double t, double from, double to) {
    const double u = std::clamp((t - from) / (to - from), 0.0, 1.0);
    return u * u * u * (10.0 - 15.0 * u + 6.0 * u * u);
}

constexpr double kPushLead = 0.06; // s by which the rear leg pushes before the front foot leaves

double mix(double a, double b, double s) {
    return a + (b - a) * s;
}

} // namespace

LungeRep::LungeRep(const SimulatedAthlete& athlete, const LungeFaults& faults, double variation, unsigned seed)
    : m_athlete(&athlete), m_faults(faults) {
    std::mt19937 random(seed);
    std::normal_distribution<double> normal(0.0, variation);
    const double h = athlete.stature() / 1.80;
    m_guard = (0.53 - faults.guardNarrow) * h + 0.008 * normal(random);
    m_guardHip = 0.76 * h + 0.006 * normal(random);
    m_lungeHip = 0.47 * h + 0.008 * normal(random);
    m_lean = 4.0 + 0.7 * normal(random);
    m_armUp = 92.0 + 0.8 * normal(random);
    m_forearm = 97.0 + 0.8 * normal(random);
    m_foil = 89.0 + 0.6 * normal(random);
    m_reach = 0.996 - faults.rearKneeBent + 0.0008 * normal(random);
    // The front foot lands where the shank stands upright over it.
    const double reach = m_reach * athlete.legLength();
    const double hipForward = std::sqrt(reach * reach - m_lungeHip * m_lungeHip);
    m_step = hipForward + 0.52 * h - faults.kneeBeyondToe + 0.010 * normal(random);

    const double arm = 0.30 + 0.008 * normal(random) + faults.handLate;
    const double foot = 0.58 + 0.008 * normal(random);
    const double land = foot + 0.28 + 0.006 * normal(random);
    const double held = land + 0.17;
    const double back = held + 0.07 + 0.40 + 0.012 * normal(random) + faults.slowRecovery;
    // The last quiet instant: 10 ms before the hand starts or the rear leg begins to push.
    const double quiet = std::min(arm, foot - kPushLead) - 0.010;
    m_keys = {{"on_guard", quiet},  {"arm_starts", arm},  {"arm_straight", arm + 0.23}, {"foot_leaves", foot},
              {"heel_lands", land}, {"lunge_held", held}, {"back_on_guard", back}};
    m_end = back + 0.15;
}

Pose LungeRep::pose(double t) const {
    const double h = m_athlete->stature() / 1.80;
    const double foot = m_keys.at("foot_leaves"), land = m_keys.at("heel_lands"), held = m_keys.at("lunge_held");
    const double back = m_keys.at("back_on_guard"), arm = m_keys.at("arm_starts"), straight = m_keys.at("arm_straight");
    const double recovers = held + 0.07;
    const double home = step(t, recovers, back); // the way back

    Pose p;
    const double ankle = m_athlete->ankleHeight();
    p.rearAnkle = {0, ankle, 0};

    // Front foot: lifts toes first, flies low, lands on the heel, flattens.
    const double flight = std::clamp((t - foot) / (land - foot), 0.0, 1.0);
    const double stepOut = step(t, foot, land) * (1.0 - home);
    const double lift = 0.085 * h * std::sin(M_PI * flight) * (t <= land ? 1.0 : 0.0);
    const double recoverFlight = std::clamp((t - recovers) / (back - recovers), 0.0, 1.0);
    const double recoverLift = 0.06 * h * std::sin(M_PI * recoverFlight);
    const double landPitch = 20.0 * step(t, foot, mix(foot, land, 0.7)) * (1.0 - step(t, land, land + 0.09));
    p.leadFootPitch = landPitch + 10.0 * std::sin(M_PI * recoverFlight);
    const double pitchRise = 0.27 * 0.152 * m_athlete->stature() * std::sin(p.leadFootPitch * M_PI / 180.0);
    p.leadAnkle = {mix(m_guard, m_step, stepOut), ankle + std::max(0.0, lift) + recoverLift + pitchRise * 0.5, 0.04};

    // Hips: pushed out by the rear leg, sinking into the lunge.
    const double sink = step(t, foot, held) * (1.0 - home);
    p.rearHipHeight = mix(m_guardHip, m_lungeHip, sink);
    const double guardForward = m_guard * 0.30;
    const double guardReach = std::hypot(guardForward, m_guardHip) / m_athlete->legLength();
    const double push = step(t, foot - kPushLead, land - 0.02) * (1.0 - home);
    p.rearLegReach = std::max(mix(guardReach, m_reach, push), p.rearHipHeight / m_athlete->legLength() + 0.001);

    const double out = step(t, foot, land) * (1.0 - home);
    p.trunkLean = mix(m_lean, m_lean + 4.0 + m_faults.trunkFalls, out);
    p.trunkYaw = mix(55, 72, out);
    p.leadKneeIn = 0.0;

    const double extend = step(t, arm, straight) * (1.0 - step(t, recovers + 0.05, back));
    p.leadUpperArm = mix(34, m_armUp, extend);
    p.leadForearm = mix(103, m_forearm, extend);
    p.foil = mix(97, m_foil, extend) - m_faults.tipDrops * out;
    p.rearUpperArm = mix(-112, -78, out);
    p.rearForearm = mix(-195, -84, out);
    return p;
}

} // namespace riflesso
