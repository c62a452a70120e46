#pragma once
/// \file
/// Days, and what stands on them; the ladder of a fault.

#include "core/judge/judge.h"
#include "core/technique/blueprint.h"

#include <array>
#include <chrono>
#include <cstdint>
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

using Day = std::chrono::sys_days;

/// "2026-11-09".
std::string isoDate(Day day);
/// Reads "2026-11-09"; empty when it is no date.
std::optional<Day> dayFromIso(std::string_view text);
/// 0 = Monday … 6 = Sunday.
int weekdayOf(Day day);

/// "Mon 24 Nov", as the reader's language has it: of days near to now.
std::string dayWords(Day day);
/// "24 Nov 2026", as the reader's language has it: of days that may lie in another year.
std::string dateWords(Day day);

/// Where a weekday's session is: where one trains, or at home, where only what can be done there is planned.
enum class PracticePlace { club, home };
inline constexpr std::array<std::string_view, 2> kPlaceNames = {"club", "home"};

/// session: in the technique session of its day; home: alone, a few minutes; support: mobility, strength and the like.
enum class BlockKind { session, home, support };
inline constexpr std::array<std::string_view, 3> kBlockKindNames = {"session", "home", "support"};

/// What became of it. Dropped ones stay on record so that they are not planned again on that day.
enum class BlockState { planned, done, moved, missed, dropped };
inline constexpr std::array<std::string_view, 5> kBlockStateNames = {"planned", "done", "moved", "missed", "dropped"};

/// One drill on one day.
struct PlannedBlock {
    Day day{};
    std::string fault;
    std::string drill;
    double minutes = 0.0;
    BlockKind kind = BlockKind::session;
    std::vector<std::string> rules{}; ///< the rules it obeys, in words; made anew, not kept
    Stage stage = Stage::shadow;
    BlockState state = BlockState::planned;
    bool locked = false;                 ///< by a person: planning goes round it
    bool forecast = false;               ///< beyond the stage reached today: "if the gate agrees"; made anew, not kept
    std::vector<std::string> accepted{}; ///< rules that were overruled knowingly
    std::string why{};                   ///< of a change made by hand
    std::string by{};                    ///< who made it; empty = the program, or nobody said
    std::int64_t id = 0;                 ///< in the library; 0 = not kept yet
    [[nodiscard]] bool home() const { return kind == BlockKind::home; }
    friend bool operator==(const PlannedBlock&, const PlannedBlock&) = default;
};

/// Drills that answer a fault, in ladder order (stage, then the blueprint's order).
std::vector<const Drill*> ladderOf(const Blueprint& blueprint, const Fault& fault);

} // namespace riflesso
