#include "core/measure/definition.h"

namespace riflesso {

std::optional<PointSpec> pointFromText(std::string_view text) {
    PointSpec spec;
    while (true) {
        const auto plus = text.find('+');
        const std::string name(text.substr(0, plus));
        if (!isLandmarkName(resolveRole(name, Side::right)) || spec.landmarks.size() == 2)
            return std::nullopt;
        spec.landmarks.push_back(name);
        if (plus == std::string_view::npos)
            return spec;
        text.remove_prefix(plus + 1);
    }
}

std::string problemOf(const MeasureDefinition& d) {
    static constexpr std::array<std::size_t, 15> kPoints = {3, 2, 4, 2, 0, 2, 4, 2, 2, 2, 2, 1, 1, 1, 1};
    const std::size_t needed = kPoints[static_cast<std::size_t>(d.kind)];
    const std::string kind = enumName(kMeasureKindNames, d.kind);
    if (d.kind == MeasureKind::stack) {
        if (d.points.size() < (d.ownLine ? 3u : 2u))
            return d.ownLine ? "a stack against its own line needs three points or more"
                             : "a stack needs two points or more, the support first";
    } else if (d.kind == MeasureKind::turn && d.points.size() == 4) {
        if (!d.direction)
            return "a turn with a second cue needs the \"direction\" along which it leads";
    } else if (needed == 1 && d.points.size() == 2) {
        // against another point
    } else if (d.points.size() != needed)
        return "a measure of kind " + kind + " needs " + std::to_string(needed) + " points, not " +
               std::to_string(d.points.size());
    if (d.kind == MeasureKind::turn && (d.per.size() != 2 || !(d.fullWidth > 0.0) || !(d.fullWidthSigma >= 0.0)))
        return "a turn needs \"full_width\", in lengths of its \"per\" segment";
    if (isOfSpan(d.kind) && d.reduction != Reduction::at)
        return "a measure of kind " + kind + " has no reduction: it is one value already";
    if (d.kind == MeasureKind::dwell && !(d.level > 0.0))
        return "a dwell needs the \"level\" of speed below which it counts";
    if (d.reading == AngleReading::turned && d.kind != MeasureKind::angle && d.kind != MeasureKind::between)
        return "only an angle or a between can be read with its sign";
    if (!d.per.empty() && d.per.size() != 2)
        return "\"per\" needs two points, the ends of the segment";
    const bool lengthwise = d.kind == MeasureKind::offset || d.kind == MeasureKind::order ||
                            d.kind == MeasureKind::stack || d.kind == MeasureKind::speed ||
                            d.kind == MeasureKind::path || d.kind == MeasureKind::stillness ||
                            d.kind == MeasureKind::dwell;
    if (d.metres && (!d.per.empty() || !lengthwise))
        return "only lengths and speeds without \"per\" can be in metres";
    const bool directed = d.kind == MeasureKind::offset || d.kind == MeasureKind::order || d.kind == MeasureKind::lean;
    if (directed && !d.direction)
        return "a measure of kind " + kind + " needs a \"direction\": forward, up or across";
    if (d.kind == MeasureKind::lean && d.direction == Direction::up)
        return "a lean is read against the vertical: its direction is forward or across";
    if (d.direction == Direction::forward && d.view != View::side)
        return "\"forward\" can be seen from the side only";
    if (d.direction == Direction::across && d.view != View::front)
        return "\"across\" can be seen from the front only";
    return {};
}

bool isOfSpan(MeasureKind kind) {
    return kind == MeasureKind::interval || kind == MeasureKind::path || kind == MeasureKind::stillness ||
           kind == MeasureKind::dwell;
}

bool needsUntil(const MeasureDefinition& d) {
    return isOfSpan(d.kind) || d.reduction != Reduction::at;
}

bool isTime(const MeasureDefinition& d) {
    return d.kind == MeasureKind::interval || d.kind == MeasureKind::dwell || d.reduction == Reduction::timeOfMin ||
           d.reduction == Reduction::timeOfMax;
}

bool isAngle(const MeasureDefinition& d) {
    return !isTime(d) && d.reduction != Reduction::shareOfMax &&
           (d.kind == MeasureKind::angle || d.kind == MeasureKind::lean || d.kind == MeasureKind::between ||
            d.kind == MeasureKind::turn || d.kind == MeasureKind::roll);
}

std::string unitOf(const MeasureDefinition& d) {
    if (isTime(d))
        return "s";
    if (d.reduction == Reduction::shareOfMax)
        return {};
    if (isAngle(d))
        return "°";
    if (d.kind == MeasureKind::clock)
        return "h";
    if (d.kind == MeasureKind::ratio || (d.kind == MeasureKind::path && d.aspect != PathAspect::length))
        return {};
    if (d.kind == MeasureKind::speed)
        return (d.metres ? "m" : d.per.empty() ? "px" : d.perName) + "/s";
    return d.metres ? "m" : d.per.empty() ? "px" : d.perName;
}

} // namespace riflesso
