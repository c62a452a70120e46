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
        return least == most ? fill(say("problem", "a measure of kind %1 needs %2 points, not %3"),
                                    {kind, std::to_string(least), std::to_string(n)})
                             : fill(say("problem", "a measure of kind %1 needs %2 to %3 points, not %4"),
                                    {kind, std::to_string(least), std::to_string(most), std::to_string(n)});
    return {};
}

// What it is read from besides points: other measures, a full width, a way to read it.
std::string problemOfParts(const MeasureDefinition& d, const std::string& kind) {
    const KindSpec& spec = specOf(d.kind);
    if (!spec.aspects.empty() && std::find(spec.aspects.begin(), spec.aspects.end(), d.aspect) == spec.aspects.end())
        return fill(say("problem", "a measure of kind %1 has no aspect %2"),
                    {kind, word(enumName(kAspectNames, d.aspect))});
    if (auto own = spec.problem ? spec.problem(d) : std::string(); !own.empty())
        return own;
    if (spec.fullWidth && (d.per.size() != 2 || !(d.fullWidth > 0.0) || !(d.fullWidthSigma >= 0.0)))
        return fill(say("problem", "a measure of kind %1 needs “full_width”, in lengths of its “per” segment"), {kind});
    if (d.of.size() != spec.others)
        return fill(spec.others == 0 ? say("problem", "a measure of kind %1 is not read from others")
                                     : sayCount("problem", "a measure of kind %1 needs %n other measures in “of”",
                                                "a measure of kind %1 needs %n other measure in “of”", spec.others),
                    {kind});
    for (const auto& b : d.base)
        if (isAcrossReps(b->kind) || (!spec.acrossReps && (isDerived(b->kind) || isNoted(b->kind))))
            return fill(say("problem", "“%1” is of kind %2, which cannot be read on"),
                        {b->id, enumName(kMeasureKindNames, b->kind)});
    if (d.base.size() == 2 && unitOf(*d.base[0]) != unitOf(*d.base[1]))
        return fill(say("problem", "“%1” and “%2” have different units"), {d.of[0], d.of[1]});
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
    return fill(say("measure", "this view cannot show the direction “%1”"),
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
    return d.view == View::above || d.view == View::below
               ? say("problem", "from above and from below nothing shows what is upright")
               : std::string();
}

std::string problemOf(const MeasureDefinition& d) {
    const std::string kind = enumName(kMeasureKindNames, d.kind);
    const KindSpec& spec = specOf(d.kind);
    if (auto p = problemOfPoints(d, kind); !p.empty())
        return p;
    if (auto p = problemOfParts(d, kind); !p.empty())
        return p;
    if (d.reduction != Reduction::at && (spec.ofSpan || spec.derived || spec.noted))
        return fill(say("problem", "a measure of kind %1 has no reduction: it is one value already"), {kind});
    if (d.reading == AngleReading::turned && !spec.signedAngle)
        return say("problem", "only an angle or a between can be read with its sign");
    if (!d.per.empty() && d.per.size() != 2)
        return say("problem", "“per” needs two points, the ends of the segment");
    if (d.metres && (!d.per.empty() || !spec.lengthwise))
        return say("problem", "only lengths and speeds without “per” can be in metres");
    if (spec.directed && !d.direction)
        return fill(say("problem", "a measure of kind %1 needs a “direction”: forward, up or across"), {kind});
    const bool fromAfar = d.view == View::above || d.view == View::below;
    if (d.direction == Direction::forward && d.view != View::side && !fromAfar)
        return say("problem", "“forward” can be seen from the side, from above or from below only");
    if (d.direction == Direction::across && d.view == View::side)
        return say("problem", "“across” cannot be seen from the side");
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
