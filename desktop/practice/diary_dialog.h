#pragma once
/// \file
/// The diary: what was practised, day by day, with what was said, noticed and meant to be tried.

#include "casebook/diary.h"
#include "desktop/practice/sounds.h"
#include "desktop/workbench/workbench.h"

#include <QDialog>
#include <QListWidget>
#include <QScrollArea>
#include <QVBoxLayout>
#include <QWidget>

namespace riflesso {

/// Days on one's own, oldest first: minutes as columns, how fast the feet were (triangles) and how calm the hands
/// (dots), 0 to 10. What nobody said (0) is not drawn.
class OwnDaysChart : public QWidget {
    Q_OBJECT
public:
    struct Column {
        Day day{};
        double minutes = 0.0;
        int feet = 0, hands = 0;
    };
    explicit OwnDaysChart(QWidget* parent = nullptr);
    void show(std::vector<Column> columns); ///< the last sixteen are drawn
    [[nodiscard]] QSize sizeHint() const override { return {520, 120}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 110}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::vector<Column> m_columns;
};

/// Days on the left, newest first; a card a block on the right. Notes are changed in place, blocks taken away; Undo
/// brings them back.
class DiaryDialog : public QDialog {
    Q_OBJECT
public:
    DiaryDialog(Workbench& bench, Sounds& sounds, QWidget* parent = nullptr);
    /// To the newest day up to this one, else to the oldest.
    void goTo(Day day);

private:
    void refresh();
    void showDay();
    [[nodiscard]] QWidget* cardOf(const Block& block);

    Workbench& m_bench;
    Sounds& m_sounds;
    std::vector<DiaryDay> m_all;
    QListWidget* m_days;
    OwnDaysChart* m_chart;
    QScrollArea* m_scroll;
    QVBoxLayout* m_blocks;
};

} // namespace riflesso
