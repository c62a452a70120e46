#pragma once
/// \file
/// What a coach saw of simulated faults, kept over weeks: one JSON file of the user's, not of a library.

#include "core/motion/result.h"
#include "core/programme/calendar.h"
#include "core/progress/staircase.h"

#include <filesystem>
#include <string>
#include <vector>

namespace riflesso {

struct EyeSession {
    Day day{};
    std::string technique, fault;
    double smallest = 0.0, largest = 0.0; ///< sizes that were shown, in the fault's unit
    std::vector<FaultLook> looks;
};

/// Of all sessions of a fault together, over the sizes of the last of them.
Staircase staircaseOf(const std::vector<EyeSession>& sessions, const std::string& technique, const std::string& fault);
/// Over sizes that are given.
Staircase staircaseOf(const std::vector<EyeSession>& sessions, const std::string& technique, const std::string& fault,
                      double smallest, double largest);

/// Nothing kept yet: none. Errors: damaged.
Result<std::vector<EyeSession>> readEyeSessions(const std::filesystem::path& file);
/// The file is whole or what it was before.
Status keepEyeSessions(const std::filesystem::path& file, const std::vector<EyeSession>& sessions);

} // namespace riflesso
