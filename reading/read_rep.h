#pragma once
/// \file
/// One rep read right after it was done, from its own short film: what the measure that one works on says of it. A
/// draft.

#include "reading/read_take.h"

namespace riflesso {

/// The first of \p measures that can be read on the rep of a short film, in SI. \p options.take: view, handedness, how
/// the athlete stands; the capture rate is the film's own, for a camera beside practice films at the pace of life.
/// Where no rep can be cut out of it the whole film is taken for one. \p goOn false stops. Runs on any thread. Errors:
/// those of readFilm(); no rep on it; none can be read, with the reason of the first.
Result<MeasureValue> readRep(const std::filesystem::path& film, const Blueprint& blueprint, const ReadOptions& options,
                             const std::vector<std::string>& measures, const std::function<bool()>& goOn = {});

} // namespace riflesso
