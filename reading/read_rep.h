#pragma once
/// \file
/// One rep read right after it was done, from its own short film: what the measure that one works on says of it. A
/// draft.

#include "reading/read_take.h"

namespace riflesso {

/// The measure on the rep of a short film, in SI. \p options.take: view, handedness, how the athlete stands; the
/// capture rate is the film's own, for a camera beside practice films at the pace of life. \p goOn false stops. Runs on
/// any thread. Errors: those of readFilm(); no rep on it; the measure cannot be read, with the reason.
Result<MeasureValue> readRep(const std::filesystem::path& film, const Blueprint& blueprint, const ReadOptions& options,
                             const std::string& measure, const std::function<bool()>& goOn = {});

} // namespace riflesso
