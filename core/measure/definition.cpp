#include "core/measure/definition.h"

#include "core/measure/kinds/kind.h"
#include "core/words/say.h"

#include <algorithm>

namespace riflesso {
namespace {

std::string problemOfPoints(const MeasureDefinition& d, const std::string& kind) {
    const KindSpec& spec = specOf(d.kind);
    const auto [least, most] = spec.pointsOf ? spec.pointsOf(d) : spec.points;
    const auto n = d.points.size();
    if (spec.tooFewPoints && n < least)
        return spec.tooFewPoints(d);
    if (n < least || n > most)
        return "a measure of kind " + kind + " needs " +
               (least == most ? std::to_string(least) : std::to_string(least) + " to " + std::to_string(most)) +
               " points, not " + std::to_string(n);
    return {};
}

// What it is read from besides points: other measures, a full width, a way to read it.
std::string problemOfParts(const MeasureDefinition& d, const std::string& kind) {
    const KindSpec& spec = specOf(d.kind);
    if (!spec.aspects.empty() && std::find(spec.aspects.begin(), spec.aspects.end(), d.aspect) == spec.aspects.end())
        return "a measure of kind " + kind + " has no aspect " + enumName(kAspectNames, d.aspect);
    if (auto own = spec.problem ? spec.problem(d) : std::string(); !own.empty())
        return own;
    if (spec.fullWidth && (d.per.size() != 2 || !(d.fullWidth > 0.0) || !(d.fullWidthSigma >= 0.0)))
        return "a measure of kind " + kind + " needs \"full_width\", in lengths of its \"per\" segment";
    if (d.of.size() != spec.others)
        return spec.others == 0 ? "a measure of kind " + kind + " is not read from others"
                                : "a measure of kind " + kind + " needs " + std::to_string(spec.others) +
                                      (spec.others == 1 ? " other measure in \"of\"" : " other measures in \"of\"");
    for (const auto& b : d.base)
        if (isAcrossReps(b->kind) || (!spec.acrossReps && (isDerived(b->kind) || isNoted(b->kind))))
            return "\"" + b->id + "\" is of kind " + enumName(kMeasureKindNames, b->kind) + ", which cannot be read on";
    if (d.base.size() == 2 && unitOf(*d.base[0]) != unitOf(*d.base[1]))
        return "\"" + d.of[0] + "\" and \"" + d.of[1] + "\" have different units";
    return {};
}

} // namespace

bool serves(View camera, View measure) {
    return camera == measure || (camera == View::rear && measure == View::front) ||
           (camera == View::front && measure == View::rear);
}

std::string refusedByView(const MeasureDefinition& d) {
    return fill(say("measure", "needs a view %1"), {fromWhere(d.view)});
}

std::string refusedByDirection(Direction direction) {
    return fill(say("measure", "this view cannot show the direction \"%1\""),
                {word(enumName(kDirectionNames, direction))});
}

std::string fromWhere(View view) {
    switch (view) {
    case View::side:
        return say("advice", "from the side");
    case View::front:
        return say("advice", "from the front");
    case View::rear:
        return say("advice", "from behind");
    case View::above:
        return say("advice", "from above");
    case View::below:
        return say("advice", "from below");
    }
    return {};
}

Facing facingIn(View view, Facing asked) {
    if (view == View::front)
        return Facing::camera;
    if (view == View::rear)
        return Facing::away;
    return asked == Facing::left ? Facing::left : Facing::right;
}

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

std::string textOf(const PointSpec& point) {
    return point.landmarks.empty()       ? std::string()
           : point.landmarks.size() == 1 ? point.landmarks[0]
                                         : point.landmarks[0] + "+" + point.landmarks[1];
}

std::span<const Aspect> aspectsOf(MeasureKind kind) {
    return specOf(kind).aspects;
}

std::string problemFromAfar(const MeasureDefinition& d) {
    return d.view == View::above || d.view == View::below ? "from above and from below nothing shows what is upright"
                                                          : "";
}

std::string problemOf(const MeasureDefinition& d) {
    const std::string kind = enumName(kMeasureKindNames, d.kind);
    const KindSpec& spec = specOf(d.kind);
    if (auto p = problemOfPoints(d, kind); !p.empty())
        return p;
    if (auto p = problemOfParts(d, kind); !p.empty())
        return p;
    if (d.reduction != Reduction::at && (spec.ofSpan || spec.derived || spec.noted))
        return "a measure of kind " + kind + " has no reduction: it is one value already";
    if (d.reading == AngleReading::turned && !spec.signedAngle)
        return "only an angle or a between can be read with its sign";
    if (!d.per.empty() && d.per.size() != 2)
        return "\"per\" needs two points, the ends of the segment";
    if (d.metres && (!d.per.empty() || !spec.lengthwise))
        return "only lengths and speeds without \"per\" can be in metres";
    if (spec.directed && !d.direction)
        return "a measure of kind " + kind + " needs a \"direction\": forward, up or across";
    const bool fromAfar = d.view == View::above || d.view == View::below;
    if (d.direction == Direction::forward && d.view != View::side && !fromAfar)
        return "\"forward\" can be seen from the side, from above or from below only";
    if (d.direction == Direction::across && d.view == View::side)
        return "\"across\" cannot be seen from the side";
    return spec.upright || d.direction == Direction::up ? problemFromAfar(d) : std::string();
}

bool hasFullWidth(MeasureKind kind) {
    return specOf(kind).fullWidth;
}

bool isOfSpan(MeasureKind kind) {
    return specOf(kind).ofSpan;
}

bool isDerived(MeasureKind kind) {
    return specOf(kind).derived;
}

bool isAcrossReps(MeasureKind kind) {
    return specOf(kind).acrossReps;
}

bool isNoted(MeasureKind kind) {
    return specOf(kind).noted;
}

std::vector<PointSpec> pointsOf(const MeasureDefinition& d) {
    std::vector<PointSpec> all = d.points;
    all.insert(all.end(), d.per.begin(), d.per.end());
    for (const auto& link : d.links)
        all.insert(all.end(), link.points.begin(), link.points.end());
    return all;
}

std::vector<PositionId> positionsOf(const MeasureDefinition& d) {
    std::vector<PositionId> all = d.events;
    for (const auto& id : {d.at, d.until})
        if (!id.empty())
            all.push_back(id);
    return all;
}

bool needsUntil(const MeasureDefinition& d) {
    return isOfSpan(d.kind) || (d.reduction != Reduction::at && d.reduction != Reduction::justBefore);
}

bool isTime(const MeasureDefinition& d) {
    const QuantityKind q = quantityKindOf(d);
    return q == QuantityKind::time || (q == QuantityKind::asBase && !d.base.empty() && isTime(*d.base.front()));
}

bool isAngle(const MeasureDefinition& d) {
    const QuantityKind q = quantityKindOf(d);
    return q == QuantityKind::angle || (q == QuantityKind::asBase && !d.base.empty() && isAngle(*d.base.front()));
}

std::string unitOf(const MeasureDefinition& d) {
    const std::string length = d.metres ? "m" : d.per.empty() ? "px" : d.perName;
    switch (quantityKindOf(d)) {
    case QuantityKind::number:
        break;
    case QuantityKind::angle:
        return "°";
    case QuantityKind::angularSpeed:
        return "°/s";
    case QuantityKind::hours:
        return "h";
    case QuantityKind::time:
        return "s";
    case QuantityKind::perMinute:
        return "/min";
    case QuantityKind::length:
        return length;
    case QuantityKind::speed:
        return length + "/s";
    case QuantityKind::percent:
        return "%";
    case QuantityKind::score:
        return d.perName;
    case QuantityKind::asBase:
        return d.base.empty() ? std::string() : unitOf(*d.base.front());
    }
    return {};
}

} // namespace riflesso
