#pragma once
/// \file
/// The figure guide: a schematic body that asks for one landmark after the other. And the loupe.

#include "desktop/workbench/workbench.h"

#include <QImage>
#include <QWidget>

#include <map>
#include <set>

namespace riflesso {

/// Landmarks that this frame needs are rings (open) or dots (marked); the asked one is large. Click chooses any.
class FigureGuide : public QWidget {
    Q_OBJECT
public:
    explicit FigureGuide(QWidget* parent = nullptr);
    void setState(const std::vector<LandmarkName>& wanted, const std::set<LandmarkName>& marked,
                  const LandmarkName& asked, Side handedness);
    /// How the figure stands: places in a box of 1 x 1 by body name; empty = as the table of the figure has it.
    void setPose(std::map<LandmarkName, QPointF> pose);
    [[nodiscard]] QPointF placeOf(const LandmarkName& landmark) const; ///< where its dot is, in the widget
    [[nodiscard]] QSize sizeHint() const override { return {230, 250}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {200, 200}; }

signals:
    void chosen(const QString& landmark);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;
    bool event(QEvent* e) override;

private:
    [[nodiscard]] LandmarkName under(QPointF at) const;
    [[nodiscard]] int shownOther() const; ///< who stands beside the athlete; 0 = nobody
    std::vector<LandmarkName> m_wanted;
    std::set<LandmarkName> m_marked;
    LandmarkName m_asked;
    Side m_handedness = Side::right;
    std::map<LandmarkName, QPointF> m_pose;
};

/// The neighbourhood of the pointer, enlarged, with a cross of hair lines.
class Loupe : public QWidget {
    Q_OBJECT
public:
    explicit Loupe(QWidget* parent = nullptr);
    void setPicture(const QImage& picture);
    void setCentre(QPointF inPicture);
    void zoomBy(double factor); ///< within 3 to 12 times
    [[nodiscard]] double power() const { return m_power; }
    [[nodiscard]] QSize sizeHint() const override { return {230, 150}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {160, 120}; }

protected:
    void paintEvent(QPaintEvent*) override;
    void wheelEvent(QWheelEvent* e) override;

private:
    QImage m_picture;
    QPointF m_centre;
    double m_power = 6.0; // 3 to 12 times
};

} // namespace riflesso
