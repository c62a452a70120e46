#pragma once
/// \file
/// Practice: log a block rep by rep, the athlete's verdict before the coach's. Readable from three metres.

#include "desktop/parts/card.h"
#include "desktop/shell/workbench.h"

#include <QComboBox>
#include <QPushButton>

namespace riflesso {

/// Keys: G or arrow up = good, B or arrow down = not. The first press is the athlete's verdict, the second the coach's.
class PracticePage : public QWidget {
    Q_OBJECT
public:
    explicit PracticePage(Workbench& bench);
    void verdict(bool good);

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    void refresh();
    void fillDrills();
    void newBlock();
    [[nodiscard]] const Block* block() const;

    Workbench& m_bench;
    QComboBox* m_drills;
    QLabel* m_ask;
    QLabel* m_cue;
    QLabel* m_count;
    QLabel* m_gate;
    QLabel* m_caution;
    QPushButton* m_good;
    QPushButton* m_bad;
    QVBoxLayout* m_log;
    Id m_block = 0;                ///< the block that is being logged; 0 = the next verdict starts one
    bool m_chosen = false;         ///< the drill was chosen here, not proposed
    std::optional<bool> m_athlete; ///< said, while the coach's is awaited
};

} // namespace riflesso
