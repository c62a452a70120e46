#include "library/case_json.h"

#include "library/body_json.h"

#include <cmath>

namespace riflesso {
namespace {

using nlohmann::json;
json line(const DrawnLine& l) {
    return json::array({pixel(l.a), pixel(l.b)});
}
DrawnLine readLine(const JsonReader& j) {
    const auto v = j.items();
    if (v.size() != 2)
        j.fail("must be two points");
    return {readPixel(v[0]), readPixel(v[1])};
}

json write(const Seen& s) {
    json j = {{"verdict", enumName(kSeenVerdictNames, s.verdict)}, {"frame", s.frame.value}};
    if (!s.note.empty())
        j["note"] = s.note;
    if (s.pin)
        j["pin_px"] = pixel(*s.pin);
    return j;
}

Seen readSeen(const JsonReader& j) {
    Seen seen{
        j["verdict"].word<SeenVerdict>(kSeenVerdictNames), FrameIndex(j["frame"].integer()), j.textOr("note"), {}};
    if (j.has("pin_px"))
        seen.pin = readPixel(j["pin_px"]);
    return seen;
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

CalibrationInput readCalibration(const JsonReader& j) {
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

} // namespace

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
    if (t.figure != BodySchema{}) {
        j["figure"] = {{"part", enumName(kFigurePartNames, t.figure.part)},
                       {"hands", t.figure.hands},
                       {"feet", t.figure.feet},
                       {"extra", t.figure.extra}};
        for (const auto& [person, name] : t.figure.called)
            j["figure"]["called"][std::to_string(person)] = name;
    }
    if (!t.markedBy.empty())
        j["marked_by"] = t.markedBy;
    if (!t.filmedWith.empty())
        j["filmed_with"] = t.filmedWith;
    if (!t.set.empty())
        j["set"] = t.set;
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
        t.markedBy = j.textOr("marked_by");
        t.filmedWith = j.textOr("filmed_with");
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
            t.calibration = readCalibration(j["calibration"]);
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
            if (f.has("called"))
                for (const auto& [person, name] : f["called"].fields()) {
                    if (person.size() != 1 || person[0] < '1' || person[0] - '0' > kMostOthers)
                        name.fail("there is no person " + person);
                    t.figure.called[person[0] - '0'] = name.text();
                }
        }
        t.set = j.textOr("set");
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
    if (r.effort)
        j["effort"] = *r.effort;
    if (r.stage)
        j["stage"] = enumName(kStageNames, *r.stage);
    if (!r.set.empty())
        j["set"] = r.set;
    if (r.landed)
        j["landed"] = {{"frame", r.landed->frame.value}, {"px", pixel(r.landed->at)}};
    for (const auto& [id, s] : r.seen)
        j["seen"][id] = write(s);
    for (const auto& [who, seen] : r.seenOf)
        for (const auto& [id, s] : seen)
            j["seen_of"][who][id] = write(s);
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
        if (j.has("effort"))
            r.effort = std::clamp(j["effort"].number(), 0.0, 1.0);
        if (j.has("stage"))
            r.stage = j["stage"].word<Stage>(kStageNames);
        r.set = j.textOr("set");
        if (j.has("landed"))
            r.landed = Landing{FrameIndex(j["landed"]["frame"].integer()), readPixel(j["landed"]["px"])};
        if (j.has("seen"))
            for (const auto& [id, s] : j["seen"].fields())
                r.seen[id] = readSeen(s);
        if (j.has("seen_of"))
            for (const auto& [who, of] : j["seen_of"].fields())
                for (const auto& [id, s] : of.fields())
                    r.seenOf[who][id] = readSeen(s);
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
    auto c = guarded<CalibrationInput>(text, "calibration", readCalibration);
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

} // namespace riflesso
