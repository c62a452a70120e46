#pragma once
/// \file
/// Handover: the report as it will print, the review, and the button that makes the athlete's folder of both.

#include "desktop/handover/review_panel.h"
#include "desktop/parts/job_row.h"
#include "desktop/workbench/workbench.h"
#include "handover/folder.h"

#include <QComboBox>
#include <QFutureWatcher>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QStackedWidget>
#include <QTimer>
#include <QVBoxLayout>
#include <QWidget>

namespace riflesso {

class HandoverPage : public QWidget {
    Q_OBJECT
public:
    explicit HandoverPage(Workbench& bench);
    ~HandoverPage() override { m_watcher.waitForFinished(); }
    /// Makes the athlete's folder there; beside what is in it already, in a folder of its own.
    void writeTo(const QString& folder);
    [[nodiscard]] bool busy() const { return m_watcher.isRunning() || m_running; }
    [[nodiscard]] ReviewPanel* review() const { return m_review; }
    void showReview(bool review);

signals:
    void said(const QString& message);
    void failed(const QString& message);

protected:
    void showEvent(QShowEvent*) override;
    void resizeEvent(QResizeEvent*) override; ///< pages are as wide as there is room

private:
    void gather();
    void showPages();
    void saySizes();
    void writeGuide();
    [[nodiscard]] FolderOptions options() const;
    [[nodiscard]] PaperOptions paper() const;

    Workbench& m_bench;
    QPushButton* m_paperButton;
    QPushButton* m_reviewButton;
    QComboBox* m_reader;
    QComboBox* m_paper;
    QComboBox* m_text;
    QPushButton* m_write;
    QLabel* m_state;
    QStackedWidget* m_ways;
    QWidget* m_pages;
    QScrollArea* m_area;
    ReviewPanel* m_review;
    QVBoxLayout* m_jobs;
    QFutureWatcher<std::shared_ptr<PaperContent>> m_watcher;
    std::shared_ptr<PaperContent> m_content;
    QTimer m_again;
    bool m_stale = true, m_running = false;
};

} // namespace riflesso
