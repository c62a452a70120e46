#pragma once
/// \file
/// The data of a case as plain values: what the library keeps and the casebook edits.

#include "core/measure/evaluate.h"
#include "core/mirror/reference.h"
#include "core/motion/body_schema.h"
#include "core/motion/calibration.h"
#include "core/motion/mark.h"
#include "core/motion/sync.h"
#include "core/programme/calendar.h"
#include "core/technique/blueprint.h"
#include "core/technique/own_target.h"

#include <array>
#include <cstdint>
#include <map>
#include <optional>
#include <string>
#include <variant>
#include <vector>

namespace riflesso {

using Id = std::int64_t; ///< positive; 0 = none

/// Something about a place of the body: an injury, a stiffness, an operation.
struct BodyNote {
    std::string part;         ///< of kBodyParts, with its side where it has one: "left knee"
    std::string words;        ///< what it is
    std::optional<Day> since; ///< unknown when empty
    bool pain = false;        ///< hurts now
    friend bool operator==(const BodyNote&, const BodyNote&) = default;
};

/// How tall somebody was on a day.
struct Growth {
    Day day{};
    double stature = 0.0; ///< cm
    friend bool operator==(const Growth&, const Growth&) = default;
};

/// A person. All cases of one athlete show the same values.
struct Athlete {
    std::string name;
    Side handedness = Side::right;
    std::string level;
    bool minor = false;
    std::string squad{};  ///< of people trained together; may be empty
    bool putAway = false; ///< not shown on the shelf unless asked for
    std::vector<BodyNote> body{};
    std::vector<Growth> growth{}; ///< by day
    friend bool operator==(const Athlete&, const Athlete&) = default;
};

/// What the athlete believes a measure is.
struct Guess {
    std::string measure;
    double value = 0.0;
    Day day{}; ///< on which it was given; the epoch = unknown
    friend bool operator==(const Guess&, const Guess&) = default;
};

/// What is to be reached, in figures.
struct Goal {
    std::string measure;
    double from = 0.0, to = 0.0;
    std::optional<Day> by{};
    friend bool operator==(const Goal&, const Goal&) = default;
};

/// Minutes of a day that are taken by something else.
struct BusyTime {
    Day day{};
    double minutes = 0.0;
    std::string words{};
    friend bool operator==(const BusyTime&, const BusyTime&) = default;
};

/// The interview. Also the case's head: one athlete, one technique, one goal.
struct Brief {
    Athlete athlete;
    std::string goal;
    std::string thinks; ///< what the athlete thinks holds them back
    std::string told;   ///< what other coaches told them
    std::string injuries;
    bool wantsRebuild = true;
    std::string school;           ///< id in the blueprint; empty = common targets
    std::array<int, 7> minutes{}; ///< a weekday, Monday first
    std::vector<Day> competitions;
    std::vector<Guess> guesses;
    std::vector<Guess> pastGuesses{};                ///< given on earlier days, oldest first
    int blueprintVersion = 1;                        ///< by which the case was last worked on
    ReferenceKind reference = ReferenceKind::model;  ///< what the newest session is compared with
    std::vector<ModelPerformance> models{};          ///< measured elsewhere, besides the case's own model takes
    std::optional<Goal> aim{};                       ///< the goal in numbers
    std::vector<OwnTarget> targets{};                ///< bands of this athlete's own, one a measure
    std::array<bool, 7> alone{};                     ///< no partner on this weekday, Monday first
    std::array<PracticePlace, 7> places{};           ///< of this weekday's session
    std::array<std::vector<std::string>, 2> lacks{}; ///< equipment that is not there, by place, in the words of then
    std::string regime{};                            ///< how often technique is practised; empty = rebuild
    std::vector<BusyTime> busy{};                    ///< from a calendar, by day
    std::vector<std::string> banned{};               ///< drills that are never planned for this athlete
    friend bool operator==(const Brief&, const Brief&) = default;
};

enum class Performer { athlete, model };
inline constexpr std::array<std::string_view, 2> kPerformerNames = {"athlete", "model"};

/// How a take's pictures are shown. Changes what is seen, never what is stored or measured.
struct PictureSettings {
    double brightness = 0.0;   ///< −1..1
    double contrast = 1.0;     ///< 0.1..4
    bool swapped = false;      ///< left and right swapped on screens
    std::array<int, 4> crop{}; ///< x, y, width, height around the athlete, px; no width = all
    friend bool operator==(const PictureSettings&, const PictureSettings&) = default;
};

/// Where an effect should land: a circle on the calibrated plane, by its middle and a point of its edge.
struct Zone {
    Pixel middle, edge;
    friend bool operator==(const Zone&, const Zone&) = default;
};

/// One recording from one view.
struct Take {
    Id id = 0;
    std::string title;
    std::string film; ///< inside the library's media folder, or an absolute path
    Performer performer = Performer::athlete;
    std::string who; ///< a model's name; empty for the athlete
    Side handedness = Side::right;
    Day day{};
    View view = View::side;
    Facing facing = Facing::right;
    Stage stage = Stage::shadow;
    std::optional<double> captureRate; ///< Hz; unset until someone states it
    int width = 0, height = 0;
    std::string checksum;    ///< SHA-256 of the film, hexadecimal; empty for takes of format 1
    std::string captureFrom; ///< where the capture rate is known from: a tag's name, "stopwatch", "fall", "stated"
    CalibrationInput calibration;
    PictureSettings picture;
    bool steady = false; ///< marks are carried to the reference frame by `camera`
    CameraPath camera;   ///< of a moving camera, one map a frame; empty = not looked for
    /// Cut-offs that the analyst set against the residual analysis, Hz, by landmark.
    std::map<LandmarkName, double> cutoffs{};
    BodySchema figure{};        ///< what is asked for besides the points that the measures read
    std::optional<Zone> zone{}; ///< where the reps of this take should land
    std::string markedBy{};     ///< who marked it; empty = nobody in particular
    std::string filmedWith{};   ///< which camera; empty = none in particular
    std::string set{};          ///< its reps' set where a rep has none of its own; empty = their stage
    std::vector<double> times;  ///< presentation times, s
    friend bool operator==(const Take&, const Take&) = default;
};

/// A checkpoint judged by eye.
enum class SeenVerdict { yes, partly, no };
inline constexpr std::array<std::string_view, 3> kSeenVerdictNames = {"yes", "partly", "no"};
struct Seen {
    SeenVerdict verdict = SeenVerdict::yes;
    FrameIndex frame{};         ///< on which it was judged
    std::string note{};         ///< may be empty
    std::optional<Pixel> pin{}; ///< the place of the picture that the note is about
    friend bool operator==(const Seen&, const Seen&) = default;
};

/// Where a rep's effect came down: a blade's tip, a ball, a foot.
struct Landing {
    FrameIndex frame{};
    Pixel at;
    friend bool operator==(const Landing&, const Landing&) = default;
};

/// One execution in a take.
struct Rep {
    Id id = 0;
    Id take = 0;
    int number = 1;
    Positions positions;
    std::optional<FrameIndex> first{}, last{}; ///< where it lies in the take
    std::string situation{};                   ///< what the athlete had to answer
    std::string choice{};                      ///< the technique chosen
    std::optional<bool> worked{};              ///< the effect: did it work
    std::optional<double> score{};             ///< the effect as a figure: points, metres, as the blueprint names it
    std::optional<double> effort{};            ///< as the athlete stated it, share of the utmost, 0 to 1
    std::optional<Stage> stage{};              ///< when it differs from the take's
    std::map<std::string, Seen> seen{};        ///< by checkpoint
    std::string set{};                         ///< reps judged together; empty = those of its day and stage
    std::optional<Landing> landed{};           ///< the effect as a place
    /// Checkpoints of other people in the film, by their name; what is seen of the athlete is in `seen`.
    std::map<std::string, std::map<std::string, Seen>> seenOf{};
    friend bool operator==(const Rep&, const Rep&) = default;
};

/// Two takes of the same movement on one clock.
struct Link {
    Id id = 0;
    Id a = 0, b = 0;                                       ///< takes
    std::vector<std::pair<FrameIndex, FrameIndex>> shared; ///< the same instants in a and b
    std::optional<SoundMatch> sound;                       ///< or by their sound; offset in s of real time
    friend bool operator==(const Link& x, const Link& y) {
        const auto same = [](const auto& p, const auto& r) {
            return p.has_value() == r.has_value() && (!p || (p->offset == r->offset && p->u == r->u));
        };
        return x.id == y.id && x.a == y.a && x.b == y.b && x.shared == y.shared && same(x.sound, y.sound);
    }
};

/// Verdicts on one practised rep, of whoever was there: one at least.
struct PractisedRep {
    std::optional<bool> athlete{}, coach{};
    std::string reason{};          ///< of a bad one; may be empty
    std::optional<bool> machine{}; ///< what the measure said of its film: good or not; never counts for a gate
    std::string variation{};       ///< in which way it was fed or done, see Drill::variations; may be empty
    std::string clip{};            ///< its film in Library::practiceClips(), a name without a folder; may be gone
    /// The coach's where there is one, else the athlete's.
    [[nodiscard]] bool good() const { return coach.value_or(athlete.value_or(false)); }
    friend bool operator==(const PractisedRep&, const PractisedRep&) = default;
};

/// A day without a coach, as the athlete tells it afterwards.
struct SelfCoached {
    double minutes = 0.0;
    int hits = 0;            ///< of a target, or good ones, as counted
    std::string where{};     ///< and in which light
    int feet = 0, hands = 0; ///< how fast the feet, how calm the hands: 0 to 10
    std::string noticed{}, next{};
    friend bool operator==(const SelfCoached&, const SelfCoached&) = default;
};

/// Reps of one drill at one stage on one day.
struct Block {
    Id id = 0;
    Day day{};
    std::string drill;
    Stage stage = Stage::shadow;
    std::vector<PractisedRep> reps;
    std::string note;
    std::string cue{};                ///< chosen before the block; empty = the drill's own
    std::optional<SelfCoached> own{}; ///< a day alone; there may be no rep then
    std::string film{}; ///< verdicts on films, of this measure: nothing was practised, and no gate counts them
    friend bool operator==(const Block&, const Block&) = default;
};

/// Frames of a take marked once more, without a look at the first marks: how good are these marks?
struct RepeatMarking {
    struct Placed {
        FrameIndex frame{};
        LandmarkName landmark;
        Pixel at;
        friend bool operator==(const Placed&, const Placed&) = default;
    };
    Id id = 0;
    Id take = 0;
    Day day{};
    std::string analyst{};            ///< who marked; the first marks are nobody's in particular
    std::vector<FrameIndex> frames{}; ///< in the order in which they are shown, those that do not count among them
    std::vector<LandmarkName> landmarks{};
    std::vector<Placed> marks{};
    friend bool operator==(const RepeatMarking&, const RepeatMarking&) = default;
};

/// What a coach said of a finding. It stands until it is closed, whatever the next film shows.
enum class DecisionKind { takenUp, parked, rejected };
inline constexpr std::array<std::string_view, 3> kDecisionKindNames = {"taken up", "parked", "not for this athlete"};
/// What the athlete says to it.
enum class Consent { notAsked, yes, notYet, no };
inline constexpr std::array<std::string_view, 4> kConsentNames = {"not asked", "yes", "not yet", "no"};

struct FindingDecision {
    Id id = 0;
    std::string fault; ///< of the blueprint; empty = a finding of the coach's own, in `words`
    std::string words{};
    DecisionKind kind = DecisionKind::takenUp;
    std::string reason{}; ///< "build", "age", "old injury", "taste" or free words
    Day day{};
    Consent consent = Consent::notAsked;
    std::optional<Day> closed{};
    Id note = 0; ///< a frame that shows it; 0 = none
    friend bool operator==(const FindingDecision&, const FindingDecision&) = default;
};

/// Something seen on a frame and kept: an answer to a question, or words.
struct FrameNote {
    Id id = 0;
    Id take = 0;
    FrameIndex frame{};
    std::vector<Pixel> points{};       ///< what was clicked, in order
    std::optional<FrameIndex> other{}; ///< a second frame, with
    std::vector<Pixel> otherPoints{};  ///< its points
    std::string kind{};                ///< of the answer ("angle"); empty = words alone
    double value = 0.0, u = 0.0;
    std::string unit{};
    std::string words{};
    Day day{}; ///< on which it was noted
    friend bool operator==(const FrameNote&, const FrameNote&) = default;
};

/// Names one mark.
struct MarkKey {
    Id take = 0;
    FrameIndex frame;
    LandmarkName landmark;
    friend bool operator==(const MarkKey&, const MarkKey&) = default;
};

/// Everything of one case.
struct CaseData {
    Id id = 0;
    std::string blueprintId;
    Brief brief;
    std::map<Id, Take> takes;
    std::map<Id, Rep> reps;
    std::map<Id, Block> blocks;
    std::map<Id, Link> links;
    std::map<Id, TrackSet> marks; ///< by take
    std::map<Id, RepeatMarking> repeats{};
    std::map<Id, FindingDecision> decisions{};
    std::map<Id, PlannedBlock> planned{}; ///< the plan that stands, with what became of it
    std::map<Id, FrameNote> notes{};
    friend bool operator==(const CaseData&, const CaseData&) = default;
};

/// One change of one thing: absent before = made, absent after = removed.
template <typename Key, typename Value> struct EditOf {
    Key key;
    std::optional<Value> before;
    std::optional<Value> after;
};
using BriefEdit = EditOf<std::monostate, Brief>;
using TakeEdit = EditOf<Id, Take>;
using RepEdit = EditOf<Id, Rep>;
using BlockEdit = EditOf<Id, Block>;
using LinkEdit = EditOf<Id, Link>;
using MarkEdit = EditOf<MarkKey, Mark>;
using RepeatEdit = EditOf<Id, RepeatMarking>;
using DecisionEdit = EditOf<Id, FindingDecision>;
using PlanEdit = EditOf<Id, PlannedBlock>;
using NoteEdit = EditOf<Id, FrameNote>;
/// What the library writes and the casebook undoes.
using Edit = std::variant<BriefEdit, TakeEdit, RepEdit, BlockEdit, MarkEdit, LinkEdit, RepeatEdit, DecisionEdit,
                          PlanEdit, NoteEdit>;

/// Carries an edit out on plain data (its `after`). Removing a take leaves its reps and marks to edits of their own.
void applyTo(CaseData& data, const Edit& edit);

/// The same edit the other way round.
Edit reversed(const Edit& edit);

} // namespace riflesso
