#pragma once
/// \file
/// Handover: the report as it will print; one button makes the athlete's folder.

#include "desktop/shell/workbench.h"
#include "handover/report.h"

#include <QFutureWatcher>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QWidget>

namespace riflesso {

class HandoverPage : public QWidget {
    Q_OBJECT
public:
    explicit HandoverPage(Workbench& bench);
    ~HandoverPage() override {
        m_watcher.waitForFinished();
        m_writer.waitForFinished();
    }
    /// Writes report.pdf and report.html there.
    void writeTo(const QString& folder);
    [[nodiscard]] bool busy() const { return m_watcher.isRunning() || m_writer.isRunning(); }

signals:
    void said(const QString& message);
    void failed(const QString& message);

protected:
    void showEvent(QShowEvent*) override;

private:
    void gather();
    void showPages();
    Workbench& m_bench;
    QPushButton* m_write;
    QLabel* m_state;
    QWidget* m_pages;
    QScrollArea* m_area;
    QFutureWatcher<std::shared_ptr<ReportContent>> m_watcher;
    QFutureWatcher<QString> m_writer; // what went wrong, or nothing
    std::shared_ptr<ReportContent> m_content;
    QString m_folder; // the one being written
    QString m_wantedFolder;
    bool m_stale = true;
};

} // namespace riflesso
