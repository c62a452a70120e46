// The case and the window are closed while work is under way: nothing dangles, nothing is half there.

#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "library/copies.h"
#include "tests/support/coded_films.h"
#include "tests/support/demo_copy.h"
#include "tests/support/drop.h"
#include "tests/support/film_truth.h"
#include "tests/support/patience.h"

#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

using namespace riflesso;

class TestClosing : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    QString m_library;

    CaseView* view() const { return m_window->caseView(); }
    Id takeOf(const std::string& film) const {
        for (const auto& [id, t] : view()->bench().data().takes)
            if (t.film == film)
                return id;
        return 0;
    }
    void open() {
        m_window = std::make_unique<MainWindow>(*dayFromIso("2026-11-23"));
        m_window->show();
        QVERIFY(m_window->openLibrary(m_library, 1));
        QVERIFY(settle(*m_window));
    }
    // How it is closed: the window; the case, by going to the shelf; the case, by opening another.
    void close(const QString& how) {
        if (how == "window")
            m_window.reset();
        else if (how == "shelf")
            m_window->showShelf();
        else
            QVERIFY(m_window->openCase(1));
        QTest::qWait(30); // what was queued arrives now
        m_window.reset();
        QVERIFY(checkLibrary(m_library.toStdString()));
    }
    void ways() {
        QTest::addColumn<QString>("how");
        for (const char* how : {"window", "shelf", "other"})
            QTest::newRow(how) << how;
    }
private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestClosing");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        m_library = m_dir.filePath("lib");
        QVERIFY(test::copyDemo(m_library));
    }
    void inAnImport_data() { ways(); }
    void inAnImport() {
        QFETCH(QString, how);
        open();
        // Large enough to be under way, several so that others wait.
        QStringList films;
        for (int i = 0; i < 3; ++i)
            films << makeCoded(m_dir.filePath(how + QString("%1.mp4").arg(i)), 300);
        view()->footage()->bringIn(films);
        QVERIFY(view()->footage()->busy());
        QTest::qWait(60);
        close(how);
        for (const QString& name : QDir(m_library + "/media").entryList(QDir::Files))
            QVERIFY2(!name.endsWith(".part"), qPrintable(name));
    }
    void inADraft_data() { ways(); }
    void inADraft() {
        QFETCH(QString, how);
        open();
        const Id take = takeOf("athlete-front.mp4");
        view()->show(Workspace::marking);
        view()->reading()->read(take);
        QTRY_VERIFY(view()->marking()->carrier()->busy());
        QTest::qWait(700);
        close(how);
    }
    void inCarrying_data() { ways(); }
    void inCarrying() {
        QFETCH(QString, how);
        open();
        const Id take = takeOf("athlete-side.mp4");
        view()->show(Workspace::marking);
        view()->marking()->carrier()->carryRange(take, FrameIndex(0), FrameIndex(600), {}, "carry");
        QVERIFY(view()->marking()->carrier()->busy());
        QTest::qWait(500);
        close(how);
    }
    void inAReport_data() { ways(); }
    void inAReport() {
        QFETCH(QString, how);
        open();
        view()->show(Workspace::handover);
        view()->handover()->writeTo(m_dir.filePath("report-" + how));
        QVERIFY(view()->handover()->busy());
        close(how);
        // Whole or not at all.
        const bool pdf = QFile::exists(m_dir.filePath("report-" + how) + "/report.pdf"),
                   html = QFile::exists(m_dir.filePath("report-" + how) + "/report.html");
        QVERIFY(pdf || !html);
    }
    // What is taken back while it comes in comes in no further.
    void undoWhileMarksComeIn() {
        open();
        const Id take = takeOf("athlete-side.mp4");
        const auto before = view()->bench().data().marks.at(take);
        view()->show(Workspace::marking);
        view()->marking()->carrier()->carryRange(take, FrameIndex(0), FrameIndex(200), {}, "carry");
        const int steps = view()->bench().book().undoStack().index();
        QTRY_VERIFY(view()->bench().book().undoStack().index() > steps);
        QVERIFY(view()->bench().book().undo());
        QTRY_VERIFY(!view()->marking()->carrier()->busy());
        QVERIFY(view()->bench().data().marks.at(take) == before);
        QCOMPARE(view()->bench().book().undoStack().index(), steps);
        m_window.reset();
    }
};

QTEST_MAIN(TestClosing)
#include "test_closing.moc"
