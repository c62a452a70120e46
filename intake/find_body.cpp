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

// One search through a film, from the frame where the athlete is known towards both ends.
class BodySearch {
public:
    BodySearch(const FindBodyOptions& options, const std::function<bool(double)>& goOn)
        : m_options(options), m_goOn(goOn) {}
    Status open(const std::filesystem::path& path);
    Status begin(); // the body on the frame asked for
    void follow(int direction);
    Result<FoundBody> end() {
        if (!m_kept)
            return m_kept.error();
        return std::move(m_out);
    }

private:
    // How it goes on in one direction.
    struct Trail {
        int direction;
        Way way;
        FoundFrame before;
        cv::Mat rgbBefore;
        Taken* taken = nullptr; // while another body seems to be in its place
        int lost = 0;
        FrameIndex reached;
    };
    [[nodiscard]] PersonDetector* detector() { return m_detector ? &*m_detector : nullptr; }
    [[nodiscard]] bool known(int f) const { return m_known.contains(FrameIndex(f)); }
    std::future<Result<cv::Mat>> ask(int f);
    void keep(FrameIndex f, const FoundFrame& body);
    void tick();
    std::optional<FoundFrame> look(const Trail& t, const cv::Mat& rgb);
    bool step(Trail& t, std::optional<FoundFrame> body, const cv::Mat& rgb);
    void mind(Trail& t, FrameIndex now);

    const FindBodyOptions& m_options;
    const std::function<bool(double)>& m_goOn;
    std::string m_name; // of the film's file
    std::unique_ptr<Film> m_film;
    std::optional<BodyFinder> m_finder;
    std::optional<PersonDetector> m_detector;
    int m_first = 0, m_last = 0, m_done = 0;
    FoundFrames m_known;
    std::optional<FoundFile> m_file;
    Status m_kept = Done{};
    cv::Mat m_start;
    std::vector<float> m_colours;
    FoundBody m_out;
};

Status BodySearch::open(const std::filesystem::path& path) {
    auto finder = BodyFinder::open(m_options.model);
    if (!finder)
        return finder.error();
    m_finder = std::move(*finder);
    if (!m_options.detector.empty()) {
        auto opened = PersonDetector::open(m_options.detector);
        if (!opened)
            return opened.error();
        m_detector = std::move(*opened);
    }
    Film::Options o;
    o.indexFolder = m_options.indexFolder;
    auto opened = Film::open(path, o);
    if (!opened)
        return opened.error();
    m_film = std::move(*opened);
    m_name = path.filename().string();
    const int at = m_options.frame.value;
    m_first = std::max(0, m_options.first.value);
    m_last = std::min(m_film->info().frames - 1, m_options.last.value);
    if (at < m_first || at > m_last)
        return Error{fill(say("error", "frame %1 is not among those to be searched (%2 to %3)"),
                          {std::to_string(at), std::to_string(m_first), std::to_string(m_last)}),
                     m_name,
                     "nothing was changed",
                     {}};
    auto start = pixelsOf(*m_film, m_options.frame);
    if (!start)
        return start.error();
    m_start = std::move(*start);
    return Done{};
}

Status BodySearch::begin() {
    const FrameIndex at = m_options.frame;
    BodyBox box = m_options.box;
    if (!(box[2] > 0.0)) {
        if (!m_detector)
            return Error{"without the model that finds people a box must be drawn", {}, "nothing was changed", {}};
        const auto people = m_detector->find(m_start);
        if (!people)
            return people.error();
        if (people->empty())
            return Error{fill(say("error", "nobody is seen on frame %1"), {std::to_string(at.value)}), m_name,
                         "nothing was changed", "choose another frame, or draw a box round the athlete"};
        box = people->front().box;
    }
    if (!m_options.keep.empty())
        m_known = FoundFile::read(m_options.keep);
    auto begun = findIn(*m_finder, detector(), m_start, box);
    if (!begun)
        return begun.error();
    if (const auto k = m_known.find(at); k != m_known.end() && !inBox(k->second, box))
        std::erase_if(m_known, [&](const auto& f) { return f.first.value >= m_first && f.first.value <= m_last; });
    if (!m_options.keep.empty()) {
        auto made = FoundFile::begin(m_options.keep, m_known);
        if (!made)
            return made.error();
        m_file = std::move(*made);
    }
    m_colours = trunkColours(m_start, *begun);
    if (const auto k = m_known.find(at); k != m_known.end())
        m_out.frames[at] = k->second;
    else
        keep(at, *begun);
    tick();
    return Done{};
}

void BodySearch::keep(FrameIndex f, const FoundFrame& body) {
    m_out.frames[f] = body;
    if (m_file && m_kept && !m_known.contains(f))
        m_kept = m_file->add(f, body);
    ++m_out.looked;
}

void BodySearch::tick() {
    ++m_done;
    m_out.whole = !m_goOn || m_goOn(std::min(1.0, m_done / (m_last - m_first + 1.0)));
}

// Decodes a frame while the one before it is looked at; one that is known already is not needed.
std::future<Result<cv::Mat>> BodySearch::ask(int f) {
    if (f < m_first || f > m_last || known(f))
        return {};
    return std::async(std::launch::async, [film = m_film.get(), f] { return pixelsOf(*film, FrameIndex(f)); });
}

// The body on the next frame.
std::optional<FoundFrame> BodySearch::look(const Trail& t, const cv::Mat& rgb) {
    std::optional<FoundFrame> body;
    if (t.taken) {
        if (m_detector && (t.reached.value % kSearchEvery) == 0)
            for (FoundFrame& b : near(*m_finder, *m_detector, rgb, t.before, 2.0, 4)) {
                b.likeness = alikeColours(m_colours, trunkColours(rgb, b));
                if (t.way.own(b) && (!body || b.likeness > body->likeness))
                    body = std::move(b);
            }
        return body;
    }
    if (t.lost == 0)
        if (auto tracked = m_finder->track(rgb, nextCrop(t.before)))
            body = std::move(*tracked);
    if (!body && m_detector)
        if (auto again = near(*m_finder, *m_detector, rgb, t.before, 1.2, 1); !again.empty())
            body = std::move(again.front());
    if (!body)
        return body;
    if (t.lost == 0 && !t.rgbBefore.empty())
        compareWithFlow(t.rgbBefore, t.before, rgb, *body);
    body->likeness = alikeColours(m_colours, trunkColours(rgb, *body));
    return body;
}

// What was found since it is another body does not count.
void BodySearch::mind(Trail& t, FrameIndex now) {
    const auto since = t.way.somebodyElse(now);
    if (!since)
        return;
    t.way.takenAt(*since);
    t.before = m_out.frames.at(*since - t.direction);
    std::erase_if(m_out.frames, [&](const auto& x) { return t.direction > 0 ? x.first >= *since : x.first <= *since; });
    m_out.somebodyElse.push_back({*since, now});
    t.taken = &m_out.somebodyElse.back();
}

// Takes one frame into account; false: there is no use in going on.
bool BodySearch::step(Trail& t, std::optional<FoundFrame> body, const cv::Mat& rgb) {
    const FrameIndex frame = t.reached;
    if (t.taken) {
        if (!body || !t.way.own(*body)) {
            t.taken->last = frame;
            return m_detector.has_value();
        }
        t.taken->back = true;
        t.taken = nullptr;
        t.way.backAt(frame);
    } else if (!body) {
        m_out.nobody.push_back(frame);
        return m_detector && ++t.lost <= kLookAgain;
    }
    t.lost = 0;
    if (m_known.contains(frame))
        m_out.frames[frame] = *body;
    else
        keep(frame, *body);
    t.before = std::move(*body);
    t.rgbBefore = rgb;
    if (frame.value % kCheckEvery == 0)
        mind(t, frame);
    return true;
}

void BodySearch::follow(int direction) {
    const FrameIndex at = m_options.frame;
    Trail t{direction, Way(m_out.frames, at, direction), m_out.frames.at(at), m_start, nullptr, 0, at};
    auto coming = ask(at.value + direction);
    for (int f = at.value + direction; m_out.whole && f >= m_first && f <= m_last; f += direction) {
        t.reached = FrameIndex(f);
        cv::Mat rgb;
        if (coming.valid())
            if (auto picture = coming.get())
                rgb = std::move(*picture);
        coming = ask(f + direction);
        tick();
        std::optional<FoundFrame> body;
        if (const auto k = m_known.find(t.reached); k != m_known.end())
            body = k->second;
        else if (!rgb.empty())
            body = look(t, rgb);
        if (!step(t, std::move(body), rgb))
            break;
    }
    if (coming.valid())
        coming.wait();
    if (!t.taken && m_out.frames.contains(t.reached))
        mind(t, t.reached);
    if (t.taken)
        t.taken->last = t.reached;
    for (Taken& taken : m_out.somebodyElse)
        if (taken.last < taken.first)
            std::swap(taken.first, taken.last);
}

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
        return Error{fill(say("error", "there is no body model called “%1”"), {name}),
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
    BodySearch search(options, goOn);
    if (const Status opened = search.open(path); !opened)
        return opened.error();
    if (const Status begun = search.begin(); !begun)
        return begun.error();
    search.follow(1);
    search.follow(-1);
    return search.end();
}

} // namespace riflesso
