#pragma once
/// \file
/// A careful analyst by script: marks a start frame with an honest error, lets the program carry, then does what it
/// asks for until it is content. For tests and bench.

#include "core/mirror/attention.h"
#include "core/motion/draft.h"
#include "core/technique/position_finder.h"
#include "footage/carry.h"
#include "footage/seed.h"

#include <algorithm>
#include <cmath>
#include <functional>
#include <random>
#include <set>

namespace riflesso::test {

/// What is true of a film: places by landmark and frame, frames of the key positions (with fractions).
struct FilmTruth {
    std::map<LandmarkName, std::vector<Pixel>> places;
    std::map<PositionId, double> positions;
    double rate = 120.0; ///< Hz
    int frames = 0;
};

struct Leverage {
    int hand = 0, carried = 0, corrections = 0, rounds = 0;
    double median = 0.0, p95 = 0.0; ///< error of carried marks, px
    double normalised = 0.0;        ///< standard deviation of error / σ
    double angles = 0.0;            ///< RMSE of angles and leans at the true key positions, degrees
    int angleCount = 0;
    int pegs = 0, pegsNear = 0, pegsFar = 0, pegsUnsure = 0; ///< within one frame; beyond five though called sure
    std::string offPegs;                                     ///< those beyond a frame, in words
    TrackSet marks;                                          ///< all that the take has afterwards
    double share() const { return hand > 0 ? double(carried) / hand : 0.0; }
};

struct Script {
    std::filesystem::path film;
    FilmTruth truth;
    std::vector<LandmarkName> landmarks;
    int first = 0, last = 0;
    std::vector<int> startFrames;
    double noise = 1.5;
    unsigned seed = 1;
    /// Marks of a rep done before, from guideFirst to guideLast: this one starts from it instead of from startFrames.
    TrackSet guide{};
    int guideFirst = 0, guideLast = 0;
    /// What a machine drafted: then start marks are made for what it does not know (implements) only, and what is
    /// carried from corrections is joined with it.
    TrackSet drafts{};
    int mostRounds = 40;
};

/// \p blueprint decides what is asked for; may have no measures at all: then only start marks are carried.
inline Leverage markByScript(const Script& s, const Blueprint& blueprint, const ViewSetup& setup) {
    std::mt19937 random(s.seed);
    std::normal_distribution<double> error(0.0, s.noise);
    TrackSet marks = s.guide;
    Leverage out;
    const auto byHand = [&](const LandmarkName& name, int frame) {
        const Pixel p = s.truth.places.at(name)[static_cast<std::size_t>(frame)];
        marks[name][FrameIndex(frame)] = {{p.x + error(random), p.y + error(random)}, s.noise, How::hand};
        ++out.hand;
    };
    for (int f : s.guide.empty() ? s.startFrames : std::vector<int>())
        for (const auto& name : s.landmarks)
            if (!s.drafts.contains(name))
                byHand(name, f);
    TrackSet starts, carried;
    if (!s.guide.empty()) {
        SeedOptions seeds; // as the program does it: frames with enough hand marks, at the same share of the rep
        std::map<FrameIndex, int> hands;
        for (const auto& [name, track] : s.guide)
            for (const auto& [frame, m] : track)
                hands[frame] += m.how == How::hand && frame.value >= s.guideFirst && frame.value <= s.guideLast;
        for (const auto& [frame, n] : hands)
            if (n >= 3)
                seeds.moments.emplace_back(frame,
                                           FrameIndex(s.first + (frame.value - s.guideFirst) * (s.last - s.first) /
                                                                    (s.guideLast - s.guideFirst)));
        seeds.first = FrameIndex(s.first);
        seeds.last = FrameIndex(s.last);
        if (const auto found = seedMarks(s.film, s.guide, seeds))
            starts = *found;
        std::erase_if(starts, [&](const auto& t) { return s.drafts.contains(t.first); });
    }
    const auto carryOn = [&](int first, int last, const std::vector<LandmarkName>& which) {
        CarryOptions o;
        o.first = FrameIndex(first);
        o.last = FrameIndex(last);
        o.landmarks = which;
        o.framePeriod = 1.0 / s.truth.rate;
        if (which.empty())
            o.starts = starts;
        const auto r = carry(s.film, marks, o);
        if (!s.drafts.empty()) {
            for (const auto& name : which)
                std::erase_if(carried[name],
                              [&](const auto& m) { return m.first.value >= first && m.first.value <= last; });
            if (r)
                for (const auto& [name, track] : r->marks)
                    for (const auto& [frame, mark] : track)
                        carried[name][frame] = mark;
            for (const auto& [name, track] : joined(s.drafts, carried, marks, o.framePeriod, which))
                for (const auto& [frame, mark] : track)
                    marks[name][frame] = mark;
        }
        if (!r)
            return;
        for (const auto& name : which.empty() ? s.landmarks : which) {
            if (s.drafts.contains(name))
                continue;
            for (int f = first; f <= last; ++f) {
                auto& track = marks[name];
                if (const auto old = track.find(FrameIndex(f)); old != track.end() && old->second.how == How::tracked)
                    track.erase(old);
            }
        }
        for (const auto& [name, track] : r->marks)
            for (const auto& [frame, mark] : track)
                if (!s.drafts.contains(name))
                    marks[name][frame] = mark;
    };
    carryOn(s.first, s.last, {});
    const Timebase time = Timebase::constant(s.truth.frames, Hertz(s.truth.rate));
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    std::map<PositionId, PositionProposal> pegs;
    Positions positions;
    for (out.rounds = 0; out.rounds < s.mostRounds; ++out.rounds) {
        pegs = proposePositions(blueprint, toMotion(marks, time, raw), setup, FrameIndex(s.first), FrameIndex(s.last));
        positions.clear();
        for (const auto& [id, p] : pegs) // what is called unsure the analyst sets by eye
            positions[id] =
                p.sure ? PlacedPosition{p.frame, p.sigma}
                       : PlacedPosition{FrameIndex(static_cast<int>(std::lround(s.truth.positions.at(id)))), {}};
        for (const auto& [id, frame] : s.truth.positions)
            if (!positions.contains(id))
                positions[id] = {FrameIndex(static_cast<int>(std::lround(frame))), {}};
        const Motion motion = toMotion(marks, time);
        AttentionInput in{blueprint, motion, marks, positions, setup};
        in.handSigma = s.noise;
        const Attention a = worstFirst(in);
        if (a.asks.empty())
            break;
        for (const auto& name : a.asks.front().landmarks) {
            const int f = a.asks.front().frame.value;
            byHand(name, f);
            ++out.corrections;
            constexpr int kNeighbourhood = 90; // frames: beyond, the draft knows better
            int first = s.drafts.contains(name) ? std::max(s.first, f - kNeighbourhood) : s.first,
                last = s.drafts.contains(name) ? std::min(s.last, f + kNeighbourhood) : s.last;
            for (const auto& [frame, m] : marks[name]) {
                if (m.how == How::hand && frame.value < f)
                    first = std::max(first, frame.value);
                if (m.how == How::hand && frame.value > f) {
                    last = std::min(last, frame.value);
                    break;
                }
            }
            carryOn(first, last, {name});
        }
    }
    std::vector<double> errors;
    double z = 0.0;
    for (const auto& name : s.landmarks)
        for (const auto& [frame, m] : marks[name]) {
            if ((m.how != How::tracked && m.how != How::found) || frame.value < s.first || frame.value > s.last)
                continue;
            const Pixel p = s.truth.places.at(name)[static_cast<std::size_t>(frame.value)];
            const double dx = m.at.x - p.x, dy = m.at.y - p.y;
            errors.push_back(std::hypot(dx, dy));
            z += (dx * dx + dy * dy) / (2.0 * m.sigma * m.sigma);
        }
    out.carried = static_cast<int>(errors.size());
    if (!errors.empty()) {
        std::sort(errors.begin(), errors.end());
        out.median = errors[errors.size() / 2];
        out.p95 = errors[static_cast<std::size_t>(0.95 * static_cast<double>(errors.size()))];
        out.normalised = std::sqrt(z / static_cast<double>(errors.size()));
    }
    // Angles where the program put the key positions against the truth at the true instants.
    TrackSet truth;
    for (const auto& [name, places] : s.truth.places)
        for (int f = s.first; f <= s.last; ++f)
            truth[name][FrameIndex(f)] = {places[static_cast<std::size_t>(f)], 0.01, How::hand};
    const Motion real = toMotion(truth, time, raw), motion = toMotion(marks, time);
    double squares = 0.0;
    for (const auto& m : blueprint.measures) {
        const auto& d = m.definition;
        if ((d.kind != MeasureKind::angle && d.kind != MeasureKind::lean) || d.view != setup.view ||
            !s.truth.positions.contains(d.at) || !positions.contains(d.at))
            continue;
        const auto measured = readAt(d, motion, positions.at(d.at).frame, setup);
        const auto wanted =
            readAt(d, real, FrameIndex(static_cast<int>(std::lround(s.truth.positions.at(d.at)))), setup);
        if (!measured || !wanted)
            continue;
        squares += (measured->value - wanted->value) * (measured->value - wanted->value);
        ++out.angleCount;
    }
    out.angles = out.angleCount ? std::sqrt(squares / out.angleCount) : 0.0;
    for (const auto& [id, p] : pegs)
        if (const auto it = s.truth.positions.find(id); it != s.truth.positions.end()) {
            const double off = std::abs(p.frame.value - it->second);
            ++out.pegs;
            out.pegsNear += off <= 1.5; // the truth lies between frames
            out.pegsUnsure += !p.sure;
            out.pegsFar += p.sure && off > 5.0;
            if (off > 1.5)
                out.offPegs += " " + id + (p.sure ? "" : " (unsure)") + " by " + std::to_string(off).substr(0, 4);
        }
    out.marks = std::move(marks);
    return out;
}

} // namespace riflesso::test
