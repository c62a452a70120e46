#pragma once
/// \file
/// What charts of points share: a point under the pointer says what is behind it, and a click leads there.

#include "core/technique/blueprint.h"

#include <QPointF>
#include <QWidget>

#include <optional>
#include <vector>

class QPainter;

namespace riflesso {

/// A point of a stage: each has a shape of its own, with more corners the more stress: a circle, then three corners and
/// more. With the painter's pen and brush.
void drawStage(QPainter& painter, QPointF at, Stage stage);

/// Subclasses put their points down while they paint (place()), in the widget's own pixels.
class PointChart : public QWidget {
    Q_OBJECT
public:
    explicit PointChart(QWidget* parent = nullptr);
    /// Where a point is drawn; a null point when there is none of this number.
    [[nodiscard]] QPointF placeOf(std::size_t index) const;
    [[nodiscard]] std::size_t count() const { return m_places.size(); }

protected:
    /// What is behind a point, in lines of text.
    [[nodiscard]] virtual QString wordsOf(std::size_t index) const = 0;
    virtual void clicked(std::size_t) {}
    void forget() { m_places.clear(); }
    void place(QPointF at) { m_places.push_back(at); }
    /// The point that the pointer rests on.
    [[nodiscard]] std::optional<std::size_t> over() const { return m_over; }

    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void leaveEvent(QEvent* e) override;
    bool event(QEvent* e) override;

private:
    [[nodiscard]] std::optional<std::size_t> under(QPointF at) const;
    void rest(std::optional<std::size_t> index);
    std::vector<QPointF> m_places;
    std::optional<std::size_t> m_over;
};

} // namespace riflesso
