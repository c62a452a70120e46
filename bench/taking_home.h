#pragma once
/// \file
/// What is taken home, against ffmpeg doing the like with the same film in the same run.

#include <filesystem>

namespace riflesso {

/// A clip of \p frames with a figure drawn on each, and a chronophotograph of twelve exposures, of \p clip.
void takingHome(const std::filesystem::path& clip, int frames);

} // namespace riflesso
