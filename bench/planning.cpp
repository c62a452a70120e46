#include "bench/planning.h"

#include "bench/timing.h"
#include "casebook/shipped.h"
#include "core/programme/plan.h"

#include <algorithm>
#include <cstdio>
#include <vector>

namespace riflesso {

void planning() {
    using std::chrono::days;
    std::printf("the plan, on one core\n");
    const auto blueprint = shippedBlueprint("fencing-lunge");
    if (!blueprint)
        return;
    for (const int weeks : {4, 12}) {
        PlanInput in;
        in.from = *dayFromIso("2026-11-23");
        in.days = 7 * weeks;
        in.minutes = {0, 20, 0, 25, 0, 45, 0};
        in.competitions = {in.from + days(60)};
        for (const auto& fault : blueprint->faults)
            if (in.focus.size() < 2 && !fault.drills.empty())
                in.focus.push_back(fault.id);
        Plan laid;
        std::printf("  %2d weeks laid from nothing: %.0f ms\n", weeks, wall([&] { laid = prescribe(*blueprint, in); }));
        // Each session block in turn goes a day later by hand; the fortnight round it is laid anew.
        std::vector<double> gestures;
        for (std::size_t i = 0; i < laid.blocks.size() && gestures.size() < 12; ++i) {
            if (laid.blocks[i].kind != BlockKind::session)
                continue;
            in.standing = laid.blocks;
            auto& moved = in.standing[i];
            const Day was = moved.day;
            moved.day += days(1);
            moved.locked = true;
            moved.state = BlockState::moved;
            gestures.push_back(wall([&] { (void)replan(*blueprint, in, was - days(7), was + days(7)); }));
        }
        if (gestures.empty())
            continue;
        std::sort(gestures.begin(), gestures.end());
        const double most = weeks == 4 ? 150.0 : 500.0;
        row(weeks == 4 ? "a gesture, 4 weeks: median ms" : "a gesture, 12 weeks: median ms",
            gestures[gestures.size() / 2], weeks == 4 ? "150 ms" : "500 ms", most, 1.0, false);
        std::printf("    slowest of %zu: %.0f ms\n", gestures.size(), gestures.back());
    }
}

} // namespace riflesso
