#pragma once
/// \file
/// Smoothing in sight: raw and smoothed curve of a landmark or a measure, the residual analysis, spikes.

#include "core/motion/smoothing.h"
#include "core/motion/spikes.h"
#include "desktop/workbench/workbench.h"

#include <QComboBox>
#include <QDoubleSpinBox>
#include <QLabel>
#include <QListWidget>
#include <QPushButton>

namespace riflesso {

/// Points over time: dots as marked, a line as smoothed, gaps as gaps. Click goes to the frame.
class CurveView : public QWidget {
    Q_OBJECT
public:
    struct Point {
        int frame = 0;
        double time = 0.0, value = 0.0;
    };
    explicit CurveView(QWidget* parent = nullptr);
    void setCurves(std::vector<Point> raw, std::vector<Point> smooth, const QString& unit);
    void setFrame(int frame);
    void setSpikes(const std::vector<int>& frames);
    [[nodiscard]] QSize sizeHint() const override { return {230, 150}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {160, 110}; }
signals:
    void chosen(int frame);

protected:
    void paintEvent(QPaintEvent*) override;
    void mousePressEvent(QMouseEvent* e) override;

private:
    [[nodiscard]] QRectF area() const;
    [[nodiscard]] QPointF at(const Point& p) const;
    std::vector<Point> m_raw, m_smooth;
    std::vector<int> m_spikes;
    QString m_unit;
    int m_frame = 0;
    double m_t0 = 0, m_t1 = 1, m_lo = 0, m_hi = 1;
};

/// Residual against cut-off, the noise line and the chosen place.
class ResidualView : public QWidget {
    Q_OBJECT
public:
    explicit ResidualView(QWidget* parent = nullptr);
    void setAnalysis(const std::optional<ResidualAnalysis>& analysis, std::optional<double> used);
    [[nodiscard]] QSize sizeHint() const override { return {230, 110}; }
    [[nodiscard]] QSize minimumSizeHint() const override { return {160, 90}; }

protected:
    void paintEvent(QPaintEvent*) override;

private:
    std::optional<ResidualAnalysis> m_analysis;
    std::optional<double> m_used;
};

class CurvePanel : public QWidget {
    Q_OBJECT
public:
    explicit CurvePanel(Workbench& bench);
    void setLandmark(const LandmarkName& landmark);

protected:
    void showEvent(QShowEvent*) override { refresh(); }

private:
    struct Curves;
    void refresh();
    void chooseAmong(const Take* take, const TrackSet* tracks);
    void landmarkCurves(const Take& take, const TrackSet& tracks, const Motion& motion, bool x, FrameIndex first,
                        FrameIndex last, Curves& out);
    static void measureCurves(const MeasureDefinition& definition, const Take& take, const TrackSet& tracks,
                              const Motion& motion, FrameIndex first, FrameIndex last, Curves& out);
    void choose();
    Workbench& m_bench;
    LandmarkName m_landmark;
    QComboBox* m_what;
    CurveView* m_curve;
    ResidualView* m_residual;
    QLabel* m_words;
    QDoubleSpinBox* m_cutoff;
    QPushButton* m_automatic;
    QListWidget* m_spikes;
    bool m_filling = false;
};

} // namespace riflesso
