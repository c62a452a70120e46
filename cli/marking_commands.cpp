#include "cli/commands.h"

#include "core/motion/timebase.h"
#include "footage/carry.h"
#include "footage/film.h"
#include "library/blueprint_json.h"
#include "library/tracks_csv.h"

#include <QSaveFile>

#include <cstdio>
#include <sstream>
#include <unistd.h>

namespace riflesso::cli {
namespace {

Status writeWhole(const std::string& path, const std::string& text) {
    QSaveFile file(QString::fromStdString(path));
    if (!file.open(QIODevice::WriteOnly) || file.write(text.data(), static_cast<qint64>(text.size())) < 0 ||
        !file.commit())
        return Error{"the file could not be written", path, "no file was changed", "is the disk full?"};
    return Done{};
}

Result<TracksFile> readTracks(const std::string& path) {
    const auto text = readTextFile(path);
    if (!text)
        return text.error();
    return tracksFromCsv(*text, path);
}

} // namespace

Status carry(const CarryArguments& a) {
    const auto start = readTracks(a.marks);
    if (!start)
        return start.error();
    const auto film = Film::open(a.film);
    if (!film)
        return film.error();
    const FilmInfo& info = (*film)->info();
    CarryOptions o;
    int first = info.frames, last = 0;
    for (const auto& [landmark, track] : start->tracks)
        for (const auto& [frame, mark] : track) {
            if (frame.value >= info.frames)
                return Error{"the " + spoken(landmark) + " is marked on frame " + std::to_string(frame.value) +
                                 ", but the film ends with frame " + std::to_string(info.frames - 1),
                             a.marks, "no file was written", "are these the marks of another film?"};
            if (mark.at.x < 0 || mark.at.y < 0 || mark.at.x > info.width || mark.at.y > info.height)
                return Error{"the " + spoken(landmark) + " on frame " + std::to_string(frame.value) +
                                 " lies outside the picture (" + std::to_string(info.width) + " x " +
                                 std::to_string(info.height) + ")",
                             a.marks, "no file was written", "are these the marks of another film?"};
            first = std::min(first, frame.value);
            last = std::max(last, frame.value);
        }
    o.first = FrameIndex(a.from.value_or(first));
    o.last = FrameIndex(a.to.value_or(info.frames - 1));
    if (o.first > o.last || o.first.value < 0 || o.last.value >= info.frames)
        return Error{"frames " + std::to_string(o.first.value) + " to " + std::to_string(o.last.value) +
                         " are not in the film, which has frames 0 to " + std::to_string(info.frames - 1),
                     a.film, "no file was written", {}};
    std::stringstream list(a.landmarks);
    for (std::string name; std::getline(list, name, ',');) {
        if (!start->tracks.contains(name))
            return Error{"\"" + name + "\" is not marked", a.marks, "no file was written", {}};
        o.landmarks.push_back(name);
    }
    const auto& times = (*film)->times();
    const auto rate = a.captureRate ? std::optional(Hertz(*a.captureRate)) : info.captureRate;
    const auto time = Timebase::make(times, rate);
    if (time)
        o.framePeriod = time->realPeriod(o.first);
    int shown = -1;
    const bool terminal = isatty(STDERR_FILENO) != 0;
    const auto result = riflesso::carry(a.film, start->tracks, o, [&](double share) {
        if (const int percent = static_cast<int>(100 * share); terminal && percent != shown)
            std::fprintf(stderr, "\r %3d %%  carrying", shown = percent);
        return true;
    });
    if (terminal)
        std::fprintf(stderr, "\r                    \r");
    if (!result)
        return result.error();
    TrackSet all = start->tracks;
    std::size_t made = 0, hand = 0;
    for (const auto& [landmark, track] : result->marks)
        for (const auto& [frame, mark] : track) {
            all[landmark][frame] = mark;
            ++made;
        }
    for (const auto& [landmark, track] : start->tracks)
        for (const auto& [frame, mark] : track)
            hand += mark.how == How::hand;
    if (auto s = writeWhole(a.out, tracksToCsv(all, times)); !s)
        return s;
    std::printf("%zu marks carried from %zu made by hand", made, hand);
    for (const auto& [landmark, frames] : result->covered)
        std::printf("; %s covered on %zu frames", spoken(landmark).c_str(), frames.size());
    std::printf("\n");
    return Done{};
}

} // namespace riflesso::cli
