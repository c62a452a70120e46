#pragma once
/// \file
/// Carrying in the background: one job at a time, its marks put into the case a little at a time.

#include "desktop/parts/job_row.h"
#include "desktop/shell/workbench.h"
#include "footage/carry.h"

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
    };
    void next();
    void put();

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
    };
    std::deque<Chunk> m_putting;
    int m_gesture = 1 << 20; // far from those of hands
};

} // namespace riflesso
