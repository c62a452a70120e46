#pragma once
/// \file
/// Did it move, and when: a step, a drift, or nothing. Pure functions of plain values.

#include "core/programme/calendar.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// A measure on one date, with its standard uncertainty u > 0.
struct HistoryPoint {
    Day day{};
    double value = 0.0;
    double u = 0.0;
};

enum class HistoryKind { nothing, step, drift };
inline constexpr std::array<std::string_view, 3> kHistoryKindNames = {"nothing", "step", "drift"};

/// How likely each story is. All three share a level of which nothing is known before. The change (of a step, or of a
/// drift from the first day to the last) is normal round 0 with a standard deviation of 2, 4 or 8 times the median u,
/// a third each; a step's date is equally likely between any two dates. Before the data: nothing 0.5, step 0.35, drift
/// 0.15: what was changed on purpose tends to change at once (common practice, no source).
/// Marginal likelihoods with known variances in closed form (a textbook result for the linear Gaussian model).
struct History {
    HistoryKind kind = HistoryKind::nothing; ///< the likeliest
    double pNothing = 1.0, pStep = 0.0, pDrift = 0.0;
    std::optional<Day> day; ///< the likeliest first date after a step
    std::vector<Day> days;  ///< the smallest set of such dates that holds 95 % of a step's probability, by date
    double change = 0.0;    ///< the likeliest story's: last level less first, or the drift over all days
    double u = 0.0;         ///< of the change
    std::string words;
};

/// Points in any order. Of fewer than three dates nothing can be told: kind nothing, with words that say so.
History historyOf(std::vector<HistoryPoint> points);

} // namespace riflesso
