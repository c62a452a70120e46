#include "core/progress/trend.h"
#include "core/words/say.h"

#include "core/statistics/numbers.h"

#include <algorithm>
#include <cmath>
#include <cstdio>

namespace riflesso {

double distanceOutside(double value, const Band& band) {
    return std::max({0.0, band.lo - value, value - band.hi});
}

Change changeBetween(const TrendPoint& before, const TrendPoint& after, const Band& band) {
    Change c;
    c.change = after.value - before.value;
    const auto chance = [](const TrendPoint& p) { return std::sqrt(std::max(0.0, p.u * p.u - p.uShared * p.uShared)); };
    const bool alike = !before.setup.empty() && before.setup == after.setup;
    c.mdc = 1.96 * (alike ? std::hypot(chance(before), chance(after), after.uShared - before.uShared)
                          : std::hypot(before.u, after.u));
    const double was = distanceOutside(before.value, band);
    const double is = distanceOutside(after.value, band);
    const std::string numbers = fill(say("progress", "moved by %1, the smallest change worth believing is %2"),
                                     {(c.change < 0.0 ? "" : "+") + general(c.change, 3), general(c.mdc, 2)});
    if (std::abs(c.change) <= c.mdc) {
        c.words = fill(say("progress", "Within the marking error: %1."), {numbers});
    } else if (is < was) {
        c.movement = Movement::towards;
        c.words = fill(say("progress", "Really better: %1."), {numbers});
    } else if (is > was) {
        c.movement = Movement::away;
        c.words = fill(say("progress", "Really worse: %1."), {numbers});
    } else {
        c.movement = Movement::towards;
        c.words = fill(say("progress", "Moved, and still inside the band: %1."), {numbers});
    }
    return c;
}

GapStory gapStory(const std::vector<DatedPerception>& guesses) {
    if (guesses.size() < 2)
        return GapStory::cannotTell;
    const Perception &first = guesses.front().felt, &last = guesses.back().felt;
    const double less = std::abs(first.gap()) - std::abs(last.gap());
    if (std::abs(less) <= 1.96 * std::hypot(first.u, last.u))
        return GapStory::cannotTell;
    return less > 0.0 ? GapStory::shrinks : GapStory::grows;
}

} // namespace riflesso
