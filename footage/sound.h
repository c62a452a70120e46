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

/// One channel of 16 bits as WAV, whole or not at all. Samples beyond −1..1 are cut; `start` is not written.
Status writeSound(const std::filesystem::path& file, const Sound& sound);

} // namespace riflesso
