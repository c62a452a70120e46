#include "library/case_json.h"

#include "library/model_json.h"

#include "library/json_reader.h"

#include <cmath>

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

json pixel(Pixel p) {
    return json::array({p.x, p.y});
}
json line(const DrawnLine& l) {
    return json::array({pixel(l.a), pixel(l.b)});
}
Pixel readPixel(const JsonReader& j) {
    const auto v = j.items();
    if (v.size() != 2)
        j.fail("must be [x, y]");
    return {v[0].number(), v[1].number()};
}
DrawnLine readLine(const JsonReader& j) {
    const auto v = j.items();
    if (v.size() != 2)
        j.fail("must be two points");
    return {readPixel(v[0]), readPixel(v[1])};
}

json write(const CalibrationInput& c) {
    json j = {{"sigma_px", c.sigma}, {"depth_m", c.depth}};
    if (c.plumb)
        j["plumb"] = line(*c.plumb);
    if (c.horizon)
        j["horizon"] = line(*c.horizon);
    if (c.cameraDistance)
        j["camera_distance_m"] = *c.cameraDistance;
    for (const auto& l : c.lengths)
        j["lengths"].push_back({{"line", line(l.line)}, {"m", l.metres}});
    for (const auto& p : c.points)
        j["points"].push_back({{"px", pixel(p.at)}, {"m", {p.x, p.y}}});
    for (const auto& edge : c.straight) {
        json points = json::array();
        for (const auto& p : edge)
            points.push_back(pixel(p));
        j["straight"].push_back(points);
    }
    return j;
}

CalibrationInput read(const JsonReader& j) {
    CalibrationInput c;
    c.sigma = j.numberOr("sigma_px", 1.5);
    c.depth = j.numberOr("depth_m", 0.0);
    if (j.has("plumb"))
        c.plumb = readLine(j["plumb"]);
    if (j.has("horizon"))
        c.horizon = readLine(j["horizon"]);
    if (j.has("camera_distance_m"))
        c.cameraDistance = j["camera_distance_m"].number();
    for (const auto& l : j.itemsOr("lengths"))
        c.lengths.push_back({readLine(l["line"]), l["m"].number()});
    for (const auto& p : j.itemsOr("points")) {
        const Pixel m = readPixel(p["m"]);
        c.points.push_back({readPixel(p["px"]), m.x, m.y});
    }
    for (const auto& edge : j.itemsOr("straight")) {
        c.straight.emplace_back();
        for (const auto& p : edge.items())
            c.straight.back().push_back(readPixel(p));
    }
    return c;
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
    json competitions = json::array(), guesses = json::array();
    for (Day d : b.competitions)
        competitions.push_back(isoDate(d));
    for (const auto& g : b.guesses)
        guesses.push_back({{"measure", g.measure}, {"value", g.value}});
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
              {"guesses", guesses},
              {"blueprint_version", b.blueprintVersion},
              {"reference", enumName(kReferenceKindNames, b.reference)},
              {"models", models}};
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
        for (const auto& g : j.itemsOr("guesses"))
            b.guesses.push_back({g["measure"].text(), g["value"].number()});
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
        b.regime = j.textOr("regime");
        for (const auto& busy : j.itemsOr("busy"))
            b.busy.push_back({readDay(busy["day"]), busy["minutes"].number(), busy.textOr("words")});
        for (const auto& drill : j.itemsOr("banned"))
            b.banned.push_back(drill.text());
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
    if (!t.checksum.empty())
        j["checksum"] = t.checksum;
    if (!t.captureFrom.empty())
        j["capture_from"] = t.captureFrom;
    if (t.calibration != CalibrationInput{})
        j["calibration"] = write(t.calibration);
    if (t.picture != PictureSettings{})
        j["picture"] = {{"brightness", t.picture.brightness},
                        {"contrast", t.picture.contrast},
                        {"swapped", t.picture.swapped},
                        {"crop", t.picture.crop}};
    if (t.steady)
        j["steady"] = true;
    for (const auto& [landmark, hz] : t.cutoffs)
        j["cutoffs_hz"][landmark] = hz;
    if (t.figure != BodySchema{})
        j["figure"] = {{"part", enumName(kFigurePartNames, t.figure.part)},
                       {"hands", t.figure.hands},
                       {"feet", t.figure.feet},
                       {"extra", t.figure.extra}};
    if (t.zone)
        j["zone_px"] = {{"middle", pixel(t.zone->middle)}, {"edge", pixel(t.zone->edge)}};
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
        t.checksum = j.textOr("checksum");
        t.captureFrom = j.textOr("capture_from");
        if (j.has("calibration"))
            t.calibration = read(j["calibration"]);
        if (j.has("picture")) {
            const auto p = j["picture"];
            t.picture.brightness = p["brightness"].number();
            t.picture.contrast = p["contrast"].number();
            t.picture.swapped = p["swapped"].truth();
            const auto crop = p["crop"].items();
            for (std::size_t i = 0; i < 4 && i < crop.size(); ++i)
                t.picture.crop[i] = crop[i].integer();
        }
        t.steady = j.truthOr("steady", false);
        if (j.has("cutoffs_hz"))
            for (const auto& [landmark, hz] : j["cutoffs_hz"].fields())
                t.cutoffs[landmark] = hz.number();
        if (j.has("figure")) {
            const auto f = j["figure"];
            t.figure.part = f["part"].word<FigurePart>(kFigurePartNames);
            t.figure.hands = f["hands"].truth();
            t.figure.feet = f["feet"].truth();
            for (const auto& name : f["extra"].items()) {
                if (!isLandmarkName(name.text()))
                    name.fail("\"" + name.text() + "\" is no landmark");
                t.figure.extra.push_back(name.text());
            }
        }
        if (j.has("zone_px"))
            t.zone = Zone{readPixel(j["zone_px"]["middle"]), readPixel(j["zone_px"]["edge"])};
        return t;
    });
}

std::string toJson(const Rep& r) {
    json positions = json::object();
    for (const auto& [id, p] : r.positions) {
        positions[id] = {{"frame", p.frame.value}};
        if (p.sigma)
            positions[id]["sigma_s"] = *p.sigma;
        if (p.shift != 0.0)
            positions[id]["shift_s"] = p.shift;
        if (p.proposed)
            positions[id]["proposed"] = true;
    }
    json j = {{"number", r.number}, {"positions", positions}};
    if (r.first && r.last)
        j["span"] = {r.first->value, r.last->value};
    if (!r.situation.empty())
        j["situation"] = r.situation;
    if (!r.choice.empty())
        j["choice"] = r.choice;
    if (r.worked)
        j["worked"] = *r.worked;
    if (r.score)
        j["score"] = *r.score;
    if (r.stage)
        j["stage"] = enumName(kStageNames, *r.stage);
    if (!r.set.empty())
        j["set"] = r.set;
    if (r.landed)
        j["landed"] = {{"frame", r.landed->frame.value}, {"px", pixel(r.landed->at)}};
    for (const auto& [id, s] : r.seen) {
        auto& to = j["seen"][id];
        to = {{"verdict", enumName(kSeenVerdictNames, s.verdict)}, {"frame", s.frame.value}};
        if (!s.note.empty())
            to["note"] = s.note;
        if (s.pin)
            to["pin_px"] = pixel(*s.pin);
    }
    return j.dump(-1, ' ', false, json::error_handler_t::replace);
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
            placed.shift = p.numberOr("shift_s", 0.0);
            placed.proposed = p.truthOr("proposed", false);
            r.positions[id] = placed;
        }
        if (const auto span = j.itemsOr("span"); span.size() == 2) {
            r.first = FrameIndex(span[0].integer());
            r.last = FrameIndex(span[1].integer());
        }
        r.situation = j.textOr("situation");
        r.choice = j.textOr("choice");
        if (j.has("worked"))
            r.worked = j["worked"].truth();
        if (j.has("score"))
            r.score = j["score"].number();
        if (j.has("stage"))
            r.stage = j["stage"].word<Stage>(kStageNames);
        r.set = j.textOr("set");
        if (j.has("landed"))
            r.landed = Landing{FrameIndex(j["landed"]["frame"].integer()), readPixel(j["landed"]["px"])};
        if (j.has("seen"))
            for (const auto& [id, s] : j["seen"].fields()) {
                Seen seen{s["verdict"].word<SeenVerdict>(kSeenVerdictNames),
                          FrameIndex(s["frame"].integer()),
                          s.textOr("note"),
                          {}};
                if (s.has("pin_px"))
                    seen.pin = readPixel(s["pin_px"]);
                r.seen[id] = seen;
            }
        return r;
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, "rep", "the library was not changed", {}};
    } catch (const json::exception&) {
        return Error{"its data in the library are damaged", "rep", "the library was not changed", {}};
    }
}

std::string toJson(const CalibrationInput& c) {
    return write(c).dump(1);
}

Result<CalibrationInput> calibrationFromJson(const std::string& text) {
    auto c = guarded<CalibrationInput>(text, "calibration", read);
    return c ? c : Result<CalibrationInput>(Error{c.error().what, "calibration", "nothing was changed", {}});
}

std::string toJson(const Link& l) {
    json shared = json::array();
    for (const auto& [a, b] : l.shared)
        shared.push_back({a.value, b.value});
    json j = {{"a", l.a}, {"b", l.b}, {"shared_frames", shared}};
    if (l.sound)
        j["sound"] = {
            {"offset_s", l.sound->offset}, {"u_s", l.sound->u}, {"quality", l.sound->quality}, {"peak", l.sound->peak}};
    return j.dump();
}

Result<Link> linkFromJson(const std::string& text) {
    return guarded<Link>(text, "link", [](const JsonReader& j) {
        Link l;
        l.a = j["a"].integer();
        l.b = j["b"].integer();
        for (const auto& s : j["shared_frames"].items()) {
            const auto v = s.items();
            if (v.size() != 2)
                s.fail("must be two frames");
            l.shared.emplace_back(v[0].integer(), v[1].integer());
        }
        if (j.has("sound")) {
            const auto s = j["sound"];
            l.sound = SoundMatch{s["offset_s"].number(), s["u_s"].number(), s["quality"].number(), s["peak"].number()};
        }
        return l;
    });
}

std::string toJson(const RepeatMarking& r) {
    json frames = json::array(), marks = json::array();
    for (FrameIndex f : r.frames)
        frames.push_back(f.value);
    for (const auto& m : r.marks)
        marks.push_back({{"frame", m.frame.value}, {"landmark", m.landmark}, {"px", pixel(m.at)}});
    return json{{"take", r.take},   {"day", isoDate(r.day)},    {"analyst", r.analyst},
                {"frames", frames}, {"landmarks", r.landmarks}, {"marks", marks}}
        .dump(-1, ' ', false, json::error_handler_t::replace);
}

Result<RepeatMarking> repeatFromJson(const std::string& text) {
    return guarded<RepeatMarking>(text, "repeat marking", [](const JsonReader& j) {
        RepeatMarking r;
        r.take = j["take"].integer();
        r.day = readDay(j["day"]);
        r.analyst = j.textOr("analyst");
        for (const auto& f : j["frames"].items())
            r.frames.emplace_back(f.integer());
        for (const auto& l : j["landmarks"].items())
            r.landmarks.push_back(l.text());
        for (const auto& m : j["marks"].items())
            r.marks.push_back({FrameIndex(m["frame"].integer()), m["landmark"].text(), readPixel(m["px"])});
        return r;
    });
}

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
        return b;
    });
}

} // namespace riflesso
