#pragma once
/// \file
/// Repeat marking: which frames are shown again, and what two markings say of one another.

#include "casebook/analysis.h"

#include <string>
#include <vector>

namespace riflesso {

/// Frames of a take to be marked again: up to \p again that a hand has marked (three landmarks at least), hidden among
/// \p others that it has not, in an order that \p seed shuffles. Error: no frame has been marked by hand.
Result<RepeatMarking> planRepeat(const CaseData& data, const Blueprint& blueprint, Id take, const std::string& analyst,
                                 Day day, unsigned seed, int again = 10, int others = 4);

/// Landmarks still to be placed on a frame of a repeat marking, in guided order.
std::vector<LandmarkName> openAt(const RepeatMarking& repeat, FrameIndex frame);
/// The first frame on which something is open; empty when it is done.
std::optional<FrameIndex> nextOpenFrame(const RepeatMarking& repeat);

/// Two markings of the same frames, measure by measure.
struct MeasureAgreement {
    std::string measure; ///< id
    std::string unit;
    int frames = 0;
    std::optional<Reliability> reliability;
    std::optional<BlandAltman> limits;
    std::string why; ///< when it could not be computed
};
std::vector<MeasureAgreement> agreementByMeasure(const Blueprint& blueprint, const Take& take, const TrackSet& first,
                                                 const TrackSet& again);

} // namespace riflesso
