#pragma once
/// \file
/// Mirror: the board, the two ribbons, and the curve of one measure.

#include "desktop/mirror/board.h"
#include "desktop/parts/ribbon.h"

#include <QComboBox>

namespace riflesso {

class MirrorPage : public QWidget {
    Q_OBJECT
public:
    explicit MirrorPage(Workbench& bench);

private:
    void refresh();
    void showChosen();

    Workbench& m_bench;
    QComboBox* m_athlete;
    QComboBox* m_model;
    QComboBox* m_measure;
    MirrorBoard* m_board;
    MirrorCurve* m_curve;
    Ribbon* m_ribbon;
    bool m_measureChosen = false; ///< by hand; until then the first finding chooses
};

} // namespace riflesso
