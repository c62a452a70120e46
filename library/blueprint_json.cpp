#include "library/blueprint_json.h"

#include "core/technique/validate.h"
#include "files/write_file.h"
#include "library/measure_json.h"

#include <cmath>
#include <fstream>
#include <sstream>

namespace riflesso {
namespace {

Target readTarget(const JsonReader& j) {
    Target t;
    t.source = j["source"].word<TargetSource>(kTargetSourceNames);
    t.school = j.textOr("school");
    t.situation = j.textOr("situation");
    t.note = j.textOr("note");
    t.k = j.numberOr("k", 2.0);
    t.floor = j["floor"].number();
    t.lo = j.numberOr("lo", t.lo);
    t.hi = j.numberOr("hi", t.hi);
    if (t.source != TargetSource::model && !j.has("lo") && !j.has("hi"))
        j.fail("needs \"lo\", \"hi\" or both, unless its source is the model");
    return t;
}

Fault readFault(const JsonReader& j) {
    Fault f;
    f.id = j["id"].text();
    f.name = j["name"].text();
    f.why = j.textOr("why");
    f.phase = j["phase"].text();
    for (const auto& i : j["indicators"].items())
        f.indicators.push_back(
            {i["measure"].text(), i["direction"].word<Deviance>(kDevianceNames), i.numberOr("weight", 1.0)});
    for (const auto& c : j.itemsOr("causes"))
        f.causes.push_back({c["fault"].text(), c["strength"].number()});
    f.safety = j.truthOr("safety", false);
    f.trainability = j.numberOr("trainability", 0.7);
    f.caution = j.textOr("caution");
    f.cue = j["cue"].text();
    for (const auto& d : j["drills"].items())
        f.drills.push_back(d.text());
    return f;
}

Drill readDrill(const JsonReader& j) {
    Drill d;
    d.id = j["id"].text();
    d.name = j["name"].text();
    d.how = j.textOr("how");
    d.stage = j["stage"].word<Stage>(kStageNames);
    const auto dose = j["dose"];
    d.dose = {dose["sets"].integer(), dose["reps"].integer(), dose["minutes"].number()};
    d.cue = j["cue"].text();
    d.contrast = j.textOr("contrast");
    d.caution = j.textOr("caution");
    for (const auto& e : j.itemsOr("equipment"))
        d.equipment.push_back(e.text());
    d.partner = j.truthOr("partner", false);
    d.home = j.truthOr("home", false);
    d.speed = j.textOr("speed");
    for (const auto& v : j.itemsOr("variations"))
        d.variations.push_back(v.text());
    return d;
}

PositionRule readRule(const JsonReader& j) {
    PositionRule r;
    r.kind = j["when"].word<RuleKind>(kRuleKindNames);
    const auto of = j["of"];
    r.series.kind = of["kind"].word<SeriesKind>(kSeriesKindNames);
    for (const auto& p : of["points"].items())
        r.series.points.push_back(readPoint(p));
    if (of.has("direction"))
        r.series.direction = of["direction"].word<Direction>(kDirectionNames);
    r.falling = j.truthOr("falling", false);
    r.level = j.numberOr("level", 0.5);
    r.after = j.textOr("after");
    r.before = j.textOr("before");
    r.frames = static_cast<int>(j.numberOr("frames", 0.0));
    return r;
}

Situation readSituation(const JsonReader& s) {
    Situation out{s["id"].text(), s["name"].text(), s.textOr("words"), {}};
    for (const auto& c : s["choices"].items())
        out.choices.push_back(c.text());
    if (s.has("decline"))
        for (const auto& l : s["decline"].items()) {
            const bool above = l.has("above");
            if (above == l.has("below"))
                l.fail("needs \"above\" or \"below\", one of them");
            out.decline.push_back(
                {l["measure"].text(), above ? Deviance::high : Deviance::low, l[above ? "above" : "below"].number()});
        }
    if (s.has("shares")) {
        double sum = 0.0;
        for (const auto& [choice, share] : s["shares"].fields()) {
            if (!(share.number() >= 0.0 && share.number() <= 1.0))
                share.fail("must lie from 0 to 1");
            sum += out.shares[choice] = share.number();
        }
        if (sum > 1.0 + 1e-9)
            s["shares"].fail("must not add up to more than 1");
    }
    return out;
}

GateZones readGate(const JsonReader& g, const GateZones& usual) {
    const GateZones out{g.numberOr("poor", usual.poor), g.numberOr("good", usual.good), g.numberOr("easy", usual.easy),
                        static_cast<int>(g.numberOr("fewest", usual.fewest))};
    if (!(out.poor > 0.0 && out.poor < out.good && out.good < out.easy && out.easy < 1.0) || out.fewest < 1)
        g.fail("must rise: 0 < poor < good < easy < 1, from one rep or more");
    return out;
}

// Reads everything; what is wrong with one thing is noted in \p problems, when that is given, and the rest read on.
Blueprint readAll(const JsonReader& j, std::vector<BlueprintProblem>* problems = nullptr) {
    Blueprint b;
    const auto attempt = [&](auto what) {
        try {
            what();
        } catch (const JsonProblem& p) {
            if (!problems)
                throw;
            problems->push_back({p.place, p.what});
        }
    };
    const auto each = [&](const char* field, bool needed, auto what) {
        attempt([&] {
            for (const auto& item : needed ? j[field].items() : j.itemsOr(field))
                attempt([&] { what(item); });
        });
    };
    attempt([&] {
        if (const int format = j["format"].integer(); format != 1)
            j["format"].fail("this program reads blueprints of format 1, not " + std::to_string(format));
    });
    attempt([&] { b.id = j["id"].text(); });
    attempt([&] { b.name = j["name"].text(); });
    attempt([&] { b.version = j["version"].integer(); });
    each("cautions", false, [&](const JsonReader& c) { b.cautions.push_back(c.text()); });
    each("positions", true, [&](const JsonReader& p) {
        b.positions.push_back({p["id"].text(), p["name"].text(), p["words"].text()});
        if (p.has("rule"))
            b.positions.back().rule = readRule(p["rule"]);
        b.positions.back().picture = p.textOr("picture");
    });
    each("checkpoints", false, [&](const JsonReader& c) {
        b.checkpoints.push_back({c["id"].text(), c["name"].text(), c["question"].text(), c["at"].text()});
    });
    each("proxies", false, [&](const JsonReader& p) {
        b.proxies.push_back({p["landmark"].text(), p["from"].text(), p["to"].text()});
    });
    each("landmarks", true, [&](const JsonReader& l) {
        if (!isLandmarkName(resolveRole(l.text(), Side::right)))
            l.fail("\"" + l.text() + "\" is no landmark");
        b.landmarks.push_back(l.text());
    });
    each("measures", true, [&](const JsonReader& m) {
        BlueprintMeasure measure;
        measure.definition = readMeasure(m, false);
        for (const auto& t : m["targets"].items())
            measure.targets.push_back(readTarget(t));
        measure.tooLow = m.textOr("too_low");
        measure.tooHigh = m.textOr("too_high");
        b.measures.push_back(std::move(measure));
    });
    each("faults", true, [&](const JsonReader& f) { b.faults.push_back(readFault(f)); });
    each("drills", true, [&](const JsonReader& d) { b.drills.push_back(readDrill(d)); });
    linkMeasures(b.measures);
    each("situations", false, [&](const JsonReader& s) { b.situations.push_back(readSituation(s)); });
    if (j.has("gate"))
        attempt([&] { b.gate = readGate(j["gate"], b.gate); });
    each("profiles", false, [&](const JsonReader& p) {
        b.profiles.push_back({p["id"].text(), p["name"].text(), p.textOr("words"), {}});
        for (const auto& f : p["faults"].items())
            b.profiles.back().faults.push_back(f.text());
    });
    each("schools", false, [&](const JsonReader& s) {
        b.schools.push_back({s["id"].text(), s["name"].text(), s.textOr("words")});
    });
    if (j.has("languages"))
        attempt([&] {
            for (const auto& [code, texts] : j["languages"].fields()) {
                if (!isBlueprintId(code))
                    texts.fail("\"" + code + "\" is no code of a language, such as it");
                for (const auto& [text, said] : texts.fields())
                    b.languages[code][text] = said.text();
            }
        });
    return b;
}

using Json = nlohmann::ordered_json;

void put(Json& j, const char* key, const std::string& text) {
    if (!text.empty())
        j[key] = text;
}

Json targetJson(const Target& t) {
    Json j{{"source", enumName(kTargetSourceNames, t.source)}};
    put(j, "school", t.school);
    put(j, "situation", t.situation);
    put(j, "note", t.note);
    j["floor"] = t.floor;
    if (t.source == TargetSource::model)
        j["k"] = t.k;
    if (std::isfinite(t.lo))
        j["lo"] = t.lo;
    if (std::isfinite(t.hi))
        j["hi"] = t.hi;
    return j;
}

Json positionJson(const KeyPosition& p) {
    Json j{{"id", p.id}, {"name", p.name}, {"words", p.words}};
    put(j, "picture", p.picture);
    if (!p.rule)
        return j;
    const auto& r = *p.rule;
    Json of{{"kind", enumName(kSeriesKindNames, r.series.kind)}};
    for (const auto& point : r.series.points)
        of["points"].push_back(textOf(point));
    if (r.series.direction)
        of["direction"] = enumName(kDirectionNames, *r.series.direction);
    Json rule{{"when", enumName(kRuleKindNames, r.kind)}, {"of", of}};
    if (r.falling)
        rule["falling"] = true;
    if (r.level != 0.5)
        rule["level"] = r.level;
    put(rule, "after", r.after);
    put(rule, "before", r.before);
    if (r.frames != 0)
        rule["frames"] = r.frames;
    j["rule"] = rule;
    return j;
}

Json faultJson(const Fault& f) {
    Json j{{"id", f.id}, {"name", f.name}};
    put(j, "why", f.why);
    j["phase"] = f.phase;
    j["indicators"] = Json::array();
    for (const auto& i : f.indicators)
        j["indicators"].push_back(
            {{"measure", i.measure}, {"direction", enumName(kDevianceNames, i.direction)}, {"weight", i.weight}});
    for (const auto& c : f.causes)
        j["causes"].push_back({{"fault", c.fault}, {"strength", c.strength}});
    if (f.safety)
        j["safety"] = true;
    j["trainability"] = f.trainability;
    put(j, "caution", f.caution);
    j["cue"] = f.cue;
    j["drills"] = f.drills;
    return j;
}

Json drillJson(const Drill& d) {
    Json j{{"id", d.id}, {"name", d.name}, {"stage", enumName(kStageNames, d.stage)}};
    j["dose"] = {{"sets", d.dose.sets}, {"reps", d.dose.reps}, {"minutes", d.dose.minutes}};
    j["cue"] = d.cue;
    put(j, "how", d.how);
    put(j, "contrast", d.contrast);
    put(j, "caution", d.caution);
    if (!d.equipment.empty())
        j["equipment"] = d.equipment;
    if (d.partner)
        j["partner"] = true;
    if (d.home)
        j["home"] = true;
    put(j, "speed", d.speed);
    if (!d.variations.empty())
        j["variations"] = d.variations;
    return j;
}

// Where a byte of a text stands, as "line 3, column 14".
std::string placeOfByte(const std::string& text, std::size_t byte) {
    std::size_t line = 1, column = 1;
    for (std::size_t i = 0; i + 1 < byte && i < text.size(); ++i) {
        column = text[i] == '\n' ? 1 : column + 1;
        line += text[i] == '\n';
    }
    return "line " + std::to_string(line) + ", column " + std::to_string(column);
}

} // namespace

Result<Blueprint> blueprintFromJson(const std::string& text, const std::string& fileName) {
    const auto wrong = [&](const std::string& place, const std::string& what) {
        return Error{place.empty() ? what : place + " " + what, fileName, "no blueprint was loaded", {}};
    };
    try {
        const auto json = nlohmann::json::parse(text);
        Blueprint b = readAll(JsonReader(json, ""));
        if (const auto problems = problemsOf(b); !problems.empty())
            return wrong(problems.front().place + ":",
                         problems.front().what +
                             (problems.size() > 1 ? " (and " + std::to_string(problems.size() - 1) + " more)" : ""));
        return b;
    } catch (const JsonProblem& p) {
        return wrong(p.place.empty() ? "" : p.place + ":", p.what);
    } catch (const nlohmann::json::parse_error& e) {
        return wrong(placeOfByte(text, e.byte) + ":", "this is not valid JSON");
    } catch (const nlohmann::json::exception& e) {
        return wrong("", e.what());
    }
}

Result<Drill> drillFromJson(const std::string& text) {
    try {
        return readDrill(JsonReader(nlohmann::json::parse(text), ""));
    } catch (const JsonProblem& p) {
        return Error{p.place + " " + p.what, "drill", {}, {}};
    } catch (const nlohmann::json::exception&) {
        return Error{"this is not valid JSON", "drill", {}, {}};
    }
}

std::string drillToJson(const Drill& drill) {
    return drillJson(drill).dump();
}

std::string blueprintToJson(const Blueprint& b) {
    Json j{{"format", 1}, {"id", b.id}, {"name", b.name}, {"version", b.version}};
    if (!b.cautions.empty())
        j["cautions"] = b.cautions;
    if (b.gate != GateZones{})
        j["gate"] = {{"poor", b.gate.poor}, {"good", b.gate.good}, {"easy", b.gate.easy}, {"fewest", b.gate.fewest}};
    const auto list = [&](const char* key, const auto& items, auto one, bool needed) {
        if (needed)
            j[key] = Json::array();
        for (const auto& item : items)
            j[key].push_back(one(item));
    };
    const auto named = [](const auto& x) {
        Json one{{"id", x.id}, {"name", x.name}};
        put(one, "words", x.words);
        return one;
    };
    list("schools", b.schools, named, false);
    list(
        "situations", b.situations,
        [&](const Situation& s) {
            Json one = named(s);
            one["choices"] = s.choices;
            for (const auto& l : s.decline)
                one["decline"].push_back(
                    {{"measure", l.measure}, {l.beyond == Deviance::high ? "above" : "below", l.bound}});
            for (const auto& [choice, share] : s.shares)
                one["shares"][choice] = share;
            return one;
        },
        false);
    list("positions", b.positions, positionJson, true);
    list(
        "checkpoints", b.checkpoints,
        [](const Checkpoint& c) {
            return Json{{"id", c.id}, {"name", c.name}, {"question", c.question}, {"at", c.at}};
        },
        false);
    list(
        "proxies", b.proxies,
        [](const ProxyRule& p) {
            return Json{{"landmark", p.landmark}, {"from", p.from}, {"to", p.to}};
        },
        false);
    j["landmarks"] = b.landmarks;
    list(
        "measures", b.measures,
        [](const BlueprintMeasure& m) {
            Json one = measureJson(m.definition);
            put(one, "too_low", m.tooLow);
            put(one, "too_high", m.tooHigh);
            one["targets"] = Json::array();
            for (const auto& t : m.targets)
                one["targets"].push_back(targetJson(t));
            return one;
        },
        true);
    list("faults", b.faults, faultJson, true);
    list(
        "profiles", b.profiles,
        [&](const Profile& p) {
            Json one = named(p);
            one["faults"] = p.faults;
            return one;
        },
        false);
    list("drills", b.drills, drillJson, true);
    for (const auto& [code, texts] : b.languages)
        for (const auto& [text, said] : texts)
            if (!said.empty())
                j["languages"][code][text] = said;
    return j.dump(2, ' ', false, Json::error_handler_t::replace) + "\n";
}

std::vector<BlueprintProblem> problemsInBlueprint(const std::string& text) {
    std::vector<BlueprintProblem> problems;
    try {
        const auto json = nlohmann::json::parse(text);
        const Blueprint b = readAll(JsonReader(json, ""), &problems);
        // What could not be read is missing from the whole: what then refers to it would be said in vain.
        if (problems.empty())
            problems = problemsOf(b);
    } catch (const JsonProblem& p) {
        problems.push_back({p.place, p.what});
    } catch (const nlohmann::json::parse_error& e) {
        problems.push_back({placeOfByte(text, e.byte), "this is not valid JSON"});
    } catch (const nlohmann::json::exception& e) {
        problems.push_back({"", e.what()});
    }
    return problems;
}

Result<Blueprint> readBlueprint(const std::filesystem::path& file) {
    const auto text = readFile(file);
    if (!text)
        return text.error();
    return blueprintFromJson(*text, file.filename().string());
}

} // namespace riflesso
