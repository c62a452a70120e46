#include "casebook/card.h"

#include "casebook/body.h"
#include "casebook/next_step.h"

#include <algorithm>
#include <set>

namespace riflesso {
namespace {

// A frame that shows the body at work: the middle one of the key positions of the take's first rep that has any.
int tellingFrame(const CaseData& data, const Take& take) {
    for (const Rep* rep : repsOf(data, take.id)) {
        std::vector<int> frames;
        for (const auto& [id, placed] : rep->positions)
            frames.push_back(placed.frame.value);
        if (frames.empty())
            continue;
        std::sort(frames.begin(), frames.end());
        return frames[frames.size() / 2];
    }
    return static_cast<int>(take.times.size()) / 2;
}

// Round the marks of a frame, with room, within the picture. No width when there are too few.
std::array<int, 4> cropOf(const CaseData& data, const Take& take, int frame) {
    const auto marks = data.marks.find(take.id);
    if (marks == data.marks.end())
        return {};
    double left = take.width, top = take.height, right = 0.0, bottom = 0.0;
    int n = 0;
    for (const auto& [landmark, track] : marks->second)
        if (const auto m = track.find(FrameIndex(frame)); m != track.end() && onBody(landmark)) {
            left = std::min(left, m->second.at.x);
            right = std::max(right, m->second.at.x);
            top = std::min(top, m->second.at.y);
            bottom = std::max(bottom, m->second.at.y);
            ++n;
        }
    if (n < 6)
        return {};
    // Of the card's own shape, 8 to 5, with the body filling three quarters.
    const double height = std::max(bottom - top, (right - left) / 1.6) / 0.75, width = 1.6 * height;
    const double x = std::clamp((left + right - width) / 2, 0.0, std::max(0.0, take.width - width));
    const double y = std::clamp((top + bottom - height) / 2, 0.0, std::max(0.0, take.height - height));
    return {static_cast<int>(x), static_cast<int>(y), static_cast<int>(std::min<double>(width, take.width)),
            static_cast<int>(std::min<double>(height, take.height))};
}

// Which parts of the body a fault's measures read.
std::vector<std::string> partsOf(const Blueprint& blueprint, const Fault& fault) {
    std::set<std::string> parts;
    for (const auto& indicator : fault.indicators)
        if (const BlueprintMeasure* m = blueprint.measure(indicator.measure))
            for (const auto& spec : m->definition.points)
                for (const auto& role : spec.landmarks) {
                    if (ofOther(role) || kindOf(role) == PointKind::scene)
                        continue;
                    const auto names = [&](std::initializer_list<const char*> words) {
                        return std::any_of(words.begin(), words.end(),
                                           [&](const char* w) { return role.find(w) != std::string::npos; });
                    };
                    if (names({"wrist", "elbow", "hand", "finger"}))
                        parts.insert("arms");
                    else if (names({"knee", "ankle", "heel", "toe", "foot"}))
                        parts.insert("legs");
                    else if (names({"hip", "shoulder", "neck"}))
                        parts.insert("trunk");
                    else if (names({"head", "eye", "ear", "nose"}))
                        parts.insert("head");
                }
    return {parts.begin(), parts.end()};
}

Standing standingOf(const CaseData& data, const Blueprint& blueprint, const Analysis& a, const Fault& fault) {
    const FindingDecision* decision = decisionOn(data, fault.id);
    const bool worked = decision && decision->kind == DecisionKind::takenUp;
    switch (stateOf(blueprint, a, fault.id)) {
    case FaultState::there:
        return worked || std::find(a.judgement.focus.begin(), a.judgement.focus.end(), fault.id) !=
                             a.judgement.focus.end()
                   ? Standing::workingOn
                   : Standing::seen;
    case FaultState::held:
        return decision ? Standing::held : Standing::clear;
    case FaultState::undecided:
        return Standing::undecided;
    case FaultState::notShown:
        break;
    }
    return Standing::unknown;
}

} // namespace

CardDetail detailOf(const CaseData& data, const Blueprint& blueprint, const Analysis& a, Day today) {
    CardDetail out;
    for (const auto& fault : blueprint.faults) {
        const Finding* f = a.finding(fault.id);
        out.faults.push_back(
            {fault.id, standingOf(data, blueprint, a, fault), f ? f->parts.score() : 0.0, partsOf(blueprint, fault)});
    }
    for (const auto& d : a.deviations)
        if (d.judged)
            out.measures.push_back({d.measure, d.value.mean, d.value.u, d.band.lo, d.band.hi});
    out.focus = a.judgement.focus;
    for (const auto& fault : out.focus)
        out.reached.emplace_back(fault, stageReached(blueprint, fault, a.gates));
    for (const auto& block : a.plan.blocks) {
        if (block.day < today || block.day >= today + std::chrono::days(7) || block.state != BlockState::planned)
            continue;
        const std::string day = isoDate(block.day);
        auto it = std::find_if(out.week.begin(), out.week.end(), [&](const auto& w) { return w.first == day; });
        if (it == out.week.end())
            it = out.week.insert(out.week.end(), {day, 0.0});
        it->second += block.minutes;
    }
    out.injuries = data.brief.injuries;
    for (const auto& s : segmentLengths(data))
        out.segments.push_back({isoDate(s.day), s.segment, s.metres});
    for (const auto& day : data.brief.competitions)
        if (day >= today && (out.competition.empty() || isoDate(day) < out.competition))
            out.competition = isoDate(day);
    return out;
}

CaseCard cardOf(const CaseData& data, const Blueprint& blueprint, const Analysis& a, Day today) {
    CaseCard card;
    card.detail = toJson(detailOf(data, blueprint, a, today));
    card.next = a.next.words;
    if (const auto again = filmAgain(data, blueprint, a)) {
        card.again = isoDate(again->day);
        card.againWords = again->words;
    }
    card.needsCoach = !card.next.empty() && a.next.where != Workspace::practice && a.next.where != Workspace::handover;
    for (const auto& id : a.judgement.focus)
        if (const Fault* fault = blueprint.fault(id))
            card.focus += (card.focus.empty() ? "" : ", ") + fault->name;
    // Of one day the film on which most has been placed.
    const auto tells = [&](const Take& take) {
        std::size_t placed = 0;
        for (const Rep* rep : repsOf(data, take.id))
            placed += rep->positions.size();
        return placed;
    };
    const Take* newest = nullptr;
    for (const auto& [id, take] : data.takes)
        if (take.performer == Performer::athlete &&
            (!newest || take.day > newest->day || (take.day == newest->day && tells(take) >= tells(*newest))))
            newest = &take;
    for (const auto& block : a.plan.blocks)
        if (block.day >= today && (card.practice.empty() || isoDate(block.day) < card.practice))
            card.practice = isoDate(block.day);
    if (!newest)
        return card;
    card.filmed = isoDate(newest->day);
    card.film = newest->film;
    card.frame = tellingFrame(data, *newest);
    card.crop = cropOf(data, *newest, card.frame);
    return card;
}

} // namespace riflesso
