#pragma once
/// \file
/// What a library keeps for all its cases beside the database: the coach's own drills and the models on the shelf. One
/// JSON file each in the library's folder; a file is whole or what it was before.

#include "core/mirror/reference.h"
#include "core/motion/result.h"
#include "core/programme/calendar.h"
#include "core/technique/own_drill.h"

#include <filesystem>
#include <string>
#include <vector>

namespace riflesso {

/// Nothing kept yet: none. Errors: damaged.
Result<std::vector<OwnDrill>> readOwnDrills(const std::filesystem::path& library);
Status keepOwnDrills(const std::filesystem::path& library, const std::vector<OwnDrill>& drills);

/// A model that every case of its technique may be compared with.
struct ShelvedModel {
    ModelPerformance model; ///< name and school among it; its name is its own on the shelf
    std::string situation;  ///< may be empty
    std::string by;         ///< who put it there, may be empty
    Day day{};
};
Result<std::vector<ShelvedModel>> readModelShelf(const std::filesystem::path& library);
Status keepModelShelf(const std::filesystem::path& library, const std::vector<ShelvedModel>& models);

} // namespace riflesso
