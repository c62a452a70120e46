#pragma once
/// \file
/// A target's band on the distribution of the loaded reps: the athlete's above the line, the model's below it.

#include "core/mirror/decision.h"

#include <QString>
#include <QWidget>

#include <vector>

namespace riflesso {

class BandPlot : public QWidget {
    Q_OBJECT
public:
    explicit BandPlot(QWidget* parent = nullptr);
    struct Dot {
        double value = 0.0, u = 0.0;
        bool model = false;
        QString tip{};
    };
    /// \p scale and \p unit for the numbers (1000 and "ms" for times in s).
    void show(std::vector<Dot> dots, Band band, double scale, const QString& unit);
    [[nodiscard]] double xOf(double value) const;
    [[nodiscard]] const Band& band() const { return m_band; }
    [[nodiscard]] QSize sizeHint() const override { return {420, 118}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {260, 110}; }

signals:
    /// While an edge is dragged, and when it is let go.
    void bandDragged(double lo, double hi);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    void mouseMoveEvent(QMouseEvent* e) override;
    void mouseReleaseEvent(QMouseEvent*) override { m_edge = 0; }
    bool event(QEvent* e) override;

private:
    [[nodiscard]] double valueAt(double x) const;
    [[nodiscard]] int edgeAt(double x) const; // −1 low, +1 high, 0 none
    std::vector<Dot> m_dots;
    Band m_band;
    double m_from = 0.0, m_to = 1.0, m_scale = 1.0;
    QString m_unit;
    int m_edge = 0;
};

} // namespace riflesso
