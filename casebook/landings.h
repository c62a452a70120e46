#pragma once
/// \file
/// Where the effect came down: reps against the zone of their take, by situation and by stage.

#include "casebook/analysis.h"
#include "core/statistics/scatter.h"

#include <optional>
#include <string>
#include <vector>

namespace riflesso {

/// A rep's landing against the middle of its take's zone: x to the right, y UP in the calibrated picture; m when
/// calibrated in metres, else px.
struct LandedRep {
    Id rep = 0;
    FrameIndex frame{};
    Eigen::Vector2d at{0.0, 0.0};
    double radius = 0.0; ///< of the zone, same unit
    std::string situation, stage;
    [[nodiscard]] bool inside() const { return at.norm() <= radius; }
};

struct LandingGroup {
    std::string name;
    std::vector<LandedRep> reps;
    int inside = 0;
    Interval share;                       ///< Wilson, 95 %
    Eigen::Vector2d bias{0.0, 0.0};       ///< mean
    Eigen::Vector2d uBias{0.0, 0.0};      ///< standard errors of the mean; 0 with one rep
    std::optional<SpreadEllipse> ellipse; ///< 68 %
};

struct Landings {
    bool metric = false; ///< all of them are in metres; false: px, or nothing to show
    LandingGroup all;
    std::vector<LandingGroup> bySituation, byStage; ///< those with a rep
};

/// Of the judged set (the newest one while nothing is measured). A take that is calibrated in metres is never mixed
/// with one that is not: the larger lot is shown.
Landings landingsOf(const CaseData& data, const Blueprint& blueprint, const Analysis& analysis);

/// "5 of 9 in the zone (27 to 81 %); on the average 12 cm to the left and 4 cm low."
std::string landingWords(const LandingGroup& group, bool metric);

} // namespace riflesso
