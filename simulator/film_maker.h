#pragma once
/// \file
/// Films by recipe: the simulated athlete before the simulated camera, and a simulated analyst who marks the film.
///
/// Beside NAME.mp4 stand NAME.truth.json (what really happened; only tests read it) and NAME.marks.csv with
/// NAME.pegs.json (what an analyst would have marked by hand: the truth seen with error; the demo library takes these).

#include "core/motion/result.h"
#include "simulator/camera.h"
#include "simulator/lunge.h"
#include "simulator/movement.h"
#include "simulator/renderer.h"

#include <filesystem>
#include <functional>
#include <memory>
#include <string>
#include <vector>

namespace riflesso {

struct FilmRecipe {
    std::string name;
    std::string technique = "fencing-lunge"; ///< a shipped blueprint's id
    Faults sizes{};                          ///< of techniques other than the lunge: faultsOf()
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

/// A take of any technique, the lunge among them.
class SimulatedTake {
public:
    /// Error: a technique or a fault that is not known.
    static Result<SimulatedTake> make(const FilmRecipe& recipe);
    [[nodiscard]] Joints bodyAt(double t) const { return m_lunge ? m_lunge->bodyAt(t) : m_movement->at(t); }
    [[nodiscard]] double duration() const { return m_lunge ? m_lunge->duration() : m_movement->duration(); }
    [[nodiscard]] const std::vector<SimulatedMovement::Rep>& reps() const { return m_reps; }
    /// Instants at which a foot strikes the floor or a hand the ball, s.
    [[nodiscard]] std::vector<double> strikes() const;

private:
    std::shared_ptr<const LungeTake> m_lunge;
    std::shared_ptr<const SimulatedMovement> m_movement;
    std::vector<SimulatedMovement::Rep> m_reps;
};

/// Sets a recipe's faults by name and size, whatever its technique: faultsOf(). Error: a fault that is not known.
Status setFaults(FilmRecipe& recipe, const Faults& faults);

/// Where a camera stands that sees all of a take: from the side, or from the front.
SimulatedCamera cameraFor(const std::string& technique, bool front);

} // namespace riflesso
