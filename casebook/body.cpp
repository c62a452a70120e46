#include "casebook/body.h"

#include "casebook/analysis.h"
#include "core/statistics/numbers.h"
#include "core/words/say.h"

#include <algorithm>
#include <iterator>
#include <map>

namespace riflesso {

std::set<std::string> partsOfFault(const Blueprint& blueprint, const Fault& fault, Side handedness) {
    std::set<std::string> out;
    for (const auto& i : fault.indicators)
        if (const BlueprintMeasure* m = blueprint.measure(i.measure))
            for (const auto& landmark : landmarksOf(m->definition, handedness))
                if (const std::string part = partOf(landmark); !part.empty())
                    out.insert(part);
    return out;
}

std::vector<std::string> hurtingFaults(const Blueprint& blueprint, const Athlete& athlete) {
    std::vector<std::string> out;
    for (const auto& fault : blueprint.faults) {
        const auto parts = partsOfFault(blueprint, fault, athlete.handedness);
        if (std::any_of(athlete.body.begin(), athlete.body.end(),
                        [&](const BodyNote& n) { return n.pain && parts.contains(n.part); }))
            out.push_back(fault.id);
    }
    return out;
}

std::vector<BodyNote> notesForDrill(const Blueprint& blueprint, const std::string& drill, const Athlete& athlete) {
    std::set<std::string> parts;
    for (const auto& fault : blueprint.faults)
        if (std::find(fault.drills.begin(), fault.drills.end(), drill) != fault.drills.end())
            parts.merge(partsOfFault(blueprint, fault, athlete.handedness));
    std::vector<BodyNote> out;
    std::copy_if(athlete.body.begin(), athlete.body.end(), std::back_inserter(out),
                 [&](const BodyNote& n) { return parts.contains(n.part); });
    return out;
}

std::string growthWords(const Athlete& athlete) {
    constexpr double kSeen = 2.0; // cm: more than two measurings of one body differ (common practice, no source)
    if (athlete.growth.size() < 2)
        return {};
    const Growth& now = athlete.growth.back();
    const Growth* first = nullptr;
    for (const auto& g : athlete.growth)
        if (!first && now.day - g.day <= std::chrono::days(366))
            first = &g;
    const double by = now.stature - first->stature;
    if (by < kSeen)
        return {};
    return fill(say("body",
                    "Grown %1 cm since %2: films from before show another body. Lengths in its own segments still "
                    "hold; metres and habits change."),
                {figure(by, 0), dateWords(first->day)});
}

std::vector<SegmentLength> segmentLengths(const CaseData& data) {
    constexpr std::size_t kFewest = 10; // frames
    struct Ends {
        const char *segment, *from, *to;
    };
    static constexpr Ends kSegments[] = {{"thigh", "hip", "knee"},
                                         {"shank", "knee", "ankle"},
                                         {"upper arm", "shoulder", "elbow"},
                                         {"forearm", "elbow", "wrist"}};
    std::map<std::pair<Day, std::size_t>, std::vector<double>> seen;
    for (const auto& [id, take] : data.takes) {
        const auto marks = data.marks.find(id);
        const auto calibration = calibrationOf(take);
        if (take.performer != Performer::athlete || marks == data.marks.end() || !calibration || !*calibration ||
            !(*calibration)->metric())
            continue;
        for (std::size_t k = 0; k < std::size(kSegments); ++k)
            for (const char* side : {"left_", "right_"}) {
                const auto from = marks->second.find(std::string(side) + kSegments[k].from),
                           to = marks->second.find(std::string(side) + kSegments[k].to);
                if (from == marks->second.end() || to == marks->second.end())
                    continue;
                for (const auto& [frame, mark] : from->second)
                    if (const auto other = to->second.find(frame);
                        other != to->second.end() && mark.how != How::hidden && other->second.how != How::hidden)
                        seen[{take.day, k}].push_back(((*calibration)->upright(mark.at.vector()) -
                                                       (*calibration)->upright(other->second.at.vector()))
                                                          .norm());
            }
    }
    std::vector<SegmentLength> out;
    for (auto& [which, lengths] : seen) {
        if (lengths.size() < kFewest)
            continue;
        const auto at = lengths.begin() + static_cast<std::ptrdiff_t>(lengths.size() * 95 / 100);
        std::nth_element(lengths.begin(), at, lengths.end());
        out.push_back({which.first, kSegments[which.second].segment, *at, static_cast<int>(lengths.size())});
    }
    return out;
}

void setStature(Athlete& athlete, Day day, double stature) {
    std::erase_if(athlete.growth, [&](const Growth& g) { return g.day == day; });
    if (stature > 0.0)
        athlete.growth.push_back({day, stature});
    std::sort(athlete.growth.begin(), athlete.growth.end(),
              [](const Growth& a, const Growth& b) { return a.day < b.day; });
}

std::string bodyWords(const BodyNote& note) {
    return word(note.part) + (note.words.empty() ? "" : ": " + note.words) +
           (note.since ? fill(say("body", ", since %1"), {dateWords(*note.since)}) : "") +
           (note.pain ? say("body", ", hurts now") : "");
}

} // namespace riflesso
