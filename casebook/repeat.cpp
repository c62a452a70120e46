#include "casebook/repeat.h"

#include <algorithm>
#include <random>
#include <set>

namespace riflesso {

Result<RepeatMarking> planRepeat(const CaseData& data, const Blueprint& blueprint, Id take, const std::string& analyst,
                                 Day day, unsigned seed, int again, int others) {
    const auto t = data.takes.find(take);
    const auto tracks = data.marks.find(take);
    std::map<FrameIndex, int> hands;
    std::vector<LandmarkName> wanted;
    if (t != data.takes.end() && tracks != data.marks.end())
        for (const auto& role : blueprint.rolesFor(t->second.view)) {
            const LandmarkName name = resolveRole(role, t->second.handedness);
            wanted.push_back(name);
            if (const auto track = tracks->second.find(name); track != tracks->second.end())
                for (const auto& [frame, mark] : track->second)
                    hands[frame] += mark.how == How::hand;
        }
    std::vector<FrameIndex> marked;
    for (const auto& [frame, n] : hands)
        if (n >= 3)
            marked.push_back(frame);
    if (marked.empty())
        return Error{"no frame of this take has been marked by hand yet", t == data.takes.end() ? "" : t->second.title,
                     "nothing was changed", "mark a rep first, then its frames can be shown again"};
    std::mt19937 random(seed);
    std::shuffle(marked.begin(), marked.end(), random);
    if (static_cast<int>(marked.size()) > again)
        marked.resize(static_cast<std::size_t>(again));
    RepeatMarking r;
    r.take = take;
    r.day = day;
    r.analyst = analyst;
    r.landmarks = wanted;
    // The others lie between the marked ones, so that nothing gives them away.
    const auto [lo, hi] = std::minmax_element(marked.begin(), marked.end());
    std::set<FrameIndex> strangers;
    std::uniform_int_distribution<int> anywhere(lo->value, std::max(lo->value, hi->value));
    for (int tries = 0; tries < 200 && static_cast<int>(strangers.size()) < others; ++tries)
        if (const FrameIndex f(anywhere(random)); !hands.contains(f) || hands.at(f) == 0)
            strangers.insert(f);
    r.frames = marked;
    r.frames.insert(r.frames.end(), strangers.begin(), strangers.end());
    std::shuffle(r.frames.begin(), r.frames.end(), random);
    return r;
}

std::vector<LandmarkName> openAt(const RepeatMarking& repeat, FrameIndex frame) {
    std::vector<LandmarkName> out;
    for (const auto& name : repeat.landmarks)
        if (std::none_of(repeat.marks.begin(), repeat.marks.end(),
                         [&](const auto& m) { return m.frame == frame && m.landmark == name; }))
            out.push_back(name);
    return out;
}

std::optional<FrameIndex> nextOpenFrame(const RepeatMarking& repeat) {
    for (FrameIndex f : repeat.frames)
        if (!openAt(repeat, f).empty())
            return f;
    return std::nullopt;
}

std::vector<MeasureAgreement> agreementByMeasure(const Blueprint& blueprint, const Take& take, const TrackSet& first,
                                                 const TrackSet& again) {
    MotionOptions raw;
    raw.cutoff = CutoffNone{};
    const Timebase time = timebaseOf(take);
    // Only what hands made: a carried mark would be compared with a click.
    const auto byHand = [](const TrackSet& tracks) {
        TrackSet out;
        for (const auto& [name, track] : tracks)
            for (const auto& [frame, mark] : track)
                if (mark.how == How::hand)
                    out[name][frame] = mark;
        return out;
    };
    const Motion a = toMotion(byHand(first), time, raw), b = toMotion(byHand(again), time, raw);
    std::set<FrameIndex> frames;
    for (const auto& [name, track] : again)
        for (const auto& [frame, mark] : track)
            frames.insert(frame);
    const ViewSetup setup = setupOf(take);
    std::vector<MeasureAgreement> out;
    for (const auto& m : blueprint.measures) {
        if (!serves(take.view, m.definition.view) || needsUntil(m.definition))
            continue;
        MeasureAgreement g;
        g.measure = m.definition.id;
        g.unit = unitOf(m.definition);
        std::vector<double> va, vb;
        std::vector<std::vector<double>> table;
        for (FrameIndex f : frames) {
            const auto ra = readAt(m.definition, a, f, setup), rb = readAt(m.definition, b, f, setup);
            if (!ra || !rb)
                continue;
            va.push_back(ra->value);
            vb.push_back(rb->value);
            table.push_back({ra->value, rb->value});
        }
        g.frames = static_cast<int>(table.size());
        const auto r = reliabilityOf(table);
        const auto l = blandAltman(va, vb);
        if (r)
            g.reliability = *r;
        else
            g.why = r.error().text();
        if (l)
            g.limits = *l;
        out.push_back(std::move(g));
    }
    return out;
}

} // namespace riflesso
