#pragma once
/// \file
/// The case's story as one line of time: films, practice done and missed, what was worked on, cues, competitions, what
/// hurts, pauses. A click leads there.

#include "casebook/story.h"
#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

class StoryLine : public QWidget {
    Q_OBJECT
public:
    explicit StoryLine(Workbench& bench, QWidget* parent = nullptr);
    [[nodiscard]] QSize sizeHint() const override { return {800, 92}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {300, 92}; }

signals:
    void cueWanted(); ///< a cue was clicked

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    void read();
    [[nodiscard]] double placeOf(Day day) const;
    [[nodiscard]] const StoryMark* markAt(const QPointF& at) const;
    [[nodiscard]] const StoryPause* pauseAt(const QPointF& at) const;
    double drawFocuses(QPainter& p) const;
    void drawMark(QPainter& p, const StoryMark& mark) const;
    Story m_story;
    Workbench& m_bench;
};

} // namespace riflesso
