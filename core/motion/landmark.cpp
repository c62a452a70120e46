#include "core/motion/landmark.h"
#include "core/words/say.h"

#include <algorithm>
#include <array>
#include <optional>

namespace riflesso {
namespace {
constexpr std::array<std::string_view, 9> kPaired = {"shoulder", "elbow", "wrist", "hand", "hip",
                                                     "knee",     "ankle", "heel",  "toe"};
constexpr std::array<std::string_view, 3> kHandDetail = {"thumb", "index", "little"};
constexpr std::array<std::string_view, 2> kFootDetail = {"big_toe", "little_toe"};
constexpr std::string_view kOther = "other";

bool startsWith(std::string_view s, std::string_view prefix) {
    return s.substr(0, prefix.size()) == prefix;
}

// "left_knee" -> "knee"; nothing when there is no side.
std::optional<std::string_view> withoutSide(std::string_view name) {
    for (std::string_view side : {"left_", "right_"})
        if (startsWith(name, side))
            return name.substr(side.size());
    return {};
}

template <typename Words> bool among(const Words& words, std::string_view word) {
    return std::find(words.begin(), words.end(), word) != words.end();
}

// What a name is on one person; nothing when it is not of a person.
std::optional<PointKind> bodyKind(std::string_view name) {
    if (name == "head" || name == "neck")
        return PointKind::body;
    const auto part = withoutSide(name);
    if (!part)
        return {};
    return among(kPaired, *part)       ? std::optional(PointKind::body)
           : among(kHandDetail, *part) ? std::optional(PointKind::hand)
           : among(kFootDetail, *part) ? std::optional(PointKind::foot)
                                       : std::nullopt;
}

} // namespace

int personOf(std::string_view name) {
    if (!startsWith(name, kOther) || name.size() < kOther.size() + 1)
        return 0;
    name.remove_prefix(kOther.size());
    if (name[0] == '_')
        return 1;
    const int number = name[0] - '0'; // one digit: there are no more
    return number >= 2 && number <= kMostOthers && name.size() > 1 && name[1] == '_' ? number : 0;
}

std::string personPrefix(int person) {
    return person <= 0   ? std::string()
           : person == 1 ? std::string(kOther) + "_"
                         : std::string(kOther) + std::to_string(person) + "_";
}

std::string_view withoutPerson(std::string_view name) {
    const int person = personOf(name);
    return name.substr(person == 0 ? 0 : kOther.size() + (person == 1 ? 1 : 2));
}

const std::vector<LandmarkName>& standardLandmarks() {
    static const std::vector<LandmarkName> names = [] {
        std::vector<LandmarkName> n = {"head", "neck"};
        for (auto part : kPaired)
            for (const char* side : {"left_", "right_"})
                n.push_back(side + std::string(part));
        return n;
    }();
    return names;
}

bool ofOther(std::string_view name) {
    return personOf(name) > 0;
}

PointKind kindOf(std::string_view name) {
    if (const auto body = bodyKind(withoutPerson(name)))
        return *body;
    if (name == "ball" || startsWith(name, "ball_") || (startsWith(name, "ball") && name.size() == 5))
        return PointKind::ball;
    return startsWith(name, "scene_") ? PointKind::scene : PointKind::implement;
}

bool onBody(std::string_view name) {
    return bodyKind(withoutPerson(name)).has_value();
}

bool isLandmarkName(std::string_view name) {
    if (onBody(name))
        return true;
    if (name.empty() || name.size() > 64 || withoutSide(name) || ofOther(name) || name == "scene_")
        return false;
    if (name.front() < 'a' || name.front() > 'z')
        return false;
    return std::all_of(name.begin(), name.end(),
                       [](char c) { return (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || c == '_'; });
}

LandmarkName mirrored(const LandmarkName& name) {
    const std::string person = personPrefix(personOf(name));
    const std::string own = name.substr(person.size());
    if (const auto part = withoutSide(own))
        return person + (startsWith(own, "left_") ? "right_" : "left_") + std::string(*part);
    return name;
}

LandmarkName resolveRole(std::string_view role, Side handedness) {
    const bool right = handedness == Side::right;
    if (startsWith(role, "lead_"))
        return (right ? "right_" : "left_") + std::string(role.substr(5));
    if (startsWith(role, "rear_"))
        return (right ? "left_" : "right_") + std::string(role.substr(5));
    return std::string(role);
}

const std::vector<std::pair<LandmarkName, LandmarkName>>& standardBones() {
    static const std::vector<std::pair<LandmarkName, LandmarkName>> bones = [] {
        std::vector<std::pair<LandmarkName, LandmarkName>> b = {{"head", "neck"}};
        using Pairs = std::initializer_list<std::pair<const char*, const char*>>;
        const auto bothSides = [&](Pairs pairs) {
            for (std::string s : {"left_", "right_"})
                for (auto [from, to] : pairs)
                    b.emplace_back(s + from, s + to);
        };
        bothSides({{"shoulder", "elbow"},
                   {"elbow", "wrist"},
                   {"wrist", "hand"},
                   {"shoulder", "hip"},
                   {"hip", "knee"},
                   {"knee", "ankle"},
                   {"ankle", "heel"},
                   {"heel", "toe"},
                   {"ankle", "toe"}});
        b.emplace_back("left_shoulder", "right_shoulder");
        b.emplace_back("left_hip", "right_hip");
        bothSides(
            {{"wrist", "thumb"}, {"hand", "index"}, {"hand", "little"}, {"ankle", "big_toe"}, {"ankle", "little_toe"}});
        return b;
    }();
    return bones;
}

std::vector<std::pair<LandmarkName, LandmarkName>> linesAmong(const std::vector<LandmarkName>& names) {
    std::vector<std::pair<LandmarkName, LandmarkName>> out;
    int last = 0;
    for (const auto& name : names)
        last = std::max(last, personOf(name));
    for (int i = 0; i <= last; ++i)
        for (const auto& [a, b] : standardBones())
            if (const std::string person = personPrefix(i); among(names, person + a) && among(names, person + b))
                out.emplace_back(person + a, person + b);
    for (const auto& name : names)
        if (name.ends_with("_tail") && kindOf(name) == PointKind::implement)
            if (const std::string tip = name.substr(0, name.size() - 4) + "tip"; among(names, tip))
                out.emplace_back(name, tip);
    return out;
}

bool hangsOnHand(const LandmarkName& name, const std::vector<LandmarkName>& names) {
    if (kindOf(name) != PointKind::implement || name.ends_with("_centre") || name.ends_with("_tail"))
        return false;
    return !(name.ends_with("_tip") && among(names, name.substr(0, name.size() - 3) + "tail"));
}

std::string spoken(std::string_view landmark) {
    std::string s(withoutPerson(landmark));
    if (startsWith(s, "scene_"))
        s = s.substr(6);
    std::replace(s.begin(), s.end(), '_', ' ');
    const auto sided = [&s](const char* side, const std::string& said) {
        return startsWith(s, side) ? std::optional(fill(said, {word(s.substr(std::string_view(side).size()))}))
                                   : std::nullopt;
    };
    std::string out;
    if (const auto left = sided("left ", say("landmark", "left %1")))
        out = *left;
    else if (const auto right = sided("right ", say("landmark", "right %1")))
        out = *right;
    else
        out = word(s);
    const int person = personOf(landmark);
    return person == 0   ? out
           : person == 1 ? fill(say("landmark", "other's %1"), {out})
                         : fill(say("landmark", "person %1's %2"), {std::to_string(person + 1), out});
}

} // namespace riflesso
