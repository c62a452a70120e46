// What a person decides, through the real window: findings taken up, parked and bent, sets made and compared, a plan
// kept, dragged, broken, overruled and taken back; all of it there after a restart.

#include "casebook/planner.h"
#include "desktop/findings/finding_list.h"
#include "desktop/footage/footage_page.h"
#include "desktop/programme/programme_page.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "tests/support/demo_copy.h"

#include <QAction>
#include <QApplication>
#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QDialogButtonBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QLineEdit>
#include <QMenu>
#include <QSettings>
#include <QStandardPaths>
#include <QTableWidget>
#include <QTemporaryDir>
#include <QTest>

#include <algorithm>

using namespace riflesso;

class TestDeciding : public QObject {
    Q_OBJECT
    QTemporaryDir m_dir;
    QString m_library;
    std::unique_ptr<MainWindow> m_window;
    const Day m_today = *dayFromIso("2026-11-23");

    CaseView* view() const { return m_window->caseView(); }
    Casebook& book() const { return view()->bench().book(); }
    const CaseData& data() const { return book().data(); }
    template <typename T> T* child(const char* name) const {
        for (T* w : m_window->findChildren<T*>(name))
            if (w->isVisible())
                return w;
        qWarning("no %s", name);
        return nullptr;
    }
    void press(const char* button) {
        auto* b = child<QPushButton>(button);
        QVERIFY(b);
        QTest::mouseClick(b, Qt::LeftButton);
        QVERIFY(settle(*m_window));
    }
    // For a look: RIFLESSO_PICTURES names a folder.
    void picture(const char* name) const {
        if (const QString folder = qEnvironmentVariable("RIFLESSO_PICTURES"); !folder.isEmpty())
            m_window->grab().save(folder + "/" + name + ".png");
    }
    FindingList* list() const { return child<FindingList>("findingList"); }
    void choose(const std::string& key) {
        const QRect box = list()->boxOf(key);
        QVERIFY2(!box.isNull(), key.c_str());
        QTest::mouseClick(list(), Qt::LeftButton, {}, box.center());
        QVERIFY(list()->chosen() && list()->chosen()->key() == key);
        QVERIFY(settle(*m_window));
    }
    void go(Workspace w) {
        view()->show(w);
        QVERIFY(settle(*m_window));
    }
    FindingItem::Group groupOf(const std::string& fault) const {
        for (const auto& i : list()->items())
            if (i.fault == fault)
                return i.group;
        return FindingItem::Group::undecided;
    }
    void openWindow() {
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(m_library) && (m_window->caseView() || m_window->openCase(1)));
        QVERIFY(settle(*m_window));
    }
    ProgrammePage* programme() const { return static_cast<ProgrammePage*>(view()->page(Workspace::programme)); }
    void planned() {
        QTRY_VERIFY_WITH_TIMEOUT(!programme()->planning() && !book().analysing(), 60000);
        QVERIFY(settle(*m_window));
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
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName("RiflessoTest");
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        m_library = m_dir.path() + "/library";
        QVERIFY(test::copyDemo(m_library));
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

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
    void setAgainstSet() {
        // Two of yesterday's reps become a set.
        std::vector<Id> reps;
        for (const auto& [id, r] : data().reps)
            if (data().takes.at(r.take).film == "athlete-side.mp4" && r.number > 3)
                reps.push_back(id);
        QVERIFY(book().putInSet(reps, "after the hint") && settle(*m_window));
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
        for (auto* box : view()->page(Workspace::brief)->findChildren<QCheckBox*>())
            if (box->accessibleName() == "Alone on Tue")
                QTest::mouseClick(box, Qt::LeftButton, {}, QPoint(8, box->height() / 2));
        QVERIFY(data().brief.alone[1]);
        QCOMPARE(data().brief.athlete.squad, std::string("Thursday"));
        QCOMPARE(data().brief.competitions, b.competitions);
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
};

QTEST_MAIN(TestDeciding)
#include "test_deciding.moc"
