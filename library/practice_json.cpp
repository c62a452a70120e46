// Bodies of practice, decisions, notes on frames and the plan.

#include "library/body_json.h"
#include "library/case_json.h"

namespace riflesso {

using nlohmann::json;

std::string toJson(const Block& b) {
    json reps = json::array();
    for (const auto& r : b.reps) {
        json rep = json::object();
        if (r.athlete)
            rep["athlete"] = *r.athlete;
        if (r.coach)
            rep["coach"] = *r.coach;
        if (!r.reason.empty())
            rep["reason"] = r.reason;
        if (!r.variation.empty())
            rep["variation"] = r.variation;
        if (r.machine)
            rep["machine"] = *r.machine;
        if (!r.clip.empty())
            rep["clip"] = r.clip;
        reps.push_back(rep);
    }
    json j = {{"day", isoDate(b.day)},
              {"drill", b.drill},
              {"stage", enumName(kStageNames, b.stage)},
              {"reps", reps},
              {"note", b.note}};
    if (!b.cue.empty())
        j["cue"] = b.cue;
    if (!b.film.empty())
        j["film"] = b.film;
    if (b.own)
        j["own"] = {{"minutes", b.own->minutes}, {"hits", b.own->hits},   {"where", b.own->where},
                    {"feet", b.own->feet},       {"hands", b.own->hands}, {"noticed", b.own->noticed},
                    {"next", b.own->next}};
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<Block> blockFromJson(const std::string& text) {
    return guarded<Block>(text, "block", [](const JsonReader& j) {
        Block b;
        b.day = readDay(j["day"]);
        b.drill = j["drill"].text();
        b.stage = j["stage"].word<Stage>(kStageNames);
        for (const auto& r : j["reps"].items()) {
            PractisedRep rep;
            if (r.has("athlete"))
                rep.athlete = r["athlete"].truth();
            if (r.has("coach"))
                rep.coach = r["coach"].truth();
            rep.reason = r.textOr("reason");
            rep.variation = r.textOr("variation");
            if (r.has("machine"))
                rep.machine = r["machine"].truth();
            if (rep.clip = r.textOr("clip"); rep.clip.find('/') != std::string::npos) // a name, never a way out
                rep.clip.clear();
            b.reps.push_back(rep);
        }
        b.note = j.textOr("note");
        b.cue = j.textOr("cue");
        b.film = j.textOr("film");
        if (j.has("own")) {
            const auto o = j["own"];
            b.own = SelfCoached{o["minutes"].number(), o["hits"].integer(), o.textOr("where"), o["feet"].integer(),
                                o["hands"].integer(),  o.textOr("noticed"), o.textOr("next")};
        }
        return b;
    });
}

std::string toJson(const FindingDecision& d) {
    json j = {{"fault", d.fault},
              {"kind", enumName(kDecisionKindNames, d.kind)},
              {"reason", d.reason},
              {"day", isoDate(d.day)},
              {"consent", enumName(kConsentNames, d.consent)}};
    if (!d.words.empty())
        j["words"] = d.words;
    if (d.closed)
        j["closed"] = isoDate(*d.closed);
    if (d.note != 0)
        j["note"] = d.note;
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<FindingDecision> decisionFromJson(const std::string& text) {
    return guarded<FindingDecision>(text, "decision", [](const JsonReader& j) {
        FindingDecision d;
        d.fault = j["fault"].text();
        d.words = j.textOr("words");
        d.kind = j["kind"].word<DecisionKind>(kDecisionKindNames);
        d.reason = j.textOr("reason");
        d.day = readDay(j["day"]);
        d.consent = j["consent"].word<Consent>(kConsentNames);
        if (j.has("closed"))
            d.closed = readDay(j["closed"]);
        d.note = static_cast<Id>(j.numberOr("note", 0.0));
        return d;
    });
}

std::string toJson(const FrameNote& n) {
    const auto points = [](const std::vector<Pixel>& all) {
        json out = json::array();
        for (const auto& p : all)
            out.push_back(pixel(p));
        return out;
    };
    json j = {{"take", n.take},
              {"frame", n.frame.value},
              {"points_px", points(n.points)},
              {"words", n.words},
              {"day", isoDate(n.day)}};
    if (n.other) {
        j["other_frame"] = n.other->value;
        j["other_points_px"] = points(n.otherPoints);
    }
    if (!n.kind.empty()) {
        j["kind"] = n.kind;
        j["value"] = n.value;
        j["u"] = n.u;
        j["unit"] = n.unit;
    }
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<FrameNote> noteFromJson(const std::string& text) {
    return guarded<FrameNote>(text, "note", [](const JsonReader& j) {
        FrameNote n;
        n.take = j["take"].integer();
        n.frame = FrameIndex(j["frame"].integer());
        for (const auto& p : j.itemsOr("points_px"))
            n.points.push_back(readPixel(p));
        if (j.has("other_frame"))
            n.other = FrameIndex(j["other_frame"].integer());
        for (const auto& p : j.itemsOr("other_points_px"))
            n.otherPoints.push_back(readPixel(p));
        n.kind = j.textOr("kind");
        n.value = j.numberOr("value", 0.0);
        n.u = j.numberOr("u", 0.0);
        n.unit = j.textOr("unit");
        n.words = j.textOr("words");
        n.day = readDay(j["day"]);
        return n;
    });
}

std::string toJson(const PlannedBlock& b) {
    json j = {{"day", isoDate(b.day)},
              {"fault", b.fault},
              {"drill", b.drill},
              {"minutes", b.minutes},
              {"kind", enumName(kBlockKindNames, b.kind)},
              {"stage", enumName(kStageNames, b.stage)},
              {"state", enumName(kBlockStateNames, b.state)}};
    if (b.locked)
        j["locked"] = true;
    if (!b.accepted.empty())
        j["accepted"] = b.accepted;
    if (!b.why.empty())
        j["why"] = b.why;
    if (!b.by.empty())
        j["by"] = b.by;
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<PlannedBlock> plannedFromJson(const std::string& text) {
    return guarded<PlannedBlock>(text, "planned block", [](const JsonReader& j) {
        PlannedBlock b;
        b.day = readDay(j["day"]);
        b.fault = j.textOr("fault");
        b.drill = j["drill"].text();
        b.minutes = j["minutes"].number();
        b.kind = j["kind"].word<BlockKind>(kBlockKindNames);
        b.stage = j["stage"].word<Stage>(kStageNames);
        b.state = j["state"].word<BlockState>(kBlockStateNames);
        b.locked = j.truthOr("locked", false);
        for (const auto& a : j.itemsOr("accepted"))
            b.accepted.push_back(a.text());
        b.why = j.textOr("why");
        b.by = j.textOr("by");
        return b;
    });
}

} // namespace riflesso
