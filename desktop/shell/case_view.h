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
    [[nodiscard]] QWidget* page(Workspace w) const { return m_pages->widget(static_cast<int>(w)); }
    [[nodiscard]] FootagePage* footage() const { return m_footage; }
    [[nodiscard]] MarkingPage* marking() const { return m_marking; }
    [[nodiscard]] FirstReader* reading() const { return m_reading; }
    [[nodiscard]] QString readingWords() const { return m_readText->text(); }
    [[nodiscard]] HandoverPage* handover() const { return m_handover; }
    [[nodiscard]] CaseStrip* strip() const { return m_strip; }
    [[nodiscard]] PathStrip* path() const { return m_path; }
    void showError(const QString& message);
    [[nodiscard]] QString shownError() const { return m_error->isVisible() ? m_errorText->text() : QString(); }

signals:
    void shelfWanted();
    void said(const QString& message);

private:
    Workbench m_bench;
    CaseStrip* m_strip;
    PathStrip* m_path;
    QWidget* m_error;
    QLabel* m_errorText;
    Pages* m_pages;
    FootagePage* m_footage;
    MarkingPage* m_marking;
    HandoverPage* m_handover;
    FirstReader* m_reading;
    QWidget* m_read; ///< what a reading came to
    QLabel* m_readText;
};

} // namespace riflesso
