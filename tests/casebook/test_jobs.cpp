// Background work of a case: none of it outlives its owner.

#include "casebook/jobs.h"
#include "tests/support/patience.h"

#include <QSemaphore>
#include <QTest>

#include <sys/resource.h>
#include <unistd.h>

#include <atomic>

using namespace riflesso;

class TestJobs : public QObject {
    Q_OBJECT
private slots:
    void theirWorkIsWaitedFor() {
        std::atomic<int> ended = 0;
        {
            QSemaphore begun;
            Jobs jobs;
            const auto stop = jobs.stopToken();
            for (int i = 0; i < 2; ++i)
                (void)jobs.runTelling<int>([&, stop](QPromise<int>& p) {
                    begun.release();
                    while (!stop.stop_requested())
                        QTest::qSleep(1);
                    QTest::qSleep(30); // as long as a picture takes to be written
                    p.addResult(1);
                    ++ended;
                });
            begun.acquire(std::min(2, QThread::idealThreadCount()));
        }
        QVERIFY(ended >= 1);
        const int then = ended;
        QTest::qSleep(50);
        QCOMPARE(ended.load(), then);
    }
    void whatHasNotBegunNeverBegins() {
        std::atomic<int> begun = 0;
        Jobs jobs;
        const auto stop = jobs.stopToken();
        const int many = 4 * QThread::idealThreadCount() + 4;
        for (int i = 0; i < many; ++i)
            (void)jobs.run([&begun, stop] {
                ++begun;
                while (!stop.stop_requested())
                    QTest::qSleep(1);
            });
        QTRY_VERIFY(begun >= 1);
        jobs.stopAndWait();
        QVERIFY2(begun < many, "all of them had a thread at once");
    }
    // Answers to a gesture do not stand in the queue behind an import.
    void quickWorkPassesLongWork() {
        Jobs jobs;
        const auto stop = jobs.stopToken();
        for (int i = 0; i < 2 * QThread::idealThreadCount(); ++i)
            (void)jobs.runTelling<int>([stop](QPromise<int>&) {
                while (!stop.stop_requested())
                    QTest::qSleep(1);
            });
        QFuture<int> quick = jobs.run([] { return 7; });
        quick.waitForFinished(); // for ever, if it stood behind
        QCOMPARE(quick.result(), 7);
    }
    void longWorkGivesWay() {
        Jobs jobs;
        const auto niceHere = [] { return getpriority(PRIO_PROCESS, static_cast<id_t>(gettid())); };
        QFuture<int> slow = jobs.runTelling<int>([niceHere](QPromise<int>& p) { p.addResult(niceHere()); });
        QFuture<int> quick = jobs.run(niceHere);
        slow.waitForFinished();
        quick.waitForFinished();
        QCOMPARE(quick.result(), niceHere());
        QVERIFY(slow.result() > quick.result() || niceHere() >= 5); // it gives way already
    }
};

QTEST_GUILESS_MAIN(TestJobs)
#include "test_jobs.moc"
