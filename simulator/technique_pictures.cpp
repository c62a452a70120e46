#include "simulator/technique_pictures.h"

#include <algorithm>

namespace riflesso {

Result<std::map<std::string, PositionPicture>> positionPictures(const std::string& technique, const Faults& faults,
                                                                int height, const std::string& only) {
    FilmRecipe recipe;
    recipe.technique = technique;
    recipe.variation = 0.0;
    if (const auto set = setFaults(recipe, faults); !set)
        return set.error();
    const auto take = SimulatedTake::make(recipe);
    if (!take)
        return take.error();
    SimulatedCamera camera = cameraFor(technique, false);
    const double scale = std::clamp(height, 90, 1080) / static_cast<double>(camera.height);
    camera.width = static_cast<int>(camera.width * scale) / 2 * 2;
    camera.height = std::clamp(height, 90, 1080) / 2 * 2;
    camera.focal *= scale;
    const Renderer renderer(camera, recipe.outfit);
    std::map<std::string, PositionPicture> out;
    if (take->reps().empty())
        return out;
    auto wanted = take->reps().front().keys;
    if (!only.empty() && !wanted.empty()) {
        const auto one = wanted.contains(only) ? *wanted.find(only) : *wanted.begin();
        wanted = {one};
    }
    for (const auto& [id, at] : wanted) {
        PositionPicture p;
        p.picture = renderer.frame(
            at, [&](double t) { return take->bodyAt(t); }, 1);
        for (const auto& [name, place] : take->bodyAt(at).at)
            p.points[name] = camera.project(place);
        out.emplace(id, std::move(p));
    }
    return out;
}

} // namespace riflesso
