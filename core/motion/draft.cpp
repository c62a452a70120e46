#include "core/motion/draft.h"

#include "core/motion/carrying.h"
#include "core/motion/draft_error.h"
#include "core/statistics/summary.h"

#include <Eigen/Dense>

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>
#include <span>

namespace riflesso {
namespace {

// Limbs as wholes: their left points; the right ones are the mirror partners. Hips and shoulders by themselves: a model
// that has the legs right may still have the hips the wrong way round.
const std::vector<std::vector<LandmarkName>> kLimbs = {{"left_shoulder"},
                                                       {"left_elbow", "left_wrist", "left_hand"},
                                                       {"left_hip"},
                                                       {"left_knee", "left_ankle", "left_heel", "left_toe"}};

double distance(Pixel a, Pixel b) {
    return std::hypot(a.x - b.x, a.y - b.y);
}

// What a limb and its partner may be on a frame: mean, first or second pass, each as it is or with sides swapped.
constexpr int kChoices = 6;
// Costs are shares of the body's height, summed over a limb's points.
constexpr double kCap = 0.25;            // a farther jump is a jump like any other
constexpr double kAgainstModel = 0.0022; // a frame with sides swapped
constexpr double kOnePass = 0.0035;      // a frame on which one pass is believed alone
constexpr double kNoPlace = 0.5;         // of the distance between the passes, on a frame with their mean
constexpr double kSkipped = 0.04;        // a frame on which the limb is nowhere that fits: it is left out there
constexpr int kMostSkipped = 6;          // frames

struct Limb {
    std::array<std::vector<std::optional<Eigen::Vector2d>>, kChoices> places; // left points, then right ones
    std::array<double, kChoices> cost{};
    double height = 1.0;
};

Limb limbOn(const FoundFrame& frame, const std::vector<LandmarkName>& left) {
    Limb out;
    out.height = std::max(1.0, frame.height);
    double apart = 0.0;
    for (int choice = 0; choice < kChoices; ++choice) {
        const int pass = choice % 3;
        const bool swapped = choice >= 3;
        for (const bool right : {false, true})
            for (const auto& l : left) {
                const auto p = frame.points.find(right != swapped ? mirrored(l) : l);
                auto& places = out.places[static_cast<std::size_t>(choice)];
                if (p == frame.points.end()) {
                    places.emplace_back();
                    continue;
                }
                const double sign = pass == 0 ? 0.0 : pass == 1 ? 1.0 : -1.0;
                places.emplace_back(p->second.at.vector() + sign * p->second.apart.vector());
                if (choice == 0)
                    apart += std::min(kCap, p->second.mirrorMiss() / out.height);
            }
    }
    const auto points = 2.0 * static_cast<double>(left.size());
    for (int choice = 0; choice < kChoices; ++choice)
        out.cost[static_cast<std::size_t>(choice)] =
            (choice % 3 == 0 ? kNoPlace * apart : points * kOnePass) + (choice >= 3 ? points * kAgainstModel : 0.0);
    return out;
}

double jump(const Limb& a, int choiceA, const Limb& b, int choiceB) {
    const auto &pa = a.places[static_cast<std::size_t>(choiceA)], &pb = b.places[static_cast<std::size_t>(choiceB)];
    double sum = 0.0;
    for (std::size_t i = 0; i < pa.size(); ++i)
        if (pa[i] && pb[i])
            sum += std::min(kCap, (*pa[i] - *pb[i]).norm() * 2.0 / (a.height + b.height));
    return sum;
}

void choose(FoundFrame& frame, const std::vector<LandmarkName>& left, int choice) {
    if (choice >= 3)
        for (const auto& l : left) {
            auto a = frame.points.extract(l), b = frame.points.extract(mirrored(l));
            if (a) {
                a.key() = mirrored(l);
                frame.points.insert(std::move(a));
            }
            if (b) {
                b.key() = l;
                frame.points.insert(std::move(b));
            }
        }
    if (choice % 3 == 0)
        return;
    const double sign = choice % 3 == 1 ? 1.0 : -1.0;
    for (const auto& l : left)
        for (const auto& name : {l, mirrored(l)})
            if (const auto p = frame.points.find(name); p != frame.points.end()) {
                FoundPoint& point = p->second; // the passes stay where they were
                point.at = {point.at.x + sign * point.apart.x, point.at.y + sign * point.apart.y};
            }
}

using Lengths = std::map<std::pair<LandmarkName, LandmarkName>, double>;

// Segments' lengths as shares of the body's height: what nine in ten frames stay below.
Lengths usualLengths(const FoundFrames& frames) {
    std::map<std::pair<LandmarkName, LandmarkName>, std::vector<double>> seen;
    for (const auto& [index, frame] : frames)
        for (const auto& bone : standardBones()) {
            const auto a = frame.points.find(bone.first), b = frame.points.find(bone.second);
            if (a != frame.points.end() && b != frame.points.end() && frame.height > 0.0)
                seen[bone].push_back(distance(a->second.at, b->second.at) / frame.height);
        }
    Lengths out;
    for (auto& [bone, shares] : seen) {
        const auto at = shares.begin() + static_cast<std::ptrdiff_t>(shares.size() * 9 / 10);
        std::nth_element(shares.begin(), at, shares.end());
        out[bone] = *at;
    }
    return out;
}

// What its segments say of each landmark of a frame.
std::map<LandmarkName, FoundDoubt> doubtsOf(const FoundFrame& frame, const Lengths& usual) {
    std::map<LandmarkName, FoundDoubt> out;
    for (const auto& [bone, share] : usual) {
        const auto a = frame.points.find(bone.first), b = frame.points.find(bone.second);
        if (a == frame.points.end() || b == frame.points.end())
            continue;
        const double length = distance(a->second.at, b->second.at), most = share * frame.height;
        for (const auto& end : {bone.first, bone.second})
            out[end].tooLong = std::max(out[end].tooLong, length - most);
        if (!acrossTrunk(bone.first, bone.second) && most > 0.0)
            out[bone.second].shorter = std::max(out[bone.second].shorter, 1.0 - length / most);
    }
    return out;
}

// How far a point lies from the middle (by median) of its places on the frames around.
double unsteadiness(const FoundFrames& frames, FrameIndex at, const LandmarkName& name) {
    constexpr int kAround = 4; // frames
    std::vector<double> x, y;
    for (auto f = frames.lower_bound(at - kAround); f != frames.end() && f->first <= at + kAround; ++f)
        if (const auto p = f->second.points.find(name); p != f->second.points.end()) {
            x.push_back(p->second.at.x);
            y.push_back(p->second.at.y);
        }
    return distance(frames.at(at).points.at(name).at, {*median(x), *median(y)});
}

} // namespace

double FoundPoint::mirrorMiss() const {
    return 2.0 * std::hypot(apart.x, apart.y);
}

FoundFrames untangled(FoundFrames frames) {
    struct Step {
        double cost = 0.0;        // of the best way that ends here
        int choice = 0, back = 0; // where that way comes from: the choice, so many frames before; 0 = it begins here
    };
    std::vector<FoundFrame*> all;
    std::vector<FrameIndex> index;
    for (auto& [f, frame] : frames) {
        all.push_back(&frame);
        index.push_back(f);
    }
    for (const auto& left : kLimbs) {
        std::vector<Limb> limbs;
        std::vector<std::array<Step, kChoices>> steps;
        for (std::size_t i = 0; i < all.size(); ++i) {
            limbs.push_back(limbOn(*all[i], left));
            std::array<Step, kChoices> now{};
            // Beyond a gap nothing ties the sides together: the way begins anew, after the cheapest one so far.
            const bool tied = i > 0 && index[i] - index[i - 1] <= kMostSkipped;
            int cheapest = 0;
            if (i > 0)
                for (int c = 1; c < kChoices; ++c)
                    if (steps[i - 1][static_cast<std::size_t>(c)].cost <
                        steps[i - 1][static_cast<std::size_t>(cheapest)].cost)
                        cheapest = c;
            for (int c = 0; c < kChoices; ++c) {
                Step& s = now[static_cast<std::size_t>(c)];
                if (i > 0)
                    s = {tied ? 1e300 : steps[i - 1][static_cast<std::size_t>(cheapest)].cost, cheapest, 1};
                for (std::size_t k = 1; tied && k <= i && index[i] - index[i - k] <= kMostSkipped; ++k)
                    for (int b = 0; b < kChoices; ++b)
                        if (const double way = steps[i - k][static_cast<std::size_t>(b)].cost +
                                               jump(limbs[i - k], b, limbs[i], c) +
                                               kSkipped * 2.0 * static_cast<double>(left.size() * (k - 1));
                            way < s.cost)
                            s = {way, b, static_cast<int>(k)};
                s.cost += limbs[i].cost[static_cast<std::size_t>(c)];
            }
            steps.push_back(now);
        }
        if (steps.empty())
            continue;
        int choice = 0;
        for (int c = 1; c < kChoices; ++c)
            if (steps.back()[static_cast<std::size_t>(c)].cost < steps.back()[static_cast<std::size_t>(choice)].cost)
                choice = c;
        for (std::size_t i = all.size() - 1;;) {
            const Step& s = steps[i][static_cast<std::size_t>(choice)];
            choose(*all[i], left, choice);
            if (s.back == 0)
                break;
            for (int k = 1; k < s.back; ++k)
                for (const auto& l : left) {
                    all[i - static_cast<std::size_t>(k)]->points.erase(l);
                    all[i - static_cast<std::size_t>(k)]->points.erase(mirrored(l));
                }
            i -= static_cast<std::size_t>(s.back);
            choice = s.choice;
        }
    }
    return frames;
}

std::optional<FrameIndex> somebodyElseFrom(const FoundFrames& frames, FrameIndex start, int direction) {
    constexpr int kRun = 5;             // frames for which it must last
    constexpr std::size_t kBefore = 10; // frames that say what is usual: colours change slowly as a body turns
    constexpr double kUnlike = 0.35;    // less alike than just before
    constexpr double kGrown = 1.5;      // or larger or smaller, by this factor
    std::vector<double> likeness, heights;
    int run = 0;
    std::optional<FrameIndex> since;
    for (FrameIndex f = start; frames.contains(f); f = f + direction) {
        const FoundFrame& frame = frames.at(f);
        if (likeness.size() >= kBefore) {
            const auto last = [](const std::vector<double>& v) { return *median(std::span(v).last(kBefore)); };
            const double usual = last(heights);
            if (frame.likeness < last(likeness) - kUnlike || frame.height > kGrown * usual ||
                frame.height < usual / kGrown) {
                if (run++ == 0)
                    since = f;
                if (run >= kRun)
                    return since;
                continue; // what is in doubt is not what is usual
            }
            run = 0;
        }
        likeness.push_back(frame.likeness);
        heights.push_back(frame.height);
    }
    return {};
}

double foundSigma(const LandmarkName& landmark, const FoundPoint& point, double height, const FoundDoubt& doubt) {
    // Fitted by maximum likelihood, each film with the same weight, over the films of all six techniques from the side
    // and, where the body is found, from the front (riflesso-bench LIBRARY drafts FILE), the demo's two side films and
    // its front film, and 01_01.bvh filmed; tests/truth/test_drafting.cpp holds the normalised error to it. Shares of
    // the body's height.
    static const std::map<std::string_view, double> kUsual = {
        {"head", 0.010}, {"neck", 0.006}, {"shoulder", 0.014}, {"elbow", 0.015}, {"wrist", 0.007}, {"hand", 0.006},
        {"hip", 0.013},  {"knee", 0.012}, {"ankle", 0.025},    {"heel", 0.025},  {"toe", 0.015}};
    constexpr double kMirror = 0.79, kFlow = 0.96, kUnseen = 0.053, kTooLong = 0.59, kShorter = 0.064, kUnsteady = 2.06;
    const std::string_view name = landmark;
    const auto side = name.find('_');
    const auto usual = kUsual.find(side == std::string_view::npos ? name : name.substr(side + 1));
    double variance = std::pow(usual == kUsual.end() ? 0.02 : usual->second, 2);
    for (const double part :
         {kMirror * std::min(0.10, point.mirrorMiss() / height), kFlow * std::clamp(point.flowMiss / height, 0.0, 0.05),
          kUnseen * std::clamp(1.0 - point.visibility, 0.0, 1.0), kTooLong * doubt.tooLong / height,
          kShorter * std::clamp(doubt.shorter, 0.0, 1.0), kUnsteady * doubt.unsteady / height})
        variance += part * part;
    return height * std::sqrt(variance);
}

TrackSet draftMarks(const FoundFrames& found) {
    const FoundFrames frames = untangled(found);
    const Lengths usual = usualLengths(frames);
    TrackSet out;
    for (const auto& [index, frame] : frames) {
        auto doubts = doubtsOf(frame, usual);
        for (const auto& [name, point] : frame.points) {
            FoundDoubt& doubt = doubts[name];
            doubt.unsteady = unsteadiness(frames, index, name);
            out[name][index] = {point.at, foundSigma(name, point, frame.height, doubt), How::found};
        }
    }
    return out;
}

Poses::Poses(const TrackSet& drafts) {
    const auto& names = standardLandmarks();
    std::map<FrameIndex, std::vector<std::optional<Eigen::Vector2d>>> places;
    for (std::size_t i = 0; i < names.size(); ++i)
        if (const auto track = drafts.find(names[i]); track != drafts.end())
            for (const auto& [frame, m] : track->second) {
                auto& all = places[frame];
                all.resize(names.size());
                all[i] = m.at.vector();
            }
    const auto index = [&](const char* name) {
        return static_cast<std::size_t>(std::find(names.begin(), names.end(), name) - names.begin());
    };
    const std::size_t left = index("left_hip"), right = index("right_hip"), neck = index("neck");
    std::vector<double> trunks;
    for (const auto& [frame, all] : places)
        if (all[left] && all[right] && all[neck])
            trunks.push_back((*all[neck] - (*all[left] + *all[right]) / 2.0).norm());
    if (trunks.empty())
        return;
    const double height = std::max(1.0, 3.3 * *median(trunks)); // hip to shoulder is about 0.29 of a body's height
    for (auto& [frame, all] : places) {
        if (!all[left] || !all[right])
            continue;
        const Eigen::Vector2d middle = (*all[left] + *all[right]) / 2.0;
        for (auto& p : all)
            if (p)
                p = (*p - middle) / height;
        m_places[frame] = std::move(all);
    }
}

std::optional<double> Poses::distance(FrameIndex a, FrameIndex b) const {
    const auto pa = m_places.find(a), pb = m_places.find(b);
    if (pa == m_places.end() || pb == m_places.end())
        return {};
    double sum = 0.0;
    int n = 0;
    for (std::size_t i = 0; i < pa->second.size(); ++i)
        if (pa->second[i] && pb->second[i]) {
            sum += (*pa->second[i] - *pb->second[i]).squaredNorm();
            ++n;
        }
    return n < 8 ? std::nullopt : std::optional(std::sqrt(sum / n));
}

namespace {

// How far a pose's and an instant's errors reach: half of what alike poses share is left at 0.06 of the body's height.
constexpr double kReach = 0.06;
constexpr double kMemory = 0.35; // s of real time
// As many differences as the draft's own word counts for: of one landmark, and of the body together, whose landmarks
// err together.
constexpr double kPrior = 6.0, kPriorOfAll = 20.0;

// The differences between hand marks and one landmark's draft, in units of the draft's sigma, and what follows.
class Lesson {
public:
    Lesson(const Track& draft, const Track& hands, double framePeriod, const Poses& poses)
        : m_period(framePeriod), m_poses(poses) {
        std::vector<double> noise;
        std::vector<Eigen::Vector2d> off;
        for (const auto& [frame, hand] : hands) {
            const auto d = draft.find(frame);
            if (hand.how != How::hand || d == draft.end() || !(d->second.sigma > 0.0))
                continue;
            m_frames.push_back(frame);
            off.emplace_back((hand.at.vector() - d->second.at.vector()) / d->second.sigma);
            noise.push_back(hand.sigma * hand.sigma / (d->second.sigma * d->second.sigma));
        }
        const auto n = static_cast<Eigen::Index>(m_frames.size());
        if (n == 0)
            return;
        Eigen::MatrixXd c(n, n), z(n, 2);
        for (Eigen::Index i = 0; i < n; ++i) {
            const auto k = static_cast<std::size_t>(i);
            for (Eigen::Index j = 0; j < n; ++j)
                c(i, j) = alike(m_frames[k], m_frames[static_cast<std::size_t>(j)]);
            c(i, i) += kDraftJitter + noise[k];
            z.row(i) = off[k].transpose();
        }
        m_solver.compute(c);
        m_weights = m_solver.solve(z);
        chi2 = (z.array() * m_weights.array()).sum();
    }
    [[nodiscard]] double count() const { return static_cast<double>(m_frames.size()); }
    // \p usual2: by what factor the variances of this body's landmarks turned out all together.
    [[nodiscard]] Track apply(const Track& draft, double usual2) const {
        if (m_frames.empty() && usual2 == 1.0)
            return draft;
        const double scale2 = (2.0 * kPrior * usual2 + chi2) / (2.0 * kPrior + 2.0 * count());
        const auto n = static_cast<Eigen::Index>(m_frames.size());
        Track out;
        Eigen::VectorXd k(n);
        for (const auto& [frame, d] : draft) {
            double left = 1.0;
            Eigen::Vector2d off(0, 0);
            if (n > 0) {
                for (Eigen::Index i = 0; i < n; ++i)
                    k(i) = alike(frame, m_frames[static_cast<std::size_t>(i)]);
                left =
                    std::max(0.0, kDraftConstant + kDraftPose + kDraftSlow - k.dot(m_solver.solve(k))) + kDraftJitter;
                off = (k.transpose() * m_weights).transpose() * d.sigma;
            }
            out[frame] = {{d.at.x + off.x(), d.at.y + off.y()}, d.sigma * std::sqrt(scale2 * left), How::found};
        }
        return out;
    }
    double chi2 = 0.0;

private:
    [[nodiscard]] double alike(FrameIndex f, FrameIndex g) const {
        const double slow = std::exp(-std::abs(f - g) * m_period / kMemory);
        const auto pose = m_poses.distance(f, g);
        return kDraftConstant + kDraftSlow * slow +
               kDraftPose * (pose ? std::exp(-*pose * *pose / (2.0 * kReach * kReach)) : slow);
    }
    double m_period;
    const Poses& m_poses;
    std::vector<FrameIndex> m_frames;
    Eigen::LLT<Eigen::MatrixXd> m_solver;
    Eigen::MatrixXd m_weights;
};

} // namespace

Track taught(const Track& draft, const Track& hands, double framePeriod, const Poses& poses) {
    return Lesson(draft, hands, framePeriod, poses).apply(draft, 1.0);
}

Track fused(const Track& draft, const Track& carried, const Track& hands) {
    constexpr double kHardly = 0.1;
    Track out;
    const auto taken = [&](FrameIndex f) {
        const auto h = hands.find(f);
        return h != hands.end() && h->second.how != How::tracked && h->second.how != How::found;
    };
    for (const auto& [frame, d] : draft) {
        if (taken(frame))
            continue;
        const auto c = carried.find(frame);
        if (c == carried.end()) {
            out[frame] = d;
            continue;
        }
        const double vd = d.sigma * d.sigma, vc = c->second.sigma * c->second.sigma;
        if (vc < kHardly * (vc + vd)) {
            out[frame] = c->second;
            continue;
        }
        const Carried both = blend({d.at, vd}, {c->second.at, vc});
        out[frame] = {both.at, std::sqrt(both.variance), How::found};
    }
    for (const auto& [frame, c] : carried)
        if (!taken(frame) && !draft.contains(frame))
            out[frame] = c;
    return out;
}

TrackSet joined(const TrackSet& drafts, const TrackSet& carried, const TrackSet& marks, double framePeriod,
                const std::vector<LandmarkName>& landmarks) {
    static const Track none;
    const auto of = [](const TrackSet& set, const LandmarkName& name) -> const Track& {
        const auto it = set.find(name);
        return it == set.end() ? none : it->second;
    };
    const Poses poses(drafts);
    std::map<LandmarkName, Lesson> lessons;
    double chi2 = 2.0 * kPriorOfAll, count = 2.0 * kPriorOfAll;
    for (const auto& [name, draft] : drafts) {
        const Lesson& l = lessons.emplace(name, Lesson(draft, of(marks, name), framePeriod, poses)).first->second;
        chi2 += l.chi2;
        count += 2.0 * l.count();
    }
    TrackSet out;
    for (const auto& [name, draft] : drafts)
        if (landmarks.empty() || std::find(landmarks.begin(), landmarks.end(), name) != landmarks.end())
            out[name] = fused(lessons.at(name).apply(draft, chi2 / count), of(carried, name), of(marks, name));
    return out;
}

TrackSet ofPerson(const TrackSet& tracks, int person) {
    TrackSet out;
    for (const auto& [name, track] : tracks)
        if (onBody(name) && personOf(name) == person)
            out[std::string(withoutPerson(name))] = track;
    return out;
}

TrackSet asPerson(TrackSet tracks, int person) {
    if (person == 0)
        return tracks;
    TrackSet out;
    for (auto& [name, track] : tracks)
        out[personPrefix(person) + name] = std::move(track);
    return out;
}

} // namespace riflesso
