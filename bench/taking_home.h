#pragma once
/// \file
/// What is taken home, against ffmpeg doing the like with the same film in the same run.

#include <filesystem>
#include <functional>

namespace riflesso {

/// \p row prints a figure beside a peer's; \p wall gives the ms that something takes.
struct BenchTools {
    void (*row)(const char* what, double ours, const char* peer, double theirs, double budget, bool atLeast);
    double (*wall)(const std::function<void()>& what);
};

/// A clip of \p frames with a figure drawn on each, and a chronophotograph of twelve exposures, of \p clip.
void takingHome(const std::filesystem::path& clip, int frames, const BenchTools& tools);

} // namespace riflesso
