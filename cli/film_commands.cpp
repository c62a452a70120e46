#include "cli/commands.h"

#include "core/measure/evaluate.h"
#include "core/statistics/summary.h"
#include "files/write_file.h"
#include "footage/film.h"
#include "handover/pictures.h"
#include "library/blueprint_json.h"
#include "library/measure_json.h"
#include "library/tracks_csv.h"

#include <nlohmann/json.hpp>

#include <charconv>
#include <cmath>
#include <cstdio>
#include <sstream>

namespace riflesso::cli {

using nlohmann::json;

double rounded(double v, int digits) {
    const double scale = std::pow(10.0, digits);
    return std::round(v * scale) / scale;
}

Status probe(const FilmArguments& a) {
    const auto film = Film::open(a.film);
    if (!film)
        return film.error();
    const FilmInfo& i = (*film)->info();
    if (a.json) {
        json j = {{"codec", i.codec},
                  {"width", i.width},
                  {"height", i.height},
                  {"frames", i.frames},
                  {"interlaced", i.interlaced},
                  {"rotation_deg", i.rotation},
                  {"pixel_aspect", rounded(i.pixelAspect, 6)},
                  {"sound", i.sound},
                  {"times_mended", i.timesMended},
                  {"times_invented", i.timesInvented},
                  {"capture_tag", i.captureTag},
                  {"duration_s", rounded(i.duration, 6)},
                  {"file_rate_hz", rounded(i.fileRate.value, 6)},
                  {"variable_rate", i.variableRate},
                  {"capture_rate_hz", i.captureRate ? json(i.captureRate->value) : json(nullptr)},
                  {"key_frames", i.keyFrames},
                  {"frames_lost", i.framesLost}};
        if (a.times)
            j["times_s"] = (*film)->times();
        std::printf("%s\n", j.dump(1).c_str());
        return Done{};
    }
    std::printf("%s, %d x %d, %d frames (%d key frames), %.3f s at %.3f Hz%s\n", i.codec.c_str(), i.width, i.height,
                i.frames, i.keyFrames, i.duration, i.fileRate.value, i.variableRate ? ", variable rate" : "");
    if (i.captureRate)
        std::printf("capture rate %.3f Hz by the file's own tag\n", i.captureRate->value);
    else
        std::printf("capture rate not stated by the file\n");
    if (i.interlaced)
        std::printf("interlaced: each field is a frame\n");
    if (i.framesLost > 0)
        std::printf("the film is cut off: %d frames are missing at its end\n", i.framesLost);
    if (i.timesMended > 0)
        std::printf("%d time stamps were missing, repeated or ran backwards and were put in order\n", i.timesMended);
    if (i.timesInvented)
        std::printf("pictures carry no times: 25 a second are assumed until you say more\n");
    if (a.times)
        for (double t : (*film)->times())
            std::printf("%.6f\n", t);
    return Done{};
}

namespace {
Status saveFrame(Film& film, int number, const std::string& out);
}

Status frame(const FilmArguments& a) {
    const auto film = Film::open(a.film);
    if (!film)
        return film.error();
    std::vector<int> wanted;
    std::stringstream in(a.frames);
    for (std::string part; std::getline(in, part, ',');) {
        int n = 0;
        const auto r = std::from_chars(part.data(), part.data() + part.size(), n);
        if (r.ec != std::errc() || r.ptr != part.data() + part.size())
            return Error{"\"" + a.frames + "\" is no frame number, nor several with commas between", {}, {}, {}};
        wanted.push_back(n);
    }
    const auto place = a.out.find("%d");
    if (wanted.size() > 1 && place == std::string::npos)
        return Error{
            "several frames need a name with %d in it, where the number goes", a.out, "nothing was written", {}};
    for (int n : wanted) {
        std::string name = a.out;
        if (place != std::string::npos)
            name.replace(place, 2, std::to_string(n));
        if (auto s = saveFrame(**film, n, name); !s)
            return s;
    }
    return wanted.empty() ? Status(Error{"no frame is named", {}, {}, {}}) : Status(Done{});
}

namespace {
Status saveFrame(Film& film, int number, const std::string& out) {
    auto picture = film.frame(FrameIndex(number));
    return picture ? writePicture(out, imageOf(std::move(*picture))) : Status(picture.error());
}

} // namespace

Status series(const FilmArguments& a) {
    const auto definition = measureFromJson(a.measure);
    if (!definition)
        return definition.error();
    if (isOfSpan(definition->kind))
        return Error{"a measure of kind " + enumName(kMeasureKindNames, definition->kind) + " has no series over time",
                     "measure",
                     {},
                     {}};
    MotionOptions options;
    if (a.cutoff == "none") {
        options.cutoff = CutoffNone{};
    } else if (a.cutoff != "auto") {
        double hz = 0.0;
        const auto r = std::from_chars(a.cutoff.data(), a.cutoff.data() + a.cutoff.size(), hz);
        if (r.ec != std::errc() || r.ptr != a.cutoff.data() + a.cutoff.size() || !(hz > 0.0) || !std::isfinite(hz))
            return Error{"--cutoff must be a number of Hz above 0, auto or none, not \"" + a.cutoff + "\"", {}, {}, {}};
        options.cutoff = Hertz(hz);
    }
    const auto text = readFile(a.tracks);
    if (!text)
        return text.error();
    const auto tracks = tracksFromCsv(*text, a.tracks);
    if (!tracks)
        return tracks.error();
    std::optional<Hertz> capture;
    if (a.captureRate)
        capture = Hertz(*a.captureRate);
    const auto time = Timebase::make(tracks->times, capture);
    if (!time)
        return time.error();
    ViewSetup setup{definition->view, *enumFromName<Facing>(kFacingNames, a.facing),
                    a.side == "left" ? Side::left : Side::right};
    setup.facing = facingIn(setup.view, setup.facing);
    const Motion motion = toMotion(tracks->tracks, *time, options);
    const auto names = landmarksOf(*definition, setup.handedness);
    for (const auto& name : names)
        if (!tracks->tracks.contains(name))
            return Error{"the tracks have no landmark \"" + name + "\"", a.tracks, {}, {}};
    const auto samples = riflesso::series(*definition, motion, setup);
    if (samples.empty())
        return Error{"no frame has all the landmarks of this measure, or its view cannot show it", a.tracks, {}, {}};
    const std::string unit = unitOf(*definition) == "°" ? "deg" : unitOf(*definition);
    if (!a.json) {
        std::printf("time_s,value_%s,u,rate_per_s\n", unit.empty() ? "1" : unit.c_str());
        for (const auto& s : samples)
            std::printf("%.6f,%.6g,%.4g,%.6g\n", s.time, s.value, s.u, s.rate);
        return Done{};
    }
    // The cut-off that was used: the median over this measure's landmarks when each chose its own.
    json cutoff = nullptr;
    std::vector<double> used;
    for (const auto& name : names)
        for (Hertz hz : motion.tracks().at(name).cutoffs)
            used.push_back(hz.value);
    if (const auto middle = median(used))
        cutoff = rounded(*middle, 3);
    json list = json::array();
    for (const auto& s : samples)
        list.push_back({{"time_s", rounded(s.time, 9)},
                        {"frame", s.frame.value},
                        {"value", s.value},
                        {"u", s.u},
                        {"rate", s.rate}});
    std::printf("%s\n", json{{"unit", unit}, {"cutoff_hz", cutoff}, {"samples", list}}.dump().c_str());
    return Done{};
}

} // namespace riflesso::cli
