#pragma once
/// \file
/// Support work: mobility, strength, balance, breathing and landing beside the technique. It is planned where an
/// injury, a stiffness or a limit asks for it and is never counted as a focus. What helps whom is a matter for
/// qualified people; these are the gentle usual ones (common practice, no source).

#include "core/programme/plan.h"

#include <array>
#include <span>
#include <string>
#include <string_view>
#include <vector>

namespace riflesso {

/// Places of a body on which something can be noted; those with two sides carry "left " or "right " before them.
inline constexpr std::array<std::string_view, 14> kBodyParts = {"head", "neck",       "shoulder",   "elbow", "wrist",
                                                                "hand", "upper back", "lower back", "hip",   "thigh",
                                                                "knee", "calf",       "ankle",      "foot"};
/// True for head, neck and back.
bool isMiddlePart(std::string_view part);
/// "left knee" → "knee".
std::string_view withoutSide(std::string_view part);
/// The part that a landmark belongs to, with its side: "left_knee" → "left knee". Empty for what is no body.
std::string partOf(const LandmarkName& landmark);

struct SupportWork {
    std::string_view id; ///< as a planned block's drill: "support-ankle"
    std::string_view name, how, caution;
    double minutes = 6.0;
    std::array<std::string_view, 4> parts{}; ///< without sides
};
std::span<const SupportWork> allSupportWork();
/// Null when the id is of a drill.
const SupportWork* supportWork(std::string_view id);
/// What is usual for a part; null when nothing is.
const SupportWork* supportFor(std::string_view part);

/// Support blocks beside what is planned: for each need twice a week, on days that have the minutes left, sessions'
/// days last. Where it hurts nothing is planned; \p notes says so and sends to qualified help.
std::vector<PlannedBlock> supportBeside(const std::vector<SupportNeed>& needs, const PlanInput& in,
                                        const std::vector<PlannedBlock>& planned, std::vector<std::string>& notes);

/// A drill's or a support work's name; the id itself when it is neither.
std::string workName(const Blueprint& blueprint, const std::string& id);

} // namespace riflesso
