#pragma once
/// \file
/// The demo library from its recipe: an invented athlete, simulated films, marks as by a hand, two weeks of practice.

#include "core/motion/result.h"
#include "core/programme/calendar.h"

#include <filesystem>
#include <functional>
#include <string>

namespace riflesso {

struct DemoOptions {
    std::filesystem::path films; ///< where films are kept between runs, by recipe
    Day today{};                 ///< dates of the demo count back from here
    /// Told what is being done and how far it is, 0..1; return false to cancel.
    std::function<bool(const std::string&, double)> progress;
};

/// Makes the library in \p folder, or adds nothing when a library is there already (an Error says so).
Status makeDemoLibrary(const std::filesystem::path& folder, const DemoOptions& options);

} // namespace riflesso
