#include "handover/pictures.h"

#include "files/write_file.h"

#include <QBuffer>
#include <QString>

#include <algorithm>

namespace riflesso {

QImage imageOf(Picture p) {
    auto* const kept = new Picture(std::move(p));
    return {reinterpret_cast<uchar*>(kept->pixels.data()),
            kept->width,
            kept->height,
            kept->width * 4,
            QImage::Format_RGB32,
            [](void* picture) { delete static_cast<Picture*>(picture); },
            kept};
}

Picture toPicture(const QImage& image) {
    const QImage rgb = image.convertToFormat(QImage::Format_RGB32);
    Picture out = Picture::unset(rgb.width(), rgb.height());
    for (int y = 0; y < rgb.height(); ++y)
        std::copy_n(reinterpret_cast<const std::uint32_t*>(rgb.constScanLine(y)), rgb.width(),
                    out.pixels.begin() + static_cast<std::ptrdiff_t>(y) * rgb.width());
    return out;
}

QByteArray encoded(const QImage& image, const char* format, int quality) {
    QByteArray bytes;
    QBuffer buffer(&bytes);
    buffer.open(QIODevice::WriteOnly);
    return image.save(&buffer, format, quality) ? bytes : QByteArray();
}

Status writeBytes(const std::filesystem::path& file, const QByteArray& bytes) {
    return writeFile(file, {bytes.constData(), static_cast<std::size_t>(bytes.size())});
}

Status writePicture(const std::filesystem::path& file, const QImage& image) {
    constexpr int kJpegQuality = 92;
    const QString suffix = QString::fromStdString(file.extension().string()).toLower();
    const bool jpeg = suffix == ".jpg" || suffix == ".jpeg";
    const QByteArray bytes = encoded(image, jpeg ? "JPG" : "PNG", jpeg ? kJpegQuality : -1);
    if (bytes.isEmpty())
        return Error{"the picture cannot be encoded", file.filename().string(), "no file was written", {}};
    return writeBytes(file, bytes);
}

} // namespace riflesso
