#include "core/motion/body_schema.h"
#include "core/words/say.h"

#include <algorithm>
#include <cctype>

namespace riflesso {
namespace {

const char* const kTrunk[] = {"head", "neck"};
const char* const kArm[] = {"shoulder", "elbow", "wrist", "hand"};
const char* const kHand[] = {"thumb", "index", "little"};
const char* const kLeg[] = {"hip", "knee", "ankle", "heel", "toe"};
const char* const kFoot[] = {"big_toe", "little_toe"};

} // namespace

const std::vector<FigurePoint>& figurePoints() {
    static const std::vector<FigurePoint> points = [] {
        std::vector<FigurePoint> p = {{"head", "middle of the ear opening, or of the head", 0.50, 0.09},
                                      {"neck", "where neck and shoulders meet, in the middle", 0.50, 0.20}};
        struct Row {
            const char *part, *words;
            double leadX, leadY, rearX, rearY;
        };
        for (const Row& r : std::initializer_list<Row>{
                 {"shoulder", "middle of the shoulder joint, under its bony tip", 0.41, 0.235, 0.59, 0.235},
                 {"elbow", "middle of the elbow joint", 0.30, 0.30, 0.70, 0.28},
                 {"wrist", "middle of the wrist joint", 0.20, 0.27, 0.76, 0.18},
                 {"hand", "knuckle of the middle finger", 0.15, 0.255, 0.77, 0.13},
                 {"thumb", "tip of the thumb", 0.135, 0.205, 0.72, 0.115},
                 {"index", "tip of the index finger", 0.09, 0.24, 0.765, 0.08},
                 {"little", "tip of the little finger", 0.11, 0.29, 0.815, 0.10},
                 {"hip", "middle of the hip joint, at the bony knob of the thigh", 0.44, 0.53, 0.56, 0.53},
                 {"knee", "middle of the knee joint", 0.335, 0.695, 0.665, 0.70},
                 {"ankle", "middle of the ankle, at its bony knob", 0.335, 0.875, 0.73, 0.875},
                 {"heel", "lowest point of the heel, at its back", 0.375, 0.925, 0.76, 0.925},
                 {"toe", "tip of the foot or of the shoe", 0.24, 0.925, 0.655, 0.945},
                 {"big_toe", "base of the big toe", 0.275, 0.905, 0.675, 0.915},
                 {"little_toe", "base of the little toe", 0.29, 0.955, 0.70, 0.96}}) {
            p.push_back({std::string("lead_") + r.part, r.words, r.leadX, r.leadY});
            p.push_back({std::string("rear_") + r.part, r.words, r.rearX, r.rearY});
        }
        return p;
    }();
    return points;
}

std::string whereToMark(const LandmarkName& landmark) {
    const std::string_view own = withoutPerson(landmark);
    for (const auto& p : figurePoints())
        if (resolveRole(p.role, Side::right) == own)
            return word(p.words);
    return {};
}

std::vector<LandmarkName> landmarksOf(const BodySchema& schema, Side near) {
    std::vector<LandmarkName> out;
    const FigurePart part = schema.part;
    const bool arms = part != FigurePart::asked && part != FigurePart::legs;
    const bool legs = part != FigurePart::asked && part != FigurePart::upperBody;
    if (arms)
        out.insert(out.end(), std::begin(kTrunk), std::end(kTrunk));
    for (const bool nearSide : {true, false}) {
        if (!nearSide && (part == FigurePart::nearSide || part == FigurePart::asked))
            break;
        const std::string side = (near == Side::left) == nearSide ? "left_" : "right_";
        const auto add = [&](bool wanted, const auto& parts) {
            if (wanted)
                for (const char* name : parts)
                    out.push_back(side + name);
        };
        add(arms, kArm);
        add(schema.hands && part != FigurePart::legs, kHand);
        if (part == FigurePart::upperBody)
            out.push_back(side + "hip");
        add(legs, kLeg);
        add(schema.feet && part != FigurePart::upperBody, kFoot);
    }
    for (const auto& name : schema.extra)
        if (std::find(out.begin(), out.end(), name) == out.end())
            out.push_back(name);
    return out;
}

std::vector<LandmarkName> namesFor(Thing thing, std::string_view called, int person) {
    if (thing == Thing::other || thing == Thing::otherUpper) {
        std::vector<LandmarkName> out;
        if (person < 1 || person > kMostOthers)
            return out;
        const auto part = thing == Thing::other ? FigurePart::whole : FigurePart::upperBody;
        for (const auto& name : landmarksOf({part, false, false, {}}, Side::right))
            out.push_back(personPrefix(person) + name);
        return out;
    }
    std::string word;
    for (char c : called) {
        const auto u = static_cast<unsigned char>(c);
        if (std::isalnum(u))
            word += static_cast<char>(std::tolower(u));
        else if (!word.empty() && word.back() != '_')
            word += '_';
    }
    while (!word.empty() && word.back() == '_')
        word.pop_back();
    if (thing == Thing::ball)
        return {word.empty() || word == "ball" ? "ball" : word.rfind("ball", 0) == 0 ? word : "ball_" + word};
    if (word.empty())
        return {};
    std::vector<LandmarkName> out;
    switch (thing) {
    case Thing::line:
        out = {word + "_tail", word + "_tip"};
        break;
    case Thing::tip:
        out = {word + "_tip"};
        break;
    case Thing::centre:
        out = {word + "_centre"};
        break;
    default:
        out = {"scene_" + word};
        break;
    }
    return std::all_of(out.begin(), out.end(), [](const auto& n) { return isLandmarkName(n) && !onBody(n); })
               ? out
               : std::vector<LandmarkName>();
}

std::optional<int> nextPerson(const BodySchema& schema) {
    for (int person = 1; person <= kMostOthers; ++person)
        if (std::none_of(schema.extra.begin(), schema.extra.end(),
                         [&](const auto& n) { return personOf(n) == person; }))
            return person;
    return std::nullopt;
}

std::string calledIn(const BodySchema& schema, int person) {
    if (const auto it = schema.called.find(person); it != schema.called.end() && !it->second.empty())
        return it->second;
    return person == 0   ? say("landmark", "athlete")
           : person == 1 ? say("landmark", "second person")
                         : fill(say("landmark", "person %1"), {std::to_string(person + 1)});
}

bool isFreeName(const BodySchema& schema, int person, const std::string& name) {
    return std::none_of(schema.called.begin(), schema.called.end(),
                        [&](const auto& c) { return c.first != person && c.second == name; });
}

std::string spokenIn(const BodySchema& schema, std::string_view landmark) {
    const auto called = schema.called.find(personOf(landmark));
    return called == schema.called.end() || called->second.empty()
               ? spoken(landmark)
               : called->second + ": " + spoken(withoutPerson(landmark));
}

} // namespace riflesso
