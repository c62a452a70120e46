#pragma once
/// \file
/// What a body model found in a film, kept beside the library so that finding can go on where it stopped. May be
/// deleted at any time.

#include "core/motion/draft.h"
#include "core/motion/result.h"

#include <filesystem>
#include <fstream>

namespace riflesso {

/// Text, a line a frame: frame, presence, height, likeness, where to look next (x, y, size, turn), then for each
/// standard landmark x, y, half the way between the two passes (x, y), visibility, flow miss; `-` for a landmark that
/// is not there. Lines are appended as frames are found; a last line that was cut off is left out when read.
class FoundFile {
public:
    /// The frames in a file; none when there is no such file or it is of another kind.
    static FoundFrames read(const std::filesystem::path& path);
    /// Opens for appending; makes it anew with \p known in it. Error: cannot be written.
    static Result<FoundFile> begin(const std::filesystem::path& path, const FoundFrames& known);
    /// Error: the disk is full; the frames before are safe.
    Status add(FrameIndex frame, const FoundFrame& found);

private:
    std::ofstream m_out;
    std::filesystem::path m_path;
};

} // namespace riflesso
