#pragma once
/// \file
/// The board: one column a key position, the athlete above the waterline, the model below it.

#include "core/mirror/registration.h"
#include "desktop/workbench/workbench.h"

#include <QWidget>

namespace riflesso {

/// Between the stills: the measures of that position with this rep's deviation from the middle of the band. A click on
/// a still or a deviation goes to its frame in Marking.
class MirrorBoard : public QWidget {
    Q_OBJECT
public:
    explicit MirrorBoard(Workbench& bench, QWidget* parent = nullptr);
    void setReps(Id athlete, Id model);
    [[nodiscard]] QSize sizeHint() const override { return {1000, 420}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {700, 330}; }

signals:
    void measureChosen(const QString& measure);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    struct Column {
        const KeyPosition* position;
        QRectF athlete, middle, model;
        std::vector<const Deviation*> deviations;
    };
    [[nodiscard]] std::vector<Column> columns() const;
    [[nodiscard]] const MeasureValue* valueOf(Id rep, const std::string& measure) const;
    void paintStill(QPainter& p, const QRectF& box, Id rep, const PositionId& position, QColor colour, bool wedge);

    Workbench& m_bench;
    Id m_athlete = 0;
    Id m_model = 0;
};

/// A measure against phase: the athlete's curve above the waterline, the model's band reflected below, so that equal
/// values stand equally far from the line.
class MirrorCurve : public QWidget {
    Q_OBJECT
public:
    explicit MirrorCurve(Workbench& bench, QWidget* parent = nullptr);
    void show(const std::string& measure, Id athlete, const std::vector<Id>& models);
    [[nodiscard]] QSize sizeHint() const override { return {900, 190}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {400, 110}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    Workbench& m_bench;
    std::string m_measure;
    std::vector<PhasePoint> m_athlete, m_model;
};

} // namespace riflesso
