#pragma once
/// \file
/// The whole flow on one case: motion, measures, deviations, findings, plan, progress. A pure function of plain values;
/// the desktop and the command line call the same one.

#include "casebook/decisions.h"
#include "casebook/sets.h"
#include "casebook/view_check.h"
#include "core/judge/judge.h"
#include "core/mirror/attention.h"
#include "core/mirror/variation.h"
#include "core/motion/motion.h"
#include "core/programme/plan.h"
#include "core/progress/gate.h"
#include "core/progress/reliability.h"
#include "core/progress/trend.h"
#include "core/technique/position_finder.h"
#include "library/case_data.h"

#include <map>
#include <memory>
#include <optional>
#include <set>
#include <string>
#include <vector>

namespace riflesso {

/// The nine workspaces in working order.
enum class Workspace { brief, footage, marking, mirror, findings, programme, practice, progress, handover };
inline constexpr int kWorkspaces = 9;

/// The one thing to do next, in words, and where.
struct NextStep {
    std::string words;
    Workspace where = Workspace::brief;
    Id take = 0;
    Id rep = 0;
    std::optional<FrameIndex> frame;
    std::optional<Day> due{}; ///< the later day that it is for; empty = now
};

/// What the second analyst, or the second camera, reads more than the first, in the measure's unit.
struct ReadingDifference {
    double more = 0.0;
    double u = 0.0; ///< SD of the differences / √n; of both readings' chance
    int n = 0;      ///< frames that both analysts marked, or reps that both cameras filmed
};

/// As whose readings a series stands: an analyst's or a camera's.
struct ReadingSource {
    std::string name{};                                   ///< of the newest film; empty = nobody, none in particular
    std::map<std::string, ReadingDifference> corrected{}; ///< what was taken off another's readings
    std::set<std::string> notCompared{};                  ///< whose difference is not known: left out
};

/// A focus measure over time.
struct FocusTrend {
    std::string fault;
    std::string measure;
    Band band;
    std::vector<TrendPoint> points; ///< by date
    std::optional<Change> change;   ///< first to last, from two points on
    ReadingSource analysts{}, cameras{};
};

/// A guess from the brief beside what was measured.
struct GuessCheck {
    Guess guess;
    std::optional<Perception> perception; ///< empty while nothing is measured
};

/// The newest blocks of a drill and what their gate says.
struct DrillGate {
    std::string drill;
    Stage stage = Stage::shadow;
    int good = 0, bad = 0;
    int agreed = 0; ///< reps on which athlete and coach agree
    Gate gate;
};

/// Which reps are judged, and against which: the newest set against the brief's reference when left open.
struct SetChoice {
    std::optional<SetKey> above;          ///< the athlete's set that is judged
    std::optional<SetKey> below;          ///< another set of the athlete's in the model's place
    std::optional<std::string> situation; ///< only reps of this situation; empty text = all
    std::optional<std::string> model{};   ///< by name; empty text = all together; open = the one with most reps
    friend bool operator==(const SetChoice&, const SetChoice&) = default;
};

/// How often a situation or a choice came, and how often it worked.
struct ChoiceCount {
    std::string situation, choice;
    int n = 0;
    int worked = 0, known = 0;       ///< of those of which it was noted
    std::optional<Interval> success; ///< Wilson, 95 %, when it was noted of any
    std::optional<bool> advised;     ///< is it a right choice here; empty = the blueprint has no rule
    std::optional<double> share{};   ///< how often the blueprint wants it here, 0..1
    int declinable = 0;              ///< reps that lay beyond a limit: to be declined
    std::string limit{};             ///< the measure of the first such limit
};

/// Two indicators of one fault that do not agree: what was judged by eye, and what was measured.
struct EyeConflict {
    std::string fault, seen, measure;
    bool eyeSaysFault = false; ///< the eye sees it and the measure does not, or the other way round
};

struct Analysis {
    std::map<Id, std::shared_ptr<const Motion>> motions; ///< by take
    std::map<Id, MeasuredRep> measured;                  ///< by rep
    std::optional<Day> judgedDay;                        ///< the athlete's newest session with a measured rep
    std::vector<RepSet> sets;                            ///< of the athlete, newest first
    std::optional<SetKey> above, below;                  ///< the set that is judged; the one in the model's place
    std::vector<std::string> situations;                 ///< noted of its reps, the commonest first
    std::vector<ChoiceCount> choices;                    ///< of its reps, by situation and choice
    std::vector<Id> athleteReps, modelReps;              ///< the reps that were compared
    std::vector<std::string> models;                     ///< that there are, by name
    std::string model;                                   ///< the one compared with; empty = all together, or none
    ReferenceKind referenceKind = ReferenceKind::model;  ///< what `reference` is: the models where the wish has no reps
    std::vector<MeasuredRep> reference;                  ///< what targets from a model are made of: see ReferenceKind
    std::string situation;                               ///< of the athlete's reps that are compared; empty = all
    std::vector<Variation> variations;                   ///< of the athlete's reps that are compared
    std::optional<SpeedStory> overReps;                  ///< the first third of them against the last
    std::optional<SpeedStory> sinceOwn;                  ///< the own reference against them
    std::vector<SchoolNearness> schools;                 ///< by the blueprint's order
    std::vector<Deviation> deviations;
    Judgement judgement;
    std::vector<DecidedFault> decided;  ///< what a person decided, and what this film says to it
    std::vector<LinkBelief> beliefs;    ///< of causal links, after this athlete's re-measurements
    std::vector<LinkCheck> stayed;      ///< at the last re-measurement a cause went and its consequence did not
    std::vector<EyeConflict> conflicts; ///< of one fault the eye says this and the measure that
    Plan plan;
    std::vector<DrillGate> gates; ///< newest practice first
    std::vector<FocusTrend> trends;
    std::vector<GuessCheck> guesses;
    std::map<LandmarkName, MarkError> handErrors; ///< from repeat marking; the empty name is all together
    std::map<Id, Attention> attention;            ///< by rep: which frames are worth a look
    std::vector<ViewCheck> views;                 ///< of locked takes: marks that disagree between two angles
    NextStep next;
    std::array<std::string, kWorkspaces> lacking; ///< what each workspace still lacks; empty = nothing

    [[nodiscard]] const Deviation* deviation(std::string_view measure) const;
    [[nodiscard]] const Finding* finding(std::string_view fault) const;
};

/// The case's model films as a model that can be kept: the measured reps of the one compared with. Empty when none is
/// measured.
std::optional<ModelPerformance> modelToKeep(const CaseData& data, const Analysis& analysis, const std::string& name);

/// Fills in the conflicts: faults of which eye and measures say different things, each surely, by the deviations.
void compareEyes(const Blueprint& blueprint, Analysis& analysis);

/// Motions that need not be computed again, by take. The caller vouches that marks and times are the same.
using KnownMotions = std::map<Id, std::shared_ptr<const Motion>>;

/// \p today decides from which day the plan runs; \p sure is the probability from which a value is called inside or
/// outside its band. A set of \p choice that is not there counts as left open.
Analysis analyse(const CaseData& data, const Blueprint& blueprint, Day today, const KnownMotions& known = {},
                 double sure = 0.95, const SetChoice& choice = {});

/// How sure hand marks are, from all repeat markings of the case. Empty before there is one.
std::map<LandmarkName, MarkError> handErrorsOf(const CaseData& data);
/// Readings of a repeat marking beside the first ones: the marks of the frames that both have.
TrackSet againOf(const RepeatMarking& repeat);
/// The standard error of a landmark's hand marks: its own when it was repeated six times, else that of all together
/// when there are twelve, else the assumed one.
double handSigmaOf(const std::map<LandmarkName, MarkError>& errors, const LandmarkName& landmark);
/// Hand marks with their measured error instead of the assumed one.
TrackSet withMeasuredErrors(TrackSet tracks, const std::map<LandmarkName, MarkError>& errors);

/// The frames of a take that belong to a rep: as it was cut, else round its key positions, else the whole film.
std::pair<FrameIndex, FrameIndex> spanOf(const CaseData& data, const Rep& rep);

/// What the blueprint's rules say of a rep's key positions, taught by the reps of the same take on which they were
/// placed by hand. \p strikes: s of real time. \p reasons is told why a position could not be found.
std::map<PositionId, PositionProposal> proposalsFor(const CaseData& data, const Blueprint& blueprint, const Rep& rep,
                                                    const std::vector<double>& strikes = {},
                                                    std::map<PositionId, std::string>* reasons = nullptr);

/// How a take shows the athlete, with its calibration when one can be made of what was drawn.
ViewSetup setupOf(const Take& take);
/// What was drawn on a take's frame, solved; null when nothing was drawn. Error when it cannot be solved.
Result<std::shared_ptr<const Calibration>> calibrationOf(const Take& take);
Timebase timebaseOf(const Take& take);

/// The two clocks of a link, real time to real time. Errors: a take is gone; what lockViews() refuses.
Result<ViewLock> lockOf(const CaseData& data, const Link& link);

/// The same instant in another take.
struct LockedFrame {
    FrameIndex frame;
    double sigma = 0.0; ///< standard error of that instant, s: of the lock, and of placing it on a frame
};
/// The clocks of all linked takes, solved once: for stepping through locked views.
class ViewClocks {
public:
    explicit ViewClocks(const CaseData& data);
    [[nodiscard]] std::map<Id, LockedFrame> at(Id take, FrameIndex frame) const;

private:
    struct Lock {
        Id a = 0, b = 0;
        ViewLock lock;
    };
    std::vector<Lock> m_locks;
    std::map<Id, Timebase> m_times;
};
/// By take: where all takes that are locked to this one, directly or through others, show the instant of this frame.
/// Instants outside a film are left out. The take itself is not among them.
std::map<Id, LockedFrame> lockedFrames(const CaseData& data, Id take, FrameIndex frame);

/// What was noted about a rep, as figures.
RepFacts factsOf(const Blueprint& blueprint, const Rep& rep);

/// The reps of a take by number.
std::vector<const Rep*> repsOf(const CaseData& data, Id take);

/// Key positions that the measures of a view read.
std::vector<PositionId> positionsFor(const Blueprint& blueprint, View view);

/// Is a landmark marked on a frame? Fixed points of the scene are wherever they were marked once.
bool isMarked(const TrackSet& marks, const LandmarkName& name, FrameIndex frame);

/// Landmarks (body names) that are asked for at a key position, or anywhere when that needs none: what the measures of
/// the take's view read in guided order, then what the take's own schema adds.
std::vector<LandmarkName> wantedIn(const Blueprint& blueprint, const Take& take, const PositionId& at);

/// Landmarks (body names) still to be marked at a placed position of a rep, in guided order.
std::vector<LandmarkName> missingAt(const CaseData& data, const Blueprint& blueprint, const Rep& rep,
                                    const PositionId& position);

/// The stage that practice has reached for a fault.
Stage stageReached(const Blueprint& blueprint, const std::string& fault, const std::vector<DrillGate>& gates);

} // namespace riflesso
