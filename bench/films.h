#pragma once
/// \file
/// Films: exact frames, seeking, stepping both ways, painting, against OpenCV, FFmpeg and mpv on the same clip.

#include <cstddef>
#include <filesystem>

namespace riflesso {

struct Clip {
    const char* name;
    int width, height, rate, frames;
};

/// Textured movement and noise, as heavy as a real film; each frame carries its number as a code of 12 blocks.
std::filesystem::path makeClip(const Clip& clip, bool variable = false);

/// Decoding from the first frame onwards with a small cache, in milliseconds a frame.
double decodingForwards(const std::filesystem::path& clip, int frames);
void exactness(const std::filesystem::path& constant, const std::filesystem::path& variable, int frames);
void seeks(const std::filesystem::path& clip, int frames);
struct Steps {
    double median = 0.0, p99 = 0.0;
    int late = 0;
    std::size_t most = 0;
};
Steps backwards(const std::filesystem::path& clip, int from, int steps, double rate, std::size_t bytes, bool moving);
void steppingBack(const std::filesystem::path& clip);
void reverse(const std::filesystem::path& clip, int frames);
void painting(const std::filesystem::path& clip);
void opening(const std::filesystem::path& clip);
void locked(const std::filesystem::path& clip);
void movingTogether(const std::filesystem::path& clip);

} // namespace riflesso
