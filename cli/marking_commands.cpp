#include "cli/commands.h"

#include "casebook/shipped.h"
#include "core/motion/rep_finder.h"
#include "core/progress/reliability.h"
#include "core/technique/difference.h"
#include "core/technique/position_finder.h"
#include "files/write_file.h"
#include "footage/carry.h"
#include "footage/film.h"
#include "footage/sound.h"
#include "intake/find_body.h"
#include "library/blueprint_json.h"
#include "library/measure_json.h"
#include "library/tracks_csv.h"

#include <nlohmann/json.hpp>

#include <algorithm>
#include <cstdio>
#include <set>
#include <sstream>
#include <unistd.h>

namespace riflesso::cli {
namespace {

Result<TracksFile> readTracks(const std::string& path) {
    const auto text = readFile(path);
    if (!text)
        return text.error();
    return tracksFromCsv(*text, path);
}

ViewSetup setupOf(const std::string& view, const std::string& facing, const std::string& side) {
    ViewSetup s;
    s.view = enumFromName<View>(kViewNames, view).value_or(View::side);
    s.facing = facingIn(s.view, facing == "left" ? Facing::left : Facing::right);
    s.handedness = side == "left" ? Side::left : Side::right;
    return s;
}

} // namespace

Result<Blueprint> blueprintNamed(const std::string& name) {
    const auto shipped = shippedBlueprintIds();
    return std::find(shipped.begin(), shipped.end(), name) != shipped.end() ? shippedBlueprint(name)
                                                                            : readBlueprint(name);
}

Status positions(const PositionsArguments& a) {
    const auto tracks = readTracks(a.tracks);
    if (!tracks)
        return tracks.error();
    const auto blueprint = blueprintNamed(a.blueprint);
    if (!blueprint)
        return blueprint.error();
    std::optional<Hertz> rate;
    if (a.captureRate)
        rate = Hertz(*a.captureRate);
    const auto time = Timebase::make(tracks->times, rate);
    if (!time)
        return time.error();
    std::vector<double> heard;
    if (!a.film.empty()) {
        const auto sound = soundOf(a.film);
        if (!sound)
            return sound.error();
        const double slow = rate && time->fileRate().value > 0.0 ? rate->value / time->fileRate().value : 1.0;
        for (double s : strikes(*sound))
            heard.push_back(s / slow);
    }
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const Motion motion = toMotion(tracks->tracks, *time, raw);
    int first = time->frames(), last = 0;
    for (const auto& [landmark, track] : tracks->tracks)
        if (!track.empty()) {
            first = std::min(first, track.begin()->first.value);
            last = std::max(last, track.rbegin()->first.value);
        }
    std::map<PositionId, std::string> reasons;
    const auto found =
        proposePositions(*blueprint, motion, setupOf(a.view, a.facing, a.side), FrameIndex(a.from.value_or(first)),
                         FrameIndex(a.to.value_or(last)), heard, {}, &reasons);
    nlohmann::json out = nlohmann::json::array();
    for (const auto& p : blueprint->positions) {
        const auto it = found.find(p.id);
        if (it == found.end()) {
            const std::string why = reasons.contains(p.id) ? reasons.at(p.id) : "it has no rule";
            out.push_back({{"id", p.id}, {"found", false}, {"why", why}});
            if (!a.json)
                std::printf("%-16s not found: %s\n", p.id.c_str(), why.c_str());
            continue;
        }
        const auto& f = it->second;
        const double period = time->realPeriod(f.frame);
        out.push_back({{"id", p.id},
                       {"found", true},
                       {"frame", f.frame.value},
                       {"time_s", rounded(f.time, 5)},
                       {"sigma_s", rounded(f.sigma, 5)},
                       {"sigma_frames", rounded(period > 0.0 ? f.sigma / period : 0.0, 2)},
                       {"sure", f.sure},
                       {"why", f.why}});
        if (!a.json)
            std::printf("%-16s frame %5d  %8.4f s  +- %.4f s%s%s\n", p.id.c_str(), f.frame.value, f.time, f.sigma,
                        f.sure ? "" : "  unsure: ", f.sure ? "" : f.why.c_str());
    }
    if (a.json)
        std::printf("%s\n", out.dump(1).c_str());
    return Done{};
}

Status reliability(const ReliabilityArguments& args) {
    const auto a = readTracks(args.a), b = readTracks(args.b);
    if (!a)
        return a.error();
    if (!b)
        return b.error();
    // Whoever made them: two markings of the same frames are compared as they stand.
    const auto byHand = [](TrackSet t) {
        for (auto& [landmark, track] : t)
            for (auto& [frame, mark] : track)
                mark.how = mark.how == How::hidden ? How::hidden : How::hand;
        return t;
    };
    const TrackSet first = byHand(a->tracks), again = byHand(b->tracks);
    const auto errors = markErrors(first, again);
    if (errors.empty())
        return Error{"the two files have no landmark on the same frame", args.b, "nothing was computed",
                     "are these markings of the same film?"};
    std::vector<MeasureDefinition> measures;
    for (const auto& text : args.measures) {
        const auto m = measureFromJson(text);
        if (!m)
            return m.error();
        measures.push_back(*m);
    }
    const ViewSetup setup = setupOf(args.view, args.facing, args.side);
    if (!args.blueprint.empty()) {
        const auto blueprint = blueprintNamed(args.blueprint);
        if (!blueprint)
            return blueprint.error();
        for (const auto& m : blueprint->measures)
            if (serves(setup.view, m.definition.view) && !isOfSpan(m.definition.kind))
                measures.push_back(m.definition);
    }
    nlohmann::json out = {{"landmarks", nlohmann::json::object()}, {"measures", nlohmann::json::array()}};
    for (const auto& [name, e] : errors) {
        out["landmarks"][name.empty() ? "all" : name] = {
            {"n", e.n}, {"sigma_px", rounded(e.sigma)}, {"dx_px", rounded(e.dx)}, {"dy_px", rounded(e.dy)}};
        if (!args.json)
            std::printf("%-16s n %4d  sigma %.2f px  mean difference %+.2f, %+.2f px\n",
                        name.empty() ? "all" : name.c_str(), e.n, e.sigma, e.dx, e.dy);
    }
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const auto time = Timebase::make(a->times.size() >= b->times.size() ? a->times : b->times, std::nullopt);
    if (!time)
        return time.error();
    const Motion one = toMotion(first, *time, raw), two = toMotion(again, *time, raw);
    for (const auto& d : measures) {
        std::vector<double> va, vb;
        std::vector<std::vector<double>> table;
        for (int f = 0; f < time->frames(); ++f) {
            const auto ra = readAt(d, one, FrameIndex(f), setup), rb = readAt(d, two, FrameIndex(f), setup);
            if (!ra || !rb)
                continue;
            va.push_back(ra->value);
            vb.push_back(rb->value);
            table.push_back({ra->value, rb->value});
        }
        const std::string id = d.id.empty() ? std::string(kMeasureKindNames[static_cast<std::size_t>(d.kind)]) : d.id;
        nlohmann::json m = {{"id", id}, {"frames", table.size()}};
        const auto r = reliabilityOf(table);
        const auto ba = blandAltman(va, vb);
        if (r && ba) {
            const auto icc = [](const Icc& i) {
                return nlohmann::json{{"value", rounded(i.value)},
                                      {"interval", {rounded(i.interval.lo), rounded(i.interval.hi)}}};
            };
            m["icc21"] = icc(r->icc21);
            m["icc31"] = icc(r->icc31);
            m["sem"] = rounded(r->sem);
            m["mdc95"] = rounded(r->mdc95);
            m["bias"] = rounded(ba->bias);
            m["limits"] = {rounded(ba->limits.lo), rounded(ba->limits.hi)};
            if (!args.json)
                std::printf(
                    "%-24s n %4zu  ICC(2,1) %.3f [%.3f, %.3f]  ICC(3,1) %.3f  SEM %.2f  MDC95 %.2f  bias %+.2f  "
                    "limits %+.2f to %+.2f %s\n",
                    id.c_str(), table.size(), r->icc21.value, r->icc21.interval.lo, r->icc21.interval.hi,
                    r->icc31.value, r->sem, r->mdc95, ba->bias, ba->limits.lo, ba->limits.hi, unitOf(d).c_str());
        } else {
            m["why"] = !r ? r.error().text() : ba.error().text();
            if (!args.json)
                std::printf("%-24s not computed: %s\n", id.c_str(), m["why"].get<std::string>().c_str());
        }
        out["measures"].push_back(m);
    }
    if (args.json)
        std::printf("%s\n", out.dump(1).c_str());
    return Done{};
}

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
                     a.film,
                     "no file was written",
                     {}};
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
    if (auto s = writeFile(a.out, tracksToCsv(all, times)); !s)
        return s;
    std::printf("%zu marks carried from %zu made by hand", made, hand);
    for (const auto& [landmark, frames] : result->covered)
        std::printf("; %s covered on %zu frames", spoken(landmark).c_str(), frames.size());
    std::printf("\n");
    return Done{};
}

Status find(const FindArguments& a) {
    FindBodyOptions o;
    const auto model = modelFile(a.model);
    if (!model)
        return model.error();
    o.model = *model;
    if (const auto detector = modelFile("person"))
        o.detector = *detector;
    o.frame = FrameIndex(a.frame);
    if (a.from)
        o.first = FrameIndex(*a.from);
    if (a.to)
        o.last = FrameIndex(*a.to);
    if (!a.box.empty()) {
        const auto wrong = Error{"a box is four numbers: X,Y,W,H", "--box", "no file was written", {}};
        std::stringstream list(a.box);
        std::size_t n = 0;
        for (std::string word; std::getline(list, word, ',') && n < 5; ++n) {
            std::istringstream number(word);
            double value = 0.0;
            if (n > 3 || !(number >> value) || !(number >> std::ws).eof())
                return wrong;
            o.box[n] = value;
        }
        if (n != 4)
            return wrong;
        if (!(o.box[2] > 0.0) || !(o.box[3] > 0.0))
            return Error{"the box has no size", "--box", "no file was written", {}};
    }
    const auto film = Film::open(a.film);
    if (!film)
        return film.error();
    const std::vector<double> times = (*film)->times();
    int shown = -1;
    const bool terminal = isatty(STDERR_FILENO) != 0;
    const auto found = findBody(a.film, o, [&](double share) {
        if (const int percent = static_cast<int>(100 * share); terminal && percent != shown)
            std::fprintf(stderr, "\r %3d %%  looking", shown = percent);
        return true;
    });
    if (terminal)
        std::fprintf(stderr, "\r                    \r");
    if (!found)
        return found.error();
    const TrackSet drafts = draftMarks(found->frames);
    if (auto s = writeFile(a.out, tracksToCsv(drafts, times)); !s)
        return s;
    std::size_t marks = 0;
    for (const auto& [landmark, track] : drafts)
        marks += track.size();
    std::printf("%zu marks drafted on %zu frames\n", marks, found->frames.size());
    if (!found->nobody.empty())
        std::printf("nobody was found on %zu frames, the first is %d\n", found->nobody.size(),
                    std::min_element(found->nobody.begin(), found->nobody.end())->value);
    for (const Taken& t : found->somebodyElse)
        std::printf("on frames %d to %d it seems to be somebody else: nothing was drafted there\n", t.first.value,
                    t.last.value);
    std::printf("Drafts, not measurements: joints are often 2 to 4 %% of the body's height off.\n");
    return Done{};
}

Status checkBlueprint(const std::string& file) {
    const auto text = readFile(file);
    if (!text)
        return text.error();
    const auto problems = problemsInBlueprint(*text);
    for (const auto& p : problems)
        std::printf("%s%s%s\n", p.place.c_str(), p.place.empty() ? "" : ": ", p.what.c_str());
    if (!problems.empty())
        return Error{problems.size() == 1 ? "one problem" : std::to_string(problems.size()) + " problems",
                     std::filesystem::path(file).filename().string(),
                     "nothing was changed",
                     {}};
    std::printf("sound\n");
    return Done{};
}

Status diffBlueprints(const std::string& before, const std::string& after) {
    const auto a = readBlueprint(before);
    if (!a)
        return a.error();
    const auto b = readBlueprint(after);
    if (!b)
        return b.error();
    if (a->version != b->version)
        std::printf("version %d → %d\n", a->version, b->version);
    const auto changes = differences(*a, *b);
    for (const auto& c : changes)
        std::printf("%s %s\n", c.place.c_str(), c.what.c_str());
    if (changes.empty())
        std::printf("nothing else differs\n");
    return Done{};
}

} // namespace riflesso::cli
