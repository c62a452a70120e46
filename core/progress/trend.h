#pragma once
/// \file
/// Did the number move by more than our own marking error?

#include "core/mirror/decision.h"
#include "core/programme/calendar.h"

#include <cmath>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// A focus measure on one date.
struct TrendPoint {
    Day day{};
    double value = 0.0;
    double u = 0.0; ///< standard uncertainty of the value
    int reps = 0;
    Stage stage = Stage::shadow;
    double uShared = 0.0; ///< the part of u that every value under one set-up has in common
    std::string setup{};  ///< how it was filmed; empty = unknown, and then nothing is in common with another
};

enum class Movement { towards, away, withinError };

/// Change between two points against the smallest change worth believing.
/// MDC95 = 1.96 √(u₁² + u₂²), without the part that both share when they are of one set-up; which is 1.96·√2·SEM when
/// both sessions are equally sure (J. P. Weir 2005, J. Strength Cond. Res. 19:231-240).
struct Change {
    double change = 0.0;
    double mdc = 0.0;
    Movement movement = Movement::withinError; ///< towards = nearer to the band
    std::string words;
};

Change changeBetween(const TrendPoint& before, const TrendPoint& after, const Band& band);

/// Distance of a value from the band, 0 inside.
double distanceOutside(double value, const Band& band);

/// The athlete's guess beside the truth.
struct Perception {
    double guess = 0.0;
    double measured = 0.0;
    double u = 0.0;
    [[nodiscard]] double gap() const { return guess - measured; }
    /// True when the gap is more than twice the uncertainty: feeling and film really differ.
    [[nodiscard]] bool differs() const { return std::abs(gap()) > 2.0 * u; }
};

/// A guess and what films of about its day say.
struct DatedPerception {
    Day day{};
    Perception felt;
};

/// Does feeling come nearer to the film?
enum class GapStory { shrinks, grows, cannotTell };
/// The size of the last gap against the first's: told when they differ by more than 1.96 of both errors together.
GapStory gapStory(const std::vector<DatedPerception>& guesses);

} // namespace riflesso
