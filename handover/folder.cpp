#include "handover/folder.h"

#include "casebook/text.h"
#include "core/words/say.h"
#include "files/write_file.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

namespace fs = std::filesystem;

constexpr double kBytesASecond = 180e3; // of a film of 720 lines, measured on the demo's
constexpr std::uintmax_t kPaper = 300'000;
constexpr double kClipSlow = 4.0;

// The clip of the finding's rep: what the report's pages show in motion.
std::optional<ClipOptions> clipOf(const FilmedCase& filmed, const Review& review, const ReviewFilmOptions& film) {
    for (const SceneKind kind : {SceneKind::cause, SceneKind::good, SceneKind::own})
        for (const auto& s : review.scenes)
            if (s.kind == kind && filmed.data.reps.contains(s.rep)) {
                ClipOptions clip;
                clip.rep = s.rep;
                clip.other = filmed.data.reps.contains(s.other) ? s.other : 0;
                clip.slow = kClipSlow;
                clip.width = std::min(960, film.width);
                clip.height = std::min(960, film.height);
                return clip;
            }
    return std::nullopt;
}

double secondsOf(const FilmedCase& filmed, const ClipOptions& clip) {
    const Rep& rep = filmed.data.reps.at(clip.rep);
    const auto [first, last] = spanOf(filmed.data, rep);
    const Timebase time = timebaseOf(filmed.data.takes.at(rep.take));
    return (time.real(last).value - time.real(first).value) * clip.slow;
}

std::string readme(const FilmedCase& filmed, Day today, const std::vector<FolderPart>& parts) {
    std::string out = filmed.data.brief.athlete.name + ", " + filmed.blueprint.name + ", " + dateWords(today) + "\n\n" +
                      say("folder", "Everything here opens with what any computer or telephone has.") + "\n\n";
    for (const auto& p : parts)
        out += p.file + "\n    " + p.what + "\n";
    out +=
        "\n" +
        say("folder", "Pain, dizziness or a recent injury: stop, and see a physician or physiotherapist. The figures "
                      "measure movement;\nthey do not diagnose.") +
        "\n";
    return out;
}

} // namespace

std::vector<FolderPart> expectedParts(const FilmedCase& filmed, const Review& review, const FolderOptions& o) {
    std::vector<FolderPart> out;
    const double scale = static_cast<double>(o.film.width) * o.film.height / (1280.0 * 720.0);
    const auto film = [&](double seconds) { return static_cast<std::uintmax_t>(seconds * kBytesASecond * scale); };
    if (o.review && !review.scenes.empty()) {
        double seconds = 0.0;
        for (const auto& s : review.scenes)
            seconds += s.seconds;
        out.push_back(
            {"review.mp4", say("folder", "The review as a film: what is good, the cause, what to do."), film(seconds)});
    }
    std::uintmax_t clip = 0;
    if (const auto c = clipOf(filmed, review, o.film); o.clips && c) {
        clip = film(secondsOf(filmed, *c) / 2);
        out.push_back({"movement.mp4",
                       say("folder", "The movement four times slower, you above the line, the model below."), clip});
    }
    out.push_back({"report.pdf", say("folder", "The report, to print."), kPaper});
    out.push_back(
        {"report.html", say("folder", "The same page for a browser, with the movement in it."), kPaper + clip * 4 / 3});
    out.push_back(
        {"home.pdf", say("folder", "What you do at home in the next seven days, to tick by hand."), kPaper / 6});
    out.push_back({"home.html", say("folder", "The same for a telephone."), kPaper / 60});
    if (!o.calendar.empty())
        out.push_back({"plan.ics", say("folder", "The plan for your calendar."), o.calendar.size()});
    return out;
}

Result<std::vector<FolderPart>> writeFolder(const FilmedCase& filmed, const Review& review, const fs::path& voices,
                                            Day today, const FolderOptions& o, const fs::path& folder,
                                            const std::function<bool(const std::string&, double)>& goOn) {
    std::error_code ec;
    if (fs::exists(folder, ec) && !fs::is_empty(folder, ec))
        return Error{"the folder is there already", folder.filename().string(), "nothing was written",
                     "choose another name", ErrorKind::wrongUse};
    if (!folder.parent_path().empty())
        fs::create_directories(folder.parent_path(), ec);
    const fs::path half = halfOf(folder);
    fs::remove_all(half, ec); // of a killed program
    if (auto s = reserveHalf(folder, true); !s)
        return s.error();
    auto parts = expectedParts(filmed, review, o);
    const auto said = [&](const std::string& what) {
        return [&goOn, what](double share) { return !goOn || goOn(what, share); };
    };
    const auto make = [&]() -> Status {
        if (o.review && !review.scenes.empty())
            if (auto s = writeReviewFilm(filmed, review, voices, half / "review.mp4", o.film, {},
                                         said(say("folder", "the review")));
                !s)
                return s;
        PaperContent report = gatherReport(filmed, o.reader);
        if (const auto clip = clipOf(filmed, review, o.film); o.clips && clip) {
            const fs::path file = half / "movement.mp4";
            if (auto s = writeClip(filmed, *clip, file, said(say("folder", "the movement"))); !s)
                return s;
            const auto bytes = readFile(file);
            if (!bytes)
                return bytes.error();
            report.clips[says("folder", "You above the line, the model below, four times slower")] =
                QByteArray(bytes->data(), static_cast<qsizetype>(bytes->size()));
        }
        if (goOn && !goOn(say("folder", "the report"), 0.0))
            return Error{"the folder was cancelled",
                         folder.filename().string(),
                         "nothing was written",
                         {},
                         ErrorKind::cancelled};
        if (auto s = writePaper(report, o.paper, half, "report"); !s)
            return s;
        const PaperContent home = homeSheet(filmed.data, filmed.blueprint, filmed.analysis, today);
        if (auto s = writePaper(home, o.paper, half, "home"); !s)
            return s;
        if (auto s = writeBytes(half / "home.html", paperHtml(home, true)); !s)
            return s;
        if (!o.calendar.empty())
            if (auto s = writeFile(half / "plan.ics", o.calendar); !s)
                return s;
        return writeFile(half / "README.txt", readme(filmed, today, parts));
    };
    Status done = make();
    if (done) {
        fs::remove(folder, ec); // an empty one
        done = finishHalf(folder);
    }
    if (!done) {
        fs::remove_all(half, ec);
        return done.error();
    }
    for (auto& p : parts)
        p.bytes = fs::file_size(folder / p.file, ec);
    return parts;
}

} // namespace riflesso
