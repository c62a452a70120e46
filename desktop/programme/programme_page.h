#pragma once
/// \file
/// Programme: the ladder of stages for the focus, the drills, the next two weeks.

#include "desktop/parts/card.h"
#include "desktop/shell/workbench.h"

namespace riflesso {

class ProgrammePage : public QWidget {
    Q_OBJECT
public:
    explicit ProgrammePage(Workbench& bench);

private:
    void refresh();
    [[nodiscard]] QWidget* drillCard(const Drill& drill);
    Workbench& m_bench;
    QVBoxLayout* m_ladder;
    QVBoxLayout* m_weeks;
    QLabel* m_head;
};

} // namespace riflesso
