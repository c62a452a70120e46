#include "casebook/shipped.h"

#include "core/words/say.h"
#include "files/write_file.h"
#include "library/blueprint_json.h"
#include "library/shelves.h"

#include <QDir>
#include <QFile>

#include <algorithm>
#include <map>
#include <set>

static void initShippedBlueprints() {
    Q_INIT_RESOURCE(shipped_blueprints);
} // must stand outside any namespace

namespace riflesso {
namespace {

namespace fs = std::filesystem;

fs::path folderOf(const fs::path& library) {
    return library / "blueprints";
}

// "ID.vN" to (ID, N); (ID, 0) for the newest one, "ID".
std::pair<std::string, int> partsOf(const std::string& stem) {
    const auto at = stem.rfind(".v");
    if (at == std::string::npos || at + 2 >= stem.size() ||
        !std::all_of(stem.begin() + static_cast<std::ptrdiff_t>(at) + 2, stem.end(),
                     [](unsigned char c) { return std::isdigit(c); }) ||
        stem.size() - at > 9)
        return {stem, 0};
    return {stem.substr(0, at), std::stoi(stem.substr(at + 2))};
}

std::vector<std::pair<std::string, int>> kept(const fs::path& library) {
    std::vector<std::pair<std::string, int>> out;
    std::error_code ec;
    for (const auto& entry : fs::directory_iterator(folderOf(library), ec))
        if (entry.path().extension() == ".json")
            out.push_back(partsOf(entry.path().stem().string()));
    return out;
}

} // namespace

std::vector<std::string> shippedBlueprintIds() {
    initShippedBlueprints();
    std::vector<std::string> ids;
    for (const QString& file : QDir(":/blueprints").entryList({"*.json"}, QDir::Files, QDir::Name))
        ids.push_back(file.chopped(5).toStdString());
    return ids;
}

Result<Blueprint> shippedBlueprint(const std::string& id) {
    initShippedBlueprints();
    QFile file(":/blueprints/" + QString::fromStdString(id) + ".json");
    if (!file.open(QIODevice::ReadOnly))
        return Error{fill(say("error", "no blueprint “%1” ships with this program"), {id}), {}, {}, {}};
    return blueprintFromJson(file.readAll().toStdString(), id + ".json");
}

std::vector<std::string> blueprintIds(const fs::path& library) {
    const auto shipped = shippedBlueprintIds();
    std::set<std::string> ids(shipped.begin(), shipped.end());
    for (const auto& [id, version] : kept(library))
        if (version == 0)
            ids.insert(id);
    return {ids.begin(), ids.end()};
}

Result<Blueprint> blueprintFor(const fs::path& library, const std::string& id) {
    if (!isBlueprintId(id))
        return Error{fill(say("error", "“%1” is no name of a blueprint"), {id}), {}, {}, {}};
    const fs::path own = folderOf(library) / (id + ".json");
    std::error_code ec;
    return fs::exists(own, ec) ? readBlueprint(own) : shippedBlueprint(id);
}

Result<Blueprint> blueprintForCase(const fs::path& library, const std::string& id) {
    auto blueprint = blueprintFor(library, id);
    if (!blueprint)
        return blueprint;
    const auto own = readOwnDrills(library);
    return own ? withOwnDrills(std::move(*blueprint), *own) : Result<Blueprint>(own.error());
}

Result<int> keepBlueprint(const fs::path& library, Blueprint blueprint) {
    if (!isBlueprintId(blueprint.id))
        return Error{
            fill(say("error", "“%1” is no name for a blueprint: letters, digits, - and _ only"), {blueprint.id}),
            {},
            {},
            {}};
    std::error_code ec;
    fs::create_directories(folderOf(library), ec);
    const auto versions = keptVersions(library, blueprint.id);
    blueprint.version = versions.empty() ? 1 : versions.back() + 1;
    const auto write = [&](const fs::path& file) -> Status { return writeFile(file, blueprintToJson(blueprint)); };
    // The numbered file first: when the second write fails, the newest one is still what it was.
    if (const auto s = write(folderOf(library) / (blueprint.id + ".v" + std::to_string(blueprint.version) + ".json"));
        !s)
        return s.error();
    if (const auto s = write(folderOf(library) / (blueprint.id + ".json")); !s)
        return s.error();
    return blueprint.version;
}

std::vector<int> keptVersions(const fs::path& library, const std::string& id) {
    std::set<int> versions;
    if (const auto shipped = shippedBlueprint(id))
        versions.insert(shipped->version);
    for (const auto& [of, version] : kept(library))
        if (of == id && version > 0)
            versions.insert(version);
    return {versions.begin(), versions.end()};
}

Result<Blueprint> keptVersion(const fs::path& library, const std::string& id, int version) {
    if (!isBlueprintId(id))
        return Error{fill(say("error", "“%1” is no name of a blueprint"), {id}), {}, {}, {}};
    std::error_code ec;
    const fs::path own = folderOf(library) / (id + ".v" + std::to_string(version) + ".json");
    if (fs::exists(own, ec))
        return readBlueprint(own);
    auto shipped = shippedBlueprint(id);
    if (shipped && shipped->version != version)
        return Error{fill(say("error", "there is no version %1 of “%2”"), {std::to_string(version), id}), {}, {}, {}};
    return shipped;
}

Result<std::map<std::string, std::string>> blueprintsOf(Library& library, const std::vector<Id>& cases) {
    const auto all = library.cases();
    if (!all)
        return all.error();
    std::map<std::string, std::string> out;
    for (const auto& c : *all) {
        if (std::find(cases.begin(), cases.end(), c.id) == cases.end() || out.contains(c.blueprintId))
            continue;
        const auto blueprint = blueprintFor(library.folder(), c.blueprintId);
        if (!blueprint)
            return blueprint.error();
        out[c.blueprintId] = blueprintToJson(*blueprint);
    }
    return out;
}

Result<ArrivingBlueprints> arrivingBlueprints(const fs::path& library,
                                              const std::map<std::string, std::string>& texts) {
    ArrivingBlueprints out;
    for (const auto& [id, text] : texts) {
        auto there = blueprintFromJson(text, id);
        if (!there)
            return there.error();
        if (there->id != id) // it would take the place of another
            return Error{
                "a blueprint is of another name than it says", id, "nothing was taken in", {}, ErrorKind::damaged};
        auto here = blueprintFor(library, id);
        if (!here) {
            out.fresh.push_back(std::move(*there));
            continue;
        }
        here->version = there->version; // counted by each library for itself
        if (blueprintToJson(*here) != blueprintToJson(*there))
            out.described.insert(id);
    }
    return out;
}

Orphans orphansOf(const CaseData& data, const Blueprint& b) {
    std::set<std::string> positions, checkpoints, measures, drills;
    const auto known = [](const auto& list, const std::string& id) {
        return std::any_of(list.begin(), list.end(), [&](const auto& x) { return x.id == id; });
    };
    for (const auto& [id, rep] : data.reps) {
        for (const auto& [position, placed] : rep.positions)
            if (!b.position(position))
                positions.insert(position);
        for (const auto& [checkpoint, seen] : rep.seen)
            if (!known(b.checkpoints, checkpoint))
                checkpoints.insert(checkpoint);
    }
    for (const auto& g : data.brief.guesses)
        if (!b.measure(g.measure))
            measures.insert(g.measure);
    for (const auto& t : data.brief.targets)
        if (!b.measure(t.measure))
            measures.insert(t.measure);
    if (data.brief.aim && !b.measure(data.brief.aim->measure))
        measures.insert(data.brief.aim->measure);
    for (const auto& [id, block] : data.blocks)
        if (block.film.empty() && !b.drill(block.drill))
            drills.insert(block.drill);
    for (const auto& [id, block] : data.planned)
        if (!b.drill(block.drill))
            drills.insert(block.drill);
    const auto list = [](const std::set<std::string>& s) { return std::vector<std::string>(s.begin(), s.end()); };
    return {list(positions), list(checkpoints), list(measures), list(drills)};
}

std::vector<Edit> migration(const CaseData& data, const Blueprint& before, const Blueprint& after) {
    struct Item {
        std::string id, name;
    };
    // Old id to new id, of the ids that are gone.
    const auto successors = [](const std::vector<Item>& old, const std::vector<Item>& fresh) {
        const auto in = [](const std::vector<Item>& list, const std::string& id) {
            return std::any_of(list.begin(), list.end(), [&](const Item& x) { return x.id == id; });
        };
        std::map<std::string, std::string> out;
        std::vector<std::size_t> gone, added;
        for (std::size_t i = 0; i < old.size(); ++i)
            if (!in(fresh, old[i].id))
                gone.push_back(i);
        for (std::size_t i = 0; i < fresh.size(); ++i)
            if (!in(old, fresh[i].id))
                added.push_back(i);
        for (const std::size_t g : gone)
            for (const std::size_t a : added)
                if (old[g].name == fresh[a].name)
                    out[old[g].id] = fresh[a].id;
        if (out.empty() && gone.size() == 1 && added.size() == 1 && gone[0] == added[0])
            out[old[gone[0]].id] = fresh[added[0]].id;
        return out;
    };
    const auto items = [](const auto& list) {
        std::vector<Item> out;
        for (const auto& x : list)
            out.push_back({x.id, x.name});
        return out;
    };
    const auto measures = [](const Blueprint& b) {
        std::vector<Item> out;
        for (const auto& m : b.measures)
            out.push_back({m.definition.id, m.definition.name});
        return out;
    };
    const auto positions = successors(items(before.positions), items(after.positions));
    const auto checkpoints = successors(items(before.checkpoints), items(after.checkpoints));
    const auto drills = successors(items(before.drills), items(after.drills));
    const auto renamed = successors(measures(before), measures(after));
    std::vector<Edit> edits;
    const auto moved = [](auto& map, const std::map<std::string, std::string>& names) {
        for (const auto& [from, to] : names)
            if (auto node = map.extract(from); !node.empty() && !map.contains(to)) {
                node.key() = to;
                map.insert(std::move(node));
            }
    };
    for (const auto& [id, rep] : data.reps) {
        Rep next = rep;
        moved(next.positions, positions);
        moved(next.seen, checkpoints);
        if (!(next == rep))
            edits.push_back(RepEdit{id, rep, next});
    }
    for (const auto& [id, block] : data.blocks)
        if (const auto it = drills.find(block.drill); it != drills.end()) {
            Block next = block;
            next.drill = it->second;
            edits.push_back(BlockEdit{id, block, next});
        }
    const auto faults = successors(items(before.faults), items(after.faults));
    const auto follow = [](std::string& id, const std::map<std::string, std::string>& names) {
        if (const auto it = names.find(id); it != names.end())
            id = it->second;
    };
    for (const auto& [id, planned] : data.planned) {
        PlannedBlock next = planned;
        follow(next.drill, drills);
        follow(next.fault, faults);
        if (!(next == planned))
            edits.push_back(PlanEdit{id, planned, next});
    }
    for (const auto& [id, decision] : data.decisions) {
        FindingDecision next = decision;
        follow(next.fault, faults);
        if (!(next == decision))
            edits.push_back(DecisionEdit{id, decision, next});
    }
    Brief brief = data.brief;
    for (auto& g : brief.guesses)
        follow(g.measure, renamed);
    for (auto& t : brief.targets)
        follow(t.measure, renamed);
    if (brief.aim)
        follow(brief.aim->measure, renamed);
    brief.blueprintVersion = after.version;
    if (!(brief == data.brief))
        edits.push_back(BriefEdit{{}, data.brief, brief});
    return edits;
}

} // namespace riflesso
