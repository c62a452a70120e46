#pragma once
/// \file
/// The frame on which landmarks are marked.

#include "desktop/parts/picture_view.h"
#include "desktop/workbench/workbench.h"

namespace riflesso {

/// Click: marks the landmark that is asked for. Press on a mark and drag: moves it. What is under the finger is only
/// shown; letting go writes it, so that a gesture is one commit and one undo step. Emits what the pointer is over for
/// the loupe. Writes through the casebook only.
class MarkCanvas : public PictureView {
    Q_OBJECT
public:
    MarkCanvas(Workbench& bench, QWidget* parent = nullptr);

    /// The landmark that a click marks next; also the one that nudging moves.
    void setLandmark(const LandmarkName& landmark);
    [[nodiscard]] const LandmarkName& landmark() const { return m_landmark; }
    /// Moves the current landmark's mark on this frame. False when there is none.
    bool nudge(double dx, double dy);
    bool removeCurrent();
    /// The asked landmark's carried mark is right: it counts as made by hand from now on. False when there is none.
    bool confirmCurrent();
    /// The asked landmark is not to be seen on this frame.
    bool hideCurrent();
    /// While a repeat marking runs only its own marks are shown and placed; 0 = the take's marks.
    void setRepeat(Id repeat);
    /// Notes pinned to places of this frame.
    void setPins(const std::vector<std::pair<QPointF, QString>>& pins);
    /// Where another view says that the asked landmark lies: x·X + y·Y + w = 0 in picture pixels, x² + y² = 1.
    void setOtherView(const std::optional<Eigen::Vector3d>& line, bool disagrees);
    /// The next click goes to placePicked() instead of making a mark.
    void pickPlace(bool on);
    /// While on, a drag draws a box instead of moving marks; a click into one of \p people takes that one.
    void drawBox(bool on);
    [[nodiscard]] bool boxing() const { return m_boxing; }
    void setPeople(const std::vector<QRectF>& people);
    [[nodiscard]] const std::vector<QRectF>& people() const { return m_people; }
    void setBox(const QRectF& box);
    [[nodiscard]] QRectF box() const { return m_box; } ///< picture pixels; empty = none yet

signals:
    void boxDrawn(QRectF inPicture);
    void marked(const QString& landmark); ///< a new mark was placed
    void picked(const QString& landmark); ///< an existing mark was taken hold of
    void placePicked(QPointF inPicture);
    void pointerAt(QPointF inPicture);

protected:
    void paintOver(QPainter& painter) override;
    void pointerPressed(QPointF at, Qt::KeyboardModifiers) override;
    void pointerMoved(QPointF at, bool pressed) override;
    void pointerReleased(QPointF at) override;

private:
    [[nodiscard]] std::optional<Mark> mark(const LandmarkName& landmark) const;
    [[nodiscard]] LandmarkName markUnder(QPointF at) const;
    bool put(const LandmarkName& name, QPointF at, int gesture);
    [[nodiscard]] QPointF inside(QPointF at) const;
    [[nodiscard]] std::map<LandmarkName, Mark> marksHere() const; ///< of the take, or of the repeat marking that runs
    void paintKinds(QPainter& painter, const std::map<LandmarkName, Mark>& here) const;

    Workbench& m_bench;
    Id m_repeat = 0;
    std::vector<std::pair<QPointF, QString>> m_pins;
    std::optional<Eigen::Vector3d> m_otherView;
    bool m_disagrees = false;
    bool m_picking = false;
    bool m_boxing = false;
    std::vector<QRectF> m_people;
    QRectF m_box;
    void paintBoxes(QPainter& painter) const;
    LandmarkName m_landmark;
    LandmarkName m_dragged;
    QPointF m_grip;             // from the pointer to the mark's centre while dragging
    QPointF m_held;             // where the dragged mark is shown
    LandmarkName m_askedBefore; // asked for when the button went down
    QPointF m_pressedAt;
    bool m_moved = false;
    bool m_taken = false; // the button went down on a mark
    int m_gesture = 1;
    int m_nudgeGesture = 0;
    LandmarkName m_nudged;
    int m_nudgedFrame = -1;
};

} // namespace riflesso
