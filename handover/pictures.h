#pragma once
/// \file
/// Decoded pictures as Qt has them, as bytes and as files.

#include "core/motion/result.h"
#include "footage/picture.h"

#include <QByteArray>
#include <QImage>

#include <filesystem>

namespace riflesso {

/// The same as Qt paints it; the pixels stay where they are.
QImage imageOf(Picture picture);
/// Pixels for a film. Any format of \p image.
Picture toPicture(const QImage& image);

/// A picture as bytes of this format ("PNG", "JPG"); empty when it cannot be encoded.
QByteArray encoded(const QImage& image, const char* format, int quality = -1);

/// Errors as writeFile().
Status writeBytes(const std::filesystem::path& file, const QByteArray& bytes);
/// As JPEG where the name says so, else as PNG. Errors as writeFile(); it cannot be encoded.
Status writePicture(const std::filesystem::path& file, const QImage& image);

} // namespace riflesso
