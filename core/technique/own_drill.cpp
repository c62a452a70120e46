#include "core/technique/own_drill.h"

#include <algorithm>

namespace riflesso {

bool isOwnDrill(std::string_view id) {
    return id.starts_with("own-");
}

std::string freshDrillId(const std::vector<OwnDrill>& drills) {
    for (int n = 1;; ++n) {
        const std::string id = "own-" + std::to_string(n);
        if (std::none_of(drills.begin(), drills.end(), [&](const OwnDrill& d) { return d.drill.id == id; }))
            return id;
    }
}

Blueprint withOwnDrills(Blueprint blueprint, const std::vector<OwnDrill>& drills) {
    for (const auto& own : drills) {
        if (own.technique != blueprint.id || blueprint.drill(own.drill.id))
            continue;
        bool used = false;
        for (auto& fault : blueprint.faults)
            if (std::find(own.faults.begin(), own.faults.end(), fault.id) != own.faults.end()) {
                fault.drills.push_back(own.drill.id);
                used = true;
            }
        if (used)
            blueprint.drills.push_back(own.drill);
    }
    return blueprint;
}

} // namespace riflesso
