#include "library/model_json.h"

namespace riflesso {
namespace {

using Json = nlohmann::ordered_json;

MeasureValue readValue(const JsonReader& j) {
    MeasureValue v;
    v.measure = j["measure"].text();
    v.value = j["value"].number();
    v.uMarks = j.numberOr("u_marks", 0.0);
    v.uTime = j.numberOr("u_time", 0.0);
    v.uShared = j.numberOr("u_shared", 0.0);
    v.u = j["u"].number();
    v.draft = j.truthOr("draft", false);
    if (!(v.u >= 0.0))
        j["u"].fail("must not be negative");
    return v;
}

template <typename T, typename Read>
Result<T> guarded(const std::string& text, const std::string& fileName, Read read) {
    try {
        const auto parsed = nlohmann::json::parse(text);
        return read(JsonReader(parsed, ""));
    } catch (const JsonProblem& p) {
        return Error{p.place + ": " + p.what, fileName, "nothing was read", {}};
    } catch (const nlohmann::json::exception&) {
        return Error{"this is not valid JSON", fileName, "nothing was read", {}};
    }
}

} // namespace

std::string modelToJson(const ModelPerformance& m) {
    Json reps = Json::array();
    for (const auto& rep : m.reps) {
        Json values = Json::array();
        for (const auto& v : rep.values) {
            if (v.refused)
                continue;
            Json one{
                {"measure", v.measure}, {"value", v.value}, {"u", v.u}, {"u_marks", v.uMarks}, {"u_time", v.uTime}};
            if (v.uShared > 0.0)
                one["u_shared"] = v.uShared;
            if (v.draft)
                one["draft"] = true;
            values.push_back(one);
        }
        Json one{{"rep", rep.rep}};
        if (!rep.situation.empty())
            one["situation"] = rep.situation;
        if (rep.captureRate)
            one["capture_rate_hz"] = rep.captureRate->value;
        one["when"] = rep.when;
        one["values"] = values;
        reps.push_back(one);
    }
    return Json{{"format", 1},        {"name", m.name},     {"blueprint", m.blueprint},
                {"source", m.source}, {"school", m.school}, {"reps", reps}}
               .dump(1, ' ', false, Json::error_handler_t::replace) +
           "\n";
}

ModelPerformance readModel(const JsonReader& j) {
    if (const int format = j["format"].integer(); format != 1)
        j["format"].fail("this program reads models of format 1, not " + std::to_string(format));
    ModelPerformance m;
    m.name = j["name"].text();
    m.blueprint = j["blueprint"].text();
    m.source = j.textOr("source");
    m.school = j.textOr("school");
    for (const auto& r : j["reps"].items()) {
        MeasuredRep rep;
        rep.rep = r["rep"].text();
        rep.situation = r.textOr("situation");
        if (r.has("capture_rate_hz"))
            rep.captureRate = Hertz(r["capture_rate_hz"].number());
        rep.when = r.numberOr("when", 0.0);
        for (const auto& v : r["values"].items())
            rep.values.push_back(readValue(v));
        m.reps.push_back(std::move(rep));
    }
    if (m.reps.empty())
        j["reps"].fail("a model has one rep at least");
    return m;
}

Result<ModelPerformance> modelFromJson(const std::string& text, const std::string& fileName) {
    return guarded<ModelPerformance>(text, fileName, readModel);
}

Result<std::vector<PlacedRep>> placedRepsFromJson(const std::string& text, const std::string& fileName) {
    return guarded<std::vector<PlacedRep>>(text, fileName, [](const JsonReader& j) {
        std::vector<PlacedRep> out;
        for (const auto& r : j["reps"].items()) {
            PlacedRep rep;
            rep.situation = r.textOr("situation");
            for (const auto& [id, at] : r["positions"].fields()) {
                PlacedPosition p;
                if (at.has("frame")) {
                    p.frame = FrameIndex(at["frame"].integer());
                    if (at.has("sigma_s"))
                        p.sigma = at["sigma_s"].number();
                    p.shift = at.numberOr("shift_s", 0.0);
                } else {
                    p.frame = FrameIndex(at.integer());
                }
                rep.positions[id] = p;
            }
            out.push_back(std::move(rep));
        }
        if (out.empty())
            j["reps"].fail("there is no rep");
        return out;
    });
}

} // namespace riflesso
