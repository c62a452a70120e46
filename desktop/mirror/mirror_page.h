#pragma once
/// \file
/// Mirror: the board, both films moving, or a phase on one picture; the two ribbons, and the curve of one measure.

#include "desktop/mirror/board.h"
#include "desktop/mirror/curves.h"
#include "desktop/mirror/trace_view.h"
#include "desktop/parts/band_rows.h"
#include "desktop/parts/key_table.h"
#include "desktop/workbench/moving.h"
#include "desktop/workbench/ribbon.h"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace riflesso {

class ExportDialog;

class MirrorPage : public QWidget {
    Q_OBJECT
public:
    explicit MirrorPage(Workbench& bench);
    [[nodiscard]] MirrorMoving* moving() const { return m_moving; }
    [[nodiscard]] MirrorTrace* trace() const { return m_trace; }
    [[nodiscard]] MirrorCurves* curves() const { return m_curves; }
    enum Way { board, inMotion, onOnePicture };
    void showWay(Way way);
    /// What is on the screen as a clip: null when there is no rep.
    ExportDialog* exportClip();

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    void makeKeys();
    QWidget* makeMoving();
    void sayState();
    void nextGhost();
    void nextCurves();
    void showCurves();
    void refresh();
    void showChosen();

    Workbench& m_bench;
    KeyTable* m_keys;
    QComboBox* m_athlete;
    QComboBox* m_model;
    QComboBox* m_measure;
    QPushButton* m_boardButton;
    QPushButton* m_movingButton;
    QPushButton* m_traceButton;
    QStackedWidget* m_ways;
    MirrorBoard* m_board;
    MirrorMoving* m_moving;
    MirrorTrace* m_trace;
    BandRows* m_rows;
    QVBoxLayout* m_side = nullptr; ///< beside the moving films
    QStackedWidget* m_beside;      ///< bands, or curves
    MirrorCurves* m_curves;
    QPushButton* m_curvesButton;
    QPushButton* m_play;
    QComboBox* m_speed;
    QPushButton* m_clock;
    QPushButton* m_ghost;
    QPushButton* m_loop;
    QPushButton* m_back;
    QPushButton* m_angles;
    MirrorCurve* m_curve;
    Ribbon* m_ribbon;
    bool m_measureChosen = false; ///< by hand; until then the first finding chooses
};

} // namespace riflesso
