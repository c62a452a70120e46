// Two people in one film, each drafted under points of their own, through the real window.

#include "demo/demo_library.h"
#include "desktop/marking/marking_page.h"
#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QApplication>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QListWidget>
#include <QTabWidget>
#include <QTableWidget>
#include <QToolButton>

#include <cmath>

using namespace riflesso;

class TestTwoPeople : public test::WindowTest {
    Q_OBJECT
    static constexpr int kFrames = 24;
    Id m_take = 0;
    TrackSet m_truth; // the simulated analyst's marks of both

    MarkingPage* page() const { return view()->marking(); }
    MarkCanvas* canvas() const { return page()->canvas(); }
    QRectF boxOf(bool other, int frame) const {
        QRectF box;
        for (const auto& [name, track] : m_truth)
            if (onBody(name) && ofOther(name) == other)
                if (const auto m = track.find(FrameIndex(frame)); m != track.end())
                    box |= QRectF(m->second.at.x - 1, m->second.at.y - 1, 2, 2);
        return box.adjusted(-25, -45, 25, 40);
    }
    void drag(const QRectF& box) {
        const QTransform t = canvas()->toView();
        QTest::mousePress(canvas(), Qt::LeftButton, {}, t.map(box.topLeft()).toPoint());
        QTest::mouseMove(canvas(), t.map(box.center()).toPoint());
        QTest::mouseMove(canvas(), t.map(box.bottomRight()).toPoint());
        QTest::mouseRelease(canvas(), Qt::LeftButton, {}, t.map(box.bottomRight()).toPoint());
    }
    void draft(int who, int frame) {
        view()->bench().setFrame(frame);
        QVERIFY(settle(*m_window));
        QTest::keyClick(canvas(), Qt::Key_B);
        QVERIFY(page()->draft()->asking());
        auto* box = child<QComboBox>("draftWho");
        QVERIFY(box);
        box->setFocus();
        for (int i = 0; i < who; ++i)
            QTest::keyClick(box, Qt::Key_Down);
        QCOMPARE(box->currentIndex(), who);
        QTRY_VERIFY(!canvas()->box().isEmpty());
        drag(boxOf(who == 1, frame));
        if (who == 1) {
            auto* called = child<QLineEdit>("draftCalled");
            QVERIFY(called && called->isVisible());
            called->setFocus();
            QTest::keyClicks(called, "Ilse");
        }
        picture(who ? "draft-other" : "draft-athlete");
        QTest::keyClick(canvas(), Qt::Key_Return);
        QTRY_VERIFY(!page()->carrier()->busy());
        QVERIFY(settle(*m_window));
    }
    // Drafted marks of one person, and the median of how far they lie from that one's and from the other's true places.
    struct Found {
        int n = 0;
        double own = 1e9, wrong = 1e9;
    };
    Found found(bool other) const {
        std::vector<double> own, wrong;
        const auto tracks = data().marks.find(m_take);
        if (tracks == data().marks.end())
            return {};
        for (const auto& [name, track] : tracks->second)
            for (const auto& [frame, m] : track) {
                if (m.how != How::found || ofOther(name) != other)
                    continue;
                const std::string twin = other ? name.substr(6) : "other_" + name;
                const auto off = [&](const std::string& of, std::vector<double>& out) {
                    if (const auto t = m_truth.find(of); t != m_truth.end())
                        if (const auto at = t->second.find(frame); at != t->second.end())
                            out.push_back(std::hypot(m.at.x - at->second.at.x, m.at.y - at->second.at.y));
                };
                off(name, own);
                off(twin, wrong);
            }
        const auto median = [](std::vector<double>& v) {
            if (v.empty())
                return 1e9;
            std::nth_element(v.begin(), v.begin() + static_cast<std::ptrdiff_t>(v.size() / 2), v.end());
            return v[v.size() / 2];
        };
        return {static_cast<int>(own.size()), median(own), median(wrong)};
    }
private slots:
    void initTestCase() {
        prepare("RiflessoTestTwoPeople");
        DemoOptions pair;
        pair.films = RIFLESSO_SOURCE_DIR "/build/demo-films";
        pair.today = m_today;
        pair.only = "Kofi Mensah Adu";
        const auto joined = fillDemoLibrary(m_library.toStdString(), pair);
        QVERIFY2(joined.ok(), joined ? "" : joined.error().text().c_str());
        openWindow();
        const auto cases = book().library().cases();
        QVERIFY(cases.ok());
        Id handball = 0;
        for (const auto& c : *cases)
            if (c.blueprintId == "handball-marking")
                handball = c.id;
        QVERIFY(handball && m_window->openCase(handball));
        QVERIFY(settle(*m_window));
        m_take = data().takes.begin()->first;
        m_truth = data().marks.at(m_take);
        // One short rep, nothing marked.
        std::vector<Edit> edits;
        for (const auto& [name, track] : m_truth)
            for (const auto& [frame, mark] : track)
                edits.push_back(MarkEdit{{m_take, frame, name}, mark, std::nullopt});
        Id kept = 0;
        for (const Rep* r : repsOf(data(), m_take)) {
            if (kept) {
                edits.push_back(RepEdit{r->id, *r, std::nullopt});
                continue;
            }
            kept = r->id;
            Rep shorter = *r;
            shorter.positions.clear();
            shorter.seen.clear();
            shorter.seenOf.clear();
            shorter.last = *shorter.first + kFrames;
            edits.push_back(RepEdit{r->id, *r, shorter});
        }
        QVERIFY(book().perform("clear", edits));
        view()->show(Workspace::marking);
        view()->bench().selectRep(kept);
        QVERIFY(settle(*m_window));
    }
    void cleanupTestCase() { m_window.reset(); }

    void eachUnderPointsOfTheirOwn() {
        Take bare = data().takes.at(m_take);
        std::erase_if(bare.figure.extra, ofOther);
        bare.figure.called.clear();
        QVERIFY(book().setTake(bare, "forget the other"));
        const int at = data().reps.begin()->second.first->value + 4;
        draft(0, at);
        const Found athlete = found(false);
        QVERIFY(athlete.n > 100 && found(true).n == 0);
        QVERIFY2(athlete.own < 25.0 && athlete.own < 0.3 * athlete.wrong,
                 qPrintable(QString("%1 %2 %3").arg(athlete.n).arg(athlete.own).arg(athlete.wrong)));
        draft(1, at);
        const Found other = found(true);
        qInfo("the athlete: %d marks, %.1f px off; the other: %d, %.1f px", athlete.n, athlete.own, other.n, other.own);
        QVERIFY(other.n > 100);
        QVERIFY2(other.own < 25.0 && other.own < 0.3 * other.wrong,
                 qPrintable(QString("%1 %2 %3").arg(other.n).arg(other.own).arg(other.wrong)));
        QCOMPARE(found(false).n, athlete.n); // the first one's draft stays
        // The take has the other's points now: they are seen, asked for and can be taken back.
        const auto& extra = data().takes.at(m_take).figure.extra;
        QVERIFY(std::any_of(extra.begin(), extra.end(), ofOther));
        QCOMPARE(data().takes.at(m_take).figure.called.at(1), std::string("Ilse"));
        picture("two-people");
        // A correction of one of them is carried and teaches that one alone.
        QTest::keyClick(canvas(), Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        QCOMPARE(found(true).n, 0);
        QCOMPARE(found(false).n, athlete.n);
    }
    // Everybody who is seen on the frame, one after the other, with one gesture.
    void everybodyAtOnce() {
        QTest::keyClick(canvas(), Qt::Key_Z, Qt::ControlModifier);
        QTest::keyClick(canvas(), Qt::Key_Z, Qt::ControlModifier);
        QVERIFY(settle(*m_window));
        Take bare = data().takes.at(m_take);
        std::erase_if(bare.figure.extra, ofOther);
        bare.figure.called.clear();
        QVERIFY(book().setTake(bare, "forget the other"));
        view()->bench().setFrame(data().reps.begin()->second.first->value + 4);
        QVERIFY(settle(*m_window));
        QTest::keyClick(canvas(), Qt::Key_B);
        auto* who = child<QComboBox>("draftWho");
        who->setFocus();
        QTest::keyClick(who, Qt::Key_End);
        QCOMPARE(who->currentIndex(), 2);
        QTRY_VERIFY(canvas()->people().size() >= 2 && !canvas()->box().isEmpty());
        drag(boxOf(false, view()->bench().frame()));
        QTest::keyClick(canvas(), Qt::Key_Return);
        QTRY_VERIFY(!page()->carrier()->busy());
        QVERIFY(settle(*m_window));
        for (const bool other : {false, true}) {
            const Found f = found(other);
            QVERIFY2(f.n > 100 && f.own < 25.0 && f.own < 0.3 * f.wrong,
                     qPrintable(QString("%1: %2 %3 %4").arg(other).arg(f.n).arg(f.own).arg(f.wrong)));
        }
    }
    // What is seen of each of them is counted under their name.
    void seenOfEach() {
        Take named = data().takes.at(m_take);
        if (std::none_of(named.figure.extra.begin(), named.figure.extra.end(), ofOther))
            for (const auto& name : namesFor(Thing::other, {}))
                named.figure.extra.push_back(name);
        named.figure.called[1] = "Ilse";
        QVERIFY(book().setTake(named, "name her"));
        go(Workspace::marking);
        child<QTabWidget>("markingTabs")->setCurrentIndex(2);
        auto* who = child<QComboBox>("seenWho");
        QTRY_VERIFY(who && who->isVisible());
        who->setFocus();
        QTest::keyClick(who, Qt::Key_Down);
        QCOMPARE(who->currentText(), QString("Ilse"));
        press("seenNo");
        const auto rep = [&]() -> const Rep& { return data().reps.begin()->second; };
        QCOMPARE(rep().seenOf.at("Ilse").size(), std::size_t(1));
        QVERIFY(rep().seen.empty()); // nothing is said of the athlete
        // A name put right takes along what was seen.
        QVERIFY(book().callPerson(m_take, 1, "Ilse Brandt"));
        QCOMPARE(rep().seenOf.at("Ilse Brandt").begin()->second.verdict, SeenVerdict::no);
        QVERIFY(!rep().seenOf.contains("Ilse"));
        QCOMPARE(who->currentText(), QString("Ilse Brandt")); // still she who is judged
        QVERIFY(settle(*m_window));
        picture("seen-of-each");
        go(Workspace::findings);
        press("setsWay");
        auto* table = child<QTableWidget>("playerTable");
        QTRY_VERIFY(table->isVisible() && table->rowCount() == 1);
        QCOMPARE(table->item(0, 0)->text(), QString("Ilse Brandt"));
        QCOMPARE(table->item(0, 1)->text(), QString("no: 1 of 1"));
        picture("players");
    }
    // "Read it" on a film with two people asks by their pictures and goes on with the one that is clicked.
    void whoIsIt() {
        go(Workspace::footage);
        view()->bench().selectTake(m_take);
        press("readIt");
        QDialog* dialog = nullptr;
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>("whoDialog")) && dialog->isVisible());
        QVERIFY(dialog->findChild<QToolButton*>("person1") && dialog->findChild<QToolButton*>("person2"));
        picture("who", dialog);
        QTest::keyClick(dialog, Qt::Key_Escape);
        QTRY_VERIFY(!m_window->findChild<QDialog*>("whoDialog"));
        QVERIFY(!page()->carrier()->busy()); // nothing is read
        go(Workspace::footage);
        press("readIt");
        QTRY_VERIFY((dialog = m_window->findChild<QDialog*>("whoDialog")) && dialog->isVisible());
        QTest::keyClick(dialog, Qt::Key_2);
        QTRY_VERIFY(page()->carrier()->busy());
        page()->carrier()->cancel();
        QTRY_VERIFY(!page()->carrier()->busy());
        QVERIFY(settle(*m_window));
    }
};
QTEST_MAIN(TestTwoPeople)
#include "test_two_people.moc"
