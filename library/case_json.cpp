#include "library/case_json.h"

#include "library/json_reader.h"

namespace riflesso {
namespace {

using nlohmann::json;
constexpr std::array<std::string_view, 2> kSideNames = {"left", "right"};

Day readDay(const JsonReader& j) {
    const auto day = dayFromIso(j.text());
    if (!day)
        j.fail("\"" + j.text() + "\" is no date like 2026-11-23");
    return *day;
}

template <typename T, typename Read> Result<T> guarded(const std::string& text, const char* what, Read read) {
    try {
        const auto parsed = json::parse(text);
        return read(JsonReader(parsed, ""));
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, what, "the library was not changed", {}};
    } catch (const json::exception&) {
        return Error{"its data in the library are damaged", what, "the library was not changed", {}};
    }
}

} // namespace

std::string toJson(const Brief& b) {
    json competitions = json::array(), guesses = json::array();
    for (Day d : b.competitions)
        competitions.push_back(isoDate(d));
    for (const auto& g : b.guesses)
        guesses.push_back({{"measure", g.measure}, {"value", g.value}});
    return json{{"athlete",
                 {{"name", b.athlete.name},
                  {"handedness", enumName(kSideNames, b.athlete.handedness)},
                  {"level", b.athlete.level},
                  {"minor", b.athlete.minor}}},
                {"goal", b.goal},
                {"thinks", b.thinks},
                {"told", b.told},
                {"injuries", b.injuries},
                {"wants_rebuild", b.wantsRebuild},
                {"school", b.school},
                {"minutes", b.minutes},
                {"competitions", competitions},
                {"guesses", guesses}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<Brief> briefFromJson(const std::string& text) {
    return guarded<Brief>(text, "brief", [](const JsonReader& j) {
        Brief b;
        const auto a = j["athlete"];
        b.athlete = {a["name"].text(), a["handedness"].word<Side>(kSideNames), a.textOr("level"),
                     a.truthOr("minor", false)};
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
        for (const auto& g : j.itemsOr("guesses"))
            b.guesses.push_back({g["measure"].text(), g["value"].number()});
        return b;
    });
}

std::string toJson(const Take& t) {
    json j = {{"title", t.title},
              {"film", t.film},
              {"performer", enumName(kPerformerNames, t.performer)},
              {"who", t.who},
              {"handedness", enumName(kSideNames, t.handedness)},
              {"day", isoDate(t.day)},
              {"view", enumName(kViewNames, t.view)},
              {"facing", enumName(kFacingNames, t.facing)},
              {"stage", enumName(kStageNames, t.stage)},
              {"width", t.width},
              {"height", t.height}};
    if (t.captureRate)
        j["capture_rate_hz"] = *t.captureRate;
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<Take> takeFromJson(const std::string& text) {
    return guarded<Take>(text, "take", [](const JsonReader& j) {
        Take t;
        t.title = j["title"].text();
        t.film = j["film"].text();
        t.performer = j["performer"].word<Performer>(kPerformerNames);
        t.who = j.textOr("who");
        t.handedness = j["handedness"].word<Side>(kSideNames);
        t.day = readDay(j["day"]);
        t.view = j["view"].word<View>(kViewNames);
        t.facing = j["facing"].word<Facing>(kFacingNames);
        t.stage = j["stage"].word<Stage>(kStageNames);
        t.width = j["width"].integer();
        t.height = j["height"].integer();
        if (j.has("capture_rate_hz"))
            t.captureRate = j["capture_rate_hz"].number();
        return t;
    });
}

std::string toJson(const Rep& r) {
    json positions = json::object();
    for (const auto& [id, p] : r.positions) {
        positions[id] = {{"frame", p.frame.value}};
        if (p.sigma)
            positions[id]["sigma_s"] = *p.sigma;
    }
    return json{{"number", r.number}, {"positions", positions}}.dump();
}

Result<Rep> repFromJson(const std::string& text) {
    try {
        const auto parsed = json::parse(text);
        const JsonReader j(parsed, "");
        Rep r;
        r.number = j["number"].integer();
        for (const auto& [id, value] : parsed.at("positions").items()) {
            const JsonReader p(value, "positions." + id);
            PlacedPosition placed{FrameIndex(p["frame"].integer()), std::nullopt};
            if (p.has("sigma_s"))
                placed.sigma = p["sigma_s"].number();
            r.positions[id] = placed;
        }
        return r;
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, "rep", "the library was not changed", {}};
    } catch (const json::exception&) {
        return Error{"its data in the library are damaged", "rep", "the library was not changed", {}};
    }
}

std::string toJson(const Block& b) {
    json reps = json::array();
    for (const auto& r : b.reps)
        reps.push_back({{"athlete", r.athleteGood}, {"coach", r.coachGood}});
    return json{{"day", isoDate(b.day)},
                {"drill", b.drill},
                {"stage", enumName(kStageNames, b.stage)},
                {"reps", reps},
                {"note", b.note}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<Block> blockFromJson(const std::string& text) {
    return guarded<Block>(text, "block", [](const JsonReader& j) {
        Block b;
        b.day = readDay(j["day"]);
        b.drill = j["drill"].text();
        b.stage = j["stage"].word<Stage>(kStageNames);
        for (const auto& r : j["reps"].items())
            b.reps.push_back({r["athlete"].truth(), r["coach"].truth()});
        b.note = j.textOr("note");
        return b;
    });
}

} // namespace riflesso
