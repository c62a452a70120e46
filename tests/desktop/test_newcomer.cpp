// From nothing to the athlete's folder by the keyboard alone: a fresh account, in Italian, at 1280 x 800.

#include "desktop/findings/finding_list.h"
#include "desktop/handover/handover_page.h"
#include "desktop/reading/reading.h"
#include "desktop/shell/guide_window.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "tests/support/cut_texts.h"
#include "tests/support/film_truth.h"
#include "tests/support/modal.h"
#include "tests/support/patience.h"

#include <QAbstractItemView>
#include <QApplication>
#include <QComboBox>
#include <QCompleter>
#include <QDir>
#include <QFileDialog>
#include <QLineEdit>
#include <QPushButton>
#include <QSettings>
#include <QSpinBox>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>
#include <QTimer>

using namespace riflesso;

class TestNewcomer : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    int m_pictures = 0;

    CaseView* view() const { return m_window->caseView(); }
    const CaseData& data() const { return view()->bench().data(); }
    void picture(const QString& name) {
        const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
        QWidget* on = QApplication::activeModalWidget() ? QApplication::activeModalWidget() : m_window.get();
        if (!dir.isEmpty())
            on->grab().save(QString("%1/newcomer-%2-%3.png").arg(dir).arg(++m_pictures, 2, 10, QChar('0')).arg(name));
    }
    // A key goes where the keyboard is.
    void key(Qt::Key k, Qt::KeyboardModifiers with = {}) {
        QWidget* const modal = QApplication::activeModalWidget();
        QWidget* const top = modal ? modal : m_window.get();
        if (QApplication::activeWindow() != top) { // no window manager here gives it its turn
            top->activateWindow();
            (void)QTest::qWaitForWindowActive(top);
        }
        QTest::keyClick(top->focusWidget() ? top->focusWidget() : top, k, with);
    }
    // Tab leads there, from wherever one is; false when it does not within a round.
    bool tabTo(const char* name) {
        for (int i = 0; i < 250; ++i) {
            const QWidget* top = QApplication::activeModalWidget() ? QApplication::activeModalWidget() : m_window.get();
            if (top->focusWidget() && top->focusWidget()->objectName() == name)
                return true;
            key(Qt::Key_Tab);
        }
        return false;
    }
    // The file dialog that comes next gets this name.
    void answerFile(const QString& path) {
        auto* timer = new QTimer(this);
        connect(timer, &QTimer::timeout, this, [timer, path] {
            auto* dialog = qobject_cast<QFileDialog*>(QApplication::activeModalWidget());
            if (!dialog) {
                if (timer->property("typed").toBool()) // it has taken the name
                    timer->deleteLater();
                return;
            }
            auto* name = dialog->findChild<QLineEdit*>("fileNameEdit");
            if (!timer->property("typed").toBool()) {
                timer->setProperty("typed", true);
                name->setFocus();
                name->clear();
                QTest::keyClicks(name, path);
            }
            if (name->completer() && name->completer()->popup())
                name->completer()->popup()->hide(); // Return belongs to the name
            QTest::keyClick(name, Qt::Key_Return);
        });
        timer->start(200);
    }

private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestNewcomer");
        QCoreApplication::setAttribute(Qt::AA_DontUseNativeDialogs);
        QSettings().clear();
        QSettings().setValue("language", "it");
        QDir(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation)).removeRecursively();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        speakLanguage("it");
    }
    void cleanupTestCase() { speakLanguage("en"); }

    void fromNothingToTheFolder() {
        m_window = std::make_unique<MainWindow>(*dayFromIso("2026-11-23"));
        m_window->resize(1280, 800);
        m_window->show();
        m_window->openStart();
        m_window->activateWindow();
        QTRY_VERIFY(m_window->isActiveWindow());
        QVERIFY(settle(*m_window));
        QVERIFY(m_window->shelf());
        picture("scaffale");

        // The guide's first page, in this language.
        key(Qt::Key_F1);
        auto* guide = m_window->findChild<GuideWindow*>();
        QVERIFY(guide && guide->isVisible());
        QVERIFY(GuideWindow::titleOf("index") == "La guida" &&
                GuideWindow::titleOf("first-film") == "Il tuo primo filmato");
        QTest::keyClick(guide, Qt::Key_Escape);
        m_window->activateWindow();

        // An athlete.
        test::whenModal(this, [this](QWidget* dialog) {
            dialog->activateWindow(); // no window manager here gives it its turn
            QTRY_VERIFY(dialog->isActiveWindow());
            QTest::keyClicks(QApplication::focusWidget(), "Nora Lindt");
            QTest::keyClick(QApplication::focusWidget(), Qt::Key_Tab);
            QTest::keyClicks(QApplication::focusWidget(), "Affondo");
            picture("nuovo-atleta");
            QTest::keyClick(dialog, Qt::Key_Return);
        });
        key(Qt::Key_N, Qt::ControlModifier);
        QTRY_VERIFY(view());
        QVERIFY(settle(*m_window));
        QCOMPARE(data().brief.athlete.name, std::string("Nora Lindt"));
        QCOMPARE(view()->bench().blueprint().name, std::string("Affondo di scherma"));

        // Minutes on two days, and the wish to rebuild.
        key(Qt::Key_1, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        int days = 0;
        for (int i = 0; i < 120 && days < 3; ++i) {
            key(Qt::Key_Tab);
            auto* spin = qobject_cast<QSpinBox*>(QApplication::focusWidget());
            if (spin && spin->accessibleName().startsWith("Minuti di")) {
                key(Qt::Key_A, Qt::ControlModifier);
                QTest::keyClicks(spin, "30");
                ++days;
            }
        }
        key(Qt::Key_Tab);
        QCOMPARE(days, 3);
        picture("incontro");

        // A film.
        key(Qt::Key_2, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QVERIFY(tabTo("bringIn"));
        answerFile(test::demoFilm("athlete-before"));
        key(Qt::Key_Space);
        QTRY_COMPARE(data().takes.size(), std::size_t(1));
        QVERIFY(settle(*m_window));
        key(Qt::Key_H); // no slow motion
        QVERIFY(settle(*m_window));
        QVERIFY(data().takes.begin()->second.captureRate);
        picture("filmati");
        QVERIFY(tabTo("readIt"));
        key(Qt::Key_Space);
        QTRY_VERIFY(!view()->readingWords().isEmpty() || !view()->shownError().isEmpty());
        QVERIFY2(view()->shownError().isEmpty(), qPrintable(view()->shownError()));
        QVERIFY(settle(*m_window));
        picture("letto");
        QVERIFY2(view()->readingWords().contains("Lettura") && view()->readingWords().contains("non decis"),
                 qPrintable(view()->readingWords()));
        QVERIFY(!data().reps.empty());

        // The looks it asks for.
        key(Qt::Key_3, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        const auto looks = view()->bench().looksLeft();
        key(Qt::Key_W);
        QVERIFY(settle(*m_window));
        QVERIFY(looks == 0 || view()->bench().looksLeft() < looks);
        key(Qt::Key_Return, Qt::ControlModifier | Qt::ShiftModifier); // what is surer than a frame
        picture("marcatura");

        // One thing taken up.
        key(Qt::Key_5, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        picture("rilievi");
        QVERIFY(tabTo("findingList"));
        auto* list = m_window->findChild<FindingList*>("findingList");
        const auto takeUp = [this] {
            auto* b = m_window->findChild<QPushButton*>("takeUp");
            return b && b->isVisible() && b->isEnabled();
        };
        for (int i = 0; i < 20 && !takeUp(); ++i) {
            key(Qt::Key_Down);
            QTest::qWait(30);
        }
        QVERIFY(list->isVisible());
        if (takeUp()) {
            QVERIFY(tabTo("takeUp"));
            key(Qt::Key_Space);
        } else { // no model yet: what the eye sees
            QVERIFY(tabTo("ownFinding"));
            key(Qt::Key_Space);
            QWidget* dialog = nullptr;
            QTRY_VERIFY((dialog = QApplication::activeModalWidget()));
            QVERIFY(tabTo("ownFault"));
            key(Qt::Key_Down);
            picture("visto");
            QTest::keyClick(dialog, Qt::Key_Return);
            QTRY_VERIFY(!QApplication::activeModalWidget());
        }
        QVERIFY(settle(*m_window));
        QVERIFY(std::any_of(data().decisions.begin(), data().decisions.end(),
                            [](const auto& d) { return d.second.kind == DecisionKind::takenUp; }));
        QVERIFY(tabTo("consent")); // the athlete says yes
        auto* consent = qobject_cast<QComboBox*>(QApplication::focusWidget());
        for (int i = 0; i < 4 && consent->currentText() != "sì"; ++i)
            key(Qt::Key_Down);
        QCOMPARE(consent->currentText(), QString("sì"));
        QVERIFY(settle(*m_window));
        picture("in-lavoro");

        // The plan.
        key(Qt::Key_6, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QTRY_VERIFY(!view()->bench().analysis().plan.blocks.empty());
        QVERIFY(tabTo("keepPlan"));
        key(Qt::Key_Space);
        QVERIFY(settle(*m_window));
        QVERIFY(!data().planned.empty());
        picture("programma");

        // Practice: a key a rep.
        key(Qt::Key_7, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        for (const Qt::Key k : {Qt::Key_G, Qt::Key_B, Qt::Key_G, Qt::Key_G, Qt::Key_B, Qt::Key_G, Qt::Key_G, Qt::Key_G})
            key(k);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().blocks.size(), std::size_t(1));
        QCOMPARE(data().blocks.begin()->second.reps.size(), std::size_t(8));
        picture("pratica");
        key(Qt::Key_8, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        picture("progressi");

        // And home with it.
        key(Qt::Key_9, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        picture("consegna");
        QVERIFY(QDir(m_dir.path()).mkdir("consegna"));
        QVERIFY(tabTo("makeFolder"));
        answerFile(m_dir.filePath("consegna"));
        key(Qt::Key_Space);
        const auto file = [this](const QString& name) {
            for (const auto& folder : QDir(m_dir.filePath("consegna")).entryInfoList(QDir::Dirs | QDir::NoDotAndDotDot))
                if (QFile::exists(folder.filePath() + "/" + name))
                    return folder.filePath() + "/" + name;
            return m_dir.filePath("consegna/" + name);
        };
        QTRY_VERIFY(QFile::exists(file("README.txt")));
        QFile readme(file("README.txt")), report(file("report.html"));
        QVERIFY(readme.open(QIODevice::ReadOnly) && report.open(QIODevice::ReadOnly));
        QVERIFY(QString::fromUtf8(readme.readAll()).contains("Tutto ciò che è qui si apre"));
        QVERIFY(QString::fromUtf8(report.readAll()).contains("Che cosa"));
        for (const char* name : {"report.pdf", "home.pdf", "home.html", "plan.ics"})
            QVERIFY2(QFile::exists(file(name)), name);
        QVERIFY(settle(*m_window));
        picture("fatto");
        m_window.reset();
    }
};

QTEST_MAIN(TestNewcomer)
#include "test_newcomer.moc"
