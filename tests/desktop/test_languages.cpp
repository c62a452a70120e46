// The window in another language, at once, and in one that does not exist: half again as long, between brackets.

#include "casebook/measure_drawing.h"
#include "casebook/shipped.h"
#include "casebook/text.h"
#include "core/technique/texts.h"
#include "desktop/shell/guide_window.h"
#include "desktop/shell/settings_dialog.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/language.h"
#include "desktop/theme/theme.h"
#include "desktop/workshop/workshop.h"
#include "tests/support/cut_texts.h"
#include "tests/support/demo_copy.h"
#include "tests/support/modal.h"

#include <QAbstractButton>
#include <QAbstractItemView>
#include <QAction>
#include <QApplication>
#include <QComboBox>
#include <QGroupBox>
#include <QHeaderView>
#include <QLineEdit>
#include <QListWidget>
#include <QMenuBar>
#include <QRegularExpression>
#include <QScrollArea>
#include <QScrollBar>
#include <QSettings>
#include <QStandardPaths>
#include <QStatusBar>
#include <QTabBar>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>
#include <set>

using namespace riflesso;

class TestLanguages : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    const Day m_today = *dayFromIso("2026-11-23");
    const std::vector<Workspace> m_all = {Workspace::brief,    Workspace::footage,  Workspace::marking,
                                          Workspace::mirror,   Workspace::findings, Workspace::programme,
                                          Workspace::practice, Workspace::progress, Workspace::handover};

    void open() {
        m_window.reset();
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(m_dir.filePath("demo"), 1));
        QVERIFY(settle(*m_window));
    }
    void picture(const QString& name, QWidget* of = nullptr) {
        const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
        if (!dir.isEmpty())
            (of ? of : m_window.get())->grab().save(dir + "/" + name + ".png");
    }
    // What is not the program's: names, the blueprint's texts, what the analyst wrote.
    std::set<QString> data() const {
        std::set<QString> out;
        const auto& bench = m_window->caseView()->bench();
        for (const auto& text : textsOf(bench.blueprint()))
            out.insert(q(text));
        const auto& d = bench.data();
        for (const auto& text : {d.brief.athlete.name, d.brief.athlete.level, d.brief.thinks, d.brief.told,
                                 d.brief.goal, d.brief.injuries, d.brief.athlete.squad})
            out.insert(q(text));
        for (const auto& [id, take] : d.takes) {
            out.insert(q(take.title));
            out.insert(q(dateWords(take.day))); // the locale's names of days and months
            out.insert(q(dayWords(take.day)));
        }
        for (const auto& [id, block] : d.blocks)
            out.insert(q(block.note));
        return out;
    }
    // Words on the glass that no translation has passed: every run of three letters outside the brackets that is no
    // data.
    QStringList unmarked(QWidget* in) const {
        static const QRegularExpression tags("<[^>]*>|&[a-z]+;"), letters("[A-Za-z]{3,}");
        const auto all = data();
        std::vector<QString> known(all.begin(), all.end()); // the longest first: one may be part of another
        std::stable_sort(known.begin(), known.end(), [](const auto& a, const auto& b) { return a.size() > b.size(); });
        QStringList out;
        const auto look = [&](const QWidget* w, const QString& text) {
            QString rest = QString(text).replace(tags, " ");
            if (rest.contains('[')) // some of it at least was marked: what a sentence holds may be data
                return;
            for (const auto& d : known)
                if (!d.isEmpty())
                    rest.remove(d, Qt::CaseInsensitive);
            if (letters.match(rest).hasMatch())
                out << QString("%1 “%2”: %3").arg(w->metaObject()->className(), w->objectName(), text.left(70));
        };
        for (auto* w : in->findChildren<QWidget*>()) {
            // What the workshop shows of a technique in another language is data.
            if (!w->isVisible() || qobject_cast<QHeaderView*>(w) || w->objectName().startsWith("blueprint") ||
                w->objectName().startsWith("Scroll")) // Qt's own, where tabs need more room than they have
                continue;
            if (auto* l = qobject_cast<QLabel*>(w))
                look(w, l->text());
            else if (auto* b = qobject_cast<QAbstractButton*>(w))
                look(w, b->text());
            else if (auto* e = qobject_cast<QLineEdit*>(w))
                look(w, e->placeholderText());
            else if (auto* g = qobject_cast<QGroupBox*>(w))
                look(w, g->title());
            else if (auto* c = qobject_cast<QComboBox*>(w))
                for (int i = 0; i < c->count(); ++i)
                    look(w, c->itemText(i));
            else if (auto* t = qobject_cast<QTabBar*>(w))
                for (int i = 0; i < t->count(); ++i)
                    look(w, t->tabText(i));
            else if (auto* v = qobject_cast<QAbstractItemView*>(w); v && v->model())
                for (int row = 0; row < std::min(60, v->model()->rowCount()); ++row)
                    for (int column = 0; column < v->model()->columnCount(); ++column)
                        look(w, v->model()->index(row, column).data().toString());
            // What is shown under the pointer, and what a screen reader says.
            for (const QString& text : {w->toolTip(), w->accessibleName(), w->accessibleDescription()})
                look(w, text);
        }
        return out;
    }

private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestLanguages");
        QSettings().clear();
        QSettings().setValue("language", "en");
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        QVERIFY(test::copyDemo(m_dir.filePath("demo")));
    }
    void cleanup() {
        m_window.reset();
        speakLanguage("en");
    }
    void theChoiceTakesEffectAtOnce() {
        open();
        m_window->caseView()->show(Workspace::findings);
        QVERIFY(settle(*m_window));
        const auto before = m_window->caseView()->bench().analysis().judgement.findings.size();
        test::whenModal(m_window.get(), [](QWidget* dialog) {
            auto* language = dialog->findChild<QComboBox*>("language");
            language->setFocus();
            QTest::keyClicks(language, "Ital");
            QTest::keyClick(dialog, Qt::Key_Escape);
        });
        for (auto* action : m_window->menuBar()->actions().front()->menu()->actions())
            if (action->shortcut() == QKeySequence("Ctrl+,")) {
                action->trigger();
                break; // the menu is another one now
            }
        QVERIFY(settle(*m_window));
        QCOMPARE(spokenLanguage(), QString("it"));
        QCOMPARE(m_window->menuBar()->actions().front()->text(), QString("&Libreria"));
        auto* view = m_window->caseView();
        QCOMPARE(view->current(), Workspace::findings); // where it stood
        QCOMPARE(workspaceName(Workspace::findings), QString("Rilievi"));
        QCOMPARE(view->bench().blueprint().name, std::string("Affondo di scherma"));
        QCOMPARE(view->bench().analysis().judgement.findings.size(), before); // other words, the same judgement
        QVERIFY(view->bench().analysis().next.words.find(" the ") == std::string::npos);
        picture("findings-it");
        // The guide on this page, and the plan's days.
        auto* guide = m_window->showGuide();
        QVERIFY(guide->findChild<QWidget*>("guideText"));
        QCOMPARE(guide->windowTitle(), QString("Guida"));
        guide->close();
        QCOMPARE(dayWords(m_today), std::string("lun 23 nov"));
        QCOMPARE(dateWords(m_today), std::string("23 nov 2026"));
        // The workshop shows what is written, and the translation beside it.
        auto* workshop = m_window->workshop();
        QVERIFY(workshop);
        QCOMPARE(workshop->document().value().name, std::string("Fencing lunge"));
        workshop->QWidget::show();
        QApplication::processEvents();
        picture("workshop-it", workshop);
        workshop->show(Workshop::Room::languages);
        auto* table = workshop->languages()->table();
        QVERIFY(table->rowCount() > 150);
        QCOMPARE(table->item(0, 1)->text(), QString("Affondo di scherma"));
        table->item(0, 1)->setText("Affondo");
        QCOMPARE(workshop->document().value().languages.at("it").at("Fencing lunge"), std::string("Affondo"));
        workshop->document().undoStack().undo();
        QCOMPARE(table->item(0, 1)->text(), QString("Affondo di scherma"));
        workshop->close();
        // And back.
        QSettings().setValue("language", "en");
        m_window->applySettings();
        QVERIFY(settle(*m_window));
        QCOMPARE(m_window->menuBar()->actions().front()->text(), QString("&Library"));
        QCOMPARE(m_window->caseView()->bench().blueprint().name, std::string("Fencing lunge"));
    }
    void everyPageSpeaksItalian() {
        speakLanguage("it");
        QCOMPARE(pointDuties(exampleOf(MeasureKind::twist)).front(), QString("asse: in basso"));
        QCOMPARE(kindTitle(MeasureKind::twist), QString("Torsione"));
        open();
        QStringList wrong;
        for (const QSize size : {QSize(1280, 800), QSize(1024, 700)}) {
            m_window->resize(size);
            for (const Workspace w : m_all) {
                m_window->caseView()->show(w);
                QVERIFY(settle(*m_window));
                const QString where = QString("it-%1-%2").arg(workspaceId(w)).arg(size.width());
                picture(where);
                for (const auto& text : test::cutTexts(m_window.get()))
                    wrong << where + " cut, " + text;
                // A page goes on below its window at most, never beside it.
                for (const auto* area : m_window->findChildren<QScrollArea*>())
                    if (area->isVisible() && area->widgetResizable() && area->horizontalScrollBar()->maximum() > 0)
                        wrong << where +
                                     QString(" goes on beside, by %1 px").arg(area->horizontalScrollBar()->maximum());
            }
        }
        for (const auto& w : wrong)
            qWarning("%s", qPrintable(w));
        QVERIFY(wrong.isEmpty());
    }
    // "2026-11-22" is for files.
    void daysAreWrittenForPeople() {
        speakLanguage("en");
        open();
        static const QRegularExpression forFiles("\\b\\d{4}-\\d{2}-\\d{2}\\b");
        QStringList wrong;
        int read = 0;
        const auto look = [&](const QString& where, const QString& text) {
            ++read;
            if (text.contains(forFiles))
                wrong << where + ": " + text;
        };
        for (const Workspace w : m_all) {
            m_window->caseView()->show(w);
            QVERIFY(settle(*m_window));
            for (const auto* l : m_window->findChildren<QLabel*>())
                look(workspaceId(w), l->text());
            for (const auto* b : m_window->findChildren<QAbstractButton*>()) {
                look(workspaceId(w), b->text());
                look(workspaceId(w), b->toolTip());
            }
            for (const auto* list : m_window->findChildren<QAbstractItemView*>())
                for (int row = 0; list->model() && row < list->model()->rowCount(); ++row)
                    look(workspaceId(w), list->model()->index(row, 0).data().toString());
            for (const auto* page : m_window->findChildren<QTextEdit*>())
                look(workspaceId(w), page->toPlainText());
        }
        QVERIFY(read > 300);
        wrong.removeDuplicates();
        QVERIFY2(wrong.isEmpty(), qPrintable("\n" + wrong.join("\n")));
    }
    void nothingIsUnmarkedAndNothingIsCut() {
        speakLanguage("pseudo");
        open();
        QStringList wrong;
        const auto look = [&](QWidget* in, const QString& where) {
            for (const auto& text : unmarked(in))
                wrong << where + " unmarked, " + text;
            for (const auto& text : test::cutTexts(in))
                wrong << where + " cut, " + text;
        };
        for (const Workspace w : m_all) {
            m_window->caseView()->show(w);
            QVERIFY(settle(*m_window));
            picture("pseudo-" + workspaceId(w));
            look(m_window.get(), workspaceId(w));
            // Its other faces: panels behind buttons and tabs.
            for (int i = 0; i < 6 && w == Workspace::footage; ++i) {
                m_window->findChild<QPushButton*>(QString("panel%1").arg(i))->click();
                QVERIFY(settle(*m_window));
                look(m_window.get(), workspaceId(w) + QString(", panel %1").arg(i));
            }
            for (auto* tabs : m_window->findChildren<QTabBar*>())
                for (int i = 0; tabs->isVisible() && i < tabs->count(); ++i) {
                    tabs->setCurrentIndex(i);
                    QVERIFY(settle(*m_window));
                    look(m_window.get(), workspaceId(w) + QString(", tab %1").arg(i));
                }
        }
        auto* workshop = m_window->workshop();
        workshop->QWidget::show();
        QVERIFY(QTest::qWaitForWindowExposed(workshop));
        picture("pseudo-workshop", workshop);
        auto* rooms = workshop->findChild<QListWidget*>("rooms");
        for (int i = 0; i < rooms->count(); ++i) {
            rooms->setCurrentRow(i);
            QApplication::processEvents();
            look(workshop, QString("workshop, room %1").arg(i));
        }
        workshop->close();
        for (auto* menu : m_window->menuBar()->findChildren<QMenu*>(QString(), Qt::FindDirectChildrenOnly))
            for (auto* action : menu->actions())
                if (!action->isSeparator() && !action->text().contains('['))
                    wrong << "menu: " + action->text();
        SettingsDialog settings(m_window.get(), "library");
        settings.show();
        QVERIFY(QTest::qWaitForWindowExposed(&settings));
        for (const auto& text : test::cutTexts(&settings))
            wrong << "settings cut, " + text;
        wrong.removeDuplicates();
        for (const auto& w : wrong)
            qWarning("%s", qPrintable(w)); // all of them: a message of a failure is cut short
        QVERIFY(wrong.isEmpty());
    }
};

QTEST_MAIN(TestLanguages)
#include "test_languages.moc"
