// One table a page: keys, menus, tooltips and the sheet say and do the same.

#include "desktop/parts/key_table.h"
#include "desktop/shell/key_sheet.h"
#include "tests/support/window_test.h"

#include <QDialog>
#include <QMenu>
#include <QPushButton>
#include <QTest>
#include <QTextBrowser>
#include <QTextDocument>
#include <QTimer>
#include <QToolButton>

using namespace riflesso;

namespace {
QString plain(const QString& html) {
    QTextDocument document;
    document.setHtml(html);
    return document.toPlainText();
}
} // namespace

class TestKeys : public test::WindowTest {
    Q_OBJECT
private slots:
    void initTestCase() {
        prepare("RiflessoTestKeys");
        openWindow();
    }
    void cleanupTestCase() { m_window.reset(); }

    void aKeyDoesWhatItsLineSays() {
        QWidget page;
        KeyTable keys(&page);
        QStringList done;
        QPushButton button("Go");
        keys.add("Carry, alone", {"C"}, [&] { done += "c"; });
        keys.add("carry, alone", {"Shift+C"}, [&] { done += "C"; });
        keys.add("go on", {"Ctrl+Right"}, [&] { done += "ctrl"; });
        QAction* go = keys.add("go", {"Return", "Enter"}, [&] { done += "go"; });
        keys.add("only in a menu", {}, [&] { done += "menu"; });
        keys.also({"+"}, [&] { done += "plus"; });
        int stepped = 0;
        keys.addSteps("a step", "Alt+", [&](int n) { stepped += n; });
        const auto press = [&](int key, Qt::KeyboardModifiers with = {}) {
            QKeyEvent event(QEvent::KeyPress, key, with);
            return keys.press(&event);
        };
        QVERIFY(press(Qt::Key_C) && press(Qt::Key_C, Qt::ShiftModifier));
        QVERIFY(press(Qt::Key_Plus, Qt::ShiftModifier)); // on some keyboards it is typed so
        QVERIFY(press(Qt::Key_Enter, Qt::KeypadModifier));
        QVERIFY(press(Qt::Key_Right, Qt::ControlModifier));
        QVERIFY(!press(Qt::Key_Right) && !press(Qt::Key_C, Qt::ControlModifier) && !press(Qt::Key_X));
        QCOMPARE(done, QStringList({"c", "C", "plus", "go", "ctrl"}));
        QVERIFY(press(Qt::Key_Right, Qt::AltModifier) && press(Qt::Key_Left, Qt::AltModifier | Qt::ShiftModifier));
        QCOMPARE(stepped, -9);
        QCOMPARE(keys.rows().size(), 4u); // the ones that share words are one line
        QCOMPARE(keys.rows()[0].keys, QString("C\u00a0\u00a0Shift+C"));
        QCOMPARE(keys.rows()[0].words, QString("carry, alone"));
        QCOMPARE(keys.rows()[1].keys, QString("Ctrl+→"));
        KeyTable::give(&button, go, "Starts it.");
        QVERIFY2(button.toolTip() == "Starts it. (Return)", qPrintable(button.toolTip()));
        button.click();
        QCOMPARE(done.last(), QString("go"));
        QVERIFY(keys.clashes().isEmpty());
        keys.also({"Shift+C", "no key at all"}, [] {});
        QCOMPARE(keys.clashes(), QStringList({"Shift+C", "no key at all"}));
    }
    void noPageGivesAKeyTwice() {
        int tables = 0;
        for (int i = 0; i < kWorkspaces; ++i)
            if (const KeyTable* table = KeyTable::of(view()->page(static_cast<Workspace>(i)))) {
                ++tables;
                QVERIFY2(table->clashes().isEmpty(), qPrintable(table->clashes().join(" ")));
                QVERIFY(!table->rows().empty());
            }
        QCOMPARE(tables, 7); // Brief and Progress are forms and pictures
    }
    // What is looked at comes first; every line of every page is on it.
    void theSheetIsReadOffThem() {
        view()->show(Workspace::marking);
        QString shown;
        QTimer::singleShot(0, this, [&] {
            auto* dialog = qobject_cast<QDialog*>(QApplication::activeModalWidget());
            if (!dialog)
                return;
            picture("keys", dialog);
            shown = dialog->findChild<QTextBrowser*>("keySheet")->toPlainText();
            dialog->reject();
        });
        QTest::keyClick(m_window.get(), Qt::Key_F1, Qt::ShiftModifier);
        QVERIFY(shown.startsWith(workspaceName(Workspace::marking)));
        for (int i = 0; i < kWorkspaces; ++i)
            if (const KeyTable* table = KeyTable::of(view()->page(static_cast<Workspace>(i))))
                for (const auto& row : table->rows())
                    QVERIFY2(shown.contains(row.words) && shown.contains(QString(row.keys).replace(QChar::Nbsp, " ")),
                             qPrintable(row.words));
        QVERIFY(shown.contains("Ctrl+Z") && shown.contains("Ask this frame"));
        // Without a case there is the window's own menus.
        const QString bare = plain(keySheet(*m_window->menuBar(), nullptr));
        QVERIFY(bare.contains("Ctrl+Z") && !bare.contains("landmark before"));
    }
    // A menu's line is the key's action.
    void theMenuSaysTheKey() {
        view()->show(Workspace::marking);
        auto* more = child<QToolButton>("more");
        QVERIFY(more && more->menu());
        QStringList lines;
        for (const QAction* a : more->menu()->actions())
            lines += a->text() + "|" + a->shortcut().toString();
        QVERIFY2(lines.contains("Not to be seen on this frame|X"), qPrintable(lines.join("\n")));
        QVERIFY(lines.contains("Copy them with sides swapped|Shift+V"));
    }
    // It stood on the sheet and did nothing, because a page left everything with Ctrl to the window.
    void hollowPegsOfAllRepsAreAcceptedByKey() {
        view()->show(Workspace::marking);
        MarkingPage* page = view()->marking();
        const auto reps = repsOf(data(), view()->bench().take()->id);
        QVERIFY(reps.size() >= 2);
        const std::vector<Id> ids{reps[0]->id, reps[1]->id};
        for (const Id id : ids) {
            const auto [position, at] = *data().reps.at(id).positions.begin();
            const Timebase time = timebaseOf(data().takes.at(data().reps.at(id).take));
            QVERIFY(book().clearPosition(id, position));
            QVERIFY(book().proposePositions(
                id, {{position, {at.frame, time.real(at.frame).value, 0.1 * time.realPeriod(at.frame), true, {}}}}));
            QVERIFY(data().reps.at(id).positions.at(position).proposed);
        }
        page->setFocus();
        QTest::keyClick(page, Qt::Key_Return, Qt::ControlModifier | Qt::ShiftModifier);
        for (const Id id : ids)
            for (const auto& [position, at] : data().reps.at(id).positions)
                QVERIFY(!at.proposed);
    }
    void aPegIsTakenAwayByKey() {
        view()->show(Workspace::marking);
        MarkingPage* page = view()->marking();
        const Rep rep = *repsOf(data(), view()->bench().take()->id)[0];
        const auto [position, at] = *rep.positions.begin();
        view()->bench().selectRep(rep.id);
        view()->bench().setFrame(at.frame.value);
        page->setFocus();
        QTest::keyClick(page, Qt::Key_Delete, Qt::ControlModifier);
        QVERIFY(!data().reps.at(rep.id).positions.contains(position));
        QCOMPARE(data().reps.at(rep.id).positions.size(), rep.positions.size() - 1);
        QTest::keyClick(page, Qt::Key_Delete, Qt::ControlModifier); // nothing stands here any more
        QCOMPARE(data().reps.at(rep.id).positions.size(), rep.positions.size() - 1);
        QVERIFY(book().undo());
        QVERIFY(data().reps.at(rep.id).positions.contains(position));
    }
};
QTEST_MAIN(TestKeys)
#include "test_keys.moc"
