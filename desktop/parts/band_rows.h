#pragma once
/// \file
/// Measures as rows: name, value, and a dot with its error bar on the band.

#include "core/mirror/reference.h"
#include "core/technique/blueprint.h"

#include <QWidget>

#include <vector>

namespace riflesso {

/// A value with its error bar on its band, which takes the middle third of the axis; a value beyond the axis stands at
/// its end. Filled = outside, half-filled = undecided, hollow = inside.
void drawOnBand(QPainter& painter, const QRectF& axis, double value, double u, const Band& band, Decision decision);

/// A click on a row says which measure it was. The axis of each row shows its band in the middle third; a value beyond
/// the axis stands at its end as an arrow.
class BandRows : public QWidget {
    Q_OBJECT
public:
    explicit BandRows(const Blueprint& blueprint, QWidget* parent = nullptr);
    /// Judged deviations are shown in this order, others left out.
    void setDeviations(const std::vector<const Deviation*>& deviations);
    [[nodiscard]] int count() const { return static_cast<int>(m_rows.size()); }
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override { return {220, 60}; }

signals:
    void chosen(const QString& measure);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    struct Row {
        QString measure, name, words, tip;
        double value = 0.0, u = 0.0;
        Band band;
        Decision decision = Decision::undecided;
    };
    [[nodiscard]] int rowHeight() const;
    const Blueprint& m_blueprint;
    std::vector<Row> m_rows;
};

} // namespace riflesso
