#pragma once
/// \file
/// Trace: a phase of both films on one picture.

#include "desktop/workbench/workbench.h"
#include "handover/trace_picture.h"

#include <QCheckBox>
#include <QComboBox>
#include <QFutureWatcher>
#include <QImage>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QSpinBox>
#include <QWidget>

#include <memory>

namespace riflesso {

/// Interface thread; the picture is made by a worker.
class MirrorTrace : public QWidget {
    Q_OBJECT
public:
    explicit MirrorTrace(Workbench& bench);
    ~MirrorTrace() override;
    void setReps(Id athlete, Id model);
    [[nodiscard]] const QImage& picture() const { return m_picture; }
    [[nodiscard]] bool busy() const { return m_watcher.isRunning(); }

protected:
    void showEvent(QShowEvent*) override { make(); }

private:
    struct Made {
        QImage picture;
        QString problem;
    };
    void make();
    void take();
    void save();
    void fillPhases();
    void fillPoints();

    Workbench& m_bench;
    Id m_athlete = 0, m_model = 0;
    QSpinBox* m_exposures;
    QCheckBox* m_atPositions;
    QComboBox* m_from;
    QComboBox* m_to;
    QListWidget* m_points;
    QPushButton* m_save;
    QLabel* m_state;
    QWidget* m_glass;
    QImage m_picture;
    QFutureWatcher<Made> m_watcher;
    std::shared_ptr<std::atomic<bool>> m_stop;
    bool m_stale = true, m_again = false;
};

} // namespace riflesso
