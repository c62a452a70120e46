#include "core/mirror/attention.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

constexpr double kWorthIt = 0.10; // share of a measure's uncertainty below which a correction is not asked for

struct Open {
    const BlueprintMeasure* measure;
    FrameIndex frame;
    double value = 0.0;
    double rest = 0.0;                     // u² that no mark of this frame changes: instant, calibration
    std::map<LandmarkName, double> parts;  // u² by landmark
    std::map<LandmarkName, double> byHand; // what would be left of it
    std::set<LandmarkName> missing;
    std::optional<Band> band;
    double tolerance = 1.0; // half-width of the band, or the floor

    [[nodiscard]] double u() const {
        double sum = rest;
        for (const auto& [name, p] : parts)
            sum += p;
        return std::sqrt(sum);
    }
    [[nodiscard]] bool decided(double confidence) const {
        if (!missing.empty())
            return false;
        if (!band)
            return u() <= 0.5 * tolerance;
        DecisionOptions o;
        o.confidence = confidence;
        return decide(value, u(), *band, o).decision != Decision::undecided;
    }
    // How much the uncertainty falls when these landmarks are corrected.
    [[nodiscard]] double fall(const std::set<LandmarkName>& corrected) const {
        double sum = rest;
        for (const auto& [name, p] : parts)
            sum += corrected.contains(name) ? byHand.at(name) : p;
        return u() - std::sqrt(sum);
    }
};

} // namespace

Attention worstFirst(const AttentionInput& in) {
    std::vector<Open> open;
    for (const auto& m : in.blueprint.measures) {
        const auto& d = m.definition;
        const auto at = in.positions.find(d.at);
        if (needsUntil(d) || !serves(in.setup.view, d.view) || at == in.positions.end())
            continue;
        const FrameIndex frame = at->second.frame;
        Open o;
        o.measure = &m;
        o.frame = frame;
        if (const auto band = in.bands.find(d.id); band != in.bands.end()) {
            o.band = band->second;
            o.tolerance = std::max(1e-9, band->second.scale);
        } else if (!m.targets.empty()) {
            o.tolerance = m.targets.front().floor;
        }
        const auto markOf = [&](const LandmarkName& name) -> const Mark* {
            const auto track = in.marks.find(name);
            if (track == in.marks.end())
                return nullptr;
            const auto mark = track->second.find(frame);
            return mark == track->second.end() ? nullptr : &mark->second;
        };
        bool hidden = false;
        for (const auto& name : landmarksOf(d, in.setup.handedness)) {
            const Mark* mark = markOf(name);
            hidden = hidden || (mark && mark->how == How::hidden);
            if (!in.motion.at(name, frame))
                o.missing.insert(name);
        }
        if (hidden)
            continue; // somebody looked: there is nothing to be seen, and nothing to ask for
        if (o.missing.empty()) {
            const auto value = evaluate(d, in.motion, in.positions, in.setup);
            const auto reading = readAt(d, in.motion, frame, in.setup);
            if (value.refused || !reading)
                continue; // the view or the calibration cannot support it: no mark would
            o.value = value.value;
            o.parts = reading->parts;
            double marks = 0.0;
            for (const auto& [name, p] : o.parts) {
                marks += p;
                const Mark* mark = markOf(name);
                const double sigma = in.motion.at(name, frame)->sigma;
                const bool own = mark && mark->how == How::hand;
                const double share = own || sigma <= in.handSigma ? 1.0 : in.handSigma * in.handSigma / (sigma * sigma);
                o.byHand[name] = p * share;
            }
            o.rest = std::max(0.0, value.u * value.u - marks);
        }
        open.push_back(std::move(o));
    }
    Attention out;
    const auto isOpen = [&](const Open& o) { return !o.decided(in.confidence); };
    for (const auto& o : open)
        if (isOpen(o))
            out.open.push_back(o.measure->definition.id);
    double read = 0.0;
    for (const auto& o : open)
        if (o.missing.empty()) {
            out.doubt += o.u() / o.tolerance;
            ++read;
        }
    out.doubt = read > 0.0 ? out.doubt / read : 0.0;
    // Each round takes one frame with all that is worth correcting on it.
    while (out.asks.size() < 200) {
        std::map<FrameIndex, Ask> byFrame;
        for (const auto& o : open) {
            if (!isOpen(o))
                continue;
            Ask& ask = byFrame[o.frame];
            ask.frame = o.frame;
            double gain = 0.0;
            for (const auto& name : o.missing) {
                ask.missing = true;
                gain += 1.0; // a measure that cannot be read at all comes before any that is merely unsure
                if (std::find(ask.landmarks.begin(), ask.landmarks.end(), name) == ask.landmarks.end())
                    ask.landmarks.push_back(name);
            }
            if (o.missing.empty()) {
                std::set<LandmarkName> worth;
                for (const auto& [name, p] : o.parts)
                    if (p > o.byHand.at(name))
                        worth.insert(name);
                const double fall = o.fall(worth);
                if (fall < kWorthIt * o.u())
                    continue;
                gain += fall / o.tolerance;
                std::vector<std::pair<double, LandmarkName>> order;
                for (const auto& name : worth)
                    if (const double alone = o.fall({name}); alone > 0.02 * o.u())
                        order.emplace_back(alone, name);
                std::sort(order.rbegin(), order.rend());
                for (const auto& [alone, name] : order)
                    if (std::find(ask.landmarks.begin(), ask.landmarks.end(), name) == ask.landmarks.end())
                        ask.landmarks.push_back(name);
            }
            ask.gain += gain;
            ask.measures.push_back(o.measure->definition.id);
        }
        const Ask* best = nullptr;
        for (const auto& [frame, ask] : byFrame)
            if (!ask.landmarks.empty() && ask.gain > 0.0 && (!best || ask.gain > best->gain))
                best = &ask;
        if (!best)
            break;
        out.asks.push_back(*best);
        for (auto& o : open) {
            if (o.frame != best->frame)
                continue;
            for (const auto& name : best->landmarks)
                if (const auto p = o.parts.find(name); p != o.parts.end())
                    p->second = std::min(p->second, o.byHand.at(name));
            if (!o.missing.empty()) { // once placed it is as good as known: it was asked for once
                o.missing.clear();
                o.band.reset();
                o.parts.clear();
            }
        }
    }
    for (const auto& o : open)
        if (isOpen(o))
            out.beyondUs.push_back(o.measure->definition.id);
    return out;
}

} // namespace riflesso
