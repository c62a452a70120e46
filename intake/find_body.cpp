#include "intake/find_body.h"

#include "core/statistics/summary.h"
#include "core/words/say.h"
#include "footage/film.h"
#include "intake/found_file.h"
#include "library/library.h"

#include <opencv2/imgproc.hpp>

#include <algorithm>
#include <cstdlib>
#include <future>
#include <map>
#include <mutex>

namespace riflesso {
namespace {

constexpr int kLookAgain = 60; // frames after a loss on which the body is looked for
constexpr int kCheckEvery = 10;
constexpr int kCheckBack = 60;  // frames, of those found, that a check goes back
constexpr int kSearchEvery = 4; // frames between two looks for a body that another one hides
constexpr double kOwn = 0.15;   // colours less alike than usual by this are not the body's own

Result<cv::Mat> pixelsOf(Film& film, FrameIndex frame) {
    const auto decoded = film.decoded(frame);
    if (!decoded)
        return decoded.error();
    const auto picture = (*decoded)->toPicture();
    if (!picture)
        return picture.error();
    // 0xAARRGGBB in a word: B, G, R, A in memory.
    const cv::Mat bgra(picture->height, picture->width, CV_8UC4, const_cast<std::uint32_t*>(picture->pixels.data()));
    cv::Mat rgb;
    cv::cvtColor(bgra, rgb, cv::COLOR_BGRA2RGB);
    return rgb;
}

// Does a found body fill a box that somebody drew?
bool inBox(const FoundFrame& f, const BodyBox& box) {
    int inside = 0;
    double left = 1e300, right = -1e300, top = 1e300, bottom = -1e300;
    for (const auto& [name, p] : f.points) {
        left = std::min(left, p.at.x), right = std::max(right, p.at.x);
        top = std::min(top, p.at.y), bottom = std::max(bottom, p.at.y);
        inside += p.at.x >= box[0] - 0.1 * box[2] && p.at.x <= box[0] + 1.1 * box[2] &&
                  p.at.y >= box[1] - 0.1 * box[3] && p.at.y <= box[1] + 1.1 * box[3];
    }
    return inside * 4 > static_cast<int>(f.points.size()) * 3 && bottom - top > 0.4 * box[3];
}

// How little the plain and the mirrored look agree, as a share of the body's height: small for a body that is there.
double unlike(const FoundFrame& f) {
    std::vector<double> miss;
    for (const auto& [name, p] : f.points)
        miss.push_back(p.mirrorMiss());
    if (miss.empty() || !(f.height > 0.0))
        return 1e300;
    std::nth_element(miss.begin(), miss.begin() + static_cast<std::ptrdiff_t>(miss.size() / 2), miss.end());
    return miss[miss.size() / 2] / f.height;
}

// The body in a box that somebody drew. A box says roughly where, not how the body lies: of a crouching one it is half
// filled with other things. So the people that the detector sees in and round it are tried too, and the look that
// agrees best with its mirror image wins, among those that fill the box.
Result<FoundFrame> findIn(BodyFinder& finder, PersonDetector* detector, const cv::Mat& rgb, const BodyBox& box) {
    auto best = finder.find(rgb, box);
    if (!detector)
        return best;
    std::vector<BodyBox> tries;
    const double grow = 0.15;
    const cv::Rect around = cv::Rect(cvRound(box[0] - grow * box[2]), cvRound(box[1] - grow * box[3]),
                                     cvRound((1 + 2 * grow) * box[2]), cvRound((1 + 2 * grow) * box[3])) &
                            cv::Rect(0, 0, rgb.cols, rgb.rows);
    if (around.width >= 16 && around.height >= 16)
        if (const auto people = detector->find(rgb(around).clone()))
            for (const Person& p : *people)
                tries.push_back({p.box[0] + around.x, p.box[1] + around.y, p.box[2], p.box[3]});
    if (const auto people = detector->find(rgb))
        for (const Person& p : *people)
            tries.push_back(p.box);
    const auto fits = [&](const Result<FoundFrame>& f) { return f && inBox(*f, box); };
    for (const BodyBox& t : tries)
        if (auto other = finder.find(rgb, t); fits(other) && (!fits(best) || unlike(*other) < unlike(*best)))
            best = std::move(other);
    return best;
}

// The people near where the body was last, of about its size; the most prominent first.
std::vector<FoundFrame> near(BodyFinder& finder, PersonDetector& detector, const cv::Mat& rgb, const FoundFrame& last,
                             double reaches, std::size_t most) {
    const double reach = reaches * last.nextSize;
    const cv::Rect around =
        cv::Rect(cvRound(last.next.x - reach), cvRound(last.next.y - reach), cvRound(2 * reach), cvRound(2 * reach)) &
        cv::Rect(0, 0, rgb.cols, rgb.rows);
    if (around.width < 16 || around.height < 16)
        return {};
    const auto people = detector.find(rgb(around).clone());
    if (!people)
        return {};
    std::vector<FoundFrame> out;
    for (const Person& p : *people) {
        const double grown = p.box[3] / std::max(1.0, last.nextSize);
        if (grown < 0.5 || grown > 1.6)
            continue;
        if (auto body = finder.find(rgb, {p.box[0] + around.x, p.box[1] + around.y, p.box[2], p.box[3]}); body)
            out.push_back(std::move(*body));
        if (out.size() >= most)
            break;
    }
    return out;
}

// One way through the film, from the frame of the box.
class Way {
public:
    Way(const FoundFrames& frames, FrameIndex start, int direction)
        : m_frames(frames), m_from(start), m_direction(direction) {}

    // Whether a body is the one of the box, by what it was like before another one took its place.
    [[nodiscard]] bool own(const FoundFrame& body) const {
        return body.likeness > m_likeness - kOwn && body.height < 1.35 * m_height && body.height > m_height / 1.35;
    }
    // The first frame from which on it is another body, among those found last.
    [[nodiscard]] std::optional<FrameIndex> somebodyElse(FrameIndex now) const {
        const FrameIndex back = now - kCheckBack * m_direction;
        const bool beyond = m_direction > 0 ? back < m_from : m_from < back;
        return somebodyElseFrom(m_frames, beyond ? m_from : back, m_direction);
    }
    void takenAt(FrameIndex since) { // learns what the body was like before
        std::vector<double> likeness, height;
        for (FrameIndex f = since - m_direction; m_frames.contains(f) && likeness.size() < 10; f = f - m_direction) {
            likeness.push_back(m_frames.at(f).likeness);
            height.push_back(m_frames.at(f).height);
        }
        m_likeness = median(likeness).value_or(1.0);
        m_height = median(height).value_or(0.0);
    }
    void backAt(FrameIndex now) { m_from = now; }

private:
    const FoundFrames& m_frames;
    FrameIndex m_from; // where the body was last known to be the one of the box
    int m_direction;
    double m_likeness = 1.0, m_height = 0.0;
};

} // namespace

Result<Somebody> somebodyIn(const std::filesystem::path& film, const std::filesystem::path& detector,
                            const std::filesystem::path& indexFolder) {
    constexpr int kLooks = 15;
    constexpr double kAsLarge = 0.75, kClear = 0.01; // of the picture's width
    auto finder = PersonDetector::open(detector);
    if (!finder)
        return finder.error();
    Film::Options o;
    o.indexFolder = indexFolder;
    auto opened = Film::open(film, o);
    if (!opened)
        return opened.error();
    const int frames = (*opened)->info().frames;
    const double width = (*opened)->info().width;
    std::optional<Somebody> best;
    double most = 0.0;
    std::vector<std::pair<FrameIndex, std::vector<Person>>> looks;
    for (int i = 0; i < kLooks; ++i) {
        const FrameIndex frame(static_cast<int>((i + 0.5) * frames / kLooks));
        const auto picture = pixelsOf(**opened, frame);
        if (!picture)
            return picture.error();
        const auto people = finder->find(*picture);
        if (!people)
            return people.error();
        looks.emplace_back(frame, *people);
        for (const Person& p : *people) {
            // Half a body at the side is as good as half its height.
            const bool clear = p.box[0] > kClear * width && p.box[0] + p.box[2] < (1.0 - kClear) * width;
            const double worth = p.box[3] * (clear ? 1.0 : 0.5);
            if (worth <= most)
                continue;
            most = worth;
            best = Somebody{frame, p.box, 1, *people};
        }
    }
    if (!best)
        return Error{"nobody is seen in this film", film.filename().string(), "nothing was changed",
                     "draw a box round the athlete (Marking, B)"};
    // Where the tallest stands alone somebody else may have been left out, or have come later: the look with most
    // people of about that height is the one to choose on.
    const double tall = kAsLarge * best->box[3];
    for (const auto& [frame, people] : looks) {
        const auto n = static_cast<int>(
            std::count_if(people.begin(), people.end(), [&](const Person& p) { return p.box[3] >= tall; }));
        if (n <= best->asLarge)
            continue;
        const auto tallest = std::max_element(people.begin(), people.end(),
                                              [](const Person& a, const Person& b) { return a.box[3] < b.box[3]; });
        best = Somebody{frame, tallest->box, n, people};
    }
    return *best;
}

Result<std::filesystem::path> modelFile(const std::string& name) {
    namespace fs = std::filesystem;
    const auto known =
        std::find_if(kKnownModels.begin(), kKnownModels.end(), [&](const KnownModel& m) { return m.name == name; });
    if (known == kKnownModels.end())
        return Error{fill(say("error", "there is no body model called \"%1\""), {name}),
                     {},
                     "nothing was changed",
                     "lite, full or heavy"};
    std::error_code ec;
    const fs::path self = fs::read_symlink("/proc/self/exe", ec);
    std::vector<fs::path> places;
    if (const char* set = std::getenv("RIFLESSO_MODELS"))
        places.emplace_back(set);
    else
        places = {self.parent_path().parent_path() / "share" / "riflesso" / "models", fs::path(RIFLESSO_MODELS_BUILT)};
    for (const auto& p : places) {
        const fs::path file = p / known->file;
        if (!fs::exists(file, ec))
            continue;
        // Its sum is made once a run.
        static std::mutex guard;
        static std::map<std::string, std::string> sums;
        const std::lock_guard lock(guard);
        std::string& sum = sums[file.string()];
        if (sum.empty()) {
            const auto made = checksumOf(file);
            if (!made)
                return made.error();
            sum = *made;
        }
        if (sum != known->sha256)
            return Error{"this is not the body model that the program knows (its SHA-256 is another one)",
                         file.filename().string(), "everything else works", "install the program again"};
        return file;
    }
    return Error{"the body model is missing", std::string(known->file), "everything else works",
                 name == "lite" || name == "heavy" ? "fetch it with finder/models/fetch.sh"
                                                   : "install the program again"};
}

Result<std::vector<Person>> peopleOn(const std::filesystem::path& path, FrameIndex frame,
                                     const std::filesystem::path& detector, const std::filesystem::path& indexFolder) {
    auto finder = PersonDetector::open(detector);
    if (!finder)
        return finder.error();
    Film::Options o;
    o.indexFolder = indexFolder;
    auto film = Film::open(path, o);
    if (!film)
        return film.error();
    const auto picture = pixelsOf(**film, frame);
    if (!picture)
        return picture.error();
    return finder->find(*picture);
}

Result<FoundBody> findBody(const std::filesystem::path& path, const FindBodyOptions& options,
                           const std::function<bool(double)>& goOn) {
    auto finder = BodyFinder::open(options.model);
    if (!finder)
        return finder.error();
    std::optional<PersonDetector> detector;
    if (!options.detector.empty()) {
        auto opened = PersonDetector::open(options.detector);
        if (!opened)
            return opened.error();
        detector = std::move(*opened);
    }
    Film::Options o;
    o.indexFolder = options.indexFolder;
    auto opened = Film::open(path, o);
    if (!opened)
        return opened.error();
    Film& film = **opened;
    const int end = film.info().frames - 1;
    const int at = options.frame.value, first = std::max(0, options.first.value),
              last = std::min(end, options.last.value);
    if (at < first || at > last)
        return Error{fill(say("error", "frame %1 is not among those to be searched (%2 to %3)"),
                          {std::to_string(at), std::to_string(first), std::to_string(last)}),
                     path.filename().string(),
                     "nothing was changed",
                     {}};
    const auto start = pixelsOf(film, options.frame);
    if (!start)
        return start.error();
    BodyBox box = options.box;
    if (!(box[2] > 0.0)) {
        if (!detector)
            return Error{"without the model that finds people a box must be drawn", {}, "nothing was changed", {}};
        const auto people = detector->find(*start);
        if (!people)
            return people.error();
        if (people->empty())
            return Error{fill(say("error", "nobody is seen on frame %1"), {std::to_string(at)}),
                         path.filename().string(), "nothing was changed",
                         "choose another frame, or draw a box round the athlete"};
        box = people->front().box;
    }
    FoundBody out;
    FoundFrames known = options.keep.empty() ? FoundFrames() : FoundFile::read(options.keep);
    auto begun = findIn(*finder, detector ? &*detector : nullptr, *start, box);
    if (!begun)
        return begun.error();
    if (const auto k = known.find(options.frame); k != known.end() && !inBox(k->second, box))
        std::erase_if(known, [&](const auto& f) { return f.first.value >= first && f.first.value <= last; });
    std::optional<FoundFile> file;
    if (!options.keep.empty()) {
        auto made = FoundFile::begin(options.keep, known);
        if (!made)
            return made.error();
        file = std::move(*made);
    }
    const auto colours = trunkColours(*start, *begun);
    Status kept = Done{};
    const auto keep = [&](FrameIndex f, const FoundFrame& body) {
        out.frames[f] = body;
        if (file && kept && !known.contains(f))
            kept = file->add(f, body);
        ++out.looked;
    };
    const double all = last - first + 1;
    int done = 0;
    const auto tick = [&] {
        ++done;
        return !goOn || goOn(std::min(1.0, done / all));
    };
    if (const auto k = known.find(options.frame); k != known.end())
        out.frames[options.frame] = k->second;
    else
        keep(options.frame, *begun);
    out.whole = tick();
    for (const int direction : {1, -1}) {
        FoundFrame before = out.frames.at(options.frame);
        cv::Mat rgbBefore = *start;
        Way way(out.frames, options.frame, direction);
        Taken* taken = nullptr; // while another body seems to be in its place
        int lost = 0;
        // The next frame is decoded while this one is looked at.
        const auto ask = [&](int f) {
            return f >= first && f <= last && !known.contains(FrameIndex(f))
                       ? std::async(std::launch::async, [&film, f] { return pixelsOf(film, FrameIndex(f)); })
                       : std::future<Result<cv::Mat>>();
        };
        const auto mind = [&](FrameIndex now) { // what was found since it is another body does not count
            const auto since = way.somebodyElse(now);
            if (!since)
                return;
            way.takenAt(*since);
            before = out.frames.at(*since - direction);
            std::erase_if(out.frames,
                          [&](const auto& x) { return direction > 0 ? x.first >= *since : x.first <= *since; });
            out.somebodyElse.push_back({*since, now});
            taken = &out.somebodyElse.back();
        };
        FrameIndex reached = options.frame;
        auto coming = ask(at + direction);
        for (int f = at + direction; out.whole && f >= first && f <= last; f += direction) {
            const FrameIndex frame = reached = FrameIndex(f);
            const auto k = known.find(frame);
            std::optional<FoundFrame> body;
            cv::Mat rgb;
            if (k != known.end()) {
                body = k->second;
            } else if (const auto picture = coming.get()) {
                rgb = *picture;
            }
            coming = ask(f + direction);
            out.whole = tick();
            if (k == known.end() && !rgb.empty()) {
                if (taken) {
                    if (detector && f % kSearchEvery == 0)
                        for (FoundFrame& b : near(*finder, *detector, rgb, before, 2.0, 4)) {
                            b.likeness = alikeColours(colours, trunkColours(rgb, b));
                            if (way.own(b) && (!body || b.likeness > body->likeness))
                                body = std::move(b);
                        }
                } else {
                    if (lost == 0)
                        if (auto tracked = finder->track(rgb, nextCrop(before)))
                            body = std::move(*tracked);
                    if (!body && detector)
                        if (auto again = near(*finder, *detector, rgb, before, 1.2, 1); !again.empty())
                            body = std::move(again.front());
                    if (body) {
                        if (lost == 0 && !rgbBefore.empty())
                            compareWithFlow(rgbBefore, before, rgb, *body);
                        body->likeness = alikeColours(colours, trunkColours(rgb, *body));
                    }
                }
            }
            if (taken) {
                if (!body || !way.own(*body)) {
                    taken->last = frame;
                    if (!detector)
                        break;
                    continue;
                }
                taken->back = true;
                taken = nullptr;
                way.backAt(frame);
            } else if (!body) {
                out.nobody.push_back(frame);
                if (!detector || ++lost > kLookAgain)
                    break;
                continue;
            }
            lost = 0;
            if (k != known.end())
                out.frames[frame] = *body;
            else
                keep(frame, *body);
            before = std::move(*body);
            rgbBefore = rgb;
            if (f % kCheckEvery == 0)
                mind(frame);
        }
        if (coming.valid())
            coming.wait();
        if (!taken && out.frames.contains(reached))
            mind(reached);
        if (taken)
            taken->last = reached;
        for (Taken& t : out.somebodyElse)
            if (t.last < t.first)
                std::swap(t.first, t.last);
    }
    if (!kept)
        return kept.error();
    return out;
}

} // namespace riflesso
