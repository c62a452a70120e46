#pragma once
/// \file
/// The open case: the only door to its data. Changes are commands with undo and redo; views listen and never write.

#include "casebook/analysis.h"
#include "casebook/jobs.h"
#include "core/motion/result.h"
#include "library/library.h"

#include <QFutureWatcher>
#include <QObject>
#include <QString>
#include <QUndoStack>

#include <functional>
#include <limits>
#include <map>
#include <memory>
#include <vector>

namespace riflesso {

/// What a change touched; views look at this and refresh only what they show.
struct ChangeSet {
    bool brief = false;
    bool blocks = false;
    bool links = false;
    bool decisions = false;
    bool plan = false;
    bool notes = false;
    bool repeats = false;
    std::vector<Id> takes; ///< the take itself, made or removed too
    std::vector<Id> reps;  ///< takes whose reps or key positions changed
    std::vector<Id> marks; ///< takes whose marks changed
};

/// Lives on the interface thread. Every command is committed to the library before it returns; when that fails nothing
/// is changed, `failed` says why, and the command returns false. The analysis runs on a worker with a copy of the data.
class Casebook : public QObject {
    Q_OBJECT
public:
    static Result<std::unique_ptr<Casebook>> open(std::shared_ptr<Library> library, Id caseId, Blueprint blueprint,
                                                  Day today);
    ~Casebook() override;

    [[nodiscard]] const CaseData& data() const { return m_data; }
    [[nodiscard]] const Blueprint& blueprint() const { return m_blueprint; }
    [[nodiscard]] Library& library() const { return *m_library; }
    /// For workers, which must not depend on how long the case is open.
    [[nodiscard]] std::shared_ptr<Library> sharedLibrary() const { return m_library; }
    /// What is judged against what; not kept, read anew at once.
    void setView(const SetChoice& choice);
    [[nodiscard]] const SetChoice& view() const { return m_view; }
    /// The same technique with other drills; read anew at once. Not undone: the drills are the library's, not the
    /// case's.
    void takeBlueprint(Blueprint blueprint);
    /// The probability from which a value counts as inside or outside its band, 0.5 to 0.999; read anew at once.
    void setSure(double probability);
    /// All background work of this case. It ends before the case does.
    [[nodiscard]] Jobs& jobs() { return m_jobs; }
    [[nodiscard]] Day today() const { return m_today; }
    /// To look at and to listen to; steps are taken by undo() and redo().
    [[nodiscard]] const QUndoStack& undoStack() const { return m_undo; }
    /// The newest finished analysis; empty values until the first is done.
    [[nodiscard]] const Analysis& analysis() const { return m_analysis; }
    /// True while a newer analysis is on its way.
    [[nodiscard]] bool analysing() const { return m_running || m_dirty; }
    /// Waits for it; for the command line and tests.
    const Analysis& analysisNow();

    /// Takes the last step back, or does it again. Written first: when that fails, or another program has changed one
    /// of the things meanwhile, the step stays where it is, `failed` says why and the call returns false.
    bool undo();
    bool redo();

    /// Looks whether another program has changed the case, and takes in what it finds; cheap when there is nothing.
    /// Steps that touch what was changed can no longer be undone and say so then. False when the case could not be read
    /// anew.
    bool takeInForeign();

    // Commands -------------------------------------------------------------------------------------------------------
    bool setBrief(const Brief& brief);
    /// Gives the take an id. 0 when it failed.
    Id addTake(Take take);
    bool setTake(const Take& take, const QString& what);
    /// Names another person of a take (personOf()); what was seen of them there goes with the name. An empty name, or
    /// one that somebody else of this take has, changes nothing.
    bool callPerson(Id take, int person, const std::string& name);
    /// Takes its reps, marks and links with it. A film inside the library is deleted when the case is closed, unless
    /// the step was undone or another take uses it.
    bool removeTake(Id take);
    Id addRep(Id take);
    bool removeRep(Id rep);
    /// In takes that are locked to this one the position is set too, on the frame nearest to the same instant; a rep of
    /// the same number is made there when there is none.
    bool placePosition(Id rep, const PositionId& position, FrameIndex frame);
    /// Hollow pegs: sets what is not placed by hand yet. False when nothing could be set.
    bool proposePositions(Id rep, const std::map<PositionId, PositionProposal>& proposals);
    /// A hollow peg becomes a full one where it stands.
    bool acceptPosition(Id rep, const PositionId& position);
    /// All hollow pegs of these reps that are surer than \p frames frames, as one undo step; how many that were.
    int acceptPositions(const std::vector<Id>& reps, double frames = std::numeric_limits<double>::infinity());
    bool clearPosition(Id rep, const PositionId& position);
    /// Steps of one drag or of repeated nudges with the same \p gesture (not 0) are one undo step.
    bool setMark(const MarkKey& key, const Mark& mark, int gesture = 0);
    bool removeMark(const MarkKey& key);
    /// Marks that the program made (carried, copied, by proxy). What a hand has placed meanwhile stays, unless \p over.
    bool putMarks(Id take, const TrackSet& marks, const QString& what, int gesture = 0, bool over = false);
    /// Left and right of all marks from a frame on change places: the two legs were taken for one another.
    bool swapSides(Id take, FrameIndex from, FrameIndex to);
    Id addRepeat(RepeatMarking repeat);
    bool setRepeat(const RepeatMarking& repeat, const QString& what);
    bool removeRepeat(Id repeat);
    /// Several spans of reps at once, as one undo step; numbered after those there are.
    bool addReps(Id take, const std::vector<Rep>& reps);
    bool setRep(const Rep& rep, const QString& what);
    /// Key positions go with the half they lie in. Reps of the take are numbered anew in order of time.
    bool splitRep(Id rep, FrameIndex at);
    /// The first keeps its own key positions where both have one.
    bool mergeReps(Id first, Id second);
    Id addLink(Link link);
    bool setLink(const Link& link, const QString& what);
    bool removeLink(Id link);
    Id addBlock(Block block);
    bool setBlock(const Block& block);
    /// What was planned for its day, and done with it alone, is open again.
    bool removeBlock(Id block);
    /// Makes the plan from \p from to \p to the given one; see planEdits(). One undo step, or part of the gesture's.
    bool keepPlan(const std::vector<PlannedBlock>& blocks, Day from, Day to, const QString& what, int gesture = 0);
    /// One block of the plan: new when it has no id. Its id; 0 when it failed.
    Id setPlanned(PlannedBlock block, const QString& what, int gesture = 0);
    /// Puts reps into a set of that name, or back into the set of their day and stage with an empty one. One undo step.
    bool putInSet(const std::vector<Id>& reps, const std::string& name);
    /// Decides on a finding: the open decision on the same fault is changed, else a new one is made. False when two
    /// faults are taken up already. Today's date when it has none.
    bool decide(FindingDecision decision) { return decide(std::move(decision), {}); }
    /// The same with a frame that shows it, when \p note has a take: one step.
    bool decide(FindingDecision decision, FrameNote note);
    /// Keeps something seen on a frame, or changes it by its id. 0 when it failed.
    Id keepNote(FrameNote note);
    /// Decisions that showed it go on without it.
    bool removeNote(Id note);
    /// Changes a decision by its id.
    bool setDecision(const FindingDecision& decision, const QString& what);
    /// Kept until it is made again: its day, its name and its date of closing.
    bool closeDecision(Id decision);
    bool removeDecision(Id decision);
    /// Many edits as one undo step, as an import makes them.
    bool perform(const QString& what, std::vector<Edit> edits, int gesture = 0);

signals:
    void changed(const riflesso::ChangeSet& what);
    void analysed();
    void failed(const QString& message);
    /// What another program changed has been taken in.
    void foreignTaken();

private:
    void forget(Id note, std::vector<Edit>& edits) const;
    Casebook(std::shared_ptr<Library> library, CaseData data, Blueprint blueprint, Day today);
    bool commit(const std::vector<Edit>& edits);
    /// Into memory, and everybody told; \p moveStack is called between.
    void takeOver(const std::vector<Edit>& edits, const std::function<void()>& moveStack);
    bool step(bool back);
    /// The edits, and what else must change so that the take's reps are numbered in order of time.
    std::vector<Edit> numbered(Id take, std::vector<Edit> edits) const;
    void startAnalysis();
    void finishAnalysis();

    std::shared_ptr<Library> m_library;
    CaseData m_data;
    Blueprint m_blueprint;
    Day m_today;
    QUndoStack m_undo;
    Analysis m_analysis;
    KnownMotions m_motions; // of takes whose marks have not changed since
    QFutureWatcher<std::shared_ptr<Analysis>> m_watcher;
    std::map<Id, int> m_revision, m_runningRevision; // by take
    std::vector<std::string> m_removedFilms;         // of takes that were removed: deleted when the case is closed
    double m_sure = 0.95;
    SetChoice m_view;
    bool m_running = false;
    bool m_dirty = false;
    Jobs m_jobs;
};

} // namespace riflesso
