#pragma once
/// \file
/// Mirror: the board or both films moving, the two ribbons, and the curve of one measure.

#include "desktop/mirror/board.h"
#include "desktop/mirror/moving.h"
#include "desktop/parts/band_rows.h"
#include "desktop/parts/ribbon.h"

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QStackedWidget>
#include <QVBoxLayout>

namespace riflesso {

class MirrorPage : public QWidget {
    Q_OBJECT
public:
    explicit MirrorPage(Workbench& bench);
    [[nodiscard]] MirrorMoving* moving() const { return m_moving; }
    void showMoving(bool moving);

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    QWidget* makeMoving();
    void sayState();
    void refresh();
    void showChosen();

    Workbench& m_bench;
    QComboBox* m_athlete;
    QComboBox* m_model;
    QComboBox* m_measure;
    QPushButton* m_boardButton;
    QPushButton* m_movingButton;
    QStackedWidget* m_ways;
    MirrorBoard* m_board;
    MirrorMoving* m_moving;
    BandRows* m_rows;
    QVBoxLayout* m_side = nullptr; ///< beside the moving films
    QPushButton* m_play;
    QComboBox* m_speed;
    QPushButton* m_clock;
    QPushButton* m_ghost;
    MirrorCurve* m_curve;
    Ribbon* m_ribbon;
    bool m_measureChosen = false; ///< by hand; until then the first finding chooses
};

} // namespace riflesso
