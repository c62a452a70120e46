#include "library/case_card.h"

#include <nlohmann/json.hpp>

#include <cmath>
#include <limits>

namespace riflesso {

std::string toJson(const CaseCard& c) {
    return nlohmann::json{{"next", c.next},         {"needs_coach", c.needsCoach},
                          {"focus", c.focus},       {"filmed", c.filmed},
                          {"practice", c.practice}, {"film", c.film},
                          {"frame", c.frame},       {"crop", c.crop},
                          {"again", c.again},       {"again_words", c.againWords},
                          {"detail", c.detail}}
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
        c.again = j.value("again", c.again);
        c.againWords = j.value("again_words", c.againWords);
        c.detail = j.value("detail", c.detail);
    } catch (const nlohmann::json::exception&) {
        return {}; // of a later program: made anew when the case is next opened
    }
    return c;
}

CaseCard cardOn(CaseCard card, Day today) {
    // What the coach has to do first comes before a new film.
    if (const auto day = dayFromIso(card.again); day && *day <= today && !card.needsCoach) {
        card.next = card.againWords;
        card.needsCoach = true;
    }
    return card;
}

SquadMember memberOf(std::int64_t caseId, const std::string& name, const CardDetail& d, Day today) {
    SquadMember m{caseId, name, d.faults, d.injuries, {}};
    if (const auto day = dayFromIso(d.competition); day && *day >= today)
        m.daysToCompetition = static_cast<int>((*day - today).count());
    return m;
}

std::string toJson(const CardDetail& d) {
    using nlohmann::json;
    json faults = json::array(), measures = json::array();
    for (const auto& f : d.faults)
        faults.push_back({f.fault, static_cast<int>(f.standing), f.priority, f.parts});
    const auto end = [](double v) { return std::isfinite(v) ? json(v) : json(nullptr); };
    for (const auto& m : d.measures)
        measures.push_back({m.id, m.value, m.u, end(m.lo), end(m.hi)});
    json segments = json::array();
    for (const auto& s : d.segments)
        segments.push_back({s.day, s.name, s.metres});
    json reached = json::array();
    for (const auto& [fault, stage] : d.reached)
        reached.push_back({fault, static_cast<int>(stage)});
    return json{{"faults", faults},       {"measures", measures},         {"focus", d.focus},     {"week", d.week},
                {"injuries", d.injuries}, {"competition", d.competition}, {"segments", segments}, {"reached", reached}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

CardDetail detailFromJson(const std::string& text) {
    CardDetail d;
    const auto j = nlohmann::json::parse(text, nullptr, false);
    if (!j.is_object())
        return d;
    constexpr double kOpen = std::numeric_limits<double>::infinity();
    try {
        for (const auto& f : j.at("faults")) {
            const int standing = f.at(1).get<int>();
            if (standing < 0 || standing >= static_cast<int>(kStandingNames.size()))
                return {};
            d.faults.push_back({f.at(0).get<std::string>(), static_cast<Standing>(standing), f.at(2).get<double>(),
                                f.at(3).get<std::vector<std::string>>()});
        }
        for (const auto& m : j.at("measures"))
            d.measures.push_back({m.at(0).get<std::string>(), m.at(1).get<double>(), m.at(2).get<double>(),
                                  m.at(3).is_null() ? -kOpen : m.at(3).get<double>(),
                                  m.at(4).is_null() ? kOpen : m.at(4).get<double>()});
        d.focus = j.at("focus").get<std::vector<std::string>>();
        d.week = j.at("week").get<std::vector<std::pair<std::string, double>>>();
        d.injuries = j.at("injuries").get<std::string>();
        d.competition = j.at("competition").get<std::string>();
        for (const auto& s : j.value("segments", nlohmann::json::array())) // cards of before have none
            d.segments.push_back({s.at(0).get<std::string>(), s.at(1).get<std::string>(), s.at(2).get<double>()});
        for (const auto& r : j.value("reached", nlohmann::json::array())) {
            const int stage = r.at(1).get<int>();
            if (stage < 0 || stage >= static_cast<int>(kStageNames.size()))
                return {};
            d.reached.emplace_back(r.at(0).get<std::string>(), static_cast<Stage>(stage));
        }
    } catch (const nlohmann::json::exception&) {
        return {};
    }
    return d;
}

} // namespace riflesso
