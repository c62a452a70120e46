#include "core/progress/speed.h"

#include <algorithm>
#include <cmath>
#include <limits>

namespace riflesso {
namespace {
constexpr std::size_t kFewest = 5;
constexpr double kSpread = 3.0;      // per cent of speed between the slowest and the fastest rep, at least
constexpr double kBeyondSeen = 10.0; // per cent beyond the speeds seen
constexpr double kStep = 5.0;        // practise at multiples of this many per cent
constexpr double kStated = 5.0;      // standard error of a stated effort, per cent of the utmost
} // namespace

SpeedAnswer whereItFallsApart(const std::vector<TimedRep>& reps, const Band& band, SpeedBy by) {
    SpeedAnswer out;
    out.by = by;
    double fastest = std::numeric_limits<double>::infinity();
    for (const auto& r : reps)
        if (r.duration > 0.0)
            fastest = std::min(fastest, r.duration);
    double slow = std::numeric_limits<double>::infinity(), fast = 0.0;
    for (const auto& r : reps) {
        if (by == SpeedBy::effort ? !r.effort : !(r.duration > 0.0))
            continue;
        const double percent = 100.0 * (by == SpeedBy::effort ? *r.effort : fastest / r.duration);
        out.points.push_back(
            {percent, by == SpeedBy::effort ? kStated : percent * r.uDuration / r.duration, r.value, r.u});
        slow = std::min(slow, percent);
        fast = std::max(fast, percent);
    }
    if (out.points.size() < kFewest || fast - slow < kSpread)
        return out;
    out.line = lineThrough(out.points);
    if (!out.line)
        return out;
    // Reps scatter by more than their errors: the slope must stand out from that, too.
    const double widened = std::sqrt(std::max(1.0, out.line->dof > 0 ? out.line->chi2 / out.line->dof : 1.0));
    if (std::abs(out.line->slope) < studentQuantile(0.975, std::max(1, out.line->dof)) * out.line->uSlope * widened) {
        out.verdict = SpeedVerdict::unmoved;
        return out;
    }
    const auto at = [&](double percent) { return out.line->intercept + out.line->slope * percent; };
    const auto inside = [&](double v) { return v >= band.lo && v <= band.hi; };
    if (inside(at(slow)) && inside(at(fast))) {
        out.verdict = SpeedVerdict::staysInside;
        return out;
    }
    if (!inside(at(slow))) { // slower still it may be inside; these reps do not tell
        out.verdict = SpeedVerdict::outAtAll;
        return out;
    }
    const auto crossing = crossingOf(*out.line, out.line->slope > 0.0 ? band.hi : band.lo);
    if (!crossing || crossing->x < slow - kBeyondSeen || crossing->x > fast + kBeyondSeen)
        return out;
    out.verdict = SpeedVerdict::leavesAt;
    out.leaves = crossing;
    const double sure = crossing->interval ? crossing->interval->lo : crossing->x;
    out.practiseAt = std::max(0.0, kStep * std::floor(std::min(sure, crossing->x) / kStep));
    return out;
}

} // namespace riflesso
