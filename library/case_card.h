#pragma once
/// \file
/// What the shelf shows of a case without opening it.

#include <array>
#include <string>

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
    friend bool operator==(const CaseCard&, const CaseCard&) = default;
};

std::string toJson(const CaseCard& card);
/// An empty card when the text is none.
CaseCard cardFromJson(const std::string& text);

} // namespace riflesso
