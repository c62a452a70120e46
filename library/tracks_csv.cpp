#include "library/tracks_csv.h"

#include "core/statistics/numbers.h"
#include "core/words/say.h"
#include "library/csv_table.h"

#include <algorithm>
#include <charconv>
#include <cmath>
#include <cstdio>
#include <map>

namespace riflesso {
namespace {

constexpr std::array<std::string_view, 5> kNeeded = {"time_s", "frame", "landmark", "x_px", "y_px"};
constexpr int kMostFrames = 2'000'000; // a typing error in the frame column must not fill the memory
constexpr double kFarthest = 1e6;      // px: no picture is larger, and what is written must be what was read

// Frames that no row names lie evenly between those that are named. \p timeOf: not empty.
std::vector<double> timesOfAllFrames(const std::map<int, double>& timeOf) {
    const int count = timeOf.rbegin()->first + 1;
    std::vector<double> times(static_cast<std::size_t>(count));
    const auto first = timeOf.begin();
    double step = 1.0 / 30.0;
    if (timeOf.size() > 1) {
        const auto second = std::next(first);
        step = (second->second - first->second) / (second->first - first->first);
    }
    for (int i = 0; i < first->first; ++i)
        times[static_cast<std::size_t>(i)] = first->second - step * (first->first - i);
    for (auto a = timeOf.begin(); a != timeOf.end(); ++a) {
        const auto b = std::next(a);
        times[static_cast<std::size_t>(a->first)] = a->second;
        if (b != timeOf.end())
            for (int i = a->first + 1; i < b->first; ++i)
                times[static_cast<std::size_t>(i)] =
                    a->second + (b->second - a->second) * (i - a->first) / (b->first - a->first);
    }
    return times;
}

} // namespace

Result<TracksFile> tracksFromCsv(const std::string& text, const std::string& fileName) {
    TracksFile out;
    std::map<int, double> timeOf;
    std::map<std::string, std::size_t> column;
    CsvLines lines(text);
    const auto wrong = [&](const std::string& what) {
        return Error{what,
                     fill(say("error", "%1 line %2"), {fileName, std::to_string(lines.number())}),
                     "nothing was taken over",
                     {}};
    };
    for (std::string_view line; lines.next(line);) {
        if (line.empty())
            continue;
        const auto cells = csvCells(line);
        if (column.empty()) {
            for (std::size_t i = 0; i < cells.size(); ++i)
                column[std::string(cells[i])] = i;
            for (auto name : kNeeded)
                if (!column.contains(std::string(name)))
                    return wrong(fill(say("error", "the column %1 is missing from the header"), {std::string(name)}));
            continue;
        }
        const auto cell = [&](const std::string& name) -> std::string_view {
            const auto it = column.find(name);
            return it == column.end() || it->second >= cells.size() ? std::string_view() : cells[it->second];
        };
        for (auto name : kNeeded)
            if (cell(std::string(name)).empty())
                return wrong(fill(say("error", "the field %1 is missing"), {std::string(name)}));
        const auto frameValue = numberFrom(cell("frame"));
        if (!frameValue || *frameValue < 0 || *frameValue != std::floor(*frameValue) || *frameValue > kMostFrames)
            return wrong(
                fill(say("error", "frame must be a whole number from 0 on, not “%1”"), {std::string(cell("frame"))}));
        const int frame = static_cast<int>(*frameValue);
        const auto time = numberFrom(cell("time_s"));
        const auto x = numberFrom(cell("x_px"));
        const auto y = numberFrom(cell("y_px"));
        if (!time || !x || !y) {
            const char* bad = !time ? "time_s" : !x ? "x_px" : "y_px";
            return wrong(
                fill(say("error", "%1 must be a number, not “%2”"), {std::string(bad), std::string(cell(bad))}));
        }
        if (std::abs(*x) > kFarthest || std::abs(*y) > kFarthest)
            return wrong("a place more than a million pixels away cannot be true");
        const std::string landmark(cell("landmark"));
        if (!isLandmarkName(landmark))
            return wrong(fill(say("error", "“%1” is no landmark"), {landmark}));
        Mark m{{*x, *y}, kAssumedHandSigma, How::hand};
        if (const auto s = cell("sigma_px"); !s.empty()) {
            const auto sigma = numberFrom(s);
            if (!sigma || *sigma < 0)
                return wrong(fill(say("error", "sigma_px must be a number from 0 on, not “%1”"), {std::string(s)}));
            m.sigma = *sigma;
        }
        if (const auto h = cell("how"); !h.empty()) {
            const auto how = howFromName(h);
            if (!how)
                return wrong(fill(say("error", "how must be hand, tracked, found, interpolated or proxy, not “%1”"),
                                  {std::string(h)}));
            m.how = *how;
        }
        const auto [at, fresh] = timeOf.emplace(frame, *time);
        if (!fresh && std::abs(at->second - *time) > 1e-6)
            return wrong(fill(say("error", "frame %1 has two different times"), {std::to_string(frame)}));
        if (!out.tracks[landmark].emplace(FrameIndex(frame), m).second)
            return wrong(fill(say("error", "%1 stands twice on frame %2"), {landmark, std::to_string(frame)}));
    }
    // A file that ends in the middle of a line may end in the middle of a number.
    if (!text.empty() && text.back() != '\n' && numberFrom(text.substr(text.find_last_of(",\n") + 1)))
        return Error{"its last line has no end: the file may be cut off", fileName, "nothing was taken over",
                     "if it is whole, add an empty line to it"};
    if (column.empty())
        return Error{"the file is empty", fileName, "nothing was taken over", {}};
    if (timeOf.empty())
        return Error{"the file has a header but no marks", fileName, "nothing was taken over", {}};
    double last = -1e300;
    for (const auto& [frame, time] : timeOf) {
        if (time <= last)
            return Error{fill(say("error", "the time of frame %1 is not later than that of the frame before"),
                              {std::to_string(frame)}),
                         fileName,
                         "nothing was taken over",
                         {}};
        last = time;
    }
    out.times = timesOfAllFrames(timeOf);
    return out;
}

std::string tracksToCsv(const TrackSet& tracks, const std::vector<double>& times) {
    std::map<std::pair<FrameIndex, LandmarkName>, const Mark*> rows;
    for (const auto& [landmark, track] : tracks)
        for (const auto& [frame, mark] : track)
            rows[{frame, landmark}] = &mark;
    std::string out = "time_s,frame,landmark,x_px,y_px,sigma_px,how\n";
    for (const auto& [key, mark] : rows) {
        const auto i = static_cast<std::size_t>(std::max(0, key.first.value));
        out += general(i < times.size() ? times[i] : 0.0, 9) + ',' + std::to_string(key.first.value) + ',' +
               key.second + ',' + fixed(mark->at.x, 3) + ',' + fixed(mark->at.y, 3) + ',' + fixed(mark->sigma, 3) +
               ',' + std::string(name(mark->how)) + '\n';
    }
    return out;
}

} // namespace riflesso
