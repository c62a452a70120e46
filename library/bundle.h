#pragma once
/// \file
/// Bundles: cases, a person or a squad as one zip (`.riflesso`), from one library to another. The parts are described
/// in docs/bundle.md; any zip program and JSON reader can look into them. By libarchive.
///
/// Nothing of a bundle is believed: names are looked up in its own table, never followed; each part must have the size
/// and the SHA-256 that the table states; nothing is kept until all of it has been read.

#include "library/library.h"

#include <filesystem>
#include <map>
#include <optional>
#include <string>
#include <vector>

namespace riflesso {

inline constexpr const char* kBundleSuffix = ".riflesso";

struct BundleOptions {
    bool films = true; ///< else stills and figures alone
    /// Blueprints by id, as JSON, that the cases use.
    std::map<std::string, std::string> blueprints{};
    FileProgress progress{};
};

/// Writes cases with their athletes. The file is there whole or not at all. A folder of pictures is not packed; its
/// take keeps its name and sum. Errors: no case; a film that is not there; full disk; cancelled.
Status writeBundle(Library& library, const std::vector<Id>& cases, const std::filesystem::path& file,
                   const BundleOptions& options);

/// A case of a bundle, and what the library says to it.
struct BundledCase {
    std::size_t index = 0; ///< within the bundle
    std::string athlete, blueprintId;
    std::size_t takes = 0, reps = 0, films = 0;
    std::string newest;       ///< date of the newest film; empty = none
    Id sameAthlete = 0;       ///< of the library, by name; 0 = nobody
    Id sameCase = 0;          ///< of the library: shares a film with it; 0 = none
    bool identical = false;   ///< with that case, to the last mark
    std::string difference{}; ///< in words: what is newer or more, on which side
};
struct BundleContents {
    std::vector<BundledCase> cases;
    std::map<std::string, std::string> blueprints; ///< by id, JSON
    std::uintmax_t bytes = 0;                      ///< of its films
};
/// Reads the table and checks it; no film is unpacked. Errors: not a bundle; damaged; beyond its bounds; of a newer
/// format.
Result<BundleContents> lookIntoBundle(Library& library, const std::filesystem::path& file);

/// What becomes of a case. An athlete of 0 makes a new entry; cases of one athlete of the bundle share it.
struct BundleChoice {
    std::size_t index = 0;
    Id athlete = 0;
};
/// Takes cases in, beside what is there: nothing is overwritten. A film that the library has already is not copied
/// again. Returns the new cases. Nothing is left behind when it fails. Errors: those of lookIntoBundle(); a part that
/// is missing, cut, or of another sum; full disk; cancelled.
Result<std::vector<Id>> takeInBundle(Library& library, const std::filesystem::path& file,
                                     const std::vector<BundleChoice>& arrivals, const FileProgress& progress = {});

} // namespace riflesso
