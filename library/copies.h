#pragma once
/// \file
/// Copies of a library's database in its folder `copies/`: one a day, seven kept; one before each change of format,
/// three kept. Films are not copied. Touches files only, with connections of its own: may run on any thread.

#include "core/motion/result.h"
#include "core/programme/calendar.h"

#include <filesystem>
#include <functional>
#include <string>
#include <vector>

namespace riflesso {

struct LibraryCopy {
    std::filesystem::path file;
    std::string name; ///< "2026-11-29" or "before format 4, 2026-11-29"
};

/// Newest first.
std::vector<LibraryCopy> copiesOf(const std::filesystem::path& library);

/// Makes today's copy unless there is one; then deletes the oldest above seven.
Status keepDailyCopy(const std::filesystem::path& library, Day today);

/// Before format \p format is changed to a newer one; keeps three.
Status keepCopyBeforeFormat(const std::filesystem::path& library, int format, Day today);

/// Puts a copy in the library's place; what was there is kept as `copies/replaced-N.sqlite`. No Library of this program
/// may be open there; other programs notice that their file is gone and write no more.
Status restoreCopy(const std::filesystem::path& library, const LibraryCopy& copy);

/// Moves a whole library, films and copies included, to \p to, which is not there yet or empty: by its name where that
/// is possible, else by a copy that is checked before the old place is cleared. No Library of any program may be open
/// there. \p goOn: share of the bytes copied; false stops. What fails or is stopped leaves the library where it was,
/// and nothing at the new place. Errors: the place is taken, or lies within the library; the disc; damage found in the
/// copy; cancelled. The library is whole at its new place even when the old one cannot be cleared: that is an error of
/// its own.
Status moveLibrary(const std::filesystem::path& library, const std::filesystem::path& to,
                   const std::function<bool(double)>& goOn = {});

/// SQLite's own check of its pages and indexes, then the sums of all rows. An error names the first damage. Slow for
/// large libraries.
Status checkLibrary(const std::filesystem::path& library);

} // namespace riflesso
