#include "intake/intake.h"

#include "core/words/say.h"
#include "footage/movement.h"
#include "footage/sound.h"

#include <algorithm>
#include <cctype>

namespace riflesso {
namespace {

namespace fs = std::filesystem;
constexpr const char* kFilmEndings[] = {".mp4", ".mov",  ".m4v", ".mkv", ".webm", ".avi", ".mts", ".m2ts", ".ts",
                                        ".mpg", ".mpeg", ".vob", ".3gp", ".wmv",  ".mxf", ".ogv", ".h264", ".hevc"};
constexpr const char* kPictureEndings[] = {".png", ".jpg", ".jpeg", ".bmp", ".tif", ".tiff", ".webp"};

std::string endingOf(const fs::path& p) {
    std::string e = p.extension().string();
    std::transform(e.begin(), e.end(), e.begin(), [](unsigned char c) { return std::tolower(c); });
    return e;
}
template <std::size_t N> bool oneOf(const char* const (&list)[N], const std::string& e) {
    return std::any_of(std::begin(list), std::end(list), [&](const char* x) { return e == x; });
}

// Times as they really passed.
std::vector<double> realTimes(const std::vector<double>& times, double slow) {
    std::vector<double> out(times);
    for (double& t : out)
        t /= slow;
    return out;
}

Sound atRealSpeed(Sound s, double slow) {
    s.rate *= slow;
    s.start /= slow;
    return s;
}

} // namespace

std::vector<fs::path> filmsIn(const fs::path& place) {
    std::error_code ec;
    if (!fs::is_directory(place, ec))
        return {place};
    std::vector<fs::path> films;
    int pictures = 0;
    for (fs::recursive_directory_iterator it(place, fs::directory_options::skip_permission_denied, ec), end;
         !ec && it != end; it.increment(ec)) {
        if (it.depth() > 4)
            it.disable_recursion_pending();
        if (!it->is_regular_file(ec))
            continue;
        if (oneOf(kFilmEndings, endingOf(it->path())))
            films.push_back(it->path());
        pictures += it.depth() == 0 && oneOf(kPictureEndings, endingOf(it->path()));
    }
    std::sort(films.begin(), films.end());
    if (films.empty() && pictures >= 2)
        return {place};
    return films;
}

Result<Intake> takeIn(const Library& library, const fs::path& film, const IntakeOptions& options,
                      const IntakeProgress& progress) {
    // Of the whole, reading through is about a third, the checksum a third, the copy a third.
    const double parts = options.copy ? 3.0 : 2.0;
    const auto part = [&](const char* doing, int k) {
        return [&progress, doing, k, parts](double share) {
            return !progress || progress(doing, (k + std::clamp(share, 0.0, 1.0)) / parts);
        };
    };
    const auto sum = checksumOf(film, part("checking", 0));
    if (!sum)
        return sum.error();
    if (const auto there = options.inCase.find(*sum); there != options.inCase.end())
        return Error{fill(say("error", "the same film is in this case already, as “%1”"), {there->second}),
                     film.filename().string(),
                     "nothing was changed",
                     {}};
    Film::Options o;
    o.indexFolder = library.indexFolder();
    o.cacheBytes = 1 << 20;
    const auto reading = part("reading", 1);
    o.progress = [&](double share) { return reading(std::max(0.0, share)); };
    const auto opened = Film::open(film, o);
    if (!opened)
        return opened.error();
    Intake in;
    in.info = (*opened)->info();
    in.take.title = fs::path(film).filename().empty() ? film.parent_path().filename().string()
                    : fs::is_directory(film)          ? film.filename().string()
                                                      : film.stem().string();
    in.take.handedness = options.handedness;
    in.take.day = options.today;
    in.take.checksum = *sum;
    in.take.width = in.info.width;
    in.take.height = in.info.height;
    in.take.times = (*opened)->times();
    if (in.info.captureRate) {
        in.take.captureRate = in.info.captureRate->value;
        in.take.captureFrom = std::string(kFromTag) + in.info.captureTag;
    }
    if (const auto known = options.known.find(*sum); known != options.known.end()) {
        Take probe;
        probe.film = known->second;
        std::error_code ec;
        if (fs::exists(library.filmOf(probe), ec)) {
            in.take.film = known->second;
            in.wasThere = true;
            return in;
        }
    }
    if (options.copy) {
        const auto name = library.bringIn(film, part("copying", 2));
        if (!name)
            return name.error();
        in.take.film = *name;
    } else {
        std::error_code ec;
        in.take.film = fs::absolute(film, ec).lexically_normal().string();
    }
    return in;
}

Result<std::optional<Take>> filmAnew(const fs::path& film, const fs::path& indexFolder, const Take& take, bool deep) {
    Film::Options o;
    o.indexFolder = indexFolder;
    o.cacheBytes = 1 << 20;
    const auto opened = Film::open(film, o);
    if (!opened)
        return opened.error();
    Take now = take;
    now.width = (*opened)->info().width;
    now.height = (*opened)->info().height;
    now.times = (*opened)->times();
    if (now == take)
        return std::optional<Take>();
    if (deep) {
        const auto sum = checksumOf(film);
        if (!sum)
            return sum.error();
        now.checksum = *sum;
    }
    return std::optional<Take>(std::move(now));
}

Result<RepProposals> findReps(const fs::path& film, const fs::path& indexFolder, RepsBy by, double slow,
                              const std::function<bool(double)>& goOn) {
    Film::Options o;
    o.indexFolder = indexFolder;
    const auto opened = Film::open(film, o);
    if (!opened)
        return opened.error();
    const auto times = realTimes((*opened)->times(), slow);
    RepProposals out;
    if (by == RepsBy::sound) {
        const auto sound = soundOf(film, 16000.0, goOn);
        if (!sound)
            return sound.error();
        const auto hits = strikes(atRealSpeed(*sound, slow));
        out.spans = repsFromStrikes(hits, times);
        for (double t : hits)
            out.strikes.push_back(t * slow);
        return out;
    }
    auto energy = motionEnergy(film, indexFolder, goOn);
    if (!energy)
        return energy.error();
    out.energy = std::move(*energy);
    out.spans = by == RepsBy::cycle ? repsFromCycles(out.energy, times) : repsFromMotion(out.energy, times);
    return out;
}

Result<SoundMatch> matchFilms(const fs::path& a, double slowA, const fs::path& b, double slowB,
                              const std::function<bool(double)>& goOn) {
    const auto first = soundOf(a, 16000.0, [&](double share) { return !goOn || goOn(share / 2); });
    if (!first)
        return first.error();
    const auto second = soundOf(b, 16000.0, [&](double share) { return !goOn || goOn(0.5 + share / 2); });
    if (!second)
        return second.error();
    return matchSounds(atRealSpeed(*first, slowA), atRealSpeed(*second, slowB));
}

} // namespace riflesso
