#pragma once
/// \file
/// Background work of one open case: its own threads, asked to stop and waited for before the case goes.

#include <QFuture>
#include <QThreadPool>
#include <QtConcurrent/QtConcurrentRun>

#include <stop_token>

namespace riflesso {

/// Belongs to the interface thread. Workers capture values (or shared owners of what they use), never the window's
/// objects, and look at their stop token between pictures.
class Jobs {
public:
    Jobs() = default;
    ~Jobs() { stopAndWait(); }
    Jobs(const Jobs&) = delete;
    Jobs& operator=(const Jobs&) = delete;

    /// Runs `work()`, which takes seconds at most: never waits behind long work.
    template <typename Work> auto run(Work work) { return QtConcurrent::run(&m_quick, std::move(work)); }
    /// Runs `work(QPromise<T>&)`, which takes long and tells how far it is, at a lower rank than the window's.
    template <typename T, typename Work> QFuture<T> runTelling(Work work) {
        return QtConcurrent::run(&m_pool, [work = std::move(work)](QPromise<T>& promise) mutable {
            giveWay();
            work(promise);
        });
    }

    [[nodiscard]] std::stop_token stopToken() const { return m_stop.get_token(); }
    /// Asks all work to end and waits for it. Nothing may be run afterwards.
    void stopAndWait();

private:
    static void giveWay();

    std::stop_source m_stop;
    QThreadPool m_pool, m_quick;
};

} // namespace riflesso
