#include "casebook/view_check.h"

#include "core/words/say.h"

#include "casebook/analysis.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr double kOff = 4.0;        // misfit beyond which two marks are said to disagree
constexpr int kGapInRep = 30;       // frames
constexpr int kMostFrames = 40;     // of a take from which the geometry is learnt
constexpr double kLeastSigma = 1.0; // px: a joint's middle is not the same point of the body from two sides

struct Place {
    Pixel at;
    double sigma = 0.0;
    FrameIndex frame;
};

// A landmark at an instant that lies between two frames. \p u: error of the instant, s.
std::optional<Place> placeAt(const Motion& motion, const LandmarkName& name, double real, double u) {
    const Timebase& time = motion.time();
    if (time.frames() == 0)
        return {};
    const FrameIndex f = time.nearest(RealTime(real));
    const double dt = real - time.real(f).value, period = time.realPeriod(f);
    if (std::abs(dt) > 0.75 * period)
        return {};
    const auto here = motion.at(name, f);
    if (!here)
        return {};
    Place out{here->at, here->sigma, f};
    const FrameIndex next(f.value + (dt < 0.0 ? -1 : 1));
    if (const auto there = next.value < 0 || next.value >= time.frames() ? std::nullopt : motion.at(name, next)) {
        const double share = std::abs(dt) / period;
        const double dx = there->at.x - here->at.x, dy = there->at.y - here->at.y;
        out.at = {here->at.x + share * dx, here->at.y + share * dy};
        out.sigma = std::hypot(out.sigma, std::hypot(dx, dy) / period * u);
    } else if (std::abs(dt) > 0.1 * period) {
        return {}; // alone and not at the same instant: nobody knows how fast it goes
    }
    return out;
}

struct Pair {
    LandmarkName landmark;
    FrameIndex a, b;
    ViewPair places;
};

std::vector<Pair> pairsOn(const Motion& a, const Motion& b, const ViewLock& lock, FrameIndex frame) {
    std::vector<Pair> out;
    const double real = a.time().real(frame).value;
    for (const auto& [name, track] : a.tracks()) {
        if (kindOf(name) == PointKind::scene)
            continue;
        const auto here = a.at(name, frame);
        if (!here || !here->seen)
            continue;
        const auto there = placeAt(b, name, lock.toB(real), lock.errorAt(real));
        if (!there || there->sigma > 6.0 || here->sigma > 6.0)
            continue;
        out.push_back(
            {name,
             frame,
             there->frame,
             {here->at, there->at, std::hypot(here->sigma, kLeastSigma), std::hypot(there->sigma, kLeastSigma)}});
    }
    return out;
}

} // namespace

std::vector<ViewCheck> checkViews(const CaseData& data, const std::map<Id, std::shared_ptr<const Motion>>& motions) {
    std::vector<ViewCheck> out;
    for (const auto& [id, link] : data.links) {
        ViewCheck check;
        check.a = link.a;
        check.b = link.b;
        const auto a = motions.find(link.a), b = motions.find(link.b);
        const auto lock = lockOf(data, link);
        if (a == motions.end() || b == motions.end() || !lock) {
            check.why = lock ? say("error", "one of the takes is not marked") : lock.error().said();
            out.push_back(std::move(check));
            continue;
        }
        std::vector<std::vector<Pair>> frames;
        for (int f = 0; f < a->second->time().frames(); ++f)
            if (auto pairs = pairsOn(*a->second, *b->second, *lock, FrameIndex(f)); !pairs.empty())
                frames.push_back(std::move(pairs));
        std::vector<ViewPair> learn;
        const std::size_t step = std::max<std::size_t>(1, frames.size() / kMostFrames);
        for (std::size_t i = 0; i < frames.size(); i += step)
            for (const auto& p : frames[i])
                learn.push_back(p.places);
        check.pairs = static_cast<int>(learn.size());
        const auto f = robustFundamental(learn);
        if (!f) {
            check.why = f.error().said();
            out.push_back(std::move(check));
            continue;
        }
        check.f = *f;
        std::vector<double> distances;
        for (const auto& p : learn)
            distances.push_back(epipolarDistance(*f, p.a, p.b));
        std::nth_element(distances.begin(), distances.begin() + static_cast<std::ptrdiff_t>(distances.size() / 2),
                         distances.end());
        check.typical = distances[distances.size() / 2];
        // The worst frame of each run stands for it. A run may pause: two wrong points can lie on the right lines for a
        // moment.
        struct Run {
            std::size_t at;
            FrameIndex last;
        };
        std::map<LandmarkName, Run> open;
        for (const auto& pairs : frames)
            for (const auto& p : pairs) {
                const double misfit = epipolarMisfit(*f, p.places);
                if (misfit <= kOff)
                    continue;
                const ViewMismatch m{p.landmark, p.a, p.b, epipolarDistance(*f, p.places.a, p.places.b), misfit};
                const auto run = open.find(p.landmark);
                if (run == open.end() || p.a - run->second.last > kGapInRep) {
                    open[p.landmark] = {check.off.size(), p.a};
                    check.off.push_back(m);
                    continue;
                }
                run->second.last = p.a;
                if (misfit > check.off[run->second.at].misfit)
                    check.off[run->second.at] = m;
            }
        std::stable_sort(check.off.begin(), check.off.end(), [](const auto& x, const auto& y) { return x.a < y.a; });
        out.push_back(std::move(check));
    }
    return out;
}

std::optional<Eigen::Vector3d> lineFromOtherView(const ViewCheck& check, const CaseData& data,
                                                 const std::map<Id, std::shared_ptr<const Motion>>& motions, Id take,
                                                 FrameIndex frame, const LandmarkName& landmark) {
    if (!check.f || !check.has(take))
        return {};
    const Id other = take == check.a ? check.b : check.a;
    const auto mine = motions.find(take), theirs = motions.find(other);
    if (mine == motions.end() || theirs == motions.end())
        return {};
    for (const auto& [id, link] : data.links) {
        if (link.a != check.a || link.b != check.b)
            continue;
        const auto lock = lockOf(data, link);
        if (!lock)
            return {};
        const double real = mine->second->time().real(frame).value;
        const auto place = placeAt(*theirs->second, landmark, take == check.a ? lock->toB(real) : lock->toA(real), 0.0);
        if (!place)
            return {};
        return epipolarLine(take == check.a ? Eigen::Matrix3d(check.f->transpose()) : *check.f, place->at);
    }
    return {};
}

} // namespace riflesso
