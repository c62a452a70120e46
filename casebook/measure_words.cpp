// Names, words and an example of every kind of measure.

#include "casebook/measure_drawing.h"

#include "casebook/drawing.h"
#include "casebook/text.h"

#include <QCoreApplication>

#include <algorithm>

namespace riflesso {

namespace {
// Collected under the namespace's name, as nothing else is said of the context.
QString tr(const char* text) {
    return QCoreApplication::translate("riflesso", text);
}
QString ofKind(const char* marked) {
    return QCoreApplication::translate("MeasureDrawing", marked);
}
} // namespace

QStringList pointDuties(const MeasureDefinition& d) {
    switch (d.kind) {
    case MeasureKind::angle:
        return {tr("end of one leg"), tr("the vertex"), tr("end of the other leg")};
    case MeasureKind::lean:
        return {tr("lower end"), tr("upper end")};
    case MeasureKind::between:
        return {tr("first: from"), tr("first: to"), tr("second: from"), tr("second: to")};
    case MeasureKind::clock:
        return {tr("middle of the dial"), tr("end of the hand")};
    case MeasureKind::ratio:
        return {tr("a: from"), tr("a: to"), tr("b: from"), tr("b: to")};
    case MeasureKind::offset:
        return {tr("the point"), tr("against which point")};
    case MeasureKind::order:
        return {tr("should lead"), tr("should follow")};
    case MeasureKind::stack:
        return {tr("the support"), tr("over it")};
    case MeasureKind::turn:
        return {tr("one end of the width"), tr("other end"), tr("cue: ahead"), tr("cue: behind")};
    case MeasureKind::roll:
        return {tr("first"), tr("second: above zero when higher")};
    case MeasureKind::facing:
        return {tr("one shoulder"), tr("other shoulder"), tr("the athlete"),
                tr("the other"),    tr("cue: front"),     tr("cue: back")};
    case MeasureKind::gap:
        return {tr("the athlete"), tr("the other")};
    case MeasureKind::speed:
    case MeasureKind::path:
    case MeasureKind::stillness:
    case MeasureKind::dwell:
        return {tr("the point that moves"), tr("against which point (may be left out)")};
    case MeasureKind::cadence:
        if (d.aspect == Aspect::rate) // its positions say it
            return {};
        return {tr("the point that moves"), tr("against which point (may be left out)")};
    case MeasureKind::overlap:
        if (d.aspect != Aspect::nearest)
            return {};
        return {tr("one"), tr("the other"), tr("in front of which point (may be left out)")};
    case MeasureKind::smoothness:
        return {tr("a point"), tr("or a segment"), tr("or a joint")};
    case MeasureKind::swing:
        return {tr("the end that travels"), tr("what it travels round"), tr("body axis: low"), tr("body axis: high")};
    case MeasureKind::twist:
        return {tr("axis: low"), tr("axis: high"), tr("the edge, off the axis"),
                tr("the other edge (may be left out)")};
    case MeasureKind::amid:
        return {tr("the point"), tr("the first of the two"), tr("the second")};
    case MeasureKind::contacts:
    case MeasureKind::recovery:
        return {tr("a foot")};
    default:
        return {};
    }
}

QString kindTitle(MeasureKind kind) {
    static constexpr std::array titles = {QT_TRANSLATE_NOOP("MeasureDrawing", "Angle at a joint"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Lean"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Ratio of lengths"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Offset"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Time between"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Who leads"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Between two segments"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Hand of a clock"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Stacked"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Turn"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Tilt"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Speed"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Path"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Stillness"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Pause"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Cadence"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Overlap"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Chain"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Smoothness"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Contacts"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Recovery"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Left and right"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Spread"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Drift"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Gap"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Facing"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Seen by eye"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Did it work"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Right choice"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Swing"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Twist"),
                                          QT_TRANSLATE_NOOP("MeasureDrawing", "Between two")};
    static_assert(titles.size() == kMeasureKindNames.size());
    return ofKind(titles[static_cast<std::size_t>(kind)]);
}

QString kindWords(MeasureKind kind) {
    static constexpr std::array words = {
        QT_TRANSLATE_NOOP("MeasureDrawing", "How far a joint is bent or open."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "A segment against the vertical."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "One distance in lengths of another."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How far one point is from another in one direction."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "From one key position to another, on the real clock."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Which of two points is ahead, and by how much."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Two segments against one another."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "A direction read like a clock face."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Whether points stand over their support."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How far shoulders or hips are turned, by their narrowing."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "A left-right line against the horizontal."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How fast a point moves; its peak; what is left at contact."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Length, straightness and detours of a way."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How far a point wanders while it should rest."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How long a point stays slower than a level."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Cycles a minute, distance a cycle, and their product."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How left and right share the cycle; how near hands come."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Order, lags and braking of the parts' speed peaks."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "One swing or a halting one."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Landings, which foot first, one foot or two."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How long, or how many steps, until it is back."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "One side against the other, which is the reference."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How much the athlete varies, without marking errors."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Change from the first rep to the last."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How far two people are apart."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How squarely one faces another."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "A checkpoint judged on the frame: yes, partly, no."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Whether the rep did its work."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "Whether it was right for the situation."),
        QT_TRANSLATE_NOOP("MeasureDrawing", "How far an end travels round the body: way, share of a full turn."),
        QT_TRANSLATE_NOOP("MeasureDrawing",
                          "Turn of a limb or an implement about its own long axis, or how fast it turns."),
        QT_TRANSLATE_NOOP("MeasureDrawing",
                          "Where a point lies between two others: share of the way, or how far off it.")};
    static_assert(words.size() == kMeasureKindNames.size());
    return ofKind(words[static_cast<std::size_t>(kind)]);
}

MeasureDefinition exampleOf(MeasureKind kind) {
    MeasureDefinition d;
    d.kind = kind;
    d.id = "new";
    d.name = kindTitle(kind).toStdString();
    const auto points = [](std::initializer_list<const char*> names) {
        std::vector<PointSpec> out;
        for (const char* n : names)
            out.push_back(*pointFromText(n));
        return out;
    };
    const auto shin = points({"lead_knee", "lead_ankle"});
    if (const auto ways = aspectsOf(kind); !ways.empty())
        d.aspect = ways.front();
    switch (kind) {
    case MeasureKind::angle:
        d.points = points({"lead_hip", "lead_knee", "lead_ankle"});
        break;
    case MeasureKind::lean:
        d.points = points({"lead_hip+rear_hip", "neck"});
        d.direction = Direction::forward;
        break;
    case MeasureKind::between:
        d.points = points({"rear_elbow", "rear_wrist", "lead_elbow", "lead_wrist"});
        break;
    case MeasureKind::clock:
        d.points = points({"lead_shoulder", "lead_wrist"});
        break;
    case MeasureKind::ratio:
        d.points = points({"lead_ankle", "rear_ankle", "rear_knee", "rear_ankle"});
        break;
    case MeasureKind::offset:
        d.points = points({"lead_knee", "lead_toe"});
        d.direction = Direction::forward;
        break;
    case MeasureKind::order:
        d.points = points({"lead_wrist", "lead_knee"});
        d.direction = Direction::forward;
        break;
    case MeasureKind::stack:
        d.points = points({"lead_ankle+rear_ankle", "lead_hip+rear_hip", "neck", "head"});
        break;
    case MeasureKind::turn:
        d.points = points({"lead_shoulder", "rear_shoulder"});
        d.per = points({"lead_hip+rear_hip", "neck"});
        d.perName = "trunks";
        d.fullWidth = 0.78;
        d.fullWidthSigma = 0.06;
        break;
    case MeasureKind::roll:
        d.points = points({"rear_shoulder", "lead_shoulder"});
        break;
    case MeasureKind::speed:
    case MeasureKind::path:
    case MeasureKind::smoothness:
        d.points = points({"lead_wrist"});
        break;
    case MeasureKind::stillness:
        d.points = points({"head"});
        break;
    case MeasureKind::swing:
        d.points = points({"lead_wrist", "lead_shoulder", "lead_hip+rear_hip", "neck"});
        break;
    case MeasureKind::twist:
        d.points = points({"lead_hip+rear_hip", "neck", "lead_shoulder", "rear_shoulder"});
        d.per = points({"lead_hip+rear_hip", "neck"});
        d.perName = "trunks";
        d.fullWidth = 0.78;
        d.fullWidthSigma = 0.06;
        break;
    case MeasureKind::amid:
        d.points = points({"lead_hip+rear_hip", "rear_ankle", "lead_ankle"});
        break;
    case MeasureKind::dwell:
        d.points = points({"lead_wrist"});
        d.per = shin;
        d.perName = "shins";
        d.level = 0.2;
        break;
    case MeasureKind::overlap:
        d.events = {"", "", "", ""};
        break;
    case MeasureKind::chain:
        d.links = {{"hips", points({"lead_hip+rear_hip"})},
                   {"elbow", points({"lead_elbow"})},
                   {"hand", points({"lead_hand"})}};
        break;
    case MeasureKind::contacts:
        d.points = points({"lead_toe", "rear_toe"});
        d.per = shin;
        d.perName = "shins";
        d.level = 2.0;
        d.height = 0.3;
        break;
    case MeasureKind::recovery:
        d.of = {""};
        d.lo = -5;
        d.hi = 5;
        break;
    case MeasureKind::symmetry: {
        d.of = {"", ""};
        auto lead = exampleOf(MeasureKind::angle), rear = lead;
        rear.points = points({"rear_hip", "rear_knee", "rear_ankle"});
        d.base = {std::make_shared<const MeasureDefinition>(lead), std::make_shared<const MeasureDefinition>(rear)};
        break;
    }
    case MeasureKind::spread:
    case MeasureKind::drift:
        d.of = {""};
        break;
    case MeasureKind::gap:
        d.points = points({"neck", "other_neck"});
        break;
    case MeasureKind::facing:
        d.points = points({"lead_shoulder", "rear_shoulder", "neck", "other_neck"});
        d.per = points({"lead_hip+rear_hip", "neck"});
        d.perName = "trunks";
        d.fullWidth = 0.78;
        d.fullWidthSigma = 0.06;
        break;
    default:
        break;
    }
    return d;
}

} // namespace riflesso
