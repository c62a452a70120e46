#pragma once
/// \file
/// What tests through the real window share: the demo opened, widgets that are seen, buttons that are pressed.

#include "desktop/programme/programme_page.h"
#include "desktop/shell/main_window.h"
#include "desktop/shell/walk.h"
#include "desktop/theme/theme.h"
#include "tests/support/demo_copy.h"
#include "tests/support/patience.h"

#include <QCoreApplication>
#include <QPushButton>
#include <QSettings>
#include <QStandardPaths>
#include <QTemporaryDir>
#include <QTest>

#include <memory>

namespace riflesso::test {

class WindowTest : public QObject {
protected:
    QTemporaryDir m_dir;
    QString m_library;
    std::unique_ptr<MainWindow> m_window;
    const Day m_today = *dayFromIso("2026-11-23");

    /// Settings of this test's own, and a copy of the demo.
    void prepare(const char* name) {
        QStandardPaths::setTestModeEnabled(true);
        QCoreApplication::setOrganizationName("RiflessoTest");
        QCoreApplication::setApplicationName(name);
        QSettings().clear();
        QVERIFY(loadFonts());
        useTheme(Theme::light());
        m_library = m_dir.filePath("library");
        QVERIFY(copyDemo(m_library));
    }
    void openWindow() {
        m_window = std::make_unique<MainWindow>(m_today);
        m_window->resize(1280, 800);
        m_window->show();
        QVERIFY(m_window->openLibrary(m_library) && (m_window->caseView() || m_window->openCase(1)));
        QVERIFY(settle(*m_window));
    }
    [[nodiscard]] CaseView* view() const { return m_window->caseView(); }
    [[nodiscard]] Casebook& book() const { return view()->bench().book(); }
    [[nodiscard]] const CaseData& data() const { return book().data(); }
    /// The one that is seen; null with a warning.
    template <typename T> T* child(const char* name) const {
        for (T* w : m_window->findChildren<T*>(name))
            if (w->isVisible())
                return w;
        qWarning("no %s", name);
        return nullptr;
    }
    void press(const char* button) {
        auto* b = child<QPushButton>(button);
        QVERIFY2(b, button);
        QTest::mouseClick(b, Qt::LeftButton);
        QVERIFY(settle(*m_window));
    }
    /// For a look: RIFLESSO_PICTURES names a folder.
    void picture(const char* name, QWidget* of = nullptr) const {
        if (const QString folder = qEnvironmentVariable("RIFLESSO_PICTURES"); !folder.isEmpty())
            (of ? of : m_window.get())->grab().save(folder + "/" + name + ".png");
    }
    void go(Workspace w) {
        view()->show(w);
        QVERIFY(settle(*m_window));
    }
    ProgrammePage* programme() const { return static_cast<ProgrammePage*>(view()->page(Workspace::programme)); }
    /// Until the plan is laid and the case read again.
    void planned() {
        QTRY_VERIFY(!programme()->planning() && !book().analysing());
        QVERIFY(settle(*m_window));
    }
};

} // namespace riflesso::test
