#pragma once
/// \file
/// An open case: the strips and the nine workspaces.

#include "desktop/footage/footage_page.h"
#include "desktop/handover/handover_page.h"
#include "desktop/marking/marking_page.h"
#include "desktop/practice/practice_page.h"
#include "desktop/reading/reading.h"
#include "desktop/shell/strips.h"

#include "desktop/parts/pages.h"

namespace riflesso {

class CaseView : public QWidget {
    Q_OBJECT
public:
    explicit CaseView(std::unique_ptr<Casebook> book);
    ~CaseView() override;
    void show(Workspace w);
    [[nodiscard]] Workspace current() const { return static_cast<Workspace>(m_pages->currentIndex()); }
    Workbench& bench() { return m_bench; }
    /// Made now when it was not shown yet.
    [[nodiscard]] QWidget* page(Workspace w) { return made(w); }
    [[nodiscard]] FootagePage* footage() { return static_cast<FootagePage*>(made(Workspace::footage)); }
    [[nodiscard]] MarkingPage* marking() const { return m_marking; }
    [[nodiscard]] FirstReader* reading() const { return m_reading; }
    [[nodiscard]] QString readingWords() const { return m_readText->text(); }
    [[nodiscard]] HandoverPage* handover() { return static_cast<HandoverPage*>(made(Workspace::handover)); }
    [[nodiscard]] CaseStrip* strip() const { return m_strip; }
    [[nodiscard]] PathStrip* path() const { return m_path; }
    void showError(const QString& message);
    [[nodiscard]] QString shownError() const { return m_error->isVisible() ? m_errorText->text() : QString(); }

signals:
    void shelfWanted();
    void said(const QString& message);

private:
    QWidget* made(Workspace w);

    Workbench m_bench;
    CaseStrip* m_strip;
    PathStrip* m_path;
    QWidget* m_error;
    QLabel* m_errorText;
    Pages* m_pages;
    std::array<QWidget*, kWorkspaces> m_made{}; ///< by workspace; null = not shown yet
    MarkingPage* m_marking;
    FirstReader* m_reading;
    QWidget* m_read; ///< what a reading came to
    QLabel* m_readText;
};

} // namespace riflesso
