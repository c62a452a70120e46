#pragma once
/// \file
/// The window: a welcome, or an open case.

#include "desktop/shell/case_view.h"

#include <QAction>
#include <QFutureWatcher>
#include <QMainWindow>
#include <QPointer>

#include <atomic>

namespace riflesso {

class Workshop;

class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    /// \p today: the day from which plans run; the real one outside tests.
    explicit MainWindow(Day today);
    ~MainWindow() override;

    /// Opens a library and one of its cases (0: the first). Errors are shown and leave what was open.
    bool openLibrary(const QString& folder, Id caseId = 0);
    bool newLibrary(const QString& folder);
    [[nodiscard]] CaseView* caseView() const { return m_case; }
    /// The workshop on the open case's technique; null when it could not be opened.
    Workshop* workshop();
    [[nodiscard]] QString welcomeError() const { return m_welcomeError ? m_welcomeError->text() : QString(); }
    void setDark(bool dark);

protected:
    void dragEnterEvent(QDragEnterEvent* e) override;
    void dropEvent(QDropEvent* e) override;
    void closeEvent(QCloseEvent* e) override;

private:
    void buildMenus();
    void showWelcome();
    void fillCases();
    void makeDemo();
    void newCase();
    void openWorkshop();
    bool openCase(std::shared_ptr<Library> library, Id caseId);
    void fail(const QString& message);
    void showShortcuts();

    Day m_today;
    CaseView* m_case = nullptr;
    QLabel* m_welcomeError = nullptr;
    std::shared_ptr<Library> m_library;
    QMenu* m_cases = nullptr;
    QAction* m_undo = nullptr;
    QAction* m_redo = nullptr;
    QAction* m_dark = nullptr;
    QPointer<Workshop> m_workshop;
    QFutureWatcher<QString> m_demo;
    std::atomic<bool> m_cancelDemo{false};
};

} // namespace riflesso
