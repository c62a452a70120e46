#pragma once
/// \file
/// The same moment of the movement: phase registration on shared key positions.

#include "core/measure/evaluate.h"
#include "core/technique/blueprint.h"

#include <optional>
#include <vector>

namespace riflesso {

/// Piecewise-linear map between the frames of a rep and phase, where key position i of the shared ones lies at phase i.
/// A position that comes out of order in this rep (a fault of timing can swap two) cannot carry a map of time that
/// runs one way only; it is left out and listed in `skipped`.
class PhaseMap {
public:
    /// \p order: ids in the order of the movement; only those placed in \p positions take part.
    PhaseMap(const std::vector<PositionId>& order, const Positions& positions);

    [[nodiscard]] bool usable() const { return m_knots.size() >= 2; }
    /// Phase of a frame, in places of \p order (2.5 = half way from the third to the fourth); clamped to the ends.
    [[nodiscard]] double phase(double frame) const;
    /// Frame at a phase, not rounded; clamped.
    [[nodiscard]] double frame(double phase) const;
    [[nodiscard]] double firstPhase() const { return m_knots.empty() ? 0.0 : m_knots.front().phase; }
    [[nodiscard]] double lastPhase() const { return m_knots.empty() ? 0.0 : m_knots.back().phase; }
    [[nodiscard]] const std::vector<PositionId>& skipped() const { return m_skipped; }

private:
    struct Knot {
        double phase;
        double frame;
    };
    std::vector<Knot> m_knots;
    std::vector<PositionId> m_skipped;
};

/// One point of a curve against phase.
struct PhasePoint {
    double phase = 0.0;
    double value = 0.0;
    double spread = 0.0; ///< SD over reps, 0 for one rep
};

/// A measure's curve over one or more reps, sampled at \p samples even steps of phase. Points that no rep covers are
/// missing. `series` and `maps` belong together by index.
std::vector<PhasePoint> phaseCurve(const std::vector<std::vector<SeriesSample>>& series,
                                   const std::vector<PhaseMap>& maps, double from, double to, int samples);

} // namespace riflesso
