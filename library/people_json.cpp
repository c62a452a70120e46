// Bodies of athletes and briefs.

#include "library/body_json.h"
#include "library/case_json.h"
#include "library/model_json.h"

#include <cmath>

namespace riflesso {

using nlohmann::json;

std::string toJson(const Athlete& a) {
    json j = {
        {"name", a.name}, {"handedness", enumName(kSideNames, a.handedness)}, {"level", a.level}, {"minor", a.minor}};
    if (!a.squad.empty())
        j["squad"] = a.squad;
    if (a.putAway)
        j["put_away"] = true;
    for (const auto& n : a.body) {
        json note = {{"part", n.part}, {"words", n.words}, {"pain", n.pain}};
        if (n.since)
            note["since"] = isoDate(*n.since);
        j["body"].push_back(note);
    }
    for (const auto& g : a.growth)
        j["growth"].push_back({{"day", isoDate(g.day)}, {"stature_cm", g.stature}});
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<Athlete> athleteFromJson(const std::string& text) {
    return guarded<Athlete>(text, "athlete", [](const JsonReader& j) {
        Athlete a{j["name"].text(),  j["handedness"].word<Side>(kSideNames),
                  j.textOr("level"), j.truthOr("minor", false),
                  j.textOr("squad"), j.truthOr("put_away", false)};
        for (const auto& n : j.itemsOr("body")) {
            BodyNote note{n["part"].text(), n.textOr("words"), {}, n.truthOr("pain", false)};
            if (n.has("since"))
                note.since = readDay(n["since"]);
            a.body.push_back(std::move(note));
        }
        for (const auto& g : j.itemsOr("growth"))
            a.growth.push_back({readDay(g["day"]), g["stature_cm"].number()});
        return a;
    });
}

std::string toJson(const Brief& b) {
    json competitions = json::array();
    const auto written = [](const std::vector<Guess>& all) {
        json out = json::array();
        for (const auto& g : all) {
            out.push_back({{"measure", g.measure}, {"value", g.value}});
            if (g.day != Day{})
                out.back()["day"] = isoDate(g.day);
        }
        return out;
    };
    for (Day d : b.competitions)
        competitions.push_back(isoDate(d));
    json models = json::array();
    for (const auto& m : b.models)
        models.push_back(json::parse(modelToJson(m)));
    json j = {{"goal", b.goal},
              {"thinks", b.thinks},
              {"told", b.told},
              {"injuries", b.injuries},
              {"wants_rebuild", b.wantsRebuild},
              {"school", b.school},
              {"minutes", b.minutes},
              {"competitions", competitions},
              {"guesses", written(b.guesses)},
              {"blueprint_version", b.blueprintVersion},
              {"reference", enumName(kReferenceKindNames, b.reference)},
              {"models", models}};
    if (!b.pastGuesses.empty())
        j["past_guesses"] = written(b.pastGuesses);
    if (b.aim) {
        j["aim"] = {{"measure", b.aim->measure}, {"from", b.aim->from}, {"to", b.aim->to}};
        if (b.aim->by)
            j["aim"]["by"] = isoDate(*b.aim->by);
    }
    for (const auto& t : b.targets) {
        json target = {{"measure", t.measure}, {"off", t.off}, {"reason", t.reason}};
        if (std::isfinite(t.lo))
            target["lo"] = t.lo;
        if (std::isfinite(t.hi))
            target["hi"] = t.hi;
        j["targets"].push_back(target);
    }
    if (b.alone != std::array<bool, 7>{})
        j["alone"] = b.alone;
    if (b.places != std::array<PracticePlace, 7>{})
        for (const PracticePlace p : b.places)
            j["places"].push_back(enumName(kPlaceNames, p));
    for (std::size_t p = 0; p < kPlaceNames.size(); ++p)
        if (!b.lacks[p].empty())
            j["lacks"][std::string(kPlaceNames[p])] = b.lacks[p];
    if (!b.regime.empty())
        j["regime"] = b.regime;
    for (const auto& busy : b.busy)
        j["busy"].push_back({{"day", isoDate(busy.day)}, {"minutes", busy.minutes}, {"words", busy.words}});
    if (!b.banned.empty())
        j["banned"] = b.banned;
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<Brief> briefFromJson(const std::string& text) {
    return guarded<Brief>(text, "brief", [](const JsonReader& j) {
        Brief b;
        b.goal = j.textOr("goal");
        b.thinks = j.textOr("thinks");
        b.told = j.textOr("told");
        b.injuries = j.textOr("injuries");
        b.wantsRebuild = j.truthOr("wants_rebuild", true);
        b.school = j.textOr("school");
        const auto minutes = j["minutes"].items();
        for (std::size_t i = 0; i < 7 && i < minutes.size(); ++i)
            b.minutes[i] = minutes[i].integer();
        for (const auto& c : j.itemsOr("competitions"))
            b.competitions.push_back(readDay(c));
        for (const auto& [key, list] : {std::pair{"guesses", &b.guesses}, {"past_guesses", &b.pastGuesses}})
            for (const auto& g : j.itemsOr(key))
                list->push_back({g["measure"].text(), g["value"].number(), g.has("day") ? readDay(g["day"]) : Day{}});
        b.blueprintVersion = static_cast<int>(j.numberOr("blueprint_version", 1.0));
        if (j.has("reference"))
            b.reference = j["reference"].word<ReferenceKind>(kReferenceKindNames);
        for (const auto& m : j.itemsOr("models"))
            b.models.push_back(readModel(m));
        if (j.has("aim")) {
            const auto aim = j["aim"];
            b.aim = Goal{aim["measure"].text(), aim["from"].number(), aim["to"].number(), {}};
            if (aim.has("by"))
                b.aim->by = readDay(aim["by"]);
        }
        for (const auto& t : j.itemsOr("targets")) {
            OwnTarget own;
            own.measure = t["measure"].text();
            own.off = t.truthOr("off", false);
            own.lo = t.numberOr("lo", own.lo);
            own.hi = t.numberOr("hi", own.hi);
            own.reason = t.textOr("reason");
            b.targets.push_back(own);
        }
        const auto alone = j.itemsOr("alone");
        for (std::size_t i = 0; i < 7 && i < alone.size(); ++i)
            b.alone[i] = alone[i].truth();
        const auto places = j.itemsOr("places");
        for (std::size_t i = 0; i < 7 && i < places.size(); ++i)
            b.places[i] = places[i].word<PracticePlace>(kPlaceNames);
        if (j.has("lacks"))
            for (std::size_t p = 0; p < kPlaceNames.size(); ++p)
                for (const auto& e : j["lacks"].itemsOr(std::string(kPlaceNames[p])))
                    b.lacks[p].push_back(e.text());
        b.regime = j.textOr("regime");
        for (const auto& busy : j.itemsOr("busy"))
            b.busy.push_back({readDay(busy["day"]), busy["minutes"].number(), busy.textOr("words")});
        for (const auto& drill : j.itemsOr("banned"))
            b.banned.push_back(drill.text());
        return b;
    });
}

} // namespace riflesso
