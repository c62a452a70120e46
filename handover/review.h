#pragma once
/// \file
/// The review: what an athlete is shown and told of the findings, scene by scene, kept beside the library.

#include "casebook/analysis.h"

#include <array>
#include <filesystem>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

namespace riflesso {

enum class SceneKind { good, cause, consequence, todo, said, own };
inline constexpr std::array<std::string_view, 6> kSceneKindNames = {"good", "cause", "consequence",
                                                                    "todo", "said",  "own"};

/// Where the pointer was while the coach spoke.
struct PointerSample {
    double at = 0.0;         ///< s since the scene began
    double x = 0.0, y = 0.0; ///< share of the picture's width and height, from its upper left corner
    bool drawing = false;    ///< a stroke that fades, instead of a light
    friend bool operator==(const PointerSample&, const PointerSample&) = default;
};

/// One scene: a loop of a rep, a still of two at the same moment, or words alone.
struct Scene {
    int id = 0; ///< names its files; never used again within a review
    SceneKind kind = SceneKind::own;
    std::string words;                 ///< one line under the picture
    Id rep = 0;                        ///< of the athlete, or a model's; 0 = words alone
    Id other = 0;                      ///< under the waterline; 0 = none
    std::string measure{};             ///< drawn on the figure; may be empty
    std::optional<FrameIndex> frame{}; ///< of the rep's take: a still; without it the rep plays, round and round
    double seconds = 6.0;              ///< how long it is shown when nobody speaks, 1 to 120
    double slow = 4.0;                 ///< of a loop: real seconds to seconds shown
    bool spoken = false;               ///< voiceFile() is there
    std::vector<PointerSample> pointer{};
    std::string caption{}; ///< what is said, typed; empty = the words
    Id note = 0;           ///< a note on a frame, shown with what was clicked; 0 = none, and then no rep is shown
    friend bool operator==(const Scene&, const Scene&) = default;
};

struct Review {
    std::vector<Scene> scenes;
    int nextId = 1;
    friend bool operator==(const Review&, const Review&) = default;
};

/// What is good, the cause, what it brings about, what was noted on frames, what to do, what was said before: made of
/// the findings. Pure.
Review proposedReview(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis);

/// Adds a scene at the end, with a number of its own; returns the number.
int addScene(Review& review, Scene scene);

/// Where a case's review is kept. \p library: the library's folder.
std::filesystem::path reviewFolder(const std::filesystem::path& library, Id caseId);
std::filesystem::path voiceFile(const std::filesystem::path& folder, const Scene& scene);

/// Errors: damaged (a file that is no review, or beyond its bounds). Nothing kept yet: nothing.
Result<std::optional<Review>> readReview(const std::filesystem::path& folder);
/// A scene as it is kept, one line.
std::string textOf(const Scene& scene);
/// Makes the folder when it is not there; the file is whole or what it was before.
Status keepReview(const std::filesystem::path& folder, const Review& review);

} // namespace riflesso
