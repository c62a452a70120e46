#include "core/motion/draft.h"

#include "core/motion/carrying.h"

#include <Eigen/Dense>

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>

namespace riflesso {
namespace {

// Limbs as wholes: their left points; the right ones are the mirror partners.
const std::vector<std::vector<LandmarkName>> kLimbs = {
    {"left_shoulder", "left_elbow", "left_wrist", "left_hand"},
    {"left_hip", "left_knee", "left_ankle", "left_heel", "left_toe"}};

double distance(Pixel a, Pixel b) {
    return std::hypot(a.x - b.x, a.y - b.y);
}

double median(std::vector<double> v) {
    const auto middle = v.begin() + static_cast<std::ptrdiff_t>(v.size() / 2);
    std::nth_element(v.begin(), middle, v.end());
    return *middle;
}

// What a limb and its partner may be on a frame: mean, first or second pass, each as it is or with sides swapped.
constexpr int kChoices = 6;
constexpr double kCap = 0.25;          // of the body's height: a farther jump is a jump like any other
constexpr double kAgainstModel = 0.02; // a frame with sides swapped
constexpr double kOnePass = 0.03;      // a frame on which one pass is believed alone
constexpr double kNoPlace = 0.5;       // of the distance between the passes, on a frame with their mean

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
    for (int choice = 0; choice < kChoices; ++choice)
        out.cost[static_cast<std::size_t>(choice)] =
            (choice % 3 == 0 ? kNoPlace * apart : kOnePass) + (choice >= 3 ? kAgainstModel : 0.0);
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

// By how much the segments at each landmark are longer than they ever truly look, px. Shorter ones turn towards the
// camera.
std::map<LandmarkName, double> lengthMisses(const FoundFrame& frame,
                                            const std::map<std::pair<LandmarkName, LandmarkName>, double>& longest) {
    std::map<LandmarkName, double> out;
    for (const auto& [bone, share] : longest) {
        const auto a = frame.points.find(bone.first), b = frame.points.find(bone.second);
        if (a == frame.points.end() || b == frame.points.end())
            continue;
        const double miss = distance(a->second.at, b->second.at) - share * frame.height;
        for (const auto& end : {bone.first, bone.second})
            out[end] = std::max(out[end], miss);
    }
    return out;
}

} // namespace

double FoundPoint::mirrorMiss() const {
    return 2.0 * std::hypot(apart.x, apart.y);
}

FoundFrames untangled(FoundFrames frames) {
    for (const auto& left : kLimbs) {
        // cost[c]: of the best way to this frame that ends with choice c.
        std::vector<std::array<int, kChoices>> from;
        std::array<double, kChoices> cost{};
        std::optional<Limb> before;
        FrameIndex last{};
        for (const auto& [index, frame] : frames) {
            const Limb now = limbOn(frame, left);
            std::array<double, kChoices> next{};
            std::array<int, kChoices> back{};
            const int best = static_cast<int>(std::min_element(cost.begin(), cost.end()) - cost.begin());
            const bool tied = before && index - last <= 5; // beyond a gap nothing ties the sides together
            for (int c = 0; c < kChoices; ++c) {
                const auto i = static_cast<std::size_t>(c);
                back[i] = best;
                next[i] = cost[static_cast<std::size_t>(best)];
                if (tied) {
                    next[i] = 1e300;
                    for (int b = 0; b < kChoices; ++b)
                        if (const double way = cost[static_cast<std::size_t>(b)] + jump(*before, b, now, c);
                            way < next[i]) {
                            next[i] = way;
                            back[i] = b;
                        }
                }
                next[i] += now.cost[i];
            }
            from.push_back(back);
            cost = next;
            before = now;
            last = index;
        }
        auto choice = static_cast<int>(std::min_element(cost.begin(), cost.end()) - cost.begin());
        std::size_t i = from.size();
        for (auto f = frames.rbegin(); f != frames.rend(); ++f) {
            choose(f->second, left, choice);
            choice = from[--i][static_cast<std::size_t>(choice)];
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
            const auto last = [](const std::vector<double>& v) {
                return median({v.end() - static_cast<std::ptrdiff_t>(kBefore), v.end()});
            };
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

double foundSigma(const LandmarkName& landmark, const FoundPoint& point, double height, double lengthMiss) {
    (void)landmark;
    (void)point;
    (void)lengthMiss;
    return 0.02 * height;
}

TrackSet draftMarks(const FoundFrames& found) {
    const FoundFrames frames = untangled(found);
    std::map<std::pair<LandmarkName, LandmarkName>, std::vector<double>> lengths;
    for (const auto& [index, frame] : frames)
        for (const auto& bone : standardBones()) {
            const auto a = frame.points.find(bone.first), b = frame.points.find(bone.second);
            if (a != frame.points.end() && b != frame.points.end() && frame.height > 0.0)
                lengths[bone].push_back(distance(a->second.at, b->second.at) / frame.height);
        }
    std::map<std::pair<LandmarkName, LandmarkName>, double> longest;
    for (auto& [bone, shares] : lengths) {
        const auto at = shares.begin() + static_cast<std::ptrdiff_t>(shares.size() * 9 / 10);
        std::nth_element(shares.begin(), at, shares.end());
        longest[bone] = *at;
    }
    TrackSet out;
    for (const auto& [index, frame] : frames) {
        const auto misses = lengthMisses(frame, longest);
        for (const auto& [name, point] : frame.points) {
            const auto miss = misses.find(name);
            out[name][index] = {
                point.at,
                foundSigma(name, point, frame.height, miss == misses.end() ? 0.0 : std::max(0.0, miss->second)),
                How::found};
        }
    }
    return out;
}

Track taught(const Track& draft, const Track& hands, double framePeriod, double memory) {
    // Shares of a draft's variance, measured on the simulated films (tests/truth/test_drafting.cpp prints them).
    constexpr double kConstant = 0.45, kSlow = 0.40, kJitter = 1.0 - kConstant - kSlow;
    constexpr double kPrior = 6.0; // as many differences as the draft's own word counts for
    std::vector<double> times, mx, my;
    std::vector<const Mark*> both;
    std::vector<double> noise;
    for (const auto& [frame, hand] : hands) {
        const auto d = draft.find(frame);
        if (hand.how != How::hand || d == draft.end() || !(d->second.sigma > 0.0))
            continue;
        const double s = d->second.sigma;
        times.push_back(frame.value * framePeriod);
        mx.push_back((hand.at.x - d->second.at.x) / s);
        my.push_back((hand.at.y - d->second.at.y) / s);
        noise.push_back(hand.sigma * hand.sigma / (s * s));
    }
    const auto n = static_cast<Eigen::Index>(times.size());
    if (n == 0)
        return draft;
    const auto alike = [&](double t1, double t2) { return kConstant + kSlow * std::exp(-std::abs(t1 - t2) / memory); };
    Eigen::MatrixXd c(n, n);
    Eigen::MatrixXd z(n, 2);
    for (Eigen::Index i = 0; i < n; ++i) {
        const auto k = static_cast<std::size_t>(i);
        for (Eigen::Index j = 0; j < n; ++j)
            c(i, j) = alike(times[k], times[static_cast<std::size_t>(j)]);
        c(i, i) += kJitter + noise[k];
        z(i, 0) = mx[k];
        z(i, 1) = my[k];
    }
    const Eigen::LLT<Eigen::MatrixXd> solver(c);
    const Eigen::MatrixXd w = solver.solve(z);
    // The draft's own errors, made larger or smaller as the differences turn out; a few of them do not outweigh it.
    const double chi2 = (z.array() * w.array()).sum();
    const double scale2 = (2.0 * kPrior + chi2) / (2.0 * kPrior + 2.0 * static_cast<double>(n));
    Track out;
    Eigen::VectorXd k(n);
    for (const auto& [frame, d] : draft) {
        const double t = frame.value * framePeriod;
        for (Eigen::Index i = 0; i < n; ++i)
            k(i) = alike(t, times[static_cast<std::size_t>(i)]);
        const double left = std::max(0.0, kConstant + kSlow - k.dot(solver.solve(k))) + kJitter;
        out[frame] = {{d.at.x + d.sigma * k.dot(w.col(0)), d.at.y + d.sigma * k.dot(w.col(1))},
                      d.sigma * std::sqrt(scale2 * left),
                      How::found};
    }
    return out;
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
    TrackSet out;
    for (const auto& [name, draft] : drafts) {
        if (!landmarks.empty() && std::find(landmarks.begin(), landmarks.end(), name) == landmarks.end())
            continue;
        const Track& hands = of(marks, name);
        out[name] = fused(taught(draft, hands, framePeriod), of(carried, name), hands);
    }
    return out;
}

} // namespace riflesso
