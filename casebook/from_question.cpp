#include "casebook/from_question.h"

#include "core/words/say.h"

#include <algorithm>
#include <cmath>

namespace riflesso {
namespace {

// "right_wrist" of a right-handed athlete is "lead_wrist".
std::string roleOf(const LandmarkName& landmark, Side handedness) {
    for (const auto& [side, prefix] : {std::pair{Side::left, std::string("left_")}, {Side::right, "right_"}})
        if (landmark.starts_with(prefix))
            return (side == handedness ? "lead_" : "rear_") + landmark.substr(prefix.size());
    return landmark;
}

} // namespace

std::optional<Blueprint> blueprintFrom(const Answer& answer, const std::vector<LandmarkName>& landmarks,
                                       Side handedness, Facing facing, const std::string& name) {
    struct Kind {
        const char* answer;
        MeasureKind kind;
        std::size_t points;
    };
    constexpr Kind kinds[] = {{"lean", MeasureKind::lean, 2},
                              {"angle", MeasureKind::angle, 3},
                              {"ratio", MeasureKind::ratio, 4},
                              {"between", MeasureKind::between, 4}};
    const auto kind =
        std::find_if(std::begin(kinds), std::end(kinds), [&](const Kind& k) { return answer.kind == k.answer; });
    if (kind == std::end(kinds) || !answer.refused.empty() || landmarks.size() != kind->points ||
        std::any_of(landmarks.begin(), landmarks.end(), [](const auto& l) { return l.empty(); }))
        return std::nullopt;
    Blueprint b;
    b.id = "new-technique";
    b.name = name;
    b.positions = {{"start", say("question", "Start"), say("question", "The frame on which it is read."), {}, {}},
                   {"end", say("question", "End"), say("question", "The movement is over."), {}, {}}};
    BlueprintMeasure m;
    m.definition.id = "asked";
    m.definition.name = say("question", "As asked of the frame");
    m.definition.kind = kind->kind;
    m.definition.at = "start";
    for (const auto& l : landmarks) {
        const std::string role = roleOf(l, handedness);
        m.definition.points.push_back(PointSpec{{role}});
        if (std::find(b.landmarks.begin(), b.landmarks.end(), role) == b.landmarks.end())
            b.landmarks.push_back(role);
    }
    Target t;
    t.source = TargetSource::coach;
    t.note = say("question", "Two errors to each side of what was read once; to be set anew.");
    const double wide = std::max(2.0 * answer.u, 1e-3);
    // A lean is asked against the picture's right, and measured forwards.
    const double read = kind->kind == MeasureKind::lean && facing == Facing::left ? -answer.value : answer.value;
    t.lo = read - wide;
    t.hi = read + wide;
    t.floor = wide;
    m.targets.push_back(t);
    b.measures.push_back(std::move(m));
    linkMeasures(b.measures);
    return b;
}

} // namespace riflesso
