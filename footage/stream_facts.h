#pragma once
/// \file
/// What a film's container says about its pictures. Private to this room.

#include "core/motion/units.h"

extern "C" {
#include <libavformat/avformat.h>
}

#include <optional>
#include <string>

namespace riflesso {

/// Degrees clockwise by which pictures are to be turned: 0, 90, 180, 270.
int rotationOf(const AVStream& stream);
/// Width of a pixel / its height. The container goes before the stream, as players have it; most films say nothing and
/// mean squares. \p streamSays: 0 when it does not.
double pixelAspectOf(const AVStream& stream, double streamSays);
/// How fast a telephone or camera really filmed, by its tags, and in \p name which one said so. The first of them is
/// Android's; the others are forms seen in the wild, from memory.
std::optional<Hertz> captureTag(const AVDictionary* tags, std::string& name);

} // namespace riflesso
