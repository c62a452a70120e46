#pragma once
/// \file
/// Films by recipe: the simulated athlete before the simulated camera, and a simulated analyst who marks the film.
///
/// Beside NAME.mp4 stand NAME.truth.json (what really happened; only tests read it) and NAME.marks.csv with
/// NAME.pegs.json (what an analyst would have marked by hand: the truth seen with error; the demo library takes these).

#include "core/motion/result.h"
#include "simulator/camera.h"
#include "simulator/lunge.h"
#include "simulator/renderer.h"

#include <filesystem>
#include <functional>
#include <string>
#include <vector>

namespace riflesso {

struct FilmRecipe {
    std::string name;
    double stature = 1.80;
    Outfit outfit;
    LungeFaults faults;
    double variation = 1.0;
    int reps = 1;
    unsigned seed = 1;
    SimulatedCamera camera;
    double storedRate = 30.0;  ///< Hz in the file: slow motion when below the capture rate
    double begins = 0.0;       ///< s into the movement at which this camera is switched on
    bool sound = false;        ///< with a microphone: landings are heard
    std::vector<double> posts; ///< m along the line of movement: posts between camera and athlete
    double markNoise = 1.5;    ///< px, standard error of the simulated analyst's x and y
};

struct SimulatedFilm {
    std::filesystem::path film, truth, marks, pegs;
    bool fromCache = false;
};

/// Called with frames done and frames in all; return false to cancel.
using FilmProgress = std::function<bool(int, int)>;

/// Makes the film in \p folder unless a film of the same recipe is there already. Uses all cores.
Result<SimulatedFilm> makeFilm(const FilmRecipe& recipe, const std::filesystem::path& folder,
                               const FilmProgress& progress = {});

/// Joints at an instant of the take, for tests and pictures without a film.
class LungeTake {
public:
    explicit LungeTake(const FilmRecipe& recipe);
    [[nodiscard]] Joints bodyAt(double t) const;
    [[nodiscard]] double duration() const { return m_duration; }
    /// Instants at which a foot strikes the floor, s.
    [[nodiscard]] std::vector<double> strikes() const;
    struct Rep {
        double start = 0.0;
        LungeRep rep;
    };
    [[nodiscard]] const std::vector<Rep>& reps() const { return m_reps; }

private:
    SimulatedAthlete m_athlete;
    std::vector<Rep> m_reps;
    double m_duration = 0.0;
};

} // namespace riflesso
