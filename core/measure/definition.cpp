#include "core/measure/definition.h"
#include "core/words/say.h"

#include <algorithm>

namespace riflesso {
namespace {

// How many points a measure takes.
struct Count {
    std::size_t least, most;
};
Count countOf(const MeasureDefinition& d) {
    switch (d.kind) {
    case MeasureKind::angle:
    case MeasureKind::amid:
        return {3, 3};
    case MeasureKind::twist:
        return {3, 4};
    case MeasureKind::ratio:
    case MeasureKind::between:
    case MeasureKind::swing:
        return {4, 4};
    case MeasureKind::lean:
    case MeasureKind::offset:
    case MeasureKind::order:
    case MeasureKind::clock:
    case MeasureKind::roll:
    case MeasureKind::gap:
        return {2, 2};
    case MeasureKind::stack:
        return {d.ownLine ? 3u : 2u, 20};
    case MeasureKind::turn:
        return {2, 4};
    case MeasureKind::facing:
        return {4, 6};
    case MeasureKind::speed:
    case MeasureKind::path:
    case MeasureKind::stillness:
    case MeasureKind::dwell:
        return {1, 2};
    case MeasureKind::cadence:
        return d.aspect == Aspect::rate ? Count{0, 0} : Count{1, 2};
    case MeasureKind::overlap:
        return d.aspect == Aspect::nearest ? Count{2, 3} : Count{0, 0};
    case MeasureKind::smoothness:
        return {1, 3};
    case MeasureKind::contacts:
        return d.aspect == Aspect::first ? Count{2, 2} : Count{1, 4};
    case MeasureKind::recovery:
        return d.aspect == Aspect::steps ? Count{1, 4} : Count{0, 0};
    case MeasureKind::interval:
    case MeasureKind::chain:
    case MeasureKind::symmetry:
    case MeasureKind::spread:
    case MeasureKind::drift:
    case MeasureKind::seen:
    case MeasureKind::effect:
    case MeasureKind::choice:
        break;
    }
    return {0, 0};
}

std::string problemOfPoints(const MeasureDefinition& d, const std::string& kind) {
    const auto [least, most] = countOf(d);
    const auto n = d.points.size();
    if (d.kind == MeasureKind::stack && n < least)
        return d.ownLine ? "a stack against its own line needs three points or more"
                         : "a stack needs two points or more, the support first";
    if (n < least || n > most)
        return "a measure of kind " + kind + " needs " +
               (least == most ? std::to_string(least) : std::to_string(least) + " to " + std::to_string(most)) +
               " points, not " + std::to_string(n);
    if ((d.kind == MeasureKind::turn && n == 3) || (d.kind == MeasureKind::facing && n == 5))
        return "the second cue needs two points";
    if (d.kind == MeasureKind::turn && n == 4 && !d.direction)
        return "a turn with a second cue needs the \"direction\" along which it leads";
    if (hasFullWidth(d.kind) && (d.per.size() != 2 || !(d.fullWidth > 0.0) || !(d.fullWidthSigma >= 0.0)))
        return "a measure of kind " + kind + " needs \"full_width\", in lengths of its \"per\" segment";
    if (d.kind == MeasureKind::amid && d.aspect == Aspect::off && !d.direction)
        return "how far off a line needs the \"direction\" that is above zero";
    if (d.kind == MeasureKind::overlap && n == 3 && !d.direction)
        return "a third point needs the \"direction\" in which the two are in front of it";
    return {};
}

std::string problemOfParts(const MeasureDefinition& d, const std::string& kind) {
    if (const auto ways = aspectsOf(d.kind);
        !ways.empty() && std::find(ways.begin(), ways.end(), d.aspect) == ways.end())
        return "a measure of kind " + kind + " has no aspect " + enumName(kAspectNames, d.aspect);
    if (d.kind == MeasureKind::dwell && !(d.level > 0.0))
        return "a dwell needs the \"level\" of speed below which it counts";
    const bool feet = d.kind == MeasureKind::contacts || (d.kind == MeasureKind::recovery && d.aspect == Aspect::steps);
    if (feet && (!(d.level > 0.0) || !(d.height > 0.0)))
        return "contacts need the \"level\" of speed and the \"height\" below which a foot stands";
    if (d.kind == MeasureKind::recovery && !(d.lo < d.hi))
        return "a recovery needs the band \"lo\" to \"hi\" in which it is back";
    if (d.kind == MeasureKind::cadence && !(d.cycles > 0.0))
        return "\"cycles\" must be positive";
    if (d.kind == MeasureKind::overlap && d.aspect != Aspect::nearest && d.events.size() != 4)
        return "an overlap needs four \"events\": first on, first off, second on, second off";
    if (d.kind == MeasureKind::interval && d.aspect == Aspect::ratio && d.events.size() != 2)
        return "a ratio of times needs two \"events\": the beginning and the end of the time that it is compared with";
    if (d.kind == MeasureKind::chain) {
        if (d.links.size() < 2)
            return "a chain needs two \"links\" or more";
        for (const auto& link : d.links)
            if (link.points.empty() || link.points.size() > 3)
                return "a link is one point, a segment of two or a joint of three";
    }
    const std::size_t others = d.kind == MeasureKind::symmetry ? 2 : isDerived(d.kind) ? 1 : 0;
    if (d.of.size() != others)
        return others == 0 ? "a measure of kind " + kind + " is not read from others"
                           : "a measure of kind " + kind + " needs " + std::to_string(others) +
                                 (others == 1 ? " other measure in \"of\"" : " other measures in \"of\"");
    for (const auto& b : d.base) {
        if (isAcrossReps(b->kind) || (!isAcrossReps(d.kind) && (isDerived(b->kind) || isNoted(b->kind))))
            return "\"" + b->id + "\" is of kind " + enumName(kMeasureKindNames, b->kind) + ", which cannot be read on";
        if (d.kind == MeasureKind::recovery && (isOfSpan(b->kind) || b->reduction != Reduction::at))
            return "\"" + b->id + "\" has no value on a single frame, so nothing can come back";
    }
    if (d.base.size() == 2 && unitOf(*d.base[0]) != unitOf(*d.base[1]))
        return "\"" + d.of[0] + "\" and \"" + d.of[1] + "\" have different units";
    if (d.kind == MeasureKind::seen && d.checkpoint.empty())
        return "a measure of kind seen needs its \"checkpoint\"";
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
    static constexpr std::array path = {Aspect::length, Aspect::straightness, Aspect::detours};
    static constexpr std::array cadence = {Aspect::rate, Aspect::length, Aspect::speed};
    static constexpr std::array overlap = {Aspect::together, Aspect::phase, Aspect::duty, Aspect::nearest};
    static constexpr std::array chain = {Aspect::sequence, Aspect::lag, Aspect::shortestLag, Aspect::braking,
                                         Aspect::inversions};
    static constexpr std::array contacts = {Aspect::count, Aspect::first, Aspect::feet};
    static constexpr std::array recovery = {Aspect::time, Aspect::steps};
    static constexpr std::array symmetry = {Aspect::share, Aspect::difference};
    static constexpr std::array interval = {Aspect::time, Aspect::ratio};
    static constexpr std::array swing = {Aspect::length, Aspect::share};
    static constexpr std::array twist = {Aspect::turned, Aspect::rate};
    static constexpr std::array amid = {Aspect::share, Aspect::off};
    static constexpr std::array effect = {Aspect::worked, Aspect::score};
    switch (kind) {
    case MeasureKind::interval:
        return interval;
    case MeasureKind::effect:
        return effect;
    case MeasureKind::path:
        return path;
    case MeasureKind::cadence:
        return cadence;
    case MeasureKind::overlap:
        return overlap;
    case MeasureKind::chain:
        return chain;
    case MeasureKind::contacts:
        return contacts;
    case MeasureKind::recovery:
        return recovery;
    case MeasureKind::symmetry:
        return symmetry;
    case MeasureKind::swing:
        return swing;
    case MeasureKind::twist:
        return twist;
    case MeasureKind::amid:
        return amid;
    default:
        return {};
    }
}

std::string problemOf(const MeasureDefinition& d) {
    const std::string kind = enumName(kMeasureKindNames, d.kind);
    if (auto p = problemOfPoints(d, kind); !p.empty())
        return p;
    if (auto p = problemOfParts(d, kind); !p.empty())
        return p;
    if (d.reduction != Reduction::at && (isOfSpan(d.kind) || isDerived(d.kind) || isNoted(d.kind)))
        return "a measure of kind " + kind + " has no reduction: it is one value already";
    if (d.reduction == Reduction::justBefore && d.kind == MeasureKind::twist && d.aspect == Aspect::rate)
        return "the rate of a twist cannot be read from the frames before a contact alone";
    if (d.reading == AngleReading::turned && d.kind != MeasureKind::angle && d.kind != MeasureKind::between)
        return "only an angle or a between can be read with its sign";
    if (!d.per.empty() && d.per.size() != 2)
        return "\"per\" needs two points, the ends of the segment";
    static constexpr std::array lengthwise = {
        MeasureKind::offset,    MeasureKind::order, MeasureKind::stack,   MeasureKind::speed,   MeasureKind::path,
        MeasureKind::stillness, MeasureKind::dwell, MeasureKind::cadence, MeasureKind::overlap, MeasureKind::contacts,
        MeasureKind::recovery,  MeasureKind::gap,   MeasureKind::swing,   MeasureKind::amid};
    if (d.metres && (!d.per.empty() || std::find(lengthwise.begin(), lengthwise.end(), d.kind) == lengthwise.end()))
        return "only lengths and speeds without \"per\" can be in metres";
    const bool directed = d.kind == MeasureKind::offset || d.kind == MeasureKind::order || d.kind == MeasureKind::lean;
    if (directed && !d.direction)
        return "a measure of kind " + kind + " needs a \"direction\": forward, up or across";
    if (d.kind == MeasureKind::lean && d.direction == Direction::up)
        return "a lean is read against the vertical: its direction is forward or across";
    const bool fromAfar = d.view == View::above || d.view == View::below;
    if (d.direction == Direction::forward && d.view != View::side && !fromAfar)
        return "\"forward\" can be seen from the side, from above or from below only";
    if (d.direction == Direction::across && d.view == View::side)
        return "\"across\" cannot be seen from the side";
    const bool upright = d.direction == Direction::up || d.kind == MeasureKind::lean || d.kind == MeasureKind::clock ||
                         d.kind == MeasureKind::roll || d.kind == MeasureKind::contacts ||
                         (d.kind == MeasureKind::stack && !d.ownLine);
    if (fromAfar && upright)
        return "from above and from below nothing shows what is upright";
    return {};
}

bool hasFullWidth(MeasureKind kind) {
    return kind == MeasureKind::turn || kind == MeasureKind::facing || kind == MeasureKind::twist;
}

bool isOfSpan(MeasureKind kind) {
    switch (kind) {
    case MeasureKind::interval:
    case MeasureKind::path:
    case MeasureKind::stillness:
    case MeasureKind::dwell:
    case MeasureKind::cadence:
    case MeasureKind::overlap:
    case MeasureKind::chain:
    case MeasureKind::smoothness:
    case MeasureKind::contacts:
    case MeasureKind::recovery:
    case MeasureKind::swing:
        return true;
    default:
        return false;
    }
}

bool isDerived(MeasureKind kind) {
    return kind == MeasureKind::recovery || kind == MeasureKind::symmetry || isAcrossReps(kind);
}

bool isAcrossReps(MeasureKind kind) {
    return kind == MeasureKind::spread || kind == MeasureKind::drift;
}

bool isNoted(MeasureKind kind) {
    return kind == MeasureKind::seen || kind == MeasureKind::effect || kind == MeasureKind::choice;
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
    switch (d.kind) {
    case MeasureKind::interval:
        return d.aspect != Aspect::ratio;
    case MeasureKind::dwell:
        return true;
    case MeasureKind::chain:
        return d.aspect == Aspect::lag || d.aspect == Aspect::shortestLag;
    case MeasureKind::contacts:
        return d.aspect == Aspect::first;
    case MeasureKind::recovery:
        return d.aspect == Aspect::time;
    case MeasureKind::symmetry:
        return d.aspect == Aspect::difference && !d.base.empty() && isTime(*d.base.front());
    case MeasureKind::spread:
    case MeasureKind::drift:
        return !d.base.empty() && isTime(*d.base.front());
    default:
        return d.reduction == Reduction::timeOfMin || d.reduction == Reduction::timeOfMax;
    }
}

bool isAngle(const MeasureDefinition& d) {
    if (isTime(d) || d.reduction == Reduction::shareOfMax)
        return false;
    switch (d.kind) {
    case MeasureKind::angle:
    case MeasureKind::lean:
    case MeasureKind::between:
    case MeasureKind::turn:
    case MeasureKind::roll:
    case MeasureKind::facing:
        return true;
    case MeasureKind::twist:
        return d.aspect == Aspect::turned;
    case MeasureKind::symmetry:
        return d.aspect == Aspect::difference && !d.base.empty() && isAngle(*d.base.front());
    case MeasureKind::spread:
    case MeasureKind::drift:
        return !d.base.empty() && isAngle(*d.base.front());
    default:
        return false;
    }
}

std::string unitOf(const MeasureDefinition& d) {
    if (isTime(d))
        return "s";
    if (isAngle(d))
        return "°";
    if (d.reduction == Reduction::shareOfMax)
        return {};
    const std::string length = d.metres ? "m" : d.per.empty() ? "px" : d.perName;
    switch (d.kind) {
    case MeasureKind::clock:
        return "h";
    case MeasureKind::speed:
        return length + "/s";
    case MeasureKind::offset:
    case MeasureKind::order:
    case MeasureKind::stack:
    case MeasureKind::stillness:
    case MeasureKind::gap:
        return length;
    case MeasureKind::path:
    case MeasureKind::swing:
        return d.aspect == Aspect::length ? length : "";
    case MeasureKind::cadence:
        return d.aspect == Aspect::rate ? "/min" : d.aspect == Aspect::length ? length : length + "/s";
    case MeasureKind::twist:
        return "°/s";
    case MeasureKind::amid:
        return d.aspect == Aspect::off ? length : "";
    case MeasureKind::overlap:
        return d.aspect == Aspect::nearest ? length : "";
    case MeasureKind::effect:
        return d.aspect == Aspect::score ? d.perName : "";
    case MeasureKind::symmetry:
        return d.aspect == Aspect::share ? "%" : d.base.empty() ? "" : unitOf(*d.base.front());
    case MeasureKind::spread:
    case MeasureKind::drift:
        return d.base.empty() ? "" : unitOf(*d.base.front());
    default:
        return {};
    }
}

} // namespace riflesso
