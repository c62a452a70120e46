// A scripted analyst works through the window, round after round: memory stays level, and no round is slower than the
// first ones; and once more while another program writes into the same library. The suite goes round a few times;
// RIFLESSO_SOAK=SECONDS (make soak: an hour of either) goes on for so long.

#include "desktop/marking/marking_page.h"
#include "library/copies.h"
#include "tests/support/window_test.h"

#include <QApplication>
#include <QElapsedTimer>
#include <QFile>
#include <QProcess>

#include <malloc.h>

#include <algorithm>
#include <cmath>
#include <cstdio>
#include <cstdlib>
#include <stop_token>
#include <thread>
#include <vector>

using namespace riflesso;

namespace {

// Another program at the same library, hardly at rest: it counts blocks of practice into the case that is open.
class Beside {
public:
    explicit Beside(const QString& library) : m_library(library), m_thread([this](std::stop_token s) { work(s); }) {}
    ~Beside() { end(); }
    void end() {
        m_thread.request_stop();
        if (m_thread.joinable())
            m_thread.join();
    }
    // After end().
    std::size_t written = 0; // blocks, as the program said
    QStringList refused;     // what it said instead

private:
    void work(const std::stop_token& stop) {
        while (!stop.stop_requested()) {
            QProcess p;
            p.start(QString(RIFLESSO_BIN_DIR) + "/riflesso-cli",
                    {"practice", "log", "1", "--library", m_library, "--drill", "coin_drop", "--reps", "GGB",
                     "--reason", kReason, "--today", "2026-11-23"});
            const bool ended = p.waitForFinished(240000);
            if (ended && p.exitStatus() == QProcess::NormalExit && p.exitCode() == 0)
                ++written;
            else
                refused << QString::fromUtf8(p.readAllStandardError()).trimmed();
            std::this_thread::sleep_for(std::chrono::milliseconds(300));
        }
    }
    QString m_library;
    std::jthread m_thread;

public:
    static constexpr auto kReason = "counted beside";
};

} // namespace

class TestSoak : public test::WindowTest {
    Q_OBJECT
    // Of this process, MB.
    static double resident() {
        QFile f("/proc/self/statm");
        if (!f.open(QIODevice::ReadOnly))
            return 0.0;
        return f.readAll().split(' ').value(1).toDouble() * 4096.0 / (1 << 20);
    }
    // Of that, what malloc was asked for in any thread and has not got back, MB: all but decoded pictures, which have
    // memory of their own. It does not depend on how freed blocks lie, which takes scores of rounds to come to rest.
    static double held() {
        char* text = nullptr;
        std::size_t length = 0;
        FILE* out = open_memstream(&text, &length);
        malloc_info(0, out);
        std::fclose(out);
        const QByteArray all = QByteArray(text, static_cast<qsizetype>(length));
        std::free(text);
        // The sums over all arenas are the last of each: <total type="rest" count="…" size="…"/>
        const auto sum = [&](const char* of) {
            const QByteArray from = all.mid(all.lastIndexOf(QByteArray("type=\"") + of + '"'));
            const qsizetype at = from.indexOf("size=\"") + 6;
            return from.mid(at, from.indexOf('"', at) - at).toDouble() / (1 << 20);
        };
        return sum("current") - sum("fast") - sum("rest") + sum("mmap");
    }
    MarkCanvas* canvas() const { return view()->marking()->canvas(); }

    // Every page is looked at, a film stepped and played, marks placed and taken back, reps practised, a plan laid.
    void round(int number) {
        QVERIFY(m_window->openCase(1));
        QVERIFY(settle(*m_window));
        for (int i = 0; i < kWorkspaces; ++i)
            go(static_cast<Workspace>(i));
        go(Workspace::marking);
        const Id take = data().reps.begin()->second.take;
        view()->bench().selectTake(take);
        const int first = data().reps.begin()->second.first ? data().reps.begin()->second.first->value : 0;
        for (int f = 0; f < 40; ++f) {
            QTest::keyClick(canvas(), f < 30 ? Qt::Key_Right : Qt::Key_Left);
            QApplication::processEvents();
        }
        view()->bench().setFrame(first + number % 20);
        QVERIFY(settle(*m_window));
        const int before = book().undoStack().index();
        for (int k = 0; k < 5; ++k) {
            QTest::mouseClick(canvas(), Qt::LeftButton, {}, QPoint(200 + 13 * k, 150 + 7 * k));
            QApplication::processEvents();
        }
        QVERIFY(settle(*m_window));
        while (book().undoStack().index() > before && book().undo())
            ;
        go(Workspace::practice);
        const int counted = book().undoStack().index();
        QWidget* practice = view()->page(Workspace::practice);
        practice->setFocus();
        QTest::keyClick(practice, Qt::Key_N);
        for (int k = 0; k < 10; ++k)
            QTest::keyClick(practice, k % 3 ? Qt::Key_G : Qt::Key_B);
        while (book().undoStack().index() > counted && book().undo())
            ;
        go(Workspace::programme);
        planned();
        m_window->showShelf();
        QApplication::processEvents();
    }
private slots:
    void initTestCase() {
        prepare("RiflessoTestSoak");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void memoryAndPaceStayLevel() {
        const double wanted = qEnvironmentVariable("RIFLESSO_SOAK").toDouble(); // s; 0 = a few rounds
        constexpr int kFewest = 9;
        QElapsedTimer all, one;
        all.start();
        std::vector<double> memory, kept, seconds;
        for (int i = 0; i < kFewest || all.elapsed() < 1000.0 * wanted; ++i) {
            one.start();
            round(i);
            if (QTest::currentTestFailed())
                return;
            seconds.push_back(static_cast<double>(one.elapsed()) / 1000.0);
            memory.push_back(resident());
            kept.push_back(held());
            if (wanted <= 0.0 || i % 20 == 0)
                qInfo("round %d after %.0f s: %.0f MB, held %.1f MB, %.2f s", i,
                      static_cast<double>(all.elapsed()) / 1000.0, memory.back(), kept.back(), seconds.back());
        }
        const auto middle = [](std::vector<double> v, double from, double to) {
            const auto n = static_cast<double>(v.size());
            std::vector<double> part(v.begin() + static_cast<std::ptrdiff_t>(from * n),
                                     v.begin() + static_cast<std::ptrdiff_t>(to * n));
            std::sort(part.begin(), part.end());
            return part[part.size() / 2];
        };
        // Caches fill in the first third; from then on what is used stays used.
        const double early = middle(memory, 0.34, 0.67), late = middle(memory, 0.67, 1.0);
        const double earlyHeld = middle(kept, 0.34, 0.67), lateHeld = middle(kept, 0.67, 1.0);
        const double pace = middle(seconds, 0.0, 0.34), end = middle(seconds, 0.67, 1.0);
        qInfo("%zu rounds in %.0f s: %.0f MB in the middle third, %.0f MB in the last (held %.1f and %.1f MB); a round "
              "%.2f s, then %.2f s",
              seconds.size(), static_cast<double>(all.elapsed()) / 1000.0, early, late, earlyHeld, lateHeld, pace, end);
        // Qt 6.4 keeps what style sheets say of widgets that go before they were ever seen (popups of boxes that nobody
        // opened, folded panels): 0.13 MB a round.
        const double ofQt = 0.2 * static_cast<double>(kept.size()) / 3.0;
        QVERIFY2(lateHeld < earlyHeld + 5.0 + ofQt,
                 qPrintable(QString("%1 MB, then %2 MB").arg(earlyHeld).arg(lateHeld)));
        // After a few rounds the pictures' memory and the gaps between blocks still grow towards their level.
        const double slack = wanted > 0.0 ? 10.0 : 100.0;
        QVERIFY2(late < 1.15 * early + slack, qPrintable(QString("%1 MB, then %2 MB").arg(early).arg(late)));
        if (wanted > 0.0) // a few rounds tell nothing of the pace on a busy machine
            QVERIFY2(end < 3.0 * pace, qPrintable(QString("%1 s a round, then %2 s").arg(pace).arg(end)));
    }
    // What either program said it had written is there, and the window sees it.
    void besideAnotherProgram() {
        const double wanted = qEnvironmentVariable("RIFLESSO_SOAK").toDouble(); // s; 0 = two rounds
        QVERIFY(m_window->openCase(1));
        QVERIFY(settle(*m_window));
        const CaseData before = data();
        QElapsedTimer all;
        all.start();
        Beside other(m_library);
        int rounds = 0;
        for (; rounds < 2 || all.elapsed() < 1000.0 * wanted; ++rounds) {
            round(rounds);
            if (QTest::currentTestFailed())
                return;
        }
        other.end();
        qInfo("%d rounds in %.0f s; beside them %zu blocks counted, %lld refused", rounds,
              static_cast<double>(all.elapsed()) / 1000.0, other.written, static_cast<long long>(other.refused.size()));
        QVERIFY2(other.refused.isEmpty(), qPrintable(other.refused.join("\n")));
        QVERIFY(other.written > 0);
        const auto countedBeside = [](const CaseData& of) {
            return static_cast<std::size_t>(std::count_if(of.blocks.begin(), of.blocks.end(), [](const auto& b) {
                return !b.second.reps.empty() && b.second.reps.back().reason == Beside::kReason;
            }));
        };
        auto library = Library::open(m_library.toStdString());
        QVERIFY(library);
        QVERIFY(checkLibrary(m_library.toStdString()));
        QCOMPARE(countedBeside(*(*library)->load(1)), other.written);
        // The window has taken in what is not its own, and its own rounds left nothing behind.
        QVERIFY(m_window->openCase(1));
        QVERIFY(settle(*m_window));
        QCOMPARE(countedBeside(data()), other.written);
        CaseData without = data();
        std::erase_if(without.blocks, [](const auto& b) {
            return !b.second.reps.empty() && b.second.reps.back().reason == Beside::kReason;
        });
        QVERIFY(without.marks == before.marks && without.reps == before.reps && without.blocks == before.blocks);
    }
};
QTEST_MAIN(TestSoak)
#include "test_soak.moc"
