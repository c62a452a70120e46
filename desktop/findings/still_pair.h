#pragma once
/// \file
/// The picture that shows a finding: the athlete above the waterline, the model below, the measure drawn on both, and
/// all reps under them.

#include "casebook/shown_rep.h"
#include "desktop/workbench/workbench.h"

#include <QWidget>

#include <string>

namespace riflesso {

/// Left and right step through the reps; a click on a picture leads to its frame in Marking, a click on a dot to its
/// rep.
class StillPair : public QWidget {
    Q_OBJECT
public:
    explicit StillPair(Workbench& bench, QWidget* parent = nullptr);
    /// Shows a measure; empty = nothing to show.
    void show(const std::string& measure);
    /// Shows a frame note instead, the whole height; 0 = back to the measure.
    void showNote(Id note);
    [[nodiscard]] const std::string& measure() const { return m_measure; }
    /// The rep of the athlete that is shown, and the model's; 0 = none.
    [[nodiscard]] Id rep() const;
    [[nodiscard]] Id modelRep() const;
    void step(int reps);
    [[nodiscard]] QSize sizeHint() const override { return {560, 470}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {320, 280}; }

signals:
    void repChanged();

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void keyPressEvent(QKeyEvent* e) override;

private:
    [[nodiscard]] std::vector<ShownRep> reps(bool model) const;
    [[nodiscard]] QRectF upper() const;
    [[nodiscard]] QRectF lower() const;
    [[nodiscard]] QRectF strip() const;
    [[nodiscard]] std::vector<QPointF> dots() const;
    void paintHalf(QPainter& p, const QRectF& box, const ShownRep& shown, bool model);

    Workbench& m_bench;
    std::string m_measure;
    std::size_t m_at = 0;
    Id m_note = 0;
};

} // namespace riflesso
