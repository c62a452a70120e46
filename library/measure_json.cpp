#include "library/measure_json.h"

#include "core/words/say.h"

namespace riflesso {

PointSpec readPoint(const JsonReader& json) {
    const auto spec = pointFromText(json.text());
    if (!spec)
        json.fail("\"" + json.text() + "\" is no landmark; one name, or two joined by +");
    return *spec;
}

MeasureDefinition readMeasure(const JsonReader& json, bool standalone) {
    MeasureDefinition d;
    d.kind = json["kind"].word<MeasureKind>(kMeasureKindNames);
    for (const auto& p : json.itemsOr("points"))
        d.points.push_back(readPoint(p));
    if (json.has("reading"))
        d.reading = json["reading"].word<AngleReading>(kAngleReadingNames);
    if (json.has("direction"))
        d.direction = json["direction"].word<Direction>(kDirectionNames);
    for (const auto& p : json.itemsOr("per"))
        d.per.push_back(readPoint(p));
    d.perName = json.textOr("per_name", d.kind == MeasureKind::effect ? "" : "lengths");
    if (json.has("unit")) {
        if (json["unit"].text() != "m")
            json["unit"].fail("can only be \"m\"; other units follow from the kind");
        d.metres = true;
    }
    if (json.has("view"))
        d.view = json["view"].word<View>(kViewNames);
    else if (d.direction == Direction::across)
        d.view = View::front;
    if (json.has("reduction"))
        d.reduction = json["reduction"].word<Reduction>(kReductionNames);
    if (json.has("line")) {
        const std::string line = json["line"].text();
        if (line != "own" && line != "vertical")
            json["line"].fail("must be own or vertical");
        d.ownLine = line == "own";
    }
    if (json.has("spread")) {
        const std::string spread = json["spread"].text();
        if (spread != "rms" && spread != "largest")
            json["spread"].fail("must be rms or largest");
        d.rms = spread == "rms";
    }
    if (const auto ways = aspectsOf(d.kind); !ways.empty())
        d.aspect = ways.front();
    if (json.has("aspect"))
        d.aspect = json["aspect"].word<Aspect>(kAspectNames);
    d.height = json.numberOr("height", 0.0);
    d.cycles = json.numberOr("cycles", 1.0);
    d.lo = json.numberOr("lo", 0.0);
    d.hi = json.numberOr("hi", 0.0);
    for (const auto& e : json.itemsOr("events"))
        d.events.push_back(e.text());
    for (const auto& o : json.itemsOr("of"))
        d.of.push_back(o.text());
    for (const auto& l : json.itemsOr("links")) {
        d.links.push_back({l["name"].text(), {}});
        for (const auto& p : l["points"].items())
            d.links.back().points.push_back(readPoint(p));
    }
    d.checkpoint = json.textOr("checkpoint");
    d.level = json.numberOr("level", 0.0);
    d.fullWidth = json.numberOr("full_width", 0.0);
    d.fullWidthSigma = json.numberOr("full_width_u", 0.0);
    if (!standalone) {
        d.id = json["id"].text();
        d.name = json["name"].text();
        d.sentence = json.textOr("sentence");
        // What is read from other measures takes its position from them.
        d.at = isDerived(d.kind) && d.kind != MeasureKind::recovery ? json.textOr("at") : json["at"].text();
        if (needsUntil(d))
            d.until = json["until"].text();
    }
    if (const auto problem = problemOf(d); !problem.empty())
        json.fail(problem);
    return d;
}

namespace {
nlohmann::ordered_json pointsJson(const std::vector<PointSpec>& points) {
    auto out = nlohmann::ordered_json::array();
    for (const auto& p : points)
        out.push_back(textOf(p));
    return out;
}
} // namespace

nlohmann::ordered_json measureJson(const MeasureDefinition& d) {
    nlohmann::ordered_json j;
    const auto text = [&](const char* key, const std::string& value) {
        if (!value.empty())
            j[key] = value;
    };
    const auto figure = [&](const char* key, double value, double usual = 0.0) {
        if (value != usual)
            j[key] = value;
    };
    text("id", d.id);
    text("name", d.name);
    j["kind"] = enumName(kMeasureKindNames, d.kind);
    const auto ways = aspectsOf(d.kind);
    if (!ways.empty() && d.aspect != ways.front())
        j["aspect"] = enumName(kAspectNames, d.aspect);
    text("at", d.at);
    if (needsUntil(d))
        text("until", d.until);
    text("sentence", d.sentence);
    if (!d.points.empty())
        j["points"] = pointsJson(d.points);
    if (d.reading != AngleReading::included)
        j["reading"] = enumName(kAngleReadingNames, d.reading);
    if (d.direction)
        j["direction"] = enumName(kDirectionNames, *d.direction);
    if (!d.per.empty()) {
        j["per"] = pointsJson(d.per);
        text("per_name", d.perName);
    } else if (d.kind == MeasureKind::effect) {
        text("per_name", d.perName); // "points", "m"
    }
    if (d.metres)
        j["unit"] = "m";
    if (d.view != (d.direction == Direction::across ? View::front : View::side))
        j["view"] = enumName(kViewNames, d.view);
    if (d.reduction != Reduction::at)
        j["reduction"] = enumName(kReductionNames, d.reduction);
    if (d.ownLine)
        j["line"] = "own";
    if (d.rms)
        j["spread"] = "rms";
    figure("level", d.level);
    figure("height", d.height);
    figure("full_width", d.fullWidth);
    figure("full_width_u", d.fullWidthSigma);
    figure("cycles", d.cycles, 1.0);
    figure("lo", d.lo);
    figure("hi", d.hi);
    if (!d.events.empty())
        j["events"] = d.events;
    if (!d.of.empty())
        j["of"] = d.of;
    for (const auto& link : d.links)
        j["links"].push_back({{"name", link.name}, {"points", pointsJson(link.points)}});
    text("checkpoint", d.checkpoint);
    return j;
}

Result<MeasureDefinition> measureFromJson(const std::string& text) {
    try {
        return readMeasure(JsonReader(nlohmann::json::parse(text), ""), true);
    } catch (const JsonProblem& p) {
        return Error{p.what, p.place.empty() ? "measure" : p.place, {}, {}};
    } catch (const nlohmann::json::exception& e) {
        return Error{fill(say("error", "not JSON: %1"), {e.what()}), "measure", {}, {}};
    }
}

} // namespace riflesso
