#include "footage/carry.h"

#include "core/words/say.h"
#include "footage/film.h"
#include "footage/followed.h"
#include "footage/frames_ahead.h"
#include "footage/luma.h"
#include "footage/patch.h"

#include <opencv2/imgproc.hpp>
#include <opencv2/video/tracking.hpp>

#include <algorithm>
#include <atomic>
#include <cmath>
#include <set>
#include <utility>

namespace riflesso {
namespace {

constexpr int kLevels = 3;           // of the pyramids, above the picture itself
constexpr int kLarge = 16;           // px, of a radius from which on half the picture's size shows the flow as well
constexpr double kLost = 2.5;        // px there and back at which a step is not believed
constexpr double kAlike = 0.45;      // likeness below which the place is taken for covered
constexpr double kFound = 0.82;      // likeness at which a covered place is believed to be back
constexpr double kFoundAlone = 0.93; // the same while none of its neighbours is in sight

// One direction through the frames.
class Sweep {
public:
    Sweep(Film& film, const TrackSet& marks, const CarryOptions& options, const std::vector<LandmarkName>& names,
          const BoneSpread& bones, const std::vector<std::pair<LandmarkName, LandmarkName>>& lines, int direction)
        : m_film(film), m_options(options), m_bones(bones), m_direction(direction) {
        const double usual = bones.usual() > 0.0 ? bones.usual() : 0.11 * film.info().height;
        m_usual = usual;
        m_radius = std::clamp(static_cast<int>(std::lround(0.13 * usual)), 5, 18);
        m_scale = m_radius >= kLarge ? 2 : 1;
        for (const auto& name : names) {
            Followed f;
            f.name = name;
            f.implement = !onBody(name);
            if (const auto own = marks.find(name); own != marks.end())
                f.marks = own->second;
            if (const auto from = options.starts.find(name); from != options.starts.end())
                for (const auto& [frame, mark] : from->second)
                    if (const auto there = f.marks.find(frame);
                        there == f.marks.end() ||
                        (there->second.how != How::hand && there->second.how != How::hidden)) {
                        f.marks[frame] = mark;
                        f.starts.insert(frame);
                    }
            for (const auto& [a, b] : lines)
                if (a == name || b == name)
                    f.neighbours.push_back(a == name ? b : a);
            m_followed.push_back(std::move(f));
        }
        // The rest of the body, as it is marked: nobody follows it, but what is followed must fit to it.
        for (const auto& [name, track] : marks)
            if (std::find(names.begin(), names.end(), name) == names.end() && kindOf(name) != PointKind::scene) {
                Followed f;
                f.name = name;
                f.given = true;
                f.marks = track;
                m_followed.push_back(std::move(f));
            }
        for (auto& f : m_followed)
            for (const auto& n : f.neighbours)
                for (std::size_t i = 0; i < m_followed.size(); ++i)
                    if (m_followed[i].name == n)
                        f.beside.push_back(i);
        learnReach();
    }

    // What can be reached over two bones: a wrist is never farther from its shoulder than the arm is long.
    void learnReach() {
        for (auto& f : m_followed)
            for (std::size_t i : f.beside)
                for (std::size_t k : m_followed[i].beside) {
                    const auto one = m_bones.longest(f.name, m_followed[i].name),
                               two = m_bones.longest(m_followed[i].name, m_followed[k].name);
                    if (&m_followed[k] != &f && one && two)
                        f.reach.emplace_back(k, 1.15 * (*one + *two) + 4.0);
                }
    }

    // From \p first to \p last (in the sweep's own direction, inclusive). False when cancelled.
    bool run(int first, int last, const std::function<bool()>& goOn) {
        DecodedPtr before;
        FramesAhead ahead(m_film, first, last, m_direction);
        for (int f = first;; f += m_direction) {
            const auto decoded = ahead.next();
            giveRest(f);
            if (!decoded) { // a damaged frame: everybody waits for the next
                before.reset();
                for (auto& one : m_followed)
                    if (one.active && !one.given)
                        cover(one, f);
            } else {
                m_now = lumaOf(**decoded, m_film.info().width, m_film.info().height);
                if (before)
                    step(f);
                start(f);
                record(f);
                m_before = m_now;
                std::swap(m_beforePyramid, m_pyramid); // kept, so that its memory serves again
                m_beforeFits = std::exchange(m_nowFits, false);
                before = *decoded; // its memory must outlive the pyramid's source
                m_held = before;
            }
            if (goOn && !goOn())
                return false;
            if (f == last)
                return true;
        }
    }

    std::map<LandmarkName, std::map<int, CarriedPlace>> places;
    std::map<LandmarkName, std::map<int, Arrival>> arrivals;
    std::map<LandmarkName, std::vector<FrameIndex>> covered;

private:
    void giveRest(int frame) {
        for (auto& f : m_followed) {
            if (!f.given)
                continue;
            const auto mark = f.marks.find(FrameIndex(frame));
            const bool there = mark != f.marks.end() && mark->second.how != How::hidden;
            if (there) {
                const Eigen::Vector2d at = mark->second.at.vector();
                f.step = f.active ? Eigen::Vector2d(at - f.at) : Eigen::Vector2d(0, 0);
                f.at = f.guess = at;
                f.error = {mark->second.sigma * mark->second.sigma, 0.0, 0.0};
            }
            f.active = there;
        }
    }

    // The part of the picture that holds all who are followed, with room for their next steps; of one size for as long
    // as it serves, because both pyramids of a step must be alike.
    void frameBody() {
        const int margin = 7 * m_radius + 24;
        double x0 = 1e9, y0 = 1e9, x1 = -1e9, y1 = -1e9;
        for (const auto& f : m_followed)
            if (f.active && f.away == 0 && !f.given)
                for (const Eigen::Vector2d& p : {f.at, Eigen::Vector2d(f.at + 2.0 * f.step)}) {
                    x0 = std::min(x0, p.x());
                    y0 = std::min(y0, p.y());
                    x1 = std::max(x1, p.x());
                    y1 = std::max(y1, p.y());
                }
        if (x1 < x0)
            return;
        const cv::Rect whole(0, 0, m_now.cols, m_now.rows);
        const cv::Rect need =
            cv::Rect(cv::Point(static_cast<int>(x0) - margin / 2, static_cast<int>(y0) - margin / 2),
                     cv::Point(static_cast<int>(x1) + margin / 2, static_cast<int>(y1) + margin / 2)) &
            whole;
        if ((m_region & need) == need && m_region.area() > 0)
            return;
        m_region =
            cv::Rect(need.x - margin / 2, need.y - margin / 2, need.width + margin, need.height + margin) & whole;
        m_beforeFits = false;
    }

    [[nodiscard]] int window() const { return std::min(2 * (m_radius / m_scale) + 1, 25); }

    void makePyramid(const cv::Mat& picture, std::vector<cv::Mat>& out) const {
        const int side = window();
        cv::Mat half;
        if (m_scale > 1) { // by whole pixels: OpenCV is twenty times slower otherwise
            const cv::Size size(m_region.width / m_scale, m_region.height / m_scale);
            cv::resize(picture(cv::Rect(m_region.tl(), size * m_scale)), half, size, 0, 0, cv::INTER_AREA);
        }
        cv::buildOpticalFlowPyramid(m_scale > 1 ? half : picture(m_region), out, cv::Size(side, side), kLevels, true,
                                    cv::BORDER_REFLECT_101, cv::BORDER_CONSTANT, false);
    }

    void step(int frame) {
        if (std::none_of(m_followed.begin(), m_followed.end(), [](const Followed& f) { return f.active && !f.given; }))
            return;
        frameBody();
        if (m_region.area() == 0)
            return;
        if (!m_beforeFits)
            makePyramid(m_before, m_beforePyramid);
        makePyramid(m_now, m_pyramid);
        m_nowFits = true;
        std::vector<std::size_t> who;
        std::vector<cv::Point2f> from, to, back;
        const Eigen::Vector2d origin(m_region.x, m_region.y);
        const auto point = [&](const Eigen::Vector2d& v) {
            const Eigen::Vector2d p = (v - origin) / m_scale;
            return cv::Point2f(static_cast<float>(p.x() - 0.5),
                               static_cast<float>(p.y() - 0.5)); // OpenCV's pixel centres
        };
        for (std::size_t i = 0; i < m_followed.size(); ++i)
            if (const auto& f = m_followed[i]; f.active && f.away == 0 && !f.given) {
                who.push_back(i);
                from.push_back(point(f.at));
                to.push_back(point(f.at + f.step));
            }
        if (!who.empty()) {
            const int side = window();
            const cv::TermCriteria enough(cv::TermCriteria::COUNT | cv::TermCriteria::EPS, 20, 0.02);
            std::vector<unsigned char> there, again;
            std::vector<float> e;
            back = from;
            cv::calcOpticalFlowPyrLK(m_beforePyramid, m_pyramid, from, to, there, e, cv::Size(side, side), kLevels,
                                     enough, cv::OPTFLOW_USE_INITIAL_FLOW);
            cv::calcOpticalFlowPyrLK(m_pyramid, m_beforePyramid, to, back, again, e, cv::Size(side, side), kLevels,
                                     enough, cv::OPTFLOW_USE_INITIAL_FLOW);
            for (std::size_t k = 0; k < who.size(); ++k) {
                Followed& f = m_followed[who[k]];
                const cv::Point2f miss = back[k] - from[k];
                f.proposed = m_scale * Eigen::Vector2d(to[k].x + 0.5, to[k].y + 0.5) + origin;
                f.missed = there[k] && again[k] ? m_scale * std::hypot(miss.x, miss.y) : 99.0;
            }
        }
        // Those who are covered are looked for when it is known where their neighbours have gone.
        std::vector<std::size_t> away;
        for (std::size_t i = 0; i < m_followed.size(); ++i)
            if (m_followed[i].active && m_followed[i].away > 0)
                away.push_back(i);
        expect(who);
        look(who);
        for (std::size_t i : who)
            settle(m_followed[i], frame);
        for (auto& f : m_followed) {
            f.guess = f.at;
            if (f.active && f.away > 0) {
                f.guess += f.step;
                f.range = 3.0 + 1.2 * f.away + f.step.norm();
            }
        }
        look(away);
        for (std::size_t i : away)
            lookAgain(m_followed[i], frame);
        checkBody(frame);
        checkStuck(frame);
    }

    // Where those are to be looked for whom the flow could follow.
    void expect(const std::vector<std::size_t>& who) {
        for (std::size_t i : who) {
            Followed& f = m_followed[i];
            const Eigen::Vector2d stepped = f.proposed - f.at;
            f.outside = f.proposed.x() < 1 || f.proposed.y() < 1 || f.proposed.x() > m_now.cols - 1 ||
                        f.proposed.y() > m_now.rows - 1;
            f.believed = f.missed < kLost && !f.outside;
            if (f.believed && f.steps > 1 && !believableStep(f.step, stepped, m_usual))
                f.believed = f.missed < 0.3;
            f.guess = f.believed ? f.proposed : Eigen::Vector2d(f.at + f.step);
            f.range = 2.0 + 1.5 * std::sqrt(f.error.way) + (f.believed ? 0.0 : 0.5 * stepped.norm() + 2.0);
        }
    }

    // Looks for each by itself, on all cores.
    void look(const std::vector<std::size_t>& who) {
        cv::parallel_for_(cv::Range(0, static_cast<int>(who.size())), [&](const cv::Range& part) {
            for (int i = part.start; i < part.end; ++i) {
                Followed& f = m_followed[who[static_cast<std::size_t>(i)]];
                f.look = bestLook(f);
            }
        });
    }

    // How the limb of a landmark has turned since it was marked: candidates, degrees of the picture's plane.
    std::vector<double> turns(const Followed& f) const {
        std::vector<double> out;
        for (const auto& [index, then] : f.limbs) {
            const Followed& n = m_followed[index];
            if (!n.active || n.away > 0)
                continue;
            const Eigen::Vector2d now = n.guess - f.guess;
            if (now.norm() < 8.0 || then.norm() < 8.0)
                continue;
            const double turn = std::atan2(then.x() * now.y() - then.y() * now.x(), then.dot(now));
            if (std::none_of(out.begin(), out.end(), [&](double t) { return std::abs(t - turn) < 0.06; }))
                out.push_back(turn);
        }
        if (out.empty())
            out.push_back(0.0);
        return out;
    }

    // Takes the step that the flow proposes, corrected by a look at the marked place.
    void settle(Followed& f, int frame) {
        const Eigen::Vector2d stepped = f.proposed - f.at;
        const bool outside = f.outside, believed = f.believed;
        const PatchMatch& look = f.look;
        const double usually = f.likeness;
        if (outside || (!believed && look.likeness < kFound) || look.likeness < std::min(kAlike, usually - 0.25) ||
            look.likeness < usually - 0.30 || (f.steps > 2 && look.likeness < f.seen - 0.22)) {
            cover(f, frame);
            return;
        }
        f.error.step({believed ? f.missed : 2.0, stepped.norm(), look.likeness});
        Eigen::Vector2d at = f.guess;
        if (look.likeness > 0.5) {
            const double share = f.error.look(lookVariance(look));
            at += share * (look.at - f.guess);
        }
        f.step = at - f.at;
        f.at = at;
        ++f.steps;
        // Slow to forget what it looked like: something that comes in front does so within a few frames.
        f.likeness += (look.likeness > f.likeness ? 0.3 : 0.03) * (look.likeness - f.likeness);
        f.seen = look.likeness;
        f.error.turned = turnedVariance(f);
    }

    double lookVariance(const PatchMatch& look) const {
        const double unlike = std::clamp(1.0 - look.likeness, 0.0, 1.0);
        const double rough = 0.7 + 0.12 * m_radius * unlike;
        return rough * rough + look.variance;
    }

    // A joint's middle lies under the cloth that is followed: as the limb turns, or comes nearer to being seen from its
    // end, the two part.
    double turnedVariance(const Followed& f) const {
        double most = 0.0;
        for (const auto& [index, then] : f.limbs) {
            const Followed& n = m_followed[index];
            if (!n.active || n.away > 0)
                continue;
            const Eigen::Vector2d now = n.at - f.at;
            const double turned = std::abs(std::atan2(then.x() * now.y() - then.y() * now.x(), then.dot(now)));
            const double shorter = std::abs(now.norm() - then.norm()) / std::max(8.0, then.norm());
            // A limb is a tenth of its length thick, the trunk as thick as half an upper arm is long.
            const double thick = acrossTrunk(f.name, n.name) ? 0.60 : 0.06;
            most = std::max(most, 0.018 * m_usual * turned + thick * m_usual * shorter);
        }
        return most * most;
    }

    PatchMatch bestLook(const Followed& f) const { return f.patch.find(m_now, f.guess, turns(f), f.range); }

    void cover(Followed& f, int frame) {
        if (f.away == 0)
            f.left = f.at;
        f.away++;
        covered[f.name].emplace_back(frame);
        f.at += f.step; // goes on as it went, for a while
        f.step *= 0.9;
        f.error.way += 4.0;
        if (f.away * m_options.framePeriod > m_options.lookFor)
            f.active = false;
    }

    void lookAgain(Followed& f, int frame) {
        const PatchMatch& look = f.look;
        bool fits = true, held = false; // held: somebody beside it is in sight, so that a wrong place would be noticed
        for (std::size_t i : f.beside)
            if (const Followed& n = m_followed[i]; n.active && n.away == 0) {
                fits = fits && m_bones.beyond(f.name, n.name, (look.at - n.at).norm()) <= 0.0;
                held = true;
            }
        for (const auto& [i, most] : f.reach)
            if (const Followed& n = m_followed[i]; n.active && n.away == 0)
                fits = fits && (look.at - n.at).norm() <= most;
        if (look.likeness > (held ? kFound : kFoundAlone) && fits) {
            f.step = (look.at - f.left) / (f.away + 1);
            f.at = look.at;
            f.error.way = lookVariance(look) + 1.0;
            f.found = true;
            f.still = 0;
            f.away = 0;
            f.steps = 0;
            f.error.turned = turnedVariance(f);
        } else {
            cover(f, frame);
        }
    }

    // What was caught by the background: it stands still while what it hangs on moves. A foot on the floor does so too,
    // but it still looks like itself and was never lost.
    void checkStuck(int frame) {
        for (auto& f : m_followed) {
            if (!f.active || f.away > 0 || f.given)
                continue;
            double pull = 0.0;
            for (std::size_t i : f.beside)
                if (const Followed& n = m_followed[i]; n.active && n.away == 0)
                    pull = std::max(pull, n.step.norm());
            f.still = pull > 2.5 && f.step.norm() < 0.4 * pull ? f.still + 1 : 0;
            const bool doubtful = f.found || f.implement || f.seen < f.likeness - 0.06;
            if (f.still >= 2 && doubtful) {
                f.at = f.free;
                f.step.setZero();
                cover(f, frame);
            } else if (f.still == 0) {
                f.free = f.at;
            }
        }
    }

    // A rough mark of the rest of the body, a draft's say, is no reason to doubt what is followed.
    static bool farLessSure(const Followed& given, const Followed& f) {
        return given.error.variance() > 4.0 * f.error.variance();
    }

    // No bone may be longer than it can be: the end that is less sure is taken for lost.
    void checkBody(int frame) {
        for (auto& f : m_followed)
            for (std::size_t i : f.beside) {
                Followed& n = m_followed[i];
                if (!f.active || f.away > 0 || !n.active || n.away > 0 || (&n < &f && !n.given))
                    continue;
                const double beyond = m_bones.beyond(f.name, n.name, (f.at - n.at).norm());
                if (beyond <= 0.0 || (n.given && farLessSure(n, f)))
                    continue;
                Followed& worse = n.given || f.error.variance() >= n.error.variance() ? f : n;
                worse.error.way += beyond * beyond * m_usual * m_usual;
                if (beyond > (worse.implement ? 0.03 : 0.35))
                    cover(worse, frame);
            }
        for (auto& f : m_followed)
            for (const auto& [i, most] : f.reach)
                if (const Followed& n = m_followed[i]; f.active && f.away == 0 && n.active && n.away == 0 &&
                                                       (f.at - n.at).norm() > most && !(n.given && farLessSure(n, f)) &&
                                                       (n.given || f.error.variance() >= n.error.variance()))
                    cover(f, frame);
    }

    // Hand marks of this frame take over; hidden ones end the following.
    void start(int frame) {
        bool any = false;
        for (auto& f : m_followed) {
            const auto mark = f.marks.find(FrameIndex(frame));
            if (mark == f.marks.end() || f.given)
                continue;
            if (mark->second.how == How::hidden)
                f.active = false;
            if (mark->second.how != How::hand && !f.starts.contains(FrameIndex(frame)))
                continue;
            if (f.active && f.away == 0)
                arrivals[f.name][frame] = {{{f.at.x(), f.at.y()}, f.error.variance()}, mark->second};
            f.active = any = true;
            f.found = false;
            f.still = 0;
            f.seen = 1.0;
            f.away = f.steps = 0;
            const Eigen::Vector2d at = mark->second.at.vector();
            f.at = at;
            f.error = {mark->second.sigma * mark->second.sigma, 0.0, 0.0};
            f.likeness = 1.0;
            f.fresh = true;
        }
        if (!any)
            return;
        for (auto& f : m_followed) {
            if (!std::exchange(f.fresh, false))
                continue;
            f.patch = Patch(m_now, f.at, m_radius);
            f.limbs.clear();
            for (std::size_t i : f.beside)
                if (m_followed[i].active && m_followed[i].away == 0)
                    f.limbs.emplace_back(i, m_followed[i].at - f.at);
        }
    }

    void record(int frame) {
        for (const auto& f : m_followed)
            if (f.active && f.away == 0 && !f.given)
                places[f.name][frame] = {{{f.at.x(), f.at.y()}, f.error.variance()}, f.seen};
    }

    Film& m_film;
    const CarryOptions& m_options;
    const BoneSpread& m_bones;
    int m_direction;
    int m_radius;
    int m_scale = 1; // the flow is looked for in pictures smaller by this; the look at the marked place is not
    double m_usual;
    std::vector<Followed> m_followed;
    cv::Mat m_now, m_before;
    DecodedPtr m_held;
    cv::Rect m_region;
    std::vector<cv::Mat> m_pyramid, m_beforePyramid;
    bool m_nowFits = false, m_beforeFits = false; // the pyramids are of these pictures and of the region
};

} // namespace

Result<CarryResult> carry(const std::filesystem::path& path, const TrackSet& marks, const CarryOptions& options,
                          const CarryProgress& goOn) {
    Film::Options o;
    o.indexFolder = options.indexFolder;
    o.lightness = true;
    // While frames are carried the next one is fetched by another thread, which must not call back.
    std::atomic<bool> opening = true, stopped = false;
    o.progress = [&](double) { return opening ? !goOn || goOn(0.0) : !stopped; };
    auto opened = Film::open(path, o);
    opening = false;
    if (!opened)
        return opened.error();
    Film& film = **opened;
    const int last = std::clamp(options.last.value, 0, film.info().frames - 1);
    const int first = std::clamp(options.first.value, 0, last);
    std::vector<LandmarkName> names;
    for (const auto* set : {&marks, &options.starts})
        for (const auto& [name, track] : *set) {
            if ((!options.landmarks.empty() &&
                 std::find(options.landmarks.begin(), options.landmarks.end(), name) == options.landmarks.end()) ||
                std::find(names.begin(), names.end(), name) != names.end() || kindOf(name) == PointKind::scene)
                continue; // fixed points are where they are
            const bool anchored = std::any_of(track.begin(), track.end(), [&](const auto& m) {
                return (m.second.how == How::hand || set == &options.starts) && m.first.value >= first &&
                       m.first.value <= last;
            });
            if (anchored)
                names.push_back(name);
        }
    if (names.empty())
        return Error{fill(say("error", "there is no hand mark to carry from on frames %1 to %2"),
                          {std::to_string(first), std::to_string(last)}),
                     path.filename().string(), "nothing was changed", "mark a frame first"};
    const auto lines = bonesFor(marks);
    const BoneSpread bones(marks, lines);
    CarryResult out;
    const int sweeps = options.forwards + options.backwards;
    const double all = std::max(1, (last - first + 1) * sweeps);
    const auto tick = [&] {
        ++out.frames;
        stopped = goOn && !goOn(std::min(1.0, out.frames / all));
        return !stopped;
    };
    std::map<LandmarkName, std::map<int, CarriedPlace>> ahead, behind;
    std::map<LandmarkName, std::set<int>> covered;
    const auto sweep = [&](int direction, auto& places) {
        Sweep s(film, marks, options, names, bones, lines, direction);
        const bool whole = direction > 0 ? s.run(first, last, tick) : s.run(last, first, tick);
        places = std::move(s.places);
        for (auto& [name, ways] : places)
            closeWays(ways, s.arrivals[name], direction);
        for (const auto& [name, frames] : s.covered)
            for (FrameIndex f : frames)
                covered[name].insert(f.value);
        return whole;
    };
    if (options.forwards)
        out.whole = sweep(1, ahead);
    if (options.backwards && out.whole)
        out.whole = sweep(-1, behind);
    // Beyond an eighth of a bone a mark says nothing: a gap is more honest.
    const double hopeless = std::max(12.0, 0.125 * bones.usual());
    for (const auto& name : names) {
        static const Track none;
        const auto track = marks.find(name);
        const Track& own = track == marks.end() ? none : track->second;
        for (int f = first; f <= last; ++f) {
            const auto existing = own.find(FrameIndex(f));
            if (existing != own.end() && existing->second.how != How::tracked)
                continue;
            const auto a = ahead[name].find(f), b = behind[name].find(f);
            std::optional<Carried> c;
            if (a != ahead[name].end() && b != behind[name].end())
                c = blend(a->second.place, b->second.place);
            else if (a != ahead[name].end())
                c = a->second.place;
            else if (b != behind[name].end())
                c = b->second.place;
            const bool believed = c && std::sqrt(c->variance) <= hopeless;
            if (c && !believed)
                covered[name].insert(f);
            if (believed)
                out.marks[name][FrameIndex(f)] = {c->at, std::sqrt(c->variance), How::tracked};
            else if (covered[name].contains(f))
                out.covered[name].emplace_back(f);
        }
    }
    return out;
}

} // namespace riflesso
