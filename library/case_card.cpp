#include "library/case_card.h"

#include <nlohmann/json.hpp>

namespace riflesso {

std::string toJson(const CaseCard& c) {
    return nlohmann::json{{"next", c.next},         {"needs_coach", c.needsCoach},
                          {"focus", c.focus},       {"filmed", c.filmed},
                          {"practice", c.practice}, {"film", c.film},
                          {"frame", c.frame},       {"crop", c.crop}}
        .dump(-1, ' ', false, nlohmann::json::error_handler_t::replace);
}

CaseCard cardFromJson(const std::string& text) {
    CaseCard c;
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_object())
        return c;
    try {
        c.next = j.value("next", c.next);
        c.needsCoach = j.value("needs_coach", false);
        c.focus = j.value("focus", c.focus);
        c.filmed = j.value("filmed", c.filmed);
        c.practice = j.value("practice", c.practice);
        c.film = j.value("film", c.film);
        c.frame = j.value("frame", 0);
        c.crop = j.value("crop", c.crop);
    } catch (const nlohmann::json::exception&) {
        return {}; // of a later program: made anew when the case is next opened
    }
    return c;
}

} // namespace riflesso
