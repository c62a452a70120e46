#pragma once
/// \file
/// Playing the take: both ways, 1/16 to 2 times real speed, round a rep or a phase.

#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QElapsedTimer>
#include <QLabel>
#include <QPushButton>
#include <QTimer>
#include <QWidget>

namespace riflesso {

/// Speed is the athlete's: ¼ means four times slower than it happened, however the file was stored. Frames that come
/// faster than the screen can show are left out, never those of a single step.
class Transport : public QWidget {
    Q_OBJECT
public:
    explicit Transport(Workbench& bench, QWidget* parent = nullptr);

    void play(int direction); ///< −1, 1; the same again or 0 stops
    [[nodiscard]] int playing() const { return m_direction; }
    void faster(int steps); ///< to the next speed, either way
    void toggleLoop();
    [[nodiscard]] double speed() const;

private:
    struct Range {
        int first = 0, last = 0;
    };
    [[nodiscard]] Range range() const; ///< what is looped, or the whole take
    void tick();
    void restart();
    void refresh();

    Workbench& m_bench;
    QPushButton* m_back;
    QPushButton* m_forth;
    QPushButton* m_loop;
    QComboBox* m_loopWhat;
    QComboBox* m_speed;
    QLabel* m_where;
    QTimer m_timer;
    QElapsedTimer m_clock;
    int m_direction = 0;
    double m_from = 0.0; // media time at which this stretch of playing began
    int m_last = -1;     // the frame that playing set
};

} // namespace riflesso
