#include "library/measure_json.h"

namespace riflesso {
namespace {
PointSpec readPoint(const JsonReader& json) {
    const auto spec = pointFromText(json.text());
    if (!spec)
        json.fail("\"" + json.text() + "\" is no landmark; one name, or two joined by +");
    return *spec;
}
} // namespace

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
    d.perName = json.textOr("per_name", "lengths");
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
    if (json.has("aspect"))
        d.aspect = json["aspect"].word<PathAspect>(kPathAspectNames);
    d.level = json.numberOr("level", 0.0);
    d.fullWidth = json.numberOr("full_width", 0.0);
    d.fullWidthSigma = json.numberOr("full_width_u", 0.0);
    if (!standalone) {
        d.id = json["id"].text();
        d.name = json["name"].text();
        d.sentence = json.textOr("sentence");
        d.at = json["at"].text();
        if (needsUntil(d))
            d.until = json["until"].text();
    }
    if (const auto problem = problemOf(d); !problem.empty())
        json.fail(problem);
    return d;
}

Result<MeasureDefinition> measureFromJson(const std::string& text) {
    try {
        return readMeasure(JsonReader(nlohmann::json::parse(text), ""), true);
    } catch (const JsonProblem& p) {
        return Error{p.what, p.place.empty() ? "measure" : p.place, {}, {}};
    } catch (const nlohmann::json::exception& e) {
        return Error{std::string("not JSON: ") + e.what(), "measure", {}, {}};
    }
}

} // namespace riflesso
