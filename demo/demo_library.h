#pragma once
/// \file
/// The demo library from its recipe: invented athletes, simulated films, marks as by a hand, weeks of practice. First a
/// fencer, who is enough to look round; then her squad, seven weeks of one of them, and the other techniques.

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
    std::function<bool(const std::string&, double)> progress{};
    std::string only{}; ///< of the others just the one of this name; empty = all
};

/// Makes the library with its first athlete in \p folder, or adds nothing when a library is there already (an Error
/// says so).
Status makeDemoLibrary(const std::filesystem::path& folder, const DemoOptions& options);

/// Adds the others to a demo that is there. Who is there already is left as he or she is, so
/// it goes on where it was stopped or killed: an athlete comes in whole, once his or her films are made. Other programs
/// may have the library open.
Status fillDemoLibrary(const std::filesystem::path& folder, const DemoOptions& options);

} // namespace riflesso
