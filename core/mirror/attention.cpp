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

// Every measure that this rep and view can give, read or not; without those that no mark could help.
std::vector<Open> openMeasures(const AttentionInput& in) {
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
    return open;
}

// What this measure would gain by a look at its frame goes to what is asked there.
void addTo(Ask& ask, const Open& o) {
    double gain = 0.0;
    const auto want = [&](const LandmarkName& name) {
        if (std::find(ask.landmarks.begin(), ask.landmarks.end(), name) == ask.landmarks.end())
            ask.landmarks.push_back(name);
    };
    for (const auto& name : o.missing) {
        ask.missing = true;
        gain += 1.0; // a measure that cannot be read at all comes before any that is merely unsure
        want(name);
    }
    if (o.missing.empty()) {
        std::set<LandmarkName> worth;
        for (const auto& [name, p] : o.parts)
            if (p > o.byHand.at(name))
                worth.insert(name);
        const double fall = o.fall(worth);
        if (fall < kWorthIt * o.u())
            return;
        gain += fall / o.tolerance;
        std::vector<std::pair<double, LandmarkName>> order;
        for (const auto& name : worth)
            if (const double alone = o.fall({name}); alone > 0.02 * o.u())
                order.emplace_back(alone, name);
        std::sort(order.rbegin(), order.rend());
        for (const auto& [alone, name] : order)
            want(name);
    }
    ask.gain += gain;
    ask.measures.push_back(o.measure->definition.id);
}

// The frame most worth a look, with all that is worth correcting on it; none when nothing is.
std::optional<Ask> mostWorth(const std::vector<Open>& open, double confidence) {
    std::map<FrameIndex, Ask> byFrame;
    for (const auto& o : open) {
        if (o.decided(confidence))
            continue;
        Ask& ask = byFrame[o.frame];
        ask.frame = o.frame;
        addTo(ask, o);
    }
    const Ask* best = nullptr;
    for (const auto& [frame, ask] : byFrame)
        if (!ask.landmarks.empty() && ask.gain > 0.0 && (!best || ask.gain > best->gain))
            best = &ask;
    return best ? std::optional(*best) : std::nullopt;
}

// As if what was asked for had been marked by hand.
void answered(std::vector<Open>& open, const Ask& ask) {
    for (auto& o : open) {
        if (o.frame != ask.frame)
            continue;
        for (const auto& name : ask.landmarks)
            if (const auto p = o.parts.find(name); p != o.parts.end())
                p->second = std::min(p->second, o.byHand.at(name));
        if (!o.missing.empty()) { // once placed it is as good as known: it was asked for once
            o.missing.clear();
            o.band.reset();
            o.parts.clear();
        }
    }
}

} // namespace

Attention worstFirst(const AttentionInput& in) {
    std::vector<Open> open = openMeasures(in);
    const auto undecided = [&] {
        std::vector<std::string> ids;
        for (const auto& o : open)
            if (!o.decided(in.confidence))
                ids.push_back(o.measure->definition.id);
        return ids;
    };
    Attention out;
    out.open = undecided();
    double read = 0.0;
    for (const auto& o : open)
        if (o.missing.empty()) {
            out.doubt += o.u() / o.tolerance;
            ++read;
        }
    out.doubt = read > 0.0 ? out.doubt / read : 0.0;
    constexpr std::size_t kMostAsks = 200;
    while (out.asks.size() < kMostAsks) {
        auto ask = mostWorth(open, in.confidence);
        if (!ask)
            break;
        answered(open, *ask);
        out.asks.push_back(std::move(*ask));
    }
    out.beyondUs = undecided();
    return out;
}

} // namespace riflesso
