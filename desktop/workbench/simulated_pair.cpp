#include "desktop/workbench/simulated_pair.h"

#include "casebook/drawing.h"
#include "handover/guide.h"
#include "simulator/eye_trial.h"
#include "simulator/movement.h"
#include "simulator/technique_pictures.h"

#include <array>
#include <map>

namespace riflesso {
namespace {

constexpr int kHeight = 480; // px; a body fills half of it

// Where the simulator's name is not the blueprint's.
struct Alias {
    const char *technique, *fault, *simulated;
};
constexpr std::array kAliases = {
    Alias{"fencing-lunge", "narrow_guard", "guard_narrow_m"},
    Alias{"fencing-lunge", "hand_late", "hand_late_s"},
    Alias{"fencing-lunge", "rear_leg_soft", "rear_knee_bent"},
    Alias{"fencing-lunge", "trunk_falls", "trunk_falls_deg"},
    Alias{"fencing-lunge", "tip_drops", "tip_drops_deg"},
    Alias{"fencing-lunge", "knee_beyond_toe", "knee_beyond_toe_m"},
    Alias{"fencing-lunge", "slow_recovery", "slow_recovery_s"},
    Alias{"archery-shot", "jerky_draw", "jerky"},
    Alias{"archery-shot", "restless_bow", "restless"},
    Alias{"volleyball-spike", "one_foot_landing", "one_foot"},
    Alias{"volleyball-spike", "met_low", "bent_arm"},
};

} // namespace

std::string simulatedFault(const std::string& technique, const std::string& fault) {
    for (const auto& a : kAliases)
        if (technique == a.technique && fault == a.fault)
            return a.simulated;
    // What comes over many reps is not seen on one.
    return faultsOf(technique).contains(fault) && !fault.ends_with("fades") ? fault : std::string();
}

SimulatedPair simulatedPair(const Blueprint& blueprint, const std::string& id) {
    SimulatedPair out;
    const Fault* fault = blueprint.fault(id);
    if (!fault)
        return out;
    const auto still = [&](const Faults& faults) {
        const auto one = positionPictures(blueprint.id, faults, kHeight, fault->phase);
        if (!one || one->empty())
            return QImage();
        return positionStill(one->begin()->second.picture, one->begin()->second.points);
    };
    out.right = still({});
    if (const std::string name = simulatedFault(blueprint.id, id); !name.empty())
        if (const auto range = rangeOf(blueprint.id, name))
            out.wrong = still({{name, range->largest}});
    return out;
}

} // namespace riflesso
