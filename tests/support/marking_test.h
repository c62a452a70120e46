#pragma once
/// \file
/// What tests of Marking share: the demo's side take with its first rep marked or with nothing, the eye that knows
/// where everything is, keys and clicks on the canvas.

#include "tests/support/patience.h"
#include "tests/support/window_test.h"

#include <QApplication>
#include <QLabel>
#include <QMenu>
#include <QTimer>
#include <QToolButton>

namespace riflesso::test {

class MarkingTest : public WindowTest {
protected:
    QMap<QString, Eye> m_eyes; ///< by key position of the first rep
    Id m_rep = 0;

    MarkingPage* page() const { return view()->marking(); }
    MarkCanvas* canvas() const { return page()->canvas(); }
    Workbench& bench() const { return view()->bench(); }
    const Rep& rep() const { return data().reps.at(m_rep); }
    Id take() const {
        for (const auto& [id, t] : data().takes)
            if (t.film == "athlete-side.mp4")
                return id;
        return 0;
    }
    bool readable(const QString& text) const {
        for (const QLabel* l : m_window->findChildren<QLabel*>())
            if (l->isVisible() && l->text().contains(text))
                return true;
        return false;
    }
    void key(Qt::Key k, Qt::KeyboardModifiers m = {}) {
        // Off screen nobody gives the window back its place when a menu of a busy machine closes late.
        if (QApplication::activeWindow() != m_window.get() || !QApplication::focusWidget()) {
            QApplication::setActiveWindow(m_window.get());
            canvas()->setFocus();
        }
        QTest::keyClick(canvas(), k, m);
    }
    void stepTo(int frame) {
        key(Qt::Key_Home);
        for (int i = 0; i < 200 && bench().frame() + 10 <= frame; ++i)
            key(Qt::Key_Right, Qt::ShiftModifier);
        for (int i = 0; i < 10 && bench().frame() < frame; ++i)
            key(Qt::Key_Right);
        settle(*m_window);
    }
    void clickAt(QPointF inPicture) {
        QTest::mouseClick(canvas(), Qt::LeftButton, {}, canvas()->toView().map(inPicture).toPoint());
    }
    // Clicks whatever the guide asks for, where the eye sees it on this frame, until nothing is open there.
    int clickAll(const QString& position) {
        const auto& eye = m_eyes[position].at;
        int clicks = 0;
        for (; clicks < 30; ++clicks) {
            const QString asked = QString::fromStdString(canvas()->landmark());
            const auto m = data().marks.find(take());
            const bool there = m != data().marks.end() && m->second.contains(asked.toStdString()) &&
                               m->second.at(asked.toStdString()).contains(FrameIndex(bench().frame()));
            if (there || !eye.contains(asked))
                break;
            clickAt(eye[asked]);
        }
        return clicks;
    }
    bool carried() {
        return QTest::qWaitFor([&] { return !page()->carrier()->busy(); }, test::kPatience) && settle(*m_window);
    }
    // Opens the menu of points and chooses by keys, in its submenu when \p sub is given.
    void choosePoint(const QString& action, const QString& sub = {}) {
        auto* menu = m_window->findChild<QMenu*>("pointsMenu");
        const auto choose = [](QMenu* m, const QString& words, Qt::Key how) {
            for (int i = 0; i < 20 && !(m->activeAction() && m->activeAction()->text() == words); ++i)
                QTest::keyClick(m, Qt::Key_Down);
            QAction* a = m->activeAction();
            if (!a || a->text() != words) {
                qWarning("no %s", qPrintable(words));
                return static_cast<QMenu*>(nullptr);
            }
            QTest::keyClick(m, how);
            return a->menu();
        };
        // On a busy machine a submenu may come too late for its key: then the whole is done again, as one would.
        bool chosen = false;
        const auto heard = connect(menu, &QMenu::triggered, this, [&] { chosen = true; });
        for (int attempt = 0; attempt < 4 && !chosen; ++attempt) {
            int ticks = 0;
            QTimer tick; // the menu runs its own loop inside the click
            connect(&tick, &QTimer::timeout, this, [&] {
                if (!menu->isVisible())
                    return;
                if (ticks++ > 0) {
                    while (QWidget* open = QApplication::activePopupWidget()) // whatever went wrong
                        if (!open->close())
                            break;
                    return;
                }
                QMenu* more = choose(menu, action, sub.isEmpty() ? Qt::Key_Return : Qt::Key_Right);
                if (!sub.isEmpty() && more && QTest::qWaitFor([&] { return more->isVisible(); }, test::kPatience))
                    choose(more, sub, Qt::Key_Return);
            });
            tick.start(50);
            QTest::mouseClick(child<QToolButton>("points"), Qt::LeftButton);
        }
        disconnect(heard);
        QVERIFY2(chosen, qPrintable(action));
        QVERIFY(!QApplication::activePopupWidget());
        QVERIFY(settle(*m_window));
    }
    /// Opens Marking on the first rep of the side take. Of the take nothing is marked (or, with \p marked, that rep
    /// alone); it is only known where its first two reps are.
    void openMarking(const char* name, bool marked) {
        prepare(name);
        for (const char* p : {"on_guard", "foot_leaves", "heel_lands", "lunge_held", "back_on_guard"}) {
            m_eyes[p] = lookAt("athlete-side", p);
            QVERIFY(m_eyes[p].at.size() == 21);
        }
        openWindow();
        const auto reps = repsOf(data(), take());
        QVERIFY(reps.size() >= 2);
        m_rep = reps.front()->id;
        QCOMPARE(rep().number, 1);
        QVERIFY(rep().first && rep().last);
        std::vector<Edit> edits;
        for (const auto& [landmark, track] : data().marks.at(take()))
            for (const auto& [frame, mark] : track)
                if (!marked || frame < *rep().first || *rep().last < frame)
                    edits.push_back(MarkEdit{{take(), frame, landmark}, mark, std::nullopt});
        for (const Rep* r : reps) {
            if (marked && r->id == m_rep)
                continue;
            Rep after = *r;
            after.positions.clear();
            edits.push_back(RepEdit{r->id, *r, r->number <= 2 ? std::optional(after) : std::nullopt});
        }
        for (const auto& [id, t] : data().takes)
            if (!t.captureRate) {
                Take known = t;
                known.captureRate = 120.0;
                edits.push_back(TakeEdit{id, t, known});
            }
        QVERIFY(bench().book().perform("clear", edits));
        go(Workspace::marking);
        bench().selectRep(m_rep);
        QVERIFY(settle(*m_window));
        canvas()->setFocus();
    }
};

} // namespace riflesso::test
