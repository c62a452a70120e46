#pragma once
/// \file
/// One thin row a landmark under the ribbon: darker where the mark is less sure.

#include "desktop/workbench/ribbon.h"

#include <QPixmap>

namespace riflesso {

/// Shares the ribbon's time. Full dots are hand marks, nothing is a gap, a hatched cell was looked at and is hidden.
/// Click goes to the frame and the landmark.
class TrustStrip : public QWidget {
    Q_OBJECT
public:
    TrustStrip(Workbench& bench, const Ribbon& ribbon, QWidget* parent = nullptr);
    /// Rows; they stand by person, then head, arms, legs and what is held, each group with its name at its left.
    void setLandmarks(const std::vector<LandmarkName>& landmarks);
    [[nodiscard]] const std::vector<LandmarkName>& landmarks() const { return m_landmarks; }
    void setCurrent(const LandmarkName& landmark);
    [[nodiscard]] QPointF placeOf(const LandmarkName& landmark, int frame) const; ///< for tests
    /// Darkness of a standard error, 0..1.
    static double shade(double sigma);
    [[nodiscard]] QSize sizeHint() const override;
    [[nodiscard]] QSize minimumSizeHint() const override;

signals:
    void chosen(const QString& landmark, int frame);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    [[nodiscard]] double rowHeight() const; ///< px
    [[nodiscard]] int rowAt(double y) const;
    void drawRows();
    void paintNames(QPainter& painter) const;
    void paintLegend(QPainter& painter) const;
    Workbench& m_bench;
    const Ribbon& m_ribbon;
    std::vector<LandmarkName> m_given, m_landmarks; ///< as they came; as they stand
    LandmarkName m_current;
    QPixmap m_rows;
    Ribbon::Span m_drawn;
    bool m_stale = true, m_dark = false;
};

} // namespace riflesso
