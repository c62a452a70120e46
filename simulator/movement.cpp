#include "simulator/movement_parts.h"

namespace riflesso {
namespace {

using namespace moving;

// Null for one that is not known, and for the lunge, which has a class of its own.
const Technique* techniqueOf(const std::string& id) {
    static const std::map<std::string, const Technique*> known = {{"race-walking", &walk()},
                                                                  {"archery-shot", &shot()},
                                                                  {"volleyball-spike", &spike()},
                                                                  {"rowing-ergometer", &row()},
                                                                  {"handball-marking", &duels()}};
    const auto it = known.find(id);
    return it == known.end() ? nullptr : it->second;
}

} // namespace

Joints jointsOf(const SimulatedAthlete& athlete, const BodyPose& p) {
    const double h = athlete.stature();
    const auto& f = athlete.fractions();
    Joints j;
    // Across the body from the rear to the lead side; a yaw of 0 looks forward.
    const auto across = [](double yaw, double roll) {
        return V(std::sin(rad(yaw)) * std::cos(rad(roll)), std::sin(rad(roll)),
                 std::cos(rad(yaw)) * std::cos(rad(roll)));
    };
    const V hips = across(p.pelvisYaw, p.pelvisRoll), shoulders = across(p.shoulderYaw, 0.0);
    const V leadHip = p.pelvis + hips * f.hipWidth * h * 0.26, rearHip = p.pelvis - hips * f.hipWidth * h * 0.26;
    const V trunkUp(std::sin(rad(p.trunkLean)), std::cos(rad(p.trunkLean)), 0);
    const V neck = p.pelvis + trunkUp * (f.trunk * h);
    const V axis = (shoulders - shoulders.dot(trunkUp) * trunkUp).normalized();
    const V level(shoulders.z(), 0, -shoulders.x());
    j.chest = (level - level.dot(trunkUp) * trunkUp).normalized();
    const V leadShoulder = neck + axis * f.shoulderWidth * h * 0.43 - 0.02 * trunkUp;
    const V rearShoulder = neck - axis * f.shoulderWidth * h * 0.43 - 0.02 * trunkUp;
    const double nod = p.trunkLean * 0.45 + p.headLean;
    const V headUp(std::sin(rad(nod)), std::cos(rad(nod)), 0);
    const V head = neck + headUp * (f.headAndNeck * h * 0.58);
    V leadAnkle = p.leadAnkle, rearAnkle = p.rearAnkle, leadWrist = p.leadWrist, rearWrist = p.rearWrist;
    const V leadKnee = bend(leadHip, leadAnkle, f.thigh * h, f.shank * h, p.kneeTo);
    const V rearKnee = bend(rearHip, rearAnkle, f.thigh * h, f.shank * h, V(p.kneeTo.x(), p.kneeTo.y(), p.kneeTo.z()));
    const V rearElbowTo(p.elbowTo.x(), p.elbowTo.y(), -p.elbowTo.z());
    const V leadElbow = bend(leadShoulder, leadWrist, f.upperArm * h, f.forearm * h, p.elbowTo);
    const V rearElbow = bend(rearShoulder, rearWrist, f.upperArm * h, f.forearm * h, rearElbowTo);
    const auto hand = [&](const V& elbow, const V& wrist) {
        return V(wrist + (wrist - elbow).normalized() * f.hand * h * 0.55);
    };
    const double foot = f.footLength * h, sole = athlete.ankleHeight() - 0.025;
    const V way(std::cos(rad(p.footYaw)), 0, -std::sin(rad(p.footYaw)));
    const auto heelAndToe = [&](const V& ankle, double pitch, const char* heel, const char* toe) {
        const V along = way * std::cos(rad(pitch)) + V(0, std::sin(rad(pitch)), 0);
        const V down = way * std::sin(rad(pitch)) - V(0, std::cos(rad(pitch)), 0);
        j.at[heel] = ankle + sole * down - 0.27 * foot * along;
        j.at[toe] = ankle + sole * down + 0.73 * foot * along;
    };
    j.at["head"] = head;
    j.at["neck"] = neck;
    j.at["right_shoulder"] = leadShoulder;
    j.at["left_shoulder"] = rearShoulder;
    j.at["right_elbow"] = leadElbow;
    j.at["left_elbow"] = rearElbow;
    j.at["right_wrist"] = leadWrist;
    j.at["left_wrist"] = rearWrist;
    j.at["right_hand"] = hand(leadElbow, leadWrist);
    j.at["left_hand"] = hand(rearElbow, rearWrist);
    j.at["right_hip"] = leadHip;
    j.at["left_hip"] = rearHip;
    j.at["right_knee"] = leadKnee;
    j.at["left_knee"] = rearKnee;
    j.at["right_ankle"] = leadAnkle;
    j.at["left_ankle"] = rearAnkle;
    heelAndToe(leadAnkle, p.leadFootPitch, "right_heel", "right_toe");
    heelAndToe(rearAnkle, p.rearFootPitch, "left_heel", "left_toe");
    return j;
}

std::map<std::string, std::string> faultsOf(const std::string& technique) {
    static const std::map<std::string, std::string> lunge = {
        {"hand_late_s", "s by which the hand starts too late"},
        {"rear_knee_bent", "share of the rear leg that stays bent at the landing"},
        {"trunk_falls_deg", "degrees of lean too much"},
        {"guard_narrow_m", "m by which the guard is too narrow"},
        {"knee_beyond_toe_m", "m by which the front foot lands too short"},
        {"slow_recovery_s", "s added to the way back"},
        {"tip_drops_deg", "degrees by which the tip points too low"}};
    if (technique == "fencing-lunge")
        return lunge;
    const Technique* known = techniqueOf(technique);
    return known ? known->faults : std::map<std::string, std::string>();
}

std::unique_ptr<SimulatedMovement> makeMovement(const std::string& technique, const SimulatedAthlete& athlete,
                                                const Faults& faults, double variation, int reps, unsigned seed) {
    const Technique* known = techniqueOf(technique);
    if (!known || reps < 1)
        return nullptr;
    for (const auto& [name, size] : faults)
        if (!known->faults.contains(name))
            return nullptr;
    return known->make(athlete, faults, variation, reps, seed);
}

} // namespace riflesso
