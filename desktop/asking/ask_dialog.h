#pragma once
/// \file
/// A question to a frame: points are clicked, and what they can answer stands beside them, each with its error.

#include "core/measure/question.h"
#include "core/technique/blueprint.h"
#include "desktop/parts/picture_view.h"
#include "desktop/workbench/workbench.h"

#include <QDialog>
#include <QLabel>
#include <QPushButton>

#include <vector>

namespace riflesso {

/// The frame with its points. A click adds one, up to four; a point is dragged; marks that are near catch it.
class AskView : public PictureView {
    Q_OBJECT
public:
    explicit AskView(Workbench& bench, QWidget* parent = nullptr);
    void setFrame(Id take, FrameIndex frame);
    [[nodiscard]] const std::vector<Pixel>& points() const { return m_points; }
    void setPoints(std::vector<Pixel> points);
    /// Points of the other frame, shown thin.
    void setOther(std::vector<Pixel> points);

    /// What each clicked point is: the landmark that caught it on this frame, empty where none did.
    [[nodiscard]] std::vector<LandmarkName> caughtBy() const;

signals:
    void pointsChanged();

protected:
    void paintOver(QPainter& p) override;
    void pointerPressed(QPointF at, Qt::KeyboardModifiers) override;
    void pointerMoved(QPointF at, bool pressed) override;
    void pointerReleased(QPointF) override { m_held = -1; }

private:
    [[nodiscard]] Pixel caught(QPointF at) const;
    [[nodiscard]] double near() const {
        return 9.0 / std::max(0.05, toView().m11() == 0.0 ? 1.0 : std::abs(toView().m11()));
    }
    Workbench& m_bench;
    Id m_take = 0;
    FrameIndex m_frame;
    std::vector<Pixel> m_points, m_other;
    int m_held = -1;
};

/// On any frame of any take, without a technique, a rep or key positions. Arrow keys go from frame to frame, T keeps
/// this frame's points for a question over time, C counts a cycle up to this frame, Backspace takes a point away, Enter
/// keeps the answer as a finding of one's own, W begins a technique with it.
class AskDialog : public QDialog {
    Q_OBJECT
public:
    explicit AskDialog(Workbench& bench, QWidget* parent = nullptr);
    [[nodiscard]] AskView* view() const { return m_view; }
    [[nodiscard]] QString answerWords() const { return m_words; }

signals:
    /// A blueprint whose first measure is what was asked.
    void techniqueBegun(const Blueprint& blueprint);

protected:
    void keyPressEvent(QKeyEvent* e) override;

private:
    void goTo(int frame);
    void answer();
    void keep();
    void overTime();
    void countCycle();
    void beginTechnique();

    Workbench& m_bench;
    Id m_take = 0;
    int m_frame = 0;
    int m_first = -1; ///< the frame whose points are kept; −1 = none
    std::vector<Pixel> m_firstPoints;
    int m_cycles = 0;   ///< counted since the first frame
    int m_counted = -1; ///< the frame of the last count
    AskView* m_view;
    QLabel* m_where;
    QLabel* m_answers;
    QPushButton* m_time;
    QPushButton* m_keep;
    QPushButton* m_begin;
    QString m_words;
    std::optional<Answer> m_best; ///< the first that was not refused
    std::optional<Blueprint> m_blueprint;
};

} // namespace riflesso
