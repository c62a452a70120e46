#pragma once
/// \file
/// Progress: the story, and the questions that a coach asks weeks later, each answered in a sentence and a picture.

#include "core/progress/sets.h"
#include "desktop/parts/card.h"
#include "desktop/progress/story_line.h"
#include "desktop/shell/workbench.h"

#include <QComboBox>
#include <QStackedWidget>

namespace riflesso {

class TrendChart : public QWidget {
    Q_OBJECT
public:
    explicit TrendChart(Workbench& bench, QWidget* parent = nullptr);
    void setTrend(int index);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 260}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Workbench& m_bench;
    int m_index = 0;
};

/// Share of reps inside by stage of stress, each with its interval.
class BreakChart : public QWidget {
    Q_OBJECT
public:
    explicit BreakChart(QWidget* parent = nullptr) : QWidget(parent) { setAccessibleName(tr("Where it breaks")); }
    void show(const BreakPoint& broken);
    [[nodiscard]] QSize minimumSizeHint() const override { return {420, 220}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    BreakPoint m_broken;
};

/// The first film and the newest beside one another, the model below the waterline, at the moment of a measure.
class BeforeAfter : public QWidget {
    Q_OBJECT
public:
    explicit BeforeAfter(Workbench& bench, QWidget* parent = nullptr);
    void show(const std::string& measure);
    [[nodiscard]] QSize minimumSizeHint() const override { return {260, 200}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Workbench& m_bench;
    std::string m_measure;
};

/// On top the story; below it one question at a time, answered first in one sentence, then as a picture.
class ProgressPage : public QWidget {
    Q_OBJECT
public:
    explicit ProgressPage(Workbench& bench);

private:
    void refresh();
    void fillMore(const FocusTrend* trend);
    Workbench& m_bench;
    StoryLine* m_story;
    QComboBox* m_which;
    QLabel* m_answer;
    TrendChart* m_chart;
    BreakChart* m_breaks;
    QStackedWidget* m_pictures;
    BeforeAfter* m_before;
    Card* m_more;
    int m_question = 0;
};

} // namespace riflesso
