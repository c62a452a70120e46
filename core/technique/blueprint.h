#pragma once
/// \file
/// The blueprint: what good looks like, how to see it, what goes wrong, why, and what to do. A plain value; reading it
/// from a file is the library's work.

#include "core/measure/definition.h"

#include <array>
#include <limits>
#include <map>
#include <optional>
#include <span>
#include <string>
#include <vector>

namespace riflesso {

/// A quantity over time by which a key position is recognised.
enum class SeriesKind { place, speed, angle, distance };
inline constexpr std::array<std::string_view, 4> kSeriesKindNames = {"place", "speed", "angle", "distance"};

/// place: of a point along `direction`, px; speed: of a point, along `direction` or in all, px/s, both against a second
/// point when there is one; angle: at the second
/// of three points, degrees; distance: of two points, px.
struct SeriesSpec {
    SeriesKind kind = SeriesKind::place;
    std::vector<PointSpec> points;
    std::optional<Direction> direction;
};

/// What the series does at the key position.
enum class RuleKind {
    begins,  ///< starts to change after rest, smoothly, as limbs do
    ends,    ///< comes to rest, smoothly
    leaves,  ///< breaks away at once, as a foot from the floor
    lands,   ///< stops at once
    highest, ///< is greatest
    lowest,  ///< is least
    crosses, ///< passes a level
    strike   ///< is heard; the series says where to listen: round its highest value
};
inline constexpr std::array<std::string_view, 8> kRuleKindNames = {"begins",  "ends",   "leaves",  "lands",
                                                                   "highest", "lowest", "crosses", "strike"};

/// How the program proposes a key position. Looked for between two other key positions, or the ends of the rep.
struct PositionRule {
    RuleKind kind = RuleKind::highest;
    SeriesSpec series;
    bool falling = false; ///< begins, ends, leaves, lands, crosses: the series goes down instead of up
    double level = 0.5;   ///< crosses: share of the way from the series' start to its end in the window
    std::string after;    ///< id of the position before which it cannot be; empty = the rep's start
    std::string before;   ///< id of the position after which it cannot be; empty = the rep's end
    int frames = 0;       ///< added to the frame found: "the last quiet frame" is one before the first that moves
};

/// Something that is judged by eye on the frame of a key position.
struct Checkpoint {
    std::string id;
    std::string name;     ///< "Eyes on the target"
    std::string question; ///< "Do the eyes stay on the target until the hit?"
    std::string at;       ///< key position
};

/// Where a hidden landmark can be read from two others, by a geometry that is learnt from frames on which all three
/// are seen. Roles.
struct ProxyRule {
    std::string landmark, from, to;
};

/// A defined instant of a rep. Its place in the blueprint's list is its order and its key (1 to 9).
struct KeyPosition {
    PositionId id;
    std::string name;  ///< "Front foot leaves"
    std::string words; ///< how to recognise the frame
    std::optional<PositionRule> rule{};
    std::string picture{}; ///< a small JPEG or PNG in base 64, "data:image/jpeg;base64,…"; may be empty
};

/// Where a target comes from.
enum class TargetSource { model, literature, commonPractice, coach };
inline constexpr std::array<std::string_view, 4> kTargetSourceNames = {"model", "literature", "common practice",
                                                                       "coach"};

/// What good is, for one measure. From a model: mean ± k·SD of its reps, never narrower than ± floor.
/// Otherwise lo..hi; an end left open is ±infinity, and `floor` is then the unit of severity.
struct Target {
    TargetSource source = TargetSource::model;
    std::string school;      ///< empty: common to all schools
    std::string situation{}; ///< empty: for all
    std::string note;        ///< citation, or why
    double k = 2.0;
    double floor = 0.0;
    double lo = -std::numeric_limits<double>::infinity();
    double hi = std::numeric_limits<double>::infinity();
};

struct BlueprintMeasure {
    MeasureDefinition definition;
    std::vector<Target> targets;
    std::string tooLow;  ///< what a value below the band means, in the coach's words
    std::string tooHigh; ///< above
};

/// low: the measure is below its band; high: above.
enum class Deviance { low, high };
inline constexpr std::array<std::string_view, 2> kDevianceNames = {"low", "high"};

struct Indicator {
    std::string measure;
    Deviance direction = Deviance::high;
    double weight = 1.0; ///< 0..1
};

/// "This fault makes that one": cause → this, with a strength 0..1.
struct Cause {
    std::string fault;
    double strength = 0.5;
};

struct Fault {
    std::string id;
    std::string name;
    std::string why;  ///< what it costs
    PositionId phase; ///< the key position where it first shows
    std::vector<Indicator> indicators;
    std::vector<Cause> causes;
    bool safety = false;
    double trainability = 0.7; ///< 0..1: how readily it changes. Common practice, no source.
    std::string caution;
    std::string cue;
    std::vector<std::string> drills; ///< ids
};

/// The ladder, easiest first.
enum class Stage { shadow, slow, constrained, fixedFeed, variedFeed, open, scored, competition };
inline constexpr std::array<std::string_view, 8> kStageNames = {"shadow",      "slow", "constrained", "fixed feed",
                                                                "varied feed", "open", "scored",      "competition"};

struct Dose {
    int sets = 1;
    int reps = 10;
    double minutes = 5.0;
};

struct Drill {
    std::string id;
    std::string name;
    std::string how;
    Stage stage = Stage::shadow;
    Dose dose;
    std::string cue;
    std::string contrast; ///< the wrong version to feel against the right one
    std::string caution;
    std::vector<std::string> equipment;
    bool partner = false;
    bool home = false; ///< can be done alone at home in two minutes
    std::string speed; ///< "walking speed", "full"
    /// The same rep in other ways, each in a word or two: from where it is fed, how high, over which side.
    std::vector<std::string> variations{};
};

struct MeasureValue; // core/measure/evaluate.h

/// Beyond it the technique is better left: balance is lost, reach does not suffice, the load is too great.
struct DeclineLimit {
    std::string measure;              ///< id
    Deviance beyond = Deviance::high; ///< on which side of the bound it is too much
    double bound = 0.0;               ///< in the measure's unit
    friend bool operator==(const DeclineLimit&, const DeclineLimit&) = default;
};

/// The choice not to do it, as a rep holds it.
inline constexpr std::string_view kDecline = "decline it";

/// What an athlete has to answer: "a late set", "the opponent retreats".
struct Situation {
    std::string id;
    std::string name;
    std::string words;                      ///< how to recognise it
    std::vector<std::string> choices;       ///< techniques that are right here, as the analyst names them
    std::map<std::string, double> shares{}; ///< how often each should be chosen here, 0..1; may be empty
    std::vector<DeclineLimit> decline{};    ///< beyond any of them `kDecline` is the right choice
};

/// Between which success rates one learns: see core/progress/gate.h.
struct GateZones {
    double poor = 0.5;  ///< half or fewer: make it easier (common practice, no source)
    double good = 0.75; ///< the upper part of the zone (common practice, no source)
    double easy = 0.85; ///< above it nothing is learnt any more (common practice, no source)
    int fewest = 8;     ///< never a step from fewer reps
    friend bool operator==(const GateZones&, const GateZones&) = default;
};

/// A pattern so common that it has a name: the faults that it is made of, and the order in which to repair them.
struct Profile {
    std::string id;
    std::string name;
    std::string words;
    std::vector<std::string> faults; ///< ids, the first to repair first
};

struct School {
    std::string id;
    std::string name;
    std::string words;
};

struct Blueprint {
    std::string id;
    std::string name;
    int version = 1;
    std::vector<std::string> cautions;
    std::vector<KeyPosition> positions;
    std::vector<std::string> landmarks; ///< roles, in the order in which the eye goes
    std::vector<BlueprintMeasure> measures;
    std::vector<Fault> faults;
    std::vector<Drill> drills;
    std::vector<School> schools;
    std::vector<Checkpoint> checkpoints;
    std::vector<ProxyRule> proxies;

    std::vector<Situation> situations;
    std::vector<Profile> profiles;
    GateZones gate{};
    /// What its texts are in other languages, by code ("it") and by the text as it stands here; see inLanguage().
    std::map<std::string, std::map<std::string, std::string>> languages{};

    [[nodiscard]] const BlueprintMeasure* measure(std::string_view id) const;
    [[nodiscard]] const Fault* fault(std::string_view id) const;
    [[nodiscard]] const Drill* drill(std::string_view id) const;
    [[nodiscard]] const KeyPosition* position(std::string_view id) const;
    /// Place of a key position in the order of the movement; -1 when unknown.
    [[nodiscard]] int positionOrder(std::string_view id) const;
    /// Roles that the measures of a view read at a position, in guided order.
    [[nodiscard]] std::vector<std::string> rolesAt(std::string_view position, View view) const;
    /// Roles that any measure of a view reads.
    [[nodiscard]] std::vector<std::string> rolesFor(View view) const;
};

/// Letters, digits, `-` and `_`, at most 80: the id is a file's name, which must not lead out of its folder.
bool isBlueprintId(std::string_view id);

/// Sets `base` of measures that are read from others, and what those leave open: their view and position, from the
/// first of them. To be called after `measures` have changed. Names that are not there leave `base` short; problemsOf()
/// says so.
void linkMeasures(std::vector<BlueprintMeasure>& measures);

/// Was the choice right for the situation: 1 or 0. Empty when either is not noted or the blueprint has no rule for it.
/// Names are compared without case.
std::optional<double> choiceIsRight(const Blueprint& blueprint, std::string_view situation, std::string_view choice);

/// The first of the situation's limits that a rep lies beyond with a probability of \p sure (normal errors); null when
/// none.
const DeclineLimit* limitPassed(const Situation& situation, std::span<const MeasureValue> values, double sure = 0.95);

/// The same with what was measured of the rep: beyond a limit only `kDecline` is right; inside all of them, as surely,
/// it is wrong; where that cannot be told it is neither.
std::optional<double> choiceIsRight(const Blueprint& blueprint, std::string_view situation, std::string_view choice,
                                    std::span<const MeasureValue> values, double sure = 0.95);

/// The situation of that id or name, capitals or not; null when there is none.
const Situation* situationNamed(const Blueprint& blueprint, std::string_view name);

/// The target of a school in a situation: the one that names both, else the school's, else the situation's, else the
/// one common to all; null when there is none.
const Target* targetFor(const BlueprintMeasure& measure, std::string_view school, std::string_view situation = {});

} // namespace riflesso
