#include "core/programme/calendar.h"

#include "core/words/say.h"

#include <algorithm>
#include <charconv>
#include <cstdio>

namespace riflesso {

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

std::string dayWords(Day day) {
    if (const auto language = languageInUse(); language && language->day)
        return language->day(day);
    static const char* const weekdays[] = {"Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"};
    static const char* const months[] = {"Jan", "Feb", "Mar", "Apr", "May", "Jun",
                                         "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"};
    const std::chrono::year_month_day ymd(day);
    return std::string(weekdays[weekdayOf(day)]) + " " + std::to_string(static_cast<unsigned>(ymd.day())) + " " +
           months[static_cast<unsigned>(ymd.month()) - 1];
}

std::string dateWords(Day day) {
    const std::string words = dayWords(day); // the weekday comes first in every language
    return words.substr(words.find(' ') + 1) + " " +
           std::to_string(static_cast<int>(std::chrono::year_month_day(day).year()));
}

} // namespace riflesso
