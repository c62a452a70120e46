#include "library/calendar_file.h"

#include "core/statistics/numbers.h"

#include <libical/ical.h>

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
    std::string out = "Cue: " + d.cue + "\n" + std::to_string(d.dose.sets) + " x " + std::to_string(d.dose.reps) +
                      ", " + general(b.minutes, 3) + " min\n" + d.how;
    if (!d.caution.empty())
        out += "\nCaution: " + d.caution;
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
        if (options.homeOnly && b.kind != BlockKind::home)
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
        const std::string name = d ? d->name : b.drill;
        icalcomponent_set_summary(event,
                                  (name + (b.home() ? " (at home), " : ", ") + general(b.minutes, 3) + " min").c_str());
        if (d)
            icalcomponent_set_description(event, describe(*d, b).c_str());
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

} // namespace riflesso
