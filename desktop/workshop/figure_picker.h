#pragma once
/// \file
/// Measures by pointing at the figure. And the sheet of all kinds.

#include "core/measure/definition.h"

#include <QDialog>
#include <QWidget>

namespace riflesso {

/// The figure with the measure drawn on it. Click a joint to set the next point, with Shift to make it the middle of
/// this joint and the last one; right click takes the last point away.
class FigurePicker : public QWidget {
    Q_OBJECT
public:
    explicit FigurePicker(QWidget* parent = nullptr);
    /// \p others: landmarks of the blueprint that are not on the standard figure. \p two: a second person can be
    /// clicked.
    void setDefinition(const MeasureDefinition& definition, const std::vector<std::string>& others, bool two);
    void setPickable(bool pickable);
    [[nodiscard]] QPointF placeOf(const std::string& role) const;
    [[nodiscard]] QSize sizeHint() const override { return {300, 320}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {220, 240}; }

signals:
    void pointsChosen(const std::vector<riflesso::PointSpec>& points);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void leaveEvent(QEvent*) override;

private:
    [[nodiscard]] std::map<std::string, QPointF> places() const;
    [[nodiscard]] std::string under(QPointF at) const;
    MeasureDefinition m_definition;
    std::vector<std::string> m_others;
    std::string m_hovered;
    bool m_two = false, m_pickable = true;
};

/// All kinds of measures, each drawn on the figure with its name and what it is for; one can be chosen.
class KindSheet : public QDialog {
    Q_OBJECT
public:
    explicit KindSheet(MeasureKind current, QWidget* parent = nullptr);
    [[nodiscard]] MeasureKind chosen() const { return m_chosen; }

private:
    MeasureKind m_chosen;
};

} // namespace riflesso
