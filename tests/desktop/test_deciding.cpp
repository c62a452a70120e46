// What a person decides, through the real window: findings taken up, parked and bent, sets made and compared, a plan
// kept, dragged, broken, overruled and taken back; all of it there after a restart.

#include "casebook/planner.h"
#include "desktop/asking/ask_dialog.h"
#include "desktop/findings/chain_view.h"
#include "desktop/findings/finding_list.h"
#include "desktop/findings/still_pair.h"
#include "desktop/progress/story_line.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "desktop/workbench/moving.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QAction>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDateEdit>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QDropEvent>
#include <QFile>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QSet>
#include <QSettings>
#include <QTableWidget>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestDeciding : public test::WindowTest {
    Q_OBJECT
    FindingList* list() const { return child<FindingList>("findingList"); }
    void choose(const std::string& key) {
        const QRect box = list()->boxOf(key);
        QVERIFY2(!box.isNull(), key.c_str());
        QTest::mouseClick(list(), Qt::LeftButton, {}, box.center());
        QVERIFY(list()->chosen() && list()->chosen()->key() == key);
        QVERIFY(settle(*m_window));
    }
    FindingItem::Group groupOf(const std::string& fault) const {
        for (const auto& i : list()->items())
            if (i.fault == fault)
                return i.group;
        return FindingItem::Group::undecided;
    }
    void drag(const QPointF& from, const QPointF& to) {
        auto* c = programme()->calendar();
        QTest::mousePress(c, Qt::LeftButton, {}, from.toPoint());
        QTest::mouseMove(c, ((from + to) / 2).toPoint());
        QTest::mouseMove(c, to.toPoint());
        QApplication::processEvents();
    }
private slots:
    void initTestCase() {
        prepare("RiflessoTestDeciding");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void findingsByKeys() {
        go(Workspace::findings);
        auto* pair = child<StillPair>("stillPair");
        const std::string first = list()->chosen()->key();
        QTest::keyClick(list(), Qt::Key_Down);
        QVERIFY(settle(*m_window));
        QVERIFY(list()->chosen()->key() != first);
        QVERIFY(pair->measure() == list()->chosen()->measure);
        QTest::keyClick(list(), Qt::Key_Up);
        QVERIFY(settle(*m_window));
        QCOMPARE(list()->chosen()->key(), first);
        // The chain follows the list, and the list the chain.
        auto* chain = view()->page(Workspace::findings)->findChild<ChainView*>();
        QCOMPARE("fault:" + chain->chosen(), first);
        // Arrows step the reps, to the ends and no further.
        for (int i = 0; i < 9; ++i)
            QTest::keyClick(pair, Qt::Key_Left);
        const Id one = pair->rep();
        QTest::keyClick(pair, Qt::Key_Right);
        QVERIFY(pair->rep() != one);
        QTest::keyClick(pair, Qt::Key_Left);
        QCOMPARE(pair->rep(), one);
        // Space plays the two films, and stops them.
        auto* moving = view()->page(Workspace::findings)->findChild<MirrorMoving*>();
        QTest::keyClick(pair, Qt::Key_Space);
        QVERIFY(moving->isVisible() && moving->playing());
        QTest::keyClick(moving, Qt::Key_Space);
        QVERIFY(!moving->playing() && pair->isVisible());
        // A click on the picture leads to its frame.
        QTest::mouseClick(pair, Qt::LeftButton, {}, QPoint(pair->width() / 2, pair->height() / 3));
        QVERIFY(view()->current() == Workspace::marking);
        QCOMPARE(view()->bench().rep()->id, one);
        go(Workspace::findings);
    }
    void takenUpParkedRejected() {
        go(Workspace::findings);
        choose("fault:trunk_falls");
        press("park");
        QVERIFY(groupOf("trunk_falls") == FindingItem::Group::parked);
        choose("fault:hand_late");
        press("takeUp");
        QVERIFY(groupOf("hand_late") == FindingItem::Group::working);
        QCOMPARE(view()->bench().analysis().judgement.focus, std::vector<std::string>{"hand_late"});
        auto* consent = child<QComboBox>("consent");
        QTest::keyClick(consent, Qt::Key_Down); // yes
        QVERIFY(settle(*m_window));
        QVERIFY(decisionOn(data(), "hand_late")->consent == Consent::yes);
        // A second one, and no third.
        choose("fault:rear_leg_soft");
        press("takeUp");
        QCOMPARE(view()->bench().analysis().judgement.focus.size(), std::size_t(2));
        choose("fault:trunk_falls");
        press("takeUp");
        QVERIFY(decisionOn(data(), "trunk_falls")->kind == DecisionKind::parked);
        QVERIFY(view()->shownError().contains("Two things"));
        for (auto* b : m_window->findChildren<QPushButton*>())
            if (b->isVisible() && b->text() == "Understood")
                QTest::mouseClick(b, Qt::LeftButton);
        QVERIFY(view()->shownError().isEmpty());
        book().undo(); // the rear leg is only found again
        QVERIFY(settle(*m_window));
        QVERIFY(!decisionOn(data(), "rear_leg_soft"));
        // Not for this athlete, with a reason from the menu.
        choose("fault:rear_leg_soft");
        QTest::mouseClick(child<QPushButton>("reject"), Qt::LeftButton);
        QMenu* menu = nullptr;
        QTRY_VERIFY((menu = qobject_cast<QMenu*>(QApplication::activePopupWidget())));
        QTest::mouseClick(menu, Qt::LeftButton, {}, menu->actionGeometry(menu->actions().first()).center());
        QVERIFY(settle(*m_window));
        QVERIFY(groupOf("rear_leg_soft") == FindingItem::Group::rejected);
        choose("fault:hand_late");
        picture("decided");
        QCOMPARE(decisionOn(data(), "rear_leg_soft")->reason, std::string("build"));
    }
    void anOwnTargetAndAnOwnFinding() {
        choose("fault:hand_late");
        QTest::mouseClick(child<QPushButton>("ownTarget"), Qt::LeftButton);
        QDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>()) && dialog->isVisible());
        auto* low = dialog->findChild<QDoubleSpinBox*>("targetLow");
        low->setFocus();
        low->selectAll();
        QTest::keyClicks(low, "-400");
        QTest::keyClicks(dialog->findChild<QLineEdit*>("targetReason"), "long arms");
        QTest::mouseClick(dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok), Qt::LeftButton);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().brief.targets.size(), std::size_t(1));
        QCOMPARE(data().brief.targets[0].reason, std::string("long arms"));
        QVERIFY(std::abs(data().brief.targets[0].lo + 0.4) < 1e-9); // ms on the screen, s in the library
        // The number is inside now; what was taken up stays, and says so.
        QVERIFY(groupOf("hand_late") == FindingItem::Group::working);
        QVERIFY(view()->bench().analysis().decided.size() == 3);
        book().undo();
        QVERIFY(settle(*m_window));
        QTest::mouseClick(child<QPushButton>("ownFinding"), Qt::LeftButton);
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>()) && dialog->isVisible());
        QTest::keyClicks(dialog->findChild<QLineEdit*>("ownWords"), "looks at the floor");
        QTest::mouseClick(dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok), Qt::LeftButton);
        QVERIFY(settle(*m_window));
        QVERIFY(std::any_of(list()->items().begin(), list()->items().end(),
                            [](const auto& i) { return i.name == "looks at the floor"; }));
    }
    void aGoalInNumbers() {
        go(Workspace::findings);
        choose("fault:hand_late");
        QTest::mouseClick(child<QPushButton>("goal"), Qt::LeftButton);
        QDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>()) && dialog->isVisible());
        auto* to = dialog->findChild<QDoubleSpinBox*>("goalTo");
        to->setFocus();
        to->selectAll();
        QTest::keyClicks(to, "-20");
        QTest::mouseClick(dialog->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok), Qt::LeftButton);
        QVERIFY(settle(*m_window));
        QVERIFY(data().brief.aim && std::abs(data().brief.aim->to + 0.02) < 1e-9 && data().brief.aim->by);
        go(Workspace::progress);
        auto* answer = child<QLabel>("progressAnswer");
        QVERIFY2(answer->text().contains("Goal \u221220 ms"), qPrintable(answer->text()));
        QVERIFY(answer->text().contains("not yet"));
    }
    void theStoryLeadsThere() {
        go(Workspace::progress);
        auto* story = child<StoryLine>("storyLine");
        // Somewhere along the line there is a film, and practice below it.
        QSet<int> reached;
        QSet<QString> diaries;
        for (int x = 20; x < story->width() - 20; x += 8) {
            view()->show(Workspace::progress);
            QTest::mouseClick(story, Qt::LeftButton, {}, QPoint(x, 58));
            reached.insert(static_cast<int>(view()->current()));
            // A practised day opens the diary there.
            if (auto* diary = m_window->findChild<QDialog*>("diary")) {
                QCOMPARE(view()->current(), Workspace::practice);
                diaries.insert(diary->findChild<QListWidget*>("diaryDays")->currentItem()->text());
                diary->reject();
                QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
                QVERIFY(!m_window->findChild<QDialog*>("diary"));
            }
        }
        QVERIFY2(diaries.size() >= 2, qPrintable(QStringList(diaries.values()).join("; ")));
        QVERIFY(reached.contains(static_cast<int>(Workspace::footage)));
        QVERIFY(reached.contains(static_cast<int>(Workspace::practice)));
        QVERIFY(reached.contains(static_cast<int>(Workspace::programme))); // the competition
        go(Workspace::findings);
    }
    void aQuestionToAFrame() {
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-side.mp4")
                view()->bench().selectTake(id);
        go(Workspace::marking);
        m_window->activateWindow(); // off screen no window manager does it
        QTRY_VERIFY(m_window->isActiveWindow());
        QTest::keyClick(m_window->focusWidget() ? m_window->focusWidget() : m_window.get(), Qt::Key_Q);
        AskDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<AskDialog*>("askDialog")) && dialog->isVisible());
        AskView* ask = dialog->view();
        QTRY_VERIFY(!ask->picture().isNull());
        const auto click = [&](double x, double y) {
            QTest::mouseClick(ask, Qt::LeftButton, {}, ask->toView().map(QPointF(x, y)).toPoint());
        };
        // A click lands on a whole pixel of the screen, which is smaller than the film's.
        const auto answers = [&](const char* kind, double value) {
            const QString words = dialog->answerWords();
            const auto at = words.indexOf(kind);
            return at >= 0 &&
                   std::abs(words.mid(at + qsizetype(strlen(kind))).section(' ', 1, 1).toDouble() - value) < 2.0;
        };
        // Away from the athlete: nothing catches the points.
        click(100, 100);
        QVERIFY(dialog->answerWords().isEmpty()); // one point answers nothing
        click(200, 100);
        QVERIFY2(answers("length", 100), qPrintable(dialog->answerWords()));
        click(200, 200);
        QVERIFY2(answers("angle at the second point", 90), qPrintable(dialog->answerWords()));
        if (const QString folder = qEnvironmentVariable("RIFLESSO_PICTURES"); !folder.isEmpty())
            settle(*m_window), dialog->grab().save(folder + "/ask.png");
        QTest::keyClick(dialog, Qt::Key_Backspace);
        QCOMPARE(ask->points().size(), std::size_t(2));
        // Over time: the same points on another frame.
        QTest::keyClick(dialog, Qt::Key_T);
        for (int i = 0; i < 3; ++i)
            QTest::keyClick(dialog, Qt::Key_Right, Qt::ShiftModifier);
        QVERIFY2(dialog->answerWords().contains("time between the frames 0.250"), qPrintable(dialog->answerWords()));
        QTest::keyClick(dialog, Qt::Key_T);
        click(100, 100);
        click(200, 100);
        const std::size_t before = data().decisions.size();
        QTest::keyClick(dialog, Qt::Key_Return);
        QCOMPARE(data().decisions.size(), before + 1);
        QVERIFY(data().decisions.rbegin()->second.words.find("length ") == 0);
        QVERIFY(book().undo());
        go(Workspace::findings);
    }
    void setAgainstSet() {
        // Yesterday's reps from the fourth on become a set, in Footage.
        std::vector<Id> reps;
        for (const auto& [id, r] : data().reps)
            if (data().takes.at(r.take).film == "athlete-side.mp4" && r.number > 3)
                reps.push_back(id);
        go(Workspace::footage);
        view()->bench().selectRep(reps.front());
        for (auto* b : view()->page(Workspace::footage)->findChildren<QPushButton*>())
            if (b->text() == "Reps")
                QTest::mouseClick(b, Qt::LeftButton);
        QVERIFY(settle(*m_window));
        auto* name = child<QLineEdit>("set");
        name->setFocus();
        QTest::keyClicks(name, "after the hint");
        QTest::keyClick(name, Qt::Key_Return);
        QVERIFY(settle(*m_window));
        QCOMPARE(data().reps.at(reps.front()).set, std::string("after the hint"));
        QVERIFY(data().reps.at(reps.back()).set.empty());
        press("setOn");
        QCOMPARE(data().reps.at(reps.back()).set, std::string("after the hint"));
        picture("footage-reps");
        go(Workspace::findings);
        auto* judged = child<QComboBox>("judgedSet");
        QCOMPARE(judged->count(), 3);
        int hint = -1;
        for (int i = 0; i < judged->count(); ++i)
            hint = judged->itemText(i).startsWith("after the hint") ? i : hint;
        QVERIFY(hint >= 0);
        QTest::keyClick(judged, hint == 0 ? Qt::Key_Home : hint == 1 ? Qt::Key_Down : Qt::Key_End);
        QVERIFY(settle(*m_window));
        press("setsWay");
        auto* table = child<QTableWidget>("setTable");
        QVERIFY(table && table->columnCount() >= 4 && table->rowCount() > 5);
        QVERIFY(child<QLabel>("setWords")->text().contains("after the hint"));
        picture("sets");
        QVERIFY(book().putInSet(reps, "") && settle(*m_window));
    }
    void aPlanIsKeptAndBent() {
        go(Workspace::programme);
        planned();
        QVERIFY(!programme()->calendar()->blocks().empty());
        QVERIFY(data().planned.empty()); // a proposal is nobody's plan yet
        press("keepPlan");
        planned();
        const auto kept = data().planned;
        QVERIFY(!kept.empty());
        // Dragged to a day of rest: the line says what it breaks while it is still in the hand.
        auto* calendar = programme()->calendar();
        std::size_t at = 0;
        while (calendar->blocks()[at].home())
            ++at;
        const PlannedBlock block = calendar->blocks()[at];
        Day rest = block.day + std::chrono::days(1);
        while (data().brief.minutes[static_cast<std::size_t>(weekdayOf(rest))] > 0)
            rest += std::chrono::days(1);
        drag(calendar->chipOf(at).center(), calendar->cellOf(rest).center());
        auto* words = child<QLabel>("planWords");
        QVERIFY2(words->text().contains("day of rest"), qPrintable(words->text()));
        QTest::mouseRelease(calendar, Qt::LeftButton, {}, calendar->cellOf(rest).center().toPoint());
        planned();
        QVERIFY(data().planned.at(block.id).day == rest && data().planned.at(block.id).locked);
        QVERIFY(words->text().contains("day of rest"));
        picture("broken");
        // Overruled knowingly; taken back; and the whole gesture too.
        press("planAccept");
        QCOMPARE(data().planned.at(block.id).accepted, std::vector<std::string>{"rest day"});
        QVERIFY(book().undo() && book().undo());
        planned();
        QVERIFY2(data().planned == kept, "one gesture is one step");
        // Moved by the keyboard, ticked off, taken away.
        calendar->choose(at);
        QTest::keyClick(calendar, Qt::Key_D);
        QVERIFY(data().planned.at(block.id).state == BlockState::done);
        planned();
        const auto next = std::find_if(calendar->blocks().begin(), calendar->blocks().end(), [&](const auto& b) {
            return b.id != block.id && b.state == BlockState::planned;
        });
        QVERIFY(next != calendar->blocks().end());
        const Id gone = next->id;
        calendar->choose(static_cast<std::size_t>(next - calendar->blocks().begin()));
        QTest::keyClick(calendar, Qt::Key_Delete);
        planned();
        QVERIFY(data().planned.at(gone).state == BlockState::dropped);
    }
    void thePlanByKeysAndByDrop() {
        auto* calendar = programme()->calendar();
        const auto find = [&](auto wanted) {
            const auto& all = calendar->blocks();
            const auto it = std::find_if(all.begin(), all.end(), wanted);
            return it == all.end() ? all.size() : static_cast<std::size_t>(it - all.begin());
        };
        const auto free = [](const PlannedBlock& b) { return b.state == BlockState::planned && !b.locked; };
        std::size_t at = find(free);
        QVERIFY(at < calendar->blocks().size());
        const PlannedBlock block = calendar->blocks()[at];
        calendar->choose(at);
        QTest::keyClick(calendar, Qt::Key_Right, Qt::AltModifier);
        // Locked while the worker still lays the rest: the lock must not be laid over.
        const Id other = calendar->blocks()[find([&](const auto& b) { return free(b) && b.id != block.id; })].id;
        calendar->choose(find([&](const auto& b) { return b.id == other; }));
        QSettings().setValue("who", "Anna");
        QTest::keyClick(calendar, Qt::Key_L);
        planned();
        QCOMPARE(data().planned.at(other).by, std::string("Anna"));
        QSettings().remove("who");
        QVERIFY(data().planned.at(block.id).day == block.day + std::chrono::days(1));
        QVERIFY(data().planned.at(other).locked);
        calendar->choose(find([&](const auto& b) { return b.id == other; }));
        const double minutes = data().planned.at(other).minutes;
        QTest::keyClick(calendar, Qt::Key_Plus);
        planned();
        QCOMPARE(data().planned.at(other).minutes, minutes + 1);
        // A drill from the ladder onto a day.
        const std::size_t before = data().planned.size();
        Day day = m_today + std::chrono::days(8);
        while (data().brief.minutes[static_cast<std::size_t>(weekdayOf(day))] == 0)
            day += std::chrono::days(1);
        QMimeData mime;
        mime.setData(PlanCalendar::kDrillMime, "wall_point");
        const QPointF place = calendar->cellOf(day).center();
        QDragEnterEvent enter(place.toPoint(), Qt::CopyAction, &mime, Qt::LeftButton, {});
        QDragMoveEvent move(place.toPoint(), Qt::CopyAction, &mime, Qt::LeftButton, {});
        QDropEvent drop(place, Qt::CopyAction, &mime, Qt::LeftButton, {});
        QApplication::sendEvent(calendar, &enter);
        QApplication::sendEvent(calendar, &move);
        QVERIFY(move.isAccepted());
        QVERIFY(child<QLabel>("planWords")->text().contains(QString::fromStdString(dayWords(day)).left(6)));
        QApplication::sendEvent(calendar, &drop);
        planned();
        QVERIFY(data().planned.size() > before);
        QVERIFY(std::any_of(data().planned.begin(), data().planned.end(), [&](const auto& p) {
            return p.second.drill == "wall_point" && p.second.day == day && p.second.locked;
        }));
        QVERIFY(book().undo());
        planned();
        QVERIFY(std::none_of(data().planned.begin(), data().planned.end(), [&](const auto& p) {
            return p.second.drill == "wall_point" && p.second.day == day && p.second.locked;
        }));
        // Another regime lays it anew, as one step with the choice.
        const auto stood = data();
        QTest::keyClick(child<QComboBox>("regime"), Qt::Key_Down);
        planned();
        QCOMPARE(data().brief.regime, std::string("often"));
        QVERIFY(book().undo());
        planned();
        QVERIFY(data().brief == stood.brief && data().planned == stood.planned);
    }
    void practiceTicksThePlanOff() {
        const Drill* drill = nullptr;
        Id id = 0;
        for (const auto& [key, b] : data().planned)
            if (!drill && b.state == BlockState::planned && !b.home()) {
                drill = view()->bench().blueprint().drill(b.drill);
                id = key;
            }
        QVERIFY(drill);
        Block block{0, data().planned.at(id).day, drill->id, drill->stage, {{{}, true, {}}}, {}, {}};
        QVERIFY(book().addBlock(block));
        QVERIFY(data().planned.at(id).state == BlockState::done);
        QVERIFY(book().undo());
        QVERIFY(data().planned.at(id).state == BlockState::planned);
    }
    void theBriefKeepsWhatItDoesNotShow() {
        Brief b = data().brief;
        b.athlete.squad = "Thursday";
        b.competitions = {m_today + std::chrono::days(40), m_today + std::chrono::days(70)};
        QVERIFY(book().setBrief(b));
        go(Workspace::brief);
        for (const QString name : {"Alone on Tue", "At home on Tue", "foil at the club"})
            for (auto* box : view()->page(Workspace::brief)->findChildren<QCheckBox*>())
                if (box->accessibleName() == name)
                    QTest::mouseClick(box, Qt::LeftButton, {}, QPoint(8, box->height() / 2));
        QVERIFY(data().brief.alone[1]);
        QVERIFY(data().brief.places[1] == PracticePlace::home);
        QCOMPARE(data().brief.lacks[0], std::vector<std::string>{"foil"});
        QVERIFY(data().brief.lacks[1].empty());
        QCOMPARE(data().brief.athlete.squad, std::string("Thursday"));
        QCOMPARE(data().brief.competitions, b.competitions);
        // One more, in its place; the first is taken away; undo brings it back.
        auto* day = child<QDateEdit>("competitionDay");
        day->setDate(QDate(2027, 1, 16)); // between the two
        press("addCompetition");
        QCOMPARE(data().brief.competitions.size(), std::size_t(3));
        QCOMPARE(data().brief.competitions[1], *dayFromIso("2027-01-16"));
        press("addCompetition"); // twice is once
        QCOMPARE(data().brief.competitions.size(), std::size_t(3));
        QVERIFY(settle(*m_window));
        press("competition");
        QTRY_COMPARE(data().brief.competitions.size(), std::size_t(2));
        QCOMPARE(data().brief.competitions.front(), *dayFromIso("2027-01-16"));
        QVERIFY(book().undo());
        QCOMPARE(data().brief.competitions.size(), std::size_t(3));
    }
    void allOfItIsThereAfterARestart() {
        const auto planned = data().planned;
        const auto decisions = data().decisions;
        QVERIFY(!decisions.empty());
        m_window.reset();
        openWindow();
        QVERIFY(data().planned == planned && data().decisions == decisions);
        go(Workspace::findings);
        QVERIFY(groupOf("hand_late") == FindingItem::Group::working);
        // Closed: it stays on record and is a finding again.
        choose("fault:hand_late");
        press("closeDecision");
        QVERIFY(!decisionOn(data(), "hand_late"));
        QVERIFY(groupOf("hand_late") == FindingItem::Group::found);
    }
    void aCalendarFromOutside() {
        QFile file(m_dir.filePath("busy.ics"));
        QVERIFY(file.open(QIODevice::WriteOnly));
        file.write("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
                   "DTSTART:20261126T180000\r\nDTEND:20261126T200000\r\nSUMMARY:Choir\r\nEND:VEVENT\r\n"
                   "END:VCALENDAR\r\n");
        file.close();
        go(Workspace::programme);
        planned();
        QVERIFY(programme()->takeCalendarIn(file.fileName(), "cup"));
        QCOMPARE(data().brief.busy.size(), std::size_t(1));
        planned();
        QVERIFY(!programme()->takeCalendarIn(m_dir.filePath("none.ics"), "cup"));
        QVERIFY(book().undo());
        QVERIFY(data().brief.busy.empty());
    }
};

QTEST_MAIN(TestDeciding)
#include "test_deciding.moc"
