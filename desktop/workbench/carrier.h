#pragma once
/// \file
/// Carrying and drafting in the background: one job at a time, its marks put into the case a little at a time.

#include "desktop/parts/job_row.h"
#include "desktop/workbench/workbench.h"
#include "footage/carry.h"
#include "intake/find_body.h"

#include <QVBoxLayout>

#include <deque>

namespace riflesso {

/// Interface thread. Work goes on while one marks; what a hand places meanwhile is never written over. Jobs wait for
/// one another; a correction goes before a whole rep.
class Carrier : public QObject {
    Q_OBJECT
public:
    /// Rows of running work are put into \p rows.
    Carrier(Workbench& bench, QVBoxLayout* rows, QObject* parent = nullptr);

    /// Carries all hand marks of a take through some frames (all landmarks when none are named).
    void carryRange(Id take, FrameIndex first, FrameIndex last, const std::vector<LandmarkName>& landmarks,
                    const QString& what);
    /// Carries a landmark anew between the hand marks on either side of a frame, when the program had carried it there.
    void carryAround(Id take, FrameIndex frame, const LandmarkName& landmark);
    /// Start marks for a rep from a marked one: places found by what they look like, then carried.
    void seedFrom(Id guideRep, Id rep);
    /// A first draft by the machine, from a box on a frame (no width: the most prominent person there) both ways
    /// through these frames. What was found before is not looked for again. \p person: whose body is in the box
    /// (personOf()); the take is given points for another one who has none yet, and \p called as the name. Errors come
    /// by failed().
    void draft(Id take, FrameIndex frame, const BodyBox& box, FrameIndex first, FrameIndex last, int person = 0,
               const std::string& called = {});
    void cancel();
    [[nodiscard]] bool busy() const { return m_row || !m_waiting.empty() || !m_putting.empty(); }

signals:
    void failed(const QString& message);
    void said(const QString& message);
    void finished();

private:
    struct Job {
        Id take = 0;
        CarryOptions options;
        QString what;
        std::vector<std::pair<FrameIndex, FrameIndex>> seeds; ///< guide frame and about where to look for it
        FrameIndex seedFirst, seedLast;                       ///< where seeds may lie
        std::optional<FindBodyOptions> find;                  ///< a draft instead of carrying
        int person = 0;                                       ///< whose draft
    };
    struct Carried;
    void next();
    void put();
    /// On a worker. \p drafts, \p keep: by person, what is known and where it is kept; \p carried: what earlier carries
    /// laid on this take.
    static std::shared_ptr<const Carried> carryAll(const Job& job, const TrackSet& marks,
                                                   std::vector<std::shared_ptr<const TrackSet>> drafts,
                                                   const std::vector<std::filesystem::path>& keep, TrackSet carried,
                                                   const std::string& film, const JobProgress& progress);
    void takeCarried(const Job& job, const Carried& carried, const TrackSet& marks, int gesture);

    Workbench& m_bench;
    QVBoxLayout* m_rows;
    std::deque<Job> m_waiting;
    JobRow* m_row = nullptr;
    // Marks on their way into the case.
    struct Chunk {
        Id take = 0;
        TrackSet marks;
        QString what;
        int gesture = 0;
        std::vector<MarkKey> gone{}; // drafts that a newer one does not hold
    };
    std::deque<Chunk> m_putting;
    int m_putIndex = -1;     // of the undo stack after the last chunk; -1 between two works
    int m_gesture = 1 << 20; // far from those of hands

    // What carrying gave, before drafts were mixed in: by take and landmark, with the hand marks that it came from.
    struct Layer {
        Track carried, hands;
    };
    std::map<Id, std::map<LandmarkName, Layer>> m_carried;
    // As found, by take and person, under the athlete's names; null = not read yet.
    std::map<std::pair<Id, int>, std::shared_ptr<const TrackSet>> m_drafts;
    [[nodiscard]] std::filesystem::path draftFile(const Take& take, int person) const;
    [[nodiscard]] TrackSet carriedLayer(Id take) const;
    void remember(const Job& job, const TrackSet& carried, const TrackSet& marks);
    void startDraft(const Job& job, const Take& take, const std::shared_ptr<const TrackSet>& marks, int gesture);
    void dropOldDrafts(const Job& job, const TrackSet& fresh, int gesture);
    void putAll(Id take, const TrackSet& marks, const QString& what, int gesture);
};

} // namespace riflesso
