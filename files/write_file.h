#pragma once
/// \file
/// Files written whole or not at all, and read within bounds. Knows nothing of Qt; every function may run on any
/// thread.

#include "core/motion/result.h"

#include <cstdint>
#include <filesystem>
#include <string>
#include <string_view>

namespace riflesso {

/// What a file is called while it is being made: its name with ".part" behind it, in the same folder.
std::filesystem::path halfOf(const std::filesystem::path& whole);
/// Is this the name of a half file?
bool isHalf(const std::filesystem::path& path);

/// Writes all bytes beside the file, has the system put them on the disk, and only then gives them the file's name.
/// When anything fails (a full disk, no right to write) the file is what it was and nothing is left behind. A link at
/// the half file's name is removed, not followed. The file may be read by its owner alone. Errors: disk full, denied.
Status writeFile(const std::filesystem::path& path, std::string_view bytes);

/// Makes the empty half file (or folder) of a file that is going to be written, for this program alone. Errors:
/// somebody else is making it, or has left it, or the whole one is there already, unless both are folders and that one
/// is empty (kind conflict); not possible there.
Status reserveHalf(const std::filesystem::path& whole, bool folder = false);

/// Gives a finished half file, or a folder of finished files, its name: synced, renamed, the folder synced. Errors
/// leave the half file.
Status finishHalf(const std::filesystem::path& whole);

/// The bytes of an ordinary file. Errors: missing, a folder, a pipe or device (reading it might never end), larger than
/// \p limit bytes, unreadable.
Result<std::string> readFile(const std::filesystem::path& path, std::uintmax_t limit = 512u << 20);

} // namespace riflesso
