#pragma once
/// \file
/// The sound track of a film.

#include "core/motion/sync.h"

#include <filesystem>
#include <functional>

namespace riflesso {

/// The best sound track as one channel at \p rate Hz, on the clock of the film's first picture. Errors: no sound;
/// unreadable; cancelled. \p goOn is told the share read; false cancels.
Result<Sound> soundOf(const std::filesystem::path& film, double rate = 16000.0,
                      const std::function<bool(double)>& goOn = {});

} // namespace riflesso
