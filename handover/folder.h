#pragma once
/// \file
/// What an athlete takes home: one folder that opens without this program.

#include "handover/report.h"
#include "handover/review_film.h"

#include <functional>
#include <string>
#include <vector>

namespace riflesso {

struct FolderOptions {
    Reader reader = Reader::athlete;
    PaperOptions paper;
    ReviewFilmOptions film;
    bool review = true;     ///< the review as a film
    bool clips = true;      ///< the judged rep and the model's at the same moments, in motion
    std::string calendar{}; ///< the plan as iCalendar; empty = none is kept
};

struct FolderPart {
    std::string file; ///< within the folder
    std::string what; ///< in words, for the README
    std::uintmax_t bytes = 0;
};

/// How large the parts will be, roughly: of films by their length, of papers by what they hold.
std::vector<FolderPart> expectedParts(const FilmedCase& filmed, const Review& review, const FolderOptions& options);

/// Makes \p folder with all its parts, under another name first: it is there whole or not at all. \p voices: of the
/// review. Errors: the folder is there and not empty; those of its parts; cancelled.
Result<std::vector<FolderPart>>
writeFolder(const FilmedCase& filmed, const Review& review, const std::filesystem::path& voices, Day today,
            const FolderOptions& options, const std::filesystem::path& folder,
            const std::function<bool(const std::string& what, double share)>& goOn = {});

} // namespace riflesso
