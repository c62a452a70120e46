#include "library/shelves.h"

#include "core/words/say.h"
#include "files/write_file.h"
#include "library/blueprint_json.h"
#include "library/json_reader.h"
#include "library/model_json.h"

#include <nlohmann/json.hpp>

namespace riflesso {
namespace {

using nlohmann::json;
namespace fs = std::filesystem;

constexpr std::uintmax_t kMost = 32u << 20;

// The list of a shelf's file, each entry read by `one`, which throws json's exceptions and std::runtime_error.
template <typename T, typename One>
Result<std::vector<T>> shelf(const fs::path& file, const char* list, const char* what, One one) {
    std::error_code ec;
    if (!fs::exists(file, ec))
        return std::vector<T>{};
    const auto text = readFile(file, kMost);
    if (!text)
        return text.error();
    try {
        std::vector<T> out;
        const json all = json::parse(*text);
        for (const auto& entry : all.at(list))
            out.push_back(one(entry));
        return out;
    } catch (const std::exception& e) {
        return Error{fill(say("error", "these are no %1 (%2)"), {what, e.what()}), file.filename().string(),
                     "nothing was changed", "put the file aside to begin anew", ErrorKind::damaged};
    }
}

Status keep(const fs::path& file, const char* list, json entries) {
    return writeFile(
        file,
        json{{"format", 1}, {list, std::move(entries)}}.dump(1, ' ', false, json::error_handler_t::replace) + "\n");
}

} // namespace

Result<std::vector<OwnDrill>> readOwnDrills(const fs::path& library) {
    return shelf<OwnDrill>(library / "own-drills.json", "drills", "drills", [](const json& j) {
        OwnDrill own{j.at("technique").get<std::string>(), j.at("faults").get<std::vector<std::string>>(),
                     known(drillFromJson(j.at("drill").dump()))};
        if (!isOwnDrill(own.drill.id))
            throw std::runtime_error("an own drill's id begins with own-");
        return own;
    });
}

Status keepOwnDrills(const fs::path& library, const std::vector<OwnDrill>& drills) {
    json list = json::array();
    for (const auto& d : drills)
        list.push_back(
            {{"technique", d.technique}, {"faults", d.faults}, {"drill", json::parse(drillToJson(d.drill))}});
    return keep(library / "own-drills.json", "drills", std::move(list));
}

Result<std::vector<ShelvedModel>> readModelShelf(const fs::path& library) {
    return shelf<ShelvedModel>(library / "models.json", "models", "models", [](const json& j) {
        const auto day = dayFromIso(j.at("day").get<std::string>());
        if (!day)
            throw std::runtime_error("a day that is none");
        return ShelvedModel{known(modelFromJson(j.at("model").dump(), "models.json")),
                            j.at("situation").get<std::string>(), j.at("by").get<std::string>(), *day};
    });
}

Status keepModelShelf(const fs::path& library, const std::vector<ShelvedModel>& models) {
    json list = json::array();
    for (const auto& m : models)
        list.push_back({{"model", json::parse(modelToJson(m.model))},
                        {"situation", m.situation},
                        {"by", m.by},
                        {"day", isoDate(m.day)}});
    return keep(library / "models.json", "models", std::move(list));
}

} // namespace riflesso
