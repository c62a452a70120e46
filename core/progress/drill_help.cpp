#include "core/progress/drill_help.h"

#include <algorithm>
#include <set>

namespace riflesso {

DrillHelp helpOf(const std::vector<DrillDay>& done, const std::vector<TrendPoint>& films, const Band& band) {
    constexpr int kFewestDays = 3, kManyDays = 8;
    constexpr double kFewest = 24.0; // reps and minutes together: either is a rep or a minute of work
    DrillHelp out;
    if (done.empty())
        return out;
    const Day first =
        std::min_element(done.begin(), done.end(), [](const auto& a, const auto& b) { return a.day < b.day; })->day;
    const TrendPoint *before = nullptr, *after = nullptr;
    for (const auto& film : films) {
        const TrendPoint*& which = film.day <= first ? before : after;
        if (!which || film.day >= which->day)
            which = &film;
    }
    if (!before || !after)
        return out;
    std::set<Day> days;
    for (const auto& d : done)
        if (d.day <= after->day) {
            days.insert(d.day);
            out.reps += d.reps;
            out.minutes += d.minutes;
        }
    out.days = static_cast<int>(days.size());
    out.before = before->day;
    out.after = after->day;
    out.change = changeBetween(*before, *after, band);
    if (out.days < kFewestDays || out.reps + out.minutes < kFewest)
        return out;
    if (out.change.movement != Movement::withinError)
        out.effect = out.change.movement == Movement::towards ? DrillEffect::moved : DrillEffect::awry;
    else if (distanceOutside(after->value, band) == 0.0)
        out.effect = DrillEffect::inside;
    else
        out.effect = out.days < kManyDays ? DrillEffect::notYet : DrillEffect::stuck;
    return out;
}

} // namespace riflesso
