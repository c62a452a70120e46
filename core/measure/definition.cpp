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
    static constexpr std::array<std::size_t, 6> kPoints = {3, 2, 4, 2, 0, 2};
    const std::size_t needed = kPoints[static_cast<std::size_t>(d.kind)];
    const std::string kind = enumName(kMeasureKindNames, d.kind);
    if (d.points.size() != needed)
        return "a measure of kind " + kind + " needs " + std::to_string(needed) + " points, not " +
               std::to_string(d.points.size());
    if (!d.per.empty() && d.per.size() != 2)
        return "\"per\" needs two points, the ends of the segment";
    if (d.metres && (!d.per.empty() || (d.kind != MeasureKind::offset && d.kind != MeasureKind::order)))
        return "only an offset or an order without \"per\" can be in metres";
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

std::string unitOf(const MeasureDefinition& d) {
    switch (d.kind) {
    case MeasureKind::angle:
    case MeasureKind::lean:
        return "°";
    case MeasureKind::interval:
        return "s";
    case MeasureKind::ratio:
        return {};
    case MeasureKind::offset:
    case MeasureKind::order:
        break;
    }
    return d.metres ? "m" : d.per.empty() ? "px" : d.perName;
}

} // namespace riflesso
