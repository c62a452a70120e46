#pragma once
/// \file
/// The ladder of each focus: its drills, easiest stage first, with what their gates say.

#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

/// Click or arrow keys choose a drill; it can be dragged onto a day of the calendar.
class LadderView : public QWidget {
    Q_OBJECT
public:
    explicit LadderView(Workbench& bench, QWidget* parent = nullptr);
    void refresh();
    [[nodiscard]] const std::string& chosen() const { return m_chosen; }
    void choose(const std::string& drill);
    [[nodiscard]] QRect boxOf(const std::string& drill) const;
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return {180, sizeHint().height()}; }

signals:
    void chosenChanged();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    struct Rung {
        std::string fault, drill; ///< drill empty: the fault's title
        QRect box;
    };
    [[nodiscard]] std::vector<Rung> rungs() const;
    Workbench& m_bench;
    std::string m_chosen;
    QPoint m_from;
};

} // namespace riflesso
