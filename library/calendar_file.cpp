#include "library/calendar_file.h"

#include "core/programme/at_home.h"
#include "core/programme/support.h"
#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <libical/ical.h>

#include <algorithm>
#include <ctime>

namespace riflesso {
namespace {

icaltimetype dateOf(Day day) {
    const std::chrono::year_month_day ymd(day);
    icaltimetype t = icaltime_null_date();
    t.year = static_cast<int>(ymd.year());
    t.month = static_cast<int>(static_cast<unsigned>(ymd.month()));
    t.day = static_cast<int>(static_cast<unsigned>(ymd.day()));
    t.is_date = 1;
    return t;
}

std::string describe(const Drill& d, const PlannedBlock& b) {
    std::string out = fill(say("calendar", "Cue: %1"), {d.cue}) + "\n" +
                      fill(say("calendar", "%1 x %2, %3 min"),
                           {std::to_string(d.dose.sets), std::to_string(d.dose.reps), general(b.minutes, 3)}) +
                      "\n" + d.how;
    if (!d.caution.empty())
        out += "\n" + fill(say("calendar", "Caution: %1"), {d.caution});
    return out;
}

} // namespace

std::string planToCalendar(const Blueprint& blueprint, const std::vector<PlannedBlock>& blocks,
                           const CalendarFileOptions& options) {
    icalcomponent* calendar = icalcomponent_new_vcalendar();
    icalcomponent_add_property(calendar, icalproperty_new_version("2.0"));
    icalcomponent_add_property(calendar, icalproperty_new_prodid("-//Riflesso//Plan//EN"));
    // A minute is fine enough, and fits a 32-bit SEQUENCE for four thousand years.
    const int sequence = static_cast<int>(options.now / 60);
    for (const auto& b : blocks) {
        const Drill* d = blueprint.drill(b.drill);
        if (options.homeOnly && !atHome(b, options.places))
            continue;
        icalcomponent* event = icalcomponent_new_vevent();
        // A block that is not kept yet is named by what and when it is.
        const std::string key = b.id ? std::to_string(b.id) : isoDate(b.day) + "-" + b.drill;
        icalcomponent_set_uid(event, ("riflesso-" + options.owner + "-" + key + "@plan.invalid").c_str());
        icalcomponent_set_sequence(event, sequence);
        icalcomponent_set_dtstamp(event,
                                  icaltime_from_timet_with_zone(options.now, 0, icaltimezone_get_utc_timezone()));
        icalcomponent_set_dtstart(event, dateOf(b.day));
        icalcomponent_set_dtend(event, dateOf(b.day + std::chrono::days(1)));
        const std::string name = workName(blueprint, b.drill);
        icalcomponent_set_summary(event, fill(atHome(b, options.places) ? say("calendar", "%1 (at home), %2 min")
                                                                        : say("calendar", "%1, %2 min"),
                                              {name, general(b.minutes, 3)})
                                             .c_str());
        if (d)
            icalcomponent_set_description(event, describe(*d, b).c_str());
        else if (const SupportWork* work = supportWork(b.drill))
            icalcomponent_set_description(
                event, (word(work->how) + "\n" + fill(say("calendar", "Caution: %1"), {word(work->caution)})).c_str());
        icalcomponent_add_property(event, icalproperty_new_transp(ICAL_TRANSP_TRANSPARENT));
        icalcomponent_set_status(event, b.state == BlockState::dropped ? ICAL_STATUS_CANCELLED : ICAL_STATUS_CONFIRMED);
        icalcomponent_add_component(calendar, event);
    }
    char* text = icalcomponent_as_ical_string_r(calendar);
    std::string out = text ? text : "";
    icalmemory_free_buffer(text);
    icalcomponent_free(calendar);
    return out;
}

namespace {

constexpr std::size_t kLargestCalendar = 10u << 20, kMostEvents = 5000;
constexpr std::time_t kDaySeconds = 24 * 3600;

Day dayOf(std::time_t t) {
    return Day(std::chrono::days(t >= 0 ? t / kDaySeconds : (t - kDaySeconds + 1) / kDaySeconds));
}

struct Gathering {
    std::vector<CalendarEvent>* events;
    std::string words;
    std::time_t wholeDays; ///< s; 0 = the event has hours
};

// One time that an event takes place, in the calendar's own hours.
void gather(icalcomponent*, icaltime_span* span, void* to) {
    auto& g = *static_cast<Gathering*>(to);
    const std::time_t end = g.wholeDays > 0 ? span->start + g.wholeDays : std::max(span->end, span->start + 1);
    for (std::time_t at = span->start; at < end && g.events->size() < kMostEvents;) {
        const Day day = dayOf(at);
        const std::time_t until = std::min<std::time_t>((day.time_since_epoch().count() + 1) * kDaySeconds, end);
        g.events->push_back({day, static_cast<double>(until - at) / 60.0, g.wholeDays > 0, g.words});
        at = until;
    }
}

} // namespace

Result<std::vector<CalendarEvent>> eventsFromCalendar(const std::string& text, const std::string& fileName, Day from,
                                                      Day to) {
    const auto refused = [&](const char* what) {
        return Error{what, fileName, "nothing was taken over", {}, ErrorKind::damaged};
    };
    if (text.size() > kLargestCalendar)
        return refused("a calendar of more than 10 MB is not read");
    icalerror_set_errors_are_fatal(0);
    icalcomponent* all = icalparser_parse_string(text.c_str());
    if (!all)
        return refused("this is no calendar file");
    std::vector<CalendarEvent> out;
    icalcomponent* calendar = icalcomponent_isa(all) == ICAL_VCALENDAR_COMPONENT
                                  ? all
                                  : icalcomponent_get_first_component(all, ICAL_VCALENDAR_COMPONENT);
    if (!calendar) {
        icalcomponent_free(all);
        return refused("this is no calendar file");
    }
    for (icalcomponent* e = icalcomponent_get_first_component(calendar, ICAL_VEVENT_COMPONENT); e;
         e = icalcomponent_get_next_component(calendar, ICAL_VEVENT_COMPONENT)) {
        const icalproperty* transparent = icalcomponent_get_first_property(e, ICAL_TRANSP_PROPERTY);
        if (icalcomponent_get_status(e) == ICAL_STATUS_CANCELLED ||
            (transparent && icalproperty_get_transp(transparent) == ICAL_TRANSP_TRANSPARENT))
            continue;
        const icaltimetype start = icalcomponent_get_dtstart(e);
        if (icaltime_is_null_time(start))
            continue;
        const char* words = icalcomponent_get_summary(e);
        // Of a whole day libical's own end is the second before the one after the last.
        const icaltimetype end = icalcomponent_get_dtend(e);
        const std::time_t days = icaltime_is_null_time(end) ? 0 : icaltime_as_timet(end) - icaltime_as_timet(start);
        Gathering g{&out, words ? words : "", start.is_date ? std::clamp(days, kDaySeconds, 366 * kDaySeconds) : 0};
        icaltimetype last = dateOf(to + std::chrono::days(1));
        icalcomponent_foreach_recurrence(e, dateOf(from), last, gather, &g);
    }
    icalcomponent_free(all);
    std::erase_if(out, [&](const CalendarEvent& e) { return e.day < from || e.day > to; });
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.day < b.day; });
    return out;
}

} // namespace riflesso
