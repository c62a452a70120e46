#include "simulator/eye_trial.h"

#include <algorithm>
#include <cmath>

namespace riflesso {

Result<FaultRange> rangeOf(const std::string& technique, const std::string& fault) {
    const auto known = faultsOf(technique);
    const auto it = known.find(fault);
    if (it == known.end())
        return Error{"this fault is not known", technique + ", " + fault, {}, {}, ErrorKind::wrongUse};
    const std::string& words = it->second;
    const auto has = [&](const char* what) { return words.find(what) != std::string::npos; };
    if (has("degree"))
        return FaultRange{1.0, 30.0, "degrees", 1.0, "°"};
    if (has("cm"))
        return FaultRange{0.2, 6.0, "cm", 1.0, "cm"};
    if (has("share"))
        return FaultRange{0.004, 0.15, "share", 100.0, "%"};
    if (has("0 to 1") || has("0 or 1"))
        return FaultRange{0.05, 1.0, "", 100.0, "%"};
    if (words.rfind("s", 0) == 0)
        return FaultRange{0.015, 0.45, "s", 1000.0, "ms"};
    if (words.rfind("m", 0) == 0)
        return FaultRange{0.01, 0.30, "m", 100.0, "cm"};
    return FaultRange{0.05, 1.0, "", 100.0, "%"};
}

Result<EyeTrial> eyeTrial(const std::string& technique, const std::string& fault, double size, unsigned seed,
                          int height, const std::function<bool()>& goOn) {
    FilmRecipe recipe;
    recipe.technique = technique;
    recipe.seed = seed;
    recipe.reps = technique == "race-walking" || technique == "rowing-ergometer" ? 2 : 1; // what goes round, twice
    if (const auto set = setFaults(recipe, size > 0.0 ? Faults{{fault, size}} : Faults{}); !set)
        return set.error();
    const auto take = SimulatedTake::make(recipe);
    if (!take)
        return take.error();
    SimulatedCamera camera = cameraFor(technique, false);
    const double scale = height / static_cast<double>(camera.height);
    camera.width = static_cast<int>(camera.width * scale) / 2 * 2;
    camera.height = height / 2 * 2;
    camera.focal *= scale;
    camera.exposure = 1.0 / 250.0;
    EyeTrial out;
    const Renderer renderer(camera, recipe.outfit);
    const int frames = std::clamp(static_cast<int>(std::lround(take->duration() * out.rate)), 2, 240);
    for (int i = 0; i < frames; ++i) {
        if (goOn && !goOn())
            return Error{"the rep was cancelled", {}, {}, {}, ErrorKind::cancelled};
        out.frames.push_back(renderer.frame(
            i / out.rate, [&](double t) { return take->bodyAt(std::min(t, take->duration())); },
            seed + static_cast<unsigned>(i)));
    }
    return out;
}

} // namespace riflesso
