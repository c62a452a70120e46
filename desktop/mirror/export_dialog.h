#pragma once
/// \file
/// A clip to take home: what of it, how it looks, and where it goes.

#include "desktop/parts/job_row.h"
#include "desktop/workbench/workbench.h"
#include "handover/clip.h"

#include <QCheckBox>
#include <QComboBox>
#include <QDialog>
#include <QLineEdit>
#include <QVBoxLayout>

namespace riflesso {

/// Interface thread; films are written by one worker, one after the other.
class ExportDialog : public QDialog {
    Q_OBJECT
public:
    /// \p stretch: of the athlete's take, what a loop in Mirror plays; the whole rep is the other choice.
    ExportDialog(Workbench& bench, Id athlete, Id model, std::pair<FrameIndex, FrameIndex> stretch, bool byClock,
                 QWidget* parent = nullptr);
    /// Writes to this file; of several reps NAME-1.mp4, NAME-2.mp4 ...
    void writeTo(const QString& file);
    [[nodiscard]] bool busy() const { return m_running; }

private:
    [[nodiscard]] std::vector<ClipOptions> wanted() const;
    void saySize();

    Workbench& m_bench;
    Id m_athlete, m_model;
    std::pair<FrameIndex, FrameIndex> m_stretch;
    bool m_byClock;
    QComboBox* m_what;
    QComboBox* m_sides;
    QComboBox* m_slow;
    QComboBox* m_size;
    QCheckBox* m_figure;
    QLineEdit* m_title;
    QLabel* m_state;
    QPushButton* m_write;
    QVBoxLayout* m_jobs;
    bool m_running = false;
};

} // namespace riflesso
