// Models and drills that a library keeps for all its cases.

#include "casebook/casebook.h"
#include "casebook/shipped.h"
#include "cli/commands.h"
#include "files/write_file.h"
#include "library/blueprint_json.h"
#include "library/shelves.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cstdio>

namespace riflesso::cli {

using nlohmann::json;

Status models(const CaseArguments& a) {
    auto shelf = readModelShelf(a.library);
    if (!shelf)
        return shelf.error();
    const auto named = [&](const ShelvedModel& m) { return m.model.name == a.name; };
    const auto it = std::find_if(shelf->begin(), shelf->end(), named);
    if (a.verdict == "list") {
        json list = json::array();
        for (const auto& m : *shelf)
            list.push_back({{"name", m.model.name},
                            {"technique", m.model.blueprint},
                            {"school", m.model.school},
                            {"situation", m.situation},
                            {"source", m.model.source},
                            {"by", m.by},
                            {"day", isoDate(m.day)},
                            {"reps", m.model.reps.size()}});
        if (a.json)
            std::printf("%s\n", json{{"models", list}}.dump(1).c_str());
        else
            for (const auto& m : *shelf)
                std::printf("%-24s %-20s %zu reps, %s\n", m.model.name.c_str(), m.model.blueprint.c_str(),
                            m.model.reps.size(), m.model.source.c_str());
        return Done{};
    }
    if (a.name.empty())
        return Error{"which model? --name NAME", {}, "nothing was changed", {}};
    if (a.verdict == "remove") {
        if (it == shelf->end())
            return Error{"there is no model \"" + a.name + "\" on the shelf", {}, "nothing was changed", {}};
        shelf->erase(it);
        return keepModelShelf(a.library, *shelf);
    }
    auto book = openCase(a);
    if (!book)
        return book.error();
    if (a.verdict == "use") {
        if (it == shelf->end())
            return Error{"there is no model \"" + a.name + "\" on the shelf", {}, "nothing was changed", {}};
        if (it->model.blueprint != (*book)->blueprint().id)
            return Error{
                "this model is of another technique: " + it->model.blueprint, a.name, "nothing was changed", {}};
        return saved(**book, [&](Casebook& b) {
            Brief brief = b.data().brief;
            std::erase_if(brief.models, [&](const ModelPerformance& m) { return m.name == a.name; });
            brief.models.push_back(it->model);
            return b.setBrief(brief);
        });
    }
    const auto kept = modelToKeep((*book)->data(), (*book)->analysisNow(), a.name);
    if (!kept)
        return Error{"this case has no measured rep of a model", {}, "nothing was changed", {}};
    ShelvedModel m{*kept, a.situation.value_or(std::string()), a.reason, (*book)->today()};
    if (it == shelf->end())
        shelf->push_back(std::move(m));
    else
        *it = std::move(m);
    return keepModelShelf(a.library, *shelf);
}

Status drills(const CaseArguments& a) {
    auto own = readOwnDrills(a.library);
    if (!own)
        return own.error();
    if (a.verdict == "list") {
        json list = json::array();
        for (const auto& d : *own)
            list.push_back(
                {{"technique", d.technique}, {"faults", d.faults}, {"drill", json::parse(drillToJson(d.drill))}});
        if (a.json)
            std::printf("%s\n", json{{"drills", list}}.dump(1).c_str());
        else
            for (const auto& d : *own)
                std::printf("%-10s %-20s %s\n", d.drill.id.c_str(), d.technique.c_str(), d.drill.name.c_str());
        return Done{};
    }
    if (a.verdict == "remove") {
        const auto n = std::erase_if(*own, [&](const OwnDrill& d) { return d.drill.id == a.drill; });
        return n == 0 ? Status(Error{"there is no own drill \"" + a.drill + "\"", {}, "nothing was changed", {}})
                      : keepOwnDrills(a.library, *own);
    }
    const auto text = readFile(a.file, 1u << 20);
    if (!text)
        return text.error();
    auto drill = drillFromJson(*text);
    if (!drill)
        return drill.error();
    auto blueprint = blueprintFor(a.library, a.technique);
    if (!blueprint)
        return blueprint.error();
    OwnDrill d{a.technique, {}, std::move(*drill)};
    for (std::size_t at = 0; at < a.fault.size();) {
        const auto comma = std::min(a.fault.find(',', at), a.fault.size());
        d.faults.push_back(a.fault.substr(at, comma - at));
        if (!blueprint->fault(d.faults.back()))
            return Error{"the technique has no fault \"" + d.faults.back() + "\"", {}, "nothing was changed", {}};
        at = comma + 1;
    }
    if (d.faults.empty())
        return Error{"which faults does it answer? --faults A,B", {}, "nothing was changed", {}};
    d.drill.id = freshDrillId(*own);
    own->push_back(d);
    const auto done = keepOwnDrills(a.library, *own);
    if (done)
        std::printf("%s\n", d.drill.id.c_str());
    return done;
}

} // namespace riflesso::cli
