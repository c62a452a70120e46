#pragma once
/// \file
/// Marking: pegs by keys, landmarks by click in guided order, drag, nudge; saved at once.

#include "desktop/marking/guide.h"
#include "desktop/marking/mark_canvas.h"
#include "desktop/parts/ribbon.h"

#include <QComboBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>
#include <QTimer>

namespace riflesso {

class MarkingPage : public QWidget {
    Q_OBJECT
public:
    explicit MarkingPage(Workbench& bench);
    [[nodiscard]] MarkCanvas* canvas() const { return m_canvas; }

    /// Places the key position of this number (0-based) on the frame shown; starts a rep when there is none.
    void placePeg(int index);
    /// Goes to the next place of this rep where something is missing.
    void nextOpen();
    void startRep();

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    void refreshTakes();
    void refresh();
    void showFrame();
    void say();
    void advance();
    void toPeg(int direction);
    [[nodiscard]] std::vector<LandmarkName> wanted() const; ///< landmarks asked for on the frame shown
    [[nodiscard]] PositionId positionHere() const;
    [[nodiscard]] std::set<LandmarkName> markedHere() const;

    Workbench& m_bench;
    QComboBox* m_takes;
    QComboBox* m_reps;
    MarkCanvas* m_canvas;
    FigureGuide* m_guide;
    Loupe* m_loupe;
    QListWidget* m_pegs;
    QLabel* m_words;
    Ribbon* m_ribbon;
    QPushButton* m_play;
    QTimer m_player;
};

} // namespace riflesso
