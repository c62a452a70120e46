#pragma once
/// \file
/// Blueprints: those that ship inside the program, and those that a library keeps in its folder `blueprints`.

#include "core/motion/result.h"
#include "core/technique/blueprint.h"
#include "library/library.h"

#include <filesystem>
#include <map>
#include <set>
#include <string>
#include <vector>

namespace riflesso {

std::vector<std::string> shippedBlueprintIds();
/// By id, as "fencing-lunge".
Result<Blueprint> shippedBlueprint(const std::string& id);

/// Ids of all blueprints that a library can use, its own and the shipped ones, each once, in alphabetical order.
std::vector<std::string> blueprintIds(const std::filesystem::path& library);
/// The library's own newest version, else the shipped one.
Result<Blueprint> blueprintFor(const std::filesystem::path& library, const std::string& id);

/// The same with the coach's own drills, as a case uses it. Never to be kept as a blueprint.
Result<Blueprint> blueprintForCase(const std::filesystem::path& library, const std::string& id);

/// Keeps a blueprint in a library as its next version (one above the newest that there is) and gives that number. What
/// was there before stays as ID.vN.json. The whole file is written or nothing.
Result<int> keepBlueprint(const std::filesystem::path& library, Blueprint blueprint);
/// Versions that can be looked at, oldest first; the shipped one among them.
std::vector<int> keptVersions(const std::filesystem::path& library, const std::string& id);
Result<Blueprint> keptVersion(const std::filesystem::path& library, const std::string& id, int version);

/// The blueprints of some cases as JSON by id, for a bundle.
Result<std::map<std::string, std::string>> blueprintsOf(Library& library, const std::vector<Id>& cases);
/// What a bundle's blueprints are to a library. Errors: one that cannot be read, or is of another id than it says.
struct ArrivingBlueprints {
    std::vector<Blueprint> fresh;      ///< not known here: to be kept with keepBlueprint()
    std::set<std::string> described{}; ///< ids that are described otherwise here, where they stay as they are
};
Result<ArrivingBlueprints> arrivingBlueprints(const std::filesystem::path& library,
                                              const std::map<std::string, std::string>& texts);

/// What a case has that its blueprint no longer knows: key positions, checkpoints, guesses, drills.
struct Orphans {
    std::vector<PositionId> positions;
    std::vector<std::string> checkpoints, measures, drills;
    [[nodiscard]] bool empty() const {
        return positions.empty() && checkpoints.empty() && measures.empty() && drills.empty();
    }
};
Orphans orphansOf(const CaseData& data, const Blueprint& blueprint);

/// The edits that carry a case from one version of its blueprint to another: what changed its id but kept its name, or
/// its place when one only was renamed there, is found again under the new id. Nothing is thrown away: what has no
/// successor stays as it is, unused.
std::vector<Edit> migration(const CaseData& data, const Blueprint& before, const Blueprint& after);

} // namespace riflesso
