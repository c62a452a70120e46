#include "core/measure/kinds/kind.h"

namespace riflesso {

// In the order of MeasureKind. Pointers, not copies: the specs are made in files of their own, in no fixed order.
static constexpr std::array<const KindSpec*, kMeasureKindNames.size()> kKinds = {
    &kAngle,   &kLean,   &kRatio,      &kOffset,   &kInterval, &kOrder,     &kBetween, &kClock,
    &kStack,   &kTurn,   &kRoll,       &kSpeed,    &kPath,     &kStillness, &kDwell,   &kCadence,
    &kOverlap, &kChain,  &kSmoothness, &kContacts, &kRecovery, &kSymmetry,  &kSpread,  &kDrift,
    &kGap,     &kFacing, &kSeen,       &kEffect,   &kChoice,   &kSwing,     &kTwist,   &kAmid};

const KindSpec& specOf(MeasureKind kind) {
    return *kKinds[static_cast<std::size_t>(kind)];
}

QuantityKind quantityKindOf(const MeasureDefinition& d) {
    if (d.reduction == Reduction::timeOfMin || d.reduction == Reduction::timeOfMax)
        return QuantityKind::time;
    if (d.reduction == Reduction::shareOfMax)
        return QuantityKind::number;
    const KindSpec& spec = specOf(d.kind);
    return spec.quantityOf ? spec.quantityOf(d) : spec.quantity;
}

} // namespace riflesso
