#pragma once
/// \file
/// The window: the shelf, or an open case; a welcome where no library could be opened.

#include "desktop/shelf/shelf_page.h"
#include "desktop/shell/case_view.h"

#include "library/copies.h"

#include <QAction>
#include <QFutureWatcher>
#include <QMainWindow>
#include <QPointer>
#include <QTimer>

#include <atomic>

namespace riflesso {

class Workshop;

class GuideWindow;
class Tour;

class MainWindow : public QMainWindow {
    Q_OBJECT
public:
    /// \p today: the day from which plans run; the real one outside tests.
    explicit MainWindow(Day today);
    ~MainWindow() override;

    /// Opens a library and one of its cases; with 0 the one that was open last in it, else the shelf. Errors are shown
    /// and leave what was open.
    bool openLibrary(const QString& folder, Id caseId = 0);
    bool newLibrary(const QString& folder);
    /// Moves the open library, films included, to a folder that is not there yet, and opens it there. Waits.
    bool moveLibraryTo(const QString& folder);
    /// Where the program begins without being told: the library that was open last, else the user's own, which is made
    /// when there is none. A welcome with the reason where neither can be opened.
    void openStart();
    void showShelf();
    /// Five steps through the open case; null when none is open.
    Tour* startTour();
    /// The guide, on the page of what is seen.
    GuideWindow* showGuide();
    /// Opens the dialog that takes a bundle in; when it is none, says so.
    void takeBundleIn(const QString& file);
    bool openCase(Id caseId);
    /// Null while a case is open or there is no library.
    [[nodiscard]] ShelfPage* shelf() const { return m_shelf; }
    [[nodiscard]] Library* library() const { return m_library.get(); }
    /// What is kept in the settings takes effect: theme, size of letters, memory, what "sure" means.
    void applySettings();
    /// Makes the open case's card for the shelf anew; done by itself when the case is left.
    void writeCard();
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
    void speakAnew();
    void showWelcome();
    void applyToCase();
    void fillRecent();
    void fillCopies();
    void makeDemo();
    void fillDemo(const QString& folder);
    void newCase();
    void openWorkshop();
    void askForLibrary(bool fresh);
    void useLibrary(std::shared_ptr<Library> library);
    void leave();
    void lookAfterLibrary();
    void offerStrays();
    void changeTechnique();
    void titleSays();
    void restore(const LibraryCopy& copy);
    void closeLibrary();
    void moveAway();
    void fail(const QString& message);
    void showShortcuts();

    Day m_today;
    QString m_language; ///< the setting that is on the glass
    CaseView* m_case = nullptr;
    ShelfPage* m_shelf = nullptr;
    std::vector<Id> m_deleted; ///< athletes, when the program ends
    QLabel* m_welcomeError = nullptr;
    std::shared_ptr<Library> m_library;
    QList<QMenu*> m_oldMenus; ///< of the language before
    QMenu* m_recent = nullptr;
    QMenu* m_copies = nullptr;
    QTimer m_watch;
    QThreadPool m_care;
    QAction* m_undo = nullptr;
    QAction* m_redo = nullptr;
    QAction* m_dark = nullptr;
    QPointer<Workshop> m_workshop;
    QPointer<GuideWindow> m_guide;
    QPointer<Tour> m_tour;
    QFutureWatcher<QString> m_demo;
    std::atomic<bool> m_cancelDemo{false};
};

} // namespace riflesso
