#pragma once
/// \file
/// What the shelf shows of a case without opening it.

#include "core/programme/calendar.h"
#include "core/progress/squad.h"

#include <array>
#include <string>
#include <utility>
#include <vector>

namespace riflesso {

struct CaseCard {
    std::string next;          ///< the one thing to do next, in words
    bool needsCoach = false;   ///< it is the coach who has to do it
    std::string focus;         ///< names of the faults worked on
    std::string filmed;        ///< date of the athlete's newest film, 2026-11-29; empty = never
    std::string practice;      ///< date of the next planned practice; empty = none
    std::string film;          ///< where the still comes from, as in a take
    int frame = 0;             ///< 0-based
    std::array<int, 4> crop{}; ///< x, y, width, height round the athlete, px; no width = the whole picture
    std::string again{};       ///< date from which the athlete is to be filmed again; empty = none
    std::string againWords{};  ///< what for
    std::string detail{};      ///< CardDetail as JSON: read only where it is looked at
    friend bool operator==(const CaseCard&, const CaseCard&) = default;
};

/// The card on a later day than the one it was made on: what is due by then comes first.
CaseCard cardOn(CaseCard card, std::chrono::sys_days today);

/// What the athlete page and the squad sheet show.
struct CardDetail {
    /// A measure's mean over the judged reps; the band's ends may be infinite.
    struct Measure {
        std::string id;
        double value = 0.0, u = 0.0, lo = 0.0, hi = 0.0;
        friend bool operator==(const Measure&, const Measure&) = default;
    };
    std::vector<FaultStanding> faults;                  ///< all of the blueprint's, in its order
    std::vector<Measure> measures;                      ///< those that could be judged
    std::vector<std::string> focus;                     ///< faults that are worked on, by id
    std::vector<std::pair<std::string, double>> week{}; ///< planned minutes by day, from the day it was made on
    std::string injuries{};
    std::string competition{}; ///< date of the next one
    /// How long a segment was seen on a day of films with a known length.
    struct Segment {
        std::string day, name;
        double metres = 0.0;
        friend bool operator==(const Segment&, const Segment&) = default;
    };
    std::vector<Segment> segments{};                      ///< by day
    std::vector<std::pair<std::string, Stage>> reached{}; ///< of faults that are worked on: the stage practice came to
    friend bool operator==(const CardDetail&, const CardDetail&) = default;
};

/// An athlete's row on the squad sheet. \p caseId names it.
SquadMember memberOf(std::int64_t caseId, const std::string& name, const CardDetail& detail, Day today);

std::string toJson(const CaseCard& card);
/// An empty card when the text is none.
CaseCard cardFromJson(const std::string& text);
std::string toJson(const CardDetail& detail);
/// Empty when the text is none, or of a later program.
CardDetail detailFromJson(const std::string& text);

} // namespace riflesso
