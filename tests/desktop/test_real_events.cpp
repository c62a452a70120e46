// The program as it is shipped, on an X server of its own, driven from outside with real key and mouse events.

#include "library/library.h"
#include "tests/support/demo_copy.h"
#include "tests/support/patience.h"

#include <QProcess>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestRealEvents : public QObject {
    Q_OBJECT
    QProcess m_server, m_program;
    QString m_display;
    QTemporaryDir m_dir;

    QString tool(const QStringList& arguments) {
        QProcess p;
        auto environment = QProcessEnvironment::systemEnvironment();
        environment.insert("DISPLAY", m_display);
        p.setProcessEnvironment(environment);
        p.start("xdotool", arguments);
        p.waitForFinished(240000);
        QTest::qWait(350); // the program answers before the next event
        return QString(p.readAllStandardOutput()).trimmed();
    }
    void click(int x, int y) { tool({"mousemove", QString::number(x), QString::number(y), "click", "1"}); }
    CaseData saved() {
        auto l = Library::open((m_dir.path() + "/library").toStdString());
        return l ? *(*l)->load(1) : CaseData{};
    }
private slots:
    void initTestCase() {
        QVERIFY(test::copyDemo(m_dir.path() + "/library"));
        m_server.start("Xvfb", {"-displayfd", "1", "-screen", "0", "1400x900x24", "-nolisten", "tcp"});
        QVERIFY2(m_server.waitForStarted(), "package xvfb");
        QVERIFY(m_server.waitForReadyRead(240000));
        m_display = ":" + QString(m_server.readLine()).trimmed();
        auto environment = QProcessEnvironment::systemEnvironment();
        environment.insert("DISPLAY", m_display);
        environment.insert("QT_QPA_PLATFORM", "xcb");
        environment.insert("XDG_CONFIG_HOME", m_dir.path() + "/config");
        m_program.setProcessEnvironment(environment);
        m_program.start(QString(RIFLESSO_BIN_DIR) + "/riflesso", {"--library", m_dir.path() + "/library", "--case", "1",
                                                                  "--today", "2026-11-23", "--size", "1280x800"});
        QVERIFY(m_program.waitForStarted());
        QString id;
        for (int i = 0; i < 60 && id.isEmpty(); ++i)
            id = tool({"search", "--onlyvisible", "--name", "Riflesso"}).section('\n', 0, 0);
        QVERIFY2(!id.isEmpty(), m_program.readAllStandardError().constData());
        tool({"windowmove", id, "0", "0"});
        tool({"windowfocus", id});
        QTest::qWait(1500);
    }
    void cleanupTestCase() {
        for (QProcess* p : {&m_program, &m_server})
            if (p->state() != QProcess::NotRunning) {
                p->terminate();
                if (!p->waitForFinished(5000))
                    p->kill();
                p->waitForFinished(5000);
            }
    }
    void aBlockByKeysAndMouse() {
        const std::size_t before = saved().blocks.size();
        tool({"key", "ctrl+7"});
        tool({"key", "g"}); // one key a rep
        QTRY_COMPARE(saved().blocks.size(), before + 1);
        tool({"key", "Down"});
        QTRY_COMPARE(saved().blocks.rbegin()->second.reps.size(), std::size_t(2));
        const Block b = saved().blocks.rbegin()->second;
        QVERIFY(b.reps[0].coach == true && b.reps[1].coach == false && !b.reps[0].athlete);
        tool({"key", "ctrl+z"});
        QTRY_COMPARE(saved().blocks.rbegin()->second.reps.size(), std::size_t(1));
        tool({"key", "ctrl+shift+z"});
        QTRY_COMPARE(saved().blocks.rbegin()->second.reps.size(), std::size_t(2));
    }
    // Another program's window is in front: its keys are its own, but a presenter's two count here when asked for.
    void keysFromAfar() {
        tool({"key", "ctrl+7"});
        const auto reps = [&] {
            const auto data = saved();
            return data.blocks.empty() ? std::size_t(0) : data.blocks.rbegin()->second.reps.size();
        };
        const std::size_t before = reps();
        QProcess other;
        auto environment = m_program.processEnvironment();
        other.setProcessEnvironment(environment);
        other.start("mpv", {"--no-config", "--idle=yes", "--force-window=yes", "--vo=x11", "--title=elsewhere",
                            "--geometry=200x100+1000+600", "--no-terminal"});
        QVERIFY2(other.waitForStarted(), "package mpv");
        QString front;
        for (int i = 0; i < 40 && front.isEmpty(); ++i)
            front = tool({"search", "--onlyvisible", "--name", "elsewhere"}).section('\n', 0, 0);
        QVERIFY(!front.isEmpty());
        const QString ours = tool({"search", "--onlyvisible", "--name", "Riflesso"}).section('\n', 0, 0);
        tool({"windowfocus", "--sync", front});
        tool({"key", "Next"});
        QTest::qWait(500);
        QCOMPARE(reps(), before); // nobody has asked for it
        tool({"windowfocus", "--sync", ours});
        tool({"key", "f"});
        tool({"windowfocus", "--sync", front});
        tool({"key", "Next"});
        QTRY_COMPARE(reps(), before + 1);
        tool({"key", "Prior"});
        QTRY_COMPARE(reps(), before + 2);
        const Block b = saved().blocks.rbegin()->second;
        QVERIFY(b.reps[before].coach == true && b.reps[before + 1].coach == false);
        // Another page: the keys are everybody's again.
        tool({"windowfocus", "--sync", ours});
        tool({"key", "ctrl+6"});
        tool({"windowfocus", "--sync", front});
        tool({"key", "Next"});
        QTest::qWait(500);
        QCOMPARE(reps(), before + 2);
        other.kill();
        other.waitForFinished(5000);
        tool({"windowfocus", "--sync", ours});
    }
    void aMarkByMouse() {
        tool({"key", "ctrl+3"}); // Marking, on yesterday's film from the side
        QTest::qWait(800);
        const auto before = saved();
        tool({"key", "r"});
        QTRY_COMPARE(saved().reps.size(), before.reps.size() + 1);
        for (int i = 0; i < 3; ++i)
            tool({"key", "Right"});
        tool({"key", "2"});
        QTRY_VERIFY(saved().reps.rbegin()->second.positions.contains("arm_starts"));
        click(300, 300); // on the wall, away from every mark: the one that is asked for moves there
        QTRY_VERIFY(saved().marks != before.marks);
        tool({"key", "ctrl+z"});
        QTRY_VERIFY(saved().marks == before.marks);
    }
    void quitsByKey() {
        tool({"key", "ctrl+q"});
        QTRY_COMPARE(m_program.state(), QProcess::NotRunning);
        QCOMPARE(m_program.exitStatus(), QProcess::NormalExit);
        QCOMPARE(m_program.exitCode(), 0);
    }
};
QTEST_GUILESS_MAIN(TestRealEvents)
#include "test_real_events.moc"
