#pragma once
/// \file
/// Films whose frames carry their own number, written by the tests' own encoder.

#include "footage/film.h"
#include "footage/film_writer.h"

#include <QProcess>
#include <QString>
#include <QStringList>

#include <cmath>
#include <vector>

namespace riflesso {

constexpr int kCodeBits = 12;

/// A picture that carries its number as black and white blocks, on a moving ground that is not easy to compress.
inline Picture coded(int number, int width = 320, int height = 192) {
    Picture p(width, height);
    for (int y = 0; y < height; ++y)
        for (int x = 0; x < width; ++x) {
            const auto v = static_cast<std::uint32_t>(90 + 60 * std::sin((x + 3 * number) * 0.07) *
                                                               std::cos((y - 2 * number) * 0.05));
            p.pixels[static_cast<std::size_t>(y * width + x)] = 0xff000000u | v << 16 | v << 8 | v;
        }
    const int step = width / 13, block = step - step / 8;
    for (int bit = 0; bit < kCodeBits; ++bit)
        for (int y = height / 24; y < height / 6; ++y)
            for (int x = step / 3 + bit * step; x < step / 3 + bit * step + block; ++x)
                p.pixels[static_cast<std::size_t>(y * width + x)] = number >> bit & 1 ? 0xffffffffu : 0xff000000u;
    return p;
}

inline int decodeNumber(const Picture& p) {
    const int step = p.width / 13, block = step - step / 8;
    int number = 0;
    for (int bit = 0; bit < kCodeBits; ++bit)
        if ((p.at(step / 3 + bit * step + block / 2, p.height / 10) & 0xff) > 128)
            number |= 1 << bit;
    return number;
}

/// Ends the test program when it fails: nothing could be tested then.
inline QString makeCoded(const QString& path, int frames, const std::vector<int>& ticks = {},
                         FilmWriterOptions o = {}) {
    if (o.width == 0) {
        o.width = 320;
        o.height = 192;
    }
    auto w = FilmWriter::create(path.toStdString(), o);
    if (!w)
        qFatal("%s", w.error().text().c_str());
    for (int i = 0; i < frames; ++i)
        if (!(*w)->add(coded(i, o.width, o.height),
                       ticks.empty() ? std::nullopt : std::optional(ticks[static_cast<std::size_t>(i)])))
            qFatal("add");
    if (!(*w)->finish())
        qFatal("finish");
    return path;
}

inline bool runFfmpeg(const QStringList& arguments) {
    QProcess p;
    p.start("ffmpeg", QStringList{"-v", "error", "-y"} + arguments);
    return p.waitForFinished(120000) && p.exitCode() == 0;
}

} // namespace riflesso
