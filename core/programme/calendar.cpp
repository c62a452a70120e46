#include "core/programme/calendar.h"

#include <algorithm>
#include <charconv>
#include <cstdio>

namespace riflesso {
namespace {

using std::chrono::days;

bool available(const Drill& d, const CalendarInput& input) {
    if (d.partner && !input.partner)
        return false;
    return input.equipment.empty() || std::all_of(d.equipment.begin(), d.equipment.end(), [&](const std::string& e) {
               return std::find(input.equipment.begin(), input.equipment.end(), e) != input.equipment.end();
           });
}

// Days before a main competition on which nothing new is introduced.
std::optional<Day> competitionNear(Day day, const CalendarInput& input, int quietDays) {
    for (Day c : input.competitions)
        if (day <= c && c - day < days(quietDays))
            return c;
    return std::nullopt;
}

// The best days for a session in a week starting at `start`: most minutes first, earlier first among equals.
std::vector<Day> sessionDays(Day start, int length, const CalendarInput& input, int wanted) {
    std::vector<Day> candidates;
    for (int i = 0; i < length; ++i)
        if (input.minutes[static_cast<std::size_t>(weekdayOf(start + days(i)))] > 0)
            candidates.push_back(start + days(i));
    std::stable_sort(candidates.begin(), candidates.end(), [&](Day a, Day b) {
        return input.minutes[static_cast<std::size_t>(weekdayOf(a))] >
               input.minutes[static_cast<std::size_t>(weekdayOf(b))];
    });
    if (static_cast<int>(candidates.size()) > wanted)
        candidates.resize(static_cast<std::size_t>(wanted));
    std::sort(candidates.begin(), candidates.end());
    return candidates;
}

} // namespace

std::string isoDate(Day day) {
    const std::chrono::year_month_day ymd(day);
    char buffer[32];
    std::snprintf(buffer, sizeof buffer, "%04d-%02u-%02u", static_cast<int>(ymd.year()),
                  static_cast<unsigned>(ymd.month()), static_cast<unsigned>(ymd.day()));
    return buffer;
}

std::optional<Day> dayFromIso(std::string_view text) {
    if (text.size() != 10 || text[4] != '-' || text[7] != '-')
        return std::nullopt;
    int y = 0;
    unsigned m = 0, d = 0;
    const auto read = [&](std::size_t at, std::size_t n, auto& out) {
        const auto r = std::from_chars(text.data() + at, text.data() + at + n, out);
        return r.ec == std::errc() && r.ptr == text.data() + at + n;
    };
    if (!read(0, 4, y) || !read(5, 2, m) || !read(8, 2, d))
        return std::nullopt;
    const std::chrono::year_month_day ymd{std::chrono::year(y), std::chrono::month(m), std::chrono::day(d)};
    if (!ymd.ok())
        return std::nullopt;
    return Day(ymd);
}

int weekdayOf(Day day) {
    return static_cast<int>(std::chrono::weekday(day).iso_encoding()) - 1;
}

std::vector<const Drill*> ladderOf(const Blueprint& blueprint, const Fault& fault) {
    std::vector<const Drill*> ladder;
    for (const auto& id : fault.drills)
        if (const Drill* d = blueprint.drill(id))
            ladder.push_back(d);
    std::stable_sort(ladder.begin(), ladder.end(), [](const Drill* a, const Drill* b) { return a->stage < b->stage; });
    return ladder;
}

Plan prescribe(const Blueprint& blueprint, const std::vector<std::string>& focus, const CalendarInput& input,
               const CalendarRules& rules) {
    Plan plan;
    if (focus.empty()) {
        plan.notes.push_back("No focus yet: mark a rep and read the findings first.");
        return plan;
    }
    if (!input.wantsRebuild)
        plan.notes.push_back(
            "The athlete does not want to rebuild this now. Talk first; no rebuild without agreement.");

    struct Line {
        const Fault* fault;
        std::vector<const Drill*> ladder;
        std::size_t at = 0; // rung where the sessions start
    };
    std::vector<Line> tracks;
    for (std::size_t i = 0; i < focus.size() && i < rules.mostFocus; ++i) {
        const Fault* fault = blueprint.fault(focus[i]);
        if (!fault)
            continue;
        Line t{fault, {}, 0};
        for (const Drill* d : ladderOf(blueprint, *fault))
            if (available(*d, input))
                t.ladder.push_back(d);
        if (t.ladder.empty()) {
            plan.infeasible =
                "No drill for \"" + fault->name + "\" fits the equipment and partner at hand: relax the equipment.";
            continue;
        }
        const auto reached = input.reached.find(fault->id);
        while (reached != input.reached.end() && t.at + 1 < t.ladder.size() && t.ladder[t.at]->stage < reached->second)
            ++t.at;
        for (const Drill* d : t.ladder) // a drill that answers both is done once
            if (std::find(plan.ladder.begin(), plan.ladder.end(), d->id) == plan.ladder.end())
                plan.ladder.push_back(d->id);
        tracks.push_back(std::move(t));
    }
    if (tracks.empty())
        return plan;
    const int week = input.minutes[0] + input.minutes[1] + input.minutes[2] + input.minutes[3] + input.minutes[4] +
                     input.minutes[5] + input.minutes[6];
    if (week == 0) {
        plan.infeasible = "The brief gives no minutes on any weekday: enter the minutes the athlete will really give.";
        return plan;
    }

    bool saidQuiet = false;
    for (int start = 0; start < input.days; start += 7) {
        const int length = std::min(7, input.days - start);
        const auto sessions = sessionDays(input.from + days(start), length, input, rules.sessionsPerWeek);
        for (int i = 0; i < length; ++i) {
            const Day day = input.from + days(start + i);
            const int minutes = input.minutes[static_cast<std::size_t>(weekdayOf(day))];
            if (minutes == 0)
                continue; // rest day
            if (const auto competition = competitionNear(day, input, rules.quietDays)) {
                if (!saidQuiet)
                    plan.notes.push_back(
                        "Competition on " + isoDate(*competition) +
                        ": nothing new in the two weeks before it. Attention goes to the target; trial, not repair.");
                saidQuiet = true;
                continue;
            }
            if (std::find(sessions.begin(), sessions.end(), day) != sessions.end()) {
                double left = minutes;
                for (auto& t : tracks) {
                    // Two neighbouring rungs a session: the one owned, then the one being learnt.
                    for (std::size_t rung = t.at; rung < std::min(t.at + 2, t.ladder.size()); ++rung) {
                        const Drill* d = t.ladder[rung];
                        const bool twice =
                            std::any_of(plan.blocks.begin(), plan.blocks.end(),
                                        [&](const PlannedBlock& b) { return b.day == day && b.drill == d->id; });
                        if (d->dose.minutes > left || twice)
                            continue;
                        left -= d->dose.minutes;
                        PlannedBlock b{day, t.fault->id, d->id, d->dose.minutes, false, {}};
                        b.rules.push_back("one technique session a week");
                        b.rules.push_back("fits the " + std::to_string(minutes) + " minutes of this day");
                        if (rung > t.at)
                            b.rules.push_back("only after the rung below passes its gate");
                        if (!d->contrast.empty())
                            b.rules.push_back("right and wrong felt side by side, early");
                        plan.blocks.push_back(std::move(b));
                    }
                    if (t.at + 1 < t.ladder.size())
                        ++t.at; // next week one rung higher, if the gate agrees
                }
            } else {
                const auto& t = tracks.front();
                const auto home =
                    std::find_if(t.ladder.begin(), t.ladder.end(), [](const Drill* d) { return d->home; });
                if (home != t.ladder.end())
                    plan.blocks.push_back({day,
                                           t.fault->id,
                                           (*home)->id,
                                           rules.homeMinutes,
                                           true,
                                           {"two minutes a day at home", "technique kept apart from normal training"}});
            }
        }
    }
    if (plan.blocks.empty() && plan.infeasible.empty())
        plan.infeasible =
            saidQuiet
                ? "Every day of these weeks lies within two weeks of a competition: wait, or relax that rule knowingly."
                : "No drill fits the minutes of any day: give one day more minutes.";
    return plan;
}

} // namespace riflesso
