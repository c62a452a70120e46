// The first hour through the real window: first start, shelf, films dropped on a card, settings, a first reading.

#include "casebook/shipped.h"
#include "desktop/shell/settings_dialog.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "tests/support/coded_films.h"
#include "tests/support/cut_texts.h"
#include "tests/support/demo_copy.h"
#include "tests/support/drop.h"
#include "tests/support/film_truth.h"
#include "tests/support/modal.h"
#include "tests/support/patience.h"

#include <QAbstractButton>
#include <QApplication>
#include <QComboBox>
#include <QLabel>
#include <QMenu>
#include <QMessageBox>
#include <QPushButton>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestShelf : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    std::unique_ptr<MainWindow> m_window;
    const Day m_today = *dayFromIso("2026-11-23");

    ShelfPage* shelf() const { return m_window->shelf(); }
    ShelfModel& model() const { return shelf()->model(); }
    QStringList names() const {
        QStringList out;
        for (int i = 0; i < model().rowCount() && !model().isNew(i); ++i)
            out << model().at(i).name();
        return out;
    }
    void open(const QString& folder) {
        m_window.reset();
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(folder));
        QVERIFY(settle(*m_window));
    }
    // Answers the next dialog.
    void answer(const std::function<void(QWidget*)>& with) { test::whenModal(m_window.get(), with); }
    static void press(QWidget* dialog, const QString& text) {
        for (auto* b : dialog->findChildren<QAbstractButton*>())
            if (b->text().remove('&') == text) {
                QTest::mouseClick(b, Qt::LeftButton);
                return;
            }
        QFAIL(qPrintable("no button " + text));
    }
    void tab(const QString& words) {
        auto* tabs = shelf()->tabs();
        for (int i = 0; i < tabs->count(); ++i)
            if (tabs->tabText(i).startsWith(words)) {
                QTest::mouseClick(tabs, Qt::LeftButton, {}, tabs->tabRect(i).center());
                return;
            }
        QFAIL(qPrintable("no tab " + words));
    }
    void picture(const char* name) {
        const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
        if (!dir.isEmpty()) {
            settle(*m_window);
            m_window->grab().save(dir + "/" + name + ".png");
        }
    }
private slots:
    void initTestCase() {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTestShelf");
        QSettings().clear();
        QDir(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation)).removeRecursively();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
    }
    void theFirstStartAsksNothing() {
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->show();
        m_window->openStart();
        QVERIFY(settle(*m_window));
        QVERIFY(shelf() && !m_window->caseView());
        QVERIFY(names().isEmpty() && model().isNew(0));
        picture("shelf-empty");
        QVERIFY(QFile::exists(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) +
                              "/library/library.sqlite"));
        // A film that is dropped asks whose it is, then it is brought in.
        answer([](QWidget* dialog) {
            QTest::keyClicks(dialog->findChild<QLineEdit*>("newAthlete"), "Pia Dorn");
            QTest::keyClicks(dialog->findChild<QComboBox*>("newTechnique"), "race");
            QTest::keyClick(dialog, Qt::Key_Return);
        });
        QVERIFY(test::drop(shelf(), {makeCoded(m_dir.filePath("walk.mp4"), 40)}));
        QTRY_VERIFY(m_window->caseView());
        QTRY_COMPARE(m_window->caseView()->bench().data().takes.size(), std::size_t(1));
        QCOMPARE(m_window->caseView()->bench().blueprint().id, std::string("race-walking"));
        QVERIFY(m_window->windowTitle().contains("Pia Dorn"));
        // Ordinary films: one key.
        QTest::keyClick(m_window->caseView()->footage(), Qt::Key_H);
        QCOMPARE(m_window->caseView()->bench().data().takes.begin()->second.captureRate.value_or(0.0), 30.0);
        // A technique chosen by mistake.
        QVERIFY(settle(*m_window));
        QVERIFY(m_window->library()->setBlueprint(m_window->caseView()->bench().data().id, "fencing-lunge"));
        // The session goes on where it was.
        m_window->close();
        m_window.reset();
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->show();
        m_window->openStart();
        QVERIFY(settle(*m_window));
        QVERIFY(m_window->caseView() && m_window->caseView()->bench().data().brief.athlete.name == "Pia Dorn");
        QTest::mouseClick(m_window->findChild<QPushButton*>("toShelf"), Qt::LeftButton);
        QTRY_VERIFY(shelf());
        QCOMPARE(names(), QStringList{"Pia Dorn"});
    }
    void aStartWhereNothingCanBeWritten() {
        const QString data = QStandardPaths::writableLocation(QStandardPaths::AppDataLocation);
        QSettings().remove("library");
        m_window.reset();
        QVERIFY(QDir(data + "/library").removeRecursively());
        QFile inTheWay(data + "/library"); // a file where the folder should be
        QVERIFY(inTheWay.open(QIODevice::WriteOnly));
        inTheWay.close();
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->show();
        m_window->openStart();
        QVERIFY(!shelf() && !m_window->caseView());
        QVERIFY2(!m_window->welcomeError().isEmpty(), "the reason is said");
        QVERIFY(inTheWay.remove());
    }
    void manyAthletes() {
        const QString folder = m_dir.filePath("many");
        {
            auto library = std::move(*Library::create(folder.toStdString()));
            for (int i = 0; i < 40; ++i) {
                Brief b;
                b.athlete.name = QString("Athlete %1").arg(i, 2, 10, QChar('0')).toStdString();
                b.athlete.squad = i % 4 == 0 ? "Juniors" : "";
                const Id c = *library->addCase(i % 2 ? "rowing-ergometer" : "archery-shot", b);
                CaseCard card;
                card.next = i % 3 == 0 ? "Look at 3 frames" : "Count 8 more reps";
                card.needsCoach = i % 3 == 0;
                card.focus = i == 7 ? "Arms too early" : "";
                card.filmed = "2026-11-" + QString("%1").arg(1 + i % 20, 2, 10, QChar('0')).toStdString();
                card.again = i == 8 ? "2026-11-12" : i == 10 ? "2036-11-12" : "";
                card.againWords = "Film again: does it still hold?";
                QVERIFY(library->setCard(c, toJson(card)));
            }
        }
        open(folder);
        QCOMPARE(names().size(), 40);
        picture("shelf-many");
        QVERIFY(model().at(0).needsCoach() && !model().at(39).needsCoach());
        tab("Who needs me");
        QCOMPARE(names().size(), 15); // one of them since that day has come
        tab("Juniors");
        QCOMPARE(names().size(), 10);
        tab("Everybody");
        for (const auto& [typed, found] : std::vector<std::pair<const char*, int>>{
                 {"arms early", 1}, {"rowing", 20}, {"athlete 1", 13}, {"still hold", 1}, {"nobody", 0}}) {
            shelf()->searchField()->clear();
            QTest::keyClicks(shelf()->searchField(), typed);
            QCOMPARE(names().size(), found);
        }
        picture("shelf-none");
        QTest::keyClick(shelf()->searchField(), Qt::Key_Escape);
        QCOMPARE(names().size(), 40);
        // By keys alone: down into the cards, Enter opens.
        QTest::keyClicks(shelf()->searchField(), "athlete 07");
        QTest::keyClick(shelf()->searchField(), Qt::Key_Down);
        QTest::keyClick(shelf()->cards(), Qt::Key_Return);
        QTRY_VERIFY(m_window->caseView());
        QVERIFY(settle(*m_window));
        QCOMPARE(m_window->caseView()->bench().data().brief.athlete.name, std::string("Athlete 07"));
        QTest::keyClick(m_window.get(), Qt::Key_0, Qt::ControlModifier);
        QTRY_VERIFY(shelf());
    }
    void putAwayAndDeleted() {
        const Id one = model().at(0).id, two = model().at(1).id;
        const QString name = model().at(1).name();
        shelf()->putAway(one, true);
        QCOMPARE(names().size(), 39);
        tab("Put away");
        QCOMPARE(names().size(), 1);
        shelf()->putAway(one, false);
        tab("Everybody");
        QCOMPARE(names().size(), 40);
        answer([](QWidget* d) { press(d, "Cancel"); });
        shelf()->deleteAthlete(two);
        QCOMPARE(names().size(), 40);
        answer([](QWidget* d) { press(d, "Yes"); });
        shelf()->deleteAthlete(two);
        QVERIFY(names().size() == 39 && !names().contains(name));
        m_window->activateWindow(); // off screen no window manager does it
        QVERIFY(QTest::qWaitForWindowActive(m_window.get()));
        QTest::keyClick(m_window.get(), Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(names().contains(name));
        answer([](QWidget* d) { press(d, "Yes"); });
        shelf()->deleteAthlete(two);
        // It stays undoable when a case was open meanwhile, and is done when the program ends.
        QVERIFY(m_window->openCase(model().at(0).cases.front().id));
        QVERIFY(settle(*m_window));
        m_window->showShelf();
        QVERIFY(!names().contains(name));
        QCOMPARE((*m_window->library()->athletes()).size(), std::size_t(40));
        open(m_dir.filePath("many"));
        if (!shelf())
            m_window->showShelf();
        QCOMPARE((*m_window->library()->athletes()).size(), std::size_t(39));
    }
    void settingsTakeEffectAtOnce() {
        answer([this](QWidget* d) {
            QVERIFY2(test::cutTexts(d).isEmpty(), qPrintable(test::cutTexts(d).join("; ")));
            const QString dir = qEnvironmentVariable("RIFLESSO_PICTURES");
            if (!dir.isEmpty())
                d->grab().save(dir + "/settings.png");
            auto* theme = d->findChild<QComboBox*>("theme");
            theme->setFocus();
            QTest::keyClicks(theme, "dark");
            QVERIFY(riflesso::theme().dark);
            QTest::keyClick(theme, Qt::Key_Home);
            QVERIFY(!riflesso::theme().dark);
            auto* letters = d->findChild<QComboBox*>("textPercent");
            letters->setFocus();
            QTest::keyClick(letters, Qt::Key_End);
            QCOMPARE(QApplication::font().pixelSize(), typeface(Type::body).pixelSize());
            QVERIFY(typeface(Type::body).pixelSize() >= 19);
            QTest::keyClick(letters, Qt::Key_Home);
            press(d, "Close");
        });
        QTest::keyClick(m_window.get(), Qt::Key_Comma, Qt::ControlModifier);
        QCOMPARE(typeface(Type::body).pixelSize(), 13);
        QCOMPARE(Preferences::read().theme, QString("light"));
    }
    // One button on a film of which nothing is known: body, reps, key positions, measures, words.
    void aFirstReading() {
        if (!QFile::exists(QString(RIFLESSO_SOURCE_DIR) + "/finder/models/body_full.tflite"))
            QFAIL("the body model is missing: finder/models/fetch.sh");
        const QString folder = m_dir.filePath("reading");
        QDir().mkpath(folder);
        {
            auto library = std::move(*Library::create((folder + "/lib").toStdString()));
            Brief b;
            b.athlete.name = "Pia Dorn";
            QVERIFY(library->addCase("fencing-lunge", b).ok());
        }
        open(folder + "/lib");
        QVERIFY(m_window->openCase(1));
        auto* view = m_window->caseView();
        view->show(Workspace::footage);
        QVERIFY(test::drop(m_window.get(), {test::demoFilm("athlete-before")}));
        QTRY_COMPARE(view->bench().data().takes.size(), std::size_t(1));
        const Id take = view->bench().data().takes.begin()->first;
        Take known = view->bench().data().takes.at(take);
        known.captureRate = 120;
        QVERIFY(view->bench().book().setTake(known, "rate"));
        QTest::mouseClick(m_window->findChild<QPushButton*>("readIt"), Qt::LeftButton);
        QVERIFY(view->reading()->running());
        QTRY_VERIFY(!view->readingWords().isEmpty() || !view->shownError().isEmpty());
        QVERIFY2(view->shownError().isEmpty(), qPrintable(view->shownError()));
        QVERIFY(settle(*m_window));
        picture("reading-done");
        const auto reps = repsOf(view->bench().data(), take);
        QVERIFY2(reps.size() == 2, qPrintable(view->readingWords()));
        QVERIFY(view->readingWords().startsWith("2 reps read."));
        QCOMPARE(static_cast<int>(view->bench().data().takes.at(take).facing), static_cast<int>(Facing::left));
        for (const Rep* r : reps) {
            QVERIFY(r->positions.size() >= 5);
            for (const auto& [id, p] : r->positions)
                QVERIFY(p.proposed); // drafts, not the analyst's
        }
        // Where the analyst of the demo put them.
        const auto eye = test::lookAt("athlete-before", "heel_lands");
        const auto& back = reps[0]->positions.at("back_on_guard");
        QVERIFY2(std::abs(back.frame.value - eye.positions["back_on_guard"]) <= 12,
                 qPrintable(QString("%1 %2").arg(back.frame.value).arg(eye.positions["back_on_guard"])));
        // W leads through the looks it asks for.
        const auto left = view->bench().looksLeft();
        QVERIFY(left > 0);
        view->show(Workspace::marking);
        QTest::keyClick(view->marking()->canvas(), Qt::Key_W);
        QCOMPARE(view->bench().looksLeft(), left - 1);
        picture("reading-look");
        // All pegs of the rep in one gesture, one undo step.
        view->bench().selectRep(reps[0]->id);
        QTest::keyClick(view->marking()->canvas(), Qt::Key_Return, Qt::ShiftModifier);
        for (const auto& [id, p] : view->bench().data().reps.at(reps[0]->id).positions)
            QVERIFY(!p.proposed);
        QVERIFY(view->bench().book().undo());
        QVERIFY(view->bench().data().reps.at(reps[0]->id).positions.begin()->second.proposed);
        // Read again: what is there stays as it is.
        view->show(Workspace::footage);
        const auto before = view->bench().data().reps;
        QTest::mouseClick(m_window->findChild<QPushButton*>("readIt"), Qt::LeftButton);
        QTRY_VERIFY(!view->reading()->running());
        QVERIFY(settle(*m_window));
        QVERIFY(view->bench().data().reps == before);
        // Closed in the middle of everything.
        m_window.reset();
    }
    void noWordsAreCut() {
        const QString folder = m_dir.filePath("demo");
        QVERIFY(test::copyDemo(folder));
        for (const bool dark : {false, true}) {
            useTheme(dark ? Theme::night() : Theme::light());
            open(folder);
            if (shelf())
                QVERIFY(m_window->openCase(1));
            for (const QSize size : {QSize(1280, 800), QSize(1024, 700)}) {
                m_window->resize(size);
                m_window->showShelf();
                QVERIFY(settle(*m_window));
                QVERIFY2(test::cutTexts(m_window.get()).isEmpty(),
                         qPrintable("shelf: " + test::cutTexts(m_window.get()).join("; ")));
                QVERIFY(m_window->openCase(1));
                QVERIFY(settle(*m_window));
                for (const Workspace w :
                     {Workspace::brief, Workspace::footage, Workspace::findings, Workspace::handover}) {
                    m_window->caseView()->show(w);
                    QVERIFY(settle(*m_window));
                    QVERIFY2(test::cutTexts(m_window.get()).isEmpty(),
                             qPrintable(workspaceName(w) + ": " + test::cutTexts(m_window.get()).join("; ")));
                }
            }
        }
        useTheme(Theme::light());
    }
};

QTEST_MAIN(TestShelf)
#include "test_shelf.moc"
