#include "casebook/jobs.h"

#include <sys/resource.h>
#include <unistd.h>

namespace riflesso {

void Jobs::stopAndWait() {
    m_stop.request_stop();
    for (QThreadPool* pool : {&m_pool, &m_quick}) {
        pool->clear(); // what has not begun
        pool->waitForDone();
    }
}

// Jobs give way to whoever waits at the window: on two cores a decoder at the same rank makes each answer late. Threads
// that a job starts inherit this.
void Jobs::giveWay() {
    constexpr int kNice = 5; // a third of the usual share while others want to run
    // Linux: a priority is a thread's own (setpriority(2), "C library/kernel differences"). No harm when refused.
    (void)setpriority(PRIO_PROCESS, static_cast<id_t>(gettid()), kNice);
}

} // namespace riflesso
