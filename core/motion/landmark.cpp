#include "core/motion/landmark.h"

#include <algorithm>
#include <array>

namespace riflesso {
namespace {
constexpr std::array<std::string_view, 9> kPaired = {"shoulder", "elbow", "wrist", "hand", "hip",
                                                     "knee",     "ankle", "heel",  "toe"};

bool startsWith(std::string_view s, std::string_view prefix) {
    return s.substr(0, prefix.size()) == prefix;
}
} // namespace

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

bool isLandmarkName(std::string_view name) {
    const auto& standard = standardLandmarks();
    if (std::find(standard.begin(), standard.end(), name) != standard.end())
        return true;
    if (name.empty() || name.size() > 64 || startsWith(name, "left_") || startsWith(name, "right_"))
        return false;
    if (name.front() < 'a' || name.front() > 'z')
        return false;
    return std::all_of(name.begin(), name.end(),
                       [](char c) { return (c >= 'a' && c <= 'z') || (c >= '0' && c <= '9') || c == '_'; });
}

LandmarkName mirrored(const LandmarkName& name) {
    if (startsWith(name, "left_"))
        return "right_" + name.substr(5);
    if (startsWith(name, "right_"))
        return "left_" + name.substr(6);
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
        for (std::string s : {"left_", "right_"})
            for (auto [from, to] : std::initializer_list<std::pair<const char*, const char*>>{{"shoulder", "elbow"},
                                                                                              {"elbow", "wrist"},
                                                                                              {"wrist", "hand"},
                                                                                              {"shoulder", "hip"},
                                                                                              {"hip", "knee"},
                                                                                              {"knee", "ankle"},
                                                                                              {"ankle", "heel"},
                                                                                              {"heel", "toe"},
                                                                                              {"ankle", "toe"}})
                b.emplace_back(s + from, s + to);
        b.emplace_back("left_shoulder", "right_shoulder");
        b.emplace_back("left_hip", "right_hip");
        return b;
    }();
    return bones;
}

std::string spoken(std::string_view landmark) {
    std::string s(landmark);
    std::replace(s.begin(), s.end(), '_', ' ');
    return s;
}

} // namespace riflesso
